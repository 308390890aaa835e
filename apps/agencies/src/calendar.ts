/** The outside world's own view of the calendar: plain JavaScript dates in UTC, and the Federal Reserve's holidays. */
const DAY = 86_400_000;
const at = (text: string): Date => new Date(`${text}T00:00:00Z`);
const text = (day: Date): string => day.toISOString().slice(0, 10);

function nthWeekday(year: number, month: number, weekday: number, nth: number): string {
  const first = new Date(Date.UTC(year, month - 1, 1));
  return text(new Date(Date.UTC(year, month - 1, 1 + ((weekday - first.getUTCDay() + 7) % 7) + 7 * (nth - 1))));
}
function lastMonday(year: number, month: number): string {
  const last = new Date(Date.UTC(year, month, 0));
  return text(new Date(last.getTime() - ((last.getUTCDay() + 6) % 7) * DAY));
}
function closedDays(year: number): string[] {
  const fixed = [`${year}-01-01`, `${year}-06-19`, `${year}-07-04`, `${year}-11-11`, `${year}-12-25`].map((day) =>
    at(day).getUTCDay() === 0 ? text(new Date(at(day).getTime() + DAY)) : day,
  );
  return [
    ...fixed,
    nthWeekday(year, 1, 1, 3),
    nthWeekday(year, 2, 1, 3),
    lastMonday(year, 5),
    nthWeekday(year, 9, 1, 1),
    nthWeekday(year, 10, 1, 2),
    nthWeekday(year, 11, 4, 4),
  ];
}
export const isBankOpen = (day: string): boolean =>
  ![0, 6].includes(at(day).getUTCDay()) && !closedDays(Number(day.slice(0, 4))).includes(day);
export function bankDaysAfter(day: string, count: number): string {
  let current = at(day);
  for (let left = count; left > 0;) {
    current = new Date(current.getTime() + DAY);
    if (isBankOpen(text(current))) left -= 1;
  }
  return text(current);
}
export const daysAfter = (day: string, count: number): string => text(new Date(at(day).getTime() + count * DAY));
export const isDay = (given: string): boolean => /^\d{4}-\d{2}-\d{2}$/.test(given) && text(at(given)) === given;
