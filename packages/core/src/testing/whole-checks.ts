import type { CaseAnswer } from '../casefile/run-case.js';

/** Cases of one whole check, for tests. */
export type Given = Record<string, unknown>;
const COUNTIES: Readonly<Record<string, string>> = { MD: 'Howard County', IN: 'Marion' };
export const at = (state: string): Given => ({ state, ...(COUNTIES[state] ? { locality: COUNTIES[state] } : {}) });
export const make = (state: string, more: Given = {}, employee: Given = {}): Given => ({
  id: 'x',
  checkDate: '2026-06-12',
  payFrequency: 'biweekly',
  employee: { federal: { form: '2020', filingStatus: 'single' }, residence: at(state), work: [at(state)], ...employee },
  employer: { employees: 60, unemploymentRates: { [state]: '2.7' } },
  earnings: [{ item: 'salary', amount: '3000.00' }],
  ...more,
});
export const amount = (answer: CaseAnswer, code: string): string | undefined =>
  answer.taxes.find((tax) => tax.code === code)?.amount;
export const wagesOf = (answer: CaseAnswer, code: string): string | undefined =>
  answer.taxes.find((tax) => tax.code === code)?.wages;
export const problems = (answer: CaseAnswer): string[] => answer.problems.map((problem) => problem.code);
