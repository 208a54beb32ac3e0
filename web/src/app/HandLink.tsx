import { useQuery } from '@tanstack/react-query';
import { say } from '@yaylak/contract';
import { UserRound } from 'lucide-react';
import { Link } from 'react-router';
import styled from 'styled-components';
import { holdingQuery } from '../api/queries';
import { colour, lowWindow, touch } from '../theme/tokens';

/** Who is logged in, and the way for somebody else to be. */
export function HandLink() {
  const writer = useQuery(holdingQuery).data?.writer;
  if (!writer) return null;
  return (
    <HandName to="/log-in" aria-label={say('Logged in as {name}. Somebody else', { name: writer.name })}>
      <UserRound size={16} aria-hidden />
      <span>{writer.name}</span>
    </HandName>
  );
}

const HandName = styled(Link)`
  display: flex;
  align-items: center;
  gap: 6px;
  flex: 1 0 100%;
  min-width: 0;
  min-height: ${touch};
  color: ${colour('ink')};
  svg {
    flex: none;
  }
  ${lowWindow} {
    flex: 1 1 0;
    svg {
      display: none;
    }
  }
  span {
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
`;
