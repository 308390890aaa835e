import type { LocalDate } from '../calendar/local-date.js';
import type { BaseFamily } from '../items/registry.js';
import { cents, showDollars, type Cents } from '../money/cents.js';
import { OUT_OF_GROSS, itemsOutOf, viewsOf, type ItemSet } from '../taxes/item-views.js';
import type { EarningItem } from '../items/registry.js';
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

function isOut(
  line: Pick<EarnedAmount | Deduction, 'item' | 'own'>,
  family: BaseFamily | 'gross',
  out: ItemSet,
): boolean {
  const treatment = line.own?.treatment;
  const own = treatment && family !== 'gross' ? treatment[family] : undefined;
  return own === undefined ? out.has(line.item) : own === 'untaxed';
}

const NO_ITEMS: readonly EarnedAmount[] = [];

/** The earnings and pre-tax deductions of one check, as each base sees them. */
export class Wages {
  private readonly sets: ItemSet[] = [];
  private readonly made: BaseWages[] = [];
  private readonly hasSupplemental: boolean;
  /** Whether a line has a treatment of its own: then bases with the same items may still differ. */
  private readonly hasTreatments: boolean;
  /** Wages that were asked for, by family; those of a state are of the one asked for last. */
  private readonly asked: Record<BaseFamily | 'gross', BaseWages | null> = {
    income: null,
    social: null,
    unemployment: null,
    'state-income': null,
    'state-unemployment': null,
    local: null,
    gross: null,
  };
  constructor(
    readonly earnings: readonly EarnedAmount[],
    private readonly deductions: readonly Deduction[],
    /** What each of the deductions took, in their order. */
    private readonly taken: readonly DeductionLine[],
    /** The check date. */
    private readonly day: LocalDate,
    /** The state whose view is asked for last; to begin with, where the work is. */
    private state: string,
  ) {
    let hasSupplemental = false;
    let hasTreatments = false;
    for (const line of earnings) {
      if (line.item.kind === 'supplemental') hasSupplemental = true;
      if (line.own !== null && line.own.treatment !== null) hasTreatments = true;
    }
    for (const line of deductions) if (line.own !== null && line.own.treatment !== null) hasTreatments = true;
    this.hasSupplemental = hasSupplemental;
    this.hasTreatments = hasTreatments;
  }

  /** Wages of a federal family, or of a state's; `state` is not looked at for a federal one. */
  of(family: BaseFamily | 'gross', state = this.state): BaseWages {
    if (state !== this.state) {
      this.state = state;
      this.asked['state-income'] = null;
      this.asked['state-unemployment'] = null;
      this.asked.local = null;
    }
    return (this.asked[family] ??= this.find(family, state));
  }

  private find(family: BaseFamily | 'gross', state: string): BaseWages {
    const out = family === 'gross' ? OUT_OF_GROSS : viewsOf(state, this.day)[family];
    if (this.hasTreatments) return this.add(out, family);
    // A handful of different sets a check: looking through them is quicker than a map.
    const known = this.made[this.sets.indexOf(out)];
    if (known) return known;
    const made = this.add(out, family);
    this.sets.push(out);
    this.made.push(made);
    return made;
  }

  /** Supplemental wages of a base item by item, before deductions. */
  supplementalItems(family: BaseFamily, state: string): readonly EarnedAmount[] {
    if (!this.hasSupplemental) return NO_ITEMS;
    const out = itemsOutOf(family, state, this.day);
    return this.earnings.filter((line) => line.item.kind === 'supplemental' && !isOut(line, family, out));
  }

  /**
   * What wages of a base are made of, for a working: the earnings in it and the deductions out of it. `regular` leaves out
   * supplemental wages, `withheld-on` what nothing is withheld on.
   */
  madeOf(family: BaseFamily | 'gross', state: string, part: 'regular' | 'withheld-on' | 'total' = 'total'): string {
    const out = family === 'gross' ? OUT_OF_GROSS : viewsOf(state, this.day)[family];
    const earned = this.earnings.filter(
      (line) =>
        line.amount !== 0 &&
        !isOut(line, family, out) &&
        !(part !== 'total' && line.item.isNotWithheldOn) &&
        !(part === 'regular' && line.item.kind === 'supplemental'),
    );
    const taken = this.deductions.flatMap((deduction, index) => {
      const line = this.taken[index];
      return line && line.amount !== 0 && isOut(deduction, family, out) ? [line] : [];
    });
    return [
      earned.map((line) => `${showDollars(line.amount)} ${line.own?.label ?? line.item.label}`).join(' + '),
      ...taken.map((line) => `${showDollars(line.amount)} ${line.label}`),
    ].join(' − ');
  }

  private add(out: ItemSet, family: BaseFamily | 'gross'): BaseWages {
    let regular = 0;
    let supplemental = 0;
    let notWithheldOn = 0;
    for (const line of this.earnings) {
      const { item, amount } = line;
      if (isOut(line, family, out)) continue;
      if (item.isNotWithheldOn) notWithheldOn += amount;
      else if (item.kind === 'supplemental') supplemental += amount;
      else regular += amount;
    }
    let reduction = 0;
    for (let index = 0; index < this.taken.length; index += 1) {
      const [line, deduction] = [this.taken[index], this.deductions[index]];
      if (line && deduction && isOut(deduction, family, out)) reduction += line.amount;
    }
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
