import { AwayError, ProblemError } from '../../api/client';
import { createDraftQueue, type DraftChange } from './draftQueue';

const change = (animalId: string): DraftChange => ({ animalId }) as unknown as DraftChange;
const refusal = (status: number): ProblemError => new ProblemError({ type: '', title: `no ${status}`, status });

beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

it.each([new AwayError(), refusal(401), refusal(429), refusal(503)])(
  'what meets %s waits and goes again, in order',
  async (error) => {
    const sent: DraftChange[] = [];
    let isThere = false;
    const onWaiting = jest.fn();
    const onRefused = jest.fn();
    const queue = createDraftQueue({
      send: (one) => (isThere ? Promise.resolve(void sent.push(one)) : Promise.reject(error)),
      onWaiting,
      onRefused,
    });
    queue.add(change('a'));
    queue.add(change('b'));
    await jest.advanceTimersByTimeAsync(0);
    expect(onWaiting).toHaveBeenLastCalledWith(2);
    isThere = true;
    await jest.advanceTimersByTimeAsync(60_000);
    expect(sent).toEqual([change('a'), change('b')]);
    expect(onRefused).not.toHaveBeenCalled();
    queue.stop();
  },
);

it('what is refused is said, and stands in nobody’s way', async () => {
  const sent: DraftChange[] = [];
  const onRefused = jest.fn();
  const queue = createDraftQueue({
    send: (one) => (one === first ? Promise.reject(refusal(409)) : Promise.resolve(void sent.push(one))),
    onWaiting: () => undefined,
    onRefused,
  });
  const first = change('a');
  queue.add(first);
  queue.add(change('b'));
  await jest.advanceTimersByTimeAsync(0);
  expect(onRefused).toHaveBeenCalledWith('no 409');
  expect(sent).toEqual([change('b')]);
});
