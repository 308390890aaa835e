import { date, type LocalDate } from '@zakat/core/calendar/local-date';
import { firstDayOf, lastDayOf } from '@zakat/core/calendar/quarter';
import { refuseField } from './refusal.js';

/** A quarter, or with null a whole year. */
export interface Period {
  readonly year: number;
  readonly quarter: 1 | 2 | 3 | 4 | null;
}

/** The quarter of a query; left out, the whole year. Anything else is refused. */
export function quarterFrom(text: string | undefined): Period['quarter'] {
  if (text === undefined || text === '') return null;
  if (!/^[1-4]$/.test(text))
    throw refuseField('quarter', 'A quarter is 1, 2, 3 or 4.', 'Correct it, or leave it out for the year.');
  return Number(text) as 1 | 2 | 3 | 4;
}

export function daysOf({ year, quarter }: Period): { readonly from: LocalDate; readonly to: LocalDate } {
  if (quarter === null) return { from: date(`${year}-01-01`), to: date(`${year}-12-31`) };
  return { from: firstDayOf({ year, quarter }), to: lastDayOf({ year, quarter }) };
}
