import { rate } from '../../money/rate.js';
import { ALLOWANCES, certificate, statusField } from '../certificate-fields.js';
import { recalled } from '../dated.js';
import { addTax, annual, columnIs, credit, deduct, federalTax, fixed, steps, tiers } from '../lines.js';
import type { Program } from '../program.js';
import { PLAUSIBLE, agency, both, flatSupplemental, publication, wageBases, yearly } from '../state-words.js';
import type { StateRules } from '../state.js';
import { DISTRICTS } from './districts.js';

const REVENUE = 'Oregon Department of Revenue';
const FORMULAS = (edition: string) => publication('150-206-436, Oregon Withholding Tax Formulas', REVENUE, edition);
const EMPLOYMENT = 'Oregon Employment Department';
const PFML = publication('Paid Leave Oregon contribution rate', EMPLOYMENT, '2026');
const columns = [
  columnIs('wide', { filingStatus: 'married-jointly' }),
  columnIs('wide', {
    allowances: { atLeast: 3 },
    filingStatus: ['single', 'married-at-single-rate', 'head-of-household'],
  }),
  columnIs('narrow'),
];
/** The federal-tax subtraction is lowered in five steps as wages rise. */
const cap = (full: number, first: number, width: number) => [
  ['0', String(full)] as const,
  ...[4, 3, 2, 1, 0].map((part, index) => [String(first + index * width), String((full * part) / 5)] as const),
];
const worksheet = (
  standard: readonly [string, string],
  each: string,
  full: number,
  narrow: readonly [string, string],
  wide: readonly [string, string],
) =>
  annual(
    columns,
    deduct(
      'Federal tax withheld, up to the limit',
      federalTax({ narrow: cap(full, 125000, 5000), wide: cap(full, 250000, 10000) }),
    ),
    deduct('Standard deduction', fixed({ narrow: standard[0], wide: standard[1] })),
    steps({
      narrow: [
        ['0', '0.0475'],
        [narrow[0], '0.0675'],
        [narrow[1], '0.0875'],
        ['125000', '0.099'],
      ],
      wide: [
        ['0', '0.0475'],
        [wide[0], '0.0675'],
        [wide[1], '0.0875'],
        ['250000', '0.099'],
      ],
    }),
    addTax(
      'Formula constant for wages up to 50,000',
      tiers([
        ['0', each],
        ['50000', '0'],
      ]),
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
        },
        'allowances',
      ),
    ),
  );
const paidLeave = (payer: 'employee' | 'employer', by: string): Program => ({
  code: payer === 'employee' ? 'PFML-EE' : 'PFML-ER',
  label: `Paid Leave Oregon, ${payer}`,
  payer,
  agency: 'unemployment',
  wages: 'social-security',
  terms: both(recalled(PFML, '1.0%: 60% employee, 40% employers of 25 or more'), [
    { rate: rate(by), base: 'oasdi', ...(payer === 'employer' ? { size: { atLeast: 25 } } : {}) },
  ]),
});
const assessment = (payer: 'employee' | 'employer'): Program => ({
  code: payer === 'employee' ? 'WBF-EE' : 'WBF-ER',
  label: `Oregon workers’ benefit fund, ${payer}`,
  payer,
  agency: 'income',
  wages: 'gross',
  terms: both(
    recalled(
      publication('Workers’ Benefit Fund assessment', 'Oregon Department of Consumer and Business Services', '2026'),
      '2.0 cents an hour, half from each',
    ),
    [{ rate: rate('0'), perHour: rate('0.01') }],
  ),
});

export const OREGON: StateRules = {
  code: 'OR',
  name: 'Oregon',
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
        statusField(['single', 'married-jointly', 'married-at-single-rate', 'head-of-household'], 'OR-W-4 line 1.'),
        ALLOWANCES,
      ],
      { filingStatus: 'single', allowances: 0 },
      'Withhold at 8% of wages; the formula for single with no allowances is used here when a certificate is only incomplete.',
    ),
    worksheets: yearly(
      [
        recalled(FORMULAS('2025'), 'formulas for wages up to and over 50,000'),
        worksheet(['2835', '5670'], '256', 8500, ['4400', '11050'], ['8800', '22100']),
      ],
      [
        recalled(
          FORMULAS('2026'),
          'formulas for wages up to and over 50,000',
          'Standard deduction, credit and brackets of 2026 are recalled from the indexing notice.',
        ),
        worksheet(['2910', '5820'], '263', 8750, ['4550', '11400'], ['9100', '22800']),
      ],
    ),
    supplemental: both(recalled(FORMULAS('2025'), 'supplemental wages'), flatSupplemental('0.08')),
  },
  unemployment: {
    base: wageBases(publication('Taxable wage base', EMPLOYMENT, '2026'), '54300', '56700'),
    highestPlausibleRate: PLAUSIBLE,
  },
  programs: [
    {
      code: 'STT',
      label: 'Oregon statewide transit tax',
      payer: 'employee',
      agency: 'income',
      wages: 'income',
      terms: both(
        recalled(
          publication('Statewide transit tax', REVENUE, '2025'),
          'rate',
          'A doubling voted for 2026 was held back by a referendum petition.',
        ),
        [{ rate: rate('0.001') }],
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
