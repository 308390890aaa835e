import { Injectable } from '@nestjs/common';
import { date, type LocalDate } from '@zakat/core/calendar/local-date';
import { firstDayOf, lastDayOf, quarterOf } from '@zakat/core/calendar/quarter';
import type { DatedAmount } from '@zakat/core/deposits/federal-schedule';
import {
  federalDeposits,
  lookbackQuarters,
  scheduleOfYear,
  type FederalDeposits,
  type Scheduled,
} from '@zakat/core/deposits/schedules';
import { text, type FactValue } from '@zakat/core/facts/fact-kind';
import { ZERO, cents, parseDollars, sum, type Cents } from '@zakat/core/money/cents';
import type { EntityManager } from 'typeorm';
import { rawCents } from '../../database/cents-column.js';
import type { Client } from '../clients/entities.js';

const QUARTER_FIELDS = ['q3', 'q4', 'q1', 'q2'] as const;
/** Taxes of Form 941: federal ones but for unemployment. */
const OF_FORM_941 = `l.cause IN ('payroll','reversal') AND l.tax LIKE 'US-%' AND l.tax <> 'US-FUTA'`;
const LONG_AGO = date('1900-01-01');

type Whose = Pick<Client, 'id' | 'lookbackAmount'>;
interface Known {
  readonly lookbacks: readonly FactValue[];
  readonly firstWages: string;
  readonly firstLiability: string | null;
}

/** The federal deposit schedule of clients: by year from the lookback, and from the day 100,000 are reached. */
@Injectable()
export class DepositSchedules {
  /** The schedule with which a year begins, for many clients at once. */
  async ofYear(manager: EntityManager, clients: readonly Whose[], year: number): Promise<Map<string, Scheduled>> {
    const known = await this.known(
      manager,
      clients.map((client) => client.id),
    );
    const [first] = lookbackQuarters(year);
    const from = first ? firstDayOf(first) : LONG_AGO;
    // Only where the ledger goes far enough back are its amounts looked at.
    const complete = clients.filter((client) => {
      const since = completeFrom(known.get(client.id));
      return since !== null && first !== undefined && since <= lastDayOf(first);
    });
    const sums = await this.quarters(
      manager,
      complete.map((client) => client.id),
      from,
    );
    return new Map(
      clients.map((client) => [client.id, startOf(client, known.get(client.id), sums.get(client.id) ?? [], year)]),
    );
  }

  /** The deposit periods of one client. */
  async of(manager: EntityManager, client: Whose): Promise<FederalDeposits> {
    const known = (await this.known(manager, [client.id])).get(client.id);
    const rows = (await manager.query(
      // A whole quarter brought in on one day says nothing about what accumulated in a deposit period.
      `SELECT l.liability_date, p.kind = 'brought-in' AND p.period_start <> p.check_date AS is_quarter, sum(l.amount)::bigint AS amount
       FROM ledger_entry l JOIN payroll p ON p.id = l.payroll_id WHERE l.client_id = $1 AND ${OF_FORM_941} GROUP BY 1, 2 ORDER BY 1`,
      [client.id],
    )) as { liability_date: string; is_quarter: boolean; amount: string }[];
    const amounts = rows.map((row) => ({ ...row, date: date(row.liability_date), amount: cents(Number(row.amount)) }));
    return federalDeposits(
      amounts.filter((row) => !row.is_quarter),
      (year) => startOf(client, known, amounts, year),
    );
  }

  private async known(manager: EntityManager, ids: readonly string[]): Promise<Map<string, Known>> {
    const facts = (await manager.query(
      `SELECT client_id, kind, value FROM client_fact WHERE client_id = ANY($1) AND kind IN ('lookback','employer') ORDER BY effective_from DESC, id DESC`,
      [ids],
    )) as { client_id: string; kind: string; value: FactValue }[];
    const first = (await manager.query(
      `SELECT c.id, f.liability_date AS day FROM unnest($1::uuid[]) AS c(id) LEFT JOIN LATERAL
         (SELECT liability_date FROM ledger_entry WHERE client_id = c.id ORDER BY liability_date LIMIT 1) f ON true`,
      [ids],
    )) as { id: string; day: string | null }[];
    return new Map(
      first.map(({ id, day }) => {
        const own = facts.filter((fact) => fact.client_id === id);
        return [
          id,
          {
            lookbacks: own.filter((fact) => fact.kind === 'lookback').map((fact) => fact.value),
            firstWages: text(own.find((fact) => fact.kind === 'employer')?.value ?? {}, 'firstWages'),
            firstLiability: day,
          },
        ];
      }),
    );
  }

  private async quarters(
    manager: EntityManager,
    ids: readonly string[],
    from: LocalDate,
  ): Promise<Map<string, DatedAmount[]>> {
    const found = new Map<string, DatedAmount[]>();
    if (ids.length === 0) return found;
    const rows = (await manager.query(
      `SELECT l.client_id, date_trunc('quarter', l.liability_date)::date AS day, sum(l.amount)::bigint AS amount
       FROM ledger_entry l WHERE l.client_id = ANY($1) AND l.liability_date >= $2 AND ${OF_FORM_941} GROUP BY 1, 2`,
      [ids, from],
    )) as { client_id: string; day: string; amount: string }[];
    for (const row of rows)
      found.set(row.client_id, [
        ...(found.get(row.client_id) ?? []),
        { date: date(row.day), amount: rawCents(row.amount) },
      ]);
    return found;
  }
}

/** Since when the ledger has everything: always, where it has the first wages that were ever paid. */
function completeFrom(known: Known | undefined): LocalDate | null {
  if (!known?.firstLiability) return null;
  const first = date(known.firstLiability);
  if (known.firstWages === '') return first;
  return first <= lastDayOf(quarterOf(date(known.firstWages))) ? LONG_AGO : first;
}

function startOf(
  client: Whose,
  known: Known | undefined,
  liabilities: readonly DatedAmount[],
  year: number,
): Scheduled {
  const entered = known?.lookbacks.find((value) => text(value, 'year') === String(year));
  return scheduleOfYear(year, {
    entered: entered ? amountOf(entered) : null,
    liabilities,
    completeFrom: completeFrom(known),
    otherwise: client.lookbackAmount,
  });
}

const amountOf = (lookback: FactValue): Cents =>
  sum(QUARTER_FIELDS.map((name) => parseDollars(text(lookback, name)) ?? ZERO));
