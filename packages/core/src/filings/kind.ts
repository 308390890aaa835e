import type { LocalDate } from '../calendar/local-date.js';
import type { Due } from '../deposits/due-rules.js';
import type { FederalForm } from '../deposits/family.js';
import type { Issue } from '../issues/issue.js';
import type { OwnRules, Provenance } from '../jurisdictions/dated.js';
import type { StateCode } from '../jurisdictions/state.js';
import type { LedgerEntry } from '../ledger/entry.js';
import type { Cents } from '../money/cents.js';
import type { EmployerKind } from '../computation/kinds.js';
import type { TaxLine, Tracked } from '../computation/result.js';
import type { Rate } from '../money/rate.js';
import type { TaxCode, TaxGroup } from '../tax-registry/registry.js';
import type { FilingPeriod, PeriodKind } from './period.js';
import type { ReturnLine } from './return-lines.js';
import type { FormW2, W2Check, W2Person } from './us-w2/form.js';
import type { FormW2c } from './us-w2c/form.js';

export interface PostalAddress {
  readonly street: string;
  readonly city: string;
  readonly state: string;
  readonly zip: string;
  /** Two letters, for an address outside the United States. */
  readonly country?: string;
  readonly province?: string;
}
/** Whose return it is. */
export interface Filer extends PostalAddress {
  readonly ein: string;
  readonly name: string;
  readonly nameControl: string;
  /** Doing business as; blank where it is the legal name. */
  readonly tradeName: string;
  readonly phone: string;
  readonly email: string;
  readonly contactName: string;
  readonly signerName: string;
  readonly signerTitle: string;
  /** F federal, S state or local, T 501(c), Y both, N none of these (EFW2, RE record). */
  readonly kindOfEmployer: 'F' | 'S' | 'T' | 'Y' | 'N';
}
/** Whom the agency may ask about a return. */
export interface Designee {
  readonly name: string;
  /** Ten digits. */
  readonly phone: string;
  /** Five digits. */
  readonly pin: string;
}
/** Who prepares and sends it. */
export interface SendingFirm extends PostalAddress {
  readonly ein: string;
  readonly name: string;
  readonly contactName: string;
  readonly phone: string;
  readonly email: string;
  readonly preparerName: string;
  readonly preparerPtin: string;
  /** Electronic filing identification number. */
  readonly efin: string;
  /** User identification of the wage files. */
  readonly efw2UserId: string;
}
/** Facts about the filer, the firm and the moment that every filing is checked against. */
export interface FilingFacts {
  readonly filer: Filer;
  readonly firm: SendingFirm;
  readonly today: LocalDate;
  readonly period: FilingPeriod;
  /** Check dates of payrolls in the period that are not posted. */
  readonly openPayrolls: readonly LocalDate[];
  /** Left out: nobody is designated. */
  readonly designee?: Designee;
}

/** What the client is, as the end of a period sees it. */
export interface EmployerFacts {
  readonly kind: EmployerKind;
  readonly form: FederalForm;
  readonly isSeasonal: boolean;
  /** Exempt from federal unemployment tax: 501(c)(3), governments (IRC § 3306(c)(7), (8)). */
  readonly isWithoutUnemployment: boolean;
  /** Last day on which wages were paid, of a business that has closed; null: it goes on. */
  readonly lastWages: LocalDate | null;
  /** Took over a business and its people in the year (Form 940, box b). */
  readonly isSuccessor: boolean;
  /** The deposit frequency that is recorded with each agency, by its code; an agency without one is left out. */
  readonly frequencies?: Readonly<Record<string, string>>;
}

/** What a kind asks of the ledger and the records; whoever runs it gathers that and nothing else. */
export interface FilingNeeds {
  /** Liabilities added up by person and tax are enough: no line of a return asks for their days or for payments. */
  readonly sumsByPerson?: true;
  /** People paid for the pay period that includes the 12th of the period's last month, or of a month of the year. */
  readonly headcount?: 'last' | number;
  /** How often the taxes of a deposit family are deposited at the end of the period. */
  readonly depositsOf?: string;
  /** Amounts that paychecks keep besides their taxes, added up. */
  readonly tracked?: readonly (keyof Tracked)[];
  /** People with their paychecks and the client's account in each state. */
  readonly statements?: true;
  /** Paychecks one by one with their people, the client's own rates and its account numbers. */
  readonly wageDetail?: true;
  /** What was accepted before, of a kind that corrects another. */
  readonly original?: true;
  /** Pay by person and state with what of it is subject to federal unemployment tax, and what was paid to the states. */
  readonly unemployment?: true;
}

/** Pay of a person in a period that was covered by the unemployment law of one state. Cents. */
export interface UnemploymentPay {
  readonly employeeId: string;
  /** Null: no state's unemployment law covered it. */
  readonly state: StateCode | null;
  /** All pay of the period, benefits in kind and tips with it; not what only repays an expense. */
  readonly paid: Cents;
  /** Of it what is exempt, by pay item, and what deductions take out of the wages. */
  readonly exempt: Readonly<Record<string, Cents>>;
  /** Subject to federal unemployment tax, before the base. */
  readonly subject: Cents;
  /** Of it within the base. */
  readonly wages: Cents;
}
/** What a client owed a state for unemployment in a year. Cents. */
export interface StateContribution {
  readonly state: StateCode;
  readonly wages: Cents;
  readonly owed: Cents;
  /** Deposited after the due date of Form 940. */
  readonly late: Cents;
}
/** A paycheck as a report of wages looks at it. Amounts in cents. */
export interface ReportedCheck {
  readonly employeeId: string;
  readonly periodStart: LocalDate;
  readonly periodEnd: LocalDate;
  /** Hours of the check, in hundredths. */
  readonly hours: number;
  readonly taxes: readonly Pick<TaxLine, 'code' | 'subject' | 'wages' | 'amount'>[];
}
/** What a report of wages is made from. */
export interface WageDetail {
  readonly checks: readonly ReportedCheck[];
  readonly people: readonly W2Person[];
  /** The client's own rates by tax, at the end of the period. */
  readonly rates: Readonly<Record<string, Rate>>;
  /** The client's account numbers by agency. */
  readonly accounts: Readonly<Record<string, string>>;
}
export interface FilingInput {
  readonly period: FilingPeriod;
  /** Ledger entries with a liability date in the period (payments of such liabilities included). */
  readonly entries: readonly LedgerEntry[];
  readonly employer: EmployerFacts;
  readonly headcount: number;
  /** `isReached`: the next-day mark was reached in the period. */
  readonly depositor: { readonly class: string | null; readonly isReached: boolean } | null;
  readonly tracked: Partial<Readonly<Record<keyof Tracked, Cents>>>;
  readonly statements: {
    readonly people: readonly W2Person[];
    readonly checks: readonly W2Check[];
    /** The employer's number by state. */
    readonly stateIds: Readonly<Record<string, string>>;
  };
  readonly wageDetail: WageDetail;
  readonly unemployment: readonly UnemploymentPay[];
  readonly contributions: readonly StateContribution[];
  /** Rules of the firm's own, in front of the product's. */
  readonly rules: OwnRules | null;
  /** Amounts that somebody entered on the return, by the name under which the kind asks for them. */
  readonly entered: Readonly<Record<string, Cents>>;
  /** What somebody answered to the questions of the kind, by their names. */
  readonly answers: Readonly<Record<string, string>>;
  /** The content that stands at the agency, of the kind that is corrected: as filed, or as last corrected. */
  readonly original: unknown;
  /** Today, for what depends on when something is corrected. */
  readonly today: LocalDate | null;
}
/** An input with nothing in it but the period, to be filled. */
export const emptyInput = (period: FilingPeriod, employer: EmployerFacts): FilingInput => ({
  period,
  entries: [],
  employer,
  headcount: 0,
  depositor: null,
  tracked: {},
  statements: { people: [], checks: [], stateIds: {} },
  wageDetail: { checks: [], people: [], rates: {}, accounts: {} },
  unemployment: [],
  contributions: [],
  rules: null,
  entered: {},
  answers: {},
  original: null,
  today: null,
});

/** An amount that no ledger knows: it is entered on the return. */
export interface AskedAmount {
  readonly name: string;
  readonly line: string;
  readonly label: string;
  readonly help: string;
}
/** Something that a return asks in words: answered on it while it is a draft. */
export interface AskedQuestion {
  readonly name: string;
  readonly label: string;
  readonly help: string;
  readonly kind: 'choice' | 'day' | 'text';
  readonly choices?: readonly (readonly [value: string, label: string])[];
}
/** Rows that belong to a return beside its lines, such as a schedule. */
export interface FilingTable {
  /** `B` of Schedule B. */
  readonly code: string;
  readonly title: string;
  readonly columns: readonly {
    readonly name: string;
    readonly label: string;
    readonly kind: 'text' | 'day' | 'amount';
  }[];
  readonly rows: readonly (readonly (string | number)[])[];
  /** Its rows are of different things: adding them up would say nothing. */
  readonly isList?: true;
}
export interface Figure {
  readonly label: string;
  readonly value: string;
}

/** Five digits in place of a hand. */
export interface Signature {
  readonly pin: string;
  readonly signed: LocalDate;
  /** Who signs for the firm as reporting agent (Form 8655); null: the signer of the client, by Form 8879-EMP. */
  readonly agent: string | null;
}
/** What leaves with a return, and in whose name. */
export interface Sending {
  readonly facts: FilingFacts;
  readonly employer: EmployerFacts;
  /** Names this attempt for the receiver. */
  readonly submissionId: string;
  readonly signature: Signature;
  /** The receiver's name of the rejected file that this one replaces; null: the first. */
  readonly resubmits: string | null;
  /** It takes the place of one that was accepted. */
  readonly isAmended?: boolean;
  /** A balance that the receiver is to take from an account; null: none. Cents. */
  readonly payment: {
    readonly routing: string;
    readonly account: string;
    readonly amount: Cents;
    readonly on: LocalDate;
    readonly phone: string;
  } | null;
}
export interface MadeFile {
  readonly content: string;
  readonly issues: readonly Issue[];
}

/** Who takes returns, and in what form: the sending is routed by it. */
export type ReceiverCode = 'irs' | 'ssa' | 'states';

/** What the tie-out compares a filing by. */
export interface TieOutSide {
  readonly station: 'returns' | 'wage-statements';
  readonly groups: readonly TaxGroup[];
}

/**
 * A kind of return or statement: everything that the product knows about a form. Whoever computes, checks, shows, signs,
 * sends or compares one goes through this and knows no form by name.
 */
export interface FilingKind<Content = unknown> {
  /** `us-941`. */
  readonly code: string;
  readonly jurisdiction: 'US' | StateCode;
  /** As a sentence says it: `Form 941`, `Forms W-2 and W-3`. */
  readonly name: string;
  /** What one is called: `return`, `wage file`. */
  readonly noun: string;
  readonly agency: { readonly code: string; readonly name: string };
  readonly receiver: ReceiverCode;
  /** It is a page of somebody else's return: nothing is sent from here; it is recorded when it was filed there. */
  readonly handedTo?: string;
  readonly edition: Provenance;
  readonly period: PeriodKind;
  /** Whether a client files it, and why or why not. */
  readonly files: (employer: EmployerFacts) => { readonly is: boolean; readonly why: string };
  /** What the ledger must have in a period for the form to be owed. */
  readonly owedFor: readonly TaxGroup[];
  readonly due: (period: FilingPeriod) => Due;
  /** A later day for those who deposited everything on time. */
  readonly laterWhenDeposited?: (period: FilingPeriod) => LocalDate;
  readonly needs: FilingNeeds;
  readonly asks: readonly AskedAmount[];
  /** Questions of the return that are no amounts. */
  readonly questions?: readonly AskedQuestion[];
  readonly compute: (input: FilingInput) => Content;
  readonly lines: (content: Content) => readonly ReturnLine[];
  readonly tables: (content: Content) => readonly FilingTable[];
  /** One for each person, of kinds that have them. */
  readonly statements?: (content: Content) => readonly FormW2[];
  /** Of a correction of statements: the people who get a copy, with what changes for each. */
  readonly copies?: (content: Content) => readonly FormW2c[];
  readonly check: (content: Content, facts: FilingFacts) => Issue[];
  /** What the release slip shows large, and beside it. */
  readonly amount: (content: Content) => Cents;
  /** What its file says that it comes to, where that is another figure: control totals add these up. */
  readonly reported?: (content: Content) => Cents;
  readonly figures: (content: Content) => readonly Figure[];
  readonly fileName: (period: FilingPeriod, ein: string) => string;
  readonly mediaType: 'application/xml' | 'text/plain' | 'text/csv';
  readonly makeFile: (content: Content, sending: Sending) => MadeFile;
  /** The authorization whose PIN signs it; null: it goes unsigned. */
  readonly signedBy: 'Form 8879-EMP' | null;
  /** What is still owed with the return and to which deposit it belongs. */
  readonly pays?: { readonly family: string; readonly tax: TaxCode; readonly balance: (content: Content) => Cents };
  /** Taxes of a return that a former provider filed, from the lines that were entered of it. */
  readonly elsewhere?: (line: (code: string) => Cents) => {
    readonly amounts: ReadonlyMap<TaxGroup, Cents>;
    readonly adjustments: Cents;
  };
  /**
   * A return that a former provider filed, as content: the lines that were entered of it, the others as they are `now`,
   * since nothing is known of them.
   */
  readonly filedElsewhere?: (line: (code: string) => Cents, now: Content) => Content;
  /** Owed by the return and not yet by the ledger, which takes it over when the return is accepted. */
  readonly adds?: (content: Content) => readonly { readonly tax: TaxCode; readonly amount: Cents }[];
  readonly tieOut: TieOutSide & {
    readonly amounts: (content: Content) => ReadonlyMap<TaxGroup, Cents>;
    /** Taxes with the employee's half on the wage statements. */
    readonly ofEmployees?: readonly TaxGroup[];
    /** What is to be added to the amounts to make the ledger's taxes, and what it is. */
    readonly adjustments: (content: Content) => Cents;
    readonly adjustmentWords: string;
    /** The taxes that an adjustment can be in. */
    readonly adjusted: readonly TaxGroup[];
  };
  readonly snapshotVersion: number;
  /** Content as it is stored: without identity numbers, each replaced by a mark. */
  readonly store: (content: Content, mark: (text: string) => string) => unknown;
  /** Stored content of any earlier version, as the newest has it. */
  readonly read: (stored: unknown, version: number) => Content;
  /** Where a field of ours is that the receiver refuses by its own name; `employee.<id>.<field>` for a person. */
  readonly fieldOf: (theirs: string, content: Content) => string | null;
  /** How the receiver names a rejected file that the next attempt has to name. */
  readonly identifies?: { readonly label: string; readonly of: (reference: string) => string };
  /** The form that puts it right after it was accepted. */
  readonly amendedBy: string;
  /** Lines that say what was paid, and what follows from that alone: a payment after it was filed corrects nothing. */
  readonly paymentLines?: ReadonlySet<string>;
  /** The kind that this one amends. */
  readonly corrects?: string;
  /** Of a kind that corrects another: what the agency has once it is accepted, as content of that kind. */
  readonly corrected?: (content: Content) => unknown;
  /**
   * Of a correction: whether the correct boxes are typed on it, since the records of its period are elsewhere; with records
   * here it follows from them alone.
   */
  readonly takesBoxes?: (input: FilingInput) => boolean;
  /** By when one is sent that has its figures, where that follows from them. */
  readonly dueFor?: (content: Content) => LocalDate;
  /** Social security numbers by employee as a file that was sent has them: they are stored nowhere else. */
  readonly numbers?: (content: Content, file: string) => ReadonlyMap<string, string>;
  /** A stored content with these numbers. */
  readonly recall?: (content: Content, numbers: ReadonlyMap<string, string>) => Content;
}

/** A kind with its own content, for the registry: what one of its functions makes only its others read. */
export const defineKind = <Content>(kind: FilingKind<Content>): FilingKind => kind as unknown as FilingKind;
