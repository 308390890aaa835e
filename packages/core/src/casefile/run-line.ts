import { problem } from '../issues/issue.js';
import { isObject } from './reader.js';
import { runCase, shownProblem, type CaseAnswer } from './run-case.js';
import { runPenalty, type PenaltyAnswer } from './year/penalty-question.js';
import { runYear, type YearAnswer } from './year/run-year.js';
import { runDay, runDue, type DayAnswer, type DueAnswer } from './year/small-questions.js';

export type LineAnswer = CaseAnswer | YearAnswer | DueAnswer | DayAnswer | PenaltyAnswer;

/** One line of a case file, which may not even be JSON: a check, a year (`kind`), or a smaller question. */
export function runLine(line: string, withWorking = false): LineAnswer {
  let value: unknown;
  try {
    value = JSON.parse(line);
  } catch {
    return { id: '', gross: null, net: null, taxes: [], problems: [shownProblem(problem('input.not-json', ''))] };
  }
  if (isObject(value) && value['kind'] !== undefined && value['kind'] !== null) {
    if (value['kind'] === 'year') return runYear(value);
    if (value['kind'] === 'due') return runDue(value);
    if (value['kind'] === 'day') return runDay(value);
    if (value['kind'] === 'penalty') return runPenalty(value);
  }
  return runCase(value, withWorking);
}
