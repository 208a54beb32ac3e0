import { Link } from 'react-router';
import { LinkButton } from '../../parts/LinkButton';
import { Page } from '../../parts/Page';
import { FinishGuide } from '../../shared/finish/FinishGuide';

/** What each class feels and looks like, to learn it before the race. */
export function FeelPage() {
  return (
    <Page
      title="What does each class feel like?"
      lead="Fat by the hand, shape by the eye"
      actions={
        <LinkButton as={Link} to="/selling">
          Who is ready
        </LinkButton>
      }
    >
      <FinishGuide />
    </Page>
  );
}
