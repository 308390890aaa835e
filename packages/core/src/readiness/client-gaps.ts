import { employerOf } from '../facts/employer-of.js';
import { text, type FactValue } from '../facts/fact-kind.js';
import { scheduleNamed } from '../facts/schedule.js';
import { FILING_KINDS } from '../filings/registry.js';
import { checkEin } from '../identity/numbers.js';
import { problem } from '../issues/issue.js';
import { agencyName, taxOf, unemploymentStateOf } from '../tax-registry/registry.js';
import type { ClientStanding, Draft, PersonStanding, Purpose } from './gap.js';

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

/** What is missing of the client itself. */
export function clientDrafts(client: ClientStanding, people: readonly PersonStanding[], year: number): Draft[] {
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
  else if (!hasReturn(facts.employer))
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
  for (const person of people) {
    const schedule = text(person.facts.worker ?? {}, 'schedule');
    if (scheduleNamed(facts, schedule) === null && schedule !== '')
      drafts.push({
        key: `schedule of ${person.id}`,
        issue: problem('gap.person-schedule', 'schedule', { who: person.name, name: schedule }),
        neededFor: ['paycheck'],
      });
  }
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
  if (text(facts.agent ?? {}, 'standing') === 'sent')
    drafts.push({
      key: 'agent',
      issue: problem('gap.agent', 'reporting-agent'),
      neededFor: ['return', 'deposit'],
      question: 'Please sign and return Form 8655, the reporting agent authorization that we sent.',
    });
  if (client.lacksBalances)
    drafts.push({
      key: 'balances',
      issue: problem('gap.balances', 'brought-in', { year: String(year) }),
      neededFor: ['paycheck', 'return', 'wage-statement'],
      question: `What was each person paid, and what was withheld, filed and deposited, from January 1, ${year} on (a year-to-date report of whoever ran the payroll)?`,
    });
  for (const agency of agenciesOwed(people)) drafts.push(...accountDrafts(client, agency, year));
  for (const agency of people.length === 0 ? [] : ['IRS', ...agenciesOwed(people)])
    if (!client.agenciesSetUp.has(agency))
      drafts.push({
        key: `payment ${agency}`,
        issue: problem('gap.payment', `payment ${agency}`, { agency: agencyName(agency) }),
        neededFor: ['deposit'],
      });
  for (const issue of client.depositQuestions)
    drafts.push({
      key: issue.field,
      issue,
      neededFor: ['deposit'],
      question: `How often is ${issue.parameters['what'] ?? ''} deposited, by the agency’s last notice?`,
    });
  if (people.length === 0)
    drafts.push({
      key: 'people',
      issue: problem('gap.nobody', 'people'),
      neededFor: ['paycheck'],
      question: 'Please send the list of people with their Forms W-4 and state certificates.',
    });
  return drafts;
}
/** Whether the return on which the client reports its income tax withheld is prepared here. */
const hasReturn = (employer: FactValue): boolean =>
  FILING_KINDS.some(
    (kind) =>
      kind.tieOut.station === 'returns' && kind.owedFor.includes('US-FIT') && kind.files(employerOf(employer)).is,
  );
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
