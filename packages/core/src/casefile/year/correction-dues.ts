import type { LocalDate } from '../../calendar/local-date.js';
import { interestFreeDay } from '../../filings/corrections/limitations.js';
import type { FilingKind } from '../../filings/kind.js';

/** By when a return that is filed again is due: a federal one without interest, that of a state as soon as the error is found. */
export const dueOf = (kind: FilingKind, discovered: LocalDate): LocalDate =>
  kind.jurisdiction === 'US' ? interestFreeDay(kind.period, discovered) : discovered;
