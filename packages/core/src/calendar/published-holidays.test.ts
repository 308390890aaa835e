import { describe, expect, it } from '@jest/globals';
import Holidays from 'date-holidays';
import { BANKING, LEGAL, holidaysOf } from './holidays.js';

/**
 * The days on which federal holidays are kept, as the Office of Personnel Management lists them by year ("Federal Holidays",
 * recalled). New Year's Day that falls on a Saturday is in the list of the year it belongs to.
 */
const LISTED: Readonly<Record<number, readonly string[]>> = {
  2021: ['01-01', '01-18', '02-15', '05-31', '06-18', '07-05', '09-06', '10-11', '11-11', '11-25', '12-24'],
  2022: ['2021-12-31', '01-17', '02-21', '05-30', '06-20', '07-04', '09-05', '10-10', '11-11', '11-24', '12-26'],
  2023: ['01-02', '01-16', '02-20', '05-29', '06-19', '07-04', '09-04', '10-09', '11-10', '11-23', '12-25'],
  2024: ['01-01', '01-15', '02-19', '05-27', '06-19', '07-04', '09-02', '10-14', '11-11', '11-28', '12-25'],
  2025: ['01-01', '01-20', '02-17', '05-26', '06-19', '07-04', '09-01', '10-13', '11-11', '11-27', '12-25'],
  2026: ['01-01', '01-19', '02-16', '05-25', '06-19', '07-03', '09-07', '10-12', '11-11', '11-26', '12-25'],
  2027: ['01-01', '01-18', '02-15', '05-31', '06-18', '07-05', '09-06', '10-11', '11-11', '11-25', '12-24'],
  2028: ['2027-12-31', '01-17', '02-21', '05-29', '06-19', '07-04', '09-04', '10-09', '11-10', '11-23', '12-25'],
  2029: ['01-01', '01-15', '02-19', '05-28', '06-19', '07-04', '09-03', '10-08', '11-12', '11-22', '12-25'],
  2030: ['01-01', '01-21', '02-18', '05-27', '06-19', '07-04', '09-02', '10-14', '11-11', '11-28', '12-25'],
};
const ONLY_OF_THE_DISTRICT = /Emancipation/;

describe('federal holidays as published', () => {
  it.each(Object.entries(LISTED))('%s', (year, days) =>
    expect(
      holidaysOf(Number(year), LEGAL)
        .filter(({ name }) => !ONLY_OF_THE_DISTRICT.test(name))
        .map(({ observed }) => observed),
    ).toEqual(days.map((day) => (day.length === 5 ? `${year}-${day}` : day))),
  );
});

describe('federal holidays, compared with a library of the registry (date-holidays) over 84 years', () => {
  const library = new Holidays('US');
  const NAMES =
    /New Year|Martin Luther King|Washington|Memorial|Juneteenth|Independence|Labor|Columbus|Veterans|Thanksgiving Day|Christmas Day/;
  it.each(Array.from({ length: 84 }, (_, index) => 1986 + index))('%d: the days themselves', (year) => {
    const theirs = library
      .getHolidays(year)
      .filter(({ type, name, substitute }) => type === 'public' && !substitute && NAMES.test(name))
      .map(({ date: day }) => day.slice(0, 10));
    const ours = holidaysOf(year, BANKING).map(({ day }) => day as string);
    expect(ours).toEqual([...new Set(theirs)].sort());
  });
});
