import { parsePeriod, type FilingPeriod } from '@zakat/core/filings/period';
import { refuseField } from '../../http/refusal.js';

/** The quarter that a query names, like `2026-Q1`; anything else is refused. */
export function quarterAsked(quarter: string): FilingPeriod {
  const period = parsePeriod(quarter);
  if (!period || period.kind !== 'quarter')
    throw refuseField('quarter', 'This is not a quarter.', 'Write it like 2026-Q1.');
  return period;
}
