/** An effective-dated fact as it is stored: a later record of the same day stands before an earlier one. */
export interface DatedFact {
  readonly id: string;
  readonly kind: string;
  readonly from: string;
  readonly value: Readonly<Record<string, unknown>>;
}

/** Which fact of a kind replaces which: those of one slot follow each other, different slots stand side by side. */
export type SlotOf = (fact: Pick<DatedFact, 'kind' | 'value'>) => string;

const untilOf = (fact: DatedFact): string | null => {
  const until = fact.value['until'];
  return typeof until === 'string' && until !== '' ? until : null;
};

/**
 * The facts in force on a day, given all of them newest first: those that a later one of the same slot has not replaced.
 * `until` in a fact is its last day.
 */
export function inForceOn<F extends DatedFact>(facts: readonly F[], day: string, slotOf: SlotOf): F[] {
  const seen = new Set<string>();
  return facts.filter((fact) => {
    const key = `${fact.kind} ${slotOf(fact)}`;
    if (fact.from > day || seen.has(key)) return false;
    seen.add(key);
    const until = untilOf(fact);
    return until === null || until >= day;
  });
}

/** Facts newest first, as the other functions here take them. */
export const newestFirst = <F extends DatedFact>(facts: readonly F[]): F[] =>
  [...facts].sort((a, b) => (a.from === b.from ? Number(b.id) - Number(a.id) : a.from < b.from ? 1 : -1));
