/** The wage agency's own reading of an EFW2 file, by position. A refusal names the record and the field. */
export interface WageRefusal {
  readonly code: string;
  readonly field: string;
  readonly message: string;
}

const MONEY = [
  ['Wages, Tips and Other Compensation', 188, 10],
  ['Federal Income Tax Withheld', 199, 25],
  ['Social Security Wages', 210, 40],
  ['Social Security Tax Withheld', 221, 55],
  ['Medicare Wages and Tips', 232, 70],
  ['Medicare Tax Withheld', 243, 85],
  ['Social Security Tips', 254, 100],
  ['Dependent Care Benefits', 276, 130],
  ['Section 401(k)', 287, 145],
  ['Roth 401(k)', 441, 370],
] as const;
/** Of the rarer records RO and RU. */
const RARE_MONEY = [
  ['Uncollected Employee Tax on Tips', 23, 25],
  ['Simple Retirement Account', 45, 55],
  ['Roth 457(b)', 111, 145],
] as const;
const OASDI_BASE: Readonly<Record<string, number>> = { '2025': 17_610_000, '2026': 18_450_000 };

const cut = (line: string, from: number, length: number): string => line.slice(from - 1, from - 1 + length);
const amount = (line: string, from: number, length: number): number => Number(cut(line, from, length).trim() || '0');

function ssnFault(ssn: string): string | null {
  if (!/^\d{9}$/.test(ssn)) return 'is not nine digits';
  const area = ssn.slice(0, 3);
  return area === '000' || area === '666' || area >= '900' || ssn.slice(3, 5) === '00' || ssn.endsWith('0000')
    ? 'cannot have been issued'
    : null;
}

/** Every refusal of a wage file; empty when it can be accepted. `refusedNumbers` are numbers that fail the name match. */
export function judgeWageFile(
  content: string,
  refusedNumbers: readonly string[],
  today: string,
): { refusals: WageRefusal[]; people: number; year: string; ein: string } {
  const refusals: WageRefusal[] = [];
  const refuse = (code: string, field: string, message: string): void => void refusals.push({ code, field, message });
  const lines = content.split('\r\n').filter((line) => line !== '');
  const nothing = { people: 0, year: '', ein: '' };
  if (lines.some((line) => line.length !== 512))
    return {
      refusals: [{ code: 'REC-LEN', field: 'file', message: 'A record is not 512 positions long.' }],
      ...nothing,
    };
  const order = lines.map((line) => line.slice(0, 2)).join(' ');
  if (!/^RA RE (RW (RO )?)+RT (RU )?RF$/.test(order))
    return {
      refusals: [{ code: 'REC-ORDER', field: 'file', message: 'The records are not RA, RE, RW (RO), RT (RU), RF.' }],
      ...nothing,
    };
  const [submitter = '', employer = ''] = lines;
  const wages = lines.filter((line) => line.startsWith('RW'));
  const totals = lines.find((line) => line.startsWith('RT')) ?? '';
  const last = lines.at(-1) ?? '';
  const year = cut(employer, 3, 4);
  const ein = cut(employer, 8, 9);
  if (cut(submitter, 12, 8).trim() === '') refuse('RA-USER', 'RA User Identification', 'The user ID is blank.');
  if (!/^\d{9}$/.test(ein)) refuse('RE-EIN', 'RE EIN', 'The EIN is not nine digits.');
  if (cut(employer, 40, 57).trim() === '') refuse('RE-NAME', 'RE Employer Name', 'The employer name is blank.');
  if (`${year}-12-31` >= today) refuse('RE-YEAR', 'RE Tax Year', 'The tax year is not over.');
  const seen = new Set<string>();
  wages.forEach((line, index) => {
    const record = `RW ${index + 1}`;
    const ssn = cut(line, 3, 9);
    const fault = ssnFault(ssn);
    if (fault) refuse('RW-SSN', `${record} Social Security Number (SSN)`, `The social security number ${fault}.`);
    if (seen.has(ssn))
      refuse(
        'RW-SSN-DUP',
        `${record} Social Security Number (SSN)`,
        'The social security number stands twice in the file.',
      );
    seen.add(ssn);
    if (refusedNumbers.includes(ssn))
      refuse(
        'RW-NAME-MATCH',
        `${record} Employee Last Name`,
        'Name and social security number do not belong together.',
      );
    if (cut(line, 12, 15).trim() === '')
      refuse('RW-FIRST', `${record} Employee First Name`, 'The first name is blank.');
    if (cut(line, 42, 20).trim() === '') refuse('RW-LAST', `${record} Employee Last Name`, 'The last name is blank.');
    const oasdiWages = amount(line, 210, 11) + amount(line, 254, 11);
    const oasdiTax = amount(line, 221, 11);
    const base = OASDI_BASE[year];
    if (base !== undefined && oasdiWages > base)
      refuse('RW-SSW-MAX', `${record} Social Security Wages`, 'Social security wages are over the base.');
    if (Math.abs(oasdiTax - Math.round(oasdiWages * 0.062)) > 60)
      refuse('RW-SST', `${record} Social Security Tax Withheld`, 'Social security tax does not follow from the wages.');
    if (amount(line, 232, 11) < oasdiWages)
      refuse('RW-MCW', `${record} Medicare Wages and Tips`, 'Medicare wages are less than social security wages.');
  });
  for (const [name, from, inTotals] of MONEY) {
    const added = wages.reduce((running, line) => running + amount(line, from, 11), 0);
    if (added !== amount(totals, inTotals, 15))
      refuse('RT-TOTAL', `RT ${name}`, `The total of ${name} differs from the records.`);
  }
  const rare = lines.filter((line) => line.startsWith('RO'));
  const rareTotals = lines.find((line) => line.startsWith('RU')) ?? '';
  for (const [name, from, inTotals] of RARE_MONEY) {
    const added = rare.reduce((running, line) => running + amount(line, from, 11), 0);
    if (added !== amount(rareTotals, inTotals, 15))
      refuse('RU-TOTAL', `RU ${name}`, `The total of ${name} differs from the records.`);
  }
  if (amount(rareTotals, 3, 7) !== rare.length)
    refuse('RU-COUNT', 'RU Number of RO Records', 'The number of RO records is wrong.');
  if (amount(totals, 3, 7) !== wages.length)
    refuse('RT-COUNT', 'RT Number of RW Records', 'The number of RW records is wrong.');
  if (amount(last, 8, 9) !== wages.length)
    refuse('RF-COUNT', 'RF Number of RW Records', 'The number of RW records is wrong.');
  return { refusals, people: wages.length, year, ein };
}
