import { choicesOf, employerOf } from '@zakat/core/facts/employer-of';
import type { DatedFact } from '@zakat/core/facts/in-force';
import { clientOnDay } from '@zakat/core/facts/on-day';
import type { EmployerFacts } from '@zakat/core/filings/kind';
import type { FormChoice } from '@zakat/core/filings/registry';
import type { EntityManager } from 'typeorm';

/** Deposit frequencies that were recorded with the accounts of a client, newest first. */
export interface RecordedFrequency {
  readonly agency: string;
  readonly frequency: string;
  readonly from: string;
}

/** Of every client, or of one. */
export async function recordedFrequencies(
  manager: EntityManager,
  clientId: string | null = null,
): Promise<ReadonlyMap<string, readonly RecordedFrequency[]>> {
  const rows = (await manager.query(
    `SELECT client_id AS "clientId", agency, deposit_frequency AS frequency, effective_from AS "from" FROM tax_account
     WHERE deposit_frequency <> '' AND ($1::uuid IS NULL OR client_id = $1) ORDER BY client_id, effective_from DESC, agency`,
    [clientId],
  )) as (RecordedFrequency & { clientId: string })[];
  const found = new Map<string, RecordedFrequency[]>();
  for (const { clientId: id, ...row } of rows) {
    const own = found.get(id);
    if (own) own.push(row);
    else found.set(id, [row]);
  }
  return found;
}

/** What a client is on a day, as its forms ask, and what was said about which forms it files. */
export function formsOnDay(
  facts: readonly DatedFact[],
  day: string,
  recorded: readonly RecordedFrequency[] = [],
): { readonly employer: EmployerFacts; readonly choices: FormChoice[] } {
  const { employer, forms } = clientOnDay(facts, day);
  const frequencies: Record<string, string> = {};
  for (const { agency, frequency, from } of recorded) if (from <= day) frequencies[agency] ??= frequency;
  return { employer: { ...employerOf(employer), frequencies }, choices: choicesOf(forms) };
}
