import type { PayItem } from '../../items/registry.js';
import { BOX_OF_ITEM } from './form.js';

/** Where a pay item stands on Form W-2: the boxes it is in, and those whose wages it lowers. */
export interface W2Place {
  readonly fills: readonly string[];
  readonly lowers: readonly string[];
}

/** Boxes of items that box 14 names (General Instructions for Forms W-2 and W-3). */
const BOX_14: ReadonlySet<string> = new Set(['shareholder-health']);

/** The boxes of one item by its federal treatment; one of the client's own has those of the item it is treated as. */
export function w2PlaceOf(item: PayItem): W2Place {
  const isIn = (family: 'income' | 'social'): boolean => item.list === 'earning' && !item.outOf.includes(family);
  const isTips = item.list === 'earning' && item.isTips;
  const isLowered = (family: 'income' | 'social'): boolean => item.list === 'deduction' && item.outOf.includes(family);
  const own = BOX_OF_ITEM[item.code];
  const fills = [
    ...(isIn('income') ? ['1'] : []),
    ...(isIn('social') ? [isTips ? '7' : '3', '5'] : []),
    ...(own ? [own.replace('box', '')] : []),
    ...(item.box12 === null ? [] : [`12 ${item.box12}`]),
    ...(BOX_14.has(item.code) ? ['14'] : []),
  ];
  return { fills, lowers: [...(isLowered('income') ? ['1'] : []), ...(isLowered('social') ? ['3', '5'] : [])] };
}

/** An item that no box of Form W-2 shows, and that lowers none: it is in the register only. */
export const isOffW2 = (item: PayItem): boolean => {
  const { fills, lowers } = w2PlaceOf(item);
  return fills.length === 0 && lowers.length === 0;
};
