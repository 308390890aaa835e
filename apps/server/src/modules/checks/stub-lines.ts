import { ZERO, add, sum, type Cents } from '@zakat/core/money/cents';
import type { StubLine } from './check-page.js';

/** A line of a check by what it is called in the register. */
export interface StubPart {
  readonly key: string;
  readonly amount: Cents;
  readonly hours?: string;
  readonly rate?: string;
}

/**
 * Lines of a check with what the year comes to with them, then those that only earlier checks of the year had, so that
 * the lines add up to the year. Of several lines with one key the first has the year's amount.
 */
export function stubLines(
  parts: readonly StubPart[],
  before: ReadonlyMap<string, Cents>,
  labelOf: (key: string) => string,
): StubLine[] {
  const keys = new Set(parts.map((part) => part.key));
  const earlier = [...before].filter(([key]) => !keys.has(key));
  const lines = [
    ...parts.map(({ key, ...part }, index): StubLine => {
      const same = parts.filter((other) => other.key === key);
      const isFirst = parts.findIndex((other) => other.key === key) === index;
      const year = add(before.get(key) ?? ZERO, sum(same.map((other) => other.amount)));
      return { ...part, label: labelOf(key), toDate: isFirst ? year : ZERO };
    }),
    ...earlier.map(([key, toDate]): StubLine => ({ label: labelOf(key), amount: ZERO, toDate })),
  ];
  return lines.filter((line) => line.amount !== 0 || line.toDate !== 0);
}
