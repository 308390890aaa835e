/** How a receiver here reads one field of a record: by position, from the publication, and not from whoever wrote it. */
export type FieldRule =
  /** Nothing may stand here. */
  | 'blank'
  /** Digits only, all of them. */
  | 'digits'
  /** Digits only, or nothing at all. */
  | 'digits?'
  | 'text'
  | 'text?'
  /** Text that need not begin in the first position. */
  | 'free'
  /** One of these, as written. */
  | readonly string[];
export type FieldRow = readonly [name: string, from: number, to: number, rule: FieldRule];
export interface RecordTable {
  readonly name: string;
  readonly length: number;
  readonly fields: readonly FieldRow[];
}
export interface FieldFault {
  readonly field: string;
  readonly message: string;
}

export const cut = (line: string, from: number, to: number): string => line.slice(from - 1, to);
const PRINTABLE = /^[\x20-\x7e]*$/;

function faultOf(value: string, rule: FieldRule): string | null {
  if (typeof rule !== 'string')
    return rule.includes(value) ? null : `is not one of ${rule.map((one) => `"${one}"`).join(', ')}`;
  if (rule === 'blank') return value.trim() === '' ? null : 'must be blank';
  if (!PRINTABLE.test(value)) return 'has a character outside the character set';
  if (rule === 'free') return null;
  if (rule === 'digits') return /^\d+$/.test(value) ? null : 'must be digits in every position';
  if (rule === 'digits?') return /^(\d+| *)$/.test(value) ? null : 'must be digits, or blank';
  if (rule === 'text') {
    if (value.trim() === '') return 'is missing';
    return value.startsWith(' ') ? 'must be left-justified' : null;
  }
  return value.trim() !== '' && value.startsWith(' ') ? 'must be left-justified' : null;
}

/** Every field of a record that is not as the table has it; a gap of the table must be blank. */
export function faultsOf(line: string, table: RecordTable): FieldFault[] {
  return table.fields.flatMap(([field, from, to, rule]) => {
    const fault = faultOf(cut(line, from, to), rule);
    return fault === null ? [] : [{ field, message: `${field} (positions ${from} to ${to}) ${fault}.` }];
  });
}

/** The records of a file: with CR LF, with LF, or one after the other without either. */
export function recordsOf(content: string, length: number): string[] | null {
  if (/[\r\n]/.test(content)) {
    const lines = content.split(/\r\n|\n/);
    while (lines.at(-1) === '') lines.pop();
    return lines.every((line) => line.length === length) ? lines : null;
  }
  if (content.length === 0 || content.length % length !== 0) return null;
  return Array.from({ length: content.length / length }, (_, index) =>
    content.slice(index * length, (index + 1) * length),
  );
}

/** YYMMDD as a day that exists; null otherwise. */
export function shortDay(text: string): string | null {
  if (!/^\d{6}$/.test(text)) return null;
  const day = `20${text.slice(0, 2)}-${text.slice(2, 4)}-${text.slice(4)}`;
  const read = new Date(`${day}T00:00:00Z`);
  return Number.isNaN(read.getTime()) || read.toISOString().slice(0, 10) !== day ? null : day;
}
