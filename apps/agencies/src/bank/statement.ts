import { bankDaysAfter } from '../calendar.js';
import type { Records } from '../store.js';
import type { EntryReturn } from './bank.js';

/** A movement of the account that a company sends its files from, in cents; money in above zero. */
interface Movement {
  readonly day: string;
  readonly amount: number;
  readonly type: string;
  readonly reference: string;
  readonly text: string;
}

/** BAI2 type codes: ACH credit and debit, returned items, incoming and outgoing money transfer (recalled). */
const TYPES = {
  credit: '142',
  debit: '451',
  returnedCredit: '257',
  returnedDebit: '557',
  in: '195',
  out: '495',
} as const;

/** Everything that moved a company's account: its files as they settled, what came back of them, and transfers. */
export function movementsOf(records: Records, company: string): Movement[] {
  const movements: Movement[] = [];
  for (const { notes, settledOn, fileName, state } of records.bank) {
    if (notes['company'] !== company || settledOn === null) continue;
    const reference = fileName.replace(/\.[a-z]+$/, '');
    const amount = Number(notes['debits'] ?? '0') - Number(notes['credits'] ?? '0');
    const back = bankDaysAfter(notes['effective'] ?? '', 1);
    const moved = (day: string, cents: number, type: string, text: string): void => {
      if (cents !== 0) movements.push({ day, amount: cents, type, reference, text });
    };
    moved(settledOn, amount, amount > 0 ? TYPES.credit : TYPES.debit, 'ACH SETTLEMENT');
    if (state === 'returned') moved(back, -amount, amount > 0 ? TYPES.returnedDebit : TYPES.returnedCredit, 'RETURNED');
    else
      for (const entry of JSON.parse(notes['entryReturns'] ?? '[]') as EntryReturn[])
        moved(
          back,
          entry.amount,
          entry.amount > 0 ? TYPES.returnedCredit : TYPES.returnedDebit,
          `${entry.trace} RETURN ${entry.code}`,
        );
  }
  for (const { company: of, day, amount, reference } of records.transfers)
    if (of === company)
      movements.push({
        day,
        amount,
        type: amount > 0 ? TYPES.in : TYPES.out,
        reference,
        text: amount > 0 ? 'INCOMING TRANSFER' : 'CHARGE',
      });
  return movements.sort((a, b) => (a.day < b.day ? -1 : a.day > b.day ? 1 : 0));
}

const short = (day: string): string => day.slice(2).replaceAll('-', '');

/** The statement of one day as a BAI2 file, with the closing balance after it. */
export function statementOf(records: Records, company: string, day: string): string {
  const all = movementsOf(records, company).filter((movement) => movement.day <= day && movement.day <= records.today);
  const closing = all.reduce((total, { amount }) => total + amount, 0);
  const own = all.filter((movement) => movement.day === day);
  const total = own.reduce((sum, { amount }) => sum + Math.abs(amount), Math.abs(closing));
  const account = [
    `03,${company},USD,015,${closing},,/`,
    ...own.map(
      ({ amount, type, reference, text }, index) =>
        `16,${type},${Math.abs(amount)},Z,BNK${short(day)}${String(index + 1).padStart(4, '0')},${reference},${text}/`,
    ),
  ];
  const count = account.length;
  return [
    `01,BANK,${company},${short(records.today)},0200,1,,,2/`,
    `02,${company},BANK,1,${short(day)},2359,USD,2/`,
    ...account,
    `49,${total},${count + 1}/`,
    `98,${total},1,${count + 3}/`,
    `99,${total},1,${count + 5}/`,
    '',
  ].join('\r\n');
}
