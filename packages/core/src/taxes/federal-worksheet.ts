import { PERIODS_PER_YEAR, type PayFrequency } from '../calendar/pay-frequency.js';
import type { Bracket } from '../jurisdictions/brackets.js';
import type { Dated } from '../jurisdictions/dated.js';
import type { FederalWithholdingTable, WithholdingStatus } from '../jurisdictions/us/withholding-table.js';
import { ZERO, add, cents, notBelowZero, showDollars, subtract, type Cents } from '../money/cents.js';
import { dividedBy, exact, isBelowZero, minus, round, showExact, type Exact } from '../money/exact.js';
import { showPercent } from '../money/rate.js';
import type { FederalCertificate } from '../computation/input.js';
import { shownParameter, type Tape, type WriteLine } from '../working/tape.js';
import { bracketFor, bracketTax } from './bracket-tax.js';

/** What Worksheet 1A asks for besides the certificate and the wages. */
export interface OneAInput {
  readonly payFrequency: PayFrequency;
  /** What the wages are made of, for a working. */
  readonly madeOf?: (() => string) | null;
}

export const FIGURE = 'US-FIT';
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
export function nonresidentAddition(
  table: FederalWithholdingTable,
  certificate: FederalCertificate,
  periods: number,
): Cents {
  const { form2020, pre2020 } = table.nonresidentAdditionPerYear;
  const tenth = dividedBy(certificate.form === '2020' ? form2020 : pre2020, periods * 10);
  return cents(round(tenth, 'half-up') * 10);
}

/** Worksheet 1A filled in for one period. */
interface WorksheetOneA {
  readonly wages: Cents;
  /** A nonresident alien's addition. */
  readonly addition: Cents;
  readonly annual: Cents;
  /** Line 1g or 1k: the standard amount, or the allowances of a certificate from before 2020. */
  readonly reduction: Cents;
  readonly adjusted: Cents;
  readonly bracket: Bracket;
  readonly annualTax: Exact;
  readonly tentative: Exact;
  readonly credit: Exact | null;
}

/** Publication 15-T Worksheet 1A on the wages of one period: the tentative withholding after credits, unrounded. */
export function worksheetOneA(
  input: OneAInput,
  certificate: FederalCertificate,
  wages: Cents,
  row: Dated<FederalWithholdingTable>,
  tape: Tape | undefined,
): Exact {
  const table = row.value;
  const periods = PERIODS_PER_YEAR[input.payFrequency];
  const addition = certificate.nonresidentAlien ? nonresidentAddition(table, certificate, periods) : ZERO;
  const annual = cents((wages + addition) * periods);
  const status = statusOf(certificate);
  let adjusted: Cents;
  let reduction: Cents;
  let brackets = table.standard[status];
  if (certificate.form === '2020') {
    reduction = status === 'married-jointly' ? table.lineOneG['married-jointly'] : table.lineOneG.otherwise;
    if (certificate.multipleJobs) {
      reduction = ZERO;
      brackets = table.stepTwoChecked[status];
    }
    adjusted = notBelowZero(subtract(add(annual, certificate.otherIncome), add(certificate.deductions, reduction)));
  } else {
    reduction = cents(certificate.allowances * table.allowance);
    adjusted = notBelowZero(subtract(annual, reduction));
  }
  const bracket = bracketFor(brackets, exact(adjusted));
  const annualTax = bracketTax(bracket, exact(adjusted));
  const tentative = dividedBy(annualTax, periods);
  const credit =
    certificate.form === '2020' && certificate.dependentCredit !== 0
      ? dividedBy(certificate.dependentCredit, periods)
      : null;
  if (tape)
    writeOneA(
      input,
      { wages, addition, annual, reduction, adjusted, bracket, annualTax, tentative, credit },
      certificate,
      periods,
      row,
      tape,
    );
  if (!credit) return tentative;
  const left = minus(tentative, credit);
  // An unused credit never reduces the extra withholding of step 4(c).
  return isBelowZero(left) ? exact(ZERO) : left;
}

function writeOneA(
  input: OneAInput,
  sheet: WorksheetOneA,
  certificate: FederalCertificate,
  periods: number,
  row: Dated<FederalWithholdingTable>,
  tape: Tape,
): void {
  const status = statusOf(certificate);
  const { bracket } = sheet;
  const write = (line: WriteLine): void => tape.write(FIGURE, line);
  const { madeOf } = input;
  write(() => ({
    label: '1a  Taxable wages this period',
    value: showDollars(sheet.wages),
    ...(madeOf ? { how: madeOf() } : {}),
  }));
  if (certificate.nonresidentAlien)
    write(() => ({
      label: '1a  Nonresident alien addition',
      value: showDollars(sheet.addition),
      how: 'for this computation only',
    }));
  write(() => ({
    label: '1c  Annual wages',
    value: showDollars(sheet.annual),
    how: `${showDollars(add(sheet.wages, sheet.addition))} × ${periods} periods`,
  }));
  if (certificate.form === '2020') {
    write(() => ({ label: '1d  Other income, step 4(a)', value: showDollars(certificate.otherIncome) }));
    write(() => ({ label: '1f  Deductions, step 4(b)', value: showDollars(certificate.deductions) }));
    write(() => ({
      label: '1g  Standard amount',
      value: showDollars(sheet.reduction),
      how: certificate.multipleJobs ? 'zero: the step 2 box is checked' : STATUS_LABEL[status],
    }));
  } else {
    write(() => ({
      label: '1k  Allowances',
      value: showDollars(sheet.reduction),
      how: `${certificate.allowances} × ${showDollars(row.value.allowance)}`,
    }));
  }
  write(() => ({ label: '1i  Adjusted annual wage amount', value: showDollars(sheet.adjusted) }));
  write(() => ({
    label: '2g  Tentative annual withholding',
    value: showExact(sheet.annualTax),
    how: `${showDollars(bracket.base)} + ${showPercent(bracket.rate)} of the excess over ${showDollars(bracket.over)}`,
    parameter: shownParameter(
      `${STATUS_LABEL[status]}${certificate.form === '2020' && certificate.multipleJobs ? ', step 2 checked' : ''}`,
      `row: over ${showDollars(bracket.over)}: ${showDollars(bracket.base)} + ${showPercent(bracket.rate)}`,
      row,
    ),
  }));
  write(() => ({ label: '2h  Tentative withholding', value: showExact(sheet.tentative), how: `÷ ${periods}` }));
  const { credit } = sheet;
  if (credit && certificate.form === '2020')
    write(() => ({
      label: '3b  Credits of step 3',
      value: showExact(credit),
      how: `${showDollars(certificate.dependentCredit)} ÷ ${periods}`,
    }));
}
