import type { DoseDueView, WithheldView } from '@yaylak/contract';
import { useNavigate } from 'react-router';
import { Button } from '../../parts/Button';
import { HeldBar } from '../../parts/HeldBar';
import { Row, Small } from '../../parts/Panel';
import { Tag } from '../../parts/Tag';
import { WindowBar } from '../../parts/WindowBar';
import { useGiveJob } from '../../remedies/useGiveJob';
import { countText } from '../../words/format';
import { Heading, Item, Rows } from './rows';

/** Remedies to be given now: the next dose of a course, a bolus of the year's plan. */
export function ToGive({ doses, today }: { readonly doses: readonly DoseDueView[]; readonly today: string }) {
  const give = useGiveJob();
  if (doses.length === 0) return null;
  return (
    <section>
      <Heading>
        <h2>To give</h2>
      </Heading>
      <Rows>
        {doses.map((d) => (
          <Item key={d.key}>
            <div>
              <b>
                {d.product} to {countText(d.animalIds.length, 'animal', 'animals')}
              </b>
              <Small>
                {d.nth === null ? 'yearly plan' : `dose ${d.nth}`}, {d.groupName ?? 'no group'}
                {d.done > 0 ? `, ${d.done} done` : ''}
              </Small>
            </div>
            <WindowBar window={d.window} today={today} />
            <Button kind="main" aria-label={`Give ${d.product}, ${d.groupName ?? 'no group'}`} onPress={() => give(d)}>
              Give
            </Button>
          </Item>
        ))}
      </Rows>
    </section>
  );
}

/** Whose meat or milk may not be used yet. */
export function Held({ rows, today }: { readonly rows: readonly WithheldView[]; readonly today: string }) {
  const navigate = useNavigate();
  if (rows.length === 0) return null;
  return (
    <section>
      <Heading>
        <h2>Held</h2>
        <Small>not for sale, not for the pot</Small>
      </Heading>
      <Rows>
        {rows.map((w) => (
          <Item key={`${w.tag.animalId} ${w.of}`}>
            <Row $gap={3}>
              <Tag tag={w.tag} />
              <span>
                <b>{w.of === 'meat' ? 'Meat' : 'Milk'}</b>: {w.product}
              </span>
            </Row>
            <HeldBar from={w.from} until={w.until} today={today} />
            <Button
              aria-label={`Remedies of ${w.tag.text}`}
              onPress={() => void navigate(`/animals/${w.tag.animalId}`)}
            >
              Look
            </Button>
          </Item>
        ))}
      </Rows>
    </section>
  );
}
