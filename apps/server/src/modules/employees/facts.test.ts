import { describe, expect, it } from '@jest/globals';
import { factIssues, factSentence, factsOnDay, inForceOn, type StoredFact } from './facts.js';

let next = 0;
const fact = (kind: StoredFact['kind'], from: string, value: Record<string, unknown>): StoredFact => ({
  id: String((next += 1)),
  employeeId: 'e',
  kind,
  from,
  value,
});
/** Newest first, as they are loaded. */
const loaded = (...facts: StoredFact[]): StoredFact[] =>
  [...facts].sort((a, b) => (a.from === b.from ? Number(b.id) - Number(a.id) : a.from < b.from ? 1 : -1));
const pay = (rate: string, from: string): StoredFact => fact('pay', from, { basis: 'hourly', rate, hours: '80' });

describe('effective dates', () => {
  const facts = loaded(pay('20.00', '2026-01-01'), pay('22.00', '2026-07-01'), pay('25.00', '2026-12-01'));
  it.each([
    ['2025-12-31', null],
    ['2026-01-01', '20.00'],
    ['2026-06-30', '20.00'],
    ['2026-07-01', '22.00'],
    ['2026-12-31', '25.00'],
  ])('on %s the rate is %s', (day, rate) => expect(factsOnDay(facts, day).pay?.['rate'] ?? null).toBe(rate));
  it('a later record of the same day stands before the earlier one', () =>
    expect(factsOnDay(loaded(pay('20.00', '2026-01-01'), pay('21.00', '2026-01-01')), '2026-02-01').pay?.['rate']).toBe(
      '21.00',
    ));
  it('certificates of two states stand side by side', () => {
    const both = loaded(
      fact('state-certificate', '2026-01-01', { state: 'NY', certificate: { filingStatus: 'single', allowances: 1 } }),
      fact('state-certificate', '2026-03-01', { state: 'TX', certificate: {} }),
      fact('state-certificate', '2026-06-01', { state: 'NY', certificate: { filingStatus: 'single', allowances: 2 } }),
    );
    expect(factsOnDay(both, '2026-07-01').certificates).toEqual({
      NY: { filingStatus: 'single', allowances: 2 },
      TX: {},
    });
    expect(inForceOn(both, '2026-07-01')).toHaveLength(2);
  });
});

describe('facts that cannot be computed with are not stored', () => {
  const codes = (kind: StoredFact['kind'], value: Record<string, unknown>): string[] =>
    factIssues({ kind, from: '2026-01-01', value }, 'fact').map((issue) => `${issue.code} ${issue.field}`);
  it.each<[StoredFact['kind'], Record<string, unknown>, string]>([
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
  ])('%s %j', (kind, value, expected) => expect(codes(kind, value)).toContain(expected));
  it('a sound one has no issue', () =>
    expect(codes('federal-certificate', { form: 'pre-2020', maritalStatus: 'married', allowances: 2 })).toEqual([]));
});

describe('facts are read back as sentences', () => {
  it.each<[StoredFact['kind'], Record<string, unknown>, string]>([
    ['pay', { basis: 'hourly', rate: '31.40', hours: '80' }, '31.40 an hour, usually 80 hours'],
    [
      'pay',
      { basis: 'salary', amount: '2750.00', frequency: 'biweekly', deductions: [{ item: '401k', amount: '150.00' }] },
      'Salary 2750.00, biweekly; each check 401(k) deferral 150.00',
    ],
    [
      'federal-certificate',
      {
        form: '2020',
        filingStatus: 'married-jointly',
        multipleJobs: true,
        dependentCredit: '2200.00',
        extraWithholding: '0.00',
      },
      'Form W-4: married filing jointly, step 2 box checked, step 3 2200.00',
    ],
    [
      'federal-certificate',
      { form: '2020', filingStatus: 'single', exempt: true },
      'Form W-4: single, step 2 box not checked, exempt',
    ],
    [
      'federal-certificate',
      { form: 'pre-2020', maritalStatus: 'single', allowances: 1 },
      'Form W-4 from before 2020: single, 1 allowances',
    ],
    [
      'state-certificate',
      { state: 'NY', certificate: { allowances: 1, filingStatus: 'single', exempt: false } },
      'NY Form IT-2104: single, allowances 1',
    ],
    ['place', { work: 'NY', residence: 'TX' }, 'Works in NY, lives in TX'],
  ])('%s', (kind, value, sentence) => expect(factSentence({ kind, value })).toBe(sentence));
});
