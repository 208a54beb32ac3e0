import type { ConditionAnimal } from '@yaylak/contract';
import { Link } from 'react-router';
import styled from 'styled-components';
import { Chip } from '../../parts/Chip';
import { How } from '../../parts/How';
import { LineTable } from '../../parts/LineTable';
import { Panel, Row, Small } from '../../parts/Panel';
import { Tag } from '../../parts/Tag';
import { useWrite } from '../../parts/useWrite';
import { useFirst } from '../../parts/useFirst';
import { FEMALE_KIND_WORDS, scoreText, TREND_WORDS } from '../../words/condition';
import { fullDate, shortDate } from '../../words/dates';
import { perDayText, weightWithin } from '../../words/format';
import { useWeightUnit } from '../../words/useHolding';
import { say } from '@yaylak/contract';
import { Said } from '../../parts/Said';

interface Props {
  readonly animals: readonly ConditionAnimal[];
  readonly by: string;
  readonly on: string;
}

const Middle = styled(LineTable)`
  td {
    vertical-align: middle;
  }
`;

const SHOWN = 12;
const urgency = ({ way }: ConditionAnimal): number =>
  way.kind === 'there' ? -1 : (way.isFeasible ? 0 : 1e6) + (way.kind === 'gain' ? (way.kgPerDay ?? 1e3) : 0);

/** Who is under the aim: kilograms, grams a day, and whether it can be done by the date. */
export function MustGain({ animals, by, on }: Props) {
  const unit = useWeightUnit();
  const write = useWrite();
  const under = animals.filter((a) => a.way.kind !== 'there').sort((a, b) => urgency(b) - urgency(a));
  const { shown, more } = useFirst(under, SHOWN);
  if (under.length === 0) return null;
  const late = under.filter((a) => a.way.kind !== 'there' && !a.way.isFeasible);
  const milk = (a: ConditionAnimal): Promise<readonly string[]> =>
    write(
      [{ type: 'check', animalId: a.tag.animalId, on, what: 'milk', isFound: a.kind !== 'heavy-milker' }],
      `${a.tag.text} ${a.kind === 'heavy-milker' ? say('milks as the others') : say('is a heavy milker')}`,
    );
  return (
    <Panel>
      <Row style={{ justifyContent: 'space-between' }}>
        <h2>
          {say('Must gain by {date} ({n})', { date: fullDate(by), n: under.length })}
          <How of={say('What has to be gained')}>
            <p>
              {say(
                '(aim − score) × share of weight a score is × weight at score 3. The weight at score 3 is the weight now over 1 + share × (score − 3). The share, and the fastest a score is put on, are set under Holding.',
              )}
            </p>
            <p>
              {say(
                '± is how well a hand feels a score, four times out of five. The weight is the one nearest the scoring.',
              )}
            </p>
          </How>
        </h2>
        {late.length > 0 ? (
          <b role="status">{say('{n} cannot make it', { n: late.length })}</b>
        ) : (
          <Small>{say('all can, if they are fed up from today')}</Small>
        )}
      </Row>
      <Middle>
        <thead>
          <tr>
            <th>{say('Animal')}</th>
            <th>{say('Score')}</th>
            <th>{say('Trend')}</th>
            <th>{say('Aim')}</th>
            <th>{say('To gain')}</th>
            <th>{say('Each day')}</th>
            <th>
              {say('By then')}
              <How of={say('By then')}>
                <p>
                  {say(
                    'The date is the day the aim is reached at the fastest a body puts on a score, fed up from today. In practice it takes longer: 60 to 90 days a score.',
                  )}
                </p>
              </How>
            </th>
            <th>{say('Milk')}</th>
          </tr>
        </thead>
        <tbody>
          {shown.map((a) => {
            const { way } = a;
            if (way.kind === 'there') return null;
            return (
              <tr key={a.tag.animalId}>
                <td>
                  <Tag tag={a.tag} />
                </td>
                <td>
                  {scoreText(a.last.score)}
                  {a.last.isCorrected ? <Small>{say('corrected')}</Small> : null}
                </td>
                <td>{a.trend ? TREND_WORDS[a.trend] : say('first')}</td>
                <td>
                  {scoreText(a.aim)}
                  {a.kind === 'usual' ? null : <Small>{FEMALE_KIND_WORDS[a.kind]}</Small>}
                </td>
                <td style={{ whiteSpace: 'nowrap' }}>
                  {way.kind === 'gain' ? weightWithin(way.kg, way.halfWidthKg, unit) : say('no weight')}
                </td>
                <td>{way.kind === 'gain' && way.kgPerDay !== null ? perDayText(way.kgPerDay, unit) : ''}</td>
                <td>
                  {way.isFeasible ? (
                    <>{say('can, from {date} on', { date: shortDate(way.reachedOn) })}</>
                  ) : (
                    <b>{say('cannot; on {date}', { date: shortDate(way.reachedOn) })}</b>
                  )}
                </td>
                <td>
                  <Chip
                    type="button"
                    aria-pressed={a.kind === 'heavy-milker'}
                    aria-label={say('{text} is a heavy milker', { text: a.tag.text })}
                    onClick={() => void milk(a)}
                  >
                    {say('heavy')}
                  </Chip>
                </td>
              </tr>
            );
          })}
        </tbody>
      </Middle>
      {more}
      <Small>
        <Said
          text={
            'Who cannot make it: mate her later, keep her out of this season, or lower the aim in her case. Fed up means more energy, slowly over a week; ask your vet or adviser where they do not answer. <0>Year plan</0> moves the dates.'
          }
          parts={{ 0: <Link to="/year" /> }}
        />
      </Small>
    </Panel>
  );
}
