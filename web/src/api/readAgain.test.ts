import { QueryClient, QueryObserver } from '@tanstack/react-query';
import { readAgain } from './readAgain';

/** A book that answers when told to, with what stood in it when it was asked. */
function aSlowBook() {
  let page = 'before';
  const waiting: (() => void)[] = [];
  return {
    write: (said: string) => void (page = said),
    read: () => {
      const then = page;
      return new Promise<string>((resolve) => waiting.push(() => resolve(then)));
    },
    async answer() {
      waiting.splice(0).forEach((go) => go());
      await new Promise((resolve) => setTimeout(resolve));
    },
    asked: () => waiting.length,
  };
}
const aClient = (): QueryClient => new QueryClient({ defaultOptions: { queries: { staleTime: Infinity } } });

it('reads once more what was being read beside the screen while the change was written', async () => {
  const [client, book] = [aClient(), aSlowBook()];
  void client.prefetchQuery({ queryKey: ['roster'], queryFn: book.read });
  await Promise.resolve();
  book.write('after');
  void readAgain(client);
  await book.answer();
  await book.answer();
  expect(client.getQueryData(['roster'])).toBe('after');
  expect(client.getQueryState(['roster'])?.isInvalidated).toBe(false);
});

it('reads once more what the screen waits for the first time', async () => {
  const [client, book] = [aClient(), aSlowBook()];
  const stop = new QueryObserver(client, { queryKey: ['roster'], queryFn: book.read }).subscribe(() => undefined);
  book.write('after');
  void readAgain(client);
  await book.answer();
  await book.answer();
  expect(client.getQueryData(['roster'])).toBe('after');
  stop();
});

it('asks nothing of what nobody looks at until it is looked at', async () => {
  const [client, book] = [aClient(), aSlowBook()];
  client.setQueryData(['roster'], 'before');
  await readAgain(client);
  expect(book.asked()).toBe(0);
  expect(client.getQueryState(['roster'])?.isInvalidated).toBe(true);
});
