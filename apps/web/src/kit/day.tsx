import { parseDate, showDate } from '@zakat/core/calendar/local-date';
import type { ReactNode } from 'react';

/** A calendar day as people say it. */
export function Day({ day }: { readonly day: string }): ReactNode {
  const parsed = parseDate(day);
  return <time dateTime={day}>{parsed ? showDate(parsed) : day}</time>;
}
