import type { LitterView } from '@yaylak/contract';
import { readTypedNumber, scaleUnit, SPECIES_WORDS, toKg, type Species } from '@yaylak/core';
import { useState } from 'react';
import type { EntryDraft } from '../../outbox/useRecord';
import { Button } from '../../parts/Button';
import { Choice, Field } from '../../parts/Field';
import { Row, Small } from '../../parts/Panel';
import { Sheet } from '../../parts/Sheet';
import { useWrite } from '../../parts/useWrite';
import { countText, weightText } from '../../words/format';
import { useWeightUnit } from '../../words/useUnits';

interface Props {
  readonly litter: LitterView;
  readonly species: Species;
  readonly today: string;
  readonly onClose: () => void;
}

type How = 'together' | 'each';

/** A litter on the scale: together, or each in its turn. */
export function WeighSheet({ litter, species, today, onClose }: Props) {
  const write = useWrite();
  const unit = useWeightUnit();
  const { dam, young } = litter;
  const [how, setHow] = useState<How>(dam ? (litter.toWeigh ?? 'each') : 'each');
  const [on, setOn] = useState(today);
  const [count, setCount] = useState(String(young.length));
  const [total, setTotal] = useState('');
  const [each, setEach] = useState<Readonly<Record<string, string>>>({});
  const [problem, setProblem] = useState<string>();
  const scale = scaleUnit(species, unit);
  const words = SPECIES_WORDS[species].young;
  const name = dam?.name ?? dam?.text ?? 'those reared by hand';
  const kgOf = (text: string): number | undefined => {
    const typed = readTypedNumber(text);
    return typed.kind === 'number' && typed.value > 0 ? Number(toKg(typed.value, scale).toFixed(4)) : undefined;
  };
  const entries = (): readonly EntryDraft[] | string => {
    if (how === 'together') {
      const totalKg = kgOf(total);
      if (!/^[1-9]\d?$/.test(count.trim())) return 'How many: count them as a whole number.';
      if (totalKg === undefined) return `Together: type what the scale says in ${scale}.`;
      return [{ type: 'litter-weight', animalId: dam?.animalId ?? '', on, totalKg, count: Number(count) }];
    }
    const typed = young.filter((y) => (each[y.tag.animalId] ?? '').trim() !== '');
    if (typed.length === 0) return `Type the weight of each in ${scale}; who was not weighed is left out.`;
    const made: EntryDraft[] = [];
    for (const y of typed) {
      const text = each[y.tag.animalId] ?? '';
      const kg = kgOf(text);
      if (kg === undefined) return `“${text}” is no weight. Type what the scale says in ${scale}.`;
      made.push({ type: 'weight', animalId: y.tag.animalId, on, kg, method: 'scale' });
    }
    return made;
  };
  const submit = async (): Promise<void> => {
    const made = entries();
    if (typeof made === 'string') return setProblem(made);
    const what = how === 'together' ? 'the litter' : countText(made.length, ...words.unknown);
    const refused = await write(made, `Weighed ${what} of ${name}`);
    if (refused.length > 0) return setProblem(refused.join(' '));
    onClose();
  };
  return (
    <Sheet title={`Weigh the litter of ${name}`} isOpen onClose={onClose}>
      <Row $gap={3} style={{ alignItems: 'flex-end' }}>
        {dam ? (
          <Choice<How>
            label="How"
            value={how}
            options={[
              ['together', 'all together'],
              ['each', 'each in turn'],
            ]}
            onChange={setHow}
          />
        ) : null}
        <Field label="On" type="date" value={on} onChange={setOn} />
      </Row>
      {how === 'together' ? (
        <Row $gap={3} style={{ alignItems: 'flex-end' }}>
          <Field
            label={`Together, ${scale}`}
            inputMode="decimal"
            style={{ width: 150 }}
            value={total}
            onChange={setTotal}
            autoFocus
          />
          <Field label="How many" inputMode="numeric" style={{ width: 100 }} value={count} onChange={setCount} />
        </Row>
      ) : (
        <Row $gap={3} role="group" aria-label="Each">
          {young.map((y, i) => (
            <Field
              key={y.tag.animalId}
              label={`${y.tag.kind === 'none' ? `${i + 1}. ${words[y.sex === 'castrate' ? 'male' : y.sex][0]}` : y.tag.text}, ${scale}`}
              hint={y.lastKg === null ? undefined : `last ${weightText(y.lastKg, unit, species)}`}
              inputMode="decimal"
              style={{ width: 130 }}
              value={each[y.tag.animalId] ?? ''}
              onChange={(text) => setEach({ ...each, [y.tag.animalId]: text })}
              autoFocus={i === 0}
            />
          ))}
        </Row>
      )}
      {problem ? <p role="alert">{problem}</p> : null}
      <Row>
        <Button kind="main" onPress={() => void submit()}>
          Write it down
        </Button>
      </Row>
      <Small>
        At one hour of the day, before the doe has suckled. One school weighs the whole litter for two weeks and then
        each, another each from birth: set it under Holding. Kits without a mark stand here heaviest first: weigh them
        in that order.
      </Small>
    </Sheet>
  );
}
