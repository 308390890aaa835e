import { problem, warning } from '../../issues/issue.js';
import { showDollars, sum } from '../../money/cents.js';
import { OF_EFILED_RETURNS, periodOver, type Check } from '../checks.js';
import { lineOf } from '../return-lines.js';
import type { Form940 } from './form.js';

const parametersKnown: Check<Form940> = ({ missing, year }) =>
  missing.map((what) =>
    problem(what === 'rate' ? 'check.futa-rate' : 'check.credit-reduction', 'line.11', { year: String(year) }),
  );
const wagesPresent: Check<Form940> = ({ hasPaid }) => (hasPaid ? [] : [warning('check.no-wages', 'line.3')]);
/** Line 17 is line 12 (Form 940, part 5). */
const quartersFoot: Check<Form940> = ({ lines }) => {
  const [total, quarters] = [lineOf(lines, '12'), lineOf(lines, '17')];
  return quarters === 0 || quarters === total
    ? []
    : [problem('check.quarters', 'line.17', { quarters: showDollars(quarters), total: showDollars(total) })];
};
/** The states' wages and those outside any state are line 7. */
const statesFoot: Check<Form940> = ({ lines, scheduleA }) => {
  const states = sum(scheduleA.map((row) => row.wages));
  const taxable = lineOf(lines, '7');
  return states <= taxable
    ? []
    : [problem('check.states', 'line.7', { states: showDollars(states), taxable: showDollars(taxable) })];
};
/** Nothing that the paychecks say is below zero. */
const noneBelowZero: Check<Form940> = ({ lines }) =>
  lines
    .filter(({ id, value }) => ['3', '4', '5', '7'].includes(id) && value < 0)
    .map(({ id }) => problem('check.line-below-zero', `line.${id}`, { line: id }));

/** All checks of a Form 940; all run, all report. */
export const CHECKS_940: readonly Check<Form940>[] = [
  ...OF_EFILED_RETURNS,
  periodOver,
  parametersKnown,
  wagesPresent,
  quartersFoot,
  statesFoot,
  noneBelowZero,
];
