import { rate } from '../../money/rate.js';
import { certificate, statusField } from '../certificate-fields.js';
import { creditorsMay } from '../creditor-limits.js';
import { recalled } from '../dated.js';
import { annualToDollar, byStatus, deduct, fixed, table } from '../lines.js';
import { localRates, placesAt, ratesTax } from '../places.js';
import { PLAUSIBLE, again, agency, beginning, flatSupplemental, publication, row, wageBase } from '../state-words.js';
import type { StateRules } from '../state.js';
import { MISSOURI_DEPOSITS } from './deposits.js';
import { MISSOURI_RETURNS } from './returns.js';

const REVENUE = 'Missouri Department of Revenue';
const FORMULA = (edition: string) => publication('Missouri Withholding Tax Formula', REVENUE, edition);
const CITIES = publication('Earnings tax', 'Missouri cities', '2025');
const statuses = ['single', 'married-jointly', 'married-both-working', 'married-separately', 'head-of-household'];
const columns = byStatus({ 'married-jointly': 'joint', 'head-of-household': 'head' }, 'single');

export const MISSOURI: StateRules = {
  code: 'MO',
  name: 'Missouri',
  deposits: MISSOURI_DEPOSITS,
  returns: MISSOURI_RETURNS,
  agencies: {
    income: agency('MO-DOR', REVENUE, 'MO Revenue'),
    unemployment: agency('MO-DES', 'Missouri Division of Employment Security', 'MO Employment Security'),
    others: [agency('MO-CITY', 'Missouri city revenue offices', 'MO cities')],
  },
  incomeTax: {
    kind: 'worksheet',
    certificate: certificate(
      'Form MO W-4',
      [statusField(statuses, 'MO W-4 line 1; `married-jointly` is married with a spouse who does not work.')],
      { filingStatus: 'single' },
      'Withhold as single.',
    ),
    worksheets: beginning(
      row(
        '2025-01-01',
        recalled(FORMULA('2025'), 'annual formula'),
        annualToDollar(
          columns,
          deduct('Standard deduction', fixed({ single: '15000', joint: '30000', head: '22500' })),
          table([
            ['0', '0', '0'],
            ['1313', '0', '0.02'],
            ['2626', '26', '0.025'],
            ['3939', '59', '0.03'],
            ['5252', '98', '0.035'],
            ['6565', '144', '0.04'],
            ['7878', '197', '0.045'],
            ['9191', '256', '0.047'],
          ]),
        ),
      ),
      row(
        '2026-01-01',
        recalled(FORMULA('2026'), 'annual formula', 'Brackets are the indexed ones of 1,348 a step.'),
        annualToDollar(
          columns,
          deduct('Standard deduction', fixed({ single: '16100', joint: '32200', head: '24150' })),
          table([
            ['0', '0', '0'],
            ['1348', '0', '0.02'],
            ['2696', '27', '0.025'],
            ['4044', '61', '0.03'],
            ['5392', '101', '0.035'],
            ['6740', '148', '0.04'],
            ['8088', '202', '0.045'],
            ['9436', '263', '0.047'],
          ]),
        ),
      ),
    ),
    supplemental: beginning(
      row('2025-01-01', recalled(FORMULA('2025'), 'supplemental wages'), flatSupplemental('0.047')),
      again('2026-01-01'),
    ),
  },
  creditors: creditorsMay('Missouri Revised Statutes § 525.030', { ofHead: { ofDisposable: rate('0.10') } }),
  unemployment: {
    base: beginning(
      wageBase(
        '2025-01-01',
        publication('Taxable wage base', 'Missouri Division of Employment Security', '2026'),
        '9500',
      ),
      wageBase(
        '2026-01-01',
        publication('Taxable wage base', 'Missouri Division of Employment Security', '2026'),
        '9000',
      ),
    ),
    highestPlausibleRate: PLAUSIBLE,
  },
  local: {
    method: 'city',
    agency: 'MO-CITY',
    provenance: recalled(CITIES, 'earnings tax'),
    places: [
      ...placesAt(
        { code: 'LIT', kind: 'income', payer: 'employee', wages: 'gross', label: (name) => `${name} earnings tax` },
        recalled(CITIES, 'earnings tax'),
        [['Kansas City', { resident: '1.0', nonresident: '1.0' }]],
      ),
      {
        code: 'ST-LOUIS',
        name: 'St. Louis',
        taxes: [
          ratesTax(
            { code: 'LIT', kind: 'income', label: 'St. Louis earnings tax', payer: 'employee', wages: 'gross' },
            beginning(
              row('2025-01-01', recalled(CITIES, 'earnings tax'), localRates({ resident: '1.0', nonresident: '1.0' })),
              again('2026-01-01'),
            ),
          ),
          ratesTax(
            { code: 'PET', kind: 'payroll', label: 'St. Louis payroll expense tax', payer: 'employer', wages: 'gross' },
            beginning(
              row(
                '2025-01-01',
                recalled(CITIES, 'payroll expense tax'),
                localRates({ resident: '0.5', nonresident: '0.5' }),
              ),
              again('2026-01-01'),
            ),
          ),
        ],
      },
    ],
  },
};
