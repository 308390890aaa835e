import type { Fact, FactView } from '@zakat/contract/clients';
import { readFederalCertificate, readStateCertificate } from '@zakat/core/casefile/read-certificates';
import { Reader, isObject } from '@zakat/core/casefile/reader';
import { PAY_FREQUENCIES } from '@zakat/core/calendar/pay-frequency';
import { problem, type Issue } from '@zakat/core/issues/issue';
import { findItem } from '@zakat/core/items/registry';
import { findState } from '@zakat/core/jurisdictions/states';
import { showRate } from '@zakat/core/money/rate';
import type { EntityManager } from 'typeorm';

/** A stored effective-dated fact about a person. Later records of the same day stand before earlier ones. */
export interface StoredFact {
  readonly id: string;
  readonly employeeId: string;
  readonly kind: Fact['kind'];
  readonly from: string;
  readonly value: Record<string, unknown>;
}

/** Where a person lives and works, as the case file writes it. */
export interface Place {
  readonly residence: Record<string, unknown>;
  readonly work: readonly Record<string, unknown>[];
  readonly unemploymentState?: string;
}

/** What is known of a person on a day. */
export interface FactsOnDay {
  readonly pay: Record<string, unknown> | null;
  readonly federal: Record<string, unknown> | null;
  readonly certificates: Readonly<Record<string, Record<string, unknown>>>;
  readonly place: Place | null;
}

/** Issues of a fact as given; the core reads certificates, so nothing can be stored that it could not compute with. */
export function factIssues(fact: Fact, path: string): Issue[] {
  const issues: Issue[] = [];
  const reader = new Reader(fact.value, `${path}.value`, issues);
  switch (fact.kind) {
    case 'federal-certificate':
      readFederalCertificate(reader);
      return issues;
    case 'state-certificate': {
      const state = reader.text('state');
      if (state === null) return issues;
      if (!findState(state)) return [problem('rule.state-unknown', `${path}.value.state`, { state })];
      const inner = reader.object('certificate');
      if (inner) readStateCertificate(state, inner);
      return issues;
    }
    case 'place':
      placeIssues(reader, issues);
      return issues;
    case 'pay':
      payIssues(reader, issues);
      return issues;
  }
}

const PLACE_FIELDS = [
  'work',
  'residence',
  'workLocality',
  'residenceLocality',
  'schoolDistrict',
  'otherWork',
  'unemploymentState',
  'reciprocityCertificate',
];

/** A place of work and of residence; `otherWork` holds further places of work with their shares of the pay. */
function placeIssues(reader: Reader, issues: Issue[]): void {
  reader.only(PLACE_FIELDS);
  const stateIn = (from: Reader, field: string): void => {
    const state = from.text(field);
    if (state !== null && !findState(state))
      issues.push(problem('rule.state-unknown', `${from.path}.${field}`, { state }));
  };
  stateIn(reader, 'work');
  stateIn(reader, 'residence');
  if (reader.has('unemploymentState')) stateIn(reader, 'unemploymentState');
  for (const field of ['workLocality', 'residenceLocality', 'schoolDistrict'])
    if (reader.has(field)) reader.text(field);
  if (reader.has('reciprocityCertificate')) reader.flag('reciprocityCertificate');
  for (const other of reader.list('otherWork', false)) {
    other.only(['state', 'locality', 'share']);
    stateIn(other, 'state');
    if (other.has('locality')) other.text('locality');
    if (!other.decimal('share'))
      issues.push(problem('input.missing', `${other.path}.share`, { what: 'the share of the pay' }));
  }
}

function payIssues(reader: Reader, issues: Issue[]): void {
  reader.only(['basis', 'rate', 'hours', 'amount', 'frequency', 'deductions']);
  const basis = reader.oneOf('basis', ['hourly', 'salary'] as const);
  if (basis === 'hourly') {
    if (!reader.decimal('rate'))
      issues.push(problem('input.missing', `${reader.path}.rate`, { what: 'the hourly rate' }));
    reader.decimal('hours');
  }
  if (basis === 'salary') {
    if (!reader.has('amount')) issues.push(problem('input.missing', `${reader.path}.amount`, { what: 'the salary' }));
    reader.amount('amount');
    reader.oneOf('frequency', PAY_FREQUENCIES);
  }
  for (const line of reader.list('deductions', false)) {
    const code = line.text('item');
    const item = code === null ? null : findItem(code);
    if (code !== null && item?.list !== 'deduction')
      issues.push(problem('item.unknown', `${line.path}.item`, { item: code, choices: 'a deduction item' }));
    line.amount('amount');
  }
}

export async function loadFacts(manager: EntityManager, employeeIds: readonly string[]): Promise<StoredFact[]> {
  return (await manager.query(
    'SELECT id, employee_id AS "employeeId", kind, effective_from AS "from", value FROM employee_fact WHERE employee_id = ANY($1) ORDER BY effective_from DESC, id DESC',
    [employeeIds],
  )) as StoredFact[];
}

const stateOf = (fact: StoredFact): string => String(fact.value['state'] ?? '');

/** The facts in force: those that a later one of the same kind (and state) has not replaced by `day`. */
export function inForceOn(facts: readonly StoredFact[], day: string): StoredFact[] {
  const seen = new Set<string>();
  return facts.filter((fact) => {
    const key = `${fact.kind} ${fact.kind === 'state-certificate' ? stateOf(fact) : ''}`;
    if (fact.from > day || seen.has(key)) return false;
    seen.add(key);
    return true;
  });
}

export function factsOnDay(facts: readonly StoredFact[], day: string): FactsOnDay {
  const current = inForceOn(facts, day);
  const of = (kind: Fact['kind']): Record<string, unknown> | null =>
    current.find((fact) => fact.kind === kind)?.value ?? null;
  const place = of('place');
  const certificates = current
    .filter((fact) => fact.kind === 'state-certificate')
    .map(
      (fact) => [stateOf(fact), isObject(fact.value['certificate']) ? { ...fact.value['certificate'] } : {}] as const,
    );
  return {
    pay: of('pay'),
    federal: of('federal-certificate'),
    certificates: Object.fromEntries(certificates),
    place: place ? placeOf(place) : null,
  };
}

/** The share that is left for the first place of work: the others are written down with theirs. */
function firstShare(others: readonly Record<string, unknown>[]): string {
  const thousandths = others.reduce((left, other) => left - Math.round(Number(other['share']) * 1000), 1000);
  return showRate({ n: thousandths, d: 1000 });
}

function placeOf(value: Record<string, unknown>): Place {
  const others = Array.isArray(value['otherWork']) ? (value['otherWork'] as Record<string, unknown>[]) : [];
  const given = (name: string, field: string): Record<string, unknown> =>
    value[field] === undefined ? {} : { [name]: value[field] };
  return {
    residence: {
      state: value['residence'],
      ...given('locality', 'residenceLocality'),
      ...given('schoolDistrict', 'schoolDistrict'),
    },
    work: [
      {
        state: value['work'],
        share: firstShare(others),
        ...given('locality', 'workLocality'),
        ...given('reciprocityCertificate', 'reciprocityCertificate'),
      },
      ...others,
    ],
    ...(typeof value['unemploymentState'] === 'string' ? { unemploymentState: value['unemploymentState'] } : {}),
  };
}

const STATUS_WORDS: Readonly<Record<string, string>> = {
  single: 'single',
  'married-jointly': 'married filing jointly',
  'married-separately': 'married filing separately',
  'head-of-household': 'head of household',
  married: 'married',
  'married-at-single-rate': 'married, withhold at single rate',
};

function certificateWords(name: string, given: unknown): string {
  if (name === 'filingStatus') return STATUS_WORDS[String(given)] ?? String(given);
  return given === true ? name : `${name} ${String(given)}`;
}

function placeSentence(value: Record<string, unknown>): string {
  const at = (state: unknown, locality: unknown): string =>
    locality === undefined ? String(state) : `${String(locality)}, ${String(state)}`;
  const others = Array.isArray(value['otherWork']) ? (value['otherWork'] as Record<string, unknown>[]) : [];
  const also = others
    .map((other) => `${String(other['share'])} in ${at(other['state'], other['locality'])}`)
    .join(', ');
  const school = value['schoolDistrict'] === undefined ? '' : `, school district ${String(value['schoolDistrict'])}`;
  return `Works in ${at(value['work'], value['workLocality'])}${also ? ` (${also})` : ''}, lives in ${at(value['residence'], value['residenceLocality'])}${school}`;
}

/** A fact read back as a sentence. */
export function factSentence(fact: Pick<StoredFact, 'kind' | 'value'>): string {
  const { value } = fact;
  const text = (field: string): string => String(value[field] ?? '');
  switch (fact.kind) {
    case 'pay': {
      const deductions = Array.isArray(value['deductions'])
        ? (value['deductions'] as { item: string; amount: string }[])
        : [];
      const taken = deductions.map((line) => `${findItem(line.item)?.label ?? line.item} ${line.amount}`).join(', ');
      const base =
        value['basis'] === 'hourly'
          ? `${text('rate')} an hour${value['hours'] ? `, usually ${text('hours')} hours` : ''}`
          : `Salary ${text('amount')}, ${text('frequency')}`;
      return taken ? `${base}; each check ${taken}` : base;
    }
    case 'federal-certificate': {
      if (value['form'] === 'pre-2020')
        return `Form W-4 from before 2020: ${STATUS_WORDS[text('maritalStatus')] ?? ''}, ${text('allowances')} allowances`;
      const parts = [
        STATUS_WORDS[text('filingStatus')] ?? '',
        value['multipleJobs'] === true ? 'step 2 box checked' : 'step 2 box not checked',
      ];
      const steps: readonly (readonly [string, string])[] = [
        ['dependentCredit', 'step 3'],
        ['otherIncome', 'step 4(a)'],
        ['deductions', 'step 4(b)'],
        ['extraWithholding', 'step 4(c)'],
      ];
      for (const [field, label] of steps)
        if (value[field] !== undefined && text(field) !== '0.00') parts.push(`${label} ${text(field)}`);
      if (value['exempt'] === true) parts.push('exempt');
      if (value['nonresidentAlien'] === true) parts.push('nonresident alien');
      return `Form W-4: ${parts.join(', ')}`;
    }
    case 'state-certificate': {
      const certificate = isObject(value['certificate']) ? value['certificate'] : {};
      const rule = findState(text('state'))?.incomeTax;
      const form = rule?.kind === 'worksheet' ? rule.certificate.form : 'certificate';
      const order = rule?.kind === 'worksheet' ? rule.certificate.fields.map((field) => field.name) : [];
      const fields = order
        .filter((name) => ![undefined, false, '0.00'].includes(certificate[name] as undefined))
        .map((name) => certificateWords(name, certificate[name]));
      return `${text('state')} ${form}: ${fields.join(', ')}`;
    }
    case 'place':
      return placeSentence(value);
  }
}

export const factView = (fact: StoredFact, inForce: readonly StoredFact[]): FactView => ({
  kind: fact.kind,
  from: fact.from,
  value: fact.value,
  sentence: factSentence(fact),
  isInForce: inForce.some((current) => current.id === fact.id),
});
