import { LEGAL } from '../../calendar/holidays.js';
import { date } from '../../calendar/local-date.js';
import { dollars } from '../../money/cents.js';
import { dated, recalled, type Dated } from '../dated.js';
import type { DepositCalendar, DepositRules, LookbackPeriod } from '../deposit-calendar.js';
import { SEMIWEEKLY, afterQuarter, afterYear, depositClass, lookback, monthly } from '../deposit-words.js';
import { publication } from '../state-words.js';

const IRS = 'Internal Revenue Service';
const PUB_15 = publication("Publication 15, Employer's Tax Guide", IRS, '2026');

/** Monthly or semiweekly by the lookback, the next day at 100,000, and with the return under 2,500 (26 CFR 31.6302-1). */
const byLookback = (family: string, form: string, period: LookbackPeriod): DepositCalendar => ({
  family,
  rules: sinceThe90s(recalled(PUB_15, `section 11, When To Deposit, ${form}`), {
    holidays: LEGAL,
    classes: [monthly(15), SEMIWEEKLY],
    lookback: lookback(period, ['0', 'monthly'], ['50000', 'semiweekly']),
    nextDay: { mark: dollars('100000'), turns: { from: 'monthly', to: 'semiweekly' } },
    withReturnUnder: dollars('2500'),
  }),
});
/** Regulations of 1993 (26 CFR 31.6302-1): no amount in them moves with the year, so they hold until they are changed. */
const sinceThe90s = (provenance: ReturnType<typeof recalled>, rules: DepositRules): readonly Dated<DepositRules>[] => [
  dated({ from: date('1993-01-01'), until: null }, provenance, rules),
];

export const US_DEPOSITS: readonly DepositCalendar[] = [
  byLookback('US-941', 'Form 941', 'year-to-june'),
  byLookback('US-943', 'Form 943', 'second-year-before'),
  byLookback('US-944', 'Form 944', 'second-year-before'),
  byLookback('US-945', 'Form 945', 'second-year-before'),
  {
    family: 'US-940',
    rules: sinceThe90s(recalled(PUB_15, 'section 14, Federal Unemployment (FUTA) Tax'), {
      holidays: LEGAL,
      classes: [
        depositClass('quarterly', 'Quarterly', {
          is: 'carried',
          mark: dollars('500'),
          over: afterQuarter(),
          otherwise: afterYear(1),
        }),
      ],
    }),
  },
  {
    family: 'US-SCHEDULE-H',
    rules: sinceThe90s(recalled(publication('Instructions for Schedule H (Form 1040)', IRS, '2025'), 'when to pay'), {
      holidays: LEGAL,
      classes: [depositClass('yearly', 'With the owner’s Form 1040', afterYear(4, 15))],
    }),
  },
];
