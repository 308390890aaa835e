import { amountField, certificate, statusField } from '../certificate-fields.js';
import { recalled } from '../dated.js';
import { annualToDollar, byStatus, deduct, fixed, given, steps } from '../lines.js';
import { PLAUSIBLE, TOGETHER, again, agency, beginning, publication, row, wageBase } from '../state-words.js';
import type { StateRules } from '../state.js';
import { MISSISSIPPI_DEPOSITS } from './deposits.js';
import { MISSISSIPPI_RETURNS } from './returns.js';

const REVENUE = 'Mississippi Department of Revenue';
const TABLES = (edition: string) => publication('Withholding Income Tax Tables (Publication 89-700)', REVENUE, edition);
const worksheet = (by: string) =>
  annualToDollar(
    byStatus({ 'married-jointly': 'joint', 'head-of-household': 'head' }, 'single'),
    deduct('Employee exemption', given('exemptionAmount')),
    deduct('Standard deduction', fixed({ single: '2300', joint: '4600', head: '3400' })),
    steps({
      '*': [
        ['0', '0'],
        ['10000', by],
      ],
    }),
  );

export const MISSISSIPPI: StateRules = {
  code: 'MS',
  name: 'Mississippi',
  deposits: MISSISSIPPI_DEPOSITS,
  returns: MISSISSIPPI_RETURNS,
  agencies: {
    income: agency('MS-DOR', REVENUE, 'MS Revenue'),
    unemployment: agency('MS-MDES', 'Mississippi Department of Employment Security', 'MS Employment Security'),
  },
  incomeTax: {
    kind: 'worksheet',
    certificate: certificate(
      'Form 89-350',
      [
        statusField(
          ['single', 'married-jointly', 'married-both-working', 'head-of-household'],
          'Form 89-350 lines 1 to 3.',
        ),
        amountField('exemptionAmount', 'Exemption claimed', 'Form 89-350 line 6: dollars a year.'),
      ],
      { filingStatus: 'single' },
      'Withhold with no exemption.',
    ),
    worksheets: beginning(
      row('2025-01-01', recalled(TABLES('2025'), 'computer formula'), worksheet('0.044')),
      row('2026-01-01', recalled(TABLES('2026'), 'computer formula'), worksheet('0.04')),
    ),
    supplemental: beginning(
      row('2025-01-01', recalled(TABLES('2025'), 'no supplemental rate is published'), TOGETHER),
      again('2026-01-01'),
    ),
  },
  unemployment: {
    base: beginning(
      wageBase(
        '2025-01-01',
        publication('Taxable wage base', 'Mississippi Department of Employment Security', '2025'),
        '14000',
      ),
      wageBase(
        '2026-01-01',
        publication('Taxable wage base', 'Mississippi Department of Employment Security', '2025'),
        '14000',
      ),
    ),
    highestPlausibleRate: PLAUSIBLE,
  },
};
