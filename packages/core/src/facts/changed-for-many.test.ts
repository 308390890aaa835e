import { describe, expect, it } from '@jest/globals';
import { changedFact, type ChangeForMany } from './changed-for-many.js';
import { personOnDay } from './on-day.js';

const person = (...facts: [kind: string, value: Record<string, unknown>][]) =>
  personOnDay(
    facts.map(([kind, value], index) => ({ id: String(index), kind, from: '2026-01-01', value })),
    '2026-10-30',
  );
const hourly = (rate: string) => person(['pay', { basis: 'hourly', rate, hours: '72' }]);
const salaried = person(['pay', { basis: 'salary', amount: '52000.00', frequency: 'annually' }]);
const pay = (by: 'to' | 'amount' | 'percent', value: string): ChangeForMany => ({ is: 'pay', by, value });
const valueOf = (answer: ReturnType<typeof changedFact>) => ('fact' in answer ? answer.fact.value : answer.why);

describe('a change of the pay of many', () => {
  it.each([
    ['18.50', pay('percent', '3'), '19.06'],
    // 17.25 × 1.1 = 18.975: half a cent up.
    ['17.25', pay('percent', '10'), '18.98'],
    ['17.125', pay('amount', '0.5'), '17.625'],
    ['18.5', pay('amount', '1'), '19.50'],
    ['18.50', pay('amount', '-0.50'), '18.00'],
    ['18.50', pay('to', '20.25'), '20.25'],
  ])('raises a rate of %s', (rate, change, next) =>
    expect(valueOf(changedFact(hourly(rate), change))).toEqual({ basis: 'hourly', rate: next, hours: '72' }),
  );
  it.each([
    [pay('percent', '3.25'), '53690.00'],
    [pay('amount', '1200.00'), '53200.00'],
    [pay('to', '60000.00'), '60000.00'],
  ])('raises a salary', (change, next) =>
    expect(valueOf(changedFact(salaried, change))).toMatchObject({ amount: next, frequency: 'annually' }),
  );
  it.each([
    ['nobody without a rate or a salary', person(['pay', { basis: 'commission' }]), pay('percent', '3')],
    ['nobody whose rate cannot be read', hourly(''), pay('amount', '1')],
    ['nobody of whom no pay is known', person(), pay('percent', '3')],
    ['nobody who is paid so already', hourly('20.00'), pay('to', '20.00')],
    ['nobody to nothing', hourly('20.00'), pay('amount', '-20.00')],
    ['nobody by what is no number', hourly('20.00'), pay('percent', 'three')],
  ])('raises %s', (_, one, change) => expect(changedFact(one, change)).toHaveProperty('why'));
  it('says how it stands and how it would', () =>
    expect(changedFact(hourly('18.50'), pay('amount', '1'))).toMatchObject({
      was: '18.50 an hour, usually 72 hours',
      will: '19.50 an hour, usually 72 hours',
    }));
});

describe('a change of where many work', () => {
  const cook = person(['worker', { department: 'Kitchen', title: 'Cook' }]);
  it('keeps the rest of the record', () =>
    expect(changedFact(cook, { is: 'work', field: 'department', value: ' Galley ' })).toEqual({
      fact: { kind: 'worker', value: { department: 'Galley', title: 'Cook' } },
      was: 'Kitchen',
      will: 'Galley',
    }));
  it('begins one where there is none, and takes it away', () => {
    expect(valueOf(changedFact(person(), { is: 'work', field: 'schedule', value: 'Shop' }))).toEqual({
      schedule: 'Shop',
    });
    expect(changedFact(cook, { is: 'work', field: 'department', value: '' })).toMatchObject({ will: 'none' });
    expect(changedFact(cook, { is: 'work', field: 'department', value: 'Kitchen' })).toEqual({
      was: 'Kitchen',
      why: 'has Kitchen already',
    });
  });
});

describe('a recurring line for many', () => {
  const dues = { is: 'standing', item: 'union-dues', amount: '18.00' } as const;
  it('is added for those who have none, and changed for those who have', () => {
    expect(valueOf(changedFact(person(), dues))).toEqual({ item: 'union-dues', amount: '18.00' });
    const has = person(['standing', { item: 'union-dues', percent: '1', balance: '90.00', countedFrom: '2026-02-01' }]);
    expect(valueOf(changedFact(has, dues))).toEqual({
      item: 'union-dues',
      amount: '18.00',
      balance: '90.00',
      countedFrom: '2026-02-01',
    });
    expect(changedFact(person(['standing', { item: 'union-dues', amount: '18.00' }]), dues)).toHaveProperty('why');
  });
});
