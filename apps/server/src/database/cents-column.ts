import { cents, type Cents } from '@zakat/core/money/cents';

/** The one converter between a bigint column and Cents. */
export const centsColumn = {
  from: (value: string | number | null): Cents | null => (value === null ? null : cents(Number(value))),
  to: (value: Cents | null): number | null => value,
};

/** Cents of a raw SQL value (the driver gives bigint and sums as text). */
export const rawCents = (value: unknown): Cents => {
  const parsed = Number(value);
  if (value === null || value === undefined || !Number.isSafeInteger(parsed))
    throw new RangeError('not an amount from the database');
  return cents(parsed);
};
