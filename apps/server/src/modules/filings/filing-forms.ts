import { Inject, Injectable } from '@nestjs/common';
import type { EfileDuty, FormOwed } from '@zakat/contract/filings';
import { EFILE_FROM, EFILE_SOURCE, expectedReturns, mustEfile } from '@zakat/core/filings/efile-duty';
import { periodKey, periodsOfYear } from '@zakat/core/filings/period';
import { FILING_KINDS, filesKind } from '@zakat/core/filings/registry';
import type { EntityManager } from 'typeorm';
import { type Client, formsOnDay, recordedFrequencies } from '../clients/index.js';
import { Clock } from '../clock/index.js';
import { FactStore } from '../facts/index.js';
import { filedElsewhere } from '../filed-elsewhere/index.js';
import { Filing, titleOf } from '../filing-records/index.js';
import { isPaid, NOTHING_PAID, paidMonths } from './paid-months.js';

/** The forms of a client: which it files, for which periods it owes one, and how each stands. */
@Injectable()
export class FilingForms {
  constructor(
    @Inject(FactStore) private readonly store: FactStore,
    @Inject(Clock) private readonly clock: Clock,
  ) {}

  /** Every form and period of a year that has begun and for which something was paid, or which somebody began. */
  async ofYear(manager: EntityManager, client: Client, year: number): Promise<FormOwed[]> {
    const today = await this.clock.today(manager);
    const facts = await this.store.ofClient(manager, client.id);
    const filings = await manager.find(Filing, { where: { clientId: client.id }, order: { sequence: 'ASC' } });
    const elsewhere = await filedElsewhere(manager, client.id);
    const paid = (await paidMonths(manager, year, client.id)).get(client.id) ?? NOTHING_PAID;
    const recorded = (await recordedFrequencies(manager, client.id)).get(client.id) ?? [];
    const begun = new Set(filings.map((one) => one.kind));
    // A correction is among them once it is begun.
    return FILING_KINDS.filter(({ code, corrects }) => corrects === undefined || begun.has(code))
      .flatMap((kind) =>
        periodsOfYear(kind.period, year).flatMap((period): FormOwed[] => {
          const filing = filings.findLast((one) => one.kind === kind.code && one.periodStart === period.start);
          // What no paycheck shows is owed by whoever says so.
          const asksNoLedger = kind.owedFor.length === 0 && kind.corrects === undefined && today > period.start;
          if (filing === undefined && !asksNoLedger && !isPaid(paid, kind.owedFor, period)) return [];
          const { employer, choices } = formsOnDay(facts, period.end, recorded);
          const files = filesKind(kind, employer, choices);
          // A return that another one stands in for is not worth a line.
          const isElsewhereReported =
            !files.is &&
            kind.owedFor.every((group) =>
              FILING_KINDS.some(
                (other) =>
                  other.tieOut.station === kind.tieOut.station &&
                  other.owedFor.includes(group) &&
                  filesKind(other, employer, choices).is,
              ),
            );
          if (filing === undefined && isElsewhereReported) return [];
          return [
            {
              kind: kind.code,
              title: titleOf(kind, period),
              noun: kind.noun,
              period: periodKey(period),
              periodEnd: period.end,
              due: kind.due(period).due,
              isOver: today > period.end,
              files: files.is || kind.corrects !== undefined,
              why: files.why,
              isElsewhere: elsewhere.some((one) => one.kind === kind.code && one.period.start === period.start),
              filingId: filing?.id ?? null,
              status: filing?.status ?? null,
            },
          ];
        }),
      )
      .sort((a, b) => (a.due < b.due ? -1 : a.due > b.due ? 1 : 0));
  }

  /** The federal returns that are expected to fall due in the year after this one, counted over all kinds. */
  async duty(manager: EntityManager, client: Client, year: number): Promise<EfileDuty> {
    const facts = await this.store.ofClient(manager, client.id);
    const { employer, choices } = formsOnDay(facts, `${year}-12-31`);
    const paid = (await paidMonths(manager, year, client.id)).get(client.id) ?? NOTHING_PAID;
    const whole = { start: `${year}-01-01`, end: `${year}-12-31` };
    const kinds = FILING_KINDS.filter(
      (kind) =>
        kind.corrects === undefined &&
        filesKind(kind, employer, choices).is &&
        (kind.owedFor.length === 0 || isPaid(paid, kind.owedFor, whole)),
    );
    const [row] = (await manager.query(
      `SELECT count(DISTINCT employee_id)::int AS people FROM standing_paycheck WHERE client_id = $1 AND check_date BETWEEN $2 AND $3`,
      [client.id, whole.start, whole.end],
    )) as { people: number }[];
    const returns = expectedReturns(kinds, row?.people ?? 0);
    const { source, doubt = '' } = EFILE_SOURCE;
    return {
      year: year + 1,
      returns,
      total: returns.reduce((total, { count }) => total + count, 0),
      from: EFILE_FROM,
      mustEfile: mustEfile(returns),
      rule: `${typeof source === 'string' ? source : source.title}. ${doubt}`,
    };
  }
}
