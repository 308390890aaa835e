import { dollars, type Cents } from '../../money/cents.js';
import { dated, recalled, year, years, type Dated } from '../dated.js';
import { publication } from '../state-words.js';

const CCPA = publication('15 U.S.C. § 1673; 29 U.S.C. § 206', 'United States Code', '2025');
const PUB_1494 = (edition: string) =>
  publication('Publication 1494, Table for Figuring Amount Exempt From Levy', 'Internal Revenue Service', edition);

/** 30 × the federal minimum hourly wage of 7.25, a week. */
export const EARNINGS_FREE_OF_GARNISHMENT: readonly Dated<Cents>[] = [
  dated(years(2024, 2026), recalled(CCPA, '30 × 7.25'), dollars('217.50')),
];

/** Filing statuses of the statement on Form 668-W. */
type Filing = 'single' | 'married-jointly' | 'married-separately' | 'head-of-household';
interface LevyExemption {
  readonly standardDeduction: Readonly<Record<Filing, Cents>>;
  readonly eachDependent: Cents;
  /** For each of age 65 and blindness, of the person and the spouse, by filing status. */
  readonly eachAgeOrBlind: Readonly<Record<Filing, Cents>>;
}
const byFiling = (single: string, joint: string, head: string): Readonly<Record<Filing, Cents>> => ({
  single: dollars(single),
  'married-separately': dollars(single),
  'married-jointly': dollars(joint),
  'head-of-household': dollars(head),
});
const levy = (
  [single, joint, head]: readonly [string, string, string],
  each: string,
  [unmarried, married]: readonly [string, string],
): LevyExemption => ({
  standardDeduction: byFiling(single, joint, head),
  eachDependent: dollars(each),
  eachAgeOrBlind: { ...byFiling(unmarried, married, unmarried), 'married-separately': dollars(married) },
});
/** A year's exemption; the table divides it by the pay periods. */
export const LEVY_EXEMPTION: readonly Dated<LevyExemption>[] = [
  dated(year(2024), recalled(PUB_1494('2024'), 'tables'), levy(['14600', '29200', '21900'], '5050', ['1950', '1550'])),
  dated(year(2025), recalled(PUB_1494('2025'), 'tables'), levy(['15000', '30000', '22500'], '5200', ['2000', '1600'])),
  dated(
    year(2026),
    recalled(PUB_1494('2026'), 'tables', 'The amount for each dependent is recalled.'),
    levy(['16100', '32200', '24150'], '5300', ['2050', '1650']),
  ),
];

/** The federal minimum hourly wage. */
export const FEDERAL_WAGE: readonly Dated<Cents>[] = [
  dated(years(2024, 2026), recalled(CCPA, '7.25'), dollars('7.25')),
];
