import { useQuery } from '@tanstack/react-query';
import type { HoldingView } from '@yaylak/contract';
import { SPECIES } from '@yaylak/core';
import { Link, useNavigate } from 'react-router';
import { holdingQuery } from '../../api/queries';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Choice';
import { LinkButton } from '../../parts/LinkButton';
import { Page } from '../../parts/Page';
import { Panel, Row, Small } from '../../parts/Panel';
import { Failed, Loading } from '../../parts/States';
import { PointsPanel } from '../../parts/PointsPanel';
import { useInAddress } from '../../parts/useInAddress';
import { useSaveHolding, type SaveHolding } from '../../parts/useSaveHolding';
import { HistoryButton } from '../../shared/history/HistoryButton';
import { useFirstSpecies, useSpeciesOptions } from '../../words/useHolding';
import { Basics } from './Basics';
import { Breeds } from './Breeds';
import { Copies } from './Copies';
import { Devices } from './Devices';
import { Findings } from './Findings';
import { Groups } from './Groups';
import { Hands } from './Hands';
import { People } from './People';
import { SpeciesFigures } from './SpeciesFigures';
import { Standards } from './Standards';
import { say } from '@yaylak/contract';

/** The settings by what they answer, a page each. */
export type HoldingPart = 'basics' | 'groups' | 'figures' | 'judging' | 'copies' | 'devices' | 'people';

const PARTS: readonly (readonly [part: HoldingPart, to: string, words: string])[] = [
  ['basics', '/holding', say('The holding')],
  ['groups', '/holding/groups', say('Groups')],
  ['figures', '/holding/figures', say('Figures of the species')],
  ['judging', '/holding/judging', say('How animals are judged')],
  ['copies', '/holding/copies', say('Copies of the book')],
  ['devices', '/holding/devices', say('Tablets and phones')],
  ['people', '/holding/people', say('People')],
];

/** A list of short names reads badly across a wide page. */
const GROUPS_WIDTH = 640;

/** The holding's own settings, a page of them. */
export function HoldingPage({ part = 'basics' }: { readonly part?: HoldingPart }) {
  const { data, error, refetch } = useQuery(holdingQuery);
  const save = useSaveHolding();
  if (!data)
    return (
      <Page title={say('Holding')}>
        {error ? <Failed error={error} onRetry={() => void refetch()} /> : <Loading />}
      </Page>
    );
  return (
    <Page
      title={PARTS.find(([one]) => one === part)?.[2] ?? ''}
      actions={PARTS.filter(([one]) => one !== part).map(([one, to, words]) => (
        <LinkButton key={one} as={Link} to={to}>
          {words}
        </LinkButton>
      ))}
      aside={part === 'basics' ? <Beside about={data.about} /> : undefined}
    >
      {part === 'basics' ? (
        <>
          <Findings findings={data.about.findings} />
          <Basics key={data.version} holding={data} onSave={save} />
        </>
      ) : null}
      {part === 'groups' ? (
        <div style={{ maxWidth: GROUPS_WIDTH }}>
          <Groups />
        </div>
      ) : null}
      {part === 'figures' ? (
        <>
          <OfSpecies holding={data} onSave={save} />
          <Breeds key={`breeds ${data.version}`} holding={data} onSave={save} />
        </>
      ) : null}
      {part === 'copies' ? <Copies /> : null}
      {part === 'devices' ? <Devices /> : null}
      {part === 'people' ? <People /> : null}
      {part === 'judging' ? (
        <>
          <Standards holding={data} onSave={save} />
          <PointsPanel key={data.version} weights={data.pointsWeights} />
          <Hands />
        </>
      ) : null}
    </Page>
  );
}

interface PartProps {
  readonly holding: HoldingView;
  readonly onSave: SaveHolding;
}

function OfSpecies({ holding, onSave }: PartProps) {
  const speciesOptions = useSpeciesOptions();
  const first = useFirstSpecies();
  const [asked, setSpecies] = useInAddress('species');
  const species = SPECIES.find((s) => s === asked) ?? first;
  return (
    <Panel>
      <Row>
        <Choice label={say('Species')} value={species} options={speciesOptions} onChange={setSpecies} />
      </Row>
      <SpeciesFigures key={`${species} ${holding.version}`} species={species} holding={holding} onSave={onSave} />
    </Panel>
  );
}

/** The way in and out, and what Yaylak this is. */
function Beside({ about }: Pick<HoldingView, 'about'>) {
  const navigate = useNavigate();
  return (
    <>
      <Panel>
        <h2>{say('In and out')}</h2>
        <Small>{say('Bring lists in from files, write the book out, keep a copy of it elsewhere.')}</Small>
        <Row style={{ marginTop: 12 }}>
          <Button onPress={() => void navigate('/holding/files')}>{say('Files in and out')}</Button>
        </Row>
      </Panel>
      <Panel>
        <h2>{say('Who changed what')}</h2>
        <Small>{say('What the settings on these pages said before, who changed them and when.')}</Small>
        <HistoryButton what="holding" name={say('the settings')} />
      </Panel>
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
            'The book lies in the folder that was printed when Yaylak started. It is copied each day; see Copies of the book.',
          )}
        </Small>
        <Small>
          {say(
            'Suggestions are arithmetic on your own figures. For remedies, surgery, transport and welfare the label, the vet and the local rules decide.',
          )}
        </Small>
      </Panel>
    </>
  );
}
