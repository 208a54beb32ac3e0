import { useQuery } from '@tanstack/react-query';
import type { ChoosingRow } from '@yaylak/contract';
import type { TogetherPoint } from '@yaylak/core';
import { useState } from 'react';
import styled from 'styled-components';
import { kinQuery, queryOf } from '../../api/choosing';
import { holdingQuery } from '../../api/queries';
import { Button } from '../../parts/Button';
import { Field } from '../../parts/Field';
import { How } from '../../parts/How';
import { NotePanel, Panel, Row, Small } from '../../parts/Panel';
import { Failed, Loading } from '../../parts/States';
import { TagRow } from '../../parts/TagRow';
import { Tag } from '../../parts/Tag';
import { colour, space, touch } from '../../theme/tokens';
import { worthFigure } from '../../words/choosing';
import { figureText } from '../../words/format';
import type { StepProps } from './Chooser';
import { KinCurve } from './KinCurve';
import { Beside } from '../../parts/Beside';
import { useCurve } from './useCurve';
import { say, fixedText, perCent } from '@yaylak/contract';
import { Said } from '../../parts/Said';

const percent = (share: number | undefined): string =>
  share === undefined ? say('not known') : perCent(fixedText(100 * share, 1));

/** The best to keep together: merit against kinship, to slide along. */
export function KinStep({ choosing, view, set }: StepProps) {
  const kin = useQuery({ ...kinQuery(queryOf(set)), staleTime: 0 });
  const { data: holding } = useQuery(holdingQuery);
  const [cap, setCap] = useState(String(view.kin.sireCap || ''));
  const sireCap = Number(cap) || 0;
  const { found, progress } = useCurve(view, kin.data, sireCap);
  const [slid, setSlid] = useState<number>();
  if (!kin.data) return kin.error ? <Failed error={kin.error} onRetry={() => void kin.refetch()} /> : <Loading />;
  const points = found?.kind === 'points' ? found.points : [];
  const savedAt = points.findLastIndex((p) => p.pointsPerPercent <= view.kin.pointsPerPercent);
  const at = Math.min(slid ?? Math.max(0, savedAt), points.length - 1);
  const point = points[at];
  const ids = kin.data.animalIds;
  const keptIds = point?.answer.chosen.map((i) => ids[i] as string) ?? [];
  const rowOf = new Map(view.rows.map((r) => [r.tag.animalId, r]));
  const plain = new Set(view.rows.slice(0, view.lines.keep).map((r) => r.tag.animalId));
  const comesIn = keptIds.filter((id) => !plain.has(id));
  const goesOut = [...plain].filter((id) => !keptIds.includes(id));
  const isUsed = !view.isKinStale && keptIds.length > 0 && sameSet(keptIds, view.kin.keptIds);
  const use = (): void =>
    choosing.change({
      kin: { pointsPerPercent: point?.pointsPerPercent ?? 0, sireCap, keptIds: comesIn.length > 0 ? keptIds : [] },
    });
  const scale = view.basis === 'values' ? view.how.scale : 'points';
  const currency = holding?.currency ?? '';
  return (
    <Beside
      aside={
        <Panel>
          <h2>
            {say('How close')}
            <How of={say('the choice of kin')}>
              <p>
                {say(
                  'Kinship is half the relationship: 12.5 % for half sibs, 25 % for full sibs. It counts twice: among those kept, and of those kept with the {n} {n, plural, one {mate} other {mates}} that stay, which is the inbreeding their young will have on average.',
                  { n: kin.data.mates.length },
                )}
              </p>
              <p>
                {say(
                  'Slide to the right to give up some merit for less kinship. Up to 25 candidates every choice is weighed; above that animals are exchanged from 20 different starts until nothing gets better.',
                )}
              </p>
            </How>
          </h2>
          <Figures>
            <dt>{say('Mean worth')}</dt>
            <dd>{point ? worthFigureOf(point, points, scale, currency) : ''}</dd>
            <dt>{say('Among those kept')}</dt>
            <dd>{percent(point?.answer.amongThem)}</dd>
            <dt>{say('Inbreeding of the next crop')}</dt>
            <dd>{kin.data.mates.length === 0 ? say('no mates stay') : percent(point?.answer.withMates)}</dd>
          </Figures>
          <Field
            label={say('At most of one sire (empty: any number)')}
            inputMode="numeric"
            value={cap}
            onChange={(v) => {
              setCap(v.replace(/\D/g, ''));
              setSlid(undefined);
            }}
          />
          {kin.data.mates.length > 0 ? (
            <>
              <Small>{say('Mates that stay')}</Small>
              <TagRow tags={kin.data.mates} first={MATES_SHOWN} />
            </>
          ) : null}
        </Panel>
      }
    >
      {view.isKinStale ? (
        <NotePanel $tone="weld" role="status">
          <p>
            {say('The list or the number kept has changed since this was chosen. Look again, and choose once more.')}
          </p>
        </NotePanel>
      ) : null}
      {found?.kind === 'not-possible' ? (
        <NotePanel $tone="madder" role="alert">
          <p>
            {say(
              'Not possible: with at most {sireCap} of one sire no more than {most} can be kept, and the line is at {keep}. Raise the cap or move the line.',
              { sireCap, most: found.most, keep: view.lines.keep },
            )}
          </p>
        </NotePanel>
      ) : null}
      {progress === undefined ? null : (
        <Small role="status">{say('Weighing who goes with whom: {n} %.', { n: Math.round(100 * progress) })}</Small>
      )}
      {point && points.length > 0 ? (
        <Panel>
          <h2>{say('Worth against kinship, keeping {keep}', { keep: view.lines.keep })}</h2>
          <KinCurve points={points} at={at} scale={scale} currency={currency} />
          {points.length > 1 ? (
            <Slide>
              <span>{say('best worth')}</span>
              <input
                type="range"
                aria-label={say('From best worth to least kinship')}
                aria-valuetext={say('{percent} kinship among them, mean worth {worthFigure}', {
                  percent: percent(point.answer.amongThem),
                  worthFigure: worthFigure(point.answer.meanIndex, scale, currency),
                })}
                min={0}
                max={points.length - 1}
                step={1}
                value={at}
                onChange={(e) => setSlid(Number(e.target.value))}
              />
              <span>{say('least kinship')}</span>
            </Slide>
          ) : (
            <Small>{say('Whatever kinship costs, these are the best together.')}</Small>
          )}
          <Row $gap={3} style={{ marginTop: 12 }}>
            <Button
              kind="main"
              isDisabled={isUsed || (comesIn.length === 0 && view.kin.keptIds.length === 0)}
              onPress={use}
            >
              {comesIn.length === 0 ? say('Keep the plain order') : say('Keep these {n}', { n: keptIds.length })}
            </Button>
            {isUsed ? <Small>{say('This is what is suggested now.')}</Small> : null}
          </Row>
        </Panel>
      ) : null}
      {point ? (
        <Panel>
          <h2>
            {comesIn.length === 0
              ? say('The same {n} as by worth alone', { n: keptIds.length })
              : say('{n} {n, plural, one {comes in} other {come in}} for {n} of the plain order', {
                  n: comesIn.length,
                })}
          </h2>
          <Changes
            label={say('Comes in')}
            rows={comesIn.flatMap((id) => rowOf.get(id) ?? [])}
            scale={scale}
            currency={currency}
          />
          <Changes
            label={say('Goes out')}
            rows={goesOut.flatMap((id) => rowOf.get(id) ?? [])}
            scale={scale}
            currency={currency}
          />
          <Small>{say('Kept together')}</Small>
          <Row>
            {keptIds.flatMap((id) => {
              const row = rowOf.get(id);
              return row ? [<Tag key={id} tag={row.tag} />] : [];
            })}
          </Row>
        </Panel>
      ) : null}
    </Beside>
  );
}

const MATES_SHOWN = 12;

const sameSet = (a: readonly string[], b: readonly string[]): boolean =>
  a.length === b.length && a.every((id) => b.includes(id));

/** Mean worth of a point, with what it gives up against the plain order. */
function worthFigureOf(
  { answer }: TogetherPoint,
  points: readonly TogetherPoint[],
  scale: 'points' | 'money',
  currency: string,
): string {
  const lost = (points[0]?.answer.meanIndex ?? 0) - answer.meanIndex;
  const shown = scale === 'points' ? figureText(answer.meanIndex, 1) : worthFigure(answer.meanIndex, scale, currency);
  const less = scale === 'points' ? figureText(lost, 1) : worthFigure(lost, scale, currency);
  return lost < 0.005 ? shown : say('{shown} ({less} less)', { shown, less });
}

interface ChangesProps {
  readonly label: string;
  readonly rows: readonly ChoosingRow[];
  readonly scale: 'points' | 'money';
  readonly currency: string;
}

const Changes = ({ label, rows, scale, currency }: ChangesProps) =>
  rows.length === 0 ? null : (
    <div style={{ margin: '8px 0' }}>
      <Small>{label}</Small>
      <Row $gap={3}>
        {rows.map((r) => (
          <span key={r.tag.animalId}>
            <Said
              text={'<0/> place {place}, {worthFigure}{value}'}
              values={{
                place: r.place,
                worthFigure: worthFigure(r.index, scale, currency),
                value: r.sire ? say(', by {text}', { text: r.sire.text }) : '',
              }}
              parts={{ 0: <Tag tag={r.tag} /> }}
            />
          </span>
        ))}
      </Row>
    </div>
  );

const Figures = styled.dl`
  display: grid;
  grid-template-columns: 1fr auto;
  gap: ${space(2)};
  margin: ${space(2)} 0 ${space(3)};
  dt {
    color: ${colour('inkSoft')};
  }
  dd {
    margin: 0;
    font-weight: 700;
    text-align: right;
  }
`;
const Slide = styled.label`
  display: grid;
  grid-template-columns: auto minmax(0, 1fr) auto;
  align-items: center;
  gap: ${space(3)};
  font-size: 13px;
  color: ${colour('inkSoft')};
  input {
    min-height: ${touch};
    accent-color: ${colour('indigo')};
  }
`;
