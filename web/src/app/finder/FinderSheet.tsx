import { QrCode } from 'lucide-react';
import { useRef, useState } from 'react';
import {
  Autocomplete,
  Collection,
  Header,
  Input,
  ListBox,
  ListBoxItem,
  ListBoxSection,
  TextField,
} from 'react-aria-components';
import { useNavigate } from 'react-router';
import styled from 'styled-components';
import { fieldLook } from '../../parts/fieldLook';
import { hasCamera } from '../../adapters/readings/camera';
import { Button } from '../../parts/Button';
import { useHelpDoor } from '../../parts/helpDoor';
import { Key } from '../../parts/Key';
import { Sheet } from '../../parts/Sheet';
import { Tag, tagLabel } from '../../parts/Tag';
import { colour, radius, space, touch } from '../../theme/tokens';
import { ScanCard } from './ScanCard';
import { useFinds, type Find } from './useFinds';
import { say } from '@yaylak/contract';

interface Props {
  readonly typed: string;
  readonly onType: (typed: string) => void;
  readonly onClose: () => void;
}

/** The finder: a field, and what fits what is typed in it. */
export function FinderSheet(props: Props) {
  return (
    <Sheet isForLooking title={say('Find an animal')} isOpen onClose={props.onClose}>
      <Finder {...props} />
    </Sheet>
  );
}

function Finder({ typed, onType, onClose }: Props) {
  const navigate = useNavigate();
  const openHelp = useHelpDoor();
  const { sections, isPending } = useFinds(typed);
  const [isScanning, setScanning] = useState(false);
  const isShift = useRef(false);
  const finds = sections.flatMap((s) => s.finds);
  const open = (find: Find | undefined): void => {
    if (!find) return;
    onClose();
    if (find.topicId !== undefined) openHelp?.({ topicId: find.topicId });
    else void navigate((isShift.current ? find.opensWithShift : undefined) ?? find.opens);
  };
  if (isScanning)
    return (
      <>
        <ScanCard
          onAnimal={(animalId) => {
            onClose();
            void navigate(`/animals/${animalId}`);
          }}
        />
        <Button onPress={() => setScanning(false)}>{say('Type instead')}</Button>
      </>
    );
  return (
    <Autocomplete inputValue={typed} onInputChange={onType} disableAutoFocusFirst>
      <TextField
        autoFocus
        aria-label={say('Any part of a number or name, a tube, note, mark, group or place')}
        onKeyDown={(e) => {
          isShift.current = e.shiftKey;
          e.continuePropagation();
          // Until an arrow key has chosen one, Enter means the first.
          const isChosen = e.target instanceof Element && e.target.hasAttribute('aria-activedescendant');
          if (e.key === 'Enter' && !isChosen && typed.trim() !== '') open(finds[0]);
        }}
      >
        <Typed />
      </TextField>
      {hasCamera() ? (
        <Scan kind="quiet" onPress={() => setScanning(true)}>
          <QrCode size={16} aria-hidden /> {say('Scan a pen card')}
        </Scan>
      ) : null}
      <List
        aria-label={say('Found')}
        items={sections.map((s) => ({ ...s, id: s.name }))}
        onAction={(key) => open(finds.find((f) => f.key === key))}
        onPointerDown={(e) => (isShift.current = e.shiftKey)}
        // Said only where there is something to say: an empty state stands in the list as one of its options.
        {...(isPending || typed.trim() === ''
          ? {}
          : {
              renderEmptyState: () => (
                <p>{say('Nothing here is called “{typed}”. Try fewer digits, or another word.', { typed })}</p>
              ),
            })}
      >
        {(section) => (
          <ListBoxSection id={section.id}>
            <Header>{section.name}</Header>
            <Collection items={section.finds.map((f) => ({ ...f, id: f.key }))}>
              {(find) => (
                <ListBoxItem id={find.id} textValue={readOut(find)} aria-label={readOut(find)}>
                  {find.tag ? <Tag isStatic tag={find.tag} /> : null}
                  <span>{find.words}</span>
                  {find.note ? <em>{find.note}</em> : null}
                  {find.key === finds[0]?.key && typed.trim() !== '' ? <Key>{say('Enter')}</Key> : null}
                </ListBoxItem>
              )}
            </Collection>
          </ListBoxSection>
        )}
      </List>
    </Autocomplete>
  );
}

const readOut = ({ tag, words, note }: Find): string =>
  [tag ? tagLabel(tag) : '', words, note].filter(Boolean).join(', ');

const Scan = styled(Button)`
  align-self: flex-start;
  gap: ${space(2)};
`;
const Typed = styled(Input)`
  ${fieldLook}
  width: 100%;
  font-size: 22px;
  min-height: 52px;
`;
const List = styled(ListBox)`
  outline: none;
  header {
    padding: ${space(2)} ${space(2)} 0;
    font-size: 13px;
    color: ${colour('inkSoft')};
  }
  [role='option'] {
    display: flex;
    align-items: center;
    gap: ${space(3)};
    padding: ${space(1)} ${space(2)};
    min-height: ${touch};
    border-radius: ${radius};
    cursor: pointer;
    outline: none;
  }
  [data-focused],
  [data-hovered] {
    background: ${colour('indigoWash')};
  }
  &:has([data-focused]) kbd {
    visibility: hidden;
  }
  kbd {
    order: 1;
    margin-left: auto;
  }
  em + kbd {
    margin-left: 0;
  }
  em {
    margin-left: auto;
    color: ${colour('inkSoft')};
    white-space: nowrap;
  }
` as typeof ListBox;
