export { ClientHours } from './client-hours.service.js';
export { ClosedPeriods } from './closed-periods.js';
export { Payroll } from './entities.js';
export { nextPayroll, scheduleNames } from './next-payroll.js';
export { PaycheckWriter } from './paycheck-writer.js';
export { bookedAt, findPayroll, viewOf, workStates } from './payroll-view.js';
export { PayrollEntries } from './payroll-entries.service.js';
export { computeEntry, PeopleCases, type PersonCase, usualEntry } from './people-cases.js';
export { entryOfRow, postedRows } from './posted-payroll.js';
