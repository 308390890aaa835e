import { PAY_ITEMS, type BaseFamily, type PayItem } from '../items/registry.js';
import { findState } from '../jurisdictions/states.js';

/** Codes of the pay items that a base leaves out, worked out once for each family and state. */
const known = new Map<string, ReadonlySet<string>>();

/** The items that do not enter (or are taken out of) wages of a family, as a state sees them. */
export function itemsOutOf(family: BaseFamily, state = ''): ReadonlySet<string> {
  const key = `${family} ${state}`;
  const found = known.get(key);
  if (found) return found;
  const out = new Set(PAY_ITEMS.filter((item: PayItem) => item.outOf.includes(family)).map((item) => item.code));
  const base = family === 'state-income' ? 'SIT' : family === 'state-unemployment' ? 'SUI' : null;
  for (const view of findState(state)?.views ?? []) {
    if (view.base !== base) continue;
    for (const code of view.taxes ?? []) out.delete(code);
    for (const code of view.excludes ?? []) out.add(code);
  }
  known.set(key, out);
  return out;
}
