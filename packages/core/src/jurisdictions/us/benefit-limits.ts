import { dollars, type Cents } from '../../money/cents.js';
import { dated, recalled, year, years, type Dated } from '../dated.js';
import { publication } from '../state-words.js';

/** Yearly limits on what may be deferred or set aside, in cents. */
export interface BenefitLimits {
  readonly deferral: Cents;
  readonly catchUp: Cents;
  /** For ages 60 to 63 (SECURE 2.0 Act § 109). */
  readonly catchUp60: Cents;
  readonly simple: Cents;
  readonly simpleCatchUp: Cents;
  readonly simpleCatchUp60: Cents;
  readonly hsaSelf: Cents;
  readonly hsaFamily: Cents;
  /** From the year of the 55th birthday on (IRC § 223(b)(3)). */
  readonly hsaCatchUp: Cents;
  readonly fsa: Cents;
  readonly dependentCare: Cents;
  readonly transitPerMonth: Cents;
}
const limits = (values: Readonly<Record<keyof BenefitLimits, string>>): BenefitLimits =>
  Object.fromEntries(Object.entries(values).map(([name, text]) => [name, dollars(text)])) as unknown as BenefitLimits;
const NOTICE = (notice: string, edition: string) => publication(notice, 'Internal Revenue Service', edition);

export const BENEFIT_LIMITS: readonly Dated<BenefitLimits>[] = [
  dated(
    year(2024),
    recalled(NOTICE('Notice 2023-75; Rev. Proc. 2023-23; Rev. Proc. 2023-34', '2023'), 'limits for 2024'),
    limits({
      deferral: '23000',
      catchUp: '7500',
      catchUp60: '7500',
      simple: '16000',
      simpleCatchUp: '3500',
      simpleCatchUp60: '3500',
      hsaSelf: '4150',
      hsaFamily: '8300',
      hsaCatchUp: '1000',
      fsa: '3200',
      dependentCare: '5000',
      transitPerMonth: '315',
    }),
  ),
  dated(
    year(2025),
    recalled(NOTICE('Notice 2024-80; Rev. Proc. 2024-25; Rev. Proc. 2024-40', '2024'), 'limits for 2025'),
    limits({
      deferral: '23500',
      catchUp: '7500',
      catchUp60: '11250',
      simple: '16500',
      simpleCatchUp: '3500',
      simpleCatchUp60: '5250',
      hsaSelf: '4300',
      hsaFamily: '8550',
      hsaCatchUp: '1000',
      fsa: '3300',
      dependentCare: '5000',
      transitPerMonth: '325',
    }),
  ),
  dated(
    year(2026),
    recalled(NOTICE('Notice 2025-67; Rev. Proc. 2025-19; Rev. Proc. 2025-32', '2025'), 'limits for 2026'),
    limits({
      deferral: '24500',
      catchUp: '8000',
      catchUp60: '11250',
      simple: '17000',
      simpleCatchUp: '4000',
      simpleCatchUp60: '5250',
      hsaSelf: '4400',
      hsaFamily: '8750',
      hsaCatchUp: '1000',
      fsa: '3400',
      dependentCare: '7500',
      transitPerMonth: '340',
    }),
  ),
];

/**
 * OASDI wages that the employer paid in the year before, in cents, above which a catch-up deferral may only be Roth;
 * null: in no case. Source: IRC § 414(v)(7), by Notice 2023-62 not before 2026.
 */
export const ROTH_CATCH_UP: readonly Dated<{ readonly priorWagesOver: Cents | null }>[] = [
  dated(years(2024, 2025), recalled(NOTICE('Notice 2023-62', '2023'), 'administrative transition period'), {
    priorWagesOver: null,
  }),
  dated(year(2026), recalled(NOTICE('Notice 2025-67', '2025'), 'Roth catch-up wage threshold for 2026'), {
    priorWagesOver: dollars('150000'),
  }),
];
