import { certificate, flagField, statusField } from '../certificate-fields.js';
import { recalled } from '../dated.js';
import { annualToDollar, byStatus, columnIs, deduct, fixed, steps } from '../lines.js';
import { PLAUSIBLE, again, agency, beginning, flatSupplemental, publication, row, wageBase } from '../state-words.js';
import type { StateRules } from '../state.js';
import { MONTANA_DEPOSITS } from './deposits.js';
import { MONTANA_RETURNS } from './returns.js';

const REVENUE = 'Montana Department of Revenue';
const GUIDE = (edition: string) => publication('Montana Employer and Information Agent Guide', REVENUE, edition);
const columns = byStatus({ 'married-jointly': 'joint', 'head-of-household': 'head' }, 'single');

export const MONTANA: StateRules = {
  code: 'MT',
  name: 'Montana',
  deposits: MONTANA_DEPOSITS,
  returns: MONTANA_RETURNS,
  agencies: {
    income: agency('MT-DOR', REVENUE, 'MT Revenue'),
    unemployment: agency('MT-DLI', 'Montana Department of Labor and Industry', 'MT Labor'),
  },
  incomeTax: {
    kind: 'worksheet',
    certificate: certificate(
      'Form MW-4',
      [
        statusField(['single', 'married-jointly', 'married-separately', 'head-of-household'], 'MW-4 section 1.'),
        flagField('isMultipleJobs', 'Both spouses work', 'MW-4 line 2: half of the joint table.'),
      ],
      { filingStatus: 'single' },
      'Withhold as single.',
    ),
    worksheets: beginning(
      row(
        '2025-01-01',
        recalled(
          GUIDE('2025'),
          'annual formula',
          'The deduction is taken to be the federal standard deduction of the year.',
        ),
        annualToDollar(
          [columnIs('single', { isMultipleJobs: true }), ...columns],
          deduct('Standard deduction', fixed({ single: '15000', joint: '30000', head: '22500' })),
          steps({
            single: [
              ['0', '0.047'],
              ['21100', '0.059'],
            ],
            joint: [
              ['0', '0.047'],
              ['42200', '0.059'],
            ],
            head: [
              ['0', '0.047'],
              ['31700', '0.059'],
            ],
          }),
        ),
      ),
      row(
        '2026-01-01',
        recalled(
          GUIDE('2026'),
          'annual formula (HB 337)',
          'The deduction is taken to be the federal standard deduction of the year.',
        ),
        annualToDollar(
          [columnIs('single', { isMultipleJobs: true }), ...columns],
          deduct('Standard deduction', fixed({ single: '16100', joint: '32200', head: '24150' })),
          steps({
            single: [
              ['0', '0.047'],
              ['47500', '0.0565'],
            ],
            joint: [
              ['0', '0.047'],
              ['95000', '0.0565'],
            ],
            head: [
              ['0', '0.047'],
              ['71250', '0.0565'],
            ],
          }),
        ),
      ),
    ),
    supplemental: beginning(
      row('2025-01-01', recalled(GUIDE('2025'), 'supplemental wages'), flatSupplemental('0.05')),
      again('2026-01-01'),
    ),
  },
  reciprocity: { with: ['ND'], form: 'Form MW-4 section 3', ...recalled(GUIDE('2025'), 'North Dakota residents') },
  unemployment: {
    base: beginning(
      wageBase(
        '2025-01-01',
        publication('Taxable wage base', 'Montana Department of Labor and Industry', '2026'),
        '45100',
      ),
      wageBase(
        '2026-01-01',
        publication('Taxable wage base', 'Montana Department of Labor and Industry', '2026'),
        '47300',
      ),
    ),
    highestPlausibleRate: PLAUSIBLE,
  },
};
