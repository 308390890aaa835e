import { describe, expect, it } from '@jest/globals';
import { date } from '../../calendar/local-date.js';
import type { LedgerEntry } from '../../ledger/entry.js';
import { ZERO, dollars } from '../../money/cents.js';
import { filingFacts } from '../../testing/filings.js';
import { w2Person } from '../../testing/people.js';
import { statementPartOf, type TaxCode } from '../../tax-registry/registry.js';
import { runChecks } from '../checks.js';
import { CHECKS_W2 } from './checks.js';
import { formW3, formsW2, type FormW2, type W2Check } from './form.js';
import { US_W2 } from './kind.js';

const entry = (tax: TaxCode, subject: string, amount: string): LedgerEntry => ({
  employeeId: 'a',
  tax,
  cause: 'payroll',
  liabilityDate: date('2026-07-10'),
  effectiveDate: date('2026-07-10'),
  subject: dollars(subject),
  wages: dollars(subject),
  amount: dollars(amount),
});
const check = (more: Partial<W2Check>): W2Check => ({
  employeeId: 'a',
  earnings: [],
  deductions: [],
  employerPaid: [],
  tracked: {},
  ...more,
});
const FEDERAL = [entry('US-FIT', '1000.00', '80.00'), entry('US-OASDI-EE', '1000.00', '62.00')];
function formOf(checks: readonly W2Check[], more: readonly LedgerEntry[] = [], year = 2026): FormW2 {
  const [form] = formsW2({
    year,
    people: [w2Person('a')],
    entries: [...FEDERAL, ...more],
    checks,
    stateIds: { NY: '47-1' },
  });
  if (!form) throw new Error('no form');
  return form;
}
const line = (item: string, amount: string) => ({ item, amount: dollars(amount) });
const codes = (form: FormW2) => Object.fromEntries(form.box12.map(({ code, amount }) => [code, amount]));

// General Instructions for Forms W-2 and W-3, box by box (recalled).
describe('Form W-2', () => {
  it('box 12 takes its codes from earnings, deductions and what the employer pays', () => {
    const form = formOf([
      check({
        earnings: [line('group-term-life', '12.00'), line('regular', '1000.00')],
        deductions: [line('simple-ira', '30.00'), line('roth-457b', '20.00'), line('hsa', '40.00')],
        employerPaid: [line('employer-hsa', '25.00')],
      }),
      check({ deductions: [line('hsa', '40.00')] }),
    ]);
    // W is what both put into the account through the plan.
    expect(codes(form)).toEqual({ C: 1200, S: 3000, EE: 2000, W: 10_500 });
  });
  it('the cost of health coverage is that of both, and only where the employer’s part is known', () => {
    const deductions = [line('section-125-health', '60.00')];
    expect(codes(formOf([check({ deductions })]))).toEqual({});
    expect(codes(formOf([check({ deductions, employerPaid: [line('employer-health', '240.00')] })]))).toEqual({
      DD: 30_000,
    });
  });
  it('box 10 has dependent care, and nothing of it stands in box 12', () => {
    const form = formOf([check({ deductions: [line('dependent-care', '200.00')] })]);
    expect([form.box10, form.box12]).toEqual([20_000, []]);
    expect(formW3([form, form]).box10).toBe(40_000);
  });
  it('boxes 8 and 11 have allocated tips and payments of nonqualified plans, code V what an option came to', () => {
    const form = formOf([
      check({
        earnings: [
          line('tips-allocated', '75.00'),
          line('nonqualified-plan', '900.00'),
          line('stock-option', '4000.00'),
        ],
      }),
      check({ earnings: [line('tips-allocated', '5.00')] }),
    ]);
    expect([form.box8, form.box11, codes(form)]).toEqual([8000, 90_000, { V: 400_000 }]);
    const total = formW3([form, form]);
    expect([total.box8, total.box11]).toEqual([16_000, 180_000]);
  });
  it('tips: box 7, and codes A and B for tax that could not be collected', () => {
    const tracked = { oasdiTips: dollars('300.00'), uncollectedOasdi: dollars('5.10'), uncollectedHi: dollars('1.20') };
    const form = formOf([check({ tracked })]);
    expect([form.box3, form.box7]).toEqual([70_000, 30_000]);
    expect(codes(form)).toEqual({ A: 510, B: 120 });
  });
  it('cash tips and qualified overtime: codes TP and TT from 2026 on, box 14 before (Notice 2025-62)', () => {
    const tracked = { qualifiedTips: dollars('300.00'), qualifiedOvertime: dollars('44.10') };
    expect(codes(formOf([check({ tracked })]))).toEqual({ TP: 30_000, TT: 4410 });
    const before = formOf([check({ tracked })], [], 2025);
    expect(before.box12).toEqual([]);
    expect(before.box14).toEqual([
      { label: 'Cash tips', amount: 30_000 },
      { label: 'Qualified OT', amount: 4410 },
    ]);
  });
  it('box 13 is marked for sick pay of an insurer', () => {
    expect(formOf([check({ earnings: [line('third-party-sick-pay', '800.00')] })]).isThirdPartySickPay).toBe(true);
    expect(formOf([check({})]).isThirdPartySickPay).toBe(false);
  });
  // Publication 15-A, section 6: the employer that reports sick pay reports what its payer withheld with it.
  it('what an insurer withheld of sick pay is in boxes 2, 4 and 6, and its income tax in Form W-3 box 14', () => {
    const sick = check({
      earnings: [line('third-party-sick-pay', '800.00'), line('third-party-income-tax', '96.40')],
      tracked: { sickPayOasdi: dollars('49.60'), sickPayHi: dollars('11.60') },
    });
    const [form, plain] = [formOf([sick]), formOf([check({})])];
    expect([form.box2 - plain.box2, form.box4 - plain.box4, form.box6 - plain.box6]).toEqual([9640, 4960, 1160]);
    expect(formW3([form]).box14).toBe(9640);
  });
  it('boxes 14 and 18 to 20 are the programs and localities of the employee', () => {
    const form = formOf(
      [],
      [
        entry('NY-SIT', '1000.00', '40.00'),
        entry('NY-NYC-LIT', '1000.00', '30.00'),
        entry('NY-NYC-LIT', '500.00', '15.00'),
        entry('NY-SDI', '1000.00', '0.60'),
        entry('NY-PFL', '1000.00', '4.32'),
        entry('PA-PITTSBURGH-EIT', '400.00', '12.00'),
        entry('PA-PITTSBURGH-LST', '400.00', '2.00'),
        { ...entry('NY-MCTMT', '1000.00', '6.00'), employeeId: null },
      ],
    );
    expect(form.locals).toEqual([
      { state: 'NY', locality: 'New York City', wages: 150_000, tax: 4500 },
      { state: 'PA', locality: 'Pittsburgh', wages: 40_000, tax: 1200 },
    ]);
    expect(form.box14).toEqual([
      { label: 'NY SDI', amount: 60 },
      { label: 'NY PFL', amount: 432 },
      { label: 'PA LST', amount: 200 },
    ]);
    expect(form.states).toEqual([{ state: 'NY', stateId: '47-1', wages: 100_000, tax: 4000 }]);
    expect(formW3([form])).toMatchObject({ localWages: 190_000, localTax: 5700, stateTax: 4000 });
  });
  it('what was recorded and taken back leaves no line', () => {
    const form = formOf(
      [check({ deductions: [line('401k', '50.00')] }), check({ deductions: [line('401k', '-50.00')] })],
      [entry('NY-NYC-LIT', '100.00', '3.00'), entry('NY-NYC-LIT', '-100.00', '-3.00')],
    );
    expect([form.box12, form.locals]).toEqual([[], []]);
  });
});

describe('the checks of a set', () => {
  it('say which codes the paper has and the file has not, and who defers without the mark of box 13', () => {
    const facts = filingFacts('2026', '2027-01-11');
    const ledger = {
      incomeTax: dollars('80.00'),
      oasdiWages: dollars('1000.00'),
      oasdiTax: dollars('62.00'),
      hiWages: ZERO,
      hiTax: ZERO,
    };
    const marked = (isRetirementPlan: boolean): string[] => {
      const form = formOf([check({ deductions: [line('401k', '50.00')] })]);
      return runChecks(
        CHECKS_W2,
        { year: 2026, forms: [{ ...form, person: { ...form.person, isRetirementPlan } }], ledger },
        facts,
      )
        .filter((issue) => issue.code === 'check.box-13')
        .map((issue) => issue.severity);
    };
    expect([marked(false), marked(true)]).toEqual([['error'], []]);
    const codesOf = (tracked: W2Check['tracked']): string[] =>
      runChecks(CHECKS_W2, { year: 2026, forms: [formOf([check({ tracked })])], ledger }, facts)
        .filter((issue) => issue.code === 'check.code-not-carried')
        .map((issue) => `${issue.severity} ${issue.parameters['code'] ?? ''}`);
    expect(codesOf({ qualifiedOvertime: dollars('44.10') })).toEqual(['warning TT']);
    expect(codesOf({ uncollectedOasdi: dollars('5.10') })).toEqual([]);
  });
});

describe('where a tax stands on Form W-2', () => {
  it.each<[TaxCode, unknown]>([
    ['US-FIT', null],
    ['NY-SIT', null],
    ['NY-SUI', null],
    ['CA-SDI', { is: 'other', label: 'CA SDI' }],
    ['NJ-FLI-EE', { is: 'other', label: 'NJ FLI' }],
    ['NJ-TDI-ER', null],
    ['CO-DENVER-OPT-EE', { is: 'other', label: 'CO OPT' }],
    ['OH-CLEVELAND-LIT', { is: 'local', locality: 'Cleveland' }],
    ['OR-METRO-SHS', { is: 'local', locality: 'METRO-SHS' }],
    // A place of the firm's own says it by its code.
    ['OH-MARSH-END-LIT', { is: 'local', locality: 'Marsh End' }],
    ['OH-MARSH-END-PET', null],
    ['PA-EEL-WEIR-TOWNSHIP-EIT', { is: 'local', locality: 'Eel Weir Township' }],
    ['PA-EEL-WEIR-TOWNSHIP-LST', { is: 'other', label: 'PA LST' }],
    ['CO-SALT-FORK-OPT-EE', { is: 'other', label: 'CO OPT' }],
  ])('%s', (code, expected) => expect(statementPartOf(code)).toEqual(expected));
});

describe('a field that the wage agency refuses', () => {
  const forms = [{ person: w2Person('p1') }, { person: w2Person('p2') }] as unknown as FormW2[];
  it.each([
    ['RW 2 Social Security Number (SSN)', 'employee.p2.ssn'],
    ['RW 1 Employee Last Name', 'employee.p1.lastName'],
    ['RE EIN', 'client.ein'],
    ['RW 9 Employee Last Name', null],
    ['something else', null],
  ])('%s is %s', (theirs, ours) => expect(US_W2.fieldOf(theirs, { forms })).toBe(ours));
});

describe('many people', () => {
  it('each have their own totals, and the totals of all are those of Form W-3', () => {
    const entries = (people: number): LedgerEntry[] =>
      Array.from({ length: people * 26 }, (_, index) => ({
        ...entry('US-FIT', '1000.00', '80.00'),
        employeeId: `p${index % people}`,
      }));
    const people = Array.from({ length: 3000 }, (_, index) => w2Person(`p${index}`));
    const forms = formsW2({ year: 2026, people, entries: entries(3000), checks: [], stateIds: {} });
    expect([forms.length, forms[2999]?.box1, formW3(forms).box2]).toEqual([3000, 2_600_000, 3000 * 26 * 8000]);
  });
});
