import { fieldLabel } from '@zakat/contract/labels';
import { date, parseDate, showShortDate, type LocalDate } from '@zakat/core/calendar/local-date';
import { CLIENT_FACTS } from '@zakat/core/facts/client-facts';
import { EMPLOYEE_FACTS } from '@zakat/core/facts/employee-facts';
import { FORM_NAMES } from '@zakat/core/filings/names';
import { periodWith } from '@zakat/core/filings/period';
import { kindOf } from '@zakat/core/filings/registry';
import { familyLabel } from '@zakat/core/deposits/family';
import { cents, showDollars } from '@zakat/core/money/cents';
import { agencyName } from '@zakat/core/tax-registry/registry';
import { titleOf } from '../filing-records/index.js';

type Detail = Readonly<Record<string, unknown>>;
export interface AuditWords {
  readonly action: string;
  readonly detail: Detail;
  /** What the entry is about, in words; blank where the act says it. */
  readonly subject: string;
}

/** What was done, by the act of an entry; `{subject}` is what it was done to. */
const ACTS: Readonly<Record<string, string>> = {
  'session.start': 'signed in',
  'session.end': 'signed out',
  'session.end-all': 'signed out everywhere',
  'user.second-factor-on': 'set up a second factor',
  'user.second-factor-off': 'took the second factor away',
  'user.password': 'changed the password',
  'user.create': 'added the user {subject}',
  'user.change': 'changed the user {subject}',
  'contact.create': 'let {subject} sign in for the client',
  'contact.change': 'changed the sign-in of {subject}',
  'firm.facts': 'changed the firm',
  'firm.marks': 'switched the marks that returns need',
  'firm.agent-pin': 'entered the reporting agent PIN',
  'firm.agent-pin-off': 'took the reporting agent PIN away',
  'transmission.make': 'put returns into one transmission',
  'transmission.open-file': 'opened the file of a transmission',
  'filing.mark': 'marked a line of {subject}',
  'filing.unmark': 'took a mark from a line of {subject}',
  'firm.second-person': 'switched the second approver',
  'agency.payment': 'changed how an agency is paid',
  'client.create': 'added the client',
  'client.remove': 'removed a client that was added by mistake',
  'client.identity': 'changed the identity of the client',
  'tax-account.add': 'added a tax account',
  'bank-account.add': 'added a bank account',
  'check.print-agency': 'printed a check for {subject}',
  'micr-typeface.save': 'added the typeface of magnetic ink',
  'micr-typeface.remove': 'took the typeface of magnetic ink away',
  'micr-typeface.tested': 'recorded whether the bank reads the line of magnetic ink',
  'signature.save': 'kept a signature for the checks of an account',
  'signature.remove': 'took the signature for the checks of an account away',
  'employee.create': 'added {subject}',
  'employee.identity': 'changed the identity of {subject}',
  'employee.remove': 'removed {subject}, who was added by mistake',
  'employee.reveal-number': 'looked at the social security number of {subject}',
  'people-file.read': 'read a file of employees',
  'people-file.accept': 'imported employees',
  'people-file.undo': 'undid an import of employees',
  'people-file.export': 'exported the employees',
  'new-hires.report': 'made the new-hire report',
  'gap.pass': 'let something missing pass',
  'question.ask': 'asked the client',
  'payroll.create': 'started {subject}',
  'payroll.save': 'saved {subject}',
  'payroll.hours': 'took hours from a file into {subject}',
  'payroll.hours-sent': 'sent hours for {subject}',
  'payroll.hours-taken': 'took the hours the client sent into {subject}',
  'payroll.approved-by-client': 'approved {subject}, for the client',
  'payroll.split': 'split {subject} off',
  'payroll.discard': 'discarded a payroll',
  'filing.discard': 'discarded a return',
  'proof.keep': 'kept a check of {subject} in the proof set',
  'proof.accept': 'agreed to what moved in the proof set, for {subject}',
  'proof.withdraw': 'took a check of {subject} out of the proof set',
  'check-printer.save': 'said how far a printer of checks is off its place',
  'check-printer.remove': 'took a printer of checks away',
  'check.print': 'printed checks of {subject}',
  'check.handwritten': 'recorded a handwritten check of {subject}',
  'check.spoil-stock': 'recorded check stock as waste',
  'check.clear': 'was told that {subject} was cashed',
  'check.statement': 'took a statement of the bank',
  'check.positive-pay': 'made the file of issued checks for the bank',
  'check.reprint': 'opened the image of {subject} again',
  'check.issue': 'said that {subject} came out well',
  'check.spoil': 'said that {subject} did not come out well',
  'check.void': 'voided {subject}',
  'check.stop': 'recorded a stop payment for {subject}',
  'journal.export': 'exported the journal',
  'correction.open': 'opened {subject}',
  'correction case.close': 'closed {subject}',
  'correction.add': 'put something down in {subject}',
  'correction.done': 'said that something was done in {subject}',
  'correction.refused': 'refused something in {subject}',
  'correction.open-again': 'opened something again in {subject}',
  'notice.record': 'took in {subject}',
  'notice.answer': 'answered {subject}',
  'notice.close': 'closed {subject}',
  'notice.reopen': 'opened {subject} again',
  'void.propose': 'proposed {subject}',
  'remittance.plan': 'scheduled {subject}',
  'direct-deposit.plan': 'scheduled {subject}',
  'direct-deposit.entry-returned': 'was told that an entry of {subject} came back',
  'direct-deposit.account-change': 'was told of another account for an entry of {subject}',
  'account correction.apply': 'applied {subject}',
  'account correction.decline': 'declined {subject}',
  'collection.plan': 'scheduled {subject}',
  'calendar.make': 'made a calendar address',
  'calendar.end': 'ended a calendar address',
  'invoice.issue': 'issued {subject}',
  'invoice.pay': 'recorded the payment of {subject}',
  'invoice.unpay': 'took back the payment of {subject}',
  'invoice.void': 'voided {subject}',
  'client.paper': 'kept a paper of the client',
  'employee.sign-in': 'let {subject} sign in for their own pay',
  'employee.sign-in-again': 'gave {subject} a new link to sign in',
  'employee.sign-in-change': 'opened or closed the sign-in of {subject}',
  'attachment.add': 'kept a paper with {subject}',
  'garnishment.payee': 'said where a payee of garnishments is paid',
  'garnishment.plan': 'scheduled {subject}',
  'enrollment.ask': 'recorded that an enrollment for debits was asked for',
  'enrollment.enroll': 'recorded {subject}',
  'enrollment.refuse': 'recorded the refusal of {subject}',
  'enrollment.end': 'ended {subject}',
  'trust.account': 'said which account holds the clients’ money',
  'trust.record': 'wrote down what moved the trust account',
  'trust.advance': 'advanced money of the firm',
  'trust.reverse': 'reversed an entry of the trust account',
  'trust.statement': 'read a statement of the trust account',
  'trust.match': 'matched a line of the trust account’s statement',
  'trust.reconcile': 'kept the reconciliation of the trust account',
  'filing.take-in': 'took in {subject}, filed by somebody else',
  'filing.create': 'began {subject}',
  'filing.enter': 'entered amounts on {subject}',
  'filing.hand-over': 'recorded that {subject} was filed',
  'filing.sign': 'entered the signature of {subject}',
  'filing.check': 'ran the checks of {subject}',
  'filing.open-file': 'opened the file of {subject}',
  'take-over.create': 'began {subject}',
  'take-over.read': 'read a file for {subject}',
  'take-over.reported': 'entered what was filed and deposited, for {subject}',
  'take-over.pass': 'let a difference pass in {subject}',
};
/** Acts of the state machines, whatever they are applied to. */
const DONE: Readonly<Record<string, string>> = {
  accept: 'accepted',
  answer: 'answered',
  approve: 'approved',
  discard: 'discarded',
  post: 'posted',
  propose: 'proposed',
  receive: 'had an acknowledgement for',
  record: 'recorded as paid elsewhere',
  reject: 'had a rejection for',
  release: 'released',
  reopen: 'reopened',
  return: 'was told of the return of',
  review: 'reviewed',
  settle: 'was told of the settlement of',
  'take-back': 'took back',
  unrecord: 'took back the record of',
  withdraw: 'withdrew',
};

const formName = (code: string): string => (FORM_NAMES as Readonly<Record<string, string>>)[code] ?? code;

const IDS = /^[0-9a-f]{8}-[0-9a-f-]{27}$/;
/** Whole cents; every other whole number is a count. */
const AMOUNTS: ReadonlySet<string> = new Set(['amount', 'bank', 'gross', 'net', 'total', 'balance', 'employerTaxes']);
/** Said by the act or the subject already. */
const SAID: ReadonlySet<string> = new Set(['clientId', 'importId', 'version']);
/** Acts whose subject says all there is to say. */
const COMPLETE: ReadonlySet<string> = new Set(['filing.create']);
const OWN_LABELS: Readonly<Record<string, string>> = { chaseOn: 'follow up on', people: 'employees' };

function valueWords(name: string, value: unknown): string {
  if (value === null || value === '') return 'none';
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (typeof value === 'number') return AMOUNTS.has(name) ? showDollars(cents(value)) : String(value);
  if (Array.isArray(value)) return value.map((one) => valueWords(name, one)).join(', ');
  if (typeof value === 'object')
    return Object.entries(value as Detail)
      .map(([inner, one]) => partWords(inner, one))
      .filter((part) => part !== '')
      .join(', ');
  const text = typeof value === 'string' ? value : '';
  if (IDS.test(text)) return '';
  if (name === 'agency') return agencyName(text);
  if (name === 'family') return familyLabel(text);
  if (name === 'kind') return formName(text);
  const day = parseDate(text);
  return day === null ? text : showShortDate(day);
}
const isChange = (value: unknown): value is { from: unknown; to: unknown } =>
  typeof value === 'object' && value !== null && 'from' in value && 'to' in value;
/** `the street from 12 Pier Road to 14 Pier Road`, `people 600`; blank for what says nothing to a reader. */
function partWords(name: string, value: unknown): string {
  if (SAID.has(name)) return '';
  const label = OWN_LABELS[name] ?? fieldLabel(name).replace(/^The /, '');
  if (isChange(value)) return `${label} from ${valueWords(name, value.from)} to ${valueWords(name, value.to)}`;
  const words = valueWords(name, value);
  return words === '' ? '' : `${label} ${words}`;
}

const factLabel = (subject: string, kind: string): string | undefined =>
  (subject === 'client' ? CLIENT_FACTS : EMPLOYEE_FACTS).find(kind)?.label;

function factWords(label: string, { subject, detail }: AuditWords): string {
  const { from, says, was } = detail;
  const day = typeof from === 'string' ? `, from ${valueWords('from', from)}` : '';
  const before = typeof was === 'string' && was !== '' ? ` (before: ${was})` : '';
  const whose = subject === '' ? '' : ` of ${subject}`;
  return `saved the ${label.charAt(0).toLowerCase()}${label.slice(1)}${whose}${day}${typeof says === 'string' ? `: ${says}` : ''}${before}`;
}

/** What a stored subject is: the columns that name it, as the list asks for them. */
export interface StoredSubject {
  readonly kind: string;
  readonly name: string | null;
  readonly day: string | null;
  readonly amount: string | null;
}
function filingWords(code: string, start: LocalDate): string {
  const kind = kindOf(code);
  return titleOf(kind, periodWith(kind.period, start));
}
/** How a subject is named in a sentence; blank where the act says it, or where it is gone. */
export function subjectWords({ kind, name, day, amount }: StoredSubject): string {
  const on = day === null ? '' : valueWords('day', day);
  switch (kind) {
    case 'employee':
    case 'user':
      return name ?? '';
    case 'payroll':
      return on === '' ? '' : `the payroll of ${on}`;
    case 'remittance':
      return name === null ? '' : `the payment of ${showDollars(cents(Number(amount)))} of ${familyLabel(name)}`;
    case 'direct deposit':
      return on === '' ? '' : `the ${name === 'prenotes' ? 'prenotes' : 'direct deposit'} of ${on}`;
    case 'collection':
      return name === null
        ? ''
        : name === 'prenote'
          ? `the prenote of ${on}`
          : `the collection of ${showDollars(cents(Number(amount)))} of ${on}`;
    case 'invoice':
      return name === null ? '' : `invoice ${name}`;
    case 'garnishment payment':
      return name === null ? '' : `the payment of ${showDollars(cents(Number(amount)))} to ${name}`;
    case 'enrollment':
      return name === null ? '' : `the enrollment for debits by ${agencyName(name)}`;
    case 'account correction':
      return name === null ? '' : `the bank’s correction of the account ${name}`;
    case 'filing':
      return name === null || day === null ? '' : filingWords(name, date(day));
    case 'take-over':
      return name === null ? '' : `the prior payroll of ${name}`;
    case 'rule pack':
      return name === null ? '' : `the rule pack ${name}`;
    case 'check':
      return day === null ? '' : `check ${day} to ${name ?? ''}`;
    case 'notice':
      return name === null ? '' : `notice ${name} of ${on}`;
    case 'correction case':
      return name === null ? '' : `the correction “${name}”`;
    case 'void':
      return on === '' ? 'a void' : `the void of checks of ${on}`;
    case 'question':
      return 'a question';
    default:
      return '';
  }
}
/** What somebody did, as a sentence without its first word: who. */
export function auditWords(entry: AuditWords): string {
  const { action, detail, subject } = entry;
  const [kind = '', act = ''] = action.split('.');
  const label = kind === 'client' || kind === 'employee' ? factLabel(kind, act) : undefined;
  if (label !== undefined) return factWords(label, entry);
  const named = ACTS[action];
  const what = subject === '' ? `a ${kind.replace('-', ' ')}` : subject;
  const said = named?.replace('{subject}', what) ?? `${DONE[act] ?? act} ${what}`;
  // A step of a state machine says from which status to which; the act says that already.
  const isStep = named === undefined && typeof detail['from'] === 'string' && typeof detail['to'] === 'string';
  const rest = Object.entries(COMPLETE.has(action) ? {} : detail)
    .filter(([name]) => !(isStep && (name === 'from' || name === 'to')))
    .map(([name, value]) => partWords(name, value))
    .filter((part) => part !== '');
  return rest.length === 0 ? said : `${said}: ${rest.join('; ')}`;
}
