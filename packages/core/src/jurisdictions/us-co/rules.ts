import { rate } from '../../money/rate.js';
import { amountField, certificateAsFederal, flagField, statusField } from '../certificate-fields.js';
import { creditorsMay, freeHours, minimumWages } from '../creditor-limits.js';
import { recalled } from '../dated.js';
import { overtimeByDay } from '../overtime.js';
import { annual, byStatus, deduct, fixed, flat, given, when, whenGiven } from '../lines.js';
import type { Locality } from '../locality.js';
import { fee, feeTax, placeCode } from '../places.js';
import type { Program } from '../program.js';
import { PLAUSIBLE, again, agency, beginning, flatSupplemental, publication, row, wageBase } from '../state-words.js';
import type { StateRules } from '../state.js';
import { COLORADO_DEPOSITS } from './deposits.js';
import { COLORADO_RETURNS } from './returns.js';

const REVENUE = 'Colorado Department of Revenue';
const DR1098 = (edition: string) =>
  publication('DR 1098, Colorado Withholding Worksheet for Employers', REVENUE, edition);
const FAMLI = publication('FAMLI premium and benefits', 'Colorado Department of Labor and Employment', '2026');
const famli = (payer: 'employee' | 'employer', of2025: string, of2026: string): Program => ({
  code: payer === 'employee' ? 'FAMLI-EE' : 'FAMLI-ER',
  kind: 'paid-leave',
  label: `Colorado paid family and medical leave, ${payer}`,
  payer,
  agency: { code: 'CO-FAMLI' },
  wages: 'social-security',
  terms: beginning(
    row('2025-01-01', recalled(FAMLI, 'premium rate'), [
      { rate: rate(of2025), base: 'oasdi', ...(payer === 'employer' ? { size: { atLeast: 10 } } : {}) },
    ]),
    row('2026-01-01', recalled(FAMLI, 'premium rate'), [
      { rate: rate(of2026), base: 'oasdi', ...(payer === 'employer' ? { size: { atLeast: 10 } } : {}) },
    ]),
  ),
});
const OCCUPATIONAL = recalled(
  publication('Occupational privilege taxes', 'Colorado cities', '2025'),
  'monthly tax and wages from which it is due',
);
const place = (name: string, [employee, employer]: readonly [string, string], fromWages: string): Locality => ({
  code: placeCode(name),
  name,
  taxes: [
    feeTax(
      {
        code: 'OPT-EE',
        kind: 'occupational',
        label: `${name} occupational privilege tax, employee`,
        payer: 'employee',
      },
      beginning(row('2025-01-01', OCCUPATIONAL, fee(employee, 'month', fromWages)), again('2026-01-01')),
    ),
    feeTax(
      {
        code: 'OPT-ER',
        kind: 'occupational',
        label: `${name} occupational privilege tax, employer`,
        payer: 'employer',
      },
      beginning(row('2025-01-01', OCCUPATIONAL, fee(employer, 'month', fromWages)), again('2026-01-01')),
    ),
  ],
});
const worksheet = annual(
  byStatus({ 'married-jointly': 'joint' }, 'other'),
  deduct(
    'Annual withholding allowance',
    whenGiven(
      'annualAllowance',
      given('annualAllowance'),
      when('hasAllowance', fixed('0'), fixed({ joint: '10000', other: '5000' })),
    ),
  ),
  flat('0.044'),
);

export const COLORADO: StateRules = {
  code: 'CO',
  name: 'Colorado',
  deposits: COLORADO_DEPOSITS,
  returns: COLORADO_RETURNS,
  agencies: {
    income: agency('CO-DOR', REVENUE, 'CO Revenue'),
    unemployment: agency('CO-DLE', 'Colorado Department of Labor and Employment', 'CO Labor'),
    others: [
      agency('CO-FAMLI', 'Colorado FAMLI Division', 'CO FAMLI'),
      agency('CO-CITY', 'Colorado city tax offices', 'CO cities'),
    ],
  },
  incomeTax: {
    kind: 'worksheet',
    certificate: certificateAsFederal('Form DR 0004', [
      statusField(
        ['single', 'married-jointly', 'married-separately', 'head-of-household'],
        'As in step 1(c) of the federal Form W-4.',
      ),
      flagField(
        'hasAllowance',
        'Form DR 0004 given',
        'The person gave Form DR 0004, with an allowance of zero when none is given here.',
      ),
      amountField('annualAllowance', 'Annual withholding allowance', 'DR 0004 line 2.'),
    ]),
    worksheets: beginning(
      row(
        '2025-01-01',
        recalled(
          DR1098('2025'),
          'step 1 to 3',
          'The allowance where none is given (10,000 joint, 5,000 else; it was 8,000 and 4,000 in 2022) is recalled less surely. Whether the print rounds to the whole dollar is not sure; cents are kept here.',
        ),
        worksheet,
      ),
      again('2026-01-01'),
    ),
    supplemental: beginning(
      row('2025-01-01', recalled(DR1098('2025'), 'supplemental wages'), flatSupplemental('0.044')),
      again('2026-01-01'),
    ),
  },
  creditors: creditorsMay('Colorado Revised Statutes § 13-54-104', { ofDisposable: rate('0.20'), ...freeHours(40) }),
  overtime: overtimeByDay(
    'COMPS Order, 7 CCR 1103-1, rule 4.1',
    { day: [{ hours: 12, item: 'overtime' }] },
    'Twelve hours in a row over midnight count as well; they are not modelled.',
  ),
  minimumWage: minimumWages('Colorado', ['14.42', '14.81', '15.16']),
  unemployment: {
    base: beginning(
      wageBase(
        '2025-01-01',
        publication('Chargeable wages', 'Colorado Department of Labor and Employment', '2026'),
        '27200',
      ),
      wageBase(
        '2026-01-01',
        publication('Chargeable wages', 'Colorado Department of Labor and Employment', '2026'),
        '30600',
      ),
    ),
    highestPlausibleRate: PLAUSIBLE,
  },
  programs: [famli('employee', '0.0045', '0.0044'), famli('employer', '0.0045', '0.0044')],
  local: {
    method: 'work-place',
    agency: 'CO-CITY',
    provenance: OCCUPATIONAL,
    places: [
      place('Denver', ['5.75', '4.00'], '500'),
      place('Glendale', ['5.00', '5.00'], '750'),
      place('Greenwood Village', ['2.00', '2.00'], '250'),
      place('Sheridan', ['3.00', '3.00'], '500'),
    ],
  },
};
