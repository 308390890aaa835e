import type { LocalDate } from '../calendar/local-date.js';
import { text } from '../facts/fact-kind.js';
import type { ClientOnDay, PersonOnDay } from '../facts/on-day.js';
import { checkEin } from '../identity/numbers.js';
import { fix, problem, sentence, type Issue } from '../issues/issue.js';
import { findState } from '../jurisdictions/states.js';
import { agencyName, taxOf, unemploymentStateOf, type TaxCode } from '../taxes/registry.js';

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
  readonly accounts: readonly AccountStanding[];
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
  readonly hiredOn: string | null;
  readonly bornOn: string | null;
  readonly facts: PersonOnDay;
  readonly identityIssues: readonly Issue[];
  /** What the trial paycheck says, and the taxes it has. */
  readonly trialProblems: readonly Issue[];
  readonly taxes: readonly TaxCode[];
  readonly newHireDue: LocalDate | null;
  readonly isNewHireReported: boolean;
}
/** When each purpose comes next; null when nothing is planned. */
export type PurposeDates = Readonly<Record<Purpose, LocalDate | null>>;

interface Draft {
  readonly key: string;
  readonly issue: Issue;
  readonly neededFor: readonly Purpose[];
  readonly move?: Move;
  readonly blocksPaycheck?: boolean;
  readonly question?: string;
  readonly by?: LocalDate | null;
}

const earliest = (days: readonly (LocalDate | null)[]): LocalDate | null =>
  days.reduce<LocalDate | null>((first, day) => (day !== null && (first === null || day < first) ? day : first), null);

const made = (draft: Draft, personId: string | null, who: string, dates: PurposeDates): Gap => ({
  key: draft.key,
  personId,
  who,
  says: sentence(draft.issue),
  fix: fix(draft.issue),
  neededFor: draft.neededFor,
  by: draft.by === undefined ? earliest(draft.neededFor.map((purpose) => dates[purpose])) : draft.by,
  move: draft.move ?? (draft.question === undefined ? 'firm' : 'client'),
  blocksPaycheck: draft.blocksPaycheck ?? false,
  field: draft.issue.field,
  question: draft.question ?? null,
});

const CLIENT_FIELDS: readonly {
  readonly field:
    'street' | 'city' | 'state' | 'zip' | 'phone' | 'email' | 'contactName' | 'signerName' | 'signerTitle';
  readonly what: string;
  readonly neededFor: readonly Purpose[];
  readonly question: string;
}[] = [
  {
    field: 'street',
    what: 'The street',
    neededFor: ['return', 'wage-statement'],
    question: 'What is the street address of the business?',
  },
  {
    field: 'city',
    what: 'The city',
    neededFor: ['return', 'wage-statement'],
    question: 'In which city is the business?',
  },
  {
    field: 'state',
    what: 'The state',
    neededFor: ['return', 'wage-statement'],
    question: 'In which state is the business?',
  },
  {
    field: 'zip',
    what: 'The ZIP code',
    neededFor: ['return', 'wage-statement'],
    question: 'What is the ZIP code of the business?',
  },
  {
    field: 'phone',
    what: 'The telephone number',
    neededFor: ['return', 'wage-statement'],
    question: 'What is the telephone number of the business?',
  },
  {
    field: 'email',
    what: 'The e-mail address',
    neededFor: ['wage-statement'],
    question: 'What is the e-mail address of the business?',
  },
  { field: 'contactName', what: 'The contact', neededFor: ['wage-statement'], question: 'Whom may the agencies ask?' },
  { field: 'signerName', what: 'The signer of returns', neededFor: ['return'], question: 'Who signs the returns?' },
  {
    field: 'signerTitle',
    what: 'The title of the signer',
    neededFor: ['return'],
    question: 'What is the title of the person who signs?',
  },
];

/** Agencies that the client must have an account with, because somebody's paycheck owes them a tax. */
function agenciesOwed(people: readonly PersonStanding[]): string[] {
  const codes = new Set(people.flatMap((person) => person.taxes));
  return [...new Set([...codes].map((code) => taxOf(code).agency))].filter((agency) => agency !== 'IRS').sort();
}

function clientDrafts(client: ClientStanding, people: readonly PersonStanding[], year: number): Draft[] {
  const drafts: Draft[] = [];
  const { facts } = client;
  if (!facts.employer)
    drafts.push({
      key: 'employer',
      issue: problem('gap.employer', 'employer'),
      neededFor: ['paycheck', 'return'],
      question:
        'What kind of business is it (corporation, partnership, sole proprietor ...), and which federal form was filed last?',
    });
  else if (!['941'].includes(text(facts.employer, 'formFamily')))
    drafts.push({
      key: 'form-family',
      issue: problem('gap.form-not-built', 'employer', { form: formWords(text(facts.employer, 'formFamily')) }),
      neededFor: ['return'],
    });
  if (!facts.schedule)
    drafts.push({
      key: 'schedule',
      issue: problem('gap.schedule', 'schedule'),
      neededFor: ['paycheck'],
      question: 'How often are people paid, when does a period end, and how many days later are they paid?',
    });
  if (client.ein === '')
    drafts.push({
      key: 'ein',
      issue: problem('gap.ein', 'ein'),
      neededFor: ['deposit', 'return', 'wage-statement'],
      question: 'What is the employer identification number (EIN)? If it is applied for, since when?',
    });
  for (const issue of client.ein === '' ? [] : checkEin(client.ein, 'ein'))
    drafts.push({
      key: 'ein',
      issue,
      neededFor: ['deposit', 'return', 'wage-statement'],
      question: 'Please send the IRS notice with the EIN; the number we have cannot be right.',
    });
  for (const { field, what, neededFor, question } of CLIENT_FIELDS)
    if (client[field] === '')
      drafts.push({ key: field, issue: problem('gap.text', field, { what }), neededFor, question });
  if (!client.hasBank)
    drafts.push({
      key: 'bank',
      issue: problem('gap.bank', 'bank'),
      neededFor: ['deposit'],
      question: 'From which bank account are wages and taxes paid (a voided check)?',
    });
  for (const agency of agenciesOwed(people)) drafts.push(...accountDrafts(client, agency, year));
  if (people.length === 0)
    drafts.push({
      key: 'people',
      issue: problem('gap.nobody', 'people'),
      neededFor: ['paycheck'],
      question: 'Please send the list of people with their Forms W-4 and state certificates.',
    });
  return drafts;
}
const formWords = (family: string): string => (family === 'schedule-h' ? 'Schedule H' : `Form ${family}`);

function accountDrafts(client: ClientStanding, agency: string, year: number): Draft[] {
  const name = agencyName(agency);
  const account = client.accounts.find((one) => one.agency === agency);
  const isUnemployment = unemploymentStateOf(agency) !== undefined;
  const drafts: Draft[] = [];
  if (!account)
    drafts.push({
      key: `account ${agency}`,
      issue: problem('gap.account', `account ${agency}`, { agency: name }),
      neededFor: ['deposit', 'return'],
      question: `What is the account number with ${name}?`,
    });
  else if (account.isApplied)
    drafts.push({
      key: `account ${agency}`,
      issue: problem('gap.account-applied', `account ${agency}`, { agency: name }),
      neededFor: ['deposit', 'return'],
      move: 'agency',
      question: `Has the account number of ${name} come?`,
    });
  if (isUnemployment && !account?.hasRate)
    drafts.push({
      key: `rate ${agency}`,
      issue: problem('gap.rate', `account ${agency}`, { agency: name, year: String(year) }),
      neededFor: ['paycheck', 'return'],
      blocksPaycheck: true,
      question: `What unemployment rate did ${name} set for ${year}?`,
    });
  return drafts;
}

const PERSON_FIELDS: readonly {
  readonly field: 'street' | 'city' | 'state' | 'zip' | 'hiredOn' | 'bornOn';
  readonly what: string;
  readonly neededFor: readonly Purpose[];
  readonly question: string;
}[] = [
  { field: 'street', what: 'The street', neededFor: ['new-hire', 'wage-statement'], question: 'home address' },
  { field: 'city', what: 'The city', neededFor: ['new-hire', 'wage-statement'], question: 'home address' },
  { field: 'state', what: 'The state', neededFor: ['new-hire', 'wage-statement'], question: 'home address' },
  { field: 'zip', what: 'The ZIP code', neededFor: ['new-hire', 'wage-statement'], question: 'home address' },
  { field: 'hiredOn', what: 'The hire date', neededFor: ['new-hire', 'paycheck'], question: 'hire date' },
  { field: 'bornOn', what: 'The birth date', neededFor: ['new-hire'], question: 'date of birth' },
];

function personDrafts(person: PersonStanding): Draft[] {
  const drafts: Draft[] = [];
  for (const { field, what, neededFor, question } of PERSON_FIELDS) {
    if ((person[field] ?? '') !== '') continue;
    const isReported = person.isNewHireReported && field !== 'hiredOn';
    const wanted = isReported ? neededFor.filter((purpose) => purpose !== 'new-hire') : neededFor;
    if (wanted.length === 0) continue;
    drafts.push({
      key: field,
      issue: problem('gap.text', field, { what }),
      neededFor: wanted,
      blocksPaycheck: true,
      question,
    });
  }
  for (const issue of person.identityIssues)
    if (issue.severity === 'error')
      drafts.push({
        key: `identity ${issue.field}`,
        issue: { ...issue, severity: 'error' },
        neededFor: ['wage-statement'],
        blocksPaycheck: true,
        question: `${sentence(issue)}`,
      });
  if (person.kind !== 'employee') return drafts;
  if (!person.facts.pay)
    drafts.push({
      key: 'pay',
      issue: problem('gap.fact', 'pay', { what: 'The pay' }),
      neededFor: ['paycheck'],
      question: 'pay (by the hour or salary, and how much)',
    });
  if (!person.facts.place)
    drafts.push({
      key: 'place',
      issue: problem('gap.fact', 'place', { what: 'The places of work and residence' }),
      neededFor: ['paycheck'],
      blocksPaycheck: true,
      question: 'state and city of work',
    });
  if (!person.facts.federal)
    drafts.push({
      key: 'federal-certificate',
      issue: problem('gap.fact', 'federal-certificate', { what: 'Form W-4 (until it comes, withheld as single)' }),
      neededFor: ['paycheck'],
      question: 'Form W-4',
    });
  for (const state of certificateStates(person))
    drafts.push({
      key: `certificate ${state}`,
      issue: problem('gap.fact', `certificate ${state}`, {
        what: `The ${state} certificate (until it comes, by the state's default)`,
      }),
      neededFor: ['paycheck'],
      question: `${state} withholding certificate`,
    });
  for (const fact of person.facts.banks)
    if (text(fact.value, 'prenote') === 'wanted')
      drafts.push({
        key: `prenote ${text(fact.value, 'label')}`,
        issue: problem('gap.prenote', 'bank', { label: text(fact.value, 'label') }),
        neededFor: ['paycheck'],
      });
  if (person.facts.banks.length > 0 && !person.facts.banks.some((fact) => text(fact.value, 'share') === 'rest'))
    drafts.push({
      key: 'bank-rest',
      issue: problem('bank.no-rest', 'bank'),
      neededFor: ['paycheck'],
      blocksPaycheck: true,
    });
  if (person.facts.place) drafts.push(...trialDrafts(person));
  return drafts;
}

/** States of work and residence with an own certificate that is not there. */
function certificateStates(person: PersonStanding): string[] {
  const { place, certificates } = person.facts;
  if (!place) return [];
  const states = new Set(person.taxes.filter((code) => code.endsWith('-SIT')).map((code) => code.slice(0, 2)));
  return [...states].filter((state) => {
    const rule = findState(state)?.incomeTax;
    return rule?.kind === 'worksheet' && rule.certificate.fields.length > 2 && !certificates[state];
  });
}

/** Errors of the trial paycheck. Rates of the client are its own gap, so they are not said again for everybody. */
const OF_THE_CLIENT: ReadonlySet<string> = new Set(['employer.no-unemployment-rate', 'earning.no-amount']);
const trialDrafts = (person: PersonStanding): Draft[] =>
  person.trialProblems
    .filter((issue) => issue.severity === 'error' && !OF_THE_CLIENT.has(issue.code))
    .map((issue) => ({
      key: `trial ${issue.code} ${issue.field}`,
      issue: problem('gap.trial', issue.field, { says: sentence(issue), fix: fix(issue) }),
      neededFor: ['paycheck'] as const,
      blocksPaycheck: true,
    }));

/** Every gap of a client and its people, the earliest first. */
export function gapsOf(
  client: ClientStanding,
  people: readonly PersonStanding[],
  dates: PurposeDates,
  year: number,
): Gap[] {
  const gaps = [
    ...clientDrafts(client, people, year).map((draft) => made(draft, null, client.legalName, dates)),
    ...people.flatMap((person) =>
      personDrafts(person).map((draft) =>
        made(draft, person.id, person.name, {
          ...dates,
          'new-hire': person.isNewHireReported ? null : person.newHireDue,
        }),
      ),
    ),
  ];
  const order = (gap: Gap): string => `${gap.by ?? '9999-12-31'} ${gap.personId === null ? 0 : 1} ${gap.who}`;
  return gaps.sort((a, b) => (order(a) < order(b) ? -1 : 1));
}

/** What about the people of a payroll must not wait: gaps that hold a live paycheck. */
export const paycheckGaps = (people: readonly PersonStanding[]): Gap[] =>
  people.flatMap((person) =>
    personDrafts(person)
      .filter((draft) => draft.blocksPaycheck)
      .map((draft) => made(draft, person.id, person.name, NO_DATES)),
  );
const NO_DATES: PurposeDates = {
  paycheck: null,
  'new-hire': null,
  deposit: null,
  return: null,
  'wage-statement': null,
};

/** The one letter to a client: its own questions first, then those about each person gathered in one line. */
export function questionLines(
  gaps: readonly Gap[],
): { readonly about: string; readonly asks: readonly string[]; readonly by: LocalDate | null }[] {
  const byWho = new Map<string, Gap[]>();
  for (const gap of gaps)
    if (gap.question !== null) byWho.set(gap.personId ?? '', [...(byWho.get(gap.personId ?? '') ?? []), gap]);
  return [...byWho.values()].map((own) => ({
    about: own[0]?.personId === null ? '' : (own[0]?.who ?? ''),
    asks: [...new Set(own.flatMap((gap) => (gap.question === null ? [] : [gap.question])))],
    by: earliest(own.map((gap) => gap.by)),
  }));
}
