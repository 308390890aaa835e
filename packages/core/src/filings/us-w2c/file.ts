import { RCA, RCE, RCF, RCT, RCT_MONEY, RCW, RCW_MONEY } from '../../formats/efw2c/layout.js';
import type { RecordLayout } from '../../formats/fixed-width/field.js';
import { writeRecord, type FieldValues } from '../../formats/fixed-width/writer.js';
import { NO_SSN_IN_FILE } from '../../identity/numbers.js';
import { WAGE_FILE_ADDRESS } from '../../identity/person.js';
import { streetInFile } from '../../identity/street.js';
import { nameInFile } from '../../identity/transliterate.js';
import type { Issue } from '../../issues/issue.js';
import type { MadeFile, PostalAddress, Sending } from '../kind.js';
import { EMPLOYMENT_CODES } from '../us-w2/file.js';
import { formW3c, isFederal, type BoxPair, type FormW2c, type W2cSet } from './form.js';

const amount = (value: number, width: number): string => String(value).padStart(width, '0');
/** Both of a pair where the box changes; nothing where it does not: blank says unchanged, zeros would say nil. */
const money = (
  pairs: readonly BoxPair[],
  fields: readonly (readonly [string, string, number])[],
  width: number,
): FieldValues =>
  Object.fromEntries(
    fields.flatMap(([box, name]) => {
      const pair = pairs.find((one) => one.box === box);
      return pair
        ? [
            [`${name}, Originally Reported`, amount(pair.previous, width)],
            [`${name}, Correct`, amount(pair.correct, width)],
          ]
        : [];
    }),
  );
const addressOf = (place: PostalAddress): FieldValues => ({
  'Delivery Address': streetInFile(place.street, WAGE_FILE_ADDRESS).delivery,
  'Location Address': streetInFile(place.street, WAGE_FILE_ADDRESS).location,
  City: place.city,
  ...(place.country
    ? {
        'Foreign State/Province': place.province ?? '',
        'Foreign Postal Code': place.zip,
        'Country Code': place.country,
      }
    : { 'State Abbreviation': place.state, 'ZIP Code': place.zip.slice(0, 5) }),
});
const ssnInFile = (ssn: string): string => (ssn === '' ? NO_SSN_IN_FILE : ssn);
const MARK_NAMES: Readonly<Record<string, string>> = {
  statutory: 'Statutory Employee Indicator',
  'retirement-plan': 'Retirement Plan Indicator',
  'third-party-sick-pay': 'Third-Party Sick Pay Indicator',
};

function personFields(form: FormW2c): FieldValues {
  const { person, identity, previousPerson } = form;
  const ssn = identity.find(({ field }) => field === 'ssn');
  const name = identity.some(({ field }) => field === 'name');
  return {
    'Social Security Number (SSN), Originally Reported': ssn ? ssnInFile(ssn.previous) : '',
    'Social Security Number (SSN), Correct': ssnInFile(person.ssn),
    ...(name && previousPerson
      ? {
          'Employee First Name, Originally Reported': nameInFile(previousPerson.firstName),
          'Employee Middle Name or Initial, Originally Reported': nameInFile(previousPerson.middleName),
          'Employee Last Name, Originally Reported': nameInFile(previousPerson.lastName),
        }
      : {}),
    'Employee First Name, Correct': nameInFile(person.firstName),
    'Employee Middle Name or Initial, Correct': nameInFile(person.middleName),
    'Employee Last Name, Correct': nameInFile(person.lastName),
    ...addressOf(person),
    ...Object.fromEntries(
      form.marks.flatMap(({ mark, previous, correct }) => {
        const field = MARK_NAMES[mark];
        return field === undefined
          ? []
          : [
              [`${field}, Originally Reported`, previous ? '1' : '0'],
              [`${field}, Correct`, correct ? '1' : '0'],
            ];
      }),
    ),
  };
}

/** One EFW2C file: RCA, RCE, an RCW for each person, RCT, RCF. Boxes of states are not in it: it goes to the SSA alone. */
export function writeEfw2c(set: W2cSet, { facts, employer, resubmits }: Sending): MadeFile {
  const { filer, firm } = facts;
  const issues: Issue[] = [];
  const lines: string[] = [];
  const write = (layout: RecordLayout, values: FieldValues, path: string): void => {
    const written = writeRecord(layout, values, path);
    issues.push(...written.issues);
    lines.push(written.line);
  };
  const forms = set.forms.filter(isFederal);
  write(
    RCA,
    {
      "Submitter's EIN": firm.ein,
      'User Identification (User ID)': firm.efw2UserId,
      'Software Code': '98',
      'Company Name': firm.name,
      ...addressOf(firm),
      'Contact Name': firm.contactName,
      'Contact Phone Number': firm.phone,
      'Contact E-Mail/Internet': firm.email,
      'Preparer Code': 'A',
      'Resub Indicator': resubmits === null ? '0' : '1',
      'Resub Wage File Identifier (WFID)': resubmits ?? '',
    },
    'firm',
  );
  write(
    RCE,
    {
      'Tax Year': set.year,
      "Employer's/Agent's Correct EIN": filer.ein,
      'Employer Name': filer.name,
      ...addressOf(filer),
      'Employment Code, Correct': EMPLOYMENT_CODES[employer.form] ?? 'R',
      'Kind of Employer': filer.kindOfEmployer,
    },
    'client',
  );
  for (const form of forms)
    write(RCW, { ...personFields(form), ...money(form.boxes, RCW_MONEY, 11) }, `employee.${form.person.employeeId}`);
  write(RCT, { 'Total Number of RCW Records': forms.length, ...money(formW3c(forms), RCT_MONEY, 15) }, 'totals');
  write(RCF, { 'Number of RCW Records': forms.length }, 'totals');
  return { content: lines.map((line) => `${line}\r\n`).join(''), issues };
}
