import { nameInFile } from '../../identity/transliterate.js';
import type { Issue } from '../../issues/issue.js';
import type { Cents } from '../../money/cents.js';
import { formW3, type FormW2 } from './form.js';
import type { PostalAddress } from '../kind.js';
import type { RecordLayout } from '../../formats/fixed-width/field.js';
import { writeRecord, type FieldValues } from '../../formats/fixed-width/writer.js';
import { RA, RE, RF, RO, RT, RU, RW } from '../../formats/efw2/layout.js';
import { WAGE_FILE_ADDRESS } from '../../identity/person.js';
import { streetInFile } from '../../identity/street.js';
import { NO_SSN_IN_FILE } from '../../identity/numbers.js';

export interface Efw2Submitter extends PostalAddress {
  readonly ein: string;
  readonly userId: string;
  readonly name: string;
  readonly contactName: string;
  readonly phone: string;
  readonly email: string;
}
export interface Efw2Employer extends PostalAddress {
  readonly ein: string;
  readonly name: string;
  readonly isTerminating: boolean;
  /** F federal, S state or local, T 501(c), Y both, N none of these. */
  readonly kindOfEmployer: 'F' | 'S' | 'T' | 'Y' | 'N';
  /** Which return the wages were on: R 941, A 943, F 944, H household. Q and X (Medicare only, railroad) are not prepared here. */
  readonly employmentCode: EmploymentCode;
  readonly contactName: string;
  readonly phone: string;
  readonly email: string;
}
export type EmploymentCode = 'R' | 'A' | 'F' | 'H';
/** The employment code by the return that a client files (EFW2, RE record, position 219). */
export const EMPLOYMENT_CODES: Readonly<Record<string, EmploymentCode>> = {
  '941': 'R',
  '943': 'A',
  '944': 'F',
  'schedule-h': 'H',
};
export interface Efw2Input {
  readonly taxYear: number;
  readonly submitter: Efw2Submitter;
  readonly employer: Efw2Employer;
  readonly forms: readonly FormW2[];
  /** Wage File Identifier of the rejected file that this one replaces, or null. */
  readonly resubmits: string | null;
}

/** Box 12 codes by the name of the RW and RT field that carries them. */
export const BOX_12_FIELDS: Readonly<Record<string, string>> = {
  C: 'Employer Cost of Premiums for Group Term Life Insurance Over $50,000',
  D: 'Deferred Compensation Contributions to Section 401(k)',
  E: 'Deferred Compensation Contributions to Section 403(b)',
  F: 'Deferred Compensation Contributions to Section 408(k)(6)',
  G: 'Deferred Compensation Contributions to Section 457(b)',
  V: 'Income from the Exercise of Nonstatutory Stock Options',
  W: 'Employer Contributions to a Health Savings Account',
  AA: 'Designated Roth Contributions Under a Section 401(k) Plan',
  BB: 'Designated Roth Contributions Under a Section 403(b) Salary Reduction Agreement',
  DD: 'Cost of Employer-Sponsored Health Coverage',
};
/** Those that RO and RU carry. */
export const RARE_FIELDS: Readonly<Record<string, string>> = {
  A: 'Uncollected Employee Tax on Tips',
  B: 'Uncollected Employee Tax on Tips',
  S: 'Simple Retirement Account',
  EE: 'Designated Roth Contributions Under a Governmental Section 457(b) Plan',
};
/** Codes of 2026 for which no position is known here; they are on the paper, and the file goes without them. */
export const WITHOUT_FIELD = ['TP', 'TT'];

const addressFields = (address: PostalAddress, prefix = ''): FieldValues => ({
  [`${prefix}Delivery Address`]: streetInFile(address.street, WAGE_FILE_ADDRESS).delivery,
  [`${prefix}Location Address`]: streetInFile(address.street, WAGE_FILE_ADDRESS).location,
  [`${prefix}City`]: address.city,
  ...(address.country
    ? {
        [`${prefix}Foreign State/Province`]: address.province ?? '',
        [`${prefix}Foreign Postal Code`]: address.zip,
        [`${prefix}Country Code`]: address.country,
      }
    : {
        [`${prefix}State Abbreviation`]: address.state,
        [`${prefix}ZIP Code`]: address.zip.slice(0, 5),
      }),
});

/** Boxes 1 to 7 as fields of RW and RT. */
export function moneyFields(form: {
  box1: Cents;
  box2: Cents;
  box3: Cents;
  box4: Cents;
  box5: Cents;
  box6: Cents;
  box7: Cents;
}): FieldValues {
  return {
    'Wages, Tips and Other Compensation': form.box1,
    'Federal Income Tax Withheld': form.box2,
    'Social Security Wages': form.box3,
    'Social Security Tax Withheld': form.box4,
    'Medicare Wages and Tips': form.box5,
    'Medicare Tax Withheld': form.box6,
    'Social Security Tips': form.box7,
  };
}

/** Boxes 10 and 11. */
const benefitFields = ({ box10, box11 }: { box10: Cents; box11: Cents }): FieldValues => ({
  'Dependent Care Benefits': box10,
  'Nonqualified Plan Not Section 457 Distributions or Contributions': box11,
});
/** What RO and RU carry: box 8, and the rarer codes of box 12. */
const rareFields = (box8: Cents, box12: Box12): FieldValues => ({
  'Allocated Tips': box8,
  ...fieldsBy(RARE_FIELDS, box12),
});

type Box12 = readonly { readonly code: string; readonly amount: Cents }[];
function fieldsBy(names: Readonly<Record<string, string>>, lines: Box12): Record<string, number> {
  const fields: Record<string, number> = {};
  for (const { code, amount } of lines) {
    const name = names[code];
    if (name) fields[name] = (fields[name] ?? 0) + amount;
  }
  return fields;
}
const isKnown = (code: string): boolean => code in BOX_12_FIELDS || code in RARE_FIELDS || WITHOUT_FIELD.includes(code);
const hasRare = ({ box8, box12 }: FormW2): boolean => box8 !== 0 || box12.some(({ code }) => code in RARE_FIELDS);

/** The EFW2 file of one employer: RA, RE, one RW (and RO) a person, RT (and RU), RF; CR LF after every record. Totals are counted once, here. */
export function writeEfw2(input: Efw2Input): { content: string; issues: Issue[] } {
  const issues: Issue[] = [];
  const lines: string[] = [];
  const write = (layout: RecordLayout, values: FieldValues, path: string): void => {
    const written = writeRecord(layout, values, path);
    issues.push(...written.issues);
    lines.push(written.line);
  };
  const { submitter, employer } = input;
  write(
    RA,
    {
      "Submitter's EIN": submitter.ein,
      'User Identification (User ID)': submitter.userId,
      'Resub Indicator': input.resubmits === null ? '0' : '1',
      'Resub Wage File Identifier (WFID)': input.resubmits ?? '',
      'Software Code': '98',
      'Company Name': submitter.name,
      ...addressFields(submitter),
      'Submitter Name': submitter.name,
      ...addressFields(submitter, 'Submitter '),
      'Contact Name': submitter.contactName,
      'Contact Phone Number': submitter.phone,
      'Contact E-Mail/Internet': submitter.email,
      'Preparer Code': 'A',
    },
    'firm',
  );
  write(
    RE,
    {
      'Tax Year': input.taxYear,
      'Employer/Agent EIN': employer.ein,
      'Terminating Business Indicator': employer.isTerminating ? '1' : '0',
      'Employer Name': employer.name,
      ...addressFields(employer),
      'Kind of Employer': employer.kindOfEmployer,
      'Employment Code': employer.employmentCode,
      'Third-Party Sick Pay Indicator': '0',
      'Employer Contact Name': employer.contactName,
      'Employer Contact Phone Number': employer.phone,
      'Employer Contact E-Mail/Internet': employer.email,
    },
    'client',
  );
  for (const form of input.forms) {
    const { person } = form;
    const path = `employee.${person.employeeId}`;
    const unknown = form.box12.find(({ code }) => !isKnown(code));
    if (unknown) throw new RangeError(`box 12 code ${unknown.code} has no field`);
    write(
      RW,
      {
        'Social Security Number (SSN)': person.ssn === '' ? NO_SSN_IN_FILE : person.ssn,
        'Employee First Name': nameInFile(person.firstName),
        'Employee Middle Name or Initial': nameInFile(person.middleName),
        'Employee Last Name': nameInFile(person.lastName),
        Suffix: nameInFile(person.suffix),
        ...addressFields(person),
        ...moneyFields(form),
        ...benefitFields(form),
        ...fieldsBy(BOX_12_FIELDS, form.box12),
        'Statutory Employee Indicator': person.isStatutory ? '1' : '0',
        'Retirement Plan Indicator': person.isRetirementPlan ? '1' : '0',
        'Third-Party Sick Pay Indicator': form.isThirdPartySickPay ? '1' : '0',
      },
      path,
    );
    if (hasRare(form)) write(RO, rareFields(form.box8, form.box12), path);
  }
  const count = input.forms.length;
  const totals = formW3(input.forms);
  const box12 = input.forms.flatMap((form) => form.box12);
  write(
    RT,
    {
      'Number of RW Records': count,
      ...moneyFields(totals),
      ...benefitFields(totals),
      ...fieldsBy(BOX_12_FIELDS, box12),
      'Income Tax Withheld by the Payer of Third-Party Sick Pay': totals.box14,
    },
    'totals',
  );
  const rare = input.forms.filter(hasRare).length;
  if (rare > 0) write(RU, { 'Number of RO Records': rare, ...rareFields(totals.box8, box12) }, 'totals');
  write(RF, { 'Number of RW Records': count }, 'totals');
  return { content: lines.map((line) => `${line}\r\n`).join(''), issues };
}
