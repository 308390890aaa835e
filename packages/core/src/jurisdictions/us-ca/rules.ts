import { rate } from '../../money/rate.js';
import { SINGLE_ZERO_SAYS, certificate, statusField, wholeField } from '../certificate-fields.js';
import { creditorsMay, freeHours, minimumWages } from '../creditor-limits.js';
import { recalled } from '../dated.js';
import { overtimeByDay } from '../overtime.js';
import { byPeriod, columnIs, countFromTable, credit, deduct, fixed, noneUpTo, steps } from '../lines.js';
import {
  PLAUSIBLE,
  again,
  agency,
  beginning,
  flatSupplemental,
  movingIsExcluded,
  publication,
  row,
  wageBase,
} from '../state-words.js';
import type { StateRules } from '../state.js';
import { CALIFORNIA_DEPOSITS } from './deposits.js';
import { CALIFORNIA_RETURNS } from './returns.js';

const EDD = 'Employment Development Department';
const guide = (edition: string) => publication('California Employer’s Guide (DE 44)', EDD, edition);
const married = ['married-jointly'];
/** Tables 1 and 3 of Method B tell the married with two or more allowances and heads of household from all others. */
const columns = [
  columnIs('married2', { filingStatus: married, allowances: { atLeast: 2 } }),
  columnIs('married', { filingStatus: married }),
  columnIs('head', { filingStatus: 'head-of-household' }),
  columnIs('single'),
];
const RATES = ['0.011', '0.022', '0.044', '0.066', '0.088', '0.1023', '0.1133', '0.1243', '0.1353', '0.1463'] as const;
const rows = (...over: readonly string[]) => over.map((from, index) => [from, RATES[index] ?? ''] as const);
const tables2025 = {
  single: rows('0', '10756', '25499', '40245', '55866', '70606', '360659', '432787', '721314', '1000000'),
  married: rows('0', '21512', '50998', '80490', '111732', '141212', '721318', '865574', '1000000', '1442628'),
  head: rows('0', '21527', '51000', '65744', '81364', '96107', '490493', '588593', '980987', '1000000'),
};
const tables2026 = {
  single: rows('0', '11079', '26264', '41452', '57542', '72724', '371479', '445771', '742953', '1000000'),
  married: rows('0', '22158', '52528', '82904', '115084', '145448', '742958', '891542', '1000000', '1485906'),
  head: rows('0', '22173', '52530', '67716', '83805', '98990', '505208', '606251', '1000000', '1010417'),
};

export const CALIFORNIA: StateRules = {
  code: 'CA',
  name: 'California',
  deposits: CALIFORNIA_DEPOSITS,
  returns: CALIFORNIA_RETURNS,
  agencies: { income: agency('CA-EDD', EDD, 'CA EDD'), unemployment: agency('CA-EDD', EDD, 'CA EDD') },
  incomeTax: {
    kind: 'worksheet',
    certificate: certificate(
      'Form DE 4',
      [
        statusField(
          ['single', 'married-jointly', 'head-of-household'],
          '`single` is single or married with two or more incomes; `married-jointly` is married with one income.',
        ),
        wholeField('allowances', 'Regular allowances', 'DE 4 line 1a.'),
        wholeField('estimatedDeductions', 'Allowances for estimated deductions', 'DE 4 line 1b.'),
      ],
      { filingStatus: 'single', allowances: 0, estimatedDeductions: 0 },
      SINGLE_ZERO_SAYS,
    ),
    worksheets: beginning(
      row(
        '2025-01-01',
        recalled(
          guide('2025'),
          'Method B, exact calculation, tables 1 to 5',
          'The low income amounts are recalled less surely than the others; period tables follow from the annual ones by rounding.',
        ),
        byPeriod(
          'dollar',
          columns,
          noneUpTo('Low income exemption (table 1)', {
            single: '18368',
            married: '18368',
            married2: '36736',
            head: '36736',
          }),
          deduct('Estimated deduction (table 2)', countFromTable('estimatedDeductions', '1000', 10)),
          deduct(
            'Standard deduction (table 3)',
            fixed({ single: '5540', married: '5540', married2: '11080', head: '11080' }),
          ),
          steps({ ...tables2025, married2: tables2025.married }, 'Computed tax (table 5)'),
          credit('Exemption allowance credit (table 4)', countFromTable('allowances', '163.90', 10)),
        ),
      ),
      row(
        '2026-01-01',
        recalled(
          guide('2026'),
          'Method B, exact calculation, tables 1 to 5',
          'Follows from the Franchise Tax Board’s 2025 indexing; the print was not at hand.',
        ),
        byPeriod(
          'dollar',
          columns,
          noneUpTo('Low income exemption (table 1)', {
            single: '18896',
            married: '18896',
            married2: '37791',
            head: '37791',
          }),
          deduct('Estimated deduction (table 2)', countFromTable('estimatedDeductions', '1000', 10)),
          deduct(
            'Standard deduction (table 3)',
            fixed({ single: '5706', married: '5706', married2: '11412', head: '11412' }),
          ),
          steps({ ...tables2026, married2: tables2026.married }, 'Computed tax (table 5)'),
          credit('Exemption allowance credit (table 4)', countFromTable('allowances', '168.30', 10)),
        ),
      ),
    ),
    supplemental: beginning(
      row(
        '2025-01-01',
        recalled(guide('2025'), 'Supplemental wage payments'),
        flatSupplemental('0.066', { bonus: '0.1023', 'discretionary-bonus': '0.1023', 'stock-option': '0.1023' }),
      ),
      again('2026-01-01'),
    ),
  },
  views: [
    movingIsExcluded(guide('2025')),
    {
      base: 'SIT',
      taxes: ['hsa', 'section-125-hsa', 'employer-hsa'],
      provenance: recalled(guide('2025'), 'Types of payments: health savings accounts'),
    },
  ],
  creditors: creditorsMay('California Code of Civil Procedure § 706.050', {
    ofDisposable: rate('0.20'),
    ...freeHours(48, 'state', '0.40'),
  }),
  overtime: overtimeByDay(
    'California Labor Code § 510(a)',
    {
      day: [
        { hours: 8, item: 'overtime' },
        { hours: 12, item: 'double-time' },
      ],
      seventhDay: [
        { hours: 0, item: 'overtime' },
        { hours: 8, item: 'double-time' },
      ],
    },
    'Alternative workweeks (§ 511) and wage orders of single industries are not modelled.',
  ),
  minimumWage: minimumWages('California', ['16.00', '16.50', '16.90']),
  unemployment: {
    base: beginning(wageBase('2025-01-01', guide('2025'), '7000'), wageBase('2026-01-01', guide('2025'), '7000')),
    highestPlausibleRate: PLAUSIBLE,
  },
  programs: [
    {
      code: 'SDI',
      kind: 'disability',
      label: 'California disability insurance',
      payer: 'employee',
      agency: 'unemployment',
      wages: 'unemployment',
      terms: beginning(
        row('2025-01-01', recalled(guide('2025'), 'SDI rate; no ceiling since 2024 (SB 951)'), [
          { rate: rate('0.012') },
        ]),
        row('2026-01-01', recalled(guide('2026'), 'SDI rate; no ceiling since 2024 (SB 951)'), [
          { rate: rate('0.013') },
        ]),
      ),
    },
    {
      code: 'ETT',
      kind: 'training',
      label: 'California employment training tax',
      payer: 'employer',
      agency: 'unemployment',
      wages: 'unemployment',
      terms: beginning(
        row('2025-01-01', recalled(guide('2025'), 'ETT rate'), [{ rate: rate('0.001'), base: 'unemployment' }]),
        again('2026-01-01'),
      ),
    },
  ],
};
