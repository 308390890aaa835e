import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { runCase, type CaseAnswer } from '../casefile/run-case.js';
import { STATE_CODES } from '../jurisdictions/state.js';
import { findState } from '../jurisdictions/states.js';
import { dollars, toDollars, type Cents } from '../money/cents.js';

type Given = Record<string, unknown>;
const COUNTIES: Readonly<Record<string, string>> = { MD: 'Howard County', IN: 'Marion' };
const at = (state: string): Given => ({ state, ...(COUNTIES[state] ? { locality: COUNTIES[state] } : {}) });
const make = (state: string, more: Given = {}, employee: Given = {}): Given => ({
  id: 'x',
  checkDate: '2026-06-12',
  payFrequency: 'biweekly',
  employee: { federal: { form: '2020', filingStatus: 'single' }, residence: at(state), work: [at(state)], ...employee },
  employer: { employees: 60, unemploymentRates: { [state]: '2.7' } },
  earnings: [{ item: 'salary', amount: '3000.00' }],
  ...more,
});
const amount = (answer: CaseAnswer, code: string): string | undefined =>
  answer.taxes.find((tax) => tax.code === code)?.amount;
const wagesOf = (answer: CaseAnswer, code: string): string | undefined =>
  answer.taxes.find((tax) => tax.code === code)?.wages;
const problems = (answer: CaseAnswer): string[] => answer.problems.map((problem) => problem.code);
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

describe('the federal certificate over time (Publication 15, section 9)', () => {
  const exempt = { form: '2020', filingStatus: 'married-jointly', exempt: true, exemptYear: 2025 };
  const on = (checkDate: string, more: Given = {}): CaseAnswer =>
    runCase(make('TX', { checkDate }, { federal: { ...exempt, ...more } }));
  it('an exemption holds through February 15 of the next year, then single without entries', () => {
    expect(amount(on('2026-02-15'), 'US-FIT')).toBe('0.00');
    const after = on('2026-02-16');
    expect(amount(after, 'US-FIT')).toBe(amount(runCase(make('TX', { checkDate: '2026-02-16' })), 'US-FIT'));
    expect(problems(after)).toContain('certificate.exemption-over');
  });
  it('a lock-in letter does not honour it', () => {
    const locked = on('2026-01-15', { lockedIn: true });
    expect(amount(locked, 'US-FIT')).not.toBe('0.00');
    expect(problems(locked)).toContain('certificate.locked-in');
  });
  it('exempt from income tax is not exempt from OASDI, HI or a state’s insurance', () => {
    const answer = runCase(
      make(
        'NY',
        {},
        {
          federal: { form: '2020', filingStatus: 'single', exempt: true },
          certificates: { NY: { filingStatus: 'single', exempt: true } },
        },
      ),
    );
    expect([
      amount(answer, 'US-FIT'),
      amount(answer, 'NY-SIT'),
      amount(answer, 'US-OASDI-EE'),
      amount(answer, 'NY-SDI'),
    ]).toEqual(['0.00', '0.00', '186.00', '1.20']);
  });
});

describe('methods', () => {
  it('a wage-bracket row withholds whole dollars, near the percentage method', () => {
    const bracket = runCase(make('TX', { settings: { withholdingMethod: 'wage-bracket' } }));
    const percent = runCase(make('TX'));
    expect(amount(bracket, 'US-FIT')).toMatch(/\.00$/);
    expect(Math.abs(dollars(amount(bracket, 'US-FIT') ?? '') - dollars(amount(percent, 'US-FIT') ?? ''))).toBeLessThan(
      300,
    );
    const beyond = runCase(
      make('TX', {
        settings: { withholdingMethod: 'wage-bracket' },
        earnings: [{ item: 'salary', amount: '9000.00' }],
      }),
    );
    expect(problems(beyond)).toEqual(['rule.wage-bracket-ends']);
  });
  it('supplemental wages paid alone with the last regular ones: the difference (Publication 15, section 7)', () => {
    const together = amount(runCase(make('TX', { earnings: [{ item: 'salary', amount: '4000.00' }] })), 'US-FIT') ?? '';
    const last = amount(runCase(make('TX')), 'US-FIT') ?? '';
    const alone = runCase(
      make('TX', {
        earnings: [{ item: 'bonus', amount: '1000.00' }],
        settings: { supplementalMethod: 'aggregate', lastRegular: { wages: '3000.00', withheld: last } },
      }),
    );
    expect(dollars(amount(alone, 'US-FIT') ?? '')).toBe(dollars(together) - dollars(last));
  });
  it('a miscellaneous period is as many daily ones', () => {
    const days = runCase(
      make('TX', {
        payFrequency: 'miscellaneous',
        settings: { daysInPeriod: 7 },
        earnings: [{ item: 'salary', amount: '2100.00' }],
      }),
    );
    const daily = runCase(make('TX', { payFrequency: 'daily', earnings: [{ item: 'salary', amount: '300.00' }] }));
    expect(dollars(amount(days, 'US-FIT') ?? '')).toBe(dollars(amount(daily, 'US-FIT') ?? '') * 7);
  });
});

describe('who is not taxed alike', () => {
  const kind = (worker: string, employer = 'business', more: Given = {}): CaseAnswer =>
    runCase(make('TX', { employer: { kind: employer, unemploymentRates: { TX: '2.7' } }, ...more }, { kind: worker }));
  const codes = (answer: CaseAnswer): string[] =>
    answer.taxes.map((tax) => tax.code).filter((code) => code.startsWith('US-'));
  it.each([
    ['child-under-18', ['US-FIT']],
    ['child-under-21', ['US-FIT', 'US-OASDI-EE', 'US-OASDI-ER', 'US-HI-EE', 'US-HI-ER', 'US-HI-ADD']],
    ['nonresident-student', ['US-FIT']],
    ['contractor', []],
  ])('%s (Publication 15, sections 3 and 15)', (worker, expected) => expect(codes(kind(worker))).toEqual(expected));
  it('a statutory employee has OASDI and HI but no income tax withheld', () =>
    expect(amount(kind('statutory'), 'US-FIT')).toBe('0.00'));
  it('a 501(c)(3) owes no federal unemployment tax', () =>
    expect(codes(kind('employee', 'nonprofit'))).not.toContain('US-FUTA'));
  it('household wages count from the mark on, the earlier ones with them (IRC § 3121(x), 3,000 for 2026)', () => {
    const paid = (before: string): CaseAnswer =>
      kind('employee', 'household', {
        earnings: [{ item: 'regular', amount: '500.00' }],
        yearToDate: { wages: { 'US-OASDI': before, 'US-HI': before } },
      });
    expect(amount(paid('2499.99'), 'US-OASDI-EE')).toBe('0.00');
    expect([wagesOf(paid('2500.00'), 'US-OASDI-EE'), amount(paid('2500.00'), 'US-OASDI-EE')]).toEqual([
      '3000.00',
      '186.00',
    ]);
    expect(wagesOf(paid('3000.00'), 'US-HI-EE')).toBe('500.00');
  });
  it('wages that no state taxes earn no unemployment credit (IRC § 3302)', () =>
    expect(amount(runCase(make('TX', {}, { exemptFrom: ['TX-SUI'] })), 'US-FUTA')).toBe('180.00'));
});

describe('benefits, tips, limits', () => {
  it('group-term life: wages for OASDI and HI, not for FUTA, nothing withheld on it, not in the gross (Publication 15-B)', () => {
    const plain = runCase(make('TX'));
    const answer = runCase(
      make('TX', {
        earnings: [
          { item: 'salary', amount: '3000.00' },
          { item: 'group-term-life', amount: '40.00' },
        ],
      }),
    );
    expect(answer.gross).toBe('3000.00');
    expect([wagesOf(answer, 'US-OASDI-EE'), wagesOf(answer, 'US-FIT'), wagesOf(answer, 'US-FUTA')]).toEqual([
      '3040.00',
      '3040.00',
      '3000.00',
    ]);
    expect(amount(answer, 'US-FIT')).toBe(amount(plain, 'US-FIT'));
  });
  it('a 2% shareholder’s health premium: income tax only (Notice 2008-1)', () => {
    const answer = runCase(
      make('TX', {
        earnings: [
          { item: 'salary', amount: '3000.00' },
          { item: 'shareholder-health', amount: '400.00' },
        ],
      }),
    );
    expect([wagesOf(answer, 'US-FIT'), wagesOf(answer, 'US-OASDI-EE'), wagesOf(answer, 'US-FUTA')]).toEqual([
      '3400.00',
      '3000.00',
      '3000.00',
    ]);
  });
  it('tips already in hand: tax that the cash does not cover is told, income tax gives way first (Publication 15, section 6)', () => {
    const answer = runCase(
      make('TX', {
        earnings: [
          { item: 'regular', hours: '10', rate: '2.13' },
          { item: 'tips-reported', amount: '900.00' },
        ],
      }),
    );
    expect([answer.net, amount(answer, 'US-FIT')]).toEqual(['0.00', '0.00']);
    expect(problems(answer)).toContain('tips.uncollected');
    const left = dollars(answer.tracked?.['uncollectedOasdi'] ?? '') + dollars(answer.tracked?.['uncollectedHi'] ?? '');
    // 7.65% of 921.30, less the 21.30 of cash.
    expect(left).toBe(dollars('70.48') - dollars('21.30'));
  });
  it('qualified overtime is the premium third of time and a half (Public Law 119-21)', () =>
    expect(
      runCase(make('TX', { earnings: [{ item: 'overtime', hours: '10', rate: '20.00' }] })).tracked?.[
        'qualifiedOvertime'
      ],
    ).toBe('100.00'));
  it('a loan of 700 at 90 takes 8 checks, the last 70', () => {
    let balance = dollars('700.00');
    const taken: string[] = [];
    while (balance > 0 && taken.length < 20) {
      const answer = runCase(
        make('TX', { deductions: [{ item: 'loan', amount: '90.00', balance: toDollars(balance) }] }),
      );
      const part = answer.deductions?.[0]?.amount ?? '0.00';
      taken.push(part);
      balance = (balance - dollars(part)) as Cents;
    }
    expect([taken.length, taken.at(-1)]).toEqual([8, '70.00']);
  });
  it('a percentage deferral stops at the limit of law to the cent, by age (Notice 2025-67)', () => {
    const deferral = (birthDate: string): string | undefined =>
      runCase(
        make(
          'TX',
          {
            deductions: [
              { item: '401k', percent: '50' },
              { item: 'roth-401k', amount: '100.00' },
            ],
            yearToDate: { deductions: { '401k': '24000.00', '403b': '100.00' } },
          },
          { birthDate },
        ),
      )
        .deductions?.map((line) => line.amount)
        .join(' ');
    expect(deferral('1990-01-01')).toBe('400.00 0.00');
    expect(deferral('1970-01-01')).toBe('1500.00 100.00');
  });
});

describe('overtime on the regular rate', () => {
  // 29 CFR § 778.110(b): 46 hours at 12.00 and a production bonus of 46.00: regular rate 13.00, pay 637.00 (recalled).
  it('46 hours at 12.00 with a bonus of 46.00 pay 637.00', () => {
    const answer = runCase(
      make('TX', {
        payFrequency: 'weekly',
        earnings: [
          { item: 'regular', hours: '40', rate: '12.00' },
          { item: 'overtime', hours: '6', rate: '12.00', regularRate: true },
          { item: 'bonus', amount: '46.00' },
        ],
      }),
    );
    expect(answer.gross).toBe('637.00');
  });
  it('without other pay it is the plain time and a half', () => {
    const earnings = (regularRate: boolean): unknown => [
      { item: 'regular', hours: '40', rate: '14.27' },
      { item: 'overtime', hours: '7', rate: '14.27', regularRate },
    ];
    expect(runCase(make('TX', { earnings: earnings(true) })).gross).toBe(
      runCase(make('TX', { earnings: earnings(false) })).gross,
    );
  });
});

describe('orders to withhold', () => {
  const order = (pay: string, payFrequency: string, orders: Given[], state = 'TN'): string[] =>
    runCase(
      make(
        state,
        { payFrequency, earnings: [{ item: 'salary', amount: pay }] },
        { federal: { form: '2020', filingStatus: 'single', exempt: true }, garnishments: orders },
      ),
    ).garnishments?.map((line) => line.amount) ?? [];
  const disposable = (pay: string): number =>
    dollars(pay) - Math.round(dollars(pay) * 0.062) - Math.round(dollars(pay) * 0.0145);
  it('a creditor: 25% of disposable earnings, or what is over 30 times the minimum wage (15 U.S.C. § 1673; WHD Fact Sheet 30)', () => {
    expect(order('1000.00', 'weekly', [{ kind: 'creditor' }])).toEqual([
      toDollars(Math.floor(disposable('1000.00') * 0.25) as Cents),
    ]);
    expect(order('250.00', 'weekly', [{ kind: 'creditor' }])).toEqual([
      toDollars((disposable('250.00') - 21_750) as Cents),
    ]);
    expect(order('217.50', 'weekly', [{ kind: 'creditor' }])).toEqual(['0.00']);
  });
  it.each([
    [{}, 0.6],
    [{ inArrears: true }, 0.65],
    [{ supportsOthers: true }, 0.5],
    [{ supportsOthers: true, inArrears: true }, 0.55],
  ])('child support %j: at most %s of disposable earnings', (more, share) =>
    expect(order('1000.00', 'weekly', [{ kind: 'child-support', ...more }])).toEqual([
      toDollars(Math.floor(disposable('1000.00') * share + 1e-6) as Cents),
    ]),
  );
  it('support comes first, and a creditor gets only what is left of the 25%', () =>
    expect(order('1000.00', 'weekly', [{ kind: 'creditor' }, { kind: 'child-support', amount: '300.00' }])).toEqual([
      '0.00',
      '300.00',
    ]));
  it('a levy leaves what Publication 1494 exempts: 16,100 and 5,300 for each of two dependents, by the week', () =>
    // (16,100.00 + 2 × 5,300.00) ÷ 52 = 513.46
    expect(order('1000.00', 'weekly', [{ kind: 'federal-levy', filingStatus: 'single', dependents: 2 }])).toEqual([
      toDollars((disposable('1000.00') - 51_346) as Cents),
    ]));
  it('where the state forbids it a creditor gets nothing, support still does', () =>
    expect(
      order('1000.00', 'weekly', [{ kind: 'creditor' }, { kind: 'child-support', amount: '100.00' }], 'TX'),
    ).toEqual(['0.00', '100.00']));
  it('all orders together never take more than there is', () => {
    fc.assert(
      fc.property(
        pays,
        fc.array(
          fc.constantFrom('bankruptcy', 'child-support', 'federal-levy', 'state-levy', 'student-loan', 'creditor'),
          { minLength: 1, maxLength: 6 },
        ),
        (pay, kinds) => {
          const answer = runCase(
            make(
              'TN',
              { earnings: [{ item: 'salary', amount: pay }] },
              { garnishments: kinds.map((kind) => ({ kind, fee: '2.00' })) },
            ),
          );
          return dollars(answer.net ?? '-1') >= 0;
        },
      ),
      { numRuns: 60 },
    );
  });
});

describe('gross-up', () => {
  it('inverts the net over all taxes of a state and a city', () => {
    const grossed = runCase(
      make(
        'NY',
        { earnings: [], grossUp: { item: 'bonus', net: '2500.00' } },
        { residence: { state: 'NY', locality: 'Yonkers' } },
      ),
    );
    expect(grossed.net).toBe('2500.00');
    const again = runCase(
      make(
        'NY',
        { earnings: [{ item: 'bonus', amount: grossed.grossUp?.amount }] },
        { residence: { state: 'NY', locality: 'Yonkers' } },
      ),
    );
    expect(again.net).toBe('2500.00');
  });
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

describe('leave in a case', () => {
  it('builds up by hours worked, and says when more is taken than there is', () => {
    const leave = [{ item: 'vacation', per: 'hour', hours: '0.05', balance: '4', lastCheck: '2026-05-29' }];
    const answer = runCase(
      make('TX', {
        leave,
        earnings: [
          { item: 'regular', hours: '72', rate: '20.00' },
          { item: 'vacation', hours: '8', rate: '20.00' },
        ],
      }),
    );
    expect(answer.leave).toEqual([{ item: 'vacation', accrued: '3.6', used: '8', lost: '0', balance: '-0.4' }]);
    expect(problems(answer)).toContain('leave.exceeded');
  });
});

describe('workers’ compensation', () => {
  const policy = {
    workersCompensation: [
      { class: '8810', rate: '0.25' },
      { class: '5403', per: 'hour', rate: '3.125' },
    ],
    unemploymentRates: { TX: '2.7' },
  };
  const earnings = [
    { item: 'regular', hours: '40', rate: '20.00' },
    { item: 'overtime', hours: '10', rate: '20.00' },
  ];
  const line = (workClass: string) => runCase(make('TX', { employer: policy, earnings }, { workClass }));
  // Common practice: the premium part of overtime is not in the pay.
  it('by pay: 1,000.00 of 1,100.00 at 0.25 for each 100', () =>
    expect(line('8810').workersCompensation).toEqual({ class: '8810', pay: '1000.00', hours: '0', amount: '2.50' }));
  it('by hours: 50 at 3.125', () =>
    expect(line('5403').workersCompensation).toMatchObject({ hours: '50', amount: '156.25' }));
  it('a class the policy does not name is an issue', () =>
    expect(line('9999').problems[0]?.field).toBe('employee.workClass'));
});
