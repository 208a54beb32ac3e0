import { Checkbox, type CheckboxProps } from 'react-aria-components';
import styled from 'styled-components';
import { colour, space, touch } from '../theme/tokens';

interface Props extends Omit<CheckboxProps, 'children'> {
  readonly label: string;
}

/** A yes or no, in words; the box says it by a sign as well as by colour. */
export function Tick({ label, ...props }: Props) {
  return (
    <Line {...props}>
      {({ isSelected }) => (
        <>
          <Box aria-hidden data-selected={isSelected || undefined}>
            {isSelected ? '✓' : ''}
          </Box>
          {label}
        </>
      )}
    </Line>
  );
}

const Line = styled(Checkbox)`
  /* The box that is not seen stands in the line: outside it would stretch the page under its own foot. */
  position: relative;
  display: flex;
  align-items: center;
  gap: ${space(2)};
  min-height: ${touch};
  cursor: pointer;
  &[data-focus-visible] {
    outline: 3px solid ${colour('indigo')};
    outline-offset: 2px;
  }
`;
const Box = styled.span`
  display: grid;
  place-items: center;
  flex: none;
  width: 22px;
  height: 22px;
  border: 1px solid ${colour('lineStrong')};
  border-radius: 4px;
  background: ${colour('panel')};
  font-weight: 700;
  &[data-selected] {
    background: ${colour('indigo')};
    border-color: ${colour('indigo')};
    color: ${colour('panel')};
  }
`;
