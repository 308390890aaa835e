import { askKey, sentence, type Issue } from '@zakat/core/issues/issue';
import { Refusal, detailOf } from './refusal.js';

/** Refuses what is legal but doubtful until somebody has looked at it: `confirmed` names what was looked at. */
export function lookTwice(issues: readonly Issue[], confirmed: readonly string[] = []): void {
  const open = issues.filter((issue) => issue.severity === 'ask' && !confirmed.includes(askKey(issue)));
  if (open.length === 0) return;
  throw new Refusal(409, 'second-look', open.map(sentence).slice(0, 3).join(' '), open.map(detailOf));
}
