import type { TrustEntryView } from '@zakat/contract/trust';
import { trustKind, type TrustKindCode } from '@zakat/core/trust/kinds';
import type { EntityManager } from 'typeorm';
import { rawCents } from '../../database/cents-column.js';

interface Row {
  readonly id: string;
  readonly day: string;
  readonly kind: TrustKindCode;
  readonly client_id: string | null;
  readonly whose: string;
  readonly reference: string;
  readonly memo: string;
  readonly amount: string;
  readonly balance: string;
  readonly cleared: string | null;
  readonly is_reversed: boolean;
  readonly reverses: string | null;
}
const MOST = 200;

/** Entries of the trust ledger, newest first, each with the balance of its holder after it; of one client or of all. */
export async function entryViews(
  manager: EntityManager,
  accountId: string,
  clientId: string | null,
  most = MOST,
): Promise<TrustEntryView[]> {
  const rows = (await manager.query(
    `SELECT e.id, e.day, e.kind, e.client_id, coalesce(c.legal_name, f.name) AS whose, e.reference, e.memo, e.amount, e.balance, l.day AS cleared, e.reverses,
       EXISTS (SELECT 1 FROM trust_entry r WHERE r.reverses = e.id) AS is_reversed
     FROM (SELECT *, sum(amount) OVER (PARTITION BY client_id ORDER BY position) AS balance FROM trust_entry WHERE bank_account_id = $1 AND ($2::uuid IS NULL OR client_id = $2)) e
     JOIN firm f ON f.id = e.firm_id LEFT JOIN client c ON c.id = e.client_id LEFT JOIN trust_match m ON m.entry_id = e.id LEFT JOIN trust_line l ON l.id = m.line_id
     ORDER BY e.position DESC LIMIT $3`,
    [accountId, clientId, most],
  )) as Row[];
  return rows.map((row) => ({
    id: row.id,
    day: row.day,
    kind: row.kind,
    label: row.reverses === null ? trustKind(row.kind).label : `${trustKind(row.kind).label}, reversed`,
    clientId: row.client_id,
    whose: row.whose,
    reference: row.reference,
    memo: row.memo,
    amount: rawCents(row.amount),
    balance: rawCents(row.balance),
    cleared: row.cleared,
    mayReverse: trustKind(row.kind).isByHand && !row.is_reversed && row.reverses === null && row.cleared === null,
  }));
}
