import { useQuery } from '@tanstack/react-query';
import type { SaleAheadView } from '@yaylak/contract';
import { Link } from 'react-router';
import styled from 'styled-components';
import { saleAheadQuery } from '../../api/selling';
import { Panel, Small } from '../../parts/Panel';
import { PlainList } from '../../parts/PlainList';
import { Tag } from '../../parts/Tag';
import { touch } from '../../theme/tokens';
import { shortDate } from '../../words/dates';
import { goesText, hasReady, keptText, readyText } from '../../words/saleAhead';
import { say } from '@yaylak/contract';

/** Who is ready and who goes fat, which outlet goes next, loads that are planned, reservations that end. */
export function SellingAhead() {
  const { data } = useQuery(saleAheadQuery);
  if (!data || isQuiet(data)) return null;
  return (
    <Panel>
      <h2>{say('Selling')}</h2>
      <PlainList>
        {data.loads.map((load) => (
          <li key={load.id}>
            <Whole to={`/selling/loads/${load.id}`}>
              {load.on < data.on ? say('Was to go') : say('Goes')} {shortDate(load.on)}: {load.outletName},{' '}
              {say('{heads} {heads, plural, one {head} other {head}}', { heads: load.heads })}
              {load.stopped > 0 ? say(', {stopped} may not go', { stopped: load.stopped }) : ''}
            </Whole>
          </li>
        ))}
        {data.species.filter(hasReady).map((of) => (
          <li key={of.species}>
            <Whole to={`/selling?species=${of.species}`}>{readyText(of)}</Whole>
            {of.outlets.map((o) => (
              <Small key={o.id}>{goesText(o, data.on)}.</Small>
            ))}
          </li>
        ))}
        {data.reserved.map((r) => (
          <li key={r.tag.animalId}>
            <Tag tag={r.tag} /> <Small>{keptText(r)}</Small>
          </li>
        ))}
      </PlainList>
    </Panel>
  );
}

const isQuiet = ({ loads, species, reserved }: SaleAheadView): boolean =>
  loads.length === 0 && reserved.length === 0 && !species.some(hasReady);

const Whole = styled(Link)`
  display: flex;
  align-items: center;
  min-height: ${touch};
`;
