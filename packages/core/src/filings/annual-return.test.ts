import { describe, expect, it } from '@jest/globals';
import { XMLParser } from 'fast-xml-parser';
import { date } from '../calendar/local-date.js';
import type { LedgerEntry } from '../ledger/entry.js';
import { dollars, toDollars } from '../money/cents.js';
import type { TaxCode } from '../tax-registry/registry.js';
import { EMPLOYER, filingFacts, filingInput, sendingOf } from '../testing/filings.js';
import type { FilingInput } from './kind.js';
import { kindOf } from './registry.js';
import { lineOf } from './return-lines.js';

const entry = (tax: TaxCode, wages: string, amount: string, more: Partial<LedgerEntry> = {}): LedgerEntry => ({
  employeeId: 'w',
  tax,
  cause: 'payroll',
  liabilityDate: date('2026-03-13'),
  effectiveDate: date('2026-03-13'),
  subject: dollars(wages),
  wages: dollars(wages),
  amount: dollars(amount),
  ...more,
});
/** 1,350.00 to each of three people, as in the tests of Form 941: the halves of HI differ by two cents from 2.9%. */
const entries = (): LedgerEntry[] => [
  ...['a', 'b', 'c'].flatMap((employeeId) => [
    entry('US-FIT', '1350.00', '80.00', { employeeId }),
    entry('US-OASDI-EE', '1350.00', '83.70', { employeeId }),
    entry('US-HI-EE', '1350.00', '19.58', { employeeId }),
  ]),
  entry('US-OASDI-ER', '4050.00', '251.10', { employeeId: null }),
  entry('US-HI-ER', '4050.00', '58.73', { employeeId: null }),
];
const linesOf = (code: string, more: Partial<FilingInput>, ...ids: string[]): string[] => {
  const kind = kindOf(code);
  const lines = kind.lines(kind.compute(filingInput('2026', more)));
  return ids.map((id) => toDollars(lineOf(lines, id)));
};

describe('Form 943 from the ledger', () => {
  it('adds up line by line (Form 943, recalled)', () =>
    expect(
      linesOf('us-943', { entries: entries(), headcount: 3 }, '2', '3', '4', '5', '8', '9', '10', '11', '13', '15'),
    ).toEqual(['4050.00', '502.20', '4050.00', '117.45', '240.00', '859.65', '0.02', '859.67', '859.67', '859.67']));
  it('shows the months from 2,500.00 on, or the days to who deposits semiweekly', () => {
    const big = [...entries(), entry('US-FIT', '0.00', '3000.00')];
    expect(linesOf('us-943', { entries: big }, '17c', '17d')).toEqual(['3859.67', '0.00']);
    const kind = kindOf('us-943');
    const semiweekly = kind.compute(
      filingInput('2026', { entries: big, depositor: { class: 'semiweekly', isReached: false } }),
    );
    expect(kind.tables(semiweekly)[0]?.rows).toEqual([['2026-03-13', 385_967]]);
    expect(toDollars(lineOf(kind.lines(semiweekly), '17c'))).toBe('0.00');
  });
});

it('Form 944 has wages first and tips apart (Form 944, recalled)', () =>
  expect(
    linesOf(
      'us-944',
      { entries: entries(), tracked: { oasdiTips: dollars('50.00') } },
      '1',
      '2',
      '4a.1',
      '4a.2',
      '4b.1',
      '4b.2',
      '4c.2',
      '4e',
      '5',
      '6',
      '9',
    ),
  ).toEqual([
    '4050.00',
    '240.00',
    '4000.00',
    '496.00',
    '50.00',
    '6.20',
    '117.45',
    '619.65',
    '859.65',
    '0.02',
    '859.67',
  ]));

describe('Form 945-X', () => {
  const kind = kindOf('us-945-x');
  const original = kindOf('us-945').compute(
    filingInput('2026', {
      entered: { pensions: dollars('900.00'), backup: dollars('240.00'), deposits: dollars('1140.00') },
    }),
  );
  const corrected = (today: string, answers: Record<string, string> = {}) =>
    kind.compute(
      filingInput('2026', {
        original,
        today: date(today),
        answers: { discovered: today, ...answers },
        entered: { pensions: dollars('1000.00'), backup: dollars('200.00'), deposits: dollars('1140.00') },
      }),
    );
  const rows = (content: unknown): unknown =>
    kind.tables(content)[0]?.rows.map(([line, , ...amounts]) => [line, ...amounts]);
  it('has two lines, each as it should be and as it was, and their total (Form 945-X, recalled)', () => {
    const content = corrected('2026-12-01');
    expect(rows(content)).toEqual([
      ['3', 100_000, 90_000, 10_000, 10_000],
      ['4', 20_000, 24_000, -4_000, -4_000],
    ]);
    expect(kind.lines(content).map(({ id, value }) => [id, value])).toEqual([['5', 6_000]]);
  });
  it('after the year corrects only what was said wrongly on the return', () => {
    expect(kind.lines(corrected('2027-03-01')).map(({ value }) => value)).toEqual([0]);
    expect(kind.lines(corrected('2027-03-01', { administrative: 'yes' })).map(({ value }) => value)).toEqual([6_000]);
  });
  it('asks for no certification about employees: there are none', () => {
    const codes = kind.check(corrected('2026-12-01'), filingFacts('2026', '2026-12-01')).map(({ code }) => code);
    expect(codes).not.toContain('check.no-certification');
    expect(kind.questions?.map(({ name }) => name)).not.toContain('certification');
  });
});

it('Form 945 is what was entered, and its months add up to it', () => {
  const kind = kindOf('us-945');
  const entered = { pensions: dollars('2000.00'), backup: dollars('600.00'), month2: dollars('2000.00') };
  const checked = (more: object): string[] =>
    kind
      .check(kind.compute(filingInput('2026', { entered: { ...entered, ...more } })), filingFacts('2026', '2027-01-10'))
      .map(({ code }) => code);
  expect(linesOf('us-945', { entered }, '1', '2', '3', '5', '7b')).toEqual([
    '2000.00',
    '600.00',
    '2600.00',
    '2600.00',
    '2000.00',
  ]);
  expect(checked({})).toEqual(['check.days-differ']);
  expect(checked({ month9: dollars('600.00') })).toEqual([]);
});

describe('who files which', () => {
  it.each(['941', '943', '944', '945'] as const)('a client of Form %s files that one', (form) => {
    const files = ['941', '943', '944', '945'].filter((one) => kindOf(`us-${one}`).files({ ...EMPLOYER, form }).is);
    expect(files).toEqual([form]);
  });
});

it('the XML says the months, and an independent reader finds them', () => {
  const kind = kindOf('us-943');
  const content = kind.compute(filingInput('2026', { entries: [...entries(), entry('US-FIT', '0.00', '3000.00')] }));
  const made = kind.makeFile(content, sendingOf(filingFacts('2026', '2027-01-10')));
  const read = new XMLParser({ parseTagValue: false }).parse(made.content) as {
    Return: { ReturnData: { IRS943: { TotalTaxAmt: string; MonthlyDepositorGrp: Record<string, string> } } };
  };
  expect(read.Return.ReturnData.IRS943).toMatchObject({
    TotalTaxAmt: '3859.67',
    MonthlyDepositorGrp: { TaxLiabilityMonth3Amt: '3859.67', TaxLiabilityMonth12Amt: '0.00' },
  });
});
