import { describe, expect, it } from '@jest/globals';
import { date } from '../calendar/local-date.js';
import { dollars, sum, toDollars, type Cents } from '../money/cents.js';
import { writePlainTextJournal } from '../formats/plain-text-journal/journal.js';
import { bookLines, credits, debits, mergedLines, type AccountMap } from './accounts.js';
import type { JournalLine } from './postings.js';

const ENTRY: readonly JournalLine[] = [
  { account: 'wages-expense', detail: 'Gross pay', amount: dollars('3000.00') },
  { account: 'employer-tax-expense', detail: 'Employer taxes', amount: dollars('229.50') },
  { account: 'employer-benefit-expense', detail: '401(k) match', amount: dollars('60.00') },
  { account: 'net-pay-payable', detail: 'Net pay', amount: dollars('-2470.50') },
  { account: 'deductions-payable', detail: '401(k) deferral', amount: dollars('-100.00') },
  { account: 'taxes-payable', detail: 'Federal income tax', amount: dollars('-659.00') },
  { account: 'benefits-payable', detail: '401(k) match', amount: dollars('-60.00') },
];
const PIECES = [
  { department: 'Loft', label: 'Regular', amount: dollars('2000.00') },
  { department: '', label: 'Regular', amount: dollars('900.00') },
  { department: '', label: 'Boat bonus', amount: dollars('100.00') },
];
const MAP: AccountMap = {
  wages: '6000',
  employerTaxes: '6100',
  payable: '2300',
  cash: '1010',
  fundsHeld: '1350',
  fees: '6200',
  items: new Map([
    ['Boat bonus', '6050'],
    ['401(k) deferral', '2350'],
  ]),
};
const NOTHING: AccountMap = {
  wages: '',
  employerTaxes: '',
  payable: '',
  cash: '',
  fundsHeld: '',
  fees: '',
  items: new Map(),
};
const shown = (lines: readonly { account: string; department: string; detail: string; amount: Cents }[]) =>
  lines.map(({ account, department, detail, amount }) => `${account} ${department} ${detail} ${toDollars(amount)}`);

describe('a journal entry on the client’s accounts', () => {
  it('has wages by item and department, each item on its own account where it has one', () =>
    expect(shown(bookLines(ENTRY, PIECES, MAP))).toEqual([
      '6000 Loft Regular 2000.00',
      '6000  Regular 900.00',
      '6050  Boat bonus 100.00',
      '6100  Employer taxes 229.50',
      '6000  401(k) match 60.00',
      '2300  Net pay -2470.50',
      '2350  401(k) deferral -100.00',
      '2300  Federal income tax -659.00',
      '2300  401(k) match -60.00',
    ]));
  it('balances as the entry does, whatever is mapped', () => {
    for (const map of [MAP, NOTHING]) {
      const lines = bookLines(ENTRY, PIECES, map);
      expect(sum(lines.map(({ amount }) => amount))).toBe(0);
      expect(debits(lines)).toBe(credits(lines));
      expect(debits(lines)).toBe(dollars('3289.50'));
    }
  });
  it('keeps our name of an account that the client has not said, and says so', () => {
    const lines = bookLines(ENTRY, [], NOTHING);
    expect(lines.map(({ isMapped }) => isMapped)).toEqual(ENTRY.map(() => false));
    expect(lines[0]?.account).toBe('Wages expense');
  });
  it('does not split wages by pieces that are not the whole of them, or that are by job', () => {
    expect(bookLines(ENTRY, PIECES.slice(1), MAP)[0]?.amount).toBe(dollars('3000.00'));
    const byJob: JournalLine[] = [
      { account: 'wages-expense', detail: 'Gross pay, Pier 4', amount: dollars('1000.00') },
      { account: 'wages-expense', detail: 'Gross pay', amount: dollars('2000.00') },
      ...ENTRY.slice(1),
    ];
    expect(shown(bookLines(byJob, PIECES, MAP)).slice(0, 2)).toEqual([
      '6000  Gross pay, Pier 4 1000.00',
      '6000  Gross pay 2000.00',
    ]);
  });
  it('of a month in one: equal lines are added up', () => {
    const lines = bookLines(ENTRY, PIECES, MAP);
    const month = mergedLines([lines, lines]);
    expect(month.length).toBe(lines.length);
    expect(debits(month)).toBe(dollars('6579.00'));
    const voided = lines.map((line) => ({ ...line, amount: -line.amount as Cents }));
    expect(mergedLines([lines, voided])).toEqual([]);
  });
});

describe('the plain-text journal', () => {
  const file = writePlainTextJournal([
    { day: date('2026-10-30'), code: '7-1', memo: 'Payroll; (void)', lines: bookLines(ENTRY, PIECES, MAP) },
  ]);
  it('has a date, a code, a description, and postings of two blanks and an amount', () => {
    expect(file.split('\n')[0]).toBe('2026-10-30 * (7-1) Payroll void');
    expect(file.split('\n')[1]).toMatch(/^ {4}6000 {2,}2000\.00 USD {2}; Loft, Regular$/);
  });
  // Another reading of the format: whatever is before two blanks is the account, the next word the amount.
  it('read back by its grammar, sums to zero', () => {
    const postings = file
      .split('\n')
      .flatMap((line) => /^ {4}(.+?) {2,}(-?\d+\.\d{2}) USD(?: {2}; .*)?$/.exec(line)?.slice(1, 3) ?? []);
    const amounts = postings.filter((_, index) => index % 2 === 1).map((text) => dollars(text));
    expect(amounts.length).toBe(9);
    expect(sum(amounts)).toBe(0);
  });
});
