import { say } from '@yaylak/contract';
import { Link } from 'react-router';
import { LinkButton } from './LinkButton';

/** The way in for a device that is not let in, or on which nobody is logged in. */
export function OutsideLink({ isLogIn }: { readonly isLogIn: boolean }) {
  return (
    <LinkButton as={Link} to={isLogIn ? '/log-in' : '/join'}>
      {isLogIn ? say('Log in') : say('Let this device in')}
    </LinkButton>
  );
}
