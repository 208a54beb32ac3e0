import '@testing-library/jest-dom';
import { cleanup, configure } from '@testing-library/react';
import * as React from 'react';
import { forgetKept } from '../parts/useKeptState';
import { openOutboxes } from './openOutboxes';

// React notes with each element, as an Error with its stack, where it was made, for its own warnings alone: a seventh of
// what the tests of pages take. Told that it has noted enough, it notes none.
const internals = Object.entries(React).find(([name]) => name.startsWith('__CLIENT_INTERNALS'))?.[1] as object;
Object.defineProperty(internals, 'recentlyCreatedOwnerStacks', { get: () => Infinity, set() {} });
// Two cores are shared with the servers of other tests.
configure({ asyncUtilTimeout: 10_000 });
// Said here and not in a module that tests read: there it would hold for the first file of a pack alone.
afterEach(() => {
  cleanup();
  // One that goes on trying would send into the next test.
  for (const outbox of openOutboxes.splice(0)) outbox.stop();
  localStorage.clear();
  sessionStorage.clear();
  forgetKept();
});
