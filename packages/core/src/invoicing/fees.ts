import { cents, sum, type Cents } from '../money/cents.js';

/** What the firm's work was in one month for one client. */
export interface WorkDone {
  /** Payrolls posted here, off-cycle ones with them; recorded and brought-in ones are no work of that month. */
  readonly payrolls: number;
  readonly checks: number;
  readonly returns: number;
  readonly wageStatements: number;
}
/** The prices a client agreed to; null where it pays nothing for it. */
export interface FeeTerms {
  readonly perMonth: Cents | null;
  readonly perPayroll: Cents | null;
  readonly perCheck: Cents | null;
  readonly perReturn: Cents | null;
  readonly perWageStatement: Cents | null;
  /** Days from the invoice to its due date. */
  readonly dueDays: number;
  readonly isCollected: boolean;
}
export interface FeeLine {
  readonly label: string;
  readonly count: number;
  readonly price: Cents;
  readonly amount: Cents;
}

const RATES: readonly (readonly [price: keyof FeeTerms, label: string, count: (work: WorkDone) => number])[] = [
  ['perMonth', 'Service of the month', () => 1],
  ['perPayroll', 'Payrolls', ({ payrolls }) => payrolls],
  ['perCheck', 'Paychecks', ({ checks }) => checks],
  ['perReturn', 'Returns filed', ({ returns }) => returns],
  ['perWageStatement', 'Forms W-2', ({ wageStatements }) => wageStatements],
];

/** The lines of an invoice: each price times what was done, in whole cents; what was not done has no line. */
export function feeLines(terms: FeeTerms, work: WorkDone): FeeLine[] {
  return RATES.flatMap(([name, label, counted]): FeeLine[] => {
    const price = terms[name] as Cents | null;
    const count = counted(work);
    return price === null || count === 0 ? [] : [{ label, count, price, amount: cents(price * count) }];
  });
}
export const feeTotal = (lines: readonly FeeLine[]): Cents => sum(lines.map(({ amount }) => amount));
