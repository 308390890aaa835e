import { monthOf, yearOf } from '../../calendar/local-date.js';
import { writeRecord, type FieldValues } from '../../formats/fixed-width/writer.js';
import type { RecordLayout } from '../../formats/fixed-width/field.js';
import { RA, RE, RF } from '../../formats/efw2/layout.js';
import { delimitedLine } from '../../formats/wage-detail/delimited.js';
import { A_275, B_275, E_275, F_275, S_275, T_275 } from '../../formats/wage-detail/records-275.js';
import { RS } from '../../formats/wage-detail/records-512.js';
import { STATE_NUMBERS } from '../../formats/wage-detail/state-codes.js';
import { NO_SSN_IN_FILE } from '../../identity/numbers.js';
import { WAGE_FILE_ADDRESS } from '../../identity/person.js';
import { streetInFile } from '../../identity/street.js';
import { nameInFile } from '../../identity/transliterate.js';
import { problem, type Issue } from '../../issues/issue.js';
import type { StateCode } from '../../jurisdictions/state.js';
import type { DetailColumn, StateReturn } from '../../jurisdictions/state-return.js';
import { sum, toDollars } from '../../money/cents.js';
import type { MadeFile, Sending } from '../kind.js';
import { periodKey } from '../period.js';
import { lineOf } from '../return-lines.js';
import type { DetailRow, StateContent } from './compute.js';

const digits = (text: string): string => text.replace(/\D/g, '');
const ssnOf = ({ ssn }: DetailRow['person']): string => (ssn === '' ? NO_SSN_IN_FILE : ssn);
/** Hundredths of hours as whole hours, any part counted as one (common practice of the agencies). */
const wholeHours = (hundredths: number): number => Math.ceil(hundredths / 100);

class Records {
  readonly issues: Issue[] = [];
  private readonly lines: string[] = [];
  write(layout: RecordLayout, values: FieldValues, path: string): void {
    const { line, issues } = writeRecord(layout, values, path);
    this.issues.push(...issues);
    this.lines.push(line);
  }
  made(): MadeFile {
    return { content: this.lines.map((line) => `${line}\r\n`).join(''), issues: this.issues };
  }
}

/** A file of a return in the family that its data names. */
export function stateFile(state: StateCode, spec: StateReturn, content: StateContent, sending: Sending): MadeFile {
  switch (spec.file) {
    case '275':
      return file275(state, spec, content, sending);
    case '512':
      return file512(state, spec, content, sending);
    case 'delimited':
    case 'lines':
      return delimitedFile(spec, content, sending);
  }
}

function file275(state: StateCode, spec: StateReturn, content: StateContent, sending: Sending): MadeFile {
  const { filer, firm, period } = sending.facts;
  const records = new Records();
  const year = yearOf(period.end);
  const number = STATE_NUMBERS[state] ?? '';
  const { detail } = content;
  const monthEnd = String(monthOf(period.end)).padStart(2, '0');
  const count = (month: 0 | 1 | 2): number => detail.filter(({ months }) => months[month]).length;
  const total = (part: 'wages' | 'excess' | 'taxable' | 'incomeWages' | 'incomeTax'): number =>
    sum(detail.map((row) => row[part]));
  records.write(
    A_275,
    {
      Year: year,
      "Transmitter's Federal EIN": firm.ein,
      'Transmitter Name': firm.name,
      'Transmitter Street Address': firm.street,
      'Transmitter City': firm.city,
      'Transmitter State': firm.state,
      'Transmitter ZIP Code': firm.zip.slice(0, 5),
      'Transmitter Contact': firm.contactName,
      'Transmitter Telephone Number': digits(firm.phone),
      'Creation Date': creationDate(sending),
    },
    'firm',
  );
  records.write(
    B_275,
    {
      'Payment Year': year,
      "Transmitter's Federal EIN": firm.ein,
      'Organization Name': firm.name,
      City: firm.city,
      State: firm.state,
      'ZIP Code': firm.zip.slice(0, 5),
    },
    'firm',
  );
  records.write(
    E_275,
    {
      'Payment Year': year,
      'Federal EIN': filer.ein,
      'Employer Name': filer.name,
      'Employer Street Address': filer.street,
      'Employer City': filer.city,
      'Employer State': filer.state,
      'ZIP Code': filer.zip.slice(0, 5),
      'State Identifier Code': number,
      'State Unemployment Insurance Account Number': digitsOrText(content.account),
      'Reporting Period': monthEnd,
      // 0: no workers and no wages in the quarter.
      'No Workers/No Wages': detail.length === 0 ? '0' : '1',
    },
    'client',
  );
  for (const row of detail)
    records.write(
      S_275,
      {
        'Social Security Number': ssnOf(row.person),
        'Employee Last Name': nameInFile(row.person.lastName),
        'Employee First Name': nameInFile(row.person.firstName).slice(0, 12),
        'Employee Middle Initial': nameInFile(row.person.middleName).slice(0, 1),
        'State Code': number,
        'State Quarter Total Gross Wages': row.wages,
        'State Quarter Unemployment Insurance Total Wages': row.wages,
        'State Quarter Unemployment Insurance Excess Wages': row.excess,
        'State Quarter Unemployment Insurance Taxable Wages': row.taxable,
        'Number of Weeks Worked': spec.detail?.includes('weeks') ? row.weeks : 0,
        'Number of Hours Worked': spec.detail?.includes('hours') ? wholeHours(row.hours) : 0,
        'State Unemployment Insurance Account Number': digitsOrText(content.account),
        'State Taxable Wages': spec.detail?.includes('income-wages') ? row.incomeWages : 0,
        'State Income Tax Withheld': spec.detail?.includes('income-tax') ? row.incomeTax : 0,
        'Month 1 Employment': row.months[0] ? '1' : '0',
        'Month 2 Employment': row.months[1] ? '1' : '0',
        'Month 3 Employment': row.months[2] ? '1' : '0',
        'Reporting Quarter and Year': `${monthEnd}${year}`,
      },
      `employee.${row.person.employeeId}`,
    );
  const hasIncome = spec.detail?.includes('income-tax') === true;
  records.write(
    T_275,
    {
      'Total Number of Employees': detail.length,
      'State Quarter Total Gross Wages': total('wages'),
      'State Quarter Unemployment Insurance Total Wages': total('wages'),
      'State Quarter Unemployment Insurance Excess Wages': total('excess'),
      'State Quarter Unemployment Insurance Taxable Wages': total('taxable'),
      'Unemployment Insurance Tax Rate': rateDigits(content.rate),
      'Unemployment Insurance Taxes Due': contributionsOf(spec, content),
      'Total Payment Due': lineOf(content.lines, spec.balance),
      'Wages Subject to State Income Tax': hasIncome ? total('incomeWages') : 0,
      'State Income Tax Withheld': hasIncome ? total('incomeTax') : 0,
      'Month 1 Employment': count(0),
      'Month 2 Employment': count(1),
      'Month 3 Employment': count(2),
    },
    'totals',
  );
  records.write(
    F_275,
    {
      'Total Number of Employees': detail.length,
      'Total Number of Employers': 1,
      'Quarter Total Gross Wages': total('wages'),
      'Quarter Unemployment Insurance Total Wages': total('wages'),
      'Quarter Unemployment Insurance Excess Wages': total('excess'),
      'Quarter Unemployment Insurance Taxable Wages': total('taxable'),
    },
    'totals',
  );
  return records.made();
}

/** The line that is the unemployment tax: taxable wages × the rate. */
const contributionsOf = (spec: StateReturn, content: StateContent): number => {
  const line = spec.lines.find(({ amount }) => amount.is === 'by-rate' && amount.tax === 'SUI');
  return line ? lineOf(content.lines, line.id) : 0;
};
/** A rate as six digits with four of them of a percent: 4.1% is 041000. */
function rateDigits(percent: string): string {
  const [whole = '0', fraction = ''] = percent.replace('%', '').split('.');
  return `${whole.padStart(2, '0')}${fraction.padEnd(4, '0').slice(0, 4)}`;
}
const creationDate = ({ signature }: Sending): string => {
  const [year = '', month = '', day = ''] = signature.signed.split('-');
  return `${month}${day}${year}`;
};
/** Account numbers go without the signs between their parts. */
const digitsOrText = (account: string): string => account.replace(/[^0-9A-Za-z]/g, '');

function file512(state: StateCode, spec: StateReturn, content: StateContent, sending: Sending): MadeFile {
  const { filer, firm, period } = sending.facts;
  const records = new Records();
  const number = STATE_NUMBERS[state] ?? '';
  const monthEnd = String(monthOf(period.end)).padStart(2, '0');
  const address = (of: { street: string; city: string; state: string; zip: string }, prefix = ''): FieldValues => ({
    [`${prefix}Delivery Address`]: streetInFile(of.street, WAGE_FILE_ADDRESS).delivery,
    [`${prefix}Location Address`]: streetInFile(of.street, WAGE_FILE_ADDRESS).location,
    [`${prefix}City`]: of.city,
    [`${prefix}State Abbreviation`]: of.state,
    [`${prefix}ZIP Code`]: of.zip.slice(0, 5),
  });
  records.write(
    RA,
    {
      "Submitter's EIN": firm.ein,
      'User Identification (User ID)': firm.efw2UserId,
      'Resub Indicator': '0',
      'Software Code': '98',
      'Company Name': firm.name,
      ...address(firm),
      'Submitter Name': firm.name,
      ...address(firm, 'Submitter '),
      'Contact Name': firm.contactName,
      'Contact Phone Number': firm.phone,
      'Contact E-Mail/Internet': firm.email,
      'Preparer Code': 'A',
    },
    'firm',
  );
  records.write(
    RE,
    {
      'Tax Year': yearOf(period.end),
      'Employer/Agent EIN': filer.ein,
      'Terminating Business Indicator': '0',
      'Employer Name': filer.name,
      ...address(filer),
      'Kind of Employer': filer.kindOfEmployer,
      'Employment Code': 'R',
      'Third-Party Sick Pay Indicator': '0',
      'Employer Contact Name': filer.contactName,
      'Employer Contact Phone Number': filer.phone,
      'Employer Contact E-Mail/Internet': filer.email,
    },
    'client',
  );
  for (const row of content.detail)
    records.write(
      RS,
      {
        'State Code': number,
        'Social Security Number (SSN)': ssnOf(row.person),
        'Employee First Name': nameInFile(row.person.firstName),
        'Employee Middle Name or Initial': nameInFile(row.person.middleName),
        'Employee Last Name': nameInFile(row.person.lastName),
        Suffix: nameInFile(row.person.suffix),
        'Reporting Period': `${monthEnd}${yearOf(period.end)}`,
        'State Quarterly Unemployment Insurance Total Wages': row.wages,
        'State Quarterly Unemployment Insurance Total Taxable Wages': row.taxable,
        'Number of Weeks Worked': spec.detail?.includes('weeks') ? row.weeks : 0,
        'State Employer Account Number': digitsOrText(content.account),
        'State Code, Wages': number,
        'State Taxable Wages': spec.detail?.includes('income-wages') ? row.incomeWages : 0,
        'State Income Tax Withheld': spec.detail?.includes('income-tax') ? row.incomeTax : 0,
        'Hours Worked': spec.detail?.includes('hours') ? wholeHours(row.hours) : 0,
      },
      `employee.${row.person.employeeId}`,
    );
  records.write(RF, { 'Number of RW Records': content.detail.length }, 'totals');
  return records.made();
}

const COLUMNS: Readonly<Record<DetailColumn, (row: DetailRow) => string>> = {
  wages: (row) => toDollars(row.wages),
  excess: (row) => toDollars(row.excess),
  taxable: (row) => toDollars(row.taxable),
  'income-wages': (row) => toDollars(row.incomeWages),
  'income-tax': (row) => toDollars(row.incomeTax),
  weeks: (row) => String(row.weeks),
  hours: (row) => String(wholeHours(row.hours)),
};

/** `return` who, what and when; `line` each line; `person` or `place` each row; `end` how many rows came. */
function delimitedFile(spec: StateReturn, content: StateContent, sending: Sending): MadeFile {
  const { filer, period } = sending.facts;
  const detail = spec.detail ?? [];
  const issues: Issue[] = [];
  const people = spec.file === 'delimited' ? content.detail : [];
  const rows = [
    ['return', spec.code, periodKey(period), filer.ein, digitsOrText(content.account), filer.name],
    ...content.lines.map(({ id, kind, value }) => ['line', id, kind === 'count' ? String(value) : dollarsOf(value)]),
    ...(people.length > 0 ? [['columns', 'ssn', 'last', 'first', 'middle', ...detail]] : []),
    ...people.map((row) => [
      'person',
      ssnOf(row.person),
      nameInFile(row.person.lastName),
      nameInFile(row.person.firstName),
      nameInFile(row.person.middleName),
      ...detail.map((column) => COLUMNS[column](row)),
    ]),
    ...content.places.map((row) => ['place', row.place, String(row.people), toDollars(row.wages), toDollars(row.tax)]),
  ];
  if (filer.ein === '') issues.push(problem('file.required', 'client.ein', { field: 'EIN' }));
  const text = [...rows, ['end', String(rows.length)]].map((row) => `${delimitedLine(row)}\r\n`).join('');
  return { content: text, issues };
}
const dollarsOf = (value: number): string => toDollars(value as Parameters<typeof toDollars>[0]);
