import { rate } from '../../money/rate.js';
import { ALLOWANCES, SINGLE_ZERO, SINGLE_ZERO_SAYS, certificate, statusField } from '../certificate-fields.js';
import { creditorsMay } from '../creditor-limits.js';
import { dated, recalled, year } from '../dated.js';
import { annual, byStatus, count, credit, deduct, fixed, table } from '../lines.js';
import { placesAt } from '../places.js';
import type { Program } from '../program.js';
import { PLAUSIBLE, TOGETHER, again, agency, beginning, publication, row, wageBase } from '../state-words.js';
import type { StateRules } from '../state.js';
import { DELAWARE_DEPOSITS } from './deposits.js';
import { DELAWARE_RETURNS } from './returns.js';

const REVENUE = 'Delaware Division of Revenue';
const GUIDE = publication('Employer’s Guide: Withholding Regulations and Employer’s Duties', REVENUE, '2025');
const LEAVE = publication('Delaware Paid Leave contribution rates', 'Delaware Department of Labor', '2026');
const leave = (payer: 'employee' | 'employer'): Program => ({
  code: payer === 'employee' ? 'PFML-EE' : 'PFML-ER',
  kind: 'paid-leave',
  label: `Delaware paid leave, ${payer}`,
  payer,
  agency: 'unemployment',
  wages: 'social-security',
  terms: [
    dated(year(2025), recalled(LEAVE, 'contributions began January 1, 2025', 'The employer may pay more than half.'), [
      { rate: rate('0.004'), base: 'oasdi', size: { atLeast: 25 } },
      { rate: rate('0.0016'), base: 'oasdi', size: { atLeast: 10 } },
    ]),
    dated(year(2026), recalled(LEAVE, 'contribution rates', 'The employer may pay more than half.'), [
      { rate: rate('0.004'), base: 'oasdi', size: { atLeast: 25 } },
      { rate: rate('0.0016'), base: 'oasdi', size: { atLeast: 10 } },
    ]),
  ],
});

export const DELAWARE: StateRules = {
  code: 'DE',
  name: 'Delaware',
  deposits: DELAWARE_DEPOSITS,
  returns: DELAWARE_RETURNS,
  agencies: {
    income: agency('DE-DOR', REVENUE, 'DE Revenue'),
    unemployment: agency('DE-DOL', 'Delaware Department of Labor', 'DE Labor'),
    others: [agency('DE-CITY', 'City of Wilmington', 'Wilmington')],
  },
  incomeTax: {
    kind: 'worksheet',
    certificate: certificate(
      'Delaware Form W-4DE',
      [statusField(['single', 'married-jointly', 'married-separately'], 'W-4DE line 3.'), ALLOWANCES],
      SINGLE_ZERO,
      SINGLE_ZERO_SAYS,
    ),
    worksheets: beginning(
      row(
        '2025-01-01',
        recalled(GUIDE, 'percentage method formula'),
        annual(
          byStatus({ 'married-jointly': 'joint' }, 'single'),
          deduct('Standard deduction', fixed({ joint: '6500', single: '3250' })),
          table([
            ['0', '0', '0'],
            ['2000', '0', '0.022'],
            ['5000', '66', '0.039'],
            ['10000', '261', '0.048'],
            ['20000', '741', '0.052'],
            ['25000', '1001', '0.0555'],
            ['60000', '2943.50', '0.066'],
          ]),
          credit('Personal credits', count('allowances', '110')),
        ),
      ),
      again('2026-01-01'),
    ),
    supplemental: beginning(
      row('2025-01-01', recalled(GUIDE, 'no supplemental rate is published'), TOGETHER),
      again('2026-01-01'),
    ),
  },
  convenienceRule: recalled(
    publication('30 Del. Code § 1124; schedule W of Form 200-02', 'State of Delaware', '2024'),
    'convenience of the employee',
  ),
  creditors: creditorsMay('10 Delaware Code § 4913', { ofDisposable: rate('0.15') }),
  unemployment: {
    base: beginning(
      wageBase('2025-01-01', publication('Taxable wage base', 'Delaware Department of Labor', '2026'), '12500'),
      wageBase('2026-01-01', publication('Taxable wage base', 'Delaware Department of Labor', '2026'), '14500'),
    ),
    highestPlausibleRate: PLAUSIBLE,
  },
  programs: [leave('employee'), leave('employer')],
  local: {
    method: 'city',
    agency: 'DE-CITY',
    provenance: recalled(publication('Earned income tax', 'City of Wilmington', '2025'), 'rate'),
    places: placesAt(
      { code: 'LIT', kind: 'income', payer: 'employee', wages: 'gross', label: (name) => `${name} earned income tax` },
      recalled(publication('Earned income tax', 'City of Wilmington', '2025'), 'rate'),
      [['Wilmington', { resident: '1.25', nonresident: '1.25' }]],
    ),
  },
};
