import { describe, expect, it } from '@jest/globals';
import { parse } from 'csv-parse/sync';
import readXlsxFile from 'read-excel-file/node';
import { type RowsInParts, tableBytes } from './stream-table.js';
import type { TableFormat } from './write-table.js';

const COLUMNS = [
  { label: 'Employee', isNumber: false },
  { label: 'No.', isNumber: false },
  { label: 'Gross', isNumber: true },
];
const ROWS = [
  ['Quay & Sons <"x">', '0042', '1234567.89'],
  ['=SUM(A1)', '', '-0.05'],
  ['Zoë \u0007 🍕', '7', ''],
];
async function* inParts(rows: readonly (readonly string[])[], size: number): RowsInParts {
  await Promise.resolve();
  for (let at = 0; at < rows.length; at += size) yield rows.slice(at, at + size);
}
async function bytes(format: TableFormat, rows: readonly (readonly string[])[], size = 2): Promise<Buffer> {
  const made: Uint8Array[] = [];
  for await (const part of tableBytes(format, COLUMNS, inParts(rows, size))) made.push(part);
  return Buffer.concat(made);
}

describe('a table that is sent while it is read', () => {
  it('is a workbook that a spreadsheet library reads: amounts are numbers, everything else is text as it is', async () => {
    const read = (await readXlsxFile(await bytes('xlsx', ROWS))) as unknown;
    const first = (read as { data?: unknown[][] }[])[0];
    const rows = Array.isArray(first) || first === undefined ? (read as unknown[][]) : (first.data ?? []);
    expect(rows).toEqual([
      ['Employee', 'No.', 'Gross'],
      ['Quay & Sons <"x">', '0042', 1234567.89],
      ['=SUM(A1)', null, -0.05],
      ['Zoë  🍕', '7', null],
    ]);
  });
  it('is CSV in which nothing is a formula', async () => {
    const text = (await bytes('csv', ROWS)).toString('utf8');
    expect(parse(text, { bom: true })).toEqual([
      ['Employee', 'No.', 'Gross'],
      ['Quay & Sons <"x">', '0042', '1234567.89'],
      ["'=SUM(A1)", '', '-0.05'],
      ['Zoë \u0007 🍕', '7', ''],
    ]);
  });
  it.each(['csv', 'xlsx'] as const)('%s is the same in whatever parts it comes', async (format) => {
    const many = Array.from({ length: 500 }, (_, index) => [`Person ${index}`, String(index), `${index}.50`]);
    const count = async (size: number): Promise<number> => {
      const content = await bytes(format, many, size);
      if (format === 'csv') return (parse(content.toString('utf8'), { bom: true }) as unknown[]).length;
      const read = (await readXlsxFile(content)) as unknown[];
      const first = read[0] as { data?: unknown[] } | unknown[];
      return Array.isArray(first) ? read.length : (first.data ?? []).length;
    };
    expect([await count(1), await count(499), await count(1000)]).toEqual([501, 501, 501]);
  });
  it('does not wait for its last row before it gives the first', async () => {
    let asked = 0;
    async function* endless(): RowsInParts {
      for (;;) {
        await Promise.resolve();
        asked += 1;
        yield [['Ada', '1', '2.00']];
      }
    }
    const made = tableBytes('csv', COLUMNS, endless());
    for (let part = 0; part < 4; part += 1) await made.next();
    await made.return(undefined);
    expect(asked).toBe(3);
  });
});
