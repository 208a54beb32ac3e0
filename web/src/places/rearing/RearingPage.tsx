import { useQuery } from '@tanstack/react-query';
import type { LitterView, RearingView } from '@yaylak/contract';
import { SPECIES, type Species } from '@yaylak/core';
import { useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { rearingQuery, todayQuery } from '../../api/queries';
import { Choice } from '../../parts/Choice';
import { LinkButton } from '../../parts/LinkButton';
import { Page } from '../../parts/Page';
import { NotePanel, Row, Small } from '../../parts/Panel';
import { Empty, Failed, Loading } from '../../parts/States';
import { Tag } from '../../parts/Tag';
import { FosterSheet } from '../../shared/rearing/FosterSheet';
import { LossSheet } from '../../shared/rearing/LossSheet';
import { shortDate } from '../../words/dates';
import { countText } from '../../words/format';
import { useFirstSpecies, useSpeciesOptions } from '../../words/useHolding';
import { FeedSheet } from './FeedSheet';
import { LitterCard, type LitterAct } from './LitterCard';
import { Losses } from './Losses';
import { SeasonFigures } from './SeasonFigures';
import { WeanSheet } from './WeanSheet';
import { WeighSheet } from './WeighSheet';
import { say, SPECIES_WORDS } from '@yaylak/contract';
import { Said } from '../../parts/Said';
import { LeadTo } from '../../parts/LeadTo';

/** Key of a litter: its dam, or that it has none. */
const keyOf = (l: LitterView): string => l.dam?.animalId ?? 'by-hand';

interface Open {
  readonly key: string;
  readonly act: LitterAct;
  readonly litter?: LitterView;
}

/** How the young grow that are with their dams, who falls behind, and who is to be weaned. */
export function RearingPage() {
  const first = useFirstSpecies();
  const speciesOptions = useSpeciesOptions();
  const [search, setSearch] = useSearchParams();
  const { data: today } = useQuery(todayQuery);
  const asked = SPECIES.find((s) => s === search.get('species'));
  const species = asked ?? today?.head.find((h) => h.present > 0)?.species ?? first;
  const { data, error, refetch } = useQuery({ ...rearingQuery(species), placeholderData: (before) => before });
  const [open, setOpen] = useState<Open | undefined>(() => {
    const key = search.get('litter');
    const act = search.get('do');
    return key && (act === 'weigh' || act === 'wean') ? { key, act } : undefined;
  });
  if (!data)
    return (
      <Page title={say('Rearing')}>
        {error ? <Failed error={error} onRetry={() => void refetch()} /> : <Loading />}
      </Page>
    );
  // As it stood when the sheet was opened: a litter that is weaned in it is gone from the page before it is closed.
  const found = open && data.litters.find((l) => keyOf(l) === open.key);
  if (open && !open.litter && found) setOpen({ ...open, litter: found });
  const litter = open?.litter;
  const act = litter && open.act;
  const sheet = litter && { litter, species: data.species, today: data.on, onClose: () => setOpen(undefined) };
  return (
    <Page
      title={say('Which of the young fall behind?')}
      lead={leadText(data)}
      actions={
        <LinkButton as={Link} to={`/rearing/litters?species=${data.species}`}>
          {say('Compare litters')}
        </LinkButton>
      }
      aside={
        <>
          <SeasonFigures view={data} />
          <Losses view={data} />
        </>
      }
    >
      <Row>
        <Choice<Species>
          label={say('Species')}
          value={data.species}
          options={speciesOptions}
          onChange={(s) => setSearch({ species: s }, { replace: true })}
        />
      </Row>
      {data.clusters.map((c) => (
        <NotePanel key={`${c.cause} ${c.from}`} $tone="madder">
          <b>
            {say('{count} died of {cause} from {date} to {date2}.', {
              count: c.count,
              cause: say(c.cause),
              date: shortDate(c.from),
              date2: shortDate(c.to),
            })}
          </b>{' '}
          <Row as="span">
            {say('With')}{' '}
            {c.dams.map((d) => (
              <Tag key={d.animalId} tag={d} />
            ))}
          </Row>
          <Small>
            {say(
              'Several deaths of one cause within a week are an outbreak until the vet says otherwise: part the litters, clean, and wash your hands between them; people can catch some of it.',
            )}
          </Small>
        </NotePanel>
      ))}
      {data.litters.length === 0 ? (
        <Empty
          title={say('No {value} are with their dams', { value: SPECIES_WORDS[data.species].young.unknown[1] })}
          action={<LeadTo to={`/births?species=${data.species}`} words={say('Record a birth')} />}
        >
          <Said
            text={
              'They come here by themselves when a birth is recorded under <0>Births</0>, and leave when they are weaned.'
            }
            parts={{ 0: <Link to={`/births?species=${data.species}`} /> }}
          />
        </Empty>
      ) : null}
      {data.litters.map((l) => (
        <LitterCard
          key={`${keyOf(l)} ${l.bornOn}`}
          litter={l}
          today={data.on}
          onAct={(asks) => setOpen({ key: keyOf(l), act: asks, litter: l })}
        />
      ))}
      {sheet && act === 'weigh' ? <WeighSheet {...sheet} /> : null}
      {sheet && act === 'wean' ? <WeanSheet {...sheet} view={data} /> : null}
      {sheet && act === 'feed' ? <FeedSheet {...sheet} /> : null}
      {sheet?.litter.dam && act === 'foster' ? (
        <FosterSheet dam={sheet.litter.dam} young={sheet.litter.young} {...sheet} />
      ) : null}
      {sheet?.litter.dam && act === 'loss' ? (
        <LossSheet dam={sheet.litter.dam} young={sheet.litter.young} {...sheet} />
      ) : null}
    </Page>
  );
}

function leadText({ litters, species, survival }: RearingView): string {
  const young = litters.reduce((s, l) => s + l.young.length, 0);
  const behind = litters.flatMap((l) => l.young).filter((y) => y.isRunt || y.gain?.verdict === 'below').length;
  const ready = litters.reduce((s, l) => s + l.weaning.ready, 0);
  const [one, many] = SPECIES_WORDS[species].young.unknown;
  const parts = [
    say('{count} with {n} {n, plural, one {dam} other {dams}}', {
      count: countText(young, one, many),
      n: litters.length,
    }),
    behind > 0 ? say('{behind} to look at', { behind }) : say('none falls behind'),
    ...(ready > 0 ? [say('{ready} to wean now', { ready })] : []),
    ...(survival && survival.of > 0
      ? [
          say('{n}\u00a0% of {of} reached weaning', {
            n: Math.round((100 * survival.reared) / survival.of),
            of: survival.of,
          }),
        ]
      : []),
  ];
  return `${parts.join('; ')}.`;
}
