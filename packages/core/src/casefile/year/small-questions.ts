import { isBusinessDay, isWeekend } from '../../calendar/business-days.js';
import { BANKING, LEGAL, holidayOn, type HolidayCalendar } from '../../calendar/holidays.js';
import { date } from '../../calendar/local-date.js';
import { depositDates, type Accrued } from '../../deposits/deposit-dates.js';
import { findFamily } from '../../deposits/family.js';
import { problem, type Issue } from '../../issues/issue.js';
import { ALL_STATES } from '../../jurisdictions/states.js';
import { Reader, type JsonObject } from '../reader.js';
import { shownProblem, type CaseProblem } from '../run-case.js';

export interface DueAnswer {
  readonly id: string;
  readonly due: readonly {
    readonly accrued: string;
    readonly due: string | null;
    readonly class: string | null;
    readonly rule: string;
  }[];
  readonly problems: readonly CaseProblem[];
}
export interface DayAnswer {
  readonly id: string;
  readonly isBusinessDay: boolean | null;
  /** `holiday`, `weekend` or `business day`. */
  readonly is: string | null;
  readonly holiday: string | null;
  readonly problems: readonly CaseProblem[];
}

const idOf = (value: JsonObject): string => (typeof value['id'] === 'string' ? value['id'] : '');

/** `{"kind":"due","group":"us-941","class":"monthly","accrued":[{"date","amount"}]}`: when each of them is due. */
export function runDue(value: JsonObject): DueAnswer {
  const issues: Issue[] = [];
  const reader = new Reader(value, '', issues);
  reader.only(['id', 'kind', 'group', 'class', 'accrued', 'source']);
  const group = reader.text('group') ?? '';
  const family = findFamily(group);
  if (group !== '' && !family)
    issues.push(
      problem('input.not-one-of', 'group', { value: group, choices: 'us-941, us-940, ny-sit, tx-sui and the like' }),
    );
  const classes = family?.calendar?.rules.at(-1)?.value.classes.map(({ code }) => code) ?? [];
  const said = reader.has('class') ? reader.oneOf('class', classes) : null;
  const accrued = reader.list('accrued', true).flatMap((one): Accrued[] => {
    one.only(['date', 'amount']);
    const day = one.date('date');
    const amount = one.amount('amount');
    return day ? [{ date: day, amount }] : [];
  });
  if (!family || issues.length > 0) return { id: idOf(value), due: [], problems: issues.map(shownProblem) };
  const { dues } = depositDates(family, family.calendar, accrued, {
    said: () => (said === null ? null : { class: said, since: date('1990-01-01') }),
    entered: () => null,
    liabilities: [],
    completeFrom: null,
    firstWages: null,
    otherwise: null,
  });
  const questions = [...dues.values()].flatMap(({ question }) => (question ? [question] : []));
  return {
    id: idOf(value),
    due: [...dues].map(([day, found]) => ({ accrued: day, due: found.due, class: found.class, rule: found.rule })),
    problems: questions.slice(0, 1).map((issue) => shownProblem({ ...issue, field: 'class' })),
  };
}

/** The calendars by which business days are counted: `US`, `FRB`, and each state's own. */
export function calendarNamed(code: string): HolidayCalendar | null {
  const known = [LEGAL, BANKING].find((calendar) => calendar.code === code.toUpperCase());
  const state = ALL_STATES.find((one) => one.code === code.toUpperCase());
  return known ?? state?.deposits[0]?.rules.at(-1)?.value.holidays ?? null;
}

/** `{"kind":"day","calendar":"US","date":"2026-12-24"}`: whether that is a business day, and if not, why. */
export function runDay(value: JsonObject): DayAnswer {
  const issues: Issue[] = [];
  const reader = new Reader(value, '', issues);
  reader.only(['id', 'kind', 'calendar', 'date', 'source']);
  const code = reader.text('calendar') ?? '';
  const day = reader.date('date');
  const calendar = calendarNamed(code);
  if (code !== '' && !calendar)
    issues.push(problem('input.not-one-of', 'calendar', { value: code, choices: 'US, FRB, or a state like NY' }));
  if (!day || !calendar || issues.length > 0)
    return { id: idOf(value), isBusinessDay: null, is: null, holiday: null, problems: issues.map(shownProblem) };
  const holiday = holidayOn(day, calendar);
  return {
    id: idOf(value),
    isBusinessDay: isBusinessDay(day, calendar),
    is: holiday ? 'holiday' : isWeekend(day) ? 'weekend' : 'business day',
    holiday: holiday?.name ?? null,
    problems: [],
  };
}
