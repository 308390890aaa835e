import {
  ADDITIONAL_HI,
  CREDIT_REDUCTION,
  ELECTION_MARK,
  FARM_MARK,
  FUTA,
  HI_RATE,
  HOUSEHOLD_MARK,
  OASDI_BASE,
  OASDI_RATE,
  UNEMPLOYMENT_MARKS,
} from '../jurisdictions/us/parameters.js';
import {
  type Cents,
  ZERO,
  add,
  cents,
  dollars,
  notBelowZero,
  showDollars,
  smaller,
  subtract,
  sum,
} from '../money/cents.js';
import { round, times } from '../money/exact.js';
import { type CappedTax, cappedTax, overMark, underBase, writeCappedTax } from '../taxes/capped-tax.js';
import { federalIncomeTax } from '../taxes/federal-income-tax.js';
import { showPercent, type Rate } from '../money/rate.js';
import { shownParameter, type Tape } from '../working/tape.js';
import type { BaseFamily } from '../items/registry.js';
import { type Tax, type TaxCode, taxOf, unemploymentCode } from '../tax-registry/registry.js';
import { Check } from '../computation/check.js';
import type { PaycheckInput } from '../computation/input.js';
import { EMPLOYER_KINDS, workerIsWithout } from '../computation/kinds.js';
import { programTaxes } from './programs.js';
import { coverageState, unemploymentState } from './state-taxes.js';
import type { EarnedAmount } from '../computation/wages.js';

const incomeMadeOf = (check: Check) => (): string =>
  check.wages.madeOf('income', '', check.input.supplementalMethod === 'aggregate' ? 'withheld-on' : 'regular');

export function federalIncome(check: Check): void {
  const { input } = check;
  const wages = check.wages.of('income');
  if (check.isExempt('US-FIT') || workerIsWithout(input.worker, 'income')) {
    // Wages without withholding are still reported in box 1.
    if (workerIsWithout(input.worker, 'income') && input.worker !== 'contractor')
      check.push('US-FIT', wages.total, wages.total, ZERO);
    return;
  }
  const result = federalIncomeTax(
    {
      checkDate: input.checkDate,
      payFrequency: input.payFrequency,
      daysInPeriod: input.daysInPeriod,
      certificate: input.federal,
      regularWages: wages.regular,
      supplementalWages: wages.supplemental,
      supplementalMethod: input.supplementalMethod,
      supplementalToDate: input.supplementalToDate,
      method: input.withholdingMethod,
      toDollar: input.roundWithholdingToDollar,
      lastRegular: input.lastRegular,
      rules: input.rules,
      madeOf: check.tape ? incomeMadeOf(check) : null,
    },
    check.tape,
  );
  check.issues.push(...result.problems);
  if (result.problems.some((issue) => issue.severity === 'error')) return;
  // States that take the federal tax off wages take what is withheld, be it by another program.
  const elsewhere = input.withheld?.get('US-FIT');
  check.federalOnRegular =
    elsewhere === undefined ? result.onRegular : notBelowZero(subtract(elsewhere, result.onSupplemental));
  check.federalOnSupplemental = result.onSupplemental;
  check.push('US-FIT', wages.total, wages.total, result.tax);
}

const writeCapped = (
  check: Check,
  taxes: readonly Tax[],
  given: CappedTax,
  amount: Cents,
  family: BaseFamily,
  state: string,
  tape: Tape,
): void => writeCappedTax(taxes, given, amount, () => check.wages.madeOf(family, state), tape);

/** rate × wages under a base (or over a mark), the same for each of the taxes. */
function capped(check: Check, taxes: readonly Tax[], given: CappedTax, family: BaseFamily, state = ''): void {
  const amount = cappedTax(given);
  if (check.tape) writeCapped(check, taxes, given, amount, family, state, check.tape);
  for (const { code, payer } of taxes) {
    check.taxes.push({ code, payer, subject: given.subject, wages: given.taxed, amount, rate: given.rate });
  }
}

const OASDI = [taxOf('US-OASDI-EE'), taxOf('US-OASDI-ER')];

const HI = [taxOf('US-HI-EE'), taxOf('US-HI-ER')];

const ADDITIONAL = [taxOf('US-HI-ADD')];

const FEDERAL_UNEMPLOYMENT = [taxOf('US-FUTA')];

/** Farm employers who pay 2,500 a year or more owe on all wages; only a payroll given as smaller keeps the 150 test. */
const isUnderFarmTest = (input: PaycheckInput): boolean =>
  input.quarterlyPayroll !== null && input.quarterlyPayroll < FARM_TEST;

const FARM_TEST = dollars('2500');

/**
 * Wages of a worker whose OASDI and HI begin only when the year's wages reach a mark: nothing below it, and all of them,
 * earlier checks included, on the check that reaches it.
 */
function overCoverageMark(check: Check, subject: Cents, toDate: Cents): Cents {
  const { input } = check;
  const rows =
    input.worker === 'election-worker'
      ? ELECTION_MARK
      : input.employerKind === 'household'
        ? HOUSEHOLD_MARK
        : input.employerKind === 'agricultural' && isUnderFarmTest(input)
          ? FARM_MARK
          : null;
  const mark = rows ? check.inForce(rows) : null;
  if (!mark) return subject;
  const after = add(toDate, subject);
  if (after < mark.value) return ZERO;
  return toDate < mark.value ? after : subject;
}

const isSickPay = ({ item }: EarnedAmount): boolean => item.code === 'third-party-sick-pay';

/**
 * An insurer that pays sick pay withholds the employee's OASDI and HI on it and leaves the employer's half to the
 * employer (Publication 15-A, section 6): the wages stay, the tax of the employee on them is not withheld again. Under the
 * OASDI base the sick pay counts after the other wages of the check.
 */
function leaveSickPayToItsPayer(check: Check): void {
  const sick = sum(check.wages.earnings.filter(isSickPay).map((line) => line.amount));
  const off = (code: TaxCode): Cents => {
    const index = check.taxes.findIndex((line) => line.code === code);
    const line = check.taxes[index];
    if (!line?.rate) return ZERO;
    const others = notBelowZero(subtract(line.subject, sick));
    const onSick = notBelowZero(subtract(line.wages, smaller(others, line.wages)));
    const amount = smaller(round(times(onSick, line.rate), 'half-up'), line.amount);
    check.taxes[index] = { ...line, amount: subtract(line.amount, amount), rate: null };
    if (amount > 0)
      check.tape?.write(code, () => ({
        label: 'Less what the payer of the sick pay withheld',
        value: showDollars(amount),
        how: `${showDollars(onSick)} of sick pay; ${showDollars(subtract(line.amount, amount))} is withheld here`,
        isResult: true,
      }));
    return amount;
  };
  check.sickPay = { oasdi: off('US-OASDI-EE'), hi: off('US-HI-EE') };
}

/** Tax of the year before this check: as given, else the rate on the wages to date. */
const paidBefore = (check: Check, code: TaxCode, wagesToDate: Cents, rate: Rate): Cents =>
  check.input.taxesToDate[code] ?? round(times(wagesToDate, rate), 'half-up');

export function socialInsurance(check: Check): void {
  const { input } = check;
  const without = workerIsWithout(input.worker, 'social');
  const base = check.rule(OASDI_BASE, 'OASDI wage base');
  const oasdi = check.rule(OASDI_RATE, 'OASDI rate');
  const hi = check.rule(HI_RATE, 'HI rate');
  const additional = check.rule(ADDITIONAL_HI, 'additional Medicare rate');
  if (without || !base || !oasdi || !hi || !additional) return;
  const subject = check.wages.of('social').total;
  if (!check.isExempt('US-OASDI-EE', 'US-OASDI-ER')) {
    const toDate = check.toDate('US-OASDI');
    const covered = overCoverageMark(check, subject, toDate);
    const taxed = covered > subject ? smaller(covered, base.value) : underBase(covered, toDate, base.value);
    const limit = { label: 'Wage base', amount: base.value, row: base };
    capped(check, OASDI, { subject, taxed, toDate, rate: oasdi.value, rateRow: oasdi, limit }, 'social');
  }
  if (!check.isExempt('US-HI-EE', 'US-HI-ER')) {
    const toDate = check.toDate('US-HI');
    const covered = overCoverageMark(check, subject, toDate);
    capped(check, HI, { subject, taxed: covered, toDate, rate: hi.value, rateRow: hi, limit: null }, 'social');
    const taxed = overMark(covered, toDate, additional.value.over);
    capped(
      check,
      ADDITIONAL,
      {
        subject,
        taxed,
        toDate,
        rate: additional.value.rate,
        rateRow: additional,
        limit: { label: 'Withhold on wages over', amount: additional.value.over, row: additional },
      },
      'social',
    );
  }
  if (check.wages.earnings.some(isSickPay)) leaveSickPayToItsPayer(check);
  check.socialInsuranceToDate = add(
    paidBefore(check, 'US-OASDI-EE', check.toDate('US-OASDI'), oasdi.value),
    paidBefore(check, 'US-HI-EE', check.toDate('US-HI'), hi.value),
  );
  let withheld = 0;
  for (const line of check.taxes) if (line.payer === 'employee' && line.code !== 'US-FIT') withheld += line.amount;
  check.socialInsurance = cents(withheld);
}

/** What Schedule A of Form 940 will ask for on these wages, where the state still owes the federal fund. */
function loseCredit(check: Check, state: string, taxed: Cents): void {
  const row = check.inForce(CREDIT_REDUCTION);
  const lost = row?.value[state];
  if (!row || !lost) return;
  check.futaCreditReduction = round(times(taxed, lost), 'half-up');
  check.tape?.write('US-FUTA', () => ({
    label: `Credit reduction of ${state}, due with Form 940`,
    value: showDollars(check.futaCreditReduction),
    how: `${showDollars(taxed)} × ${showPercent(lost)}, not in this check's tax`,
    parameter: shownParameter('Credit reduction', showPercent(lost), row),
  }));
}

/** Small household and farm employers are under the federal law only from their marks on; a size not given is larger. */
function isUnderUnemploymentTest(check: Check): boolean {
  const { employerKind, quarterlyPayroll } = check.input;
  if (quarterlyPayroll === null || (employerKind !== 'household' && employerKind !== 'agricultural')) return false;
  const marks = check.rule(UNEMPLOYMENT_MARKS, 'mark of federal unemployment tax')?.value;
  if (!marks) return false;
  return employerKind === 'household'
    ? quarterlyPayroll < marks.householdQuarter
    : quarterlyPayroll < marks.farmQuarter && check.employees < marks.farmPeople;
}

export function federalUnemployment(check: Check): void {
  const { input } = check;
  if (
    check.isExempt('US-FUTA') ||
    workerIsWithout(input.worker, 'unemployment') ||
    !EMPLOYER_KINDS[input.employerKind].owesFederalUnemployment ||
    isUnderUnemploymentTest(check)
  )
    return;
  const row = check.rule(FUTA, 'federal unemployment rate');
  if (!row) return;
  const subject = check.wages.of('unemployment').total;
  const toDate = check.toDate('US-FUTA');
  const taxed = underBase(subject, toDate, row.value.base);
  // Wages that no state taxes earn no credit (IRC § 3302(a)).
  const state = coverageState(input) ?? '';
  const isWithoutCredit = input.exemptFrom.size > 0 && input.exemptFrom.has(`${state}-SUI` as TaxCode);
  if (!isWithoutCredit) loseCredit(check, state, taxed);
  capped(
    check,
    FEDERAL_UNEMPLOYMENT,
    {
      subject,
      taxed,
      toDate,
      rate: isWithoutCredit ? row.value.withoutCredit : row.value.rate,
      rateRow: row,
      limit: { label: 'Wage base', amount: row.value.base, row },
    },
    'unemployment',
  );
}

export function stateUnemployment(check: Check): void {
  const { input } = check;
  if (workerIsWithout(input.worker, 'all')) return;
  const isCovered = !workerIsWithout(input.worker, 'unemployment');
  const state = unemploymentState(check);
  if (!state) return;
  if (!isCovered) {
    // What follows the income tax (Oregon's transit tax) does not ask for coverage by the unemployment law.
    programTaxes(check, state, (program) => program.wages === 'income');
    return;
  }
  const code = unemploymentCode(state);
  const base = check.rule(state.unemployment.base, 'unemployment wage base', state.name);
  const own = input.unemploymentRates[state.code];
  if (!check.isExempt(code) && base) {
    if (own === undefined)
      check.problem('employer.no-unemployment-rate', `employer.unemploymentRates.${state.code}`, { state: state.name });
    else {
      const subject = check.wages.of('state-unemployment', state.code).total;
      const toDate = check.toDate(code);
      const taxed = underBase(subject, toDate, base.value);
      const limit = { label: 'Wage base', amount: base.value, row: base };
      const given = { subject, taxed, toDate, rate: own, rateRow: null, limit };
      capped(check, [taxOf(code)], given, 'state-unemployment', state.code);
    }
  }
  programTaxes(check, state);
}
