import type { Response } from 'express';
import { stringify } from 'csv-stringify/sync';
import { Zip, ZipDeflate, strToU8 } from 'fflate';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { MEDIA_TYPES, harmless, type TableFormat } from './write-table.js';

export interface StreamedColumn {
  readonly label: string;
  /** Decimal numbers, as text; a spreadsheet adds them up. */
  readonly isNumber: boolean;
}
/** Rows of a table as they come, a few hundred at a time. */
export type RowsInParts = AsyncIterable<readonly (readonly string[])[]>;

async function* csvParts(columns: readonly StreamedColumn[], rows: RowsInParts): AsyncGenerator<Buffer> {
  yield Buffer.from(stringify([columns.map(({ label }) => harmless(label))], { bom: true }), 'utf8');
  for await (const part of rows) yield Buffer.from(stringify(part.map((row) => row.map(harmless))), 'utf8');
}

const XML = '<?xml version="1.0" encoding="UTF-8" standalone="yes"?>';
const MAIN = 'http://schemas.openxmlformats.org/spreadsheetml/2006/main';
const OFFICE = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships';
const PACKAGE = 'http://schemas.openxmlformats.org/package/2006';
const TYPES = 'application/vnd.openxmlformats-officedocument.spreadsheetml';
/** A workbook of one sheet beside the sheet itself (ECMA-376, parts 1 and 2). Style 1 is a heading, style 2 a number of two decimals. */
const PARTS: Readonly<Record<string, string>> = {
  '[Content_Types].xml': `${XML}<Types xmlns="${PACKAGE}/content-types"><Default Extension="rels" ContentType="application/vnd.openxmlformats-package.relationships+xml"/><Default Extension="xml" ContentType="application/xml"/><Override PartName="/xl/workbook.xml" ContentType="${TYPES}.sheet.main+xml"/><Override PartName="/xl/worksheets/sheet1.xml" ContentType="${TYPES}.worksheet+xml"/><Override PartName="/xl/styles.xml" ContentType="${TYPES}.styles+xml"/></Types>`,
  '_rels/.rels': `${XML}<Relationships xmlns="${PACKAGE}/relationships"><Relationship Id="rId1" Type="${OFFICE}/officeDocument" Target="xl/workbook.xml"/></Relationships>`,
  'xl/workbook.xml': `${XML}<workbook xmlns="${MAIN}" xmlns:r="${OFFICE}"><sheets><sheet name="Report" sheetId="1" r:id="rId1"/></sheets></workbook>`,
  'xl/_rels/workbook.xml.rels': `${XML}<Relationships xmlns="${PACKAGE}/relationships"><Relationship Id="rId1" Type="${OFFICE}/worksheet" Target="worksheets/sheet1.xml"/><Relationship Id="rId2" Type="${OFFICE}/styles" Target="styles.xml"/></Relationships>`,
  'xl/styles.xml': `${XML}<styleSheet xmlns="${MAIN}"><fonts count="2"><font/><font><b/></font></fonts><fills count="1"><fill/></fills><borders count="1"><border/></borders><cellStyleXfs count="1"><xf/></cellStyleXfs><cellXfs count="3"><xf/><xf fontId="1" applyFont="1"/><xf numFmtId="4" applyNumberFormat="1"/></cellXfs></styleSheet>`,
};
const SHEET = 'xl/worksheets/sheet1.xml';
const DECIMAL = /^-?\d+(?:\.\d+)?$/;
const CENTS = /\.\d\d$/;

const columnName = (index: number): string =>
  `${index >= 26 ? columnName(Math.floor(index / 26) - 1) : ''}${String.fromCharCode(65 + (index % 26))}`;
const ESCAPES: Readonly<Record<string, string>> = { '&': '&amp;', '<': '&lt;', '>': '&gt;' };
/** What XML 1.0 cannot carry: control characters, halves of a pair, and two that are no characters. */
const NOT_XML =
  // oxlint-disable-next-line no-control-regex -- control characters are what is taken out
  /[\u0000-\u0008\u000b\u000c\u000e-\u001f\ufffe\uffff]|[\ud800-\udbff](?![\udc00-\udfff])|(?<![\ud800-\udbff])[\udc00-\udfff]/g;
const inXml = (text: string): string => text.replace(NOT_XML, '').replace(/[&<>]/g, (sign) => ESCAPES[sign] ?? sign);

function rowXml(row: readonly string[], number: number, columns: readonly StreamedColumn[], isHead: boolean): string {
  const cells = row.map((value, index) => {
    const at = `${columnName(index)}${number}`;
    if (value === '') return '';
    if (!isHead && columns[index]?.isNumber === true && DECIMAL.test(value))
      return `<c r="${at}"${CENTS.test(value) ? ' s="2"' : ''}><v>${value}</v></c>`;
    return `<c r="${at}" t="inlineStr"${isHead ? ' s="1"' : ''}><is><t xml:space="preserve">${inXml(value)}</t></is></c>`;
  });
  return `<row r="${number}">${cells.join('')}</row>`;
}

async function* xlsxParts(columns: readonly StreamedColumn[], rows: RowsInParts): AsyncGenerator<Uint8Array> {
  const made: Uint8Array[] = [];
  const zip = new Zip((error, data) => {
    if (error) throw error;
    made.push(data);
  });
  const begin = (name: string): ZipDeflate => {
    const file = new ZipDeflate(name);
    zip.add(file);
    return file;
  };
  for (const [name, text] of Object.entries(PARTS)) begin(name).push(strToU8(text), true);
  const sheet = begin(SHEET);
  const head = columns.map(({ label }) => label);
  sheet.push(strToU8(`${XML}<worksheet xmlns="${MAIN}"><sheetData>${rowXml(head, 1, columns, true)}`));
  let number = 1;
  for await (const part of rows) {
    sheet.push(strToU8(part.map((row) => rowXml(row, (number += 1), columns, false)).join('')));
    yield* made.splice(0);
  }
  sheet.push(strToU8('</sheetData></worksheet>'), true);
  zip.end();
  yield* made.splice(0);
}

/** The bytes of a table as a file, made as its rows come: however long it is, a part of it is in memory. */
export const tableBytes = (
  format: TableFormat,
  columns: readonly StreamedColumn[],
  rows: RowsInParts,
): AsyncGenerator<Uint8Array> => (format === 'csv' ? csvParts(columns, rows) : xlsxParts(columns, rows));

/** Answers with a table whose rows are read while it is sent. A failure after the beginning breaks the connection: half a file is never whole. */
export async function streamTable(
  response: Response,
  format: TableFormat,
  {
    name,
    columns,
    rows,
  }: { readonly name: string; readonly columns: readonly StreamedColumn[]; readonly rows: RowsInParts },
): Promise<void> {
  response
    .type(MEDIA_TYPES[format])
    .setHeader('Content-Disposition', `attachment; filename="${name}"`)
    .setHeader('Cache-Control', 'no-store');
  await pipeline(Readable.from(tableBytes(format, columns, rows)), response);
}
