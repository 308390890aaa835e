import type { PayItem } from '../items/registry.js';
import type { OwnItemName } from './input.js';

/** How a line of a paycheck is called: by the standard item, and by the firm's own name and label where it has them. */
export const named = (item: PayItem, own: OwnItemName | null): { item: string; name?: string; label: string } =>
  own ? { item: item.code, name: own.name, label: own.label } : { item: item.code, label: item.label };
