import type { Response } from 'express';
import { stringify } from 'csv-stringify/sync';
import writeXlsxFile from 'write-excel-file/node';

export type TableFormat = 'csv' | 'xlsx';
const MEDIA_TYPES: Readonly<Record<TableFormat, string>> = {
  csv: 'text/csv; charset=utf-8',
  xlsx: 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
};

/** A cell that a spreadsheet would take for a formula is written as text. */
const harmless = (cell: string): string => (/^[=+\-@\t\r]/.test(cell) && !/^-?\d/.test(cell) ? `'${cell}` : cell);

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
  return (await writeXlsxFile(rows as never)).toBuffer();
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
