import { useQuery } from '@tanstack/react-query';
import { useNavigate } from 'react-router';
import styled from 'styled-components';
import { isStorageSafe } from '../../adapters/storage';
import type { ServerSeen } from '../../outbox/outbox';
import type { OutboxItem } from '../../outbox/store';
import { useOutbox, useOutboxState } from '../../outbox/useOutbox';
import { AskButton } from '../../parts/AskButton';
import { Button } from '../../parts/Button';
import { Page } from '../../parts/Page';
import { Panel, Row, Small } from '../../parts/Panel';
import { Empty } from '../../parts/States';
import { useFirst } from '../../parts/useFirst';
import { colour, space } from '../../theme/tokens';
import { PlainList } from '../../parts/PlainList';
import { WrittenLine } from '../../parts/WrittenLine';
import { say } from '@yaylak/contract';

const SHOWN = 200;
const WHY: Readonly<Record<ServerSeen, string>> = {
  there: say('It is on its way.'),
  away: say('The server is away. It is tried again by itself, every few seconds; you may close the lid.'),
  'logged-out': say('Nobody is logged in here. It waits, and goes by itself once somebody logs in.'),
  outside: say('This device is not let in to the book. It waits here, and goes by itself once it is let in again.'),
};

/** What this device keeps: what waits for the server, and what the book did not take, each with what to do. */
export function KeptPage() {
  const outbox = useOutbox();
  const { items, waiting, refused, server } = useOutboxState();
  const navigate = useNavigate();
  const { data: isSafe } = useQuery({
    queryKey: ['storage-safe'],
    queryFn: async () => (await isStorageSafe()) ?? null,
  });
  const queue = items.filter((i) => i.state === 'waiting');
  const firstQueue = useFirst(queue, SHOWN);
  return (
    <Page
      title={say('Kept here')}
      lead={
        waiting + refused.length === 0
          ? say('Everything written on this device is in the book')
          : say(
              '{waiting} {waiting, plural, one {entry waits} other {entries wait}} for the server, {n} {n, plural, one {was} other {were}} not taken',
              { waiting, n: refused.length },
            )
      }
      actions={
        waiting > 0 ? (
          <Button kind="main" onPress={() => void outbox.flush()}>
            {say('Try to send now')}
          </Button>
        ) : undefined
      }
    >
      {waiting + refused.length === 0 ? (
        <Empty title={say('Nothing is kept here')}>
          {say(
            'What is written with no server in reach is kept on this device and sent by itself, in order, when it is back.',
          )}
        </Empty>
      ) : null}
      {isSafe === false ? (
        <Small>
          {say(
            'The browser may clear what is kept here when the disk runs full. Installing Yaylak as an app, from the browser’s menu, usually stops that.',
          )}
        </Small>
      ) : null}
      {refused.length > 0 ? (
        <Panel>
          <h2>{say('Rejected')}</h2>
          <Small>
            {say('Nothing of it is lost. Correct what is wrong and send it again, or drop it if it was a slip.')}
          </Small>
          <List aria-label={say('Not taken')}>
            {refused.map((item) => (
              <li key={item.key}>
                <What item={item} />
                <b>{item.message}</b>
                <Row>
                  {animalOf(item) ? (
                    <Button onPress={() => void navigate(`/animals/${animalOf(item) ?? ''}`)}>
                      {say('Open the animal')}
                    </Button>
                  ) : null}
                  <Button onPress={() => void outbox.retry(item.key)}>{say('Send again')}</Button>
                  <AskButton
                    kind="quiet"
                    label={say('Drop it')}
                    ask={say('Drop it for good?')}
                    onConfirm={() => void outbox.dismiss(item.key)}
                  />
                </Row>
              </li>
            ))}
          </List>
        </Panel>
      ) : null}
      {queue.length > 0 ? (
        <Panel>
          <h2>{say('Waiting to send')}</h2>
          <Small>{WHY[server]}</Small>
          <List aria-label={say('Waiting')}>
            {firstQueue.shown.map((item) => (
              <li key={item.key}>
                <What item={item} />
              </li>
            ))}
          </List>
          {firstQueue.more}
        </Panel>
      ) : null}
    </Page>
  );
}

const DEEDS = {
  picture: say('A photo'),
  change: say('A job was changed'),
  finish: say('A job was finished'),
  resume: say('A job was opened again'),
  discard: say('A job was discarded'),
} as const;

const animalOf = ({ out }: OutboxItem): string | undefined =>
  out.kind === 'entry' && out.entry.type !== 'strike' ? out.entry.animalId : undefined;

/** What was written, of whom and when. */
function What({ item: { out } }: { readonly item: OutboxItem }) {
  if (out.kind === 'entry') return <WrittenLine entry={out.entry} />;
  return <span>{out.kind === 'job' ? say('A job was started: {name}', { name: out.job.name }) : DEEDS[out.kind]}</span>;
}

const List = styled(PlainList)`
  margin: ${space(2)} 0 0;
  li {
    display: flex;
    flex-wrap: wrap;
    justify-content: space-between;
    align-items: center;
    gap: ${space(2)};
    min-height: 52px;
    border-top: 1px solid ${colour('line')};
  }
  li > b {
    flex: 1 1 240px;
    color: ${colour('madder')};
  }
`;
