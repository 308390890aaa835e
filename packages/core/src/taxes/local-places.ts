import type { Bracket } from '../jurisdictions/brackets.js';
import { type Dated, inForce } from '../jurisdictions/dated.js';
import type { LocalRates, LocalTax, Locality } from '../jurisdictions/locality.js';
import type { StateRules } from '../jurisdictions/state.js';
import { ZERO, add, subtract } from '../money/cents.js';
import { round, times } from '../money/exact.js';
import { ZERO_RATE } from '../money/rate.js';
import type { Check } from '../computation/check.js';
import type { PaycheckInput } from '../computation/input.js';

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

/** A locality of the product's rules by any of its names; null where none is loaded. */
export const localityNamed = (state: StateRules, name: string): Locality | null => lookUp(state, name);

/** A locality that the firm added stands before the product's of the same name. */
function ownPlace(check: Check, state: StateRules, name: string): Locality | null {
  const own = check.input.places?.get(state.code);
  return own?.find((place) => exactly(place.name) === exactly(name) || plain(place.name) === plain(name)) ?? null;
}

/** What stands for a place without a tax of its own, so that an empty field stays a question. */
const NO_PLACE = 'NONE';

/** The locality of a state by its name, code or another name; an issue and null when its rules are not loaded. */
export function findPlace(
  check: Check,
  state: StateRules,
  name: string,
  field: 'employee.residence.locality' | 'employee.work',
  index = 0,
): Locality | null {
  const found = ownPlace(check, state, name) ?? lookUp(state, name);
  if (found) return found;
  // Counties cover the whole of their state: there nobody lives or works in none.
  const isInCounty = state.local?.method === 'county' || state.local?.method === 'with-state';
  if (exactly(name) === NO_PLACE && !isInCounty) return null;
  const choices = (state.local?.places ?? []).slice(0, 12).map((place) => place.name);
  const where = field === 'employee.work' ? `employee.work[${index}].locality` : field;
  check.problem('rule.locality-unknown', where, {
    locality: name,
    state: state.name,
    choices: choices.join(', ') || 'none',
  });
  return null;
}

export const ratesOf = (tax: LocalTax, input: PaycheckInput): Dated<LocalRates> | null =>
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
