import { describe, expect, it } from '@jest/globals';
import nacha from '@midlandsbank/node-nacha';
import fc from 'fast-check';
import { date } from '../calendar/local-date.js';
import { writeDirectDeposit, type DirectDepositFile } from '../formats/nacha/direct-deposit.js';
import { cents, dollars, type Cents } from '../money/cents.js';
import { PRENOTE_STANDINGS, prenoteConfirmed, prenoteStanding } from './prenote.js';
import { splitNet, type PayAccount } from './split.js';

const account = (
  label: string,
  share: PayAccount['share'],
  prenote: PayAccount['prenote'] = 'confirmed',
): PayAccount => ({
  label,
  share,
  prenote,
});
const amount = (text: string): PayAccount['share'] => ({ is: 'amount', amount: dollars(text) });
const percent = (whole: number): PayAccount['share'] => ({ is: 'percent', percent: { n: whole, d: 100 } });
const rest: PayAccount['share'] = { is: 'rest' };
const said = (net: string, accounts: readonly PayAccount[]) => {
  const split = splitNet(dollars(net), accounts);
  return [...split.deposits.map((line) => [line.label, line.amount]), ['check', split.check]];
};

describe('net pay over several accounts', () => {
  it.each<[string, PayAccount[], [string, number][]]>([
    ['1000.00', [], [['check', 100_000]]],
    [
      '1000.00',
      [account('a', rest)],
      [
        ['a', 100_000],
        ['check', 0],
      ],
    ],
    // Amounts come before percentages of the whole net, the rest last, whatever the order in which they stand.
    [
      '1000.00',
      [account('a', rest), account('b', percent(25)), account('c', amount('300.00'))],
      [
        ['a', 45_000],
        ['b', 25_000],
        ['c', 30_000],
        ['check', 0],
      ],
    ],
    [
      '1000.01',
      [account('a', percent(50)), account('b', rest)],
      [
        ['a', 50_001],
        ['b', 50_000],
        ['check', 0],
      ],
    ],
    // What the pay does not reach stays at nothing.
    [
      '250.00',
      [account('a', amount('200.00')), account('b', amount('100.00')), account('c', rest)],
      [
        ['a', 20_000],
        ['b', 5_000],
        ['c', 0],
        ['check', 0],
      ],
    ],
    [
      '1000.00',
      [account('a', amount('200.00'))],
      [
        ['a', 20_000],
        ['check', 80_000],
      ],
    ],
    [
      '1000.00',
      [account('a', percent(60)), account('b', percent(60))],
      [
        ['a', 60_000],
        ['b', 40_000],
        ['check', 0],
      ],
    ],
    [
      '0.00',
      [account('a', rest)],
      [
        ['a', 0],
        ['check', 0],
      ],
    ],
  ])('%s', (net, accounts, expected) => expect(said(net, accounts)).toEqual(expected));
  it('pays by check what an account without its prenote would receive', () => {
    const split = splitNet(dollars('1000.00'), [
      account('a', amount('300.00'), 'sent'),
      account('b', amount('100.00'), 'returned'),
      account('c', rest, 'waived'),
    ]);
    expect(split.deposits.map((line) => [line.amount, line.isReady])).toEqual([
      [30_000, false],
      [10_000, false],
      [60_000, true],
    ]);
    expect(split.check).toBe(40_000);
  });
  it('neither makes nor loses a cent', () => {
    const share = fc.oneof(
      fc.integer({ min: 0, max: 500_000 }).map((of): PayAccount['share'] => ({ is: 'amount', amount: cents(of) })),
      fc.integer({ min: 0, max: 100 }).map(percent),
      fc.constant(rest),
    );
    const some = fc.array(fc.tuple(share, fc.constantFrom(...PRENOTE_STANDINGS)), { maxLength: 5 });
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 1_000_000 }), some, (net, shares) => {
        const accounts = shares.map(([of, prenote], index) => account(String(index), of, prenote));
        const split = splitNet(cents(net), accounts);
        const paid = split.deposits.filter((line) => line.isReady).reduce((total, line) => total + line.amount, 0);
        expect(paid + split.check).toBe(net);
        expect([...split.deposits.map((line) => line.amount), split.check].every((part) => part >= 0)).toBe(true);
      }),
    );
  });
});

describe('the prenote of an account', () => {
  const sent = (settles: string, isReturned = false) => ({ settles: date(settles), isReturned });
  // Nacha Operating Rules, prenotification (recalled): entries may follow on the third banking day after settlement.
  it('counts as confirmed on the third banking day after it settled, over weekends and holidays', () => {
    expect(prenoteConfirmed(date('2026-10-20'))).toBe('2026-10-23');
    expect(prenoteConfirmed(date('2026-11-24'))).toBe('2026-11-30');
  });
  it.each([
    ['wanted', null, '2026-10-22', 'wanted'],
    ['wanted', sent('2026-10-20'), '2026-10-22', 'sent'],
    ['wanted', sent('2026-10-20'), '2026-10-23', 'confirmed'],
    ['wanted', sent('2026-10-20', true), '2026-12-01', 'returned'],
    ['waived', null, '2026-10-22', 'waived'],
    ['confirmed', null, '2026-10-22', 'confirmed'],
    // A payment that came back says more than what was recorded.
    ['confirmed', sent('2026-10-20', true), '2026-10-22', 'returned'],
  ] as const)('%s, %j on %s: %s', (recorded, last, today, standing) =>
    expect(prenoteStanding(recorded, last, date(today))).toBe(standing),
  );
});

describe('the file of direct deposits', () => {
  const file = (more: Partial<DirectDepositFile> = {}): DirectDepositFile => ({
    kind: 'pay',
    bankRouting: '000000123',
    bankName: 'Harbor Mutual',
    originName: 'Breakwater Payroll Services',
    companyId: '1471234561',
    companyName: 'Gannet & Sons Boatyard Inc',
    created: date('2026-10-28'),
    settles: date('2026-10-30'),
    fileIdModifier: 'P',
    credits: [
      {
        type: 'checking',
        routing: '000000123',
        account: '5500012345',
        amount: dollars('1234.56'),
        id: '101',
        name: 'Wil Sprague',
      },
      {
        type: 'savings',
        routing: '000000039',
        account: '7700',
        amount: dollars('100.00'),
        id: '101',
        name: 'Wil Sprague',
      },
    ],
    ...more,
  });
  // Nacha Operating Rules, Appendix Three, entry detail record for PPD (recalled).
  it('has PPD entries by kind of account, without addenda', () => {
    const { content, issues, total } = writeDirectDeposit(file());
    const lines = content.split('\r\n').slice(0, -1);
    expect(issues).toEqual([]);
    expect(total).toBe(133_456);
    expect(lines.map((line) => line.length)).toEqual(Array<number>(10).fill(94));
    expect(lines[1]?.slice(50, 63)).toBe('PPDPAYROLL   ');
    expect(lines[2]).toBe(
      '622000000123' +
        '5500012345'.padEnd(17) +
        '0000123456' +
        '101'.padEnd(15) +
        'WIL SPRAGUE'.padEnd(24) +
        '0000000120000001',
    );
    expect(lines[3]?.slice(0, 3)).toBe('632');
    expect(lines[4]?.slice(4, 20)).toBe('0000020000000015');
  });
  it('has prenotes without an amount under their own codes', () => {
    const credits = file().credits.map((credit) => ({ ...credit, amount: cents(0) }));
    const { content, issues, total } = writeDirectDeposit(file({ kind: 'prenotes', credits }));
    const lines = content.split('\r\n');
    expect([issues, total]).toEqual([[], 0]);
    expect([lines[2]?.slice(0, 3), lines[3]?.slice(0, 3), lines[2]?.slice(29, 39)]).toEqual([
      '623',
      '633',
      '0000000000',
    ]);
  });
  // Debits of their own service class, at the whole amounts (Nacha Operating Rules, 2.9 and Appendix Three; recalled).
  it('takes credits back as debits of the same accounts, under the description that is prescribed', () => {
    const { content, issues, total } = writeDirectDeposit(file({ kind: 'reversal' }));
    const lines = content.split('\r\n');
    expect([issues, total]).toEqual([[], 133_456]);
    expect([lines[1]?.slice(0, 4), lines[1]?.slice(50, 63)]).toEqual(['5225', 'PPDREVERSAL  ']);
    expect([lines[2]?.slice(0, 3), lines[3]?.slice(0, 3), lines[2]?.slice(29, 39)]).toEqual([
      '627',
      '637',
      '0000123456',
    ]);
    expect(JSON.stringify(nacha.from(content))).toContain('REVERSAL');
  });
  it('refuses a payment of nothing', () => {
    const credits = file().credits.map((credit) => ({ ...credit, amount: cents(0) as Cents }));
    expect(writeDirectDeposit(file({ credits })).issues.map((issue) => issue.field)).toEqual([
      'credits[0]',
      'credits[1]',
    ]);
  });
  // Outside check: the file is read by the independent package @midlandsbank/node-nacha.
  it('is read by an independent reader', () => {
    const text = JSON.stringify(nacha.from(writeDirectDeposit(file()).content));
    expect(text).toContain('WIL SPRAGUE');
    expect(text).toContain('PPD');
    expect(text).toMatch(/"amount":"?0*123456|1234\.56/);
  });
});
