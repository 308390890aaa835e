import { isObject } from '@zakat/core/casefile/reader';
import type { OwnRows } from '@zakat/core/casefile/compose';
import type { EntityManager } from 'typeorm';

interface Content {
  readonly rows?: readonly unknown[];
  readonly places?: readonly unknown[];
}

/** A row that may hold on a day; what cannot be told is left to the core. */
const holdsOn =
  (day: string) =>
  (row: unknown): boolean =>
    isObject(row) && String(row['from']) <= day && (!row['until'] || String(row['until']) > day);

/** Rows of packs that hold on a day, the later packs last; null when there are none. */
export function rowsOn(packs: readonly Content[], day: string): OwnRows | null {
  const rules = packs.flatMap((pack) => pack.rows ?? []).filter(holdsOn(day));
  const places = packs.flatMap((pack) => pack.places ?? []).filter(holdsOn(day));
  return rules.length + places.length === 0 ? null : { rules, places };
}

/** The firm's own rules in force, for a check date. */
export async function ownRowsOn(manager: EntityManager, day: string): Promise<OwnRows | null> {
  const packs = (await manager.query(
    `SELECT content FROM rule_pack WHERE status = 'in-force' ORDER BY accepted_at, id`,
  )) as { content: Content }[];
  return rowsOn(
    packs.map((pack) => pack.content),
    day,
  );
}

/** Only what can concern people of these states: a pack for a whole year is large, and travels with every payroll. */
export function forStates(own: OwnRows | null, states: ReadonlySet<string>): OwnRows | null {
  if (own === null) return null;
  const concerns = (state: string): boolean => state === 'US' || states.has(state);
  const rules = own.rules.filter((row) => isObject(row) && concerns(String(row['parameter']).split('.')[0] ?? ''));
  const places = own.places.filter((row) => isObject(row) && concerns(String(row['state'])));
  return rules.length + places.length === 0 ? null : { rules, places };
}
