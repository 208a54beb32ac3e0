import { useQuery } from '@tanstack/react-query';
import type { OutletView } from '@yaylak/contract';
import { isPaidByHead, SPECIES, toKg, type Species } from '@yaylak/core';
import { useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import styled from 'styled-components';
import { holdingQuery } from '../../api/queries';
import { outletsQuery, sellingQuery } from '../../api/selling';
import { Button } from '../../parts/Button';
import { LinkButton } from '../../parts/LinkButton';
import { Page } from '../../parts/Page';
import { Row, Small } from '../../parts/Panel';
import { PlainList } from '../../parts/PlainList';
import { Empty, Failed, Loading } from '../../parts/States';
import { HistoryButton } from '../../shared/history/HistoryButton';
import { colour, narrow, radius, space } from '../../theme/tokens';
import { fullDate } from '../../words/dates';
import { moneyText } from '../../words/format';
import { PAY_WORDS, wantsText, WEEKDAYS } from '../../words/selling';
import { useFirstSpecies, useWeightUnit } from '../../words/useHolding';
import { OutletSheet } from './OutletSheet';
import { say, SPECIES_WORDS } from '@yaylak/contract';

/** Where the holding sells, and what is paid there now and was before. */
export function OutletsPage() {
  const first = useFirstSpecies();
  const [params] = useSearchParams();
  const { data, error, refetch } = useQuery(outletsQuery);
  const { data: holding } = useQuery(holdingQuery);
  const [open, setOpen] = useState<OutletView | 'new'>();
  const species: Species = SPECIES.find((s) => s === params.get('species')) ?? first;
  const of = open === 'new' || open === undefined ? species : open.facts.species;
  const { data: selling } = useQuery(sellingQuery({ species: of }));
  const today = holding?.today ?? '';
  return (
    <Page
      title={say('Where do we sell, and what is paid there?')}
      lead={say(
        'Your own markets, buyers and abattoirs; a new price is a list of its own day, so that old sales keep theirs.',
      )}
      actions={
        <>
          <LinkButton as={Link} to={`/selling?species=${species}`}>
            {say('Who is ready')}
          </LinkButton>
          <Button kind="main" onPress={() => setOpen('new')} isDisabled={today === ''}>
            {say('Add an outlet')}
          </Button>
        </>
      }
    >
      {!data ? (
        error ? (
          <Failed error={error} onRetry={() => void refetch()} />
        ) : (
          <Loading rows={6} />
        )
      ) : data.length === 0 ? (
        <Empty title={say('No outlet yet')}>
          {say(
            'Add one with what it pays and wants. From then on Selling says who is ready for it and what each would bring.',
          )}
        </Empty>
      ) : (
        <List aria-label={say('Outlets')}>
          {data.map((outlet) => (
            <Outlet
              key={outlet.id}
              outlet={outlet}
              today={today}
              currency={holding?.currency ?? ''}
              onEdit={() => setOpen(outlet)}
            />
          ))}
        </List>
      )}
      {open === undefined ? null : (
        <OutletSheet
          outlet={open === 'new' ? undefined : open}
          species={species}
          today={today}
          currency={holding?.currency ?? ''}
          rows={selling?.rows ?? []}
          onClose={() => setOpen(undefined)}
        />
      )}
    </Page>
  );
}

interface OutletProps {
  readonly outlet: OutletView;
  readonly today: string;
  readonly currency: string;
  readonly onEdit: () => void;
}

function Outlet({ outlet: { id, facts, isClosed }, today, currency, onEdit }: OutletProps) {
  const unit = useWeightUnit();
  const lists = [...facts.prices].sort((a, b) => (a.from < b.from ? 1 : -1));
  const now = lists.find((p) => p.from <= today);
  const before = lists.filter((p) => p !== now && p.from <= today);
  const priceText = (minor: number): string =>
    isPaidByHead(facts.payBy)
      ? say('{money} a head', { money: moneyText(minor, currency) })
      : `${moneyText(minor * toKg(1, unit), currency)} a ${unit}`;
  return (
    <li data-closed={isClosed || undefined}>
      <div>
        <b>{facts.name}</b>
        <Small>
          {SPECIES_WORDS[facts.species].plural}, {PAY_WORDS[facts.payBy]}
          {isClosed ? say('; no longer used') : ''}
        </Small>
      </div>
      <div>
        {now ? (
          <b>
            {facts.payBy === 'grid' && now.grid?.cellsAre === 'price'
              ? say('priced by its grid')
              : priceText(now.baseMinor)}
          </b>
        ) : (
          <b>{say('no price today')}</b>
        )}
        <Small>
          {now ? say('since {date}', { date: fullDate(now.from) }) : ''}
          {before[0]
            ? say('; before {value}', {
                value:
                  facts.payBy === 'grid' && before[0].grid?.cellsAre === 'price'
                    ? say('another grid')
                    : priceText(before[0].baseMinor),
              })
            : ''}
        </Small>
      </div>
      <div>
        <p>{wantsText(facts, unit)}</p>
        <Small>
          {[
            ...(facts.tripMinor > 0
              ? [say('haulage {money} a trip', { money: moneyText(facts.tripMinor, currency) })]
              : []),
            ...(facts.headMinor > 0
              ? [say('{money} off a head', { money: moneyText(facts.headMinor, currency) })]
              : []),
            ...(facts.commissionShare > 0
              ? [say('{n} % commission', { n: Math.round(1000 * facts.commissionShare) / 10 })]
              : []),
            ...(facts.least > 1 ? [say('at least {least}', { least: facts.least })] : []),
            ...(facts.most === undefined ? [] : [say('at most {most}', { most: facts.most })]),
            ...(facts.weekdays.length > 0 ? [facts.weekdays.map((d) => WEEKDAYS[d - 1]).join(', ')] : []),
          ].join('; ')}
        </Small>
      </div>
      <Row>
        <HistoryButton isShort what="outlet" thingId={id} name={facts.name} />
        <Button kind="quiet" aria-label={say('Change {name}', { name: facts.name })} onPress={onEdit}>
          {say('Change')}
        </Button>
      </Row>
    </li>
  );
}

const List = styled(PlainList)`
  background: ${colour('panel')};
  border: 1px solid ${colour('line')};
  border-radius: ${radius};
  li {
    display: grid;
    grid-template-columns: minmax(0, 4fr) minmax(0, 4fr) minmax(0, 6fr) auto;
    gap: ${space(2)} ${space(4)};
    align-items: start;
    padding: ${space(3)} ${space(4)};
    border-bottom: 1px solid ${colour('line')};
    ${narrow} {
      grid-template-columns: minmax(0, 1fr);
    }
  }
  li:last-child {
    border-bottom: 0;
  }
  li[data-closed] {
    color: ${colour('inkSoft')};
  }
`;
