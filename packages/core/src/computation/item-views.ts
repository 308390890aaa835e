import { PAY_ITEMS, type BaseFamily, type PayItem } from '../items/registry.js';
import { BASE_FAMILIES } from '../items/treatment.js';
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

/** Every kind of wages a check is asked for: the bases of the taxes, and gross pay. */
export type WageFamily = BaseFamily | 'gross';
export const WAGE_FAMILIES: readonly WageFamily[] = [...BASE_FAMILIES.map(([family]) => family), 'gross'];
export const FAMILY_INDEX = Object.fromEntries(WAGE_FAMILIES.map((family, index) => [family, index])) as Readonly<
  Record<WageFamily, number>
>;

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

/** By the place of an item in the list: a bit for each family of wages (by FAMILY_INDEX) that it is out of. */
export type OutMasks = Uint8Array;
const ofDay: { day: LocalDate | null; readonly byState: Map<string, OutMasks> } = { day: null, byState: new Map() };
/**
 * What every pay item is out of, as one state sees it on one day. Checks come by the payroll: the answers of one day are
 * kept until another is asked for.
 */
export function outMasks(state: string, day: LocalDate): OutMasks {
  if (ofDay.day !== day) {
    ofDay.day = day;
    ofDay.byState.clear();
  }
  let masks = ofDay.byState.get(state);
  if (!masks) {
    masks = masksFor(state, day);
    ofDay.byState.set(state, masks);
  }
  return masks;
}
function masksFor(state: string, day: LocalDate): OutMasks {
  const masks = new Uint8Array(PAY_ITEMS.length);
  for (const family of WAGE_FAMILIES) {
    const out = family === 'gross' ? null : itemsOutOf(family, state, day);
    for (const item of PAY_ITEMS)
      if (out ? out.has(item) : isNoPay(item))
        masks[item.index] = (masks[item.index] ?? 0) | (1 << FAMILY_INDEX[family]);
  }
  return masks;
}

/** An earning that is wages of no kind, such as a reimbursement, is not gross pay either; deductions never lower that. */
const isNoPay = ({ list, outOf }: PayItem): boolean => list === 'earning' && outOf.length === BASE_FAMILIES.length;

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

function setOf(family: BaseFamily, views: readonly ItemView[]): ItemSet {
  const out = new Set(PAY_ITEMS.filter((item) => item.outOf.includes(family)).map((item) => item.code));
  for (const view of views) {
    for (const code of view.taxes ?? []) out.delete(code);
    for (const code of view.excludes ?? []) out.add(code);
  }
  return new ItemSet(out);
}
