import { ZERO, cents, subtract, sum, type Cents } from '../money/cents.js';
import { TAXES, taxOf, type TaxGroup } from '../taxes/registry.js';
import { isLiability, isPayment, type LedgerEntry } from './entry.js';

export const STATIONS = ['register', 'ledger', 'deposits', 'returns', 'wage-statements'] as const;
export type Station = (typeof STATIONS)[number];
export type DifferenceCause = 'rounding' | 'to-fix';

export interface TieOutDifference {
  readonly from: Station;
  readonly to: Station;
  readonly amount: Cents;
  readonly cause: DifferenceCause;
  readonly says: string;
}
/** One row of the tie-out: an amount for each station where the tax has one, null where it has not. */
export interface TieOutRow {
  readonly key: string;
  readonly label: string;
  readonly group: TaxGroup;
  readonly stations: Readonly<Record<Station, Cents | null>>;
  readonly differences: readonly TieOutDifference[];
  /** What is still to be deposited, and is not due yet or on its way: no difference. */
  readonly pending: { readonly amount: Cents; readonly says: string } | null;
}

export interface TieOutInput {
  /** Computed amounts of the paychecks themselves, by tax. */
  readonly register: ReadonlyMap<string, Cents>;
  readonly entries: readonly LedgerEntry[];
  /** Amounts on returns as last released (or as they stand), by tax group; absent when there is no return. */
  readonly returned: ReadonlyMap<TaxGroup, Cents>;
  /** Lines 7 to 9 of the returns: fractions of cents, and employee tax that somebody else withheld or nobody could. */
  readonly adjustments: Cents;
  /** Amounts on the wage statements by tax group (employee share); absent before they exist. */
  readonly wageStatements: ReadonlyMap<string, Cents>;
  /** Liabilities not yet due, by tax group: the ones that explain a deposit still to come. */
  readonly notYetDue: ReadonlyMap<TaxGroup, Cents>;
  /** Payments on their way, by tax group. */
  readonly underWay: ReadonlyMap<TaxGroup, Cents>;
}

const COMBINED: Readonly<Record<string, string>> = {
  'US-OASDI': 'Social security (OASDI)',
  'US-HI': 'Medicare (HI) with the additional tax',
};

/** What a row of the tie-out is called: a tax that both pay is one row. */
function labelOf(group: TaxGroup, entries: readonly LedgerEntry[]): string {
  const first = entries[0];
  const label = COMBINED[group] ?? taxOf(first ? first.tax : (group as never)).label;
  const payers = new Set(entries.map((entry) => taxOf(entry.tax).payer));
  return payers.size > 1 ? `${label.replace(/, (?:employe[er]|worker)$/, '')}, employee and employer` : label;
}

function difference(
  from: Station,
  to: Station,
  left: Cents | null,
  right: Cents | null,
  explain: (amount: Cents) => Pick<TieOutDifference, 'cause' | 'says'>,
): TieOutDifference[] {
  if (left === null || right === null || left === right) return [];
  const amount = subtract(right, left);
  return [{ from, to, amount, ...explain(amount) }];
}

/** Tie-out of one client and period: each tax across the five stations, and every difference with its cause. */
/** The order of the registry: federal taxes, then each state's withholding, unemployment, programs and places. */
const GROUPS = [...new Set(TAXES.map((tax) => tax.group))];
const orderOf = (group: TaxGroup): number => {
  const at = GROUPS.indexOf(group);
  return at < 0 ? GROUPS.length : at;
};

export function tieOut(input: TieOutInput): TieOutRow[] {
  const groups = [
    ...new Set([
      ...input.entries.map((entry) => taxOf(entry.tax).group),
      ...[...input.register.keys()].map((code) => taxOf(code as never).group),
    ]),
  ];
  groups.sort((a, b) => orderOf(a) - orderOf(b) || (a < b ? -1 : 1));
  return groups.flatMap((group) => {
    const rows = [groupRow(group, input)];
    if (group === 'US-OASDI' || group === 'US-HI') rows.push(employeeShareRow(group, input));
    return rows;
  });
}

const inGroup = (group: TaxGroup) => (entry: LedgerEntry) => taxOf(entry.tax).group === group;
const registerSum = (input: TieOutInput, keep: (code: string) => boolean): Cents =>
  sum([...input.register].filter(([code]) => keep(code)).map(([, amount]) => amount));

function groupRow(group: TaxGroup, input: TieOutInput): TieOutRow {
  const entries = input.entries.filter(inGroup(group));
  const register = registerSum(input, (code) => taxOf(code as never).group === group);
  const ledger = sum(entries.filter(isLiability).map((entry) => entry.amount));
  const deposits = cents(-sum(entries.filter(isPayment).map((entry) => entry.amount)));
  const returned = input.returned.get(group) ?? null;
  const isIncomeTax = group.endsWith('-FIT') || group.endsWith('-SIT');
  const statements = isIncomeTax ? (input.wageStatements.get(group) ?? null) : null;
  const open = input.notYetDue.get(group) ?? ZERO;
  const underWay = input.underWay.get(group) ?? ZERO;
  const pending = cents(open + underWay);
  const pendingSays = underWay === 0 ? 'not yet due' : open === 0 ? 'on its way' : 'on its way or not yet due';
  const explainDeposit = (amount: Cents): Pick<TieOutDifference, 'cause' | 'says'> => ({
    cause: 'to-fix',
    says: amount < 0 ? 'not deposited, and due' : 'deposited without a liability',
  });
  const explainReturn = (): Pick<TieOutDifference, 'cause' | 'says'> =>
    (group === 'US-OASDI' || group === 'US-HI') && returnAddsUp(input)
      ? { cause: 'rounding', says: 'fractions of cents and adjustments, lines 7 to 9' }
      : { cause: 'to-fix', says: 'the return differs from the ledger' };
  return {
    key: group,
    group,
    label: labelOf(group, entries),
    stations: { register, ledger, deposits, returns: returned, 'wage-statements': statements },
    differences: [
      ...difference('register', 'ledger', register, ledger, () => ({
        cause: 'to-fix',
        says: 'a paycheck and its ledger lines differ',
      })),
      // What is simply not due yet is no difference: only the rest is.
      ...difference('ledger', 'deposits', subtract(ledger, pending), deposits, explainDeposit),
      ...difference('ledger', 'returns', ledger, returned, explainReturn),
      ...difference('ledger', 'wage-statements', ledger, statements, () => ({
        cause: 'to-fix',
        says: 'the W-2s differ from the ledger',
      })),
    ],
    pending: pending === ZERO ? null : { amount: pending, says: pendingSays },
  };
}

const RETURN_GROUPS: readonly TaxGroup[] = ['US-FIT', 'US-OASDI', 'US-HI'];

/** Whether line 12 of the returns (their taxes and lines 7 to 9) is the ledger to the cent. */
function returnAddsUp(input: TieOutInput): boolean {
  const ledger = sum(
    input.entries
      .filter((entry) => isLiability(entry) && RETURN_GROUPS.includes(taxOf(entry.tax).group))
      .map((entry) => entry.amount),
  );
  const returned = sum(RETURN_GROUPS.map((group) => input.returned.get(group) ?? ZERO));
  return returned + input.adjustments === ledger;
}

function employeeShareRow(group: TaxGroup, input: TieOutInput): TieOutRow {
  const isShare = (code: string) => taxOf(code as never).group === group && taxOf(code as never).payer === 'employee';
  const register = registerSum(input, isShare);
  const ledger = sum(
    input.entries.filter((entry) => isLiability(entry) && isShare(entry.tax)).map((entry) => entry.amount),
  );
  const statements = input.wageStatements.get(group) ?? null;
  return {
    key: `${group}-EE`,
    group,
    label: 'of which withheld from employees',
    stations: { register, ledger, deposits: null, returns: null, 'wage-statements': statements },
    differences: [
      ...difference('register', 'ledger', register, ledger, () => ({
        cause: 'to-fix',
        says: 'a paycheck and its ledger lines differ',
      })),
      ...difference('ledger', 'wage-statements', ledger, statements, () => ({
        cause: 'to-fix',
        says: 'the W-2s differ from the ledger',
      })),
    ],
    pending: null,
  };
}
