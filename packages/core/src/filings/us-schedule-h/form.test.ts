import { describe, expect, it } from '@jest/globals';
import { date } from '../../calendar/local-date.js';
import type { StateCode } from '../../jurisdictions/state.js';
import type { LedgerEntry } from '../../ledger/entry.js';
import { cents, dollars, toDollars } from '../../money/cents.js';
import type { TaxCode } from '../../tax-registry/registry.js';
import { EMPLOYER, filingFacts, filingInput, periodNamed } from '../../testing/filings.js';
import type { FilingInput, StateContribution, UnemploymentPay } from '../kind.js';
import { correctionFor } from '../registry.js';
import { lineOf } from '../return-lines.js';
import { scheduleH, totalOf, type ScheduleH } from './form.js';
import { US_SCHEDULE_H } from './kind.js';

const entry = (tax: TaxCode, wages: string, amount: string): LedgerEntry => ({
  employeeId: null,
  tax,
  cause: 'payroll',
  liabilityDate: date('2025-06-30'),
  effectiveDate: date('2025-06-30'),
  subject: dollars(wages),
  wages: dollars(wages),
  amount: dollars(amount),
});
/** A year of 30,000.00 to one person: 1,860.00 and 435.00 on each side, 1,200.00 withheld, 42.00 for unemployment. */
const YEAR = [
  entry('US-OASDI-EE', '30000', '1860'),
  entry('US-OASDI-ER', '30000', '1860'),
  entry('US-HI-EE', '30000', '435'),
  entry('US-HI-ER', '30000', '435'),
  entry('US-FIT', '30000', '1200'),
  entry('US-FUTA', '7000', '42'),
];
const pay = (state: StateCode | null, wages = '7000'): UnemploymentPay => ({
  employeeId: 'a',
  state,
  paid: dollars('30000'),
  exempt: {},
  subject: dollars('30000'),
  wages: dollars(wages),
});
const paidTo = (state: StateCode, wages: string, owed: string, late = '0'): StateContribution => ({
  state,
  wages: dollars(wages),
  owed: dollars(owed),
  late: dollars(late),
});
const make = (more: Partial<FilingInput> = {}): ScheduleH =>
  scheduleH(
    filingInput('2025', {
      employer: { ...EMPLOYER, kind: 'household', form: 'schedule-h' },
      entries: YEAR,
      unemployment: [pay('TX')],
      contributions: [paidTo('TX', '9000', '243')],
      ...more,
    }),
  );
const lines = (content: ScheduleH, ...ids: string[]) =>
  ids.map((id) => `${id} ${content.lines.some((line) => line.id === id) ? toDollars(lineOf(content.lines, id)) : '-'}`);

describe('Schedule H', () => {
  it('adds up both sides of social security and Medicare, what was withheld, and FUTA tax', () => {
    const content = make();
    expect(content.section).toBe('A');
    expect(lines(content, '1', '2', '3', '4', '5', '6', '7', '8', '14', '15', '16', '25', '26')).toEqual([
      '1 30000.00',
      '2 3720.00',
      '3 30000.00',
      '4 870.00',
      '5 0.00',
      '6 0.00',
      '7 1200.00',
      '8 5790.00',
      '14 243.00',
      '15 7000.00',
      '16 42.00',
      '25 5790.00',
      '26 5832.00',
    ]);
    expect(content.besides).toEqual([]);
  });
  it('has no Part II where nobody’s pay is subject to FUTA tax', () => {
    const content = make({ entries: YEAR.slice(0, 5), unemployment: [pay('TX', '0')], contributions: [] });
    expect([content.section, toDollars(totalOf(content))]).toEqual([null, '5790.00']);
    expect(lines(content, '16', '24', '26')).toEqual(['16 -', '24 -', '26 -']);
  });
  it('works the credit out by state where there are two: what was paid, and what the own rate is lower by', () => {
    const content = make({
      unemployment: [pay('TX', '4000'), pay('FL', '3000')],
      contributions: [paidTo('TX', '4000', '108'), paidTo('FL', '3000', '81')],
    });
    expect(content.section).toBe('B');
    // 4,000 × 5.4% = 216 and 3,000 × 5.4% = 162; less 108 and 81 leaves 108 + 81; with what was paid 378.
    expect(lines(content, '18g', '18h', '19', '20', '21', '22', '23', '24', '26')).toEqual([
      '18g 189.00',
      '18h 189.00',
      '19 378.00',
      '20 7000.00',
      '21 420.00',
      '22 378.00',
      '23 378.00',
      '24 42.00',
      '26 5832.00',
    ]);
    expect(US_SCHEDULE_H.tables(content)[0]?.rows).toEqual([
      ['TX', 400_000, 21_600, 10_800, 10_800, 10_800],
      ['FL', 300_000, 16_200, 8_100, 8_100, 8_100],
    ]);
  });
  it('credits nine tenths of what was paid late, and the whole of nothing outside every state', () => {
    const late = make({ contributions: [paidTo('TX', '7000', '378', '100')] });
    expect(lines(late, '18g', '18h', '23', '24')).toEqual(['18g 0.00', '18h 368.00', '23 368.00', '24 52.00']);
    const outside = make({ unemployment: [pay(null)], contributions: [] });
    expect(lines(outside, '23', '24')).toEqual(['23 0.00', '24 420.00']);
    // The ledger has 42.00: the rest is owed by the schedule.
    expect(outside.besides).toEqual([{ tax: 'US-FUTA', amount: cents(37_800) }]);
  });
  it('lowers the credit in a state that owes the federal government', () => {
    // California's reduction for 2025 stands in the parameters; the line says which.
    const content = make({ unemployment: [pay('CA')], contributions: [paidTo('CA', '7000', '238')] });
    expect(content.section).toBe('B');
    const line = content.lines.find(({ id }) => id === '23');
    const lost = line?.working.find(({ label }) => label === 'Credit reduction of CA');
    expect(lost?.parameter?.publication).toBeTruthy();
    expect(lineOf(content.lines, '24')).toBeGreaterThan(4_200);
  });
  it('takes the cents between the people and the year over', () => {
    const entries = [...YEAR.slice(0, 1), entry('US-OASDI-ER', '30000', '1860.03'), ...YEAR.slice(2)];
    expect(make({ entries }).besides).toEqual([{ tax: 'US-OASDI-ER', amount: cents(-3) }]);
  });
});

describe('Schedule H as a kind', () => {
  it('is for those who employ in a household, due with Form 1040, and handed over', () => {
    expect(US_SCHEDULE_H.files({ ...EMPLOYER, form: 'schedule-h' }).is).toBe(true);
    expect(US_SCHEDULE_H.files(EMPLOYER)).toEqual({
      is: false,
      why: 'It reports its wages on Form 941, not on Schedule H.',
    });
    // April 15, 2028 is a Saturday, and the Monday is Emancipation Day in the District of Columbia, observed.
    expect([2024, 2026, 2027].map((year) => US_SCHEDULE_H.due(periodNamed(String(year))).due)).toEqual([
      '2025-04-15',
      '2027-04-15',
      '2028-04-18',
    ]);
    expect(US_SCHEDULE_H.handedTo).toContain('Form 1040');
    expect(correctionFor('us-schedule-h')?.name).toBe('Amended Schedule H');
  });
  it('refuses a year that goes on, and says when there were no wages', () => {
    const codes = (content: ScheduleH, today: string) =>
      US_SCHEDULE_H.check(content, filingFacts('2025', today)).map(({ code }) => code);
    expect(codes(make(), '2026-02-02')).toEqual([]);
    expect(codes(make(), '2025-11-02')).toEqual(['check.period-open']);
    expect(codes(make({ entries: [], unemployment: [], contributions: [] }), '2026-02-02')).toEqual(['check.no-wages']);
  });
});
