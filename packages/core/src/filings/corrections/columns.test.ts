import { describe, expect, it } from '@jest/globals';
import { date } from '../../calendar/local-date.js';
import type { LedgerEntry } from '../../ledger/entry.js';
import type { TaxCode } from '../../tax-registry/registry.js';
import { ZERO, cents, dollars, sum, type Cents } from '../../money/cents.js';
import { filingFacts, filingInput } from '../../testing/filings.js';
import { kindOf } from '../registry.js';
import { FORM_941_X, correctionOf, type CorrectionTerms } from './columns.js';

const TERMS: CorrectionTerms = { isLaterYear: false, isAdministrative: false, isEmployerShare: false };
const lines =
  (of: Readonly<Record<string, string>>) =>
  (line: string): Cents =>
    dollars(of[line] ?? '0.00');
const reclassified = (isReported: boolean, wages: Readonly<Record<string, Cents>>): CorrectionTerms => ({
  ...TERMS,
  reclassified: { wages, isReported },
});
const all = (wages: Cents): Readonly<Record<string, Cents>> => ({
  reclassifiedIncome: wages,
  reclassifiedOasdi: wages,
  reclassifiedHi: wages,
});
const fourths = (terms: CorrectionTerms, was: Readonly<Record<string, string>> = {}, is = was) => {
  const { lines: made, total } = correctionOf(FORM_941_X, lines(was), lines(is), terms);
  return {
    taxes: Object.fromEntries(
      made.filter(({ columns }) => (columns[3] ?? 0) !== 0).map(({ id, columns }) => [id, columns[3]]),
    ),
    total,
  };
};

describe('workers who were not treated as employees', () => {
  it('owe the employer’s share in its line and a small part of their own beside it', () => {
    // IRC § 3509(a): 1.5 percent of wages, 20 percent of the employee's social security and Medicare taxes.
    expect(fourths(reclassified(true, all(dollars('10000.00'))))).toMatchObject({
      taxes: { '8': 62_000, '12': 14_500, '19': 15_000, '20': 12_400, '21': 2_900 },
      total: 106_800,
    });
    // § 3509(b): 3 and 40 percent.
    expect(fourths(reclassified(false, all(dollars('10000.00')))).taxes).toMatchObject({
      '19': 30_000,
      '20': 24_800,
      '21': 5_800,
    });
  });
  it('come to the percentages of Form 8952: 10.68 up to the wage base, 3.24 above (recalled)', () => {
    const wages = cents(100_000_00);
    expect(fourths(reclassified(true, all(wages))).total).toBe(10_680_00);
    expect(fourths(reclassified(true, { ...all(wages), reclassifiedOasdi: ZERO })).total).toBe(3_240_00);
  });
  it('are beside what else is corrected in the same lines', () => {
    const { lines: made } = correctionOf(
      FORM_941_X,
      lines({ '5a.1': '5000.00' }),
      lines({ '5a.1': '6000.00' }),
      reclassified(true, all(dollars('10000.00'))),
    );
    // 12.4 percent of 1,000.00 and 6.2 of 10,000.00.
    expect(made.find(({ id }) => id === '8')?.columns).toEqual([1_600_000, 500_000, 1_100_000, 74_400]);
  });
  it('of an earlier correction are previously reported in the next', () => {
    const kind = kindOf('us-941-x');
    const base = kindOf('us-941');
    const input = filingInput('2025-Q3');
    const filed = {
      ...input,
      original: base.compute(input),
      answers: { reclassified: 'reported', discovered: '2026-03-02' },
    };
    const first = kind.compute({ ...filed, entered: { reclassifiedOasdi: dollars('10000.00') } });
    const next = kind.compute({
      ...filed,
      original: kind.corrected?.(first),
      entered: { reclassifiedOasdi: dollars('2000.00') },
    }) as { lines: { id: string; columns: readonly number[] }[] };
    const columns = (id: string) => next.lines.find((line) => line.id === id)?.columns;
    // 20 percent of 6.2, and 6.2 of the employer, on the 2,000.00 that were found now.
    expect(columns('20')).toEqual([1_200_000, 1_000_000, 200_000, 2_480]);
    expect(columns('8')).toEqual([1_200_000, 1_000_000, 200_000, 12_400]);
  });
  it('are no lines where there are none', () => {
    const { lines: made, total } = correctionOf(FORM_941_X, lines({}), lines({}), TERMS);
    expect([made.some(({ id }) => ['19', '20', '21', '22'].includes(id)), total]).toEqual([false, ZERO]);
  });
  it('ask whether they were reported, and never take one of the rates unasked', () => {
    const kind = kindOf('us-941-x');
    const input = filingInput('2025-Q3');
    const codes = (answers: Readonly<Record<string, string>>): string[] =>
      kind
        .check(
          kind.compute({ ...input, entered: { reclassifiedIncome: cents(1_000_00) }, answers }),
          filingFacts('2025-Q3', '2026-03-02'),
        )
        .map(({ code }) => code);
    expect(codes({})).toContain('check.reclassified');
    expect(codes({ reclassified: 'reported' })).not.toContain('check.reclassified');
  });
  it('add up to the total whatever the wages are', () => {
    for (const wages of [1, 49, 33_333, 1_234_567].map(cents)) {
      const { taxes, total } = fourths(reclassified(false, all(wages)));
      // The subtotal and the total are lines as well.
      const own = Object.entries(taxes).filter(([id]) => id !== '23' && id !== '27');
      expect(sum(own.map(([, tax]) => tax ?? ZERO))).toBe(total);
    }
  });
});

describe('a return that was filed twice, for another quarter or under another EIN', () => {
  const kind = kindOf('us-941-x');
  const base = kindOf('us-941');
  const entry = (tax: TaxCode, amount: string): LedgerEntry => ({
    employeeId: 'a',
    tax,
    cause: 'payroll',
    liabilityDate: date('2025-08-15'),
    effectiveDate: date('2025-08-15'),
    subject: dollars('10000.00'),
    wages: dollars('10000.00'),
    amount: dollars(amount),
  });
  const input = filingInput('2025-Q3', {
    entries: [
      entry('US-FIT', '1200.00'),
      entry('US-OASDI-EE', '620.00'),
      entry('US-OASDI-ER', '620.00'),
      entry('US-HI-EE', '145.00'),
      entry('US-HI-ER', '145.00'),
    ],
  });
  const made = (withdrawn: string) =>
    kind.compute({ ...input, original: base.compute(input), answers: { discovered: '2026-02-10', withdrawn } });
  it('goes to zero in every line, income tax of an earlier year too', () => {
    const content = made('yes');
    const rows = kind.tables(content)[0]?.rows ?? [];
    expect(rows.filter(([line]) => ['6', '7', '8', '12'].includes(String(line)))).toEqual([
      ['6', expect.any(String), 0, 1_000_000, -1_000_000, 0],
      ['7', expect.any(String), 0, 120_000, -120_000, -120_000],
      ['8', expect.any(String), 0, 1_000_000, -1_000_000, -124_000],
      ['12', expect.any(String), 0, 1_000_000, -1_000_000, -29_000],
    ]);
    expect(kind.amount(content)).toBe(-273_000);
    expect(kind.tables(content)[1]?.rows[0]?.[0]).toMatch(/^The return was filed twice/);
  });
  it('stands as it was where that is not said', () => expect(kind.amount(made('no'))).toBe(0));
});
