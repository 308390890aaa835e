import type { LocalDate } from '../calendar/local-date.js';
import { fix, sentence } from '../issues/issue.js';
import { clientDrafts } from './client-gaps.js';
import type { ClientStanding, Draft, Gap, PersonStanding, PurposeDates } from './gap.js';
import { personDrafts } from './person-gaps.js';

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
