import { describe, expect, it } from '@jest/globals';
import { clientOnDay, personOnDay } from './on-day.js';
import { JOBS, jobsPart, sharesOf } from './job-facts.js';
import { EMPLOYEE_FACTS } from './employee-facts.js';

const lines = (...given: [string, string][]) => ({ lines: given.map(([job, percent]) => ({ job, percent })) });
const codes = (value: Record<string, unknown>): string[] =>
  EMPLOYEE_FACTS.issues('jobs', value, 'fact.value').map((issue) => `${issue.code} ${issue.field}`);
const dated = (kind: string, value: Record<string, unknown>, from = '2026-01-01') => ({ id: kind, kind, from, value });

describe('the jobs of a person', () => {
  it('add up to all of the pay', () => {
    expect(codes(lines(['Pier 4', '60'], ['Ferry house', '40']))).toEqual([]);
    expect(codes(lines(['Pier 4', '33.34'], ['Ferry house', '33.33'], ['Dry dock', '33.33']))).toEqual([]);
    expect(codes(lines())).toEqual([]);
    expect(codes(lines(['Pier 4', '60'], ['Ferry house', '30']))).toEqual(['jobs.sum fact.value.lines']);
    expect(codes(lines(['Pier 4', '60'], ['Pier 4', '40']))).toEqual(['jobs.twice fact.value.lines[1].job']);
    expect(codes({ lines: [{ job: 'Pier 4' }] })).toEqual(['input.missing fact.value.lines[0].percent']);
  });
  it('say where the pay is booked, and until when', () => {
    expect(JOBS.says({ ...lines(['Pier 4', '60'], ['Ferry house', '40']), until: '2026-06-30' })).toBe(
      'booked to 60% Pier 4, 40% Ferry house, until Tue, Jun 30, 2026',
    );
    expect(JOBS.says(lines())).toBe('booked to no job');
  });
  it('are part of a case with those of the client, as they stand on the day', () => {
    const client = clientOnDay(
      [
        dated('department', { name: 'Dry dock', sort: 'job' }),
        { ...dated('department', { name: 'Office', sort: 'department' }), id: 'office' },
      ],
      '2026-06-01',
    );
    const person = personOnDay(
      [dated('jobs', lines(['Pier 4', '60'], ['Dry dock', '40']), '2026-03-01')],
      '2026-06-01',
    );
    const part = jobsPart(person, client);
    expect(part?.names).toEqual(['Dry dock', 'Pier 4']);
    expect(sharesOf({ jobs: { ...part } })).toEqual([
      { job: 'Pier 4', share: { n: 60, d: 100 } },
      { job: 'Dry dock', share: { n: 40, d: 100 } },
    ]);
    expect(jobsPart(personOnDay([], '2026-06-01'), client)?.shares).toEqual([]);
    expect(jobsPart(personOnDay([], '2026-06-01'), clientOnDay([], '2026-06-01'))).toBeNull();
    expect(sharesOf({})).toEqual([]);
  });
});
