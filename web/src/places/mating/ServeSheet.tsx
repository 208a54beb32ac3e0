import { useQuery } from '@tanstack/react-query';
import {
  percentText,
  ServiceEntry,
  type FemaleToMateView,
  type HeatView,
  type MatingView,
  say,
  SPECIES_WORDS,
} from '@yaylak/contract';
import { momentOf, parseMoment, serviceTiming, type ServiceTiming } from '@yaylak/core';
import { useState } from 'react';
import { useWatch } from 'react-hook-form';
import { pedigreeQuery } from '../../api/queries';
import type { EntryDraft } from '../../outbox/useRecord';
import { Button } from '../../parts/Button';
import { EntryForm } from '../../parts/form/EntryForm';
import { FormChoice, FormField, FormTick } from '../../parts/form/fields';
import { useEntryForm } from '../../parts/form/useEntryForm';
import { NotePanel, Row, Small } from '../../parts/Panel';
import { Sheet } from '../../parts/Sheet';
import { Tag } from '../../parts/Tag';
import { useWrite } from '../../parts/useWrite';
import { HourBar } from '../../parts/WindowBar';
import { dayAndHour } from '../../words/dates';

interface Props {
  readonly female: FemaleToMateView;
  readonly heat: HeatView | undefined;
  readonly view: MatingView;
  readonly onClose: () => void;
}

type Way = 'hand' | 'insemination' | 'raddle' | 'ran-with';

/** Stands in the list of males for one that is not in the book. */
const OTHER = 'other';

interface Typed {
  readonly way: Way;
  readonly at: string;
  readonly maleId: string;
  readonly otherMale: string;
  readonly straw: string;
  readonly batch: string;
  readonly technician: string;
  readonly isWitnessed: boolean;
  readonly isCheck: boolean;
  readonly reason: string;
}

/** A service of one female: by whom, how and when; too early or too late, and a pair not put together, are said at once. */
export function ServeSheet({ female, heat, view, onClose }: Props) {
  const { tag } = female;
  const { data: family } = useQuery(pedigreeQuery(tag.animalId, 2));
  const name = tag.name ?? tag.text;
  const { grown, isTakenToMale } = SPECIES_WORDS[view.species];
  const partners = family?.partners ?? [];
  const held = female.reasons.filter((r) => r.holds);
  const partnerOf = ({ maleId }: Pick<Typed, 'maleId'>) => partners.find((p) => p.tag.animalId === maleId);
  // A mark found in the field is written down whoever made it, and on whom.
  const isChosen = ({ way }: Pick<Typed, 'way'>): boolean => way === 'hand' || way === 'insemination';
  const isAsked = (typed: Pick<Typed, 'way' | 'maleId'>): boolean =>
    isChosen(typed) && (partnerOf(typed)?.refusal != null || held.length > 0);
  const asked = useEntryForm<Typed>({
    of: () => ServiceEntry,
    start: {
      way: 'hand',
      at: view.now,
      maleId: '',
      otherMale: '',
      straw: '',
      batch: '',
      technician: '',
      isWitnessed: true,
      isCheck: view.school === 'none' && female.chance !== null,
      reason: '',
    },
    read: (typed) => {
      const { way, at, maleId, isWitnessed, isCheck } = typed;
      const isStraw = way === 'insemination' && maleId === '';
      return {
        type: 'service',
        animalId: tag.animalId,
        on: at.slice(0, 10),
        at,
        way,
        maleIds: maleId === '' || maleId === OTHER ? [] : [maleId],
        ...(way === 'hand' ? { isWitnessed } : {}),
        ...(isCheck ? { isCheck } : {}),
        ...maybe('otherMale', maleId === OTHER ? typed.otherMale : ''),
        ...maybe('straw', isStraw ? typed.straw : ''),
        ...maybe('batch', way === 'insemination' ? typed.batch : ''),
        ...maybe('technician', way === 'insemination' ? typed.technician : ''),
        ...maybe('reason', typed.reason),
      };
    },
    words: { at: say('Give the day and the hour.'), on: say('Give the day and the hour.') },
    fieldOf: { on: 'at' },
    also: (typed) => {
      const { way, maleId, otherMale, straw } = typed;
      const isStraw = way === 'insemination' && maleId === '';
      return {
        ...(maleId === OTHER && otherMale.trim() === ''
          ? { otherMale: say('Say which male: “the neighbour’s ram”, or “not known”.') }
          : {}),
        ...(isStraw && straw.trim() === ''
          ? { straw: say('Say whose straw: its code, or a male of the holding.') }
          : {}),
        ...(maleId === '' && !isStraw ? { maleId: say('Choose the male.') } : {}),
        ...(isAsked(typed) && typed.reason.trim() === ''
          ? {
              reason: partnerOf(typed)?.refusal
                ? say('These two should not be mated. Choose another male, or give a reason for going ahead.')
                : say('She is not ready to mate. Leave her, or give a reason for going ahead.'),
            }
          : {}),
      };
    },
  });
  const { control } = asked.form;
  const [way, at, maleId] = useWatch({ control, name: ['way', 'at', 'maleId'] });
  const partner = partnerOf({ maleId });
  const timing =
    heat?.window && parseMoment(at) !== undefined
      ? serviceTiming(windowOf(heat.window), momentOf(at), earliestOf(heat))
      : undefined;
  return (
    <Sheet title={say('Serve {name}', { name })} isOpen onClose={onClose} width={640}>
      <Row>
        <Tag tag={tag} isStatic />
        <Small>
          {female.reasons.length === 0
            ? say('nothing speaks against mating her')
            : female.reasons.flatMap((r) => (isAsked({ way, maleId }) && r.holds ? [] : [r.words])).join('; ')}
        </Small>
      </Row>
      {heat?.window ? (
        <HourBar
          window={heat.window}
          earliest={heat.opensEarliest}
          now={parseMoment(at) === undefined ? view.now : at}
        />
      ) : null}
      <EntryForm
        {...asked}
        done={() => say('Recorded the service of {name}', { name })}
        onDone={onClose}
        submit={say('Record service')}
        against={
          isChosen({ way }) && !isAsked({ way, maleId }) ? (
            <FormField name="reason" label={say('Reason for going ahead')} />
          ) : null
        }
        more={<Instead female={female} at={at} way={way} today={view.on} onDone={onClose} />}
      >
        <Row $gap={3} style={{ alignItems: 'flex-end' }}>
          <FormChoice
            name="way"
            label={say('How')}
            options={[
              [
                'hand',
                isTakenToMale
                  ? say('by hand, taken to the {value}', { value: grown.male[0] })
                  : say('by hand, male brought to her'),
              ],
              ['insemination', say('insemination')],
              ['raddle', say('found marked')],
              ['ran-with', say('ran with him, not seen')],
            ]}
          />
          <FormField name="at" label={say('When')} type="datetime-local" />
        </Row>
        {timing && heat?.window && timing !== 'best' && isChosen({ way }) ? (
          <NotePanel $tone={timing === 'too-early' || timing === 'too-late' ? 'madder' : 'weld'} role="status">
            {timingWords(timing, heat, view.now.slice(0, 10))}
          </NotePanel>
        ) : null}
        <FormChoice
          name="maleId"
          label={way === 'insemination' ? say('Male of the holding, or a straw') : say('Male')}
          options={[
            ['', way === 'insemination' ? say('a straw') : say('choose the male')],
            ...partners.map(
              (p) =>
                [
                  p.tag.animalId,
                  `${p.tag.name ?? p.tag.text}: ${percentText(p.inbreeding)} inbred${p.refusal ? say(', not to be') : ''}${p.isReady ? '' : say(', not fit')}`,
                ] as const,
            ),
            ...(way === 'insemination' ? [] : [[OTHER, say('a male from elsewhere, or not known')] as const]),
          ]}
        />
        {maleId === OTHER ? <FormField name="otherMale" label={say('Which male')} isRequired /> : null}
        {way === 'insemination' ? (
          <Row $gap={3}>
            {maleId === '' ? <FormField name="straw" label={say('Code of the straw')} /> : null}
            <FormField name="batch" label={say('Batch')} />
            <FormField name="technician" label={say('Inseminated by')} />
          </Row>
        ) : null}
        {way === 'hand' ? (
          <Row $gap={4}>
            <FormTick name="isWitnessed" label={say('seen to serve')} />
            {view.school === 'none' ? (
              <FormTick name="isCheck" label={say('check mating: offered again after some days')} />
            ) : null}
          </Row>
        ) : null}
        {isAsked({ way, maleId }) ? (
          <NotePanel $tone="madder" role="status">
            {partner?.refusal ? (
              <p>
                <b>{say('Do not mate these.')}</b> {partner.refusal}
              </p>
            ) : null}
            {held.length > 0 ? (
              <p>
                <b>{say('Not ready to mate:')}</b> {held.map((r) => r.words).join('; ')}.
              </p>
            ) : null}
            <FormField name="reason" label={say('Reason for going ahead')} isRequired />
          </NotePanel>
        ) : null}
      </EntryForm>
      <Small>
        {say('Serve twice in the window where you can. One needle, one glove, one animal; wash before the next.')}
      </Small>
    </Sheet>
  );
}

interface InsteadProps {
  readonly female: FemaleToMateView;
  readonly at: string;
  readonly way: Way;
  readonly today: string;
  readonly onDone: () => void;
}

/** Writes down instead why she is not served. */
function Instead({ female: { tag }, at, way, today, onDone }: InsteadProps) {
  const write = useWrite();
  const [problem, setProblem] = useState<string>();
  const name = tag.name ?? tag.text;
  const instead = async (entry: EntryDraft, done: string): Promise<void> => {
    const refused = await write([entry], done);
    if (refused.length > 0) return setProblem(refused.join(' '));
    onDone();
  };
  const { animalId } = tag;
  const refuses = async (): Promise<void> => {
    if (parseMoment(at) === undefined) return setProblem(say('When: give the day and the hour.'));
    await instead(
      { type: 'heat', animalId, on: at.slice(0, 10), at, signs: ['refuses'] },
      say('{name} refused him', { name }),
    );
  };
  return (
    <>
      {way === 'hand' ? <Button onPress={() => void refuses()}>{say('She refuses him')}</Button> : null}
      <Button
        kind="quiet"
        onPress={() =>
          void instead(
            { type: 'check', animalId, on: today, what: 'womb', isFound: true },
            say('The womb of {name} is not clean', { name }),
          )
        }
      >
        {say('Womb infection: hold off')}
      </Button>
      {problem ? <p role="alert">{problem}</p> : null}
    </>
  );
}

const maybe = (
  key: 'straw' | 'otherMale' | 'batch' | 'technician' | 'reason',
  value: string,
): Record<string, string> => (value.trim() === '' ? {} : { [key]: value.trim() });

const windowOf = (w: NonNullable<HeatView['window']>) => ({
  opens: momentOf(w.opens),
  bestFrom: momentOf(w.bestFrom),
  bestTo: momentOf(w.bestTo),
  closes: momentOf(w.closes),
});

const earliestOf = ({ opensEarliest }: HeatView) => (opensEarliest === null ? undefined : momentOf(opensEarliest));

function timingWords(
  timing: Exclude<ServiceTiming, 'best'>,
  { window, opensEarliest }: HeatView,
  today: string,
): string {
  if (!window) return '';
  const time = (at: string): string => dayAndHour(at, today);
  switch (timing) {
    case 'too-early':
      return say('Too early: the window opens {opens} and is best from {from}.', {
        opens: time(window.opens),
        from: time(window.bestFrom),
      });
    case 'perhaps-early':
      return say(
        'Perhaps too early: she began to stand between two looks, so the window opened between {earliest} and {opens}. Serve again later.',
        { earliest: time(opensEarliest ?? window.opens), opens: time(window.opens) },
      );
    case 'early':
      return say('Early: it is best from {from} to {to}. Serve again then.', {
        from: time(window.bestFrom),
        to: time(window.bestTo),
      });
    case 'late':
      return say('Late: it was best until {to} and closes {closes}.', {
        to: time(window.bestTo),
        closes: time(window.closes),
      });
    case 'too-late':
      return say('Too late: the window closed {closes}. Watch for her next heat.', { closes: time(window.closes) });
  }
}
