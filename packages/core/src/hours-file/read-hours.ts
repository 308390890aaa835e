import { findByName } from '../identity/found-by-name.js';
import { problem, type Issue } from '../issues/issue.js';
import { plus, type Exact } from '../money/exact.js';
import { ZERO_RATE, parseRate, showRate } from '../money/rate.js';
import { itemNamed, type HoursItem } from './columns.js';

export interface HoursPerson {
  readonly id: string;
  readonly number: string;
  readonly name: string;
}
/** What the columns and the pay codes of a file are taken for. */
export interface HoursMapping {
  /** A column name for each heading, blank where it is ignored. */
  readonly columns: readonly string[];
  /** An item for each pay code of the file; blank where the code is not taken. */
  readonly codes: Readonly<Record<string, string>>;
}
export interface HoursLine {
  readonly item: string;
  readonly measure: 'hours' | 'amount';
  /** Exact decimal text. */
  readonly value: string;
}
export interface HoursRow {
  /** Counted from 1, with the headings. */
  readonly row: number;
  /** Whom the row names, as it stands there. */
  readonly who: string;
  readonly personId: string | null;
  readonly lines: readonly HoursLine[];
  readonly issues: readonly Issue[];
}
export interface HoursTotal {
  readonly item: string;
  readonly measure: HoursLine['measure'];
  /** Of every row, and of those that are taken. */
  readonly file: string;
  readonly taken: string;
}
export interface ReadHours {
  readonly rows: readonly HoursRow[];
  /** What each person gets: several rows of one item are added up. */
  readonly people: ReadonlyMap<string, readonly HoursLine[]>;
  readonly totals: readonly HoursTotal[];
  /** Pay codes that are taken for nothing yet. */
  readonly unknownCodes: readonly string[];
  /** What is wrong with the file as a whole. */
  readonly issues: readonly Issue[];
}

const HOURS_OF_A_MONTH = 744;
const CLOCK = /^(\d{1,3}):([0-5]\d)$/;

/**
 * Hours of a cell: `8.25`, `1,204.5`, or hours and minutes, `8:20`, which are hundredths of an hour, half up (common practice
 * of time clocks). Null where it is none.
 */
export function hoursOf(cell: string): Exact | null {
  const text = cell.trim();
  const clock = CLOCK.exec(text);
  if (clock) {
    const minutes = Number(clock[2]);
    const hundredths = Math.floor((minutes * 100 + 30) / 60);
    return { n: Number(clock[1]) * 100 + hundredths, d: 100 };
  }
  return /^(\d+|\d{1,3}(,\d{3})+)?(\.\d{1,4})?$/.test(text) && /\d/.test(text)
    ? parseRate(text.replaceAll(',', '').replace(/^\./, '0.'))
    : null;
}
/** Dollars of a cell: `$1,200.00`; at most two decimals. */
function dollarsOf(cell: string): Exact | null {
  const text = cell.trim().replace(/^\$\s*/, '');
  return /^(\d+|\d{1,3}(,\d{3})+)(\.\d{1,2})?$/.test(text) ? parseRate(text.replaceAll(',', '')) : null;
}

const isZero = ({ n }: Exact): boolean => n === 0;
const TOTAL = /^(grand\s+|sub\s*|report\s+)?(totals?|sums?)\b/i;

/** Reads a table of hours below its headings. Nothing is dropped in silence: what is not taken has a row with its reason. */
export function readHours(
  table: readonly (readonly string[])[],
  headingRow: number,
  mapping: HoursMapping,
  people: readonly HoursPerson[],
  items: readonly HoursItem[],
): ReadHours {
  const columnAt = (name: string): number => mapping.columns.indexOf(name);
  const [number, name, first, last, code, codeHours, codeAmount] = [
    'number',
    'name',
    'first',
    'last',
    'code',
    'hours',
    'amount',
  ].map(columnAt) as [number, number, number, number, number, number, number];
  const own = mapping.columns.flatMap((column, at) => {
    const [kind, item] = column.split(':');
    return item !== undefined && (kind === 'hours' || kind === 'dollars')
      ? [{ at, item, measure: kind === 'hours' ? ('hours' as const) : ('amount' as const) }]
      : [];
  });
  const issues: Issue[] = [];
  if (number < 0 && name < 0 && last < 0)
    issues.push(problem('file.column-unmapped', 'columns', { what: 'the employee' }));
  const hasCodes = code >= 0 && (codeHours >= 0 || codeAmount >= 0);
  if (own.length === 0 && !hasCodes) issues.push(problem('file.column-unmapped', 'columns', { what: 'the hours' }));
  const find = findByName(people);
  const unknownCodes = new Set<string>();
  const rows: HoursRow[] = [];
  table.slice(headingRow).forEach((cells, index) => {
    const cell = (at: number): string => (at < 0 ? '' : (cells[at] ?? '').trim());
    if (cells.every((one) => one.trim() === '')) return;
    const whole = [cell(last), cell(first)].filter((part) => part !== '').join(', ');
    const who = cell(name) || whole || cell(number);
    const own1 = cell(number) === '' ? null : find(cell(number));
    const person = own1 ?? (who === '' ? null : find(who));
    const rowIssues: Issue[] = [];
    const lines: HoursLine[] = [];
    const take = (item: string, measure: HoursLine['measure'], text: string, heading: string): void => {
      if (text === '') return;
      const value = measure === 'hours' ? hoursOf(text) : dollarsOf(text);
      if (!value) rowIssues.push(problem('hours-file.not-a-number', heading, { value: text, heading }));
      else if (measure === 'hours' && value.n > HOURS_OF_A_MONTH * value.d)
        rowIssues.push(problem('hours-file.too-many', heading, { value: text }));
      else if (!isZero(value)) lines.push({ item, measure, value: showRate(value) });
    };
    for (const { at, item, measure } of own) take(item, measure, cell(at), table[headingRow - 1]?.[at] ?? item);
    if (hasCodes && (cell(codeHours) !== '' || cell(codeAmount) !== '')) {
      const said = mapping.codes[cell(code)] ?? itemNamed(cell(code), items)?.code ?? '';
      if (said === '') {
        unknownCodes.add(cell(code));
        rowIssues.push(problem('hours-file.unknown-code', 'code', { code: cell(code) }));
      } else {
        take(said, 'hours', cell(codeHours), 'hours');
        take(said, 'amount', cell(codeAmount), 'amount');
      }
    }
    const isTotal = person === null && TOTAL.test(cells.find((one) => one.trim() !== '')?.trim() ?? '');
    if (isTotal) return;
    if (person === null && (lines.length > 0 || rowIssues.length > 0))
      rowIssues.unshift(problem('hours-file.unknown-person', 'who', { who: who === '' ? 'a blank' : who }));
    if (lines.length === 0 && rowIssues.length === 0 && person === null) return;
    rows.push({ row: headingRow + index + 1, who, personId: person?.id ?? null, lines, issues: rowIssues });
  });
  return {
    rows,
    people: linesByPerson(rows),
    totals: totalsOf(rows),
    unknownCodes: [...unknownCodes].sort(),
    issues,
  };
}

const isTaken = (row: HoursRow): boolean => row.personId !== null && row.issues.length === 0;

function linesByPerson(rows: readonly HoursRow[]): Map<string, readonly HoursLine[]> {
  const found = new Map<string, Map<string, { line: HoursLine; sum: Exact }>>();
  for (const row of rows.filter(isTaken)) {
    const own = found.get(row.personId ?? '') ?? new Map<string, { line: HoursLine; sum: Exact }>();
    found.set(row.personId ?? '', own);
    for (const line of row.lines) {
      const key = `${line.measure} ${line.item}`;
      const before = own.get(key)?.sum ?? ZERO_RATE;
      own.set(key, { line, sum: plus(before, parseRate(line.value) ?? ZERO_RATE) });
    }
  }
  return new Map(
    [...found].map(([id, lines]) => [
      id,
      [...lines.values()].map(({ line, sum }) => ({ ...line, value: showRate(sum) })),
    ]),
  );
}

function totalsOf(rows: readonly HoursRow[]): HoursTotal[] {
  const found = new Map<string, { item: string; measure: HoursLine['measure']; file: Exact; taken: Exact }>();
  for (const row of rows)
    for (const { item, measure, value } of row.lines) {
      const key = `${measure} ${item}`;
      const before = found.get(key) ?? { item, measure, file: ZERO_RATE, taken: ZERO_RATE };
      const amount = parseRate(value) ?? ZERO_RATE;
      found.set(key, {
        ...before,
        file: plus(before.file, amount),
        taken: isTaken(row) ? plus(before.taken, amount) : before.taken,
      });
    }
  return [...found.values()].map(({ file, taken, ...rest }) => ({
    ...rest,
    file: showRate(file),
    taken: showRate(taken),
  }));
}
