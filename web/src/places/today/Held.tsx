import type { WithheldView } from '@yaylak/contract';
import type { ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { Button } from '../../parts/Button';
import { HeldBar } from '../../parts/HeldBar';
import { Row, Small } from '../../parts/Panel';
import { Tag } from '../../parts/Tag';
import { Heading, Item, Rows } from '../../parts/rows';
import { WithheldHow } from '../../parts/hows/WithheldHow';
import { say } from '@yaylak/contract';

interface Props {
  readonly rows: readonly WithheldView[];
  /** What shows the rest. */
  readonly more: ReactNode;
  readonly today: string;
}

/** Whose meat or milk may not be used yet. */
export function Held({ rows, more, today }: Props) {
  const navigate = useNavigate();
  if (rows.length === 0) return null;
  return (
    <section>
      <Heading>
        <h2>
          {say('Held')} <WithheldHow />
        </h2>
        <Small>{say('do not sell or slaughter')}</Small>
      </Heading>
      <Rows>
        {rows.map((w) => (
          <Item key={`${w.tag.animalId} ${w.of}`}>
            <Row $gap={3}>
              <Tag tag={w.tag} />
              <span>
                <b>{w.of === 'meat' ? say('Meat') : say('Milk')}</b>: {w.product}
              </span>
            </Row>
            <HeldBar from={w.from} until={w.until} today={today} />
            <Button
              aria-label={say('Remedies of {text}', { text: w.tag.text })}
              onPress={() => void navigate(`/animals/${w.tag.animalId}`)}
            >
              {say('Look')}
            </Button>
          </Item>
        ))}
      </Rows>
      {more}
    </section>
  );
}
