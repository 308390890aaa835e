import { problem, warning } from '../../issues/issue.js';
import { showDollars, sum } from '../../money/cents.js';
import { OF_EFILED_RETURNS, periodOver, type Check } from '../checks.js';
import { lineOf } from '../return-lines.js';
import type { Form941 } from './form.js';

const wagesPresent: Check<Form941> = ({ lines }) =>
  lineOf(lines, '2') === 0 ? [warning('check.no-wages', 'line.2')] : [];
const scheduleBFoots: Check<Form941> = ({ lines, scheduleB }) => {
  if (!scheduleB) return [];
  const b = sum(scheduleB.map((day) => day.amount));
  const line12 = lineOf(lines, '12');
  return b === line12
    ? []
    : [problem('check.schedule-b', 'line.12', { b: showDollars(b), line12: showDollars(line12) })];
};
/** Line 7 is for fractions of cents only (Instructions for Form 941). */
const fractionsAreSmall: Check<Form941> = ({ lines, mostRounding }) => {
  const fractions = lineOf(lines, '7');
  return Math.abs(fractions) <= mostRounding
    ? []
    : [problem('check.not-fractions', 'line.7', { amount: showDollars(fractions) })];
};

/** All checks of a Form 941; all run, all report. */
export const CHECKS_941: readonly Check<Form941>[] = [
  ...OF_EFILED_RETURNS,
  periodOver,
  wagesPresent,
  scheduleBFoots,
  fractionsAreSmall,
];
