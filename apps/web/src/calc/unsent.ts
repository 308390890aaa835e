import type { OwnRows } from '@zakat/core/casefile/compose';
import type { JsonObject } from '@zakat/core/casefile/reader';
import type { CalcRequest, SentRequest } from './calc.worker.js';

/** What the worker was given so far. */
export interface Sent {
  bases: Map<string, JsonObject>;
  own?: OwnRows | null;
}

/** What of a request is new to the worker. `sent` holds what it was given, and is brought up to date. */
export function unsent(request: CalcRequest, sent: Sent): SentRequest {
  const { own = null, people, ...rest } = request;
  const isKnown = sent.own === own;
  sent.own = own;
  return {
    ...rest,
    ...(isKnown ? {} : { own }),
    people: people.map(({ base, ...person }) => {
      if (sent.bases.get(person.key) === base) return person;
      sent.bases.set(person.key, base);
      return { ...person, base };
    }),
  };
}
