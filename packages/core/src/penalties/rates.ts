import { between, dated, recalled, type Dated } from '../jurisdictions/dated.js';
import type { LateTier } from '../jurisdictions/deposit-calendar.js';
import { publication } from '../jurisdictions/state-words.js';
import { date } from '../calendar/local-date.js';
import { rate, type Rate } from '../money/rate.js';

const CODE = publication('United States Code, title 26', 'United States Congress', 'as amended');
const IRB = publication('Revenue rulings on interest rates', 'Internal Revenue Service', 'by quarter');

export interface DepositPenaltyRules {
  readonly tiers: readonly LateTier[];
  /** What is still not deposited so many days after the first notice. */
  readonly afterNotice: { readonly days: number; readonly rate: Rate };
}
export const DEPOSIT_PENALTY: readonly Dated<DepositPenaltyRules>[] = [
  dated({ from: date('1990-01-01'), until: null }, recalled(CODE, '§ 6656(b)(1), failure to deposit'), {
    tiers: [
      { overDays: 0, rate: rate('0.02') },
      { overDays: 5, rate: rate('0.05') },
      { overDays: 15, rate: rate('0.10') },
    ],
    afterNotice: { days: 10, rate: rate('0.15') },
  }),
];

/** Additions to tax of a return that is late or not paid, for each month or part of one. */
export interface ReturnPenaltyRules {
  readonly filing: Rate;
  readonly filingMost: Rate;
  readonly payment: Rate;
  readonly paymentMost: Rate;
}
export const RETURN_PENALTY: readonly Dated<ReturnPenaltyRules>[] = [
  dated({ from: date('1990-01-01'), until: null }, recalled(CODE, '§ 6651(a)(1), (a)(2), (c)(1)'), {
    filing: rate('0.05'),
    filingMost: rate('0.25'),
    payment: rate('0.005'),
    paymentMost: rate('0.25'),
  }),
];

const quarters = (from: string, until: string, place: string, percent: string): Dated<Rate> =>
  dated(between(from, until), recalled(IRB, place), rate(percent));
/** Underpayment rates of others than large corporations (26 U.S.C. § 6621(a)(2)), compounded daily (§ 6622). */
export const UNDERPAYMENT_RATES: readonly Dated<Rate>[] = [
  quarters('2023-10-01', '2025-01-01', 'fourth quarter of 2023 to fourth quarter of 2024', '0.08'),
  quarters('2025-01-01', '2026-01-01', 'the four quarters of 2025', '0.07'),
  quarters('2026-01-01', '2026-04-01', 'first quarter of 2026', '0.07'),
];
