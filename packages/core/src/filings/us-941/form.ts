import { makeDate, monthOf, showDate, yearOf } from '../../calendar/local-date.js';
import { monthOfQuarter } from '../../calendar/quarter.js';
import { isPayment } from '../../ledger/entry.js';
import { ZERO, add, cents, dollars, notBelowZero, showDollars, subtract, sum, type Cents } from '../../money/cents.js';
import { round, times } from '../../money/exact.js';
import { rate } from '../../money/rate.js';
import { WAGE_TAXES, liabilityDays, type LiabilityDay } from '../annual-return.js';
import type { FilingInput } from '../kind.js';
import { LineSheet, type ReturnLine } from '../return-lines.js';

export const LINES = [
  '1',
  '2',
  '3',
  '5a.1',
  '5a.2',
  '5b.1',
  '5b.2',
  '5c.1',
  '5c.2',
  '5d.1',
  '5d.2',
  '5e',
  '5f',
  '6',
  '7',
  '8',
  '9',
  '10',
  '11',
  '12',
  '13',
  '14',
  '15',
  '16.1',
  '16.2',
  '16.3',
] as const;
export type LineId = (typeof LINES)[number];

export interface Form941 {
  readonly lines: readonly ReturnLine[];
  /** What line 7 can come to by rounding alone, in cents. */
  readonly mostRounding: number;
  /** Taxes by day for a semiweekly depositor, otherwise null. */
  readonly scheduleB: readonly LiabilityDay[] | null;
}

/** The taxes of the form: those of wages. */
export const TAXES_941 = WAGE_TAXES;
/** Half a cent for each check of an entry; one that was brought in stands for up to fourteen. */
const CENTS_AN_ENTRY = 7;
const BOTH_OASDI = rate('0.124');
const BOTH_HI = rate('0.029');
const ADDITIONAL = rate('0.009');
/** Below this line 12 is not shown by month (Form 941, line 16). */
const SMALL_QUARTER = dollars('2500');

const paychecks = (label: string, amount: Cents) => ({
  label,
  value: showDollars(amount),
  how: 'added up over the paychecks',
});
const entered = (label: string, amount: Cents) => ({
  label,
  value: showDollars(amount),
  how: 'as entered on the return',
});

/** Form 941 of a quarter from the ledger. Amounts in cents. Source: Form 941 and its instructions. */
export function form941(input: FilingInput): Form941 {
  const sheet = new LineSheet<LineId>(input.entries.filter((entry) => TAXES_941.includes(entry.tax)));
  const { tracked } = input;
  const tips = tracked.oasdiTips ?? ZERO;
  const sickPay = add(tracked.sickPayOasdi ?? ZERO, tracked.sickPayHi ?? ZERO);
  const uncollected = add(tracked.uncollectedOasdi ?? ZERO, tracked.uncollectedHi ?? ZERO);
  const demanded = input.entered['demandedTips'] ?? ZERO;
  const research = input.entered['researchCredit'] ?? ZERO;

  sheet.count(
    '1',
    `Employees paid for the pay period including ${showDate(makeDate(yearOf(input.period.end), monthOf(input.period.end), 12))}`,
    input.headcount,
    [{ label: 'Paychecks of the pay period', value: String(input.headcount) }],
  );
  sheet.fromLedger('2', 'Wages, tips, and other compensation', ['US-FIT'], 'subject');
  sheet.fromLedger('3', 'Federal income tax withheld', ['US-FIT'], 'amount');
  const oasdiWages = sheet.total(['US-OASDI-EE'], 'wages');
  sheet.put(
    '5a.1',
    'Taxable social security wages',
    subtract(oasdiWages, tips),
    [
      { label: 'Ledger lines of US-OASDI-EE', value: showDollars(oasdiWages), how: 'added up: wages' },
      ...(tips === 0 ? [] : [{ label: 'Less tips, which are line 5b', value: showDollars(tips) }]),
    ],
    { taxes: ['US-OASDI-EE'], part: 'wages', of: 'liabilities' },
  );
  sheet.byRate('5a.2', '5a.1', 'Taxable social security wages × 0.124', BOTH_OASDI);
  sheet.put('5b.1', 'Taxable social security tips', tips, [paychecks('Tips under the base', tips)]);
  sheet.byRate('5b.2', '5b.1', 'Taxable social security tips × 0.124', BOTH_OASDI);
  sheet.fromLedger('5c.1', 'Taxable Medicare wages and tips', ['US-HI-EE'], 'wages');
  sheet.byRate('5c.2', '5c.1', 'Taxable Medicare wages and tips × 0.029', BOTH_HI);
  sheet.fromLedger('5d.1', 'Wages subject to Additional Medicare Tax withholding', ['US-HI-ADD'], 'wages');
  sheet.byRate('5d.2', '5d.1', 'Additional Medicare Tax × 0.009', ADDITIONAL);
  sheet.addUp('5e', 'Total social security and Medicare taxes', ['5a.2', '5b.2', '5c.2', '5d.2']);
  sheet.put('5f', 'Section 3121(q) Notice and Demand: tax due on unreported tips', demanded, [
    entered('Tax of the notice', demanded),
  ]);
  sheet.addUp('6', 'Total taxes before adjustments', ['3', '5e', '5f']);
  const ledgerTotal = sheet.total(TAXES_941, 'amount');
  const notOurs = sum([sickPay, uncollected, demanded]);
  sheet.put(
    '7',
    'Adjustment for fractions of cents',
    subtract(add(ledgerTotal, notOurs), sheet.value('6')),
    [
      {
        label: 'Taxes in the ledger',
        value: showDollars(ledgerTotal),
        how: 'rounded per person, and per payroll for the employer',
      },
      ...(notOurs === 0
        ? []
        : [
            {
              label: 'With lines 5f, 8 and 9, which the ledger has not',
              value: showDollars(add(ledgerTotal, notOurs)),
            },
          ]),
      { label: 'Line 6', value: showDollars(sheet.value('6')), how: 'rounded once for the quarter' },
    ],
    { taxes: TAXES_941, part: 'amount', of: 'liabilities' },
  );
  sheet.put('8', 'Adjustment for sick pay', subtract(ZERO, sickPay), [
    paychecks('Employee tax that the payer of sick pay withheld', sickPay),
  ]);
  sheet.put('9', 'Adjustments for tips and group-term life insurance', subtract(ZERO, uncollected), [
    paychecks('Employee tax on tips that was not collected', uncollected),
  ]);
  sheet.addUp('10', 'Total taxes after adjustments', ['6', '7', '8', '9']);
  sheet.put('11', 'Qualified small business payroll tax credit for increasing research activities', research, [
    entered('Credit of Form 8974', research),
  ]);
  sheet.put('12', 'Total taxes after adjustments and credits', subtract(sheet.value('10'), research), [
    { label: 'Line 10', value: showDollars(sheet.value('10')) },
    { label: 'Less line 11', value: showDollars(research) },
  ]);
  const payments = sheet.entries.filter(isPayment);
  sheet.put(
    '13',
    'Total deposits for this quarter',
    -sum(payments.map((entry) => entry.amount)),
    [{ label: `${payments.length} payment lines`, value: '', how: 'settled deposits of this quarter’s liabilities' }],
    { taxes: TAXES_941, part: 'amount', of: 'payments' },
  );
  const balance = subtract(sheet.value('12'), sheet.value('13'));
  sheet.put('14', 'Balance due', notBelowZero(balance), [
    { label: 'Line 12 less line 13', value: showDollars(balance) },
  ]);
  sheet.put('15', 'Overpayment', notBelowZero(cents(-balance)), [
    { label: 'Line 13 less line 12', value: showDollars(cents(-balance)) },
  ]);
  // Whoever reached the next-day mark in the quarter fills in Schedule B, whatever the schedule was when it began.
  const isSemiweekly = input.depositor?.class === 'semiweekly' || input.depositor?.isReached === true;
  months(sheet, isSemiweekly, research);
  return {
    lines: sheet.lines,
    mostRounding: CENTS_AN_ENTRY * sheet.liabilities.filter((entry) => entry.tax !== 'US-FIT').length,
    scheduleB: isSemiweekly ? liabilityDays(sheet.liabilities, research) : null,
  };
}

/** Line 16: the liability by month, of a monthly depositor with 2,500 or more on line 12. */
function months(sheet: LineSheet<LineId>, isSemiweekly: boolean, research: Cents): void {
  const isShown = !isSemiweekly && sheet.value('12') >= SMALL_QUARTER;
  let credit = research;
  for (const month of [1, 2, 3] as const) {
    const inMonth = sheet.liabilities.filter((entry) => monthOfQuarter(entry.liabilityDate) === month);
    const ledger = isShown ? sum(inMonth.map((entry) => entry.amount)) : ZERO;
    // The credit lowers the liability from the first day on, not below zero (Instructions for Schedule B).
    const taken = cents(Math.min(credit, Math.max(ledger, 0)));
    credit = subtract(credit, taken);
    const amount = subtract(ledger, taken);
    const why = isSemiweekly ? 'Schedule B is attached' : 'line 12 is less than 2,500.00';
    sheet.put(
      `16.${month}`,
      `Tax liability, month ${month}`,
      amount,
      [
        {
          label: isShown ? 'Ledger lines of the month' : 'Not for this depositor',
          value: showDollars(ledger),
          how: isShown ? '' : why,
        },
        ...(taken === 0 ? [] : [{ label: 'Less of line 11', value: showDollars(taken) }]),
      ],
      isShown ? { taxes: TAXES_941, part: 'amount', of: 'liabilities' } : null,
    );
  }
}

/** Column 2 of lines 5a, 5c and 5d from column 1, in cents: social security, and Medicare with the additional tax. */
export function columnTwo(wages: Readonly<Record<'5a' | '5c' | '5d', number>>): { oasdi: Cents; hi: Cents } {
  const of = (line: '5a' | '5c' | '5d', by: ReturnType<typeof rate>): Cents =>
    round(times(cents(wages[line]), by), 'half-up');
  return { oasdi: of('5a', BOTH_OASDI), hi: add(of('5c', BOTH_HI), of('5d', ADDITIONAL)) };
}
