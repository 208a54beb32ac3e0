import { useQuery } from '@tanstack/react-query';
import { percentText, ServiceEntry, type FemaleToMateView, type HeatView, type MatingView } from '@yaylak/contract';
import { momentOf, parseMoment, serviceTiming, SPECIES_WORDS, type ServiceTiming } from '@yaylak/core';
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
import { dayAndHour } from '../../words/format';

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
    words: { at: 'Give the day and the hour.', on: 'Give the day and the hour.' },
    fieldOf: { on: 'at' },
    also: (typed) => {
      const { way, maleId, otherMale, straw } = typed;
      const isStraw = way === 'insemination' && maleId === '';
      return {
        ...(maleId === OTHER && otherMale.trim() === ''
          ? { otherMale: 'Say which male: “the neighbour’s ram”, or “not known”.' }
          : {}),
        ...(isStraw && straw.trim() === '' ? { straw: 'Say whose straw: its code, or a male of the holding.' } : {}),
        ...(maleId === '' && !isStraw ? { maleId: 'Choose the male.' } : {}),
        ...(isAsked(typed) && typed.reason.trim() === ''
          ? {
              reason: partnerOf(typed)?.refusal
                ? 'These two should not be mated. Choose another male, or give a reason for going ahead.'
                : 'She is not ready to mate. Leave her, or give a reason for going ahead.',
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
    <Sheet title={`Serve ${name}`} isOpen onClose={onClose} width={640}>
      <Row>
        <Tag tag={tag} isStatic />
        <Small>
          {female.reasons.length === 0
            ? 'nothing speaks against mating her'
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
        done={() => `Wrote down the service of ${name}`}
        onDone={onClose}
        submit="Record service"
        against={
          isChosen({ way }) && !isAsked({ way, maleId }) ? (
            <FormField name="reason" label="Reason for going ahead" />
          ) : null
        }
        more={<Instead female={female} at={at} way={way} today={view.on} onDone={onClose} />}
      >
        <Row $gap={3} style={{ alignItems: 'flex-end' }}>
          <FormChoice
            name="way"
            label="How"
            options={[
              ['hand', isTakenToMale ? `by hand, taken to the ${grown.male[0]}` : 'by hand, male brought to her'],
              ['insemination', 'insemination'],
              ['raddle', 'found marked'],
              ['ran-with', 'ran with him, not seen'],
            ]}
          />
          <FormField name="at" label="When" type="datetime-local" />
        </Row>
        {timing && heat?.window && timing !== 'best' && isChosen({ way }) ? (
          <NotePanel $tone={timing === 'too-early' || timing === 'too-late' ? 'madder' : 'weld'} role="status">
            {timingWords(timing, heat, view.now.slice(0, 10))}
          </NotePanel>
        ) : null}
        <FormChoice
          name="maleId"
          label={way === 'insemination' ? 'Male of the holding, or a straw' : 'Male'}
          options={[
            ['', way === 'insemination' ? 'a straw' : 'choose the male'],
            ...partners.map(
              (p) =>
                [
                  p.tag.animalId,
                  `${p.tag.name ?? p.tag.text}: ${percentText(p.inbreeding)} inbred${p.refusal ? ', not to be' : ''}${p.isReady ? '' : ', not fit'}`,
                ] as const,
            ),
            ...(way === 'insemination' ? [] : [[OTHER, 'a male from elsewhere, or not known'] as const]),
          ]}
        />
        {maleId === OTHER ? <FormField name="otherMale" label="Which male" isRequired /> : null}
        {way === 'insemination' ? (
          <Row $gap={3}>
            {maleId === '' ? <FormField name="straw" label="Code of the straw" /> : null}
            <FormField name="batch" label="Batch" />
            <FormField name="technician" label="Inseminated by" />
          </Row>
        ) : null}
        {way === 'hand' ? (
          <Row $gap={4}>
            <FormTick name="isWitnessed" label="seen to serve" />
            {view.school === 'none' ? (
              <FormTick name="isCheck" label="check mating: offered again after some days" />
            ) : null}
          </Row>
        ) : null}
        {isAsked({ way, maleId }) ? (
          <NotePanel $tone="madder" role="status">
            {partner?.refusal ? (
              <p>
                <b>Do not mate these.</b> {partner.refusal}
              </p>
            ) : null}
            {held.length > 0 ? (
              <p>
                <b>Not ready to mate:</b> {held.map((r) => r.words).join('; ')}.
              </p>
            ) : null}
            <FormField name="reason" label="Reason for going ahead" isRequired />
          </NotePanel>
        ) : null}
      </EntryForm>
      <Small>Serve twice in the window where you can. One needle, one glove, one animal; wash before the next.</Small>
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
    if (parseMoment(at) === undefined) return setProblem('When: give the day and the hour.');
    await instead({ type: 'heat', animalId, on: at.slice(0, 10), at, signs: ['refuses'] }, `${name} refused him`);
  };
  return (
    <>
      {way === 'hand' ? <Button onPress={() => void refuses()}>She refuses him</Button> : null}
      <Button
        kind="quiet"
        onPress={() =>
          void instead(
            { type: 'check', animalId, on: today, what: 'womb', isFound: true },
            `The womb of ${name} is not clean`,
          )
        }
      >
        Womb infection: hold off
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
  const say = (at: string): string => dayAndHour(at, today);
  switch (timing) {
    case 'too-early':
      return `Too early: the window opens ${say(window.opens)} and is best from ${say(window.bestFrom)}.`;
    case 'perhaps-early':
      return `Perhaps too early: she began to stand between two looks, so the window opened between ${say(opensEarliest ?? window.opens)} and ${say(window.opens)}. Serve again later.`;
    case 'early':
      return `Early: it is best from ${say(window.bestFrom)} to ${say(window.bestTo)}. Serve again then.`;
    case 'late':
      return `Late: it was best until ${say(window.bestTo)} and closes ${say(window.closes)}.`;
    case 'too-late':
      return `Too late: the window closed ${say(window.closes)}. Watch for her next heat.`;
  }
}
