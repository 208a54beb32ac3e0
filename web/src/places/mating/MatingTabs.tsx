import type { Species } from '@yaylak/core';
import { Link } from 'react-router';
import { LinkButton } from '../../parts/LinkButton';
import { say } from '@yaylak/contract';

const TABS = [
  ['', say('Heats')],
  ['/males', say('Males')],
  ['/pairing', say('Pairing')],
  ['/record', say('Results')],
] as const;

/** The other sides of mating, for the same species. */
export const MatingTabs = ({ species, but }: { readonly species: Species; readonly but: (typeof TABS)[number][0] }) => (
  <>
    {TABS.filter(([path]) => path !== but).map(([path, words]) => (
      <LinkButton key={path} as={Link} to={`/mating${path}?species=${species}`}>
        {words}
      </LinkButton>
    ))}
  </>
);
