import { addDays, daysInMonth, makeDate, weekday, yearOf, type LocalDate } from './local-date.js';

/**
 * Holidays that move deposits and payments.
 *
 * `legal`: legal holidays in the District of Columbia, which the deposit rules use (Publication 15, section 11,
 * "Deposits Due on Business Days Only"); a holiday on a Saturday is kept on the Friday before, on a Sunday the Monday
 * after (D.C. Code § 28-2701).
 * `banking`: days the Federal Reserve Banks are closed; one on a Sunday is kept on the Monday, one on a Saturday is
 * not moved (Federal Reserve Banks' holiday schedule).
 */
export type HolidayCalendar = 'legal' | 'banking';

export interface Holiday {
  readonly name: string;
  readonly day: LocalDate;
  readonly observed: LocalDate;
}

type Place =
  | { readonly month: number; readonly day: number }
  | { readonly month: number; readonly weekday: number; readonly nth: number };
interface HolidayRule {
  readonly name: string;
  readonly place: Place;
  readonly from: number;
  readonly calendars: readonly HolidayCalendar[];
}

const BOTH = ['legal', 'banking'] as const;
const RULES: readonly HolidayRule[] = [
  { name: "New Year's Day", place: { month: 1, day: 1 }, from: 1900, calendars: BOTH },
  { name: 'Birthday of Martin Luther King, Jr.', place: { month: 1, weekday: 1, nth: 3 }, from: 1986, calendars: BOTH },
  { name: "Washington's Birthday", place: { month: 2, weekday: 1, nth: 3 }, from: 1971, calendars: BOTH },
  { name: 'District of Columbia Emancipation Day', place: { month: 4, day: 16 }, from: 2005, calendars: ['legal'] },
  { name: 'Memorial Day', place: { month: 5, weekday: 1, nth: -1 }, from: 1971, calendars: BOTH },
  { name: 'Juneteenth National Independence Day', place: { month: 6, day: 19 }, from: 2021, calendars: BOTH },
  { name: 'Independence Day', place: { month: 7, day: 4 }, from: 1900, calendars: BOTH },
  { name: 'Labor Day', place: { month: 9, weekday: 1, nth: 1 }, from: 1900, calendars: BOTH },
  { name: 'Columbus Day', place: { month: 10, weekday: 1, nth: 2 }, from: 1971, calendars: BOTH },
  { name: 'Veterans Day', place: { month: 11, day: 11 }, from: 1978, calendars: BOTH },
  { name: 'Thanksgiving Day', place: { month: 11, weekday: 4, nth: 4 }, from: 1942, calendars: BOTH },
  { name: 'Christmas Day', place: { month: 12, day: 25 }, from: 1900, calendars: BOTH },
];

function placeInYear(year: number, place: Place): LocalDate {
  if ('day' in place) return makeDate(year, place.month, place.day);
  if (place.nth > 0) {
    const first = makeDate(year, place.month, 1);
    return addDays(first, ((place.weekday - weekday(first) + 7) % 7) + 7 * (place.nth - 1));
  }
  const last = makeDate(year, place.month, daysInMonth(year, place.month));
  return addDays(last, -((weekday(last) - place.weekday + 7) % 7));
}

function observe(day: LocalDate, calendar: HolidayCalendar): LocalDate {
  if (weekday(day) === 0) return addDays(day, 1);
  if (weekday(day) === 6 && calendar === 'legal') return addDays(day, -1);
  return day;
}

const cache = new Map<string, readonly Holiday[]>();

/** Every holiday whose own day falls in `year`; the observed day may be 31 December of the year before. */
export function holidaysOf(year: number, calendar: HolidayCalendar): readonly Holiday[] {
  const key = `${year} ${calendar}`;
  const known = cache.get(key);
  if (known) return known;
  const found = RULES.filter((rule) => rule.from <= year && rule.calendars.includes(calendar)).map((rule) => {
    const day = placeInYear(year, rule.place);
    return { name: rule.name, day, observed: observe(day, calendar) };
  });
  cache.set(key, found);
  return found;
}

/** The holiday kept on this day, or null. */
export function holidayOn(day: LocalDate, calendar: HolidayCalendar): Holiday | null {
  const year = yearOf(day);
  return (
    holidaysOf(year, calendar).find((holiday) => holiday.observed === day) ??
    holidaysOf(year + 1, calendar).find((holiday) => holiday.observed === day) ??
    null
  );
}
