import { rate } from '../../money/rate.js';
import { creditorsMay, freeHours, minimumWages } from '../creditor-limits.js';
import { dated, recalled, year } from '../dated.js';
import type { Program } from '../program.js';
import { PLAUSIBLE, again, agency, beginning, publication, row, wageBase } from '../state-words.js';
import type { StateRules } from '../state.js';
import { WASHINGTON_DEPOSITS } from './deposits.js';
import { WASHINGTON_RETURNS } from './returns.js';

const ESD = 'Washington Employment Security Department';
const LEAVE = (edition: string) => publication('Paid Family and Medical Leave premium rate', ESD, edition);
const leave = (payer: 'employee' | 'employer', of2024: string, of2025: string, of2026: string): Program => ({
  code: payer === 'employee' ? 'PFML-EE' : 'PFML-ER',
  kind: 'paid-leave',
  label: `Washington paid leave, ${payer}`,
  payer,
  agency: 'unemployment',
  wages: 'social-security',
  terms: [
    [2024, of2024, '0.74%: 71.43% employee, 28.57% employers of 50 or more'] as const,
    [2025, of2025, '0.92%: 71.52% employee, 28.48% employers of 50 or more'] as const,
    [2026, of2026, '1.13%: 71.43% employee, 28.57% employers of 50 or more'] as const,
  ].map(([of, by, place]) =>
    dated(year(of), recalled(LEAVE(String(of)), place), [
      { rate: rate(by), base: 'oasdi' as const, ...(payer === 'employer' ? { size: { atLeast: 50 } } : {}) },
    ]),
  ),
});

const LNI = 'Washington Department of Labor and Industries';
const compensation = (payer: 'employee' | 'employer'): Program => ({
  code: payer === 'employee' ? 'WC-EE' : 'WC-ER',
  kind: 'workers-compensation',
  label: `Washington workers’ compensation, ${payer}`,
  payer,
  agency: { code: 'WA-LNI' },
  wages: 'gross',
  terms: beginning(
    row(
      '2024-01-01',
      recalled(
        publication('Workers’ compensation premiums', LNI, '2026'),
        'by hours worked and class of risk; part of the premium may be taken from pay (RCW 51.16.140)',
      ),
      [{ rate: rate('0'), ofClass: payer }],
    ),
    again('2025-01-01'),
    again('2026-01-01'),
  ),
});

export const WASHINGTON: StateRules = {
  code: 'WA',
  name: 'Washington',
  deposits: WASHINGTON_DEPOSITS,
  returns: WASHINGTON_RETURNS,
  agencies: {
    unemployment: agency('WA-ESD', ESD, 'WA Employment'),
    others: [agency('WA-LNI', LNI, 'WA Labor and Industries')],
  },
  incomeTax: {
    kind: 'none',
    ...recalled(publication('Revised Code of Washington', 'State of Washington', '2025'), 'title 82: no tax on wages'),
  },
  creditors: creditorsMay(
    'Revised Code of Washington 6.27.150',
    { ofDisposable: rate('0.20'), ...freeHours(35) },
    'The limits for consumer debt.',
  ),
  minimumWage: minimumWages('Washington', ['16.28', '16.66', '17.13']),
  unemployment: {
    base: beginning(
      wageBase('2024-01-01', publication('Taxable wage base', ESD, '2026'), '68500'),
      wageBase('2025-01-01', publication('Taxable wage base', ESD, '2026'), '72800'),
      wageBase('2026-01-01', publication('Taxable wage base', ESD, '2026'), '78200'),
    ),
    highestPlausibleRate: PLAUSIBLE,
  },
  programs: [
    leave('employee', '0.005285820', '0.006579840', '0.008071590'),
    leave('employer', '0.002114180', '0.002620160', '0.003228410'),
    {
      code: 'CARES',
      kind: 'long-term-care',
      label: 'WA Cares long-term care premium',
      payer: 'employee',
      agency: 'unemployment',
      wages: 'gross',
      terms: beginning(
        row('2024-01-01', recalled(publication('WA Cares Fund premium', ESD, '2025'), '0.58%, no ceiling'), [
          { rate: rate('0.0058') },
        ]),
        again('2025-01-01'),
        again('2026-01-01'),
      ),
    },
    {
      code: 'EAF',
      kind: 'assessment',
      label: 'Washington employment administration fund',
      payer: 'employer',
      agency: 'unemployment',
      wages: 'unemployment',
      terms: beginning(
        row('2024-01-01', recalled(publication('EAF tax', ESD, '2025'), 'rate'), [
          { rate: rate('0.0003'), base: 'unemployment' },
        ]),
        again('2025-01-01'),
        again('2026-01-01'),
      ),
    },
    compensation('employee'),
    compensation('employer'),
  ],
};
