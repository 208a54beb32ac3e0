import { useInfiniteQuery, useQuery } from '@tanstack/react-query';
import type { AnimalQuery, AnimalRow, AnimalSort } from '@yaylak/contract';
import { DECISIONS, SEXES, type Sex } from '@yaylak/core';
import { useEffect, useMemo, useState } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import styled from 'styled-components';
import { AwayError, withQuery } from '../../api/client';
import { animalsQuery, groupsQuery, strainsQuery, tagsQuery } from '../../api/queries';
import { Button } from '../../parts/Button';
import { Chip } from '../../parts/Chip';
import { Choice } from '../../parts/Choice';
import { Field } from '../../parts/Field';
import { KeptAnimals } from '../../parts/KeptHere';
import { LinkButton } from '../../parts/LinkButton';
import { Page } from '../../parts/Page';
import { Row } from '../../parts/Panel';
import { Empty, Failed, Loading } from '../../parts/States';
import { PICKED, usePicked } from './usePicked';
import { useNewKey } from '../../parts/useWindowKey';
import { space } from '../../theme/tokens';
import { usePhone } from '../../theme/usePhone';

import { DECISION_WORDS } from '../../words/reasons';
import { markKey, markText, wearingMark } from '../../words/tags';
import { useSpecies } from '../../words/useHolding';
import { AddSheet } from './AddSheet';
import { AnimalsTable } from './AnimalsTable';
import { COLUMNS } from './columns';
import { ColumnChoice } from './ColumnChoice';
import { SelectionBar } from './SelectionBar';
import { WriteWorkbook } from './WriteWorkbook';
import { COLUMNS_KEY, columnsOnPhone, queryOf, rememberedColumns } from './animalsAsked';
import { say, SPECIES_WORDS, lower } from '@yaylak/contract';

/** All animals: find, filter, sort, mark and move. The filter lives in the address, so that it can be kept. */
export function AnimalsPage() {
  const [params, setParams] = useSearchParams();
  const kept = useSpecies();
  const [columns, setColumns] = useState(rememberedColumns);
  const isPhone = usePhone();
  const [picked, pick] = usePicked();
  const [isAdding, setAdding] = useState(false);
  const navigate = useNavigate();
  const query = useMemo(() => queryOf(params), [params]);
  const { data: groups } = useQuery(groupsQuery);
  const { data: tags } = useQuery(tagsQuery);
  const { data: strains = [] } = useQuery(strainsQuery);
  const list = useInfiniteQuery(animalsQuery(query));
  const rows = useMemo(() => list.data?.pages.flatMap((p) => p.rows) ?? [], [list.data]);
  const total = list.data?.pages[0]?.total ?? 0;
  // Who is picked is read as far as they stand in the list, so that all of them are there.
  const isMissing = list.hasNextPage && picked.size > rows.filter((r) => picked.has(r.tag.animalId)).length;
  const { fetchNextPage, isFetching } = list;
  useEffect(() => {
    if (isMissing && !isFetching) void fetchNextPage();
  }, [isMissing, isFetching, fetchNextPage]);
  useNewKey(() => setAdding(true));

  const set = (change: Partial<Record<keyof AnimalQuery, string>>): void => {
    const next = new URLSearchParams(params);
    for (const [key, value] of Object.entries(change)) {
      if (value) next.set(key, value);
      else next.delete(key);
    }
    next.delete(PICKED);
    pick(new Set());
    setParams(next, { replace: true });
  };
  const chip = (key: keyof AnimalQuery, value: string, words: string) => (
    <Chip
      key={`${key} ${value}`}
      type="button"
      aria-pressed={params.get(key) === value}
      onClick={() => set({ [key]: params.get(key) === value ? '' : value })}
    >
      {words}
    </Chip>
  );
  const csv = withQuery('/api/files/animals.csv', {
    ...query,
    columns: columns.flatMap((c) => COLUMNS[c].inFile).join(','),
  });

  return (
    <Page
      title={say('Animals')}
      lead={say('{total} {total, plural, one {animal} other {animals}} shown', { total })}
      actions={
        <>
          <ColumnChoice
            value={columns}
            onChange={(next) => {
              setColumns(next);
              localStorage.setItem(COLUMNS_KEY, next.join(','));
            }}
          />
          <LinkButton href={csv} download="animals.csv">
            {say('Write as CSV')}
          </LinkButton>
          <WriteWorkbook csv={csv} />
          <LinkButton as={Link} to={`/animals/list?${params}`}>
            {say('Print')}
          </LinkButton>
          <Button kind="main" onPress={() => setAdding(true)}>
            {say('Add animals')}
          </Button>
        </>
      }
    >
      <Filters>
        <Field
          label={say('Words')}
          placeholder={say('number, name, group')}
          value={query.words ?? ''}
          onChange={(words) => set({ words })}
        />
        <Choice
          label={say('Group')}
          value={query.groupId ?? ''}
          options={[['', say('all groups')], ...(groups ?? []).map((g) => [g.id, `${g.name} (${g.present})`] as const)]}
          onChange={(groupId) => set({ groupId })}
        />
        <Choice
          label={say('Mark')}
          value={query.mark ?? ''}
          options={[
            ['', say('any or none')],
            ...(tags?.marks ?? []).map((m) => [markKey(m), `${markText(m)} (${wearingMark(m)})`] as const),
          ]}
          onChange={(mark) => set({ mark })}
        />
        <Choice
          label={say('Withheld')}
          value={query.withheld ?? ''}
          options={[
            ['', say('any')],
            ['any', say('meat or milk withheld')],
            ['meat', say('meat withheld')],
            ['milk', say('milk withheld')],
          ]}
          onChange={(withheld) => set({ withheld })}
        />
        {strains.length > 0 ? (
          <Choice
            label={say('Breed')}
            value={query.strain ?? ''}
            options={[['', say('any')], ...strains.map((name) => [name, name] as const)]}
            onChange={(strain) => set({ strain })}
          />
        ) : null}
        <Choice
          label={say('Chosen')}
          value={query.chosen ?? ''}
          options={[['', say('any or not yet')], ...DECISIONS.map((d) => [d, lower(DECISION_WORDS[d])] as const)]}
          onChange={(chosen) => set({ chosen })}
        />
        <Choice
          label={say('Here')}
          value={query.presence ?? 'present'}
          options={[
            ['present', say('present')],
            ['gone', say('gone')],
            ['all', say('present and gone')],
          ]}
          onChange={(presence) => set({ presence: presence === 'present' ? '' : presence })}
        />
      </Filters>
      <Row role="group" aria-label={say('Filters')}>
        {kept.map((s) => chip('species', s, SPECIES_WORDS[s].name))}
        {SEXES.filter((s) => s !== 'unknown').map((s) => chip('sex', s, SEX_CHIPS[s]))}
        {[0, 1, 2].map((back) => {
          const year = String(new Date().getFullYear() - back);
          return chip('bornIn', year, say('born {year}', { year }));
        })}
      </Row>
      <SelectionBar
        rows={rows.filter((r) => picked.has(r.tag.animalId))}
        onDone={() => pick(new Set())}
        onJob={(chosen) =>
          void navigate('/race', {
            state: {
              animalIds: chosen.map((r) => r.tag.animalId),
              name: say('{n} {n, plural, one {animal} other {chosen animals}}', { n: chosen.length }),
            },
          })
        }
      />
      {list.error instanceof AwayError && !list.data ? (
        <KeptAnimals words={query.words ?? ''} species={query.species} />
      ) : list.error ? (
        <Failed error={list.error} onRetry={() => void list.refetch()} />
      ) : null}
      {list.isPending ? <Loading rows={12} /> : null}
      {list.data && rows.length === 0 ? (
        <Empty title={say('No animal fits')} action={<Button onPress={() => setParams({})}>{say('Show all')}</Button>}>
          {say('Take a filter off, or add the animal.')}
        </Empty>
      ) : null}
      {rows.length > 0 ? (
        <AnimalsTable
          rows={rows}
          columns={isPhone ? columnsOnPhone(columns) : columns}
          sort={query.sort ?? 'number'}
          direction={query.direction ?? 'up'}
          onSort={(sort: AnimalSort) =>
            set({ sort, direction: query.sort === sort && query.direction !== 'down' ? 'down' : 'up' })
          }
          selected={picked}
          onSelectedChange={pick}
          onOpen={(row: AnimalRow) => void navigate(`/animals/${row.tag.animalId}`)}
          hasMore={list.hasNextPage}
          onMore={() => void list.fetchNextPage()}
          total={total}
        />
      ) : null}
      <AddSheet isOpen={isAdding} onClose={() => setAdding(false)} />
    </Page>
  );
}

const SEX_CHIPS: Readonly<Record<Sex, string>> = {
  female: say('females'),
  male: say('males'),
  castrate: say('castrates'),
  unknown: say('unknown'),
};

const Filters = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: flex-end;
  gap: ${space(3)};
  /* A long mark does not push the others into a line of their own. */
  select {
    max-width: 180px;
  }
`;
