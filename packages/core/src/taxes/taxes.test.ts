import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { date } from '../calendar/local-date.js';
import { PAY_FREQUENCIES, PERIODS_PER_YEAR } from '../calendar/pay-frequency.js';
import { WITHHOLDING } from '../jurisdictions/us/parameters.js';
import { ZERO, add, cents, dollars, toDollars, type Cents } from '../money/cents.js';
import type { Certificate2020, FederalCertificate } from '../computation/input.js';
import { overMark, underBase } from './capped-tax.js';
import { federalIncomeTax, type FederalWithholdingInput } from './federal-income-tax.js';
import { TAXES } from '../tax-registry/registry.js';
import { runCase } from '../casefile/run-case.js';

const w4: Certificate2020 = {
  form: '2020',
  filingStatus: 'single',
  multipleJobs: false,
  dependentCredit: ZERO,
  otherIncome: ZERO,
  deductions: ZERO,
  extraWithholding: ZERO,
  exempt: false,
  exemptYear: null,
  nonresidentAlien: false,
  isLockedIn: false,
};
const given = (more: Partial<FederalWithholdingInput> = {}): FederalWithholdingInput => ({
  checkDate: date('2026-06-12'),
  payFrequency: 'biweekly',
  certificate: w4,
  regularWages: dollars('3000.00'),
  supplementalWages: ZERO,
  supplementalMethod: 'flat',
  supplementalToDate: ZERO,
  toDollar: false,
  method: 'percentage',
  daysInPeriod: 1,
  lastRegular: null,
  ...more,
});
const fit = (more: Partial<FederalWithholdingInput> = {}): Cents => federalIncomeTax(given(more)).tax;
const wages = fc.integer({ min: 0, max: 5_000_000 }).map((amount) => cents(amount));
const certificate = (more: Partial<Certificate2020>): FederalCertificate => ({ ...w4, ...more });

describe('limits', () => {
  const BASE = dollars('184500');
  it('under and over a limit add up to the wages', () => {
    fc.assert(
      fc.property(
        wages,
        fc.integer({ min: 0, max: 30_000_000 }).map((amount) => cents(amount)),
        (amount, toDate) => add(underBase(amount, toDate, BASE), overMark(amount, toDate, BASE)) === amount,
      ),
    );
  });
  it.each([
    ['0.00', '1000.00'],
    ['184000.00', '500.00'],
    ['184500.00', '0.00'],
    ['190000.00', '0.00'],
  ])('after %s there is room for %s of 1,000.00', (toDate, room) =>
    expect(toDollars(underBase(dollars('1000.00'), dollars(toDate), BASE))).toBe(room),
  );
});

describe('federal income tax, Publication 15-T Worksheet 1A', () => {
  it('nothing is withheld below the first threshold, and never a negative amount', () => {
    expect(fit({ regularWages: dollars('500.00') })).toBe(0);
    fc.assert(
      fc.property(
        wages,
        fc.integer({ min: 0, max: 2_000_000 }).map((amount) => cents(amount)),
        (amount, credit) => fit({ regularWages: amount, certificate: certificate({ dependentCredit: credit }) }) >= 0,
      ),
    );
  });
  it('more pay is never less tax, for every status and frequency', () => {
    fc.assert(
      fc.property(
        wages,
        fc.integer({ min: 0, max: 100_000 }),
        fc.constantFrom('single', 'married-jointly', 'married-separately', 'head-of-household'),
        fc.boolean(),
        fc.constantFrom(...PAY_FREQUENCIES),
        (amount, more, filingStatus, multipleJobs, payFrequency) => {
          const common = { certificate: certificate({ filingStatus, multipleJobs }), payFrequency } as const;
          return fit({ ...common, regularWages: cents(amount + more) }) >= fit({ ...common, regularWages: amount });
        },
      ),
    );
  });
  it('the same year of pay is taxed alike at every frequency, to the rounding of each check', () => {
    const yearly = dollars('78000.00');
    const totals = PAY_FREQUENCIES.filter((frequency) => yearly % PERIODS_PER_YEAR[frequency] === 0).map(
      (frequency) => {
        const periods = PERIODS_PER_YEAR[frequency];
        return { periods, total: fit({ payFrequency: frequency, regularWages: cents(yearly / periods) }) * periods };
      },
    );
    const annual = totals.find((row) => row.periods === 1)?.total ?? -1;
    for (const { periods, total } of totals) expect(Math.abs(total - annual)).toBeLessThanOrEqual(periods / 2);
  });
  it('married filing separately is the single table', () =>
    expect(fit({ certificate: certificate({ filingStatus: 'married-separately' }) })).toBe(fit()));
  it('the step 2 box withholds more, and takes no line 1g', () =>
    expect(fit({ certificate: certificate({ multipleJobs: true }) })).toBeGreaterThan(fit()));
  it('step 4: other income adds, deductions take away, extra is on top', () => {
    expect(fit({ certificate: certificate({ otherIncome: dollars('2600.00') }) })).toBe(
      fit({ regularWages: dollars('3100.00') }),
    );
    expect(fit({ certificate: certificate({ deductions: dollars('2600.00') }) })).toBe(
      fit({ regularWages: dollars('2900.00') }),
    );
    expect(fit({ certificate: certificate({ extraWithholding: dollars('25.00') }) })).toBe(
      add(fit(), dollars('25.00')),
    );
  });
  it('an unused credit does not touch the extra amount', () =>
    expect(
      fit({
        regularWages: dollars('900.00'),
        certificate: certificate({ dependentCredit: dollars('9000.00'), extraWithholding: dollars('10.00') }),
      }),
    ).toBe(1000));
  it('no pay, no extra withholding', () =>
    expect(fit({ regularWages: ZERO, certificate: certificate({ extraWithholding: dollars('10.00') }) })).toBe(0));
  it('to the dollar when the firm rounds so', () => {
    expect(fit({ toDollar: true }) % 100).toBe(0);
    expect(Math.abs(fit({ toDollar: true }) - fit())).toBeLessThanOrEqual(50);
  });
  it('a year without a table is an issue, not a zero without a word', () => {
    const { tax, problems } = federalIncomeTax(given({ checkDate: date('2027-01-04') }));
    expect([tax, problems.map((problem) => problem.code)]).toEqual([0, ['rule.none-in-force']]);
  });
  it('the check date decides the year of the table', () =>
    expect(fit({ checkDate: date('2025-12-31') })).not.toBe(fit({ checkDate: date('2026-01-02') })));
});

describe('supplemental wages, Publication 15 section 7', () => {
  const bonus = (amount: string, more: Partial<FederalWithholdingInput> = {}): string =>
    toDollars(fit({ regularWages: ZERO, supplementalWages: dollars(amount), ...more }));
  it('flat: 22%', () => expect(bonus('1000.00')).toBe('220.00'));
  it('the part over one million in the year: 37%, also on the check that crosses', () => {
    expect(bonus('1000.00', { supplementalToDate: dollars('999500.00') })).toBe('295.00');
    expect(bonus('1000.00', { supplementalToDate: dollars('1000000.00') })).toBe('370.00');
  });
  it('over one million even for an exempt person, and even by the aggregate method', () => {
    expect(
      bonus('1000.00', { supplementalToDate: dollars('1000000.00'), certificate: certificate({ exempt: true }) }),
    ).toBe('370.00');
    expect(bonus('1000.00', { supplementalToDate: dollars('1000000.00'), supplementalMethod: 'aggregate' })).toBe(
      '370.00',
    );
    expect(bonus('1000.00', { certificate: certificate({ exempt: true }) })).toBe('0.00');
  });
  it('aggregate: taxed as one payment with the regular wages', () =>
    expect(
      fit({ regularWages: dollars('2000.00'), supplementalWages: dollars('1000.00'), supplementalMethod: 'aggregate' }),
    ).toBe(fit({ regularWages: dollars('3000.00') })));
});

describe('certificates from before 2020', () => {
  const old = (
    maritalStatus: 'single' | 'married' | 'married-at-single-rate',
    allowances: number,
  ): FederalCertificate => ({
    form: 'pre-2020',
    maritalStatus,
    allowances,
    extraWithholding: ZERO,
    exempt: false,
    exemptYear: null,
    nonresidentAlien: false,
    isLockedIn: false,
  });
  it('two allowances of 4,300 are the 8,600 that a single person’s new certificate has on line 1g', () =>
    expect(fit({ certificate: old('single', 2) })).toBe(fit()));
  it('three allowances are the 12,900 of a joint return', () =>
    expect(fit({ certificate: old('married', 3) })).toBe(
      fit({ certificate: certificate({ filingStatus: 'married-jointly' }) }),
    ));
  it('married at the single rate is single', () =>
    expect(fit({ certificate: old('married-at-single-rate', 1) })).toBe(fit({ certificate: old('single', 1) })));
  it('each allowance lowers the tax', () =>
    expect(fit({ certificate: old('single', 1) })).toBeLessThan(fit({ certificate: old('single', 0) })));
});

describe('New York, Publication NYS-50-T-NYS Method II', () => {
  const withheld = (
    regular: string,
    more: Record<string, unknown> = {},
    bonus = '0.00',
    supplementalMethod: 'flat' | 'aggregate' = 'flat',
  ): Cents => {
    const answer = runCase({
      id: 'ny',
      checkDate: '2026-06-12',
      payFrequency: 'biweekly',
      employee: {
        federal: { form: '2020', filingStatus: 'single' },
        residence: { state: 'NY' },
        work: [{ state: 'NY' }],
        certificates: { NY: { filingStatus: 'single', allowances: 0, ...more } },
      },
      employer: { unemploymentRates: { NY: '4.1' } },
      earnings: [
        { item: 'salary', amount: regular },
        { item: 'bonus', amount: bonus },
      ],
      settings: { supplementalMethod },
    });
    return dollars(answer.taxes.find((tax) => tax.code === 'NY-SIT')?.amount ?? '-1');
  };
  it('each allowance takes 1,000 a year out of what is taxed', () =>
    expect(withheld('2512.00', { allowances: 26 })).toBe(withheld('1512.00')));
  it('head of household and married at the single rate use the single table', () =>
    expect(withheld('2000.00', { filingStatus: 'head-of-household' })).toBe(
      withheld('2000.00', { filingStatus: 'married-at-single-rate' }),
    ));
  it('the flat rate on a bonus is added, the aggregate method taxes it with the rest', () => {
    expect(withheld('2000.00', {}, '1000.00')).toBe(add(withheld('2000.00'), dollars('117.00')));
    expect(withheld('2000.00', {}, '1000.00', 'aggregate')).toBe(withheld('3000.00'));
  });
});

describe('the registry of taxes', () => {
  it('names each tax once', () => expect(new Set(TAXES.map((tax) => tax.code)).size).toBe(TAXES.length));
  it('the halves of a tax that both pay share a group', () => {
    const halves = TAXES.filter((tax) => tax.code.endsWith('-EE'));
    for (const half of halves) {
      const other = TAXES.find((tax) => tax.code === half.code.replace(/-EE$/, '-ER'));
      if (other) expect(other).toMatchObject({ payer: 'employer', group: half.group, agency: half.agency });
    }
    expect(halves.length).toBeGreaterThan(10);
  });
  it('the withholding tables are those that are loaded', () =>
    expect(WITHHOLDING.map((row) => row.from)).toEqual(['2024-01-01', '2025-01-01', '2026-01-01']));
});
