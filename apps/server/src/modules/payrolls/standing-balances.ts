import { date, yearOf } from '@zakat/core/calendar/local-date';
import { text } from '@zakat/core/facts/fact-kind';
import { countedFrom } from '@zakat/core/facts/pay-line-facts';
import type { Taken } from '@zakat/core/facts/case-parts';
import type { DatedFact } from '@zakat/core/facts/in-force';
import { showLeaveHours } from '@zakat/core/leave/accrual';
import { ZERO, cents, sum, type Cents } from '@zakat/core/money/cents';
import type { EntityManager } from 'typeorm';
import type { StoredFact } from '../facts/index.js';

type FactsByPerson = ReadonlyMap<string, readonly StoredFact[]>;
const someHave = (facts: FactsByPerson, test: (fact: StoredFact) => boolean): string[] =>
  [...facts].filter(([, own]) => own.some(test)).map(([id]) => id);

const mayHaveLimit = (fact: StoredFact): boolean =>
  fact.kind === 'garnishment' || (fact.kind !== 'leave' && text(fact.value, 'balance') !== '');

/** What posted checks have taken by standing lines and orders: from the day a balance is counted from, or in a year. */
export async function takenBefore(
  manager: EntityManager,
  employeeIds: readonly string[],
  facts: FactsByPerson,
  { id: exceptPayroll, year }: { readonly id: string; readonly year: number },
): Promise<(employeeId: string) => Taken> {
  const wanted = someHave(facts, mayHaveLimit).filter((id) => employeeIds.includes(id));
  if (wanted.length === 0) return () => () => ZERO;
  const rows = (await manager.query(
    `SELECT p.employee_id AS id, p.check_date AS day, 'standing' AS kind, coalesce(l.name, l.item) AS slot, l.amount FROM paycheck p,
       jsonb_to_recordset(p.lines -> 'deductions') AS l(item text, name text, amount bigint) WHERE p.employee_id = ANY($1) AND p.payroll_id <> $2
     UNION ALL
     SELECT p.employee_id, p.check_date, 'garnishment', g.label, g.amount FROM paycheck p,
       jsonb_to_recordset(p.lines -> 'garnishments') AS g(label text, amount bigint) WHERE p.employee_id = ANY($1) AND p.payroll_id <> $2`,
    [wanted, exceptPayroll],
  )) as { id: string; day: string; kind: string; slot: string; amount: string }[];
  return (employeeId) => (kind, fact, span) => {
    const slot = text(fact.value, kind === 'standing' ? 'item' : 'label');
    const isIn = (day: string): boolean => (span === 'year' ? yearOf(date(day)) === year : day >= countedFrom(fact));
    const own = rows.filter((row) => row.id === employeeId && row.kind === kind && row.slot === slot && isIn(row.day));
    return sum(own.map((row) => cents(Number(row.amount))));
  };
}

/** Where each leave plan stands after the person's last posted check, less what checks voided since then had moved. */
export async function leaveStands(
  manager: EntityManager,
  employeeIds: readonly string[],
  facts: FactsByPerson,
  exceptPayroll: string,
): Promise<(employeeId: string, fact: DatedFact) => { balance: string; lastCheck: string } | null> {
  const withLeave = someHave(facts, (fact) => fact.kind === 'leave').filter((id) => employeeIds.includes(id));
  if (withLeave.length === 0) return () => null;
  const rows = (await manager.query(
    `WITH last AS (
       SELECT DISTINCT ON (p.employee_id, l.item) p.employee_id AS id, p.check_date AS day, l.item, l.balance, y.posted_at FROM standing_paycheck p JOIN payroll y ON y.id = p.payroll_id,
         jsonb_to_recordset(p.lines -> 'leave') AS l(item text, balance bigint) WHERE p.employee_id = ANY($1) AND p.payroll_id <> $2 AND jsonb_typeof(p.lines -> 'leave') = 'array'
       ORDER BY p.employee_id, l.item, p.check_date DESC, y.posted_at DESC)
     SELECT last.id, last.day, last.item, last.balance + coalesce((
       SELECT sum(m.accrued - m.used) FROM paycheck r JOIN payroll ry ON ry.id = r.payroll_id JOIN paycheck o ON o.id = r.reverses JOIN payroll oy ON oy.id = o.payroll_id,
         jsonb_to_recordset(r.lines -> 'leave') AS m(item text, accrued bigint, used bigint)
       WHERE r.employee_id = last.id AND m.item = last.item AND oy.posted_at < last.posted_at AND ry.posted_at > last.posted_at), 0) AS balance FROM last`,
    [withLeave, exceptPayroll],
  )) as { id: string; day: string; item: string; balance: string }[];
  return (employeeId, fact) => {
    const row = rows.find(
      (one) => one.id === employeeId && one.item === text(fact.value, 'item') && one.day >= countedFrom(fact),
    );
    return row ? { balance: showLeaveHours(Number(row.balance)), lastCheck: row.day } : null;
  };
}

/** What deductions of posted checks left owed, less what later ones took of it, by person and the code of the line. */
export async function owedBefore(
  manager: EntityManager,
  employeeIds: readonly string[],
  exceptPayroll: string,
): Promise<(employeeId: string) => ReadonlyMap<string, Cents>> {
  const rows = (await manager.query(
    `SELECT p.employee_id AS id, coalesce(l.name, l.item) AS item, sum(coalesce(l.owed, 0) - coalesce(l.arrears, 0)) AS owed FROM paycheck p,
       jsonb_to_recordset(p.lines -> 'deductions') AS l(item text, name text, owed bigint, arrears bigint)
     WHERE p.employee_id = ANY($1) AND p.payroll_id <> $2 AND p.moves_arrears
     GROUP BY p.employee_id, coalesce(l.name, l.item)`,
    [employeeIds, exceptPayroll],
  )) as { id: string; item: string; owed: string }[];
  const byPerson = new Map<string, Map<string, Cents>>();
  for (const { id, item, owed } of rows) {
    if (Number(owed) <= 0) continue;
    const own = byPerson.get(id) ?? new Map<string, Cents>();
    byPerson.set(id, own.set(item, cents(Number(owed))));
  }
  return (employeeId) => byPerson.get(employeeId) ?? NOTHING_OWED;
}
const NOTHING_OWED: ReadonlyMap<string, Cents> = new Map();
