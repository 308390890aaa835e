import { yearOf } from '../../calendar/local-date.js';
import { ZERO, notBelowZero, showDollars, subtract, sum, type Cents } from '../../money/cents.js';
import { parsePercent, rate, type Rate } from '../../money/rate.js';
import type { FilingInput } from '../kind.js';
import { LineSheet, type ReturnLine } from '../return-lines.js';

/** IRC § 6053(c)(3)(A): what is allocated lifts reported tips to this part of the receipts. */
export const USUAL_RATE = rate('0.08');
/** § 6053(c)(3)(C): the lowest part that the IRS may grant. */
const LOWEST_RATE = rate('0.02');
const REPORTED = ['tips-paid', 'tips-reported'];

/** Form 8027 of a year. Amounts in cents. */
export interface Form8027 {
  readonly year: number;
  readonly lines: readonly ReturnLine[];
  /** Tips allocated in the paychecks of the year: box 8 of the statements. */
  readonly allocated: Cents;
  /** What was typed as a rate and is none; blank: it is one, or nothing was typed. */
  readonly badRate: string;
  readonly establishment: string;
}

const isBelow = (a: Rate, b: Rate): boolean => a.n * b.d < b.n * a.d;

/** Lines of Form 8027 (recalled): receipts as they are entered, tips as the paychecks have them. */
export function form8027({ period, statements, entered, answers }: FilingInput): Form8027 {
  const sheet = new LineSheet<string>([]);
  const enteredLine = (id: string, label: string, name: string): void => {
    const value = entered[name] ?? ZERO;
    sheet.put(id, label, value, [{ label, value: showDollars(value), how: 'as entered' }]);
  };
  const tipsOf = (items: readonly string[]): Cents =>
    sum(
      statements.checks.flatMap(({ earnings }) =>
        earnings.filter(({ item }) => items.includes(item)).map(({ amount }) => amount),
      ),
    );
  const reported = tipsOf(REPORTED);
  const tipped = statements.checks.filter(({ earnings }) =>
    earnings.some(({ item, amount }) => REPORTED.includes(item) && amount !== 0),
  ).length;
  const typed = (answers['rate'] ?? '').trim();
  const lower = typed === '' ? USUAL_RATE : parsePercent(typed.replace('%', '').trim());
  const isRate = lower !== null && !isBelow(lower, LOWEST_RATE) && !isBelow(USUAL_RATE, lower);
  enteredLine('1', 'Total charged tips for the calendar year', 'chargedTips');
  enteredLine('2', 'Total charge receipts showing charged tips', 'chargedReceipts');
  enteredLine('3', 'Service charges of less than 10 percent paid as wages to employees', 'serviceCharges');
  enteredLine('4a', 'Total tips reported by indirectly tipped employees', 'indirectTips');
  sheet.put('4b', 'Total tips reported by directly tipped employees', subtract(reported, sheet.value('4a')), [
    { label: 'Tips of the paychecks of the year', value: showDollars(reported) },
    { label: 'Less line 4a', value: showDollars(sheet.value('4a')) },
  ]);
  sheet.addUp('4c', 'Total tips reported', ['4a', '4b']);
  enteredLine('5', 'Gross receipts from food and beverages', 'grossReceipts');
  sheet.byRate('6', '5', 'Line 5 × 8 percent or the lower rate', isRate ? lower : USUAL_RATE);
  const least = sheet.value('6');
  sheet.put('7', 'Allocation of tips', notBelowZero(subtract(least, sheet.value('4c'))), [
    { label: 'Line 6', value: showDollars(least) },
    { label: 'Less line 4c', value: showDollars(sheet.value('4c')), how: 'nothing where more was reported' },
  ]);
  sheet.count('8', 'Directly tipped employees', tipped, [
    { label: 'People with tips in their paychecks', value: String(tipped) },
  ]);
  return {
    year: yearOf(period.start),
    lines: sheet.lines,
    allocated: tipsOf(['tips-allocated']),
    badRate: isRate ? '' : typed,
    establishment: answers['establishment'] ?? '',
  };
}
