import { dollars, type Cents } from '../money/cents.js';
import { rate, type Rate } from '../money/rate.js';
import { between, dated, recalled, type Dated, type Provenance } from './dated.js';
import { sourceOf, type Source } from './sources/register.js';
import type { Agency, ItemView, Supplemental } from './state.js';

export const agency = (code: string, name: string, short: string): Agency => ({ code, name, short });
export const publication = (title: string, publisher: string, edition: string): Source => ({
  title,
  publisher,
  edition,
});

/** Salary reductions under a cafeteria plan (IRC § 125). */
export const CAFETERIA_ITEMS = [
  'section-125-health',
  'section-125-other',
  'fsa',
  'dependent-care',
  'hsa',
  'section-125-hsa',
] as const;

/** Elective deferrals before income tax. */
export const DEFERRAL_ITEMS = ['401k', 'catch-up-401k', '403b', '457b', 'simple-ira'] as const;

/** States that did not follow the federal law of 2017, which made reimbursed moving expenses wages. */
export const movingIsExcluded = (source: Source): ItemView => ({
  base: 'SIT',
  excludes: ['moving'],
  provenance: recalled(
    source,
    'reimbursed moving expenses, excluded as under IRC § 132(g) before 2018',
    'Pay for a move that the former law did not cover is taxed: use an item of your own for it.',
  ),
});

/** A row of a parameter: the day from which it holds, where it comes from, and its value. */
export interface Begun<T> {
  readonly from: string;
  readonly provenance: Provenance;
  readonly value: T;
}
/** The value of the row before, from a day on. */
interface Again {
  readonly from: string;
  readonly again: true;
}
export const row = <T>(from: string, provenance: Provenance, value: T): Begun<T> => ({ from, provenance, value });
/** The same value for one more year. Where the publication is of an earlier year, that is a doubt. */
export const again = (from: string): Again => ({ from, again: true });

/** Law is not printed anew each year. */
const LASTING = /legislature|code|statute/i;
/** A row that rests on the edition of an earlier year says so. */
function restingOn(provenance: Provenance, from: string): Provenance {
  const { edition, publisher } = sourceOf(provenance.source);
  const printed = /\b(19|20)\d\d\b/.exec(edition)?.[0];
  const year = from.slice(0, 4);
  if (printed === undefined || printed >= year || LASTING.test(publisher)) return provenance;
  const says = `Taken from the edition of ${printed}; that of ${year} was not at hand.`;
  return { ...provenance, doubt: provenance.doubt === undefined ? says : `${provenance.doubt} ${says}` };
}

/**
 * The rows of a parameter, each from its day until the next begins, the last until its year ends: nothing is carried into a
 * year that has no row. A new year is one more row; none of the others changes.
 */
export function beginning<T>(...begun: readonly (Begun<T> | Again)[]): readonly Dated<T>[] {
  const made: Dated<T>[] = [];
  begun.forEach((one, index) => {
    const before = made.at(-1);
    const until = begun[index + 1]?.from ?? `${Number(one.from.slice(0, 4)) + 1}-01-01`;
    const span = between(one.from, until);
    if (!('again' in one)) made.push(dated(span, restingOn(one.provenance, one.from), one.value));
    else if (before) {
      const first = begun.slice(0, index).findLast((earlier): earlier is Begun<T> => !('again' in earlier));
      made.push(dated(span, restingOn(first?.provenance ?? before, one.from), before.value));
    } else throw new RangeError('a parameter cannot begin with the value before it');
  });
  return made;
}

/** Taxable wage base for unemployment, in dollars a year, from the table of its year. */
export const wageBase = (from: string, source: Source, amount: string, doubt?: string): Begun<Cents> =>
  row(from, recalled({ ...source, edition: from.slice(0, 4) }, 'taxable wage base', doubt), dollars(amount));

export const flatSupplemental = (by: string, items?: Readonly<Record<string, string>>): Supplemental =>
  items
    ? {
        is: 'flat',
        rate: rate(by),
        items: Object.fromEntries(Object.entries(items).map(([item, own]): [string, Rate] => [item, rate(own)])),
      }
    : { is: 'flat', rate: rate(by) };
export const TOGETHER: Supplemental = { is: 'together' };
/** Above this an unemployment rate is taken for a slip of the decimal point. */
export const PLAUSIBLE = rate('0.2');
