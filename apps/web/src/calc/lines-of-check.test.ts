import { describe, expect, it } from '@jest/globals';
import { payrollPerson, startOf } from '../testing/payroll-people.js';
import { Calculator } from './calc.worker.js';
import { linesOfCheck } from './lines-of-check.js';
import { entryOf, leavingOut, paying, rowOf, typed, type SheetRow } from './sheet-row.js';

const base = startOf(
  'CA',
  {
    items: [
      { code: 'boots', label: 'Boots', like: 'after-tax' },
      { code: 'tool-money', label: 'Tool money', like: 'nonaccountable-reimbursement' },
    ],
  },
  {
    certificates: { CA: { filingStatus: 'single', allowances: 1 } },
    garnishments: [{ kind: 'child-support', label: 'Case D-4471', amount: '115.00', fee: '2.00' }],
  },
);
const person = payrollPerson(
  {
    base,
    workState: 'CA',
    earnings: [{ item: 'salary', amount: '1200.00' }],
    deductions: [
      { item: '401k', percent: '5', perCheck: '100.00' },
      { item: 'boots', amount: '6.00' },
      { item: 'loan', amount: '20.00', balance: '140.00' },
      { item: 'match-401k', match: [{ percent: '50', upTo: '4' }] },
    ],
  },
  {
    gross: 120_000,
    deductions: [
      { item: '401k', label: '401(k) deferral', amount: 6000 },
      { item: 'after-tax', name: 'boots', label: 'Boots', amount: 600 },
      { item: 'loan', label: 'Loan repayment', amount: 2000 },
    ],
    employerPaid: [{ item: 'match-401k', label: '401(k) match', amount: 2400 }],
    garnishments: [{ kind: 'child-support', label: 'Case D-4471', amount: 11_500, fee: 200 }],
  },
);
const compute = (row: SheetRow): SheetRow => {
  const people = [{ key: 'e', base: row.base, entry: entryOf(row), isPaid: row.isPaid }];
  const check = new Calculator().answer({ id: 1, people }).checks['e'];
  if (!check) throw new Error('no check');
  return { ...row, check };
};
const inShort = (row: SheetRow): string[] =>
  linesOfCheck(row).map(({ key, says, amount, reason }) => `${key} | ${says} | ${amount ?? '–'} | ${reason ?? ''}`);

describe('the lines of a check besides pay', () => {
  it('are orders and deductions as they stand, with what this check takes', () =>
    expect(inShort(rowOf(person))).toEqual([
      'order:Case D-4471 | child support, 115.00 | 11700 | ',
      'item:401k | 5% of gross, at most 100.00 | 6000 | ',
      'item:boots | 6.00 | 600 | ',
      'item:loan | 20.00, 140.00 to go | 2000 | ',
      'item:match-401k | 50% of what is deferred | 2400 | ',
    ]));
  it('say who wants them in every check', () =>
    expect(linesOfCheck(rowOf(person)).map(({ label, wantedBy }) => [label, wantedBy])).toEqual([
      ['Case D-4471', 'order'],
      ['401(k) deferral', 'election'],
      ['Boots', null],
      ['Loan repayment', null],
      ['401(k) match', null],
    ]));
  it('are the same whether the server or the worker computed the check', () => {
    const row = rowOf(person);
    expect(inShort(compute(row))).toEqual(inShort(row));
    expect(compute(row).check.deductions).toBe(row.check.deductions);
  });
  it('the parts of the sheet add up to its gross, orders and their fees among the deductions', () => {
    const { check } = compute(rowOf(person));
    const taxes = check.taxes.filter((tax) => tax.payer === 'employee').reduce((total, tax) => total + tax.amount, 0);
    expect(check.net + taxes + check.deductions).toBe(check.gross);
  });
  it('stay out of the check for a reason, and come in again', () => {
    const out = compute(leavingOut(rowOf(person), 'order:Case D-4471', 'lifted on 19 October'));
    expect(entryOf(out).leftOut).toEqual([{ line: 'order:Case D-4471', reason: 'lifted on 19 October' }]);
    expect(inShort(out)[0]).toBe('order:Case D-4471 | child support, 115.00 | – | lifted on 19 October');
    expect(out.check.problems.map((problem) => problem.severity)).toEqual(['warning']);
    const again = compute(leavingOut(out, 'order:Case D-4471', null));
    expect([entryOf(again).leftOut, again.check.net]).toEqual([undefined, compute(rowOf(person)).check.net]);
  });
  it('a second reason takes the place of the first', () => {
    const row = leavingOut(leavingOut(rowOf(person), 'item:loan', 'holiday'), 'item:loan', 'paid off');
    expect(row.leftOut).toEqual([{ line: 'item:loan', reason: 'paid off' }]);
  });
  it('a row read back has them as they were saved', () => {
    const leftOut = [{ line: 'item:loan', reason: 'holiday' }];
    expect(entryOf(rowOf({ ...person, leftOut })).leftOut).toEqual(leftOut);
  });
});

describe('an amount that is to be left in the hand', () => {
  const row = rowOf(person);
  const find = (of: SheetRow, item: string, net: string) =>
    new Calculator().answer({
      id: 1,
      people: [{ key: 'e', base: of.base, entry: entryOf(of), isPaid: true }],
      inHand: { item, net, job: null },
    }).found;

  it('is asked for by a line, and changes nothing until it is found', () => {
    const read = typed(row, 'line', 'bonus net 500');
    expect([read.problem, read.inHand, entryOf(read.row).earnings]).toEqual([
      null,
      { item: 'bonus', net: '500', job: null },
      person.earnings,
    ]);
    const both = typed(row, 'line', 'comm 50 bonus net 500');
    expect([both.inHand?.item, entryOf(both.row).earnings.at(-1)]).toEqual([
      'bonus',
      { item: 'commission', amount: '50' },
    ]);
  });
  it.each(['bonus', 'tool-money', 'commission'])('%s: the check has exactly so much more in the hand', (item) => {
    const found = find(row, item, '500.00');
    expect(found?.problem).toBeNull();
    const paid = compute(paying(row, { item, job: null }, found?.amount ?? '0.00'));
    expect(paid.check.net - compute(row).check.net).toBe(50_000);
    expect(paid.check.problems.filter((problem) => problem.severity === 'error')).toEqual([]);
  });
  it('takes the place of what the item had before', () => {
    const before = paying(row, { item: 'bonus', job: null }, '800.00');
    expect(find(before, 'bonus', '500.00')).toEqual(find(row, 'bonus', '500.00'));
    expect(
      entryOf(paying(before, { item: 'bonus', job: null }, '9.00')).earnings.filter((line) => line.item === 'bonus'),
    ).toEqual([{ item: 'bonus', amount: '9.00' }]);
    const own = paying(
      paying(row, { item: 'tool-money', job: null }, '80.00'),
      { item: 'tool-money', job: null },
      '9.00',
    );
    expect(entryOf(own).earnings.filter((line) => line.item === 'tool-money')).toEqual([
      { item: 'tool-money', amount: '9.00' },
    ]);
  });
  it('a check that cannot be computed gives no amount, and says so', () =>
    expect(find(typed(row, 'salary', '12oo').row, 'bonus', '500.00')).toEqual({
      amount: null,
      problem: 'the check cannot be computed yet',
    }));
  it.each(['0', '500000000000'])('%s cannot be asked for without an answer', (net) => {
    const found = find(row, 'bonus', net);
    expect(found?.problem === null ? found.amount : found?.problem).toBe(
      net === '0' ? '0.00' : 'no amount leaves 500000000000.00 in the hand',
    );
  });
});
