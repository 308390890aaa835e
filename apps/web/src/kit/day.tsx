import { parseDate, showDate, showShortDate } from '@zakat/core/calendar/local-date';
import type { ReactNode } from 'react';

/** `Thu, Oct 22, 2026`, for sentences and headings; what is no day stays as it is. */
export function sayDay(day: string): string {
  const parsed = parseDate(day);
  return parsed === null ? day : showDate(parsed);
}
/** `10/22/2026`, for tables and fields. */
export function shortDay(day: string): string {
  const parsed = parseDate(day);
  return parsed === null ? day : showShortDate(parsed);
}

/** `2:04 PM` of a moment. */
export function timeOf(moment: string): string {
  const [hours = 0, minutes = 0] = moment.slice(11, 16).split(':').map(Number);
  return `${hours % 12 === 0 ? 12 : hours % 12}:${String(minutes).padStart(2, '0')} ${hours < 12 ? 'AM' : 'PM'}`;
}
/** `07/20/2026 2:04 PM`, for tables. */
export const shortMoment = (moment: string): string => `${shortDay(moment.slice(0, 10))} ${timeOf(moment)}`;

/** A calendar day as people say it. */
export function Day({ day }: { readonly day: string }): ReactNode {
  return <time dateTime={day}>{sayDay(day)}</time>;
}
/** A calendar day as a table shows it. */
export function ShortDay({ day }: { readonly day: string }): ReactNode {
  return (
    <time dateTime={day} title={sayDay(day)}>
      {shortDay(day)}
    </time>
  );
}
