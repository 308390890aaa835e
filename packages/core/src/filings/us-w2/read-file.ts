import { RF, RO, RT, RW, RE, RS } from '../../formats/efw2/layout.js';
import { readRecord } from '../../formats/fixed-width/writer.js';
import { STATE_NUMBERS } from '../../formats/wage-detail/state-codes.js';
import { problem, type Issue } from '../../issues/issue.js';
import { ZERO, add, cents, sum, type Cents } from '../../money/cents.js';
import { BOX_12_FIELDS, RARE_FIELDS } from './file.js';
import type { FormW2, W2LocalLine, W2Person, W2Set, W2StateLine } from './form.js';

/** A statement of a file, before it is known whose it is here. */
export type ReadStatement = Omit<FormW2, 'person'> & { readonly person: Omit<W2Person, 'employeeId'> };
export interface ReadWageFile {
  readonly year: number;
  readonly ein: string;
  readonly statements: readonly ReadStatement[];
  readonly issues: readonly Issue[];
}

const RECORD_LENGTH = 512;
const POSTAL = new Map(Object.entries(STATE_NUMBERS).map(([state, number]) => [number, state]));

type Values = Readonly<Record<string, string>>;
/** Amounts of one record; what is no amount is an issue, never nothing. */
type Amounts = (name: string) => Cents;
function amountsOf(values: Values, line: number, issues: Issue[]): Amounts {
  return (name) => {
    const given = (values[name] ?? '').trim();
    if (/^\d*$/.test(given)) return cents(Number(given));
    issues.push(problem('wage-file.amount', 'content', { line: String(line), field: name, value: given }));
    return ZERO;
  };
}

/** Box 12 codes that are read from files of others, beside those that are written here. */
const READ_CODES: Readonly<Record<string, string>> = {
  ...BOX_12_FIELDS,
  H: 'Deferred Compensation Contributions to Section 501(c)(18)(D)',
  Q: 'Nontaxable Combat Pay',
  Y: 'Deferrals Under a Section 409A Nonqualified Deferred Compensation Plan',
  FF: 'Permitted Benefits Under a QSEHRA',
};
/** The RO record has codes A and B as one amount: it stands as A, and whoever takes the file in is told. */
const READ_RARE: Readonly<Record<string, string>> = {
  ...Object.fromEntries(Object.entries(RARE_FIELDS).filter(([code]) => code !== 'B')),
  R: 'Medical Savings Account',
  T: 'Qualified Adoption Expenses',
  M: 'Uncollected Social Security or RRTA Tax on Cost of Group Term Life Insurance Over $50,000',
  N: 'Uncollected Medicare Tax on Cost of Group Term Life Insurance Over $50,000',
  Z: 'Income Under a Nonqualified Deferred Compensation Plan That Fails to Satisfy Section 409A',
  GG: 'Income from Qualified Equity Grants Under Section 83(i)',
  HH: 'Aggregate Deferrals Under Section 83(i) Elections',
};
const ofCodes = (names: Readonly<Record<string, string>>, amount: Amounts): FormW2['box12'] =>
  Object.entries(names)
    .map(([code, name]) => ({ code, amount: amount(name) }))
    .filter((line) => line.amount !== 0);

/** Boxes 15 to 17 of an RS record, and 18 to 20 where it has local amounts. */
function placesOf(values: Values, amount: Amounts): { states: W2StateLine[]; locals: W2LocalLine[] } {
  const code = (values['State Code'] ?? '').trim();
  const state = POSTAL.get(code) ?? code;
  const [wages, tax] = [amount('State Taxable Wages'), amount('State Income Tax Withheld')];
  const [localWages, localTax] = [amount('Local Taxable Wages'), amount('Local Income Tax Withheld')];
  return {
    states:
      code === '' && wages === 0 && tax === 0
        ? []
        : [{ state, stateId: (values['State Employer Account Number'] ?? '').trim(), wages, tax }],
    locals:
      localWages === 0 && localTax === 0
        ? []
        : [{ state, locality: (values['Taxing Entity Code'] ?? '').trim(), wages: localWages, tax: localTax }],
  };
}

/** A statement from its RW record, at a line of the file, and the RO and RS records that follow it. */
function statementOf(lines: readonly string[], at: number, issues: Issue[]): ReadStatement {
  const [line = '', ...more] = lines;
  const values = readRecord(RW, line);
  const amount = amountsOf(values, at, issues);
  const following = more.map((own, index) => ({ own, at: at + index + 1 }));
  const rare = following
    .filter(({ own }) => own.startsWith('RO'))
    .map((one) => amountsOf(readRecord(RO, one.own), one.at, issues))[0];
  const places = following
    .filter(({ own }) => own.startsWith('RS'))
    .map((one) => {
      const read = readRecord(RS, one.own);
      return placesOf(read, amountsOf(read, one.at, issues));
    });
  const text = (name: string): string => (values[name] ?? '').trim();
  const ssn = text('Social Security Number (SSN)');
  return {
    person: {
      ssn: /^0*$/.test(ssn) ? '' : ssn,
      firstName: text('Employee First Name'),
      middleName: text('Employee Middle Name or Initial'),
      lastName: text('Employee Last Name'),
      suffix: text('Suffix'),
      street: [text('Delivery Address'), text('Location Address')].filter((part) => part !== '').join(', '),
      city: text('City'),
      state: text('State Abbreviation'),
      zip: text('Country Code') === '' ? text('ZIP Code') : text('Foreign Postal Code'),
      country: text('Country Code'),
      province: text('Foreign State/Province'),
      isRetirementPlan: text('Retirement Plan Indicator') === '1',
      isStatutory: text('Statutory Employee Indicator') === '1',
    },
    box1: amount('Wages, Tips and Other Compensation'),
    box2: amount('Federal Income Tax Withheld'),
    box3: amount('Social Security Wages'),
    box4: amount('Social Security Tax Withheld'),
    box5: amount('Medicare Wages and Tips'),
    box6: amount('Medicare Tax Withheld'),
    box7: amount('Social Security Tips'),
    box8: rare?.('Allocated Tips') ?? ZERO,
    box10: amount('Dependent Care Benefits'),
    box11: add(
      amount('Nonqualified Plan Section 457 Distributions or Contributions'),
      amount('Nonqualified Plan Not Section 457 Distributions or Contributions'),
    ),
    box12: [...ofCodes(READ_CODES, amount), ...(rare ? ofCodes(READ_RARE, rare) : [])],
    isThirdPartySickPay: text('Third-Party Sick Pay Indicator') === '1',
    withheldByInsurer: { incomeTax: ZERO, oasdi: ZERO, hi: ZERO },
    box14: [],
    states: places.flatMap(({ states }) => states),
    locals: places.flatMap(({ locals }) => locals),
  };
}

/** A set as it was filed: what the ledger of whoever ran the year had is what its statements add up to. */
export function setAsFiled(year: number, forms: readonly FormW2[], strangers: readonly string[]): W2Set {
  const total = (box: 'box2' | 'box3' | 'box4' | 'box5' | 'box6' | 'box7'): Cents =>
    sum(forms.map((form) => form[box]));
  return {
    year,
    forms: [...forms],
    strangers: [...strangers],
    ledger: {
      incomeTax: total('box2'),
      oasdiWages: add(total('box3'), total('box7')),
      oasdiTax: total('box4'),
      hiWages: total('box5'),
      hiTax: total('box6'),
    },
  };
}

/**
 * Reads the EFW2 file of one employer that somebody else filed. A record of another length, a file of several employers or
 * one whose totals are not those of its statements is refused whole: half of a file would correct half of a year.
 */
export function readEfw2(text: string): ReadWageFile {
  const lines = text.split(/\r?\n/).filter((line) => line.trim() !== '');
  const nothing = (issue: Issue): ReadWageFile => ({ year: 0, ein: '', statements: [], issues: [issue] });
  const bad = lines.findIndex((line) => line.length !== RECORD_LENGTH);
  if (lines.length === 0 || !lines[0]?.startsWith('RA')) return nothing(problem('wage-file.not-one', 'content'));
  if (bad >= 0)
    return nothing(
      problem('wage-file.length', 'content', { line: String(bad + 1), length: String(lines[bad]?.length ?? 0) }),
    );
  const employers = lines.filter((line) => line.startsWith('RE'));
  if (employers.length !== 1)
    return nothing(problem('wage-file.employers', 'content', { count: String(employers.length) }));
  const employer = readRecord(RE, employers[0] ?? '');
  const year = Number(employer['Tax Year']);
  if (!/^(19|20)\d\d$/.test(employer['Tax Year'] ?? ''))
    return nothing(problem('wage-file.year', 'content', { year: employer['Tax Year'] ?? '' }));
  const issues: Issue[] = [];
  const at = lines.flatMap((line, index) => (line.startsWith('RW') ? [index] : []));
  const statements = at.map((index, order) =>
    statementOf(lines.slice(index, at[order + 1] ?? lines.length), index + 1, issues),
  );
  const last = lines.findIndex((line) => line.startsWith('RT'));
  const total = amountsOf(readRecord(RT, lines[last] ?? ''), last + 1, issues);
  const counted = readRecord(RF, lines.at(-1) ?? '')['Number of RW Records'] ?? '';
  if (Number(counted) !== statements.length)
    issues.push(problem('wage-file.count', 'content', { said: counted, found: String(statements.length) }));
  for (const [box, name, of] of TOTALS)
    if (total(name) !== sum(statements.map(of))) issues.push(problem('wage-file.totals', 'content', { box }));
  const isAgent = (employer['Agent Indicator Code'] ?? '').trim() !== '';
  return { year, ein: employer[isAgent ? 'Agent for EIN' : 'Employer/Agent EIN'] ?? '', statements, issues };
}

const TOTALS: readonly (readonly [box: string, name: string, of: (form: ReadStatement) => Cents])[] = [
  ['1', 'Wages, Tips and Other Compensation', (form) => form.box1],
  ['2', 'Federal Income Tax Withheld', (form) => form.box2],
  ['3', 'Social Security Wages', (form) => form.box3],
  ['4', 'Social Security Tax Withheld', (form) => form.box4],
  ['5', 'Medicare Wages and Tips', (form) => form.box5],
  ['6', 'Medicare Tax Withheld', (form) => form.box6],
  ['7', 'Social Security Tips', (form) => form.box7],
];
