import type { Birth } from '../births';
import { castratedOn, groupOn, type AnimalFacts } from '../book';
import { addDays, dayOfMoment, type Day } from '../calendar';
import {
  heatsSeen,
  malesWith,
  ranUnmarked,
  ranWithServices,
  spells,
  type Exposure,
  type Heat,
  type RanUnmarked,
  type RanWith,
  type Service,
  type Spell,
} from '../mating';
import type { SpeciesSettings } from '../species';

/** What is known of a female's heats and services. */
export interface FemaleHistory {
  readonly heats: readonly Heat[];
  readonly spells: readonly Spell[];
  readonly lastBirthOn: Day | undefined;
  readonly hasGivenBirth: boolean;
  /** She ran with a male that marks whom he serves, and wears no mark: since when, and with whom. */
  readonly unmarked: RanUnmarked | undefined;
}

/** What of the others her history hangs on. */
export interface FemaleHistoryContext {
  /** Every stay of a male with a group, teasers too. */
  readonly exposures: readonly Exposure[];
  readonly births: readonly Birth[];
  readonly settings: SpeciesSettings;
  readonly today: Day;
}

/** A birth so far outside the usual range still is of a service that was written down. */
const SLACK_DAYS = 4;

/** A female's heats and services, those written down and those she must have had, and what came of them. */
export function femaleHistory(
  facts: AnimalFacts,
  { exposures, births, settings, today }: FemaleHistoryContext,
): FemaleHistory {
  const heats = heatsSeen(facts.heats, settings);
  const told = births.map((b) => ({ on: b.on, young: b.alive + b.dead }));
  const gone = facts.departures[0]?.on;
  // Who left is judged by what was known then: no birth is to be expected of her any more.
  const asOf = (gone === undefined ? today : Math.min(gone, today)) as Day;
  const running = {
    ran: ranWith(facts, exposures, settings, asOf),
    serviceDays: facts.services.map((s) => s.on),
    birthDays: told.map((b) => b.on),
  };
  return {
    heats,
    spells: spells(
      {
        services: [
          ...facts.services,
          ...unseenServices(facts, told, exposures, settings),
          ...ranWithServices(running, settings, asOf),
        ],
        // Without a cycle a red vulva comes and goes in young as well: only who lifts for the buck is back.
        heatDays: heats.flatMap((h) =>
          h.isStanding || settings.heatCycleDays.mean > 0 ? [dayOfMoment(h.seenAt)] : [],
        ),
        births: told,
        emptyOn: emptyDays(facts),
      },
      settings,
      asOf,
    ),
    lastBirthOn: told.at(-1)?.on,
    hasGivenBirth: told.length > 0,
    unmarked: ranUnmarked(running, settings, asOf),
  };
}

/** Births no service was written down for, of females that ran with males then: any of these may be the sire. */
function unseenServices(
  facts: AnimalFacts,
  births: readonly { readonly on: Day }[],
  exposures: readonly Exposure[],
  { gestationDays: g }: SpeciesSettings,
): Service[] {
  return births.flatMap((birth): Service[] => {
    const on = addDays(birth.on, -g.mean);
    const isKnown = facts.services.some(
      (s) => s.on >= addDays(birth.on, -g.to - SLACK_DAYS) && s.on <= addDays(birth.on, -g.from + SLACK_DAYS),
    );
    const groupId = groupOn(facts, on);
    const maleIds = isKnown || groupId === undefined ? [] : malesWith(exposures, groupId, on);
    return maleIds.length === 0 ? [] : [{ on, at: undefined, way: 'ran-with', maleIds }];
  });
}

/** Stretches she ran with males that may sire. */
function ranWith(
  facts: AnimalFacts,
  exposures: readonly Exposure[],
  { femaleFirstMatingDays }: SpeciesSettings,
  asOf: Day,
): RanWith[] {
  const { bornOn } = facts.record;
  const oldEnough = bornOn === undefined ? undefined : addDays(bornOn, femaleFirstMatingDays);
  return exposures.filter((e) => {
    const to = e.to ?? asOf;
    const wasThere = groupOn(facts, e.from) === e.groupId || groupOn(facts, to) === e.groupId;
    return !e.isTeaser && wasThere && (facts.arrivedOn ?? e.from) <= to && (oldEnough ?? e.from) <= e.from;
  });
}

/** Days she was told empty, or was found to have lost it. */
const emptyDays = ({ pregnancyTests, losses }: AnimalFacts): Day[] => [
  ...pregnancyTests.flatMap((t) => (t.result === 'empty' ? [t.on] : [])),
  ...losses.map((l) => l.on),
];

/**
 * A male's stays; one that left the holding stays no longer, and a teaser, or a castrate, sires nothing: of one that was
 * castrated while he ran with them, what he may have sired ends on that day.
 */
export function exposuresOf(facts: AnimalFacts): Exposure[] {
  const isCastrate = facts.record.sex === 'castrate';
  const cutOn = isCastrate ? castratedOn(facts) : undefined;
  return facts.stays.map((s): Exposure => {
    const end = facts.stayEnds.find((e) => e.stayId === s.entryId)?.on ?? facts.departures[0]?.on;
    const wasWhole = cutOn !== undefined && s.on < cutOn;
    return {
      maleId: facts.record.id,
      groupId: s.groupId,
      from: s.on,
      to: wasWhole && (end === undefined || cutOn < end) ? cutOn : end,
      isTeaser: s.isTeaser || (isCastrate && !wasWhole),
      isRaddled: s.colour !== undefined || facts.harnesses.some((h) => h.stayId === s.entryId),
    };
  });
}

/** What a test of a female on a day hangs on: the last day she may have been served since her last birth by then. */
export function testedFemale(
  { spells: all }: Pick<FemaleHistory, 'spells'>,
  births: readonly Birth[],
  on: Day,
): { readonly servedOn: Day | undefined; readonly lastBirthOn: Day | undefined } {
  const lastBirthOn = births.findLast((b) => b.on <= on)?.on;
  const open = all.filter((s) => s.on <= on && (lastBirthOn === undefined || s.on >= lastBirthOn));
  const last = open.at(-1);
  return { servedOn: last && (Math.min(last.lastOn, on) as Day), lastBirthOn };
}
