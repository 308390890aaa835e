import { describe, expect, it } from '@jest/globals';
import { MICR_CHARACTERS, MICR_GRID, micrLine } from './line.js';
import { micrTypeface, type MeasuredGlyph } from './typeface.js';

const text = (line: ReturnType<typeof micrLine>): string =>
  typeof line === 'string'
    ? line
    : Array.from({ length: 65 }, (_, index) => line.find(({ cell }) => cell === 65 - index)?.character ?? ' ').join('');

// Fields by position as ANSI X9.100-160 has them: recalled, not compared with the print.
describe('the line of magnetic ink', () => {
  it('has number, routing number and account in their cells, and the amount left to the bank', () => {
    const line = text(micrLine({ routing: '000000123', account: '4400-12345', number: '1001' }));
    expect(line).toBe('             ⑈001001⑈ ⑆000000123⑆        4400⑉12345⑈             ');
    expect([line.indexOf('⑆'), line.lastIndexOf('⑆')]).toEqual([65 - 43, 65 - 33]);
  });
  it.each([
    ['12345678', '1', '1', 'routing'],
    ['000000123', 'IBAN 1', '1', 'account'],
    ['000000123', '1'.repeat(18), '1', 'account'],
    ['000000123', '1', 'A1', 'number'],
  ])('%s %s %s is no line', (routing, account, number, fault) =>
    expect(micrLine({ routing, account, number })).toBe(fault),
  );
});

describe('a typeface for it', () => {
  // In units of 1/1000 of an em, at which 125 units are an eighth of an inch: 9 points are 72 to the em.
  const glyph = (more: Partial<MeasuredGlyph> = {}): MeasuredGlyph => ({ advance: 125, width: 91, height: 117, foot: 0, ...more }); // prettier-ignore
  const faults = (of: (character: string) => MeasuredGlyph | null) => micrTypeface(of, 1000);

  it('is set at the size at which its pitch is an eighth of an inch', () => {
    const made = micrTypeface((character) => (MICR_CHARACTERS.includes(character) ? glyph() : null), 1000);
    expect(made).toMatchObject({ size: 72 });
    expect(MICR_GRID.pitch * 8).toBe(72);
  });
  it('may have its control characters at letters', () => {
    const made = micrTypeface((character) => (/[0-9A-D]/.test(character) ? glyph() : null), 1000);
    expect(
      'written' in made
        ? [...made.written]
            .slice(10)
            .map(([, letter]) => letter)
            .join('')
        : made,
    ).toBe('ABCD');
  });
  it.each<[string, (character: string) => MeasuredGlyph | null]>([
    ['It has no 7.', (character) => (character === '7' ? null : glyph())],
    ['Its characters are not all set to the same width.', (character) => glyph({ advance: character === '1' ? 124 : 125 })],
    ['1 is 0.130 inch high at eight to the inch; E-13B has 0.117 inch.', (character) => glyph({ height: character === '1' ? 130 : 117 })],
    ['0 is 0.100 inch wide; E-13B has 0.091 inch at most.', (character) => glyph({ width: character === '0' ? 100 : 91 })],
    ['⑆ is 0.130 inch high.', (character) => glyph({ height: character === '⑆' ? 130 : 117 })],
    ['4 does not stand on the base line.', (character) => glyph({ foot: character === '4' ? -10 : 0 })],
  ])('is refused: %s', (words, of) => expect(faults(of)).toEqual([words])); // prettier-ignore
});
