import type { Dated } from '../jurisdictions/dated.js';
import type { LocalFee, LocalRates, LocalTax, Locality } from '../jurisdictions/locality.js';
import type { BaseFamily } from '../items/registry.js';
import type { StateRules } from '../jurisdictions/state.js';
import { OASDI_BASE } from '../jurisdictions/us/parameters.js';
import type { Worksheet } from '../jurisdictions/worksheet.js';
import { type Cents, ZERO, add, cents, dollars, notBelowZero, showDollars, smaller, subtract } from '../money/cents.js';
import { dividedBy, exact, minus, plus, round, showExact, times, type Exact } from '../money/exact.js';
import { type Rate, ZERO_RATE, showPercent } from '../money/rate.js';
import { checkDatesOfMonth, checkDatesOfYear, checkDatesSoFar } from '../calendar/pay-frequency.js';
import type { Check } from '../computation/check.js';
import { shownParameter, type Tape } from '../working/tape.js';
import { overMark, underBase } from './capped-tax.js';
import { localCode, type TaxCode } from '../tax-registry/registry.js';
import { certificateFor } from './state-income-tax.js';
import { certificateAmount, rateAt } from './worksheet-amounts.js';
import { worksheetOf, worksheetTaxOf } from './worksheet-tax.js';

export interface Situation {
  readonly check: Check;
  readonly state: StateRules;
  /** Localities of residence in this state. */
  readonly home: readonly Locality[];
  /** Localities of each place of work in this state, with the index of the work place. */
  readonly work: readonly { readonly place: Locality; readonly index: number }[];
  readonly stateTax: Cents | null;
}

const FAMILY: Readonly<Record<LocalTax['wages'], BaseFamily>> = {
  gross: 'local',
  income: 'income',
  medicare: 'social',
  'state-income': 'state-income',
};
export const wagesFor = (check: Check, state: StateRules, tax: LocalTax): Cents =>
  check.wages.of(FAMILY[tax.wages], state.code).total;
/** What the wages of a local tax are made of, and that they are only the part of one place of work, where they are. */
function madeOf(check: Check, state: StateRules, tax: LocalTax, subject: Cents): string {
  const all = check.wages.madeOf(FAMILY[tax.wages], state.code);
  return subject === wagesFor(check, state, tax) ? all : `the part of this place of ${all}`;
}

/** Exemptions of a place's own kind, in dollars of one pay period. */
function exemptionOf(check: Check, state: StateRules, rates: LocalRates): Cents {
  if (!rates.exemption || state.incomeTax.kind === 'none') return ZERO;
  const certificate = check.input.stateCertificates[state.code] ?? {};
  const number = Number(certificate['cityExemptions'] ?? certificate['allowances'] ?? 0);
  return number === 0 ? ZERO : round(dividedBy(cents(rates.exemption * number), check.periods), 'half-up');
}

/** For tax where the work is, not rounded: tax and credit are rounded once, together. */
interface Credit {
  readonly amount: Exact;
  readonly how: string;
}
const NO_CREDIT: Credit = { amount: exact(ZERO), how: '' };

export function writeRate(
  situation: Situation,
  place: Locality,
  tax: LocalTax,
  row: Dated<LocalRates>,
  subject: Cents,
  rate: Rate,
  { amount: credit, how: creditHow }: Credit = NO_CREDIT,
): Cents {
  const { check, state } = situation;
  const code = localCode(state, place, tax);
  if (check.isExempt(code)) return ZERO;
  // The exemption of the state's certificate is that of the district's tax as well (Form IT 4, recalled).
  if (tax.followsCertificate && check.input.stateCertificates[state.code]?.['exempt'] === true) return ZERO;
  const own = check.input.ownRates[code];
  const { base, over, tiers } = row.value;
  const toDate = check.toDate(code);
  const exemption = exemptionOf(check, state, row.value);
  let taxed = notBelowZero(subtract(subject, exemption));
  const most = base === 'oasdi' ? check.rule(OASDI_BASE, 'OASDI wage base')?.value : base;
  if (most !== undefined) taxed = underBase(taxed, toDate, most);
  if (over !== undefined) taxed = overMark(taxed, toDate, over);
  const ofTiers = (all: readonly LocalTier[]): Exact => minus(tierTax(all, add(toDate, taxed)), tierTax(all, toDate));
  const applied = own ?? rate;
  const full = own === undefined && tiers ? ofTiers(tiers) : times(taxed, applied);
  const amount = notBelowZero(round(minus(full, credit), 'half-up'));
  if (check.tape)
    writeRateLines(check.tape, situation, tax, code, row, {
      subject,
      exemption,
      credit,
      creditHow,
      taxed,
      toDate,
      applied,
      isOwn: own !== undefined,
      amount,
    });
  check.pushPart(code, subject, taxed, amount, tiers || credit.n > 0 ? null : applied);
  if (tax.payer === 'employee') check.localIncomeTaxes = add(check.localIncomeTaxes, amount);
  return amount;
}

interface RateFigures {
  readonly subject: Cents;
  readonly exemption: Cents;
  readonly credit: Exact;
  readonly creditHow: string;
  readonly taxed: Cents;
  readonly toDate: Cents;
  readonly applied: Rate;
  /** The client's own rate instead of the place's. */
  readonly isOwn: boolean;
  readonly amount: Cents;
}
function writeRateLines(
  tape: Tape,
  { check, state }: Situation,
  tax: LocalTax,
  code: TaxCode,
  row: Dated<LocalRates>,
  { subject, exemption, credit, creditHow, taxed, toDate, applied, isOwn, amount }: RateFigures,
): void {
  tape.write(code, () => ({ label: 'Wages', value: showDollars(subject), how: madeOf(check, state, tax, subject) }));
  if (exemption > 0) tape.write(code, () => ({ label: 'Exemptions of the period', value: showDollars(exemption) }));
  if (credit.n > 0)
    tape.write(code, () => ({ label: 'Credit for tax where the work is', value: showExact(credit), how: creditHow }));
  tape.write(code, () => ({
    label: tax.label,
    value: showDollars(amount),
    how:
      row.value.tiers && !isOwn
        ? `tax on ${showDollars(add(toDate, taxed))} of the year less tax on ${showDollars(toDate)}`
        : `${showDollars(taxed)} × ${showPercent(applied)} = ${showExact(times(taxed, applied))}${credit.n > 0 ? ', less the credit' : ''}`,
    rounding: 'half a cent up',
    isResult: true,
    ...(isOwn ? {} : { parameter: shownParameter('Rate', showPercent(applied), row) }),
  }));
}

type LocalTier = NonNullable<LocalRates['tiers']>[number];
/** Not rounded: the tax of a check is the difference of two of these, rounded once. */
function tierTax(tiers: readonly LocalTier[], amount: Cents): Exact {
  let total = exact(ZERO);
  tiers.forEach((tier, index) => {
    const next = tiers[index + 1];
    const upper = next ? smaller(amount, next.over) : amount;
    if (upper > tier.over) total = plus(total, times(subtract(upper, tier.over), tier.rate));
  });
  return total;
}

/** A services tax of the year up to this is taken with the first check (Act 7 of 2007, recalled). */
const AT_ONCE = dollars('10');

/**
 * A check's part of a tax of the year: divided by the check dates of the year and rounded down to the cent, what was
 * taken in the year and in the month before counted, so that a second check of a period takes nothing (Act 7 of 2007,
 * 53 P.S. § 6924.301.1, recalled). Low income exempts by a certificate only, never by one small check.
 */
function servicesTax({ input }: Check, code: TaxCode, fee: Cents): [amount: Cents, how: string] {
  const { checkDate, payFrequency } = input;
  const left = notBelowZero(subtract(fee, input.taxesToDate[code] ?? ZERO));
  if (fee <= AT_ONCE) return [left, `${showDollars(fee)} a year, taken at once`];
  const number = checkDatesOfYear(payFrequency, checkDate);
  const each = round(dividedBy(fee, number), 'down');
  const ofMonth = checkDatesOfMonth(payFrequency, checkDate);
  const due =
    ofMonth === null
      ? each
      : smaller(each, notBelowZero(subtract(cents(each * ofMonth), input.taxesThisMonth[code] ?? ZERO)));
  const how = `${showDollars(fee)} a year ÷ ${number} check dates, rounded down`;
  return [smaller(due, left), due < each ? `${how}; taken already with a check of the period` : how];
}

/** What an exemption from the services tax leaves due when the wages of the year pass its mark: all at once. */
function afterExemption(check: Check, code: TaxCode, { amount: fee, fromWages }: LocalFee, wages: Cents): Cents | null {
  const { input } = check;
  if (add(check.toDate('US-HI'), wages) < fromWages || fromWages === ZERO) return null;
  const number = checkDatesOfYear(input.payFrequency, input.checkDate);
  const passed = checkDatesSoFar(input.payFrequency, input.checkDate);
  const owed = cents(round(dividedBy(fee, number), 'down') * passed);
  return notBelowZero(subtract(owed, input.taxesToDate[code] ?? ZERO));
}

export function writeFee(
  situation: Situation,
  place: Locality,
  tax: LocalTax,
  row: Dated<LocalFee>,
  wages: Cents,
): void {
  const { check, state } = situation;
  const code = localCode(state, place, tax);
  if (wages <= 0) return;
  const { amount: fee, per, fromWages } = row.value;
  const isOver = check.isExempt(code) && per === 'year-spread';
  const caughtUp = isOver ? afterExemption(check, code, row.value, wages) : null;
  if (check.isExempt(code) && caughtUp === null) return;
  const periods = check.periods;
  let amount: Cents;
  let how: string;
  if (caughtUp !== null) {
    amount = caughtUp;
    how = `the exemption ended with wages of ${showDollars(fromWages)}: what the check dates so far would have taken, less what they took`;
    check.warn('exemption.ended', 'employee.exemptFrom', { tax: tax.label, wages: showDollars(fromWages) });
  } else if (per === 'year-spread') {
    [amount, how] = servicesTax(check, code, fee);
  } else if (per === 'week') {
    amount = round(times(fee, { n: 52, d: periods }), 'half-up');
    how = `${showDollars(fee)} a week`;
  } else {
    const taken = check.input.taxesThisMonth[code] ?? ZERO;
    const ofMonth = add(check.input.wagesThisMonth, wages);
    amount = ofMonth >= fromWages ? notBelowZero(subtract(fee, taken)) : ZERO;
    how = `due once a month from wages of ${showDollars(fromWages)}; ${showDollars(ofMonth)} so far`;
  }
  check.tape?.write(code, () => ({
    label: tax.label,
    value: showDollars(amount),
    how,
    isResult: true,
    parameter: shownParameter(tax.label, showDollars(fee), row),
  }));
  check.pushPart(code, wages, wages, amount);
}

/** A tax that reaches over several places is owed for the first of those that one place of work is in. */
const isOwedBefore = ({ work }: Situation, place: Locality, tax: LocalTax, index: number): boolean =>
  tax.isShared === true &&
  work.find(
    (other) => other.index === index && other.place.taxes.some((known) => known.isShared && known.code === tax.code),
  )?.place !== place;

/** A tax of a place of work: a fee, or a rate for its residents or for others. Returns what is withheld or owed. */
export function writeAtWork(situation: Situation, place: Locality, tax: LocalTax, index: number): Cents {
  const { check, state, home } = situation;
  if (isOwedBefore(situation, place, tax, index)) return ZERO;
  const wages = check.partAt(wagesFor(check, state, tax), index);
  if (tax.terms.is === 'fee') {
    const row = check.rule(tax.terms.rows, tax.label);
    if (row) writeFee(situation, place, tax, row, wages);
    return ZERO;
  }
  const row = tax.terms.is === 'rates' ? check.rule(tax.terms.rows, tax.label) : null;
  if (!row) return ZERO;
  const { resident, nonresident, tiers } = row.value;
  const ofResidents = tax.payer === 'employer' ? (resident ?? nonresident) : resident;
  const rate =
    payrollRate(check, state, place, tax, row.value) ?? (home.includes(place) ? ofResidents : nonresident) ?? null;
  return rate || tiers ? writeRate(situation, place, tax, row, wages, rate ?? ZERO_RATE) : ZERO;
}

export function writeWorksheet(
  situation: Situation,
  place: Locality,
  tax: LocalTax,
  terms: {
    readonly row: Dated<Worksheet>;
    readonly supplementalRate: Rate;
    readonly extraField: string;
    readonly asks: string | undefined;
  },
  /** The place of work whose part of the pay it is; null: all of it. */
  index: number | null,
): void {
  const { row, supplementalRate, extraField, asks } = terms;
  const { check, state } = situation;
  const code = localCode(state, place, tax);
  if (check.isExempt(code) || state.incomeTax.kind === 'none') return;
  const certificate = certificateFor(check, state, state.incomeTax);
  if (certificate['exempt'] === true) return;
  const field = state.incomeTax.certificate.fields.find(({ name }) => name === asks);
  if (field && check.input.stateCertificates[state.code] && certificate[field.name] === undefined)
    check.warn('certificate.line-blank', `employee.certificates.${state.code}.${field.name}`, {
      form: state.incomeTax.certificate.form,
      line: field.label,
      tax: tax.label,
    });
  const all = check.wages.of('state-income', state.code);
  const isTogether = check.input.supplementalMethod === 'aggregate';
  const regular = partOf(check, isTogether ? add(all.regular, all.supplemental) : all.regular, index);
  const supplemental = isTogether ? ZERO : partOf(check, all.supplemental, index);
  const subject = partOf(check, all.total, index);
  const sheet = worksheetOf(check, code, row, certificate, check.tape);
  if (check.tape) sheet.madeOf = placeMadeOf(situation, tax, subject, isTogether);
  let amount = worksheetTaxOf(check, sheet, regular);
  const flat = supplemental > 0 ? round(times(supplemental, supplementalRate), 'half-up') : ZERO;
  amount = add(amount, flat);
  if (regular > 0) amount = add(amount, certificateAmount(certificate, extraField));
  if (check.tape) writeWorksheetLines(check.tape, tax, code, [supplemental, supplementalRate, flat], amount);
  check.push(code, subject, subject, amount);
  check.localIncomeTaxes = add(check.localIncomeTaxes, amount);
}
const partOf = (check: Check, amount: Cents, index: number | null): Cents =>
  index === null ? amount : check.partAt(amount, index);
const placeMadeOf =
  ({ check, state }: Situation, tax: LocalTax, subject: Cents, isTogether: boolean) =>
  (): string => {
    const all = check.wages.madeOf(FAMILY[tax.wages], state.code, isTogether ? 'withheld-on' : 'regular');
    return subject === wagesFor(check, state, tax) ? all : `the part of this place of ${all}`;
  };

function writeWorksheetLines(
  tape: Tape,
  tax: LocalTax,
  code: TaxCode,
  [supplemental, rate, flat]: readonly [Cents, Rate, Cents],
  amount: Cents,
): void {
  if (supplemental > 0)
    tape.write(code, () => ({
      label: 'Supplemental wages, flat rate',
      value: showDollars(flat),
      how: `${showDollars(supplemental)} × ${showPercent(rate)}`,
      rounding: 'half a cent up',
    }));
  tape.write(code, () => ({ label: tax.label, value: showDollars(amount), isResult: true }));
}

export function writeShareOfState(
  situation: Situation,
  place: Locality,
  tax: LocalTax,
  row: Dated<Rate>,
  extraField: string,
): void {
  const { check, state } = situation;
  const code = localCode(state, place, tax);
  const { stateTax } = situation;
  if (check.isExempt(code) || stateTax === null) return;
  const share = round(times(stateTax, row.value), 'half-up');
  const { total: subject, regular } = check.wages.of('state-income', state.code);
  const certificate = check.input.stateCertificates[state.code] ?? {};
  const isByCertificate = regular > 0 || (subject > 0 && check.input.supplementalMethod === 'aggregate');
  const extra = isByCertificate && certificate['exempt'] !== true ? certificateAmount(certificate, extraField) : ZERO;
  const amount = add(share, extra);
  if (check.tape) {
    check.tape.write(code, () => ({
      label: 'Share of the state tax',
      value: showDollars(share),
      how: `${showDollars(stateTax)} of state tax × ${showPercent(row.value)}`,
      rounding: 'half a cent up',
      parameter: shownParameter('Share of the state tax', showPercent(row.value), row),
    }));
    if (extra > 0) check.tape.write(code, () => ({ label: 'Additional amount', value: showDollars(extra) }));
    check.tape.write(code, () => ({ label: tax.label, value: showDollars(amount), isResult: true }));
  }
  check.push(code, subject, subject, amount);
}

/** The employer's rate by its payroll of the quarter; the largest employers' and a warning when that is not given. */
export function payrollRate(
  check: Check,
  state: StateRules,
  place: Locality,
  tax: LocalTax,
  rates: LocalRates,
): Rate | undefined {
  const { byPayroll } = rates;
  if (!byPayroll) return undefined;
  const { quarterlyPayroll } = check.input;
  if (quarterlyPayroll === null) {
    if (check.input.ownRates[localCode(state, place, tax)] === undefined)
      check.warn('employer.payroll-assumed', 'employer.quarterlyPayroll', { tax: tax.label });
    return byPayroll.at(-1)?.rate;
  }
  return rateAt(byPayroll, quarterlyPayroll);
}
