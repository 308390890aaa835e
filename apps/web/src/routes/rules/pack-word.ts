import type { Schemas } from '../../api/client.js';

/** The state of a rule pack as people say it. */
export const packWord = (status: Schemas['RulePackRow']['status']): string => status.replace('-', ' ');
