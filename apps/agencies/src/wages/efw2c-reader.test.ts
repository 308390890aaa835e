import { describe, expect, it } from '@jest/globals';
import { judgeCorrections } from './efw2c-reader.js';

const record = (...parts: readonly (readonly [at: number, text: string])[]): string => {
  const line = Array.from({ length: 1024 }, () => ' ');
  for (const [at, text] of parts) [...text].forEach((sign, index) => (line[at - 1 + index] = sign));
  return line.join('');
};
const cents = (value: number, width: number): string => String(value).padStart(width, '0');
const HEAD = [record([1, 'RCA'], [13, 'BRKW0001']), record([1, 'RCE'], [4, '2025'], [17, '471234561'])];
const person = (...more: readonly (readonly [number, string])[]): string =>
  record([1, 'RCW'], [13, '899123401'], [102, 'SPRAGUE'], ...more);
const WAGES = [
  [244, cents(4_820_000, 11)],
  [255, cents(4_715_000, 11)],
] as const;
const file = (people: readonly string[], totals: readonly (readonly [number, string])[]): string =>
  [...HEAD, ...people, record([1, 'RCT'], [4, cents(people.length, 7)], ...totals), record([1, 'RCF'])]
    .map((line) => `${line}\r\n`)
    .join('');
const TOTALS = [
  [11, cents(4_820_000, 15)],
  [26, cents(4_715_000, 15)],
] as const;
const codes = (content: string): string[] => judgeCorrections(content, '2026-03-02').refusals.map(({ code }) => code);

describe('corrected wage statements', () => {
  it('are taken when pairs and totals agree', () =>
    expect(judgeCorrections(file([person(...WAGES)], TOTALS), '2026-03-02')).toEqual({
      refusals: [],
      people: 1,
      year: '2025',
      ein: '471234561',
    }));
  const TIPS = [
    [13, cents(4_000, 11)],
    [24, cents(2_500, 11)],
  ] as const;
  const withTips = (...sums: readonly (readonly [number, string])[]): string =>
    [...HEAD, person(), record([1, 'RCO'], ...TIPS), record([1, 'RCT'], [4, cents(1, 7)])]
      .concat(sums.length > 0 ? [record([1, 'RCU'], [4, cents(1, 7)], ...sums)] : [], [record([1, 'RCF'])])
      .map((line) => `${line}\r\n`)
      .join('');
  it('a record of rarer amounts follows its person, and its sums the others', () => {
    expect(codes(withTips([11, cents(4_000, 15)], [26, cents(2_500, 15)]))).toEqual([]);
    expect(codes(withTips([11, cents(4_000, 15)], [26, cents(2_400, 15)]))).toEqual(['RCU-TOTAL']);
    expect(codes(withTips())).toEqual(['RCU-ORDER']);
  });
  it('a changed name or number alone is a correction', () =>
    expect(codes(file([person([4, '899123409'])], []))).toEqual([]));
  it.each([
    ['RCW-NOTHING', file([person()], [])],
    ['RCW-PAIR', file([person([244, cents(1, 11)])], [[11, cents(1, 15)]])],
    [
      'RCW-SAME',
      file(
        [person([244, cents(1, 11)], [255, cents(1, 11)])],
        [
          [11, cents(1, 15)],
          [26, cents(1, 15)],
        ],
      ),
    ],
    ['RCW-SSN-SAME', file([person([4, '899123401'])], [])],
    ['RCW-SSN', file([person([13, '900123401'], ...WAGES)], TOTALS)],
    ['RCW-LAST', file([record([1, 'RCW'], [13, '899123401'], ...WAGES)], TOTALS)],
    ['RCT-TOTAL', file([person(...WAGES)], [TOTALS[0], [26, cents(1, 15)]])],
    ['RCE-YEAR', file([person(...WAGES)], TOTALS).replace('RCE2025', 'RCE2026')],
    ['REC-LEN', file([person(...WAGES)], TOTALS).replace('SPRAGUE', 'SPRAGUES')],
    ['REC-ORDER', file([], [])],
  ])('are refused with %s', (code, content) => expect(codes(content)).toContain(code));
});
