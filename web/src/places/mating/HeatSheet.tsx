import type { MatingView } from '@yaylak/contract';
import { HEAT_SIGNS, signsOf, type HeatSign } from '@yaylak/core';
import { useState } from 'react';
import styled from 'styled-components';
import { Button } from '../../parts/Button';
import { Chip } from '../../parts/Chip';
import { Choice } from '../../parts/Choice';
import { Field } from '../../parts/Field';
import { Key } from '../../parts/Key';
import { Row, Small } from '../../parts/Panel';
import { Sheet } from '../../parts/Sheet';
import { Tag } from '../../parts/Tag';
import { isTyping, useWindowKey } from '../../parts/useWindowKey';
import { useWrite } from '../../parts/useWrite';
import { colour, space } from '../../theme/tokens';

import { say } from '@yaylak/contract';

interface Props {
  readonly view: MatingView;
  readonly onClose: () => void;
}

/**
 * A look for heat: one after another the females are gone through and their signs ticked by a letter; whoever is left
 * without a sign is written down as looked at, as that tells when a heat began.
 */
export function HeatSheet({ view, onClose }: Props) {
  const write = useWrite();
  const [groupId, setGroupId] = useState(view.groups[0]?.id ?? '');
  const group = view.groups.find((g) => g.id === groupId);
  const all = view.females.filter((f) => groupId === '' || f.groupName === group?.name);
  const [at, setAt] = useState(view.now);
  const [chosen, setChosen] = useState(0);
  const [ticked, setTicked] = useState<ReadonlyMap<string, ReadonlySet<HeatSign>>>(new Map());
  const [problem, setProblem] = useState<string>();
  const female = all[Math.min(chosen, all.length - 1)];
  const signs = signsOf(view.species);
  const own = (female && ticked.get(female.tag.animalId)) ?? new Set<HeatSign>();

  const toggle = (sign: HeatSign): void => {
    if (!female) return;
    const next = new Set(own);
    if (!next.delete(sign)) next.add(sign);
    setTicked(new Map(ticked).set(female.tag.animalId, next));
  };
  useWindowKey((event) => {
    if (event.ctrlKey || event.altKey || event.metaKey || isTyping(event.target)) return;
    const sign = signs.find((s) => HEAT_SIGNS[s].key === event.key.toLowerCase());
    const step = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
    if (sign) toggle(sign);
    else if (step !== 0) setChosen(Math.max(0, Math.min(all.length - 1, chosen + step)));
    else return;
    event.preventDefault();
  });
  const seen = all.filter((f) => (ticked.get(f.tag.animalId)?.size ?? 0) > 0);
  const keep = async (isAll: boolean): Promise<void> => {
    const who = isAll ? all : seen;
    if (who.length === 0)
      return setProblem(say('Tick a sign of one of them first, or record that all were looked at.'));
    const refused = await write(
      who.map((f) => ({
        type: 'heat',
        animalId: f.tag.animalId,
        on: at.slice(0, 10),
        at,
        signs: [...(ticked.get(f.tag.animalId) ?? [])],
      })),
      say(
        'Looked at {n} {n, plural, one {female} other {females}}, {n2} {n2, plural, one {shows} other {show}} signs of heat',
        { n: who.length, n2: seen.length },
      ),
    );
    if (refused.length > 0) return setProblem(refused.join(' '));
    onClose();
  };
  return (
    <Sheet title={say('Record heat check')} isOpen onClose={onClose} width={760}>
      <Row $gap={3} style={{ alignItems: 'flex-end' }}>
        <Field label={say('When')} type="datetime-local" value={at} onChange={setAt} />
        <Choice
          label={say('Group')}
          value={groupId}
          options={[['', say('all of them')], ...view.groups.map((g) => [g.id, g.name] as const)]}
          onChange={(id) => {
            setGroupId(id);
            setChosen(0);
          }}
        />
      </Row>
      <Two>
        <ul role="listbox" aria-label={say('Females')} tabIndex={0}>
          {all.map((f, i) => (
            <li
              key={f.tag.animalId}
              role="option"
              aria-selected={f === female}
              aria-label={`${f.tag.text}${f.tag.name ? ` ${f.tag.name}` : ''}, ${say('{n} {n, plural, one {sign} other {signs}}', { n: ticked.get(f.tag.animalId)?.size ?? 0 })}`}
              onClick={() => setChosen(i)}
            >
              <Tag tag={f.tag} isStatic /> {f.tag.name}
              {(ticked.get(f.tag.animalId)?.size ?? 0) > 0 ? <b>{ticked.get(f.tag.animalId)?.size}</b> : null}
            </li>
          ))}
        </ul>
        <div role="group" aria-label={say('Signs of {n}', { n: female?.tag.text ?? say('nobody') })}>
          {signs.map((s) => (
            <Chip key={s} type="button" aria-pressed={own.has(s)} onClick={() => toggle(s)}>
              <Key>{HEAT_SIGNS[s].key.toUpperCase()}</Key> {say(HEAT_SIGNS[s].words)}
            </Chip>
          ))}
          <Small>{say('Up and down go through the females; a letter ticks a sign.')}</Small>
        </div>
      </Two>
      {problem ? <p role="alert">{problem}</p> : null}
      <Row>
        <Button kind="main" onPress={() => void keep(true)}>
          {say('Save, the others without a sign')}
        </Button>
        <Button onPress={() => void keep(false)}>{say('Only those with signs ({n})', { n: seen.length })}</Button>
      </Row>
    </Sheet>
  );
}

const Two = styled.div`
  display: grid;
  grid-template-columns: minmax(180px, 2fr) minmax(0, 3fr);
  gap: ${space(4)};
  ul {
    list-style: none;
    margin: 0;
    padding: 0;
    max-height: 340px;
    overflow: auto;
    border: 1px solid ${colour('line')};
    border-radius: 8px;
  }
  li {
    display: flex;
    align-items: center;
    gap: ${space(2)};
    min-height: 44px;
    padding: 0 ${space(3)};
    cursor: pointer;
  }
  li b {
    margin-left: auto;
    color: ${colour('madder')};
  }
  li[aria-selected='true'] {
    background: ${colour('indigoWash')};
    border-left: 4px solid ${colour('indigo')};
  }
  div[role='group'] {
    display: flex;
    flex-wrap: wrap;
    align-content: flex-start;
    gap: ${space(2)};
  }
  div[role='group'] button {
    min-height: 44px;
    color: inherit;
  }
  div[role='group'] button[aria-pressed='true'] {
    color: ${colour('onIndigo')};
  }
`;
