import { describe, expect, it } from '@jest/globals';
import { runCase } from '../casefile/run-case.js';
import { tryRules } from '../casefile/try-rules.js';
import { changesOf } from './compare.js';
import { PARAMETERS } from './parameters.js';
import { PACK_FORMAT, carryForward, exportPack, packRow, readPack } from './pack.js';

const row = (more: Record<string, unknown> = {}) => ({
  parameter: 'US.oasdi.base',
  from: '2027-01-01',
  until: '2028-01-01',
  value: { dollars: '190200.00' },
  publication: { title: 'Contribution and Benefit Base', publisher: 'Social Security Administration', edition: '2027' },
  place: 'table of bases',
  standing: 'verified',
  ...more,
});
const pack = (...rows: unknown[]) => ({ format: PACK_FORMAT, name: 'January', rows });
const check = (checkDate: string, rules?: unknown) =>
  runCase({
    id: 'x',
    checkDate,
    payFrequency: 'monthly',
    employee: {
      federal: { form: '2020', filingStatus: 'single' },
      residence: { state: 'TX' },
      work: [{ state: 'TX' }],
    },
    employer: { unemploymentRates: { TX: '2.7' } },
    earnings: [{ item: 'salary', amount: '9000.00' }],
    yearToDate: { wages: { 'US-OASDI': '189000.00' } },
    ...(rules ? { rules } : {}),
  });
const amount = (answer: ReturnType<typeof check>, code: string) =>
  answer.taxes.find((tax) => tax.code === code)?.amount;

describe('a rule pack', () => {
  it('holds everything that is loaded, and reads it back the same', () => {
    const all = exportPack('all');
    const read = readPack(JSON.parse(JSON.stringify(all)));
    expect(read.issues).toEqual([]);
    expect(read.rules).toHaveLength(PARAMETERS.reduce((count, parameter) => count + parameter.rows.length, 0));
    expect(changesOf(read.rules)).toEqual([]);
    expect(read.rules.map(({ parameter, row: own }) => packRow(parameter, own))).toEqual(all.rows);
  });
  it('names each parameter once', () =>
    expect(new Set(PARAMETERS.map((parameter) => parameter.code)).size).toBe(PARAMETERS.length));
  it('shows what it moves', () => {
    const { rules } = readPack(pack(row({ from: '2026-07-01' })));
    expect(changesOf(rules)).toMatchObject([
      { parameter: 'US.oasdi.base', path: '', before: '184500.00', after: '190200.00' },
    ]);
  });
  it('counts from its first day on, and the working names its publication', () => {
    const rules = [row({ from: '2026-07-01', until: null })];
    expect(amount(check('2026-06-30', rules), 'US-OASDI-EE')).toBe('0.00');
    // 190,200.00 less 189,000.00 is left under the base.
    expect(amount(check('2026-07-01', rules), 'US-OASDI-EE')).toBe('74.40');
    const given = { ...row({ from: '2026-07-01', until: null }) };
    const answer = runCase(
      {
        id: 'w',
        checkDate: '2026-07-01',
        payFrequency: 'monthly',
        employee: {
          federal: { form: '2020', filingStatus: 'single' },
          residence: { state: 'TX' },
          work: [{ state: 'TX' }],
        },
        employer: { unemploymentRates: { TX: '2.7' } },
        earnings: [{ item: 'salary', amount: '100.00' }],
        rules: [given],
      },
      true,
    );
    const shown = answer.working?.['US-OASDI-EE']?.find((line) => line.label === 'Wage base')?.parameter;
    expect(shown).toMatchObject({ edition: '2027', verified: true, value: '190,200.00' });
  });
  it('of two rows for one day the later one counts', () => {
    const rules = [row({ from: '2026-07-01' }), row({ from: '2026-07-01', value: { dollars: '189100.00' } })];
    expect(amount(check('2026-08-01', rules), 'US-OASDI-EE')).toBe('6.20');
  });
});

describe('a year that is not published', () => {
  it('is an error until it is carried forward, and then every row says so', () => {
    expect(check('2027-03-01').problems.map((problem) => problem.code)).toContain('rule.none-in-force');
    const { rows } = carryForward(2027);
    expect(rows.every((carried) => carried.standing === 'recalled' && carried.doubt?.includes('2026'))).toBe(true);
    const answer = check('2027-03-01', rows);
    expect(answer.problems).toEqual([]);
    expect(answer.net).not.toBeNull();
  });
  it('nothing is carried into a year that has its own rules', () =>
    expect(carryForward(2026).rows.map((carried) => carried.parameter)).toEqual(['US.futa.credit-reduction']));
});

describe('what is wrong with a pack is named, and nothing of it is taken', () => {
  it.each<[string, unknown, string]>([
    ['not a pack', 'text', 'rules.format format'],
    ['another format', { format: 'other', rows: [] }, 'rules.format format'],
    ['no rows', { format: PACK_FORMAT, name: 'x' }, 'rules.format rows'],
    ['an unknown parameter', pack(row({ parameter: 'US.moon' })), 'rules.unknown-parameter rows[0].parameter'],
    ['a bad date', pack(row({ from: '2027-02-30' })), 'input.not-an-iso-date rows[0].from'],
    ['an empty span', pack(row({ until: '2026-01-01' })), 'rules.span rows[0].until'],
    ['an amount that is none', pack(row({ value: { dollars: 'many' } })), 'rules.bad-value rows[0].value.dollars'],
    ['a rate where an amount belongs', pack(row({ value: { rate: '0.062' } })), 'rules.bad-value rows[0].value'],
    ['a bare number', pack(row({ value: 190200 })), 'rules.bad-value rows[0].value'],
    [
      'nested without end',
      pack(row({ value: JSON.parse(`${'['.repeat(3000)}${']'.repeat(3000)}`) })),
      `rules.bad-value ${`rows[0].value${'[0]'.repeat(20)}`.slice(0, 60)}…`,
    ],
    ['no publication', pack(row({ publication: undefined })), 'input.missing rows[0].publication.title'],
    ['no standing', pack(row({ standing: 'sure' })), 'input.not-one-of rows[0].standing'],
    [
      'a field left out',
      pack(row({ parameter: 'US.futa', value: { base: { dollars: '7000.00' } } })),
      'rules.bad-value rows[0].value.rate',
    ],
  ])('%s', (_, given, expected) => {
    const { rules, issues } = readPack(given);
    expect(issues.map((issue) => `${issue.code} ${issue.field}`)).toContain(expected);
    expect(rules).toEqual([]);
  });
  it('a worksheet that cannot be computed is found before it counts', () => {
    const sheet = exportPack('x', 'NJ.income').rows[0];
    const broken = {
      ...sheet,
      value: { columns: [], lines: [], basis: 'annual', result: { to: 'cent', mode: 'half-up' } },
    };
    const { rules, issues } = readPack(pack(broken));
    expect(issues).toEqual([]);
    expect(tryRules(rules).map((issue) => issue.code)).toEqual(['rules.not-computable']);
  });
});
