/** Headings of the columns that are typed in. */
export const HEADINGS: Readonly<Record<string, string>> = {
  rate: 'Rate',
  regular: 'Regular',
  overtime: 'Overtime',
  holiday: 'Holiday',
  sick: 'Sick',
  vacation: 'Vacation',
  salary: 'Salary',
  bonus: 'Bonus',
  '401k': '401(k)',
  'section-125-health': 'Health',
};
/** Columns that every sheet has. */
export const ALWAYS: readonly string[] = ['rate', 'regular', 'overtime'];
