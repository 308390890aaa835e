import { dollars, type Cents } from '../money/cents.js';
import { rate, type Rate } from '../money/rate.js';
import { dated, recalled, year, years, type Dated, type Provenance } from './dated.js';
import type { Source } from './sources/register.js';
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

/** Taxable wage base for unemployment in 2025 and 2026, in dollars a year. */
export const wageBases = (source: Source, of2025: string, of2026: string, doubt?: string): readonly Dated<Cents>[] =>
  of2025 === of2026
    ? [dated(years(2025, 2026), recalled(source, 'taxable wage base', doubt), dollars(of2025))]
    : [
        dated(year(2025), recalled(source, 'taxable wage base', doubt), dollars(of2025)),
        dated(year(2026), recalled(source, 'taxable wage base', doubt), dollars(of2026)),
      ];

/** The same with 2024, for states whose checks of that year are computed in full: those without an income tax. */
export const wageBasesFrom2024 = (
  source: Source,
  of2024: string,
  of2025: string,
  of2026: string,
): readonly Dated<Cents>[] => [
  dated(year(2024), recalled(source, 'taxable wage base'), dollars(of2024)),
  ...wageBases(source, of2025, of2026),
];

/** One value for 2024 to 2026. */
export const since2024 = <T>(provenance: Provenance, value: T): readonly Dated<T>[] => [
  dated(years(2024, 2026), provenance, value),
];
/** One value for both years. */
export const both = <T>(provenance: Provenance, value: T): readonly Dated<T>[] => [
  dated(years(2025, 2026), provenance, value),
];
export const yearly = <T>(of2025: readonly [Provenance, T], of2026: readonly [Provenance, T]): readonly Dated<T>[] => [
  dated(year(2025), ...of2025),
  dated(year(2026), ...of2026),
];
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
