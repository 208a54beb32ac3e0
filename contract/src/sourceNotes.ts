import { SOURCE_NOTES as NOTES } from '@yaylak/core';
import { told } from './say/told';

/** Where a figure comes from that nobody set, in the language of who reads it. */
export const SOURCE_NOTES: typeof NOTES = told(NOTES);
