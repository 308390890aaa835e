import { RF, RO, RT, RW, RE, RS } from '../../formats/efw2/layout.js';
import { readRecord } from '../../formats/fixed-width/writer.js';
import { STATE_NUMBERS } from '../../formats/wage-detail/state-codes.js';
import { problem, type Issue } from '../../issues/issue.js';
import { ZERO, add, cents, sum, type Cents } from '../../money/cents.js';
import { BOX_12_FIELDS, RARE_FIELDS } from './file.js';
import type { FormW2, W2Person, W2Set, W2StateLine } from './form.js';

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
const amountIn = (values: Values, name: string): Cents => cents(Number(values[name] ?? '0') || 0);
const ofCodes = (names: Readonly<Record<string, string>>, values: Values): FormW2['box12'] =>
  Object.entries(names)
    // Two codes share a field of the RO record: which of them it was, the file does not say.
    .filter(([code]) => code !== 'B')
    .map(([code, name]) => ({ code, amount: amountIn(values, name) }))
    .filter(({ amount }) => amount !== 0);

function statementOf(line: string, more: readonly string[]): ReadStatement {
  const values = readRecord(RW, line);
  const rare = more.filter((one) => one.startsWith('RO')).map((one) => readRecord(RO, one))[0] ?? {};
  const states = more.filter((one) => one.startsWith('RS')).map((one) => readRecord(RS, one));
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
    box1: amountIn(values, 'Wages, Tips and Other Compensation'),
    box2: amountIn(values, 'Federal Income Tax Withheld'),
    box3: amountIn(values, 'Social Security Wages'),
    box4: amountIn(values, 'Social Security Tax Withheld'),
    box5: amountIn(values, 'Medicare Wages and Tips'),
    box6: amountIn(values, 'Medicare Tax Withheld'),
    box7: amountIn(values, 'Social Security Tips'),
    box8: amountIn(rare, 'Allocated Tips'),
    box10: amountIn(values, 'Dependent Care Benefits'),
    box11: amountIn(values, 'Nonqualified Plan Not Section 457 Distributions or Contributions'),
    box12: [...ofCodes(BOX_12_FIELDS, values), ...ofCodes(RARE_FIELDS, rare)],
    isThirdPartySickPay: text('Third-Party Sick Pay Indicator') === '1',
    withheldByInsurer: { incomeTax: ZERO, oasdi: ZERO, hi: ZERO },
    box14: [],
    states: states.flatMap((own): W2StateLine[] => {
      const state = POSTAL.get(own['State Code'] ?? '');
      return state === undefined
        ? []
        : [
            {
              state,
              stateId: (own['State Employer Account Number'] ?? '').trim(),
              wages: amountIn(own, 'State Taxable Wages'),
              tax: amountIn(own, 'State Income Tax Withheld'),
            },
          ];
    }),
    locals: [],
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
  const at = lines.flatMap((line, index) => (line.startsWith('RW') ? [index] : []));
  const statements = at.map((index, order) =>
    statementOf(lines[index] ?? '', lines.slice(index + 1, at[order + 1] ?? lines.length)),
  );
  const totals = readRecord(RT, lines.find((line) => line.startsWith('RT')) ?? '');
  const counted = Number(readRecord(RF, lines.at(-1) ?? '')['Number of RW Records'] ?? '0');
  const boxes = [
    ['1', 'Wages, Tips and Other Compensation', (form: ReadStatement) => form.box1],
    ['2', 'Federal Income Tax Withheld', (form: ReadStatement) => form.box2],
    ['3', 'Social Security Wages', (form: ReadStatement) => form.box3],
    ['5', 'Medicare Wages and Tips', (form: ReadStatement) => form.box5],
  ] as const;
  const wrong = boxes.filter(([, name, of]) => amountIn(totals, name) !== sum(statements.map(of)));
  return {
    year: Number(employer['Tax Year'] ?? '0'),
    ein: employer['Employer/Agent EIN'] ?? '',
    statements,
    issues: [
      ...(counted === statements.length
        ? []
        : [problem('wage-file.count', 'content', { said: String(counted), found: String(statements.length) })]),
      ...wrong.map(([box]) => problem('wage-file.totals', 'content', { box })),
    ],
  };
}
