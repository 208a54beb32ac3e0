import { expose } from 'comlink';
import { createHerdWorker } from './herdAhead';

expose(createHerdWorker());
