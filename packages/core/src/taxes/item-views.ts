import { PAY_ITEMS, type BaseFamily, type PayItem } from '../items/registry.js';
import { findState } from '../jurisdictions/states.js';

/** Pay items that a base leaves out, by their place in the list: asked for every line of every base. */
export class ItemSet {
  private readonly isIn: readonly boolean[];
  constructor(codes: ReadonlySet<string>) {
    this.isIn = PAY_ITEMS.map((item) => codes.has(item.code));
  }
  has(item: PayItem): boolean {
    return this.isIn[item.index] === true;
  }
}

/** What of gross pay is no pay. */
export const OUT_OF_GROSS = new ItemSet(new Set(['reimbursement']));

/** The sets, worked out once for each family and state. */
const known = new Map<BaseFamily, Map<string, ItemSet>>();

/** The items that do not enter (or are taken out of) wages of a family, as a state sees them. */
export function itemsOutOf(family: BaseFamily, state = ''): ItemSet {
  let byState = known.get(family);
  if (!byState) known.set(family, (byState = new Map()));
  let out = byState.get(state);
  if (!out) byState.set(state, (out = work(family, state)));
  return out;
}

/** Sets with the same items are one set, so that wages of like bases are added up once. */
const alike = new Map<string, ItemSet>();
function work(family: BaseFamily, state: string): ItemSet {
  const out = new Set(PAY_ITEMS.filter((item) => item.outOf.includes(family)).map((item) => item.code));
  const base = family === 'state-income' ? 'SIT' : family === 'state-unemployment' ? 'SUI' : null;
  for (const view of findState(state)?.views ?? []) {
    if (view.base !== base) continue;
    for (const code of view.taxes ?? []) out.delete(code);
    for (const code of view.excludes ?? []) out.add(code);
  }
  const key = [...out].sort().join(' ');
  const same = alike.get(key);
  if (same) return same;
  const made = new ItemSet(out);
  alike.set(key, made);
  return made;
}
