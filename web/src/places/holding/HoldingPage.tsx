import { useQuery } from '@tanstack/react-query';
import type { HoldingView } from '@yaylak/contract';
import { WEEK_STARTS, type DateOrder, type Species, type WeekStart, type WeightUnit } from '@yaylak/core';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { holdingQuery } from '../../api/queries';
import { Button } from '../../parts/Button';
import { Choice, Field } from '../../parts/Field';
import { Page } from '../../parts/Page';
import { Panel, Row, Small } from '../../parts/Panel';
import { Failed, Loading } from '../../parts/States';
import { PointsPanel } from '../../parts/PointsPanel';
import { Tick } from '../../parts/Tick';
import { useUnsaved } from '../../parts/unsaved';
import { useSaveHolding, type SaveHolding } from '../../parts/useSaveHolding';
import { useFirstSpecies, useSpeciesOptions } from '../../words/useHolding';
import { WEEK_START_WORDS } from '../../words/week';
import { SpeciesTicks } from '../../shared/holding/SpeciesTicks';
import { Breeds } from './Breeds';
import { Findings } from './Findings';
import { Groups } from './Groups';
import { Hands } from './Hands';
import { SpeciesFigures } from './SpeciesFigures';
import { Standards } from './Standards';
import { say } from '@yaylak/contract';

/** The holding's own settings. */
export function HoldingPage() {
  const speciesOptions = useSpeciesOptions();
  const { data, error, refetch } = useQuery(holdingQuery);
  const save = useSaveHolding();
  const navigate = useNavigate();
  const [species, setSpecies] = useState<Species>(useFirstSpecies());
  if (!data)
    return (
      <Page title={say('Holding')}>
        {error ? <Failed error={error} onRetry={() => void refetch()} /> : <Loading />}
      </Page>
    );
  const { about } = data;
  return (
    <Page
      title={say('Holding')}
      aside={
        <>
          <Panel>
            <h2>{say('In and out')}</h2>
            <Small>{say('Bring lists in from files, write the book out, keep a copy of it elsewhere.')}</Small>
            <Row style={{ marginTop: 12 }}>
              <Button onPress={() => void navigate('/holding/files')}>{say('Files in and out')}</Button>
            </Row>
          </Panel>
          <Groups />
          <Hands />
          <PointsPanel key={data.version} weights={data.pointsWeights} />
          <Panel>
            <h2>{say('About')}</h2>
            <p>{say('Yaylak {version}', { version: about.version })}</p>
            <Small>
              {say('{animals} animals, {entries} entries. {backups} backups beside the book.', {
                animals: about.animals,
                entries: about.entries,
                backups: about.backups,
              })}
            </Small>
            <Small>
              {say(
                'The book lies in the folder that was printed when Yaylak started. Copy that folder while Yaylak is stopped, or write the whole book out under In and out.',
              )}
            </Small>
            <Small>
              {say(
                'Suggestions are arithmetic on your own figures. For remedies, surgery, transport and welfare the label, the vet and the local rules decide.',
              )}
            </Small>
          </Panel>
        </>
      }
    >
      <Findings findings={about.findings} />
      <Basics key={data.version} holding={data} onSave={save} />
      <Panel>
        <Row style={{ justifyContent: 'space-between' }}>
          <h2>{say('Figures of the species')}</h2>
          <Choice label={say('Species')} isLabelHidden value={species} options={speciesOptions} onChange={setSpecies} />
        </Row>
        <SpeciesFigures key={`${species} ${data.version}`} species={species} holding={data} onSave={save} />
      </Panel>
      <Breeds key={`breeds ${data.version}`} holding={data} onSave={save} />
      <Standards holding={data} onSave={save} />
    </Page>
  );
}

function Basics({ holding, onSave }: { readonly holding: HoldingView; readonly onSave: SaveHolding }) {
  const [draft, setDraft] = useState({
    name: holding.name,
    keeper: holding.keeper,
    unit: holding.unit,
    dateOrder: holding.dateOrder,
    weekStart: holding.weekStart,
    currency: holding.currency,
    keeps: [...holding.keeps],
  });
  const [problem, setProblem] = useState<string>();
  /** Of these letters it was said that the figures were meant so. */
  const [meant, setMeant] = useState<string>();
  const isOther = draft.currency !== holding.currency;
  const isChanged =
    (['name', 'keeper', 'unit', 'dateOrder', 'weekStart', 'currency'] as const).some(
      (key) => draft[key] !== holding[key],
    ) || draft.keeps.join() !== holding.keeps.join();
  useUnsaved(isChanged);
  return (
    <Panel>
      <h2>{say('The holding')}</h2>
      <form
        onSubmit={(e) => {
          e.preventDefault();
          const keepsFigures = isOther && meant === draft.currency;
          void onSave(keepsFigures ? { ...draft, keepsFigures } : draft).then(setProblem);
        }}
      >
        <Small style={{ marginTop: 12 }}>{say('What you keep')}</Small>
        <SpeciesTicks value={draft.keeps} onChange={(keeps) => setDraft({ ...draft, keeps: [...keeps] })} />
        <Row $gap={3} style={{ alignItems: 'flex-end', marginTop: 12 }}>
          <Field label={say('Name')} value={draft.name} onChange={(name) => setDraft({ ...draft, name })} />
          <Field label={say('Your name')} value={draft.keeper} onChange={(keeper) => setDraft({ ...draft, keeper })} />
          <Choice
            label={say('Weights in')}
            value={draft.unit}
            options={[
              ['kg', say('kilograms')],
              ['lb', say('pounds')],
            ]}
            onChange={(unit: WeightUnit) => setDraft({ ...draft, unit })}
          />
          <Choice
            label={say('Dates written as')}
            value={draft.dateOrder}
            options={[
              ['day-month', say('day, month, year')],
              ['month-day', say('month, day, year')],
              ['year-month', say('year, month, day')],
            ]}
            onChange={(dateOrder: DateOrder) => setDraft({ ...draft, dateOrder })}
          />
          <Choice
            label={say('The week begins on')}
            value={draft.weekStart}
            options={WEEK_STARTS.map((d) => [d, WEEK_START_WORDS[d]])}
            onChange={(weekStart: WeekStart) => setDraft({ ...draft, weekStart })}
          />
          <Field
            label={say('Currency')}
            value={draft.currency}
            onChange={(currency) => setDraft({ ...draft, currency })}
            style={{ width: 90 }}
          />
          <Button type="submit" kind="main">
            {say('Save')}
          </Button>
        </Row>
        {isOther ? (
          <>
            <Small style={{ marginTop: 12 }}>
              {say(
                'No figure is converted: what stands in the book as 6.50 {currency} would be read as 6.50 {currency2}.',
                { currency: holding.currency, currency2: draft.currency },
              )}
            </Small>
            <Tick
              label={say('The figures were meant in {currency} all along', { currency: draft.currency })}
              isSelected={meant === draft.currency}
              onChange={(isMeant) => setMeant(isMeant ? draft.currency : undefined)}
            />
          </>
        ) : null}
        {problem ? <p role="alert">{problem}</p> : null}
      </form>
    </Panel>
  );
}
