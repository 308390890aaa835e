import { describe, expect, it } from '@jest/globals';
import { XMLParser } from 'fast-xml-parser';
import { date } from '../../calendar/local-date.js';
import type { LedgerEntry } from '../../ledger/entry.js';
import { tieOut } from '../../ledger/tie-out.js';
import { ZERO, cents, dollars, toDollars } from '../../money/cents.js';
import type { TaxCode } from '../../tax-registry/registry.js';
import { filingFacts, filingInput, sendingOf } from '../../testing/filings.js';
import { w2Person } from '../../testing/people.js';
import { runChecks } from '../checks.js';
import type { FilingFacts, FilingInput } from '../kind.js';
import { lineOf } from '../return-lines.js';
import { CHECKS_W2 } from '../us-w2/checks.js';
import { formW3, formsW2, type W2Set } from '../us-w2/form.js';
import { CHECKS_941 } from './checks.js';
import { write941 } from './file.js';
import { form941, type Form941, type LineId } from './form.js';
import { US_941 } from './kind.js';

const check941 = (form: Form941, facts: FilingFacts) => runChecks(CHECKS_941, form, facts);
const checkW2Set = (set: W2Set, facts: FilingFacts) => runChecks(CHECKS_W2, set, facts);
const entry = (tax: TaxCode, wages: string, amount: string, more: Partial<LedgerEntry> = {}): LedgerEntry => ({
  employeeId: 'w',
  tax,
  cause: 'payroll',
  liabilityDate: date('2026-07-10'),
  effectiveDate: date('2026-07-10'),
  subject: dollars(wages),
  wages: dollars(wages),
  amount: dollars(amount),
  ...more,
});
/** Three people at 1,350.00: the halves of HI differ by the cent of the employer's rounding on the total. */
const quarter = (): LedgerEntry[] => [
  ...['a', 'b', 'c'].flatMap((employeeId) => [
    entry('US-FIT', '1350.00', '80.00', { employeeId }),
    entry('US-OASDI-EE', '1350.00', '83.70', { employeeId }),
    entry('US-HI-EE', '1350.00', '19.58', { employeeId }),
    entry('US-HI-ADD', '0.00', '0.00', { employeeId, subject: dollars('1350.00') }),
  ]),
  entry('US-OASDI-ER', '4050.00', '251.10', { employeeId: null }),
  entry('US-HI-ER', '4050.00', '58.73', { employeeId: null }),
];
const make = (
  entries: LedgerEntry[],
  depositClass: 'monthly' | 'semiweekly' = 'monthly',
  more: Partial<FilingInput> = {},
): Form941 =>
  form941(
    filingInput('2026-Q3', { entries, headcount: 3, depositor: { class: depositClass, isReached: false }, ...more }),
  );
const line = (form: Form941, id: LineId): string => toDollars(lineOf(form.lines, id));

describe('Form 941 from the ledger', () => {
  it('adds up line by line (Form 941 and its instructions)', () => {
    const form = make(quarter());
    expect(
      (['2', '3', '5a.1', '5a.2', '5c.1', '5c.2', '5e', '6', '7', '12', '14'] as const).map((id) => [
        id,
        line(form, id),
      ]),
    ).toEqual([
      ['2', '4050.00'],
      ['3', '240.00'],
      ['5a.1', '4050.00'],
      ['5a.2', '502.20'],
      ['5c.1', '4050.00'],
      ['5c.2', '117.45'],
      ['5e', '619.65'],
      ['6', '859.65'],
      ['7', '0.02'],
      ['12', '859.67'],
      ['14', '859.67'],
    ]);
    expect(lineOf(form.lines, '1')).toBe(3);
  });
  it('line 7 is the cents between what was withheld and the return’s own rates', () => {
    const form = make(quarter());
    const ledger = quarter().reduce((total, row) => total + row.amount, 0);
    expect(lineOf(form.lines, '12')).toBe(ledger);
  });
  // Instructions for Form 941, lines 5b, 8 and 9.
  it('tips have a line of their own; sick pay and uncollected tax are taken off again, and line 7 stays what rounding makes', () => {
    // Person a: 50.00 of the 1,350.00 are tips, 83.70 and 19.58 were withheld by an insurer; of b 10.00 were not collected.
    const rows = quarter().map((row) => {
      if (row.employeeId === 'a' && (row.tax === 'US-OASDI-EE' || row.tax === 'US-HI-EE'))
        return { ...row, amount: ZERO };
      return row.employeeId === 'b' && row.tax === 'US-OASDI-EE' ? { ...row, amount: dollars('73.70') } : row;
    });
    const form = make(rows, 'monthly', {
      tracked: {
        oasdiTips: dollars('50.00'),
        sickPayOasdi: dollars('83.70'),
        sickPayHi: dollars('19.58'),
        uncollectedOasdi: dollars('10.00'),
      },
    });
    expect(
      (['5a.1', '5a.2', '5b.1', '5b.2', '5e', '7', '8', '9', '10', '12'] as const).map((id) => [id, line(form, id)]),
    ).toEqual([
      ['5a.1', '4000.00'],
      ['5a.2', '496.00'],
      ['5b.1', '50.00'],
      ['5b.2', '6.20'],
      ['5e', '619.65'],
      ['7', '0.02'],
      ['8', '-103.28'],
      ['9', '-10.00'],
      ['10', '746.39'],
      ['12', '746.39'],
    ]);
    expect(lineOf(form.lines, '12')).toBe(rows.reduce((total, row) => total + row.amount, 0));
    expect(check941(form, facts)).toEqual([]);
  });
  // Instructions for Form 941, lines 5f and 11; Instructions for Schedule B.
  it('tax on unreported tips is added, a credit taken off, and neither is a fraction of a cent', () => {
    const entered = { demandedTips: dollars('76.50'), researchCredit: dollars('100.00') };
    const form = make([...quarter(), entry('US-FIT', '0.00', '3000.00')], 'monthly', { entered });
    expect((['5f', '6', '7', '11', '12', '16.1'] as const).map((id) => [id, line(form, id)])).toEqual([
      ['5f', '76.50'],
      ['6', '3936.15'],
      ['7', '0.02'],
      ['11', '100.00'],
      ['12', '3836.17'],
      ['16.1', '3759.67'],
    ]);
  });
  it('less than 2,500.00 shows no monthly liability; more does', () => {
    expect(line(make(quarter()), '16.1')).toBe('0.00');
    expect(line(make([...quarter(), entry('US-FIT', '0.00', '3000.00')]), '16.1')).toBe('3859.67');
  });
  it('Schedule B is by day and equals line 12', () => {
    const form = make(
      [...quarter(), entry('US-FIT', '0.00', '100.00', { liabilityDate: date('2026-07-24') })],
      'semiweekly',
    );
    expect(form.scheduleB?.map((day) => [day.date, toDollars(day.amount)])).toEqual([
      ['2026-07-10', '859.67'],
      ['2026-07-24', '100.00'],
    ]);
    expect(form.scheduleB?.reduce((total, day) => total + day.amount, 0)).toBe(lineOf(form.lines, '12'));
  });
  it('deposits are what has settled, less what came back', () => {
    const paid = entry('US-FIT', '0.00', '-859.67', { cause: 'payment', employeeId: null });
    expect([line(make([...quarter(), paid]), '13'), line(make([...quarter(), paid]), '14')]).toEqual([
      '859.67',
      '0.00',
    ]);
    const back = entry('US-FIT', '0.00', '859.67', { cause: 'payment-returned', employeeId: null });
    expect(line(make([...quarter(), paid, back]), '14')).toBe('859.67');
  });
});

const facts = filingFacts('2026-Q3', '2026-10-22');
describe('checks before a return', () => {
  type More = Parameters<typeof filingFacts>[2];
  const codes = (more: More): string[] =>
    check941(make(quarter()), filingFacts('2026-Q3', '2026-10-22', more)).map(
      (issue) => `${issue.code} ${issue.field}`,
    );
  it('a sound return has none', () => expect(codes({})).toEqual([]));
  it('line 7 is for fractions of cents, not for a tax that somebody else withheld', () => {
    const rows = quarter().map((row) =>
      row.employeeId === 'a' && row.tax === 'US-OASDI-EE' ? { ...row, amount: dollars('60.00') } : row,
    );
    expect(check941(make(rows), facts).map((issue) => issue.code)).toEqual(['check.not-fractions']);
  });
  it.each<[More, string]>([
    [{ filer: { ein: '071234561' } }, 'ein.prefix client.ein'],
    [{ filer: { zip: '' } }, 'check.address-missing client.zip'],
    [{ filer: { signerTitle: '' } }, 'check.signer-missing client.signerName'],
    [{ firm: { preparerPtin: '' } }, 'check.preparer-missing firm.preparerPtin'],
    [{ firm: { efin: '' } }, 'check.efin firm.efin'],
    [{ firm: { efin: '12345' } }, 'check.efin firm.efin'],
    [{ openPayrolls: [date('2026-09-18')] }, 'check.open-payroll payrolls'],
    [{ today: date('2026-09-30') }, 'check.period-open period'],
  ])('%j', (more, expected) => expect(codes(more)).toContain(expected));
});

describe('the XML', () => {
  it('an independent reader finds every line', () => {
    const named = filingFacts('2026-Q3', '2026-10-22', { filer: { name: 'Gannet & Sons' } });
    const xml = write941(make(quarter()), sendingOf(named, { lastWages: date('2026-09-18') }));
    const read = new XMLParser({ parseTagValue: false }).parse(xml) as {
      Return: {
        ReturnHeader: {
          TaxYr: string;
          OriginatorGrp: { EFIN: string };
          Filer: { BusinessName: { BusinessNameLine1Txt: string }; TradeName: object; PhoneNum: string };
        };
        ReturnData: { IRS941: Record<string, string> };
      };
    };
    expect(read.Return.ReturnData.IRS941).toMatchObject({
      EmployeeCnt: '3',
      WagesAmt: '4050.00',
      TotalTaxAmt: '859.67',
      CurrentQtrFractionsCentsAmt: '0.02',
    });
    expect(read.Return.ReturnHeader).toMatchObject({
      TaxYr: '2026',
      OriginatorGrp: { EFIN: '990001' },
      Filer: { TradeName: { BusinessNameLine1Txt: 'Gannet Boats' }, PhoneNum: '3155550121' },
    });
    // Line 17: the business has closed.
    expect(read.Return.ReturnData.IRS941).toMatchObject({
      FutureFilingNotRequiredInd: 'X',
      FinalWagesPaidDt: '2026-09-18',
    });
    expect(read.Return.ReturnHeader.Filer.BusinessName.BusinessNameLine1Txt).toBe(
      'Gannet &amp; Sons'.replace('&amp;', '&'),
    );
  });
});

describe('Forms W-2 and W-3', () => {
  // The first of them defers, and box 13 says so.
  const people = ['a', 'b', 'c'].map((id, index) => ({
    ...w2Person(id, `89912340${index + 1}`),
    isRetirementPlan: id === 'a',
  }));
  const forms = formsW2({
    people: [...people, w2Person('nobody', '899123409')],
    entries: quarter(),
    year: 2026,
    checks: [
      {
        employeeId: 'a',
        earnings: [],
        deductions: [
          { item: '401k', amount: dollars('50.00') },
          { item: 'union-dues', amount: dollars('5.00') },
        ],
        employerPaid: [],
        tracked: {},
      },
      { employeeId: 'b', earnings: [], deductions: [], employerPaid: [], tracked: { oasdiTips: dollars('50.00') } },
    ],
    stateIds: {},
  });
  it('one for each person with wages; the deferral is in box 12 code D', () => {
    expect(forms.map((form) => form.person.employeeId)).toEqual(['a', 'b', 'c']);
    expect(forms[0]?.box12).toEqual([{ code: 'D', amount: 5000 }]);
    expect(formW3(forms)).toMatchObject({ count: 3, box1: 405000, box4: 25110, box6: 5874, box12a: 5000 });
    // Social security tips stand in box 7 and not in box 3.
    expect([forms[1]?.box3, forms[1]?.box7, formW3(forms).box7]).toEqual([130_000, 5000, 5000]);
  });
  it('the set is checked against the ledger and the numbers against the SSA’s rules', () => {
    const ledger = {
      incomeTax: dollars('240.00'),
      oasdiWages: dollars('4050.00'),
      oasdiTax: dollars('251.10'),
      hiWages: dollars('4050.00'),
      hiTax: dollars('58.74'),
    };
    const after = filingFacts('2026', '2027-01-04');
    expect(checkW2Set({ year: 2026, forms, ledger }, after)).toEqual([]);
    expect(
      checkW2Set({ year: 2026, forms, ledger: { ...ledger, hiTax: dollars('58.73') } }, after).map(
        (issue) => issue.code,
      ),
    ).toEqual(['check.wages-differ']);
    expect(
      checkW2Set(
        { year: 2026, forms: forms.map((form) => ({ ...form, person: { ...form.person, ssn: '900123401' } })), ledger },
        after,
      ).map((issue) => issue.code),
    ).toContain('ssn.area');
  });
});

describe('the tie-out', () => {
  const register = new Map(
    quarter().map((row) => [
      row.tax as string,
      quarter()
        .filter((other) => other.tax === row.tax)
        .reduce((total, other) => cents(total + other.amount), ZERO),
    ]),
  );
  const returned = new Map([
    ['US-FIT', dollars('240.00')],
    ['US-OASDI', dollars('502.20')],
    ['US-HI', dollars('117.45')],
  ] as const);
  const base = {
    register,
    entries: quarter(),
    returned: [
      { amounts: returned, adjustments: cents(2), words: 'fractions', adjusted: ['US-OASDI', 'US-HI'] as const },
    ],
    wageStatements: new Map(),
    ofEmployees: ['US-OASDI', 'US-HI'] as const,
    notYetDue: new Map([
      ['US-FIT', dollars('240.00')],
      ['US-OASDI', dollars('502.20')],
      ['US-HI', dollars('117.47')],
    ] as const),
    underWay: new Map(),
  };
  const causes = (input: Parameters<typeof tieOut>[0]): string[] =>
    tieOut(input).flatMap((row) =>
      row.differences.map(
        (difference) => `${row.key} ${difference.to} ${toDollars(difference.amount)} ${difference.cause}`,
      ),
    );
  it('what is not due yet is no difference, fractions of cents are rounding', () => {
    expect(causes(base)).toEqual(['US-HI returns -0.02 rounding']);
    expect(tieOut(base).map(({ key, pending }) => [key, pending && toDollars(pending.amount)])).toEqual([
      ['US-FIT', '240.00'],
      ['US-OASDI', '502.20'],
      ['US-OASDI-EE', null],
      ['US-HI', '117.47'],
      ['US-HI-EE', null],
    ]);
  });
  it('of what is partly due only the rest is a difference', () =>
    expect(causes({ ...base, notYetDue: new Map([...base.notYetDue, ['US-FIT', dollars('140.00')]]) })).toContain(
      'US-FIT deposits -100.00 to-fix',
    ));
  // Rows of New Jersey said "worker" and held what both pay.
  it('a row of a tax that both pay says so', () => {
    const both = [
      entry('NJ-TDI-EE', '1.90', '1000.00', { employeeId: 'a' }),
      entry('NJ-TDI-ER', '5.00', '1000.00', { employeeId: null }),
    ];
    const labels = tieOut({ ...base, entries: both, register: new Map() }).map(({ label }) => label);
    expect(labels).toEqual([expect.stringMatching(/, employee and employer$/)]);
  });
  it('a return whose income tax is not the ledger’s is never called rounding', () => {
    const wrong = new Map(returned).set('US-FIT', dollars('239.00'));
    const sides = [{ amounts: wrong, adjustments: cents(102), words: '', adjusted: ['US-OASDI', 'US-HI'] as const }];
    expect(causes({ ...base, returned: sides })).toContain('US-FIT returns -1.00 to-fix');
  });
  it('a planted dollar shows in one cell, as something to fix', () => {
    const planted = new Map(register).set('US-FIT', cents((register.get('US-FIT') ?? ZERO) + 100));
    expect(causes({ ...base, register: planted })).toContain('US-FIT ledger -1.00 to-fix');
    expect(causes({ ...base, notYetDue: new Map() })).toContain('US-FIT deposits -240.00 to-fix');
  });
});

describe('when Form 941 is due', () => {
  const period = filingInput('2026-Q3').period;
  it('October 31, 2026, is a Saturday', () => expect(US_941.due(period).due).toBe('2026-11-02'));
  it('ten days more for those who deposited everything on time (Instructions for Form 941, recalled)', () =>
    expect(US_941.laterWhenDeposited?.(period)).toBe('2026-11-10'));
  it('is not owed by a client of another return, and that says which', () => {
    expect(US_941.files({ ...filingInput('2026-Q3').employer, form: '943' })).toEqual({
      is: false,
      why: 'It files Form 943, not Form 941.',
    });
  });
});

describe('a field that the tax agency refuses', () => {
  it.each([
    ['BusinessNameControlTxt', 'client.nameControl'],
    ['EIN', 'client.ein'],
    ['TaxpayerPIN', 'filing.pin'],
    ['something else', null],
  ])('%s is %s', (theirs, ours) => expect(US_941.fieldOf(theirs, make(quarter()))).toBe(ours));
});
