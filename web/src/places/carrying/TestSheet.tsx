import { EVIDENCE_WAY_WORDS, FINDING_WORDS, LOSS_WORDS, tooSoonText, type CarryingFemaleView } from '@yaylak/contract';
import {
  EVIDENCE_WAYS,
  isoOf,
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
import { useState } from 'react';
import { holdingQuery } from '../../api/queries';
import type { EntryDraft } from '../../outbox/useRecord';
import { Button } from '../../parts/Button';
import { ChanceHow } from '../../parts/ChanceHow';
import { Choice, Field } from '../../parts/Field';
import { Row, Small } from '../../parts/Panel';
import { Sheet } from '../../parts/Sheet';
import { Tick } from '../../parts/Tick';
import { useWrite } from '../../parts/useWrite';
import { TEST_RESULT_WORDS } from '../../words/carrying';
import { fullDate } from '../../words/format';

interface Props {
  readonly female: CarryingFemaleView;
  readonly species: Species;
  readonly today: string;
  /** What is told of first. */
  readonly of?: 'test' | 'loss';
  readonly onClose: () => void;
}

/** A test or a look made by hand, or a loss; a test too soon says so and asks why. */
export function TestSheet({ female, species, today, of = 'test', onClose }: Props) {
  const write = useWrite();
  const { data: holding } = useQuery(holdingQuery);
  const tests = holding?.species[species].tests ?? {};
  const ways = EVIDENCE_WAYS.filter((w) => w === 'sight' || tests[w] !== undefined);
  const { tag } = female;
  const [what, setWhat] = useState(of);
  const [typedWay, setWay] = useState<EvidenceWay>();
  const [result, setResult] = useState<TestResult>('carrying');
  const [young, setYoung] = useState('');
  const [age, setAge] = useState('');
  const [findings, setFindings] = useState<readonly ScanFinding[]>([]);
  const [how, setHow] = useState<LossWay>('slipped');
  const [on, setOn] = useState(today);
  const [words, setWords] = useState('');
  const [reason, setReason] = useState('');
  const [problem, setProblem] = useState<string>();
  const way = typedWay ?? ways[0] ?? 'sight';
  const day = parseDay(on);
  const told = female.windows.find((w) => w.way === way);
  const early = told !== undefined && day !== undefined && on < told.window.opens ? told : undefined;

  const draft = (): EntryDraft | string => {
    if (day === undefined) return 'On: give the day.';
    const base = { animalId: tag.animalId, on: isoOf(day) };
    if (what === 'loss') return { type: 'loss', ...base, how, ...(words.trim() ? { words: words.trim() } : {}) };
    const count = figure(young);
    const days = figure(age);
    if (count === 'wrong') return 'Young: type how many, as a whole number.';
    if (days === 'wrong') return 'Age: type it in whole days.';
    return {
      type: 'pregnancy-test',
      ...base,
      way,
      result,
      ...(count === undefined || result === 'empty' ? {} : { young: count }),
      ...(days === undefined || result === 'empty' || way !== 'scan' ? {} : { ageDays: days }),
      ...(way === 'scan' && findings.length > 0 ? { findings: [...findings] } : {}),
      ...(holding ? { testedBy: holding.keeper } : {}),
      ...(reason.trim() === '' ? {} : { reason: reason.trim() }),
    };
  };
  const submit = async (): Promise<void> => {
    const entry = draft();
    if (typeof entry === 'string') return setProblem(entry);
    const refused = await write(
      [entry],
      what === 'loss' ? `${tag.text} lost hers` : `Wrote down the test of ${tag.text}`,
    );
    if (refused.length > 0) return setProblem(refused.join(' '));
    onClose();
  };
  return (
    <Sheet title={`${tag.name ?? tag.text}: a test, a look or a loss`} isOpen onClose={onClose}>
      <Row $gap={3} style={{ alignItems: 'flex-end' }}>
        <Choice
          label="What"
          value={what}
          options={[
            ['test', 'tested or looked at'],
            ['loss', 'lost her young'],
          ]}
          onChange={setWhat}
        />
        <Field label="On" type="date" value={on} onChange={setOn} />
        {female.chance ? (
          <Small>
            In young <ChanceHow tag={tag.text} chance={female.chance} />
          </Small>
        ) : null}
      </Row>
      {what === 'loss' ? (
        <>
          <Row $gap={3}>
            <Choice label="How" value={how} options={LOSS_WAYS.map((w) => [w, LOSS_WORDS[w]])} onChange={setHow} />
            <Field label="What was seen" value={words} onChange={setWords} />
          </Row>
          <Small>
            Part her from the others, gloves on, and keep what came for the vet: several females that slip may mean a
            sickness that people catch as well. Nobody who is pregnant goes near.
          </Small>
        </>
      ) : (
        <>
          <Row $gap={3}>
            <Choice label="By" value={way} options={ways.map((w) => [w, EVIDENCE_WAY_WORDS[w]])} onChange={setWay} />
            <Choice
              label="Result"
              value={result}
              options={TEST_RESULTS.map((r) => [r, TEST_RESULT_WORDS[r]])}
              onChange={setResult}
            />
            {result !== 'empty' && way !== 'blood' ? (
              <Field label="Young" inputMode="numeric" style={{ width: 90 }} value={young} onChange={setYoung} />
            ) : null}
            {result !== 'empty' && way === 'scan' ? (
              <Field label="Age, days" inputMode="numeric" style={{ width: 100 }} value={age} onChange={setAge} />
            ) : null}
          </Row>
          {way === 'scan' ? (
            <Row $gap={3}>
              {SCAN_FINDINGS.map((f) => (
                <Tick
                  key={f}
                  label={FINDING_WORDS[f]}
                  isSelected={findings.includes(f)}
                  onChange={(isIn) => setFindings(isIn ? [...findings, f] : findings.filter((x) => x !== f))}
                />
              ))}
            </Row>
          ) : null}
          {early ? (
            <div role="status">
              <p>
                {early.tooSoon && on === today
                  ? tooSoonText(early.tooSoon)
                  : `Too soon: it can tell from ${fullDate(early.window.opens)}.`}
              </p>
              <Field label="Why all the same (it then counts as doubtful)" value={reason} onChange={setReason} />
            </div>
          ) : null}
        </>
      )}
      {problem ? <p role="alert">{problem}</p> : null}
      <Row>
        <Button kind="main" onPress={() => void submit()}>
          Write it down
        </Button>
      </Row>
    </Sheet>
  );
}

/** A whole number from 1, nothing, or what is none. */
function figure(text: string): number | undefined | 'wrong' {
  if (text.trim() === '') return undefined;
  return /^[1-9]\d{0,2}$/.test(text.trim()) ? Number(text.trim()) : 'wrong';
}
