import type { Bracket } from '../jurisdictions/brackets.js';
import type { StateRules } from '../jurisdictions/state.js';
import { findState } from '../jurisdictions/states.js';
import { ZERO, add, notBelowZero, showDollars, subtract, sum, type Cents } from '../money/cents.js';
import { countyBrackets, findPlace } from '../taxes/local-places.js';
import { localTaxesIn } from '../taxes/local-tax.js';
import { incomeTaxCode, type TaxCode } from '../tax-registry/registry.js';
import { stateIncomeTax, type StateWages } from '../taxes/state-income-tax.js';
import type { Tape } from '../working/tape.js';
import type { Check } from '../computation/check.js';
import type { PaycheckInput } from '../computation/input.js';
import { workerIsWithout } from '../computation/kinds.js';

/** The state that may tax the work at a place: the office's, when working elsewhere is only convenient. */
function taxingState(check: Check, index: number): StateRules | null {
  const place = check.input.work[index];
  if (!place) return null;
  const office = place.convenienceOf === null ? null : findState(place.convenienceOf);
  if (office?.convenienceRule) return office;
  return findState(place.state);
}

/** County brackets of a Maryland-like state: null and an issue when a resident has none. */
function localBrackets(check: Check, state: StateRules): readonly Bracket[] | undefined | null {
  if (state.local?.method !== 'with-state') return undefined;
  if (check.input.residenceState !== state.code) return undefined;
  const name = check.input.residenceLocalities[0];
  if (name === undefined) {
    check.problem('rule.county-missing', 'employee.residence.locality', { state: state.name });
    return null;
  }
  const place = findPlace(check, state, name, 'employee.residence.locality');
  return place ? countyBrackets(place, check.input) : null;
}

function writeTotal(tape: Tape, state: StateRules, code: TaxCode, tax: Cents, credit: Cents): void {
  if (credit > 0)
    tape.write(code, () => ({
      label: 'Less tax withheld where the work is',
      value: showDollars(credit),
      how: 'the state of residence takes what is left',
    }));
  tape.write(code, () => ({ label: `${state.name} income tax`, value: showDollars(tax), isResult: true }));
}

function write(check: Check, state: StateRules, wages: StateWages & { readonly subject: Cents }, credit: Cents): Cents {
  const code = incomeTaxCode(state);
  if (state.incomeTax.kind === 'none' || check.isExempt(code)) return ZERO;
  const local = localBrackets(check, state);
  if (local === null) return ZERO;
  const result = stateIncomeTax(check, state, state.incomeTax, wages, local);
  if (!result) return ZERO;
  const left = notBelowZero(subtract(result.tax, credit));
  const tax = add(left, result.extra);
  if (check.tape) writeTotal(check.tape, state, code, tax, credit);
  check.push(code, wages.subject, wages.subject, tax);
  return result.tax;
}

/** A resident's tax on all wages, wherever earned. */
function writeWhole(check: Check, state: StateRules, credit: Cents): Cents {
  const all = check.wages.of('state-income', state.code);
  const items = check.wages.supplementalItems('state-income', state.code);
  return write(
    check,
    state,
    { regular: all.regular, supplemental: all.supplemental, subject: all.total, items },
    credit,
  );
}

/** Income tax of the states of work and of residence; returns the tax of each before its additional amount. */
export function stateIncomeTaxes(check: Check): ReadonlyMap<string, Cents> {
  const { input } = check;
  const taxes = new Map<string, Cents>();
  if (workerIsWithout(input.worker, 'income')) return taxes;
  const home = findState(input.residenceState);
  if (!home) {
    check.problem('rule.state-unknown', 'employee.residence', { state: input.residenceState });
    return taxes;
  }
  const only = input.work.length === 1 ? taxingState(check, 0) : null;
  if (only === home) {
    if (home.incomeTax.kind !== 'none') taxes.set(home.code, writeWhole(check, home, ZERO));
    return taxes;
  }
  acrossStates(check, home, taxes);
  return taxes;
}

/** Work in other states than the one of residence, or in several. */
function acrossStates(check: Check, home: StateRules, taxes: Map<string, Cents>): void {
  const { input } = check;
  const states = input.work.map((_, index) => taxingState(check, index));
  states.forEach((state, index) => {
    if (!state) check.problem('rule.state-unknown', 'employee.work', { state: input.work[index]?.state ?? '' });
  });
  if (states.includes(null)) return;

  const portion = (state: StateRules, view: StateRules) => {
    const all = check.wages.of('state-income', view.code);
    const part = (amount: Cents): Cents => sum(check.byPlace(amount).filter((_, index) => states[index] === state));
    return {
      regular: part(all.regular),
      supplemental: part(all.supplemental),
      subject: part(all.total),
      items: check.wages.supplementalItems('state-income', view.code),
    };
  };
  let credit: Cents = ZERO;
  let wagesTaxedElsewhere = false;
  for (const state of new Set(states)) {
    if (!state || state === home || state.incomeTax.kind === 'none') continue;
    const agreement = state.reciprocity;
    const applies = agreement && (agreement.with === 'all' || agreement.with.includes(home.code));
    if (applies) {
      const filed = input.work
        .filter((_, index) => states[index] === state)
        .map((place) => place.reciprocityCertificate);
      if (!filed.includes(false)) {
        if (filed.includes(null))
          check.warn('reciprocity.assumed', 'employee.work', {
            work: state.name,
            form: agreement.form,
            residence: home.name,
          });
        continue;
      }
    }
    const tax = write(check, state, portion(state, state), ZERO);
    taxes.set(state.code, tax);
    credit = add(credit, tax);
    wagesTaxedElsewhere = true;
  }
  if (home.incomeTax.kind === 'none') return;
  if (wagesTaxedElsewhere && home.residents === 'none') {
    // Pay that another state withholds on is left to it; the rest is a resident's.
    const elsewhere = [...taxes.keys()];
    const share = (amount: Cents): Cents =>
      sum(check.byPlace(amount).filter((_, index) => !elsewhere.includes(states[index]?.code ?? '')));
    const all = check.wages.of('state-income', home.code);
    const items = check.wages.supplementalItems('state-income', home.code);
    const subject = share(all.total);
    if (subject > 0)
      taxes.set(
        home.code,
        write(
          check,
          home,
          { regular: share(all.regular), supplemental: share(all.supplemental), subject, items },
          ZERO,
        ),
      );
    return;
  }
  if (home.creditsPlaces) credit = add(credit, placesElsewhere(check, home, taxes));
  taxes.set(home.code, writeWhole(check, home, credit));
}

/** Income taxes of cities and counties in other states, which are done before the state of residence for it. */
function placesElsewhere(check: Check, home: StateRules, taxes: ReadonlyMap<string, Cents>): Cents {
  for (const { state } of check.input.work)
    if (state !== home.code) localTaxesIn(check, state, taxes.get(state) ?? null);
  return check.localIncomeTaxes;
}

/**
 * The state of unemployment coverage: given, the only one of work, or by the localization tests: where the work is
 * localized, else the base of operations, else where it is directed from, else the residence – each of the last three
 * only where some of the work is done. Source: UIPL 20-04, attachment I.
 */
export function coverageState(input: PaycheckInput): string | undefined {
  if (input.unemploymentState !== null) return input.unemploymentState;
  const first = input.work[0]?.state;
  if (input.work.every((place) => place.state === first)) return first;
  const { localization } = input;
  if (!localization) return undefined;
  if (localization.localizedIn !== null) return localization.localizedIn;
  const hasWork = (state: string | null): state is string => input.work.some((place) => place.state === state);
  return [localization.baseOfOperations, localization.directedFrom, input.residenceState].find(hasWork);
}

export function unemploymentState(check: Check): StateRules | null {
  const code = coverageState(check.input);
  if (code === undefined) {
    check.problem('unemployment.state-unclear', 'employee.unemploymentState');
    return null;
  }
  const state = findState(code);
  if (!state) check.problem('rule.state-unknown', 'employee.unemploymentState', { state: code });
  return state;
}

/**
 * Thousandths of hours worked in the check, for premiums by the hour: those entered; where pay for work has none, full
 * time (2,080 hours a year) less the leave of the check; and none for a bonus, severance or leave paid alone.
 */
export function hoursWorked(check: Check): number {
  let worked = 0;
  let leave = 0;
  let isEntered = false;
  let isForWork = false;
  for (const { hours, item } of check.input.earnings) {
    if (item.isOnOtherHours) continue;
    const thousandths = hours === null ? 0 : Math.floor((hours.n * 1000) / hours.d);
    if (item.isLeave) leave += thousandths;
    else if (hours !== null) {
      isEntered = true;
      worked += thousandths;
    } else if (item.code === 'salary' || item.code === 'regular' || item.code === 'piece-work') isForWork = true;
  }
  if (isEntered || !isForWork) return worked;
  return Math.max(Math.floor(2_080_000 / check.periods) - leave, 0);
}
