import { monthOf, type LocalDate } from '../calendar/local-date.js';
import { isPayment, type LedgerEntry } from '../ledger/entry.js';
import { ZERO, add, cents, dollars, notBelowZero, showDollars, subtract, sum, type Cents } from '../money/cents.js';
import { rate } from '../money/rate.js';
import type { TaxCode } from '../tax-registry/registry.js';
import type { FilingInput, FilingTable } from './kind.js';
import { LineSheet, type ReturnLine } from './return-lines.js';

/** Under this the liability is shown neither by month nor by day (Forms 943, 944 and 945). */
const SMALL_YEAR = dollars('2500');
export const WAGE_TAXES: readonly TaxCode[] = [
  'US-FIT',
  'US-OASDI-EE',
  'US-OASDI-ER',
  'US-HI-EE',
  'US-HI-ER',
  'US-HI-ADD',
];
/** Half a cent for each check of an entry; one that was brought in stands for up to fourteen. */
const CENTS_AN_ENTRY = 7;
const BOTH_OASDI = rate('0.124');
const BOTH_HI = rate('0.029');
const ADDITIONAL = rate('0.009');

export interface LiabilityDay {
  readonly date: LocalDate;
  readonly amount: Cents;
}
/** A return of a year of taxes that are deposited through it. Amounts in cents. */
export interface AnnualReturn {
  readonly lines: readonly ReturnLine[];
  /** What rounding alone can come to in the adjustments, in cents. */
  readonly mostRounding: number;
  /** What stands in the adjustments beside rounding, in cents: sick pay and tips of which nothing was collected. */
  readonly otherAdjustments: Cents;
  /** Taxes by day for a semiweekly depositor, otherwise null. */
  readonly days: readonly LiabilityDay[] | null;
}

/** Which line of a form says what. */
export interface AnnualLines {
  readonly headcount?: string;
  readonly wages?: string;
  readonly incomeTax: string;
  /** Wages and tax: column 1 and column 2, or two lines. */
  readonly oasdi: readonly [string, string];
  readonly tips?: readonly [string, string];
  readonly hi: readonly [string, string];
  readonly additional: readonly [string, string];
  /** Social security and Medicare together. */
  readonly together?: string;
  readonly before: string;
  readonly adjustments: string;
  readonly after: string;
  readonly credit: string;
  readonly total: string;
  readonly deposits: string;
  readonly balance: string;
  readonly overpaid: string;
  /** Twelve lines, January to December. */
  readonly months: readonly string[];
}
const LETTERS = ['a', 'b', 'c', 'd', 'e', 'f', 'g', 'h', 'i', 'j', 'k', 'l'] as const;
/** `17a` to `17l`. */
export const monthLines = (line: string): readonly string[] => LETTERS.map((letter) => `${line}${letter}`);
export const MONTHS = 'January February March April May June July August September October November December'.split(
  ' ',
);

/** Form 943 or 944 of a year from the ledger. Amounts in cents. Source: the forms and their instructions. */
export function annualWageReturn(form: AnnualLines, input: FilingInput, isTipped: boolean): AnnualReturn {
  const sheet = new LineSheet<string>(input.entries.filter((entry) => WAGE_TAXES.includes(entry.tax)));
  const { tracked } = input;
  const tips = form.tips ? (tracked.oasdiTips ?? ZERO) : ZERO;
  const sickPay = add(tracked.sickPayOasdi ?? ZERO, tracked.sickPayHi ?? ZERO);
  const uncollected = isTipped ? add(tracked.uncollectedOasdi ?? ZERO, tracked.uncollectedHi ?? ZERO) : ZERO;
  const research = input.entered['researchCredit'] ?? ZERO;
  if (form.headcount)
    sheet.count(form.headcount, 'Employees paid for the pay period that includes March 12', input.headcount, [
      { label: 'Paychecks of the pay period', value: String(input.headcount) },
    ]);
  if (form.wages) sheet.fromLedger(form.wages, 'Wages, tips, and other compensation', ['US-FIT'], 'subject');
  const withheld = (): void => sheet.fromLedger(form.incomeTax, 'Federal income tax withheld', ['US-FIT'], 'amount');
  if (form.wages) withheld();
  const oasdiWages = sheet.total(['US-OASDI-EE'], 'wages');
  sheet.put(
    form.oasdi[0],
    'Wages subject to social security tax',
    subtract(oasdiWages, tips),
    [
      { label: 'Ledger lines of US-OASDI-EE', value: showDollars(oasdiWages), how: 'added up: wages' },
      ...(tips === 0 ? [] : [{ label: 'Less tips, which have a line of their own', value: showDollars(tips) }]),
    ],
    { taxes: ['US-OASDI-EE'], part: 'wages', of: 'liabilities' },
  );
  sheet.byRate(form.oasdi[1], form.oasdi[0], 'Social security tax × 0.124', BOTH_OASDI);
  if (form.tips) {
    sheet.put(form.tips[0], 'Taxable social security tips', tips, [
      { label: 'Tips under the base', value: showDollars(tips), how: 'added up over the paychecks' },
    ]);
    sheet.byRate(form.tips[1], form.tips[0], 'Taxable social security tips × 0.124', BOTH_OASDI);
  }
  sheet.fromLedger(form.hi[0], 'Wages subject to Medicare tax', ['US-HI-EE'], 'wages');
  sheet.byRate(form.hi[1], form.hi[0], 'Medicare tax × 0.029', BOTH_HI);
  sheet.fromLedger(form.additional[0], 'Wages subject to Additional Medicare Tax withholding', ['US-HI-ADD'], 'wages');
  sheet.byRate(form.additional[1], form.additional[0], 'Additional Medicare Tax withholding × 0.009', ADDITIONAL);
  if (!form.wages) withheld();
  const parts = [form.oasdi[1], ...(form.tips ? [form.tips[1]] : []), form.hi[1], form.additional[1]];
  if (form.together) sheet.addUp(form.together, 'Total social security and Medicare taxes', parts);
  sheet.addUp(form.before, 'Total taxes before adjustments', [
    ...(form.together ? [form.together] : parts),
    form.incomeTax,
  ]);
  const ledger = sheet.total(WAGE_TAXES, 'amount');
  const adjusted = subtract(ledger, sheet.value(form.before));
  sheet.put(
    form.adjustments,
    'Current year’s adjustments',
    adjusted,
    [
      {
        label: 'Taxes in the ledger',
        value: showDollars(ledger),
        how: 'rounded per person, and per payroll for the employer',
      },
      { label: `Line ${form.before}`, value: showDollars(sheet.value(form.before)), how: 'rounded once for the year' },
      ...(sickPay === 0
        ? []
        : [{ label: 'Of it employee tax that the payer of sick pay withheld', value: showDollars(cents(-sickPay)) }]),
      ...(uncollected === 0
        ? []
        : [{ label: 'Of it employee tax on tips that was not collected', value: showDollars(cents(-uncollected)) }]),
    ],
    { taxes: WAGE_TAXES, part: 'amount', of: 'liabilities' },
  );
  sheet.addUp(form.after, 'Total taxes after adjustments', [form.before, form.adjustments]);
  sheet.put(form.credit, 'Qualified small business payroll tax credit for increasing research activities', research, [
    { label: 'Credit of Form 8974', value: showDollars(research), how: 'as entered on the return' },
  ]);
  sheet.put(form.total, 'Total taxes after adjustments and credits', subtract(sheet.value(form.after), research), [
    { label: `Line ${form.after}`, value: showDollars(sheet.value(form.after)) },
    { label: `Less line ${form.credit}`, value: showDollars(research) },
  ]);
  const deposited = cents(-sum(sheet.entries.filter(isPayment).map((entry) => entry.amount)));
  balanceLines(sheet, form, deposited, { taxes: WAGE_TAXES, part: 'amount', of: 'payments' });
  const isSemiweekly = input.depositor?.class === 'semiweekly' || input.depositor?.isReached === true;
  const days = liabilityDays(sheet.liabilities, research);
  monthsOf(sheet, form, isSemiweekly, days);
  return {
    lines: sheet.lines,
    mostRounding: CENTS_AN_ENTRY * sheet.liabilities.filter((entry) => entry.tax !== 'US-FIT').length,
    otherAdjustments: cents(-sickPay - uncollected),
    days: isSemiweekly && sheet.value(form.total) >= SMALL_YEAR ? days : null,
  };
}

/** Deposits, what is still owed and what is too much. */
export function balanceLines(
  sheet: LineSheet<string>,
  form: Pick<AnnualLines, 'total' | 'deposits' | 'balance' | 'overpaid'>,
  deposited: Cents,
  entries: ReturnLine['entries'],
): void {
  sheet.put(
    form.deposits,
    'Total deposits for this year',
    deposited,
    [{ label: 'Settled deposits of this year’s liabilities', value: showDollars(deposited) }],
    entries,
  );
  const balance = subtract(sheet.value(form.total), deposited);
  sheet.put(form.balance, 'Balance due', notBelowZero(balance), [
    { label: `Line ${form.total} less line ${form.deposits}`, value: showDollars(balance) },
  ]);
  sheet.put(form.overpaid, 'Overpayment', notBelowZero(cents(-balance)), [
    { label: `Line ${form.deposits} less line ${form.total}`, value: showDollars(cents(-balance)) },
  ]);
}

/** Taxes by day; a credit lowers them from the first day on, not below zero (Instructions for Form 943-A). */
export function liabilityDays(
  liabilities: readonly Pick<LedgerEntry, 'liabilityDate' | 'amount'>[],
  credit: Cents,
): LiabilityDay[] {
  const days = new Map<LocalDate, Cents>();
  for (const entry of liabilities)
    days.set(entry.liabilityDate, add(days.get(entry.liabilityDate) ?? ZERO, entry.amount));
  let left = credit;
  return [...days]
    .map(([date, amount]) => ({ date, amount }))
    .sort((a, b) => (a.date < b.date ? -1 : 1))
    .map(({ date, amount }) => {
      const taken = cents(Math.min(left, Math.max(amount, 0)));
      left = subtract(left, taken);
      return { date, amount: subtract(amount, taken) };
    });
}

function monthsOf(
  sheet: LineSheet<string>,
  form: Pick<AnnualLines, 'months' | 'total'>,
  isSemiweekly: boolean,
  days: readonly LiabilityDay[],
): void {
  const isShown = !isSemiweekly && sheet.value(form.total) >= SMALL_YEAR;
  form.months.forEach((line, index) => {
    const inMonth = days.filter((day) => monthOf(day.date) === index + 1);
    const amount = isShown ? sum(inMonth.map((day) => day.amount)) : ZERO;
    const why = isSemiweekly ? 'the liability is shown by day' : `line ${form.total} is less than 2,500.00`;
    sheet.put(line, `Tax liability, ${MONTHS[index] ?? ''}`, amount, [
      { label: isShown ? 'Liability of the month' : 'Not shown', value: showDollars(amount), how: isShown ? '' : why },
    ]);
  });
}

/** Form 943-A or 945-A as rows of a return. */
export const daysTable = (code: string, title: string, days: readonly LiabilityDay[] | null): FilingTable[] =>
  days === null
    ? []
    : [
        {
          code,
          title,
          columns: [
            { name: 'date', label: 'Check date', kind: 'day' },
            { name: 'amount', label: 'Liability', kind: 'amount' },
          ],
          rows: days.map(({ date, amount }) => [date, amount]),
        },
      ];
