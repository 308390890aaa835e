/** A calendar day as `YYYY-MM-DD` text. Days have no time zone; comparing the text compares the days. */
declare const localDateBrand: unique symbol;
export type LocalDate = string & { readonly [localDateBrand]: true };

const SHAPE = /^(\d{4})-(\d{2})-(\d{2})$/;

const isLeap = (year: number): boolean => (year % 4 === 0 && year % 100 !== 0) || year % 400 === 0;
export const daysInMonth = (year: number, month: number): number =>
  month === 2 ? (isLeap(year) ? 29 : 28) : [4, 6, 9, 11].includes(month) ? 30 : 31;

/** Reads `2026-01-31`; null when it is not a day that exists between 1900 and 2199. */
export function parseDate(text: string): LocalDate | null {
  const match = SHAPE.exec(text);
  if (!match) return null;
  const [year, month, day] = [Number(match[1]), Number(match[2]), Number(match[3])];
  if (year < 1900 || year > 2199 || month < 1 || month > 12 || day < 1 || day > daysInMonth(year, month)) return null;
  return text as LocalDate;
}

/** As parseDate for text known to be good; throws RangeError otherwise. */
export function date(text: string): LocalDate {
  const value = parseDate(text);
  if (value === null) throw new RangeError(`not a calendar day: ${text}`);
  return value;
}

export const yearOf = (day: LocalDate): number => Number(day.slice(0, 4));
export const monthOf = (day: LocalDate): number => Number(day.slice(5, 7));
export const dayOf = (day: LocalDate): number => Number(day.slice(8, 10));

const pad = (value: number, width: number): string => String(value).padStart(width, '0');
export const makeDate = (year: number, month: number, day: number): LocalDate =>
  `${pad(year, 4)}-${pad(month, 2)}-${pad(day, 2)}` as LocalDate;

/** Days since 1970-01-01 (proleptic Gregorian). */
export function dayNumber(day: LocalDate): number {
  const month = monthOf(day);
  const year = yearOf(day) - (month <= 2 ? 1 : 0);
  const era = Math.floor(year / 400);
  const yearOfEra = year - era * 400;
  const dayOfYear = Math.floor((153 * (month + (month > 2 ? -3 : 9)) + 2) / 5) + dayOf(day) - 1;
  return era * 146097 + yearOfEra * 365 + Math.floor(yearOfEra / 4) - Math.floor(yearOfEra / 100) + dayOfYear - 719468;
}

export function fromDayNumber(days: number): LocalDate {
  const shifted = days + 719468;
  const era = Math.floor(shifted / 146097);
  const dayOfEra = shifted - era * 146097;
  const yearOfEra = Math.floor(
    (dayOfEra - Math.floor(dayOfEra / 1460) + Math.floor(dayOfEra / 36524) - Math.floor(dayOfEra / 146096)) / 365,
  );
  const dayOfYear = dayOfEra - (365 * yearOfEra + Math.floor(yearOfEra / 4) - Math.floor(yearOfEra / 100));
  const shiftedMonth = Math.floor((5 * dayOfYear + 2) / 153);
  const month = shiftedMonth < 10 ? shiftedMonth + 3 : shiftedMonth - 9;
  const year = yearOfEra + era * 400 + (month <= 2 ? 1 : 0);
  return makeDate(year, month, dayOfYear - Math.floor((153 * shiftedMonth + 2) / 5) + 1);
}

export const addDays = (day: LocalDate, days: number): LocalDate => fromDayNumber(dayNumber(day) + days);
export const daysBetween = (from: LocalDate, to: LocalDate): number => dayNumber(to) - dayNumber(from);

/** 0 is Sunday, 6 is Saturday. */
export const weekday = (day: LocalDate): number => (((dayNumber(day) + 4) % 7) + 7) % 7;

/** The same day of the month `months` later; the last day of the month when that day does not exist. */
export function addMonths(day: LocalDate, months: number): LocalDate {
  const index = yearOf(day) * 12 + monthOf(day) - 1 + months;
  const year = Math.floor(index / 12);
  const month = index - year * 12 + 1;
  return makeDate(year, month, Math.min(dayOf(day), daysInMonth(year, month)));
}

export const endOfMonth = (day: LocalDate): LocalDate =>
  makeDate(yearOf(day), monthOf(day), daysInMonth(yearOf(day), monthOf(day)));

/** A half-open span of days: `from` is in it, `until` is not; `until: null` is open. */
export interface Span {
  readonly from: LocalDate;
  readonly until: LocalDate | null;
}
export const contains = (span: Span, day: LocalDate): boolean =>
  span.from <= day && (span.until === null || day < span.until);

const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];
const WEEKDAYS = ['Sun', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat'];
/** In sentences and headings: `Thu, Oct 22, 2026` */
export const showDate = (day: LocalDate): string =>
  `${WEEKDAYS[weekday(day)]}, ${MONTHS[monthOf(day) - 1]} ${dayOf(day)}, ${yearOf(day)}`;
/** In tables and fields: `10/22/2026` */
export const showShortDate = (day: LocalDate): string =>
  `${pad(monthOf(day), 2)}/${pad(dayOf(day), 2)}/${pad(yearOf(day), 4)}`;
