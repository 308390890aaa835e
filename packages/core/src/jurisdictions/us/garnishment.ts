import { dollars, type Cents } from '../../money/cents.js';
import { rate, type Rate } from '../../money/rate.js';
import { between, dated, recalled, year, years, type Dated, type Provenance } from '../dated.js';
import { publication } from '../state-words.js';

const CCPA = publication('15 U.S.C. § 1673; 29 U.S.C. § 206', 'United States Code', '2025');
const PUB_1494 = (edition: string) =>
  publication('Publication 1494, Table for Figuring Amount Exempt From Levy', 'Internal Revenue Service', edition);

/** 30 × the federal minimum hourly wage of 7.25, a week. */
export const EARNINGS_FREE_OF_GARNISHMENT: readonly Dated<Cents>[] = [
  dated(years(2024, 2026), recalled(CCPA, '30 × 7.25'), dollars('217.50')),
];

interface LevyExemption {
  readonly standardDeduction: Readonly<Record<string, Cents>>;
  readonly eachDependent: Cents;
}
const levy = (single: string, joint: string, head: string, each: string): LevyExemption => ({
  standardDeduction: {
    single: dollars(single),
    'married-separately': dollars(single),
    'married-jointly': dollars(joint),
    'head-of-household': dollars(head),
  },
  eachDependent: dollars(each),
});
/** A year's exemption; the table divides it by the pay periods. */
export const LEVY_EXEMPTION: readonly Dated<LevyExemption>[] = [
  dated(year(2024), recalled(PUB_1494('2024'), 'tables'), levy('14600', '29200', '21900', '5050')),
  dated(year(2025), recalled(PUB_1494('2025'), 'tables'), levy('15000', '30000', '22500', '5200')),
  dated(
    year(2026),
    recalled(PUB_1494('2026'), 'tables', 'The amount for each dependent is recalled.'),
    levy('16100', '32200', '24150', '5300'),
  ),
];

/** Earnings of a week that stay free: so many times a minimum hourly wage; of what is over them all, or a share. */
interface FreeHours {
  readonly hours: number;
  readonly minimumWage: readonly Dated<Cents>[];
  readonly share?: Rate;
}
/** Where a state allows a creditor less than the federal law does. Each limit that is given holds. */
export interface StateGarnishment extends Provenance {
  readonly isForbidden?: true;
  readonly ofDisposable?: Rate;
  readonly ofGross?: Rate;
  readonly free?: FreeHours;
}
const statute = (text: string, doubt?: string) =>
  recalled(publication(text, 'State legislature', '2025'), 'wage garnishment limit', doubt);
const WAGE = (state: string, doubt?: string) =>
  recalled(publication('State minimum wage', `Labor department of ${state}`, '2026'), 'hourly rate', doubt);
const wage = (
  state: string,
  [of2024, of2025, of2026]: readonly [string, string, string],
  doubt?: string,
): readonly Dated<Cents>[] => [
  dated(year(2024), WAGE(state, doubt), dollars(of2024)),
  dated(year(2025), WAGE(state, doubt), dollars(of2025)),
  dated(year(2026), WAGE(state, doubt), dollars(of2026)),
];
const FEDERAL_WAGE: readonly Dated<Cents>[] = [dated(years(2024, 2026), recalled(CCPA, '7.25'), dollars('7.25'))];
/** Hourly minimum wages of the states whose limits follow them. */
export const MINIMUM_WAGE = {
  AZ: wage('Arizona', ['14.35', '14.70', '15.15']),
  CA: wage('California', ['16.00', '16.50', '16.90']),
  CO: wage('Colorado', ['14.42', '14.81', '15.16']),
  CT: wage('Connecticut', ['15.69', '16.35', '16.94']),
  IL: wage('Illinois', ['14.00', '15.00', '15.00']),
  MA: wage('Massachusetts', ['15.00', '15.00', '15.00']),
  ME: wage('Maine', ['14.15', '14.65', '15.10']),
  MN: wage('Minnesota', ['10.85', '11.13', '11.41']),
  NY: wage('New York', ['15.00', '15.50', '16.00'], 'The rate outside New York City, Long Island and Westchester.'),
  VA: wage('Virginia', ['12.00', '12.41', '12.77']),
  WA: wage('Washington', ['16.28', '16.66', '17.13']),
  DC: [
    dated(between('2024-01-01', '2024-07-01'), WAGE('the District of Columbia'), dollars('17.00')),
    dated(between('2024-07-01', '2025-07-01'), WAGE('the District of Columbia'), dollars('17.50')),
    dated(between('2025-07-01', '2026-07-01'), WAGE('the District of Columbia'), dollars('17.95')),
    dated(
      between('2026-07-01', '2027-01-01'),
      WAGE('the District of Columbia', 'The rate of July 2026 is recalled less surely.'),
      dollars('18.40'),
    ),
  ],
} as const satisfies Record<string, readonly Dated<Cents>[]>;

/** States that are not here follow the federal limit. */
export const STATE_GARNISHMENT: Readonly<Record<string, StateGarnishment>> = {
  AZ: {
    ofDisposable: rate('0.10'),
    free: { hours: 60, minimumWage: MINIMUM_WAGE.AZ },
    ...statute('Arizona Revised Statutes § 33-1131'),
  },
  CA: {
    ofDisposable: rate('0.20'),
    free: { share: rate('0.40'), hours: 48, minimumWage: MINIMUM_WAGE.CA },
    ...statute('California Code of Civil Procedure § 706.050'),
  },
  CO: {
    ofDisposable: rate('0.20'),
    free: { hours: 40, minimumWage: MINIMUM_WAGE.CO },
    ...statute('Colorado Revised Statutes § 13-54-104'),
  },
  CT: {
    free: { hours: 40, minimumWage: MINIMUM_WAGE.CT },
    ...statute('Connecticut General Statutes § 52-361a'),
  },
  DC: {
    free: { share: rate('0.25'), hours: 40, minimumWage: MINIMUM_WAGE.DC },
    ...statute('D.C. Code § 16-572'),
  },
  DE: { ofDisposable: rate('0.15'), ...statute('10 Delaware Code § 4913') },
  IL: {
    ofGross: rate('0.15'),
    free: { hours: 45, minimumWage: MINIMUM_WAGE.IL },
    ...statute('735 ILCS 5/12-803'),
  },
  MA: {
    ofGross: rate('0.15'),
    free: { hours: 50, minimumWage: MINIMUM_WAGE.MA },
    ...statute('Massachusetts General Laws c. 235 § 34, c. 246 § 28'),
  },
  ME: {
    free: { hours: 40, minimumWage: MINIMUM_WAGE.ME },
    ...statute('14 Maine Revised Statutes § 3126-B'),
  },
  MN: {
    free: { hours: 40, minimumWage: MINIMUM_WAGE.MN },
    ...statute('Minnesota Statutes § 571.922', 'The lower shares for low earnings, since August 2024, are not in it.'),
  },
  NC: { isForbidden: true, ...statute('North Carolina General Statutes § 1-362') },
  ND: { free: { hours: 40, minimumWage: FEDERAL_WAGE }, ...statute('North Dakota Century Code § 32-09.1-03') },
  NH: { free: { hours: 50, minimumWage: FEDERAL_WAGE }, ...statute('New Hampshire RSA 512:21') },
  NJ: { ofGross: rate('0.10'), ...statute('New Jersey Statutes § 2A:17-56') },
  NM: { free: { hours: 40, minimumWage: FEDERAL_WAGE }, ...statute('New Mexico Statutes § 35-12-7') },
  NV: { free: { hours: 50, minimumWage: FEDERAL_WAGE }, ...statute('Nevada Revised Statutes 31.295') },
  NY: {
    ofGross: rate('0.10'),
    free: {
      hours: 30,
      minimumWage: MINIMUM_WAGE.NY,
    },
    ...statute('New York Civil Practice Law and Rules § 5231'),
  },
  PA: { isForbidden: true, ...statute('42 Pa. Cons. Stat. § 8127') },
  SC: { isForbidden: true, ...statute('South Carolina Code § 37-5-104') },
  SD: {
    ofDisposable: rate('0.20'),
    free: { hours: 40, minimumWage: FEDERAL_WAGE },
    ...statute('South Dakota Codified Laws § 21-18-51'),
  },
  TX: { isForbidden: true, ...statute('Texas Constitution, article XVI, section 28') },
  VA: {
    free: { hours: 40, minimumWage: MINIMUM_WAGE.VA },
    ...statute('Code of Virginia § 34-29'),
  },
  WA: {
    ofDisposable: rate('0.20'),
    free: { hours: 35, minimumWage: MINIMUM_WAGE.WA },
    ...statute('Revised Code of Washington 6.27.150', 'The limits for consumer debt.'),
  },
  WI: { ofDisposable: rate('0.20'), ...statute('Wisconsin Statutes § 812.34') },
  WV: {
    ofDisposable: rate('0.20'),
    free: { hours: 50, minimumWage: FEDERAL_WAGE },
    ...statute('West Virginia Code § 46A-2-130'),
  },
};
