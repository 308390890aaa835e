import { yearOf, type LocalDate } from '../calendar/local-date.js';
import { PERIODS_PER_YEAR, type PayFrequency } from '../calendar/pay-frequency.js';
import { problem, type Issue } from '../issues/issue.js';
import { inForce, type Dated } from '../jurisdictions/dated.js';
import { SUPPLEMENTAL, WITHHOLDING } from '../jurisdictions/us/parameters.js';
import type { FederalWithholdingTable, WithholdingStatus } from '../jurisdictions/us/withholding-table.js';
import { ZERO, add, cents, larger, notBelowZero, showDollars, smaller, subtract, type Cents } from '../money/cents.js';
import {
  dividedBy,
  exact,
  isBelowZero,
  minus,
  round,
  roundToDollar,
  showExact,
  times,
  type Exact,
} from '../money/exact.js';
import { showPercent } from '../money/rate.js';
import type { FederalCertificate } from '../paycheck/input.js';
import { shownParameter, type Tape } from '../working/tape.js';
import { bracketFor, bracketTax } from './bracket-tax.js';

export interface FederalWithholdingInput {
  readonly checkDate: LocalDate;
  readonly payFrequency: PayFrequency;
  readonly certificate: FederalCertificate;
  /** Regular wages of the period, taxable for federal income tax. */
  readonly regularWages: Cents;
  /** Supplemental wages of the period, taxable for federal income tax. */
  readonly supplementalWages: Cents;
  readonly supplementalMethod: 'flat' | 'aggregate';
  readonly supplementalToDate: Cents;
  readonly toDollar: boolean;
}

const FIGURE = 'US-FIT';
const STATUS_LABEL: Readonly<Record<WithholdingStatus, string>> = {
  'married-jointly': 'Married filing jointly',
  single: 'Single or married filing separately',
  'head-of-household': 'Head of household',
};

function statusOf(certificate: FederalCertificate): WithholdingStatus {
  if (certificate.form === 'pre-2020') return certificate.maritalStatus === 'married' ? 'married-jointly' : 'single';
  return certificate.filingStatus === 'married-separately' ? 'single' : certificate.filingStatus;
}

/** A nonresident alien's addition for one period, to the nearest ten cents as Publication 15-T prints it. */
function nonresidentAddition(table: FederalWithholdingTable, certificate: FederalCertificate, periods: number): Cents {
  const { form2020, pre2020 } = table.nonresidentAdditionPerYear;
  const tenth = dividedBy(certificate.form === '2020' ? form2020 : pre2020, periods * 10);
  return cents(round(tenth, 'half-up') * 10);
}

/** Publication 15-T Worksheet 1A on the wages of one period: the tentative withholding after credits, unrounded. */
function worksheetOneA(
  input: FederalWithholdingInput,
  wages: Cents,
  row: Dated<FederalWithholdingTable>,
  tape: Tape | undefined,
): Exact {
  const { certificate } = input;
  const table = row.value;
  const periods = PERIODS_PER_YEAR[input.payFrequency];
  let taxable = wages;
  tape?.write(FIGURE, { label: '1a  Taxable wages this period', value: showDollars(wages) });
  if (certificate.nonresidentAlien) {
    const addition = nonresidentAddition(table, certificate, periods);
    taxable = add(taxable, addition);
    tape?.write(FIGURE, {
      label: '1a  Nonresident alien addition',
      value: showDollars(addition),
      how: 'for this computation only',
    });
  }
  const annual = cents(taxable * periods);
  tape?.write(FIGURE, {
    label: '1c  Annual wages',
    value: showDollars(annual),
    how: `${showDollars(taxable)} × ${periods} periods`,
  });

  const status = statusOf(certificate);
  let adjusted: Cents;
  let brackets = table.standard[status];
  if (certificate.form === '2020') {
    const lineOneG = certificate.multipleJobs
      ? ZERO
      : status === 'married-jointly'
        ? table.lineOneG['married-jointly']
        : table.lineOneG.otherwise;
    if (certificate.multipleJobs) brackets = table.stepTwoChecked[status];
    adjusted = notBelowZero(subtract(add(annual, certificate.otherIncome), add(certificate.deductions, lineOneG)));
    tape?.write(FIGURE, { label: '1d  Other income, step 4(a)', value: showDollars(certificate.otherIncome) });
    tape?.write(FIGURE, { label: '1f  Deductions, step 4(b)', value: showDollars(certificate.deductions) });
    tape?.write(FIGURE, {
      label: '1g  Standard amount',
      value: showDollars(lineOneG),
      how: certificate.multipleJobs ? 'zero: the step 2 box is checked' : STATUS_LABEL[status],
    });
  } else {
    const allowances = cents(certificate.allowances * table.allowance);
    adjusted = notBelowZero(subtract(annual, allowances));
    tape?.write(FIGURE, {
      label: '1k  Allowances',
      value: showDollars(allowances),
      how: `${certificate.allowances} × ${showDollars(table.allowance)}`,
    });
  }
  tape?.write(FIGURE, { label: '1i  Adjusted annual wage amount', value: showDollars(adjusted) });

  const bracket = bracketFor(brackets, exact(adjusted));
  const annualTax = bracketTax(bracket, exact(adjusted));
  tape?.write(FIGURE, {
    label: '2g  Tentative annual withholding',
    value: showExact(annualTax),
    how: `${showDollars(bracket.base)} + ${showPercent(bracket.rate)} of the excess over ${showDollars(bracket.over)}`,
    parameter: shownParameter(
      `${STATUS_LABEL[status]}${certificate.form === '2020' && certificate.multipleJobs ? ', step 2 checked' : ''}`,
      `row: over ${showDollars(bracket.over)}: ${showDollars(bracket.base)} + ${showPercent(bracket.rate)}`,
      row,
    ),
  });
  const tentative = dividedBy(annualTax, periods);
  tape?.write(FIGURE, { label: '2h  Tentative withholding', value: showExact(tentative), how: `÷ ${periods}` });
  if (certificate.form === 'pre-2020' || certificate.dependentCredit === 0) return tentative;
  const credit = dividedBy(certificate.dependentCredit, periods);
  const left = minus(tentative, credit);
  tape?.write(FIGURE, {
    label: '3b  Credits of step 3',
    value: showExact(credit),
    how: `${showDollars(certificate.dependentCredit)} ÷ ${periods}`,
  });
  // An unused credit never reduces the extra withholding of step 4(c).
  return isBelowZero(left) ? exact(ZERO) : left;
}

/** Supplemental wages at the flat rate, the part over one million a year at the highest rate; exempt persons too there. */
function flatOnSupplemental(input: FederalWithholdingInput, tape: Tape | undefined): { tax: Cents; problems: Issue[] } {
  const row = inForce(SUPPLEMENTAL, input.checkDate);
  if (!row)
    return {
      tax: ZERO,
      problems: [
        problem('rule.none-in-force', 'checkDate', {
          what: 'supplemental rate',
          date: input.checkDate,
          from: '2025-01-01',
        }),
      ],
    };
  const room = notBelowZero(subtract(row.value.million, input.supplementalToDate));
  const under = smaller(input.supplementalWages, room);
  const over = subtract(input.supplementalWages, under);
  const mode = 'half-up';
  const to = input.toDollar ? roundToDollar : round;
  const isFlat = input.supplementalMethod === 'flat' && !input.certificate.exempt;
  const flat = isFlat ? to(times(under, row.value.rate), mode) : ZERO;
  const high = to(times(over, row.value.overMillion), mode);
  if (isFlat && under > 0) {
    tape?.write(FIGURE, {
      label: 'Supplemental wages, flat rate',
      value: showDollars(flat),
      how: `${showDollars(under)} × ${showPercent(row.value.rate)}`,
      rounding: 'half a cent up',
      parameter: shownParameter('Supplemental wage rate', showPercent(row.value.rate), row),
    });
  }
  if (over > 0) {
    tape?.write(FIGURE, {
      label: 'Supplemental wages over 1,000,000',
      value: showDollars(high),
      how: `${showDollars(over)} × ${showPercent(row.value.overMillion)}`,
      rounding: 'half a cent up',
      parameter: shownParameter('Supplemental wage rate over one million', showPercent(row.value.overMillion), row),
    });
  }
  return { tax: add(flat, high), problems: [] };
}

/**
 * Federal income tax to withhold, in cents, by the percentage method for automated payroll systems.
 * Source: Publication 15-T, Worksheet 1A; Publication 15 section 7 for supplemental wages. Rounds once, half a cent up.
 */
export function federalIncomeTax(input: FederalWithholdingInput, tape?: Tape): { tax: Cents; problems: Issue[] } {
  const row = inForce(WITHHOLDING, input.checkDate);
  if (!row) {
    const what = `federal withholding table for ${yearOf(input.checkDate)}`;
    return {
      tax: ZERO,
      problems: [problem('rule.none-in-force', 'checkDate', { what, date: input.checkDate, from: '2025-01-01' })],
    };
  }
  const { certificate } = input;
  const supplemental = input.supplementalWages > 0 ? flatOnSupplemental(input, tape) : { tax: ZERO, problems: [] };
  const million = inForce(SUPPLEMENTAL, input.checkDate)?.value.million;
  let regular = ZERO;
  if (certificate.exempt) {
    tape?.write(FIGURE, { label: 'Exempt on Form W-4', value: showDollars(ZERO), how: 'wages are still reported' });
  } else {
    const room = million === undefined ? ZERO : notBelowZero(subtract(million, input.supplementalToDate));
    const together =
      input.supplementalMethod === 'aggregate'
        ? add(input.regularWages, smaller(input.supplementalWages, room))
        : input.regularWages;
    const hasWages = together > 0;
    const tentative = hasWages ? worksheetOneA(input, together, row, tape) : exact(ZERO);
    const rounded = input.toDollar ? roundToDollar(tentative, 'half-up') : round(tentative, 'half-up');
    const extra = hasWages || input.supplementalWages > 0 ? certificate.extraWithholding : ZERO;
    if (extra > 0) tape?.write(FIGURE, { label: '4a  Extra withholding, step 4(c)', value: showDollars(extra) });
    regular = add(rounded, extra);
  }
  const tax = larger(add(regular, supplemental.tax), ZERO);
  tape?.write(FIGURE, {
    label: 'Federal income tax',
    value: showDollars(tax),
    rounding: input.toDollar ? 'to the dollar, half up' : 'half a cent up, once',
    isResult: true,
  });
  return { tax, problems: supplemental.problems };
}
