import { useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { useSearchParams } from 'react-router';
import { sessionQuery } from '../../api/resources.js';

export interface Period {
  readonly year: number;
  /** Empty for the whole year. */
  readonly quarter: string;
}

/** The period in the address; at first the quarter that `today` is in. */
export function usePeriod(): Period | null {
  const { data: session } = useQuery(sessionQuery);
  const [search] = useSearchParams();
  if (!session) return null;
  const year = Number(search.get('year') ?? session.today.slice(0, 4));
  const quarter =
    search.get('quarter') ??
    (search.has('year') ? '' : String(Math.floor((Number(session.today.slice(5, 7)) - 1) / 3) + 1));
  return { year: Number.isInteger(year) ? year : Number(session.today.slice(0, 4)), quarter };
}
export const periodLabel = ({ year, quarter }: Period): string => (quarter ? `Q${quarter} ${year}` : `Year ${year}`);

export function PeriodPicker({ period }: { readonly period: Period }): ReactNode {
  const [search, setSearch] = useSearchParams();
  const pick = (year: number, quarter: string): void => {
    const next = new URLSearchParams(search);
    next.set('year', String(year));
    if (quarter) next.set('quarter', quarter);
    else next.delete('quarter');
    setSearch(next);
  };
  return (
    <div className="actions" role="group" aria-label="Period">
      <button type="button" className="plain" onClick={() => pick(period.year - 1, period.quarter)}>
        {period.year - 1}
      </button>
      {['1', '2', '3', '4', ''].map((quarter) => (
        <button
          key={quarter}
          type="button"
          className="plain"
          aria-pressed={quarter === period.quarter}
          style={quarter === period.quarter ? { color: 'var(--ink)', textDecoration: 'none', fontWeight: 600 } : {}}
          onClick={() => pick(period.year, quarter)}
        >
          {quarter ? `Q${quarter} ${period.year}` : `all ${period.year}`}
        </button>
      ))}
      <button type="button" className="plain" onClick={() => pick(period.year + 1, period.quarter)}>
        {period.year + 1}
      </button>
    </div>
  );
}
