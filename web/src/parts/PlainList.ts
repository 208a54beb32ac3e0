import styled from 'styled-components';

/** A list that is told by its rows alone: no points, no room around it. */
export const PlainList = styled.ul`
  list-style: none;
  margin: 0;
  padding: 0;
`;
