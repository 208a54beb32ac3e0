import { expose } from 'comlink';
import { createCurveWorker } from './together';

// The curve is worked away from the page: twenty starts for each of its points take a while among hundreds.
expose(createCurveWorker());
