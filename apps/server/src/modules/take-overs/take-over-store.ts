import { Inject, Injectable } from '@nestjs/common';
import { takeOverDifferences, type Difference } from '@zakat/core/take-over/differences';
import { readBalances, type Balance, type KnownPerson, type ReadBalances } from '@zakat/core/take-over/read-balances';
import type { BalanceScope } from '@zakat/core/take-over/columns';
import type { ReportedFigure } from '@zakat/core/take-over/reported';
import type { TakeOverStatus } from '@zakat/contract/take-overs';
import type { EntityManager } from 'typeorm';
import { Secrets } from '../../database/secrets.js';
import { conflict, notFound } from '../../http/refusal.js';
import type { Client } from '../clients/index.js';
import { Clock } from '../clock/index.js';
import { Employee, fullName } from '../employees/index.js';
import { BalanceScopes } from './balance-scope.js';

export interface StoredTakeOver {
  readonly id: string;
  readonly client_id: string;
  readonly year: number;
  readonly status: TakeOverStatus;
  readonly version: number;
  readonly file_name: string;
  readonly table_cipher: Buffer | null;
  readonly mapping: string[];
  readonly reported: ReportedFigure[];
  /** What was accepted; null before. */
  readonly balances: Balance[] | null;
  readonly by: string;
  readonly created_at: Date;
}
/** A take-over as it reads now: its table, the rows, what does not tie out and what was let pass. */
export interface Reading {
  readonly headings: readonly string[];
  readonly scope: BalanceScope | null;
  readonly read: ReadBalances;
  readonly balances: readonly Balance[];
  readonly differences: readonly Difference[];
  readonly passes: ReadonlyMap<string, string>;
  readonly tiesOut: boolean;
}

/** Where take-overs are kept and read. */
@Injectable()
export class TakeOverStore {
  constructor(
    @Inject(Secrets) private readonly secrets: Secrets,
    @Inject(Clock) private readonly clock: Clock,
    @Inject(BalanceScopes) private readonly scopes: BalanceScopes,
  ) {}

  async find(manager: EntityManager, id: string): Promise<StoredTakeOver> {
    const rows = (await manager.query(
      'SELECT t.*, u.name AS by FROM take_over t JOIN app_user u ON u.id = t.created_by WHERE t.id = $1',
      [id],
    )) as StoredTakeOver[];
    const row = rows[0];
    if (!row) throw notFound('take-over');
    return row;
  }

  tableOf(stored: StoredTakeOver): string[][] {
    return stored.table_cipher ? (JSON.parse(this.secrets.open(stored.table_cipher)) as string[][]) : [];
  }

  async read(manager: EntityManager, client: Client, stored: StoredTakeOver): Promise<Reading> {
    const table = this.tableOf(stored);
    const isOpen = stored.status === 'open';
    const today = await this.clock.today(manager);
    const scope = isOpen ? await this.scopes.of(manager, client, today) : null;
    const read: ReadBalances =
      scope && table.length > 0
        ? readBalances(
            { table, mapping: stored.mapping },
            { year: stored.year, today, items: scope.items, ...(await this.people(manager, client)) },
          )
        : { issues: [], rows: [] };
    const balances = stored.balances ?? read.rows.flatMap((row) => (row.balance ? [row.balance] : []));
    const differences = takeOverDifferences(balances, stored.reported);
    const passes = await this.passes(manager, stored.id);
    const isRead = read.issues.length === 0 && read.rows.length > 0 && read.rows.every((row) => row.balance !== null);
    return {
      headings: table[0] ?? [],
      scope,
      read,
      balances,
      differences,
      passes,
      tiesOut: isRead && differences.every(({ issue, key }) => issue.severity === 'warning' || passes.has(key)),
    };
  }

  /** Changes an open take-over that is still as the person saw it. */
  async change(
    manager: EntityManager,
    stored: StoredTakeOver,
    version: number,
    set: Readonly<Record<string, unknown>>,
  ): Promise<void> {
    const names = Object.keys(set);
    const [, count] = (await manager.query(
      `UPDATE take_over SET version = version + 1${names.map((name, index) => `, ${name} = $${index + 3}`).join('')} WHERE id = $1 AND version = $2 AND status = 'open'`,
      [stored.id, version, ...Object.values(set)],
    )) as [unknown, number];
    if (count !== 1)
      throw conflict(
        stored.status === 'open'
          ? 'Somebody changed these balances meanwhile. Look again before you act.'
          : `These balances are ${stored.status}; they can no longer be changed.`,
      );
  }

  private async people(
    manager: EntityManager,
    client: Client,
  ): Promise<{ people: KnownPerson[]; bySsn: (ssn: string) => KnownPerson | null }> {
    const rows = await manager.find(Employee, { where: { clientId: client.id, kind: 'employee', isWithdrawn: false } });
    const people = rows.map((row) => ({ id: row.id, number: row.number, name: fullName(row) }));
    const marks = new Map(rows.map((row, index) => [row.ssnMark.toString('hex'), people[index]]));
    return { people, bySsn: (ssn) => marks.get(this.secrets.mark(ssn).toString('hex')) ?? null };
  }

  private async passes(manager: EntityManager, id: string): Promise<Map<string, string>> {
    const rows = (await manager.query('SELECT difference, reason FROM take_over_pass WHERE take_over_id = $1', [
      id,
    ])) as { difference: string; reason: string }[];
    return new Map(rows.map((row) => [row.difference, row.reason]));
  }
}
