import { ZERO, cents, subtract, sum, type Cents } from '../money/cents.js';
import type { TaxKind } from '../jurisdictions/tax-kind.js';
import { TAXES, taxOf, type TaxCode, type TaxGroup } from '../tax-registry/registry.js';
import { isLiability, isPayment, type LedgerEntry } from './entry.js';

export const STATIONS = ['register', 'ledger', 'deposits', 'returns', 'wage-statements'] as const;
export type Station = (typeof STATIONS)[number];
/** `void`: a check was voided after the deposit or the return had its figures. */
export type DifferenceCause = 'rounding' | 'void' | 'to-fix';

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
  /** A part of the row before it: what of the tax was withheld from employees. */
  readonly isShare: boolean;
  readonly label: string;
  readonly group: TaxGroup;
  readonly stations: Readonly<Record<Station, Cents | null>>;
  readonly differences: readonly TieOutDifference[];
  /** What is still to be deposited, and is not due yet or on its way: no difference. */
  readonly pending: { readonly amount: Cents; readonly says: string } | null;
}

/** Taxes on the returns of one kind in the period. */
export interface ReturnedTaxes {
  readonly amounts: ReadonlyMap<TaxGroup, Cents>;
  /** What is to be added to all of them to make the ledger, such as fractions of cents, and what it is. */
  readonly adjustments: Cents;
  readonly words: string;
  /** The taxes that it can be in. */
  readonly adjusted: readonly TaxGroup[];
}

export interface TieOutInput {
  /** Computed amounts of the paychecks themselves, by tax. */
  readonly register: ReadonlyMap<string, Cents>;
  readonly entries: readonly LedgerEntry[];
  /** What returns say as last released (or as they stand), each kind of return once; none where there is no return. */
  readonly returned: readonly ReturnedTaxes[];
  /** Amounts on the wage statements by tax group; absent before they exist. */
  readonly wageStatements: ReadonlyMap<string, Cents>;
  /** Groups whose statements have the employee's share only: it gets a row of its own. */
  readonly ofEmployees: readonly TaxGroup[];
  /** Liabilities not yet due, by tax group: the ones that explain a deposit still to come. */
  readonly notYetDue: ReadonlyMap<TaxGroup, Cents>;
  /** Payments on their way, by tax group. */
  readonly underWay: ReadonlyMap<TaxGroup, Cents>;
}

const COMBINED: Readonly<Partial<Record<TaxKind, string>>> = {
  'social-security': 'Social security (OASDI)',
  medicare: 'Medicare (HI) with the additional tax',
};

/** What a row of the tie-out is called: a tax that both pay is one row. */
function labelOf(group: TaxGroup, entries: readonly LedgerEntry[]): string {
  const tax = taxOf(entries[0]?.tax ?? TAXES.find((one) => one.group === group)?.code ?? (group as TaxCode));
  const label = COMBINED[tax.kind] ?? tax.label;
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
      ...[...input.register.keys()].map((code) => taxOf(code as TaxCode).group),
    ]),
  ];
  groups.sort((a, b) => orderOf(a) - orderOf(b) || (a < b ? -1 : 1));
  return groups.flatMap((group) => {
    const rows = [groupRow(group, input)];
    if (input.ofEmployees.includes(group)) rows.push(employeeShareRow(group, input));
    return rows;
  });
}

const inGroup = (group: TaxGroup) => (entry: LedgerEntry) => taxOf(entry.tax).group === group;
const registerSum = (input: TieOutInput, keep: (code: string) => boolean): Cents =>
  sum([...input.register].filter(([code]) => keep(code)).map(([, amount]) => amount));

function groupRow(group: TaxGroup, input: TieOutInput): TieOutRow {
  const entries = input.entries.filter(inGroup(group));
  const register = registerSum(input, (code) => taxOf(code as TaxCode).group === group);
  const ledger = sum(entries.filter(isLiability).map((entry) => entry.amount));
  const deposits = cents(-sum(entries.filter(isPayment).map((entry) => entry.amount)));
  const side = input.returned.find(({ amounts }) => amounts.has(group));
  const returned = side?.amounts.get(group) ?? null;
  const statements = input.ofEmployees.includes(group) ? null : (input.wageStatements.get(group) ?? null);
  const open = input.notYetDue.get(group) ?? ZERO;
  const underWay = input.underWay.get(group) ?? ZERO;
  const pending = cents(open + underWay);
  const pendingSays = underWay === 0 ? 'not yet due' : open === 0 ? 'on its way' : 'on its way or not yet due';
  const voided = cents(-sum(entries.filter((entry) => entry.cause === 'reversal').map((entry) => entry.amount)));
  const isVoided = (amount: Cents): boolean => amount > 0 && amount <= voided;
  const explainDeposit = (amount: Cents): Pick<TieOutDifference, 'cause' | 'says'> =>
    isVoided(amount)
      ? { cause: 'void', says: 'deposited before a check was voided: take it off the next deposit, or claim it' }
      : { cause: 'to-fix', says: amount < 0 ? 'not deposited, and due' : 'deposited without a liability' };
  const explainReturn = (amount: Cents): Pick<TieOutDifference, 'cause' | 'says'> =>
    side?.adjusted.includes(group) && returnAddsUp(side, input.entries)
      ? { cause: 'rounding', says: side.words }
      : isVoided(amount)
        ? { cause: 'void', says: 'a check was voided after the return had it: amend the return' }
        : { cause: 'to-fix', says: 'the return differs from the ledger' };
  return {
    key: group,
    isShare: false,
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

/** Whether the taxes of a return and its adjustments are the ledger to the cent. */
function returnAddsUp({ amounts, adjustments }: ReturnedTaxes, entries: readonly LedgerEntry[]): boolean {
  const ledger = sum(
    entries.filter((entry) => isLiability(entry) && amounts.has(taxOf(entry.tax).group)).map((entry) => entry.amount),
  );
  return sum(amounts.values()) + adjustments === ledger;
}

/** The key of the row with what of a tax was withheld from employees. */
export const shareKey = (group: TaxGroup): string => `${group}-EE`;

function employeeShareRow(group: TaxGroup, input: TieOutInput): TieOutRow {
  const isShare = (code: string) =>
    taxOf(code as TaxCode).group === group && taxOf(code as TaxCode).payer === 'employee';
  const register = registerSum(input, isShare);
  const ledger = sum(
    input.entries.filter((entry) => isLiability(entry) && isShare(entry.tax)).map((entry) => entry.amount),
  );
  const statements = input.wageStatements.get(group) ?? null;
  return {
    key: shareKey(group),
    isShare: true,
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
