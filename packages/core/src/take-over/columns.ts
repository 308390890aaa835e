import { plain, type PeopleColumn, type PeopleColumnKind } from '../people-file/columns.js';
import { isStateUnemployment, isTaxCode, taxOf, type TaxCode } from '../tax-registry/registry.js';

/** A deduction that a file of balances may have a column for: a standard item, or one of the client's own. */
export interface BalanceItem {
  /** The client's own code, or the standard one. */
  readonly code: string;
  readonly label: string;
  /** The standard item it is treated as. */
  readonly item: string;
}
/** What the columns of a client's file are made for. */
export interface BalanceScope {
  readonly taxes: readonly TaxCode[];
  readonly items: readonly BalanceItem[];
}
/** A column reads like one of a people file. */
export type BalanceColumn = PeopleColumn;

const of = (kind: PeopleColumnKind, name: string, label: string, ...headings: string[]): BalanceColumn => ({
  name,
  label,
  kind,
  headings,
});

const FIXED: readonly BalanceColumn[] = [
  {
    ...of('text', 'number', 'Number', 'number', 'employeenumber', 'empno', 'employeeid', 'id', 'empid', 'no'),
    most: 12,
  },
  of('ssn', 'ssn', 'Social security number', 'ssn', 'socialsecuritynumber', 'socialsecurityno', 'taxid'),
  {
    ...of('text', 'name', 'Name (for the eye only)', 'name', 'employee', 'employeename', 'fullname', 'lastfirstname'),
    most: 60,
  },
  { ...of('text', 'quarter', 'Quarter', 'quarter', 'qtr', 'q'), most: 10 },
  of('date', 'day', 'Check date', 'checkdate', 'paydate', 'datepaid', 'date'),
  of('amount', 'gross', 'Gross pay', 'gross', 'grosspay', 'grosswages', 'totalpay', 'totalgross'),
  of('amount', 'net', 'Net pay', 'net', 'netpay', 'netwages', 'takehome'),
  of('amount', 'notPaid', 'In gross but not paid in cash', 'imputed', 'notpaid', 'noncash', 'reportedtips'),
  of('amount', 'otherDeductions', 'Other deductions after tax', 'otherdeductions', 'otherded', 'deductionsaftertax'),
  of('amount', 'supplemental', 'Supplemental wages', 'supplemental', 'supplementalwages', 'bonuses'),
  of('amount', 'qualifiedOvertime', 'Qualified overtime', 'qualifiedovertime', 'overtimepremium'),
  of('amount', 'qualifiedTips', 'Qualified tips', 'qualifiedtips', 'cashtips'),
];

/** Taxes whose wages before the base are asked for as well: quarterly and yearly returns show both. */
const hasBase = (code: TaxCode): boolean =>
  code === 'US-OASDI-EE' || code === 'US-FUTA' || isStateUnemployment(taxOf(code));

/** What former providers' reports call the federal columns. Common practice. */
const KNOWN: Readonly<Record<string, readonly string[]>> = {
  'wages:US-FIT': ['fitwages', 'federalwages', 'fedwages', 'federaltaxablewages', 'box1', 'fittaxablewages'],
  'amount:US-FIT': ['fit', 'fitwithheld', 'federalwithholding', 'fedwh', 'federaltax', 'box2', 'fedincometax'],
  'wages:US-OASDI-EE': ['sswages', 'socialsecuritywages', 'oasdiwages', 'ficawages', 'box3', 'sstaxablewages'],
  'amount:US-OASDI-EE': ['ss', 'sstax', 'socialsecuritytax', 'socialsecurity', 'oasdi', 'ssee', 'sswithheld', 'box4'],
  'amount:US-OASDI-ER': ['sser', 'ssemployer', 'employerss', 'employersocialsecurity', 'oasdier'],
  'wages:US-HI-EE': ['medicarewages', 'medwages', 'hiwages', 'box5', 'medicaretaxablewages'],
  'amount:US-HI-EE': ['medicare', 'medicaretax', 'medee', 'medicareee', 'hi', 'medicarewithheld', 'box6'],
  'amount:US-HI-ER': ['meder', 'medicareer', 'employermedicare', 'medicareemployer', 'hier'],
  'wages:US-HI-ADD': ['additionalmedicarewages', 'addlmedicarewages'],
  'amount:US-HI-ADD': ['additionalmedicare', 'addlmedicare', 'additionalmedicaretax'],
  'wages:US-FUTA': ['futawages', 'futataxablewages'],
  'amount:US-FUTA': ['futa', 'futatax', 'federalunemployment'],
};

const PARTS = {
  subject: ['wages before the base', 'grosswages'],
  wages: ['taxable wages', 'wages'],
  amount: ['tax', ''],
} as const;
type Part = keyof typeof PARTS;

function taxColumn(code: TaxCode, part: Part): BalanceColumn {
  const { label } = taxOf(code);
  const [words, short] = PARTS[part];
  const name = `${part}:${code}`;
  return of(
    'amount',
    name,
    part === 'amount' ? label : `${label}: ${words}`,
    plain(`${label} ${words}`),
    plain(`${label} ${short}`),
    plain(`${code} ${words}`),
    plain(`${code} ${short}`),
    ...(KNOWN[name] ?? []),
  );
}

const columnsOfTax = (code: TaxCode): BalanceColumn[] => [
  ...(hasBase(code) ? [taxColumn(code, 'subject')] : []),
  taxColumn(code, 'wages'),
  taxColumn(code, 'amount'),
];
const columnOfItem = ({ code, label }: BalanceItem): BalanceColumn =>
  of('amount', `deduction:${code}`, label, plain(label), plain(code), plain(`${label} deduction`));

/** Every column that a client's file of balances may have, in the order of its form. */
export const balanceColumns = ({ taxes, items }: BalanceScope): BalanceColumn[] => [
  ...FIXED,
  ...taxes.flatMap(columnsOfTax),
  ...items.map(columnOfItem),
];

/** Columns that follow from others: the employer's halves are of the employee's wages; people are known by number. */
const IMPLIED: ReadonlySet<string> = new Set(['ssn', 'wages:US-OASDI-ER', 'wages:US-HI-ER']);
/** The columns of the form to fill in. */
export const formColumns = (scope: BalanceScope): BalanceColumn[] =>
  balanceColumns(scope).filter((column) => !IMPLIED.has(column.name));

/** The column that a name of a mapping stands for; null for a name that is not one. */
export function findBalanceColumn(name: string, items: readonly BalanceItem[]): BalanceColumn | null {
  const fixed = FIXED.find((column) => column.name === name);
  if (fixed) return fixed;
  const at = name.indexOf(':');
  const [kind, code] = [name.slice(0, at), name.slice(at + 1)];
  if (kind === 'deduction') {
    const item = items.find((one) => one.code === code);
    return item ? columnOfItem(item) : null;
  }
  return kind in PARTS && isTaxCode(code) ? taxColumn(code, kind as Part) : null;
}

/** A mapping proposed from the headings: a column name (or blank) for each, the first of two alike. */
export function proposeBalanceMapping(headings: readonly string[], scope: BalanceScope): string[] {
  const columns = balanceColumns(scope);
  const taken = new Set<string>();
  return headings.map((heading) => {
    const wanted = plain(heading);
    const found =
      wanted === ''
        ? undefined
        : columns.find(
            (column) =>
              !taken.has(column.name) &&
              (plain(column.label) === wanted || plain(column.name) === wanted || column.headings.includes(wanted)),
          );
    if (!found) return '';
    taken.add(found.name);
    return found.name;
  });
}
