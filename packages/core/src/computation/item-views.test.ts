import { describe, expect, it } from '@jest/globals';
import { date } from '../calendar/local-date.js';
import { runCase } from '../casefile/run-case.js';
import { PAY_ITEMS, findItem, type BaseFamily } from '../items/registry.js';
import { BASE_FAMILIES } from '../items/treatment.js';
import { make } from '../testing/whole-checks.js';
import { itemsOutOf } from './item-views.js';

const isOut = (code: string, family: BaseFamily, state: string, day = '2026-03-13'): boolean => {
  const item = findItem(code);
  if (!item) throw new Error(`no item ${code}`);
  return itemsOutOf(family, state, date(day)).has(item);
};

/** A biweekly check of someone who lives and works in one state. */
function check(state: string, more: { date?: string; place?: string; certificate?: object; lines: object }) {
  return runCase({
    id: 'one',
    checkDate: more.date ?? '2026-03-13',
    payFrequency: 'biweekly',
    employee: {
      federal: { form: '2020', filingStatus: 'single' },
      residence: { state, ...(more.place ? { locality: more.place } : {}) },
      work: [{ state, ...(more.place ? { locality: more.place } : {}), share: '1' }],
      certificates: { [state]: more.certificate ?? {} },
    },
    employer: { unemploymentRates: { [state]: '2.7' } },
    deductions: [],
    ...more.lines,
  });
}
const taxOf = (result: ReturnType<typeof runCase>, code: string) => {
  const line = result.taxes?.find((one) => one.code === code);
  if (!line) throw new Error(`${code} is not among ${JSON.stringify(result)}`);
  return line;
};

describe('how a state sees a pay item', () => {
  // Code of Alabama § 40-18-14 as amended by Act 2023-421 (recalled): overtime is not income from 2024 to June 2025.
  it.each([
    ['2025-06-30', '1600.00'],
    ['2025-07-01', '1960.00'],
  ])('leaves overtime out of Alabama wages until June 2025 (check of %s)', (day, wages) => {
    const lines = {
      earnings: [
        { item: 'regular', hours: '80', rate: '20.00' },
        { item: 'overtime', hours: '12', rate: '20.00' },
      ],
    };
    const result = check('AL', { date: day, certificate: { filingStatus: 'single' }, lines });
    expect(taxOf(result, 'AL-SIT').wages).toBe(wages);
    expect(taxOf(result, 'US-FIT').wages).toBe('1960.00');
    expect(taxOf(result, 'AL-SUI').wages).toBe('1960.00');
  });

  // KRS 67.750(2) (recalled): salary reductions of a cafeteria plan are compensation; the state's own tax leaves them out.
  it('has a Kentucky city tax what a cafeteria plan takes out of every other base', () => {
    const lines = {
      earnings: [{ item: 'salary', amount: '2000.00' }],
      deductions: [
        { item: 'section-125-health', amount: '150.00' },
        { item: '401k', amount: '100.00' },
      ],
    };
    const result = check('KY', { place: 'Louisville', lines });
    expect(taxOf(result, 'KY-LOUISVILLE-LIT')).toMatchObject({ wages: '2000.00', amount: '44.00' });
    expect(taxOf(result, 'KY-SIT').wages).toBe('1750.00');
  });

  // REV-415 and NJ-WT (recalled).
  it('differs only where a view says so', () => {
    expect([isOut('401k', 'state-income', 'PA'), isOut('401k', 'state-income', 'NY')]).toEqual([false, true]);
    expect([isOut('fsa', 'state-income', 'NJ'), isOut('fsa', 'income', '')]).toEqual([false, true]);
    expect([isOut('hsa', 'state-income', 'CA'), isOut('hsa', 'state-unemployment', 'CA')]).toEqual([false, true]);
    for (const [family] of BASE_FAMILIES)
      for (const item of PAY_ITEMS)
        expect([item.code, family, isOut(item.code, family, 'TX')]).toEqual([
          item.code,
          family,
          item.outOf.includes(family),
        ]);
  });
});

describe("a client's own item that is not taxed like the standard one", () => {
  const lines = (treatment: object | undefined, code = 'stipend') => ({
    earnings: [
      { item: 'salary', amount: '2000.00' },
      { item: 'award', name: code, label: 'Stipend', amount: '300.00', ...(treatment ? { treatment } : {}) },
    ],
  });
  it('is wages only of the bases it is said to be in', () => {
    const result = check('CA', {
      lines: lines({ social: 'untaxed', 'state-income': 'untaxed', unemployment: 'untaxed' }),
    });
    expect(taxOf(result, 'US-FIT').wages).toBe('2300.00');
    expect(taxOf(result, 'US-OASDI-EE').wages).toBe('2000.00');
    expect(taxOf(result, 'US-HI-EE').wages).toBe('2000.00');
    expect(taxOf(result, 'US-FUTA').wages).toBe('2000.00');
    expect(taxOf(result, 'CA-SIT').wages).toBe('2000.00');
    expect(taxOf(result, 'CA-SDI').wages).toBe('2300.00');
    expect(result.gross).toBe('2300.00');
  });
  it('is not withheld on where it is no wages, also as supplemental wages', () => {
    const result = check('CA', { lines: lines({ income: 'untaxed' }) });
    const without = check('CA', { lines: { earnings: [{ item: 'salary', amount: '2000.00' }] } });
    expect(taxOf(result, 'US-FIT')).toEqual(taxOf(without, 'US-FIT'));
    // 10.23% on stock options and bonuses, 6.6% on other supplemental wages (EDD guide, recalled).
    expect(Number(taxOf(result, 'CA-SIT').amount) - Number(taxOf(without, 'CA-SIT').amount)).toBeCloseTo(19.8, 2);
  });
  it('lowers wages, as a deduction, only where it is said to', () => {
    const deduction = { item: 'after-tax', name: 'plan', amount: '100.00', treatment: { income: 'untaxed' } };
    const result = check('NY', {
      certificate: { filingStatus: 'single', allowances: 0 },
      lines: { earnings: [{ item: 'salary', amount: '2000.00' }], deductions: [deduction] },
    });
    expect(taxOf(result, 'US-FIT').wages).toBe('1900.00');
    expect(taxOf(result, 'NY-SIT').wages).toBe('2000.00');
    expect(taxOf(result, 'US-OASDI-EE').wages).toBe('2000.00');
  });
  it.each([
    [{ income: 'half' }, 'input.not-one-of', 'earnings[1].treatment.income'],
    [{ futa: 'taxed' }, 'input.unknown-field', 'earnings[1].treatment.futa'],
  ])('is refused with %j', (treatment, code, field) => {
    const { problems } = check('CA', { lines: lines(treatment) });
    expect(problems).toContainEqual(expect.objectContaining({ code, field }));
  });
  it('cannot be a standard item', () => {
    const salary = { item: 'salary', amount: '2000.00', treatment: { income: 'untaxed' } };
    const { problems } = check('CA', { lines: { earnings: [salary] } });
    expect(problems).toContainEqual(expect.objectContaining({ code: 'input.missing', field: 'earnings[0].name' }));
  });
});

describe('what a locality of New York asks besides', () => {
  it('adds the additional amount of a Yonkers resident to the surcharge, and none without wages', () => {
    const salary = { earnings: [{ item: 'salary', amount: '2500.00' }] };
    const certificate = { filingStatus: 'single', allowances: 0 };
    const plain = check('NY', { place: 'Yonkers', certificate, lines: salary });
    const more = check('NY', {
      place: 'Yonkers',
      certificate: { ...certificate, yonkersExtraWithholding: '7.00' },
      lines: salary,
    });
    const cents = (amount: string): number => Math.round(Number(amount) * 100);
    expect(cents(taxOf(more, 'NY-YONKERS-LIT').amount) - cents(taxOf(plain, 'NY-YONKERS-LIT').amount)).toBe(700);
  });
});

it('says that the limits of law are missing for a year, instead of knowing none', () => {
  const lines = {
    earnings: [{ item: 'salary', amount: '2000.00' }],
    deductions: [{ item: '401k', amount: '100.00' }],
  };
  const { problems } = check('TX', { date: '2031-03-13', lines });
  expect(problems).toContainEqual(
    expect.objectContaining({ code: 'rule.none-in-force', sentence: expect.stringContaining('limit on deferrals') }),
  );
});

describe('pay that is on the statement and not in the wages', () => {
  const taxed = (item: string): string[] => {
    const answer = runCase(make('NY', { earnings: [{ item, amount: '1000.00' }] }));
    return answer.taxes.filter((tax) => tax.wages !== '0.00').map((tax) => tax.code);
  };
  // IRC § 6053(c)(3), § 62(c), § 104(a)(1): none of these is wages of any kind.
  it.each(['tips-allocated', 'reimbursement', 'workers-compensation-pay'])(
    '%s is in no base, of a program on all pay neither',
    (item) => expect(taxed(item)).toEqual([]),
  );
  // IRC § 3121(v)(2): taxed for OASDI and HI when it was earned, not when it is paid.
  it('a nonqualified plan pays income that is no wages for OASDI, HI and unemployment', () => {
    const codes = taxed('nonqualified-plan');
    expect(codes.filter((code) => code.endsWith('IT'))).toEqual(['US-FIT', 'NY-SIT']);
    expect(codes.filter((code) => /OASDI|-HI-|FUTA|SUI/.test(code))).toEqual([]);
  });
});
