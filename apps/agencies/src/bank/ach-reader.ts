import { cut, faultsOf, recordsOf, shortDay, type RecordTable } from '../records/record.js';
import { AchFault } from './ach-fault.js';
import { ADDENDA, BATCH_CONTROL, BATCH_HEADER, ENTRY_DETAIL, FILE_CONTROL, FILE_HEADER } from './ach-records.js';
import { supportPart } from './ded.js';
import { taxPart } from './txp.js';

/** The bank's own reading of an ACH file, by position, from the rules and not from whoever wrote it. */
export interface AchPayment {
  readonly amount: number;
  readonly receiver: string;
  readonly account: string;
  readonly trace: string;
  readonly id: string;
  /** Money is taken from the account, not given to it. */
  readonly isDebit: boolean;
  /** Of a tax payment; blank for a payment to a person. */
  readonly txp: string;
}
export interface AchFile {
  readonly effective: string;
  /** Company identification of the sender. */
  readonly company: string;
  readonly debits: number;
  readonly credits: number;
  readonly payments: readonly AchPayment[];
}

const number = (line: string, from: number, to: number): number => Number(cut(line, from, to));
const HASH = 10_000_000_000;

function routingIsSound(routing: string): boolean {
  const weights = [3, 7, 1, 3, 7, 1, 3, 7, 1];
  return (
    /^\d{9}$/.test(routing) &&
    [...routing].reduce((total, digit, index) => total + Number(digit) * (weights[index] ?? 0), 0) % 10 === 0
  );
}

/** Fields whose faults have a code of their own. */
const CODES: Readonly<Record<string, string>> = {
  'Transaction Code': 'E-CODE',
  'DFI Account Number': 'E-ACC',
  'Standard Entry Class Code': 'B-SEC',
};

/** Refuses a record with the first field that is not as the rules have it. */
function judge(line: string, table: RecordTable, code: string): void {
  const fault = faultsOf(line, table)[0];
  if (fault) throw new AchFault(CODES[fault.field] ?? code, `${table.name}: ${fault.message}`);
}
const refuse = (code: string, message: string): never => {
  throw new AchFault(code, message);
};

/** What a payment to a business says of itself: a tax, or support of a family. */
const addendaOf = (information: string, amount: number): string =>
  information.startsWith('DED*') ? supportPart(information, amount) : taxPart(information, amount);

interface Sums {
  count: number;
  hash: number;
  debits: number;
  credits: number;
}
const DEBITS = ['27', '28', '37', '38'];
const PRENOTES = ['23', '33', '28', '38'];
/** What a batch may hold by its service class code: mixed, credits, debits. */
const SIDES: Readonly<Record<string, readonly boolean[]>> = { '200': [true, false], '220': [false], '225': [true] };

/** An entry with its addenda; answers with the payment and how many records it took. */
function readEntry(
  lines: readonly string[],
  at: number,
  { entryClass, serviceClass, odfi }: { entryClass: string; serviceClass: string; odfi: string },
): { payment: AchPayment; records: number } {
  const line = lines[at] ?? '';
  judge(line, ENTRY_DETAIL, 'E-FLD');
  if (!routingIsSound(cut(line, 4, 12))) refuse('E-RTN', 'a receiving routing number is wrong');
  const amount = number(line, 30, 39);
  const trace = cut(line, 80, 94);
  if (trace.slice(0, 8) !== odfi) refuse('E-TRC', 'a trace number does not begin with the originating bank');
  const isPrenote = PRENOTES.includes(cut(line, 2, 3));
  const isDebit = DEBITS.includes(cut(line, 2, 3));
  if (!SIDES[serviceClass]?.includes(isDebit)) refuse('E-CODE', 'an entry is not of the side its batch is for');
  if (isPrenote !== (amount === 0)) refuse('E-AMT', 'a prenote has no amount, a payment has one');
  const hasAddenda = cut(line, 79, 79) === '1';
  const next = lines[at + 1] ?? '';
  if (hasAddenda !== next.startsWith('7'))
    refuse('E-ADD', 'an addenda is announced and missing, or there without being announced');
  if (entryClass === 'PPD' && hasAddenda) refuse('E-ADD', 'a payment to a person announces an addenda');
  if (entryClass === 'CCD' && !isDebit && !hasAddenda) refuse('E-ADD', 'a tax payment has no TXP addenda');
  if (hasAddenda) {
    judge(next, ADDENDA, 'A-FLD');
    if (cut(next, 88, 94) !== trace.slice(8)) refuse('A-SEQ', 'an addenda does not name the entry before it');
  }
  return {
    payment: {
      amount,
      receiver: cut(line, 55, 76).trim(),
      account: cut(line, 13, 29).trim(),
      trace,
      id: cut(line, 40, 54).trim(),
      isDebit,
      txp: hasAddenda && !isDebit ? addendaOf(cut(next, 4, 83), amount) : '',
    },
    records: hasAddenda ? 2 : 1,
  };
}

/** Whether counts, hash and totals of a control record are those of what it controls. */
function agree(sums: Sums, count: number, hash: number, debits: number, credits: number): void {
  if (count !== sums.count) refuse('F-CNT', 'the entry and addenda count is wrong');
  if (hash !== sums.hash % HASH) refuse('F-HASH', 'the entry hash is wrong');
  if (debits !== sums.debits || credits !== sums.credits) refuse('F-TOT', 'the control totals differ from the entries');
}

function judgeHeader(header: string): void {
  judge(header, FILE_HEADER, 'F-HEAD');
  if (!/^ \d{9}$/.test(cut(header, 4, 13)) || !routingIsSound(cut(header, 5, 13)))
    refuse('F-HEAD', 'the immediate destination is not a blank and a routing number');
  if (cut(header, 14, 23).trim() === '') refuse('F-HEAD', 'the immediate origin is missing');
  if (shortDay(cut(header, 24, 29)) === null) refuse('F-HEAD', 'the file creation date is no day');
  const time = cut(header, 30, 33);
  if (time.trim() !== '' && (Number(time.slice(0, 2)) > 23 || Number(time.slice(2)) > 59))
    refuse('F-HEAD', 'the file creation time is no time');
}

/** Reads and checks a file; throws AchFault with the bank's code when it must be refused. */
export function readAch(content: string): AchFile {
  if (!/^[\x20-\x7e\r\n]*$/.test(content)) refuse('F-CHAR', 'the file has a character outside the character set');
  const lines = recordsOf(content, 94) ?? refuse('F-LEN', 'a record is not 94 characters long');
  if (lines.length === 0 || lines.length % 10 !== 0)
    refuse('F-BLOCK', 'the file is not in whole blocks of ten records');
  const last = lines.findLastIndex((line) => !/^9{94}$/.test(line));
  const control = lines[last] ?? '';
  if (!lines[0]?.startsWith('1')) refuse('F-HEAD', 'the file header is missing');
  if (!control.startsWith('9')) refuse('F-CTL', 'the file control record is missing');
  judgeHeader(lines[0] ?? '');
  const payments: AchPayment[] = [];
  const traces = new Set<string>();
  const days = new Set<string>();
  const companies = new Set<string>();
  const file: Sums = { count: 0, hash: 0, debits: 0, credits: 0 };
  let batches = 0;
  let at = 1;
  while (at < last) {
    const batch = lines[at] ?? '';
    if (!batch.startsWith('5')) refuse('F-ORDER', 'a record stands where a batch header belongs');
    judge(batch, BATCH_HEADER, 'B-FLD');
    const day = shortDay(cut(batch, 70, 75)) ?? refuse('B-DATE', 'the effective entry date is no day');
    days.add(day);
    batches += 1;
    if (number(batch, 88, 94) !== batches) refuse('B-NUM', 'batch numbers do not count on from one');
    companies.add(cut(batch, 41, 50));
    const entryClass = cut(batch, 51, 53);
    const serviceClass = cut(batch, 2, 4);
    const odfi = cut(batch, 80, 87);
    const sums: Sums = { count: 0, hash: 0, debits: 0, credits: 0 };
    at += 1;
    let before = '';
    while ((lines[at] ?? '').startsWith('6')) {
      const { payment, records } = readEntry(lines, at, { entryClass, serviceClass, odfi });
      if (payment.trace <= before || traces.has(payment.trace)) refuse('E-TRC', 'trace numbers do not ascend');
      before = payment.trace;
      traces.add(payment.trace);
      sums.count += records;
      sums.hash += number(lines[at] ?? '', 4, 11);
      sums[payment.isDebit ? 'debits' : 'credits'] += payment.amount;
      payments.push(payment);
      at += records;
    }
    const end = lines[at] ?? '';
    if (!end.startsWith('8')) refuse('F-ORDER', 'a batch is not ended with its control record');
    if (sums.count === 0) refuse('B-EMPTY', 'a batch has no entry');
    judge(end, BATCH_CONTROL, 'C-FLD');
    agree(sums, number(end, 5, 10), number(end, 11, 20), number(end, 21, 32), number(end, 33, 44));
    for (const [what, inHeader, inControl] of [
      ['service class code', cut(batch, 2, 4), cut(end, 2, 4)],
      ['company identification', cut(batch, 41, 50), cut(end, 45, 54)],
      ['originating bank', odfi, cut(end, 80, 87)],
      ['batch number', cut(batch, 88, 94), cut(end, 88, 94)],
    ] as const)
      if (inHeader !== inControl) refuse('C-FLD', `the ${what} of a batch control is not that of its header`);
    file.count += sums.count;
    file.hash += sums.hash;
    file.debits += sums.debits;
    file.credits += sums.credits;
    at += 1;
  }
  judge(control, FILE_CONTROL, 'F-CTL');
  if (batches === 0 || number(control, 2, 7) !== batches) refuse('F-CTL', 'the batch count is wrong');
  if (number(control, 8, 13) !== lines.length / 10) refuse('F-CTL', 'the block count is wrong');
  agree(file, number(control, 14, 21), number(control, 22, 31), number(control, 32, 43), number(control, 44, 55));
  if (days.size > 1) refuse('B-DATE', 'batches of one file have different effective entry dates');
  if (companies.size > 1) refuse('B-FLD', 'batches of one file have different company identifications');
  return {
    effective: [...days][0] ?? '',
    company: [...companies][0] ?? '',
    debits: file.debits,
    credits: file.credits,
    payments,
  };
}
