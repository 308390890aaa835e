import { onOrAfter } from '../calendar/business-days.js';
import { LEGAL } from '../calendar/holidays.js';
import { makeDate, yearOf, type LocalDate } from '../calendar/local-date.js';
import { PERIODS_PER_YEAR } from '../calendar/pay-frequency.js';
import { problem, warning, type Issue } from '../issues/issue.js';
import { inForce, type Dated, type OwnRules } from '../jurisdictions/dated.js';
import { SUPPLEMENTAL, WAGE_BRACKETS, WITHHOLDING } from '../jurisdictions/us/parameters.js';
import type { FederalWithholdingTable } from '../jurisdictions/us/withholding-table.js';
import { ZERO, add, cents, larger, notBelowZero, showDollars, smaller, subtract, type Cents } from '../money/cents.js';
import { dividedBy, exact, minus, round, roundToDollar, times } from '../money/exact.js';
import { showPercent } from '../money/rate.js';
import type { FederalCertificate } from '../computation/input.js';
import { shownParameter, type Tape } from '../working/tape.js';
import { FIGURE, nonresidentAddition, worksheetOneA, type OneAInput } from './federal-worksheet.js';

export interface FederalWithholdingInput extends OneAInput {
  readonly checkDate: LocalDate;
  readonly certificate: FederalCertificate;
  /** Regular wages of the period, taxable for federal income tax. */
  readonly regularWages: Cents;
  /** Supplemental wages of the period, taxable for federal income tax. */
  readonly supplementalWages: Cents;
  readonly supplementalMethod: 'flat' | 'aggregate';
  readonly supplementalToDate: Cents;
  readonly toDollar: boolean;
  readonly method: 'percentage' | 'wage-bracket';
  /** Days of a miscellaneous period. */
  readonly daysInPeriod: number;
  /** Rules of the firm's own. */
  readonly rules?: OwnRules | null;
  /** The last regular wages, when supplemental wages are paid apart from them. */
  readonly lastRegular: { readonly wages: Cents; readonly withheld: Cents } | null;
}
export interface FederalWithholding {
  readonly tax: Cents;
  /** The parts of it, without the extra withholding of step 4(c). */
  /** With the additional amount of the certificate. */
  readonly onRegular: Cents;
  readonly onSupplemental: Cents;
  readonly problems: readonly Issue[];
}

/** Supplemental wages at the flat rate, the part over one million a year at the highest rate; exempt persons too there. */
function flatOnSupplemental(
  input: FederalWithholdingInput,
  certificate: FederalCertificate,
  tape: Tape | undefined,
): Cents | null {
  const row = inForce(SUPPLEMENTAL, input.checkDate, input.rules);
  if (!row) return null;
  const room = notBelowZero(subtract(row.value.million, input.supplementalToDate));
  const under = smaller(input.supplementalWages, room);
  const over = subtract(input.supplementalWages, under);
  const to = input.toDollar ? roundToDollar : round;
  const isFlat = input.supplementalMethod === 'flat' && !certificate.exempt;
  const flat = isFlat ? to(times(under, row.value.rate), 'half-up') : ZERO;
  const high = to(times(over, row.value.overMillion), 'half-up');
  if (isFlat && under > 0) {
    tape?.write(FIGURE, () => ({
      label: 'Supplemental wages, flat rate',
      value: showDollars(flat),
      how: `${showDollars(under)} × ${showPercent(row.value.rate)}`,
      rounding: 'half a cent up',
      parameter: shownParameter('Supplemental wage rate', showPercent(row.value.rate), row),
    }));
  }
  if (over > 0) {
    tape?.write(FIGURE, () => ({
      label: 'Supplemental wages over 1,000,000',
      value: showDollars(high),
      how: `${showDollars(over)} × ${showPercent(row.value.overMillion)}`,
      rounding: 'half a cent up',
      parameter: shownParameter('Supplemental wage rate over one million', showPercent(row.value.overMillion), row),
    }));
  }
  return add(flat, high);
}

const BLANK: Extract<FederalCertificate, { form: '2020' }> = {
  form: '2020',
  filingStatus: 'single',
  multipleJobs: false,
  dependentCredit: ZERO,
  otherIncome: ZERO,
  deductions: ZERO,
  extraWithholding: ZERO,
  exempt: false,
  exemptYear: null,
  nonresidentAlien: false,
  isLockedIn: false,
};

/** The last day of an exemption claimed for a year: February 15 of the next, or the business day after (Publication 15, section 9). */
const exemptionEnd = (exemptYear: number): LocalDate => onOrAfter(makeDate(exemptYear + 1, 2, 15), LEGAL);

/** The certificate as it counts on the day: an exemption ends in February of the next year, or under a lock-in letter. */
export function certificateInForce(
  certificate: FederalCertificate,
  day: LocalDate,
): { certificate: FederalCertificate; issues: Issue[] } {
  if (!certificate.exempt) return { certificate, issues: [] };
  if (certificate.isLockedIn)
    return {
      certificate: { ...certificate, exempt: false },
      issues: [warning('certificate.locked-in', 'employee.federal.exempt')],
    };
  const { exemptYear } = certificate;
  if (exemptYear === null || day <= exemptionEnd(exemptYear)) return { certificate, issues: [] };
  return {
    certificate: { ...BLANK, nonresidentAlien: certificate.nonresidentAlien },
    issues: [warning('certificate.exemption-over', 'employee.federal.exempt', { year: String(exemptYear) })],
  };
}

/** The wages a wage-bracket row is looked up by: with a nonresident alien's addition and step 4(a) and (b) (Worksheet 2). */
function adjustedForRow(
  certificate: FederalCertificate,
  wages: Cents,
  table: FederalWithholdingTable,
  periods: number,
): Cents {
  const own = certificate.nonresidentAlien ? add(wages, nonresidentAddition(table, certificate, periods)) : wages;
  if (certificate.form === 'pre-2020') return own;
  const more = dividedBy(subtract(certificate.otherIncome, certificate.deductions), periods);
  return notBelowZero(add(own, round(more, 'half-up')));
}

/** The tables for a certificate from before 2020 have columns up to this number (Publication 15-T, section 3). */
const MOST_ALLOWANCES = 10;

/** Null beyond the tables, where the percentage method takes over. Wages at the middle of their wage-bracket row, so that the percentage method gives the row (Publication 15-T, section 2). */
function middleOfRow(input: FederalWithholdingInput, certificate: FederalCertificate, wages: Cents): Cents | null {
  if (certificate.form === 'pre-2020' && certificate.allowances > MOST_ALLOWANCES) return null;
  const row = inForce(WAGE_BRACKETS, input.checkDate, input.rules)?.value[
    input.payFrequency === 'miscellaneous' ? 'daily' : input.payFrequency
  ];
  if (!row || wages >= row.end) return null;
  return cents(Math.floor(wages / row.width) * row.width + row.width / 2);
}

/** Withholding by a wage-bracket row, in whole dollars before the credit of step 3 (Worksheets 2 and 3). */
function byWageBracket(
  input: FederalWithholdingInput,
  certificate: FederalCertificate,
  [adjusted, middle]: readonly [Cents, Cents],
  row: Dated<FederalWithholdingTable>,
  tape: Tape | undefined,
): Cents {
  tape?.write(FIGURE, () => ({
    label: 'Middle of the wage-bracket row',
    value: showDollars(middle),
    how: `adjusted wages of ${showDollars(adjusted)}`,
  }));
  // The table holds whole dollars of the adjusted wages; the credit of step 3 is taken off afterwards.
  const before: FederalCertificate =
    certificate.form === '2020'
      ? { ...certificate, otherIncome: ZERO, deductions: ZERO, dependentCredit: ZERO, nonresidentAlien: false }
      : { ...certificate, nonresidentAlien: false };
  const table = roundToDollar(
    worksheetOneA({ payFrequency: input.payFrequency }, before, middle, row, tape),
    'half-up',
  );
  if (certificate.form === 'pre-2020') return table;
  const credit = dividedBy(certificate.dependentCredit, PERIODS_PER_YEAR[input.payFrequency]);
  return notBelowZero(round(minus(exact(table), credit), 'half-up'));
}

/** Withholding on wages of one period by the method chosen, rounded; without extra withholding. */
function onWages(
  input: FederalWithholdingInput,
  certificate: FederalCertificate,
  wages: Cents,
  row: Dated<FederalWithholdingTable>,
  problems: Issue[],
  tape: Tape | undefined,
): Cents {
  if (wages <= 0) return ZERO;
  const days = input.payFrequency === 'miscellaneous' ? input.daysInPeriod : 1;
  const perDay = days === 1 ? wages : round(dividedBy(wages, days), 'half-up');
  if (input.method === 'wage-bracket') {
    const adjusted = adjustedForRow(certificate, perDay, row.value, PERIODS_PER_YEAR[input.payFrequency]);
    const middle = middleOfRow(input, certificate, adjusted);
    if (middle !== null) return cents(byWageBracket(input, certificate, [adjusted, middle], row, tape) * days);
    problems.push(warning('rule.wage-bracket-ends', 'settings.withholdingMethod', { wages: showDollars(adjusted) }));
  }
  const tentative = worksheetOneA(input, certificate, perDay, row, tape);
  const rounded = input.toDollar ? roundToDollar(tentative, 'half-up') : round(tentative, 'half-up');
  return days === 1 ? rounded : cents(rounded * days);
}

function writeLast(withheld: Cents, tape: Tape): void {
  tape.write(FIGURE, () => ({
    label: 'Less withheld on the last regular wages',
    value: showDollars(withheld),
    how: 'supplemental wages together with them',
  }));
}
function writeExtra(extra: Cents, tape: Tape): void {
  tape.write(FIGURE, () => ({ label: '4a  Extra withholding, step 4(c)', value: showDollars(extra) }));
}
function writeTotal(tax: Cents, toDollar: boolean, tape: Tape): void {
  tape.write(FIGURE, () => ({
    label: 'Federal income tax',
    value: showDollars(tax),
    rounding: toDollar ? 'to the dollar, half up' : 'half a cent up, once',
    isResult: true,
  }));
}

/**
 * Federal income tax to withhold, in cents, by the percentage method for automated payroll systems or the wage-bracket
 * method. Source: Publication 15-T, Worksheets 1A, 2 and 3; Publication 15 section 7 for supplemental wages.
 * Rounds once, half a cent up.
 */
export function federalIncomeTax(input: FederalWithholdingInput, tape?: Tape): FederalWithholding {
  const nothing = { tax: ZERO, onRegular: ZERO, onSupplemental: ZERO };
  const row = inForce(WITHHOLDING, input.checkDate, input.rules);
  const million = inForce(SUPPLEMENTAL, input.checkDate, input.rules)?.value.million;
  const flat = certificateInForce(input.certificate, input.checkDate);
  const { certificate } = flat;
  const supplemental = input.supplementalWages > 0 ? flatOnSupplemental(input, certificate, tape) : ZERO;
  if (!row || million === undefined || supplemental === null) {
    const what = `federal withholding table for ${yearOf(input.checkDate)}`;
    return {
      ...nothing,
      problems: [
        problem('rule.none-in-force', 'checkDate', { what, date: input.checkDate, from: WITHHOLDING[0].from }),
      ],
    };
  }
  const problems: Issue[] = [...flat.issues];
  let regular: Cents = ZERO;
  let aggregated: Cents = ZERO;
  let extra: Cents = ZERO;
  if (certificate.exempt) {
    tape?.write(FIGURE, () => ({
      label: 'Exempt on Form W-4',
      value: showDollars(ZERO),
      how: 'wages are still reported',
    }));
  } else {
    const room = notBelowZero(subtract(million, input.supplementalToDate));
    const underMillion = input.supplementalMethod === 'aggregate' ? smaller(input.supplementalWages, room) : ZERO;
    const last = input.regularWages <= 0 && underMillion > 0 ? input.lastRegular : null;
    const together = add(last ? last.wages : input.regularWages, underMillion);
    const tax = onWages(input, certificate, together, row, problems, tape);
    if (last) {
      aggregated = notBelowZero(subtract(tax, last.withheld));
      if (tape) writeLast(last.withheld, tape);
    } else regular = tax;
    // The flat rate on supplemental wages paid alone is without regard to the certificate (Treas. Reg. § 31.3402(g)-1(a)(7)).
    if (together > 0) extra = certificate.extraWithholding;
    if (extra > 0 && tape) writeExtra(extra, tape);
  }
  const onSupplemental = add(aggregated, supplemental);
  const tax = larger(add(add(regular, extra), onSupplemental), ZERO);
  if (tape) writeTotal(tax, input.toDollar, tape);
  return { tax, onRegular: add(regular, extra), onSupplemental, problems };
}
