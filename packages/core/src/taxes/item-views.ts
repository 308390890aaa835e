import { PAY_ITEMS, type BaseFamily, type PayItem } from '../items/registry.js';
import type { LocalDate } from '../calendar/local-date.js';
import type { ItemView } from '../jurisdictions/state.js';
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

/** Items out of a family in one stretch of time. */
interface Stretch {
  /** The day it ends before; null: it does not end. */
  readonly until: LocalDate | null;
  readonly out: ItemSet;
}
/** The stretches in order, worked out once for each family and state. */
const known = new Map<BaseFamily, Map<string, readonly Stretch[]>>();

/** The items that do not enter (or are taken out of) wages of a family on a day, as a state sees them. */
export function itemsOutOf(family: BaseFamily, state: string, day: LocalDate): ItemSet {
  let byState = known.get(family);
  if (!byState) known.set(family, (byState = new Map()));
  let stretches = byState.get(state);
  if (!stretches) byState.set(state, (stretches = stretchesOf(family, state)));
  for (const stretch of stretches) if (stretch.until === null || day < stretch.until) return stretch.out;
  throw new RangeError(`no view of ${family} on ${day}`);
}

/** The items out of every family, as one state sees them on one day. */
export type Views = Readonly<Record<BaseFamily, ItemSet>>;
const ofDay: { day: LocalDate | null; readonly byState: Map<string, Views> } = { day: null, byState: new Map() };
/** Checks come by the payroll: the views of one day are kept until another is asked for. */
export function viewsOf(state: string, day: LocalDate): Views {
  if (ofDay.day !== day) {
    ofDay.day = day;
    ofDay.byState.clear();
  }
  let views = ofDay.byState.get(state);
  if (!views) {
    views = {
      income: itemsOutOf('income', '', day),
      social: itemsOutOf('social', '', day),
      unemployment: itemsOutOf('unemployment', '', day),
      'state-income': itemsOutOf('state-income', state, day),
      'state-unemployment': itemsOutOf('state-unemployment', state, day),
      local: itemsOutOf('local', state, day),
    };
    ofDay.byState.set(state, views);
  }
  return views;
}

const BASE_OF: Readonly<Partial<Record<BaseFamily, ItemView['base']>>> = {
  'state-income': 'SIT',
  'state-unemployment': 'SUI',
  local: 'LOCAL',
};

function stretchesOf(family: BaseFamily, state: string): readonly Stretch[] {
  const base = BASE_OF[family];
  const views = (findState(state)?.views ?? []).filter((view) => view.base === base);
  const marks = views.flatMap((view) => [view.from, view.until]).filter((mark) => mark !== undefined);
  const ends = [...new Set(marks)].sort();
  return [...ends, null].map((until, index) => {
    const from = ends[index - 1];
    const holds = (view: ItemView): boolean =>
      (view.from === undefined || (from !== undefined && view.from <= from)) &&
      (view.until === undefined || (until !== null && view.until >= until));
    return { until, out: setOf(family, views.filter(holds)) };
  });
}

/** Sets with the same items are one set, so that wages of like bases are added up once. */
const alike = new Map<string, ItemSet>();
function setOf(family: BaseFamily, views: readonly ItemView[]): ItemSet {
  const out = new Set(PAY_ITEMS.filter((item) => item.outOf.includes(family)).map((item) => item.code));
  for (const view of views) {
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
