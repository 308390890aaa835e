import type { Bracket } from '../jurisdictions/brackets.js';
import type { StateCertificate, StateRules, WithheldIncomeTax } from '../jurisdictions/state.js';
import { ZERO, add, cents, notBelowZero, showDollars, subtract, type Cents } from '../money/cents.js';
import { round, times } from '../money/exact.js';
import { showPercent, type Rate } from '../money/rate.js';
import type { Check } from '../paycheck/check.js';
import type { EarnedAmount } from '../paycheck/wages.js';
import { shownParameter } from '../working/tape.js';
import { incomeTaxCode, type TaxCode } from './registry.js';
import { certificateAmount, rateAt } from './worksheet-amounts.js';
import { worksheetOf, worksheetTaxOf } from './worksheet-tax.js';

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
  if (fieldsOf(rule) > 2)
    check.warn('certificate.none', `employee.certificates.${state.code}`, {
      form,
      state: state.name,
      says: without.says,
    });
  return without.certificate;
}

function flatSupplemental(check: Check, figure: TaxCode, rate: Rate, wages: Cents, label: string): Cents {
  const amount = round(times(wages, rate), 'half-up');
  check.tape?.write(figure, () => ({
    label,
    value: showDollars(amount),
    how: `${showDollars(wages)} × ${showPercent(rate)}`,
    rounding: 'half a cent up',
  }));
  return amount;
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
    tape?.write(figure, () => ({
      label: `Exempt on ${rule.certificate.form}`,
      value: showDollars(ZERO),
      how: 'wages are still reported',
      isResult: true,
    }));
    return { tax: ZERO, extra: ZERO };
  }
  const sheet = worksheetOf(check, figure, row, certificate, tape, local);
  const isTogether = supplemental.value.is === 'together' || input.supplementalMethod === 'aggregate';
  let tax: Cents;
  if (isTogether && wages.regular <= 0 && input.lastRegular && wages.supplemental > 0) {
    tax = notBelowZero(
      subtract(
        worksheetTaxOf(check, sheet, add(input.lastRegular.wages, wages.supplemental)),
        worksheetTaxOf(check, { ...sheet, tape: undefined }, input.lastRegular.wages),
      ),
    );
    tape?.write(figure, () => ({
      label: 'Together with the last regular wages',
      value: showDollars(tax),
      how: 'less the tax on the last regular wages alone',
    }));
  } else {
    tax = worksheetTaxOf(check, sheet, isTogether ? add(wages.regular, wages.supplemental) : wages.regular);
  }
  if (!isTogether && wages.supplemental > 0) {
    const own = supplemental.value;
    const label = 'Supplemental wages, flat rate';
    if (own.is === 'flat') {
      let left = wages.supplemental;
      for (const [item, rate] of Object.entries(own.items ?? {})) {
        const amount = wages.items
          .filter((line) => line.item.code === item)
          .reduce((total, line) => total + line.amount, 0);
        const taken = cents(Math.min(amount, left));
        if (taken <= 0) continue;
        left = subtract(left, taken);
        tax = add(tax, flatSupplemental(check, figure, rate, taken, label));
      }
      if (left > 0) tax = add(tax, flatSupplemental(check, figure, own.rate, left, label));
    } else if (own.is === 'tiers') {
      const annual = cents(add(wages.regular, wages.supplemental) * check.periods);
      tax = add(tax, flatSupplemental(check, figure, rateAt(own.rates, annual), wages.supplemental, label));
    } else if (own.is === 'share-of-federal') {
      const amount = round(times(check.federalOnSupplemental, own.rate), 'half-up');
      tape?.write(figure, () => ({
        label: 'Supplemental wages, share of the federal tax on them',
        value: showDollars(amount),
        how: `${showDollars(check.federalOnSupplemental)} × ${showPercent(own.rate)}`,
      }));
      tax = add(tax, amount);
    }
    if (tape)
      tape.write(figure, () => ({
        label: 'Supplemental rule',
        value: own.is,
        parameter: shownParameter(`${state.name}, supplemental wages`, own.is, supplemental),
      }));
  }
  const hasWages = wages.regular > 0 || wages.supplemental > 0;
  const extra = hasWages ? certificateAmount(certificate, 'extraWithholding') : ZERO;
  if (extra > 0) tape?.write(figure, () => ({ label: 'Additional amount', value: showDollars(extra) }));
  return { tax, extra };
}
