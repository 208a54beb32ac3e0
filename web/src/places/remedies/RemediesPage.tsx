import { useQuery } from '@tanstack/react-query';
import type { DoseDueView, ProductView, RemediesView } from '@yaylak/contract';
import { useState } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import { holdingQuery, remediesQuery } from '../../api/queries';
import { Button } from '../../parts/Button';
import { HeldBar } from '../../parts/HeldBar';
import { LinkButton } from '../../parts/LinkButton';
import { Page } from '../../parts/Page';
import { NotePanel, Panel, Row, Small } from '../../parts/Panel';
import { Empty, Failed, Loading } from '../../parts/States';
import { Tag } from '../../parts/Tag';
import { useNewKey } from '../../parts/useWindowKey';
import { WindowBar } from '../../parts/WindowBar';
import { useGiveJob } from '../../shared/remedies/useGiveJob';
import { colour, phone, space } from '../../theme/tokens';
import { fullDate, longDate } from '../../words/dates';
import { ProductSheet } from './ProductSheet';
import { Shelf } from './Shelf';
import { TreatWhom } from './TreatWhom';
import { PlainList } from '../../parts/PlainList';
import { say } from '@yaylak/contract';

/** What is withheld, what is to be given again, and what stands on the shelf. */
export function RemediesPage() {
  const { data, error, refetch } = useQuery(remediesQuery);
  const { data: holding } = useQuery(holdingQuery);
  const [sheet, setSheet] = useState<{ readonly product: ProductView | undefined }>();
  useNewKey(() => setSheet({ product: undefined }));
  if (!data || !holding)
    return (
      <Page title={say('Remedies')}>
        {error ? <Failed error={error} onRetry={() => void refetch()} /> : <Loading />}
      </Page>
    );
  const held = new Set(data.withheld.map((w) => w.tag.animalId)).size;
  const open = data.due.filter((d) => d.isOpen).length;
  return (
    <Page
      title={say('What is withheld, and what is due?')}
      lead={`${held === 0 ? say('Nothing is withheld') : say('{held} {held, plural, one {animal} other {animals}} of {present} withheld', { held, present: data.present })}, ${open === 0 ? say('nothing to give now') : say('{open} {open, plural, one {round} other {rounds}} to be given now', { open })}`}
      actions={
        <>
          <TreatWhom />
          <LinkButton as={Link} to="/remedies/register">
            {say('Treatment register')}
          </LinkButton>
        </>
      }
      aside={
        <>
          <Shelf
            products={data.products}
            onAdd={() => setSheet({ product: undefined })}
            onEdit={(product) => setSheet({ product })}
          />
          <NotePanel $tone="weld">
            <h3>{say('Before you treat')}</h3>
            <Small>
              {say(
                'The label, your vet and your local rules decide; nothing here is a dose of ours. A clean needle for each animal, used ones into the sharps box. Nothing poured on a wet back. Gloves on: some remedies go through the skin, and a vaccine in your own hand needs a doctor. Hold a beast in the crush before you reach in.',
              )}
            </Small>
          </NotePanel>
        </>
      }
    >
      <Withheld rows={data.withheld} today={holding.today} />
      <Due rows={data.due} today={holding.today} />
      {sheet ? <ProductSheet product={sheet.product} onClose={() => setSheet(undefined)} /> : null}
    </Page>
  );
}

function Withheld({ rows, today }: { readonly rows: RemediesView['withheld']; readonly today: string }) {
  return (
    <Panel>
      <h2>{say('Withheld')}</h2>
      {rows.length === 0 ? (
        <p>{say('Nothing: meat and milk of all may be used, as far as the book knows.')}</p>
      ) : (
        <List aria-label={say('Withheld')}>
          {rows.map((w) => (
            <li key={`${w.tag.animalId} ${w.of}`}>
              <span>
                <Tag tag={w.tag} />
                <Small>{w.groupName ?? say('no group')}</Small>
              </span>
              <span>
                <b>
                  {say('{value} clear from {date}', {
                    value: w.of === 'meat' ? say('Meat') : say('Milk'),
                    date: longDate(w.clearFrom),
                  })}
                </b>
                <Small>{say('{product}, given {date}', { product: w.product, date: fullDate(w.from) })}</Small>
              </span>
              <HeldBar from={w.from} until={w.until} today={today} />
            </li>
          ))}
        </List>
      )}
    </Panel>
  );
}

function Due({ rows, today }: { readonly rows: readonly DoseDueView[]; readonly today: string }) {
  const give = useGiveJob();
  return (
    <Panel>
      <h2>{say('Next dose due')}</h2>
      {rows.length === 0 ? (
        <Empty title={say('Nothing to give in the next three weeks')}>
          {say('A product given in several doses, or in certain months of the year, comes up here by itself.')}
        </Empty>
      ) : (
        <List aria-label={say('Next dose due')}>
          {rows.map((d) => (
            <li key={d.key}>
              <span>
                <b>{d.product}</b>
                <Small>
                  {d.nth === null ? say('yearly plan') : say('dose {nth}', { nth: d.nth })},{' '}
                  {d.groupName ?? say('no group')}
                </Small>
              </span>
              <span>
                {say('{n} {n, plural, one {animal} other {animals}}', { n: d.animalIds.length })}
                {d.done > 0 ? say(', {done} done', { done: d.done }) : ''}
                <WindowBar window={d.window} today={today} />
              </span>
              <Row style={{ justifyContent: 'flex-end' }}>
                <Button
                  aria-label={say('Start the job: {product}, {n}', { product: d.product, n: d.groupName ?? '' })}
                  onPress={() => give(d)}
                >
                  {say('Start the job')}
                </Button>
              </Row>
            </li>
          ))}
        </List>
      )}
    </Panel>
  );
}

const List = styled(PlainList)`
  margin: ${space(2)} 0 0;
  li {
    display: grid;
    grid-template-columns: minmax(120px, 1fr) minmax(180px, 1.6fr) minmax(160px, 1.2fr);
    gap: ${space(3)};
    align-items: center;
    min-height: 60px;
    padding: ${space(1)} 0;
    border-top: 1px solid ${colour('line')};
  }
  ${phone} {
    li {
      grid-template-columns: minmax(0, 1fr);
      gap: ${space(1)};
      padding: ${space(3)} 0;
    }
  }
`;
