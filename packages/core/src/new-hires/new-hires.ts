import { streetInOneLine } from '../identity/street.js';
import { addDays, type LocalDate } from '../calendar/local-date.js';
import { findState } from '../jurisdictions/states.js';

/**
 * Days from the hire within which a state wants the report. Federal law allows at most twenty (42 U.S.C. § 653a(b)(2));
 * states with fewer are recalled from their own rules, not yet verified.
 */
const FEDERAL_DAYS = 20;
const DAYS: Readonly<Record<string, number>> = { AL: 7, GA: 10, IA: 15, ME: 7, MA: 14, MS: 15, RI: 14, VT: 10, WV: 14 };

export interface NewHireDue {
  readonly due: LocalDate;
  readonly rule: string;
}
/** When the report of a new hire is due in the state of work. */
export function newHireDue(state: string, hiredOn: LocalDate): NewHireDue {
  const days = DAYS[state] ?? FEDERAL_DAYS;
  const source =
    days === FEDERAL_DAYS
      ? '42 U.S.C. § 653a(b)(2)'
      : `${findState(state)?.name ?? state}'s own rule, recalled, not yet verified`;
  return { due: addDays(hiredOn, days), rule: `Within ${days} days of the hire (${source}).` };
}

export interface NewHire {
  readonly ssn: string;
  readonly firstName: string;
  readonly middleName: string;
  readonly lastName: string;
  readonly street: string;
  readonly city: string;
  readonly state: string;
  readonly zip: string;
  readonly country: string;
  readonly province: string;
  readonly hiredOn: string;
  readonly bornOn: string | null;
  readonly workState: string;
}
export interface ReportingEmployer {
  readonly ein: string;
  readonly name: string;
  readonly street: string;
  readonly city: string;
  readonly state: string;
  readonly zip: string;
}

/**
 * The elements every state takes (42 U.S.C. § 653a(b)(1)(A): name, address and number of the employee, first day of
 * services, name, address and number of the employer; birth date and state of hire where given), one field a column.
 */
export const NEW_HIRE_FIELDS: readonly {
  readonly name: string;
  readonly value: (person: NewHire, employer: ReportingEmployer) => string;
}[] = [
  { name: 'Employee SSN', value: (person) => person.ssn },
  { name: 'Employee first name', value: (person) => person.firstName },
  { name: 'Employee middle name', value: (person) => person.middleName },
  { name: 'Employee last name', value: (person) => person.lastName },
  { name: 'Employee street', value: (person) => streetInOneLine(person.street) },
  { name: 'Employee city', value: (person) => person.city },
  { name: 'Employee state', value: (person) => person.state },
  { name: 'Employee ZIP', value: (person) => person.zip },
  { name: 'Employee country', value: (person) => person.country },
  { name: 'Employee province', value: (person) => person.province },
  { name: 'Date of birth', value: (person) => person.bornOn ?? '' },
  { name: 'Date of hire', value: (person) => person.hiredOn },
  { name: 'State of hire', value: (person) => person.workState },
  { name: 'Employer EIN', value: (_, employer) => employer.ein },
  { name: 'Employer name', value: (_, employer) => employer.name },
  { name: 'Employer street', value: (_, employer) => streetInOneLine(employer.street) },
  { name: 'Employer city', value: (_, employer) => employer.city },
  { name: 'Employer state', value: (_, employer) => employer.state },
  { name: 'Employer ZIP', value: (_, employer) => employer.zip },
];
/** What is still missing for the report of a person; the field names are those of the record. */
export const newHireGaps = (person: NewHire): string[] =>
  (['ssn', 'street', 'city', ...(person.country === '' ? (['state', 'zip'] as const) : [])] as const).filter(
    (field) => person[field] === '',
  );
