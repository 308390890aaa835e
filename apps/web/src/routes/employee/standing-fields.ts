import { EMPLOYEE_FACTS } from '@zakat/core/facts/employee-facts';
import type { FactField } from '@zakat/core/facts/field';
import { itemChoices } from '../fact-forms/item-choices.js';

/** The fields of a line of every check, its item chosen from a list. */
export const standingFields = (own: readonly (readonly [string, string])[] = []): readonly FactField[] =>
  (EMPLOYEE_FACTS.find('standing')?.fields ?? []).map((field) =>
    field.name === 'item'
      ? { ...field, kind: 'choice' as const, choices: itemChoices(['earning', 'deduction', 'employer'], own) }
      : field,
  );
