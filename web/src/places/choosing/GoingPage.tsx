import { useQuery } from '@tanstack/react-query';
import type { GoingRow, GoingView } from '@yaylak/contract';
import { SPECIES, SPECIES_WORDS, type Decision, type Species } from '@yaylak/core';
import { useState } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { choosingSetsQuery, goingQuery } from '../../api/choosing';
import { holdingQuery } from '../../api/queries';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Field';
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
          label="Species"
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
  const title = `Which ${many} should go?`;
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
          among: `grown ${SPECIES_WORDS[species].plural}`,
          ...(reason ? { reason } : {}),
        },
      ],
      `${row.tag.text} ${decision === 'keep' ? 'stays' : 'goes'}`,
    );
    setProblem(refused.length > 0 ? refused.join(' ') : undefined);
    if (refused.length === 0) setAsking(undefined);
  };
  const lookOver = (): void =>
    void navigate('/race', {
      state: {
        animalIds: data.toLookOver,
        name: `Mouths, udders and feet of the ${SPECIES_WORDS[species].plural}`,
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
            Young stock
          </LinkButton>
          <Button onPress={() => setRules(true)}>Rules</Button>
          {data.toLookOver.length > 0 ? (
            <Button kind="main" onPress={lookOver}>
              Start the check job ({data.toLookOver.length})
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
          <Empty title="Nothing speaks against any of them">
            No rule finds anything against those that are not decided on. Look over mouths, udders and feet once a year
            to be sure.
          </Empty>
        ) : (
          <GoingList
            view={data}
            currency={holding?.currency ?? ''}
            onGoes={(row) => (row.weight === 'watch' ? setAsking({ row, decision: 'cull' }) : void decide(row, 'cull'))}
            onStays={(row) => setAsking({ row, decision: 'keep' })}
          />
        )}
        <DecidedList title="Goes, still here" rows={data.goes} herd={data.rearedByHerd} />
        <DecidedList title="Stays, and why" rows={data.stays} herd={data.rearedByHerd} />
      </Beside>
      <ReasonSheet
        title={asking?.decision === 'keep' ? `${asking.row.tag.text} stays` : `${asking?.row.tag.text ?? ''} goes`}
        isOpen={asking !== undefined}
        words={
          asking?.decision === 'keep'
            ? 'She is asked about again when something new speaks against her, or on her next birthday if it is her age.'
            : 'The rules would only watch this one.'
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
    `${count('now')} should go now`,
    `${count('season-end')} at the season’s end`,
    `${count('watch')} to watch`,
  ].filter((text) => !text.startsWith('0 '));
  return `${countText(females, one, many)} and ${countText(males, 'male', 'males')}. ${parts.length > 0 ? parts.join(', ') : 'Nothing to decide'}.`;
}
