import { RCA, RCE, RCF, RCO, RCO_MONEY, RCT, RCU, RCW, RCW_MONEY } from '../../formats/efw2c/layout.js';
import type { RecordLayout } from '../../formats/fixed-width/field.js';
import { writeRecord, type FieldValues } from '../../formats/fixed-width/writer.js';
import { NO_SSN_IN_FILE } from '../../identity/numbers.js';
import { WAGE_FILE_ADDRESS } from '../../identity/person.js';
import { streetInFile } from '../../identity/street.js';
import { nameInFile } from '../../identity/transliterate.js';
import type { Issue } from '../../issues/issue.js';
import { ZERO, sum, type Cents } from '../../money/cents.js';
import type { MadeFile, PostalAddress, Sending } from '../kind.js';
import { EMPLOYMENT_CODES } from '../us-w2/file.js';
import type { FormW2 } from '../us-w2/form.js';
import { isFederal, type BoxPair, type FormW2c, type W2cSet } from './form.js';

const amount = (value: number, width: number): string => String(value).padStart(width, '0');
type Fields = readonly (readonly [box: string, name: string, from: number])[];
/** Amounts of the fields of a record, by name: as reported, and correct. */
type FieldPairs = ReadonlyMap<string, Omit<BoxPair, 'box'>>;
/**
 * The fields in which a box changes. A field of two boxes has also the one that stays as it is, from the corrected form.
 */
function fieldPairs({ boxes: changed }: FormW2c, fields: Fields, corrected: FormW2 | undefined): FieldPairs {
  const kept = (box: string): Cents => corrected?.box12.find(({ code }) => `12${code}` === box)?.amount ?? ZERO;
  const found = new Map<string, Omit<BoxPair, 'box'>>();
  for (const name of new Set(fields.map((field) => field[1]))) {
    const boxes = fields.filter((field) => field[1] === name).map(([box]) => box);
    if (!changed.some(({ box }) => boxes.includes(box))) continue;
    const total = (of: 'previous' | 'correct'): Cents =>
      sum(boxes.map((box) => changed.find((one) => one.box === box)?.[of] ?? kept(box)));
    // A field of two boxes may come to the same.
    const [previous, correct] = [total('previous'), total('correct')];
    if (previous !== correct) found.set(name, { previous, correct });
  }
  return found;
}
/** What the records of a kind come to, field by field. */
function totalled(records: readonly FieldPairs[]): FieldPairs {
  const names = new Set(records.flatMap((record) => [...record.keys()]));
  const total = (name: string, of: 'previous' | 'correct'): Cents =>
    sum(records.map((record) => record.get(name)?.[of] ?? ZERO));
  return new Map(
    [...names].map((name) => [name, { previous: total(name, 'previous'), correct: total(name, 'correct') }]),
  );
}
/** Both amounts where one changes; nothing else: blank says unchanged, zeros would say nil. */
const money = (pairs: FieldPairs, width: number): FieldValues =>
  Object.fromEntries(
    [...pairs].flatMap(([name, { previous, correct }]) => [
      [`${name}, Originally Reported`, amount(previous, width)],
      [`${name}, Correct`, amount(correct, width)],
    ]),
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

/** One EFW2C file: RCA, RCE, an RCW (and an RCO where it asks for one) for each person, RCT (and RCU), RCF. Boxes of states are not in it: it goes to the SSA alone. */
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
  const corrected = new Map(set.corrected.forms.map((form) => [form.person.employeeId, form]));
  const usual: FieldPairs[] = [];
  const rare: FieldPairs[] = [];
  for (const form of forms) {
    const { employeeId } = form.person;
    const pairs = fieldPairs(form, RCW_MONEY, corrected.get(employeeId));
    usual.push(pairs);
    write(RCW, { ...personFields(form), ...money(pairs, 11) }, `employee.${employeeId}`);
    const others = fieldPairs(form, RCO_MONEY, corrected.get(employeeId));
    if (others.size === 0) continue;
    rare.push(others);
    write(RCO, money(others, 11), `employee.${employeeId}`);
  }
  write(RCT, { 'Total Number of RCW Records': forms.length, ...money(totalled(usual), 15) }, 'totals');
  if (rare.length > 0)
    write(RCU, { 'Total Number of RCO Records': rare.length, ...money(totalled(rare), 15) }, 'totals');
  write(RCF, { 'Number of RCW Records': forms.length }, 'totals');
  return { content: lines.map((line) => `${line}\r\n`).join(''), issues };
}
