import { rate } from '../../money/rate.js';
import { ALLOWANCES, SINGLE_ZERO, SINGLE_ZERO_SAYS, certificate, statusField } from '../certificate-fields.js';
import { creditorsMay, freeHours } from '../creditor-limits.js';
import { recalled } from '../dated.js';
import { annual, byStatus, count, deduct, steps } from '../lines.js';
import { PLAUSIBLE, again, agency, beginning, publication, row, wageBase } from '../state-words.js';
import type { StateRules } from '../state.js';
import { VERMONT_DEPOSITS } from './deposits.js';
import { VERMONT_RETURNS } from './returns.js';

const TAXES = 'Vermont Department of Taxes';
const GUIDE = (edition: string) =>
  publication('GB-1210, Income Tax Withholding Instructions, Tables, and Charts', TAXES, edition);
const CHILD = publication('Child care contribution', TAXES, '2024');
const columns = byStatus({ 'married-jointly': 'married', 'civil-union-jointly': 'married' }, 'single');

export const VERMONT: StateRules = {
  code: 'VT',
  name: 'Vermont',
  deposits: VERMONT_DEPOSITS,
  returns: VERMONT_RETURNS,
  agencies: {
    income: agency('VT-TAX', TAXES, 'VT Taxes'),
    unemployment: agency('VT-DOL', 'Vermont Department of Labor', 'VT Labor'),
  },
  incomeTax: {
    kind: 'worksheet',
    certificate: certificate(
      'Form W-4VT',
      [
        statusField(
          ['single', 'married-jointly', 'married-separately', 'head-of-household', 'civil-union-jointly'],
          'W-4VT filing status.',
        ),
        ALLOWANCES,
      ],
      SINGLE_ZERO,
      SINGLE_ZERO_SAYS,
    ),
    worksheets: beginning(
      row(
        '2025-01-01',
        recalled(
          GUIDE('2025'),
          'percentage method',
          'The zero bands (3,825 and 11,475) are recalled; bracket widths are those of the tax of 2025.',
        ),
        annual(
          columns,
          deduct('Withholding allowances', count('allowances', '5300')),
          steps({
            single: [
              ['0', '0'],
              ['3825', '0.0335'],
              ['53225', '0.066'],
              ['123525', '0.076'],
              ['253525', '0.0875'],
            ],
            married: [
              ['0', '0'],
              ['11475', '0.0335'],
              ['93975', '0.066'],
              ['210925', '0.076'],
              ['315475', '0.0875'],
            ],
          }),
        ),
      ),
      row(
        '2026-01-01',
        recalled(GUIDE('2026'), 'percentage method', 'Carried over from 2025 with the indexing of about 2.8%.'),
        annual(
          columns,
          deduct('Withholding allowances', count('allowances', '5400')),
          steps({
            single: [
              ['0', '0'],
              ['3925', '0.0335'],
              ['54725', '0.066'],
              ['126975', '0.076'],
              ['260625', '0.0875'],
            ],
            married: [
              ['0', '0'],
              ['11800', '0.0335'],
              ['96600', '0.066'],
              ['216850', '0.076'],
              ['324300', '0.0875'],
            ],
          }),
        ),
      ),
    ),
    supplemental: beginning(
      row('2025-01-01', recalled(GUIDE('2025'), '30% of the federal withholding'), {
        is: 'share-of-federal',
        rate: rate('0.30'),
      }),
      again('2026-01-01'),
    ),
  },
  creditors: creditorsMay('12 Vermont Statutes § 3170', {
    ofConsumerCredit: { ofDisposable: rate('0.15'), ...freeHours(40, 'federal') },
  }),
  unemployment: {
    base: beginning(
      wageBase('2025-01-01', publication('Taxable wage base', 'Vermont Department of Labor', '2026'), '14800'),
      wageBase('2026-01-01', publication('Taxable wage base', 'Vermont Department of Labor', '2026'), '15400'),
    ),
    highestPlausibleRate: PLAUSIBLE,
  },
  programs: [
    {
      code: 'CCC-EE',
      kind: 'child-care',
      label: 'Vermont child care contribution, employee',
      payer: 'employee',
      agency: 'income',
      wages: 'income',
      terms: beginning(
        row('2025-01-01', recalled(CHILD, 'at most a quarter of 0.44%'), [{ rate: rate('0.0011') }]),
        again('2026-01-01'),
      ),
    },
    {
      code: 'CCC-ER',
      kind: 'child-care',
      label: 'Vermont child care contribution, employer',
      payer: 'employer',
      agency: 'income',
      wages: 'income',
      terms: beginning(
        row('2025-01-01', recalled(CHILD, '0.44% less the part withheld'), [{ rate: rate('0.0033') }]),
        again('2026-01-01'),
      ),
    },
  ],
};
