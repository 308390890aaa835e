import { parseDate, type LocalDate } from '../calendar/local-date.js';
import { problem, type Issue } from '../issues/issue.js';
import { inForce, type Dated, type OwnRules, type Standing } from '../jurisdictions/dated.js';
import { sourceOf, type Source } from '../jurisdictions/sources/register.js';
import { differentMake, fromJson, toJson, type Unread } from './json.js';
import { PARAMETERS, findParameter, type Parameter } from './parameters.js';
import { readPlaceRows, type OwnPlace } from './places.js';

/** The first line of every rule pack. */
export const PACK_FORMAT = 'zakat-rules/1';

/** One dated value of one parameter, as a rule pack holds it (docs/rule-packs.md). */
export interface PackRow {
  readonly parameter: string;
  readonly from: string;
  /** The first day it no longer holds; null while nothing ends it. */
  readonly until: string | null;
  readonly value: unknown;
  readonly publication: Source;
  readonly place: string;
  readonly standing: Standing;
  readonly doubt?: string;
}
export interface RulePack {
  readonly format: typeof PACK_FORMAT;
  readonly name: string;
  readonly rows: readonly PackRow[];
  /** Localities the product does not have, a row each (see places.ts). */
  readonly places?: readonly Readonly<Record<string, string>>[];
}
/** A row that was read and checked. */
export interface OwnRule {
  readonly parameter: Parameter;
  readonly row: Dated<unknown>;
}

type Given = Readonly<Record<string, unknown>>;
const isGiven = (value: unknown): value is Given =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
const textOf = (given: Given, name: string): string => (typeof given[name] === 'string' ? given[name] : '');

function readRow(given: unknown, path: string, issues: Issue[]): OwnRule[] {
  if (!isGiven(given)) {
    issues.push(problem('rules.format', path, { what: 'a row is not an object' }));
    return [];
  }
  const code = textOf(given, 'parameter');
  const parameter = findParameter(code);
  if (!parameter) {
    issues.push(problem('rules.unknown-parameter', `${path}.parameter`, { parameter: code }));
    return [];
  }
  const before = issues.length;
  const from = parseDate(textOf(given, 'from'));
  const until = given['until'] === null || given['until'] === undefined ? null : parseDate(textOf(given, 'until'));
  if (!from) issues.push(problem('input.not-an-iso-date', `${path}.from`, { value: String(given['from']) }));
  if (given['until'] && !until)
    issues.push(problem('input.not-an-iso-date', `${path}.until`, { value: String(given['until']) }));
  if (from && until && until <= from)
    issues.push(problem('rules.span', `${path}.until`, { parameter: code, from, until }));
  const publication = given['publication'];
  for (const name of ['title', 'publisher', 'edition'])
    if (!isGiven(publication) || textOf(publication, name) === '')
      issues.push(problem('input.missing', `${path}.publication.${name}`, { what: `the ${name} of the publication` }));
  if (textOf(given, 'place') === '')
    issues.push(problem('input.missing', `${path}.place`, { what: 'the place in the publication' }));
  const standing = given['standing'];
  if (standing !== 'verified' && standing !== 'recalled')
    issues.push(
      problem('input.not-one-of', `${path}.standing`, { value: String(standing), choices: 'verified, recalled' }),
    );
  const value = readValue(parameter, given['value'], `${path}.value`, issues);
  if (issues.length > before || !from || !isGiven(publication)) return [];
  const source = {
    title: textOf(publication, 'title'),
    publisher: textOf(publication, 'publisher'),
    edition: textOf(publication, 'edition'),
  };
  const doubt = textOf(given, 'doubt');
  const row = {
    from,
    until,
    value,
    source,
    place: textOf(given, 'place'),
    standing: standing as Standing,
    ...(doubt ? { doubt } : {}),
  };
  return [{ parameter, row }];
}

function readValue(parameter: Parameter, given: unknown, path: string, issues: Issue[]): unknown {
  const faults: Unread[] = [];
  const value = fromJson(given, path, faults);
  for (const fault of faults)
    issues.push(
      problem('rules.bad-value', fault.path, { parameter: parameter.code, path: fault.path, found: fault.found }),
    );
  if (faults.length > 0) return null;
  // A rule may have been made differently before: what is like one of its rows is well made.
  const differences = parameter.rows.map((row) => differentMake(value, row.value, path));
  const wrong = differences.includes(null) ? null : (differences.at(-1) ?? null);
  if (wrong !== null)
    issues.push(
      problem('rules.bad-value', wrong, {
        parameter: parameter.code,
        path: wrong,
        found: JSON.stringify(given)?.slice(0, 60) ?? 'nothing',
      }),
    );
  return value;
}

/** Reads rows of a pack; what is wrong is in `issues`, all of it, and only good rows come back. */
export function readRows(value: unknown, path: string, issues: Issue[]): readonly OwnRule[] {
  if (!Array.isArray(value)) {
    issues.push(problem('rules.format', path, { what: 'its rows are not a list' }));
    return [];
  }
  return value.flatMap((row, index) => readRow(row, `${path}[${index}]`, issues));
}

/** Reads a whole pack. Never throws. */
export function readPack(value: unknown): {
  readonly name: string;
  readonly rules: readonly OwnRule[];
  readonly places: readonly OwnPlace[];
  readonly issues: readonly Issue[];
} {
  const issues: Issue[] = [];
  if (!isGiven(value) || value['format'] !== PACK_FORMAT) {
    const issue = problem('rules.format', 'format', { what: `its format is not ${PACK_FORMAT}` });
    return { name: '', rules: [], places: [], issues: [issue] };
  }
  if (textOf(value, 'name') === '') issues.push(problem('input.missing', 'name', { what: 'the name of the pack' }));
  const rules = readRows(value['rows'], 'rows', issues);
  const places = value['places'] === undefined ? [] : readPlaceRows(value['places'], 'places', issues);
  return { name: textOf(value, 'name'), rules, places, issues };
}

/** Rules ready for a computation: later rows of one parameter stand before earlier ones. */
export function ownRules(rules: readonly OwnRule[]): OwnRules | null {
  if (rules.length === 0) return null;
  const own = new Map<readonly Dated<unknown>[], Dated<unknown>[]>();
  for (const { parameter, row } of rules) own.set(parameter.rows, [...(own.get(parameter.rows) ?? []), row]);
  return own;
}

export const packRow = (parameter: Parameter, row: Dated<unknown>): PackRow => ({
  parameter: parameter.code,
  from: row.from,
  until: row.until,
  value: toJson(row.value),
  publication: sourceOf(row.source),
  place: row.place,
  standing: row.standing,
  ...(row.doubt === undefined ? {} : { doubt: row.doubt }),
});

/** Everything that is loaded (or what begins with `prefix`, such as `NJ` or `US.oasdi`) as a pack. */
export const exportPack = (name: string, prefix = ''): RulePack => ({
  format: PACK_FORMAT,
  name,
  rows: PARAMETERS.filter((parameter) => parameter.code.startsWith(prefix)).flatMap((parameter) =>
    parameter.rows.map((row) => packRow(parameter, row)),
  ),
});

/**
 * A pack that carries into `year` whatever ends when it begins: the same values, marked as carried forward and not
 * published. Visible in every working until a published row replaces it.
 */
export function carryForward(year: number, prefix = ''): RulePack {
  const begins = `${year}-01-01` as LocalDate;
  const rows = PARAMETERS.filter((parameter) => parameter.code.startsWith(prefix)).flatMap((parameter): PackRow[] => {
    if (inForce(parameter.rows, begins)) return [];
    const last = inForce(parameter.rows, `${year - 1}-12-31` as LocalDate);
    if (!last) return [];
    return [
      {
        ...packRow(parameter, last),
        from: begins,
        until: `${year + 1}-01-01`,
        standing: 'recalled',
        doubt: `Carried forward from ${year - 1}: nothing is published for ${year} yet.`,
      },
    ];
  });
  return { format: PACK_FORMAT, name: `${year}, carried forward`, rows };
}
