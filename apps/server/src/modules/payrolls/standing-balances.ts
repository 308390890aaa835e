import { text } from '@zakat/core/facts/fact-kind';
import { countedFrom } from '@zakat/core/facts/pay-line-facts';
import type { DatedFact } from '@zakat/core/facts/in-force';
import { showLeaveHours } from '@zakat/core/leave/accrual';
import { cents, type Cents } from '@zakat/core/money/cents';
import type { EntityManager } from 'typeorm';
import type { StoredFact } from '../facts/fact-store.js';

type FactsByPerson = ReadonlyMap<string, readonly StoredFact[]>;
const someHave = (facts: FactsByPerson, test: (fact: StoredFact) => boolean): string[] =>
  [...facts].filter(([, own]) => own.some(test)).map(([id]) => id);

/** What posted checks have taken by each standing line or order with a balance, from the day its balance is counted from. */
export async function takenSince(
  manager: EntityManager,
  employeeIds: readonly string[],
  facts: FactsByPerson,
  exceptPayroll: string,
): Promise<(employeeId: string, kind: 'standing' | 'garnishment', fact: DatedFact) => Cents> {
  const withBalance = someHave(facts, (fact) => text(fact.value, 'balance') !== '' && fact.kind !== 'leave').filter(
    (id) => employeeIds.includes(id),
  );
  if (withBalance.length === 0) return () => cents(0);
  const rows = (await manager.query(
    `SELECT p.employee_id AS id, p.check_date AS day, 'standing' AS kind, coalesce(l.name, l.item) AS slot, l.amount FROM paycheck p,
       jsonb_to_recordset(p.lines -> 'deductions') AS l(item text, name text, amount bigint) WHERE p.employee_id = ANY($1) AND p.payroll_id <> $2
     UNION ALL
     SELECT p.employee_id, p.check_date, 'garnishment', g.label, g.amount FROM paycheck p,
       jsonb_to_recordset(p.lines -> 'garnishments') AS g(label text, amount bigint) WHERE p.employee_id = ANY($1) AND p.payroll_id <> $2`,
    [withBalance, exceptPayroll],
  )) as { id: string; day: string; kind: string; slot: string; amount: string }[];
  return (employeeId, kind, fact) => {
    const slot = text(fact.value, kind === 'standing' ? 'item' : 'label');
    return cents(
      rows
        .filter(
          (row) => row.id === employeeId && row.kind === kind && row.slot === slot && row.day >= countedFrom(fact),
        )
        .reduce((total, row) => total + Number(row.amount), 0),
    );
  };
}

/** Where each leave plan stands after the person's last posted check. */
export async function leaveStands(
  manager: EntityManager,
  employeeIds: readonly string[],
  facts: FactsByPerson,
  exceptPayroll: string,
): Promise<(employeeId: string, fact: DatedFact) => { balance: string; lastCheck: string } | null> {
  const withLeave = someHave(facts, (fact) => fact.kind === 'leave').filter((id) => employeeIds.includes(id));
  if (withLeave.length === 0) return () => null;
  const rows = (await manager.query(
    `SELECT DISTINCT ON (p.employee_id, l.item) p.employee_id AS id, p.check_date AS day, l.item, l.balance FROM paycheck p,
       jsonb_to_recordset(p.lines -> 'leave') AS l(item text, balance bigint) WHERE p.employee_id = ANY($1) AND p.payroll_id <> $2 AND jsonb_typeof(p.lines -> 'leave') = 'array'
     ORDER BY p.employee_id, l.item, p.check_date DESC`,
    [withLeave, exceptPayroll],
  )) as { id: string; day: string; item: string; balance: string }[];
  return (employeeId, fact) => {
    const row = rows.find(
      (one) => one.id === employeeId && one.item === text(fact.value, 'item') && one.day >= countedFrom(fact),
    );
    return row ? { balance: showLeaveHours(Number(row.balance)), lastCheck: row.day } : null;
  };
}
