import type { LocalMethod, Locality } from '../jurisdictions/locality.js';
import type { StateRules } from '../jurisdictions/state.js';
import { findState } from '../jurisdictions/states.js';
import { type Cents, ZERO, add, notBelowZero, showDollars, subtract } from '../money/cents.js';
import { exact, isBelowZero, minus, plus, round, times } from '../money/exact.js';
import { ZERO_RATE, showPercent } from '../money/rate.js';
import type { Check } from '../computation/check.js';
import { workerIsWithout } from '../computation/kinds.js';
import { shownParameter } from '../working/tape.js';
import { type Situation, wagesFor, writeAtWork, writeRate, writeShareOfState, writeWorksheet } from './local-lines.js';
import { findPlace, ratesOf } from './local-places.js';
import { localCode } from '../tax-registry/registry.js';
import { worksheetOf, worksheetTaxOf } from './worksheet-tax.js';

/** Residents and people who work there, each at a rate; a resident's credit for what the work place took. */
function cityTaxes(situation: Situation): void {
  const { check, state, home, work } = situation;
  const paid: { wages: Cents; tax: Cents }[] = [];
  for (const { place, index } of work) {
    const isResident = home.includes(place);
    for (const tax of place.taxes) {
      if (tax.terms.is === 'worksheet' && tax.terms.for === 'nonresident' && !isResident) {
        const row = check.rule(tax.terms.rows, tax.label);
        const flat = check.rule(tax.terms.supplemental, tax.label);
        if (row && flat)
          writeWorksheet(
            situation,
            place,
            tax,
            { row, supplementalRate: flat.value, extraField: tax.terms.extraField, asks: tax.terms.asks },
            index,
          );
      } else if (tax.terms.is === 'fee' || (tax.terms.is === 'rates' && (tax.payer === 'employer' || !isResident))) {
        const amount = writeAtWork(situation, place, tax, index);
        if (tax.terms.is === 'rates' && tax.payer === 'employee')
          paid.push({ wages: check.partAt(wagesFor(check, state, tax), index), tax: amount });
      }
    }
  }
  for (const place of home) {
    for (const tax of place.taxes) {
      if (tax.payer === 'employer') continue;
      if (tax.terms.is === 'share-of-state') {
        const row = check.rule(tax.terms.rows, tax.label);
        if (row) writeShareOfState(situation, place, tax, row, tax.terms.extraField);
      } else if (tax.terms.is === 'worksheet' && tax.terms.for === 'resident') {
        const row = check.rule(tax.terms.rows, tax.label);
        const flat = check.rule(tax.terms.supplemental, tax.label);
        if (row && flat)
          writeWorksheet(
            situation,
            place,
            tax,
            { row, supplementalRate: flat.value, extraField: tax.terms.extraField, asks: tax.terms.asks },
            null,
          );
      } else if (tax.terms.is === 'rates') {
        const row = check.rule(tax.terms.rows, tax.label);
        const rate = row?.value.resident;
        if (!row || !rate) continue;
        const allowed = row.value.credit;
        let credit = exact(ZERO);
        if (allowed)
          for (const other of paid) {
            const most = times(other.wages, allowed.rate);
            const tax = exact(other.tax);
            credit = plus(credit, times(isBelowZero(minus(tax, most)) ? tax : most, allowed.share));
          }
        const how = allowed
          ? `${showPercent(allowed.share)} of the tax paid there, on at most ${showPercent(allowed.rate)} of the pay`
          : '';
        writeRate(situation, place, tax, row, wagesFor(check, state, tax), rate, { amount: credit, how });
      }
    }
  }
}

/** Pennsylvania: the higher of the resident rate at home and the nonresident rate at work (53 Pa. C.S. § 6924.512). */
function higherOfTwo(situation: Situation): void {
  const { check, state, home, work } = situation;
  const rated = (place: Locality | undefined) => {
    const tax = place?.taxes.find((candidate) => candidate.terms.is === 'rates' && candidate.payer === 'employee');
    const row = tax ? ratesOf(tax, check.input) : null;
    return place && tax && row ? { place, tax, row } : null;
  };
  const residence = rated(home[0]);
  const places = work.length > 0 ? work : [{ place: undefined, index: -1 }];
  let hasFee = false;
  for (const { place, index } of places) {
    const there = rated(place);
    const part = (amount: Cents): Cents => (index < 0 ? amount : check.partAt(amount, index));
    const ownRate = residence?.row.value.resident ?? ZERO_RATE;
    const thereRate = there?.row.value.nonresident ?? ZERO_RATE;
    const takesResidence =
      residence &&
      (residence.place === place ||
        !there ||
        (!there.place.comesFirst && ownRate.n * thereRate.d >= thereRate.n * ownRate.d) ||
        residence.place.comesFirst !== undefined);
    if (takesResidence && residence) {
      if (ownRate.n > 0)
        writeRate(
          situation,
          residence.place,
          residence.tax,
          residence.row,
          part(wagesFor(check, state, residence.tax)),
          ownRate,
        );
    } else if (there && thereRate.n > 0) {
      writeRate(situation, there.place, there.tax, there.row, part(wagesFor(check, state, there.tax)), thereRate);
    }
    for (const tax of place?.taxes ?? []) {
      if (!place || (tax.terms.is === 'rates' && tax.payer === 'employee')) continue;
      // A person owes one services tax at a time, where the work is first (Act 7 of 2007, recalled).
      if (tax.terms.is === 'fee' && hasFee) continue;
      if (tax.terms.is === 'fee') hasFee = true;
      writeAtWork(situation, place, tax, index);
    }
  }
}

/** Indiana: the county of residence on January 1, or of work for people from elsewhere, on the state's taxable wages. */
function countyTax(situation: Situation): void {
  const { check, state, home, work } = situation;
  if (state.incomeTax.kind === 'none') return;
  const [at] = home.length > 0 ? [] : work;
  const place = home[0] ?? at?.place;
  if (!place) return;
  const tax = place.taxes[0];
  const row = tax ? ratesOf(tax, check.input) : null;
  const method = check.inForce(state.incomeTax.worksheets);
  const rate = row?.value.resident;
  if (!tax || !row || !method || !rate) return;
  const code = localCode(state, place, tax);
  if (check.isExempt(code)) return;
  const certificate = check.input.stateCertificates[state.code] ?? state.incomeTax.certificate.without.certificate;
  if (certificate['exempt'] === true) return;
  // People of other states owe the county of work on the pay of its place only.
  const part = (amount: Cents): Cents => (at === undefined ? amount : check.partAt(amount, at.index));
  const subject = part(wagesFor(check, state, tax));
  const all = check.wages.of('state-income', state.code);
  // As in the state's own tax: the deductions are those of a pay period, a supplemental payment has none.
  const isFlat = check.inForce(state.incomeTax.supplemental)?.value.is === 'flat';
  const supplemental = isFlat && check.input.supplementalMethod === 'flat' ? part(all.supplemental) : ZERO;
  // The state's own deductions, then the county's rate in place of the state's.
  const lines = [
    ...method.value.lines.filter((line) => line.do === 'deduct'),
    { do: 'tax', label: tax.label, tables: { '*': [{ over: ZERO, base: ZERO, rate }] } } as const,
  ];
  // A county looks at nothing of the check but the wages.
  const county = { ...method, source: row.source, place: row.place, value: { ...method.value, lines } };
  const sheet = worksheetOf(check, code, county, certificate, check.tape);
  const onSupplemental = round(times(supplemental, rate), 'half-up');
  const amount = add(worksheetTaxOf(check, sheet, notBelowZero(subtract(subject, supplemental))), onSupplemental);
  if (onSupplemental > 0)
    check.tape?.write(code, () => ({
      label: 'Supplemental wages, county rate',
      value: showDollars(onSupplemental),
      how: `${showDollars(supplemental)} × ${showPercent(rate)}`,
      rounding: 'half a cent up',
    }));
  check.tape?.write(code, () => ({
    label: tax.label,
    value: showDollars(amount),
    isResult: true,
    parameter: shownParameter('County rate', showPercent(rate), row),
  }));
  check.push(code, subject, subject, amount);
  check.localIncomeTaxes = add(check.localIncomeTaxes, amount);
}

/** Residents pay another rate than others who work there. */
const asksHome = (check: Check, place: Locality): boolean =>
  place.taxes.some((tax) => {
    const rates = ratesOf(tax, check.input)?.value;
    if (tax.payer === 'employer' || !rates || rates.tiers) return false;
    const [ours, others] = [rates.resident ?? ZERO_RATE, rates.nonresident ?? ZERO_RATE];
    return ours.n * others.d !== others.n * ours.d;
  });

/** The place of work only, at the rate for its residents or for others. */
function workPlaceTaxes(situation: Situation): void {
  const { check, state, work } = situation;
  const { residenceState, residenceLocalities } = check.input;
  if (
    residenceState === state.code &&
    residenceLocalities.length === 0 &&
    work.some(({ place }) => asksHome(check, place))
  )
    check.warn('locality.not-given', 'employee.residence.locality', { state: state.name, where: 'residence' });
  for (const { place, index } of situation.work)
    for (const tax of place.taxes) writeAtWork(situation, place, tax, index);
}

const NO_PLACES: readonly Locality[] = [];

function homeIn(check: Check, state: StateRules): readonly Locality[] {
  const { input } = check;
  if (input.residenceState !== state.code || input.residenceLocalities.length === 0) return NO_PLACES;
  const home: Locality[] = [];
  for (const name of input.residenceLocalities) {
    const place = findPlace(check, state, name, 'employee.residence.locality');
    if (place) home.push(place);
  }
  return home;
}

function workIn(check: Check, state: StateRules): Situation['work'] {
  const work: { place: Locality; index: number }[] = [];
  for (let index = 0; index < check.input.work.length; index += 1) {
    const at = check.input.work[index];
    if (!at || at.state !== state.code) continue;
    for (const name of at.localities) {
      const place = findPlace(check, state, name, 'employee.work', index);
      if (place) work.push({ place, index });
    }
  }
  return work;
}

/** Where hardly anybody is without a local tax, a place that is not given is asked for: `none` is an answer. */
function askPlaces(check: Check, state: StateRules, workPlaces: number): void {
  const { input } = check;
  const takes = state.local?.method;
  const isHome = input.residenceState === state.code;
  if (isHome && takes !== 'work-place' && input.residenceLocalities.length === 0)
    check.warn('locality.not-given', 'employee.residence.locality', { state: state.name, where: 'residence' });
  // A county looks to the work of those only who live in none of its state.
  if ((takes === 'county' && isHome) || workPlaces > 0) return;
  input.work.forEach((at, index) => {
    if (at.state === state.code && at.localities.length === 0)
      check.warn('locality.not-given', `employee.work[${index}].locality`, { state: state.name, where: 'work' });
  });
}

/** Taxes of the localities of one state, for its residents and for work there. A state is done once a check. */
export function localTaxesIn(check: Check, code: string, stateTax: Cents | null): void {
  const state = check.localDone.includes(code) ? null : findState(code);
  check.localDone.push(code);
  if (!state) return;
  const home = homeIn(check, state);
  const work = workIn(check, state);
  if (workerIsWithout(check.input.worker, 'income')) return;
  if (state.local?.isEverywhere) askPlaces(check, state, work.length);
  if (home.length + work.length === 0) return;
  // Places a firm adds to a state without any of ours pay where the work is.
  METHODS[state.local?.method ?? 'work-place']({ check, state, home, work, stateTax });
}

/** Taxes of the localities of work and of residence, state by state. */
export function localTaxes(check: Check, stateTaxes: ReadonlyMap<string, Cents>): void {
  const { work, residenceState } = check.input;
  for (const { state } of work) localTaxesIn(check, state, stateTaxes.get(state) ?? null);
  localTaxesIn(check, residenceState, stateTaxes.get(residenceState) ?? null);
}

const METHODS: Readonly<Record<LocalMethod, (situation: Situation) => void>> = {
  city: cityTaxes,
  'higher-of-two': higherOfTwo,
  county: countyTax,
  'work-place': workPlaceTaxes,
  // Withheld with the state's own tax (see stateIncomeTaxes).
  'with-state': () => undefined,
};
