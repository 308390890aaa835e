import { describe, expect, it } from '@jest/globals';
import { cents, dollars } from '../money/cents.js';
import { periodNamed } from '../testing/filings.js';
import { kindOf } from './registry.js';
import type { ReturnLine } from './return-lines.js';
import {
  effectiveRates,
  excessAgainstYear,
  heldBy,
  linesToMark,
  periodsBefore,
  underLine,
  wagesReported,
  wagesTogether,
  type MarkOnLine,
} from './working-papers.js';

const mark = (line: string, more: Partial<MarkOnLine> = {}): MarkOnLine => ({
  line,
  mark: 'agreed',
  isReviewer: true,
  isCracked: false,
  ...more,
});
const line = (id: string, value: number, hasEntries = false): ReturnLine => ({
  id,
  label: id,
  value,
  kind: 'amount',
  entries: hasEntries ? { taxes: ['US-FIT'], part: 'amount', of: 'liabilities' } : null,
  working: [{ label: 'Line', value: String(value) }],
});

describe('tick marks', () => {
  it('crack when the line, or what is added up in it, is another', () => {
    const one = line('3', 100);
    expect(underLine({ ...one, working: [...one.working] })).toBe(underLine(one));
    expect(underLine({ ...one, value: 101 })).not.toBe(underLine(one));
    expect(underLine({ ...one, working: [{ label: '8 ledger lines', value: '' }] })).not.toBe(underLine(one));
  });
  it('hold the return where one is cracked or a question is open; a cleared one is not given', () => {
    expect(heldBy([mark('3')], [])).toEqual([]);
    expect(heldBy([mark('3', { isCracked: true }), mark('5a.1', { mark: 'queried' })], [])).toEqual([
      'A question is open at line 5a.1.',
      'What lies under a mark has moved: line 3.',
    ]);
  });
  it('are asked of both persons at each line where the firm asks for them; a cracked one and a question are none', () => {
    const marks = [mark('3'), mark('3', { isReviewer: false, mark: 'traced' }), mark('12'), mark('12', { isReviewer: false, mark: 'queried' })]; // prettier-ignore
    expect(heldBy(marks, ['3', '12'])).toEqual(['A question is open at line 12.', 'No mark of a preparer at line 12.']);
    expect(heldBy([], ['3'])).toEqual(['No mark of a preparer at line 3.', 'No mark of a reviewer at line 3.']);
  });
  it('belong to the lines that come from the ledger, and to the total', () => {
    const kind = kindOf('us-941');
    const content = { lines: [line('2', 500, true), line('3', 0, true), line('6', 90), line('12', 90)] };
    const own = { ...kind, lines: () => content.lines, amount: () => cents(90) };
    expect(linesToMark(own, content)).toEqual(['2', '6']);
  });
});

describe('what a return is set against', () => {
  it.each([
    ['2026-Q1', '2025-Q4 2025-Q1'],
    ['2026-03', '2026-02 2025-03'],
    ['2026', '2025 2025'],
  ])('%s: the period before, and a year before', (key, expected) => {
    const { before, yearBefore } = periodsBefore(periodNamed(key));
    const [first = '', second = ''] = expected.split(' ');
    expect([before, yearBefore]).toEqual([periodNamed(first), periodNamed(second)]);
  });
  it('the wages of the returns of a quarter, each by what they are wages of', () => {
    const of = (code: string, ...lines: ReturnLine[]) =>
      wagesReported({ ...kindOf(code), lines: () => lines }, {}).map((one) => [one.of, one.line, one.wages]);
    expect(of('us-941', line('2', 700), line('5c.1', 800))).toEqual([
      ['income-tax', '2', 700],
      ['medicare', '5c.1', 800],
    ]);
    expect(of('ga-dol-4n', line('wages', 800))).toEqual([['unemployment', 'wages', 800]]);
    expect(of('ga-g-7', line('wages', 700))).toEqual([['income-tax', 'wages', 700]]);
    expect(of('us-945', line('1', 5))).toEqual([]);
  });
  it('the states together against the federal return', () => {
    const row = (of: 'income-tax' | 'medicare' | 'unemployment', wages: number, isFederal = false) => ({ of, wages: cents(wages), isFederal }); // prettier-ignore
    const rows = [row('income-tax', 700, true), row('medicare', 800, true), row('unemployment', 300), row('unemployment', 450), row('income-tax', 700)]; // prettier-ignore
    expect(wagesTogether(rows)).toEqual([
      { of: 'income-tax', states: 700, federal: 700, difference: 0 },
      { of: 'unemployment', states: 750, federal: 800, difference: -50 },
    ]);
    expect(wagesTogether(rows.slice(0, 2))).toEqual([]);
  });
  it('the rate that each tax is of its wages', () => {
    const entry = (tax: 'US-OASDI-EE' | 'US-HI-EE', wages: string, amount: string) => ({
      employeeId: 'p1',
      tax,
      cause: 'payroll' as const,
      liabilityDate: periodNamed('2026-Q1').end,
      effectiveDate: periodNamed('2026-Q1').end,
      subject: dollars(wages),
      wages: dollars(wages),
      amount: dollars(amount),
    });
    const rates = effectiveRates(kindOf('us-941'), [
      entry('US-OASDI-EE', '1000.00', '62.00'),
      entry('US-OASDI-EE', '500.00', '31.00'),
      entry('US-HI-EE', '0.00', '0.00'),
    ]);
    expect(rates.map(({ tax, percent }) => [tax, percent])).toEqual([
      ['US-OASDI-EE', '6.2000'],
      ['US-HI-EE', ''],
    ]);
  });
  it('excess wages against the year: everybody over the base has the same taxable wages', () => {
    const row = (employeeId: string, excess: number, yearTaxable: number) => ({
      employeeId,
      name: employeeId,
      wages: cents(5000),
      excess: cents(excess),
      yearWages: cents(9000),
      yearTaxable: cents(yearTaxable),
    });
    const rows = [row('a', 100, 7000), row('b', 0, 3000), row('c', 50, 6900)];
    const saysOf = (base: number | null) =>
      excessAgainstYear(rows, base === null ? null : cents(base)).map(({ employeeId, says }) => [employeeId, says]);
    expect(saysOf(7000)).toEqual([
      ['a', ''],
      ['c', 'Taxable wages of the year are 69.00; the wage base is 70.00.'],
    ]);
    // Everybody alike, and all of them wrong: the rules say what is right, not the others.
    expect(saysOf(8000).map(([, says]) => says)).toEqual([
      expect.stringMatching(/the wage base is 80\.00/),
      expect.stringMatching(/the wage base is 80\.00/),
    ]);
    expect(saysOf(null)[0]?.[1]).toMatch(/No wage base/);
  });
});
