import { dollars } from '../../money/cents.js';
import { rate } from '../../money/rate.js';
import { ALLOWANCES, certificate, statusField } from '../certificate-fields.js';
import { creditorsMay } from '../creditor-limits.js';
import { recalled } from '../dated.js';
import { addTax, annual, columnIs, credit, deduct, federalTax, fixed, table, tiers } from '../lines.js';
import type { Program } from '../program.js';
import { PLAUSIBLE, again, agency, beginning, flatSupplemental, publication, row, wageBase } from '../state-words.js';
import type { StateRules } from '../state.js';
import { OREGON_DEPOSITS } from './deposits.js';
import { OREGON_RETURNS } from './returns.js';
import { DISTRICTS } from './districts.js';

const REVENUE = 'Oregon Department of Revenue';
const FORMULAS = (edition: string) => publication('150-206-436, Oregon Withholding Tax Formulas', REVENUE, edition);
const EMPLOYMENT = 'Oregon Employment Department';
const PFML = publication('Paid Leave Oregon contribution rate', EMPLOYMENT, '2026');
const columns = [
  columnIs('none', { filingStatus: 'none' }),
  columnIs('wide', { filingStatus: 'married-jointly' }),
  columnIs('wide', {
    allowances: { atLeast: 3 },
    filingStatus: ['single', 'married-at-single-rate', 'head-of-household'],
  }),
  columnIs('narrow'),
];
type Rows = readonly (readonly [over: string, base: string, rate: string])[];
/** The constants of the formulas are whole dollars: the tax at a threshold as the rate charts print it. */
const rows = (...given: readonly (readonly [over: string, base: string])[]): Rows =>
  given.map(([over, base], index) => [over, base, ['0.0475', '0.0675', '0.0875', '0.099'][index] ?? '']);
const NARROW_2025 = rows(['0', '0'], ['4400', '209'], ['11050', '658'], ['125000', '10629']);
const WIDE_2025 = rows(['0', '0'], ['8800', '418'], ['22100', '1316'], ['250000', '21257']);
const NARROW_2026 = rows(['0', '0'], ['4550', '216'], ['11400', '679'], ['125000', '10619']);
const WIDE_2026 = rows(['0', '0'], ['9100', '432'], ['22800', '1357'], ['250000', '21237']);
/** The federal-tax subtraction is lowered in five steps as wages rise. */
const cap = (full: number, first: number, width: number) => [
  ['0', String(full)] as const,
  ...[4, 3, 2, 1, 0].map((part, index) => [String(first + index * width), String((full * part) / 5)] as const),
];
const worksheet = (standard: readonly [string, string], each: string, full: number, narrow: Rows, wide: Rows) =>
  annual(
    columns,
    deduct(
      'Federal tax withheld, up to the limit',
      federalTax({ narrow: cap(full, 125000, 5000), wide: cap(full, 250000, 10000), none: [['0', '0']] }),
    ),
    deduct('Standard deduction', fixed({ narrow: standard[0], wide: standard[1], none: '0' })),
    table({ narrow, wide, none: [['0', '0', '0.08']] }),
    addTax(
      'Formula constant for wages up to 50,000',
      tiers({
        '*': [
          ['0', each],
          ['50000', '0'],
        ],
        none: [['0', '0']],
      }),
    ),
    credit(
      'Allowances, none above 100,000 (200,000 married)',
      tiers(
        {
          narrow: [
            ['0', each],
            ['100000', '0'],
          ],
          wide: [
            ['0', each],
            ['200000', '0'],
          ],
          none: [['0', '0']],
        },
        'allowances',
      ),
    ),
  );
const paidLeave = (payer: 'employee' | 'employer', by: string): Program => ({
  code: payer === 'employee' ? 'PFML-EE' : 'PFML-ER',
  kind: 'paid-leave',
  label: `Paid Leave Oregon, ${payer}`,
  payer,
  agency: 'unemployment',
  wages: 'social-security',
  terms: beginning(
    row('2025-01-01', recalled(PFML, '1.0%: 60% employee, 40% employers of 25 or more'), [
      { rate: rate(by), base: 'oasdi', ...(payer === 'employer' ? { size: { atLeast: 25 } } : {}) },
    ]),
    again('2026-01-01'),
  ),
});
const assessment = (payer: 'employee' | 'employer'): Program => ({
  code: payer === 'employee' ? 'WBF-EE' : 'WBF-ER',
  kind: 'workers-compensation',
  label: `Oregon workers’ benefit fund, ${payer}`,
  payer,
  agency: 'income',
  wages: 'gross',
  terms: beginning(
    row(
      '2025-01-01',
      recalled(
        publication('Workers’ Benefit Fund assessment', 'Oregon Department of Consumer and Business Services', '2026'),
        '2.0 cents an hour, half from each',
      ),
      [{ rate: rate('0'), perHour: rate('0.01') }],
    ),
    again('2026-01-01'),
  ),
});

export const OREGON: StateRules = {
  code: 'OR',
  name: 'Oregon',
  deposits: OREGON_DEPOSITS,
  returns: OREGON_RETURNS,
  agencies: {
    income: agency('OR-DOR', REVENUE, 'OR Revenue'),
    unemployment: agency('OR-OED', EMPLOYMENT, 'OR Employment'),
    others: [agency('OR-PORTLAND', 'City of Portland Revenue Division', 'Portland')],
  },
  incomeTax: {
    kind: 'worksheet',
    certificate: certificate(
      'Form OR-W-4',
      [
        statusField(
          ['single', 'married-jointly', 'married-at-single-rate', 'head-of-household', 'none'],
          'OR-W-4 line 1; `none` is no certificate.',
        ),
        ALLOWANCES,
      ],
      { filingStatus: 'none', allowances: 0 },
      'Withhold at 8% of wages.',
    ),
    worksheets: beginning(
      row(
        '2025-01-01',
        recalled(
          FORMULAS('2025'),
          'formulas for wages up to and over 50,000',
          'That the constants of the formulas are whole dollars is recalled from the rate charts.',
        ),
        worksheet(['2835', '5670'], '256', 8500, NARROW_2025, WIDE_2025),
      ),
      row(
        '2026-01-01',
        recalled(
          FORMULAS('2026'),
          'formulas for wages up to and over 50,000',
          'Standard deduction, credit and brackets of 2026 are recalled from the indexing notice.',
        ),
        worksheet(['2910', '5820'], '263', 8750, NARROW_2026, WIDE_2026),
      ),
    ),
    supplemental: beginning(
      row('2025-01-01', recalled(FORMULAS('2025'), 'supplemental wages'), flatSupplemental('0.08')),
      again('2026-01-01'),
    ),
  },
  creditors: creditorsMay(
    'Oregon Revised Statutes 18.385',
    {
      freeAmounts: {
        weekly: dollars('305'),
        biweekly: dollars('611'),
        semimonthly: dollars('655'),
        monthly: dollars('1309'),
      },
    },
    'The amounts of July 1, 2024: less was exempt before, and they are raised each July since; the raised ones are not remembered.',
  ),
  unemployment: {
    base: beginning(
      wageBase('2025-01-01', publication('Taxable wage base', EMPLOYMENT, '2026'), '54300'),
      wageBase('2026-01-01', publication('Taxable wage base', EMPLOYMENT, '2026'), '56700'),
    ),
    highestPlausibleRate: PLAUSIBLE,
  },
  programs: [
    {
      code: 'STT',
      kind: 'transit',
      label: 'Oregon statewide transit tax',
      payer: 'employee',
      agency: 'income',
      wages: 'income',
      terms: beginning(
        row(
          '2025-01-01',
          recalled(
            publication('Statewide transit tax', REVENUE, '2025'),
            'rate',
            'A doubling voted for 2026 was held back by a referendum petition.',
          ),
          [{ rate: rate('0.001') }],
        ),
        again('2026-01-01'),
      ),
    },
    paidLeave('employee', '0.006'),
    paidLeave('employer', '0.004'),
    assessment('employee'),
    assessment('employer'),
  ],
  local: {
    method: 'work-place',
    agency: 'OR-PORTLAND',
    provenance: recalled(
      publication('Metro and Multnomah County personal income taxes', 'City of Portland Revenue Division', '2025'),
      'withholding',
    ),
    places: DISTRICTS,
  },
};
