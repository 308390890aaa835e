import { type Issue, problem } from '../issues/issue.js';
import { findState } from '../jurisdictions/states.js';
import { type Rate, showPercent } from '../money/rate.js';
import { type TaxCode, isTaxCode } from '../tax-registry/registry.js';
import { Reader } from './reader.js';

const PLAUSIBLE_ABOVE = 25;

export function readRates(reader: Reader | null, issues: Issue[]): Record<string, Rate> {
  const rates: Record<string, Rate> = {};
  if (!reader) return rates;
  for (const state of reader.names()) {
    const value = reader.percent(state);
    if (value === null) continue;
    const highest = findState(state)?.unemployment.highestPlausibleRate;
    const isImplausible = highest
      ? value.n * highest.d > highest.n * value.d
      : value.n * 100 > PLAUSIBLE_ABOVE * value.d;
    if (isImplausible)
      issues.push(
        problem('employer.rate-implausible', `employer.unemploymentRates.${state}`, { rate: showPercent(value) }),
      );
    rates[state] = value;
  }
  return rates;
}

export function readOwnRates(reader: Reader | null, issues: Issue[]): Partial<Record<TaxCode, Rate>> {
  const rates: Partial<Record<TaxCode, Rate>> = {};
  for (const name of reader?.names() ?? []) {
    const value = reader?.percent(name) ?? null;
    if (!isTaxCode(name))
      issues.push(
        problem('input.not-one-of', `${reader?.path ?? ''}.${name}`, {
          value: name,
          choices: 'the tax codes of docs/jurisdictions.md',
        }),
      );
    else if (value && value.n * 4 > value.d)
      issues.push(problem('employer.rate-implausible', `employer.rates.${name}`, { rate: showPercent(value) }));
    else if (value) rates[name] = value;
  }
  return rates;
}
