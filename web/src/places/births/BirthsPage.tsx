import { useQuery } from '@tanstack/react-query';
import type { BirthSeen, BirthsView } from '@yaylak/contract';
import { SPECIES, type Species } from '@yaylak/core';
import { lazy, Suspense, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { deviceMoment } from '../../api/deviceClock';
import { birthsQuery, holdingQuery } from '../../api/queries';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Choice';
import { LinkButton } from '../../parts/LinkButton';
import { Page } from '../../parts/Page';
import { NotePanel, Row, Small } from '../../parts/Panel';
import { Empty, Failed, Loading } from '../../parts/States';
import { useNewKey } from '../../parts/useWindowKey';
import { FosterSheet } from '../../shared/rearing/FosterSheet';
import { LossSheet } from '../../shared/rearing/LossSheet';

import { useSpeciesOptions } from '../../words/useHolding';
import { Awaited } from './Awaited';
import { BirthSheet } from './BirthSheet';
import { JustBorn } from './JustBorn';
import { Pens } from './Pens';
import { say, fixedText } from '@yaylak/contract';
import { Said } from '../../parts/Said';

const BirthDays = lazy(async () => ({ default: (await import('./BirthDays')).BirthDays }));

type Open =
  | { readonly sheet: 'birth'; readonly damId: string | undefined }
  | { readonly sheet: 'foster' | 'loss'; readonly birth: BirthSeen };

/** Who gives birth next, what is to be ready, and what is still to do of those that were born. */
export function BirthsPage() {
  const speciesOptions = useSpeciesOptions();
  const [search, setSearch] = useSearchParams();
  const species = SPECIES.find((s) => s === search.get('species'));
  const { data: holding } = useQuery(holdingQuery);
  const { data, error, refetch } = useQuery({
    ...birthsQuery(species ?? ''),
    placeholderData: (before) => before,
  });
  const asked = search.get('birth');
  const [open, setOpen] = useState<Open | undefined>(asked ? { sheet: 'birth', damId: asked } : undefined);
  useNewKey(() => setOpen({ sheet: 'birth', damId: undefined }));
  if (!data)
    return (
      <Page title={say('Births')}>{error ? <Failed error={error} onRetry={() => void refetch()} /> : <Loading />}</Page>
    );
  const close = (): void => setOpen(undefined);
  const nobody = data.expected.length + data.recent.length === 0;
  return (
    <Page
      title={say('Who is due next?')}
      lead={leadText(data)}
      actions={
        <>
          <Button kind="main" onPress={() => setOpen({ sheet: 'birth', damId: undefined })}>
            {say('Record a birth')}
          </Button>
          <LinkButton as={Link} to={`/births/list${species ? `?species=${species}` : ''}`}>
            {say('Birth list')}
          </LinkButton>
        </>
      }
      aside={
        <>
          {data.expected.length > 0 ? (
            <Suspense fallback={<div style={{ height: 190 }} />}>
              <BirthDays perDay={data.perDay} on={data.on} />
            </Suspense>
          ) : null}
          <Pens pens={data.pens} />
          <Cautions />
        </>
      }
    >
      <Row>
        <Choice<Species | ''>
          label={say('Species')}
          value={species ?? ''}
          options={[['', say('all of them')], ...speciesOptions]}
          onChange={(s) => setSearch(s === '' ? {} : { species: s }, { replace: true })}
        />
      </Row>
      {nobody ? (
        <Empty title={say('Nothing due')}>
          <Said
            text={
              'Record services under <0>Mating</0> and tests under <1>Carrying</1>; from then on this page says who is due when. A birth nobody expected is recorded anyway.'
            }
            parts={{ 0: <Link to="/mating" />, 1: <Link to="/carrying" /> }}
          />
        </Empty>
      ) : null}
      <Awaited view={data} onBirth={(damId) => setOpen({ sheet: 'birth', damId })} />
      <JustBorn
        births={data.recent}
        today={data.on}
        onFoster={(birth) => setOpen({ sheet: 'foster', birth })}
        onLoss={(birth) => setOpen({ sheet: 'loss', birth })}
      />
      {open?.sheet === 'birth' ? (
        <BirthSheet
          damId={open.damId}
          species={species}
          today={data.on}
          hour={(holding?.now ?? deviceMoment()).slice(11, 16)}
          onClose={close}
        />
      ) : null}
      {open?.sheet === 'foster' ? (
        <FosterSheet
          dam={open.birth.tag}
          species={open.birth.species}
          young={withHer(open.birth)}
          today={data.on}
          onClose={close}
        />
      ) : null}
      {open?.sheet === 'loss' ? (
        <LossSheet
          dam={open.birth.tag}
          species={open.birth.species}
          young={withHer(open.birth)}
          today={data.on}
          onClose={close}
        />
      ) : null}
    </Page>
  );
}

const withHer = ({ young }: BirthSeen) => young.filter((y) => y.diedOn === null && y.rearedBy === null);

function leadText({ expected, tonight, perDay }: BirthsView): string {
  const over = expected.filter((e) => e.daysOver > 0).length;
  const soon = perDay.slice(0, 2).reduce((s, n) => s + n, 0);
  const ahead = perDay.reduce((s, n) => s + n, 0);
  const parts = [
    tonight.length === 0
      ? say('Nobody to look at tonight')
      : say('Look at {n} tonight: about {n2} births by tomorrow evening', {
          n: tonight.length,
          n2: fixedText(soon, 1),
        }),
    ...(over > 0 ? [say('{over} {over, plural, one {is overdue} other {are overdue}}', { over })] : []),
    ahead < 0.05
      ? say('none expected in fourteen days')
      : say('about {n} in fourteen days', { n: fixedText(ahead, 1) }),
  ];
  return `${parts.join('; ')}.`;
}

function Cautions() {
  return (
    <NotePanel $tone="weld">
      <h2>{say('Safety')}</h2>
      <Small>
        {say(
          'What comes with a birth can make people ill, and harms an unborn child: gloves, wash, and nobody who is pregnant near it. A dam guards her young: keep a way out, with cows above all. No progress after an hour of hard work, a young that lies wrong, or an afterbirth held back: the vet.',
        )}
      </Small>
    </NotePanel>
  );
}
