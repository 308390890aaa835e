import { parseDate, type LocalDate } from '@zakat/core/calendar/local-date';
import { personIssues } from '@zakat/core/identity/person';
import type { Issue } from '@zakat/core/issues/issue';
import { newHireDue } from '@zakat/core/new-hires/new-hires';
import type { PersonStanding } from '@zakat/core/readiness/gap';
import type { TaxCode } from '@zakat/core/tax-registry/registry';
import type { EntityManager } from 'typeorm';
import type { PersonOnDay } from '@zakat/core/facts/on-day';
import { type Employee, fullName } from '../employees/index.js';

/** A person as the readiness checks see it. */
export function personStanding(
  employee: Employee,
  facts: PersonOnDay,
  trial: { readonly problems: readonly Issue[]; readonly taxes: readonly { readonly code: TaxCode }[] },
  reported: ReadonlySet<string>,
  today: LocalDate,
  prenotes: PersonStanding['prenotes'] = [],
): PersonStanding {
  const hired = employee.hiredOn === null ? null : parseDate(employee.hiredOn);
  const work = facts.place?.work[0]?.['state'];
  return {
    id: employee.id,
    name: fullName(employee),
    kind: employee.kind,
    street: employee.street,
    city: employee.city,
    state: employee.state,
    zip: employee.zip,
    country: employee.country,
    hiredOn: employee.hiredOn,
    bornOn: employee.bornOn,
    isSsnAppliedFor: employee.ssnTail === '',
    facts,
    identityIssues: personIssues(employee, today),
    trialProblems: trial.problems,
    taxes: [...new Set(trial.taxes.map((tax) => tax.code))],
    prenotes,
    newHireDue: hired && typeof work === 'string' ? newHireDue(work, hired).due : null,
    isNewHireReported: reported.has(employee.id) || employee.kind !== 'employee',
  };
}

/** People whose hire was reported, or lies so far back that it was reported before they came here. */
export async function reportedHires(
  manager: EntityManager,
  clientId: string,
  before: LocalDate,
): Promise<ReadonlySet<string>> {
  const rows = (await manager.query(
    `SELECT e.id FROM employee e LEFT JOIN new_hire_report r ON r.employee_id = e.id WHERE e.client_id = $1 AND (r.id IS NOT NULL OR e.hired_on < $2)`,
    [clientId, before],
  )) as { id: string }[];
  return new Set(rows.map((row) => row.id));
}

/** Why a reviewer let a gap pass, by person and gap. */
export async function passes(manager: EntityManager, clientId: string): Promise<ReadonlyMap<string, string>> {
  const rows = (await manager.query(
    'SELECT employee_id, gap_key, reason FROM gap_pass WHERE client_id = $1 ORDER BY id',
    [clientId],
  )) as { employee_id: string | null; gap_key: string; reason: string }[];
  return new Map(rows.map((row) => [passKey(row.employee_id, row.gap_key), row.reason]));
}
export const passKey = (personId: string | null, key: string): string => `${personId ?? ''} ${key}`;
