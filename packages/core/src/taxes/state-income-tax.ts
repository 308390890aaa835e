import type { Bracket } from '../jurisdictions/brackets.js';
import type { Dated } from '../jurisdictions/dated.js';
import type { StateCertificate, StateRules, Supplemental, WithheldIncomeTax } from '../jurisdictions/state.js';
import { ZERO, add, cents, notBelowZero, showDollars, subtract, type Cents } from '../money/cents.js';
import { round, times } from '../money/exact.js';
import { showPercent, type Rate } from '../money/rate.js';
import type { Check } from '../computation/check.js';
import type { EarnedAmount } from '../computation/wages.js';
import { shownParameter, type Tape } from '../working/tape.js';
import { certificateInForce } from './federal-income-tax.js';
import { incomeTaxCode, taxOf, type TaxCode } from '../tax-registry/registry.js';
import { certificateAmount, rateAt } from './worksheet-amounts.js';
import { worksheetOf, worksheetTaxOf, type WorksheetInput } from './worksheet-tax.js';

/** Wages that one state (or a place in it) withholds on. */
export interface StateWages {
  readonly regular: Cents;
  readonly supplemental: Cents;
  readonly items: readonly EarnedAmount[];
}
export interface StateTax {
  /** Without the additional amount of the certificate. */
  readonly tax: Cents;
  readonly extra: Cents;
}

/** Every form has the additional amount and the exemption; one without more asks nothing that could be missing. */
const fieldsOf = (rule: WithheldIncomeTax): number => rule.certificate.fields.length;

/** The certificate on file, or the one that stands in for it by the state's rule, with a warning. */
export function certificateFor(check: Check, state: StateRules, rule: WithheldIncomeTax): StateCertificate {
  const own = check.input.stateCertificates[state.code];
  if (own) return own;
  const { form, without } = rule.certificate;
  const status = without.isFederal ? statusOf(check) : null;
  if (fieldsOf(rule) > 2)
    check.warn('certificate.none', `employee.certificates.${state.code}`, {
      form,
      state: state.name,
      says: status ? `${without.says} It is ${status.words}.` : without.says,
    });
  return status ? { ...without.certificate, ...status.certificate } : without.certificate;
}

/** What a state that has no certificate of its own takes from the federal one that counts on the day. */
function statusOf({ input }: Check): { readonly certificate: StateCertificate; readonly words: string } {
  const { certificate } = certificateInForce(input.federal, input.checkDate);
  const filingStatus =
    certificate.form === '2020'
      ? certificate.filingStatus
      : certificate.maritalStatus === 'married'
        ? 'married-jointly'
        : 'single';
  const words = filingStatus.replaceAll('-', ' ');
  return certificate.exempt
    ? { certificate: { filingStatus, exempt: true }, words: `${words}, exempt` }
    : { certificate: { filingStatus }, words };
}

/** What the wages are made of that a state withholds on, and that they are a part only, where they are. */
const madeOf = (check: Check, state: StateRules, wages: StateWages, isTogether: boolean) => (): string => {
  const part = isTogether ? 'withheld-on' : 'regular';
  const all = check.wages.madeOf('state-income', state.code, part);
  return wages.regular === check.wages.of('state-income', state.code).regular
    ? all
    : `the part of this state of ${all}`;
};

interface SupplementalPart {
  readonly rate: Rate;
  readonly wages: Cents;
  readonly label: string;
  readonly row: Dated<Supplemental>;
}
function flatSupplemental(check: Check, figure: TaxCode, part: SupplementalPart): Cents {
  const amount = round(times(part.wages, part.rate), 'half-up');
  if (check.tape) writeSupplemental(check.tape, figure, part, amount);
  return amount;
}
function writeSupplemental(tape: Tape, figure: TaxCode, { rate, wages, label, row }: SupplementalPart, amount: Cents) {
  tape.write(figure, () => ({
    label,
    value: showDollars(amount),
    how: `${showDollars(wages)} × ${showPercent(rate)}`,
    rounding: 'half a cent up',
    parameter: shownParameter('Rate on supplemental wages', showPercent(rate), row),
  }));
}

/** Supplemental wages paid alone, taken together with the last regular ones: what they add to the tax. */
function withLastRegular(check: Check, sheet: WorksheetInput, last: Cents, supplemental: Cents): Cents {
  const tax = notBelowZero(
    subtract(
      worksheetTaxOf(check, sheet, add(last, supplemental)),
      worksheetTaxOf(check, { ...sheet, tape: undefined }, last),
    ),
  );
  check.tape?.write(sheet.figure, () => ({
    label: 'Together with the last regular wages',
    value: showDollars(tax),
    how: 'less the tax on the last regular wages alone',
  }));
  return tax;
}

/** Regular wages of a year: by this check, else by the last one with any, else by what there is. */
function annualWages(check: Check, { regular, supplemental }: StateWages): Cents {
  const last = regular > 0 ? regular : (check.input.lastRegular?.wages ?? supplemental);
  return cents(last * check.periods);
}

/** Supplemental wages at a rate of their own. */
function onSupplemental(check: Check, figure: TaxCode, row: Dated<Supplemental>, wages: StateWages): Cents {
  const own = row.value;
  const flat = (rate: Rate, of: Cents, label = 'Supplemental wages, flat rate'): Cents =>
    flatSupplemental(check, figure, { rate, wages: of, label, row });
  switch (own.is) {
    case 'flat': {
      let tax = ZERO;
      let left = wages.supplemental;
      for (const [item, rate] of Object.entries(own.items ?? {})) {
        const amount = wages.items
          .filter((line) => line.item.code === item)
          .reduce((total, line) => total + line.amount, 0);
        const taken = cents(Math.min(amount, left));
        if (taken <= 0) continue;
        left = subtract(left, taken);
        tax = add(tax, flat(rate, taken));
      }
      return left > 0 ? add(tax, flat(own.rate, left)) : tax;
    }
    case 'tiers': {
      if (wages.regular <= 0 && !check.input.lastRegular)
        check.warn('supplemental.no-regular', 'settings.lastRegular', { state: taxOf(figure).jurisdiction });
      return flat(
        rateAt(own.rates, annualWages(check, wages)),
        wages.supplemental,
        'Supplemental wages, by annual wages',
      );
    }
    case 'share-of-federal':
      return flat(own.rate, check.federalOnSupplemental, 'Share of the federal tax on supplemental wages');
    case 'together':
      throw new RangeError('supplemental wages are taken together with the regular ones');
  }
}

// The words are put together in functions of their own: what they close over would slow down the computation.
function writeExempt(tape: Tape, figure: TaxCode, form: string): void {
  tape.write(figure, () => ({
    label: `Exempt on ${form}`,
    value: showDollars(ZERO),
    how: 'wages are still reported',
    isResult: true,
  }));
}
function writeExtra(tape: Tape, figure: TaxCode, extra: Cents): void {
  tape.write(figure, () => ({ label: 'Additional amount', value: showDollars(extra) }));
}

/**
 * State income tax to withhold in one check, in cents, by the state's own worksheet and supplemental rule.
 * Null with an issue when no rule is in force or the state publishes no method for the pay frequency.
 */
export function stateIncomeTax(
  check: Check,
  state: StateRules,
  rule: WithheldIncomeTax,
  wages: StateWages,
  /** County rates, where the state withholds them together with its own tax. */
  local?: readonly Bracket[],
): StateTax | null {
  const { input, tape } = check;
  const figure = incomeTaxCode(state);
  const certificate = certificateFor(check, state, rule);
  const row = check.rule(rule.worksheets, 'withholding table', state.name);
  const supplemental = check.rule(rule.supplemental, 'rule for supplemental wages', state.name);
  if (!row || !supplemental) return null;
  if (certificate['exempt'] === true) {
    if (tape) writeExempt(tape, figure, rule.certificate.form);
    return { tax: ZERO, extra: ZERO };
  }
  const isTogether = supplemental.value.is === 'together' || input.supplementalMethod === 'aggregate';
  const sheet = worksheetOf(check, figure, row, certificate, tape, local);
  if (tape) sheet.madeOf = madeOf(check, state, wages, isTogether);
  let tax: Cents;
  if (isTogether && wages.regular <= 0 && input.lastRegular && wages.supplemental > 0) {
    tax = withLastRegular(check, sheet, input.lastRegular.wages, wages.supplemental);
  } else {
    tax = worksheetTaxOf(check, sheet, isTogether ? add(wages.regular, wages.supplemental) : wages.regular);
  }
  if (!isTogether && wages.supplemental > 0) tax = add(tax, onSupplemental(check, figure, supplemental, wages));
  // A flat rate looks at no certificate, so a bonus paid alone has nothing added to it, as in the federal tax.
  const isByCertificate = wages.regular > 0 || (isTogether && wages.supplemental > 0);
  const extra = isByCertificate ? certificateAmount(certificate, 'extraWithholding') : ZERO;
  if (tape && extra > 0) writeExtra(tape, figure, extra);
  return { tax, extra };
}
