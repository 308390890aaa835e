import { type Issue, problem } from '../issues/issue.js';
import { findItem } from '../items/registry.js';
import { type Cents, ZERO } from '../money/cents.js';
import { type TaxCode, type WageBase, isTaxCode, isWageBase } from '../taxes/registry.js';
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
