import { parse } from 'csv-parse/sync';
import { unzipSync } from 'fflate';
import readXlsxFile from 'read-excel-file/node';
import { showRate, parseRate } from '@zakat/core/money/rate';

const ZIP_SIGN = 'PK\u0003\u0004';
/** An honest sheet of 5,000 people unpacks to a few megabytes; more is a mistake or an attack. */
const MOST_UNPACKED = 60_000_000;
const MOST_ENTRIES = 2000;
export const MOST_COLUMNS = 120;
export const MOST_LINES = 20_000;
const MOST_LINE = 100_000;

/** Beyond the limits of a file; the message says what would be read. */
export class TooLarge extends Error {}
const tooLarge = (what: string): TooLarge => new TooLarge(what);

/** The cells of a file as text: CSV (comma, semicolon or tab) or the first sheet of an XLSX workbook. */
export async function readBytes(content: Buffer): Promise<string[][]> {
  const isWorkbook = content.subarray(0, 4).toString('latin1') === ZIP_SIGN;
  return isWorkbook ? readWorkbook(content) : readText(content);
}

function readText(content: Buffer): string[][] {
  if (content.includes(0)) throw new TypeError('not text');
  const text = decode(content);
  const end = text.search(/\r?\n|$/);
  if (end > MOST_LINE) throw tooLarge(`lines of at most ${MOST_LINE.toLocaleString('en-US')} characters`);
  const firstLine = text.slice(0, end);
  const delimiter = [',', ';', '\t'].reduce((best, sign) =>
    firstLine.split(sign).length > firstLine.split(best).length ? sign : best,
  );
  const table = parse(text, {
    bom: true,
    delimiter,
    relax_column_count: true,
    skip_empty_lines: true,
    to: MOST_LINES + 1,
    max_record_size: MOST_LINE,
  }) as unknown as string[][];
  measure(
    table.length,
    table.reduce((most, row) => Math.max(most, row.length), 0),
  );
  return table;
}

function measure(rows: number, columns: number): void {
  if (columns > MOST_COLUMNS) throw tooLarge(`a table of at most ${MOST_COLUMNS} columns`);
  if (rows > MOST_LINES) throw tooLarge(`a table of at most ${MOST_LINES.toLocaleString('en-US')} rows`);
}

/** UTF-8, or Windows-1252 where the bytes are not UTF-8 (what spreadsheets write by default). */
function decode(content: Buffer): string {
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(content);
  } catch {
    return new TextDecoder('windows-1252').decode(content);
  }
}

const SHEET = /^xl\/worksheets\/[^/]+\.xml$/;
const STYLES = 'xl/styles.xml';

async function readWorkbook(content: Buffer): Promise<string[][]> {
  let unpacked = 0;
  let entries = 0;
  // Sizes are summed before anything is unpacked: the filter takes no entry.
  unzipSync(content, {
    filter: (file) => {
      unpacked += file.originalSize;
      entries += 1;
      return false;
    },
  });
  if (unpacked > MOST_UNPACKED || entries > MOST_ENTRIES)
    throw tooLarge(`a workbook of at most ${MOST_UNPACKED / 1_000_000} MB`);
  // The sheets are measured in their own text before the library lays them out as a table: it fills every gap.
  const parts = unzipSync(content, { filter: ({ name }) => SHEET.test(name) || name === STYLES });
  const xml = (name: string): string => Buffer.from(parts[name] ?? []).toString('utf8');
  const sheets = Object.keys(parts).filter((name) => SHEET.test(name));
  for (const name of sheets) measureSheet(xml(name));
  const rows = rowsOf((await readXlsxFile(content)) as unknown);
  const percents = percentCells(xml(sheets.sort(byNumber)[0] ?? ''), percentStyles(xml(STYLES)));
  return rows.map((row, down) =>
    row.map((cell, across) => (percents.has(`${columnName(across)}${down + 1}`) ? percentText(cell) : cellText(cell))),
  );
}

const byNumber = (a: string, b: string): number => a.localeCompare(b, 'en', { numeric: true });

/** `AB` is 28. */
const columnNumber = (letters: string): number =>
  [...letters].reduce((number, letter) => number * 26 + letter.charCodeAt(0) - 64, 0);
function columnName(index: number): string {
  const rest = index % 26;
  return `${index >= 26 ? columnName(Math.floor(index / 26) - 1) : ''}${String.fromCharCode(65 + rest)}`;
}

function measureSheet(sheet: string): void {
  let [columns, rows] = [0, 0];
  for (const [, letters = '', number = ''] of sheet.matchAll(/<c\s[^>]*?\br="([A-Z]{1,4})(\d{1,9})"/g)) {
    columns = Math.max(columns, columnNumber(letters));
    rows = Math.max(rows, Number(number));
  }
  for (const [, number = ''] of sheet.matchAll(/<row\s[^>]*?\br="(\d{1,9})"/g)) rows = Math.max(rows, Number(number));
  measure(rows, columns);
}

/** Built-in number formats 9 and 10 are percentages, and whatever has a percent sign of its own (ECMA-376, 18.8.30). */
function percentStyles(styles: string): ReadonlySet<string> {
  const own = new Set(
    [...styles.matchAll(/<numFmt\s[^>]*?numFmtId="(\d+)"[^>]*?formatCode="([^"]*)"/g)]
      .filter(([, , code = '']) => code.includes('%'))
      .map(([, id = '']) => id),
  );
  const cells = /<cellXfs[\s\S]*?<\/cellXfs>/.exec(styles)?.[0] ?? '';
  return new Set(
    [...cells.matchAll(/<xf\s[^>]*?numFmtId="(\d+)"/g)].flatMap(([, id = ''], index) =>
      id === '9' || id === '10' || own.has(id) ? [String(index)] : [],
    ),
  );
}
function percentCells(sheet: string, styles: ReadonlySet<string>): ReadonlySet<string> {
  if (styles.size === 0) return new Set();
  const cells = new Set<string>();
  for (const [tag, at = ''] of sheet.matchAll(/<c\s[^>]*?\br="([A-Z]{1,3}\d{1,7})"[^>]*>/g)) {
    const style = /\bs="(\d+)"/.exec(tag)?.[1];
    if (style !== undefined && styles.has(style)) cells.add(at);
  }
  return cells;
}

/** A cell that shows 5% holds 0.05: it is read as it is shown. */
function percentText(cell: unknown): string {
  const rate = typeof cell === 'number' ? parseRate(String(cell)) : null;
  if (!rate) return cellText(cell);
  return `${showRate(rate.d >= 100 ? { n: rate.n, d: rate.d / 100 } : { n: rate.n * (100 / rate.d), d: 1 })}%`;
}

/** The rows of the first sheet, whether the library answers with rows or with a list of sheets. */
function rowsOf(answer: unknown): unknown[][] {
  if (!Array.isArray(answer)) return [];
  const first = answer[0] as { data?: unknown[][] } | unknown[] | undefined;
  if (Array.isArray(first) || first === undefined) return answer as unknown[][];
  return first.data ?? [];
}

function cellText(cell: unknown): string {
  if (cell === null || cell === undefined) return '';
  if (cell instanceof Date) return cell.toISOString().slice(0, 10);
  if (typeof cell === 'boolean') return cell ? 'yes' : 'no';
  if (typeof cell === 'number') return String(cell);
  return typeof cell === 'string' ? cell : '';
}
