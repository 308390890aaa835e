import { text } from '../facts/fact-kind.js';
import { fix, problem, sentence } from '../issues/issue.js';
import { findState } from '../jurisdictions/states.js';
import { localityNamed } from '../taxes/local-places.js';
import type { Draft, PersonStanding, Purpose } from './gap.js';
import { isStateIncomeTax, taxOf } from '../tax-registry/registry.js';

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

const ADDRESS_FIELDS = ['street', 'city', 'state', 'zip'] as const;
/** Abroad there is no state, and not every country has postal codes. */
const isAsked = (person: PersonStanding, field: string): boolean =>
  person.country === '' || (field !== 'state' && field !== 'zip');

/** What is missing of a person. */
export function personDrafts(person: PersonStanding): Draft[] {
  const drafts: Draft[] = [];
  if (person.isSsnAppliedFor)
    drafts.push({
      key: 'ssn',
      issue: problem('gap.ssn', 'ssn'),
      neededFor: person.isNewHireReported ? ['wage-statement'] : ['new-hire', 'wage-statement'],
      question: 'social security number, once the card has come',
    });
  const address = ADDRESS_FIELDS.filter((field) => person[field] === '' && isAsked(person, field));
  for (const { field, what, neededFor, question } of PERSON_FIELDS) {
    if ((person[field] ?? '') !== '' || !isAsked(person, field)) continue;
    // An address that is missing whole is one gap, not four.
    if (address.length > 1 && field !== address[0] && address.includes(field as 'street')) continue;
    const isWhole = address.length > 1 && field === address[0];
    const isReported = person.isNewHireReported && field !== 'hiredOn';
    const wanted = isReported ? neededFor.filter((purpose) => purpose !== 'new-hire') : neededFor;
    if (wanted.length === 0) continue;
    drafts.push({
      key: field,
      issue: problem('gap.text', field, { what: isWhole ? 'The home address' : what }),
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
  for (const { label, standing } of person.prenotes)
    if (standing === 'wanted' || standing === 'returned')
      drafts.push({
        key: `prenote ${label}`,
        issue: problem(standing === 'wanted' ? 'gap.prenote' : 'gap.account-returned', 'bank', { label }),
        neededFor: ['paycheck'],
        ...(standing === 'returned' ? { question: 'bank account for direct deposit (a voided check)' } : {}),
      });
  if (person.facts.banks.length > 0 && !person.facts.banks.some((fact) => text(fact.value, 'share') === 'rest'))
    drafts.push({
      key: 'bank-rest',
      issue: problem('bank.no-rest', 'bank'),
      neededFor: ['paycheck'],
      blocksPaycheck: true,
    });
  if (person.facts.place) drafts.push(...localityDrafts(person), ...trialDrafts(person));
  return drafts;
}

/** Places of work and residence that a tax goes by and that are not said: by the trial paycheck, and by the home address. */
function localityDrafts(person: PersonStanding): Draft[] {
  const ofTrial = person.trialProblems
    .filter((issue) => issue.code === 'locality.not-given')
    .map((issue): Draft => ({
      key: `locality ${issue.field}`,
      issue: { ...issue, severity: 'error' },
      neededFor: ['paycheck'],
      question: issue.field.includes('residence')
        ? 'municipality or county of the home address'
        : 'municipality or county of the place of work',
    }));
  const residence = person.facts.place?.residence;
  const state = findState(String(residence?.['state'] ?? ''));
  const isGiven = residence?.['locality'] !== undefined;
  if (ofTrial.length > 0 || isGiven || !state || person.state !== state.code || person.city === '') return ofTrial;
  const home = localityNamed(state, person.city);
  const isTaxed = home?.taxes.some((tax) => tax.payer === 'employee' && tax.terms.is !== 'fee') ?? false;
  if (!home || !isTaxed || state.local?.method === 'work-place') return [];
  return [
    {
      key: 'locality of the address',
      issue: problem('gap.locality', 'place', { city: person.city, locality: home.name }),
      neededFor: ['paycheck'],
      question: `whether the home is in ${home.name}`,
    },
  ];
}

/** States of work and residence with an own certificate that is not there. */
function certificateStates(person: PersonStanding): string[] {
  const { place, certificates } = person.facts;
  if (!place) return [];
  const states = new Set(
    person.taxes
      .map(taxOf)
      .filter(isStateIncomeTax)
      .map((tax) => tax.jurisdiction),
  );
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
