import { describe, expect, it } from '@jest/globals';
import { date } from '../calendar/local-date.js';
import { writeCollection } from '../formats/nacha/collection.js';
import { cents, dollars, ZERO } from '../money/cents.js';
import { collecting, usableFrom, usableOn, type FundingTerms, type FundsNeed } from './collecting.js';
import { TRUST_KINDS } from './kinds.js';
import { plainMatches, reconcile, type BankLine, type BookEntry } from './reconcile.js';
import { DEBIT_RETURNS, retryRefusal } from './return-codes.js';

const TERMS: FundingTerms = {
  what: 'taxes-and-net-pay',
  accountTail: '4410',
  entryClass: 'CCD',
  authorizedOn: date('2026-01-05'),
  signedBy: 'Somebody',
  most: dollars('50000.00'),
  daysBefore: 3,
  holdDays: 2,
};
const need = (checkDate: string, amount: string, what: FundsNeed['what'] = 'taxes'): FundsNeed => ({
  payrollId: checkDate,
  invoiceId: null,
  checkDate: date(checkDate),
  what,
  amount: dollars(amount),
});
const MONDAY = date('2026-10-12'); // Columbus Day, a bank holiday

describe('what is collected', () => {
  it('settles banking days before the check date and is usable after the hold, over a bank holiday', () => {
    const found = collecting(
      TERMS,
      [need('2026-10-16', '4000.00'), need('2026-10-16', '9000.00', 'net-pay')],
      ZERO,
      date('2026-10-07'),
    );
    expect([found.amount, found.wanted, found.settles, found.usable]).toEqual([
      dollars('13000.00'),
      '2026-10-13',
      '2026-10-13',
      '2026-10-15',
    ]);
  });
  it('on a bank holiday the earliest is the second banking day, and the wanted day is said beside it', () => {
    const found = collecting(TERMS, [need('2026-10-16', '4000.00')], ZERO, MONDAY);
    expect([found.wanted, found.settles, found.usable]).toEqual(['2026-10-13', '2026-10-13', '2026-10-15']);
    const late = collecting(TERMS, [need('2026-10-14', '4000.00')], ZERO, MONDAY);
    expect([late.wanted, late.settles]).toEqual(['2026-10-08', '2026-10-13']);
  });
  it('is less by what a void gave back, and more by what the firm advanced', () => {
    const needs = [need('2026-10-16', '4000.00'), need('2026-09-18', '-150.25')];
    expect(collecting(TERMS, needs, dollars('100.00'), MONDAY).amount).toBe(dollars('3949.75'));
  });
  it('has fees with it, which hurry nothing', () => {
    const fee: FundsNeed = {
      payrollId: null,
      invoiceId: 'i',
      checkDate: date('2026-10-13'),
      what: 'fees',
      amount: dollars('80.00'),
    };
    const found = collecting(TERMS, [fee, need('2026-10-30', '100.00')], ZERO, MONDAY);
    expect([found.amount, found.wanted]).toEqual([dollars('180.00'), '2026-10-27']);
    expect(collecting(TERMS, [fee], ZERO, MONDAY)).toMatchObject({ wanted: null, settles: '2026-10-13' });
  });
  it('says when it is more than was authorized, or not authorized yet', () => {
    const found = collecting(
      { ...TERMS, authorizedOn: date('2026-12-01') },
      [need('2026-10-16', '50000.01')],
      ZERO,
      MONDAY,
    );
    expect(found.issues.map(({ code }) => code)).toEqual(['funding.over-limit', 'funding.not-yet-authorized']);
    expect(collecting({ ...TERMS, most: null }, [need('2026-10-16', '50000.01')], ZERO, MONDAY).issues).toEqual([]);
  });
});

describe('what may be paid out', () => {
  it('is the balance without what could still come back, and never below nothing', () => {
    const held = { balance: dollars('900.00'), held: [{ amount: dollars('600.00'), usable: date('2026-10-15') }] };
    expect(usableOn(held, date('2026-10-14'))).toBe(dollars('300.00'));
    expect(usableOn(held, date('2026-10-15'))).toBe(dollars('900.00'));
    expect(usableOn({ ...held, balance: dollars('100.00') }, date('2026-10-14'))).toBe(0);
    expect(usableFrom(date('2026-10-09'), 0)).toBe('2026-10-09');
  });
});

describe('a debit that came back', () => {
  const first = date('2026-01-05');
  it.each([
    ['R01', 0, '2026-02-01', null],
    ['R09', 1, '2026-02-01', null],
    ['R01', 2, '2026-02-01', 'twice'],
    ['R01', 0, '2026-07-05', '180 days'],
    ['R02', 0, '2026-02-01', 'R02'],
    ['R29', 0, '2026-02-01', 'R29'],
    ['R99', 0, '2026-02-01', 'not known'],
  ])('with %s after %d retries on %s', (code, retries, today, why) => {
    const refusal = retryRefusal(code, retries, first, date(today));
    if (why === null) expect(refusal).toBeNull();
    else expect(refusal?.says).toContain(why);
  });
  it('180 days are counted from the first settlement', () =>
    expect(retryRefusal('R01', 0, first, date('2026-07-04'))).toBeNull());
  it('only what was short of money may be retried', () =>
    expect(Object.keys(DEBIT_RETURNS).filter((code) => DEBIT_RETURNS[code]?.mayRetry)).toEqual(['R01', 'R09']));
});

describe('the debit as the bank gets it', () => {
  const file = {
    bankRouting: '122099998',
    bankName: 'A Bank',
    originName: 'A Firm',
    companyId: '1123456789',
    companyName: 'A Firm',
    created: date('2026-10-08'),
    settles: date('2026-10-13'),
    fileIdModifier: 'A',
    entryClass: 'CCD',
    routing: '031001239',
    account: '00774410',
    amount: dollars('13000.00'),
    reference: 'ZC0123456789AB',
    name: 'A Client',
  } as const;
  const records = (kind: 'debit' | 'retry' | 'prenote'): string[] =>
    writeCollection({ ...file, kind }).content.split('\r\n');
  it('is a batch of debits alone, with its total on the debit side', () => {
    const [header, batch, entry, control, end] = records('debit');
    expect(header?.length).toBe(94);
    expect([batch?.slice(1, 4), batch?.slice(50, 53), batch?.slice(53, 63)]).toEqual(['225', 'CCD', 'PAYROLL   ']);
    expect([entry?.slice(1, 3), entry?.slice(29, 39)]).toEqual(['27', '0001300000']);
    expect([control?.slice(1, 4), control?.slice(20, 32), control?.slice(32, 44)]).toEqual([
      '225',
      '000001300000',
      '000000000000',
    ]);
    expect([end?.slice(31, 43), end?.slice(43, 55)]).toEqual(['000001300000', '000000000000']);
  });
  it('a prenote has no amount, a retry says that it is one', () => {
    expect(records('prenote')[2]?.slice(1, 39)).toContain('28');
    expect(records('prenote')[2]?.slice(29, 39)).toBe('0000000000');
    expect(records('retry')[1]?.slice(53, 63)).toBe('RETRY PYMT');
  });
});

describe('the kinds of entries', () => {
  it('fees move as much to the firm as from the client', () => {
    expect(TRUST_KINDS['fee-taken'].sign + TRUST_KINDS['fee-earned'].sign).toBe(0);
    expect(TRUST_KINDS['fee-given-back'].sign + TRUST_KINDS['fee-returned'].sign).toBe(0);
  });
  it('an advance moves as much from the firm as to the client, and nothing at the bank', () => {
    for (const [given, received] of [
      ['advance-given', 'advance-received'],
      ['advance-repaid', 'advance-recovered'],
    ] as const) {
      expect(TRUST_KINDS[given].sign + TRUST_KINDS[received].sign).toBe(0);
      expect([TRUST_KINDS[given].isAtBank, TRUST_KINDS[received].isAtBank]).toEqual([false, false]);
      expect(TRUST_KINDS[given].of).not.toBe(TRUST_KINDS[received].of);
    }
  });
});

const entry = (id: string, day: string, amount: number, reference = ''): BookEntry => ({
  id,
  day: date(day),
  amount: cents(amount),
  reference,
});
const line = (id: string, day: string, amount: number, says = ''): BankLine => ({
  id,
  day: date(day),
  amount: cents(amount),
  says,
});

describe('matching by itself', () => {
  it('goes by our reference first, then by an amount that is the only one near', () => {
    const entries = [
      entry('a', '2026-10-13', 5000, 'ZC1'),
      entry('b', '2026-10-13', 5000, 'ZC2'),
      entry('c', '2026-10-14', -700),
    ];
    const lines = [
      line('x', '2026-10-13', 5000, 'ACH ZC2 PAYROLL'),
      line('y', '2026-10-15', -700, 'WIRE'),
      line('z', '2026-10-13', 5000, 'ACH ZC1 PAYROLL'),
    ];
    expect(plainMatches(entries, lines)).toEqual([
      { entryId: 'b', lineId: 'x' },
      { entryId: 'a', lineId: 'z' },
      { entryId: 'c', lineId: 'y' },
    ]);
  });
  it('takes several entries of one reference for their sum', () =>
    expect(
      plainMatches(
        [entry('a', '2026-10-13', 40, 'ZP1'), entry('b', '2026-10-13', 60, 'ZP1')],
        [line('x', '2026-10-14', 100, 'ZP1')],
      ),
    ).toEqual([
      { entryId: 'a', lineId: 'x' },
      { entryId: 'b', lineId: 'x' },
    ]));
  it('leaves what is not plain: two of an amount, another amount, another direction, too far apart', () => {
    expect(
      plainMatches([entry('a', '2026-10-13', 40), entry('b', '2026-10-14', 40)], [line('x', '2026-10-13', 40)]),
    ).toEqual([]);
    expect(
      plainMatches([entry('a', '2026-10-13', 40)], [line('x', '2026-10-13', 40), line('y', '2026-10-14', 40)]),
    ).toEqual([]);
    expect(plainMatches([entry('a', '2026-10-13', 40, 'ZC1')], [line('x', '2026-10-13', 41, 'ZC1')])).toEqual([]);
    expect(plainMatches([entry('a', '2026-10-13', 40, 'ZC1')], [line('x', '2026-10-13', -40, 'ZC1')])).toEqual([]);
    expect(plainMatches([entry('a', '2026-10-01', 40)], [line('x', '2026-10-13', 40)])).toEqual([]);
  });
});

describe('the account three ways', () => {
  const entries = [
    entry('in', '2026-10-13', 100_000),
    entry('out', '2026-10-14', -30_000),
    entry('later', '2026-10-16', -20_000),
  ];
  const lines = [
    line('l1', '2026-10-13', 100_000),
    line('l2', '2026-10-15', -30_000),
    line('l3', '2026-10-14', -1_500),
  ];
  const matches = [
    { entryId: 'in', lineId: 'l1' },
    { entryId: 'out', lineId: 'l2' },
  ];
  it('what is paid and not cleared is outstanding, what nobody explained is named, and neither is a difference', () => {
    const found = reconcile(date('2026-10-14'), cents(98_500), entries, lines, matches, {
      clients: cents(70_000),
      firm: ZERO,
    });
    expect(found.outstanding.map(({ id }) => id)).toEqual(['out']);
    expect(found.unexplained.map(({ id }) => id)).toEqual(['l3']);
    expect([found.adjusted, found.book, found.difference, found.isReconciled]).toEqual([70_000, 70_000, 0, false]);
  });
  it('once it is explained the account reconciles', () => {
    const all = [...entries, entry('fee', '2026-10-14', -1_500)];
    const found = reconcile(
      date('2026-10-15'),
      cents(68_500),
      all,
      lines,
      [...matches, { entryId: 'fee', lineId: 'l3' }],
      {
        clients: cents(70_000),
        firm: cents(-1_500),
      },
    );
    expect([found.outstanding, found.unexplained, found.difference, found.isReconciled]).toEqual([[], [], 0, true]);
  });
  it('a cent more at the bank than in the books is a difference', () => {
    const found = reconcile(date('2026-10-13'), cents(100_001), entries, lines, matches, {
      clients: cents(100_000),
      firm: ZERO,
    });
    expect([found.difference, found.isReconciled]).toEqual([1, false]);
  });
});
