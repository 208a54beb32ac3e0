import { goesByLine, nextTube, unlikelyPan } from '@yaylak/core';
import {
  STATIONS,
  usualScoring,
  type GateChoice,
  type JobFacts,
  type Station,
  type StationSettings,
  type TemplateFacts,
  say,
} from '@yaylak/contract';
import { panFaultText } from '../../words/pan';

/** Stations, their settings and gates while a job is being put together. */
export type JobPlan = Pick<TemplateFacts, 'stations' | 'settings' | 'gates'>;

export const USUAL_GATES: readonly GateChoice[] = [
  { key: 'left', name: say('Keep') },
  { key: 'down', name: say('Second string') },
  { key: 'right', name: say('Sell'), isForSale: true },
];

/** What a station is set to when it is first ticked. */
const FIRST_SETTINGS: StationSettings = {
  weigh: { method: 'scale' },
  score: usualScoring('mating'),
  sample: { purpose: 'blood', firstTube: 'B-001' },
  scan: { way: 'scan' },
  mark: { colour: 'blue', place: 'rump', purpose: '' },
  care: { kinds: [{ kind: 'feet', method: 'trimmed' }] },
  identify: { kinds: ['visual', 'electronic'] },
};

/** The plan with a station put in, at its usual place, or taken out. */
export function withStation(plan: JobPlan, station: Station, isIn: boolean): JobPlan {
  if (!isIn) return { ...plan, stations: plan.stations.filter((s) => s !== station) };
  if (plan.stations.includes(station)) return plan;
  const after = STATIONS.slice(STATIONS.indexOf(station) + 1);
  const before = plan.stations.findIndex((s) => after.includes(s));
  const at = before < 0 ? plan.stations.length : before;
  const key = station as keyof StationSettings;
  return {
    stations: plan.stations.toSpliced(at, 0, station),
    settings: { [key]: FIRST_SETTINGS[key], ...plan.settings },
    gates: station === 'sort' && plan.gates.length === 0 ? USUAL_GATES.map((g) => ({ ...g })) : plan.gates,
  };
}

/** The plan with a station one place earlier or later. */
export function movedStation(plan: JobPlan, station: Station, by: -1 | 1): JobPlan {
  const at = plan.stations.indexOf(station);
  const to = at + by;
  if (at < 0 || to < 0 || to >= plan.stations.length) return plan;
  return { ...plan, stations: plan.stations.toSpliced(at, 1).toSpliced(to, 0, station) };
}

/** Where a form of a job says what its class refuses of the plan, and in which words. */
export const PLAN_FIELDS = { stations: 'plan', settings: 'plan', gates: 'plan' };
export const PLAN_WORDS = { gates: say('Sort: the name of a gate may have 40 letters at most. Shorten it.') };

/** What is missing before a job of this plan can start, in words; none when it can. */
export function planFault({ stations, settings, gates }: JobPlan): string | undefined {
  const has = (s: Station): boolean => stations.includes(s);
  if (stations.length === 0) return say('Choose at least one station.');
  if (has('treat') && (settings.treat?.productIds.length ?? 0) === 0)
    return say('Treat: choose a product. The list is kept under Remedies.');
  const { tareKg } = settings.weigh ?? {};
  if ((has('weigh') || has('litter')) && tareKg !== undefined && unlikelyPan(tareKg))
    return say('Pan: {panFault}', { panFault: panFaultText(tareKg, 'kg') });
  if (has('score') && settings.score?.scorers.some((name) => name.trim() === ''))
    return say('Score condition: say who is scoring.');
  if (has('sample') && (settings.sample?.firstTube.trim() ?? '') === '')
    return say('Sample: type the number of the first tube.');
  if (has('mark') && (settings.mark?.purpose.trim() ?? '') === '') return say('Mark: say what the mark means.');
  if (has('care') && (settings.care?.kinds.length ?? 0) === 0) return say('Feet, fleece, tail: choose at least one.');
  if (has('move') && !settings.move?.groupId) return say('Move: choose the group they go to.');
  if (has('sort') && gates.filter((g) => g.name.trim() !== '').length < 2) return say('Sort: name at least two gates.');
  const rule = settings.sort;
  if (has('sort') && rule?.by === 'ready' && rule.outletId === undefined)
    return say('Sort: choose the outlet they are to be ready for, or let nothing be suggested.');
  if (has('sort') && rule && goesByLine(rule.by) && rule.line === undefined)
    return say('Sort: type where the line lies, or let nothing be suggested.');
  return undefined;
}

/** What the job keeps: settings only of its stations, gates only where it sorts. */
export function keptPlan({ stations, settings, gates }: JobPlan): JobPlan {
  const { subject, young, ...byStation } = settings;
  const own = Object.entries(byStation).filter(
    ([station, value]) => value !== undefined && (stations as readonly string[]).includes(station),
  );
  const litterTare = stations.includes('litter') && settings.weigh ? { weigh: settings.weigh } : {};
  return {
    stations,
    settings: {
      ...litterTare,
      ...Object.fromEntries(own),
      ...(subject && subject !== 'each' ? { subject } : {}),
      ...(subject === 'young' ? { young: young ?? { ageDays: 2 } } : {}),
    },
    gates: stations.includes('sort') ? gates.filter((g) => g.name.trim() !== '') : [],
  };
}

/** The plan with the tube that follows the last one of its purpose, so that no number comes twice in a lot. */
export function withNextTube(plan: JobPlan, lastTubes: Readonly<Record<string, string>>): JobPlan {
  const { sample } = plan.settings;
  const last = sample && lastTubes[sample.purpose];
  const firstTube = last === undefined ? undefined : nextTube(last);
  if (!sample || firstTube === undefined) return plan;
  return { ...plan, settings: { ...plan.settings, sample: { ...sample, firstTube } } };
}

/** A plan for a job to come: what was counted in a pen was counted on another day. */
export function planToStart(plan: JobPlan): JobPlan {
  const kept = keptPlan(plan);
  return { ...kept, gates: kept.gates.map(({ counted: _, ...gate }) => gate) };
}

/** A job as what may be said of it anew. */
export const factsOf = ({ name, on, isForItsDay, stations, settings, gates, animalIds }: JobFacts): JobFacts => ({
  name,
  on,
  ...(isForItsDay ? { isForItsDay } : {}),
  ...keptPlan({ stations, settings: settings ?? {}, gates }),
  animalIds,
});
