import PDFDocument from 'pdfkit';

/** The measures of a standard font, as PDFKit reads them from its table. */
interface Metrics {
  readonly glyphWidths: Readonly<Record<string, number>>;
  /** By both glyphs, with a NUL between them. */
  readonly kernPairs: Readonly<Record<string, number>>;
  widthOfGlyph: (glyph: string) => number;
  getKernPair: (left: string, right: string | undefined) => number;
}
/** A standard font as one document holds it. */
interface StandardFont {
  readonly font: Metrics;
}
/** What a document of PDFKit 0.x keeps of its fonts; the version is pinned, and the documents are read in tests. */
interface Fonts {
  readonly _fontFamilies: Record<string, StandardFont>;
  _fontCount: number;
  readonly _font: StandardFont;
}
type StandardFontName = 'Helvetica' | 'Helvetica-Bold';
const LENT: readonly StandardFontName[] = ['Helvetica', 'Helvetica-Bold'];
const known = new Map<StandardFontName, StandardFont>();

/** A font read once, with measures that are looked up without joining strings: that took most of a page's time. */
function read(name: StandardFontName): StandardFont {
  const document = new PDFDocument({ autoFirstPage: false });
  document.font(name);
  const found = (document as unknown as Fonts)._font;
  const widths = new Map(Object.entries(found.font.glyphWidths));
  const kerning = new Map<string, Map<string, number>>();
  for (const [pair, amount] of Object.entries(found.font.kernPairs)) {
    const [left = '', right = ''] = pair.split('\0');
    const after = kerning.get(left) ?? new Map<string, number>();
    kerning.set(left, after.set(right, amount));
  }
  found.font.widthOfGlyph = (glyph) => widths.get(glyph) ?? 0;
  found.font.getKernPair = (left, right) => (right === undefined ? 0 : (kerning.get(left)?.get(right) ?? 0));
  known.set(name, found);
  return found;
}

/** Gives a document the standard fonts that documents before it have read; those that it does not use leave no trace. */
export function lendFonts(document: InstanceType<typeof PDFDocument>): void {
  const fonts = document as unknown as Fonts;
  for (const name of LENT) {
    const font = known.get(name) ?? read(name);
    fonts._fontCount += 1;
    fonts._fontFamilies[name] = Object.assign(
      Object.create(Object.getPrototypeOf(font) as object) as StandardFont,
      font,
      {
        document,
        id: `F${fonts._fontCount}`,
        dictionary: null,
        embedded: false,
      },
    );
  }
}
