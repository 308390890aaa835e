import { lastDayOf, quarterOf, type QuarterNumber } from '../calendar/quarter.js';
import type { LocalDate } from '../calendar/local-date.js';
import { familyOf, type DepositFamily } from '../deposits/family.js';
import { ZERO, sum, type Cents } from '../money/cents.js';
import type { TaxCode } from '../tax-registry/registry.js';
import type { Balance, TaxBalance } from './read-balances.js';

/** Lines of the former provider's Form 941 that the balances are compared with. */
export const LINES_941 = [
  { line: '2', label: 'Form 941 line 2, wages', tax: 'US-FIT', part: 'subject' },
  { line: '3', label: 'Form 941 line 3, income tax withheld', tax: 'US-FIT', part: 'amount' },
  { line: '5a', label: 'Form 941 line 5a, social security wages', tax: 'US-OASDI-EE', part: 'wages' },
  { line: '5c', label: 'Form 941 line 5c, Medicare wages', tax: 'US-HI-EE', part: 'wages' },
  { line: '5d', label: 'Form 941 line 5d, wages over the additional Medicare mark', tax: 'US-HI-ADD', part: 'wages' },
] as const satisfies readonly { line: string; label: string; tax: TaxCode; part: keyof TaxBalance }[];

/**
 * A figure somebody else filed or paid, by quarter. `code` is `941.5a` for a line, `US-941.filed` for the tax on a return
 * as filed, `US-941.paid` for what was deposited. Cents; the day is that of the last deposit.
 */
export interface ReportedFigure {
  readonly quarter: QuarterNumber;
  readonly code: string;
  readonly amount: Cents;
  readonly day: LocalDate | null;
}
/** What is asked for a quarter, and what the balances say of it. */
export interface AskedFigure {
  readonly quarter: QuarterNumber;
  readonly code: string;
  readonly label: string;
  readonly kind: 'line' | 'filed' | 'paid';
  readonly balances: Cents;
}

export const quarterOfBalance = (balance: Pick<Balance, 'day'>): QuarterNumber => quarterOf(balance.day).quarter;

/** The taxes of rows added up, by tax. */
export function totalsByTax(balances: readonly Balance[]): Map<TaxCode, Omit<TaxBalance, 'tax'>> {
  const totals = new Map<TaxCode, { subject: Cents; wages: Cents; amount: Cents }>();
  for (const balance of balances)
    for (const line of balance.taxes) {
      const before = totals.get(line.tax) ?? { subject: ZERO, wages: ZERO, amount: ZERO };
      totals.set(line.tax, {
        subject: sum([before.subject, line.subject]),
        wages: sum([before.wages, line.wages]),
        amount: sum([before.amount, line.amount]),
      });
    }
  return totals;
}

export function familiesOf(balances: readonly Balance[]): DepositFamily[] {
  const found = new Map<string, DepositFamily>();
  for (const tax of totalsByTax(balances).keys()) found.set(familyOf(tax).code, familyOf(tax));
  return [...found.values()];
}

/** Taxes that are reported once a year: no return of a quarter says them. */
const IS_YEARLY: ReadonlySet<string> = new Set(['US-940']);

/** Everything that can be compared for the quarters that have balances. */
export function askedFigures(balances: readonly Balance[]): AskedFigure[] {
  const quarters = [...new Set(balances.map(quarterOfBalance))].sort();
  return quarters.flatMap((quarter) => {
    const own = balances.filter((balance) => quarterOfBalance(balance) === quarter);
    const totals = totalsByTax(own);
    const lines = LINES_941.map(({ line, label, tax, part }): AskedFigure => {
      const total = totals.get(tax);
      return { quarter, code: `941.${line}`, label, kind: 'line', balances: total ? total[part] : ZERO };
    });
    const families = familiesOf(own).flatMap(({ code, label }): AskedFigure[] => {
      const amounts = [...totals].filter(([tax]) => familyOf(tax).code === code).map(([, total]) => total.amount);
      const balances = sum(amounts);
      const of = (kind: 'filed' | 'paid', words: string): AskedFigure => ({
        quarter,
        code: `${code}.${kind}`,
        label: `${label}, ${words}`,
        kind,
        balances,
      });
      return [...(IS_YEARLY.has(code) ? [] : [of('filed', 'on the return')]), of('paid', 'deposited')];
    });
    const has941 = families.some((figure) => figure.code === 'US-941.filed');
    return [...(has941 ? lines.filter((line) => line.code !== '941.5d' || line.balances !== 0) : []), ...families];
  });
}

export const reportedOf = (
  reported: readonly ReportedFigure[],
  quarter: QuarterNumber,
  code: string,
): ReportedFigure | null => reported.find((figure) => figure.quarter === quarter && figure.code === code) ?? null;

/** A liability of the brought-in rows: one tax and day. */
export interface BroughtInLiability {
  readonly tax: TaxCode;
  readonly day: LocalDate;
  readonly amount: Cents;
}
/** A payment as the ledger keeps it: negative, against one liability. */
export interface BroughtInPayment extends BroughtInLiability {
  readonly paidOn: LocalDate;
}

export function liabilitiesOf(balances: readonly Balance[]): BroughtInLiability[] {
  const found = new Map<string, BroughtInLiability>();
  for (const balance of balances)
    for (const { tax, amount } of balance.taxes) {
      const key = `${tax} ${balance.day}`;
      found.set(key, { tax, day: balance.day, amount: sum([found.get(key)?.amount ?? ZERO, amount]) });
    }
  return [...found.values()].sort((a, b) => (a.day < b.day ? -1 : a.day > b.day ? 1 : a.tax < b.tax ? -1 : 1));
}

/**
 * What was deposited elsewhere, put against the liabilities of its quarter and family: the oldest first, and of one day
 * in the order of the codes. What is more than was owed is not brought in.
 */
export function broughtInPayments(
  balances: readonly Balance[],
  reported: readonly ReportedFigure[],
): BroughtInPayment[] {
  const left = new Map<string, { amount: Cents; day: LocalDate | null }>();
  for (const { quarter, code, amount, day } of reported)
    if (code.endsWith('.paid')) left.set(`${quarter} ${code.slice(0, -'.paid'.length)}`, { amount, day });
  return liabilitiesOf(balances).flatMap((liability) => {
    const quarter = quarterOfBalance(liability);
    const key = `${quarter} ${familyOf(liability.tax).code}`;
    const paid = left.get(key);
    if (!paid || paid.amount <= 0 || liability.amount <= 0) return [];
    const part = paid.amount < liability.amount ? paid.amount : liability.amount;
    left.set(key, { ...paid, amount: sum([paid.amount, -part as Cents]) });
    const paidOn = paid.day ?? lastDayOf({ year: Number(liability.day.slice(0, 4)), quarter });
    return [{ ...liability, amount: part, paidOn }];
  });
}
