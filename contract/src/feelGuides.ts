import { FEEL_GUIDES as GUIDES } from '@yaylak/core';
import { told } from './say/told';

/** What a score feels like, place by place, in the language of who reads it. */
export const FEEL_GUIDES: typeof GUIDES = told(GUIDES);
