import { useQuery } from '@tanstack/react-query';
import type { RosterAnimal } from '@yaylak/contract';
import { dayOf } from '@yaylak/core';
import { QRCodeSVG } from 'qrcode.react';
import { useSearchParams } from 'react-router';
import styled from 'styled-components';
import { rosterQuery } from '../../api/queries';
import { PaperHead } from '../../parts/PaperHead';
import { PaperSheet } from '../../parts/PaperSheet';
import { Small } from '../../parts/Panel';
import { Empty, Failed, Loading } from '../../parts/States';
import { colour, fonts, space } from '../../theme/tokens';
import { birthDate } from '../../words/dates';
import { cardAddress, idsOfCards } from '../../shared/nav/cardAddress';
import { say, fieldWord } from '@yaylak/contract';

/** Cards for the pens, on paper: who is in there, and its number as a code that a phone's camera opens. */
export function PenCards() {
  const [params] = useSearchParams();
  const { data: roster, error, refetch } = useQuery(rosterQuery);
  if (!roster) return error ? <Failed error={error} onRetry={() => void refetch()} /> : <Loading />;
  const byId = new Map(roster.animals.map((a) => [a.tag.animalId, a]));
  const animals = idsOfCards(params).flatMap((id) => byId.get(id) ?? []);
  return (
    <PaperSheet>
      {/* On paper the cards alone: four rows fill a sheet. */}
      <div className="no-print">
        <PaperHead
          title={say('Pen cards')}
          back={{ to: '/animals', words: say('Back to Animals') }}
          print={say('Print the cards')}
        />
      </div>
      <Small className="no-print">
        {say(
          '{n} {n, plural, one {card} other {cards}}, eight to a sheet. The code opens the animal where this address is reached: {origin}.',
          { n: animals.length, origin: window.location.origin },
        )}
      </Small>
      {animals.length === 0 ? (
        <Empty title={say('No cards')}>{say('Tick animals that are here under Animals, and choose Pen cards.')}</Empty>
      ) : (
        <Cards>
          {animals.map((animal) => (
            <Card key={animal.tag.animalId} animal={animal} on={roster.on} />
          ))}
        </Cards>
      )}
    </PaperSheet>
  );
}

function Card({ animal, on }: { readonly animal: RosterAnimal; readonly on: string }) {
  const { tag, bornOn, birthKnownTo, dam, sire, groupName, worn } = animal;
  const chip = worn.find(([, , kind]) => kind === 'electronic')?.[0];
  const address = cardAddress(window.location.origin, tag.animalId);
  return (
    <Frame aria-label={tag.text}>
      <div>
        <b>{tag.text}</b>
        {tag.name ? <strong>{tag.name}</strong> : null}
        <p>
          {fieldWord(animal, bornOn === null ? undefined : dayOf(on) - dayOf(bornOn))}
          {bornOn === null ? '' : say(', born {birthDate}', { birthDate: birthDate(bornOn, birthKnownTo) })}
        </p>
        {dam || sire ? (
          <p>
            {dam ? say('of {dam}', { dam }) : say('dam not known')}
            {sire ? say(', by {sire}', { sire }) : ''}
          </p>
        ) : null}
        {groupName ? <p>{groupName}</p> : null}
        {chip && chip !== tag.text ? <p>{chip}</p> : null}
      </div>
      <QRCodeSVG value={address} size={92} level="M" title={say('Code of {text}', { text: tag.text })} />
      <dl>
        <dt>{say('Served')}</dt>
        <dd />
        <dt>{say('Due')}</dt>
        <dd />
        <dt>{say('Note')}</dt>
        <dd />
      </dl>
    </Frame>
  );
}

const Cards = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(330px, 1fr));
  gap: ${space(3)};
  @media print {
    grid-template-columns: 1fr 1fr;
    gap: 4mm;
  }
`;
const Frame = styled.article`
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: ${space(2)} ${space(3)};
  grid-template-rows: auto 1fr;
  min-height: 62mm;
  padding: ${space(3)};
  border: 1px solid ${colour('ink')};
  background: ${colour('panel')};
  break-inside: avoid;
  p {
    font-size: 14px;
  }
  b {
    display: block;
    font: 700 30px/1.1 ${fonts.mono};
  }
  strong {
    display: block;
    font: 650 20px/1.2 ${fonts.heading};
  }
  svg {
    background: #fff;
    padding: 4px;
    width: 92px;
    height: 92px;
  }
  dl {
    grid-column: 1 / -1;
    display: grid;
    grid-template-columns: auto 1fr;
    gap: ${space(2)};
    align-self: end;
    margin: 0;
  }
  dt {
    font-size: 13px;
  }
  dd {
    margin: 0;
    min-height: 20px;
    border-bottom: 1px solid ${colour('lineStrong')};
  }
`;
