import { parseDate, yearOf } from '../../calendar/local-date.js';
import { ZERO, showDollars, subtract, type Cents } from '../../money/cents.js';
import type { FilingInput } from '../kind.js';
import { LineSheet, type ReturnLine } from '../return-lines.js';
import { formW3, w2Set } from '../us-w2/form.js';

/** Figures that may differ, in the order of Part 2, with the name under which the difference is entered. */
export const COMPARED = [
  { id: 'a', label: 'Social security wages', name: 'oasdiWages', box: 'box3' },
  { id: 'b', label: 'Medicare wages and tips', name: 'hiWages', box: 'box5' },
  { id: 'c', label: 'Social security tips', name: 'oasdiTips', box: 'box7' },
  { id: 'd', label: 'Federal income tax withheld', name: 'incomeTax', box: 'box2' },
] as const;

/** Schedule D (Form 941) of a calendar year. Amounts in cents. */
export interface ScheduleD {
  readonly year: number;
  readonly lines: readonly ReturnLine[];
  readonly event: string;
  readonly role: string;
  /** As it was typed. */
  readonly effective: string;
  readonly otherName: string;
  readonly otherEin: string;
}

/** What of the date of the event cannot be: no day, or a day of another year than the schedule. */
export const isOfYear = ({ effective, year }: Pick<ScheduleD, 'effective' | 'year'>): boolean => {
  const day = parseDate(effective);
  return day !== null && yearOf(day) === year;
};

/**
 * Lines of Schedule D (recalled): column 1, what Forms W-2 report to the Social Security Administration; column 2, what Forms
 * 941 report to the IRS; column 3, the difference. Wages of the other party that are on these Forms W-2 are on its own Forms
 * 941: they are entered, below zero where it is the other way round.
 */
export function scheduleD({ period, entries, statements, entered, answers }: FilingInput): ScheduleD {
  const sheet = new LineSheet<string>([]);
  const year = yearOf(period.end);
  const w3 = formW3(w2Set({ year, entries, ...statements }).forms);
  for (const { id, label, name, box } of COMPARED) {
    const reported: Cents = w3[box];
    const other = entered[name] ?? ZERO;
    sheet.put(`1${id}`, `${label}: Forms W-2`, reported, [
      { label: `Form W-3, box ${box.slice(3)}`, value: showDollars(reported) },
    ]);
    sheet.put(`2${id}`, `${label}: Forms 941`, subtract(reported, other), [
      { label: 'Forms W-2', value: showDollars(reported) },
      { label: 'Less what is on the other party’s Forms 941', value: showDollars(other), how: 'as entered' },
    ]);
    sheet.put(`3${id}`, `${label}: difference`, other, [
      { label: 'Column 1 less column 2', value: showDollars(other) },
    ]);
  }
  return {
    year,
    lines: sheet.lines,
    event: answers['event'] ?? '',
    role: answers['role'] ?? '',
    effective: answers['effective'] ?? '',
    otherName: (answers['otherName'] ?? '').trim(),
    otherEin: (answers['otherEin'] ?? '').replace(/\D/g, ''),
  };
}
