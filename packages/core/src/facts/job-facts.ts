import { isObject, type JsonObject } from '../casefile/reader.js';
import { problem } from '../issues/issue.js';
import { plus, type Exact } from '../money/exact.js';
import { ZERO_RATE, parsePercent, showPercent, type Rate } from '../money/rate.js';
import { UNTIL, text, untilWords, type FactKind, type FactValue } from './fact-kind.js';
import type { ClientOnDay, PersonOnDay } from './on-day.js';

const linesOf = (value: FactValue): readonly JsonObject[] =>
  Array.isArray(value['lines']) ? value['lines'].filter(isObject) : [];

/** Which jobs or customers of the client the pay of a person belongs to. */
export const JOBS: FactKind = {
  kind: 'jobs',
  label: 'Jobs',
  fields: [
    {
      name: 'lines',
      label: 'Where the pay is booked',
      kind: 'rows',
      of: [
        { name: 'job', label: 'Job or customer', kind: 'text', isRequired: true, most: 30 },
        { name: 'percent', label: 'Percent of the pay', kind: 'percent', isRequired: true },
      ],
      help: 'Lines of a payroll that name a job go there; these share the rest',
    },
    UNTIL,
  ],
  check: (value, path) => {
    const lines = linesOf(value);
    const twice = lines.findIndex((line, index) =>
      lines.some((other, at) => at < index && text(other, 'job') === text(line, 'job')),
    );
    if (twice >= 0)
      return [problem('jobs.twice', `${path}.lines[${twice}].job`, { job: text(lines[twice] ?? {}, 'job') })];
    const total = lines.reduce<Exact>(
      (sum, line) => plus(sum, parsePercent(text(line, 'percent')) ?? ZERO_RATE),
      ZERO_RATE,
    );
    return lines.length === 0 || total.n === total.d
      ? []
      : [problem('jobs.sum', `${path}.lines`, { sum: showPercent(total) })];
  },
  says: (value) => {
    const lines = linesOf(value).map((line) => `${text(line, 'percent')}% ${text(line, 'job')}`);
    return lines.length === 0 ? 'booked to no job' : `booked to ${lines.join(', ')}${untilWords(value)}`;
  },
};

/** The shares of a person's pay by job, as the booking takes them. */
export interface BookedTo {
  readonly job: string;
  readonly percent: string;
}
/** The jobs of a case: how the pay is shared, and what a typed line may name. For booking and typing only. */
export interface JobsPart {
  readonly shares: readonly BookedTo[];
  readonly names: readonly string[];
}
/** Null where neither the person nor the client has any. */
export function jobsPart(person: PersonOnDay, client: ClientOnDay): JobsPart | null {
  const shares = linesOf(person.jobs ?? {}).map((line) => ({ job: text(line, 'job'), percent: text(line, 'percent') }));
  const ofClient = client.departments.filter((one) => text(one, 'sort') === 'job').map((one) => text(one, 'name'));
  const names = [...new Set([...ofClient, ...shares.map((line) => line.job)])];
  return names.length === 0 ? null : { shares, names };
}

/** The shares of a stored case: exact parts of one. */
export function sharesOf(base: JsonObject): { readonly job: string; readonly share: Rate }[] {
  const { jobs } = base;
  const shares = isObject(jobs) && Array.isArray(jobs['shares']) ? jobs['shares'].filter(isObject) : [];
  return shares.flatMap((line) => {
    const share = parsePercent(text(line, 'percent'));
    return share ? [{ job: text(line, 'job'), share }] : [];
  });
}
