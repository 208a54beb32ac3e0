import { MARK_COLOURS, MARK_PLACES, type GateChoice, type SortRuleFacts, say } from '@yaylak/contract';
import { fromKg, toKg, type WeightUnit } from '@yaylak/core';
import { useQuery } from '@tanstack/react-query';
import styled from 'styled-components';
import { outletsQuery } from '../../../api/selling';
import { Choice } from '../../../parts/Choice';
import { Field } from '../../../parts/Field';
import { Row } from '../../../parts/Panel';
import { Tick } from '../../../parts/Tick';
import { GroupField } from '../../../shared/groups/GroupField';
import { dailyFigure, dailyKg, dailyUnit } from '../../../words/format';
import type { JobPlan } from '../plan';
import { LiveFigure } from './LiveFigure';

interface Props {
  readonly plan: JobPlan;
  readonly unit: WeightUnit;
  readonly onChange: (plan: JobPlan) => void;
}

const GATE_SIGNS = { left: say('← left'), down: say('↓ straight on'), right: say('→ right') } as const;

/** The gates, what lies behind each, and what suggests one. */
export function SortSettingsForm({ plan, unit, onChange }: Props) {
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
              label={say('and move to')}
              value={gate.groupId ?? ''}
              none={say('stays in its group')}
              onChange={(groupId) =>
                setGate(gate.key, ({ groupId: _, ...g }) => ({ ...g, ...(groupId ? { groupId } : {}) }))
              }
            />
            <Row $gap={2}>
              <Choice
                label={say('and spray')}
                value={gate.mark?.colour ?? ''}
                options={[['', say('nothing')], ...MARK_COLOURS.map((c) => [c, say(c)] as const)]}
                onChange={(colour) =>
                  setGate(gate.key, ({ mark, ...g }) => ({
                    ...g,
                    ...(colour === '' ? {} : { mark: { colour, place: mark?.place ?? 'rump' } }),
                  }))
                }
              />
              {gate.mark ? (
                <Choice
                  label={say('on the')}
                  value={gate.mark.place}
                  options={MARK_PLACES.map((p) => [p, say(p)])}
                  onChange={(place) => setGate(gate.key, (g) => (g.mark ? { ...g, mark: { ...g.mark, place } } : g))}
                />
              ) : null}
            </Row>
            <Tick
              label={say('for sale or slaughter')}
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
          label={say('Suggest a gate by')}
          value={by}
          options={[
            ['none', say('nothing: I choose')],
            ['weight', say('a line of weight')],
            ['gain', say('a line of gain')],
            ['standards', say('the look-over')],
            ['ready', say('readiness for an outlet')],
            ['index', say('points of the ranking')],
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
                label={say('Outlet')}
                value={rule.outletId ?? ''}
                options={[
                  ['', say('choose one')],
                  ...(outlets ?? []).filter((o) => !o.isClosed).map((o) => [o.id, o.facts.name] as const),
                ]}
                onChange={(outletId) => setRule({ ...rule, outletId })}
              />
            ) : null}
            {rule.by === 'standards' || rule.by === 'ready' ? null : (
              <LiveFigure
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
              label={ABOVE_WORDS[rule.by] ?? say('At or above the line, send')}
              value={rule.above}
              options={gateOptions}
              onChange={(above) => setRule({ ...rule, above })}
            />
            <Choice
              label={BELOW_WORDS[rule.by] ?? say('Below it, send')}
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
  standards: say('None failed, send'),
  ready: say('Ready, send'),
};
const BELOW_WORDS: Readonly<Partial<Record<SortRuleFacts['by'], string>>> = {
  standards: say('Any that fail, send'),
  ready: say('Not ready, send'),
};

interface LineWords {
  readonly label: (unit: WeightUnit) => string;
  readonly show: (line: number, unit: WeightUnit) => number;
  readonly read: (shown: number, unit: WeightUnit) => number;
}
const plainLine: LineWords = { label: () => '', show: (line) => line, read: (shown) => shown };
/** How a rule's line is typed: weights and gains in the holding's unit. */
const LINES: Readonly<Record<SortRuleFacts['by'], LineWords>> = {
  weight: { label: (unit) => say('Line, {unit}', { unit }), show: fromKg, read: toKg },
  gain: { label: (unit) => say('Line, {dailyUnit}', { dailyUnit: dailyUnit(unit) }), show: dailyFigure, read: dailyKg },
  index: { ...plainLine, label: () => say('Line, points') },
  standards: plainLine,
  ready: plainLine,
};

const GateGrid = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(170px, 1fr));
  gap: 12px;
`;
