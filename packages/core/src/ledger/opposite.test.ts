import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { date } from '../calendar/local-date.js';
import { readCase } from '../casefile/read-case.js';
import type { PaycheckResult } from '../computation/result.js';
import { add, dollars, sum, ZERO, type Cents } from '../money/cents.js';
import { computePaycheck } from '../paycheck/compute.js';
import { make, type Given } from '../testing/whole-checks.js';
import { employerTotals, oppositeJournal, oppositeLines, oppositePostings, postedTaxes } from './opposite.js';
import { employerTaxes, payrollJournal, taxPostings, type PostedPaycheck } from './postings.js';

const check = (earnings: Given[], more: Given = {}, employee: Given = {}): PaycheckResult => {
  const { input, issues } = readCase(make('WA', { payFrequency: 'biweekly', earnings, ...more }, employee));
  if (!input) throw new Error(JSON.stringify(issues));
  return computePaycheck(input);
};
const paid = (hours: string, index: number): PostedPaycheck => ({
  employeeId: `person ${index}`,
  result: check(
    [{ item: 'regular', hours, rate: '23.45' }],
    { deductions: [{ item: '401k', percent: '5' }], employerPaid: [{ item: 'employer-health', amount: '100.01' }] },
    { garnishments: [{ kind: 'creditor', label: 'Order 12', amount: '40.00', fee: '2.00' }] },
  ),
});
const CHECK_DATE = date('2026-03-13');
const HOURS = fc.array(fc.integer({ min: 1, max: 8_000 }), { minLength: 1, maxLength: 5 });
const hoursText = (hundredths: number): string =>
  `${Math.floor(hundredths / 100)}.${String(hundredths % 100).padStart(2, '0')}`;

/** What is left of each key when everything is added up; nothing where it comes to zero. */
function left(entries: readonly (readonly [string, Cents])[]): [string, Cents][] {
  const totals = new Map<string, Cents>();
  for (const [key, amount] of entries) totals.set(key, add(totals.get(key) ?? ZERO, amount));
  return [...totals].filter(([, amount]) => amount !== 0);
}

describe('a payroll and the opposite of each of its checks', () => {
  it('come to nothing in the ledger and in the journal, in any order of voids', () =>
    fc.assert(
      fc.property(HOURS, (many) => {
        const checks = many.map((hours, index) => paid(hoursText(hours), index));
        const employer = employerTaxes(checks);
        const posted = checks.map((one, index) => postedTaxes(one, index, employer));
        const lines = [
          ...taxPostings(checks, employer, CHECK_DATE),
          ...posted.flatMap((one) => oppositePostings([one], CHECK_DATE)),
        ];
        const named = lines.flatMap(({ employeeId, tax, subject, wages, amount }): [string, Cents][] => [
          [`${employeeId} ${tax} subject`, subject],
          [`${employeeId} ${tax} wages`, wages],
          [`${employeeId} ${tax}`, amount],
        ]);
        const journal = [
          ...payrollJournal(checks, employer),
          ...checks.flatMap((one, index) =>
            oppositeJournal(payrollJournal([one], employerTotals([posted[index] ?? { employeeId: '', taxes: [] }]))),
          ),
        ].map(({ account, detail, amount }): [string, Cents] => [`${account} ${detail}`, amount]);
        expect([left(named), left(journal)]).toEqual([[], []]);
      }),
      { numRuns: 30 },
    ));
  it('have the opposite of every amount in their lines', () => {
    const { result } = paid('80', 1);
    const opposite = oppositeLines(result);
    const amounts = (lines: readonly { readonly amount: Cents }[]): Cents => sum(lines.map(({ amount }) => amount));
    for (const list of ['earnings', 'deductions', 'employerPaid', 'garnishments', 'taxes'] as const) {
      expect(amounts(result[list])).toBeGreaterThan(0);
      expect(add(amounts(result[list]), amounts(opposite[list]))).toBe(ZERO);
    }
    expect(opposite.garnishments[0]?.fee).toBe(dollars('-2.00'));
    expect(opposite.taxes.map(({ rate }) => rate)).toEqual(result.taxes.map(({ rate }) => rate));
  });
  it('give leave back, and the hours of workers’ compensation', () => {
    const result = check([{ item: 'regular', hours: '80', rate: '23.45' }]);
    const { leave, workersCompensation } = oppositeLines({
      ...result,
      leave: [{ item: 'sick', accrued: 20_000, used: 80_000, lost: 0, balance: 100_000 }],
      workersCompensation: { workClass: '5403', pay: dollars('1876.00'), hours: '80', amount: dollars('12.34') },
    });
    expect(leave).toEqual([{ item: 'sick', accrued: -20_000, used: -80_000, lost: 0, balance: 100_000 }]);
    expect(workersCompensation).toEqual({
      workClass: '5403',
      pay: dollars('-1876.00'),
      hours: '-80',
      amount: dollars('-12.34'),
    });
  });
});
