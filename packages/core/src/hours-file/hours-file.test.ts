import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { showRate } from '../money/rate.js';
import { columnsOf, hoursHeadingRow, hoursItems, itemNamed, proposeColumns } from './columns.js';
import { hoursOf, readHours, type HoursMapping } from './read-hours.js';
import { withHours } from './take-hours.js';

const ITEMS = hoursItems([{ code: 'night-boat', label: 'Night boat', like: 'regular' }]);
const PEOPLE = [
  { id: 'a', number: '12', name: 'Wil M Sprague' },
  { id: 'b', number: '7', name: 'Ada Brine' },
  { id: 'c', number: '9', name: 'Ada Cole' },
];
const read = (table: string[][], mapping: Partial<HoursMapping> = {}) => {
  const row = hoursHeadingRow(table, ITEMS);
  const columns = proposeColumns(table[row - 1] ?? [], ITEMS);
  return readHours(table, row, { columns, codes: {}, ...mapping }, PEOPLE, ITEMS);
};
const shown = (table: string[][], mapping: Partial<HoursMapping> = {}): string[] =>
  [...read(table, mapping).people].flatMap(([id, lines]) =>
    lines.map(({ item, measure, value }) => `${id} ${item} ${measure === 'hours' ? value : `$${value}`}`),
  );
const codesOf = (table: string[][], mapping: Partial<HoursMapping> = {}): string[] =>
  read(table, mapping).rows.flatMap(({ row, issues }) => issues.map(({ code }) => `${row} ${code}`));

describe('the headings of a time clock', () => {
  it.each([
    ['Emp #', 'number'],
    ['Employee Name', 'name'],
    ['Last Name', 'last'],
    ['Reg Hours', 'hours:regular'],
    ['Regular', 'hours:regular'],
    ['OT Hrs', 'hours:overtime'],
    ['Vacation Hours', 'hours:vacation'],
    ['Bonus', 'dollars:bonus'],
    ['Tips', 'dollars:tips-reported'],
    ['Night boat', 'hours:night-boat'],
    ['Pay Code', 'code'],
    ['Hours', 'hours'],
    ['Shoe size', ''],
  ])('%s is taken for %s', (heading, column) => expect(proposeColumns([heading], ITEMS)).toEqual([column]));
  it('are found below a title, and a column is taken once', () => {
    expect(hoursHeadingRow([['Time sheet'], ['10/16/2026'], ['Employee', 'Reg', 'OT']], ITEMS)).toBe(3);
    expect(proposeColumns(['Reg', 'Regular hours'], ITEMS)).toEqual(['hours:regular', '']);
  });
  it('are all columns that can be chosen', () => {
    const names = columnsOf(ITEMS).map(({ name }) => name);
    for (const column of ['number', 'hours:regular', 'dollars:bonus', 'hours:night-boat'])
      expect(names).toContain(column);
  });
  it('a word of a clock means one item or none', () => {
    expect(itemNamed('OT', ITEMS)?.code).toBe('overtime');
    expect(itemNamed('Sick Pay', ITEMS)?.code).toBe('sick');
    expect(itemNamed('XJ9', ITEMS)).toBeNull();
  });
});

describe('a cell of hours', () => {
  it.each([
    ['8.25', '8.25'],
    ['8:30', '8.5'],
    // Twenty minutes are a third of an hour: hundredths, half up.
    ['8:20', '8.33'],
    ['0:01', '0.02'],
    ['1,204.5', '1204.5'],
    ['.5', '0.5'],
  ])('%s is %s', (cell, hours) => {
    const found = hoursOf(cell);
    expect(found && showRate(found)).toBe(hours);
  });
  it.each(['', '8h', '-8', '8.12345', '8:60', '1,20', 'eight'])('%s is none', (cell) =>
    expect(hoursOf(cell)).toBeNull(),
  );
  it('minutes never come to another hundredth than the nearest', () =>
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 59 }), (minutes) => {
        const found = hoursOf(`3:${String(minutes).padStart(2, '0')}`);
        const hundredths = (found?.n ?? 0) - 300;
        expect(Math.abs(hundredths * 60 - minutes * 100)).toBeLessThanOrEqual(30);
      }),
    ));
});

describe('a file with a column for each item', () => {
  it('is read by number or by name, in any order of the name', () =>
    expect(
      shown([
        ['Emp #', 'Employee', 'Reg', 'OT', 'Bonus'],
        ['12', '', '80', '4.5', ''],
        ['', 'Brine, Ada', '76:30', '', '$1,000.00'],
      ]),
    ).toEqual(['a regular 80', 'a overtime 4.5', 'b regular 76.5', 'b bonus $1000']));
  it('adds up the days of a person', () =>
    expect(
      shown([
        ['Name', 'Reg'],
        ['Wil Sprague', '8:20'],
        ['Wil Sprague', '8.1'],
        ['Sprague Wil', '7.57'],
      ]),
    ).toEqual(['a regular 24']));
  it('tells rows of strangers, of two who share a name, and cells that are no number, and takes nothing of them', () => {
    const table = [
      ['Name', 'Reg', 'OT'],
      ['Nobody Known', '8', ''],
      ['Ada', '8', ''],
      ['Ada Cole', 'eight', '2'],
      ['Ada Brine', '900', ''],
      ['', '5', ''],
    ];
    expect(codesOf(table)).toEqual([
      '2 hours-file.unknown-person',
      '3 hours-file.unknown-person',
      '4 hours-file.not-a-number',
      '5 hours-file.too-many',
      '6 hours-file.unknown-person',
    ]);
    expect(shown(table)).toEqual([]);
    expect(read(table).totals).toEqual([
      { item: 'regular', measure: 'hours', file: '21', taken: '0' },
      { item: 'overtime', measure: 'hours', file: '2', taken: '0' },
    ]);
  });
  it('leaves out blank lines and the line that adds up the others', () =>
    expect(
      shown([
        ['Name', 'Reg'],
        ['Ada Brine', '8'],
        ['', ''],
        ['Total', '8'],
      ]),
    ).toEqual(['b regular 8']));
  it('without anybody or any hours says what is not mapped', () => {
    expect(read([['Shoe', 'Size']]).issues.map(({ parameters }) => parameters['what'])).toEqual([
      'the employee',
      'the hours',
    ]);
  });
});

describe('a file with a row for each pay code', () => {
  const TABLE = [
    ['Employee', 'Pay Code', 'Hours', 'Amount'],
    ['Ada Brine', 'REG', '40', ''],
    ['Ada Brine', 'X7', '3', ''],
    ['Ada Cole', 'BONUS', '', '250'],
  ];
  it('knows the usual codes, and asks for the others once', () => {
    expect(read(TABLE).unknownCodes).toEqual(['X7']);
    expect(codesOf(TABLE)).toEqual(['3 hours-file.unknown-code']);
    expect(shown(TABLE)).toEqual(['b regular 40', 'c bonus $250']);
  });
  it('takes a code for what was said', () =>
    expect(shown(TABLE, { codes: { X7: 'night-boat' } })).toEqual(['b regular 40', 'b night-boat 3', 'c bonus $250']));
});

describe('hours that are taken', () => {
  const BEFORE = [
    { item: 'regular', hours: '80', rate: '21.50' },
    { item: 'bonus', amount: '100.00' },
  ];
  it('stand in place of what was there with its rate; what the file does not name stays', () =>
    expect(
      withHours(BEFORE, [
        { item: 'regular', measure: 'hours', value: '76.5' },
        { item: 'overtime', measure: 'hours', value: '2' },
      ]),
    ).toEqual([
      { item: 'regular', rate: '21.50', hours: '76.5' },
      { item: 'bonus', amount: '100.00' },
      { item: 'overtime', hours: '2', rate: '21.50' },
    ]));
  it('come to the same when they are taken twice', () => {
    const taken = [
      { item: 'regular', measure: 'hours' as const, value: '10' },
      { item: 'bonus', measure: 'amount' as const, value: '5' },
    ];
    const once = withHours(BEFORE, taken);
    expect(withHours(once, taken)).toEqual(once);
  });
  it('stand in place of two lines of the same item in one', () =>
    expect(
      withHours(
        [
          { item: 'regular', hours: '40', rate: '20.00' },
          { item: 'regular', hours: '40', rate: '21.00' },
        ],
        [{ item: 'regular', measure: 'hours', value: '70' }],
      ),
    ).toEqual([{ item: 'regular', rate: '20.00', hours: '70' }]));
});
