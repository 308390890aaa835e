import { dollars } from '../../money/cents.js';
import { certificateAsFederal, statusField } from '../certificate-fields.js';
import { creditorsMay, freeHours } from '../creditor-limits.js';
import { recalled } from '../dated.js';
import { annualToDollar, byStatus, steps } from '../lines.js';
import { PLAUSIBLE, again, agency, beginning, flatSupplemental, publication, row, wageBase } from '../state-words.js';
import type { StateRules } from '../state.js';
import { NORTH_DAKOTA_DEPOSITS } from './deposits.js';
import { NORTH_DAKOTA_RETURNS } from './returns.js';

const TAX = 'North Dakota Office of State Tax Commissioner';
const GUIDE = (edition: string) => publication('Income Tax Withholding Rates and Instructions', TAX, edition);
const statuses = ['single', 'married-jointly', 'head-of-household', 'married-separately'];
const columns = byStatus({ 'married-jointly': 'joint', 'head-of-household': 'head' }, 'single');

export const NORTH_DAKOTA: StateRules = {
  code: 'ND',
  name: 'North Dakota',
  deposits: NORTH_DAKOTA_DEPOSITS,
  returns: NORTH_DAKOTA_RETURNS,
  agencies: {
    income: agency('ND-OSTC', TAX, 'ND Tax'),
    unemployment: agency('ND-JSND', 'Job Service North Dakota', 'ND Job Service'),
  },
  incomeTax: {
    kind: 'worksheet',
    certificate: certificateAsFederal('Federal Form W-4', [
      statusField(statuses, 'The filing status of the federal Form W-4.'),
    ]),
    worksheets: beginning(
      row(
        '2025-01-01',
        recalled(
          GUIDE('2025'),
          'percentage method, Form W-4 of 2020 or later',
          'The zero band is rebuilt as federal standard deduction plus the zero bracket of the tax.',
        ),
        annualToDollar(
          columns,
          steps({
            single: [
              ['0', '0'],
              ['63475', '0.0195'],
              ['259825', '0.025'],
            ],
            joint: [
              ['0', '0'],
              ['110975', '0.0195'],
              ['328075', '0.025'],
            ],
            head: [
              ['0', '0'],
              ['87450', '0.0195'],
              ['293950', '0.025'],
            ],
          }),
        ),
      ),
      row(
        '2026-01-01',
        recalled(
          GUIDE('2026'),
          'percentage method, Form W-4 of 2020 or later',
          'Rebuilt from the 2025 brackets with the federal indexing for 2026 (2.275%, to the nearest 25), plus the federal standard deduction.',
        ),
        annualToDollar(
          columns,
          steps({
            single: [
              ['0', '0'],
              ['65675', '0.0195'],
              ['266500', '0.025'],
            ],
            joint: [
              ['0', '0'],
              ['115025', '0.0195'],
              ['337050', '0.025'],
            ],
            head: [
              ['0', '0'],
              ['90575', '0.0195'],
              ['301775', '0.025'],
            ],
          }),
        ),
      ),
    ),
    supplemental: beginning(
      row('2025-01-01', recalled(GUIDE('2025'), 'supplemental wages'), flatSupplemental('0.015')),
      again('2026-01-01'),
    ),
  },
  reciprocity: { with: ['MN', 'MT'], form: 'Form NDW-R', ...recalled(GUIDE('2025'), 'reciprocity') },
  creditors: creditorsMay('North Dakota Century Code § 32-09.1-03', {
    ...freeHours(40, 'federal'),
    eachDependent: dollars('20'),
  }),
  unemployment: {
    base: beginning(
      wageBase('2025-01-01', publication('Taxable wage base', 'Job Service North Dakota', '2026'), '45100'),
      wageBase('2026-01-01', publication('Taxable wage base', 'Job Service North Dakota', '2026'), '46600'),
    ),
    highestPlausibleRate: PLAUSIBLE,
  },
};
