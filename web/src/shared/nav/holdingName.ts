import { say } from '@yaylak/contract';

/** A holding as it is spoken of: `Ardıçlı holding`, and not `My holding holding`. */
export const holdingText = (name: string): string =>
  /holding|farm|croft/i.test(name) ? name : say('{name} holding', { name });
