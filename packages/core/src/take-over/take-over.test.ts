import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { date } from '../calendar/local-date.js';
import { cents, dollars, sum, type Cents } from '../money/cents.js';
import { sentence } from '../issues/issue.js';
import { balanceColumns, proposeBalanceMapping, type BalanceItem } from './columns.js';
import { takeOverDifferences } from './differences.js';
import { broughtInPayrolls, broughtInPostings, reversed } from './paychecks.js';
import { readBalances, readQuarter, type Balance, type BalanceSurroundings } from './read-balances.js';
import { askedFigures, broughtInPayments, liabilitiesOf, type ReportedFigure } from './reported.js';

const ITEMS: readonly BalanceItem[] = [
  { code: '401k', label: '401(k) deferral', item: '401k' },
  { code: 'SKIFF', label: 'Skiff loan', item: 'loan' },
];
const PEOPLE = [
  { id: 'p1', number: '1', name: 'Aldous Pennywhistle' },
  { id: 'p2', number: '2', name: 'Bettina Crowe' },
];
const around: BalanceSurroundings = {
  year: 2026,
  today: date('2026-10-22'),
  people: PEOPLE,
  bySsn: (ssn) => (ssn === '900000001' ? null : ssn.endsWith('2') ? (PEOPLE[1] ?? null) : (PEOPLE[0] ?? null)),
  items: ITEMS,
};
const MAPPING = [
  'number',
  'quarter',
  'day',
  'gross',
  'net',
  'wages:US-FIT',
  'amount:US-FIT',
  'wages:US-OASDI-EE',
  'amount:US-OASDI-EE',
  'wages:US-HI-EE',
  'amount:US-HI-EE',
  'deduction:401k',
];
/** 13,000.00 a quarter, 500.00 deferred: OASDI 806.00 and HI 188.50 of 13,000.00 by hand. */
const SOUND = ['1', 'Q1', '', '13,000.00', '10505.50', '12500', '1000', '13000', '806.00', '13000', '188.50', '500'];
const read = (...rows: string[][]) => readBalances({ table: [MAPPING, ...rows], mapping: MAPPING }, around);
const changed = (changes: Readonly<Record<number, string>>): string[] =>
  SOUND.map((cell, index) => changes[index] ?? cell);
const balancesOf = (...rows: string[][]): Balance[] =>
  read(...rows).rows.map((row) => {
    if (!row.balance) throw new Error(row.issues.map(sentence).join(' '));
    return row.balance;
  });

describe('columns', () => {
  it('are known by the form’s own headings, without exception', () => {
    const scope = {
      taxes: ['US-FIT', 'US-OASDI-EE', 'US-OASDI-ER', 'US-FUTA', 'NY-SIT', 'NY-SUI'],
      items: ITEMS,
    } as const;
    const columns = balanceColumns(scope);
    expect(
      proposeBalanceMapping(
        columns.map((column) => column.label),
        scope,
      ),
    ).toEqual(columns.map((column) => column.name));
  });
  it('are known by what reports usually call them', () => {
    const scope = { taxes: ['US-FIT', 'US-OASDI-EE', 'US-HI-EE'], items: [] } as const;
    expect(proposeBalanceMapping(['Emp No', 'Qtr', 'Fed WH', 'SS Wages', 'Medicare', 'Mood', 'Fed WH'], scope)).toEqual(
      ['number', 'quarter', 'amount:US-FIT', 'wages:US-OASDI-EE', 'amount:US-HI-EE', '', ''],
    );
  });
});

describe('a row of balances', () => {
  it('is dated on the last day of its quarter, the employer’s halves made where no column has them', () => {
    const [balance] = balancesOf(SOUND);
    expect(balance).toMatchObject({
      day: '2026-03-31',
      from: '2026-01-01',
      isWholeQuarter: true,
      gross: dollars('13000'),
    });
    expect(balance?.taxes.map((line) => [line.tax, line.wages, line.amount])).toEqual([
      ['US-FIT', 1_250_000, 100_000],
      ['US-OASDI-EE', 1_300_000, 80_600],
      ['US-HI-EE', 1_300_000, 18_850],
      ['US-OASDI-ER', 1_300_000, 80_600],
      ['US-HI-ER', 1_300_000, 18_850],
    ]);
  });
  it('is dated on its check date where it has one', () => {
    const [balance] = balancesOf(changed({ 1: '', 2: '10/09/2026' }));
    expect(balance).toMatchObject({ day: '2026-10-09', from: '2026-10-09', isWholeQuarter: false });
  });
  it.each([
    ['nobody has the number', { 0: '77' }, 'brought-in.nobody', 'number'],
    ['the number is blank', { 0: '' }, 'input.missing', 'number'],
    ['the quarter is no quarter', { 1: 'Q5' }, 'brought-in.quarter', 'quarter'],
    ['the quarter is of another year', { 1: '2025 Q1' }, 'brought-in.quarter', 'quarter'],
    ['the quarter is not over', { 1: 'Q4' }, 'brought-in.quarter-open', 'quarter'],
    ['neither quarter nor day is given', { 1: '' }, 'input.missing', 'quarter'],
    ['the day is of another year', { 1: '', 2: '2025-12-31' }, 'brought-in.other-year', 'day'],
    ['the day is to come', { 1: '', 2: '2026-12-31' }, 'brought-in.future', 'day'],
    ['the day is no day', { 1: '', 2: '2026-02-30' }, 'input.not-a-date', 'day'],
    ['gross pay is text', { 3: 'much' }, 'input.not-an-amount', 'gross'],
    ['gross pay is blank', { 3: '' }, 'input.missing', 'gross'],
    ['an amount is below zero', { 6: '-1.00' }, 'input.negative', 'amount:US-FIT'],
    ['net pay is a cent off', { 4: '10505.49' }, 'brought-in.net', 'net'],
    ['a tax has no wages', { 5: '' }, 'brought-in.no-wages', 'wages:US-FIT'],
    ['a cell is a formula’s error', { 8: '#REF!' }, 'file.formula', 'amount:US-OASDI-EE'],
  ])('is refused where %s', (_, changes, code, field) => {
    const [row] = read(changed(changes)).rows;
    expect(row?.balance).toBeNull();
    expect(row?.issues.map((issue) => [issue.code, issue.field])).toContainEqual([code, field]);
  });
  it('is passed over where it has no amount: the person was not paid', () => {
    const blank = SOUND.map((cell, index) => (index < 3 ? cell : ''));
    expect(read(blank, changed({ 1: 'Q2' })).rows.map((row) => row.row)).toEqual([3]);
    expect(read(blank).issues.map((issue) => issue.code)).toEqual(['file.no-rows']);
  });
  it('is refused where the person stands twice for one quarter, both rows', () => {
    const { rows } = read(SOUND, changed({ 1: '', 2: '2026-02-06' }), changed({ 1: 'Q2' }));
    expect(rows.map((row) => row.issues.map((issue) => issue.code))).toEqual([
      ['brought-in.twice'],
      ['brought-in.twice'],
      [],
    ]);
  });
  it('is refused where number and social security number are two people', () => {
    const mapping = [...MAPPING, 'ssn'];
    const { rows } = readBalances({ table: [mapping, [...SOUND, '219-09-9992']], mapping }, around);
    expect(rows[0]?.issues[0]?.code).toBe('brought-in.two-people');
  });
  it.each([
    ['Q1', 1],
    ['1', 1],
    ['3rd quarter', 3],
    ['2026 Q2', 2],
    ['Q4 2026', 4],
    ['2026-3', 3],
    ['', null],
    ['0', null],
    ['first', null],
  ])('reads the quarter %j', (text, quarter) => expect(readQuarter(text, 2026)).toBe(quarter));
  it('needs to know which column is what', () => {
    const { issues } = readBalances(
      {
        table: [
          ['a', 'b'],
          ['1', '2'],
        ],
        mapping: ['gross', 'gross'],
      },
      around,
    );
    expect(issues.map((issue) => issue.code)).toEqual([
      'file.column-unmapped',
      'file.column-unmapped',
      'file.column-unmapped',
      'file.column-twice',
    ]);
  });
});

const FILED: readonly ReportedFigure[] = [
  ['941.2', '12500.00'],
  ['941.3', '1000.00'],
  ['941.5a', '13000.00'],
  ['941.5c', '13000.00'],
  ['US-941.filed', '2989.00'],
  ['US-941.paid', '2989.00'],
].map(([code = '', amount = '']) => ({ quarter: 1 as const, code, amount: dollars(amount), day: date('2026-04-15') }));
const without = (code: string): ReportedFigure[] => FILED.filter((figure) => figure.code !== code);
const instead = (code: string, amount: string): ReportedFigure[] =>
  FILED.map((figure) => (figure.code === code ? { ...figure, amount: dollars(amount) } : figure));
const codesOf = (balances: readonly Balance[], reported: readonly ReportedFigure[]) =>
  takeOverDifferences(balances, reported).map(({ issue, amount }) => [issue.code, issue.severity, amount]);

describe('tying out', () => {
  it('finds nothing where rows, return and deposits agree to the cent', () =>
    expect(codesOf(balancesOf(SOUND), FILED)).toEqual([]));
  it('asks for every line and family of the quarter', () =>
    expect(askedFigures(balancesOf(SOUND)).map((figure) => [figure.code, figure.balances])).toEqual([
      ['941.2', 1_250_000],
      ['941.3', 100_000],
      ['941.5a', 1_300_000],
      ['941.5c', 1_300_000],
      // 1,000.00 + 2 × 806.00 + 2 × 188.50
      ['US-941.filed', 298_900],
      ['US-941.paid', 298_900],
    ]));
  it('misses a line of a return that is entered otherwise, and the day of a deposit', () => {
    expect(codesOf(balancesOf(SOUND), without('941.3'))).toEqual([['brought-in.line-missing', 'error', 100_000]]);
    const undated = FILED.map((figure) => ({ ...figure, day: null }));
    expect(codesOf(balancesOf(SOUND), undated)).toEqual([['brought-in.day-assumed', 'warning', 298_900]]);
  });
  it('does not stay silent about a year whose rules are not loaded', () => {
    const [balance] = balancesOf(SOUND);
    if (!balance) throw new Error('no balance');
    const early = { ...balance, from: date('2019-01-01'), day: date('2019-03-31') };
    expect(codesOf([early], FILED)).toEqual([['rule.none-in-force', 'error', 0]]);
  });
  it('says a difference of one cent with a return', () =>
    expect(codesOf(balancesOf(SOUND), instead('941.5a', '13000.01'))).toEqual([['brought-in.filed', 'error', 1]]));
  it('says what is still owed, and what was paid too much', () => {
    expect(codesOf(balancesOf(SOUND), instead('US-941.paid', '2000.00'))).toEqual([
      ['brought-in.still-owed', 'warning', -98_900],
    ]);
    expect(codesOf(balancesOf(SOUND), without('US-941.paid'))).toEqual([['brought-in.not-paid', 'warning', 298_900]]);
    expect(codesOf(balancesOf(SOUND), instead('US-941.paid', '3000.00'))).toEqual([
      ['brought-in.over-paid', 'error', 1_100],
    ]);
  });
  it('needs check dates for a quarter whose return is still to be filed', () => {
    expect(codesOf(balancesOf(SOUND), without('US-941.filed'))).toEqual([['brought-in.needs-days', 'error', 0]]);
    const byDay = balancesOf(changed({ 1: '', 2: '2026-03-06' }));
    expect(codesOf(byDay, without('US-941.filed'))).toEqual([['brought-in.ours-to-file', 'warning', 0]]);
  });
  it('allows the cents that checks round and no more: 7 cents a quarter', () => {
    expect(codesOf(balancesOf(changed({ 8: '806.07', 4: '10505.43' })), []).map(([code]) => code)).not.toContain(
      'brought-in.rate',
    );
    const rates = takeOverDifferences(balancesOf(changed({ 8: '806.08', 4: '10505.42' })), []).filter(
      ({ issue }) => issue.code === 'brought-in.rate',
    );
    expect(rates.map(({ amount }) => amount)).toEqual([8, 8]);
  });
  it('stops at the OASDI base of 184,500 for 2026 (recalled)', () => {
    const above = changed({
      3: '184501',
      4: '170386.69',
      5: '0',
      6: '0',
      7: '184501',
      8: '11439.06',
      9: '184501',
      10: '2675.25',
      11: '0',
    });
    expect(codesOf(balancesOf(above), []).filter(([code]) => code === 'brought-in.over-base')).toEqual([
      ['brought-in.over-base', 'error', 100],
    ]);
  });
  it('expects additional Medicare wages above 200,000 of the year', () => {
    const above = changed({
      3: '200001',
      4: '185661',
      5: '0',
      6: '0',
      7: '184500',
      8: '11439',
      9: '200001',
      10: '2901',
      11: '0',
    });
    expect(codesOf(balancesOf(above), []).filter(([code]) => code === 'brought-in.additional')).toEqual([
      ['brought-in.additional', 'error', -100],
    ]);
  });
  it('names a difference by its amount: another amount is another difference', () => {
    const keys = ['941.5a', '941.5a'].map((code, index) =>
      takeOverDifferences(balancesOf(SOUND), instead(code, `1300${index}.00`)),
    );
    expect(keys[1]?.[0]?.key).not.toBe(keys[0]?.[0]?.key);
  });
});

describe('what is brought in', () => {
  it('is a payroll a day, the employer’s taxes on the total', () => {
    const payrolls = broughtInPayrolls(balancesOf(changed({ 1: 'Q2' }), SOUND, changed({ 0: '2' })));
    expect(payrolls.map((payroll) => [payroll.from, payroll.day, payroll.balances.length])).toEqual([
      ['2026-01-01', '2026-03-31', 2],
      ['2026-04-01', '2026-06-30', 1],
    ]);
    const [first] = payrolls;
    const postings = first ? broughtInPostings(first) : [];
    expect(postings.filter((line) => line.employeeId === null).map((line) => [line.tax, line.amount])).toEqual([
      ['US-OASDI-ER', 161_200],
      ['US-HI-ER', 37_700],
    ]);
  });
  it('taken back is nothing', () => {
    const [balance] = balancesOf(SOUND);
    if (!balance) throw new Error('no balance');
    const both = [balance, reversed(balance)].flatMap((one) => one.taxes);
    expect(sum(both.map((line) => line.amount))).toBe(0);
    expect(sum(both.map((line) => line.wages))).toBe(0);
  });
  it('pays the oldest liabilities first, never more than is owed, no cent lost (property)', () => {
    const balances = balancesOf(changed({ 1: '', 2: '2026-01-09' }), changed({ 1: '', 2: '2026-02-06' }));
    const owed = sum(liabilitiesOf(balances).map((line) => line.amount));
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 1_000_000 }), (paid) => {
        const payments = broughtInPayments(balances, [
          { quarter: 1, code: 'US-941.paid', amount: cents(paid), day: date('2026-03-02') },
        ]);
        expect(sum(payments.map((line) => line.amount))).toBe(Math.min(paid, owed));
        for (const { tax, day, amount } of payments) {
          const liability = liabilitiesOf(balances).find((line) => line.tax === tax && line.day === day);
          expect(amount).toBeLessThanOrEqual(liability?.amount ?? (0 as Cents));
        }
        const touched = payments.map((line) => line.day);
        expect([...touched].sort()).toEqual(touched);
      }),
    );
  });
});
