import type { LocalDate } from '../calendar/local-date.js';
import type { EarningItem } from '../items/registry.js';
import { cents, showDollars, type Cents } from '../money/cents.js';
import { FAMILY_INDEX, WAGE_FAMILIES, outMasks, type OutMasks, type WageFamily } from './item-views.js';
import type { Deduction, OwnItemName } from './input.js';
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
type Line = Pick<EarnedAmount | Deduction, 'item' | 'own'>;

/** The families a line is out of, a bit for each: those of its item, but for a treatment of its own. */
function maskOf({ item, own }: Line, masks: OutMasks): number {
  let mask = masks[item.index] ?? 0;
  const treatment = own?.treatment;
  if (treatment)
    for (const family of WAGE_FAMILIES) {
      const other = family === 'gross' ? undefined : treatment[family];
      if (other === 'untaxed') mask |= 1 << FAMILY_INDEX[family];
      else if (other === 'taxed') mask &= ~(1 << FAMILY_INDEX[family]);
    }
  return mask;
}

const NO_ITEMS: readonly EarnedAmount[] = [];
const FAMILIES = WAGE_FAMILIES.length;
/** The sums of one family stand together: regular, supplemental, not withheld on, and what deductions take out. */
const PARTS = 4;

/** The earnings and pre-tax deductions of one check, as each base sees them. */
export class Wages {
  private readonly hasSupplemental: boolean;
  private masks: OutMasks;
  private sums: readonly number[];
  /** Wages that were asked for, by family. */
  private made: (BaseWages | null)[];

  constructor(
    readonly earnings: readonly EarnedAmount[],
    private readonly deductions: readonly Deduction[],
    /** What each of the deductions took, in their order. */
    private readonly taken: readonly DeductionLine[],
    /** The check date. */
    private readonly day: LocalDate,
    /** The state whose view was asked for last; to begin with, where the work is. */
    private state: string,
  ) {
    let hasSupplemental = false;
    for (const line of earnings) if (line.item.kind === 'supplemental') hasSupplemental = true;
    this.hasSupplemental = hasSupplemental;
    this.masks = outMasks(state, day);
    this.sums = this.addUp();
    this.made = [null, null, null, null, null, null, null];
  }

  /** Wages of a federal family, or of a state's; `state` does not matter to a federal one. */
  of(family: WageFamily, state = this.state): BaseWages {
    if (state !== this.state) this.look(state);
    const index = FAMILY_INDEX[family];
    return (this.made[index] ??= this.make(index * PARTS));
  }

  /** Takes the view of another state. */
  private look(state: string): void {
    this.state = state;
    this.masks = outMasks(state, this.day);
    this.sums = this.addUp();
    this.made = [null, null, null, null, null, null, null];
  }

  private addUp(): readonly number[] {
    const sums: number[] = new Array<number>(FAMILIES * PARTS).fill(0);
    for (const line of this.earnings) {
      const { item } = line;
      const mask = maskOf(line, this.masks);
      const part = item.isNotWithheldOn ? 2 : item.kind === 'supplemental' ? 1 : 0;
      for (let family = 0; family < FAMILIES; family += 1)
        if ((mask & (1 << family)) === 0)
          sums[family * PARTS + part] = (sums[family * PARTS + part] ?? 0) + line.amount;
    }
    for (let index = 0; index < this.taken.length; index += 1) {
      const line = this.taken[index];
      const deduction = this.deductions[index];
      if (!line || !deduction) continue;
      const mask = maskOf(deduction, this.masks);
      for (let family = 0; family < FAMILIES; family += 1)
        if ((mask & (1 << family)) !== 0) sums[family * PARTS + 3] = (sums[family * PARTS + 3] ?? 0) + line.amount;
    }
    return sums;
  }

  private make(at: number): BaseWages {
    const { sums } = this;
    const regular = sums[at] ?? 0;
    const supplemental = sums[at + 1] ?? 0;
    const notWithheldOn = sums[at + 2] ?? 0;
    const reduction = sums[at + 3] ?? 0;
    const fromRegular = Math.min(reduction, Math.max(regular, 0));
    const left = Math.max(supplemental - (reduction - fromRegular), 0);
    return {
      regular: cents(regular - fromRegular),
      supplemental: cents(left),
      notWithheldOn: cents(notWithheldOn),
      total: cents(regular - fromRegular + left + notWithheldOn),
    };
  }

  /** Supplemental wages of a base item by item, before deductions. */
  supplementalItems(family: WageFamily, state: string): readonly EarnedAmount[] {
    if (!this.hasSupplemental) return NO_ITEMS;
    return this.earnings.filter((line) => line.item.kind === 'supplemental' && !this.isOut(line, family, state));
  }

  /**
   * What wages of a base are made of, for a working: the earnings in it and the deductions out of it. `regular` leaves out
   * supplemental wages, `withheld-on` what nothing is withheld on.
   */
  madeOf(family: WageFamily, state: string, part: 'regular' | 'withheld-on' | 'total' = 'total'): string {
    const earned = this.earnings.filter(
      (line) =>
        line.amount !== 0 &&
        !this.isOut(line, family, state) &&
        !(part !== 'total' && line.item.isNotWithheldOn) &&
        !(part === 'regular' && line.item.kind === 'supplemental'),
    );
    const taken = this.deductions.flatMap((deduction, index) => {
      const line = this.taken[index];
      return line && line.amount !== 0 && this.isOut(deduction, family, state) ? [line] : [];
    });
    return [
      earned.map((line) => `${showDollars(line.amount)} ${line.own?.label ?? line.item.label}`).join(' + '),
      ...taken.map((line) => `${showDollars(line.amount)} ${line.label}`),
    ].join(' − ');
  }

  private isOut(line: Line, family: WageFamily, state: string): boolean {
    const masks = state === this.state ? this.masks : outMasks(state, this.day);
    return (maskOf(line, masks) & (1 << FAMILY_INDEX[family])) !== 0;
  }
}
