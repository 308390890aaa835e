import { Inject, Injectable } from '@nestjs/common';
import type { JobCostOfPeriod } from '@zakat/contract/payrolls';
import { rawCents } from '../../database/cents-column.js';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { daysOf, type Period } from '../../http/period.js';
import { findClient } from '../clients/index.js';

interface Row {
  readonly job: string;
  readonly people: number;
  readonly gross: string;
  readonly taxes: string;
  readonly paid: string;
}

/** What the posted payrolls of a period cost a client, by job or customer. */
@Injectable()
export class JobCostsService {
  constructor(@Inject(FirmDatabase) private readonly database: FirmDatabase) {}

  /** What belongs to no job comes last. Empty where nothing of the period is booked to a job. */
  of(actor: Actor, clientId: string, period: Period): Promise<JobCostOfPeriod[]> {
    return this.database.run(actor, async (manager) => {
      await findClient(manager, clientId);
      const { from, to } = daysOf(period);
      // A check that names no job was posted without any.
      const rows = (await manager.query(
        `WITH posted AS (
           SELECT c.id, c.employee_id, c.gross, c.lines FROM paycheck c JOIN payroll p ON p.id = c.payroll_id
           WHERE c.client_id = $1 AND c.check_date BETWEEN $2 AND $3 AND p.kind <> 'brought-in'
         ), booked AS (
           SELECT c.employee_id, j.job, j.gross, j."employerTaxes" AS taxes, j."employerPaid" AS paid
           FROM posted c, jsonb_to_recordset(c.lines -> 'jobs') AS j(job text, gross bigint, "employerTaxes" bigint, "employerPaid" bigint)
           UNION ALL
           SELECT c.employee_id, '', c.gross,
             coalesce((SELECT sum(t.amount) FROM paycheck_tax t WHERE t.paycheck_id = c.id AND t.payer = 'employer'), 0),
             coalesce((SELECT sum(e.amount) FROM jsonb_to_recordset(c.lines -> 'employerPaid') AS e(amount bigint)), 0)
           FROM posted c WHERE NOT c.lines ? 'jobs'
         )
         SELECT job, count(DISTINCT employee_id)::int AS people, sum(gross)::bigint AS gross, sum(taxes)::bigint AS taxes, sum(paid)::bigint AS paid
         FROM booked GROUP BY job ORDER BY job = '', job`,
        [clientId, from, to],
      )) as Row[];
      if (rows.every((row) => row.job === '')) return [];
      return rows.map(({ job, people, gross, taxes, paid }) => ({
        job,
        people,
        gross: rawCents(gross),
        employerTaxes: rawCents(taxes),
        employerPaid: rawCents(paid),
      }));
    });
  }
}
