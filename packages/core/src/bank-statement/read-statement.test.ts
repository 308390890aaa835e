import { describe, expect, it } from '@jest/globals';
import { toDollars } from '../money/cents.js';
import { isBai2, readBai2, readStatementTable, type ReadStatement } from './read-statement.js';

const shown = ({ checks }: ReadStatement): string[] =>
  checks.map(({ row, number, amount, day }) => `${row} ${number} ${toDollars(amount)} ${day}`);
const codes = ({ issues }: ReadStatement): string[] => issues.map(({ code, field }) => `${field} ${code}`);

describe('a statement as a table', () => {
  it('is read below its title; rows without a check number are no checks', () => {
    const read = readStatementTable([
      ['Statement of Operating'],
      ['Post Date', 'Description', 'Check #', 'Debit'],
      ['10/20/2026', 'CHECK', '1001', '(1,440.66)'],
      ['2026-10-21', 'CHECK', '#1002', '-$80.00'],
      ['10/21/2026', 'FEE', '', '12.00'],
    ]);
    expect([shown(read), codes(read)]).toEqual([['3 1001 1440.66 2026-10-20', '4 1002 80.00 2026-10-21'], []]);
  });
  it.each([
    ['1001', '0.00', '10/20/2026'],
    ['1001', 'many', '10/20/2026'],
    ['10A', '5.00', '10/20/2026'],
    ['1001', '5.00', '20/20/2026'],
  ])('a row of %s, %s, %s is told and not taken', (number, amount, day) => {
    const read = readStatementTable([
      ['Check', 'Amount', 'Date'],
      [number, amount, day],
    ]);
    expect([read.checks, codes(read)]).toEqual([[], ['row 2 bank-statement.row']]);
  });
  it('without its three columns is refused', () =>
    expect(codes(readStatementTable([['Check', 'Amount']]))).toEqual(['file bank-statement.headings']));
});

describe('a BAI2 file', () => {
  const FILE = [
    '01,122099999,123456789,261021,0200,1,,,2/',
    '02,031001234,122099999,1,261020,2359,USD,2/',
    '03,0123456789,USD,010,500000,,/',
    '16,475,144066,Z,BANK77,1001,CHECK PAID/',
    '88,CONTINUED TEXT/',
    '16,475,8000,S,8000,0,0,BANK78,0000001002,/',
    '16,475,5000,V,261022,0800,BANK79,1003/',
    '16,475,700,D,2,1,350,2,350,BANK80,1004/',
    '16,195,99900,Z,,WIRE1,INCOMING WIRE/',
    '49,1000000,6/',
    '98,1000000,1,8/',
    '99,1000000,1,10/',
  ].join('\r\n');
  it('has the checks paid, whatever their funds type, on the day of the group', () => {
    expect(isBai2(FILE)).toBe(true);
    const read = readBai2(FILE);
    expect(shown(read).map((line) => line.split(' ').slice(1).join(' '))).toEqual([
      '1001 1440.66 2026-10-20',
      '1002 80.00 2026-10-20',
      '1003 50.00 2026-10-20',
      '1004 7.00 2026-10-20',
    ]);
    expect(read.issues).toEqual([]);
  });
  it('tells a record without a serial number, and a file without checks', () => {
    expect(codes(readBai2('01,1,2/\n02,1,2,1,261020,,USD,2/\n16,475,100,Z,REF,/'))).toEqual([
      'row 3 bank-statement.row',
    ]);
    expect(codes(readBai2('01,1,2/\n99,0,0,2/'))).toEqual(['file bank-statement.no-checks']);
  });
});
