import { problem } from '@zakat/core/issues/issue';
import { parse } from 'csv-parse/sync';
import { unzipSync } from 'fflate';
import readXlsxFile from 'read-excel-file/node';
import { refuse } from '../../http/refusal.js';

const ZIP_SIGN = 'PK\u0003\u0004';
/** An honest sheet of 5,000 people unpacks to a few megabytes; more is a mistake or an attack. */
const MOST_UNPACKED = 60_000_000;
const MOST_COLUMNS = 120;
const MOST_LINES = 20_000;

/** The cells of a file as text, from its bytes: CSV (comma, semicolon or tab) or the first sheet of an XLSX workbook. */
export async function readTable(content: Buffer): Promise<string[][]> {
  const isWorkbook = content.subarray(0, 4).toString('latin1') === ZIP_SIGN;
  const table = isWorkbook ? await readWorkbook(content) : readText(content);
  if (table.some((row) => row.length > MOST_COLUMNS))
    throw refuse([problem('file.unreadable', 'file', { what: `a table of at most ${MOST_COLUMNS} columns` })]);
  return table;
}

function readText(content: Buffer): string[][] {
  if (content.includes(0)) throw refuse([problem('file.unreadable', 'file', { what: 'CSV or XLSX' })]);
  const text = decode(content);
  const firstLine = text.slice(0, text.search(/\r?\n|$/));
  const delimiter = [',', ';', '\t'].reduce((best, sign) =>
    firstLine.split(sign).length > firstLine.split(best).length ? sign : best,
  );
  try {
    return parse(text, {
      bom: true,
      delimiter,
      relax_column_count: true,
      skip_empty_lines: true,
      to: MOST_LINES,
      max_record_size: 100_000,
    }) as unknown as string[][];
  } catch {
    throw refuse([problem('file.unreadable', 'file', { what: 'CSV' })]);
  }
}

/** UTF-8, or Windows-1252 where the bytes are not UTF-8 (what spreadsheets write by default). */
function decode(content: Buffer): string {
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(content);
  } catch {
    return new TextDecoder('windows-1252').decode(content);
  }
}

async function readWorkbook(content: Buffer): Promise<string[][]> {
  try {
    let unpacked = 0;
    // Sizes are summed before anything is unpacked: the filter takes no entry.
    unzipSync(content, {
      filter: (file) => {
        unpacked += file.originalSize;
        return false;
      },
    });
    if (unpacked > MOST_UNPACKED) throw new RangeError('too large');
    const sheets = (await readXlsxFile(content)) as unknown;
    return rowsOf(sheets)
      .slice(0, MOST_LINES)
      .map((row) => row.map(cellText));
  } catch {
    throw refuse([problem('file.unreadable', 'file', { what: 'an XLSX workbook' })]);
  }
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
