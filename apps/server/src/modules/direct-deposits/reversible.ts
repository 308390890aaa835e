import { date, type LocalDate } from '@zakat/core/calendar/local-date';
import { reversibleUntil } from '@zakat/core/direct-deposit/reversal';
import type { EntityManager } from 'typeorm';
import { DirectDeposit, DirectDepositEntry } from './entities.js';

/** Credits of voided checks that have left and did not come back, with the file that carried them. */
export interface Reversible {
  readonly original: DirectDeposit | null;
  readonly entries: readonly DirectDepositEntry[];
  /** The last day on which the bank takes a reversal; null where there is nothing to reverse. */
  readonly until: LocalDate | null;
}

/** What a posted void may take back from accounts. The pay of a payroll is in one file, so there is one original. */
export async function reversibleOf(manager: EntityManager, voidId: string): Promise<Reversible> {
  const keys = (await manager.query(
    `SELECT e.direct_deposit_id AS id, e.sequence FROM check_void v JOIN check_void_item i ON i.check_void_id = v.id
       JOIN direct_deposit_entry e ON e.paycheck_id = i.paycheck_id AND e.is_live AND e.return_code IS NULL
       JOIN direct_deposit d ON d.id = e.direct_deposit_id AND d.status IN ('released', 'settled')
     WHERE v.id = $1 AND v.status = 'posted' AND v.repaid IS NULL AND i.is_live ORDER BY e.sequence`,
    [voidId],
  )) as { id: string; sequence: number }[];
  const id = keys[0]?.id;
  if (id === undefined) return { original: null, entries: [], until: null };
  const original = await manager.findOneByOrFail(DirectDeposit, { id });
  const wanted = new Set(keys.map(({ sequence }) => sequence));
  const all = await manager.find(DirectDepositEntry, { where: { directDepositId: id }, order: { sequence: 'ASC' } });
  return {
    original,
    entries: all.filter(({ sequence }) => wanted.has(sequence)),
    until: reversibleUntil(date(original.settles)),
  };
}
