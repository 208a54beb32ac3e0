import {
  EVIDENCE_WAY_WORDS,
  FINDING_WORDS,
  LOSS_WORDS,
  LossEntry,
  PregnancyTestEntry,
  tooSoonText,
  type CarryingFemaleView,
  type HoldingView,
  say,
} from '@yaylak/contract';
import {
  EVIDENCE_WAYS,
  LOSS_WAYS,
  parseDay,
  SCAN_FINDINGS,
  TEST_RESULTS,
  type EvidenceWay,
  type LossWay,
  type ScanFinding,
  type Species,
  type TestResult,
} from '@yaylak/core';
import { useQuery } from '@tanstack/react-query';
import { useWatch } from 'react-hook-form';
import { holdingQuery } from '../../api/queries';
import type { EntryDraft } from '../../outbox/useRecord';
import { ChanceHow } from '../../parts/ChanceHow';
import { EntryForm } from '../../parts/form/EntryForm';
import { FormChoice, FormField, FormTick } from '../../parts/form/fields';
import { useEntryForm } from '../../parts/form/useEntryForm';
import { Row, Small } from '../../parts/Panel';
import { Sheet } from '../../parts/Sheet';
import { TEST_RESULT_WORDS } from '../../words/carrying';
import { fullDate } from '../../words/dates';

interface Props {
  readonly female: CarryingFemaleView;
  readonly species: Species;
  readonly today: string;
  /** What is told of first. */
  readonly of?: 'test' | 'loss';
  readonly onClose: () => void;
}

interface Typed {
  readonly what: 'test' | 'loss';
  readonly on: string;
  readonly way: EvidenceWay;
  readonly result: TestResult;
  readonly young: string;
  readonly age: string;
  readonly findings: Readonly<Partial<Record<ScanFinding, boolean>>>;
  readonly how: LossWay;
  readonly words: string;
  readonly reason: string;
}

/** A test or a look made by hand, or a loss; a test too soon says so and asks why. */
export function TestSheet(props: Props) {
  const { data: holding } = useQuery(holdingQuery);
  return holding ? <TestForm {...props} holding={holding} /> : null;
}

function TestForm({
  female,
  species,
  today,
  of = 'test',
  onClose,
  holding,
}: Props & { readonly holding: HoldingView }) {
  const { tests } = holding.species[species];
  const ways = EVIDENCE_WAYS.filter((w) => w === 'sight' || tests[w] !== undefined);
  const { tag } = female;
  const asked = useEntryForm<Typed>({
    of: ({ what }) => (what === 'loss' ? LossEntry : PregnancyTestEntry),
    start: {
      what: of,
      on: today,
      way: ways[0] ?? 'sight',
      result: 'carrying',
      young: '',
      age: '',
      findings: {},
      how: 'slipped',
      words: '',
      reason: '',
    },
    read: (typed): EntryDraft => {
      const { what, on, way, result, how } = typed;
      const base = { animalId: tag.animalId, on };
      const words = typed.words.trim();
      if (what === 'loss') return { type: 'loss', ...base, how, ...(words === '' ? {} : { words }) };
      const [young, ageDays] = [wholeOf(typed.young), wholeOf(typed.age)];
      const findings = SCAN_FINDINGS.filter((f) => typed.findings[f]);
      return {
        type: 'pregnancy-test',
        ...base,
        way,
        result,
        ...(young === undefined || result === 'empty' ? {} : { young }),
        ...(ageDays === undefined || result === 'empty' || way !== 'scan' ? {} : { ageDays }),
        ...(way === 'scan' && findings.length > 0 ? { findings } : {}),
        testedBy: holding.keeper,
        ...(typed.reason.trim() === '' ? {} : { reason: typed.reason.trim() }),
      };
    },
    words: {
      on: say('Give the day.'),
      young: say('Type how many, as a whole number.'),
      ageDays: say('Type it in whole days.'),
    },
    fieldOf: { ageDays: 'age' },
  });
  const [what, on, way, result] = useWatch({ control: asked.form.control, name: ['what', 'on', 'way', 'result'] });
  const told = female.windows.find((w) => w.way === way);
  const early = told !== undefined && parseDay(on) !== undefined && on < told.window.opens ? told : undefined;
  return (
    <Sheet title={say('{n}: a test, a look or a loss', { n: tag.name ?? tag.text })} isOpen onClose={onClose}>
      <EntryForm
        {...asked}
        done={(typed) =>
          typed.what === 'loss'
            ? say('{text} lost hers', { text: tag.text })
            : say('Recorded the test of {text}', { text: tag.text })
        }
        onDone={onClose}
      >
        <Row $gap={3} style={{ alignItems: 'flex-end' }}>
          <FormChoice
            name="what"
            label={say('What')}
            options={[
              ['test', say('tested or looked at')],
              ['loss', say('lost her young')],
            ]}
          />
          <FormField name="on" label={say('On')} type="date" />
          {female.chance ? (
            <Small>
              {say('In young')} <ChanceHow tag={tag.text} chance={female.chance} />
            </Small>
          ) : null}
        </Row>
        {what === 'loss' ? (
          <>
            <Row $gap={3}>
              <FormChoice name="how" label={say('How')} options={LOSS_WAYS.map((w) => [w, LOSS_WORDS[w]] as const)} />
              <FormField name="words" label={say('What was seen')} />
            </Row>
            <Small>
              {say(
                'Part her from the others, gloves on, and keep what came for the vet: several females that slip may mean a sickness that people catch as well. Nobody who is pregnant goes near.',
              )}
            </Small>
          </>
        ) : (
          <>
            <Row $gap={3} style={{ alignItems: 'flex-start' }}>
              <FormChoice name="way" label={say('By')} options={ways.map((w) => [w, EVIDENCE_WAY_WORDS[w]] as const)} />
              <FormChoice
                name="result"
                label={say('Result')}
                options={TEST_RESULTS.map((r) => [r, TEST_RESULT_WORDS[r]] as const)}
              />
              {result !== 'empty' && way !== 'blood' ? (
                <FormField name="young" label={say('Young')} inputMode="numeric" style={{ width: 90 }} />
              ) : null}
              {result !== 'empty' && way === 'scan' ? (
                <FormField name="age" label={say('Age, days')} inputMode="numeric" style={{ width: 100 }} />
              ) : null}
            </Row>
            {way === 'scan' ? (
              <Row $gap={3}>
                {SCAN_FINDINGS.map((f) => (
                  <FormTick key={f} name={`findings.${f}`} label={FINDING_WORDS[f]} />
                ))}
              </Row>
            ) : null}
            {early ? (
              <div role="status">
                <p>
                  {early.tooSoon && on === today
                    ? tooSoonText(early.tooSoon)
                    : say('Too soon: it can tell from {date}.', { date: fullDate(early.window.opens) })}
                </p>
                <FormField name="reason" label={say('Reason for going ahead (it then counts as doubtful)')} />
              </div>
            ) : null}
          </>
        )}
      </EntryForm>
    </Sheet>
  );
}

/** A whole number from 1, nothing, or no number. */
function wholeOf(text: string): number | undefined {
  if (text.trim() === '') return undefined;
  return /^[1-9]\d{0,2}$/.test(text.trim()) ? Number(text.trim()) : Number.NaN;
}
