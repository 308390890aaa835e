import { describe, expect, it } from '@jest/globals';
import { runCase } from '../casefile/run-case.js';
import { add, dollars, toDollars } from '../money/cents.js';
import { amount, make, problems } from '../testing/whole-checks.js';

type Case = Record<string, unknown>;
const warned = (given: Case): string[] => runCase(given).problems.map((issue) => `${issue.code} ${issue.field}`);
const notGiven = (given: Case): string[] => warned(given).filter((line) => line.startsWith('locality.not-given'));
const salary = (pay: string) => [{ item: 'salary', amount: pay }];

describe('a place that is not given', () => {
  const at = (home: Case, work: Case) => make(String(work['state']), {}, { residence: home, work: [work] });
  it.each([
    ['PA', ['employee.residence.locality', 'employee.work[0].locality']],
    ['OH', ['employee.residence.locality', 'employee.work[0].locality']],
    ['IN', ['employee.residence.locality']],
    ['KY', ['employee.work[0].locality']],
    // Two cities tax there, and nobody else.
    ['MI', []],
  ])('%s', (state, fields) =>
    expect(notGiven(at({ state }, { state }))).toEqual(fields.map((field) => `locality.not-given ${field}`)),
  );
  it('none is an answer', () => {
    const answer = at({ state: 'PA', locality: 'none' }, { state: 'PA', locality: 'None' });
    expect(notGiven(answer)).toEqual([]);
    expect(runCase(answer).taxes.filter((tax) => /-(EIT|LST)$/.test(tax.code))).toEqual([]);
  });
  it.each(['IN', 'MD'])('none is no answer in %s, which is all counties', (state) =>
    expect(warned(at({ state, locality: 'none' }, { state }))).toContain(
      'rule.locality-unknown employee.residence.locality',
    ),
  );
  it('work in an Indiana county by people of other states', () =>
    expect(notGiven(at({ state: 'IL' }, { state: 'IN' }))).toEqual(['locality.not-given employee.work[0].locality']));
  it('the residence, where residents of the place of work pay another rate', () => {
    const louisville = { state: 'KY', locality: 'Louisville' };
    expect(notGiven(at({ state: 'KY' }, louisville))).toEqual(['locality.not-given employee.residence.locality']);
    expect(notGiven(at({ state: 'KY', locality: 'Louisville' }, louisville))).toEqual([]);
    // Bowling Green takes 2% of everybody.
    expect(notGiven(at({ state: 'KY' }, { state: 'KY', locality: 'Bowling Green' }))).toEqual([]);
  });
});

describe('the federal certificate as that of the state', () => {
  const withheld = (state: string, federal: Case, own?: Case) =>
    amount(
      runCase(
        make(
          state,
          { earnings: salary(state === 'ND' ? '4000.00' : '1800.00') },
          { federal, certificates: own ? { [state]: own } : {} },
        ),
      ),
      `${state}-SIT`,
    );
  it.each(['CO', 'ND', 'NM', 'UT'])('%s takes the filing status from it, and says which', (state) => {
    const joint = { form: '2020', filingStatus: 'married-jointly' };
    expect(withheld(state, joint)).toBe(withheld(state, joint, { filingStatus: 'married-jointly' }));
    expect(withheld(state, joint)).not.toBe(withheld(state, joint, { filingStatus: 'single' }));
    expect(withheld(state, { form: 'pre-2020', maritalStatus: 'married', allowances: 2 })).toBe(withheld(state, joint));
    expect(withheld(state, { form: 'pre-2020', maritalStatus: 'married-at-single-rate', allowances: 0 })).toBe(
      withheld(state, joint, { filingStatus: 'single' }),
    );
    expect(withheld(state, { ...joint, exempt: true })).toBe('0.00');
    const said = runCase(make(state, {}, { federal: joint, certificates: {} })).problems;
    expect(JSON.stringify(said.find((issue) => issue.code === 'certificate.none'))).toMatch(/It is married jointly\./);
  });
  it('elsewhere a missing certificate is single, whatever the federal one says', () =>
    expect(withheld('ID', { form: '2020', filingStatus: 'married-jointly' })).toBe(
      withheld('ID', { form: '2020', filingStatus: 'single' }),
    ));
  it('an allowance of zero on Form DR 0004 is zero, one left blank the usual one', () => {
    const single = { form: '2020', filingStatus: 'single' };
    const zero = withheld('CO', single, { filingStatus: 'single', annualAllowance: '0' });
    const blank = withheld('CO', single, { filingStatus: 'single' });
    // 1,800.00 × 4.4% is 79.20, and 5,000.00 × 4.4% ÷ 26 is 8.46.
    expect([zero, blank]).toEqual(['79.20', '70.74']);
  });
});

describe('the federal tax that Alabama takes off wages', () => {
  const alabama = (more: Case, federal: Case = {}) =>
    amount(
      runCase(
        make(
          'AL',
          { earnings: salary('2000.00'), ...more },
          {
            federal: { form: '2020', filingStatus: 'single', ...federal },
            certificates: { AL: { filingStatus: 'single', dependents: 0 } },
          },
        ),
      ),
      'AL-SIT',
    );
  it('is what is withheld: with the additional amount, and by another program', () => {
    const cents = (more: Case, federal: Case = {}): number => dollars(alabama(more, federal) ?? '0');
    // 100.00 more of federal tax is 5% of 100.00 less for the state.
    expect(cents({}) - cents({}, { extraWithholding: '100.00' })).toBe(500);
    const federal = dollars(amount(runCase(make('AL', { earnings: salary('2000.00') })), 'US-FIT') ?? '0');
    expect(cents({}) - cents({ withheld: { 'US-FIT': toDollars(add(federal, dollars('100'))) } })).toBe(500);
  });
});

describe('New York City allowances left blank', () => {
  const city = {
    residence: { state: 'NY', locality: 'New York City' },
    work: [{ state: 'NY', locality: 'New York City' }],
  };
  const given = (certificate: Case) =>
    make('NY', { earnings: salary('3000.00') }, { ...city, certificates: { NY: certificate } });
  it('are none, and it is said', () => {
    const blank = given({ filingStatus: 'single', allowances: 3 });
    const zero = given({ filingStatus: 'single', allowances: 3, cityAllowances: 0 });
    expect(amount(runCase(blank), 'NY-NYC-LIT')).toBe(amount(runCase(zero), 'NY-NYC-LIT'));
    expect(warned(blank)).toContain('certificate.line-blank employee.certificates.NY.cityAllowances');
    expect(problems(runCase(zero))).not.toContain('certificate.line-blank');
  });
});

describe('codes of localities that no locality has', () => {
  it.each([
    ['an exemption', { employee: { exemptFrom: ['PA-PITSBURGH-EIT'] } }, 'employee.exemptFrom'],
    ['a rate', { employer: { rates: { 'PA-PITSBURGH-PET': '0.55' } } }, 'employer.rates.PA-PITSBURGH-PET'],
    ['wages', { yearToDate: { wages: { 'PA-PITSBURGH-EIT': '100.00' } } }, 'yearToDate.wages.PA-PITSBURGH-EIT'],
    ['taxes', { yearToDate: { taxes: { 'PA-PITSBURGH-EIT': '1.00' } } }, 'yearToDate.taxes.PA-PITSBURGH-EIT'],
  ])('%s is refused by its field', (_, { employee = {}, ...more }: Case & { employee?: Case }, field) =>
    expect(warned(make('PA', more, employee))).toContain(`tax.not-ours ${field}`),
  );
  it('those of the product are none of them', () =>
    expect(problems(runCase(make('PA', {}, { exemptFrom: ['PA-PITTSBURGH-LST'] })))).not.toContain('tax.not-ours'));
});

// Act 7 of 2007 (53 P.S. § 6924.301.1): 52 a year by the pay periods of the year, rounded down (recalled).
describe('the Pennsylvania local services tax', () => {
  const place = { state: 'PA', locality: 'Pittsburgh' };
  const services = (more: Case, employee: Case = {}) =>
    amount(runCase(make('PA', more, { residence: place, work: [place], ...employee })), 'PA-PITTSBURGH-LST');
  const taxes = (taken: string) => ({ taxes: { 'PA-PITTSBURGH-LST': taken } });
  it('goes by the check dates of the year: 2026 has 53 Thursdays and 52 Fridays', () => {
    expect(services({ payFrequency: 'weekly', checkDate: '2026-04-16' })).toBe('0.98');
    expect(services({ payFrequency: 'weekly', checkDate: '2026-04-17' })).toBe('1.00');
    expect(services({ payFrequency: 'semimonthly', checkDate: '2026-04-15' })).toBe('2.16');
  });
  it('stops at what is left of the year', () =>
    expect(services({ payFrequency: 'weekly', checkDate: '2026-12-18', yearToDate: taxes('51.40') })).toBe('0.60'));
  it('takes nothing again from a second check of a period', () => {
    const second = { payFrequency: 'weekly', checkDate: '2026-04-08', yearToDate: taxes('14.00') };
    expect(services({ ...second, monthToDate: taxes('1.00') })).toBe('1.00');
    expect(services({ ...second, monthToDate: taxes('2.00') })).toBe('0.00');
  });
  it('is not lifted by one small check, only by a certificate', () => {
    const small = { payFrequency: 'weekly', checkDate: '2026-04-17', earnings: salary('60.00') };
    expect(services(small)).toBe('1.00');
    expect(services(small, { exemptFrom: ['PA-PITTSBURGH-LST'] })).toBeUndefined();
  });
  it('catches up when wages pass what the certificate exempts', () => {
    const over = {
      payFrequency: 'weekly',
      checkDate: '2026-04-17',
      earnings: salary('900.00'),
      yearToDate: { wages: { 'US-HI': '11500.00' } },
    };
    // The 16th Friday of the year.
    expect(services(over, { exemptFrom: ['PA-PITTSBURGH-LST'] })).toBe('16.00');
    expect(warned(make('PA', over, { residence: place, work: [place], exemptFrom: ['PA-PITTSBURGH-LST'] }))).toContain(
      'exemption.ended employee.exemptFrom',
    );
  });
});

describe('hours that were not worked', () => {
  const premium = (state: string, code: string, earnings: unknown[]) =>
    amount(runCase(make(state, { earnings })), code);
  it('a bonus alone has no premium by the hour; a salary has full time less leave', () => {
    const oregon = (earnings: unknown[]) => premium('OR', 'OR-WBF-EE', earnings);
    const full = oregon(salary('3000.00'));
    expect(Number(full)).toBeGreaterThan(0);
    expect(Number(oregon([{ item: 'bonus', amount: '3000.00' }]))).toBe(0);
    expect(Number(oregon([{ item: 'severance', amount: '3000.00' }]))).toBe(0);
    expect(Number(oregon([{ item: 'vacation', amount: '3000.00' }]))).toBe(0);
    expect(Number(oregon([...salary('2700.00'), { item: 'vacation', hours: '8', rate: '37.50' }]))).toBeLessThan(
      Number(full),
    );
  });
});

describe('what the state asks of an employer beside its taxes', () => {
  const has = (code: string, given: Case): boolean => problems(runCase(given)).includes(code);
  it('Hawaii lets an employee bear 1.5% of wages of the premium for health coverage', () => {
    const premium = (amount: string, state = 'HI') =>
      make(state, { deductions: [{ item: 'section-125-health', amount }] });
    // 1.5% of 3,000.00 (HRS § 393-13, recalled).
    expect(has('deduction.health-share', premium('45.00'))).toBe(false);
    expect(has('deduction.health-share', premium('45.01'))).toBe(true);
    expect(has('deduction.health-share', premium('45.01', 'OR'))).toBe(false);
  });
  it('Minnesota’s rate of small employers is said to ask for more, until it is the client’s own', () => {
    const small = (employees: number, rates: Case = {}) =>
      make('MN', { employer: { employees, unemploymentRates: { MN: '1.0' }, rates } });
    expect(has('program.condition', small(30))).toBe(true);
    expect(has('program.condition', small(31))).toBe(false);
    expect(has('program.condition', small(30, { 'MN-PFML-ER': '0.22' }))).toBe(false);
  });
});

describe('a county of Indiana', () => {
  const marion = { state: 'IN', locality: 'Marion' };
  const county = (earnings: unknown[], employee: Case = { residence: marion, work: [marion] }) =>
    amount(
      runCase(
        make(
          'IN',
          { earnings },
          { ...employee, certificates: { IN: { personalExemptions: 3, dependentExemptions: 0 } } },
        ),
      ),
      'IN-MARION-LIT',
    );
  it('takes its rate of a supplemental payment, without the exemptions of a pay period', () => {
    // 2.02% of 100.00, where three exemptions of 1,000.00 a year would have left nothing.
    expect(county([{ item: 'bonus', amount: '100.00' }])).toBe('2.02');
  });
  it('takes people of other states by the pay of its place', () => {
    const two = {
      residence: { state: 'IL' },
      work: [
        { ...marion, share: '0.5' },
        { state: 'IL', share: '0.5' },
      ],
    };
    expect(county([{ item: 'bonus', amount: '100.00' }], { ...two, unemploymentState: 'IN' })).toBe('1.01');
  });
});
