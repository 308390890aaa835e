import { isObject } from '../casefile/reader.js';
import { minus, type Exact } from '../money/exact.js';
import { ZERO_RATE, parseRate, showRate } from '../money/rate.js';
import { CLIENT_FACTS } from './client-facts.js';
import { EMPLOYEE_FACTS } from './employee-facts.js';
import { text, type FactValue } from './fact-kind.js';
import { inForceOn, type DatedFact } from './in-force.js';

/** Where a person lives and works, as the case file writes it. */
export interface Place {
  readonly residence: Readonly<Record<string, unknown>>;
  readonly work: readonly Readonly<Record<string, unknown>>[];
  readonly unemploymentState?: string;
  readonly localization?: Readonly<Record<string, unknown>>;
}

/** What is known of a person on a day. */
export interface PersonOnDay {
  readonly pay: FactValue | null;
  readonly federal: FactValue | null;
  readonly certificates: Readonly<Record<string, FactValue>>;
  readonly place: Place | null;
  readonly worker: FactValue | null;
  readonly jobs: FactValue | null;
  readonly employment: FactValue | null;
  readonly consent: FactValue | null;
  readonly standing: readonly DatedFact[];
  readonly garnishments: readonly DatedFact[];
  readonly leave: readonly DatedFact[];
  readonly banks: readonly DatedFact[];
}

/** What is known of a client on a day. */
export interface ClientOnDay {
  readonly employer: FactValue | null;
  /** The pay schedule without a name; where every one has a name, the first. */
  readonly schedule: FactValue | null;
  readonly schedules: readonly FactValue[];
  readonly withholding: FactValue | null;
  readonly overtime: FactValue | null;
  readonly exemptions: readonly FactValue[];
  readonly ownRates: readonly FactValue[];
  readonly items: readonly FactValue[];
  readonly classes: readonly FactValue[];
  readonly departments: readonly FactValue[];
  readonly forms: readonly FactValue[];
  /** Form 8655: how its authorization stands. */
  readonly agent: FactValue | null;
  /** The agent that files an aggregate Form 941 for it. */
  readonly aggregateFiler: FactValue | null;
  /** Whom the IRS may ask about returns. */
  readonly designee: FactValue | null;
}

/** The share that is left for the first place of work: the others are written down with theirs. One that cannot be read is told by the reader of the case, which gets it as it is. */
function firstShare(others: readonly FactValue[]): string {
  const whole: Exact = { n: 1, d: 1 };
  return showRate(others.reduce((left, other) => minus(left, parseRate(text(other, 'share')) ?? ZERO_RATE), whole));
}

/** What the localization tests ask. */
const LOCALIZATION = ['localizedIn', 'baseOfOperations', 'directedFrom'] as const;

export function placeOf(value: FactValue): Place {
  const others = Array.isArray(value['otherWork']) ? value['otherWork'].filter(isObject) : [];
  const given = (name: string, field: string): Record<string, unknown> =>
    value[field] === undefined || value[field] === '' ? {} : { [name]: value[field] };
  const localization = Object.assign({}, ...LOCALIZATION.map((name) => given(name, name))) as Record<string, unknown>;
  return {
    residence: {
      state: value['residence'],
      ...given('locality', 'residenceLocality'),
      ...given('schoolDistrict', 'schoolDistrict'),
    },
    work: [
      {
        state: value['work'],
        share: firstShare(others),
        ...given('locality', 'workLocality'),
        ...given('reciprocityCertificate', 'reciprocityCertificate'),
        ...given('convenienceOf', 'convenienceOf'),
      },
      ...others,
    ],
    ...(typeof value['unemploymentState'] === 'string' && value['unemploymentState'] !== ''
      ? { unemploymentState: value['unemploymentState'] }
      : {}),
    ...(Object.keys(localization).length > 0 ? { localization } : {}),
  };
}

/** The facts of a person, newest first, as they stand on a day. */
export function personOnDay(facts: readonly DatedFact[], day: string): PersonOnDay {
  const current = inForceOn(facts, day, EMPLOYEE_FACTS.slotOf);
  const all = (kind: string): DatedFact[] => current.filter((fact) => fact.kind === kind).reverse();
  const one = (kind: string): FactValue | null => current.find((fact) => fact.kind === kind)?.value ?? null;
  const place = one('place');
  return {
    pay: one('pay'),
    federal: one('federal-certificate'),
    certificates: Object.fromEntries(
      all('state-certificate').map(({ value }) => [
        String(value['state']),
        isObject(value['certificate']) ? { ...value['certificate'] } : {},
      ]),
    ),
    place: place ? placeOf(place) : null,
    worker: one('worker'),
    jobs: one('jobs'),
    employment: one('employment'),
    consent: one('consent'),
    standing: all('standing'),
    garnishments: all('garnishment'),
    leave: all('leave'),
    banks: all('bank'),
  };
}

/** The facts of a client, newest first, as they stand on a day. */
export function clientOnDay(facts: readonly DatedFact[], day: string): ClientOnDay {
  const current = inForceOn(facts, day, CLIENT_FACTS.slotOf);
  const all = (kind: string): FactValue[] =>
    current
      .filter((fact) => fact.kind === kind)
      .map((fact) => fact.value)
      .reverse();
  const one = (kind: string): FactValue | null => all(kind).at(-1) ?? null;
  const schedules = all('schedule');
  return {
    employer: one('employer'),
    schedule: schedules.find((schedule) => text(schedule, 'name') === '') ?? schedules[0] ?? null,
    schedules,
    withholding: one('withholding'),
    overtime: one('overtime'),
    exemptions: all('tax-exemption'),
    ownRates: all('own-rate'),
    items: all('pay-item'),
    classes: all('work-class'),
    departments: all('department'),
    forms: all('form'),
    agent: one('reporting-agent'),
    aggregateFiler: one('aggregate-filer'),
    designee: one('designee'),
  };
}
