import { rate } from '../../money/rate.js';
import { amountField, certificate, choiceField } from '../certificate-fields.js';
import { creditorsMay, freeHours, minimumWages } from '../creditor-limits.js';
import { recalled } from '../dated.js';
import { addTax, annual, columnIs, credit, deduct, given, perPeriod, steps, tiers, timesRate } from '../lines.js';
import { PLAUSIBLE, TOGETHER, again, agency, beginning, publication, row, wageBase } from '../state-words.js';
import type { StateRules } from '../state.js';
import { CONNECTICUT_DEPOSITS } from './deposits.js';
import { CONNECTICUT_RETURNS } from './returns.js';

const DRS = 'Connecticut Department of Revenue Services';
const TPG = publication('TPG-211, Withholding Calculation Rules', DRS, '2025');
const RATES = ['0.02', '0.045', '0.055', '0.06', '0.065', '0.069', '0.0699'] as const;
const rows = (...over: readonly string[]) => over.map((from, index) => [from, RATES[index] ?? ''] as const);
const narrow = rows('0', '10000', '50000', '100000', '200000', '250000', '500000');
const head = rows('0', '16000', '80000', '160000', '320000', '400000', '800000');
const joint = rows('0', '20000', '100000', '200000', '400000', '500000', '1000000');
/** A column of ten or so amounts that rise (or fall) by one step for each range of wages. */
const ladder = (from: number, width: number, step: number, times: number): readonly (readonly [string, string])[] =>
  Array.from({ length: times }, (_, index) => [String(from + index * width), String((index + 1) * step)] as const);
const falling = (from: number, start: number): readonly (readonly [string, string])[] => [
  ['0', String(start)],
  ...Array.from(
    { length: start / 1000 },
    (_, index) => [String(from + index * 1000), String(start - (index + 1) * 1000)] as const,
  ),
];
const recapture = (
  first: number,
  width: number,
  step: number,
  second: number,
  secondStep: number,
  third: number,
  thirdWidth: number,
  thirdStep: number,
) => {
  const low = ladder(first, width, step, 10);
  const top = step * 10;
  const middle = Array.from(
    { length: 30 },
    (_, index) => [String(second + index * width), String(top + (index + 1) * secondStep)] as const,
  );
  const upper = top + 30 * secondStep;
  const high = Array.from(
    { length: 9 },
    (_, index) => [String(third + index * thirdWidth), String(upper + (index + 1) * thirdStep)] as const,
  );
  return [['0', '0'] as const, ...low, ...middle, ...high];
};
/** Personal tax credit decimals of table E. */
const credits = (
  start: number,
  second: number,
  third: number,
  fourth: number,
  end: number,
): readonly (readonly [string, string])[] => {
  const down = (from: number, first: number, times: number, drop: number) =>
    Array.from(
      { length: times },
      (_, index) => [String(from + index * 500), `0.${String(first - index * drop).padStart(2, '0')}`] as const,
    );
  return [
    ['0', '0'],
    [String(start), '0.75'],
    ...down(second, 70, 8, 5),
    ...down(third, 30, 4, 5),
    ...down(fourth, 14, 5, 1),
    ...down(end, 9, 9, 1),
    [String(end + 4500), '0'],
  ];
};

export const CONNECTICUT: StateRules = {
  code: 'CT',
  name: 'Connecticut',
  deposits: CONNECTICUT_DEPOSITS,
  returns: CONNECTICUT_RETURNS,
  agencies: {
    income: agency('CT-DRS', DRS, 'CT Revenue'),
    unemployment: agency('CT-DOL', 'Connecticut Department of Labor', 'CT Labor'),
    others: [agency('CT-PFL', 'Connecticut Paid Leave Authority', 'CT Paid Leave')],
  },
  incomeTax: {
    kind: 'worksheet',
    certificate: certificate(
      'Form CT-W4',
      [
        choiceField(
          'code',
          'Withholding code',
          ['A', 'B', 'C', 'D', 'E', 'F', 'none'],
          'none',
          'CT-W4 line 1; E is no withholding; `none` is no certificate.',
        ),
        amountField('reducedWithholding', 'Reduced withholding', 'CT-W4 line 3, for each pay period.'),
      ],
      { code: 'none' },
      'Withhold at 6.99% with no exemption.',
    ),
    worksheets: beginning(
      row(
        '2025-01-01',
        recalled(
          TPG,
          'tables A to E',
          'Tables C and D are rebuilt from their step pattern; single rows may differ from the print.',
        ),
        annual(
          [...['A', 'B', 'C', 'D', 'E', 'F'].map((code) => columnIs(code, { code })), columnIs('none')],
          deduct(
            'Personal exemption (table A)',
            tiers({
              A: falling(24000, 12000),
              B: falling(38000, 19000),
              C: falling(48000, 24000),
              D: [['0', '0']],
              E: [['0', '0']],
              F: falling(30000, 15000),
              none: [['0', '0']],
            }),
          ),
          steps(
            { A: narrow, D: narrow, F: narrow, B: head, C: joint, E: [['0', '0']], none: [['0', '0.0699']] },
            'Initial tax (table B)',
          ),
          addTax(
            '2% rate phase-out (table C)',
            tiers({
              A: [['0', '0'], ...ladder(50250, 2500, 25, 10)],
              D: [['0', '0'], ...ladder(50250, 2500, 25, 10)],
              B: [['0', '0'], ...ladder(78500, 4000, 40, 10)],
              C: [['0', '0'], ...ladder(100500, 5000, 50, 10)],
              F: [['0', '0'], ...ladder(56500, 5000, 25, 10)],
              E: [['0', '0']],
              none: [['0', '0']],
            }),
          ),
          addTax(
            'Tax recapture (table D)',
            tiers({
              A: recapture(105000, 5000, 25, 200000, 90, 500000, 5000, 50),
              D: recapture(105000, 5000, 25, 200000, 90, 500000, 5000, 50),
              F: recapture(105000, 5000, 25, 200000, 90, 500000, 5000, 50),
              B: recapture(168000, 8000, 40, 320000, 140, 800000, 8000, 80),
              C: recapture(210000, 10000, 50, 400000, 180, 1000000, 10000, 100),
              E: [['0', '0']],
              none: [['0', '0']],
            }),
          ),
          timesRate(
            'Personal tax credit (table E)',
            {
              A: credits(12000, 15000, 20000, 25000, 48000),
              B: credits(19000, 24000, 34000, 44000, 74000),
              C: credits(24000, 30000, 40000, 50000, 96000),
              F: credits(15000, 18800, 25000, 31300, 60000),
              '*': [['0', '0']],
            },
            true,
          ),
          perPeriod,
          credit('Reduced withholding', given('reducedWithholding')),
        ),
      ),
      again('2026-01-01'),
    ),
    supplemental: beginning(
      row('2025-01-01', recalled(TPG, 'supplemental compensation'), TOGETHER),
      again('2026-01-01'),
    ),
  },
  creditors: creditorsMay('Connecticut General Statutes § 52-361a', freeHours(40)),
  minimumWage: minimumWages('Connecticut', ['15.69', '16.35', '16.94']),
  unemployment: {
    base: beginning(
      wageBase('2025-01-01', publication('Taxable wage base', 'Connecticut Department of Labor', '2026'), '26100'),
      wageBase('2026-01-01', publication('Taxable wage base', 'Connecticut Department of Labor', '2026'), '27000'),
    ),
    highestPlausibleRate: PLAUSIBLE,
  },
  creditsPlaces: recalled(
    publication('Conn. Gen. Stat. § 12-704(a)', 'State of Connecticut', '2024'),
    'tax of another state, a political subdivision of it, or the District of Columbia',
    'That withholding may be lowered by it is recalled less surely than the credit itself.',
  ),
  convenienceRule: recalled(
    publication('Conn. Gen. Stat. § 12-711(b)(2)(C)', 'State of Connecticut', '2019'),
    'only against residents of states with such a rule',
  ),
  programs: [
    {
      code: 'PFL',
      kind: 'paid-leave',
      label: 'Connecticut paid leave',
      payer: 'employee',
      agency: { code: 'CT-PFL' },
      wages: 'social-security',
      terms: beginning(
        row(
          '2025-01-01',
          recalled(publication('Contribution rate', 'Connecticut Paid Leave Authority', '2026'), 'rate'),
          [{ rate: rate('0.005'), base: 'oasdi' }],
        ),
        again('2026-01-01'),
      ),
    },
  ],
};
