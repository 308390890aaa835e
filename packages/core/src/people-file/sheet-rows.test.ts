import { describe, expect, it } from '@jest/globals';
import { date } from '../calendar/local-date.js';
import { proposeMapping } from './columns.js';
import { readPeople } from './read-people.js';
import { headingRowOf, ignoredOf, totalRowsOf } from './sheet-rows.js';

const HEADINGS = ['Emp #', 'Employee Name', 'Soc. Sec. #', 'Hire Date', 'Work Location', 'Annual Salary', 'Pay Type'];
/** As a report is exported: a title, its day, a blank line, the people, and a total. */
const REPORT = [
  ['Harbor Signs LLC', '', '', '', '', '', ''],
  ['Employee list as of', '10/22/2026', '', '', '', '', ''],
  ['', '', '', '', '', '', ''],
  HEADINGS,
  ['7', 'Brine, Ada', '899-45-7012', '15-Mar-24', 'NJ', '$58,500.00', 'Salary'],
  ['8', 'Mooring, Wil', 'applied for', '3/1/26', 'NY', '61000', 'Salary'],
  ['Total', '2 employees', '', '', '', '$119,500.00', ''],
];
const around = { today: date('2026-10-22'), numbers: new Set<string>(), hasSsn: () => false, clientState: 'NY' };
const read = (more: { skipped?: number[] } = {}) =>
  readPeople(
    { table: REPORT, mapping: proposeMapping(HEADINGS), headingRow: headingRowOf(REPORT), skipped: [7], ...more },
    around,
  );

describe('the rows of an exported list', () => {
  it('have their headings below a title', () => expect(headingRowOf(REPORT)).toBe(4));
  it('have them in the first row where nothing is known', () =>
    expect(
      headingRowOf([
        ['a', 'b'],
        ['c', 'd'],
      ]),
    ).toBe(1));
  it('end in totals, which are no people', () => {
    expect(totalRowsOf(REPORT, 4)).toEqual([7]);
    expect(
      totalRowsOf(
        [
          ['No.', 'Name'],
          ['', 'Grand total: 9'],
          ['9', 'Totalmann, Eva'],
          ['Count', '9'],
        ],
        1,
      ),
    ).toEqual([2, 4]);
  });
  it('never end in somebody with a number, whatever the name', () =>
    expect(
      totalRowsOf(
        [
          ['Last name', 'First name', 'SSN'],
          ['Sum', 'Ada', '899-45-7012'],
          ['Total', '', ''],
        ],
        1,
      ),
    ).toEqual([3]));
  it('are read with their numbers in the file, in the words of the trade', () => {
    const { rows } = read();
    expect(rows.map(({ row, name, person }) => [row, name, person?.number, person?.hiredOn])).toEqual([
      [5, 'Brine, Ada', '7', '2024-03-15'],
      [6, 'Mooring, Wil', '8', '2026-03-01'],
    ]);
    expect(rows[0]?.understood).toEqual(['Hire date 03/15/2024', 'SSN ending 7012']);
    expect(rows[1]?.person?.ssn).toBe('');
    expect(rows[0]?.person?.facts.find((fact) => fact.kind === 'place')?.value).toEqual({
      work: 'NJ',
      residence: 'NJ',
    });
    expect(rows[0]?.person?.facts.find((fact) => fact.kind === 'pay')?.value).toMatchObject({
      amount: '58500.00',
      frequency: 'annually',
    });
  });
  it('that are wrong keep their name', () => {
    const { rows } = read({ skipped: [] });
    expect(rows.at(-1)).toMatchObject({ row: 7, name: 'employees, 2', person: null });
  });
  it('say which columns of pay nothing is taken from', () => {
    expect(ignoredOf(HEADINGS, proposeMapping(HEADINGS))).toEqual(['Pay Type']);
    expect(read().issues).toMatchObject([{ code: 'file.ignored', severity: 'warning' }]);
    const without = readPeople(
      {
        table: [
          ['Name', 'SSN'],
          ['Brine, Ada', '899-45-7012'],
        ],
        mapping: ['fullName', 'ssn'],
      },
      around,
    );
    expect(without.issues.map((issue) => issue.code)).toEqual(['file.no-pay']);
    expect(without.rows).toHaveLength(1);
  });
});
