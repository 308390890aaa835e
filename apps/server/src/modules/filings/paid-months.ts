import { isTaxCode, taxOf, type TaxGroup } from '@zakat/core/tax-registry/registry';
import type { EntityManager } from 'typeorm';

/** Months of one year with something owed, by tax group, a bit for each, January the lowest: reversals that leave nothing do not count. */
export interface PaidMonths {
  readonly groups: ReadonlyMap<TaxGroup, number>;
  /** Equal for clients that owed the same taxes in the same months. */
  readonly key: string;
}
export const NOTHING_PAID: PaidMonths = { groups: new Map(), key: '' };

/** Of every client, or of one; clients with nothing owed are not in it. */
export async function paidMonths(
  manager: EntityManager,
  year: number,
  clientId: string | null = null,
): Promise<ReadonlyMap<string, PaidMonths>> {
  const rows = (await manager.query(
    `SELECT client_id, string_agg(tax || ' ' || months, ',' ORDER BY tax) AS key FROM owed_year
     WHERE year = $1 AND months > 0 AND ($2::uuid IS NULL OR client_id = $2) GROUP BY client_id`,
    [year, clientId],
  )) as { client_id: string; key: string }[];
  const known = new Map<string, PaidMonths>();
  return new Map(
    rows.map(({ client_id: client, key }): [string, PaidMonths] => {
      const paid = known.get(key) ?? readMonths(key);
      known.set(key, paid);
      return [client, paid];
    }),
  );
}

function readMonths(key: string): PaidMonths {
  const groups = new Map<TaxGroup, number>();
  for (const part of key.split(',')) {
    const [tax = '', months = '0'] = part.split(' ');
    if (!isTaxCode(tax)) continue;
    const { group } = taxOf(tax);
    groups.set(group, (groups.get(group) ?? 0) | Number(months));
  }
  return { groups, key };
}

/** Whether something was owed of any of the groups in a period of the year. */
export function isPaid(
  { groups: paid }: PaidMonths,
  groups: readonly TaxGroup[],
  period: { readonly start: string; readonly end: string },
): boolean {
  const [first, last] = [Number(period.start.slice(5, 7)), Number(period.end.slice(5, 7))];
  const within = (1 << last) - (1 << (first - 1));
  return groups.some((group) => ((paid.get(group) ?? 0) & within) !== 0);
}
