import { say, type CopiesTrouble } from '@yaylak/contract';
import { Link } from 'react-router';
import { LinkButton } from '../../parts/LinkButton';
import { Small } from '../../parts/Panel';
import { LookItem } from '../../parts/rows';
import { followingText, secondPlaceText } from '../../words/copies';
import { fullDate } from '../../words/dates';

/** What is wrong with the copies of the book: said before one is needed. */
export function CopiesItem({ trouble: { oldSince, second, following, failed } }: { readonly trouble: CopiesTrouble }) {
  const lines = [
    ...(oldSince === null ? [] : [say('The last good copy is of {date}.', { date: fullDate(oldSince) })]),
    ...(failed === null ? [] : [say('The last one could not be made: {failed}.', { failed })]),
    ...(second === null ? [] : [secondPlaceText(second)]),
    ...(following === null ? [] : [followingText(following)]),
  ];
  return (
    <LookItem>
      <div>
        <b>{say('Copies of the book')}</b>
        {lines.map((line) => (
          <Small key={line}>{line}</Small>
        ))}
      </div>
      <span />
      <LinkButton as={Link} to="/holding/copies">
        {say('Look at the copies')}
      </LinkButton>
    </LookItem>
  );
}
