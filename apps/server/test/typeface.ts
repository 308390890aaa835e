/** Builds a TrueType file of rectangles: enough of a typeface to be measured and put into a PDF. Invented, no E-13B. */

const u16 = (...values: number[]): Buffer => Buffer.concat(values.map((value) => Buffer.from([(value >> 8) & 255, value & 255]))); // prettier-ignore
const u32 = (value: number): Buffer => {
  const bytes = Buffer.alloc(4);
  bytes.writeUInt32BE(value >>> 0);
  return bytes;
};
const padded = (bytes: Buffer): Buffer => Buffer.concat([bytes, Buffer.alloc((4 - (bytes.length % 4)) % 4)]);

function box(width: number, height: number): Buffer {
  const points = [[0, 0], [0, height], [width, height], [width, 0]] as const; // prettier-ignore
  const steps = points.map(([x, y], index) => {
    const [px, py] = points[index - 1] ?? [0, 0];
    return [x - px, y - py] as const;
  });
  return padded(
    Buffer.concat([
      u16(1, 0, 0, width, height, 3, 0),
      Buffer.alloc(4, 1),
      u16(...steps.map(([x]) => x)),
      u16(...steps.map(([, y]) => y)),
    ]),
  );
}

/** `heightOf`: of a character, in thousandths of an em; eight characters to the inch at 72 points. */
export function boxTypeface(characters: string, heightOf: (character: string) => number = () => 117): Buffer {
  const codes = [...characters].map((character) => character.codePointAt(0) ?? 0).sort((a, b) => a - b);
  const glyphs = [Buffer.alloc(0), ...codes.map((code) => box(91, heightOf(String.fromCodePoint(code))))];
  let at = 0;
  const offsets = [0, ...glyphs.map((glyph) => (at += glyph.length))];
  const segments = [...codes, 0xffff];
  const count = segments.length;
  const cmap = Buffer.concat([
    u16(4, 16 + 8 * count, 0, count * 2, 0, 0, 0, ...segments, 0, ...segments),
    u16(...segments.map((code, index) => (code === 0xffff ? 1 : (index + 1 - code) & 0xffff))),
    u16(...segments.map(() => 0)),
  ]);
  const words = Buffer.from('Boxes', 'utf16le').swap16();
  const tables: Record<string, Buffer> = {
    cmap: Buffer.concat([u16(0, 1, 3, 1), u32(12), cmap]),
    glyf: Buffer.concat(glyphs),
    head: Buffer.concat([u32(0x10000), u32(0x10000), u32(0), u32(0x5f0f3cf5), u16(0, 1000), Buffer.alloc(16), u16(0, 0, 91, 130, 0, 8, 2, 1, 0)]), // prettier-ignore
    hhea: Buffer.concat([u32(0x10000), u16(130, 0, 0, 125, 0, 0, 91, 1, 0, 0, 0, 0, 0, 0, 0, glyphs.length)]),
    hmtx: u16(...glyphs.flatMap(() => [125, 0])),
    loca: Buffer.concat(offsets.map(u32)),
    maxp: Buffer.concat([u32(0x10000), u16(glyphs.length, 4, 1, 0, 0, 2, 0, 0, 0, 0, 0, 0, 0, 0)]),
    name: Buffer.concat([u16(0, 2, 30, 3, 1, 0x409, 1, words.length, 0, 3, 1, 0x409, 6, words.length, 0), words]),
    post: Buffer.concat([u32(0x30000), Buffer.alloc(28)]),
  };
  const names = Object.keys(tables);
  let offset = 12 + 16 * names.length;
  const records = names.map((name) => {
    const table = tables[name] ?? Buffer.alloc(0);
    const record = Buffer.concat([Buffer.from(name), u32(0), u32(offset), u32(table.length)]);
    offset += padded(table).length;
    return record;
  });
  return Buffer.concat([
    u32(0x10000),
    u16(names.length, 128, 3, names.length * 16 - 128),
    ...records,
    ...names.map((name) => padded(tables[name] ?? Buffer.alloc(0))),
  ]);
}
