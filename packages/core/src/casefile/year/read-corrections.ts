import type { LocalDate } from '../../calendar/local-date.js';
import { parsePeriod, periodKey, type FilingPeriod } from '../../filings/period.js';
import { findKind } from '../../filings/registry.js';
import { problem, type Issue } from '../../issues/issue.js';
import { ZERO, type Cents } from '../../money/cents.js';
import { isObject, type JsonObject, type Reader } from '../reader.js';

/** A return or wage statement that the agency accepted: as the case computes it, or as it was filed elsewhere. */
export interface Filed {
  /** Where it stands in the case: `filed[0]`. */
  readonly field: string;
  readonly kind: string;
  readonly period: FilingPeriod;
  /** Lines of a return, or boxes of one person's statement, as they were filed elsewhere; null: as computed. */
  readonly given: ReadonlyMap<string, Cents> | null;
  readonly person: string | null;
}
/** Something that is put right after it was filed. */
export interface Change {
  readonly on: LocalDate;
  /** Place of the paycheck in the case, from 0; null where a person changes. */
  readonly paycheck: number | null;
  /** Parts of the paycheck as they should have been. */
  readonly set: JsonObject | null;
  readonly isVoid: boolean;
  /** Parts of a person as they should have been. */
  readonly person: JsonObject | null;
  /** Gross wages that the employee paid back. */
  readonly repaid: Cents | null;
  /** The return said something else than was withheld. */
  readonly isAdministrative: boolean;
  /** Only the employer's share is corrected. */
  readonly isEmployerShare: boolean;
  readonly isClaim: boolean;
  /** Payments to workers who were not treated as employees, by what they are wages of. */
  readonly reclassified: Reclassified | null;
}
/** IRC § 3509: wages of the period of one return. Cents. */
export interface Reclassified {
  readonly period: FilingPeriod;
  readonly income: Cents;
  readonly oasdi: Cents;
  readonly hi: Cents;
  readonly additional: Cents;
  /** They were reported on Forms 1099: the lower rates. */
  readonly isReported: boolean;
}

const CHANGE_FIELDS = [
  'on',
  'paycheck',
  'set',
  'void',
  'person',
  'repaid',
  'administrative',
  'employerShareOnly',
  'process',
  'reclassified',
];

/** `["us-941:2026-Q1","us-w2",{"kind":"us-941","period":"2026-Q2","lines":{"2":"..."}}]` */
export function readFiled(reader: Reader, year: number, people: ReadonlySet<string>, issues: Issue[]): Filed[] {
  if (!reader.has('filed')) return [];
  const given = reader.raw('filed');
  if (!Array.isArray(given)) {
    issues.push(problem('input.missing', 'filed', { what: 'the list of what was filed' }));
    return [];
  }
  return (given as unknown[]).flatMap((one, index): Filed[] => {
    const field = `filed[${index}]`;
    const isText = typeof one === 'string';
    const object = isObject(one) ? one : {};
    const [code = '', key] = isText ? one.split(':') : [String(object['kind'] ?? ''), object['period']];
    const kind = findKind(code.toLowerCase());
    const period = parsePeriod(typeof key === 'string' ? key : String(year));
    if (!kind || !period || period.kind !== kind.period) {
      issues.push(
        problem('input.not-one-of', field, {
          value: isText ? one : code,
          choices: 'kinds with their period, like us-941:2026-Q1, ny-nys-45:2026-Q1, us-940:2026, us-w2',
        }),
      );
      return [];
    }
    const whose = String(object['person'] ?? '');
    if (object['boxes'] !== undefined && !people.has(whose))
      issues.push(problem('input.not-one-of', `${field}.person`, { value: whose, choices: [...people].join(', ') }));
    const amounts = object['lines'] ?? object['boxes'];
    return [
      {
        field,
        kind: kind.code,
        period,
        person: typeof object['person'] === 'string' ? object['person'] : null,
        given: isObject(amounts) ? givenAmounts(reader, index, 'lines' in object ? 'lines' : 'boxes') : null,
      },
    ];
  });
}
function givenAmounts(reader: Reader, index: number, field: 'lines' | 'boxes'): Map<string, Cents> {
  const inner = reader.list('filed', false)[index]?.object(field);
  return new Map((inner?.names() ?? []).map((name) => [name, inner?.amount(name) as Cents]));
}

/** `[{"on":"2026-08-03","paycheck":3,"set":{...}}]` */
export function readChanges(
  reader: Reader,
  issues: Issue[],
  /** What may be changed of a paycheck, and of a person. */
  fields: { readonly check: readonly string[]; readonly person: readonly string[] },
): Change[] {
  if (!reader.has('changes')) return [];
  const paychecks = reader.raw('paychecks');
  const count = Array.isArray(paychecks) ? paychecks.length : 0;
  return reader.list('changes', false).flatMap((one): Change[] => {
    one.only(CHANGE_FIELDS);
    if (one.has('set')) one.object('set')?.only(fields.check);
    if (one.has('person')) one.object('person')?.only(fields.person);
    const on = one.date('on');
    const paycheck = one.has('paycheck') ? one.whole('paycheck') : null;
    if (paycheck !== null && paycheck >= count)
      issues.push(
        problem('input.not-one-of', `${one.path}.paycheck`, { value: String(paycheck), choices: `0 to ${count - 1}` }),
      );
    const objectOf = (field: string): JsonObject | null => {
      const value = one.raw(field);
      return isObject(value) ? value : null;
    };
    const person = objectOf('person');
    const isOfCheck = ['set', 'void', 'repaid'].some((field) => one.has(field));
    const reclassified = readReclassified(one, issues);
    if (paycheck === null && ((person === null && reclassified === null) || isOfCheck))
      issues.push(problem('input.missing', `${one.path}.paycheck`, { what: 'the paycheck, from 0, or the person' }));
    if (!on) return [];
    return [
      {
        on,
        paycheck,
        set: objectOf('set'),
        isVoid: one.flag('void'),
        person,
        repaid: one.has('repaid') ? one.amount('repaid') : null,
        isAdministrative: one.flag('administrative'),
        isEmployerShare: one.flag('employerShareOnly'),
        isClaim: one.oneOf('process', ['adjusted', 'claim'], 'adjusted') === 'claim',
        reclassified,
      },
    ];
  });
}
/** `"reclassified":{"period":"2025-Q1","income":"10000.00","oasdi":"10000.00","hi":"10000.00","forms1099":true}` */
function readReclassified(change: Reader, issues: Issue[]): Reclassified | null {
  const one = change.has('reclassified') ? change.object('reclassified') : null;
  if (!one) return null;
  one.only(['period', 'income', 'oasdi', 'hi', 'additional', 'forms1099']);
  const period = parsePeriod(one.text('period') ?? '');
  if (!period || period.kind === 'month')
    issues.push(
      problem('input.not-one-of', `${one.path}.period`, {
        value: one.text('period') ?? '',
        choices: 'the period of a return, like 2026-Q1 or 2026',
      }),
    );
  // Whether Forms 1099 were filed doubles the rates: it is never assumed.
  if (!one.has('forms1099'))
    issues.push(problem('input.missing', `${one.path}.forms1099`, { what: 'whether Forms 1099 were filed' }));
  const amount = (name: string): Cents => (one.has(name) ? one.amount(name) : ZERO);
  const amounts = {
    income: amount('income'),
    oasdi: amount('oasdi'),
    hi: amount('hi'),
    additional: amount('additional'),
  };
  return period ? { period, ...amounts, isReported: one.flag('forms1099') } : null;
}
export const filedKey = ({ kind, period }: Pick<Filed, 'kind' | 'period'>): string => `${kind} ${periodKey(period)}`;
