import type { LitterView } from '@yaylak/contract';
import { readTypedNumber, toKg } from '@yaylak/core';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { holdingQuery, littersQuery } from '../../api/queries';
import { Button } from '../../parts/Button';
import { Field } from '../../parts/Field';
import { Row, Small } from '../../parts/Panel';
import { Sheet } from '../../parts/Sheet';
import { useWrite } from '../../parts/useWrite';
import { useWeightUnit } from '../../words/useUnits';
import { UNIT_WORDS } from '../../words/format';

interface Props {
  readonly litter: LitterView;
  readonly species: LitterView['species'];
  readonly today: string;
  readonly onClose: () => void;
}

/** What a dam and her litter ate of a feed, so that two feeds can be held against each other. */
export function FeedSheet({ litter, species, today, onClose }: Props) {
  const write = useWrite();
  const { data: holding } = useQuery(holdingQuery);
  const { data: before } = useQuery(littersQuery({ species }));
  const [feed, setFeed] = useState('');
  const [since, setSince] = useState(litter.bornOn);
  const [on, setOn] = useState(today);
  const unit = useWeightUnit();
  const [kg, setKg] = useState('');
  const [price, setPrice] = useState('');
  const [problem, setProblem] = useState<string>();
  const name = litter.dam?.name ?? litter.dam?.text ?? '';
  const submit = async (): Promise<void> => {
    const [eaten, cost] = [readTypedNumber(kg), readTypedNumber(price)];
    if (feed.trim() === '') return setProblem('Feed: give its name.');
    if (eaten.kind !== 'number' || !(eaten.value > 0))
      return setProblem(`Eaten: type the ${UNIT_WORDS[unit][1]}, without what was left.`);
    if (cost.kind !== 'number' || cost.value < 0) return setProblem(`Price: type what a ${UNIT_WORDS[unit][0]} costs.`);
    const refused = await write(
      [
        {
          type: 'feed',
          animalId: litter.dam?.animalId ?? '',
          on,
          since,
          feed: feed.trim(),
          kg: toKg(eaten.value, unit),
          priceMinor: Math.round((cost.value * 100) / toKg(1, unit)),
        },
      ],
      `Wrote down what ${name} and hers ate`,
    );
    if (refused.length > 0) return setProblem(refused.join(' '));
    onClose();
  };
  return (
    <Sheet title={`Feed of ${name} and her litter`} isOpen onClose={onClose}>
      <Row $gap={3} style={{ alignItems: 'flex-end' }}>
        <Field label="Feed" value={feed} onChange={setFeed} style={{ flex: '1 1 200px' }} />
        <Field label="From" type="date" value={since} onChange={setSince} />
        <Field label="To" type="date" value={on} onChange={setOn} />
      </Row>
      <Row>
        {(before?.feeds ?? []).map((f) => (
          <Button
            key={f.feed}
            kind="quiet"
            onPress={() => {
              setFeed(f.feed);
              setPrice(String(Number(((f.priceMinor * toKg(1, unit)) / 100).toFixed(2))));
            }}
          >
            {f.feed}
          </Button>
        ))}
      </Row>
      <Row $gap={3} style={{ alignItems: 'flex-end' }}>
        <Field label={`Eaten, ${unit}`} inputMode="decimal" style={{ width: 120 }} value={kg} onChange={setKg} />
        <Field
          label={`Price of a ${UNIT_WORDS[unit][0]}, ${holding?.currency ?? ''}`}
          inputMode="decimal"
          style={{ width: 160 }}
          value={price}
          onChange={setPrice}
        />
      </Row>
      {problem ? <p role="alert">{problem}</p> : null}
      <Row>
        <Button kind="main" onPress={() => void submit()}>
          Write it down
        </Button>
      </Row>
      <Small>Two feeds are compared under Compare litters, by what a {UNIT_WORDS[unit][0]} gained costs on each.</Small>
    </Sheet>
  );
}
