import { useQuery } from '@tanstack/react-query';
import type { AnimalView } from '@yaylak/contract';
import { dayOf, type WeightUnit } from '@yaylak/core';
import { lazy, Suspense, useEffect } from 'react';
import { Link, useParams } from 'react-router';
import styled from 'styled-components';
import { rememberAnimal } from '../../adapters/recent';
import { AwayError } from '../../api/client';
import { animalQuery, holdingQuery, rosterQuery } from '../../api/queries';
import { Corrected } from '../../parts/Corrected';
import { HeldBar } from '../../parts/HeldBar';
import { KeptAnimal } from '../../parts/KeptHere';
import { Page } from '../../parts/Page';
import { LinkButton } from '../../parts/LinkButton';
import { NotePanel, Panel, Row, Small } from '../../parts/Panel';
import { Failed, Loading } from '../../parts/States';
import { Tag } from '../../parts/Tag';
import { WindowBar } from '../../parts/WindowBar';
import { colour, fonts, phone, space } from '../../theme/tokens';
import { birthDate, fullDate } from '../../words/dates';
import { ageText, bornText, moneyText, weightText } from '../../words/format';
import { useWeightUnit } from '../../words/useHolding';
import { cardsOf } from '../../shared/nav/cardAddress';
import { ChoicesMade, Family, Given } from './Family';
import { Figures } from './Figures';
import { Identifiers } from './Identifiers';
import { lifeLanes } from './life';
import { InYoung } from './InYoung';
import { LifeLanes } from './LifeLanes';
import { Photos } from './Photos';
import { RecordEditor } from './RecordEditor';
import { Timeline } from './Timeline';
import { leftWithheldWords } from '../../words/withheld';
import { Reserved } from './Reserved';
import { WriteDown } from './WriteDown';
import { say, fieldWord, capital } from '@yaylak/contract';
import { Said } from '../../parts/Said';

const GrowthCurve = lazy(async () => ({ default: (await import('./GrowthCurve')).GrowthCurve }));

/** One animal: who it is, what to do now, its life, its family. */
export function AnimalPage() {
  const { id = '' } = useParams();
  const { data, error, refetch } = useQuery(animalQuery(id));
  const { data: holding } = useQuery(holdingQuery);
  const { data: roster } = useQuery({ ...rosterQuery, staleTime: Infinity });
  const unit = useWeightUnit();
  // What this device opened last is kept outside React.
  useEffect(() => rememberAnimal(id), [id]);
  const kept = error instanceof AwayError ? roster?.animals.find((a) => a.tag.animalId === id) : undefined;
  if (!data && kept && roster)
    return (
      <Page title="">
        <KeptAnimal animal={kept} on={roster.on} />
      </Page>
    );
  if (!data)
    return (
      <Page title={say('Animal')}>
        {error ? <Failed error={error} onRetry={() => void refetch()} /> : <Loading rows={10} />}
      </Page>
    );
  const { row } = data;
  const what = fieldWord(row, row.ageDays ?? undefined);
  const title = (
    <Who>
      <Tag tag={row.tag} size="large" isStatic />
      <div>
        <h1 data-title={`${row.tag.text}, ${what}`}>
          {capital(what)}
          {row.tag.name ? ` ${row.tag.name}` : ''}
          {row.age ? `, ${ageText(row.age, row.birthKnownTo)}` : ''}
          {row.group && row.isPresent ? `, ${row.group.name}` : ''}
        </h1>
        <p>
          {row.bornOn
            ? say('Born {birthDate}{value}.', {
                birthDate: birthDate(row.bornOn, row.birthKnownTo),
                value:
                  row.birthType === null
                    ? ''
                    : ` ${say('as {born}', { born: bornText(row.species, row.birthType, row.rearingType) })}`,
              })
            : say('Birth not known.')}{' '}
          {data.strain === null ? '' : `${data.strain}. `}
          {data.boughtMinor === null
            ? ''
            : `${say('Bought for {money}.', { money: moneyText(data.boughtMinor, holding?.currency ?? '') })} `}
          {row.lastKg !== null && row.lastOn
            ? say('{weight} on {date}.', {
                weight: weightText(row.lastKg, unit, row.species),
                date: fullDate(row.lastOn),
              })
            : say('Never weighed.')}{' '}
          {data.departed ? (
            <b>
              {data.departed.how === 'elsewhere'
                ? say('Not here: known by its number, as a parent.')
                : say('Left on {date}: {how}.', { date: fullDate(data.departed.on), how: say(data.departed.how) })}
            </b>
          ) : null}
        </p>
      </div>
    </Who>
  );
  const leftWithheld = leftWithheldWords(data);
  return (
    <Page
      title={title}
      actions={<WriteDown view={data} today={holding?.today ?? ''} />}
      aside={
        <>
          <Photos view={data} today={holding?.today ?? ''} />
          <Given view={data} />
          <Family view={data} />
          <ChoicesMade view={data} />
          <Identifiers view={data} today={holding?.today ?? ''} />
          <RecordEditor view={data} />
          <LinkButton as={Link} to={cardsOf([row.tag.animalId])}>
            {say('Pen card')}
          </LinkButton>
          <LinkButton as={Link} to={`/selling/sheet?ids=${row.tag.animalId}&pedigree=1`}>
            {say('Sale sheet and passport')}
          </LinkButton>
        </>
      }
    >
      {data.alarm ? (
        <NotePanel $tone="madder">
          <b>{say('Weight off its usual.')}</b> {data.alarm}
        </NotePanel>
      ) : null}
      {leftWithheld ? <NotePanel $tone="madder">{leftWithheld}</NotePanel> : null}
      {data.corrections.map((bias) => (
        <Corrected key={`${bias.by} ${bias.method}`} bias={bias} />
      ))}
      {data.reservation && holding ? <Reserved view={data} holding={holding} /> : null}
      {data.marks.length > 0 ? (
        <Row>
          {data.marks.map((m) => (
            <Mark key={`${m.colour}${m.place}${m.purpose}`}>
              <Said
                text={'<0/> {colour} on the {place}: {purpose}'}
                values={{ colour: m.colour, place: m.place, purpose: m.purpose }}
                parts={{ 0: <i style={{ background: m.colour }} aria-hidden /> }}
              />
            </Mark>
          ))}
        </Row>
      ) : null}
      <Now>
        <Figures view={data} />
        {data.due.length + data.withheld.length > 0 && !data.departed && holding ? (
          <div>
            <Small>{say('What now')}</Small>
            {data.withheld.map((w) => (
              <Due key={w.of}>
                <b>
                  {say('{value} withheld: {product}', {
                    value: w.of === 'meat' ? say('Meat') : say('Milk'),
                    product: w.product,
                  })}
                </b>
                <HeldBar from={w.from} until={w.until} today={holding.today} />
              </Due>
            ))}
            {data.due.map((d) => (
              <Due key={d.what}>
                <b>{d.what}</b>
                <WindowBar window={d.window} today={holding.today} />
              </Due>
            ))}
          </div>
        ) : null}
      </Now>
      {row.sex === 'female' && row.isPresent && holding ? (
        <InYoung animalId={row.tag.animalId} species={row.species} today={holding.today} />
      ) : null}
      <LifePanel view={data} unit={unit} today={holding?.today ?? data.row.lastOn ?? ''} />
      <Timeline view={data} today={holding?.today ?? ''} />
      <Small>
        <Link to={`/animals/${data.row.tag.animalId}/pedigree`}>{say('Pedigree, and whom it may be put to')}</Link>.{' '}
        {data.row.sex === 'female' ? (
          <>
            <Link to={`/rearing/life/${data.row.tag.animalId}`}>{say('Record of her litters')}</Link>.{' '}
          </>
        ) : null}
        <Link to="/animals">{say('All animals')}</Link>
      </Small>
    </Page>
  );
}

/** Its life along one axis: the weights above, what happened below. */
function LifePanel({
  view,
  unit,
  today,
}: {
  readonly view: AnimalView;
  readonly unit: WeightUnit;
  readonly today: string;
}) {
  if (today === '') return <Loading rows={5} />;
  const life = lifeLanes(view, today);
  const firstReading = view.curve.readings[0];
  // Ages of the curve count from birth, or from the first weight where the birth is not known.
  const zero = dayOf(view.row.bornOn ?? firstReading?.on ?? today);
  return (
    <Panel>
      <Row style={{ justifyContent: 'space-between' }}>
        <h2>
          {view.row.sex === 'female' ? say('Her life') : view.row.sex === 'male' ? say('His life') : say('Its life')}
        </h2>
        <Small>{say('weight by age, with the middle half of the same kind and sex here')}</Small>
      </Row>
      <Suspense fallback={<Loading rows={5} />}>
        <GrowthCurve view={view} unit={unit} fromDays={life.from - zero} toDays={life.to - zero} />
      </Suspense>
      <LifeLanes life={life} />
    </Panel>
  );
}

const Who = styled.div`
  font-family: ${fonts.text};
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: ${space(4)};
  h1 {
    font-size: 22px;
  }
  p {
    font-size: 15px;
    font-weight: 400;
    color: ${colour('inkSoft')};
  }
`;
const Now = styled(Panel)`
  display: grid;
  grid-template-columns: minmax(0, 3fr) minmax(0, 2fr);
  align-items: start;
  gap: ${space(5)};
  ${phone} {
    grid-template-columns: minmax(0, 1fr);
  }
`;
const Due = styled.div`
  margin-top: ${space(2)};
`;
const Mark = styled.span`
  display: inline-flex;
  align-items: center;
  gap: ${space(2)};
  padding: ${space(1)} ${space(3)};
  background: ${colour('panel')};
  border: 1px solid ${colour('line')};
  border-radius: 14px;
  i {
    width: 12px;
    height: 12px;
    border-radius: 50%;
  }
`;
