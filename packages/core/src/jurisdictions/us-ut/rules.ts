import { certificateAsFederal, statusField } from '../certificate-fields.js';
import { between, dated, recalled, year } from '../dated.js';
import { byPeriodToDollar, byStatus, credit, flat, slide } from '../lines.js';
import { PLAUSIBLE, TOGETHER, again, agency, beginning, publication, row, wageBase } from '../state-words.js';
import type { StateRules } from '../state.js';
import { UTAH_DEPOSITS } from './deposits.js';
import { UTAH_RETURNS } from './returns.js';

const TAX = 'Utah State Tax Commission';
const PUB14 = (edition: string) => publication('Publication 14, Withholding Tax Guide', TAX, edition);
const worksheet = (by: string, single: string, joint: string, overSingle: string, overJoint: string) =>
  byPeriodToDollar(
    byStatus({ 'married-jointly': 'joint' }, 'single'),
    flat(by),
    credit('Allowance that slides away', slide({ single, joint }, { single: overSingle, joint: overJoint }, '0.013')),
  );

export const UTAH: StateRules = {
  code: 'UT',
  name: 'Utah',
  deposits: UTAH_DEPOSITS,
  returns: UTAH_RETURNS,
  agencies: {
    income: agency('UT-TC', TAX, 'UT Tax'),
    unemployment: agency('UT-DWS', 'Utah Department of Workforce Services', 'UT Workforce'),
  },
  incomeTax: {
    kind: 'worksheet',
    certificate: certificateAsFederal('Federal Form W-4', [
      statusField(
        ['single', 'married-jointly', 'married-separately', 'head-of-household'],
        'The filing status of the federal Form W-4.',
      ),
    ]),
    worksheets: [
      dated(
        between('2025-01-01', '2025-06-01'),
        recalled(
          PUB14('January 2025'),
          'schedules 2 and 3',
          'The sliding allowance is that of the later edition. The amounts of a period are the year’s to the whole dollar, as the schedules print them; whether each line is rounded as well is not sure.',
        ),
        worksheet('0.0455', '450', '900', '9107', '18213'),
      ),
      dated(
        between('2025-06-01', '2026-01-01'),
        recalled(
          PUB14('May 2025'),
          'schedules 2 and 3',
          'The edition for pay periods from June 2025 (HB 106). The amounts of a period are the year’s to the whole dollar, as the schedules print them; whether each line is rounded as well is not sure.',
        ),
        worksheet('0.045', '450', '900', '9107', '18213'),
      ),
      dated(
        year(2026),
        recalled(
          PUB14('2026'),
          'schedules 2 and 3',
          'Carried over from 2025. The amounts of a period are the year’s to the whole dollar, as the schedules print them; whether each line is rounded as well is not sure.',
        ),
        worksheet('0.045', '450', '900', '9107', '18213'),
      ),
    ],
    supplemental: beginning(
      row('2025-01-01', recalled(PUB14('2025'), 'no supplemental rate is published'), TOGETHER),
      again('2026-01-01'),
    ),
  },
  unemployment: {
    base: beginning(
      wageBase(
        '2025-01-01',
        publication('Taxable wage base', 'Utah Department of Workforce Services', '2026'),
        '48900',
      ),
      wageBase(
        '2026-01-01',
        publication('Taxable wage base', 'Utah Department of Workforce Services', '2026'),
        '50700',
      ),
    ),
    highestPlausibleRate: PLAUSIBLE,
  },
};
