import { describe, expect, it } from '@jest/globals';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { startOfDay } from '../bank/bank.js';
import { Store, type Submission } from '../store.js';
import { takeDebits } from './debits.js';

const pad = (text: string, width: number): string => text.padEnd(width);
const digits = (value: number, width: number): string => String(value).padStart(width, '0');
interface Change {
  readonly taxpayer?: string;
  readonly pin?: string;
  readonly tail?: string;
  readonly settles?: string;
  readonly amount?: number;
  readonly part?: number;
  readonly total?: number;
}
/** Written by hand, position by position, as anybody who sends debits might. */
function file({
  taxpayer = '471234561',
  pin = '4711',
  tail = '2345',
  settles = '20261028',
  amount = 10_000,
  part = 10_000,
  total = 10_000,
}: Change = {}): string {
  return [
    pad(`H${pad('F-220417', 10)}${pad('FIRM', 35)}20261022`, 120),
    pad(
      `D${pad(taxpayer, 15)}${pad(pin, 8)}${pad('94105', 5)}20261231${settles}${tail}${digits(amount, 12)}${pad('3', 5)}${digits(part, 10)}${pad('', 5)}${digits(0, 10)}${pad('', 5)}${digits(0, 10)}ZK0123456789AB`,
      120,
    ),
    pad(`T${digits(1, 6)}${digits(total, 14)}`, 120),
    '',
  ].join('\r\n');
}
function take(content: string, tail = '2345'): { store: Store; submission: Submission } {
  const store = new Store(mkdtempSync(join(tmpdir(), 'zakat-debits-')), '2026-10-22');
  store.records.enrollments.push({ taxpayer: '471234561', accountTail: tail, pin: '4711' });
  const submission = { content, state: 'received', notes: {}, isFinal: false } as unknown as Submission;
  store.records.debits.push(submission);
  takeDebits(store, submission);
  return { store, submission };
}
const moved = (store: Store, today: string): void => {
  store.records.today = today;
  startOfDay(store.records, (name) => store.next(name));
};

describe('an agency that debits', () => {
  it('debits what is enrolled on its day, and not before', () => {
    const { store, submission } = take(file());
    expect([submission.state, submission.notes['total']]).toEqual(['received', '100.00']);
    moved(store, '2026-10-27');
    expect(submission.state).toBe('received');
    moved(store, '2026-10-28');
    expect([submission.state, submission.settledOn, submission.isFinal]).toEqual(['settled', '2026-10-28', false]);
    moved(store, '2026-10-30');
    expect(submission.isFinal).toBe(true);
  });
  it.each([
    ['0401', 'R01', 'Insufficient funds'],
    ['0429', 'R29', 'Corporate customer advises not authorized'],
  ])('brings back a debit of the account ending %s, in the words of its code', (tail, code, message) => {
    const { store, submission } = take(file({ tail }), tail);
    moved(store, '2026-10-28');
    moved(store, '2026-10-29');
    expect([submission.state, submission.code, submission.message]).toEqual(['returned', code, message]);
  });
  it.each<[string, Change, string]>([
    ['somebody who is not enrolled', { taxpayer: '999999999' }, 'D-ENROLL'],
    ['another PIN', { pin: '4712' }, 'D-PIN'],
    ['another account', { tail: '9999' }, 'D-ACCOUNT'],
    ['parts that come to something else', { part: 9_999 }, 'D-AMOUNT'],
    ['nothing', { amount: 0, part: 0, total: 0 }, 'D-AMOUNT'],
    ['a total that is none', { total: 10_001 }, 'D-TOTAL'],
    ['today', { settles: '20261022' }, 'D-DATE'],
    ['a Sunday', { settles: '20261025' }, 'D-DATE'],
  ])('refuses %s', (_, change, code) => {
    const { submission } = take(file(change));
    expect([submission.state, submission.code, submission.isFinal]).toEqual(['rejected', code, true]);
  });
  it('refuses lines that are cut', () => {
    expect(take(file().replace(/ +\r\n/, '\r\n')).submission.code).toBe('D-LAYOUT');
  });
});
