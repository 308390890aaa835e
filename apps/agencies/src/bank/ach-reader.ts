/** The bank's own reading of an ACH file, by position, from the rules and not from whoever wrote it. */
export interface AchPayment {
  readonly amount: number;
  readonly receiver: string;
  readonly account: string;
  readonly trace: string;
  /** Of a tax payment; blank for a payment to a person. */
  readonly txp: string;
}
export interface AchFile {
  readonly effective: string;
  readonly total: number;
  readonly payments: readonly AchPayment[];
}
export class AchFault extends Error {
  constructor(
    readonly code: string,
    message: string,
  ) {
    super(message);
  }
}

const cut = (line: string, from: number, to: number): string => line.slice(from - 1, to);
const number = (line: string, from: number, to: number): number => {
  const digits = cut(line, from, to);
  if (!/^\d+$/.test(digits)) throw new AchFault('F-NUM', `positions ${from}-${to} are not numeric`);
  return Number(digits);
};

function routingIsSound(routing: string): boolean {
  const weights = [3, 7, 1, 3, 7, 1, 3, 7, 1];
  return (
    /^\d{9}$/.test(routing) &&
    [...routing].reduce((total, digit, index) => total + Number(digit) * (weights[index] ?? 0), 0) % 10 === 0
  );
}

/** The TXP segment of a tax payment, whose amounts must be the entry's. */
function taxPart(addenda: string, amount: number): string {
  if (addenda[0] !== '7' || !addenda.includes('TXP*')) throw new AchFault('E-ADD', 'a tax payment has no TXP addenda');
  const parts = cut(addenda, 4, 83).trim().replace(/\\$/, '').split('*');
  const inTxp = parts
    .slice(5)
    .filter((_, position) => position % 2 === 0)
    .reduce((total, part) => total + Number(part), 0);
  if (inTxp !== amount) throw new AchFault('E-TXP', 'the TXP amounts do not add up to the entry');
  return parts.join('*');
}

/** An entry to a person: a credit with an amount, or a prenote without one; no addenda follows. */
function judgePersonal(line: string, amount: number): void {
  const code = cut(line, 2, 3);
  const isPrenote = code === '23' || code === '33';
  if (!isPrenote && code !== '22' && code !== '32')
    throw new AchFault('E-CODE', `transaction code ${code} is not taken`);
  if (isPrenote !== (amount === 0)) throw new AchFault('E-AMT', 'a prenote has no amount, a payment has one');
  if (cut(line, 79, 79) !== '0') throw new AchFault('E-ADD', 'a payment to a person announces an addenda');
  if (cut(line, 13, 29).trim() === '') throw new AchFault('E-ACC', 'an account number is missing');
}

/** Reads and checks a file; throws AchFault with the bank's code when it must be refused. */
export function readAch(content: string): AchFile {
  const lines = content.split('\r\n').filter((line) => line !== '');
  if (lines.length === 0 || lines.length % 10 !== 0)
    throw new AchFault('F-BLOCK', 'the file is not in whole blocks of ten records');
  if (lines.some((line) => line.length !== 94)) throw new AchFault('F-LEN', 'a record is not 94 characters long');
  const [header, batch] = lines;
  if (!header?.startsWith('101') || !batch?.startsWith('5'))
    throw new AchFault('F-HEAD', 'file or batch header is missing');
  const entryClass = cut(batch, 51, 53);
  if (entryClass !== 'CCD' && entryClass !== 'PPD') throw new AchFault('B-SEC', 'only CCD and PPD are taken');
  const effectiveShort = cut(batch, 70, 75);
  const effective = `20${effectiveShort.slice(0, 2)}-${effectiveShort.slice(2, 4)}-${effectiveShort.slice(4)}`;
  const payments: AchPayment[] = [];
  let hash = 0;
  let details = 0;
  lines.forEach((line, index) => {
    if (line[0] !== '6') return;
    if (!routingIsSound(cut(line, 4, 12))) throw new AchFault('E-RTN', 'a receiving routing number is wrong');
    hash += number(line, 4, 11);
    const amount = number(line, 30, 39);
    const payment = {
      amount,
      receiver: cut(line, 55, 76).trim(),
      account: cut(line, 13, 29).trim(),
      trace: cut(line, 80, 94),
    };
    if (entryClass === 'CCD') payments.push({ ...payment, txp: taxPart(lines[index + 1] ?? '', amount) });
    else {
      judgePersonal(line, amount);
      payments.push({ ...payment, txp: '' });
    }
    details += entryClass === 'CCD' ? 2 : 1;
  });
  const total = payments.reduce((running, payment) => running + payment.amount, 0);
  const batchControl = lines.find((line) => line[0] === '8');
  const fileControl = lines.find((line) => line[0] === '9' && !/^9+$/.test(line));
  if (!batchControl || !fileControl) throw new AchFault('F-CTL', 'a control record is missing');
  if (number(batchControl, 33, 44) !== total || number(fileControl, 44, 55) !== total)
    throw new AchFault('F-TOT', 'the control totals differ from the entries');
  if (number(batchControl, 11, 20) !== hash % 10_000_000_000 || number(fileControl, 22, 31) !== hash % 10_000_000_000)
    throw new AchFault('F-HASH', 'the entry hash is wrong');
  if (number(batchControl, 5, 10) !== details) throw new AchFault('F-CNT', 'the entry and addenda count is wrong');
  return { effective, total, payments };
}
