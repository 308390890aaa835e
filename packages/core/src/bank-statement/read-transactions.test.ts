import { describe, expect, it } from '@jest/globals';
import { toDollars } from '../money/cents.js';
import { readBai2Transactions, readTransactionTable, type Transactions } from './read-transactions.js';

const shown = ({ lines }: Transactions): string[] =>
  lines.map(({ day, amount, reference, description }) =>
    `${day} ${toDollars(amount)} ${reference} ${description}`.trim(),
  );
const closing = (read: Transactions): string[] =>
  read.closing.map(({ day, balance }) => `${day} ${toDollars(balance)}`);
const codes = ({ issues }: Transactions): string[] => issues.map(({ code, field }) => `${field} ${code}`);

describe('a statement as a table', () => {
  it('has one amount with its sign, and the last balance of each day is the closing one', () => {
    const read = readTransactionTable([
      ['Trust account'],
      ['Date', 'Description', 'Amount', 'Balance'],
      ['10/12/2026', 'Opening balance', '', '$0.00'],
      ['10/13/2026', 'ACH credit ZC1', '1,000.00', '1,000.00'],
      ['10/13/2026', 'ACH debit ZK1', '(300.00)', '700.00'],
      ['10/14/2026', 'Fee', '-$12.50', '687.50'],
    ]);
    expect(shown(read)).toEqual([
      '2026-10-13 1000.00  ACH credit ZC1',
      '2026-10-13 -300.00  ACH debit ZK1',
      '2026-10-14 -12.50  Fee',
    ]);
    expect(closing(read)).toEqual(['2026-10-12 0.00', '2026-10-13 700.00', '2026-10-14 687.50']);
    expect(codes(read)).toEqual([]);
  });
  it('or a column for each direction; newest first, the balance of the first row of a day is its last', () => {
    const read = readTransactionTable([
      ['Posting Date', 'Reference', 'Debit', 'Credit', 'Balance'],
      ['10/14/2026', 'B2', '12.50', '', '687.50'],
      ['10/13/2026', 'B1', '-300.00', '', '700.00'],
      ['10/13/2026', 'B0', '', '1000.00', '1000.00'],
    ]);
    expect(shown(read)).toEqual(['2026-10-14 -12.50 B2', '2026-10-13 -300.00 B1', '2026-10-13 1000.00 B0']);
    expect(closing(read)).toEqual(['2026-10-13 700.00', '2026-10-14 687.50']);
  });
  it.each([
    ['32/01/2026', '5.00'],
    ['10/13/2026', 'many'],
    ['10/13/2026', '0.00'],
    ['10/13/2026', ''],
  ])('a row of %s and %s is told and not taken', (day, amount) => {
    const read = readTransactionTable([
      ['Date', 'Amount'],
      [day, amount],
    ]);
    expect([read.lines, codes(read)]).toEqual([[], ['row 2 bank-statement.line']]);
  });
  it('without its columns, or without a line, is refused', () => {
    expect(codes(readTransactionTable([['Date', 'Debit']]))).toEqual(['file bank-statement.no-lines']);
    expect(codes(readTransactionTable([['Date', 'Amount']]))).toEqual(['file bank-statement.no-lines']);
  });
});

describe('a BAI2 file', () => {
  const FILE = [
    '01,122099999,123456789,261014,0200,1,,,2/',
    '02,031001234,122099999,1,261013,2359,USD,2/',
    '03,0123456789,USD,010,0,,,015,70000,,/',
    '16,142,100000,Z,BANK1,ZC0123456789AB,PAYROLL/',
    '88, A CLIENT/',
    '16,455,30000,S,30000,0,0,BANK2,ZK0123456789AB,TAX PYMT/',
    '49,200000,5/',
    '98,200000,1,7/',
    '99,200000,1,9/',
  ];
  it('has credits above zero, debits below, with both references and the closing ledger balance', () => {
    const read = readBai2Transactions(FILE.join('\r\n'));
    expect(shown(read)).toEqual([
      '2026-10-13 1000.00 BANK1 ZC0123456789AB PAYROLL, A CLIENT',
      '2026-10-13 -300.00 BANK2 ZK0123456789AB TAX PYMT',
    ]);
    expect([closing(read), codes(read)]).toEqual([['2026-10-13 700.00'], []]);
  });
  it('of two accounts is refused, and a type that is neither credit nor debit is told', () => {
    const two = [...FILE.slice(0, 6), '03,999,USD,015,1,,/', ...FILE.slice(6)].join('\n');
    expect(codes(readBai2Transactions(two))).toEqual(['file bank-statement.accounts']);
    const odd = FILE.join('\n').replace('16,142', '16,900');
    expect(codes(readBai2Transactions(odd))).toEqual(['row 4 bank-statement.line']);
  });
});
