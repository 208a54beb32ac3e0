import { useQuery } from '@tanstack/react-query';
import type { GoingRow, GoingView } from '@yaylak/contract';
import { SPECIES, type Decision, type Species } from '@yaylak/core';
import { useState } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { choosingSetsQuery, goingQuery } from '../../api/choosing';
import { holdingQuery } from '../../api/queries';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Choice';
import { LinkButton } from '../../parts/LinkButton';
import { Page } from '../../parts/Page';
import { Empty, Failed, Loading } from '../../parts/States';
import { useWrite } from '../../parts/useWrite';
import { countText } from '../../words/format';
import { DecidedList } from './DecidedList';
import { GoingList } from './GoingList';
import { HerdPanel } from './HerdPanel';
import { Beside } from '../../parts/Beside';
import { useFirstSpecies } from '../../words/useHolding';
import { ReasonSheet } from './ReasonSheet';
import { RulesSheet } from './RulesSheet';
import { Strictness } from './Strictness';
import { TrendPanel } from './TrendPanel';
import { say, SPECIES_WORDS } from '@yaylak/contract';

/** Who of the grown should go, and what the herd looks like in five years. */
export function GoingPage() {
  const first = useFirstSpecies();
  const [params, setParams] = useSearchParams();
  const { data: sets } = useQuery(choosingSetsQuery);
  const named = SPECIES.find((s) => s === params.get('species'));
  const kept = [...new Set(sets?.map((s) => s.species))];
  const species = named ?? kept[0] ?? first;
  return (
    <Going
      key={species}
      species={species}
      picker={
        <Choice
          label={say('Species')}
          isLabelHidden
          value={species}
          options={(kept.length > 0 ? SPECIES.filter((s) => kept.includes(s)) : SPECIES).map((s) => [
            s,
            SPECIES_WORDS[s].name,
          ])}
          onChange={(next) => setParams({ species: next })}
        />
      }
    />
  );
}

/** What is asked before a decision is recorded. */
interface Asking {
  readonly row: GoingRow;
  readonly decision: Decision;
}

function Going({ species, picker }: { readonly species: Species; readonly picker: React.ReactNode }) {
  const { data, error, refetch } = useQuery(goingQuery(species));
  const { data: holding } = useQuery(holdingQuery);
  const write = useWrite();
  const navigate = useNavigate();
  const [asking, setAsking] = useState<Asking>();
  const [isRules, setRules] = useState(false);
  const [problem, setProblem] = useState<string>();
  const [one, many] = SPECIES_WORDS[species].grown.female;
  const title = say('Which {many} should go?', { many });
  if (!data)
    return (
      <Page title={title} actions={picker}>
        {error ? <Failed error={error} onRetry={() => void refetch()} /> : <Loading rows={8} />}
      </Page>
    );
  const decide = async (row: GoingRow, decision: Decision, reason?: string): Promise<void> => {
    const refused = await write(
      [
        {
          type: 'choice',
          animalId: row.tag.animalId,
          on: holding?.today ?? '',
          decision,
          suggested: row.weight === 'watch' ? 'keep' : 'cull',
          among: say('grown {plural}', { plural: SPECIES_WORDS[species].plural }),
          ...(reason ? { reason } : {}),
        },
      ],
      `${row.tag.text} ${decision === 'keep' ? say('stays') : say('goes')}`,
    );
    setProblem(refused.length > 0 ? refused.join(' ') : undefined);
    if (refused.length === 0) setAsking(undefined);
  };
  const lookOver = (): void =>
    void navigate('/race', {
      state: {
        animalIds: data.toLookOver,
        name: say('Mouths, udders and feet of the {plural}', { plural: SPECIES_WORDS[species].plural }),
        plan: { stations: ['look'], settings: {}, gates: [] },
      },
    });
  return (
    <Page
      title={title}
      lead={leadText(data, one, many)}
      actions={
        <>
          {picker}
          <LinkButton as={Link} to="/choosing">
            {say('Young stock')}
          </LinkButton>
          <Button onPress={() => setRules(true)}>{say('Rules')}</Button>
          {data.toLookOver.length > 0 ? (
            <Button kind="main" onPress={lookOver}>
              {say('Start the check job ({n})', { n: data.toLookOver.length })}
            </Button>
          ) : null}
        </>
      }
    >
      {problem ? <p role="alert">{problem}</p> : null}
      <Beside
        aside={
          <>
            <HerdPanel species={species} />
            <Strictness species={species} />
            <TrendPanel species={species} />
          </>
        }
      >
        {data.rows.length === 0 ? (
          <Empty title={say('Nothing speaks against any of them')}>
            {say(
              'No rule finds anything against those that are not decided on. Look over mouths, udders and feet once a year to be sure.',
            )}
          </Empty>
        ) : (
          <GoingList
            view={data}
            currency={holding?.currency ?? ''}
            onGoes={(row) => (row.weight === 'watch' ? setAsking({ row, decision: 'cull' }) : void decide(row, 'cull'))}
            onStays={(row) => setAsking({ row, decision: 'keep' })}
          />
        )}
        <DecidedList title={say('Goes, still here')} rows={data.goes} herd={data.rearedByHerd} />
        <DecidedList title={say('Stays, and why')} rows={data.stays} herd={data.rearedByHerd} />
      </Beside>
      <ReasonSheet
        title={
          asking?.decision === 'keep'
            ? say('{text} stays', { text: asking.row.tag.text })
            : say('{n} goes', { n: asking?.row.tag.text ?? '' })
        }
        isOpen={asking !== undefined}
        words={
          asking?.decision === 'keep'
            ? say(
                'She is asked about again when something new speaks against her, or on her next birthday if it is her age.',
              )
            : say('The rules would only watch this one.')
        }
        onClose={() => setAsking(undefined)}
        onReason={(reason) => asking && void decide(asking.row, asking.decision, reason)}
      />
      <RulesSheet species={species} rules={data.rules} isOpen={isRules} onClose={() => setRules(false)} />
    </Page>
  );
}

function leadText({ females, males, rows }: GoingView, one: string, many: string): string {
  const count = (weight: GoingRow['weight']): number => rows.filter((r) => r.weight === weight).length;
  const parts = [
    say('{count} should go now', { count: count('now') }),
    say('{count} at the season’s end', { count: count('season-end') }),
    say('{count} to watch', { count: count('watch') }),
  ].filter((text) => !text.startsWith('0 '));
  return say('{count} and {males} {males, plural, one {male} other {males}}. {value}.', {
    count: countText(females, one, many),
    males,
    value: parts.length > 0 ? parts.join(', ') : say('Nothing to decide'),
  });
}
