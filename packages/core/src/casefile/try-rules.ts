import { problem, type Issue } from '../issues/issue.js';
import type { OwnRule } from '../rules/pack.js';
import { packRow } from '../rules/pack.js';
import { runCase } from './run-case.js';

const PAYS = ['900.00', '3100.00', '12000.00'];

/** Computes a few ordinary checks on the first day of each rule: one that makes the computation fail is an issue, not a crash later. */
export function tryRules(rules: readonly OwnRule[]): Issue[] {
  return rules.flatMap(({ parameter, row }, index) => {
    const state = parameter.jurisdiction === 'US' ? 'TX' : parameter.jurisdiction;
    const [, place] = parameter.code.split('.');
    const locality = parameter.code.split('.').length > 2 && place !== 'unemployment' ? place : undefined;
    const at = { state, ...(locality ? { locality } : {}) };
    try {
      for (const amount of PAYS)
        for (const item of ['salary', 'bonus']) {
          const answer = runCase({
            id: 'try',
            checkDate: row.from,
            payFrequency: 'biweekly',
            employee: { federal: { form: '2020', filingStatus: 'single' }, residence: at, work: [at] },
            employer: { employees: 20, quarterlyPayroll: '400000.00', unemploymentRates: { [state]: '2.7' } },
            earnings: [{ item, amount }],
            rules: [packRow(parameter, row)],
          });
          if (answer.problems.some(({ code }) => code === 'input.too-large' || code === 'fault.ours'))
            throw new RangeError('not computable');
        }
      return [];
    } catch {
      return [problem('rules.not-computable', `rows[${index}].value`, { parameter: parameter.code })];
    }
  });
}
