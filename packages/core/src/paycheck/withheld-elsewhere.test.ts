import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { runCase, type CaseAnswer } from '../casefile/run-case.js';
import { cents, dollars, sum, toDollars } from '../money/cents.js';
import { make, type Given } from '../testing/whole-checks.js';

const check = (withheld: Given | null): CaseAnswer =>
  runCase(
    make(
      'NY',
      {
        payFrequency: 'weekly',
        earnings: [{ item: 'salary', amount: '900.00' }],
        ...(withheld ? { withheld } : {}),
      },
      { certificates: { NY: { filingStatus: 'single', allowances: 1 } } },
    ),
    true,
  );
const amountOf = (answer: CaseAnswer, code: string): string | undefined =>
  answer.taxes.find((tax) => tax.code === code)?.amount;
const withheldOf = (answer: CaseAnswer) =>
  sum(answer.taxes.filter((tax) => tax.payer === 'employee').map((tax) => dollars(tax.amount)));

describe('a check that another program paid', () => {
  const computed = check(null);
  const federal = amountOf(computed, 'US-FIT') ?? '';
  const less = toDollars(cents(dollars(federal) - 140));

  it('keeps what was withheld, and lists what is computed instead', () => {
    const answer = check({ 'US-FIT': less });
    expect(amountOf(answer, 'US-FIT')).toBe(less);
    expect(answer.variances).toEqual([{ code: 'US-FIT', withheld: less, computed: federal }]);
    expect(dollars(answer.net ?? '')).toBe(dollars(computed.net ?? '') + 140);
    // Wages, other taxes and what the employer owes stay as the law has them.
    expect(answer.taxes.filter((tax) => tax.code !== 'US-FIT')).toEqual(
      computed.taxes.filter((tax) => tax.code !== 'US-FIT'),
    );
    expect(answer.problems.map((issue) => `${issue.severity} ${issue.code} ${issue.field}`)).toEqual([
      'warning withheld.differs withheld.US-FIT',
    ]);
    expect(answer.working?.['US-FIT']?.at(-1)).toMatchObject({ label: 'Withheld', value: less });
  });
  it('has no variance where it agrees to the cent', () => {
    const answer = check({ 'US-FIT': federal });
    expect([answer.variances, answer.net, answer.problems]).toEqual([undefined, computed.net, []]);
  });
  it('keeps a tax that is not computed at all, without wages', () => {
    const answer = check({ 'NJ-SIT': '12.00' });
    expect(answer.taxes.find((tax) => tax.code === 'NJ-SIT')).toMatchObject({ amount: '12.00', wages: '0.00' });
    expect(answer.variances).toEqual([{ code: 'NJ-SIT', withheld: '12.00', computed: '0.00' }]);
  });
  it('nothing withheld is an amount too', () =>
    expect(check({ 'US-FIT': '0.00' }).variances?.[0]).toEqual({
      code: 'US-FIT',
      withheld: '0.00',
      computed: federal,
    }));
  it.each([
    [{ 'US-HI-ER': '13.05' }, 'withheld.not-employee withheld.US-HI-ER'],
    [{ 'US-FIT': 'some' }, 'input.not-an-amount withheld.US-FIT'],
    [{ 'US-FIT': '-1.00' }, 'input.negative withheld.US-FIT'],
    [{ FIT: '1.00' }, 'input.not-one-of withheld.FIT'],
  ])('%j is refused at its field', (withheld, issue) => {
    const answer = check(withheld);
    expect(answer.problems.map(({ code, field }) => `${code} ${field}`)).toEqual([issue]);
    expect(answer.gross).toBeNull();
  });
  it('adds up, whatever was withheld', () =>
    fc.assert(
      fc.property(
        fc.dictionary(
          fc.constantFrom('US-FIT', 'US-OASDI-EE', 'US-HI-EE', 'NY-SIT', 'NY-SDI'),
          fc.integer({ min: 0, max: 15_000 }).map((amount) => toDollars(cents(amount))),
        ),
        (withheld) => {
          const answer = check(withheld);
          const off = (answer.variances ?? []).reduce(
            (total, one) => total + dollars(one.withheld) - dollars(one.computed),
            0,
          );
          return (
            dollars(answer.net ?? '') === 90_000 - withheldOf(answer) &&
            dollars(answer.net ?? '') === dollars(computed.net ?? '') - off
          );
        },
      ),
      { numRuns: 60 },
    ));
});
