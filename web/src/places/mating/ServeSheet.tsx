import { useQuery } from '@tanstack/react-query';
import { percentText, type FemaleToMateView, type HeatView, type MatingView } from '@yaylak/contract';
import { momentOf, parseMoment, serviceTiming, SPECIES_WORDS, type ServiceTiming } from '@yaylak/core';
import { useState } from 'react';
import { pedigreeQuery } from '../../api/queries';
import type { EntryDraft } from '../../outbox/useRecord';
import { Button } from '../../parts/Button';
import { Choice, Field } from '../../parts/Field';
import { NotePanel, Row, Small } from '../../parts/Panel';
import { Sheet } from '../../parts/Sheet';
import { Tag } from '../../parts/Tag';
import { Tick } from '../../parts/Tick';
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

/** A service of one female: by whom, how and when; too early or too late, and a pair not put together, are said at once. */
export function ServeSheet({ female, heat, view, onClose }: Props) {
  const write = useWrite();
  const { tag } = female;
  const { data: family } = useQuery(pedigreeQuery(tag.animalId, 2));
  const [way, setWay] = useState<Way>('hand');
  const [at, setAt] = useState(view.now);
  const [maleId, setMaleId] = useState('');
  const [otherMale, setOtherMale] = useState('');
  const [straw, setStraw] = useState('');
  const [batch, setBatch] = useState('');
  const [technician, setTechnician] = useState('');
  const [isWitnessed, setWitnessed] = useState(true);
  const [isCheck, setCheck] = useState(view.school === 'none' && female.chance !== null);
  const [reason, setReason] = useState('');
  const [problem, setProblem] = useState<string>();
  const today = view.now.slice(0, 10);
  const partners = family?.partners ?? [];
  const partner = partners.find((p) => p.tag.animalId === maleId);
  const isStraw = way === 'insemination' && maleId === '';
  const timing =
    heat?.window && parseMoment(at) !== undefined
      ? serviceTiming(windowOf(heat.window), momentOf(at), earliestOf(heat))
      : undefined;
  const name = tag.name ?? tag.text;
  const { grown, isTakenToMale } = SPECIES_WORDS[view.species];
  const held = female.reasons.filter((r) => r.holds);
  // A mark found in the field is written down whoever made it, and on whom.
  const isChosen = way === 'hand' || way === 'insemination';
  const isAsked = isChosen && (partner?.refusal != null || held.length > 0);

  const draft = (): EntryDraft | string => {
    if (parseMoment(at) === undefined) return 'When: give the day and the hour.';
    if (maleId === OTHER && otherMale.trim() === '') return 'Say which male: “the neighbour’s ram”, or “not known”.';
    if (maleId === '' && !(isStraw && straw.trim() !== ''))
      return way === 'insemination' ? 'Say whose straw: its code, or a male of the holding.' : 'Choose the male.';
    if (isAsked && reason.trim() === '')
      return partner?.refusal
        ? 'These two should not be mated. Choose another male, or give a reason for going ahead.'
        : 'She is not ready to mate. Leave her, or give a reason for going ahead.';
    return {
      type: 'service',
      animalId: tag.animalId,
      on: at.slice(0, 10),
      at,
      way,
      maleIds: maleId === '' || maleId === OTHER ? [] : [maleId],
      ...maybe('otherMale', maleId === OTHER ? otherMale : ''),
      ...(way === 'hand' ? { isWitnessed } : {}),
      ...(isCheck ? { isCheck } : {}),
      ...maybe('straw', isStraw ? straw : ''),
      ...maybe('batch', way === 'insemination' ? batch : ''),
      ...maybe('technician', way === 'insemination' ? technician : ''),
      ...maybe('reason', reason),
    };
  };
  const submit = async (): Promise<void> => {
    const made = draft();
    if (typeof made === 'string') return setProblem(made);
    const refused = await write([made], `Wrote down the service of ${name}`);
    if (refused.length > 0) return setProblem(refused.join(' '));
    onClose();
  };
  /** Writes down instead why she is not served. */
  const instead = async (entry: EntryDraft, done: string): Promise<void> => {
    const refused = await write([entry], done);
    if (refused.length > 0) return setProblem(refused.join(' '));
    onClose();
  };
  const base = { animalId: tag.animalId, on: at.slice(0, 10) };
  const refuses = async (): Promise<void> => {
    if (parseMoment(at) === undefined) return setProblem('When: give the day and the hour.');
    await instead({ type: 'heat', ...base, at, signs: ['refuses'] }, `${name} refused him`);
  };
  const wombNotClean = (): Promise<void> =>
    instead({ type: 'check', ...base, on: view.on, what: 'womb', isFound: true }, `The womb of ${name} is not clean`);
  return (
    <Sheet title={`Serve ${name}`} isOpen onClose={onClose} width={640}>
      <Row>
        <Tag tag={tag} isStatic />
        <Small>
          {female.reasons.length === 0
            ? 'nothing speaks against mating her'
            : female.reasons.flatMap((r) => (isAsked && r.holds ? [] : [r.words])).join('; ')}
        </Small>
      </Row>
      {heat?.window ? (
        <HourBar
          window={heat.window}
          earliest={heat.opensEarliest}
          now={parseMoment(at) === undefined ? view.now : at}
        />
      ) : null}
      <Row $gap={3} style={{ alignItems: 'flex-end' }}>
        <Choice
          label="How"
          value={way}
          options={[
            ['hand', isTakenToMale ? `by hand, taken to the ${grown.male[0]}` : 'by hand, male brought to her'],
            ['insemination', 'insemination'],
            ['raddle', 'found marked'],
            ['ran-with', 'ran with him, not seen'],
          ]}
          onChange={(to) => {
            setWay(to);
            if (to === 'insemination' && maleId === OTHER) setMaleId('');
          }}
        />
        <Field label="When" type="datetime-local" value={at} onChange={setAt} />
      </Row>
      {timing && heat?.window && timing !== 'best' ? (
        <NotePanel $tone={timing === 'too-early' || timing === 'too-late' ? 'madder' : 'weld'} role="status">
          {timingWords(timing, heat, today)}
        </NotePanel>
      ) : null}
      <Choice
        label={way === 'insemination' ? 'Male of the holding, or a straw' : 'Male'}
        value={maleId}
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
        onChange={setMaleId}
      />
      {maleId === OTHER ? (
        <Field
          label="Which male"
          hint="“the neighbour’s ram”, or “not known”"
          value={otherMale}
          onChange={setOtherMale}
          isRequired
        />
      ) : null}
      {way === 'insemination' ? (
        <Row $gap={3}>
          {isStraw ? <Field label="Code of the straw" value={straw} onChange={setStraw} /> : null}
          <Field label="Batch" value={batch} onChange={setBatch} />
          <Field label="Put in by" value={technician} onChange={setTechnician} />
        </Row>
      ) : null}
      {way === 'hand' ? (
        <Row $gap={4}>
          <Tick label="seen to serve" isSelected={isWitnessed} onChange={setWitnessed} />
          {view.school === 'none' ? (
            <Tick label="check mating: offered again after some days" isSelected={isCheck} onChange={setCheck} />
          ) : null}
        </Row>
      ) : null}
      {partner?.refusal || isAsked ? (
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
          {isAsked || problem ? (
            <Field label="Reason for going ahead" value={reason} onChange={setReason} isRequired />
          ) : null}
        </NotePanel>
      ) : problem && isChosen ? (
        <Field label="Reason for going ahead" value={reason} onChange={setReason} />
      ) : null}
      {problem ? <p role="alert">{problem}</p> : null}
      <Row>
        <Button kind="main" onPress={() => void submit()}>
          Write the service down
        </Button>
        {way === 'hand' ? <Button onPress={() => void refuses()}>She refuses him</Button> : null}
        <Button kind="quiet" onPress={() => void wombNotClean()}>
          Womb not clean: wait
        </Button>
      </Row>
      <Small>Serve twice in the window where you can. One needle, one glove, one animal; wash before the next.</Small>
    </Sheet>
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
