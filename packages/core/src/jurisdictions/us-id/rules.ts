import { ALLOWANCES, SINGLE_ZERO, SINGLE_ZERO_SAYS, certificate, statusField } from '../certificate-fields.js';
import { recalled } from '../dated.js';
import { annualToDollar, byStatus, count, deduct, steps } from '../lines.js';
import { PLAUSIBLE, again, agency, beginning, flatSupplemental, publication, row, wageBase } from '../state-words.js';
import type { StateRules } from '../state.js';
import { IDAHO_DEPOSITS } from './deposits.js';
import { IDAHO_RETURNS } from './returns.js';

const TAX = 'Idaho State Tax Commission';
const guide = (edition: string) => publication('A Guide to Idaho Income Tax Withholding (EPB00006)', TAX, edition);
const worksheet = (single: string, married: string, each: string) =>
  annualToDollar(
    byStatus({ 'married-jointly': 'married' }, 'single'),
    deduct('Idaho child tax credit allowances', count('allowances', each)),
    steps({
      single: [
        ['0', '0'],
        [single, '0.053'],
      ],
      married: [
        ['0', '0'],
        [married, '0.053'],
      ],
    }),
  );

export const IDAHO: StateRules = {
  code: 'ID',
  name: 'Idaho',
  deposits: IDAHO_DEPOSITS,
  returns: IDAHO_RETURNS,
  agencies: {
    income: agency('ID-STC', TAX, 'ID Tax'),
    unemployment: agency('ID-DOL', 'Idaho Department of Labor', 'ID Labor'),
  },
  incomeTax: {
    kind: 'worksheet',
    certificate: certificate(
      'Form ID W-4',
      [statusField(['single', 'married-jointly', 'married-at-single-rate'], 'ID W-4: A, B or C.'), ALLOWANCES],
      SINGLE_ZERO,
      SINGLE_ZERO_SAYS,
    ),
    worksheets: beginning(
      row(
        '2025-01-01',
        recalled(
          guide('2025'),
          'percentage computation',
          'The zero band is rebuilt as standard deduction plus the zero bracket of the tax table (15,000 + 4,811).',
        ),
        worksheet('19811', '39622', '3868'),
      ),
      row(
        '2026-01-01',
        recalled(
          guide('2026'),
          'percentage computation',
          'Rebuilt from the 2026 federal deduction and the 2025 zero bracket.',
        ),
        worksheet('20911', '41822', '3868'),
      ),
    ),
    supplemental: beginning(
      row('2025-01-01', recalled(guide('2025'), 'supplemental wages'), flatSupplemental('0.053')),
      again('2026-01-01'),
    ),
  },
  unemployment: {
    base: beginning(
      wageBase('2025-01-01', publication('Taxable wage base', 'Idaho Department of Labor', '2026'), '55300'),
      wageBase('2026-01-01', publication('Taxable wage base', 'Idaho Department of Labor', '2026'), '58300'),
    ),
    highestPlausibleRate: PLAUSIBLE,
  },
};
