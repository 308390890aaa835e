import { dollars } from '../../money/cents.js';
import { rate } from '../../money/rate.js';
import { certificateAsFederal, statusField } from '../certificate-fields.js';
import { creditorsMay, freeHours } from '../creditor-limits.js';
import { recalled } from '../dated.js';
import { annual, byStatus, steps } from '../lines.js';
import type { Program } from '../program.js';
import { PLAUSIBLE, again, agency, beginning, flatSupplemental, publication, row, wageBase } from '../state-words.js';
import type { StateRules } from '../state.js';
import { NEW_MEXICO_DEPOSITS } from './deposits.js';
import { NEW_MEXICO_RETURNS } from './returns.js';

const TAXATION = 'New Mexico Taxation and Revenue Department';
const FYI104 = (edition: string) => publication('FYI-104, New Mexico Withholding Tax', TAXATION, edition);
const statuses = ['single', 'married-jointly', 'married-separately', 'head-of-household'];
const columns = byStatus({ 'married-jointly': 'joint', 'head-of-household': 'head' }, 'single');
/** Bracket widths of the income tax as of 2025 (HB 252), each set off by half of the federal standard deduction. */
const worksheet = (single: number, joint: number, head: number) => {
  const rates = ['0.015', '0.032', '0.043', '0.047', '0.049', '0.059'] as const;
  const rows = (offset: number, ...over: readonly number[]) => [
    ['0', '0'] as const,
    ...over.map((from, index) => [String(offset + from), rates[index] ?? ''] as const),
  ];
  return annual(
    columns,
    steps({
      single: rows(single, 0, 5500, 16500, 33500, 66500, 210000),
      joint: rows(joint, 0, 8000, 25000, 50000, 100000, 315000),
      head: rows(head, 0, 8000, 25000, 50000, 100000, 315000),
    }),
  );
};

const compensation = (payer: 'employee' | 'employer', amount: string): Program => ({
  code: payer === 'employee' ? 'WCF-EE' : 'WCF-ER',
  kind: 'workers-compensation',
  label: `New Mexico workers’ compensation fee, ${payer}`,
  payer,
  agency: { code: 'NM-WC' },
  wages: 'gross',
  terms: beginning(
    row(
      '2025-01-01',
      recalled(
        publication('WC-1, Workers’ Compensation Fee (NMSA 52-5-19)', TAXATION, '2025'),
        'for each person employed on the last working day of the quarter',
        'It is taken from the last check of the quarter. Employers of fewer than three owe it only when they chose the cover.',
      ),
      [{ rate: rate('0'), perQuarter: dollars(amount), size: { atLeast: 3 } }],
    ),
    again('2026-01-01'),
  ),
});

export const NEW_MEXICO: StateRules = {
  code: 'NM',
  name: 'New Mexico',
  deposits: NEW_MEXICO_DEPOSITS,
  returns: NEW_MEXICO_RETURNS,
  agencies: {
    income: agency('NM-TRD', TAXATION, 'NM Taxation'),
    unemployment: agency('NM-DWS', 'New Mexico Department of Workforce Solutions', 'NM Workforce'),
    others: [agency('NM-WC', `${TAXATION}, workers’ compensation fee`, 'NM compensation fee')],
  },
  incomeTax: {
    kind: 'worksheet',
    certificate: certificateAsFederal('Federal Form W-4 marked for New Mexico', [
      statusField(statuses, 'The filing status of the federal Form W-4.'),
    ]),
    worksheets: beginning(
      row(
        '2025-01-01',
        recalled(
          FYI104('2025'),
          'percentage method',
          'The zero band is taken to be half of the federal standard deduction, as in earlier editions.',
        ),
        worksheet(7500, 15000, 11250),
      ),
      row(
        '2026-01-01',
        recalled(
          FYI104('2026'),
          'percentage method',
          'The zero band is taken to be half of the federal standard deduction, as in earlier editions.',
        ),
        worksheet(8050, 16100, 12075),
      ),
    ),
    supplemental: beginning(
      row('2025-01-01', recalled(FYI104('2025'), 'supplemental wages'), flatSupplemental('0.059')),
      again('2026-01-01'),
    ),
  },
  creditors: creditorsMay('New Mexico Statutes § 35-12-7', freeHours(40, 'federal')),
  unemployment: {
    base: beginning(
      wageBase(
        '2025-01-01',
        publication('Taxable wage base', 'New Mexico Department of Workforce Solutions', '2026'),
        '33200',
      ),
      wageBase(
        '2026-01-01',
        publication('Taxable wage base', 'New Mexico Department of Workforce Solutions', '2026'),
        '34800',
      ),
    ),
    highestPlausibleRate: PLAUSIBLE,
  },
  programs: [compensation('employee', '2.00'), compensation('employer', '2.30')],
};
