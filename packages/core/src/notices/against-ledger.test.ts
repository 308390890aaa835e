import { describe, expect, it } from '@jest/globals';
import { date } from '../calendar/local-date.js';
import { cents } from '../money/cents.js';
import { againstLedger } from './against-ledger.js';

const LIABILITIES = [
  { label: 'Federal income tax', amount: cents(120_000) },
  { label: 'Medicare (HI), employee', amount: cents(14_500) },
];
const payment = (amount: number, confirmation: string | null = '270612345678901') => ({
  label: 'Form 941 taxes',
  day: date('2026-10-28'),
  confirmation,
  amount: cents(amount),
});
const said = (...given: Parameters<typeof againstLedger>): string[] =>
  againstLedger(...given).map(({ label, detail, amount }) => `${label} | ${detail} | ${amount}`);

describe('a notice against the ledger', () => {
  it('lists each tax and payment, and what the agency asks beyond what is open', () => {
    expect(said(LIABILITIES, [payment(100_000)], cents(34_750))).toEqual([
      'Federal income tax | of the checks | 120000',
      'Medicare (HI), employee | of the checks | 14500',
      'Paid, Form 941 taxes | 10/28/2026, confirmation 270612345678901 | -100000',
      'Open by the ledger | taxes less payments | 34500',
      'Asked by the notice |  | 34750',
      'Difference | asked beyond what the ledger has open | 250',
    ]);
  });
  it('says when both are the same', () => {
    expect(said(LIABILITIES, [payment(134_500, null)], cents(0)).slice(2)).toEqual([
      'Paid, Form 941 taxes | 10/28/2026 | -134500',
      'Open by the ledger | taxes less payments | 0',
      'Asked by the notice |  | 0',
      'Difference | the ledger says the same | 0',
    ]);
  });
  it('compares nothing where nothing is asked', () => {
    expect(said([], [], null)).toEqual(['Open by the ledger | taxes less payments | 0']);
  });
});
