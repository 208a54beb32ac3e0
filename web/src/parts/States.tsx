import type { ReactNode } from 'react';
import styled from 'styled-components';
import { AwayError, OutsideError } from '../api/client';
import { colour, radius, space } from '../theme/tokens';
import { Button } from './Button';
import { OutsideLink } from './OutsideLink';
import { NotePanel, Panel, Row } from './Panel';
import { say } from '@yaylak/contract';

/** The shape of what comes. */
export function Loading({ rows = 6 }: { readonly rows?: number }) {
  return (
    <Panel aria-busy="true" aria-label={say('Loading')}>
      {Array.from({ length: rows }, (_, i) => (
        <Bone key={i} />
      ))}
    </Panel>
  );
}
const Bone = styled.div`
  height: 28px;
  margin: ${space(2)} 0;
  border-radius: ${radius};
  background: ${colour('rail')};
  opacity: 0.6;
`;

/** What went wrong, what was kept, and what to do. */
export function Failed({ error, onRetry }: { readonly error: Error; readonly onRetry?: () => void }) {
  const outside = error instanceof OutsideError ? error : undefined;
  const title = outside
    ? outside.isLogIn
      ? say('Not logged in')
      : say('Not let in')
    : error instanceof AwayError
      ? say('The server is away')
      : say('That did not work');
  return (
    <NotePanel $tone="madder" role="alert">
      <h2>{title}</h2>
      <p>{error.message}</p>
      <Row style={{ marginTop: 8 }}>
        {outside ? <OutsideLink isLogIn={outside.isLogIn} /> : null}
        {onRetry ? <Button onPress={onRetry}>{say('Try again')}</Button> : null}
      </Row>
    </NotePanel>
  );
}

/** Nothing here yet, and what to do first. */
export function Empty({
  title,
  children,
  action,
}: {
  readonly title: string;
  readonly children: ReactNode;
  readonly action?: ReactNode;
}) {
  return (
    <Panel>
      <h2>{title}</h2>
      <p style={{ margin: '8px 0 12px' }}>{children}</p>
      {action}
    </Panel>
  );
}
