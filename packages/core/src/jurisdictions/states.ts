import type { StateCode, StateRules } from './state.js';
import { FLORIDA } from './us-fl/rules.js';
import { NEW_YORK } from './us-ny/rules.js';
import { TEXAS } from './us-tx/rules.js';

/** The one place that names the state folders. */
export const STATES: Readonly<Record<StateCode, StateRules>> = { NY: NEW_YORK, TX: TEXAS, FL: FLORIDA };

export const findState = (code: string): StateRules | null =>
  Object.hasOwn(STATES, code) ? STATES[code as StateCode] : null;
