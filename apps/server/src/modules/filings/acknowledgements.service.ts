import { Inject, Injectable } from '@nestjs/common';
import type { FilingPeriod } from '@zakat/core/filings/period';
import { kindOf } from '@zakat/core/filings/registry';
import { showDollars, type Cents } from '@zakat/core/money/cents';
import type { EntityManager } from 'typeorm';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { conflict } from '../../http/refusal.js';
import { periodOf, titleOf } from '../filing-records/index.js';
import { writeTable } from '../tables/index.js';
import { quarterAsked } from './quarter-asked.js';

interface Sent {
  readonly kind: string;
  readonly periodStart: string;
  readonly client: string;
  readonly attempt: number;
  readonly submissionId: string | null;
  readonly at: string;
  readonly stage: string;
  readonly code: string | null;
  readonly message: string;
}
const COLUMNS = [
  'Agency',
  'Client',
  'Return',
  'Attempt',
  'Submission',
  'At (UTC)',
  'Answer',
  'Code',
  'Message',
] as const;

/** What the agencies have answered to the returns of a quarter, each transmission with every answer, in the order in which they came. */
@Injectable()
export class Acknowledgements {
  constructor(@Inject(FirmDatabase) private readonly database: FirmDatabase) {}

  async table(actor: Actor, quarter: string): Promise<{ name: string; content: Buffer }> {
    const period = quarterAsked(quarter);
    const sent = await this.database.run(actor, (manager) => sentIn(manager, period));
    if (sent.length === 0) throw conflict('No return of this quarter was sent from here.');
    const rows = sent.map((one) => {
      const kind = kindOf(one.kind);
      return [
        kind.agency.name,
        one.client,
        titleOf(kind, periodOf(one)),
        String(one.attempt),
        one.submissionId ?? '',
        one.at,
        one.stage,
        one.code ?? '',
        one.message,
      ];
    });
    return { name: `acknowledgements-${quarter}.csv`, content: await writeTable([COLUMNS, ...rows], 'csv') };
  }
}

const sentIn = (manager: EntityManager, { start, end }: FilingPeriod): Promise<Sent[]> =>
  manager.query(
    `SELECT f.kind, f.period_start AS "periodStart", c.legal_name AS client, e.attempt, f.submission_id AS "submissionId",
       to_char(e.at AT TIME ZONE 'UTC', 'YYYY-MM-DD HH24:MI:SS') AS at, e.stage, e.code, e.message
     FROM filing_event e JOIN filing f ON f.id = e.filing_id JOIN client c ON c.id = f.client_id
     WHERE f.period_end BETWEEN $1 AND $2 AND f.document_id IS NOT NULL ORDER BY c.legal_name, f.kind, f.period_start, e.id`,
    [start, end],
  );

/** What goes to each agency: how many returns, and what they come to. */
export function controlTotals(
  returns: readonly { readonly agency: string; readonly amount: Cents }[],
): { readonly label: string; readonly value: string }[] {
  const byAgency = new Map<string, { count: number; amount: number }>();
  for (const { agency, amount } of returns) {
    const own = byAgency.get(agency) ?? { count: 0, amount: 0 };
    byAgency.set(agency, { count: own.count + 1, amount: own.amount + amount });
  }
  return [...byAgency].map(([agency, { count, amount }]) => ({
    label: `Control total, ${agency}`.slice(0, 200),
    value: `${count} ${count === 1 ? 'return' : 'returns'}, ${showDollars(amount as Cents)}`,
  }));
}
