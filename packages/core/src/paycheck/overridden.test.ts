import { describe, expect, it } from '@jest/globals';
import { composeCase, lineKey, type OverriddenLine, type TypedEntry } from '../casefile/compose.js';
import { readCase } from '../casefile/read-case.js';
import { runCase, type CaseAnswer } from '../casefile/run-case.js';
import { withinNet } from '../casefile/within-net.js';
import { sentence } from '../issues/issue.js';
import { oppositeLines } from '../ledger/opposite.js';
import { add, cents, dollars, toDollars } from '../money/cents.js';
import { make, problems, type Given } from '../testing/whole-checks.js';
import { Tape } from '../working/tape.js';
import { computePaycheck } from './compute.js';

const SUPPORT = { kind: 'child-support', label: 'Case D-4471', amount: '115.00' };
const LOAN = { item: 'loan', amount: '90.00' };
const HEALTH = { item: 'section-125-health', amount: '62.00' };
const run = (deductions: Given[], employee: Given = {}, more: Given = {}): CaseAnswer =>
  runCase(make('TX', { deductions, ...more }, employee));
const instead = (line: Given, amount: string, more: Given = {}): Given => ({
  ...line,
  override: { amount, reason: 'short week', ...more },
});
const resultOf = (deductions: Given[], employee: Given = {}, more: Given = {}) => {
  const { input } = readCase(make('TX', { deductions, ...more }, employee));
  if (!input) throw new Error('the case cannot be read');
  return computePaycheck(input);
};

describe('another amount than a line comes to', () => {
  it('is taken, with the computed one beside it, and a warning with the reason', () => {
    const { deductions, problems: issues } = resultOf([instead(LOAN, '40.00')]);
    expect(deductions).toEqual([{ item: 'loan', label: 'Loan repayment', amount: 4_000, computed: 9_000 }]);
    expect(issues.map((issue) => [issue.code, issue.field, sentence(issue)])).toEqual([
      ['line.overridden', 'deductions[0]', 'Loan repayment: 40.00 is taken instead of 90.00: short week.'],
    ]);
    expect(run([instead(LOAN, '40.00')]).net).toBe(run([{ ...LOAN, amount: '40.00' }]).net);
  });
  it('moves the taxes as the amount itself would', () =>
    expect(run([instead({ item: '401k', percent: '6' }, '10.00')]).taxes).toEqual(
      run([{ item: '401k', amount: '10.00' }]).taxes,
    ));
  it('is owed where it is said so, and later checks take it besides, after what is due now', () => {
    const short = resultOf([instead(HEALTH, '20.00', { owed: true })]);
    expect(short.deductions[0]).toMatchObject({ amount: 2_000, computed: 6_200, owed: 4_200 });
    expect(short.problems.map(({ code }) => code)).toEqual(['line.owed']);
    const next = resultOf([{ ...HEALTH, arrears: '42.00' }]);
    expect(next.deductions[0]).toEqual({
      item: 'section-125-health',
      label: 'Health, section 125',
      amount: 10_400,
      arrears: 4_200,
    });
    // Part of it: what is due now first; what was owed stays owed and is not owed twice.
    expect(resultOf([instead({ ...HEALTH, arrears: '42.00' }, '70.00', { owed: true })]).deductions[0]).toEqual(
      expect.objectContaining({ amount: 7_000, computed: 10_400, arrears: 800 }),
    );
    expect(resultOf([instead({ ...HEALTH, arrears: '42.00' }, '50.00', { owed: true })]).deductions[0]).toEqual(
      expect.objectContaining({ amount: 5_000, computed: 10_400, owed: 1_200 }),
    );
  });
  it('is taken back with its check', () => {
    const { deductions } = oppositeLines(resultOf([instead(HEALTH, '20.00', { owed: true })]));
    expect(deductions[0]).toMatchObject({ amount: -2_000, owed: -4_200 });
    expect(deductions[0]).not.toHaveProperty('computed');
    expect(oppositeLines(resultOf([{ ...HEALTH, arrears: '42.00' }])).deductions[0]).toMatchObject({ arrears: -4_200 });
  });
  it('is refused beyond a limit of law, and taken beyond one of the plan', () => {
    const year = { yearToDate: { wages: {}, deductions: { '401k': '24000.00' } } };
    // 24,500.00 for 2026: Notice 2025-67.
    expect(problems(run([instead({ item: '401k', amount: '100.00' }, '600.00')], {}, year))).toEqual(['line.over-law']);
    expect(problems(run([instead({ item: '401k', amount: '100.00' }, '500.00')], {}, year))).toEqual([
      'line.overridden',
    ]);
    expect(resultOf([instead({ ...LOAN, perCheck: '90.00' }, '95.00')]).deductions[0]?.amount).toBe(9_500);
  });
  it('of an order is no more than the law allows', () => {
    const order = (amount: string) => ({ garnishments: [instead(SUPPORT, amount)] });
    expect(resultOf([], order('60.00')).garnishments[0]).toMatchObject({ amount: 6_000, computed: 11_500 });
    expect(problems(run([], order('60.00')))).toEqual(['line.order-overridden']);
    expect(problems(run([], order('99999.00')))).toEqual(['line.over-law']);
  });
  it('of what the employer adds is paid as it is said', () =>
    expect(
      resultOf([], {}, { employerPaid: [instead({ item: 'match-401k', amount: '40.00' }, '30.00')] }).employerPaid,
    ).toEqual([expect.objectContaining({ amount: 3_000, computed: 4_000 })]));
  it.each([
    [{ ...LOAN, override: { amount: '1.00' } }, 'deductions[0].override.reason'],
    [{ ...LOAN, override: { amount: '1.00', reason: ' ' } }, 'deductions[0].override.reason'],
    [{ ...LOAN, override: { reason: 'so' } }, 'deductions[0].override.amount'],
    [{ ...LOAN, override: { amount: '-1.00', reason: 'so' } }, 'deductions[0].override.amount'],
    [{ ...LOAN, override: { amount: '1.00', reason: 'so', why: 'x' } }, 'deductions[0].override.why'],
  ])('is read with its reason: %j', (line, field) =>
    expect(run([line]).problems.map((one) => one.field)).toContain(field),
  );
  it('stands in the working', () => {
    const { input } = readCase(make('TX', { deductions: [instead({ ...HEALTH, arrears: '8.00' }, '20.00')] }));
    const tape = new Tape();
    if (input) computePaycheck(input, tape);
    expect(tape.linesOf('deduction:section-125-health').map(({ label, value, how }) => [label, value, how])).toEqual([
      ['Amount', '62.00', undefined],
      ['Owed from earlier checks', '8.00', undefined],
      ['Comes to', '70.00', undefined],
      ['Health, section 125', '20.00', 'instead: short week'],
    ]);
  });
});

describe('pay that does not reach', () => {
  const base = make('TX', { earnings: null }, { garnishments: [SUPPORT] });
  const entry = (earned: string, overridden?: OverriddenLine[]): TypedEntry => ({
    earnings: [{ item: 'salary', amount: earned }],
    deductions: [HEALTH, { item: '401k', percent: '50' }, LOAN, { item: 'union-dues', amount: '15.00' }],
    ...(overridden ? { overridden } : {}),
  });
  const netOf = (given: TypedEntry) => {
    const { input } = readCase(composeCase(base, given));
    return input ? computePaycheck(input).net : null;
  };
  it('takes from what only the person wants, the last first, then from elections, until nothing is missing', () => {
    const reduced = withinNet(base, entry('300.00'), null);
    expect(reduced?.map(({ line, isOwed }) => [line, isOwed])).toEqual([
      [lineKey('item', 'union-dues'), true],
      [lineKey('item', 'loan'), true],
      [lineKey('item', '401k'), false],
    ]);
    expect(reduced?.map(({ amount }) => amount).slice(0, 2)).toEqual(['0.00', '0.00']);
    const asTaken = (reduced ?? []).map(({ line, amount }) => ({ line, amount, reason: 'so', isOwed: false }));
    expect(netOf(entry('300.00', asTaken))).toBe(0);
    // One cent more of the last one is too much.
    const [last] = asTaken.slice(-1);
    const more = { line: '', reason: 'so', ...last, amount: toDollars(add(dollars(last?.amount ?? '0.00'), cents(1))) };
    expect(netOf(entry('300.00', [...asTaken.slice(0, -1), more]))).toBeLessThan(0);
  });
  it('leaves a check alone that reaches, and one where no deduction makes up for it', () => {
    expect(withinNet(base, entry('3000.00'), null)).toBeNull();
    const tips = { ...entry('1.00'), earnings: [{ item: 'tips', amount: '900.00' }], deductions: [] };
    expect(withinNet(base, tips, null)).toBeNull();
  });
  it('goes on from what is overridden already', () => {
    const first = withinNet(base, entry('300.00'), null) ?? [];
    const overridden = first.map(({ line, amount }) => ({ line, amount, reason: 'so' }));
    expect(withinNet(base, entry('300.00', overridden), null)).toBeNull();
    expect(withinNet(base, entry('280.00', overridden), null)?.at(-1)?.line).toBe(lineKey('item', '401k'));
  });
});
