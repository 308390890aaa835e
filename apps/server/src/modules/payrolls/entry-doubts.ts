import { date, daysBetween } from '@zakat/core/calendar/local-date';
import { problem, type Issue } from '@zakat/core/issues/issue';
import { checkDoubts } from '@zakat/core/casefile/check-doubts';
import { fullName } from '../employees/index.js';
import type { Payroll } from './entities.js';
import type { ComputedPerson } from './payroll-view.js';

const daysOf = ({ periodStart, periodEnd }: Payroll): number => daysBetween(date(periodStart), date(periodEnd)) + 1;
const doubtsOf = ({ entry, base, usual }: ComputedPerson, payroll: Payroll): Issue[] =>
  entry.isPaid && payroll.kind !== 'recorded' ? checkDoubts(entry.earnings, usual.earnings, base, daysOf(payroll)) : [];

/** What was typed and cannot be: a line that was not understood, more hours than the period has. */
export const entryErrors = (person: ComputedPerson, payroll: Payroll): Issue[] => [
  ...unreadIssues(person.entry),
  ...doubtsOf(person, payroll).filter((issue) => issue.severity === 'error'),
];
const unreadIssues = ({ unread }: ComputedPerson['entry']): Issue[] =>
  unread ? [problem('entry.not-read', unread.column, { text: unread.text, why: unread.why })] : [];

/** More leave than there is: it may be owed, and is looked at twice. */
const leaveExceeded = ({ result }: ComputedPerson, { kind }: Payroll): Issue[] =>
  (kind === 'recorded' ? [] : result.problems)
    .filter(({ code }) => code === 'leave.exceeded')
    .map((issue) => ({ ...issue, severity: 'ask' }));

/** What was typed and is legal, but looks like a slip: the review asks once. */
export const entryDoubts = (person: ComputedPerson, payroll: Payroll): Issue[] =>
  [...doubtsOf(person, payroll), ...leaveExceeded(person, payroll)]
    .filter((issue) => issue.severity === 'ask')
    .map((issue) => ({ ...issue, field: `${fullName(person.employee)}: ${issue.field}` }));
