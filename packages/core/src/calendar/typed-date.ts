import { daysInMonth, makeDate, parseDate, type LocalDate } from './local-date.js';

const MONTH_NAMES = [
  'january',
  'february',
  'march',
  'april',
  'may',
  'june',
  'july',
  'august',
  'september',
  'october',
  'november',
  'december',
];
/** Three letters or more of its name, with or without a period: `Mar`, `Sept.`, `march`; 0 when it is none. */
function monthNamed(text: string): number {
  const word = text.toLowerCase().replace(/\.$/, '');
  return word.length < 3 ? 0 : MONTH_NAMES.findIndex((name) => name.startsWith(word)) + 1;
}

/** Two digits of a year as spreadsheets read them: 00 to 29 are 2000 to 2029, 30 to 99 are 1930 to 1999. */
const yearFrom = (text: string): number =>
  text.length === 4 ? Number(text) : Number(text) + (Number(text) < 30 ? 2000 : 1900);

function made(year: string, month: number, day: string): LocalDate | null {
  const [y, d] = [yearFrom(year), Number(day)];
  if (y < 1900 || y > 2199 || month < 1 || month > 12 || d < 1 || d > daysInMonth(y, month)) return null;
  return makeDate(y, month, d);
}

const YEAR = String.raw`(\d{4}|\d{2})`;
const ISO = /^(\d{4}-\d{2}-\d{2})(?:[T ]\d.*)?$/;
const NUMERIC = new RegExp(String.raw`^(\d{1,2})([/.\- ])(\d{1,2})\2${YEAR}$`);
const RUN = new RegExp(String.raw`^(\d{2})(\d{2})${YEAR}$`);
const DAY_FIRST = new RegExp(String.raw`^(\d{1,2})[- ]([A-Za-z]{3,9}\.?)[-, ]+${YEAR}$`);
const MONTH_FIRST = new RegExp(String.raw`^([A-Za-z]{3,9}\.?)[- ](\d{1,2})(?:st|nd|rd|th)?[-, ]+${YEAR}$`);
const WEEKDAY = /^(?:sun|mon|tue|wed|thu|fri|sat)[a-z]*[.,]*\s+/i;

/**
 * Reads a day as people in the United States type it, month first: `10/16/2026`, `10/16/26`, `10-16-2026`, `101626`,
 * `16-Oct-26`, `Oct 16, 2026`, `Fri, Oct 16, 2026`, and `2026-10-16`. Null when it is none of these or no day that exists.
 */
export function readTypedDate(given: string): LocalDate | null {
  const text = given.trim().replace(/\s+/g, ' ').replace(WEEKDAY, '');
  const iso = ISO.exec(text);
  if (iso) return parseDate(iso[1] ?? '');
  const numeric = NUMERIC.exec(text);
  if (numeric) return made(numeric[4] ?? '', Number(numeric[1]), numeric[3] ?? '');
  const run = RUN.exec(text);
  if (run) return made(run[3] ?? '', Number(run[1]), run[2] ?? '');
  const dayFirst = DAY_FIRST.exec(text);
  if (dayFirst) return made(dayFirst[3] ?? '', monthNamed(dayFirst[2] ?? ''), dayFirst[1] ?? '');
  const monthFirst = MONTH_FIRST.exec(text);
  if (monthFirst) return made(monthFirst[3] ?? '', monthNamed(monthFirst[1] ?? ''), monthFirst[2] ?? '');
  return null;
}
