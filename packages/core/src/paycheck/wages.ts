import type { BaseFamily } from '../items/registry.js';
import { cents, type Cents } from '../money/cents.js';
import { itemsOutOf } from '../taxes/item-views.js';
import type { EarningItem } from '../items/registry.js';
import type { OwnItemName } from './input.js';
import type { DeductionLine } from './result.js';

/** Wages of one base in this check, split as withholding needs them. Deductions lower the regular part first. */
export interface BaseWages {
  readonly regular: Cents;
  readonly supplemental: Cents;
  /** In the total, but nothing is withheld on it (group-term life). */
  readonly notWithheldOn: Cents;
  readonly total: Cents;
}
export interface EarnedAmount {
  readonly own: OwnItemName | null;
  readonly item: EarningItem;
  readonly amount: Cents;
}

const NO_ITEMS: readonly EarnedAmount[] = [];
const NOTHING_OUT: ReadonlySet<string> = new Set(['reimbursement']);

/** The earnings and pre-tax deductions of one check, as each base sees them. */
export class Wages {
  private readonly sets: ReadonlySet<string>[] = [];
  private readonly made: BaseWages[] = [];
  private readonly hasSupplemental: boolean;

  constructor(
    readonly earnings: readonly EarnedAmount[],
    readonly deductions: readonly DeductionLine[],
  ) {
    this.hasSupplemental = earnings.some((line) => line.item.kind === 'supplemental');
  }

  of(family: BaseFamily | 'gross', state = ''): BaseWages {
    const out = family === 'gross' ? NOTHING_OUT : itemsOutOf(family, state);
    // A handful of different sets a check: looking through them is quicker than a map.
    const known = this.made[this.sets.indexOf(out)];
    if (known) return known;
    const made = this.add(out);
    this.sets.push(out);
    this.made.push(made);
    return made;
  }

  /** Supplemental wages of a base item by item, before deductions. */
  supplementalItems(family: BaseFamily, state: string): readonly EarnedAmount[] {
    if (!this.hasSupplemental) return NO_ITEMS;
    const out = itemsOutOf(family, state);
    return this.earnings.filter((line) => line.item.kind === 'supplemental' && !out.has(line.item.code));
  }

  private add(out: ReadonlySet<string>): BaseWages {
    let regular = 0;
    let supplemental = 0;
    let notWithheldOn = 0;
    for (const { item, amount } of this.earnings) {
      if (out.has(item.code)) continue;
      if (item.isNotWithheldOn) notWithheldOn += amount;
      else if (item.kind === 'supplemental') supplemental += amount;
      else regular += amount;
    }
    let reduction = 0;
    for (const line of this.deductions) if (out.has(line.item)) reduction += line.amount;
    const fromRegular = Math.min(reduction, Math.max(regular, 0));
    const left = Math.max(supplemental - (reduction - fromRegular), 0);
    regular -= fromRegular;
    return {
      regular: cents(regular),
      supplemental: cents(left),
      notWithheldOn: cents(notWithheldOn),
      total: cents(regular + left + notWithheldOn),
    };
  }
}
