import {
  JOB_WEIGHING,
  MARK_COLOURS,
  MARK_PLACES,
  SAMPLE_PURPOSES,
  type GateChoice,
  type ProductView,
  type SortRuleFacts,
  type Station,
  type StationSettings,
} from '@yaylak/contract';
import {
  CARE_KINDS,
  CARE_METHODS,
  fromKg,
  PAINFUL_CARE,
  readTypedNumber,
  scaleUnit,
  TAG_COLOURS,
  toKg,
  type Species,
  type TagColour,
  type WeightUnit,
} from '@yaylak/core';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { outletsQuery } from '../../api/selling';
import styled from 'styled-components';
import { Choice, Field } from '../../parts/Field';
import { Row, Small } from '../../parts/Panel';
import { Tick } from '../../parts/Tick';
import { GroupField } from '../../shared/groups/GroupField';
import { CARE_WORDS, PURPOSE_WORDS } from '../../words/stations';
import type { JobPlan } from './plan';
import { ScanSettingsForm } from './ScanSettingsForm';
import { ScoreSettingsForm } from './ScoreSettingsForm';
import { dailyUnit, dailyFigure, dailyKg } from '../../words/format';

interface Props {
  readonly station: Station;
  readonly plan: JobPlan;
  readonly products: readonly ProductView[];
  readonly unit: WeightUnit;
  /** Of those who come: a pan is typed in their unit. */
  readonly species: Species | undefined;
  /** Who feels where nobody is named. */
  readonly startedBy: string;
  readonly onChange: (plan: JobPlan) => void;
}

const METHOD_WORDS = { scale: 'scale', crate: 'crate', tape: 'tape', estimate: 'by eye' } as const;
const GATE_SIGNS = { left: '← left', down: '↓ straight on', right: '→ right' } as const;

/** What one station of a job has to know; nothing where there is nothing to say. */
export function StationSettingsForm({ station, plan, products, unit, species, startedBy, onChange }: Props) {
  const { settings } = plan;
  const set = (change: Partial<StationSettings>): void => onChange({ ...plan, settings: { ...settings, ...change } });
  switch (station) {
    case 'weigh':
    case 'litter': {
      const weigh = settings.weigh ?? { method: 'scale' };
      const scale = scaleUnit(species, unit);
      return (
        <Row $gap={3}>
          {station === 'weigh' ? (
            <Choice
              label="Weigh by"
              value={weigh.method}
              options={JOB_WEIGHING.map((m) => [m, METHOD_WORDS[m]])}
              onChange={(method) => set({ weigh: { ...weigh, method } })}
            />
          ) : null}
          <FigureField
            key={scale}
            label={`Pan or basket, ${scale}`}
            value={weigh.tareKg === undefined ? undefined : fromKg(weigh.tareKg, scale)}
            onChange={(tare) => {
              const { tareKg: _, tareName: __, ...without } = weigh;
              set({
                weigh: tare === undefined ? without : { ...weigh, tareKg: Number(toKg(tare, scale).toFixed(4)) },
              });
            }}
          />
          {weigh.tareKg ? (
            <Field
              label="Which pan"
              placeholder="blue basket"
              value={weigh.tareName ?? ''}
              onChange={(tareName) => {
                const { tareName: _, ...without } = weigh;
                set({ weigh: tareName === '' ? without : { ...without, tareName } });
              }}
            />
          ) : null}
          {weigh.method === 'tape' || weigh.method === 'estimate' ? (
            <Small>
              A tape or an eye usually reads high. Weigh a few on the scale the same day: from eight pairs on your own
              reading is set right.
            </Small>
          ) : null}
        </Row>
      );
    }
    case 'treat':
      return <TreatSettingsForm settings={settings} products={products} onChange={set} />;
    case 'sample': {
      const sample = settings.sample ?? { purpose: 'blood', firstTube: '' };
      return (
        <Row $gap={3}>
          <Choice
            label="Taken for"
            value={sample.purpose}
            options={SAMPLE_PURPOSES.map((p) => [p, PURPOSE_WORDS[p]])}
            onChange={(purpose) => set({ sample: { ...sample, purpose } })}
          />
          <Field
            label="First tube"
            value={sample.firstTube}
            onChange={(firstTube) => set({ sample: { ...sample, firstTube } })}
          />
          <Small>Tubes go on from there. A new needle for each animal.</Small>
        </Row>
      );
    }
    case 'scan':
      return <ScanSettingsForm settings={settings.scan} startedBy={startedBy} onChange={(scan) => set({ scan })} />;
    case 'mark': {
      const mark = settings.mark ?? { colour: 'blue', place: 'rump', purpose: '' };
      return (
        <Row $gap={3}>
          <Choice
            label="Spray"
            value={mark.colour}
            options={MARK_COLOURS.map((c) => [c, c])}
            onChange={(colour) => set({ mark: { ...mark, colour } })}
          />
          <Choice
            label="On the"
            value={mark.place}
            options={MARK_PLACES.map((p) => [p, p])}
            onChange={(place) => set({ mark: { ...mark, place } })}
          />
          <Field
            label="What it means"
            value={mark.purpose}
            onChange={(purpose) => set({ mark: { ...mark, purpose } })}
          />
          <Field
            label="Until (may be left empty)"
            type="date"
            value={mark.until ?? ''}
            onChange={(until) => {
              const { until: _, ...without } = mark;
              set({ mark: until === '' ? without : { ...without, until } });
            }}
          />
        </Row>
      );
    }
    case 'care':
      return <CareSettingsForm settings={settings} onChange={set} />;
    case 'move':
      return (
        <GroupField
          label="They go to"
          value={settings.move?.groupId ?? ''}
          none="choose a group"
          onChange={(groupId) => set({ move: { groupId } })}
        />
      );
    case 'identify': {
      const identify = settings.identify ?? { kinds: ['visual', 'electronic'] };
      return (
        <Row $gap={3}>
          {(['visual', 'electronic'] as const).map((kind) => (
            <Tick
              key={kind}
              label={kind === 'visual' ? 'A tag to read' : 'An electronic tag'}
              isSelected={identify.kinds.includes(kind)}
              onChange={(isIn) => {
                const kinds = (['visual', 'electronic'] as const).filter((k) =>
                  k === kind ? isIn : identify.kinds.includes(k),
                );
                if (kinds.length > 0) set({ identify: { ...identify, kinds } });
              }}
            />
          ))}
          <Choice
            label="Colour of the tag"
            value={identify.colour ?? 'none'}
            options={[['none', 'not said'], ...TAG_COLOURS.map((c) => [c, c] as const)]}
            onChange={(colour: TagColour | 'none') => {
              const { colour: _, ...without } = identify;
              set({ identify: colour === 'none' ? without : { ...without, colour } });
            }}
          />
        </Row>
      );
    }
    case 'sort':
      return <SortSettingsForm plan={plan} unit={unit} onChange={onChange} />;
    case 'score':
      return (
        <ScoreSettingsForm
          settings={settings.score}
          isCrate={plan.stations.includes('weigh') && settings.weigh?.method === 'crate'}
          startedBy={startedBy}
          onChange={(score) => set({ score })}
        />
      );
    case 'measure':
      return (
        <Small>
          By stick and tape, centimetres. A weight the same day says what it weighs for its height; the aim is set under
          Holding.
        </Small>
      );
    case 'finish':
      return (
        <Small>
          Shape by eye, fat by hand at tail-head, loin, ribs and brisket. Each outlet of the species says at once
          whether the animal is ready for it. Feel from beside the gate, never with an arm through the bars.
        </Small>
      );
    case 'look':
      return (
        <Small>The holding’s standards for the species and sex, each with a letter. They are set under Holding.</Small>
      );
    case 'raddle':
      return (
        <Small>
          The colours of the males that run with each one; they are put in, and their raddle changed, under Mating.
        </Small>
      );
    case 'note':
      return null;
  }
}

function TreatSettingsForm({
  settings,
  products,
  onChange,
}: {
  readonly settings: StationSettings;
  readonly products: readonly ProductView[];
  readonly onChange: (change: Partial<StationSettings>) => void;
}) {
  const treat = settings.treat ?? { productIds: [] };
  return (
    <>
      {products.length === 0 ? (
        <Small>No products yet. They are kept under Remedies, with what their label says.</Small>
      ) : null}
      <Row $gap={3}>
        {products.map((p) => (
          <Tick
            key={p.id}
            label={p.facts.name}
            isSelected={treat.productIds.includes(p.id)}
            onChange={(isIn) => {
              const productIds = products.flatMap(({ id }) =>
                (id === p.id ? isIn : treat.productIds.includes(id)) ? [id] : [],
              );
              onChange({ treat: { ...treat, productIds } });
            }}
          />
        ))}
        <Field
          label="Why (goes into the register)"
          value={treat.reason ?? ''}
          onChange={(reason) => onChange({ treat: { ...treat, reason } })}
        />
      </Row>
      <Small>
        The dose is your label’s, from the right weight. The label and your vet decide. Nothing poured on a wet back;
        gloves on; needles into the sharps box.
      </Small>
    </>
  );
}

function CareSettingsForm({
  settings,
  onChange,
}: {
  readonly settings: StationSettings;
  readonly onChange: (change: Partial<StationSettings>) => void;
}) {
  const kinds = settings.care?.kinds ?? [];
  const isPainful = kinds.some(({ kind }) => PAINFUL_CARE.includes(kind));
  return (
    <>
      <Row $gap={3}>
        {CARE_KINDS.map((kind) => {
          const chosen = kinds.find((k) => k.kind === kind);
          return (
            <Row key={kind} $gap={1}>
              <Tick
                label={CARE_WORDS[kind]}
                isSelected={chosen !== undefined}
                onChange={(isIn) =>
                  onChange({
                    care: {
                      kinds: CARE_KINDS.flatMap((k) => {
                        const known = kinds.find((c) => c.kind === k);
                        if (k !== kind) return known ? [known] : [];
                        const [method] = CARE_METHODS[k];
                        return isIn ? [{ kind: k, ...(method ? { method } : {}) }] : [];
                      }),
                    },
                  })
                }
              />
              {chosen ? (
                <Choice
                  label={`${CARE_WORDS[kind]} how`}
                  isLabelHidden
                  value={chosen.method ?? ''}
                  options={CARE_METHODS[kind].map((m) => [m, m])}
                  onChange={(method) =>
                    onChange({ care: { kinds: kinds.map((k) => (k.kind === kind ? { kind, method } : k)) } })
                  }
                />
              ) : null}
            </Row>
          );
        })}
      </Row>
      {isPainful ? (
        <Small>
          Docking, castrating and disbudding hurt. They are only offered here, and pressed for each animal at the race.
          Up to which age, by which method, with which pain relief and by whom is for your local law and your vet to
          say; where it is not lawful, leave it out.
        </Small>
      ) : null}
    </>
  );
}

function SortSettingsForm({ plan, unit, onChange }: Pick<Props, 'plan' | 'unit' | 'onChange'>) {
  const { data: outlets } = useQuery(outletsQuery);
  const { gates } = plan;
  const rule = plan.settings.sort;
  const setRule = (sort: SortRuleFacts | undefined): void => {
    const { sort: _, ...without } = plan.settings;
    onChange({ ...plan, settings: sort ? { ...without, sort } : without });
  };
  const setGate = (key: GateChoice['key'], change: (g: GateChoice) => GateChoice): void =>
    onChange({ ...plan, gates: gates.map((g) => (g.key === key ? change(g) : g)) });
  const gateOptions = gates.map((g) => [g.key, g.name] as const);
  const by = rule?.by ?? 'none';
  const shownLine = rule?.line === undefined ? undefined : LINES[rule.by].show(rule.line, unit);
  return (
    <>
      <GateGrid>
        {gates.map((gate) => (
          <div key={gate.key}>
            <Field
              label={GATE_SIGNS[gate.key]}
              value={gate.name}
              onChange={(name) => setGate(gate.key, (g) => ({ ...g, name }))}
            />
            <GroupField
              label="and move to"
              value={gate.groupId ?? ''}
              none="stays in its group"
              onChange={(groupId) =>
                setGate(gate.key, ({ groupId: _, ...g }) => ({ ...g, ...(groupId ? { groupId } : {}) }))
              }
            />
            <Row $gap={2}>
              <Choice
                label="and spray"
                value={gate.mark?.colour ?? ''}
                options={[['', 'nothing'], ...MARK_COLOURS.map((c) => [c, c] as const)]}
                onChange={(colour) =>
                  setGate(gate.key, ({ mark, ...g }) => ({
                    ...g,
                    ...(colour === '' ? {} : { mark: { colour, place: mark?.place ?? 'rump' } }),
                  }))
                }
              />
              {gate.mark ? (
                <Choice
                  label="on the"
                  value={gate.mark.place}
                  options={MARK_PLACES.map((p) => [p, p])}
                  onChange={(place) => setGate(gate.key, (g) => (g.mark ? { ...g, mark: { ...g.mark, place } } : g))}
                />
              ) : null}
            </Row>
            <Tick
              label="for sale or slaughter"
              isSelected={gate.isForSale === true}
              onChange={(isForSale) =>
                setGate(gate.key, ({ isForSale: _, ...g }) => ({ ...g, ...(isForSale ? { isForSale } : {}) }))
              }
            />
          </div>
        ))}
      </GateGrid>
      <Row $gap={3} style={{ alignItems: 'flex-end' }}>
        <Choice
          label="Suggest a gate by"
          value={by}
          options={[
            ['none', 'nothing: I choose'],
            ['weight', 'a line of weight'],
            ['gain', 'a line of gain'],
            ['standards', 'the look-over'],
            ['ready', 'readiness for an outlet'],
            ['index', 'points of the ranking'],
          ]}
          onChange={(next) => {
            const above = rule?.above ?? gates[0]?.key ?? 'left';
            const below = rule?.below ?? gates.at(-1)?.key ?? 'right';
            setRule(next === 'none' ? undefined : { by: next, above, below });
          }}
        />
        {rule ? (
          <>
            {rule.by === 'ready' ? (
              <Choice
                label="Outlet"
                value={rule.outletId ?? ''}
                options={[
                  ['', 'choose one'],
                  ...(outlets ?? []).filter((o) => !o.isClosed).map((o) => [o.id, o.facts.name] as const),
                ]}
                onChange={(outletId) => setRule({ ...rule, outletId })}
              />
            ) : null}
            {rule.by === 'standards' || rule.by === 'ready' ? null : (
              <FigureField
                key={rule.by}
                label={LINES[rule.by].label(unit)}
                value={shownLine}
                onChange={(line) => {
                  const { line: _, ...without } = rule;
                  setRule(line === undefined ? without : { ...without, line: LINES[rule.by].read(line, unit) });
                }}
              />
            )}
            <Choice
              label={ABOVE_WORDS[rule.by] ?? 'From the line up goes'}
              value={rule.above}
              options={gateOptions}
              onChange={(above) => setRule({ ...rule, above })}
            />
            <Choice
              label={BELOW_WORDS[rule.by] ?? 'Under it goes'}
              value={rule.below}
              options={gateOptions}
              onChange={(below) => setRule({ ...rule, below })}
            />
          </>
        ) : null}
      </Row>
    </>
  );
}

const ABOVE_WORDS: Readonly<Partial<Record<SortRuleFacts['by'], string>>> = {
  standards: 'Nothing failed goes',
  ready: 'Ready goes',
};
const BELOW_WORDS: Readonly<Partial<Record<SortRuleFacts['by'], string>>> = {
  standards: 'Something failed goes',
  ready: 'Not ready goes',
};

interface LineWords {
  readonly label: (unit: WeightUnit) => string;
  readonly show: (line: number, unit: WeightUnit) => number;
  readonly read: (shown: number, unit: WeightUnit) => number;
}
const plainLine: LineWords = { label: () => '', show: (line) => line, read: (shown) => shown };
/** How a rule's line is typed: weights and gains in the holding's unit. */
const LINES: Readonly<Record<SortRuleFacts['by'], LineWords>> = {
  weight: { label: (unit) => `Line, ${unit}`, show: fromKg, read: toKg },
  gain: { label: (unit) => `Line, ${dailyUnit(unit)}`, show: dailyFigure, read: dailyKg },
  index: { ...plainLine, label: () => 'Line, points' },
  standards: plainLine,
  ready: plainLine,
};

/** A figure that may be left empty; what is no number stays in the field and is not taken. */
function FigureField({
  label,
  value,
  onChange,
}: {
  readonly label: string;
  readonly value: number | undefined;
  readonly onChange: (value: number | undefined) => void;
}) {
  const [text, setText] = useState(value === undefined ? '' : String(Number(value.toFixed(4))));
  const typed = readTypedNumber(text);
  return (
    <Field
      label={label}
      inputMode="decimal"
      value={text}
      error={typed.kind === 'refused' && typed.reason !== 'empty' ? `“${text}” is not a number.` : undefined}
      onChange={(next) => {
        setText(next);
        const read = readTypedNumber(next);
        onChange(read.kind === 'number' ? read.value : undefined);
      }}
    />
  );
}

const GateGrid = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(170px, 1fr));
  gap: 12px;
`;
