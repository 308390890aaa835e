import { describe, expect, it } from '@jest/globals';
import { runLine } from '../run-line.js';
import { frequencyOf } from './frequency.js';
import { date } from '../../calendar/local-date.js';
import { add, dollars, sum, toDollars } from '../../money/cents.js';
import type { YearAnswer } from './run-year.js';
import type { DayAnswer, DueAnswer } from './small-questions.js';

type Given = Record<string, unknown>;
const PERSON = {
  id: 'p1',
  name: { first: 'Wil', last: 'Sprague' },
  federal: { form: '2020', filingStatus: 'single' },
  residence: { state: 'TX' },
  work: [{ state: 'TX' }],
};
const check = (checkDate: string, periodStart: string, periodEnd: string, amount: string, more: Given = {}): Given => ({
  person: 'p1',
  checkDate,
  periodStart,
  periodEnd,
  earnings: [{ item: 'salary', amount }],
  ...more,
});
const year = (paychecks: Given[], more: Given = {}): Given => ({
  id: 'y',
  kind: 'year',
  year: 2025,
  employer: { states: { TX: { unemploymentRate: '2.7' } }, lookback: { 'us-941': '21500.00' } },
  people: [PERSON],
  paychecks,
  ...more,
});
const run = (given: Given): YearAnswer => runLine(JSON.stringify(given)) as YearAnswer;
const linesOf = (answer: YearAnswer, kind: string, period: string): Readonly<Record<string, string>> =>
  answer.returns?.find((one) => one.kind === kind && one.period === period)?.lines ?? {};
const problems = (answer: YearAnswer): string[] => answer.problems.map((one) => `${one.code} ${one.field}`);

const JANUARY = check('2025-01-31', '2025-01-01', '2025-01-31', '6000.00');
const MARCH = check('2025-03-31', '2025-03-01', '2025-03-31', '6000.00');

// Rates of IRC §§ 3101, 3111 and 3301 on the wages, by hand; due dates of Publication 15, section 11.
describe('a year case', () => {
  const answer = run(year([JANUARY, MARCH]));
  it('computes Form 941 of the quarter: line 5a and 5c are 12.4% and 2.9% of 12,000.00, and 1 counts the 12th', () => {
    expect(linesOf(answer, 'us-941', '2025-Q1')).toMatchObject({
      '1': '1',
      '2': '12000.00',
      '5a.1': '12000.00',
      '5a.2': '1488.00',
      '5c.2': '348.00',
      '5e': '1836.00',
    });
    expect(answer.returns?.map((one) => `${one.kind} ${one.period} ${one.due}`)).toEqual([
      'us-941 2025-Q1 2025-04-30',
      'us-940 2025 2026-02-02',
      'tx-c-3 2025-Q1 2025-04-30',
    ]);
  });
  it('stops federal unemployment tax at 7,000.00, 0.6% of it', () =>
    expect(linesOf(answer, 'us-940', '2025')).toMatchObject({
      '3': '12000.00',
      '5': '5000.00',
      '7': '7000.00',
      '8': '42.00',
    }));
  it('has every liability with its group, due date, class and rule', () => {
    const federal = answer.liabilities?.filter(({ group }) => group === 'us-941') ?? [];
    expect(federal.map(({ accrued, due, class: found }) => [accrued, due, found])).toEqual([
      ['2025-01-31', '2025-02-18', 'monthly'],
      ['2025-03-31', '2025-04-15', 'monthly'],
    ]);
    const unemployment = answer.liabilities?.filter(({ group }) => group === 'tx-sui') ?? [];
    expect(unemployment.map(({ amount, due }) => [amount, due])).toEqual([
      ['162.00', '2025-04-30'],
      ['81.00', '2025-04-30'],
    ]);
  });
  it('has the wage statement, and it agrees with the returns', () => {
    expect(
      answer.wageStatements?.map(({ person, boxes }) => [person, boxes['1'], boxes['3'], boxes['4'], boxes['6']]),
    ).toEqual([['p1', '12000.00', '12000.00', '744.00', '174.00']]);
    expect(answer.wageStatements?.[0]?.boxes['2']).toBe(linesOf(answer, 'us-941', '2025-Q1')['3']);
  });
  it('answers only what is asked', () =>
    expect(Object.keys(run(year([JANUARY], { ask: ['liabilities'] })))).toEqual(['id', 'liabilities', 'problems']));
});

describe('payments of a year case', () => {
  const total = (answer: YearAnswer): string => linesOf(answer, 'us-941', '2025-Q1')['12'] ?? '';
  const owed = total(run(year([JANUARY])));
  const paid = (day: string, amount: string) =>
    run(year([JANUARY], { payments: [{ group: 'us-941', date: day, amount }] }));
  it('stand in line 13, and what was deposited in full and in time gives ten days more', () => {
    const answer = paid('2025-02-18', owed);
    expect(linesOf(answer, 'us-941', '2025-Q1')).toMatchObject({ '13': owed, '14': '0.00' });
    expect(answer.returns?.[0]?.laterDue).toBe('2025-05-12');
    expect(paid('2025-02-19', owed).returns?.[0]?.laterDue).toBeUndefined();
  });
  it('more than is owed is an overpayment', () =>
    expect(
      linesOf(paid('2025-02-18', toDollars(add(dollars(owed), dollars('10.00')))), 'us-941', '2025-Q1'),
    ).toMatchObject({
      '14': '0.00',
      '15': '10.00',
    }));
  it('of something that nothing is owed to are a problem', () =>
    expect(
      problems(run(year([JANUARY], { payments: [{ group: 'ny-sit', date: '2025-02-18', amount: '1.00' }] }))),
    ).toEqual(['year.payment-for-nothing payments[0].group']));
});

describe('checks that were voided', () => {
  it('leave the year as if they had never been paid, and the base goes on from where it was', () => {
    const without = run(year([MARCH]));
    const voided = run(year([{ ...JANUARY, void: '2025-02-10' }, MARCH]));
    expect(voided.returns).toEqual(without.returns);
    expect(voided.wageStatements).toEqual(without.wageStatements);
    expect(linesOf(voided, 'us-940', '2025')).toMatchObject({ '3': '6000.00', '7': '6000.00' });
  });
  it('until then count towards the base', () =>
    // Voided only after March: of its 6,000.00 only 1,000.00 were under the base when it was paid.
    expect(linesOf(run(year([{ ...JANUARY, void: '2025-04-10' }, MARCH])), 'us-940', '2025')['7']).toBe('1000.00'));
  it('a day that is still to come voids nothing', () =>
    expect(
      linesOf(run(year([{ ...JANUARY, void: '2026-04-10' }], { asOf: '2026-01-31' })), 'us-941', '2025-Q1')['2'],
    ).toBe('6000.00'));
});

describe('schedules of a year case', () => {
  it('Schedule B has the liability by day and is line 12', () => {
    const answer = run(
      year([JANUARY, MARCH], {
        employer: { states: { TX: { unemploymentRate: '2.7' } }, lookback: { 'us-941': '60000.00' } },
      }),
    );
    const quarter = answer.returns?.[0];
    const days = quarter?.schedules['B'] as Record<string, string>;
    expect(Object.keys(days)).toEqual(['2025-01-31', '2025-03-31']);
    expect(toDollars(sum(Object.values(days).map(dollars)))).toBe(quarter?.lines['12']);
  });
  // Schedule A (Form 940) for 2025: California 0.012 (recalled).
  it('Schedule A has the credit reduction of a state', () => {
    const california = { ...PERSON, residence: { state: 'CA' }, work: [{ state: 'CA' }] };
    const answer = run(
      year([JANUARY], {
        people: [california],
        employer: {
          states: { CA: { unemploymentRate: '3.4' } },
          lookback: { 'us-941': '0.00' },
          frequency: { 'CA-EDD': 'monthly' },
          rates: { 'CA-ETT': '0.1' },
        },
      }),
    );
    const form = answer.returns?.find(({ kind }) => kind === 'us-940');
    expect([form?.lines['8'], form?.lines['11'], form?.lines['12']]).toEqual(['36.00', '72.00', '108.00']);
    expect(form?.schedules['A']).toEqual([{ state: 'CA', wages: '6000.00', rate: '0.012', reduction: '72.00' }]);
  });
});

describe('what is wrong in a year case', () => {
  it.each<[string, Given, string]>([
    ['a misspelt field', year([JANUARY], { paycheck: [] }), 'input.unknown-field paycheck'],
    ['somebody who is not there', year([{ ...JANUARY, person: 'p9' }]), 'input.not-one-of paychecks[0].person'],
    [
      'a check of another year',
      year([check('2026-01-30', '2026-01-01', '2026-01-31', '1.00')]),
      'input.not-an-iso-date paychecks[0].checkDate',
    ],
    ['a question that nobody answers', year([JANUARY], { ask: ['letters'] }), 'input.not-one-of ask'],
    [
      'a form that nobody knows',
      year([JANUARY], { employer: { forms: ['us-999'] } }),
      'input.not-one-of employer.forms[0]',
    ],
    [
      'a period that is none of the usual',
      year([check('2025-01-31', '2025-01-01', '2025-01-20', '1.00')]),
      'input.missing paychecks[0].payFrequency',
    ],
    [
      'an amount that no return asks for',
      year([JANUARY], { entered: { 'us-941': { '2025-Q1': { tips: '1.00' } } } }),
      'input.unknown-field entered.us-941.2025-Q1.tips',
    ],
    [
      'a line of a check',
      year([{ ...JANUARY, earnings: [{ item: 'wages', amount: '1.00' }] }]),
      'item.unknown paychecks[0].earnings[0].item',
    ],
  ])('%s is named', (_, given, expected) => expect(problems(run(given))).toContain(expected));
  it('without the lookback there is no due date but a question', () => {
    const answer = run(year([JANUARY], { employer: { states: { TX: { unemploymentRate: '2.7' } } } }));
    expect(problems(answer)).toEqual(['deposit.no-class employer.frequency.US-941']);
    expect(answer.liabilities?.find(({ group }) => group === 'us-941')?.due).toBeNull();
  });
});

describe('smaller questions', () => {
  const ask = (given: Given): unknown => runLine(JSON.stringify(given));
  // Publication 15, section 11: February 15, 2026, is a Sunday, and the Monday Washington's Birthday.
  it('a due date', () => {
    const accrued = [{ date: '2026-01-09', amount: '2274.37' }];
    const answer = ask({ id: 'd', kind: 'due', group: 'us-941', class: 'monthly', accrued }) as DueAnswer;
    expect(answer.due.map(({ accrued: day, due }) => [day, due])).toEqual([['2026-01-09', '2026-02-17']]);
    const unknown = ask({ kind: 'due', group: 'us-941', accrued }) as DueAnswer;
    expect([unknown.due[0]?.due, unknown.problems[0]?.field]).toEqual([null, 'class']);
    expect((ask({ kind: 'due', group: 'us-941', class: 'daily', accrued }) as DueAnswer).problems[0]?.field).toBe(
      'class',
    );
  });
  it.each([
    ['US', '2026-12-24', true, null],
    ['US', '2026-12-25', false, 'Christmas Day'],
    ['US', '2026-04-16', false, 'District of Columbia Emancipation Day'],
    ['FRB', '2026-04-16', true, null],
    // Election Day is a public holiday in New York (General Construction Law § 24, recalled).
    ['NY', '2026-11-03', false, 'Election Day'],
    ['NJ', '2026-04-03', false, 'Good Friday'],
    ['US', '2026-04-03', true, null],
  ])('%s %s: business day %s, %s', (calendar, day, isBusinessDay, holiday) => {
    const answer = ask({ kind: 'day', calendar, date: day }) as DayAnswer;
    expect([answer.isBusinessDay, answer.holiday]).toEqual([isBusinessDay, holiday]);
  });
  it('a calendar that is none is named', () =>
    expect((ask({ kind: 'day', calendar: 'XX', date: '2026-01-01' }) as DayAnswer).problems[0]?.field).toBe(
      'calendar',
    ));
});

describe('the pay frequency of a period', () => {
  it.each([
    ['2026-01-05', '2026-01-11', 'weekly'],
    ['2025-12-21', '2026-01-03', 'biweekly'],
    ['2026-01-01', '2026-01-15', 'semimonthly'],
    ['2026-02-16', '2026-02-28', 'semimonthly'],
    ['2026-02-01', '2026-02-28', 'monthly'],
    ['2026-01-16', '2026-02-15', 'monthly'],
    ['2026-01-01', '2026-01-20', null],
  ])('%s to %s is %s', (start, end, frequency) => expect(frequencyOf(date(start), date(end))).toBe(frequency));
});
