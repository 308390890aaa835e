import type { PayItem } from '../items/registry.js';
import type { Cents } from '../money/cents.js';
import type { Earning, OwnItemName } from '../computation/input.js';
import type { DeductionLine, EarningLine } from '../computation/result.js';

/** A line of a paycheck: called by the standard item, and by the firm's own name and label where it has them. */
export const namedLine = (item: PayItem, own: OwnItemName | null, amount: Cents): DeductionLine =>
  own ? { item: item.code, name: own.name, label: own.label, amount } : { item: item.code, label: item.label, amount };

/** A line of pay, with the job it is booked to where it names one. */
export function earningLine({
  item,
  own,
  job,
  amount,
}: Pick<Earning, 'item' | 'own' | 'job'> & { readonly amount: Cents }): EarningLine {
  const line = namedLine(item, own, amount);
  return job === null ? line : { ...line, job };
}
