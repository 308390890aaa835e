import type { GlyphOf } from '@zakat/core/micr/typeface';
import * as fontkit from 'fontkit';

interface Glyph {
  readonly id: number;
  readonly advanceWidth: number;
  readonly bbox: { readonly minX: number; readonly minY: number; readonly maxX: number; readonly maxY: number };
}
interface Font {
  readonly unitsPerEm: number;
  glyphForCodePoint(code: number): Glyph;
  hasGlyphForCodePoint(code: number): boolean;
}

/** The glyphs of a TrueType or OpenType file, measured; null where the bytes are none. */
export function measured(bytes: Buffer): { readonly unitsPerEm: number; readonly glyphOf: GlyphOf } | null {
  try {
    const font = fontkit.create(bytes) as unknown as Partial<Font>;
    if (!font.unitsPerEm || !font.glyphForCodePoint || !font.hasGlyphForCodePoint) return null;
    const whole = font as Font;
    return {
      unitsPerEm: whole.unitsPerEm,
      glyphOf: (character) => {
        const code = character.codePointAt(0) ?? 0;
        if (!whole.hasGlyphForCodePoint(code)) return null;
        const { advanceWidth, bbox } = whole.glyphForCodePoint(code);
        return { advance: advanceWidth, width: bbox.maxX - bbox.minX, height: bbox.maxY - bbox.minY, foot: bbox.minY };
      },
    };
  } catch {
    return null;
  }
}
