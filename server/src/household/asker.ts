import { join } from 'node:path';
import type { Response } from 'express';
import type { ServerConfig } from '../config';
import type { Person } from './people';

/** This computer among the devices. */
export const COMPUTER = 'computer';

/** Who asks: from which device, and who of the household, where somebody is logged in. */
export interface Asker {
  readonly kind: 'computer' | 'device';
  /** Of the device; `computer` for that with the book, empty for one that is not let in. */
  readonly id: string;
  readonly person: Person | null;
  readonly isScript?: boolean;
}

/** Who asked, as the admission found. */
export const askerOf = (response: Response): Asker => (response.locals as { asker: Asker }).asker;

/** Where of this computer the keys of the house, its list of devices and its people lie. */
export const houseFolder = ({ dataDir }: Pick<ServerConfig, 'dataDir'>): string => join(dataDir, 'household');
