import { checkRouting } from '../identity/numbers.js';
import { problem, type Issue } from '../issues/issue.js';
import { AGENCIES, type AgencyCode } from '../tax-registry/registry.js';
import { DEPOSIT_FAMILIES, type DepositFamily } from './family.js';

/**
 * `ach-credit`: pushed from the client's account by a file of ours. `agency-debit`: taken by the agency from the account
 * that the client enrolled with it, by instructions of ours. `elsewhere`: paid on the agency's own site or by check, and
 * recorded here.
 */
export const PAYMENT_METHODS = ['ach-credit', 'agency-debit', 'elsewhere'] as const;
export type PaymentMethod = (typeof PAYMENT_METHODS)[number];
/** What a payment names the taxpayer by: the account with the agency, or the EIN. */
export const IDENTIFICATIONS = ['account', 'ein'] as const;
export type Identification = (typeof IDENTIFICATIONS)[number];

/** How a firm pays an agency. The bank account is of the agency's own publication; it is never guessed. */
export interface AgencyPayment {
  readonly method: PaymentMethod;
  /** Receiver of the credit, as it stands in the entry (22 characters). */
  readonly name: string;
  readonly routing: string;
  readonly account: string;
  readonly identification: Identification;
  /** The number under which the agency takes debit instructions from the firm; blank where it takes none. */
  readonly filerNumber: string;
  /** Where a check is mailed, as the agency's own voucher has it; blank where it takes none. */
  readonly mailTo: string;
  /** Tax type codes by deposit family, where the agency wants another than the usual one. */
  readonly taxTypes: Readonly<Record<string, string>>;
}

/** The deposits that go to an agency; none for one that only takes reports. */
export const familiesOf = (agency: AgencyCode): readonly DepositFamily[] =>
  DEPOSIT_FAMILIES.filter((family) => family.agency === agency);
/** Every agency that is paid. */
export const PAID_AGENCIES = (Object.keys(AGENCIES) as AgencyCode[]).filter((agency) => familiesOf(agency).length > 0);

const NAME = /^[A-Za-z0-9 .,&'()/-]{1,22}$/;
const ACCOUNT = /^[A-Za-z0-9-]{4,17}$/;
const FILER = /^[A-Za-z0-9-]{4,10}$/;
const TAX_TYPE = /^[A-Z0-9]{1,5}$/;

/** What is wrong in how an agency is paid; the bank account counts only where it is paid by credit. */
export function agencyPaymentIssues(payment: AgencyPayment): Issue[] {
  const issues: Issue[] = Object.entries(payment.taxTypes)
    .filter(([, code]) => !TAX_TYPE.test(code))
    .map(([family, code]) => problem('payment.tax-type', `taxTypes.${family}`, { value: code }));
  if (
    payment.method === 'agency-debit'
      ? !FILER.test(payment.filerNumber)
      : payment.filerNumber !== '' && !FILER.test(payment.filerNumber)
  )
    issues.push(problem('payment.filer', 'filerNumber', { agency: 'the agency' }));
  if (payment.method !== 'ach-credit') return issues;
  if (!NAME.test(payment.name)) issues.push(problem('payment.name', 'name'));
  issues.push(...checkRouting(payment.routing, 'routing'));
  if (!ACCOUNT.test(payment.account)) issues.push(problem('bank.account-shape', 'account'));
  return issues;
}
