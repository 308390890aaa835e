import { monthOf, yearOf } from '../../calendar/local-date.js';
import { inForce } from '../../jurisdictions/dated.js';
import type { StateCode } from '../../jurisdictions/state.js';
import { CREDIT_REDUCTION, FUTA } from '../../jurisdictions/us/parameters.js';
import { isPayment } from '../../ledger/entry.js';
import {
  ZERO,
  add,
  cents,
  dollars,
  notBelowZero,
  showDollars,
  smaller,
  subtract,
  sum,
  type Cents,
} from '../../money/cents.js';
import { round, times } from '../../money/exact.js';
import { rate, showPercent, showRate } from '../../money/rate.js';
import type { TaxCode } from '../../tax-registry/registry.js';
import { shownParameter, type TapeLine } from '../../working/tape.js';
import type { FilingInput, StateContribution, UnemploymentPay } from '../kind.js';
import { LineSheet, type ReturnLine } from '../return-lines.js';

export type LineId =
  | '3'
  | '4'
  | '5'
  | '6'
  | '7'
  | '8'
  | '9'
  | '10'
  | '11'
  | '12'
  | '13'
  | '14'
  | '15'
  | '16a'
  | '16b'
  | '16c'
  | '16d'
  | '17';

/** A line of Schedule A: a state where wages were paid that its unemployment law covers. */
export interface ScheduleARow {
  readonly state: StateCode;
  /** FUTA taxable wages. */
  readonly wages: Cents;
  /** As a decimal, `0.012`. */
  readonly rate: string;
  readonly reduction: Cents;
}
/** Why payments are exempt: the boxes under line 4. */
export const EXEMPTIONS = ['4a', '4b', '4c', '4d', '4e'] as const;
export type Exemption = (typeof EXEMPTIONS)[number];
export interface Form940 {
  readonly year: number;
  readonly lines: readonly ReturnLine[];
  /** Line 1a: the one state; null: several, line 1b and Schedule A. */
  readonly state: StateCode | null;
  readonly scheduleA: readonly ScheduleARow[];
  readonly exemptions: readonly Exemption[];
  readonly isSuccessor: boolean;
  readonly isFinal: boolean;
  readonly hasPaid: boolean;
  /** The year's credit reductions, or the year's rate, are not known: the return cannot be made. */
  readonly missing: readonly ('credit-reduction' | 'rate')[];
  /** Owed by the return beside what the ledger has for the year. */
  readonly besides: Cents;
}

export const FUTA_TAX: TaxCode = 'US-FUTA';
/** Below this, or at it, there is nothing to say by quarter (Form 940, line 12 and part 5). */
const QUARTER_MARK = dollars('500');
const FULL_CREDIT = rate('0.054');
const LATE_SHARE = rate('0.90');

/** Pay items by the box under line 4 that says why they are exempt (Instructions for Form 940, line 4); all others are box 4e. */
const BOX_OF_ITEM: Readonly<Record<string, Exemption>> = {
  'section-125-health': '4a',
  'section-125-other': '4a',
  'section-125-hsa': '4a',
  fsa: '4a',
  hsa: '4a',
  transit: '4a',
  parking: '4a',
  'shareholder-health': '4a',
  'group-term-life': '4b',
  'nonqualified-plan': '4c',
  'dependent-care': '4d',
};
const exemptionsOf = (pay: readonly UnemploymentPay[]): Exemption[] => {
  const found = new Set(
    pay.flatMap(({ exempt }) =>
      Object.entries(exempt).flatMap(([item, amount]) => (amount === 0 ? [] : [BOX_OF_ITEM[item] ?? '4e'])),
    ),
  );
  return EXEMPTIONS.filter((box) => found.has(box));
};

const wagesIn = (pay: readonly UnemploymentPay[], state: StateCode | null): Cents =>
  sum(pay.filter((row) => row.state === state).map((row) => row.wages));

/** Form 940 of a year with Schedule A. Amounts in cents. Source: Form 940 and its instructions. */
export function form940(input: FilingInput): Form940 {
  const { period, unemployment: pay, employer } = input;
  const year = yearOf(period.start);
  const sheet = new LineSheet<LineId>(input.entries.filter((entry) => entry.tax === FUTA_TAX));
  const law = inForce(FUTA, period.end, input.rules);
  const reductions = inForce(CREDIT_REDUCTION, period.end, input.rules);
  const added = (label: string, amount: Cents): TapeLine => ({
    label,
    value: showDollars(amount),
    how: 'added up over people',
  });

  const paid = sum(pay.map((row) => row.paid));
  const subject = sum(pay.map((row) => row.subject));
  const wages = sum(pay.map((row) => row.wages));
  sheet.put('3', 'Total payments to all employees', paid, [added('Pay of the year', paid)]);
  const exempt = subtract(paid, subject);
  sheet.put('4', 'Payments exempt from FUTA tax', exempt, [
    {
      label: 'Line 3 less pay subject to the tax',
      value: showDollars(exempt),
      how: `${showDollars(subject)} are subject`,
    },
  ]);
  const over = subtract(subject, wages);
  sheet.put('5', 'Payments made to each employee in excess of the base', over, [
    {
      ...added('Pay subject to the tax over the base', over),
      ...(law ? { parameter: shownParameter('Wage base', showDollars(law.value.base), law) } : {}),
    },
  ]);
  sheet.addUp('6', 'Subtotal', ['4', '5']);
  sheet.put('7', 'Total taxable FUTA wages', subtract(paid, sheet.value('6')), [
    { label: 'Line 3 less line 6', value: showDollars(wages) },
  ]);
  sheet.byRate('8', '7', 'FUTA tax before adjustments', law?.value.rate ?? rate('0'));
  adjustForState(sheet, input.contributions, wagesIn(pay, null));

  const states = [...new Set(pay.flatMap((row) => (row.state && row.wages !== 0 ? [row.state] : [])))].sort();
  const scheduleA = states.map((state): ScheduleARow => {
    const taxed = wagesIn(pay, state);
    const lost = reductions?.value[state];
    return {
      state,
      wages: taxed,
      rate: lost ? showRate(lost) : '0',
      reduction: lost ? round(times(taxed, lost), 'half-up') : ZERO,
    };
  });
  const reduction = sum(scheduleA.map((row) => row.reduction));
  sheet.put('11', 'Credit reduction', reduction, [
    ...scheduleA
      .filter((row) => row.reduction !== 0)
      .map((row) => ({
        label: `Schedule A, ${row.state}`,
        value: showDollars(row.reduction),
        how: `${showDollars(row.wages)} × ${showPercent(rate(row.rate))}`,
        rounding: 'half a cent up',
        ...(reductions ? { parameter: shownParameter('Credit reduction', row.rate, reductions) } : {}),
      })),
  ]);
  sheet.addUp('12', 'Total FUTA tax after adjustments', ['8', '9', '10', '11']);
  const payments = sheet.entries.filter(isPayment);
  const carried = input.entered['overpaymentApplied'] ?? ZERO;
  const deposited = add(cents(-sum(payments.map((entry) => entry.amount))), carried);
  sheet.put(
    '13',
    'FUTA tax deposited for the year, including any overpayment applied from a prior year',
    deposited,
    [
      { label: `${payments.length} payment lines`, value: '', how: 'settled deposits of this year’s tax' },
      ...(carried === 0
        ? []
        : [{ label: 'Overpayment of the year before', value: showDollars(carried), how: 'as entered' }]),
    ],
    { taxes: [FUTA_TAX], part: 'amount', of: 'payments' },
  );
  const balance = subtract(sheet.value('12'), deposited);
  sheet.put('14', 'Balance due', notBelowZero(balance), [
    { label: 'Line 12 less line 13', value: showDollars(balance) },
  ]);
  sheet.put('15', 'Overpayment', notBelowZero(cents(-balance)), [
    { label: 'Line 13 less line 12', value: showDollars(cents(-balance)) },
  ]);
  const ledger = sheet.total([FUTA_TAX], 'amount');
  quarters(sheet, subtract(sheet.value('12'), ledger));
  return {
    year,
    lines: sheet.lines,
    state: states.length === 1 ? (states[0] ?? null) : null,
    scheduleA: states.length > 1 || reduction !== 0 ? scheduleA : [],
    exemptions: exempt === 0 ? [] : exemptionsOf(pay),
    isSuccessor: employer.isSuccessor,
    isFinal: employer.lastWages !== null && yearOf(employer.lastWages) === year,
    hasPaid: paid !== 0,
    missing: [...(law ? [] : ['rate' as const]), ...(reductions ? [] : ['credit-reduction' as const])],
    besides: subtract(sheet.value('12'), ledger),
  };
}

/**
 * Lines 9 and 10: the credit of up to 5.4% that is lost where wages are outside the states' unemployment laws, or where
 * contributions were paid after the due date of the return. Source: Instructions for Form 940, worksheet for line 10.
 */
function adjustForState(sheet: LineSheet<LineId>, contributions: readonly StateContribution[], outside: Cents): void {
  const taxable = sheet.value('7');
  const most = round(times(taxable, FULL_CREDIT), 'half-up');
  const isAll = outside !== 0 && outside === taxable;
  sheet.put('9', 'Adjustment: all taxable FUTA wages were excluded from state unemployment tax', isAll ? most : ZERO, [
    isAll
      ? { label: 'Line 7', value: showDollars(taxable), how: `× ${showPercent(FULL_CREDIT)}` }
      : { label: 'Not all wages were excluded', value: showDollars(ZERO) },
  ]);
  const late = sum(contributions.map((row) => row.late));
  if (isAll || (outside === 0 && late === 0)) {
    sheet.put('10', 'Adjustment: some wages were excluded, or state tax was paid late', ZERO, [
      { label: 'Nothing was excluded or late', value: showDollars(ZERO) },
    ]);
    return;
  }
  const onTime = sum(contributions.map((row) => subtract(row.owed, row.late)));
  // Where the state's rate is below 5.4%, the difference on its taxable wages is credited as well.
  const additional = sum(
    contributions.map((row) => notBelowZero(subtract(round(times(row.wages, FULL_CREDIT), 'half-up'), row.owed))),
  );
  const credit = smaller(most, add(onTime, additional));
  const ofLate = smaller(round(times(late, LATE_SHARE), 'half-up'), subtract(most, credit));
  sheet.put(
    '10',
    'Adjustment: some wages were excluded, or state tax was paid late',
    subtract(most, add(credit, ofLate)),
    [
      { label: 'Most that can be credited', value: showDollars(most), how: `line 7 × ${showPercent(FULL_CREDIT)}` },
      { label: 'Paid to the states on time', value: showDollars(onTime) },
      { label: 'Additional credit', value: showDollars(additional), how: 'state wages × 5.4% less what was owed' },
      {
        label: 'Of what was paid late',
        value: showDollars(ofLate),
        how: `${showDollars(late)} × 90%, at most what is left`,
      },
    ],
  );
}

/** Part 5: the liability by quarter, of those who owe more than 500; what only the return adds belongs to the fourth. */
function quarters(sheet: LineSheet<LineId>, besides: Cents): void {
  const isShown = sheet.value('12') > QUARTER_MARK;
  const ids = ['16a', '16b', '16c', '16d'] as const;
  ids.forEach((id, index) => {
    const own = sheet.liabilities.filter((entry) => Math.ceil(monthOf(entry.liabilityDate) / 3) === index + 1);
    const ledger = sum(own.map((entry) => entry.amount));
    const isLast = index === 3;
    const amount = isLast ? add(ledger, besides) : ledger;
    sheet.put(
      id,
      `Tax liability, quarter ${index + 1}`,
      isShown ? amount : ZERO,
      isShown
        ? [
            { label: 'Ledger lines of the quarter', value: showDollars(ledger) },
            ...(isLast && besides !== 0
              ? [{ label: 'Lines 9 to 11, and fractions of cents', value: showDollars(besides) }]
              : []),
          ]
        : [{ label: 'Not asked', value: showDollars(ZERO), how: 'line 12 is not more than 500.00' }],
      isShown ? { taxes: [FUTA_TAX], part: 'amount', of: 'liabilities' } : null,
    );
  });
  sheet.addUp('17', 'Total tax liability for the year', ids);
}
