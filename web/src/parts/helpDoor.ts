import { createContext, use } from 'react';

/** Opens the help: of the place one is in, or of a topic; at its keys. */
export type OpenHelp = (what?: { readonly topicId?: string; readonly isAtKeys?: boolean }) => void;

export const HelpDoor = createContext<OpenHelp | undefined>(undefined);

/** How the help is opened from here; undefined on a sheet for paper, which has none. */
export const useHelpDoor = (): OpenHelp | undefined => use(HelpDoor);
