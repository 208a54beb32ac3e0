import type { Outbox } from '../outbox/outbox';

/** Outboxes of the test that runs. */
export const openOutboxes: Outbox[] = [];
