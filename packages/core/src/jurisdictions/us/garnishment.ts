import { dollars, type Cents } from '../../money/cents.js';
import { rate, type Rate } from '../../money/rate.js';
import { dated, recalled, year, years, type Dated, type Provenance } from '../dated.js';
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

interface StateGarnishment extends Provenance {
  readonly isForbidden?: true;
  readonly ofDisposable?: Rate;
  readonly ofGross?: Rate;
}
const statute = (text: string) => recalled(publication(text, 'State legislature', '2025'), 'wage garnishment limit');
/** Where a state allows a creditor less than the federal law does; other states follow the federal limit here. */
export const STATE_GARNISHMENT: Readonly<Record<string, StateGarnishment>> = {
  CA: { ofDisposable: rate('0.20'), ...statute('California Code of Civil Procedure § 706.050') },
  CO: { ofDisposable: rate('0.20'), ...statute('Colorado Revised Statutes § 13-54-104') },
  DE: { ofDisposable: rate('0.15'), ...statute('10 Delaware Code § 4913') },
  IL: { ofGross: rate('0.15'), ...statute('735 ILCS 5/12-803') },
  MA: { ofGross: rate('0.15'), ...statute('Massachusetts General Laws c. 246 § 28') },
  NC: { isForbidden: true, ...statute('North Carolina General Statutes § 1-362') },
  NJ: { ofGross: rate('0.10'), ...statute('New Jersey Statutes § 2A:17-56') },
  NY: { ofGross: rate('0.10'), ...statute('New York Civil Practice Law and Rules § 5231') },
  PA: { isForbidden: true, ...statute('42 Pa. Cons. Stat. § 8127') },
  SC: { isForbidden: true, ...statute('South Carolina Code § 37-5-104') },
  TX: { isForbidden: true, ...statute('Texas Constitution, article XVI, section 28') },
  WV: { ofDisposable: rate('0.20'), ...statute('West Virginia Code § 46A-2-130') },
};
