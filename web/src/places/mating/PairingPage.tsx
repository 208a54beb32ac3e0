import { useQuery } from '@tanstack/react-query';
import { percentText, type PairingView, say, SPECIES_WORDS } from '@yaylak/contract';
import { useMemo, useState } from 'react';
import { matingQuery, pairingQuery } from '../../api/queries';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Choice';
import { How } from '../../parts/How';
import { Page } from '../../parts/Page';
import { NotePanel, Panel, Row, Small } from '../../parts/Panel';
import { Empty, Failed, Loading } from '../../parts/States';
import { Tag } from '../../parts/Tag';
import { Tick } from '../../parts/Tick';
import { useAddress } from '../../parts/useInAddress';
import { useNewKey } from '../../parts/useWindowKey';
import { countText } from '../../words/format';
import { useSpeciesOptions } from '../../words/useHolding';
import { LeftOut } from './LeftOut';
import { MatingGroups } from './MatingGroups';
import { MatingTabs } from './MatingTabs';
import { PairGrid } from './PairGrid';
import { withoutWaiting } from './planned';
import { useMatingScope } from './useMating';
import { figuresOf, usePairing, type PairingWish } from './usePairing';
import { LeadTo } from '../../parts/LeadTo';

/** Who goes to whom: the figure of every pair, and the plan for the whole group. */
export function PairingPage() {
  const speciesOptions = useSpeciesOptions();
  const { query, setSpecies, setGroup } = useMatingScope();
  const { data, error, refetch } = useQuery({ ...pairingQuery(query), placeholderData: (before) => before });
  const { data: mating } = useQuery(matingQuery({ species: query.species }));
  if (!data)
    return (
      <Page title={say('Pairing')}>
        {error ? <Failed error={error} onRetry={() => void refetch()} /> : <Loading />}
      </Page>
    );
  return (
    <Pairing
      key={`${data.species} ${query.groupId ?? ''}`}
      view={data}
      filters={
        <>
          <Choice label={say('Species')} value={data.species} options={speciesOptions} onChange={setSpecies} />
          <Choice
            label={say('Group')}
            value={query.groupId ?? ''}
            options={[
              ['', say('all of age')],
              ...(mating?.groups ?? []).map((g) => [g.id, `${g.name} (${g.females})`] as const),
            ]}
            onChange={setGroup}
          />
        </>
      }
    />
  );
}

const ALIKE = ['0.5', say('kinship and merit alike')] as const;
const WEIGHTS = [['1', say('kinship alone')], ALIKE, ['0.1', say('merit before kinship')]] as const;

function Pairing({ view: whole, filters }: { readonly view: PairingView; readonly filters: React.ReactNode }) {
  // A plan for a later time takes those in that are in young or held back today.
  const [params, put] = useAddress();
  const isLater = params.has('later');
  const view = useMemo(() => (isLater ? whole : withoutWaiting(whole)), [isLater, whole]);
  const waiting = whole.females.filter((f) => f.waits.length > 0);
  const [byHand, setByHand] = useState<Pick<PairingWish, 'capacities' | 'locked'>>({ capacities: {}, locked: {} });
  const [weight] = WEIGHTS.find(([w]) => w === params.get('kinship')) ?? ALIKE;
  const wish: PairingWish = { ...byHand, kinshipWeight: Number(weight), isFewest: params.has('fewest') };
  const { state, plan, stop, clear } = usePairing(view);
  useNewKey(() => void plan(wish));
  const change = (next: Partial<typeof byHand>): void => {
    setByHand({ ...byHand, ...next });
    clear();
  };
  const ask = (name: 'kinship' | 'fewest' | 'later', value: string | undefined): void => {
    put({ [name]: value });
    clear();
  };
  const words = SPECIES_WORDS[view.species].grown;
  const forbidden = view.refusals.filter((r) => r !== null).length;
  const maleOf = state.kind === 'made' ? state.maleOf : undefined;
  return (
    <Page
      title={say('Mating plan: which male for which female?')}
      lead={say('{count} and {count2}: {forbidden} of {n} pairs are not allowed.', {
        count: countText(view.females.length, words.female[0], words.female[1]),
        count2: countText(view.males.length, words.male[0], words.male[1]),
        forbidden,
        n: view.refusals.length,
      })}
      actions={
        <>
          <MatingTabs species={view.species} but="/pairing" />
          {state.kind === 'working' ? (
            <Button onPress={stop}>{say('Stop, at {n} %', { n: Math.round(100 * state.share) })}</Button>
          ) : (
            <Button
              kind="main"
              isDisabled={view.males.length === 0 || view.females.length === 0}
              onPress={() => void plan(wish)}
            >
              {say('Plan who goes to whom')}
            </Button>
          )}
        </>
      }
      aside={<Aside view={view} maleOf={maleOf} />}
    >
      <Row $gap={3} style={{ alignItems: 'flex-end' }}>
        {filters}
        <Choice
          label={say('What counts most')}
          value={weight}
          options={WEIGHTS}
          onChange={(w) => ask('kinship', w === ALIKE[0] ? undefined : w)}
        />
        <How of={say('The plan')}>
          <p>
            {say(
              'Every female gets a male with room for her and no objection to the pair, so that the sum over all pairs of weight × inbreeding of the young − (1 − weight) × the male’s merit is the least there is. It is exact: no other way is better.',
            )}
          </p>
          <p>
            {say(
              'Merit is how much his young grew over the others of their group, like for like, drawn to nothing while they are few.',
            )}
          </p>
          <p>{say('Click a pair to lock it: the plan then keeps it, even if there is an objection.')}</p>
        </How>
        <Tick
          label={say('with the fewest males')}
          isSelected={wish.isFewest}
          onChange={(isFewest) => ask('fewest', isFewest ? '1' : undefined)}
        />
        {waiting.length > 0 ? (
          <Tick
            label={say('with the {n} in young or held back, for later', { n: waiting.length })}
            isSelected={isLater}
            onChange={(next) => ask('later', next ? '1' : undefined)}
          />
        ) : null}
      </Row>
      {state.kind === 'failed' ? (
        <p role="alert">{say('The plan could not be made: {message}', { message: state.message })}</p>
      ) : null}
      {state.kind === 'stopped' ? <p role="status">{say('Stopped. Nothing was changed.')}</p> : null}
      {view.males.length === 0 || view.females.length === 0 ? (
        <Empty title={say('Nobody to pair')} action={<LeadTo to="/mating/males" words={say('Look at the males')} />}>
          {say('There is no breeding male, or no female that may be mated, of this species.')}
        </Empty>
      ) : (
        <Panel>
          <PairGrid view={view} wish={wish} maleOf={maleOf} onWish={change} />
        </Panel>
      )}
      {maleOf ? <MatingGroups view={view} maleOf={maleOf} /> : null}
      {isLater ? null : <LeftOut females={waiting} />}
    </Page>
  );
}

function Aside({
  view,
  maleOf,
}: {
  readonly view: PairingView;
  readonly maleOf: Readonly<Record<string, string>> | undefined;
}) {
  const place = new Map(view.males.map((m, i) => [m.tag.animalId, i]));
  const planned = maleOf
    ? figuresOf(
        view,
        view.females.map((f) => {
          const male = place.get(maleOf[f.tag.animalId] ?? '');
          return male === undefined ? [] : [male];
        }),
      )
    : undefined;
  const present = figuresOf(view, view.present);
  const shallow = view.females.filter((f) => f.generations < 2).length;
  const mean = (f: number | undefined): string => (f === undefined ? 'nobody' : percentText(f));
  return (
    <>
      <Panel>
        <h2>{say('Planned and present')}</h2>
        <table style={{ width: '100%', marginTop: 8 }}>
          <thead>
            <tr>
              <th aria-label={say('What')} />
              <th style={{ textAlign: 'right' }}>{say('plan')}</th>
              <th style={{ textAlign: 'right' }}>{say('now')}</th>
            </tr>
          </thead>
          <tbody>
            {(
              [
                [say('Females with a male'), planned ? String(planned.served) : '', String(present.served)],
                [say('Mean inbreeding'), planned ? mean(planned.meanInbreeding) : '', mean(present.meanInbreeding)],
                [say('Pairs not allowed'), planned ? String(planned.forbidden) : '', String(present.forbidden)],
              ] as const
            ).map(([what, plan, now]) => (
              <tr key={what}>
                <th scope="row" style={{ textAlign: 'left', fontWeight: 400 }}>
                  {what}
                </th>
                <td style={{ textAlign: 'right' }}>{plan}</td>
                <td style={{ textAlign: 'right' }}>{now}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </Panel>
      {view.contradictions.map(({ gene, kind, tags }, i) => (
        <NotePanel key={i} $tone="madder">
          <h2>
            {say('Tests of {gene} contradict {value}', {
              gene,
              value: kind === 'own' ? say('each other') : say('the parentage'),
            })}
          </h2>
          <Small>
            {say(
              '{value} of {n, plural, one {this one} other {these}} is wrong. Test again, and strike out what was wrong; until then {n, plural, one {it counts} other {each counts}} as a carrier, or as affected if only that was found.',
              { value: kind === 'own' ? say('A test') : say('A test or a parent'), n: tags.length },
            )}
          </Small>
          <Row style={{ marginTop: 8 }}>
            {tags.map((t) => (
              <Tag key={t.animalId} tag={t} />
            ))}
          </Row>
        </NotePanel>
      ))}
      {view.approximate.length > 0 ? (
        <Panel>
          <Small>
            {say('The family is so entangled that the chances of {list} are close and not exact.', {
              list: view.approximate.join(', '),
            })}
          </Small>
        </Panel>
      ) : null}
      {shallow > 0 ? (
        <NotePanel $tone="weld">
          <h2>{say('Shallow pedigrees')}</h2>
          <Small>
            {say(
              'Of {shallow} {shallow, plural, one {female} other {females}} fewer than two full generations are known: kinship may be higher than the figure, and never lower.',
              { shallow },
            )}
          </Small>
        </NotePanel>
      ) : null}
      <Panel>
        <h2>{say('Limits')}</h2>
        <Small>
          {say(
            'Parents, brothers and sisters, and over {percent} inbreeding are not put together, nor two that may carry one disorder. The limits are set under Holding.',
            { percent: percentText(view.most) },
          )}
        </Small>
      </Panel>
    </>
  );
}
