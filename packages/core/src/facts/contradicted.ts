import { date, showDate } from '../calendar/local-date.js';
import { ask, type Issue } from '../issues/issue.js';
import { text, type FactValue } from './fact-kind.js';

/** A check that was posted, as far as a fact can contradict it. */
export interface PostedCheck {
  readonly periodStart: string;
  readonly periodEnd: string;
  readonly checkDate: string;
  /** The return that has its figures, when one was released (`Form 941, Q3 2026`). */
  readonly filed: string | null;
}
/** What is entered: a kind of fact and the day it counts from, or a hire date. */
export interface Entered {
  readonly kind: string;
  readonly from: string;
  readonly value: FactValue;
}

/** Kinds that no check was computed with: nothing that was posted can contradict them. */
const APART: ReadonlySet<string> = new Set(['bank', 'consent', 'own-field']);

function contradicts({ kind, from, value }: Entered, check: PostedCheck): boolean {
  if (kind === 'hire') return check.periodEnd < from;
  if (APART.has(kind)) return false;
  const until = text(value, 'until');
  if (until !== '' && until < check.periodStart) return false;
  // The end of an employment is its last day: a check of a period that begins after it should not be.
  if (kind === 'employment')
    return text(value, 'standing') === 'ended' ? check.periodStart > from : check.periodEnd >= from;
  return kind === 'pay' ? check.periodEnd >= from : check.checkDate >= from;
}

const MOST_NAMED = 4;

/** The posted checks that say otherwise than what is entered, as one question; none where nothing was posted since. */
export function contradictions(entered: Entered, checks: readonly PostedCheck[], field: string): Issue[] {
  const found = checks.filter((check) => contradicts(entered, check));
  if (found.length === 0) return [];
  const days = [...new Set(found.map(({ checkDate }) => checkDate))].sort();
  const named = days.slice(0, MOST_NAMED).map((day) => showDate(date(day)));
  const more = days.length > MOST_NAMED ? `, and ${days.length - MOST_NAMED} more` : '';
  const returns = [...new Set(found.flatMap(({ filed }) => (filed === null ? [] : [filed])))];
  return [
    ask('doubt.contradicts', field, {
      checks: `${days.length === 1 ? 'the check of' : 'the checks of'} ${named.join('; ')}${more}`,
      filed: returns.length === 0 ? '' : `, and ${returns.join(', ')} with them`,
    }),
  ];
}
