import { useQuery } from '@tanstack/react-query';
import type { SaleAheadView, SpeciesAhead } from '@yaylak/contract';
import { SPECIES_WORDS } from '@yaylak/core';
import { Link } from 'react-router';
import styled from 'styled-components';
import { saleAheadQuery } from '../../api/selling';
import { Panel, Small } from '../../parts/Panel';
import { PlainList } from '../../parts/PlainList';
import { Tag } from '../../parts/Tag';
import { touch } from '../../theme/tokens';
import { countText, shortDate } from '../../words/format';

/** Who is ready and who goes fat, which outlet goes next, loads that are planned, reservations that end. */
export function SellingAhead() {
  const { data } = useQuery(saleAheadQuery);
  if (!data || isQuiet(data)) return null;
  return (
    <Panel>
      <h2>Selling</h2>
      <PlainList>
        {data.loads.map((load) => (
          <li key={load.id}>
            <Whole to={`/selling/loads/${load.id}`}>
              {load.on < data.on ? 'Was to go' : 'Goes'} {shortDate(load.on)}: {load.outletName},{' '}
              {countText(load.heads, 'head', 'head')}
              {load.stopped > 0 ? `, ${load.stopped} may not go` : ''}
            </Whole>
          </li>
        ))}
        {data.species.filter(hasReady).map((of) => (
          <li key={of.species}>
            <Whole to={`/selling?species=${of.species}`}>{readyText(of)}</Whole>
            {of.outlets.map((o) => (
              <Small key={o.id}>
                {o.name} goes {o.goesOn === data.on ? 'today' : shortDate(o.goesOn)}: {o.fits} fit.
              </Small>
            ))}
          </li>
        ))}
        {data.reserved.map((r) => (
          <li key={r.tag.animalId}>
            <Tag tag={r.tag} />{' '}
            <Small>
              kept for {r.buyer} to {shortDate(r.until)}
            </Small>
          </li>
        ))}
      </PlainList>
    </Panel>
  );
}

const hasReady = ({ ready, closing }: SpeciesAhead): boolean => ready + closing > 0;
const isQuiet = ({ loads, species, reserved }: SaleAheadView): boolean =>
  loads.length === 0 && reserved.length === 0 && !species.some(hasReady);

/** `Sheep: 23 ready, 5 of them not for long, the first to 15 Dec`. */
function readyText({ species, ready, closing, closesOn }: SpeciesAhead): string {
  const all = `${SPECIES_WORDS[species].name}: ${ready + closing} ready`;
  return closing > 0 && closesOn ? `${all}, ${closing} of them not for long, the first to ${shortDate(closesOn)}` : all;
}

const Whole = styled(Link)`
  display: flex;
  align-items: center;
  min-height: ${touch};
`;
