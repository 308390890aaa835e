import { addDays, date, daysInMonth, makeDate, monthOf, yearOf, type LocalDate } from './local-date.js';

export type QuarterNumber = 1 | 2 | 3 | 4;
export interface Quarter {
  readonly year: number;
  readonly quarter: QuarterNumber;
}

export const quarterOf = (day: LocalDate): Quarter => ({
  year: yearOf(day),
  quarter: (Math.floor((monthOf(day) - 1) / 3) + 1) as QuarterNumber,
});
export const firstDayOf = ({ year, quarter }: Quarter): LocalDate => makeDate(year, quarter * 3 - 2, 1);
export const lastDayOf = ({ year, quarter }: Quarter): LocalDate =>
  makeDate(year, quarter * 3, daysInMonth(year, quarter * 3));
/** Which month of its quarter a day is in: 1, 2 or 3. */
export const monthOfQuarter = (day: LocalDate): 1 | 2 | 3 => (((monthOf(day) - 1) % 3) + 1) as 1 | 2 | 3;
export const showQuarter = ({ year, quarter }: Quarter): string => `Q${quarter} ${year}`;
export const nextQuarter = (quarter: Quarter): Quarter => quarterOf(addDays(lastDayOf(quarter), 1));
export const newYearsDay = (year: number): LocalDate => date(`${year}-01-01`);
