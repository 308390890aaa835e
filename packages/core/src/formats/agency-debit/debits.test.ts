import { describe, expect, it } from '@jest/globals';
import { date } from '../../calendar/local-date.js';
import { cents } from '../../money/cents.js';
import { layoutFaults } from '../fixed-width/field.js';
import { readRecord } from '../fixed-width/writer.js';
import { withoutPins, writeDebits, type AgencyDebit } from './debits.js';
import { DEBIT, DEBIT_HEADER, DEBIT_TRAILER } from './layout.js';

const debit: AgencyDebit = {
  taxpayerId: '000004562',
  pin: '4711',
  taxType: '94105',
  periodEnd: date('2026-12-31'),
  settles: date('2026-10-28'),
  accountTail: '2345',
  // The subcategories of a Form 941 deposit: social security, Medicare, income tax.
  amounts: [
    { type: '1', amount: cents(124_000) },
    { type: '2', amount: cents(29_000) },
    { type: '3', amount: cents(80_012) },
  ],
  reference: 'ZK0123456789AB',
};
const file = (debits: readonly AgencyDebit[]) =>
  writeDebits({ filerNumber: 'F-220417', filerName: 'Breakwater Payroll', created: date('2026-10-22'), debits });
const linesOf = (content: string): string[] => content.trimEnd().split('\r\n');

describe('instructions to an agency to debit', () => {
  it.each([DEBIT_HEADER, DEBIT, DEBIT_TRAILER].map((layout) => [layout.name, layout] as const))(
    'have a whole layout: %s',
    (_, layout) => expect(layoutFaults(layout)).toEqual([]),
  );
  it('say who, which tax, when, from which account, and how the amount is made up', () => {
    const { content, issues, total } = file([debit, { ...debit, amounts: [{ type: '3', amount: cents(1) }] }]);
    expect(issues).toEqual([]);
    expect(total).toBe(233_013);
    const [head = '', first = '', second = '', foot = ''] = linesOf(content);
    expect(readRecord(DEBIT_HEADER, head)).toMatchObject({ 'Filer Number': 'F-220417', 'Date Created': '20261022' });
    expect(readRecord(DEBIT, first)).toMatchObject({
      'Taxpayer Number': '000004562',
      PIN: '4711',
      'Settlement Date': '20261028',
      'Account Ending': '2345',
      Amount: '000000233012',
      'Subcategory 3': '3',
      'Subcategory 3 Amount': '0000080012',
      Reference: 'ZK0123456789AB',
    });
    expect(readRecord(DEBIT, second)).toMatchObject({ Amount: '000000000001', 'Subcategory 2': '' });
    expect(readRecord(DEBIT_TRAILER, foot)).toMatchObject({ Debits: '000002', Total: '00000000233013' });
  });
  it.each([
    ['a PIN that is none', { pin: '12' }, 'debit.pin debits[0].pin'],
    ['no taxpayer', { taxpayerId: '' }, 'file.required debits[0].Taxpayer Number'],
    ['an amount below zero', { amounts: [{ type: '1', amount: cents(-5) }] }, 'file.negative debits[0].Amount'],
    [
      'more kinds of amounts than it holds',
      { amounts: Array(4).fill(debit.amounts[0]) },
      'debit.amounts debits[0].amounts',
    ],
  ])('refuse %s', (_, change, issue) => {
    expect(file([{ ...debit, ...change }]).issues.map(({ code, field }) => `${code} ${field}`)).toContain(issue);
  });
  it('are shown without the PIN, and nothing else is hidden', () => {
    const { content } = file([debit]);
    const shown = withoutPins(content);
    expect(shown).not.toContain('4711');
    expect(shown.replace('********', '4711    ')).toBe(content);
  });
});
