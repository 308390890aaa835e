import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { runCase, type CaseAnswer } from '../casefile/run-case.js';
import { dollars, toDollars, type Cents } from '../money/cents.js';
import { make, problems, type Given } from '../testing/whole-checks.js';

const deferring = (deductions: Given[], employee: Given = {}, more: Given = {}): CaseAnswer =>
  runCase(
    make(
      'TX',
      { earnings: [{ item: 'salary', amount: '90000.00' }], deductions, ...more },
      { birthDate: '1970-05-04', ...employee },
    ),
  );
const taken = (answer: CaseAnswer): string[] => (answer.deductions ?? []).map((line) => line.amount);

/** What is left of a limit after all of it but a hundred was taken, by the year of the check. */
describe('yearly limits of law', () => {
  // Notice 2023-75, Notice 2024-80, Notice 2025-67 (recalled): the ordinary limit, from 50 on, from 60 to 63.
  it.each([
    ['2024-06-14', '401k', ['23000.00', '30500.00', '30500.00']],
    ['2025-06-13', '401k', ['23500.00', '31000.00', '34750.00']],
    ['2026-06-12', '401k', ['24500.00', '32500.00', '35750.00']],
    ['2026-06-12', 'roth-403b', ['24500.00', '32500.00', '35750.00']],
    ['2026-06-12', '457b', ['24500.00', '32500.00', '35750.00']],
    ['2025-06-13', 'simple-ira', ['16500.00', '20000.00', '21750.00']],
    ['2026-06-12', 'simple-ira', ['17000.00', '21000.00', '22250.00']],
    // Rev. Proc. 2024-40 and 2025-32 (recalled); no catch-up by age.
    ['2025-06-13', 'fsa', ['3300.00', '3300.00', '3300.00']],
    ['2026-06-12', 'fsa', ['3400.00', '3400.00', '3400.00']],
    ['2025-06-13', 'dependent-care', ['5000.00', '5000.00', '5000.00']],
    // IRC § 129(a)(2) as amended by Public Law 119-21 for years from 2026 on (recalled).
    ['2026-06-12', 'dependent-care', ['7500.00', '7500.00', '7500.00']],
  ])('of %s: %s', (checkDate, item, expected) => {
    const year = Number(checkDate.slice(0, 4));
    const ofAge = (age: number): string | undefined =>
      taken(deferring([{ item, amount: '80000.00' }], { birthDate: `${year - age}-12-31` }, { checkDate }))[0];
    expect([ofAge(49), ofAge(50), ofAge(60)]).toEqual(expected);
    // IRC § 414(v)(2)(E): the higher catch-up is for 60 to 63; before and after it is the ordinary one.
    expect([ofAge(59), ofAge(63), ofAge(64)]).toEqual([expected[1], expected[2], expected[1]]);
  });

  it('without a birth date there is no catch-up', () =>
    expect(taken(deferring([{ item: '401k', amount: '80000.00' }], { birthDate: null }))).toEqual(['24500.00']));

  it('a limit of the month follows the months of the period, and what the month has so far', () => {
    const transit = (payFrequency: string, so: Given = {}) =>
      taken(deferring([{ item: 'transit', amount: '5000.00' }], {}, { payFrequency, ...so }));
    expect(transit('weekly')).toEqual(['340.00']);
    expect(transit('quarterly')).toEqual(['1020.00']);
    expect(transit('weekly', { monthToDate: { deductions: { transit: '300.00', parking: '340.00' } } })).toEqual([
      '40.00',
    ]);
  });
});

// IRC § 414(v)(7) and Notice 2025-67 (recalled): over 150,000 of social security wages in 2025.
describe('a catch-up that may only be Roth', () => {
  const OVER = { priorYearWages: '150000.01' };
  const before = { yearToDate: { deductions: { '401k': '24000.00' } } };

  it('stops deferrals before tax at the ordinary limit, and says so', () => {
    const answer = deferring([{ item: '401k', amount: '2000.00' }], OVER, before);
    expect([taken(answer), problems(answer)]).toEqual([['500.00'], ['deduction.must-be-roth']]);
    expect(answer.problems[0]?.sentence).toContain('24,500.00');
  });
  it('leaves the Roth deferral all of the limit with its catch-up', () =>
    expect(
      taken(
        deferring(
          [
            { item: '401k', amount: '2000.00' },
            { item: 'roth-401k', amount: '20000.00' },
          ],
          OVER,
          before,
        ),
      ),
    ).toEqual(['500.00', '8000.00']));
  it('counts the items of one limit together', () =>
    expect(
      taken(
        deferring(
          [
            { item: '403b', amount: '300.00' },
            { item: 'catch-up-401k', amount: '300.00' },
            { item: '457b', amount: '25000.00' },
          ],
          OVER,
          before,
        ),
      ),
    ).toEqual(['300.00', '200.00', '24500.00']));
  it('a Roth deferral taken earlier does not use up the ordinary limit of the others', () =>
    // 20,000 and 8,000 Roth: before tax 4,500 are left of 32,500 in all, and of the ordinary limit.
    expect(
      taken(
        deferring([{ item: '401k', amount: '9000.00' }], OVER, {
          yearToDate: { deductions: { '401k': '20000.00', 'roth-401k': '8000.00' } },
        }),
      ),
    ).toEqual(['4500.00']));
  it.each([
    ['at the mark exactly', { priorYearWages: '150000.00' }, {}, ['2000.00'], []],
    [
      'under 50 there is no catch-up at all',
      { ...OVER, birthDate: '1977-01-01' },
      {},
      ['500.00'],
      ['deduction.limited'],
    ],
    ['before 2026', OVER, { checkDate: '2025-06-13' }, ['2000.00'], []],
    ['wages that nobody gave', {}, {}, ['2000.00'], ['deduction.prior-wages-unknown']],
  ])('%s', (_, employee, more, amounts, codes) => {
    const answer = deferring([{ item: '401k', amount: '2000.00' }], employee, { ...before, ...more });
    expect([taken(answer), problems(answer)]).toEqual([amounts, codes]);
  });
  it('a SIMPLE plan has no such rule', () =>
    expect(taken(deferring([{ item: 'simple-ira', amount: '30000.00' }], OVER))).toEqual(['21000.00']));
  it('shows the mark in its working', () => {
    const answer = runCase(
      make(
        'TX',
        { deductions: [{ item: '401k', amount: '2000.00' }], ...before },
        { birthDate: '1970-05-04', ...OVER },
      ),
      true,
    );
    const line = answer.working?.['deduction:401k']?.at(-1);
    expect([line?.how, line?.parameter?.value, line?.parameter?.from]).toEqual([
      'held at its Roth catch-up limit',
      '150,000.00',
      '2026-01-01',
    ]);
  });

  it('whatever the checks of the year are, neither limit is ever passed and nothing is refused that fits', () => {
    const wanted = fc.record({
      before: fc.integer({ min: 0, max: 900_000 }),
      roth: fc.integer({ min: 0, max: 900_000 }),
    });
    fc.assert(
      fc.property(fc.array(wanted, { minLength: 1, maxLength: 12 }), (checks) => {
        const sum = { '401k': 0, 'roth-401k': 0 };
        const asked = { '401k': 0, 'roth-401k': 0 };
        for (const check of checks) {
          const toDate = Object.fromEntries(Object.entries(sum).map(([item, all]) => [item, toDollars(all as Cents)]));
          const [now, later] = taken(
            deferring(
              [
                { item: '401k', amount: toDollars(check.before as Cents) },
                { item: 'roth-401k', amount: toDollars(check.roth as Cents) },
              ],
              OVER,
              { yearToDate: { deductions: toDate } },
            ),
          ).map(dollars);
          sum['401k'] += now ?? 0;
          sum['roth-401k'] += later ?? 0;
          asked['401k'] += check.before;
          asked['roth-401k'] += check.roth;
        }
        const all = sum['401k'] + sum['roth-401k'];
        const isFull = all === 3_250_000;
        return (
          sum['401k'] <= 2_450_000 &&
          all <= 3_250_000 &&
          (isFull || sum['roth-401k'] === asked['roth-401k']) &&
          (isFull || sum['401k'] === Math.min(asked['401k'], 2_450_000))
        );
      }),
      { numRuns: 60 },
    );
  });
});
