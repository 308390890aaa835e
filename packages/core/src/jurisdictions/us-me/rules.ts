import { rate } from '../../money/rate.js';
import { ALLOWANCES, SINGLE_ZERO, SINGLE_ZERO_SAYS, certificate, statusField } from '../certificate-fields.js';
import { creditorsMay, freeHours, minimumWages } from '../creditor-limits.js';
import { recalled } from '../dated.js';
import { annualToDollar, byStatus, count, deduct, fade, steps } from '../lines.js';
import { PLAUSIBLE, again, agency, beginning, flatSupplemental, publication, row, wageBase } from '../state-words.js';
import type { StateRules } from '../state.js';
import { MAINE_DEPOSITS } from './deposits.js';
import { MAINE_RETURNS } from './returns.js';

const REVENUE = 'Maine Revenue Services';
const TABLES = (edition: string) => publication('Withholding Tables for Individual Income Tax', REVENUE, edition);
const DOL = 'Maine Department of Labor';
const PFML = publication('Paid Family and Medical Leave premiums', DOL, '2025');

export const MAINE: StateRules = {
  code: 'ME',
  name: 'Maine',
  deposits: MAINE_DEPOSITS,
  returns: MAINE_RETURNS,
  agencies: { income: agency('ME-MRS', REVENUE, 'ME Revenue'), unemployment: agency('ME-DOL', DOL, 'ME Labor') },
  incomeTax: {
    kind: 'worksheet',
    certificate: certificate(
      'Form W-4ME',
      [
        statusField(['single', 'married-jointly', 'married-at-single-rate', 'head-of-household'], 'W-4ME line 3.'),
        ALLOWANCES,
      ],
      SINGLE_ZERO,
      SINGLE_ZERO_SAYS,
    ),
    worksheets: beginning(
      row(
        '2025-01-01',
        recalled(
          TABLES('2025'),
          'percentage method',
          'The withholding standard deduction (the federal one less 2,850 for everybody) and where it fades are recalled less surely than the rates.',
        ),
        annualToDollar(
          byStatus({ 'married-jointly': 'married' }, 'single'),
          deduct('Withholding allowances', count('allowances', '5150')),
          deduct(
            'Standard deduction',
            fade(
              { single: '12150', married: '27150' },
              { single: '100000', married: '200050' },
              { single: '175000', married: '350050' },
            ),
          ),
          steps({
            single: [
              ['0', '0.058'],
              ['26800', '0.0675'],
              ['63450', '0.0715'],
            ],
            married: [
              ['0', '0.058'],
              ['53600', '0.0675'],
              ['126900', '0.0715'],
            ],
          }),
        ),
      ),
      row(
        '2026-01-01',
        recalled(
          TABLES('2026'),
          'percentage method',
          'Brackets as indexed for 2026 are recalled; the deduction is carried over with the federal increase.',
        ),
        annualToDollar(
          byStatus({ 'married-jointly': 'married' }, 'single'),
          deduct('Withholding allowances', count('allowances', '5300')),
          deduct(
            'Standard deduction',
            fade(
              { single: '12500', married: '27900' },
              { single: '102250', married: '204550' },
              { single: '177250', married: '354550' },
            ),
          ),
          steps({
            single: [
              ['0', '0.058'],
              ['27400', '0.0675'],
              ['64850', '0.0715'],
            ],
            married: [
              ['0', '0.058'],
              ['54850', '0.0675'],
              ['129750', '0.0715'],
            ],
          }),
        ),
      ),
    ),
    supplemental: beginning(
      row('2025-01-01', recalled(TABLES('2025'), 'supplemental wages'), flatSupplemental('0.05')),
      again('2026-01-01'),
    ),
  },
  creditors: creditorsMay('14 Maine Revised Statutes § 3126-B', freeHours(40)),
  minimumWage: minimumWages('Maine', ['14.15', '14.65', '15.10']),
  unemployment: {
    base: beginning(
      wageBase('2025-01-01', publication('Taxable wage base', DOL, '2025'), '12000'),
      wageBase('2026-01-01', publication('Taxable wage base', DOL, '2025'), '12000'),
    ),
    highestPlausibleRate: PLAUSIBLE,
  },
  programs: [
    {
      code: 'PFML-EE',
      kind: 'paid-leave',
      label: 'Maine paid family and medical leave, employee',
      payer: 'employee',
      agency: 'unemployment',
      wages: 'social-security',
      terms: beginning(
        row('2025-01-01', recalled(PFML, '1.0%, half of it from the employee'), [
          { rate: rate('0.005'), base: 'oasdi' },
        ]),
        again('2026-01-01'),
      ),
    },
    {
      code: 'PFML-ER',
      kind: 'paid-leave',
      label: 'Maine paid family and medical leave, employer',
      payer: 'employer',
      agency: 'unemployment',
      wages: 'social-security',
      terms: beginning(
        row('2025-01-01', recalled(PFML, '1.0%, half of it from employers of 15 or more'), [
          { rate: rate('0.005'), base: 'oasdi', size: { atLeast: 15 } },
        ]),
        again('2026-01-01'),
      ),
    },
    {
      code: 'CSSF',
      kind: 'training',
      label: 'Maine competitive skills scholarship fund',
      payer: 'employer',
      agency: 'unemployment',
      wages: 'unemployment',
      terms: beginning(
        row(
          '2025-01-01',
          recalled(publication('CSSF assessment', DOL, '2025'), 'rate', 'The rate is recalled from 2024.'),
          [{ rate: rate('0.0007'), base: 'unemployment' }],
        ),
        again('2026-01-01'),
      ),
    },
  ],
};
