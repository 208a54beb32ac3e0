import type { ReactNode } from 'react';
import { Button, Dialog, DialogTrigger, Heading, Popover } from 'react-aria-components';
import styled from 'styled-components';
import { colour, radius, space, touchable } from '../theme/tokens';
import { useHelpDoor } from './helpDoor';
import { say } from '@yaylak/contract';

interface Props {
  /** What figure is asked about. */
  readonly of: string;
  readonly children: ReactNode;
  /** In a row of a list that is not at hand: Tab passes it. */
  readonly isPassedByTab?: boolean;
}

/** "How?" beside a figure: the readings, the formula in words, the assumptions and where they are set. */
export function How({ of, children, isPassedByTab = false }: Props) {
  const openHelp = useHelpDoor();
  return (
    <DialogTrigger>
      <Ask className="no-print" aria-label={say('How is {of} worked out?', { of })} excludeFromTabOrder={isPassedByTab}>
        {say('how?')}
      </Ask>
      <Pane placement="bottom end">
        <Dialog>
          {({ close }) => (
            <>
              <Heading slot="title">{of}</Heading>
              {children}
              {openHelp ? (
                <More
                  onPress={() => {
                    close();
                    openHelp();
                  }}
                >
                  {say('Help with this place')}
                </More>
              ) : null}
            </>
          )}
        </Dialog>
      </Pane>
    </DialogTrigger>
  );
}

const Ask = styled(Button)`
  ${touchable}
  border: 0;
  background: none;
  padding: 2px 4px;
  min-height: 24px;
  min-width: 24px;
  font-size: 12px;
  font-weight: 400;
  color: ${colour('indigo')};
  text-decoration: underline;
  cursor: pointer;
`;
const More = styled(Button)`
  align-self: flex-start;
  border: 0;
  background: none;
  padding: 0;
  min-height: 44px;
  color: ${colour('indigo')};
  text-decoration: underline;
  cursor: pointer;
`;
const Pane = styled(Popover)`
  background: ${colour('panel')};
  color: ${colour('ink')};
  border: 1px solid ${colour('indigo')};
  border-radius: ${radius};
  padding: ${space(4)};
  max-width: 380px;
  font-size: 14px;
  section {
    outline: none;
    display: flex;
    flex-direction: column;
    gap: ${space(2)};
  }
  h2 {
    font-size: 16px;
  }
  table td:last-child {
    text-align: right;
    white-space: nowrap;
  }
  td {
    padding: 3px 0;
    border-bottom: 1px solid ${colour('line')};
  }
`;
