import type { SellingView } from '@yaylak/contract';
import { drawInTheOpen, readTypedNumber } from '@yaylak/core';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import styled from 'styled-components';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Choice';
import { Field } from '../../parts/Field';
import { How } from '../../parts/How';
import { LinkButton } from '../../parts/LinkButton';
import { NotePanel, Row, Small } from '../../parts/Panel';
import { PlainList } from '../../parts/PlainList';
import { Tag } from '../../parts/Tag';
import { space } from '../../theme/tokens';
import { figureText } from '../../words/format';
import { say } from '@yaylak/contract';
import { Said } from '../../parts/Said';

/** Whom to draw out in the open, so that as many as are wanted are ready among them. */
export function BringIn({ view }: { readonly view: SellingView }) {
  const navigate = useNavigate();
  const [outletId, setOutletId] = useState(view.outlets[0]?.id ?? '');
  const [wanted, setWanted] = useState('');
  const outlet = view.outlets.find((o) => o.id === outletId) ?? view.outlets[0];
  const read = readTypedNumber(wanted);
  const number = read.kind === 'number' && read.value >= 0 ? Math.round(read.value) : 0;
  const pen = view.rows
    .filter((r) => r.held === null && r.cells.length > 0)
    .map((r) => ({
      id: r.tag.animalId,
      chance: r.cells.find((c) => c.outletId === outlet?.id)?.chanceNow ?? 0,
    }));
  const drawn = drawInTheOpen(pen, number);
  const tagOf = new Map(view.rows.map((r) => [r.tag.animalId, r.tag]));
  if (!outlet) return null;
  const start = (): void =>
    void navigate('/race', {
      state: {
        animalIds: drawn.ids,
        name: say('Drawn for {name}', { name: outlet.facts.name }),
        plan: {
          stations: ['weigh', 'finish', 'sort'],
          settings: { sort: { by: 'ready', outletId: outlet.id, above: 'left', below: 'right' } },
          gates: [
            { key: 'left', name: outlet.facts.name.slice(0, 40), isForSale: true },
            { key: 'right', name: say('Back to the pen') },
          ],
        },
      },
    });
  return (
    <NotePanel $tone="weld">
      <h2>
        <Said
          text={'Bring in <0/>'}
          parts={{
            0: (
              <How of={say('whom to bring in')}>
                <p>
                  {say(
                    'From their last weights: the likeliest first, until as many as are wanted should be ready among them even with ordinary bad luck (the expected number less its SD). Everything looks bigger outside the pen: only these need to go through the race.',
                  )}
                </p>
              </How>
            ),
          }}
        />
      </h2>
      <Row $gap={3}>
        <Choice
          label={say('For')}
          value={outlet.id}
          options={view.outlets.map((o) => [o.id, o.facts.name])}
          onChange={setOutletId}
        />
        <Field label={say('Wanted')} inputMode="numeric" value={wanted} onChange={setWanted} />
      </Row>
      {number > 0 ? (
        <>
          <p role="status" style={{ marginTop: 12 }}>
            {drawn.isShort
              ? say('All {n} will hardly hold {number}: {figure} ± {figure2} are ready.', {
                  n: pen.length,
                  number,
                  figure: figureText(drawn.expected, 1),
                  figure2: figureText(drawn.sd, 1),
                })
              : say('{number} wanted: {n} of the {n2} are likely enough in the open.', {
                  number,
                  n: drawn.ids.length,
                  n2: pen.length,
                })}
          </p>
          <Tags aria-label={say('To bring in')}>
            {drawn.ids.map((id) => {
              const tag = tagOf.get(id);
              return tag ? (
                <li key={id}>
                  <Tag tag={tag} />
                </li>
              ) : null;
            })}
          </Tags>
          <Row className="no-print">
            <Button kind="main" onPress={start} isDisabled={drawn.ids.length === 0}>
              {say('Start it at the race')}
            </Button>
            <LinkButton
              as={Link}
              to={`/selling/list?ids=${drawn.ids.join(',')}&for=${encodeURIComponent(outlet.facts.name)}`}
            >
              {say('List for paper')}
            </LinkButton>
          </Row>
        </>
      ) : (
        <Small>{say('Type how many the outlet wants.')}</Small>
      )}
    </NotePanel>
  );
}

const Tags = styled(PlainList)`
  display: flex;
  flex-wrap: wrap;
  gap: ${space(1)};
  max-height: 260px;
  overflow-y: auto;
  margin: ${space(2)} 0 ${space(3)};
`;
