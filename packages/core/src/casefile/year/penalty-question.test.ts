import { describe, expect, it } from '@jest/globals';
import { runPenalty } from './penalty-question.js';

const federal = (payments: object[]) =>
  runPenalty({
    id: 'f',
    kind: 'penalty',
    group: 'us-941',
    period: '2025-Q1',
    class: 'monthly',
    liabilities: [
      { date: '2025-01-10', amount: '10000.00' },
      { date: '2025-02-14', amount: '10000.00' },
      { date: '2025-03-14', amount: '10000.00' },
    ],
    payments,
    filedOn: '2025-04-30',
    asOf: '2025-12-31',
  });

// Rev. Proc. 2001-58, recalled: without a designation a deposit goes to the most recent period that has ended, so that one
// missed deposit is fined again and again; designated for the periods it was made for, only the missed one is late.
describe('a deposit that was missed', () => {
  const made = [
    { date: '2025-03-17', amount: '10000.00' },
    { date: '2025-04-15', amount: '10000.00' },
    { date: '2025-04-28', amount: '10000.00' },
  ];
  it('is fined by what each deposit is applied to', () => {
    expect(federal(made).deposit?.parts.map(({ due, paid, days }) => [due, paid, days])).toEqual([
      ['2025-02-18', '2025-04-28', 69],
      ['2025-03-17', '2025-03-17', 0],
      ['2025-04-15', '2025-04-15', 0],
    ]);
  });
  it('may be designated for the period that costs least', () => {
    const late = [
      { date: '2025-03-17', amount: '10000.00', for: '2025-01-31' },
      { date: '2025-03-19', amount: '10000.00', for: '2025-02-28' },
      { date: '2025-04-15', amount: '10000.00' },
    ];
    expect(federal(late).deposit?.parts.map(({ due, paid, rate }) => [due, paid, rate])).toEqual([
      ['2025-02-18', '2025-03-17', '10%'],
      ['2025-03-17', '2025-03-19', '2%'],
      ['2025-04-15', '2025-04-15', '0%'],
    ]);
  });
  it('is designated for a period that there is', () => {
    const [found] = federal([{ date: '2025-03-17', amount: '10000.00', for: '2025-01-30' }]).problems;
    expect(found?.field).toBe('payments[0].for');
  });
});

describe('a late deposit of a state', () => {
  const state = (group: string, more: object = {}) =>
    runPenalty({
      id: 's',
      kind: 'penalty',
      group,
      liabilities: [{ date: '2026-01-09', amount: '1000.00' }],
      payments: [{ date: '2026-06-30', amount: '400.00' }],
      asOf: '2026-07-31',
      ...more,
    });
  // The 15 percent of California Unemployment Insurance Code § 1112: recalled, as its data says.
  it('is fined by the agency’s own rule, part by part; interest is not loaded and said so', () => {
    const answer = state('CA-SIT', { class: 'quarterly' });
    expect(answer.problems.map(({ field }) => field)).toEqual(['group']);
    expect(answer.deposit?.parts.map(({ amount, paid, penalty }) => [amount, paid, penalty])).toEqual([
      ['400.00', '2026-06-30', '60.00'],
      ['600.00', null, '90.00'],
    ]);
    expect([answer.deposit?.penalty, answer.interest, answer.total, answer.filing]).toEqual([
      '150.00',
      null,
      null,
      null,
    ]);
  });
  it.each<[string, string, object, string]>([
    ['an unknown deposit', 'XX-SIT', {}, 'group'],
    ['a federal return that has none', 'us-w2', {}, 'group'],
    ['a designation, which is federal', 'CA-SIT', { class: 'quarterly', payments: [{ date: '2026-06-30', amount: '1.00', for: '2026-03-31' }] }, 'payments[0].for'],
    ['a return filed late, which is not loaded', 'CA-SIT', { class: 'quarterly', filedOn: '2026-09-01' }, 'filedOn'],
  ])('%s is refused, and the field named', (_what, group, more, field) =>
    expect(state(group, more).problems.map((one) => one.field)).toContain(field)); // prettier-ignore
});
