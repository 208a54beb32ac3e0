import { useQuery } from '@tanstack/react-query';
import { mayRole, say, type Deed } from '@yaylak/contract';
import { useLocation } from 'react-router';
import { holdingQuery } from '../api/queries';
import { NotePanel } from '../parts/Panel';

/** What is done in a place that not everybody may do; the first that fits. */
const DONE_THERE: readonly (readonly [place: RegExp, deed: Deed, words: string])[] = [
  [
    /^\/selling/,
    'sell',
    say('Selling is for owners and keepers: you can look, and what you change here is not taken.'),
  ],
  [
    /^\/choosing/,
    'decide',
    say('Choosing is for owners and keepers: you can look, and what you change here is not taken.'),
  ],
  [
    /^\/holding\/(copies|devices)/,
    'house',
    say('This is for owners: you can look, and what you change here is not taken.'),
  ],
  [/^\/holding\/people/, 'own', ''],
  [
    /^\/holding/,
    'settings',
    say('Settings are for owners and keepers: you can look, and what you change here is not taken.'),
  ],
];

/** Says beforehand what who is logged in may not do in a place. */
export function RoleNote() {
  const role = useQuery(holdingQuery).data?.writer?.role;
  const { pathname } = useLocation();
  const [, deed, words] = DONE_THERE.find(([place]) => place.test(pathname)) ?? [];
  const said = !mayRole(role, 'write')
    ? say('You are a viewer: you can look at the animals, and write nothing.')
    : deed && !mayRole(role, deed)
      ? words
      : undefined;
  if (said === undefined) return null;
  return (
    <NotePanel $tone="weld" role="status" style={{ margin: '16px 16px 0' }}>
      {said}
    </NotePanel>
  );
}
