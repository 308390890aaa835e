import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { runCase, type CaseAnswer } from '../casefile/run-case.js';
import { STATE_CODES } from '../jurisdictions/state.js';
import { findState } from '../jurisdictions/states.js';
import { dollars, toDollars, type Cents } from '../money/cents.js';
import { amount, make, problems, wagesOf } from '../testing/whole-checks.js';

const pays = fc.integer({ min: 100, max: 2_000_000 }).map((cents) => toDollars(cents as Cents));

describe('every state', () => {
  it.each(STATE_CODES.map((code) => [code]))(
    '%s computes in both years at every frequency, and the whole is the sum of its parts',
    (code) => {
      fc.assert(
        fc.property(
          pays,
          fc.constantFrom('2025-02-14', '2025-09-12', '2026-01-09', '2026-08-14'),
          fc.constantFrom('weekly', 'semimonthly', 'monthly'),
          (pay, checkDate, payFrequency) => {
            const answer = runCase(
              make(code, {
                checkDate,
                payFrequency,
                earnings: [
                  { item: 'salary', amount: pay },
                  { item: 'bonus', amount: '250.00' },
                ],
              }),
            );
            if (answer.problems.some((problem) => problem.severity === 'error')) return false;
            const withheld = answer.taxes
              .filter((tax) => tax.payer === 'employee')
              .reduce((total, tax) => total + dollars(tax.amount), 0);
            const isSound = answer.taxes.every(
              (tax) => dollars(tax.amount) >= 0 && dollars(tax.wages) <= dollars(pay) + 25_000,
            );
            return isSound && dollars(answer.gross ?? '0') === dollars(answer.net ?? '0') + withheld;
          },
        ),
        { numRuns: 25 },
      );
    },
  );
  const taxed = STATE_CODES.filter((code) => findState(code)?.incomeTax.kind === 'worksheet');
  it.each(taxed.map((code) => [code]))(
    '%s never withholds less on more pay (its phase-outs aside, where the law is so)',
    (code) => {
      // Steps that the law itself takes back: California's exemption is a cliff, Alabama, Connecticut, Oregon and others fade.
      fc.assert(
        fc.property(fc.integer({ min: 0, max: 400_000 }), fc.integer({ min: 1, max: 200_000 }), (pay, more) => {
          const tax = (cents: number): number =>
            dollars(
              amount(
                runCase(make(code, { earnings: [{ item: 'salary', amount: toDollars(cents as Cents) }] })),
                `${code}-SIT`,
              ) ?? '0',
            );
          // A dollar for rounding to the dollar and for the middle of Arkansas's ranges.
          return tax(pay + more) + 100 >= tax(pay);
        }),
        { numRuns: 25 },
      );
    },
  );
  it.each(taxed.map((code) => [code]))('%s shows the working of its tax down to the publication', (code) => {
    const answer = runCase(make(code), true);
    const lines = answer.working?.[`${code}-SIT`] ?? [];
    const sit = amount(answer, `${code}-SIT`);
    expect(lines.at(-1)).toMatchObject({ isResult: true });
    expect(lines.at(-1)?.value.replaceAll(',', '')).toBe(sit);
    if (sit !== '0.00') expect(lines.some((line) => line.parameter !== undefined)).toBe(true);
  });
});

describe('work and residence in different states', () => {
  it('the state of work withholds, the state of residence takes what is left', () => {
    const answer = runCase(
      make(
        'NJ',
        {},
        {
          work: [{ state: 'NY' }],
          certificates: { NJ: { filingStatus: 'single' }, NY: { filingStatus: 'single', allowances: 0 } },
        },
      ),
    );
    const alone = runCase(make('NJ', {}, { certificates: { NJ: { filingStatus: 'single' } } }));
    expect(dollars(amount(answer, 'NJ-SIT') ?? '')).toBe(
      Math.max(0, dollars(amount(alone, 'NJ-SIT') ?? '') - dollars(amount(answer, 'NY-SIT') ?? '')),
    );
  });
  it('reciprocity: only the state of residence, and a warning until the certificate is marked', () => {
    const assumed = runCase(make('PA', {}, { work: [{ state: 'NJ' }] }));
    expect([amount(assumed, 'NJ-SIT'), amount(assumed, 'PA-SIT')]).toEqual([undefined, '92.10']);
    expect(problems(assumed)).toContain('reciprocity.assumed');
    const filed = runCase(make('PA', {}, { work: [{ state: 'NJ', reciprocityCertificate: true }] }));
    expect(problems(filed)).not.toContain('reciprocity.assumed');
    const missing = runCase(make('PA', {}, { work: [{ state: 'NJ', reciprocityCertificate: false }] }));
    expect(amount(missing, 'NJ-SIT')).toBeDefined();
  });
  it('reciprocity never lifts a local tax', () =>
    expect(
      amount(runCase(make('NJ', {}, { work: [{ state: 'PA', locality: 'Pittsburgh' }] })), 'PA-PITTSBURGH-EIT'),
    ).toBe('30.00'));
  it('pay split between states is split to the cent', () => {
    const answer = runCase(
      make(
        'TX',
        { earnings: [{ item: 'salary', amount: '1000.01' }] },
        {
          work: [
            { state: 'IL', share: '0.333' },
            { state: 'IN', share: '0.667' },
          ],
          unemploymentState: 'IL',
          certificates: { IL: {}, IN: {} },
        },
      ),
    );
    expect(dollars(wagesOf(answer, 'IL-SIT') ?? '') + dollars(wagesOf(answer, 'IN-SIT') ?? '')).toBe(100_001);
  });
  it('work at home for one’s own convenience is taxed where the office is, in a state with such a rule', () => {
    const home = { work: [{ state: 'NJ', convenienceOf: 'NY' }] };
    expect(amount(runCase(make('NJ', {}, home)), 'NY-SIT')).toBeDefined();
    expect(amount(runCase(make('NJ', {}, { work: [{ state: 'NJ', convenienceOf: 'IL' }] })), 'IL-SIT')).toBeUndefined();
  });
  it('the unemployment state of work in several states must be said (UIPL 20-04)', () => {
    const split = {
      work: [
        { state: 'IL', share: '0.5' },
        { state: 'IN', share: '0.5' },
      ],
    };
    expect(problems(runCase(make('IL', {}, split)))).toContain('unemployment.state-unclear');
  });
  it.each([
    [{ localizedIn: 'IN' }, 'IN-SUI'],
    [{ baseOfOperations: 'IL', directedFrom: 'IN' }, 'IL-SUI'],
    [{ baseOfOperations: 'OH', directedFrom: 'IN' }, 'IN-SUI'],
    [{ baseOfOperations: 'OH', directedFrom: 'OH' }, 'IL-SUI'],
  ])('or follows from the localization tests, in their order: %j is %s', (localization, code) => {
    const work = [
      { state: 'IL', share: '0.5' },
      { state: 'IN', share: '0.5' },
    ];
    const answer = runCase(
      make('IL', { employer: { unemploymentRates: { IL: '2.7', IN: '2.7', OH: '2.7' } } }, { work, localization }),
    );
    expect(amount(answer, code)).toBe('81.00');
  });
  it('a Maryland resident without a county is an error, not a guess', () =>
    expect(problems(runCase(make('MD', {}, { residence: { state: 'MD' } })))).toContain('rule.county-missing'));
});

describe('work in two places of one state', () => {
  const split = (state: string, places: readonly [string, string], home?: string) =>
    runCase(
      make(
        state,
        { payFrequency: 'weekly', earnings: [{ item: 'salary', amount: '1000.00' }] },
        {
          residence: { state, ...(home ? { locality: home } : {}) },
          work: [
            { state, locality: places[0], share: '0.6' },
            { state, locality: places[1], share: '0.4' },
          ],
        },
      ),
    );
  it('Pennsylvania: one local services tax, where the work is first; each part at its own rate', () => {
    const answer = split('PA', ['Pittsburgh', 'Scranton']);
    expect([amount(answer, 'PA-PITTSBURGH-LST'), amount(answer, 'PA-SCRANTON-LST')]).toEqual(['1.00', undefined]);
    expect([wagesOf(answer, 'PA-PITTSBURGH-EIT'), wagesOf(answer, 'PA-SCRANTON-EIT')]).toEqual(['600.00', '400.00']);
  });
  it('Ohio: the tax of each city, and the credit of the city of residence for both', () => {
    const answer = split('OH', ['Cleveland', 'Columbus'], 'Parma');
    // Parma: 2.5% of 1,000.00, less 2.0% of what Cleveland and Columbus tax at 2.5% (rates recalled).
    expect([
      amount(answer, 'OH-CLEVELAND-LIT'),
      amount(answer, 'OH-COLUMBUS-LIT'),
      amount(answer, 'OH-PARMA-LIT'),
    ]).toEqual(['15.00', '10.00', '5.00']);
  });
  it('New York: the commuter tax once for each part, whichever names the place has', () => {
    const answer = runCase(
      make(
        'NY',
        {
          payFrequency: 'weekly',
          earnings: [{ item: 'salary', amount: '1000.00' }],
          employer: { unemploymentRates: { NY: '4.1' }, quarterlyPayroll: '500000.00' },
        },
        {
          work: [
            { state: 'NY', locality: ['New York City', 'MCTD zone 1'], share: '0.6' },
            { state: 'NY', locality: 'Westchester', share: '0.4' },
          ],
        },
      ),
    );
    // 0.60% of 600.00 in zone 1 and 0.34% of 400.00 in zone 2, from July 2025 (recalled).
    expect(amount(answer, 'NY-MCTMT')).toBe('4.96');
  });
});

describe('what a state sees otherwise than the federal law', () => {
  const withDeduction = (state: string, item: string): CaseAnswer =>
    runCase(make(state, { deductions: [{ item, amount: '200.00' }] }));
  it.each([
    ['PA', '401k', '3000.00'],
    ['NJ', '401k', '2800.00'],
    ['NJ', '403b', '3000.00'],
    ['NJ', 'section-125-health', '3000.00'],
    ['PA', 'section-125-health', '2800.00'],
    ['CA', 'hsa', '3000.00'],
    ['CA', 'section-125-health', '2800.00'],
    ['NY', '401k', '2800.00'],
  ])('%s: %s leaves %s', (state, item, wages) =>
    expect(wagesOf(withDeduction(state, item), `${state}-SIT`)).toBe(wages),
  );
});

describe('the order of two checks on one day', () => {
  it('does not matter to the year of a capped tax', () => {
    fc.assert(
      fc.property(pays, pays, (a, b) => {
        const both = (first: string, second: string): number => {
          const before = dollars('180000.00');
          const one = runCase(
            make('WA', {
              earnings: [{ item: 'salary', amount: first }],
              yearToDate: { wages: { 'US-OASDI': toDollars(before) } },
            }),
          );
          const two = runCase(
            make('WA', {
              earnings: [{ item: 'salary', amount: second }],
              yearToDate: { wages: { 'US-OASDI': toDollars((before + dollars(first)) as Cents) } },
            }),
          );
          return dollars(wagesOf(one, 'WA-PFML-EE') ?? '') + dollars(wagesOf(two, 'WA-PFML-EE') ?? '');
        };
        return both(a, b) === both(b, a);
      }),
      { numRuns: 40 },
    );
  });
});
