import { certificate, statusField } from '../certificate-fields.js';
import { recalled } from '../dated.js';
import { annual, byStatus, steps } from '../lines.js';
import { PLAUSIBLE, agency, both, flatSupplemental, publication, wageBases, yearly } from '../state-words.js';
import type { StateRules } from '../state.js';

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

export const NEW_MEXICO: StateRules = {
  code: 'NM',
  name: 'New Mexico',
  agencies: {
    income: agency('NM-TRD', TAXATION, 'NM Taxation'),
    unemployment: agency('NM-DWS', 'New Mexico Department of Workforce Solutions', 'NM Workforce'),
  },
  incomeTax: {
    kind: 'worksheet',
    certificate: certificate(
      'Federal Form W-4 marked for New Mexico',
      [statusField(statuses, 'The filing status of the federal Form W-4.')],
      { filingStatus: 'single' },
      'Withhold as single.',
    ),
    worksheets: yearly(
      [
        recalled(
          FYI104('2025'),
          'percentage method',
          'The zero band is taken to be half of the federal standard deduction, as in earlier editions.',
        ),
        worksheet(7500, 15000, 11250),
      ],
      [
        recalled(
          FYI104('2026'),
          'percentage method',
          'The zero band is taken to be half of the federal standard deduction, as in earlier editions.',
        ),
        worksheet(8050, 16100, 12075),
      ],
    ),
    supplemental: both(recalled(FYI104('2025'), 'supplemental wages'), flatSupplemental('0.059')),
  },
  unemployment: {
    base: wageBases(
      publication('Taxable wage base', 'New Mexico Department of Workforce Solutions', '2026'),
      '33200',
      '34800',
    ),
    highestPlausibleRate: PLAUSIBLE,
  },
};
