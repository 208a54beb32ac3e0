import type { FieldFault } from './posting';

/** RFC 9457 problem document. */
export interface Problem {
  readonly type: string;
  readonly title: string;
  readonly status: number;
  readonly detail?: string;
  /** Names this one failure, as it stands in the server's log. */
  readonly instance?: string;
  readonly fields?: readonly FieldFault[];
  /** With 409: the record as it stands now. */
  readonly current?: unknown;
}
