import { addDays } from '../calendar/local-date.js';
import { monthOfQuarter, quarterOf } from '../calendar/quarter.js';
import type { Dated } from '../jurisdictions/dated.js';
import type { BaseFamily } from '../items/registry.js';
import type { Program, ProgramTerms, ProgramWages } from '../jurisdictions/program.js';
import type { StateRules } from '../jurisdictions/state.js';
import { OASDI_BASE } from '../jurisdictions/us/parameters.js';
import { ZERO, cents, notBelowZero, showDollars, smaller, subtract, type Cents } from '../money/cents.js';
import { round, showExact, times, type Exact } from '../money/exact.js';
import { showPercent, showRate, type Rate } from '../money/rate.js';
import { underBase } from '../taxes/capped-tax.js';
import {
  programsOf,
  unemploymentCode,
  type ProgramTax,
  type TaxCode,
  type WageBase,
} from '../tax-registry/registry.js';
import { shownParameter, type Tape } from '../working/tape.js';
import type { Check } from '../computation/check.js';
import { hoursWorked } from './state-taxes.js';
import { partOfPremium } from './workers-compensation.js';

/** The variant for an employer of this size; with no size given, the one for large employers, and a warning. */
function variantFor(check: Check, variants: readonly ProgramTerms[], label: string): ProgramTerms | null {
  const { employees } = check.input;
  for (const variant of variants) {
    const { size } = variant;
    if (!size) return variant;
    if (employees === null) {
      if (size.below !== undefined) continue;
      check.warn('employer.size-assumed', 'employer.employees', { tax: label });
      return variant;
    }
    if (employees >= (size.atLeast ?? 0) && employees < (size.below ?? Number.MAX_SAFE_INTEGER)) return variant;
  }
  return null;
}

const FAMILY: Readonly<Record<ProgramWages, BaseFamily | 'gross'>> = {
  unemployment: 'state-unemployment',
  'social-security': 'social',
  gross: 'gross',
  income: 'state-income',
};
const wagesOf = (check: Check, state: StateRules, program: Program): Cents =>
  check.wages.of(FAMILY[program.wages], state.code).total;
const madeOf = (check: Check, state: StateRules, program: Program) => (): string =>
  check.wages.madeOf(FAMILY[program.wages], state.code);

/** Premiums and contributions of a state besides income tax and unemployment tax. */
export function programTaxes(check: Check, state: StateRules, applies?: (program: Program) => boolean): void {
  for (const own of programsOf(state)) if (!applies || applies(own.program)) programTax(check, state, own);
}

/** The amount, or what the limits of the week and of the year leave of it. */
function withinLimits(check: Check, code: TaxCode, terms: ProgramTerms, amount: Cents): Cents {
  const { mostPerWeek, mostPerYear } = terms;
  let most = amount;
  if (mostPerWeek !== undefined) {
    const ofWeeks = round(times(mostPerWeek, { n: 52, d: check.periods }), 'half-up');
    if (most > ofWeeks)
      check.tape?.write(code, () => ({
        label: 'At most for the weeks of the period',
        value: showDollars(ofWeeks),
        how: `${showDollars(mostPerWeek)} a week`,
      }));
    most = smaller(most, ofWeeks);
  }
  if (mostPerYear !== undefined) {
    const left = notBelowZero(subtract(mostPerYear, check.input.taxesToDate[code] ?? ZERO));
    if (most > left)
      check.tape?.write(code, () => ({
        label: 'Left of the year’s limit',
        value: showDollars(left),
        how: `${showDollars(mostPerYear)} a year`,
      }));
    most = smaller(most, left);
  }
  return most;
}

function writeWages(
  tape: Tape,
  code: TaxCode,
  { subject, taxed, base, toDate }: { subject: Cents; taxed: Cents; base: Cents | null; toDate: Cents },
  madeOf: () => string,
): void {
  tape.write(code, () => ({ label: 'Wages in this check', value: showDollars(subject), how: madeOf() }));
  if (base === null) return;
  tape.write(code, () => ({
    label: 'Wages taxed',
    value: showDollars(taxed),
    how: `up to ${showDollars(base)} a year, ${showDollars(toDate)} paid before`,
  }));
}

function writeAmount(
  tape: Tape,
  {
    label,
    code,
    row,
  }: { readonly label: string; readonly code: TaxCode; readonly row: Dated<readonly ProgramTerms[]> },
  parameter: () => string,
  how: () => string,
  amount: Cents,
): void {
  tape.write(code, () => ({
    label,
    value: showDollars(amount),
    how: how(),
    rounding: 'half a cent up',
    isResult: true,
    parameter: shownParameter(label, parameter(), row),
  }));
}
const byHours = (hours: number, rate: Rate) => (): string => `${hours / 1000} hours × ${showRate(rate)}`;
const byShare = (taxed: Cents, rate: Rate, unrounded: Exact, amount: Cents) => (): string =>
  `${showDollars(taxed)} × ${showPercent(rate)} = ${showExact(unrounded)}${amount < round(unrounded, 'half-up') ? ', held at the limit' : ''}`;

/** A premium that no wages limit, made. */
interface Made {
  readonly amount: Cents;
  readonly how: string;
  readonly parameter: string;
}

function pushMade(
  check: Check,
  state: StateRules,
  { program, tax }: ProgramTax,
  row: Dated<readonly ProgramTerms[]>,
  made: Made | null,
): void {
  if (!made) return;
  const subject = wagesOf(check, state, program);
  check.tape?.write(tax.code, () => ({
    label: program.label,
    value: showDollars(made.amount),
    how: made.how,
    isResult: true,
    parameter: shownParameter(program.label, made.parameter, row),
  }));
  check.push(tax.code, subject, subject, made.amount);
}

/** A payer's part of the premium by the hours of the person's class of work, half a cent up. */
function premiumOfClass(check: Check, payer: 'employee' | 'employer'): Made | null {
  const { workClass } = check.input;
  if (workClass?.per !== 'hour') {
    if (payer === 'employer') check.warn('compensation.no-class', 'employee.workClass');
    return null;
  }
  const { code, rate, employeeRate } = workClass;
  if (payer === 'employee' && !employeeRate) return null;
  const hours = hoursWorked(check);
  const how = employeeRate && payer === 'employee' ? showRate(employeeRate) : showRate(rate);
  const less = employeeRate && payer === 'employer' ? ', less the part of the employee' : '';
  return {
    amount: partOfPremium(workClass, payer, hours),
    how: `${hours / 1000} hours × ${how}${less}`,
    parameter: `class ${code}, by the client’s notice`,
  };
}

/** Days to the next check, at most a month: check dates move by a day or two, so the period's own days would not do. */
const daysToNext = ({ periods, input }: Check): number => {
  if (input.payFrequency === 'miscellaneous') return input.daysInPeriod;
  return periods > 12 ? Math.floor(365 / periods) : 31;
};

/** The next check of this frequency falls in another quarter. */
function isLastOfQuarter(check: Check): boolean {
  const { checkDate } = check.input;
  if (monthOfQuarter(checkDate) !== 3) return false;
  return quarterOf(addDays(checkDate, daysToNext(check))).quarter !== quarterOf(checkDate).quarter;
}

/** What is left of the fee of a quarter, with its last check. */
function feeOfQuarter(check: Check, code: TaxCode, perQuarter: Cents): Made | null {
  const taken = check.input.taxesThisMonth[code] ?? ZERO;
  const amount = notBelowZero(subtract(perQuarter, taken));
  if (amount === 0) return null;
  return { amount, how: 'with the last check of the quarter', parameter: showDollars(perQuarter) };
}

function programTax(check: Check, state: StateRules, own: ProgramTax): void {
  const { program, tax } = own;
  const { code } = tax;
  if (check.isExempt(code)) return;
  const row = check.rule(program.terms, program.label);
  if (!row || row.value.length === 0) return;
  const isByQuarter = row.value[0]?.perQuarter !== undefined;
  if (isByQuarter && !isLastOfQuarter(check)) return;
  const terms = variantFor(check, row.value, program.label);
  if (!terms) return;
  if (terms.ofClass) {
    pushMade(check, state, own, row, premiumOfClass(check, terms.ofClass));
    return;
  }
  if (terms.perQuarter !== undefined) {
    pushMade(check, state, own, row, feeOfQuarter(check, code, terms.perQuarter));
    return;
  }
  if (terms.asks !== undefined && check.input.ownRates[code] === undefined)
    check.warn('program.condition', `employer.rates.${code}`, { tax: program.label, asks: terms.asks });
  const rate = check.input.ownRates[code] ?? (terms.rate === 'own' ? program.ownRateOtherwise : terms.rate);
  if (rate === undefined) {
    check.problem('employer.own-rate-missing', `employer.rates.${code}`, { tax: program.label });
    return;
  }
  const subject = wagesOf(check, state, program);
  let base: Cents | null = null;
  let otherwise: WageBase = unemploymentCode(state);
  if (terms.base === 'oasdi') {
    base = check.inForce(OASDI_BASE)?.value ?? null;
    otherwise = 'US-OASDI';
  } else if (terms.base === 'unemployment') {
    base = check.inForce(state.unemployment.base)?.value ?? null;
  } else if (terms.base !== undefined) base = terms.base;
  const toDate = base === null ? ZERO : check.toDate(tax.base, otherwise);
  const taxed = base === null ? subject : underBase(subject, toDate, base);
  const isByHour = terms.perHour !== undefined;
  const hours = isByHour ? hoursWorked(check) : 0;
  const unrounded = terms.perHour ? times(times(cents(100), terms.perHour), { n: hours, d: 1000 }) : times(taxed, rate);
  const { tape } = check;
  if (tape) writeWages(tape, code, { subject, taxed, base, toDate }, madeOf(check, state, program));
  const amount = withinLimits(check, code, terms, round(unrounded, 'half-up'));
  if (tape) {
    const { perHour } = terms;
    const how = perHour ? byHours(hours, perHour) : byShare(taxed, rate, unrounded, amount);
    const parameter = (): string => (perHour ? `${showRate(perHour)} an hour` : showPercent(rate));
    writeAmount(tape, { label: program.label, code, row }, parameter, how, amount);
  }
  const hasOneRate = program.payer === 'employer' && !isByHour;
  check.taxes.push({ code, payer: tax.payer, subject, wages: taxed, amount, rate: hasOneRate ? rate : null });
}
