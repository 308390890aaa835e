import { parseDate } from '../calendar/local-date.js';
import type { FederalForm } from '../deposits/family.js';
import type { EmployerFacts } from '../filings/kind.js';
import type { FormChoice } from '../filings/registry.js';
import { EMPLOYER_KINDS, type EmployerKind } from '../computation/kinds.js';
import { text, type FactValue } from './fact-kind.js';

/** The federal return of a client by its fact about the employer; 941 where nothing is recorded. */
export const formOf = (employer: FactValue): FederalForm => (text(employer, 'formFamily') || '941') as FederalForm;

/** What a client is, as its forms ask, by its fact about the employer; a business that files Form 941 without one. */
export function employerOf(employer: FactValue | null): EmployerFacts {
  const value = employer ?? {};
  const kind = (text(value, 'kind') || 'business') as EmployerKind;
  return {
    kind,
    form: formOf(value),
    isSeasonal: value['isSeasonal'] === true,
    isWithoutUnemployment: !EMPLOYER_KINDS[kind].owesFederalUnemployment,
    lastWages: parseDate(text(value, 'lastWages')),
    isSuccessor: text(value, 'predecessor') !== '',
  };
}

/** What somebody said about a client's forms, against what follows from what it is. */
export const choicesOf = (forms: readonly FactValue[]): FormChoice[] =>
  forms.map((value) => ({
    kind: text(value, 'form'),
    files: text(value, 'files') === 'yes',
    reason: text(value, 'reason'),
  }));
