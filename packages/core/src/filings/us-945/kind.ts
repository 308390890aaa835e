import { cents, dollars, showDollars, sum, ZERO, type Cents } from '../../money/cents.js';
import { ofYear, writeAnnual } from '../annual-kind.js';
import { MONTHS, balanceLines, monthLines } from '../annual-return.js';
import { OF_EFILED_RETURNS, periodOver, runChecks, type Check } from '../checks.js';
import { defineKind, type AskedAmount, type FilingInput } from '../kind.js';
import { LineSheet, lineOf, type ReturnLine } from '../return-lines.js';
import { problem } from '../../issues/issue.js';

interface Form945 {
  readonly lines: readonly ReturnLine[];
  readonly days: null;
}
const MONTH_LINES = monthLines('7');
/** Under this the liability is not shown by month (Form 945, line 7). */
const SMALL_YEAR = dollars('2500');
const askedMonth = (index: number): string => `month${index + 1}`;
const ASKS: readonly AskedAmount[] = [
  {
    name: 'pensions',
    line: '1',
    label: 'Withheld from pensions, annuities, gambling winnings',
    help: 'Federal income tax withheld from payments that are not wages: Forms 1099-R, W-2G',
  },
  { name: 'backup', line: '2', label: 'Backup withholding', help: 'Withheld on Forms 1099 at the backup rate' },
  {
    name: 'deposits',
    line: '4',
    label: 'Deposits of the year',
    help: 'Deposited as Form 945 taxes, from the confirmations',
  },
  ...MONTHS.map((month, index): AskedAmount => ({
    name: askedMonth(index),
    line: MONTH_LINES[index] ?? '',
    label: `Liability of ${month}`,
    help: 'Withheld in the month; asked for from 2,500.00 a year on',
  })),
];

/** Nonpayroll withholding is in no paycheck: every amount is entered. */
function form945({ entered }: FilingInput): Form945 {
  const sheet = new LineSheet<string>([]);
  const put = (line: string, name: string, label: string): void => {
    const amount = entered[name] ?? ZERO;
    sheet.put(line, label, amount, [{ label, value: showDollars(amount), how: 'as entered on the return' }]);
  };
  put('1', 'pensions', 'Federal income tax withheld from pensions, annuities, IRAs, gambling winnings, etc.');
  put('2', 'backup', 'Backup withholding');
  sheet.addUp('3', 'Total taxes', ['1', '2']);
  balanceLines(sheet, { total: '3', deposits: '4', balance: '5', overpaid: '6' }, entered['deposits'] ?? ZERO, null);
  MONTHS.forEach((month, index) => put(MONTH_LINES[index] ?? '', askedMonth(index), `Tax liability, ${month}`));
  return { lines: sheet.lines, days: null };
}

const monthsFoot: Check<Form945> = ({ lines }) => {
  const total = lineOf(lines, '3');
  const months: Cents = sum(MONTH_LINES.map((line) => lineOf(lines, line)));
  return total < SMALL_YEAR || months === total
    ? []
    : [problem('check.days-differ', 'line.3', { days: showDollars(months), line: '3', total: showDollars(total) })];
};
const CHECKS = [...OF_EFILED_RETURNS, periodOver, monthsFoot];

/** Form 945, Annual Return of Withheld Federal Income Tax. Only for clients that say they withhold from nonpayroll payments. */
export const US_945 = defineKind<Form945>({
  ...ofYear('us-945', '945', 'Annual Return of Withheld Federal Income Tax'),
  files: ({ form }) =>
    form === '945'
      ? { is: true, why: 'It withholds from payments that are not wages.' }
      : { is: false, why: 'It is not known to withhold from payments that are not wages.' },
  owedFor: [],
  needs: {},
  asks: ASKS,
  compute: form945,
  lines: ({ lines }) => lines,
  tables: () => [],
  check: (form, facts) => runChecks(CHECKS, form, facts),
  amount: ({ lines }) => lineOf(lines, '3'),
  figures: ({ lines }) => [
    { label: 'Total taxes, line 3', value: showDollars(lineOf(lines, '3')) },
    { label: 'Balance due, line 5', value: showDollars(lineOf(lines, '5')) },
  ],
  makeFile: (form, sending) => ({
    content: writeAnnual(
      '945',
      [
        { element: 'FederalIncomeTaxWithheldAmt', line: '1' },
        { element: 'BackupWithholdingAmt', line: '2' },
        { element: 'TotalTaxAmt', line: '3' },
        { element: 'TotalTaxDepositAmt', line: '4' },
        { element: 'BalanceDueAmt', line: '5' },
        { element: 'OverpaidAmt', line: '6' },
      ],
      form,
      MONTH_LINES,
      sending,
    ),
    issues: [],
  }),
  tieOut: {
    station: 'returns',
    groups: [],
    amounts: () => new Map(),
    adjustments: () => cents(0),
    adjustmentWords: '',
    adjusted: [],
  },
  store: (form) => form,
  read: (stored) => stored as Form945,
  amendedBy: 'Form 945-X',
});
