import { describe, expect, it } from '@jest/globals';
import { runCase, type CaseAnswer } from '../casefile/run-case.js';
import { dollars, toDollars, type Cents } from '../money/cents.js';
import { amount, make, problems, wagesOf, type Given } from '../testing/whole-checks.js';

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
    expect(answer.tracked?.['oasdiTips']).toBe('900.00');
    const left = dollars(answer.tracked?.['uncollectedOasdi'] ?? '') + dollars(answer.tracked?.['uncollectedHi'] ?? '');
    // 7.65% of 921.30, less the 21.30 of cash.
    expect(left).toBe(dollars('70.48') - dollars('21.30'));
  });
  it('tips fill what other wages leave of the OASDI base (Form W-2, box 7)', () => {
    // 184,500.00 in 2026 (SSA, recalled): 500.00 are left, 300.00 of them for the salary.
    const answer = runCase(
      make('TX', {
        earnings: [
          { item: 'salary', amount: '300.00' },
          { item: 'tips-paid', amount: '900.00' },
        ],
        yearToDate: { wages: { 'US-OASDI': '184000.00' } },
      }),
    );
    expect([wagesOf(answer, 'US-OASDI-EE'), answer.tracked?.['oasdiTips']]).toEqual(['500.00', '200.00']);
  });
  it('qualified overtime is the premium third of time and a half (Public Law 119-21)', () =>
    expect(
      runCase(make('TX', { earnings: [{ item: 'overtime', hours: '10', rate: '20.00' }] })).tracked?.[
        'qualifiedOvertime'
      ],
    ).toBe('100.00'));
  it('on the regular rate it is half of that rate, also of double time', () => {
    // (45 × 20.00 + 90.00) ÷ 45 = 22.00 an hour: 5 hours × 11.00 are qualified, whatever the factor is.
    const qualified = (item: string) =>
      runCase(
        make('TX', {
          earnings: [
            { item: 'regular', hours: '40', rate: '20.00' },
            { item, hours: '5', rate: '20.00', regularRate: true },
            { item: 'bonus', amount: '90.00' },
          ],
        }),
      ).tracked?.['qualifiedOvertime'];
    expect([qualified('overtime'), qualified('double-time'), qualified('overtime-not-qualified')]).toEqual([
      '55.00',
      '55.00',
      undefined,
    ]);
  });
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

describe('the limit on a health savings account (Rev. Proc. 2025-19, recalled: 4,400 and 8,750 for 2026)', () => {
  const taken = (deduction: Given, more: Given = {}, birthDate = '1990-01-01'): string | undefined =>
    runCase(
      make(
        'TX',
        {
          earnings: [{ item: 'salary', amount: '20000.00' }],
          deductions: [{ item: 'hsa', amount: '10000.00', ...deduction }],
          ...more,
        },
        { birthDate },
      ),
    ).deductions?.[0]?.amount;
  it('of a family, of one person, and 1,000 more from the year of the 55th birthday on', () =>
    expect([taken({}), taken({ coverage: 'self' }), taken({ coverage: 'self' }, {}, '1971-12-31')]).toEqual([
      '8750.00',
      '4400.00',
      '5400.00',
    ]));
  it('is shared with what the employer put in', () =>
    expect(taken({ coverage: 'self' }, { yearToDate: { employerPaid: { 'employer-hsa': '1500.00' } } })).toBe(
      '2900.00',
    ));
  it('a coverage that is none is an issue', () =>
    expect(problems(runCase(make('TX', { deductions: [{ item: 'hsa', amount: '10.00', coverage: 'pair' }] })))).toEqual(
      ['input.not-one-of'],
    ));
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
  // 29 CFR § 778.207(b): a shift premium is in the regular rate; 40 hours at 10.00, 5 over, 1.00 a night hour for 20 of them.
  it('a shift premium is in the rate, its hours are not counted again', () => {
    const earnings = [
      { item: 'regular', hours: '40', rate: '10.00' },
      { item: 'overtime', hours: '5', rate: '10.00', regularRate: true },
      { item: 'shift', hours: '20', rate: '1.00' },
    ];
    // (450.00 + 20.00) ÷ 45 = 10.4444…; 450.00 + 20.00 + 5 × 0.5 × 10.4444… = 496.11
    expect(runCase(make('TX', { payFrequency: 'weekly', earnings })).gross).toBe('496.11');
  });
  it('a line of the premium alone is half of the regular rate, and changes no rate itself', () => {
    const earnings = [
      { item: 'regular', hours: '46', rate: '12.00' },
      { item: 'overtime-premium', hours: '6', rate: '12.00', regularRate: true },
      { item: 'bonus', amount: '46.00' },
    ];
    expect(runCase(make('TX', { payFrequency: 'weekly', earnings })).gross).toBe('637.00');
  });
  it('severance, tips and vacation are not for hours of the week', () => {
    const earnings = [
      { item: 'regular', hours: '40', rate: '12.00' },
      { item: 'overtime', hours: '6', rate: '12.00', regularRate: true },
      { item: 'severance', amount: '900.00' },
      { item: 'tips-paid', amount: '80.00' },
      { item: 'vacation', hours: '8', rate: '12.00' },
    ];
    // 40 × 12.00 + 6 × 18.00 + 900.00 + 80.00 + 96.00
    expect(runCase(make('TX', { payFrequency: 'weekly', earnings })).gross).toBe('1664.00');
  });
  it('premiums by the hour count each hour once', () => {
    const earnings = [
      { item: 'regular', hours: '45', rate: '20.00' },
      { item: 'overtime-premium', hours: '5', rate: '20.00' },
      { item: 'shift', hours: '10', rate: '1.00' },
    ];
    const answer = runCase(make('OR', { payFrequency: 'weekly', earnings }));
    expect(amount(answer, 'OR-WBF-EE')).toBe('0.45');
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

describe('a salary of another frequency', () => {
  const gross = (payFrequency: string, line: Given, settings: Given = {}) =>
    runCase(make('TX', { payFrequency, earnings: [{ item: 'salary', ...line }], settings }));
  // Common practice: times the periods of the one, divided by the periods of the other, rounded once.
  it.each([
    ['weekly', '3190.00', 'monthly', '736.15'],
    ['biweekly', '65000.00', 'annually', '2500.00'],
    ['semimonthly', '1000.00', 'weekly', '2166.67'],
    ['monthly', '250.00', 'daily', '5416.67'],
  ])('paid %s, %s %s are %s', (payFrequency, amountOf, per, expected) =>
    expect(gross(payFrequency, { amount: amountOf, per }).gross).toBe(expected),
  );
  it('in a miscellaneous period is that of a day, times the days', () =>
    expect(gross('miscellaneous', { amount: '65000.00', per: 'annually' }, { daysInPeriod: 3 }).gross).toBe('750.00'));
  it('needs its amount, and a frequency that there is', () => {
    expect(problems(gross('weekly', { per: 'monthly' }))).toContain('input.missing');
    expect(problems(gross('weekly', { amount: '1000.00', per: 'fortnightly' }))).toContain('input.not-one-of');
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

describe('sick pay that an insurer pays', () => {
  const sick = { item: 'third-party-sick-pay', amount: '800.00' };
  const salary = { item: 'salary', amount: '2000.00' };
  const paid = (earnings: Given[], more: Given = {}): CaseAnswer => runCase(make('TX', { earnings, ...more }));

  // Publication 15-A, section 6: the insurer withholds the employee's half and leaves the other to the employer.
  it('is wages in full, but the tax of the employee on it is the insurer’s to withhold', () => {
    const answer = paid([salary, sick]);
    expect([wagesOf(answer, 'US-OASDI-EE'), amount(answer, 'US-OASDI-EE')]).toEqual(['2800.00', '124.00']);
    expect([wagesOf(answer, 'US-HI-EE'), amount(answer, 'US-HI-EE')]).toEqual(['2800.00', '29.00']);
    expect([amount(answer, 'US-OASDI-ER'), amount(answer, 'US-HI-ER')]).toEqual(['173.60', '40.60']);
    expect(answer.tracked).toMatchObject({ sickPayOasdi: '49.60', sickPayHi: '11.60' });
    expect(amount(answer, 'US-FIT')).toBe(amount(paid([salary]), 'US-FIT'));
    expect([answer.gross, wagesOf(answer, 'US-FIT')]).toEqual(['2000.00', '2800.00']);
  });
  it('alone on a check leaves nothing to pay and nothing to withhold', () => {
    const answer = paid([sick]);
    expect([answer.gross, answer.net, problems(answer)]).toEqual(['0.00', '0.00', []]);
    expect(amount(answer, 'US-OASDI-ER')).toBe('49.60');
  });
  it('counts after the other wages where the base is crossed', () => {
    // 184,500.00 in 2026 (SSA, recalled): 2,500.00 are left, of which 500.00 are sick pay.
    const answer = paid([salary, sick], { yearToDate: { wages: { 'US-OASDI': '182000.00' } } });
    expect([wagesOf(answer, 'US-OASDI-EE'), amount(answer, 'US-OASDI-EE')]).toEqual(['2500.00', '124.00']);
    expect(answer.tracked?.['sickPayOasdi']).toBe('31.00');
  });
  it('says in the working who withheld what', () => {
    const answer = runCase(make('TX', { earnings: [salary, sick] }), true);
    expect(answer.working?.['US-OASDI-EE']?.at(-1)).toMatchObject({
      value: '49.60',
      how: expect.stringContaining('124.00'),
    });
  });
});

describe('what the employer pays on top', () => {
  const SAFE_HARBOR = [
    { percent: '100', upTo: '3' },
    { percent: '50', upTo: '5' },
  ];
  const added = (line: Given, more: Given = {}): string | undefined =>
    runCase(
      make('TX', {
        earnings: [{ item: 'salary', amount: '3000.00' }],
        employerPaid: [{ item: 'match-401k', ...line }],
        ...more,
      }),
    ).employerPaid?.[0]?.amount;
  const deferring = (...amounts: [string, string][]): Given => ({
    deductions: amounts.map(([item, of]) => ({ item, amount: of })),
  });

  // Treas. Reg. § 1.401(k)-3(c)(2), the basic matching formula: 100% of the first 3% of pay and 50% of the next 2%.
  it.each([
    ['0.00', '0.00'],
    ['60.00', '60.00'],
    ['90.00', '90.00'],
    ['90.01', '90.01'],
    ['120.00', '105.00'],
    ['150.00', '120.00'],
    ['500.00', '120.00'],
  ])('the basic safe-harbor match of %s deferred from 3,000.00 is %s', (deferred, match) =>
    expect(added({ match: SAFE_HARBOR }, deferring(['401k', deferred]))).toBe(match),
  );
  it('matches all deferrals of the check together, and nothing that is no deferral', () => {
    const several = deferring(['401k', '50.00'], ['roth-401k', '30.00'], ['catch-up-401k', '10.00'], ['fsa', '40.00']);
    expect(added({ match: SAFE_HARBOR }, several)).toBe('90.00');
  });
  it('matches what was taken, not what was asked for', () => {
    const more = {
      ...deferring(['401k', '100.00']),
      yearToDate: { deductions: { '401k': '24460.00' } },
    };
    // 24,500.00 in 2026 (Notice 2025-67, recalled): 40.00 are left.
    expect(added({ match: [{ percent: '50' }] }, more)).toBe('20.00');
  });
  it('may be an amount or a percentage of gross, and stops at its limits', () => {
    expect([added({ amount: '25.00' }), added({ percent: '3.333' })]).toEqual(['25.00', '99.99']);
    expect(added({ percent: '5', perCheck: '120.00' })).toBe('120.00');
    const near = { yearToDate: { employerPaid: { 'match-401k': '970.00' } } };
    expect(added({ percent: '5', perYear: '1000.00' }, near)).toBe('30.00');
  });
  it('is not in the net, and says how it was made', () => {
    const answer = runCase(
      make('TX', { employerPaid: [{ item: 'match-401k', match: SAFE_HARBOR }], ...deferring(['401k', '120.00']) }),
      true,
    );
    const without = runCase(make('TX', deferring(['401k', '120.00'])));
    expect(answer.net).toBe(without.net);
    expect(answer.working?.['employer-paid']?.map((line) => line.value)).toEqual(['90.00', '15.00', '105.00']);
  });
  it.each<[Given, string, string]>([
    [{}, 'input.missing', 'employerPaid[0].amount'],
    [{ amount: '5.00', percent: '3' }, 'deduction.needs-amount', 'employerPaid[0]'],
    [{ match: [{ upTo: '3' }] }, 'input.not-a-decimal', 'employerPaid[0].match[0].percent'],
    [{ match: [{ percent: '50' }, { percent: '25', upTo: '6' }] }, 'match.order', 'employerPaid[0].match[1].upTo'],
    [
      {
        match: [
          { percent: '50', upTo: '6' },
          { percent: '25', upTo: '6' },
        ],
      },
      'match.order',
      'employerPaid[0].match[1].upTo',
    ],
    [{ percent: '1001' }, 'input.too-large', 'employerPaid[0].percent'],
    [{ percent: '3', balance: '9.00' }, 'input.unknown-field', 'employerPaid[0].balance'],
  ])('%j is refused', (line, code, field) => {
    const answer = runCase(make('TX', { employerPaid: [{ item: 'match-401k', ...line }] }));
    expect(answer.problems).toContainEqual(expect.objectContaining({ code, field }));
  });
});
