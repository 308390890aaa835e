import { date, type LocalDate } from '@zakat/core/calendar/local-date';
import { reversibleUntil } from '@zakat/core/direct-deposit/reversal';
import { In, type EntityManager } from 'typeorm';
import { DirectDeposit, DirectDepositEntry } from './entities.js';

/** Credits of voided checks that have left and did not come back, with the files that carried them. */
export interface Reversible {
  /** Those that the bank still takes back, all paid from `bankAccountId`; where it takes none any more, all of them. */
  readonly entries: readonly DirectDepositEntry[];
  /** Credits whose days have passed while others are still taken back. */
  readonly tooLate: readonly DirectDepositEntry[];
  readonly bankAccountId: string | null;
  /** When the last of the entries settles, or has. */
  readonly settles: LocalDate | null;
  /** The last day on which the bank takes a reversal of all the entries; null where there is nothing to reverse. */
  readonly until: LocalDate | null;
}

/**
 * What a posted void may take back from accounts on a day. The pay of a payroll is in one file, and what came back of it in
 * others, from the same account: each credit has the days of its own settlement.
 */
export async function reversibleOf(manager: EntityManager, voidId: string, today: LocalDate): Promise<Reversible> {
  const keys = (await manager.query(
    `SELECT e.direct_deposit_id AS file, e.sequence FROM check_void v JOIN check_void_item i ON i.check_void_id = v.id
       JOIN direct_deposit_entry e ON e.paycheck_id = i.paycheck_id AND e.is_live AND e.return_code IS NULL
       JOIN direct_deposit d ON d.id = e.direct_deposit_id AND d.status IN ('released', 'settled')
     WHERE v.id = $1 AND v.status = 'posted' AND v.repaid IS NULL AND i.is_live ORDER BY d.created_at, e.sequence`,
    [voidId],
  )) as { file: string; sequence: number }[];
  if (keys.length === 0) return { entries: [], tooLate: [], bankAccountId: null, settles: null, until: null };
  const ids = [...new Set(keys.map(({ file }) => file))];
  const files = await manager.find(DirectDeposit, { where: { id: In(ids) } });
  const all = await manager.find(DirectDepositEntry, {
    where: { directDepositId: In(ids) },
    order: { directDepositId: 'ASC', sequence: 'ASC' },
  });
  const wanted = new Set(keys.map(({ file, sequence }) => `${file} ${sequence}`));
  const entries = all.filter((entry) => wanted.has(`${entry.directDepositId} ${entry.sequence}`));
  const untilOf = ({ settles }: DirectDeposit): LocalDate => reversibleUntil(date(settles));
  const open = files.filter((file) => untilOf(file) >= today);
  const taken = open.length > 0 ? open : files;
  const isTaken = ({ directDepositId }: DirectDepositEntry): boolean => taken.some(({ id }) => id === directDepositId);
  const days = taken.map(untilOf).sort();
  const settlements = taken.map(({ settles }) => date(settles)).sort();
  return {
    entries: entries.filter(isTaken),
    tooLate: entries.filter((entry) => !isTaken(entry)),
    bankAccountId: taken[0]?.bankAccountId ?? null,
    settles: settlements.at(-1) ?? null,
    until: (open.length > 0 ? days[0] : days.at(-1)) ?? null,
  };
}
