import { cut, faultsOf, recordsOf } from '../records/record.js';
import { RA, RE, RF, RO, RO_MONEY, RS, RT, RU, RW, RW_MONEY } from './efw2-records.js';

/** The wage agency's own reading of an EFW2 file, by position. A refusal names the record and the field. */
export interface WageRefusal {
  readonly code: string;
  readonly field: string;
  readonly message: string;
}

const OASDI_BASE: Readonly<Record<string, number>> = { '2024': 16_860_000, '2025': 17_610_000, '2026': 18_450_000 };
/** Cents by which the tax of a year may differ from the rate times the wages. */
const ROUNDING = 60;
/** The first records of an employer, its people with their rarer and state records, its totals. */
const ORDER = /^RA (RE (RW (RO )?(RS )*)+RT (RU )?(RV )?)+RF$/;
const TABLES = { RA, RE, RW, RO, RS, RT, RU, RF } as const;

const amount = (line: string, from: number, length: number): number =>
  Number(cut(line, from, from + length - 1).trim() || '0');

function ssnFault(ssn: string): string | null {
  if (!/^\d{9}$/.test(ssn)) return 'is not nine digits';
  // Zeros: the number is applied for.
  if (ssn === '000000000') return null;
  const area = ssn.slice(0, 3);
  return area === '000' || area === '666' || area >= '900' || ssn.slice(3, 5) === '00' || ssn.endsWith('0000')
    ? 'cannot have been issued'
    : null;
}

/** An address is of a state with its ZIP code, or of another country. */
function addressFault(line: string, state: number, country: number): string | null {
  const isForeign = cut(line, country, country + 1).trim() !== '';
  const hasState = cut(line, state, state + 1).trim() !== '';
  const hasZip = cut(line, state + 2, state + 6).trim() !== '';
  if (isForeign) return hasState || hasZip ? 'has a state or ZIP code beside a country' : null;
  return hasState && hasZip ? null : 'has no state or ZIP code';
}

interface Employer {
  readonly lines: readonly string[];
  readonly labels: readonly string[];
  readonly year: string;
  readonly ein: string;
}
type Refuse = (code: string, field: string, message: string) => void;

/** Names as they may stand: letters, digits, blanks, hyphens and apostrophes. */
const NAME = /^[A-Z0-9 '-]*$/i;

function judgePerson(
  line: string,
  record: string,
  year: string,
  seen: Set<string>,
  refused: readonly string[],
  refuse: Refuse,
): void {
  const ssn = cut(line, 3, 11);
  const at = (field: string): string => `${record} ${field}`;
  const fault = ssnFault(ssn);
  if (fault) refuse('RW-SSN', at('Social Security Number (SSN)'), `The social security number ${fault}.`);
  if (seen.has(ssn))
    refuse(
      'RW-SSN-DUP',
      at('Social Security Number (SSN)'),
      'The social security number stands twice for one employer.',
    );
  seen.add(ssn);
  if (refused.includes(ssn))
    refuse('RW-NAME-MATCH', at('Employee Last Name'), 'Name and social security number do not belong together.');
  if (cut(line, 12, 26).trim() === '') refuse('RW-FIRST', at('Employee First Name'), 'The first name is blank.');
  if (cut(line, 42, 61).trim() === '') refuse('RW-LAST', at('Employee Last Name'), 'The last name is blank.');
  if (!NAME.test(`${cut(line, 12, 41)}${cut(line, 42, 65)}`))
    refuse('RW-NAME', at('Employee Last Name'), 'A name has characters that no name here may have.');
  const place = addressFault(line, 132, 186);
  if (place) refuse('RW-ADDR', at('State Abbreviation'), `The address ${place}.`);
  const wages = amount(line, 210, 11) + amount(line, 254, 11);
  const tax = amount(line, 221, 11);
  const base = OASDI_BASE[year];
  if (base !== undefined && wages > base)
    refuse('RW-SSW-MAX', at('Social Security Wages'), 'Social security wages are over the base.');
  if (Math.abs(tax - Math.round(wages * 0.062)) > ROUNDING)
    refuse('RW-SST', at('Social Security Tax Withheld'), 'Social security tax does not follow from the wages.');
  const medicare = amount(line, 232, 11);
  if (medicare < wages)
    refuse('RW-MCW', at('Medicare Wages and Tips'), 'Medicare wages are less than social security wages.');
  if (amount(line, 243, 11) < Math.round(medicare * 0.0145) - ROUNDING)
    refuse('RW-MCT', at('Medicare Tax Withheld'), 'Medicare tax is less than the rate on the wages.');
  if (amount(line, 199, 11) > amount(line, 188, 11))
    refuse('RW-FIT', at('Federal Income Tax Withheld'), 'More income tax was withheld than there are wages.');
  if ([...RW_MONEY].every(([, from]) => amount(line, from, 11) === 0))
    refuse('RW-ZERO', at('Wages, Tips and Other Compensation'), 'The record has no amount at all.');
}

function judgeEmployer(
  { lines, labels, year, ein }: Employer,
  today: string,
  refused: readonly string[],
  refuse: Refuse,
): void {
  const [employer = ''] = lines;
  const wages = lines.filter((line) => line.startsWith('RW'));
  const rare = lines.filter((line) => line.startsWith('RO'));
  const totals = lines.find((line) => line.startsWith('RT')) ?? '';
  const rareTotals = lines.find((line) => line.startsWith('RU'));
  if (!/^\d{9}$/.test(ein)) refuse('RE-EIN', 'RE EIN', 'The EIN is not nine digits.');
  if (cut(employer, 40, 96).trim() === '') refuse('RE-NAME', 'RE Employer Name', 'The employer name is blank.');
  if (`${year}-12-31` >= today) refuse('RE-YEAR', 'RE Tax Year', 'The tax year is not over.');
  const place = addressFault(employer, 163, 217);
  if (place) refuse('RE-ADDR', 'RE State Abbreviation', `The address ${place}.`);
  const seen = new Set<string>();
  for (const [index, line] of lines.entries())
    if (line.startsWith('RW')) judgePerson(line, labels[index] ?? 'RW', year, seen, refused, refuse);
  for (const [index, line] of lines.entries())
    if (line.startsWith('RS')) {
      const at = lines.slice(0, index).findLastIndex((one) => one.startsWith('RW'));
      const person = lines[at] ?? '';
      if (cut(line, 10, 18) !== cut(person, 3, 11))
        refuse('RS-SSN', `${labels[at] ?? 'RW'} RS`, 'A state record is not of the person before it.');
    }
  for (const [name, from, total] of RW_MONEY) {
    const added = wages.reduce((running, line) => running + amount(line, from, 11), 0);
    if (added !== amount(totals, total, 15))
      refuse('RT-TOTAL', `RT ${name}`, `The total of ${name} differs from the records.`);
  }
  if (amount(totals, 3, 7) !== wages.length)
    refuse('RT-COUNT', 'RT Number of RW Records', 'The number of RW records is wrong.');
  if (rare.length > 0 && rareTotals === undefined)
    refuse('RU-COUNT', 'RU Number of RO Records', 'There are RO records and no RU record.');
  for (const [name, from, total] of rareTotals === undefined ? [] : RO_MONEY) {
    const added = rare.reduce((running, line) => running + amount(line, from, 11), 0);
    if (added !== amount(rareTotals ?? '', total, 15))
      refuse('RU-TOTAL', `RU ${name}`, `The total of ${name} differs from the records.`);
  }
  if (rareTotals !== undefined && amount(rareTotals, 3, 7) !== rare.length)
    refuse('RU-COUNT', 'RU Number of RO Records', 'The number of RO records is wrong.');
}

/** The employers of a file, each from its RE record to the one before the next. */
function employersOf(lines: readonly string[], labels: readonly string[]): Employer[] {
  const employers: { lines: string[]; labels: string[]; year: string; ein: string }[] = [];
  for (const [index, line] of lines.entries()) {
    if (index === 0 || index === lines.length - 1) continue;
    if (line.startsWith('RE')) employers.push({ lines: [], labels: [], year: cut(line, 3, 6), ein: cut(line, 8, 16) });
    employers.at(-1)?.lines.push(line);
    employers.at(-1)?.labels.push(labels[index] ?? '');
  }
  return employers;
}

/** Every refusal of a wage file; empty when it can be accepted. `refusedNumbers` are numbers that fail the name match. */
export function judgeWageFile(
  content: string,
  refusedNumbers: readonly string[],
  today: string,
): { refusals: WageRefusal[]; people: number; year: string; ein: string } {
  const refusals: WageRefusal[] = [];
  const refuse: Refuse = (code, field, message) => void refusals.push({ code, field, message });
  const nothing = { people: 0, year: '', ein: '' };
  const whole = (code: string, message: string) => ({ refusals: [{ code, field: 'file', message }], ...nothing });
  const lines = recordsOf(content, 512);
  if (lines === null || lines.length === 0) return whole('REC-LEN', 'A record is not 512 positions long.');
  const order = lines.map((line) => line.slice(0, 2)).join(' ');
  if (!ORDER.test(order))
    return whole('REC-ORDER', 'The records are not RA, then RE, RW (RO, RS), RT (RU, RV) for each employer, then RF.');
  const people = lines.filter((line) => line.startsWith('RW'));
  let workers = 0;
  /** What each record is called: people are counted through the file. */
  const labels = lines.map((line) => (line.startsWith('RW') ? `RW ${(workers += 1)}` : line.slice(0, 2)));
  const [submitter = ''] = lines;
  if (cut(submitter, 12, 19).trim() === '') refuse('RA-USER', 'RA User Identification', 'The user ID is blank.');
  const isResubmitted = cut(submitter, 29, 29) === '1';
  if (isResubmitted !== (cut(submitter, 30, 35).trim() !== ''))
    refuse(
      'RA-RESUB',
      'RA Resub Wage File Identifier (WFID)',
      'A resubmission names the file it replaces, and only that.',
    );
  for (const [index, line] of lines.entries()) {
    const table = TABLES[line.slice(0, 2) as keyof typeof TABLES] as (typeof TABLES)[keyof typeof TABLES] | undefined;
    for (const { field, message } of table ? faultsOf(line, table) : [])
      // What has a code of its own is told with it.
      if (!OWN_CODES.has(`${table?.name ?? ''} ${field}`))
        refuse(`${table?.name ?? ''}-FLD`, `${labels[index] ?? ''} ${field}`, message);
  }
  const employers = employersOf(lines, labels);
  for (const employer of employers) judgeEmployer(employer, today, refusedNumbers, refuse);
  if (new Set(employers.map(({ year }) => year)).size > 1)
    refuse('RE-YEAR', 'RE Tax Year', 'The employers of one file have different tax years.');
  if (amount(lines.at(-1) ?? '', 8, 9) !== people.length)
    refuse('RF-COUNT', 'RF Number of RW Records', 'The number of RW records is wrong.');
  const [first] = employers;
  return { refusals, people: people.length, year: first?.year ?? '', ein: first?.ein ?? '' };
}

const OWN_CODES: ReadonlySet<string> = new Set([
  'RA User Identification (User ID)',
  'RE Employer/Agent EIN',
  'RE Employer Name',
  'RW Social Security Number (SSN)',
  'RW Employee First Name',
  'RW Employee Last Name',
]);
