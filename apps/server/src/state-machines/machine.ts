import { CLIENT_CONTACT, type AnyRole } from '@zakat/contract/session';

/** One allowed step: from a state to a state, by whom. `system` is the firm's own jobs. */
export interface Transition<S extends string> {
  readonly act: string;
  readonly from: readonly S[];
  readonly to: S;
  readonly by: readonly (AnyRole | 'system')[];
  /** Another person than the one who prepared it, where the firm requires two. */
  readonly needsSecondPerson?: true;
}
export interface Machine<S extends string> {
  readonly name: string;
  readonly table: string;
  readonly initial: S;
  readonly transitions: readonly Transition<S>[];
}

const ANYBODY = ['preparer', 'reviewer', 'administrator'] as const;
const SENIOR = ['reviewer', 'administrator'] as const;

export const PAYROLL_MACHINE = {
  name: 'payroll',
  table: 'payroll',
  initial: 'open',
  transitions: [
    { act: 'review', from: ['open'], to: 'reviewed', by: ANYBODY },
    { act: 'reopen', from: ['reviewed'], to: 'open', by: ANYBODY },
    { act: 'post', from: ['reviewed'], to: 'posted', by: ANYBODY },
  ],
} as const satisfies Machine<'open' | 'reviewed' | 'posted'>;

export const REMITTANCE_MACHINE = {
  name: 'remittance',
  table: 'remittance',
  initial: 'planned',
  transitions: [
    { act: 'approve', from: ['planned'], to: 'approved', by: SENIOR, needsSecondPerson: true },
    { act: 'withdraw', from: ['planned', 'approved'], to: 'withdrawn', by: ANYBODY },
    // Paid on the agency's own site, by check, by somebody else; a record of that which was mistaken is taken back.
    { act: 'record', from: ['planned', 'approved'], to: 'settled', by: ANYBODY },
    { act: 'unrecord', from: ['settled'], to: 'withdrawn', by: SENIOR },
    { act: 'release', from: ['approved'], to: 'released', by: SENIOR },
    { act: 'settle', from: ['released'], to: 'settled', by: ['system'] },
    { act: 'return', from: ['released', 'settled'], to: 'returned', by: ['system'] },
  ],
} as const satisfies Machine<'planned' | 'approved' | 'released' | 'settled' | 'returned' | 'withdrawn'>;

export const FILING_MACHINE = {
  name: 'filing',
  table: 'filing',
  initial: 'draft',
  transitions: [
    { act: 'check', from: ['draft'], to: 'checked', by: ANYBODY },
    { act: 'reopen', from: ['checked', 'rejected'], to: 'draft', by: ANYBODY },
    { act: 'release', from: ['checked'], to: 'released', by: SENIOR, needsSecondPerson: true },
    // A page of somebody else's return is not sent from here: it is filed there.
    { act: 'hand-over', from: ['checked'], to: 'accepted', by: SENIOR, needsSecondPerson: true },
    { act: 'receive', from: ['released'], to: 'received', by: ['system'] },
    { act: 'accept', from: ['released', 'received'], to: 'accepted', by: ['system'] },
    { act: 'reject', from: ['released', 'received'], to: 'rejected', by: ['system'] },
    // Some agencies accept a file and return it days later, when they have worked it off.
    { act: 'return', from: ['accepted'], to: 'rejected', by: ['system'] },
  ],
} as const satisfies Machine<'draft' | 'checked' | 'released' | 'received' | 'accepted' | 'rejected'>;

/** A file of pay or prenotes: who prepared it does not release it. */
export const DIRECT_DEPOSIT_MACHINE = {
  name: 'direct deposit',
  table: 'direct_deposit',
  initial: 'planned',
  transitions: [
    { act: 'withdraw', from: ['planned'], to: 'withdrawn', by: ANYBODY },
    { act: 'release', from: ['planned'], to: 'released', by: SENIOR, needsSecondPerson: true },
    { act: 'settle', from: ['released'], to: 'settled', by: ['system'] },
    { act: 'return', from: ['released', 'settled'], to: 'returned', by: ['system'] },
  ],
} as const satisfies Machine<'planned' | 'released' | 'settled' | 'returned' | 'withdrawn'>;

/** A debit of a client's account into the trust account: who prepared it does not release it. */
export const COLLECTION_MACHINE = {
  name: 'collection',
  table: 'collection',
  initial: 'planned',
  transitions: [
    { act: 'withdraw', from: ['planned'], to: 'withdrawn', by: ANYBODY },
    { act: 'release', from: ['planned'], to: 'released', by: SENIOR, needsSecondPerson: true },
    { act: 'settle', from: ['released'], to: 'settled', by: ['system'] },
    { act: 'return', from: ['released', 'settled'], to: 'returned', by: ['system'] },
  ],
} as const satisfies Machine<'planned' | 'released' | 'settled' | 'returned' | 'withdrawn'>;

/** What the firm asks a client for: paid outside, or with the funds collected; voided, the month is free again. */
export const INVOICE_MACHINE = {
  name: 'invoice',
  table: 'invoice',
  initial: 'issued',
  transitions: [
    { act: 'pay', from: ['issued'], to: 'paid', by: [...ANYBODY, 'system'] },
    { act: 'unpay', from: ['paid'], to: 'issued', by: [...SENIOR, 'system'] },
    { act: 'void', from: ['issued'], to: 'voided', by: SENIOR },
  ],
} as const satisfies Machine<'issued' | 'paid' | 'voided'>;

/** What was withheld by order, to its payee: by ACH, or recorded as paid by check or elsewhere. */
export const GARNISHMENT_PAYMENT_MACHINE = {
  name: 'garnishment payment',
  table: 'garnishment_payment',
  initial: 'planned',
  transitions: [
    { act: 'withdraw', from: ['planned'], to: 'withdrawn', by: ANYBODY },
    { act: 'record', from: ['planned'], to: 'settled', by: ANYBODY },
    { act: 'release', from: ['planned'], to: 'released', by: SENIOR, needsSecondPerson: true },
    { act: 'settle', from: ['released'], to: 'settled', by: ['system'] },
    { act: 'return', from: ['released', 'settled'], to: 'returned', by: ['system'] },
  ],
} as const satisfies Machine<'planned' | 'released' | 'settled' | 'returned' | 'withdrawn'>;

/** That an agency takes payments from a client's account itself. */
export const ENROLLMENT_MACHINE = {
  name: 'enrollment',
  table: 'debit_enrollment',
  initial: 'asked',
  transitions: [
    { act: 'enroll', from: ['asked'], to: 'enrolled', by: ANYBODY },
    { act: 'refuse', from: ['asked'], to: 'refused', by: ANYBODY },
    { act: 'end', from: ['asked', 'enrolled'], to: 'ended', by: ANYBODY },
  ],
} as const satisfies Machine<'asked' | 'enrolled' | 'refused' | 'ended'>;

/** What a bank says of an account that an entry named not quite right. */
export const ACCOUNT_CHANGE_MACHINE = {
  name: 'account correction',
  table: 'account_change',
  initial: 'open',
  transitions: [
    { act: 'apply', from: ['open'], to: 'applied', by: SENIOR },
    { act: 'decline', from: ['open'], to: 'declined', by: SENIOR },
  ],
} as const satisfies Machine<'open' | 'applied' | 'declined'>;

export const RULE_PACK_MACHINE = {
  name: 'rule pack',
  table: 'rule_pack',
  initial: 'proposed',
  transitions: [
    { act: 'accept', from: ['proposed'], to: 'in-force', by: ['administrator'], needsSecondPerson: true },
    { act: 'withdraw', from: ['proposed', 'in-force'], to: 'withdrawn', by: ['administrator'] },
  ],
} as const satisfies Machine<'proposed' | 'in-force' | 'withdrawn'>;

/** The answer to a question goes into the record when another person than the one who wrote it down accepts it. */
export const QUESTION_MACHINE = {
  name: 'question',
  table: 'question',
  initial: 'asked',
  transitions: [
    { act: 'answer', from: ['asked'], to: 'answered', by: [...ANYBODY, CLIENT_CONTACT] },
    { act: 'reopen', from: ['answered'], to: 'asked', by: ANYBODY },
    { act: 'accept', from: ['answered'], to: 'accepted', by: SENIOR, needsSecondPerson: true },
    { act: 'withdraw', from: ['asked', 'answered'], to: 'withdrawn', by: ANYBODY },
  ],
} as const satisfies Machine<'asked' | 'answered' | 'accepted' | 'withdrawn'>;

/** Balances from a former provider count once a second person has accepted them; taken back, they are reversed. */
export const TAKE_OVER_MACHINE = {
  name: 'take-over',
  table: 'take_over',
  initial: 'open',
  transitions: [
    { act: 'accept', from: ['open'], to: 'accepted', by: SENIOR, needsSecondPerson: true },
    { act: 'take-back', from: ['accepted'], to: 'taken back', by: SENIOR },
    { act: 'discard', from: ['open'], to: 'discarded', by: ANYBODY },
  ],
} as const satisfies Machine<'open' | 'accepted' | 'taken back' | 'discarded'>;

/** The void of posted checks: who proposed it does not post it. */
export const VOID_MACHINE = {
  name: 'void',
  table: 'check_void',
  initial: 'proposed',
  transitions: [
    { act: 'post', from: ['proposed'], to: 'posted', by: SENIOR, needsSecondPerson: true },
    { act: 'withdraw', from: ['proposed'], to: 'withdrawn', by: ANYBODY },
  ],
} as const satisfies Machine<'proposed' | 'posted' | 'withdrawn'>;

/** A check on paper: whoever prints it says how it came out; a check that is out comes back or is stopped at the bank. */
export const CHECK_MACHINE = {
  name: 'check',
  table: 'issued_check',
  initial: 'printed',
  transitions: [
    { act: 'issue', from: ['printed'], to: 'issued', by: ANYBODY },
    { act: 'spoil', from: ['printed'], to: 'spoiled', by: ANYBODY },
    { act: 'void', from: ['printed', 'issued'], to: 'voided', by: ANYBODY },
    { act: 'stop', from: ['issued'], to: 'stopped', by: ANYBODY },
    // As the bank's statement says.
    { act: 'clear', from: ['issued'], to: 'cleared', by: ANYBODY },
  ],
} as const satisfies Machine<'printed' | 'issued' | 'spoiled' | 'voided' | 'stopped' | 'cleared'>;

/** A letter of an agency: answered, and closed when the agency has let it be. */
export const NOTICE_MACHINE = {
  name: 'notice',
  table: 'agency_notice',
  initial: 'open',
  transitions: [
    { act: 'answer', from: ['open'], to: 'answered', by: ANYBODY },
    { act: 'close', from: ['open', 'answered'], to: 'closed', by: ANYBODY },
    { act: 'reopen', from: ['answered', 'closed'], to: 'open', by: ANYBODY },
  ],
} as const satisfies Machine<'open' | 'answered' | 'closed'>;

/** A mistake that is being put right: closed when everything that follows from it is done, or refused with a reason. */
export const CORRECTION_CASE_MACHINE = {
  name: 'correction case',
  table: 'correction_case',
  initial: 'open',
  transitions: [
    { act: 'close', from: ['open'], to: 'closed', by: ANYBODY },
    { act: 'reopen', from: ['closed'], to: 'open', by: ANYBODY },
  ],
} as const satisfies Machine<'open' | 'closed'>;

export const MACHINES = [
  PAYROLL_MACHINE,
  REMITTANCE_MACHINE,
  DIRECT_DEPOSIT_MACHINE,
  COLLECTION_MACHINE,
  GARNISHMENT_PAYMENT_MACHINE,
  ENROLLMENT_MACHINE,
  ACCOUNT_CHANGE_MACHINE,
  INVOICE_MACHINE,
  FILING_MACHINE,
  RULE_PACK_MACHINE,
  QUESTION_MACHINE,
  TAKE_OVER_MACHINE,
  VOID_MACHINE,
  CHECK_MACHINE,
  NOTICE_MACHINE,
  CORRECTION_CASE_MACHINE,
] as const;
