import { NativeSelect } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { addDays, date } from '@zakat/core/calendar/local-date';
import { firstDayOf, lastDayOf, quarterOf, showQuarter } from '@zakat/core/calendar/quarter';
import { useState, type ReactNode } from 'react';
import { sessionQuery } from '../api/resources.js';

interface Span {
  readonly label: string;
  readonly from: string;
  readonly to: string;
}
const QUARTERS = 5;

/** The quarter of a day and those before it, then its year and the one before. */
export function spansUntil(today: string): Span[] {
  const spans: Span[] = [];
  let day = date(today);
  for (let count = 0; count < QUARTERS; count += 1) {
    const quarter = quarterOf(day);
    spans.push({ label: showQuarter(quarter), from: firstDayOf(quarter), to: lastDayOf(quarter) });
    day = addDays(firstDayOf(quarter), -1);
  }
  const year = Number(today.slice(0, 4));
  return [...spans, ...[year, year - 1].map((of) => ({ label: String(of), from: `${of}-01-01`, to: `${of}-12-31` }))];
}

/** The letter of what was paid, filed and is still owed, for a quarter or a year. */
export function TaxLetter({ base }: { readonly base: string }): ReactNode {
  const session = useQuery(sessionQuery).data;
  const [chosen, setChosen] = useState(0);
  if (!session) return null;
  const spans = spansUntil(session.today);
  const { from, to } = spans[chosen] ?? { from: session.today, to: session.today };
  return (
    <small className="letter">
      <NativeSelect
        aria-label="Period of the letter"
        size="xs"
        value={String(chosen)}
        onChange={(event) => setChosen(Number(event.currentTarget.value))}
        data={spans.map(({ label }, index) => ({ value: String(index), label }))}
      />
      <a href={`${base}/tax-statement.pdf?from=${from}&to=${to}`} target="_blank" rel="noreferrer">
        letter of taxes paid, filed and owed (PDF)
      </a>
    </small>
  );
}
