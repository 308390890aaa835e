import { describe, expect, it } from '@jest/globals';
import { date } from '../calendar/local-date.js';
import { PEOPLE_COLUMNS, certificateColumns, columnOfHeading, proposeMapping } from './columns.js';
import { readPeople, type Surroundings } from './read-people.js';

const around: Surroundings = {
  today: date('2026-10-22'),
  numbers: new Set(['7', '12']),
  hasSsn: (ssn) => ssn === '899451111',
  clientState: 'NY',
};
const HEADINGS = ['Employee Name', 'SSN', 'Hire Date', 'DOB', 'Pay Rate', 'Filing Status', 'State of work', 'Lives in'];
const GOOD = [
  'Sprague, Wilhelmina R',
  '899-45-1234',
  '4/12/2021',
  '1988-03-09',
  '$31.40',
  'Married filing jointly',
  'NY',
  'New Jersey',
];
const read = (rows: string[][], headings = HEADINGS, mapping = proposeMapping(headings)) =>
  readPeople({ table: [headings, ...rows], mapping }, around);

describe('a file of people', () => {
  it('headings are known by what the trade calls them', () =>
    expect(proposeMapping(HEADINGS)).toEqual([
      'fullName',
      'ssn',
      'hiredOn',
      'bornOn',
      'rate',
      'filingStatus',
      'workState',
      'residenceState',
    ]));
  it('no heading means two columns, and every label leads to its own column', () => {
    const headings = PEOPLE_COLUMNS.flatMap((column) => column.headings);
    expect(headings.filter((one, index) => headings.indexOf(one) !== index)).toEqual([]);
    for (const column of [...PEOPLE_COLUMNS, ...certificateColumns(['NY', 'NJ', 'CA'])])
      expect([column.label, columnOfHeading(column.label)]).toEqual([column.label, column.name]);
  });
  it('a sound row is a person with dated facts', () => {
    const { issues, rows } = read([GOOD]);
    expect([issues, rows[0]?.issues]).toEqual([[], []]);
    expect(rows[0]?.person).toMatchObject({
      number: '13',
      firstName: 'Wilhelmina',
      middleName: 'R',
      lastName: 'Sprague',
      ssn: '899451234',
      hiredOn: '2021-04-12',
      facts: [
        { kind: 'pay', from: '2021-04-12', value: { basis: 'hourly', rate: '31.40' } },
        { kind: 'federal-certificate', value: { form: '2020', filingStatus: 'married-jointly' } },
        { kind: 'place', value: { work: 'NY', residence: 'NJ' } },
      ],
    });
  });
  it('rows without a number get the next free ones, in the order of the file', () =>
    expect(
      read([GOOD, GOOD.map((cell, index) => (index === 1 ? '899-45-1235' : cell))]).rows.map(
        (row) => row.person?.number,
      ),
    ).toEqual(['13', '14']));
  it('a state certificate is read by the state’s own fields', () => {
    const labelOf = (field: string) =>
      certificateColumns(['NJ']).find((column) => column.name === `certificate:NJ:${field}`)?.label ?? '';
    const headings = [...HEADINGS, labelOf('rateTable'), labelOf('allowances')];
    const { rows } = read([[...GOOD, 'b', '2']], headings);
    expect(rows[0]?.person?.facts.at(-1)).toMatchObject({
      kind: 'state-certificate',
      value: { state: 'NJ', certificate: { rateTable: 'B', allowances: 2 } },
    });
  });
  it('blank rows are passed over, and rows are called by their number in the file', () =>
    expect(read([[], GOOD.map(() => ''), ['x', ...GOOD.slice(1)]]).rows.map((row) => [row.row, row.person])).toEqual([
      [4, null],
    ]));
  it.each<[string, number, string, string]>([
    ['a number of area 9', 1, '900-45-1234', 'ssn.area'],
    ['a number of area 666', 1, '666-45-1234', 'ssn.area'],
    ['a group of zeros', 1, '899-00-1234', 'ssn.group'],
    ['a serial of zeros', 1, '899-45-0000', 'ssn.serial'],
    ['a digit too few', 1, '899-45-12', 'ssn.shape'],
    ['a number the spreadsheet rounded', 1, '8.99E+8', 'file.rounded'],
    ['an error of the spreadsheet', 4, '#REF!', 'file.formula'],
    ['no number', 1, '', 'input.missing'],
    ['no name', 0, '', 'input.missing'],
    ['a name of one word', 0, 'Wilhelmina', 'file.name'],
    ['a form of address', 0, 'Sprague, Dr. Wilhelmina', 'name.title'],
    ['a day that is none', 2, '2/30/2021', 'input.not-a-date'],
    ['a day the other way round', 2, '31/12/2021', 'input.not-a-date'],
    ['hired before born', 2, '1/1/1980', 'dates.hired-before-born'],
    ['born in the future', 3, '2031-01-01', 'dates.birth-future'],
    ['born two hundred years ago', 3, '1901-01-01', 'dates.birth-too-old'],
    ['a rate that is no number', 4, 'thirty', 'input.not-a-decimal'],
    ['a rate below zero', 4, '-5', 'input.negative'],
    ['a filing status that is none', 5, 'widowed', 'input.not-one-of'],
    ['a state that is none', 6, 'Ontario', 'rule.state-unknown'],
    ['the number of somebody who is there', 1, '899-45-1111', 'person.ssn-taken'],
  ])('%s is named', (_, column, cell, code) => {
    const row = read([GOOD.map((given, index) => (index === column ? cell : given))]).rows[0];
    expect(row?.person).toBeNull();
    expect(row?.issues.map((issue) => issue.code)).toContain(code);
  });
  it('what is only doubtful is said and taken', () => {
    const headings = [...HEADINGS, 'Street', 'City', 'State', 'ZIP'];
    const row = read([[...GOOD, 'PO Box 7', 'Newark', 'NJ', '13999']], headings).rows[0];
    expect(row?.person).not.toBeNull();
    expect(row?.issues.map((issue) => issue.code).sort()).toEqual(['address.post-box', 'zip.other-state']);
  });
  it('a number twice in the file names both rows', () => {
    const row = read([GOOD, GOOD]).rows;
    expect(row.map((one) => one.issues.at(-1)?.parameters['rows'])).toEqual(['2, 3', '2, 3']);
    const numbered = read([['7', ...GOOD]], ['Number', ...HEADINGS]).rows[0];
    expect(numbered?.issues[0]?.code).toBe('person.number-taken');
  });
  it('a file without names or numbers says which column is missing; a column taken twice too', () => {
    expect(
      read(
        [GOOD],
        HEADINGS,
        HEADINGS.map(() => ''),
      ).issues.map((issue) => issue.code),
    ).toEqual(['file.column-unmapped', 'file.column-unmapped']);
    expect(
      read(
        [GOOD],
        HEADINGS,
        HEADINGS.map(() => 'ssn'),
      ).issues.map((issue) => issue.code),
    ).toContain('file.column-twice');
    expect(read([]).issues.map((issue) => issue.code)).toEqual(['file.no-rows']);
  });
  it('an hourly rate and a salary in one row are not guessed between', () =>
    expect(read([[...GOOD, '50000']], [...HEADINGS, 'Salary']).rows[0]?.issues[0]?.code).toBe('earning.both'));
  it('leading zeros that a spreadsheet dropped come back', () => {
    const row = read([GOOD.map((cell, index) => (index === 1 ? '12345678' : cell))]).rows[0];
    expect(row?.person?.ssn).toBe('012345678');
  });
});
