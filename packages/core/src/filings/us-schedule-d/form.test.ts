import { describe, expect, it } from '@jest/globals';
import { dollars, type Cents } from '../../money/cents.js';
import { EMPLOYER, filingFacts, filingInput } from '../../testing/filings.js';
import { w2Person } from '../../testing/people.js';
import { kindOf } from '../registry.js';
import { lineOf } from '../return-lines.js';
import { scheduleD } from './form.js';

const base = filingInput('2025');
const entry = (tax: 'US-FIT' | 'US-OASDI-EE' | 'US-HI-EE', wages: string, amount: string) => ({
  employeeId: 'p1',
  tax,
  cause: 'payroll' as const,
  liabilityDate: base.period.end,
  effectiveDate: base.period.end,
  subject: dollars(wages),
  wages: dollars(wages),
  amount: dollars(amount),
});
const ANSWERS = {
  event: 'acquisition',
  role: 'surviving',
  effective: '2025-07-01',
  otherName: 'Old Quay Inc',
  otherEin: '47-9000001',
};
const made = (entered: Readonly<Record<string, Cents>>, answers: Readonly<Record<string, string>> = ANSWERS) =>
  scheduleD({
    ...base,
    entries: [entry('US-FIT', '60000.00', '5000.00'), entry('US-OASDI-EE', '60000.00', '3720.00'), entry('US-HI-EE', '60000.00', '870.00')], // prettier-ignore
    statements: { ...base.statements, people: [w2Person('p1')] },
    entered,
    answers,
  });
const problems = (content: unknown): string[] =>
  kindOf('us-schedule-d')
    .check(content, filingFacts('2025', '2026-02-02'))
    .map(({ field }) => field ?? '');

// The alternate procedure of Rev. Proc. 2004-53, recalled: the successor's Forms W-2 have the predecessor's wages too, and each
// reports on Forms 941 what it paid itself.
describe('Schedule D (Form 941)', () => {
  it('has what Forms W-2 report, what Forms 941 report, and the difference', () => {
    const { lines } = made({
      oasdiWages: dollars('22000.00'),
      hiWages: dollars('22000.00'),
      incomeTax: dollars('1900.00'),
    });
    expect(['a', 'b', 'c', 'd'].map((id) => [1, 2, 3].map((column) => lineOf(lines, `${column}${id}`)))).toEqual([
      [6_000_000, 3_800_000, 2_200_000],
      [6_000_000, 3_800_000, 2_200_000],
      [0, 0, 0],
      [500_000, 310_000, 190_000],
    ]);
  });
  it('is whole with the event, the day, the side, and the other party', () => {
    const entered = { oasdiWages: dollars('22000.00') };
    expect(problems(made(entered))).toEqual([]);
    expect(problems(made(entered, {}))).toEqual(['event', 'role', 'effective', 'otherName', 'otherEin']);
    expect(problems(made(entered, { ...ANSWERS, effective: '2024-07-01' }))).toEqual(['effective']);
  });
  it('is none without a difference, and none with more than was reported', () => {
    expect(problems(made({}))).toEqual(['line.3a']);
    expect(problems(made({ incomeTax: dollars('5000.01') }))).toEqual(['line.3d']);
  });
  it('is filed by a successor, with the Form 941 of the first quarter after', () => {
    const kind = kindOf('us-schedule-d');
    expect([kind.files(EMPLOYER).is, kind.files({ ...EMPLOYER, isSuccessor: true }).is]).toEqual([false, true]);
    expect(kind.due(base.period).due).toBe('2026-04-30');
    expect(kind.makeFile(made({}), { facts: filingFacts('2025', '2026-02-02') } as never).content).toContain(
      'Old Quay Inc',
    );
  });
});
