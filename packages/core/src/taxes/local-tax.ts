import type { Bracket } from '../jurisdictions/brackets.js';
import { inForce, type Dated } from '../jurisdictions/dated.js';
import type { LocalFee, LocalMethod, LocalRates, LocalTax, Locality } from '../jurisdictions/locality.js';
import type { StateRules } from '../jurisdictions/state.js';
import { findState } from '../jurisdictions/states.js';
import type { Worksheet } from '../jurisdictions/worksheet.js';
import { ZERO, add, cents, notBelowZero, showDollars, smaller, subtract, type Cents } from '../money/cents.js';
import { dividedBy, round, showExact, times } from '../money/exact.js';
import { showPercent, ZERO_RATE, type Rate } from '../money/rate.js';
import type { Check } from '../paycheck/check.js';
import type { PaycheckInput } from '../paycheck/input.js';
import { workerIsWithout } from '../paycheck/kinds.js';
import { shownParameter } from '../working/tape.js';
import { overMark, underBase } from './capped-tax.js';
import { localCode } from './registry.js';
import { certificateFor } from './state-income-tax.js';
import { certificateAmount, rateAt, worksheetTax } from './worksheet-tax.js';

const plain = (name: string): string =>
  name
    .toUpperCase()
    .replace(/[^A-Z0-9]+/g, ' ')
    .replace(/^(CITY|VILLAGE|TOWN|COUNTY) OF /, '')
    .replace(/ COUNTY$/, '')
    .trim();
const exactly = (name: string): string =>
  name
    .toUpperCase()
    .replace(/[^A-Z0-9]+/g, ' ')
    .trim();
const directories = new Map<string, ReadonlyMap<string, Locality>>();

function directoryOf(state: StateRules): ReadonlyMap<string, Locality> {
  const known = directories.get(state.code);
  if (known) return known;
  const made = new Map<string, Locality>();
  const places = state.local?.places ?? [];
  // Shorter spellings first, so that a place's own name wins over another's abbreviation.
  for (const place of places) for (const name of place.alsoKnownAs ?? []) made.set(plain(name), place);
  for (const place of places) made.set(plain(place.name), place);
  for (const place of places) {
    made.set(exactly(place.code), place);
    made.set(exactly(place.name), place);
  }
  directories.set(state.code, made);
  return made;
}

const lookedUp = new Map<string, Map<string, Locality | null>>();
function lookUp(state: StateRules, name: string): Locality | null {
  let names = lookedUp.get(state.code);
  if (!names) lookedUp.set(state.code, (names = new Map()));
  const known = names.get(name);
  if (known !== undefined) return known;
  const directory = directoryOf(state);
  const found = directory.get(exactly(name)) ?? directory.get(plain(name)) ?? null;
  // Only what exists is kept: misspelt names have no end.
  if (found) names.set(name, found);
  return found;
}

/** A locality that the firm added stands before the product's of the same name. */
function ownPlace(check: Check, state: StateRules, name: string): Locality | null {
  const own = check.input.places?.get(state.code);
  return own?.find((place) => exactly(place.name) === exactly(name) || plain(place.name) === plain(name)) ?? null;
}

/** The locality of a state by its name, code or another name; an issue and null when its rules are not loaded. */
export function findPlace(check: Check, state: StateRules, name: string, field: string): Locality | null {
  const found = ownPlace(check, state, name) ?? lookUp(state, name);
  if (found) return found;
  const choices = (state.local?.places ?? []).slice(0, 12).map((place) => place.name);
  check.problem('rule.locality-unknown', field, {
    locality: name,
    state: state.name,
    choices: choices.join(', ') || 'none',
  });
  return null;
}

const ratesOf = (tax: LocalTax, input: PaycheckInput): Dated<LocalRates> | null =>
  tax.terms.is === 'rates' ? inForce(tax.terms.rows, input.checkDate, input.rules) : null;

/** Rates of a county as a graduated table, for states that withhold them with their own tax. */
export function countyBrackets(place: Locality, input: PaycheckInput): readonly Bracket[] | null {
  const tax = place.taxes[0];
  const row = tax ? ratesOf(tax, input) : null;
  if (!row) return null;
  const tiers = row.value.tiers ?? [{ over: ZERO, rate: row.value.resident ?? ZERO_RATE }];
  let base = ZERO;
  return tiers.map((tier, index) => {
    const before = tiers[index - 1];
    if (before) base = add(base, round(times(subtract(tier.over, before.over), before.rate), 'half-up'));
    return { over: tier.over, base, rate: tier.rate };
  });
}

interface Situation {
  readonly check: Check;
  readonly state: StateRules;
  /** Localities of residence in this state. */
  readonly home: readonly Locality[];
  /** Localities of each place of work in this state, with the index of the work place. */
  readonly work: readonly { readonly place: Locality; readonly index: number }[];
  readonly stateTax: Cents | null;
}

function wagesFor(check: Check, state: StateRules, tax: LocalTax): Cents {
  switch (tax.wages) {
    case 'gross':
      return check.wages.of('local', state.code).total;
    case 'income':
      return check.wages.of('income').total;
    case 'medicare':
      return check.wages.of('social').total;
    case 'state-income':
      return check.wages.of('state-income', state.code).total;
  }
}

/** Exemptions of a place's own kind, in dollars of one pay period. */
function exemptionOf(check: Check, state: StateRules, rates: LocalRates): Cents {
  if (!rates.exemption || state.incomeTax.kind === 'none') return ZERO;
  const certificate = check.input.stateCertificates[state.code] ?? {};
  const number = Number(certificate['cityExemptions'] ?? (state.code === 'OH' ? certificate['allowances'] : 0) ?? 0);
  return number === 0 ? ZERO : round(dividedBy(cents(rates.exemption * number), check.periods), 'half-up');
}

function writeRate(
  situation: Situation,
  place: Locality,
  tax: LocalTax,
  row: Dated<LocalRates>,
  subject: Cents,
  rate: Rate,
  credit: Cents = ZERO,
): Cents {
  const { check, state } = situation;
  const code = localCode(state, place, tax);
  if (check.isExempt(code)) return ZERO;
  const own = check.input.ownRates[code];
  const { base, over, tiers } = row.value;
  const toDate = check.toDate(code);
  const exemption = exemptionOf(check, state, row.value);
  let taxed = notBelowZero(subtract(subject, exemption));
  if (base !== undefined) taxed = underBase(taxed, toDate, base);
  if (over !== undefined) taxed = overMark(taxed, toDate, over);
  const before = own === undefined && tiers ? tierTax(tiers, toDate) : ZERO;
  const after = own === undefined && tiers ? tierTax(tiers, add(toDate, taxed)) : ZERO;
  const applied = own ?? rate;
  const full = own === undefined && tiers ? subtract(after, before) : round(times(taxed, applied), 'half-up');
  const amount = notBelowZero(subtract(full, credit));
  if (check.tape) {
    const { tape } = check;
    tape.write(code, { label: 'Wages', value: showDollars(subject) });
    if (exemption > 0) tape.write(code, { label: 'Exemptions of the period', value: showDollars(exemption) });
    if (credit > 0) tape.write(code, { label: 'Credit for tax where the work is', value: showDollars(credit) });
    tape.write(code, {
      label: tax.label,
      value: showDollars(amount),
      how:
        tiers && own === undefined
          ? `tax on ${showDollars(add(toDate, taxed))} of the year less tax on ${showDollars(toDate)}`
          : `${showDollars(taxed)} × ${showPercent(applied)} = ${showExact(times(taxed, applied))}`,
      rounding: 'half a cent up',
      isResult: true,
      ...(own === undefined ? { parameter: shownParameter('Rate', showPercent(applied), row) } : {}),
    });
  }
  check.pushPart(code, subject, taxed, amount, tiers || credit > 0 ? null : applied);
  return amount;
}
function tierTax(tiers: readonly { readonly over: Cents; readonly rate: Rate }[], amount: Cents): Cents {
  let total = ZERO;
  tiers.forEach((tier, index) => {
    const next = tiers[index + 1];
    const upper = next ? smaller(amount, next.over) : amount;
    if (upper > tier.over) total = add(total, round(times(subtract(upper, tier.over), tier.rate), 'half-up'));
  });
  return total;
}

function writeFee(situation: Situation, place: Locality, tax: LocalTax, row: Dated<LocalFee>, wages: Cents): void {
  const { check, state } = situation;
  const code = localCode(state, place, tax);
  if (check.isExempt(code) || wages <= 0) return;
  const { amount: fee, per, fromWages } = row.value;
  const periods = check.periods;
  let amount: Cents;
  let how: string;
  if (per === 'year-spread') {
    // Rounded down to the cent (Act 7 of 2007); a low-income exemption follows the expected wages of the year.
    amount = wages * periods < fromWages ? ZERO : round(dividedBy(fee, periods), 'down');
    how = `${showDollars(fee)} a year ÷ ${periods} periods, rounded down`;
  } else if (per === 'week') {
    amount = round(times(fee, { n: 52, d: periods }), 'half-up');
    how = `${showDollars(fee)} a week`;
  } else {
    const taken = check.input.taxesThisMonth[code] ?? ZERO;
    const ofMonth = add(check.input.wagesThisMonth, wages);
    amount = ofMonth >= fromWages ? notBelowZero(subtract(fee, taken)) : ZERO;
    how = `due once a month from wages of ${showDollars(fromWages)}; ${showDollars(ofMonth)} so far`;
  }
  check.tape?.write(code, {
    label: tax.label,
    value: showDollars(amount),
    how,
    isResult: true,
    parameter: shownParameter(tax.label, showDollars(fee), row),
  });
  check.pushPart(code, wages, wages, amount);
}

function writeWorksheet(
  situation: Situation,
  place: Locality,
  tax: LocalTax,
  row: Dated<Worksheet>,
  supplementalRate: Rate,
  share: (amount: Cents) => Cents,
): void {
  const { check, state } = situation;
  const code = localCode(state, place, tax);
  if (check.isExempt(code) || state.incomeTax.kind === 'none') return;
  const certificate = certificateFor(check, state, state.incomeTax);
  if (certificate['exempt'] === true) return;
  const all = check.wages.of('state-income', state.code);
  const isTogether = check.input.supplementalMethod === 'aggregate';
  const regular = share(isTogether ? add(all.regular, all.supplemental) : all.regular);
  const supplemental = isTogether ? ZERO : share(all.supplemental);
  let amount = check.perPeriod(regular, (wages) =>
    worksheetTax({
      figure: code,
      row,
      certificate,
      wages,
      periods: check.periods,
      federalTax: check.federalOnRegular,
      socialInsurance: check.socialInsurance,
      tape: check.tape,
    }),
  );
  if (supplemental > 0) {
    const flat = round(times(supplemental, supplementalRate), 'half-up');
    amount = add(amount, flat);
    check.tape?.write(code, {
      label: 'Supplemental wages, flat rate',
      value: showDollars(flat),
      how: `${showDollars(supplemental)} × ${showPercent(supplementalRate)}`,
    });
  }
  const extraField = place.code === 'NYC' ? 'cityExtraWithholding' : 'yonkersExtraWithholding';
  amount = add(amount, certificateAmount(certificate, extraField));
  check.tape?.write(code, { label: tax.label, value: showDollars(amount), isResult: true });
  check.push(code, share(all.total), share(all.total), amount);
}

function writeShareOfState(situation: Situation, place: Locality, tax: LocalTax, row: Dated<Rate>): void {
  const { check, state } = situation;
  const code = localCode(state, place, tax);
  if (check.isExempt(code) || situation.stateTax === null) return;
  const amount = round(times(situation.stateTax, row.value), 'half-up');
  check.tape?.write(code, {
    label: tax.label,
    value: showDollars(amount),
    how: `${showDollars(situation.stateTax)} of state tax × ${showPercent(row.value)}`,
    rounding: 'half a cent up',
    isResult: true,
    parameter: shownParameter('Share of the state tax', showPercent(row.value), row),
  });
  const subject = check.wages.of('state-income', state.code).total;
  check.push(code, subject, subject, amount);
}

/** The employer's rate by its payroll of the quarter; the largest employers' and a warning when that is not given. */
function payrollRate(
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

/** Residents and people who work there, each at a rate; a resident's credit for what the work place took. */
function cityTaxes(situation: Situation): void {
  const { check, state, home, work } = situation;
  const paid: { wages: Cents; tax: Cents }[] = [];
  for (const { place, index } of work) {
    const isResident = home.includes(place);
    for (const tax of place.taxes) {
      const part = (amount: Cents): Cents => check.partAt(amount, index);
      if (tax.terms.is === 'fee') {
        const row = check.inForce(tax.terms.rows);
        if (row) writeFee(situation, place, tax, row, part(wagesFor(check, state, tax)));
      } else if (tax.terms.is === 'worksheet' && tax.terms.for === 'nonresident' && !isResident) {
        const row = check.inForce(tax.terms.rows);
        const flat = check.inForce(tax.terms.supplemental);
        if (row && flat) writeWorksheet(situation, place, tax, row, flat.value, part);
      } else if (tax.terms.is === 'rates' && (tax.payer === 'employer' || !isResident)) {
        const row = check.inForce(tax.terms.rows);
        const rate = row ? (payrollRate(check, state, place, tax, row.value) ?? row.value.nonresident) : undefined;
        if (!row || !rate) continue;
        const wages = part(wagesFor(check, state, tax));
        const amount = writeRate(situation, place, tax, row, wages, rate);
        if (tax.payer === 'employee') paid.push({ wages, tax: amount });
      }
    }
  }
  for (const place of home) {
    for (const tax of place.taxes) {
      if (tax.payer === 'employer') continue;
      if (tax.terms.is === 'share-of-state') {
        const row = check.inForce(tax.terms.rows);
        if (row) writeShareOfState(situation, place, tax, row);
      } else if (tax.terms.is === 'worksheet' && tax.terms.for === 'resident') {
        const row = check.inForce(tax.terms.rows);
        const flat = check.inForce(tax.terms.supplemental);
        if (row && flat) writeWorksheet(situation, place, tax, row, flat.value, (amount) => amount);
      } else if (tax.terms.is === 'rates') {
        const row = check.inForce(tax.terms.rows);
        const rate = row?.value.resident;
        if (!row || !rate) continue;
        const allowed = row.value.credit;
        let credit = ZERO;
        if (allowed)
          for (const other of paid) {
            const most = round(times(other.wages, allowed.rate), 'half-up');
            credit = add(credit, round(times(smaller(other.tax, most), allowed.share), 'half-up'));
          }
        writeRate(situation, place, tax, row, wagesFor(check, state, tax), rate, credit);
      }
    }
  }
}

/** Pennsylvania: the higher of the resident rate at home and the nonresident rate at work (53 Pa. C.S. § 6924.512). */
function higherOfTwo(situation: Situation): void {
  const { check, state, home, work } = situation;
  const rated = (place: Locality | undefined) => {
    const tax = place?.taxes.find((candidate) => candidate.terms.is === 'rates');
    const row = tax ? ratesOf(tax, check.input) : null;
    return place && tax && row ? { place, tax, row } : null;
  };
  const residence = rated(home[0]);
  const places = work.length > 0 ? work : [{ place: undefined, index: -1 }];
  let covered = false;
  for (const { place, index } of places) {
    const there = rated(place);
    const part = (amount: Cents): Cents => (index < 0 ? amount : check.partAt(amount, index));
    const ownRate = residence?.row.value.resident ?? ZERO_RATE;
    const thereRate = there?.row.value.nonresident ?? ZERO_RATE;
    // The Sterling Act puts Philadelphia's tax on work there, or of its residents, before any other.
    const takesResidence =
      residence &&
      (residence.place === place ||
        !there ||
        (there.place.code !== 'PHILADELPHIA' && ownRate.n * thereRate.d >= thereRate.n * ownRate.d) ||
        residence.place.code === 'PHILADELPHIA');
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
    covered = true;
    for (const tax of place?.taxes ?? []) {
      const row = tax.terms.is === 'fee' ? check.inForce(tax.terms.rows) : null;
      if (place && row) writeFee(situation, place, tax, row, part(wagesFor(check, state, tax)));
    }
  }
  if (!covered && residence)
    writeRate(
      situation,
      residence.place,
      residence.tax,
      residence.row,
      wagesFor(check, state, residence.tax),
      residence.row.value.resident ?? ZERO_RATE,
    );
}

/** Indiana: the county of residence on January 1, or of work for people from elsewhere, on the state's taxable wages. */
function countyTax(situation: Situation): void {
  const { check, state, home, work } = situation;
  if (state.incomeTax.kind === 'none') return;
  const place = home[0] ?? work[0]?.place;
  if (!place) {
    if (check.input.residenceState === state.code)
      check.warn('rule.county-missing', 'employee.residence.locality', { state: state.name });
    return;
  }
  const tax = place.taxes[0];
  const row = tax ? ratesOf(tax, check.input) : null;
  const sheet = check.inForce(state.incomeTax.worksheets);
  const rate = row?.value.resident;
  if (!tax || !row || !sheet || !rate) return;
  const code = localCode(state, place, tax);
  if (check.isExempt(code)) return;
  const certificate = check.input.stateCertificates[state.code] ?? state.incomeTax.certificate.without.certificate;
  if (certificate['exempt'] === true) return;
  const subject = wagesFor(check, state, tax);
  // The state's own deductions, then the county's rate in place of the state's.
  const lines = [
    ...sheet.value.lines.filter((line) => line.do === 'deduct'),
    { do: 'tax', label: tax.label, tables: { '*': [{ over: ZERO, base: ZERO, rate }] } } as const,
  ];
  const amount = check.perPeriod(subject, (wages) =>
    worksheetTax({
      figure: code,
      row: { ...sheet, source: row.source, place: row.place, value: { ...sheet.value, lines } },
      certificate,
      wages,
      periods: check.periods,
      federalTax: ZERO,
      socialInsurance: ZERO,
      tape: check.tape,
    }),
  );
  check.tape?.write(code, {
    label: tax.label,
    value: showDollars(amount),
    isResult: true,
    parameter: shownParameter('County rate', showPercent(rate), row),
  });
  check.push(code, subject, subject, amount);
}

/** The place of work only, at the rate for its residents or for others. */
function workPlaceTaxes(situation: Situation): void {
  const { check, state, home, work } = situation;
  for (const { place, index } of work) {
    const isResident = home.includes(place);
    for (const tax of place.taxes) {
      const wages = check.partAt(wagesFor(check, state, tax), index);
      if (tax.terms.is === 'fee') {
        const row = check.inForce(tax.terms.rows);
        if (row) writeFee(situation, place, tax, row, wages);
      } else if (tax.terms.is === 'rates') {
        const row = check.inForce(tax.terms.rows);
        const rate = isResident ? row?.value.resident : row?.value.nonresident;
        if (row && (rate || row.value.tiers)) writeRate(situation, place, tax, row, wages, rate ?? ZERO_RATE);
      }
    }
  }
}

function placesIn(check: Check, state: StateRules): Pick<Situation, 'home' | 'work'> {
  const { input } = check;
  const home: Locality[] = [];
  const work: { place: Locality; index: number }[] = [];
  if (input.residenceState === state.code)
    for (const name of input.residenceLocalities) {
      const place = findPlace(check, state, name, 'employee.residence.locality');
      if (place) home.push(place);
    }
  input.work.forEach((at, index) => {
    if (at.state !== state.code) return;
    for (const name of at.localities) {
      const place = findPlace(check, state, name, `employee.work[${index}].locality`);
      if (place) work.push({ place, index });
    }
  });
  return { home, work };
}

/** Taxes of the localities of work and of residence, state by state. */
export function localTaxes(check: Check, stateTaxes: ReadonlyMap<string, Cents>): void {
  const { input } = check;
  const done: string[] = [];
  for (let index = 0; index <= input.work.length; index += 1) {
    const code = input.work[index]?.state ?? input.residenceState;
    const state = done.includes(code) ? null : findState(code);
    done.push(code);
    if (!state) continue;
    const { home, work } = placesIn(check, state);
    if (workerIsWithout(input.worker, 'income') || home.length + work.length === 0) {
      if (state.local?.method !== 'county') continue;
    }
    const situation: Situation = { check, state, home, work, stateTax: stateTaxes.get(code) ?? null };
    // Places a firm adds to a state without any of ours pay where the work is.
    METHODS[state.local?.method ?? 'work-place'](situation);
  }
}

const METHODS: Readonly<Record<LocalMethod, (situation: Situation) => void>> = {
  city: cityTaxes,
  'higher-of-two': higherOfTwo,
  county: countyTax,
  'work-place': workPlaceTaxes,
  // Withheld with the state's own tax (see stateIncomeTaxes).
  'with-state': () => undefined,
};
