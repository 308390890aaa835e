import { problem } from '@zakat/core/issues/issue';
import { refuse } from './refusal.js';

/** A whole number from a request; `otherwise` when it is left out. Refuses with the field's name when it is none. */
export function wholeFrom(text: string | undefined, field: string, otherwise: number): number {
  if (text === undefined || text === '') return otherwise;
  if (!/^\d{1,9}$/.test(text)) throw refuse([problem('input.not-whole', field, { value: text })]);
  return Number(text);
}
