import { describe, expect, it } from '@jest/globals';
import { findItem } from '../items/registry.js';
import { CLIENT_FACTS } from './client-facts.js';
import { EMPLOYEE_FACTS, stateCertificateFields } from './employee-facts.js';
import type { FactKind } from './fact-kind.js';
import { isAsked, type FactField } from './field.js';

/** A value that a field takes, made from its table row alone. */
function sample(field: FactField): unknown {
  switch (field.kind) {
    case 'text':
      return field.name === 'item' ? 'union-dues' : 'abc-1';
    case 'amount':
      return '12.50';
    case 'decimal':
      return field.name === 'share' ? '0.5' : '1.25';
    case 'percent':
      return '4';
    case 'whole':
      return 2;
    case 'flag':
      return true;
    case 'date':
      return '2026-05-04';
    case 'month-day':
      return '01-01';
    case 'choice':
      return field.choices?.[0]?.[0];
    case 'state':
      return 'NY';
    case 'tax':
      return 'US-FUTA';
    case 'item':
      return 'after-tax';
    case 'routing':
      return '000000123';
    case 'secret':
      return '5500012345';
    case 'rows':
      return [Object.fromEntries((field.of ?? []).map((one) => [one.name, sample(one)]))];
  }
}
/** Fields that stand for each other: only the first of them is given. */
const EITHER: Readonly<Record<string, readonly string[]>> = { standing: ['percent', 'hours', 'match', 'rate'] };
/** Fields whose sample cannot stand beside the others. */
const APART: readonly string[] = ['employeeRate', 'lastWages', 'otherWork', 'factor', 'right', 'down'];

function valueOf(kind: FactKind, isFull: boolean): Record<string, unknown> {
  const value: Record<string, unknown> = {};
  for (const field of kind.fields) {
    const isWanted = field.isRequired ?? isFull;
    if (!isWanted || !isAsked(field, value) || APART.includes(field.name)) continue;
    if (EITHER[kind.kind]?.includes(field.name)) continue;
    value[field.name] = sample(field);
  }
  if (kind.kind === 'standing') value['amount'] = '12.50';
  if (kind.kind === 'service-fee') value['perPayroll'] = '22.50';
  if (kind.kind === 'funding') value['accountTail'] = '4410';
  if (kind.kind === 'designee') Object.assign(value, { phone: '3155550121', pin: '24680' });
  // Its shares have to be all of the pay.
  if (kind.kind === 'jobs' && isFull) value['lines'] = [{ job: 'abc-1', percent: '100' }];
  if (kind.kind === 'state-certificate') value['certificate'] = { filingStatus: 'single', allowances: 1 };
  return value;
}

const ALL = [
  ...CLIENT_FACTS.kinds.map((kind) => [`client ${kind.kind}`, CLIENT_FACTS, kind] as const),
  ...EMPLOYEE_FACTS.kinds.map((kind) => [`employee ${kind.kind}`, EMPLOYEE_FACTS, kind] as const),
];

describe('every kind of fact', () => {
  it.each(ALL)('%s takes what its table asks for, and says it without a hole', (_, kinds, kind) => {
    for (const isFull of [false, true]) {
      const value = valueOf(kind, isFull);
      expect(kinds.issues(kind.kind, value, 'fact.value')).toEqual([]);
      const said = kinds.says(kind.kind, value);
      expect(said).not.toMatch(/undefined|null|NaN|\[object|\{/);
      if (isFull) expect(said).not.toBe('');
    }
  });
  it.each(ALL)('%s names each required field that is missing', (_, kinds, kind) => {
    for (const field of kind.fields.filter((one) => one.isRequired)) {
      const { [field.name]: __, ...rest } = valueOf(kind, false);
      if (!(field.name in valueOf(kind, false))) continue;
      const fields = kinds.issues(kind.kind, rest, 'fact.value').map((issue) => issue.field);
      expect(fields.some((path) => path.startsWith(`fact.value.${field.name}`))).toBe(true);
    }
  });
  it.each(ALL)('%s refuses a field that it does not know', (_, kinds, kind) => {
    const value = { ...valueOf(kind, false), moonPhase: 'full' };
    const issues = kinds.issues(kind.kind, value, 'fact.value');
    expect(issues.map((issue) => [issue.code, issue.field])).toContainEqual([
      'input.unknown-field',
      'fact.value.moonPhase',
    ]);
  });
  it.each(ALL)('%s has labels, and words for each choice', (_, __, kind) => {
    expect(kind.label).not.toBe('');
    for (const field of kind.fields) {
      expect(field.label).not.toBe('');
      for (const [value, word] of field.choices ?? []) expect([value, word].every((part) => part !== '')).toBe(true);
      if (field.when) expect(kind.fields.map((one) => one.name)).toContain(field.when.field);
    }
  });
});

describe('the certificate of a state as a form', () => {
  it('asks what the state asks, with words for its choices', () => {
    const fields = stateCertificateFields('NY');
    expect(fields.map((field) => field.name)).toContain('cityAllowances');
    expect(fields.find((field) => field.name === 'filingStatus')?.choices).toContainEqual([
      'married-jointly',
      'married filing jointly',
    ]);
  });
  it.each(['TX', 'WA', 'ZZ'])('asks nothing in %s', (state) => expect(stateCertificateFields(state)).toEqual([]));
});

it('the sample item exists', () => expect(findItem('union-dues')?.list).toBe('deduction'));
