import type { RosterAnimal } from '@yaylak/contract';
import { useMemo, useState } from 'react';
import styled from 'styled-components';
import { useReadings } from '../../adapters/readings/useReadings';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Choice';
import { FindOne } from '../../parts/FindOne';
import { Row, Small } from '../../parts/Panel';
import { Tag } from '../../parts/Tag';
import { colour, radius, space } from '../../theme/tokens';

import { matchesFor, raceNumbers } from './answers';
import type { Who } from './whoSets';
import { PlainList } from '../../parts/PlainList';
import { say } from '@yaylak/contract';

interface Props {
  readonly ids: readonly string[];
  readonly animals: ReadonlyMap<string, RosterAnimal>;
  readonly sets: readonly Who[];
  readonly onChange: (ids: readonly string[]) => void;
}

const SHOWN = 60;

/** The animals expected at a job: taken out by a press, put in by their number, by the reader or a set at once. */
export function WhoComes({ ids, animals, sets, onChange }: Props) {
  const [said, setSaid] = useState<string>();
  const [isWhole, setWhole] = useState(false);
  const [set, setSet] = useState<Who>();
  const inIt = useMemo(() => new Set(ids), [ids]);
  const numbers = useMemo(() => raceNumbers([...animals.values()], inIt), [animals, inIt]);
  const others = useMemo(() => new Set([...animals.keys()].filter((id) => !inIt.has(id))), [animals, inIt]);
  const nameOf = (id: string): string => animals.get(id)?.tag.text ?? say('an animal that is gone');
  const add = (more: readonly string[]): void => {
    const fresh = more.filter((id) => !inIt.has(id));
    onChange([...ids, ...fresh]);
    setSaid(
      fresh.length === 1
        ? say('{name} is on the list now.', { name: nameOf(fresh[0] ?? '') })
        : fresh.length === 0
          ? say('Already on the list: {value}.', {
              value: more.length === 1 ? nameOf(more[0] ?? '') : say('all of them'),
            })
          : say('{n} {n, plural, one {animal} other {animals}} more on the list.', { n: fresh.length }),
    );
  };
  useReadings({
    onNumber: (digits) => {
      const [first] = matchesFor(numbers, digits).filter((m) => m.rank === 'exact');
      if (first) add([first.found.animalId]);
      else setSaid(say('No animal here is tagged {digits}.', { digits }));
    },
    onBadNumber: (text) =>
      setSaid(say('The reader sent “{text}”, which is not an animal number. Read the tag again.', { text })),
    onWeight: () => undefined,
  });
  const shown = isWhole ? ids : ids.slice(0, SHOWN);
  return (
    <>
      <Ways>
        <FindOne
          key={ids.length}
          label={say('Add an animal: type its number, or scan')}
          among={others}
          onChoose={(id) => add([id])}
        />
        <Row style={{ alignItems: 'flex-end' }}>
          {/* Going through the sets by letters adds none of them on the way. */}
          <Choice
            label={say('Add a set')}
            value={set?.key ?? ''}
            options={[['', say('choose')], ...sets.map((s) => [s.key, s.words] as const)]}
            onChange={(key) => setSet(sets.find((s) => s.key === key))}
          />
          <Button isDisabled={set === undefined} onPress={() => add(set?.animals.map((a) => a.tag.animalId) ?? [])}>
            {say('Add them')}
          </Button>
        </Row>
      </Ways>
      <Row>
        <Button kind="quiet" isDisabled={ids.length === 0} onPress={() => onChange([])}>
          {say('Take all out')}
        </Button>
        <span role="status">{said}</span>
      </Row>
      <Expected aria-label={say('Those expected')}>
        {shown.map((id) => {
          const animal = animals.get(id);
          return (
            <li key={id}>
              {animal ? <Tag tag={animal.tag} isStatic /> : <Small as="span">{say('gone')}</Small>}
              <button
                type="button"
                aria-label={say('Take {name} out', { name: nameOf(id) })}
                onClick={() => {
                  onChange(ids.filter((other) => other !== id));
                  setSaid(say('{name} is not on the list any more.', { name: nameOf(id) }));
                }}
              >
                ×
              </button>
            </li>
          );
        })}
      </Expected>
      {ids.length > shown.length ? (
        <Button kind="quiet" onPress={() => setWhole(true)}>
          {say('Show {n} more', { n: ids.length - shown.length })}
        </Button>
      ) : null}
    </>
  );
}

const Ways = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(280px, 100%), 1fr));
  gap: ${space(3)};
  align-items: start;
`;
const Expected = styled(PlainList)`
  display: flex;
  flex-wrap: wrap;
  gap: ${space(2)};
  li {
    display: flex;
    align-items: center;
    padding-left: ${space(1)};
    border: 1px solid ${colour('line')};
    border-radius: ${radius};
  }
  button {
    min-width: 44px;
    min-height: 44px;
    border: 0;
    background: transparent;
    color: ${colour('inkSoft')};
    font-size: 18px;
    cursor: pointer;
  }
`;
