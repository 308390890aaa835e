import { describe, expect, it } from '@jest/globals';
import { runCase, type CaseAnswer } from '../casefile/run-case.js';
import { dollars } from '../money/cents.js';
import { amount, make, problems, wagesOf, type Given } from '../testing/whole-checks.js';

describe('the federal certificate over time (Publication 15, section 9)', () => {
  const exempt = { form: '2020', filingStatus: 'married-jointly', exempt: true, exemptYear: 2025 };
  const on = (checkDate: string, more: Given = {}): CaseAnswer =>
    runCase(make('TX', { checkDate }, { federal: { ...exempt, ...more } }));
  // February 15, 2026 is a Sunday and the 16th Washington's Birthday: the new certificate is due on the 17th.
  it('an exemption holds through February 15 of the next year or the business day after, then single without entries', () => {
    expect(amount(on('2026-02-17'), 'US-FIT')).toBe('0.00');
    const after = on('2026-02-18');
    expect(amount(after, 'US-FIT')).toBe(amount(runCase(make('TX', { checkDate: '2026-02-18' })), 'US-FIT'));
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
    expect(amount(beyond, 'US-FIT')).toBe(
      amount(runCase(make('TX', { earnings: [{ item: 'salary', amount: '9000.00' }] })), 'US-FIT'),
    );
  });
  it('a wage-bracket row is found by the adjusted wages of step 4 (Publication 15-T, Worksheet 2)', () => {
    const withBracket = (federal: Given, pay: string): string | undefined =>
      amount(
        runCase(
          make(
            'TX',
            { settings: { withholdingMethod: 'wage-bracket' }, earnings: [{ item: 'salary', amount: pay }] },
            { federal: { form: '2020', filingStatus: 'single', ...federal } },
          ),
        ),
        'US-FIT',
      );
    // 26 × 100.00 of other income is 100.00 a period; the rows of biweekly pay are 20.00 wide.
    expect(withBracket({ otherIncome: '2600.00' }, '1995.00')).toBe(withBracket({}, '2095.00'));
    expect(withBracket({ deductions: '2600.00' }, '2105.00')).toBe(withBracket({}, '2005.00'));
    expect(withBracket({}, '2001.00')).toBe(withBracket({}, '2019.99'));
  });
  it('the flat rate on a bonus paid alone takes no notice of the certificate (Treas. Reg. § 31.3402(g)-1(a)(7))', () => {
    const bonus = (method: string): string | undefined =>
      amount(
        runCase(
          make(
            'TX',
            { earnings: [{ item: 'bonus', amount: '1000.00' }], settings: { supplementalMethod: method } },
            { federal: { form: '2020', filingStatus: 'single', extraWithholding: '40.00' } },
          ),
        ),
        'US-FIT',
      );
    expect(bonus('flat')).toBe('220.00');
    // 10% of 26,000.00 − 8,600.00 − 7,500.00, by 26 periods: 38.08, and the 40.00.
    expect(bonus('aggregate')).toBe('78.08');
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
  it('a state that owes the federal fund costs its employers credit, with Form 940 (Schedule A; 2025: California 1.2%, recalled)', () => {
    const in2025 = (state: string): CaseAnswer => runCase(make(state, { checkDate: '2025-06-13' }));
    expect(amount(in2025('CA'), 'US-FUTA')).toBe('18.00');
    expect(in2025('CA').tracked?.['futaCreditReduction']).toBe('36.00');
    expect(in2025('NV').tracked?.['futaCreditReduction']).toBeUndefined();
  });
  it.each([
    ['household', '999.99', undefined, false],
    ['household', '1000.00', undefined, true],
    ['agricultural', '19999.99', 9, false],
    ['agricultural', '19999.99', 10, true],
    ['agricultural', '20000.00', 3, true],
  ])(
    '%s employer with %s a quarter and %s people: FUTA %s (IRC § 3306(a))',
    (of, quarterlyPayroll, employees, owes) => {
      const employer = {
        kind: of,
        quarterlyPayroll,
        unemploymentRates: { TX: '2.7' },
        ...(employees ? { employees } : {}),
      };
      expect(codes(runCase(make('TX', { employer }))).includes('US-FUTA')).toBe(owes);
    },
  );
  it('Nebraska’s minimum of 1.5% binds employers of more than 25 people', () => {
    const of = (employees: number | null): string | undefined =>
      amount(
        runCase(
          make(
            'NE',
            {
              earnings: [{ item: 'salary', amount: '600.00' }],
              employer: { unemploymentRates: { NE: '2.7' }, employees },
            },
            { certificates: { NE: { filingStatus: 'married-jointly', allowances: 3 } } },
          ),
        ),
        'NE-SIT',
      );
    expect([of(25), of(26), of(null)]).toEqual(['0.00', '9.00', '9.00']);
  });
});
