import { describe, expect, it } from '@jest/globals';
import { dollars, type Cents } from '../../money/cents.js';
import { filingFacts, filingInput } from '../../testing/filings.js';
import { filesKind, kindOf } from '../registry.js';
import { lineOf } from '../return-lines.js';
import type { W2Check } from '../us-w2/form.js';
import { form8027 } from './form.js';

const check = (employeeId: string, ...tips: readonly (readonly [item: string, amount: string])[]): W2Check => ({
  employeeId,
  earnings: tips.map(([item, amount]) => ({ item, amount: dollars(amount) })),
  deductions: [],
  employerPaid: [],
  tracked: {},
});
const base = filingInput('2025');
const made = (
  checks: readonly W2Check[],
  entered: Readonly<Record<string, Cents>>,
  answers: Readonly<Record<string, string>> = {},
) => form8027({ ...base, statements: { ...base.statements, checks }, entered, answers });
const TIPS = [
  check('a', ['tips-reported', '9000.00'], ['regular', '12000.00']),
  check('b', ['tips-paid', '4000.00'], ['tips-reported', '500.00']),
  check('c', ['regular', '20000.00']),
];
const lines = (form: ReturnType<typeof form8027>, ...ids: readonly string[]) => ids.map((id) => lineOf(form.lines, id));

describe('Form 8027', () => {
  it('allocates what reported tips lack of 8 percent of the receipts', () => {
    // IRC § 6053(c)(3)(A): 8 percent of 200,000.00 is 16,000.00; 13,500.00 was reported.
    const form = made(TIPS, { grossReceipts: dollars('200000.00'), indirectTips: dollars('1500.00') });
    expect(lines(form, '4a', '4b', '4c', '6', '7')).toEqual([150_000, 1_200_000, 1_350_000, 1_600_000, 250_000]);
    expect(lines(form, '8')).toEqual([2]);
  });
  it('allocates nothing where more was reported', () =>
    expect(lines(made(TIPS, { grossReceipts: dollars('100000.00') }), '6', '7')).toEqual([800_000, 0]));
  it.each([
    ['5', 1_000_000, ''],
    ['2.5%', 500_000, ''],
    ['1', 1_600_000, '1'],
    ['9', 1_600_000, '9'],
    ['some', 1_600_000, 'some'],
  ])('a granted rate of %s gives %d; what is none is said, and nothing is guessed from it', (rate, least, bad) => {
    const form = made(TIPS, { grossReceipts: dollars('200000.00') }, { rate });
    expect([...lines(form, '6'), form.badRate]).toEqual([least, bad]);
  });
  it('asks for what no paycheck has, and compares box 8 of the statements', () => {
    const kind = kindOf('us-8027');
    const codes = (content: unknown): string[] =>
      kind.check(content, filingFacts('2025', '2026-02-02')).map(({ code }) => code);
    expect(codes(made(TIPS, {}))).toEqual(expect.arrayContaining(['check.no-establishment', 'check.no-receipts']));
    const allocated = [...TIPS, check('d', ['tips-allocated', '2500.00'])];
    const entered = { grossReceipts: dollars('200000.00') };
    expect(codes(made(TIPS, entered, { establishment: '2' }))).toContain('check.tips-allocated');
    expect(codes(made(allocated, entered, { establishment: '2' }))).not.toContain('check.tips-allocated');
    expect(codes(made(TIPS, { ...entered, indirectTips: dollars('14000.00') }))).toContain('check.indirect-tips');
  });
  it('is filed by whoever says so, and due at the end of February', () => {
    const kind = kindOf('us-8027');
    expect(filesKind(kind, base.employer).is).toBe(false);
    expect(filesKind(kind, base.employer, [{ kind: 'us-8027', files: true, reason: 'Restaurant' }]).is).toBe(true);
    // February 28, 2026 is a Saturday.
    expect(kind.due(base.period).due).toBe('2026-03-02');
  });
});
