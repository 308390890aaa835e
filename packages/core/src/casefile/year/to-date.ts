import type { LocalDate } from '../../calendar/local-date.js';
import { ZERO, add, negate, toDollars, type Cents } from '../../money/cents.js';
import type { PaycheckResult } from '../../computation/result.js';
import { taxOf } from '../../tax-registry/registry.js';
import type { JsonObject } from '../reader.js';

type Sums = Map<string, Cents>;
const plus = (sums: Sums, name: string, amount: Cents): void =>
  void sums.set(name, add(sums.get(name) ?? ZERO, amount));
const shown = (sums: Sums): Record<string, string> =>
  Object.fromEntries([...sums].filter(([, amount]) => amount > 0).map(([name, amount]) => [name, toDollars(amount)]));

/** What a person's checks of the year came to before the next one, as a case has it. */
export class ToDate {
  /** Wages by base and tax: several taxes on one base count once, by the largest. */
  private readonly subject = new Map<string, Sums>();
  private readonly taxes: Sums = new Map();
  private readonly deductions: Sums = new Map();
  private readonly ownDeductions: Sums = new Map();
  private readonly employerPaid: Sums = new Map();
  private supplemental: Cents = ZERO;
  private readonly months = new Map<string, { wages: Cents; readonly taxes: Sums; readonly deductions: Sums }>();

  add(result: PaycheckResult, checkDate: LocalDate): void {
    this.move(result, checkDate, (amount) => amount);
  }
  takeOut(result: PaycheckResult, checkDate: LocalDate): void {
    this.move(result, checkDate, negate);
  }

  private move(result: PaycheckResult, checkDate: LocalDate, by: (amount: Cents) => Cents): void {
    const key = checkDate.slice(0, 7);
    const month = this.months.get(key) ?? { wages: ZERO, taxes: new Map(), deductions: new Map() };
    this.months.set(key, month);
    for (const tax of result.taxes) {
      const { base } = taxOf(tax.code);
      const sums = this.subject.get(base) ?? new Map<string, Cents>();
      this.subject.set(base, sums);
      plus(sums, tax.code, by(tax.subject));
      plus(this.taxes, tax.code, by(tax.amount));
      plus(month.taxes, tax.code, by(tax.amount));
    }
    for (const line of result.deductions) {
      plus(this.deductions, line.item, by(line.amount));
      plus(month.deductions, line.item, by(line.amount));
      if (line.name !== undefined) plus(this.ownDeductions, line.name, by(line.amount));
    }
    for (const line of result.employerPaid) plus(this.employerPaid, line.name ?? line.item, by(line.amount));
    this.supplemental = add(this.supplemental, by(result.supplemental));
    month.wages = add(month.wages, by(result.gross));
  }

  /** The year and the month of a check before it. */
  before(checkDate: LocalDate): { readonly yearToDate: JsonObject; readonly monthToDate: JsonObject } {
    const wages: Sums = new Map([...this.subject].map(([base, sums]) => [base, Math.max(...sums.values()) as Cents]));
    const month = this.months.get(checkDate.slice(0, 7));
    return {
      yearToDate: {
        wages: shown(wages),
        taxes: shown(this.taxes),
        deductions: shown(this.deductions),
        ownDeductions: shown(this.ownDeductions),
        employerPaid: shown(this.employerPaid),
        supplementalWages: toDollars(this.supplemental > 0 ? this.supplemental : ZERO),
      },
      monthToDate: {
        wages: toDollars(month && month.wages > 0 ? month.wages : ZERO),
        taxes: shown(month?.taxes ?? new Map()),
        deductions: shown(month?.deductions ?? new Map()),
      },
    };
  }
}
