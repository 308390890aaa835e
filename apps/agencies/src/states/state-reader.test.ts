import { describe, expect, it } from '@jest/globals';
import { judgeStateReport } from './state-reader.js';

const TODAY = '2026-10-20';
const codes = (content: string): string[] => judgeStateReport(content, TODAY).refusals.map(({ code }) => code);

/** A record of 275 positions with texts at their first positions. */
const record = (...parts: readonly (readonly [at: number, text: string])[]): string => {
  const line = Array.from({ length: 275 }, () => ' ');
  for (const [at, text] of parts) [...text].forEach((sign, index) => (line[at - 1 + index] = sign));
  return line.join('');
};
const cents = (value: number, width = 14): string => String(value).padStart(width, '0');
const person = (
  ssn: string,
  wages: number,
  excess: number,
  more: readonly (readonly [number, string])[] = [],
): string =>
  record(
    [1, 'S'],
    [2, ssn],
    [11, 'SPRAGUE'],
    [31, 'WIL'],
    [44, '36'],
    [50, cents(wages)],
    [64, cents(wages)],
    [78, cents(excess)],
    [92, cents(wages - excess)],
    [106, '0'.repeat(15)],
    [121, '0'.repeat(9)],
    [130, '0000000'.slice(0, 5)],
    [143, 'UTAX'],
    [147, '4712345618'],
    [177, cents(0)],
    [191, cents(1000)],
    [212, '001'],
    [215, '092026'],
    ...more,
  );
const TOTAL = record(
  [1, 'T'],
  [2, '0000002'],
  [9, 'UTAX'],
  [13, cents(2_300_000)],
  [27, cents(2_300_000)],
  [41, cents(100_000)],
  [55, cents(2_200_000)],
  [69, '0'.repeat(13)],
  [82, '041000'],
  [88, cents(90_200, 13)],
  [175, cents(90_200, 11)],
  [199, cents(0)],
  [213, cents(2000)],
  [227, '0000000'],
  [234, '0000000'],
  [241, '0000002'],
);
const HEAD = [
  record([1, 'A'], [2, '2026'], [6, '401234568'], [15, 'UTAX'], [24, 'BREAKWATER'], [243, '10202026']),
  record([1, 'B'], [2, '2026'], [6, '401234568'], [35, 'UTAX']),
  record(
    [1, 'E'],
    [2, '2026'],
    [6, '471234561'],
    [24, 'GANNET'],
    [139, 'NY'],
    [154, '13999'],
    [167, 'UTAX'],
    [171, '36'],
    [173, '4712345618'],
    [188, '09'],
    [190, '1'],
  ),
];
const END = record([1, 'F'], [2, '0000000002'], [12, '0000000001'], [22, 'UTAX'], [41, cents(2_300_000, 15)]);
const file = (people: readonly string[], total = TOTAL): string =>
  [...HEAD, ...people, total, END].map((line) => `${line}\r\n`).join('');
const TWO = [person('899123401', 1_400_000, 100_000), person('899123402', 900_000, 0)];

describe('quarterly records of 275 positions', () => {
  it('are taken when they add up', () =>
    expect(judgeStateReport(file(TWO), TODAY)).toEqual({
      refusals: [],
      type: 'state 36',
      ein: '471234561',
      period: '2026-09',
      people: '2',
      total: '23000.00',
    }));
  it.each([
    ['T-SUM', file([TWO[0] ?? '', person('899123402', 900_001, 0)])],
    ['T-COUNT', file(TWO.slice(0, 1))],
    ['W-TWICE', file([TWO[0] ?? '', person('899123401', 900_000, 0)])],
    ['W-SSN', file([TWO[0] ?? '', person('900123402', 900_000, 0)])],
    ['S-WAGES', file([person('899123401', 1_400_000, 100_000, [[92, cents(1)]]), TWO[1] ?? ''])],
    ['S-ACCOUNT', file([person('899123401', 1_400_000, 100_000, [[147, '9999999999']]), TWO[1] ?? ''])],
    ['S-QUARTER', file([person('899123401', 1_400_000, 100_000, [[215, '062026']]), TWO[1] ?? ''])],
    ['T-RATE', file(TWO, `${TOTAL.slice(0, 81)}045000${TOTAL.slice(87)}`)],
    ['F-FIELD', file([person('899123401', 1_400_000, 100_000, [[11, '       ']]), TWO[1] ?? ''])],
    ['F-ORDER', [...HEAD, TOTAL, ...TWO, END].map((line) => `${line}\r\n`).join('')],
    ['F-LENGTH', file(TWO).replace('GANNET', 'GANNETS')],
  ])('are refused with %s', (code, content) => expect(codes(content)).toContain(code));
  it('are refused before the quarter has ended', () =>
    expect(judgeStateReport(file(TWO), '2026-09-20').refusals.map(({ code }) => code)).toContain('R-PERIOD'));
});

describe('values with commas', () => {
  const rows = (more: string[] = []): string[] => [
    'return,mn-wage-detail-report,2026-Q3,471234561,07654321,"Gannet, Sons"',
    'line,wages,1000.00',
    'columns,ssn,last,first,middle,wages,hours',
    'person,899123401,SPRAGUE,WIL,,1000.00,80',
    ...more,
  ];
  const made = (lines: string[], count = lines.length): string => `${[...lines, `end,${count}`].join('\r\n')}\r\n`;
  it('are taken', () =>
    expect(judgeStateReport(made(rows()), TODAY)).toEqual({
      refusals: [],
      type: 'mn-wage-detail-report',
      ein: '471234561',
      period: '2026-Q3',
      people: '1',
      total: '1000.00',
    }));
  it.each([
    ['F-END', made(rows(), 3)],
    ['R-AMOUNT', made(rows(['line,tax,10.5']))],
    ['R-TWICE', made(rows(['line,wages,1.00']))],
    ['F-COLUMNS', made(rows(['person,899123402,SPRAGUE,WIL,,1000.00']))],
    ['W-TWICE', made(rows(['person,899123401,SPRAGUE,WIL,,1000.00,80']))],
    ['E-ACCOUNT', made(rows()).replace('07654321', '')],
    ['R-EIN', made(rows()).replace('471234561', '4712')],
    ['R-PERIOD', made(rows()).replace('2026-Q3', '2026-Q4')],
  ])('are refused with %s', (code, content) => expect(codes(content)).toContain(code));
});

it('a file of no family is not taken', () => expect(codes('hello')).toEqual(['F-KIND']));
