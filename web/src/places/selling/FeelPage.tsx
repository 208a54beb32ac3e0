import { Link } from 'react-router';
import { LinkButton } from '../../parts/LinkButton';
import { Page } from '../../parts/Page';
import { FinishGuide } from '../../shared/finish/FinishGuide';
import { say } from '@yaylak/contract';

/** What each class feels and looks like, to learn it before the race. */
export function FeelPage() {
  return (
    <Page
      title={say('What does each class feel like?')}
      lead={say('Fat by the hand, shape by the eye')}
      actions={
        <LinkButton as={Link} to="/selling">
          {say('Who is ready')}
        </LinkButton>
      }
    >
      <FinishGuide />
    </Page>
  );
}
