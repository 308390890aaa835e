import { Refusal, conflict, refuseField } from '../http/refusal.js';

/** What a broken constraint means to a person. One map; a name that is not here is a fault of ours. */
const CONSTRAINTS: Readonly<Record<string, () => Refusal>> = {
  client_key_unique: () => refuseField('key', 'Another client has this key.', 'Choose another key.'),
  app_user_email_unique: () =>
    refuseField('email', 'Somebody signs in with this e-mail already.', 'Use another e-mail.'),
  employee_number_unique: () =>
    refuseField('number', 'Another person of this client has this number.', 'Take the next free number.'),
  employee_ssn_unique: () =>
    refuseField(
      'ssn',
      'Another person of this client has this social security number.',
      'Look that person up, or correct the number.',
    ),
  tax_account_from_unique: () =>
    refuseField('from', 'This account already has an entry from that day.', 'Use another day.'),
  tax_account_applied_has_no_number: () =>
    refuseField('accountNumber', 'An account that is applied for has no number yet.', 'Leave the number blank.'),
  debit_enrollment_once: () =>
    refuseField(
      'agency',
      'This client has asked this agency already.',
      'Record its answer, or end that enrollment first.',
    ),
  question_open_unique: () => conflict('This was asked already and waits for its answer.'),
  new_hire_report_once: () => conflict('One of these hires was reported a moment ago. Look again.'),
  payroll_regular_unique: () =>
    conflict('A regular payroll for this period exists already. Open it, or make an extra payroll.'),
  take_over_once: () => conflict('The balances of this year are being brought in, or were. Open them instead.'),
  payroll_reversed_once: () => conflict('These balances were taken back already.'),
  journal_export_entry_once: () => conflict('These entries were exported a moment ago. Look again.'),
  paycheck_reversed_once: () => conflict('One of these checks was voided a moment ago. Look again.'),
  issued_check_of_remittance: () => conflict('A check for this payment is out already. Void or stop that one first.'),
  check_void_item_once: () => conflict('A void of one of these checks is proposed already. Open it instead.'),
  issued_check_number_unique: () =>
    refuseField('number', 'This account has a check of this number already.', 'Use the next free number.'),
  paycheck_unique: () => conflict('This payroll was posted by somebody else a moment ago.'),
  ledger_entry_once: () => conflict('This was recorded already.'),
  remittance_item_live_unique: () => conflict('Another remittance already covers one of these liabilities.'),
  remittance_amount_positive: () => conflict('Nothing is owed for these liabilities any more.'),
  bank_account_one_trust: () => conflict('The firm has a trust account already. Look again.'),
  trust_balance_not_below_zero: () =>
    conflict('The trust account does not hold that much of this client’s money any more. Look again.'),
  trust_entry_once: () => refuseField('reference', 'This was written down already.', 'Look for it among the entries.'),
  trust_entry_reversed_once: () => conflict('This entry was reversed already.'),
  invoice_month_once: () => conflict('This month of the client was invoiced already. Look again.'),
  invoice_number_once: () => conflict('Another invoice was issued at the same moment. Repeat it.'),
  app_user_one_per_employee: () => conflict('This person may sign in already. Look again.'),
  garnishment_payment_item_once: () => conflict('This was planned for payment a moment ago. Look again.'),
  attachment_once: () => refuseField('file', 'This paper is kept here already.', 'Choose another one.'),
  collection_item_once: () => conflict('This was planned for collection a moment ago. Look again.'),
  collection_retried_once: () => conflict('This debit was sent again already.'),
  direct_deposit_once: () => conflict('The direct deposit of this payroll is planned already. Look again.'),
  direct_deposit_prenotes_once: () => conflict('A file of prenotes is planned already. Release or withdraw it first.'),
  direct_deposit_reversal_once: () => conflict('What this void paid is being taken back already. Look again.'),
  direct_deposit_entry_once: () => conflict('A part of this pay is on its way already. Look again.'),
  filing_unique: () => conflict('This return exists already; open it instead.'),
};

interface DriverError {
  readonly constraint?: string;
  readonly code?: string;
}

export function constraintRefusal(thrown: unknown): Refusal | null {
  const driver = (thrown as { driverError?: DriverError } | null)?.driverError;
  if (driver?.code === '40001' || driver?.code === '40P01')
    return conflict('Somebody else changed this at the same moment. Look again, then repeat.');
  const make = driver?.constraint === undefined ? undefined : CONSTRAINTS[driver.constraint];
  return make ? make() : null;
}
