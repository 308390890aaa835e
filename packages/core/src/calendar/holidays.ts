import { addDays, daysInMonth, makeDate, weekday, yearOf, type LocalDate } from './local-date.js';

export interface Holiday {
  readonly name: string;
  readonly day: LocalDate;
  readonly observed: LocalDate;
}

/** Where a holiday stands in a year; `plus` days after a weekday of a month (the Friday after Thanksgiving). */
type Place =
  | { readonly month: number; readonly day: number }
  | { readonly month: number; readonly weekday: number; readonly nth: number; readonly plus?: number }
  | { readonly fromEaster: number };
export interface HolidayRule {
  readonly name: string;
  readonly place: Place;
  /** First year in which it is kept. */
  readonly from: number;
  /** Kept in years with an even number only (general elections). */
  readonly isEvenYears?: true;
}

/** The days on which somebody who takes returns and deposits, or a bank, is closed besides Saturdays and Sundays. */
export interface HolidayCalendar {
  /** `US`, `FRB`, or the code of a state. */
  readonly code: string;
  readonly name: string;
  /** A holiday on a Saturday is kept on the Friday before, or is not moved; one on a Sunday is kept on the Monday. */
  readonly saturday: 'friday' | 'not-moved';
  readonly rules: readonly HolidayRule[];
}

const on = (name: string, month: number, day: number, from = 1900): HolidayRule => ({
  name,
  place: { month, day },
  from,
});
const onNth = (name: string, month: number, nth: number, day: number, from = 1900, plus?: number): HolidayRule => ({
  name,
  place: plus === undefined ? { month, weekday: day, nth } : { month, weekday: day, nth, plus },
  from,
});
const [MONDAY, THURSDAY] = [1, 4];

/** Holidays that several calendars have, each from the first year in which it was kept on this day. */
export const HOLIDAYS = {
  newYear: on("New Year's Day", 1, 1),
  king: onNth('Birthday of Martin Luther King, Jr.', 1, 3, MONDAY, 1986),
  lincoln: on("Lincoln's Birthday", 2, 12),
  washington: onNth("Washington's Birthday", 2, 3, MONDAY, 1971),
  goodFriday: { name: 'Good Friday', place: { fromEaster: -2 }, from: 1900 },
  emancipation: on('District of Columbia Emancipation Day', 4, 16, 2005),
  memorial: onNth('Memorial Day', 5, -1, MONDAY, 1971),
  juneteenth: on('Juneteenth National Independence Day', 6, 19, 2021),
  independence: on('Independence Day', 7, 4),
  labor: onNth('Labor Day', 9, 1, MONDAY),
  columbus: onNth('Columbus Day', 10, 2, MONDAY, 1971),
  election: onNth('Election Day', 11, 1, MONDAY, 1900, 1),
  generalElection: { ...onNth('General Election Day', 11, 1, MONDAY, 1900, 1), isEvenYears: true },
  veterans: on('Veterans Day', 11, 11, 1978),
  thanksgiving: onNth('Thanksgiving Day', 11, 4, THURSDAY, 1942),
  afterThanksgiving: onNth('Day after Thanksgiving', 11, 4, THURSDAY, 1942, 1),
  christmasEve: on('Christmas Eve', 12, 24),
  christmas: on('Christmas Day', 12, 25),
} as const satisfies Record<string, HolidayRule>;

const FEDERAL: readonly HolidayRule[] = [
  HOLIDAYS.newYear,
  HOLIDAYS.king,
  HOLIDAYS.washington,
  HOLIDAYS.memorial,
  HOLIDAYS.juneteenth,
  HOLIDAYS.independence,
  HOLIDAYS.labor,
  HOLIDAYS.columbus,
  HOLIDAYS.veterans,
  HOLIDAYS.thanksgiving,
  HOLIDAYS.christmas,
];

/**
 * Legal holidays in the District of Columbia, which the federal deposit rules use (Publication 15, section 11, "Deposits
 * Due on Business Days Only"); one on a Saturday is kept on the Friday before, one on a Sunday the Monday after (D.C. Code
 * § 28-2701).
 */
export const LEGAL: HolidayCalendar = {
  code: 'US',
  name: 'Legal holidays in the District of Columbia',
  saturday: 'friday',
  rules: [...FEDERAL.slice(0, 3), HOLIDAYS.emancipation, ...FEDERAL.slice(3)],
};

/** Days the Federal Reserve Banks are closed; one on a Saturday is not moved (Federal Reserve Banks' holiday schedule). */
export const BANKING: HolidayCalendar = {
  code: 'FRB',
  name: 'Holidays of the Federal Reserve Banks',
  saturday: 'not-moved',
  rules: FEDERAL,
};

/** A Sunday in March or April: the anonymous Gregorian algorithm (Nature, 20 April 1876). */
function easter(year: number): LocalDate {
  const golden = year % 19;
  const century = Math.floor(year / 100);
  const rest = year % 100;
  const correction = (19 * golden + century - Math.floor(century / 4) - Math.floor((8 * century + 13) / 25) + 15) % 30;
  const toSunday = (32 + 2 * (century % 4) + 2 * Math.floor(rest / 4) - correction - (rest % 4)) % 7;
  const shift = Math.floor((golden + 11 * correction + 22 * toSunday) / 451);
  const sum = correction + toSunday - 7 * shift + 114;
  return makeDate(year, Math.floor(sum / 31), (sum % 31) + 1);
}

function placeInYear(year: number, place: Place): LocalDate {
  if ('fromEaster' in place) return addDays(easter(year), place.fromEaster);
  if ('day' in place) return makeDate(year, place.month, place.day);
  const { month, nth, plus = 0 } = place;
  if (nth > 0) {
    const first = makeDate(year, month, 1);
    return addDays(first, ((place.weekday - weekday(first) + 7) % 7) + 7 * (nth - 1) + plus);
  }
  const last = makeDate(year, month, daysInMonth(year, month));
  return addDays(last, -((weekday(last) - place.weekday + 7) % 7) + plus);
}

function observe(day: LocalDate, calendar: HolidayCalendar): LocalDate {
  if (weekday(day) === 0) return addDays(day, 1);
  if (weekday(day) === 6 && calendar.saturday === 'friday') return addDays(day, -1);
  return day;
}

const cache = new WeakMap<HolidayCalendar, Map<number, readonly Holiday[]>>();

/** Every holiday whose own day falls in `year`; the observed day may be 31 December of the year before. */
export function holidaysOf(year: number, calendar: HolidayCalendar): readonly Holiday[] {
  const years = cache.get(calendar) ?? new Map<number, readonly Holiday[]>();
  cache.set(calendar, years);
  const known = years.get(year);
  if (known) return known;
  const found = calendar.rules
    .filter((rule) => rule.from <= year && !(rule.isEvenYears && year % 2 === 1))
    .map((rule) => {
      const day = placeInYear(year, rule.place);
      return { name: rule.name, day, observed: observe(day, calendar) };
    });
  years.set(year, found);
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
