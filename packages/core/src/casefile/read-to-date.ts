import { type Issue, problem } from '../issues/issue.js';
import { findItem } from '../items/registry.js';
import { type Cents, ZERO } from '../money/cents.js';
import { type TaxCode, type WageBase, isTaxCode, isWageBase, taxOf } from '../tax-registry/registry.js';
import { Reader } from './reader.js';

export function readWages(reader: Reader | null, issues: Issue[]): Partial<Record<WageBase, Cents>> {
  const wages: Partial<Record<WageBase, Cents>> = {};
  for (const name of reader?.names() ?? []) {
    if (isWageBase(name)) wages[name] = reader?.amount(name) ?? ZERO;
    else
      issues.push(
        problem('input.not-one-of', `${reader?.path ?? ''}.${name}`, {
          value: name,
          choices: 'the wage bases of docs/jurisdictions.md',
        }),
      );
  }
  return wages;
}

export function readTaxes(reader: Reader | null, issues: Issue[]): Partial<Record<TaxCode, Cents>> {
  const taxes: Partial<Record<TaxCode, Cents>> = {};
  for (const name of reader?.names() ?? []) {
    if (isTaxCode(name)) taxes[name] = reader?.amount(name) ?? ZERO;
    else
      issues.push(
        problem('input.not-one-of', `${reader?.path ?? ''}.${name}`, {
          value: name,
          choices: 'the tax codes of docs/jurisdictions.md',
        }),
      );
  }
  return taxes;
}

/** What another program withheld, by tax; null where the check is one of ours. */
export function readWithheld(reader: Reader | null, issues: Issue[]): ReadonlyMap<TaxCode, Cents> | null {
  if (!reader) return null;
  const withheld = new Map(Object.entries(readTaxes(reader, issues)) as [TaxCode, Cents][]);
  for (const code of withheld.keys())
    if (taxOf(code).payer === 'employer')
      issues.push(problem('withheld.not-employee', `${reader.path}.${code}`, { tax: taxOf(code).label }));
  return withheld;
}

export function readDeductionsToDate(reader: Reader | null, issues: Issue[]): Record<string, Cents> {
  const taken: Record<string, Cents> = {};
  for (const name of reader?.names() ?? []) {
    if (findItem(name)?.list === 'deduction') taken[name] = reader?.amount(name) ?? ZERO;
    else
      issues.push(
        problem('item.unknown', `${reader?.path ?? ''}.${name}`, { item: name, choices: 'a deduction item' }),
      );
  }
  return taken;
}

/** Amounts by the firm's own names: any name may stand here, because the lines of a case name them too. */
export const readOwnDeductionsToDate = (reader: Reader | null): Record<string, Cents> =>
  Object.fromEntries((reader?.names() ?? []).map((name) => [name, reader?.amount(name) ?? ZERO]));
