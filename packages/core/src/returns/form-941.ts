import type { LocalDate } from '../calendar/local-date.js';
import { lastDayOf, monthOfQuarter, type QuarterNumber } from '../calendar/quarter.js';
import type { DepositSchedule } from '../deposits/federal-schedule.js';
import { SMALL_QUARTER_MARK } from '../deposits/federal-schedule.js';
import { isLiability, isPayment, type LedgerEntry } from '../ledger/entry.js';
import { ZERO, add, cents, notBelowZero, showDollars, subtract, sum, type Cents } from '../money/cents.js';
import { round, showExact, times } from '../money/exact.js';
import { rate, showPercent } from '../money/rate.js';
import type { TaxCode } from '../taxes/registry.js';
import type { TapeLine } from '../working/tape.js';

export type LineId =
  | '1'
  | '2'
  | '3'
  | '5a.1'
  | '5a.2'
  | '5b.1'
  | '5b.2'
  | '5c.1'
  | '5c.2'
  | '5d.1'
  | '5d.2'
  | '5e'
  | '6'
  | '7'
  | '8'
  | '9'
  | '10'
  | '12'
  | '13'
  | '14'
  | '15'
  | '16.1'
  | '16.2'
  | '16.3';

/** Which ledger lines make a line of the return: the taxes, and which of their amounts. */
export interface LineEntries {
  readonly taxes: readonly TaxCode[];
  readonly part: 'subject' | 'wages' | 'amount';
  readonly of: 'liabilities' | 'payments';
}
export interface ReturnLine {
  readonly id: LineId;
  readonly label: string;
  /** Cents, or a count on line 1. */
  readonly value: number;
  readonly kind: 'count' | 'amount';
  readonly entries: LineEntries | null;
  readonly working: readonly TapeLine[];
}
export interface ScheduleBDay {
  readonly date: LocalDate;
  readonly amount: Cents;
}
export interface Form941 {
  readonly year: number;
  readonly quarter: QuarterNumber;
  readonly schedule: DepositSchedule;
  readonly lines: readonly ReturnLine[];
  /** What line 7 can come to by rounding alone, in cents. */
  readonly mostRounding: number;
  /** Taxes by day for a semiweekly depositor, otherwise null. */
  readonly scheduleB: readonly ScheduleBDay[] | null;
}

/** Amounts of the paychecks that have lines of their own, in cents. */
export interface Adjustments941 {
  /** Tips among the OASDI wages. */
  readonly tips: Cents;
  /** Employee OASDI and HI that the payer of third-party sick pay withheld. */
  readonly sickPay: Cents;
  /** Employee OASDI and HI on tips that could not be collected. */
  readonly uncollected: Cents;
}
export const NO_ADJUSTMENTS: Adjustments941 = { tips: ZERO, sickPay: ZERO, uncollected: ZERO };

export interface Form941Input {
  readonly year: number;
  readonly quarter: QuarterNumber;
  readonly schedule: DepositSchedule;
  /** Ledger entries with a liability date in the quarter (payments of such liabilities included). */
  readonly entries: readonly LedgerEntry[];
  /** What the paychecks of the quarter say besides the ledger. */
  readonly adjustments: Adjustments941;
  /** People paid for the pay period that includes the 12th day of the quarter's last month. */
  readonly employeesOnTwelfth: number;
}

const FEDERAL_941: readonly TaxCode[] = ['US-FIT', 'US-OASDI-EE', 'US-OASDI-ER', 'US-HI-EE', 'US-HI-ER', 'US-HI-ADD'];
/** Half a cent for each check of an entry; one that was brought in stands for up to fourteen. */
const CENTS_AN_ENTRY = 7;
const BOTH_OASDI = rate('0.124');
const BOTH_HI = rate('0.029');
const ADDITIONAL = rate('0.009');

/** Form 941 of a quarter from the ledger. Amounts in cents. Source: Form 941 and its instructions. */
export function form941(input: Form941Input): Form941 {
  const inForm = input.entries.filter((entry) => FEDERAL_941.includes(entry.tax));
  const liabilities = inForm.filter(isLiability);
  const total = (entries: readonly LedgerEntry[], taxes: readonly TaxCode[], part: LineEntries['part']): Cents =>
    sum(entries.filter((entry) => taxes.includes(entry.tax)).map((entry) => entry[part]));
  const lines = new Map<LineId, ReturnLine>();
  const valueOf = (id: LineId): Cents => {
    const line = lines.get(id);
    if (!line) throw new RangeError(`line ${id} is not computed yet`);
    return cents(line.value);
  };
  const put = (
    id: LineId,
    label: string,
    value: number,
    entries: LineEntries | null,
    working: TapeLine[],
    kind: 'count' | 'amount' = 'amount',
  ): void => {
    const shown = kind === 'count' ? String(value) : showDollars(cents(value));
    lines.set(id, {
      id,
      label,
      value,
      kind,
      entries,
      working: [...working, { label: `Line ${id}`, value: shown, isResult: true }],
    });
  };
  const fromLedger = (id: LineId, label: string, taxes: readonly TaxCode[], part: LineEntries['part']): void => {
    const count = liabilities.filter((entry) => taxes.includes(entry.tax)).length;
    put(id, label, total(liabilities, taxes, part), { taxes, part, of: 'liabilities' }, [
      {
        label: `${count} ledger lines of ${taxes.join(', ')}`,
        value: '',
        how: `added up: ${part === 'amount' ? 'tax' : 'wages'}`,
      },
    ]);
  };
  const byRate = (id: LineId, from: LineId, label: string, by: ReturnType<typeof rate>): void => {
    const unrounded = times(valueOf(from), by);
    put(id, label, round(unrounded, 'half-up'), null, [
      {
        label: `Line ${from}`,
        value: showDollars(valueOf(from)),
        how: `× ${showPercent(by)} = ${showExact(unrounded)}`,
        rounding: 'half a cent up',
      },
    ]);
  };
  const addUp = (id: LineId, label: string, ids: readonly LineId[]): void =>
    put(
      id,
      label,
      sum(ids.map(valueOf)),
      null,
      ids.map((part) => ({ label: `Line ${part}`, value: showDollars(valueOf(part)) })),
    );

  const twelfth = `${input.year}-${String(input.quarter * 3).padStart(2, '0')}-12`;
  put(
    '1',
    `Employees paid for the pay period including ${twelfth}`,
    input.employeesOnTwelfth,
    null,
    [{ label: 'Paychecks of the pay period', value: String(input.employeesOnTwelfth) }],
    'count',
  );
  fromLedger('2', 'Wages, tips, and other compensation', ['US-FIT'], 'subject');
  fromLedger('3', 'Federal income tax withheld', ['US-FIT'], 'amount');
  const { adjustments } = input;
  const oasdiWages = total(liabilities, ['US-OASDI-EE'], 'wages');
  put(
    '5a.1',
    'Taxable social security wages',
    subtract(oasdiWages, adjustments.tips),
    { taxes: ['US-OASDI-EE'], part: 'wages', of: 'liabilities' },
    [
      { label: 'Ledger lines of US-OASDI-EE', value: showDollars(oasdiWages), how: 'added up: wages' },
      ...(adjustments.tips === 0
        ? []
        : [{ label: 'Less tips, which are line 5b', value: showDollars(adjustments.tips) }]),
    ],
  );
  byRate('5a.2', '5a.1', 'Taxable social security wages × 0.124', BOTH_OASDI);
  put('5b.1', 'Taxable social security tips', adjustments.tips, null, [
    { label: 'Tips under the base', value: showDollars(adjustments.tips), how: 'added up over the paychecks' },
  ]);
  byRate('5b.2', '5b.1', 'Taxable social security tips × 0.124', BOTH_OASDI);
  fromLedger('5c.1', 'Taxable Medicare wages and tips', ['US-HI-EE'], 'wages');
  byRate('5c.2', '5c.1', 'Taxable Medicare wages and tips × 0.029', BOTH_HI);
  fromLedger('5d.1', 'Wages subject to Additional Medicare Tax withholding', ['US-HI-ADD'], 'wages');
  byRate('5d.2', '5d.1', 'Additional Medicare Tax × 0.009', ADDITIONAL);
  addUp('5e', 'Total social security and Medicare taxes', ['5a.2', '5b.2', '5c.2', '5d.2']);
  addUp('6', 'Total taxes before adjustments', ['3', '5e']);
  const ledgerTotal = total(liabilities, FEDERAL_941, 'amount');
  const notOurs = add(adjustments.sickPay, adjustments.uncollected);
  put(
    '7',
    'Adjustment for fractions of cents',
    subtract(add(ledgerTotal, notOurs), valueOf('6')),
    { taxes: FEDERAL_941, part: 'amount', of: 'liabilities' },
    [
      {
        label: 'Taxes in the ledger',
        value: showDollars(ledgerTotal),
        how: 'rounded per person, and per payroll for the employer',
      },
      ...(notOurs === 0
        ? []
        : [{ label: 'With what lines 8 and 9 take off', value: showDollars(add(ledgerTotal, notOurs)) }]),
      { label: 'Line 6', value: showDollars(valueOf('6')), how: 'rounded once for the quarter' },
    ],
  );
  put('8', 'Adjustment for sick pay', subtract(ZERO, adjustments.sickPay), null, [
    {
      label: 'Employee tax that the payer of sick pay withheld',
      value: showDollars(adjustments.sickPay),
      how: 'added up over the paychecks',
    },
  ]);
  put('9', 'Adjustments for tips and group-term life insurance', subtract(ZERO, adjustments.uncollected), null, [
    {
      label: 'Employee tax on tips that was not collected',
      value: showDollars(adjustments.uncollected),
      how: 'added up over the paychecks',
    },
  ]);
  addUp('10', 'Total taxes after adjustments', ['6', '7', '8', '9']);
  addUp('12', 'Total taxes after adjustments and credits', ['10']);
  const payments = inForm.filter(isPayment);
  put(
    '13',
    'Total deposits for this quarter',
    -sum(payments.map((entry) => entry.amount)),
    { taxes: FEDERAL_941, part: 'amount', of: 'payments' },
    [{ label: `${payments.length} payment lines`, value: '', how: 'settled deposits of this quarter’s liabilities' }],
  );
  const balance = subtract(valueOf('12'), valueOf('13'));
  put('14', 'Balance due', notBelowZero(balance), null, [
    { label: 'Line 12 less line 13', value: showDollars(balance) },
  ]);
  put('15', 'Overpayment', notBelowZero(cents(-balance)), null, [
    { label: 'Line 13 less line 12', value: showDollars(cents(-balance)) },
  ]);
  const isMonthlyShown = input.schedule === 'monthly' && valueOf('12') >= SMALL_QUARTER_MARK;
  for (const month of [1, 2, 3] as const) {
    const inMonth = liabilities.filter((entry) => monthOfQuarter(entry.liabilityDate) === month);
    const amount = isMonthlyShown ? sum(inMonth.map((entry) => entry.amount)) : ZERO;
    put(
      `16.${month}`,
      `Tax liability, month ${month}`,
      amount,
      isMonthlyShown ? { taxes: FEDERAL_941, part: 'amount', of: 'liabilities' } : null,
      [
        {
          label: isMonthlyShown ? 'Ledger lines of the month' : 'Not for this depositor',
          value: showDollars(amount),
          how: isMonthlyShown
            ? ''
            : input.schedule === 'semiweekly'
              ? 'Schedule B is attached'
              : 'line 12 is less than 2,500.00',
        },
      ],
    );
  }
  return {
    year: input.year,
    quarter: input.quarter,
    schedule: input.schedule,
    lines: [...lines.values()],
    mostRounding: CENTS_AN_ENTRY * liabilities.filter((entry) => entry.tax !== 'US-FIT').length,
    scheduleB: input.schedule === 'semiweekly' ? scheduleB(liabilities) : null,
  };
}

/** Column 2 of lines 5a, 5c and 5d from column 1, in cents: social security, and Medicare with the additional tax. */
export function columnTwo(wages: Readonly<Record<'5a' | '5c' | '5d', number>>): { oasdi: Cents; hi: Cents } {
  const of = (line: '5a' | '5c' | '5d', by: ReturnType<typeof rate>): Cents =>
    round(times(cents(wages[line]), by), 'half-up');
  return { oasdi: of('5a', BOTH_OASDI), hi: add(of('5c', BOTH_HI), of('5d', ADDITIONAL)) };
}

function scheduleB(liabilities: readonly LedgerEntry[]): ScheduleBDay[] {
  const days = new Map<LocalDate, Cents>();
  for (const entry of liabilities)
    days.set(entry.liabilityDate, add(days.get(entry.liabilityDate) ?? ZERO, entry.amount));
  return [...days].map(([date, amount]) => ({ date, amount })).sort((a, b) => (a.date < b.date ? -1 : 1));
}

/** The value of a line, in cents (or a count). */
export function lineValue(form: Form941, id: LineId): number {
  const line = form.lines.find((candidate) => candidate.id === id);
  if (!line) throw new RangeError(`no line ${id}`);
  return line.value;
}

export const periodEnd941 = (form: Pick<Form941, 'year' | 'quarter'>): LocalDate => lastDayOf(form);
