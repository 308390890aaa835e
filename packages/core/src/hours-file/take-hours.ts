import type { HoursLine } from './read-hours.js';

/** A line of pay as a payroll keeps it: hours with a rate, or an amount. */
export interface EntryLine {
  readonly item: string;
  readonly hours?: string;
  readonly rate?: string;
  readonly amount?: string;
  readonly job?: string;
}

/**
 * The pay of an entry with the hours of a file: what the file has of an item stands in place of what was there, with the
 * rate that was there; items that the file does not name stay. A new line has the rate of the others, or the person's rate
 * of pay. Taken twice it comes to the same.
 */
export function withHours(earnings: readonly EntryLine[], taken: readonly HoursLine[], payRate?: string): EntryLine[] {
  const left = [...taken];
  const usualRate = earnings.find(({ rate }) => rate !== undefined)?.rate ?? payRate;
  const kept = earnings.flatMap((line): EntryLine[] => {
    const at = left.findIndex(({ item }) => item === line.item);
    if (at < 0) return taken.some(({ item }) => item === line.item) ? [] : [line];
    const [own] = left.splice(at, 1);
    if (!own) return [line];
    const { hours: _hours, amount: _amount, ...rest } = line;
    return [own.measure === 'hours' ? { ...rest, hours: own.value } : { item: line.item, amount: own.value }];
  });
  return [
    ...kept,
    ...left.map(({ item, measure, value }) =>
      measure === 'hours'
        ? { item, hours: value, ...(usualRate === undefined ? {} : { rate: usualRate }) }
        : { item, amount: value },
    ),
  ];
}
