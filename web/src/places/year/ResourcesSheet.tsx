import type { HoldingView, ResourcesSetting } from '@yaylak/contract';
import { readTypedNumber, SPECIES, SPECIES_WORDS, type Species } from '@yaylak/core';
import { useState } from 'react';
import { Button } from '../../parts/Button';
import { Field } from '../../parts/Field';
import { Row, Small, Stack } from '../../parts/Panel';
import { Sheet } from '../../parts/Sheet';
import { useSaveHolding } from '../../parts/useSaveHolding';

interface Props {
  readonly holding: HoldingView;
  readonly onClose: () => void;
}

type Stretch = Readonly<Record<'from' | 'to' | 'why', string>>;

/** Hands, pens, days away and lean stretches: what plans are held against. */
export function ResourcesSheet({ holding, onClose }: Props) {
  const save = useSaveHolding();
  const before = holding.resources;
  const [days, setDays] = useState(before.workDaysPerWeek === undefined ? '' : String(before.workDaysPerWeek));
  const [pens, setPens] = useState<Readonly<Partial<Record<Species, string>>>>(
    Object.fromEntries(before.birthPens.map((p) => [p.species, String(p.pens)])),
  );
  const [away, setAway] = useState<readonly Stretch[]>(before.away);
  const [lean, setLean] = useState<readonly Stretch[]>(before.lean);
  const [hot, setHot] = useState<readonly Stretch[]>(before.hot ?? []);
  const [problem, setProblem] = useState<string>();

  const keep = async (): Promise<void> => {
    const work = readTypedNumber(days);
    if (days !== '' && work.kind === 'refused') return setProblem(`“${days}” is not a number of days.`);
    const badPen = SPECIES.find((s) => (pens[s] ?? '') !== '' && !/^\d+$/.test(pens[s] ?? ''));
    if (badPen) return setProblem(`Pens for ${SPECIES_WORDS[badPen].plural}: “${pens[badPen] ?? ''}” is not a number.`);
    const open = [...away, ...lean, ...hot].find((s) => s.from === '' || s.to === '' || s.why.trim() === '');
    if (open) return setProblem('Each stretch wants from, to and why. Leave out those that are not needed.');
    const resources: ResourcesSetting = {
      ...(work.kind === 'number' ? { workDaysPerWeek: work.value } : {}),
      birthPens: SPECIES.flatMap((species) => (pens[species] ? [{ species, pens: Number(pens[species]) }] : [])),
      away: away.map((a) => ({ ...a })),
      lean: lean.map((l) => ({ ...l })),
      ...(hot.length > 0 ? { hot: hot.map((h) => ({ ...h })) } : {}),
    };
    const wrong = await save({ resources });
    if (wrong) return setProblem(wrong);
    onClose();
  };
  return (
    <Sheet title="Hands, pens and feed" isOpen onClose={onClose} width={780}>
      <form
        onSubmit={(e) => {
          e.preventDefault();
          void keep();
        }}
      >
        <Stack>
          <Field
            label="Days of work there are in a week, all hands together"
            inputMode="decimal"
            value={days}
            onChange={setDays}
            hint="Left empty, work is not looked at. A day is eight hours of one person."
          />
          <Row $gap={3}>
            {SPECIES.filter((s) => holding.species[s].rearing.bondingDays > 0).map((s) => (
              <Field
                key={s}
                label={`${SPECIES_WORDS[s].birth.charAt(0).toUpperCase()}${SPECIES_WORDS[s].birth.slice(1)} pens`}
                inputMode="numeric"
                value={pens[s] ?? ''}
                onChange={(text) => setPens({ ...pens, [s]: text })}
              />
            ))}
          </Row>
          <Stretches
            title="Days nobody is here"
            type="date"
            list={away}
            onChange={setAway}
            hint="A wedding, a journey, the harvest."
          />
          <Stretches
            title="Feed is short, each year"
            type="text"
            list={lean}
            onChange={setLean}
            hint="Month and day, such as 07-20."
          />
          <Stretches
            title="Heat waves"
            type="date"
            list={hot}
            onChange={setHot}
            hint="Seed suffers in them and for seven weeks after; the record of matings marks it."
          />
          {problem ? <p role="alert">{problem}</p> : null}
          <Row>
            <Button type="submit" kind="main">
              Keep
            </Button>
          </Row>
        </Stack>
      </form>
    </Sheet>
  );
}

interface StretchesProps {
  readonly title: string;
  readonly hint: string;
  readonly type: 'date' | 'text';
  readonly list: readonly Stretch[];
  readonly onChange: (list: readonly Stretch[]) => void;
}

function Stretches({ title, hint, type, list, onChange }: StretchesProps) {
  const set = (i: number, change: Partial<Stretch>): void =>
    onChange(list.map((s, n) => (n === i ? { ...s, ...change } : s)));
  return (
    <Stack $gap={2} role="group" aria-label={title}>
      <h3>{title}</h3>
      {list.map((s, i) => (
        <Row key={i} $gap={2} style={{ alignItems: 'flex-end' }}>
          <Field label="From" type={type} value={s.from} onChange={(from) => set(i, { from })} />
          <Field label="To" type={type} value={s.to} onChange={(to) => set(i, { to })} />
          <Field label="Why" value={s.why} onChange={(why) => set(i, { why })} />
          <Button kind="quiet" onPress={() => onChange(list.filter((_, n) => n !== i))}>
            Leave out
          </Button>
        </Row>
      ))}
      <Row>
        <Button onPress={() => onChange([...list, { from: '', to: '', why: '' }])}>Add</Button>
        <Small>{hint}</Small>
      </Row>
    </Stack>
  );
}
