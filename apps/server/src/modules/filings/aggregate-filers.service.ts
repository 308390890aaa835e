import { Inject, Injectable } from '@nestjs/common';
import { text } from '@zakat/core/facts/fact-kind';
import { clientOnDay } from '@zakat/core/facts/on-day';
import type { FilingPeriod } from '@zakat/core/filings/period';
import { kindOf } from '@zakat/core/filings/registry';
import { ALLOCATED, allocation, type ClientOfAgent } from '@zakat/core/filings/us-schedule-r';
import { showEin } from '@zakat/core/identity/numbers';
import { toDollars } from '@zakat/core/money/cents';
import type { EntityManager } from 'typeorm';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { conflict } from '../../http/refusal.js';
import { Client } from '../clients/index.js';
import { FactStore } from '../facts/index.js';
import { writeTable } from '../tables/index.js';
import { FilingSource } from './filing-source.js';
import { quarterAsked } from './quarter-asked.js';

interface Agent {
  readonly name: string;
  readonly clients: readonly ClientOfAgent[];
}

/** The figures of Schedule R (Form 941): what the clients of each agent come to in a quarter, and their sums. */
@Injectable()
export class AggregateFilers {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(FactStore) private readonly store: FactStore,
    @Inject(FilingSource) private readonly source: FilingSource,
  ) {}

  /** A row a client and the sum of each agent, as CSV. The ledger of now is read; nothing is kept. */
  async table(actor: Actor, quarter: string): Promise<{ name: string; content: Buffer }> {
    const period = quarterAsked(quarter);
    const agents = await this.database.run(actor, (manager) => this.agents(manager, period));
    if (agents.length === 0)
      throw conflict('No client has an agent that files an aggregate Form 941. It is recorded under its Setup.');
    const rows = agents.flatMap(({ name, clients }) => {
      const { rows: own, totals } = allocation(clients);
      const shown = (amounts: typeof totals): string[] =>
        amounts.map((amount, index) => (ALLOCATED[index]?.isCount ? String(amount) : toDollars(amount)));
      return [
        ...own.map((row) => [name, showEin(row.ein), row.name, ...shown(row.amounts)]),
        [name, '', 'Aggregate Form 941', ...shown(totals)],
      ];
    });
    const columns = ['Agent', 'EIN', 'Client', ...ALLOCATED.map(({ line, label }) => `${label}, line ${line}`)];
    return { name: `schedule-r-${quarter}.csv`, content: await writeTable([columns, ...rows], 'csv') };
  }

  private async agents(manager: EntityManager, period: FilingPeriod): Promise<Agent[]> {
    const facts = await this.store.ofClients(manager, ['aggregate-filer']);
    const found = new Map<string, ClientOfAgent[]>();
    const kind = kindOf('us-941');
    for (const client of await manager.find(Client, { order: { legalName: 'ASC' } })) {
      const { aggregateFiler } = clientOnDay(facts.get(client.id) ?? [], period.end);
      if (!aggregateFiler || text(aggregateFiler, 'standing') !== 'approved') continue;
      const name = text(aggregateFiler, 'agent');
      const input = await this.source.input(manager, client, kind, period, { entered: {}, answers: {} });
      const lines = kind.lines(kind.compute(input));
      found.set(name, [...(found.get(name) ?? []), { ein: client.ein, name: client.legalName, lines }]);
    }
    return [...found].map(([name, clients]) => ({ name, clients }));
  }
}
