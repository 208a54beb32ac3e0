import { screen, waitFor } from '@testing-library/react';
import { renderPage } from '../tests/renderPage';
import { StorageNote } from './StorageNote';

const withStorage = (storage: object | undefined): void =>
  void Object.defineProperty(navigator, 'storage', { configurable: true, value: storage });
afterEach(() => {
  withStorage(undefined);
  jest.restoreAllMocks();
});

it('says how little is left before the first animal', async () => {
  withStorage({ estimate: () => Promise.resolve({ quota: 105_000_000, usage: 100_000_000 }) });
  renderPage(<StorageNote />);
  expect(await screen.findByRole('alert')).toHaveTextContent('This device has 5 MB left to keep what is written.');
});

it('says nothing where there is room, or the browser does not tell', async () => {
  const estimate = jest.fn(() => Promise.resolve({ quota: 2_000_000_000, usage: 0 }));
  withStorage({ estimate });
  renderPage(<StorageNote />);
  await waitFor(() => expect(estimate).toHaveBeenCalled());
  expect(screen.queryByRole('alert')).toBeNull();
});

it('says that nothing can be kept in a window whose storage is shut', async () => {
  const open = indexedDB.open.bind(indexedDB);
  jest.spyOn(indexedDB, 'open').mockImplementation((name, version) => {
    if (name === 'yaylak-probe') throw new DOMException('shut', 'SecurityError');
    return open(name, version);
  });
  renderPage(<StorageNote />);
  expect(await screen.findByRole('alert')).toHaveTextContent('This device cannot keep anything.');
});
