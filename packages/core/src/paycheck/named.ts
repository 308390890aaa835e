import type { PayItem } from '../items/registry.js';
import type { Cents } from '../money/cents.js';
import type { OwnItemName } from './input.js';
import type { DeductionLine } from './result.js';

/** A line of a paycheck: called by the standard item, and by the firm's own name and label where it has them. */
export const namedLine = (item: PayItem, own: OwnItemName | null, amount: Cents): DeductionLine =>
  own ? { item: item.code, name: own.name, label: own.label, amount } : { item: item.code, label: item.label, amount };
