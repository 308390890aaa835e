import { parseDate } from '@zakat/core/calendar/local-date';
import { parseDollars, toDollars, type Cents } from '@zakat/core/money/cents';
import type { Schemas } from '../../api/client.js';

/** What is typed for one figure: an amount, and for deposits the day of the last one. */
export interface TypedFigure {
  readonly amount: string;
  readonly day: string;
}
export type ReportedDraft = Readonly<Record<string, TypedFigure>>;
type Figure = Schemas['FigureView'];

export const keyOf = (figure: Pick<Figure, 'quarter' | 'code'>): string => `${figure.quarter} ${figure.code}`;

export const draftOf = (figures: readonly Figure[]): ReportedDraft =>
  Object.fromEntries(
    figures.map((figure) => [
      keyOf(figure),
      { amount: figure.amount === null ? '' : toDollars(figure.amount as Cents), day: figure.day ?? '' },
    ]),
  );

/** What is wrong with a typed figure, in words; null when it can be kept. */
export function faultOf(typed: TypedFigure): string | null {
  if (typed.amount.trim() !== '' && parseDollars(typed.amount) === null) return 'Type an amount, like 1,234.56.';
  if (typed.day.trim() !== '' && parseDate(typed.day.trim()) === null)
    return 'Type month, day and year, like 04/15/2026.';
  return null;
}

/** How far a typed amount is from what the rows add up to, in cents; null while nothing is typed. */
export function distanceOf(figure: Figure, typed: TypedFigure): number | null {
  const amount = parseDollars(typed.amount);
  return amount === null ? null : amount - figure.balances;
}

/** The figures as they are sent. */
export const inputsOf = (figures: readonly Figure[], draft: ReportedDraft): Schemas['ReportedFigureInput'][] =>
  figures.map((figure) => {
    const typed = draft[keyOf(figure)] ?? { amount: '', day: '' };
    return {
      quarter: figure.quarter,
      code: figure.code,
      amount: parseDollars(typed.amount),
      day: typed.day.trim() === '' ? null : typed.day.trim(),
    };
  });
