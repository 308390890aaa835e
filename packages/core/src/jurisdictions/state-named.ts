import { STATE_CODES, type StateCode } from './state.js';
import { findState } from './states.js';

const bare = (text: string): string => text.toLowerCase().replace(/[^a-z]/g, '');
const CODES = new Map<string, StateCode>(
  STATE_CODES.flatMap((code): (readonly [string, StateCode])[] => [
    [bare(findState(code)?.name ?? code), code],
    [code.toLowerCase(), code],
  ]),
);

/** The code of a state by its name or its two letters, however they are written; null when it is none. */
export const stateNamed = (text: string): StateCode | null => CODES.get(bare(text)) ?? null;
