import { cut, faultsOf, recordsOf, type RecordTable } from '../records/record.js';
import { A, B, E, F, S, T } from './quarterly-records.js';

/** A state agency's own reading of a report, in the families that it takes. A refusal names the record and the field. */
export interface StateRefusal {
  readonly code: string;
  readonly field: string;
  readonly message: string;
}
export interface JudgedReport {
  readonly refusals: StateRefusal[];
  /** What was reported, by whom and for when: a second report of the same is a duplicate. */
  readonly type: string;
  readonly ein: string;
  readonly period: string;
  readonly people: string;
  readonly total: string;
}

class Reading {
  readonly refusals: StateRefusal[] = [];
  refuse(code: string, field: string, message: string): void {
    this.refusals.push({ code, field, message });
  }
  /** One number twice in a report, or one that cannot have been issued. Zeros: the number is applied for. */
  judgeNumbers(numbers: readonly string[]): void {
    const seen = new Set<string>();
    for (const ssn of numbers) {
      if (ssn === '000000000') continue;
      if (!/^\d{9}$/.test(ssn) || /^(000|666|9)/.test(ssn))
        this.refuse('W-SSN', `SSN ${ssn}`, `The social security number ${ssn} cannot have been issued.`);
      if (seen.has(ssn)) this.refuse('W-TWICE', `SSN ${ssn}`, 'The same social security number stands twice.');
      seen.add(ssn);
    }
  }
}
const NOTHING = { type: '', ein: '', period: '', people: '0', total: '' };

/** Every refusal of a report; empty when it can be accepted. */
export function judgeStateReport(content: string, today: string): JudgedReport {
  if (content.startsWith('RA')) return judge512(content, today);
  if (content.startsWith('A')) return judge275(content, today);
  if (content.startsWith('return,')) return judgeDelimited(content, today);
  return {
    ...NOTHING,
    refusals: [{ code: 'F-KIND', field: 'File', message: 'The file is of no family that is taken here.' }],
  };
}

const amount = (line: string, from: number, to: number): number => Number(cut(line, from, to).trim() || '0');
const refusePeriod = (reading: Reading, end: string, today: string): void => {
  if (end >= today) reading.refuse('R-PERIOD', 'Reporting Period', 'The period has not ended.');
};

function judge275(content: string, today: string): JudgedReport {
  const reading = new Reading();
  const lines = recordsOf(content, 275);
  if (!lines) {
    reading.refuse('F-LENGTH', 'File', 'Every record has 275 positions.');
    return { ...NOTHING, refusals: reading.refusals };
  }
  const tables: Readonly<Record<string, RecordTable>> = { A, B, E, S, T, F };
  if (!/^ABES*TF$/.test(lines.map((line) => line[0] ?? '').join('')))
    reading.refuse('F-ORDER', 'File', 'Records come as A, B, E, S for each person, T, F.');
  lines.forEach((line, index) => {
    const known = tables[line[0] ?? ''];
    if (!known) reading.refuse('F-RECORD', `record ${index + 1}`, 'This record is not known.');
    else
      for (const fault of faultsOf(line, known))
        reading.refuse('F-FIELD', `${known.name} ${index + 1} ${fault.field}`, fault.message);
  });
  const employer = lines.find((line) => line.startsWith('E')) ?? '';
  const people = lines.filter((line) => line.startsWith('S'));
  const totals = lines.find((line) => line.startsWith('T')) ?? '';
  const account = cut(employer, 173, 187).trim();
  if (account.length < 5) reading.refuse('E-ACCOUNT', 'Account Number', 'The account number is too short.');
  const month = cut(employer, 188, 189);
  const period = `${cut(employer, 2, 5)}-${month}`;
  refusePeriod(reading, `${period}-31`, today);
  people.forEach((line, index) => {
    const at = (field: string): string => `S ${index + 1} ${field}`;
    if (cut(line, 147, 161).trim() !== account)
      reading.refuse('S-ACCOUNT', at('Account Number'), 'It is not the account number of the employer.');
    if (amount(line, 64, 77) !== amount(line, 78, 91) + amount(line, 92, 105))
      reading.refuse('S-WAGES', at('Taxable Wages'), 'Taxable and excess wages do not make the total.');
    if (cut(line, 215, 220) !== `${month}${cut(employer, 2, 5)}`)
      reading.refuse('S-QUARTER', at('Quarter and Year'), 'It is not the quarter of the employer’s record.');
  });
  reading.judgeNumbers(people.map((line) => cut(line, 2, 10)));
  const sums: readonly (readonly [string, readonly [number, number], readonly [number, number]])[] = [
    ['Total Wages', [64, 77], [27, 40]],
    ['Excess Wages', [78, 91], [41, 54]],
    ['Taxable Wages', [92, 105], [55, 68]],
    ['State Income Tax', [191, 204], [213, 226]],
    ['Month 1', [212, 212], [227, 233]],
    ['Month 2', [213, 213], [234, 240]],
    ['Month 3', [214, 214], [241, 247]],
  ];
  for (const [field, [from, to], [first, last]] of sums)
    if (people.reduce((total, line) => total + amount(line, from, to), 0) !== amount(totals, first, last))
      reading.refuse('T-SUM', `T ${field}`, `${field} of the total record is not the sum of the people.`);
  if (amount(totals, 2, 8) !== people.length)
    reading.refuse('T-COUNT', 'T Employees', 'The total record counts other people than there are.');
  // The rate has four places of a percent: taxable wages times it, to the cent.
  const due = Math.round((amount(totals, 55, 68) * amount(totals, 82, 87)) / 1_000_000);
  if (Math.abs(due - amount(totals, 88, 100)) > 1)
    reading.refuse('T-RATE', 'T Taxes Due', 'Taxes due are not the taxable wages times the rate.');
  return {
    refusals: reading.refusals,
    type: `state ${cut(employer, 171, 172)}`,
    ein: cut(employer, 6, 14),
    period,
    people: String(people.length),
    total: (amount(totals, 27, 40) / 100).toFixed(2),
  };
}

function judge512(content: string, today: string): JudgedReport {
  const reading = new Reading();
  const lines = recordsOf(content, 512);
  if (!lines) {
    reading.refuse('F-LENGTH', 'File', 'Every record has 512 positions.');
    return { ...NOTHING, refusals: reading.refusals };
  }
  if (!/^RARE(RS)*RF$/.test(lines.map((line) => line.slice(0, 2)).join('')))
    reading.refuse('F-ORDER', 'File', 'Records come as RA, RE, RS for each person, RF.');
  const employer = lines.find((line) => line.startsWith('RE')) ?? '';
  const people = lines.filter((line) => line.startsWith('RS'));
  const last = lines.at(-1) ?? '';
  const states = new Set(people.map((line) => cut(line, 3, 4)));
  const periods = new Set(people.map((line) => cut(line, 197, 202)));
  if (states.size > 1) reading.refuse('S-STATE', 'RS State Code', 'People of several states stand in one report.');
  if (periods.size > 1) reading.refuse('S-QUARTER', 'RS Reporting Period', 'There are several quarters in one report.');
  people.forEach((line, index) => {
    if (cut(line, 248, 267).trim().length < 5)
      reading.refuse('S-ACCOUNT', `RS ${index + 1} Account Number`, 'The account number is missing.');
    if (amount(line, 214, 224) > amount(line, 203, 213))
      reading.refuse('S-WAGES', `RS ${index + 1} Taxable Wages`, 'Taxable wages are more than total wages.');
  });
  reading.judgeNumbers(people.map((line) => cut(line, 10, 18)));
  if (amount(last, 8, 16) !== people.length && amount(last, 3, 11) !== people.length)
    reading.refuse('T-COUNT', 'RF', 'The final record counts other people than there are.');
  const named = [...periods][0] ?? '';
  const period = `${named.slice(2)}-${named.slice(0, 2)}`;
  refusePeriod(reading, `${period}-31`, today);
  return {
    refusals: reading.refusals,
    type: `state ${[...states][0] ?? ''}`,
    ein: cut(employer, 8, 16),
    period,
    people: String(people.length),
    total: (people.reduce((total, line) => total + amount(line, 203, 213), 0) / 100).toFixed(2),
  };
}

/** One line of values with commas; quotes hold what has a comma in it. */
function valuesOf(line: string): string[] {
  const found: string[] = [];
  let rest = line;
  while (rest !== '' || found.length === 0) {
    const quoted = /^"((?:[^"]|"")*)"(,|$)/.exec(rest);
    const [whole, value = ''] = quoted ?? /^([^,]*)(,|$)/.exec(rest) ?? [''];
    found.push(quoted ? value.replaceAll('""', '"') : value);
    rest = rest.slice(whole.length);
    if (whole.endsWith(',') && rest === '') found.push('');
    if (!whole.endsWith(',')) break;
  }
  return found;
}
const AMOUNT = /^-?\d+\.\d{2}$/;

function judgeDelimited(content: string, today: string): JudgedReport {
  const reading = new Reading();
  const lines = content.split(/\r\n|\n/).filter((line) => line !== '');
  const rows = lines.map(valuesOf);
  const [, type = '', period = '', ein = '', account = ''] = rows[0] ?? [];
  const people = rows.filter(([is]) => is === 'person');
  const named = rows.filter(([is]) => is === 'line');
  const last = rows.at(-1) ?? [];
  if (last[0] !== 'end' || Number(last[1]) !== rows.length - 1)
    reading.refuse('F-END', 'end', 'The last row does not say how many rows came.');
  if (!/^\d{9}$/.test(ein)) reading.refuse('R-EIN', 'EIN', 'The EIN is not nine digits.');
  if (account === '') reading.refuse('E-ACCOUNT', 'Account Number', 'The account number is missing.');
  if (named.length === 0) reading.refuse('R-LINES', 'line', 'The report has no lines.');
  for (const [, id = '', value = ''] of named)
    if (!AMOUNT.test(value) && !/^\d+$/.test(value))
      reading.refuse('R-AMOUNT', `line ${id}`, `${value} is not an amount.`);
  if (new Set(named.map(([, id]) => id)).size !== named.length)
    reading.refuse('R-TWICE', 'line', 'A line stands twice.');
  reading.judgeNumbers(people.map(([, ssn = '']) => ssn));
  const columns = rows.find(([is]) => is === 'columns') ?? [];
  if (people.some((row) => row.length !== columns.length))
    reading.refuse('F-COLUMNS', 'person', 'A row has other columns than were named.');
  const wagesAt = columns.indexOf('wages');
  const cents = (value: string): bigint => BigInt(value.replace('.', '') || '0');
  const total = people.reduce((sum, row) => sum + cents(row[wagesAt] ?? '0'), 0n);
  const quarter = /^(\d{4})-Q([1-4])$/.exec(period);
  const end = quarter ? `${quarter[1]}-${String(Number(quarter[2]) * 3).padStart(2, '0')}-31` : `${period}-12-31`;
  refusePeriod(reading, /^\d{4}-\d{2}$/.test(period) ? `${period}-31` : end, today);
  return {
    refusals: reading.refusals,
    type,
    ein,
    period,
    people: String(people.length),
    total: people.length === 0 ? '' : `${total / 100n}.${String(total % 100n).padStart(2, '0')}`,
  };
}
