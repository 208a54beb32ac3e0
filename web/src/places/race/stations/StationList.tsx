import type { Station } from '@yaylak/contract';
import { BODY_MEASURES, PAINFUL_CARE, scaleUnit, spacedDigits, type Sex, type Species } from '@yaylak/core';
import { Fragment, type ReactNode } from 'react';
import styled from 'styled-components';
import { colour, space } from '../../../theme/tokens';
import { amountText, bornText, weightText } from '../../../words/format';
import { MEASURE_WORDS, PURPOSE_WORDS } from '../../../words/stations';
import { toggled, typed, typedField, type Draft, type FieldName } from '../draft';
import { canPassBy, fieldText, proposedAt, whyAt, type AtHand, type LetteredToggle } from '.';
import { careFor, careKey, isDone, pressedText } from './handwork';
import { wornAt } from './identify';
import { litterTyped } from './litter';
import { isLookedOver, OTHERS_PASS, pressed } from './look';
import { Count, LetterKey, SmallField, StationRow } from './parts';
import { raddlesAt } from './raddle';
import { FinishFields } from './FinishFields';
import { ScanFields, SoonReason } from './ScanFields';
import { tooSoonAt } from './scan';
import { ScoreFields } from './ScoreFields';
import { pressedMob } from './score';
import { underLabelText } from '../../../shared/remedies/planTreatment';
import { plannedTreatments } from './treat';
import { WeighFields } from './WeighFields';
import { say, fieldWord } from '@yaylak/contract';

interface Props {
  readonly draft: Draft;
  readonly at: AtHand;
  readonly toggles: readonly LetteredToggle[];
  readonly lineKgPerDay: number | undefined;
  readonly groupName: (id: string) => string;
  readonly onChange: (draft: Draft) => void;
}

/** What a letter does at the animal at hand. */
export function pressToggle(draft: Draft, at: AtHand, toggle: LetteredToggle): Draft {
  if (toggle.station === 'look') return typed(draft, { grades: pressed(draft, at, toggle.key) });
  if (toggle.station === 'score') return typed(draft, { mob: pressedMob(draft, toggle.key) });
  if (toggle.station === 'raddle' || toggle.station === 'scan')
    return typed(draft, { marks: toggled(draft.marks, toggle.key) });
  if (toggle.station === 'identify') return typed(draft, { lost: toggled(draft.lost, toggle.key) });
  const choice = toggle.station === 'care' ? careFor(at).find((c) => careKey(c.kind) === toggle.key) : undefined;
  if (choice && PAINFUL_CARE.includes(choice.kind)) {
    const pressedNow = toggled(draft.pressed, toggle.key);
    return typed(draft, {
      pressed: pressedNow,
      message: pressedText(choice, at, pressedNow.includes(toggle.key)),
    });
  }
  const leftOut = toggled(draft.leftOut, toggle.key);
  // A letter typed by mistake is seen: what it put off is named.
  return typed(draft, {
    leftOut,
    ...(leftOut.includes(toggle.key)
      ? { message: say('{words}: not for this one. Press again to put it back.', { words: toggle.words }) }
      : {}),
  });
}

/** The stations of the job, in its order, each with only what it needs. The gates stand by themselves below. */
export function StationList(props: Props) {
  const { draft, at, toggles, onChange } = props;
  const proposed = proposedAt(at);
  const type = (name: FieldName) => (text: string) => onChange(typedField(draft, name, text));
  const field = (name: FieldName, label: string, more: { isFigure?: boolean; width?: number } = {}) => (
    <SmallField
      id={`race-${name}`}
      label={label}
      value={fieldText(draft, name, proposed)}
      onType={type(name)}
      {...more}
    />
  );
  const keysOf = (station: Station, faceOf: (t: LetteredToggle) => Omit<KeyFace, 'words'> & { words?: string }) =>
    toggles
      .filter((t) => t.station === station)
      .map((t) => (
        <LetterKey
          key={t.key}
          words={t.words}
          letter={t.letter}
          onPress={() => onChange(pressToggle(draft, at, t))}
          {...faceOf(t)}
        />
      ));
  const onOff = (t: LetteredToggle): KeyFace => ({ state: draft.leftOut.includes(t.key) ? 'off' : 'on' });

  /** Once Enter found nothing typed: one that cannot be weighed or scored passes, and it is said why. */
  const passBy = (name: FieldName, what: string): ReactNode =>
    canPassBy(at) &&
    (draft.fields[name] ?? '').trim() === '' &&
    (draft.message !== undefined || whyAt(draft) !== '') ? (
      <StationRow name={say('Passes by')}>
        {field('why', say('Why it passes without {what}', { what }), { width: 300 })}
      </StationRow>
    ) : null;

  const rows: Record<Exclude<Station, 'sort'>, () => ReactNode> = {
    weigh: () => (
      <>
        <WeighFields {...props} onType={type('weight')} />
        {passBy('weight', say('a weight'))}
      </>
    ),
    score: () => (
      <>
        <ScoreFields draft={draft} at={at} onType={type}>
          {(mob) =>
            keysOf('score', (t) => (t.key === mob ? { state: 'on', says: say('goes there') } : { state: 'plain' }))
          }
        </ScoreFields>
        {passBy('score', say('a score'))}
      </>
    ),
    litter: () => <LitterRow {...props}>{field}</LitterRow>,
    look: () => (
      <StationRow name={say('Look over')} isWide>
        {keysOf('look', (t) => {
          if (t.key === OTHERS_PASS) return isLookedOver(draft, at) ? { state: 'on' } : { state: 'plain' };
          const grade = draft.grades[t.key];
          if (grade === 'fail') return { state: 'bad', says: 'fails' };
          if (grade === undefined) return { state: 'plain', says: say('not looked at') };
          return { state: 'on', says: grade === 'pass' ? say('passes') : say('{grade} of 5', { grade }) };
        })}
      </StationRow>
    ),
    measure: () => (
      <StationRow name={say('Measure')}>
        {BODY_MEASURES.map((m) => (
          <Fragment key={m}>
            {field(m, say('{measure}, cm', { measure: MEASURE_WORDS[m] }), { isFigure: true, width: 92 })}
          </Fragment>
        ))}
        <Hint>
          {say(
            'Standing square on level ground: height at the withers, length from the point of the shoulder to the pin bone, girth behind the elbows.',
          )}
        </Hint>
      </StationRow>
    ),
    finish: () => <FinishFields draft={draft} at={at} onType={type} />,
    treat: () => <TreatRows {...props} keysOf={keysOf} />,
    identify: () => (
      <StationRow name={say('Identify')}>
        {wornAt(at).length > 0
          ? keysOf('identify', (t) => ({
              words: /^\d{15}$/.test(t.words) ? spacedDigits(t.words) : t.words,
              ...(draft.lost.includes(t.key) ? { state: 'bad', says: 'lost' } : { state: 'plain', says: 'worn' }),
            }))
          : null}
        {at.job.settings.identify?.kinds.includes('visual') === false
          ? null
          : field('visual', say('New tag'), { width: 120 })}
        {at.job.settings.identify?.kinds.includes('electronic') === false
          ? null
          : field('electronic', say('Electronic'), { width: 210 })}
      </StationRow>
    ),
    sample: () => (
      <>
        <StationRow name={say('Sample')}>
          {keysOf('sample', (t) => ({ ...onOff(t), says: PURPOSE_WORDS[at.job.settings.sample?.purpose ?? 'blood'] }))}
          {draft.leftOut.includes('sample') ? null : field('tube', say('Number on the tube'))}
          <Hint>{say('One needle and one tube for each animal.')}</Hint>
        </StationRow>
        {at.job.settings.sample?.purpose === 'pregnancy' && !draft.leftOut.includes('sample') ? (
          <SoonReason soon={tooSoonAt(at, 'blood')} value={draft.fields.reason ?? ''} onType={type('reason')} />
        ) : null}
      </>
    ),
    scan: () => (
      <ScanFields draft={draft} at={at} onType={type}>
        {keysOf('scan', (t) => (draft.marks.includes(t.key) ? { state: 'on', says: 'seen' } : { state: 'plain' }))}
      </ScanFields>
    ),
    mark: () => {
      const spray = at.job.settings.mark;
      return spray ? (
        <StationRow name={say('Mark')}>
          {keysOf('mark', onOff)}
          <span>
            {say('{colour} on the {place}: {purpose}', {
              colour: say(spray.colour),
              place: say(spray.place),
              purpose: spray.purpose,
            })}
          </span>
        </StationRow>
      ) : null;
    },
    raddle: () => (
      <StationRow name={say('Marks')}>
        {keysOf('raddle', (t) => (draft.marks.includes(t.key) ? { state: 'on', says: 'found' } : { state: 'plain' }))}
        {raddlesAt(at).length === 0 ? <Hint>{say('No male runs with her by the book.')}</Hint> : null}
      </StationRow>
    ),
    care: () =>
      careFor(at).length > 0 ? (
        <StationRow name={say('By hand')}>
          {keysOf('care', (t) => {
            const choice = careFor(at).find((c) => careKey(c.kind) === t.key);
            const isPainful = choice !== undefined && PAINFUL_CARE.includes(choice.kind);
            const isOn = choice !== undefined && isDone(draft, choice.kind);
            return {
              ...(isPainful ? { state: isOn ? 'on' : 'plain' } : onOff(t)),
              ...(choice?.method ? { says: choice.method } : {}),
            };
          })}
          {careFor(at).some((c) => PAINFUL_CARE.includes(c.kind)) ? (
            <Hint>
              {say('What hurts is done only to those you press it for. Age, method and pain relief: your local law.')}
            </Hint>
          ) : null}
        </StationRow>
      ) : null,
    move: () =>
      at.job.settings.move ? (
        <StationRow name={say('Move')}>
          {keysOf('move', onOff)}
          <span>{say('to {groupName}', { groupName: props.groupName(at.job.settings.move.groupId) })}</span>
        </StationRow>
      ) : null,
    note: () => <StationRow name={say('Note')}>{field('note', '', { width: 380 })}</StationRow>,
  };
  return (
    <>
      {at.job.stations.map((s) =>
        s === 'sort' ? null : (
          <div key={s} data-station={s}>
            {rows[s]()}
          </div>
        ),
      )}
    </>
  );
}

interface KeyFace {
  readonly state: 'on' | 'off' | 'good' | 'bad' | 'plain';
  readonly says?: string;
}

function LitterRow({
  draft,
  at,
  children,
}: Props & {
  readonly children: (name: FieldName, label: string, more: { isFigure?: boolean; width?: number }) => ReactNode;
}) {
  const { totalKg, count } = litterTyped(draft, at);
  return (
    <StationRow name={say('Litter')}>
      {children('litterKg', say('Together, {scaleUnit}', { scaleUnit: scaleUnit(at.species, at.unit) }), {
        isFigure: true,
        width: 130,
      })}
      {children('litterCount', say('How many'), { isFigure: true, width: 80 })}
      {totalKg !== undefined && count !== undefined && totalKg > 0 ? (
        <b>{say('{weight} each', { weight: weightText(totalKg / count, at.unit, at.species) })}</b>
      ) : null}
    </StationRow>
  );
}

function TreatRows({
  draft,
  at,
  onChange,
  keysOf,
}: Props & { readonly keysOf: (station: Station, faceOf: (t: LetteredToggle) => KeyFace) => ReactNode[] }) {
  const plans = plannedTreatments(draft, at);
  const keys = keysOf('treat', (t) => ({ state: draft.leftOut.includes(t.key) ? 'off' : 'on' }));
  return (
    <StationRow name={say('Treat')}>
      {plans.map((plan, i) => {
        const { product, dose, weight, amountText: text } = plan;
        return (
          <Remedy key={product.id}>
            {keys[i]}
            {plan.underLabel ? <Caution>{underLabelText(plan, at.unit)}</Caution> : null}
            {plan.isLeftOut ? null : (
              <>
                <SmallField
                  id={`race-amount-${product.id}`}
                  label={say('Amount of {name}', { name: product.facts.name })}
                  isFigure
                  width={84}
                  value={text}
                  onType={(amount) => onChange(typed(draft, { amounts: { ...draft.amounts, [product.id]: amount } }))}
                />
                <span>
                  {product.facts.doseUnit}
                  {dose.kind === 'dose' && dose.sites.length > 1
                    ? say(', {list} in {n} places', {
                        list: dose.sites.map((s) => amountText(s)).join(' + '),
                        n: dose.sites.length,
                      })
                    : ''}
                  {weight ? ` ${say('for {weight}', { weight: weightText(weight.kg, at.unit, at.species) })}` : ''}
                  {plan.batch ? say(', batch {batch}', { batch: plan.batch }) : ''}
                </span>
                {plan.cautions.map((caution) => (
                  <Caution key={caution}>{caution}</Caution>
                ))}
                {plan.isOwnAmount ? (
                  <SmallField
                    id="race-reason"
                    label={say('Reason for this amount')}
                    width={260}
                    value={draft.fields.reason ?? ''}
                    onType={(text) => onChange(typedField(draft, 'reason', text))}
                  />
                ) : null}
              </>
            )}
          </Remedy>
        );
      })}
    </StationRow>
  );
}

/** F or M for a young one that is added. */
export function SexKeys({
  draft,
  at,
  onChoose,
}: {
  readonly draft: Draft;
  readonly at: AtHand;
  readonly onChoose: (sex: Sex) => void;
}) {
  return (
    <StationRow name={say('Sex')}>
      {(['female', 'male'] as const).map((sex) => (
        <LetterKey
          key={sex}
          words={fieldWord({ species: at.species, sex }, 1)}
          letter={sex.charAt(0)}
          state={draft.sex === sex ? 'on' : 'plain'}
          onPress={() => onChoose(sex)}
        />
      ))}
    </StationRow>
  );
}

const MOST_TOGETHER = { sheep: 4, goat: 4, cattle: 2, rabbit: 12 } as const;

/** How many were born together: asked once a dam. */
export function BornAsKeys({
  species,
  chosen,
  onChoose,
}: {
  readonly species: Species;
  readonly chosen: number | undefined;
  readonly onChoose: (count: number) => void;
}) {
  return (
    <StationRow name={say('Born as')}>
      {Array.from({ length: MOST_TOGETHER[species] }, (_, i) => i + 1).map((n) => (
        <Count key={n} type="button" aria-pressed={chosen === n} onClick={() => onChoose(n)}>
          {bornText(species, n, null)}
        </Count>
      ))}
    </StationRow>
  );
}

const Hint = styled.span`
  color: ${colour('inkSoft')};
  font-size: 13px;
`;
const Remedy = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: ${space(1)} ${space(2)};
  label:not([for='race-reason']) > span {
    position: absolute;
    width: 1px;
    height: 1px;
    overflow: hidden;
    clip-path: inset(50%);
  }
`;
const Caution = styled.p`
  flex-basis: 100%;
  font-size: 14px;
  color: ${colour('weld')};
`;
