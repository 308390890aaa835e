import { bankDaysAfter, isBankOpen } from '../calendar.js';
import { DEBITS_REFUSED } from '../bank/bank.js';
import type { Enrollment, Store, Submission } from '../store.js';

/** Positions of the records, 1-based, as agreed with those who send them. */
const AT = {
  taxpayer: [2, 16],
  pin: [17, 24],
  taxType: [25, 29],
  periodEnd: [30, 37],
  settles: [38, 45],
  accountTail: [46, 49],
  amount: [50, 61],
  parts: [
    [67, 76],
    [82, 91],
    [97, 106],
  ],
} as const;
const LENGTH = 120;
const cut = (line: string, [from, to]: readonly [number, number]): string => line.slice(from - 1, to).trim();
const dayOf = (digits: string): string => `${digits.slice(0, 4)}-${digits.slice(4, 6)}-${digits.slice(6)}`;

interface Refusal {
  readonly code: string;
  readonly message: string;
}

/** What is wrong with one instruction; null where the account will be debited. */
function refusalOf(line: string, enrollments: readonly Enrollment[], today: string): Refusal | null {
  const taxpayer = cut(line, AT.taxpayer);
  const own = enrollments.find((one) => one.taxpayer === taxpayer);
  if (!own) return { code: 'D-ENROLL', message: `taxpayer ${taxpayer} is not enrolled` };
  if (own.pin !== cut(line, AT.pin)) return { code: 'D-PIN', message: `the PIN of ${taxpayer} does not match` };
  if (own.accountTail !== cut(line, AT.accountTail))
    return { code: 'D-ACCOUNT', message: `${taxpayer} is enrolled with another account` };
  if (!/^[0-9A-Z]{1,5}$/.test(cut(line, AT.taxType))) return { code: 'D-TYPE', message: 'no tax type' };
  const amount = Number(cut(line, AT.amount));
  const parts = AT.parts.reduce((total, part) => total + Number(cut(line, part)), 0);
  if (!(amount > 0) || parts !== amount)
    return { code: 'D-AMOUNT', message: `the subcategories come to ${parts}, not to ${amount}` };
  const settles = dayOf(cut(line, AT.settles));
  if (!isBankOpen(settles) || settles < bankDaysAfter(today, 1))
    return { code: 'D-DATE', message: `the account cannot be debited on ${settles}` };
  return null;
}

/** Takes a file of debits in: whole or not at all. */
export function takeDebits(store: Store, submission: Submission): void {
  const lines = submission.content.split('\r\n').filter((line) => line !== '');
  const debits = lines.filter((line) => line.startsWith('D'));
  const [head = ''] = lines;
  const foot = lines.at(-1) ?? '';
  const total = debits.reduce((sum, line) => sum + Number(cut(line, AT.amount)), 0);
  const refuse = ({ code, message }: Refusal): void => {
    Object.assign(submission, { state: 'rejected', code, message, isFinal: true });
  };
  if (lines.some((line) => line.length !== LENGTH) || !head.startsWith('H') || !foot.startsWith('T'))
    return refuse({ code: 'D-LAYOUT', message: 'a header, debits and a trailer of 120 characters each' });
  if (Number(foot.slice(1, 7)) !== debits.length || Number(foot.slice(7, 21)) !== total || debits.length === 0)
    return refuse({ code: 'D-TOTAL', message: 'the trailer does not agree with the debits' });
  const { today, enrollments, moods } = store.records;
  for (const line of debits) {
    const refusal = refusalOf(line, enrollments, today);
    if (refusal) return refuse(refusal);
  }
  const settles = [...new Set(debits.map((line) => dayOf(cut(line, AT.settles))))];
  if (settles.length !== 1) return refuse({ code: 'D-DATE', message: 'one settlement date for a file' });
  const tail = cut(debits[0] ?? '', AT.accountTail);
  const answer = DEBITS_REFUSED[tail];
  submission.state = 'received';
  submission.notes = {
    effective: settles[0] ?? '',
    total: (total / 100).toFixed(2),
    filer: head.slice(1, 11).trim(),
    payments: String(debits.length),
    ...(answer || moods.debits === 'refuse' ? { willReturn: answer?.code ?? 'R01' } : {}),
  };
}
