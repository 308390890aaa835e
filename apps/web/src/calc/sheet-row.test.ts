import { describe, expect, it } from '@jest/globals';
import type { Issue } from '@zakat/core/issues/issue';
import type { OwnRules } from '@zakat/core/jurisdictions/dated';
import { exportPack, ownRules, readRows } from '@zakat/core/rules/pack';
import type { Schemas } from '../api/client.js';
import { payrollPerson, startOf } from '../testing/payroll-people.js';
import { Calculator, type CalcRequest } from './calc.worker.js';
import { COMPUTED, alsoOf, entryOf, rowOf, typed, withholding } from './sheet-row.js';
import { unsent, type Sent } from './unsent.js';

const calculate = (request: CalcRequest) => new Calculator().answer(request);

const base = startOf(
  'NY',
  {
    payFrequency: 'biweekly',
    employer: { unemploymentRates: { NY: '4.1' } },
    settings: { supplementalMethod: 'flat' },
    yearToDate: { wages: {}, supplementalWages: '0.00' },
  },
  { certificates: { NY: { filingStatus: 'single', allowances: 1 } }, exemptFrom: [] },
);
const person = (
  earnings: Schemas['EntryEarning'][],
  deductions: Schemas['EntryDeduction'][] = [],
): Schemas['PayrollPerson'] => payrollPerson({ base, earnings, deductions });
const hourly = (hours: string) =>
  person([{ item: 'regular', hours, rate: '31.40' }], [{ item: '401k', amount: '50.00' }]);

describe('a line of the sheet', () => {
  it('gives back the entry it was made of', () => {
    const earnings = [
      { item: 'regular', hours: '80', rate: '31.40' },
      { item: 'overtime', hours: '5', rate: '31.40' },
      { item: 'salary', amount: '100.00' },
    ];
    expect(entryOf(rowOf(person(earnings)))).toMatchObject({ earnings, deductions: [], isPaid: true });
  });
  it('keeps what has no column: another rate, a commission, union dues', () => {
    const earnings = [
      { item: 'regular', hours: '40', rate: '31.40' },
      { item: 'regular', hours: '40', rate: '20.00' },
      { item: 'commission', amount: '75.00' },
    ];
    const entry = entryOf(rowOf(person(earnings, [{ item: 'union-dues', amount: '5.00' }])));
    expect(entry.earnings).toEqual(earnings);
    expect(entry.deductions).toEqual([{ item: 'union-dues', amount: '5.00' }]);
  });
  it('keeps what is booked to a job apart from the columns, and shows it as it could be typed', () => {
    const earnings = [
      { item: 'regular', hours: '60', rate: '31.40' },
      { item: 'regular', hours: '20', rate: '31.40', job: 'Pier 4' },
    ];
    const withJobs = { ...person(earnings), base: { ...base, jobs: { shares: [], names: ['Pier 4', 'Ferry house'] } } };
    const row = rowOf(withJobs);
    expect([entryOf(row).earnings, alsoOf(row)]).toEqual([earnings, '20 regular #pier-4']);
    const more = typed(row, 'line', 'bonus 100 #ferry-house').row;
    expect(entryOf(more).earnings.at(-1)).toEqual({ item: 'bonus', amount: '100', job: 'Ferry house' });
    expect(entryOf(typed(more, 'line', 'bonus 50').row).earnings.filter(({ item }) => item === 'bonus')).toEqual([
      { item: 'bonus', amount: '50' },
    ]);
    expect(typed(row, 'line', '8 #dry-dock').problem).toBe('#dry-dock is no job; there are #pier-4, #ferry-house');
    expect(typed(rowOf(person(earnings)), 'line', '8 #pier-4').problem).toMatch(/neither the client nor this person/);
  });
  it('takes what was withheld elsewhere as it is typed, and forgets it when it is blank', () => {
    const row = withholding(rowOf(hourly('80')), 'US-FIT', '$1,061.00');
    expect(entryOf(row).withheld).toEqual([{ tax: 'US-FIT', amount: '1061.00' }]);
    const request = { id: 1, people: [{ key: 'e', base, entry: entryOf(row), isPaid: true }] };
    const check = calculate(request).checks['e'];
    expect(check?.taxes.find((tax) => tax.code === 'US-FIT')?.amount).toBe(106_100);
    expect(check?.variances.map((variance) => [variance.code, variance.withheld])).toEqual([['US-FIT', 106_100]]);
    expect(entryOf(withholding(row, 'US-FIT', ' ')).withheld).toBeUndefined();
    expect(entryOf(withholding(row, 'US-FIT', '7')).withheld).toEqual([{ tax: 'US-FIT', amount: '7' }]);
  });
  it('splits the hours of days by the rules of the firm where it has its own', () => {
    const row = { ...rowOf({ ...hourly('80'), base: { ...base, checkDate: '2026-06-12' } }), state: 'CA' };
    const hours = (rules: OwnRules | null) =>
      entryOf(typed(row, 'line', '10/10/10/10', rules).row).earnings.map((line) => [line.item, line.hours]);
    expect(hours(null)).toEqual([
      ['regular', '32'],
      ['overtime-not-qualified', '8'],
    ]);
    const pack = exportPack('Ten hours', 'CA.overtime').rows.map((own) => ({
      ...own,
      value: { day: [{ hours: 10, item: 'overtime' }], seventhDay: [{ hours: 0, item: 'overtime' }] },
    }));
    const issues: Issue[] = [];
    const rules = ownRules(readRows(pack, 'rules', issues));
    expect(issues).toEqual([]);
    expect(hours(rules)).toEqual([['regular', '40']]);
  });
  it('a short line changes what it names and leaves the rest', () => {
    const { row, problem } = typed(rowOf(hourly('80')), 'line', '76 reg 5.5 ot bonus 200');
    expect(problem).toBeNull();
    expect(entryOf(row)).toMatchObject({
      earnings: [
        { item: 'regular', hours: '76', rate: '31.40' },
        { item: 'overtime', hours: '5.5', rate: '31.40' },
        { item: 'bonus', amount: '200' },
      ],
      deductions: [{ item: '401k', amount: '50.00' }],
    });
  });
  it('a line typed over another takes its place, a blank one takes it away', () => {
    const before = rowOf(hourly('80'));
    const first = typed(before, 'line', '45+40 reg comm 50').row;
    expect(entryOf(first).earnings).toEqual([
      { item: 'regular', hours: '80', rate: '31.40' },
      { item: 'overtime', hours: '5', rate: '31.40' },
      { item: 'commission', amount: '50' },
    ]);
    expect(entryOf(typed(first, 'line', '40 reg').row).earnings).toEqual([
      { item: 'regular', hours: '40', rate: '31.40' },
    ]);
    expect(entryOf(typed(first, 'line', ' ').row)).toEqual(entryOf(before));
  });
  it('what a cell was given stays when the line over it goes', () => {
    const line = typed(rowOf(hourly('80')), 'line', 'bonus 50').row;
    const cell = typed(line, 'overtime', '3').row;
    expect(entryOf(typed(cell, 'line', '').row).earnings).toEqual([
      { item: 'regular', hours: '80', rate: '31.40' },
      { item: 'overtime', hours: '3', rate: '31.40' },
    ]);
  });
  // 88 hours would have been paid as 8: the holiday had wiped the regular hours unseen.
  it.each([
    ['8 hol', 'holiday', /8 holiday added; 80 regular hours stay, 88 hours in all/],
    ['8 vac', 'vacation', /8 vacation added; 80 regular hours stay, 88 hours in all/],
  ])('%s adds to the regular hours, and says so', (line, item, said) => {
    const answer = typed(rowOf(hourly('80')), 'line', line);
    expect(entryOf(answer.row).earnings.map(({ item: code, hours }) => [code, hours])).toEqual([
      ['regular', '80'],
      [item, '8'],
    ]);
    expect(answer.said).toMatch(said);
    expect(typed(rowOf(hourly('80')), 'line', `72 reg ${line}`).said).toBeUndefined();
  });
  it('pays hours at another rate of the person, and what has no column, by a line or in the cell beside', () => {
    const row = rowOf({
      ...hourly('80'),
      base: {
        ...base,
        rates: [{ label: 'Night desk', rate: '35.00' }],
        items: [{ code: 'boots', label: 'Boots', like: 'nonaccountable-reimbursement' }],
      },
    });
    const first = typed(row, 'line', '72 reg 8 night-desk tips 60').row;
    expect(alsoOf(first)).toBe('8 night-desk, tips-reported 60');
    expect(entryOf(first).earnings).toEqual([
      { item: 'regular', hours: '72', rate: '31.40' },
      { item: 'regular', hours: '8', rate: '35.00' },
      { item: 'tips-reported', amount: '60' },
    ]);
    const { row: second, problem } = typed(first, 'also', '6 night-desk, boots 90, loan 25, bonus 10');
    expect([problem, alsoOf(second)]).toEqual([null, '6 night-desk, boots 90, loan 25']);
    expect(entryOf(second)).toMatchObject({
      earnings: [
        { item: 'regular', hours: '72', rate: '31.40' },
        { item: 'bonus', amount: '10' },
        { item: 'regular', hours: '6', rate: '35.00' },
        { item: 'boots', amount: '90' },
      ],
      deductions: [
        { item: '401k', amount: '50.00' },
        { item: 'loan', amount: '25' },
      ],
    });
    const check = calculate({ id: 1, people: [{ key: 'e', base: second.base, entry: entryOf(second), isPaid: true }] });
    // 72 × 31.40 + 10.00 + 6 × 35.00 + 90.00
    expect(check.checks['e']).toMatchObject({ gross: 257_080, problems: [] });
    expect(entryOf(typed(second, 'also', '').row)).toMatchObject({ deductions: [{ item: '401k' }] });
  });
  it('leaves standing lines with a limit or a percentage alone, whatever is typed beside them', () => {
    const standing = [{ item: '401k', percent: '5', perYear: '9000.00' }];
    const row = rowOf(person([{ item: 'salary', amount: '2000.00' }], standing));
    expect(alsoOf(row)).toBe('');
    expect(entryOf(typed(row, 'also', 'charity 5').row).deductions).toEqual([
      ...standing,
      { item: 'charity', amount: '5' },
    ]);
  });
  it('a line that cannot be read changes no figure, stays where it was typed, and goes with the entry', () => {
    const before = rowOf(hourly('80'));
    const { row } = typed(before, 'line', '8 holidays');
    const { unread, ...figures } = entryOf(row);
    expect(figures).toEqual(entryOf(before));
    expect([row.line, unread?.text, unread?.why]).toEqual([
      '8 holidays',
      '8 holidays',
      expect.stringMatching(/not known/),
    ]);
    // It comes back from the server as it was, and is gone once the line is right or cleared.
    const again = rowOf({ ...hourly('80'), unread: unread ?? { column: 'line', text: '', why: '' } });
    expect(again.line).toBe('8 holidays');
    expect(entryOf(typed(again, 'line', '8 hol').row).unread).toBeUndefined();
    expect(entryOf(typed(again, 'line', '').row).unread).toBeUndefined();
    const also = typed(before, 'also', 'boots 5').row;
    expect([alsoOf(also), entryOf(also).unread?.column]).toEqual(['boots 5', 'also']);
  });
  it('takes amounts as a spreadsheet gives them', () =>
    expect(typed(rowOf(hourly('80')), 'bonus', ' $1,250.00 ').row.values['bonus']).toBe('1250.00'));
});

describe('the worker', () => {
  const ask = (hours: string, figure?: string) =>
    calculate({
      id: 1,
      people: [{ key: 'e', base, entry: entryOf(rowOf(hourly(hours))), isPaid: true }],
      ...(figure ? { figure } : {}),
    });
  it('computes what the sheet shows', () => {
    const check = ask('80').checks['e'];
    expect(check?.gross).toBe(251_200);
    const shown = Object.fromEntries(COMPUTED.map((column) => [column.id, check ? column.amount(check) : 0]));
    expect(shown['gross']).toBe(
      (shown['fit'] ?? 0) +
        (shown['oasdi'] ?? 0) +
        (shown['hi'] ?? 0) +
        (shown['sit'] ?? 0) +
        (shown['other'] ?? 0) +
        (shown['net'] ?? 0) +
        5000,
    );
  });
  it('writes the working of the figure asked for', () =>
    expect(ask('80', 'US-OASDI-EE').working?.at(-1)).toMatchObject({ value: '155.74', isResult: true }));
  it('answers a slip of the finger with a problem, not a figure', () => {
    const check = ask('8o').checks['e'];
    expect([check?.gross, check?.problems[0]?.field]).toEqual([0, 'earnings[0].hours']);
  });
  it('an unpaid person has no check', () =>
    expect(
      calculate({ id: 1, people: [{ key: 'e', base, entry: { earnings: [], deductions: [] }, isPaid: false }] }).checks[
        'e'
      ],
    ).toMatchObject({ gross: 0, problems: [] }));
  it('is sent what a check starts from once, and the firm’s own rules once', () => {
    const worker = new Calculator();
    const sent: Sent = { bases: new Map() };
    const own = { rules: [], places: [] };
    const type = (hours: string, from = base) => {
      const entry = entryOf(rowOf(hourly(hours)));
      const request = unsent({ id: 1, people: [{ key: 'e', base: from, entry, isPaid: true }], own }, sent);
      const [person] = request.people;
      return {
        isBaseSent: person?.base !== undefined,
        areRulesSent: 'own' in request,
        check: worker.answer(request).checks['e'],
      };
    };
    expect(type('80')).toMatchObject({ isBaseSent: true, areRulesSent: true, check: { gross: 251_200 } });
    const second = type('40');
    expect(second).toMatchObject({ isBaseSent: false, areRulesSent: false, check: { gross: 125_600 } });
    expect(second.check).toEqual(ask('40').checks['e']);
    // Another year to date is another start, though the person is the same.
    const later = { ...base, yearToDate: { wages: { 'US-OASDI': '184500.00' }, supplementalWages: '0.00' } };
    const third = type('40', later);
    expect(third.isBaseSent).toBe(true);
    expect(third.check?.taxes.find((tax) => tax.code === 'US-OASDI-EE')?.amount).toBe(0);
  });
});
