import { Link } from 'react-router';
import { LinkButton } from './LinkButton';

/** Where the work of a place begins that has nothing to show yet. */
export const LeadTo = ({ to, words }: { readonly to: string; readonly words: string }) => (
  <LinkButton as={Link} to={to}>
    {words}
  </LinkButton>
);
