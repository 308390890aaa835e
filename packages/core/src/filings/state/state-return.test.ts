import { describe, expect, it } from '@jest/globals';
import { date } from '../../calendar/local-date.js';
import { layoutFaults, type RecordLayout } from '../../formats/fixed-width/field.js';
import { A_275, B_275, E_275, F_275, S_275, T_275 } from '../../formats/wage-detail/records-275.js';
import { RS } from '../../formats/wage-detail/records-512.js';
import { ALL_STATES } from '../../jurisdictions/states.js';
import type { LedgerEntry } from '../../ledger/entry.js';
import { dollars, toDollars } from '../../money/cents.js';
import { rate } from '../../money/rate.js';
import { TAXES, type TaxCode } from '../../tax-registry/registry.js';
import { filingFacts, filingInput, sendingOf } from '../../testing/filings.js';
import { w2Person } from '../../testing/people.js';
import type { EmployerFacts, FilingInput, ReportedCheck } from '../kind.js';
import { parsePeriod } from '../period.js';
import { changesOf } from '../corrections/amended.js';
import { kindOf } from '../registry.js';
import { lineOf } from '../return-lines.js';
import { codesOf, type StateContent } from './compute.js';
import { STATE_KINDS } from './kind.js';

const entry = (tax: string, wages: string, amount: string, more: Partial<LedgerEntry> = {}): LedgerEntry => ({
  employeeId: null,
  tax: tax as TaxCode,
  cause: 'payroll',
  liabilityDate: date('2026-02-06'),
  effectiveDate: date('2026-02-06'),
  subject: dollars(wages),
  wages: dollars(wages),
  amount: dollars(amount),
  ...more,
});
const check = (
  employeeId: string,
  taxes: readonly (readonly [string, string, string, string])[],
  more: Partial<ReportedCheck> = {},
): ReportedCheck => ({
  employeeId,
  periodStart: date('2026-01-19'),
  periodEnd: date('2026-02-01'),
  hours: 8000,
  taxes: taxes.map(([code, subject, wages, amount]) => ({
    code: code as TaxCode,
    subject: dollars(subject),
    wages: dollars(wages),
    amount: dollars(amount),
  })),
  ...more,
});
const people = [w2Person('a', '899123401'), w2Person('b', '899123402')];

/** Two people of New York: 14,000.00 and 9,000.00 of pay in the quarter; the UI base of 2026 ends the first one's wages. */
const newYork = (more: Partial<FilingInput> = {}): FilingInput =>
  filingInput('2026-Q1', {
    entries: [
      entry('NY-SUI', '23000.00', '902.00', { wages: dollars('22000.00') }),
      entry('NY-RSF', '23000.00', '16.50', { wages: dollars('22000.00') }),
      entry('NY-SIT', '23000.00', '1000.25', { employeeId: 'a' }),
      entry('NY-NYC-LIT', '23000.00', '640.10', { employeeId: 'a' }),
      entry('NY-SIT', '0.00', '-900.00', { cause: 'payment' }),
    ],
    wageDetail: {
      checks: [
        check('a', [
          ['NY-SUI', '14000.00', '13000.00', '0.00'],
          ['NY-SIT', '14000.00', '14000.00', '700.25'],
        ]),
        check(
          'b',
          [
            ['NY-SUI', '9000.00', '9000.00', '0.00'],
            ['NY-SIT', '9000.00', '9000.00', '300.00'],
          ],
          { periodStart: date('2026-02-02'), periodEnd: date('2026-02-15') },
        ),
      ],
      people,
      rates: { 'NY-SUI': rate('0.041') },
      accounts: { 'NY-TAX': '47-1234561 8' },
    },
    ...more,
  });
const nys45 = kindOf('ny-nys-45');
const contentOf = (kind: string, input: FilingInput): StateContent => kindOf(kind).compute(input) as StateContent;
const lines = (content: StateContent, ...ids: string[]): string[] =>
  ids.map((id) => toDollars(lineOf(content.lines, id)));

describe('Form NYS-45 from the ledger (lines as on the form, recalled)', () => {
  const content = contentOf('ny-nys-45', newYork());
  it('part A: wages, excess, contributions at the client’s rate, the fund at 0.075%', () =>
    // 22,000.00 × 4.1% = 902.00; × 0.00075 = 16.50.
    expect(lines(content, '1', '2', '3', '4', '5', '7', '9')).toEqual([
      '23000.00',
      '1000.00',
      '22000.00',
      '902.00',
      '16.50',
      '918.50',
      '918.50',
    ]));
  it('part B: what was withheld by jurisdiction, less what was paid', () =>
    expect(lines(content, '12', '13', '14', '15', '17', '19', '21')).toEqual([
      '1000.25',
      '640.10',
      '0.00',
      '1640.35',
      '900.00',
      '740.35',
      '1658.85',
    ]));
  it('counts people by the 12th of each month', () =>
    expect(['a', 'b', 'c'].map((id) => lineOf(content.lines, id))).toEqual([0, 1, 0]));
  it('an entered amount of the agency changes what is due', () =>
    expect(lines(contentOf('ny-nys-45', newYork({ entered: { underpaid: dollars('20.00') } })), '7', '21')).toEqual([
      '938.50',
      '1678.85',
    ]));
  it('by person: wages, excess, income tax, weeks', () =>
    expect(content.detail.map((row) => [row.person.employeeId, row.excess, row.incomeTax, row.weeks])).toEqual([
      ['a', 100_000, 70_025, 3],
      ['b', 0, 30_000, 3],
    ]));
  it('is due on the last day of the month after the quarter', () =>
    expect(nys45.due(newYork().period).due).toBe('2026-04-30'));
});

describe('an accepted return beside the records of now', () => {
  const kind = kindOf('ny-nys-45');
  const paid = entry('NY-SIT', '0.00', '-100.25', { cause: 'payment' });
  const filed = kind.compute(newYork());
  const changes = (more: readonly LedgerEntry[]) =>
    changesOf(kind, filed, kind.compute(newYork({ entries: [...newYork().entries, ...more] }))).map(({ id }) => id);
  it('is not corrected by what was paid after it was filed', () => {
    expect([...(kind.paymentLines ?? [])]).toEqual(expect.arrayContaining(['17', '18', '19', '21']));
    expect(changes([paid])).toEqual([]);
  });
  it('is by what was withheld, and then with all of its lines', () => {
    const more = entry('NY-SIT', '500.00', '20.00', { employeeId: 'b' });
    expect(changes([more])).toContain('12');
    expect(changes([more, paid])).toEqual(expect.arrayContaining(['12', '17']));
  });
});

describe('wages times the rate', () => {
  const off = newYork({
    entries: newYork().entries.map((one) => (one.tax === 'NY-SUI' ? { ...one, amount: dollars('880.00') } : one)),
  });
  it('is what the return says; the difference to the payrolls is told and goes to the ledger', () => {
    const content = contentOf('ny-nys-45', off);
    expect(lines(content, '4')).toEqual(['902.00']);
    expect(nys45.adds?.(content)).toEqual([{ tax: 'NY-SUI', amount: 2200 }]);
    expect(content.issues.map(({ code, field }) => `${code} ${field}`)).toEqual(['check.rate-differs line.4']);
    expect(nys45.tieOut.amounts(content).get('NY-SUI')).toBe(90_200);
  });
  it('without the client’s rate holds the return', () => {
    const { wageDetail } = newYork();
    const content = contentOf('ny-nys-45', newYork({ wageDetail: { ...wageDetail, rates: {} } }));
    expect(content.issues.map(({ code, severity }) => `${code} ${severity}`)).toEqual(['check.no-own-rate error']);
    expect(lines(content, '4')).toEqual(['902.00']);
  });
});

describe('checks of a state’s return', () => {
  const codes = (input: FilingInput): string[] =>
    nys45.check(nys45.compute(input), filingFacts('2026-Q1', '2026-04-20')).map(({ code }) => code);
  it('a sound one says only that its file was not compared', () =>
    expect(codes(newYork())).toEqual(['check.layout-not-verified']));
  it('asks for the account, for a social security number, and that people add up to the return', () => {
    const { wageDetail } = newYork();
    expect(
      codes(
        newYork({
          wageDetail: {
            ...wageDetail,
            accounts: {},
            people: [w2Person('a', '')],
          },
        }),
      ),
    ).toEqual(['check.no-account', 'check.no-ssn', 'check.detail-differs', 'check.layout-not-verified']);
  });
});

describe('the file of 275 positions', () => {
  const made = nys45.makeFile(nys45.compute(newYork()), sendingOf(filingFacts('2026-Q1', '2026-04-20')));
  const records = made.content.split('\r\n');
  it('has one record of each kind but S, which is one a person', () => {
    expect(made.issues).toEqual([]);
    expect(records.map((one) => one[0] ?? '').join('')).toBe('ABESSTF');
    expect(records.slice(0, -1).every((one) => one.length === 275)).toBe(true);
  });
  // Read by positions written here a second time.
  it('carries the account, the people and the totals', () => {
    const [, , e = '', s = '', , t = ''] = records;
    expect([e.slice(5, 14), e.slice(170, 172), e.slice(172, 187).trim(), e.slice(187, 189)]).toEqual([
      '471234561',
      '36',
      '4712345618',
      '03',
    ]);
    expect([s.slice(1, 10), s.slice(63, 77), s.slice(77, 91), s.slice(190, 204)]).toEqual([
      '899123401',
      '00000001400000',
      '00000000100000',
      '00000000070025',
    ]);
    expect([t.slice(1, 8), t.slice(26, 40), t.slice(54, 68), t.slice(81, 87), t.slice(87, 100)]).toEqual([
      '0000002',
      '00000002300000',
      '00000002200000',
      '041000',
      '0000000090200',
    ]);
  });
});

it('the file with commas says how many rows it has, and names every line', () => {
  const kind = kindOf('mn-wage-detail-report');
  const input = filingInput('2026-Q1', {
    entries: [entry('MN-SUI', '1000.00', '10.00'), entry('MN-WDF', '1000.00', '1.00')],
    wageDetail: {
      checks: [check('a', [['MN-SUI', '1000.00', '1000.00', '10.00']], { hours: 7950 })],
      people,
      rates: { 'MN-SUI': rate('0.01') },
      accounts: { 'MN-DEED': '07654321' },
    },
  });
  const rows = kind
    .makeFile(kind.compute(input), sendingOf(filingFacts('2026-Q1', '2026-04-20')))
    .content.trim()
    .split('\r\n')
    .map((row) => row.split(','));
  expect(rows[0]).toEqual(['return', 'mn-wage-detail-report', '2026-Q1', '471234561', '07654321', 'Gannet']);
  // Any part of an hour is one.
  expect(rows.find(([is]) => is === 'person')?.slice(-4)).toEqual(['1000.00', '0.00', '1000.00', '80']);
  expect(rows.at(-1)).toEqual(['end', String(rows.length - 1)]);
});

describe('every return of every state', () => {
  const specs = ALL_STATES.flatMap((state) => state.returns.map((spec) => ({ state, spec })));
  const known = new Set(TAXES.map(({ code }) => code));
  it.each(specs.map((one) => [one.spec.code, one] as const))('%s is whole', (code, { state, spec }) => {
    const above = new Set<string>();
    for (const { id, amount } of spec.lines) {
      const named =
        amount.is === 'sum'
          ? amount.of
          : amount.is === 'less'
            ? [amount.from, ...amount.of]
            : amount.is === 'by-rate'
              ? [amount.from]
              : [];
      expect(named.filter((one) => !above.has(one))).toEqual([]);
      const taxes = amount.is === 'tax' || amount.is === 'paid' ? amount.taxes : 'tax' in amount ? [amount.tax] : [];
      const codes = codesOf(state.code, spec, taxes);
      expect(codes.filter((tax) => !known.has(tax))).toEqual([]);
      // No line reports a tax for which the return is not owed.
      expect(codes.filter((tax) => !codesOf(state.code, spec, spec.taxes).includes(tax))).toEqual([]);
      expect(above.has(id)).toBe(false);
      above.add(id);
    }
    expect([spec.total, spec.balance].filter((id) => !above.has(id))).toEqual([]);
    expect(code.startsWith(`${state.code.toLowerCase()}-`)).toBe(true);
    expect(
      [state.agencies.income, state.agencies.unemployment, ...(state.agencies.others ?? [])].map((one) => one?.code),
    ).toContain(spec.agency);
  });
  it('every tax of a state that its agencies take is on one return, or has a reason to be on none', () => {
    const reported = new Map<string, string[]>();
    // Of those that follow the deposit frequency a client files one.
    for (const { state, spec } of specs.filter((one) => one.spec.frequency === undefined))
      for (const tax of codesOf(state.code, spec, spec.taxes))
        reported.set(tax, [...(reported.get(tax) ?? []), spec.code]);
    const twice = [...reported].filter(([, codes]) => codes.length > 1);
    const never = TAXES.filter(({ level, code }) => level !== 'federal' && !reported.has(code)).map(({ code }) => code);
    expect(twice).toEqual([]);
    // Premiums of a carrier, and transit districts that have returns of their own.
    expect(never.sort()).toEqual([
      'HI-TDI',
      'NY-PFL',
      'NY-SDI',
      'OR-CANBY-CAT',
      'OR-SANDY-SAM',
      'OR-SOUTH-CLACKAMAS-SCTD',
      'OR-WILSONVILLE-SMART',
    ]);
  });
  it.each(
    [A_275, B_275, E_275, S_275, T_275, F_275, RS].map((layout): [string, RecordLayout] => [layout.name, layout]),
  )('the layout %s has no hole', (_, layout) => expect(layoutFaults(layout)).toEqual([]));
});

describe('a withholding return that follows the deposit frequency', () => {
  const EMPLOYER: EmployerFacts = {
    kind: 'business',
    form: '941',
    isSeasonal: false,
    isWithoutUnemployment: false,
    lastWages: null,
    isSuccessor: false,
  };
  const filed = (state: string, frequencies: Record<string, string>): string[] =>
    STATE_KINDS.filter(
      ({ jurisdiction, owedFor }) => jurisdiction === state && owedFor.includes(`${state}-SIT` as never),
    )
      .filter((kind) => kind.files({ ...EMPLOYER, frequencies }).is)
      .map(({ code }) => code);
  // Recalled: Georgia's Form G-7 is filed by the month, the quarter or the year; Massachusetts has Form M-942 for the month.
  it.each<[string, string, string, string, string, string]>([
    ['GA', 'GA-DOR', 'monthly', 'ga-g-7-monthly', '2026-03', '2026-04-15'],
    ['GA', 'GA-DOR', 'quarterly', 'ga-g-7', '2026-Q1', '2026-04-30'],
    ['GA', 'GA-DOR', 'semiweekly', 'ga-g-7', '2026-Q1', '2026-04-30'],
    ['GA', 'GA-DOR', 'yearly', 'ga-g-7-yearly', '2026', '2027-02-01'],
    ['MA', 'MA-DOR', 'monthly', 'ma-m-941-monthly', '2026-02', '2026-03-16'],
    ['MA', 'MA-DOR', 'monthly', 'ma-m-941-monthly', '2026-03', '2026-04-30'],
    ['MI', 'MI-TREAS', 'monthly', 'mi-5080-monthly', '2026-06', '2026-07-20'],
  ])('%s, %s %s: %s of %s due %s', (state, agency, frequency, code, period, due) => {
    expect(filed(state, { [agency]: frequency })).toEqual([code]);
    const kind = STATE_KINDS.find((one) => one.code === code);
    const of = parsePeriod(period);
    expect([of?.kind, of && kind?.due(of).due]).toEqual([kind?.period, due]);
  });
  it('is the usual one while no frequency is recorded, and one in every state', () => {
    expect(filed('GA', {})).toEqual(['ga-g-7']);
    for (const { code, returns } of ALL_STATES) {
      if (!returns.some(({ follows }) => follows)) continue;
      for (const frequency of ['yearly', 'quarterly', 'monthly', 'semiweekly'])
        expect(filed(code, Object.fromEntries(returns.map(({ agency }) => [agency, frequency])))).toHaveLength(1);
    }
  });
});
