import type { LocalDate } from '../calendar/local-date.js';
import type { PrenoteStanding } from '../direct-deposit/prenote.js';
import type { ClientOnDay, PersonOnDay } from '../facts/on-day.js';
import type { Issue } from '../issues/issue.js';
import type { TaxCode } from '../tax-registry/registry.js';

/** What a missing fact is needed for. */
export const PURPOSES = ['paycheck', 'new-hire', 'deposit', 'return', 'wage-statement'] as const;
export type Purpose = (typeof PURPOSES)[number];
export const PURPOSE_WORDS: Readonly<Record<Purpose, string>> = {
  paycheck: 'the next paycheck',
  'new-hire': 'the new-hire report',
  deposit: 'the next deposit',
  return: 'the next return',
  'wage-statement': 'Form W-2',
};
/** Whose move it is. */
export type Move = 'client' | 'firm' | 'agency';

/** A missing or doubtful fact: what it blocks, by when, whose move, and where it is entered. */
export interface Gap {
  /** Names the gap within its subject: stays the same from day to day. */
  readonly key: string;
  /** A person's id, or null for the client itself. */
  readonly personId: string | null;
  readonly who: string;
  readonly says: string;
  readonly fix: string;
  readonly neededFor: readonly Purpose[];
  readonly by: LocalDate | null;
  readonly move: Move;
  /** A live paycheck of the person (or of anybody, for the client) waits for it. */
  readonly blocksPaycheck: boolean;
  /** The field in the record; the page scrolls to it. */
  readonly field: string;
  /** How one asks the client for it; null when the client cannot answer. */
  readonly question: string | null;
}

export interface AccountStanding {
  readonly agency: string;
  readonly number: string;
  readonly isApplied: boolean;
  readonly hasRate: boolean;
}
export interface ClientStanding {
  readonly legalName: string;
  readonly ein: string;
  readonly street: string;
  readonly city: string;
  readonly state: string;
  readonly zip: string;
  readonly phone: string;
  readonly email: string;
  readonly contactName: string;
  readonly signerName: string;
  readonly signerTitle: string;
  readonly hasBank: boolean;
  /** People were paid elsewhere this year, and what they were paid is not here. */
  readonly lacksBalances: boolean;
  readonly accounts: readonly AccountStanding[];
  /** Agencies that the firm has said how to pay. */
  readonly agenciesSetUp: ReadonlySet<string>;
  /** What has to be answered before what people’s checks owe has a due date. */
  readonly depositQuestions: readonly Issue[];
  readonly facts: ClientOnDay;
}
export interface PersonStanding {
  readonly id: string;
  readonly name: string;
  readonly kind: string;
  readonly street: string;
  readonly city: string;
  readonly state: string;
  readonly zip: string;
  readonly country: string;
  readonly hiredOn: string | null;
  readonly bornOn: string | null;
  readonly isSsnAppliedFor: boolean;
  readonly facts: PersonOnDay;
  readonly identityIssues: readonly Issue[];
  /** What the trial paycheck says, and the taxes it has. */
  readonly trialProblems: readonly Issue[];
  readonly taxes: readonly TaxCode[];
  readonly newHireDue: LocalDate | null;
  /** Accounts that receive pay, and where their prenotes stand. */
  readonly prenotes: readonly { readonly label: string; readonly standing: PrenoteStanding }[];
  readonly isNewHireReported: boolean;
}
/** When each purpose comes next; null when nothing is planned. */
export type PurposeDates = Readonly<Record<Purpose, LocalDate | null>>;

/** A gap before it is told whose it is and when it is due. */
export interface Draft {
  readonly key: string;
  readonly issue: Issue;
  readonly neededFor: readonly Purpose[];
  readonly move?: Move;
  readonly blocksPaycheck?: boolean;
  readonly question?: string;
  readonly by?: LocalDate | null;
}
