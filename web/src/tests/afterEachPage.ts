import '@testing-library/jest-dom';
import { cleanup, configure } from '@testing-library/react';
import { forgetKept } from '../parts/useKeptState';

// Two cores are shared with the servers of other tests.
configure({ asyncUtilTimeout: 10_000 });
afterEach(() => {
  cleanup();
  localStorage.clear();
  sessionStorage.clear();
  forgetKept();
});
