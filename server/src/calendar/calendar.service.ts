import { Inject, Injectable } from '@nestjs/common';
import { chanceText, dayText, stepName, workTitle, type WindowView, say, SPECIES_WORDS } from '@yaylak/contract';
import { addDays, CARRYING_FROM, dayOf, isoOf, type Day } from '@yaylak/core';
import ical, { ICalAlarmType, ICalCalendarMethod } from 'ical-generator';
import { BirthsToComeService } from '../carrying/birthsToCome.service';
import { Clock } from '../common/clock';
import { notFound } from '../common/problems';
import { DueService } from '../due/due.service';
import { HoldingService } from '../holding/holding.service';
import { SeasonService } from '../season/season.service';
import { SaleAheadService } from '../selling/ahead.service';

/** Steps of the last half year stay in the calendar, so that it can be looked back at. */
const BACK_DAYS = 183;
const DAY_SECONDS = 86_400;

/** Whole days, the last included. */
interface CalendarEvent {
  readonly id: string;
  readonly summary: string;
  readonly from: Day;
  readonly to: Day;
  readonly lines: readonly string[];
}

/** The plan and what is due as an iCalendar (RFC 5545) of whole days. */
@Injectable()
export class CalendarService {
  constructor(
    @Inject(SeasonService) private readonly season: SeasonService,
    @Inject(BirthsToComeService) private readonly birthList: BirthsToComeService,
    @Inject(DueService) private readonly due: DueService,
    @Inject(HoldingService) private readonly holding: HoldingService,
    @Inject(SaleAheadService) private readonly saleAhead: SaleAheadService,
    @Inject(Clock) private readonly clock: Clock,
  ) {}

  /** @throws ProblemException when the key is not the one of the address */
  async text(key: string): Promise<string> {
    if (key !== (await this.holding.calendarKey())) throw notFound('calendar');
    const { name, calendar: setting } = await this.holding.settings();
    const { ownText, alarmDays } = setting ?? {};
    const calendar = ical({
      name: say('{name}: the year', { name }),
      prodId: { company: say('Yaylak'), product: say('Year plan'), language: 'EN' },
      method: ICalCalendarMethod.PUBLISH,
      // A subscriber asks again every few hours.
      ttl: 6 * 3600,
    });
    for (const { id, summary, from, to, lines } of [...this.events(), ...(await this.sales())]) {
      const event = calendar.createEvent({
        id,
        summary,
        description: [...lines, ...(ownText ? [ownText] : [])].join('\n'),
        allDay: true,
        start: utc(from),
        // The end of a whole-day event is the day after its last.
        end: utc(addDays(to, 1)),
        timezone: null,
      });
      if (alarmDays !== undefined)
        event.createAlarm({
          type: ICalAlarmType.display,
          triggerBefore: alarmDays * DAY_SECONDS,
          description: summary,
        });
    }
    return calendar.toString();
  }

  /** Loads planned, reservations that end, the outlets' next days, and when the first of those ready are ready no longer. */
  private async sales(): Promise<CalendarEvent[]> {
    const { loads, reserved, species } = await this.saleAhead.view();
    const onOne = (id: string, on: string, summary: string, ...lines: string[]): CalendarEvent => ({
      id: `${id}@yaylak`,
      summary,
      from: dayOf(on),
      to: dayOf(on),
      lines,
    });
    return [
      ...loads.map((l) =>
        onOne(`load-${l.id}`, l.on, say('Load for {outletName}', { outletName: l.outletName }), `${l.heads} head.`),
      ),
      ...reserved.map((r) =>
        onOne(
          `reserved-${r.tag.animalId}-${r.until}`,
          r.until,
          say('{text}: kept for {buyer} to this day', { text: r.tag.text, buyer: r.buyer }),
        ),
      ),
      ...species.flatMap((s) =>
        s.outlets.map((o) =>
          onOne(
            `outlet-${o.id}-${o.goesOn}`,
            o.goesOn,
            say('{name} goes: {fits} ready', { name: o.name, fits: o.fits }),
            say('{name} that lie in what it wants today.', { name: SPECIES_WORDS[s.species].name }),
          ),
        ),
      ),
      ...species.flatMap((s) =>
        s.closesOn === null
          ? []
          : [
              onOne(
                `closing-${s.species}`,
                s.closesOn,
                say('{name}: last day the first of {closing} is ready to sell', {
                  name: SPECIES_WORDS[s.species].name,
                  closing: s.closing,
                }),
              ),
            ],
      ),
    ];
  }

  /** Births awaited of females one by one, on the days they are usual. */
  private births(): CalendarEvent[] {
    return this.birthList.list().rows.flatMap((r) =>
      r.probability !== null && r.probability < CARRYING_FROM
        ? []
        : [
            {
              id: `birth-${r.tag.animalId}-${r.servedOn}@yaylak`,
              summary: `${r.tag.text}${r.tag.name ? ` ${r.tag.name}` : ''}: ${SPECIES_WORDS[r.species].birth}`,
              from: dayOf(r.birth.bestFrom),
              to: dayOf(r.birth.bestTo),
              lines: [
                say('In young: {chance}. Served {date}.', {
                  chance: chanceText(r.probability),
                  date: dayText(r.servedOn),
                }),
                say('From {date}, at the latest {date2}.', {
                  date: dayText(r.birth.opens),
                  date2: dayText(r.birth.closes),
                }),
              ],
            },
          ],
    );
  }

  private events(): CalendarEvent[] {
    const today = this.clock.today();
    const steps = this.season.laid().flatMap(({ record, steps: all }) =>
      all.flatMap((step) => {
        const { opens, bestFrom, bestTo, closes } = step.window;
        if (closes < today - BACK_DAYS) return [];
        const window = step.isStretch
          ? []
          : [
              windowLine({
                opens: isoOf(opens),
                bestFrom: isoOf(bestFrom),
                bestTo: isoOf(bestTo),
                closes: isoOf(closes),
              }),
            ];
        const doneOn = record.facts.done[step.key];
        return [
          {
            id: `${record.id}-${step.key.replaceAll(' ', '-')}@yaylak`,
            summary: `${stepName(step, record.facts)}${doneOn ? ` ${say('(done)')}` : ''}`,
            from: bestFrom,
            to: bestTo,
            lines: [
              record.facts.name,
              ...window,
              ...(doneOn ? [say('Done on {date}.', { date: dayText(doneOn) })] : []),
            ],
          },
        ];
      }),
    );
    const due = this.due.list().flatMap((work) => {
      if (work.steps.length > 0) return [];
      const w = work.window;
      return [
        {
          id: `${work.key.replaceAll(/[^\w-]+/g, '-')}@yaylak`,
          summary: workTitle(work),
          from: dayOf(w.bestFrom),
          to: dayOf(w.bestTo),
          lines: [...work.why, ...(work.group ? [work.group.name] : []), windowLine(w)],
        },
      ];
    });
    return [...steps, ...due, ...this.births()];
  }
}

const windowLine = ({ opens, bestFrom, bestTo, closes }: WindowView): string =>
  say('Opens {date}, best {date2} to {date3}, closes {date4}.', {
    date: dayText(opens),
    date2: dayText(bestFrom),
    date3: dayText(bestTo),
    date4: dayText(closes),
  });

/** A calendar day as the library wants it: the date at midnight UTC, of which it writes only the date. */
const utc = (day: Day): Date => new Date(`${isoOf(day)}T00:00:00Z`);
