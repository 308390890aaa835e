import type { Response } from 'express';
import { stringify } from 'csv-stringify/sync';
import writeXlsxFile from 'write-excel-file/node';

export type TableFormat = 'csv' | 'xlsx';
export const MEDIA_TYPES: Readonly<Record<TableFormat, string>> = {
  csv: 'text/csv; charset=utf-8',
  xlsx: 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
};

const NUMBER = /^-?(\d+|\d{1,3}(,\d{3})+)(\.\d+)?%?$/;
/**
 * What a spreadsheet may take for a formula, whatever blanks or invisible characters stand before it; the wide forms of the
 * signs are turned into the narrow ones by some programs.
 */
const FORMULA =
  // oxlint-disable-next-line no-control-regex -- control characters are what is looked for
  /^[\s\u0000-\u001f\u00a0\u200b-\u200f\u2028-\u202e\u2060-\u2069\ufeff'"]*[=+\-@|%\uff0b\uff0d\uff1d\uff20]/u;
/** A cell that a spreadsheet would take for a formula is written as text. */
export const harmless = (cell: string): string =>
  /^[\t\r\n]/.test(cell) || (FORMULA.test(cell) && !NUMBER.test(cell.trim())) ? `'${cell}` : cell;

/** A table with its headings in the first row, as a file. */
export async function writeTable(table: readonly (readonly string[])[], format: TableFormat): Promise<Buffer> {
  if (format === 'csv')
    return Buffer.from(
      stringify(
        table.map((row) => row.map(harmless)),
        { bom: true },
      ),
      'utf8',
    );
  const rows = table.map((row, index) =>
    row.map((value) => ({ value, type: String, ...(index === 0 ? { fontWeight: 'bold' as const } : {}) })),
  );
  return writeXlsxFile(rows as never).toBuffer();
}

/** Answers with a table as a file to keep. */
export function sendTable(
  response: Response,
  format: TableFormat,
  { name, content }: { readonly name: string; readonly content: Buffer },
): void {
  response
    .type(MEDIA_TYPES[format])
    .setHeader('Content-Disposition', `attachment; filename="${name}"`)
    .setHeader('Cache-Control', 'no-store')
    .send(content);
}
