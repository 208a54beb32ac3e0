import '@testing-library/jest-dom';
import { cleanup, configure } from '@testing-library/react';
import { forgetKept } from '../parts/useKeptState';
import { openOutboxes } from './openOutboxes';

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
