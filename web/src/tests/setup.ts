import 'reflect-metadata';
import 'fake-indexeddb/auto';

// Node 20 has no navigator; the outbox asks it for locks and does without where there are none.
Object.assign(globalThis, { navigator: {} });
