import { parseDate, type LocalDate } from '@zakat/core/calendar/local-date';
import { problem } from '@zakat/core/issues/issue';
import { refuse } from './refusal.js';

/** A day from a request; refuses with the field's name when it is none. */
export function dayFrom(text: string, field: string): LocalDate {
  const day = parseDate(text);
  if (!day) throw refuse([problem('input.not-a-date', field, { value: text })]);
  return day;
}
