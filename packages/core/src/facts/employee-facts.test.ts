import { describe, expect, it } from '@jest/globals';
import { EMPLOYEE_FACTS, type EmployeeFactKind } from './employee-facts.js';
import { newestFirst, type DatedFact } from './in-force.js';
import { personOnDay } from './on-day.js';

let next = 0;
const fact = (kind: EmployeeFactKind, from: string, value: Record<string, unknown>): DatedFact => ({
  id: String((next += 1)),
  kind,
  from,
  value,
});
const pay = (rate: string, from: string): DatedFact => fact('pay', from, { basis: 'hourly', rate, hours: '80' });

describe('effective dates', () => {
  const facts = newestFirst([pay('20.00', '2026-01-01'), pay('22.00', '2026-07-01'), pay('25.00', '2026-12-01')]);
  it.each([
    ['2025-12-31', null],
    ['2026-01-01', '20.00'],
    ['2026-06-30', '20.00'],
    ['2026-07-01', '22.00'],
    ['2026-12-31', '25.00'],
  ])('on %s the rate is %s', (day, rate) => expect(personOnDay(facts, day).pay?.['rate'] ?? null).toBe(rate));
  it('a later record of the same day stands before the earlier one', () =>
    expect(
      personOnDay(newestFirst([pay('20.00', '2026-01-01'), pay('21.00', '2026-01-01')]), '2026-02-01').pay?.['rate'],
    ).toBe('21.00'));
  it('certificates of two states stand side by side', () => {
    const both = newestFirst([
      fact('state-certificate', '2026-01-01', { state: 'NY', certificate: { filingStatus: 'single', allowances: 1 } }),
      fact('state-certificate', '2026-03-01', { state: 'TX', certificate: {} }),
      fact('state-certificate', '2026-06-01', { state: 'NY', certificate: { filingStatus: 'single', allowances: 2 } }),
    ]);
    expect(personOnDay(both, '2026-07-01').certificates).toEqual({
      NY: { filingStatus: 'single', allowances: 2 },
      TX: {},
    });
  });
  it('a line with a last day is gone the day after, and the one before it does not come back', () => {
    const line = newestFirst([
      fact('standing', '2026-01-01', { item: 'union-dues', amount: '5.00' }),
      fact('standing', '2026-03-01', { item: 'union-dues', amount: '6.00', until: '2026-06-30' }),
      fact('standing', '2026-01-01', { item: '401k', percent: '4' }),
    ]);
    const amounts = (day: string) =>
      personOnDay(line, day).standing.map(({ value }) => value['amount'] ?? value['percent']);
    expect([amounts('2026-02-01'), amounts('2026-06-30'), amounts('2026-07-01')]).toEqual([
      ['5.00', '4'],
      ['4', '6.00'],
      ['4'],
    ]);
  });
});

describe('facts that cannot be computed with are not stored', () => {
  const codes = (kind: EmployeeFactKind, value: Record<string, unknown>): string[] =>
    EMPLOYEE_FACTS.issues(kind, value, 'fact.value').map((issue) => `${issue.code} ${issue.field}`);
  it.each<[EmployeeFactKind, Record<string, unknown>, string]>([
    ['pay', {}, 'input.missing fact.value.basis'],
    ['pay', { basis: 'hourly' }, 'input.missing fact.value.rate'],
    ['pay', { basis: 'hourly', rate: '-1' }, 'input.negative fact.value.rate'],
    ['pay', { basis: 'salary', amount: '100.00', frequency: 'fortnightly' }, 'input.not-one-of fact.value.frequency'],
    ['pay', { basis: 'salary', frequency: 'weekly' }, 'input.missing fact.value.amount'],
    [
      'pay',
      { basis: 'hourly', rate: '20', deductions: [{ item: 'regular', amount: '1.00' }] },
      'item.unknown fact.value.deductions[0].item',
    ],
    ['federal-certificate', { form: '2020' }, 'input.missing fact.value.filingStatus'],
    [
      'federal-certificate',
      { form: 'pre-2020', maritalStatus: 'single', allowances: 1.5 },
      'input.not-whole fact.value.allowances',
    ],
    ['state-certificate', { state: 'ZZ' }, 'rule.state-unknown fact.value.state'],
    [
      'state-certificate',
      { state: 'NY', certificate: { filingStatus: 'single', letter: 'B' } },
      'input.unknown-field fact.value.certificate.letter',
    ],
    ['place', { work: 'NY' }, 'input.missing fact.value.residence'],
    [
      'place',
      { work: 'NY', residence: 'NY', otherWork: [{ state: 'NJ' }] },
      'input.missing fact.value.otherWork[0].share',
    ],
    ['standing', { item: 'union-dues' }, 'standing.one-measure fact.value.amount'],
    ['standing', { item: '401k', amount: '5.00', percent: '4' }, 'standing.one-measure fact.value.amount'],
    ['standing', { item: 'shift', hours: '4' }, 'earning.hours-without-rate fact.value.rate'],
    ['standing', { item: '401k', percent: '140' }, 'percent.over-whole fact.value.percent'],
    ['garnishment', { label: 'X', kind: 'fine' }, 'input.not-one-of fact.value.kind'],
    ['garnishment', { label: 'X', kind: 'creditor', inArrears: true }, 'input.unknown-field fact.value.inArrears'],
    [
      'leave',
      { item: 'vacation', per: 'period', hours: '4', resetOn: '13-01' },
      'input.not-a-month-day fact.value.resetOn',
    ],
    [
      'bank',
      { label: 'A', routing: '000000124', account: '55', type: 'checking', share: 'rest', prenote: 'waived' },
      'routing.check-digit fact.value.routing',
    ],
    [
      'bank',
      { label: 'A', routing: '000000123', account: '55', type: 'checking', share: 'rest', prenote: 'waived' },
      'bank.account-shape fact.value.account',
    ],
    [
      'bank',
      { label: 'A', routing: '000000123', account: '5500', type: 'checking', share: 'amount', prenote: 'waived' },
      'input.missing fact.value.amount',
    ],
    ['worker', { exemptFrom: [{ tax: 'US-FOO', reason: 'x' }] }, 'input.not-one-of fact.value.exemptFrom[0].tax'],
    ['employment', { standing: 'gone' }, 'input.not-one-of fact.value.standing'],
  ])('%s %j', (kind, value, expected) => expect(codes(kind, value)).toContain(expected));
  it('a sound one has no issue', () =>
    expect(codes('federal-certificate', { form: 'pre-2020', maritalStatus: 'married', allowances: 2 })).toEqual([]));
});

describe('facts are read back as sentences', () => {
  it.each<[EmployeeFactKind, Record<string, unknown>, string]>([
    ['pay', { basis: 'hourly', rate: '31.40', hours: '80' }, '31.40 an hour, usually 80 hours'],
    [
      'pay',
      { basis: 'salary', amount: '2750.00', frequency: 'biweekly', deductions: [{ item: '401k', amount: '150.00' }] },
      'Salary 2,750.00, biweekly; each check 401(k) deferral 150.00',
    ],
    [
      'federal-certificate',
      { form: '2020', filingStatus: 'married-jointly', multipleJobs: true, dependentCredit: '2200.00' },
      'Form W-4: married filing jointly, step 2 box checked, step 3 2200.00',
    ],
    ['place', { work: 'NY', residence: 'NJ', workLocality: 'NYC' }, 'Works in NYC, NY, lives in NJ'],
    [
      'standing',
      { item: '401k', percent: '6', perYear: '5000.00' },
      '401(k) deferral 6% of gross, at most 5000.00 a year',
    ],
    ['garnishment', { label: 'D-44', kind: 'child-support', amount: '300.00' }, 'child support D-44: 300.00'],
    [
      'leave',
      { item: 'vacation', per: 'hour', hours: '0.05', maximum: '80' },
      'Vacation: 0.05 hours an hour worked, at most 80',
    ],
  ])('%s %j', (kind, value, says) => expect(EMPLOYEE_FACTS.says(kind, value)).toBe(says));
});
