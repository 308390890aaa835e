import { AMOUNT, DASH, MICR_CHARACTERS, MICR_GRID, ON_US, TRANSIT } from './line.js';

/** A glyph in units of its typeface. */
export interface MeasuredGlyph {
  readonly advance: number;
  readonly width: number;
  readonly height: number;
  /** Of the lowest point over the base line; below zero it hangs. */
  readonly foot: number;
}
/** The glyph of a character; null where the typeface has none. */
export type GlyphOf = (character: string) => MeasuredGlyph | null;

/** A typeface in the size at which it is E-13B, and what to write for each character. */
export interface MicrTypeface {
  /** Points. */
  readonly size: number;
  readonly written: ReadonlyMap<string, string>;
}

/** Thousandths of an inch: height of a digit, the widest character; how far each may be off. ANSI X9.100-160, recalled. */
const DIGIT_HEIGHT = 117;
const WIDEST = 91;
const TOLERANCE = 4;
/** An eighth of an inch. */
const PITCH = 125;
const show = (thousandths: number): string => `0.${String(thousandths).padStart(3, '0')} inch`;
/** Where a typeface has no places for the control characters in Unicode it has them at these letters; common practice. */
const LETTERS: ReadonlyMap<string, string> = new Map([
  [TRANSIT, 'A'],
  [AMOUNT, 'B'],
  [ON_US, 'C'],
  [DASH, 'D'],
]);

/** What keeps a typeface from being used, as sentences; or the typeface at its size. `unitsPerEm`: of the font. */
export function micrTypeface(glyphOf: GlyphOf, unitsPerEm: number): MicrTypeface | readonly string[] {
  const isUnicode = glyphOf(TRANSIT) !== null;
  const written = new Map(
    MICR_CHARACTERS.map((character) => [character, isUnicode ? character : (LETTERS.get(character) ?? character)]),
  );
  const glyphs = MICR_CHARACTERS.map((character) => [character, glyphOf(written.get(character) ?? character)] as const);
  const missing = glyphs.filter(([, glyph]) => glyph === null).map(([character]) => character);
  if (missing.length > 0) return [`It has no ${missing.join(' ')}.`];
  const advance = glyphs[0]?.[1]?.advance ?? 0;
  if (advance <= 0 || glyphs.some(([, glyph]) => glyph?.advance !== advance))
    return ['Its characters are not all set to the same width.'];
  const size = (MICR_GRID.pitch * unitsPerEm) / advance;
  const thousandths = (units: number): number => Math.round((units * PITCH) / advance);
  const faults = glyphs.flatMap(([character, glyph]): string[] => {
    if (!glyph) return [];
    const [height, width, foot] = [glyph.height, glyph.width, glyph.foot].map(thousandths) as [number, number, number];
    const isDigit = /\d/.test(character);
    if (isDigit && Math.abs(height - DIGIT_HEIGHT) > TOLERANCE)
      return [`${character} is ${show(height)} high at eight to the inch; E-13B has ${show(DIGIT_HEIGHT)}.`];
    if (!isDigit && height > DIGIT_HEIGHT + TOLERANCE) return [`${character} is ${show(height)} high.`];
    if (width > WIDEST + TOLERANCE) return [`${character} is ${show(width)} wide; E-13B has ${show(WIDEST)} at most.`];
    return isDigit && Math.abs(foot) > TOLERANCE ? [`${character} does not stand on the base line.`] : [];
  });
  return faults.length > 0 ? faults : { size, written };
}
