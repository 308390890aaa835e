import { Inject, Injectable, Logger, type OnApplicationShutdown } from '@nestjs/common';
import type { LadderView, Rung } from '@zakat/contract/filings';
import { addDays, type LocalDate } from '@zakat/core/calendar/local-date';
import { sum, type Cents } from '@zakat/core/money/cents';
import type { EntityManager } from 'typeorm';
import { rawCents } from '../../database/cents-column.js';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { Client, toldApart } from '../clients/index.js';
import { Clock } from '../clock/index.js';
import { AgendaRungs, type KeptRung } from './agenda-rungs.js';

const logger = new Logger('ladder');

/** Clients worked out again in one transaction: about as many as a look can wait for. */
const AT_ONCE = 25;
const MOST_RUNGS = 5000;
/** Six weeks. */
const RUNWAY_DAYS = 42;
const IS_SHOWN =
  '(r.shown_from IS NULL OR r.shown_from <= $1::date) AND (r.shown_until IS NULL OR r.shown_until >= $1::date)';
const IS_ASKED =
  '($2::date IS NULL OR COALESCE(r.send_by, $1) >= $2::date) AND ($3::date IS NULL OR COALESCE(r.send_by, $1) <= $3::date)';

type Read = Omit<LadderView, 'waiting'>;
/** Pages that are remembered at a time. */
const MOST_READS = 300;

/** Rungs to send from one day to another, and how many of them at most. */
export interface AskedRungs {
  readonly from: string | null;
  readonly to: string | null;
  readonly count: number;
}

interface Row {
  readonly client_id: string;
  readonly key: string;
  readonly kind: Rung['kind'];
  readonly title: string;
  readonly send_by: string | null;
  readonly due: string | null;
  readonly amount: string | null;
  readonly standing: string;
  readonly move: string;
  readonly path: string;
  readonly late_after: string | null;
  readonly legal_name: string;
}

/**
 * Every obligation of the firm in the order of its send-by moment. The rungs of a client are kept in a table and worked out
 * again only when something about the client has changed, which the database itself writes down.
 */
@Injectable()
export class LadderService implements OnApplicationShutdown {
  private readonly underWay = new Set<string>();
  private readonly reads = new Map<string, Read>();
  private isEnding = false;

  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(AgendaRungs) private readonly agenda: AgendaRungs,
    @Inject(Clock) private readonly clock: Clock,
  ) {}

  /** Works out what changed, as far as one look can wait; what is left goes on behind it, and the view says how much. */
  async view(actor: Actor, asked: AskedRungs): Promise<LadderView> {
    const { key, read, waiting } = await this.database.run(actor, async (manager) => {
      await this.refresh(manager, actor);
      return { ...(await this.known(manager, actor, asked)), waiting: await this.staleCount(manager) };
    });
    // Only what was committed has this version.
    if (this.reads.size >= MOST_READS) this.reads.clear();
    this.reads.set(key, read);
    if (waiting > 0) void this.goOn(actor);
    return { ...read, waiting };
  }

  /** Works out what changed, as `view` does; answers with how many clients are left to the work behind it. */
  async freshen(actor: Actor): Promise<number> {
    const waiting = await this.database.run(actor, async (manager) => {
      await this.refresh(manager, actor);
      return this.staleCount(manager);
    });
    if (waiting > 0) void this.goOn(actor);
    return waiting;
  }

  onApplicationShutdown(): void {
    this.isEnding = true;
  }

  /** Works out the clients that are left, a few in a transaction; one at a time for each firm. */
  private async goOn(actor: Actor): Promise<void> {
    if (this.underWay.has(actor.firmId)) return;
    this.underWay.add(actor.firmId);
    try {
      while (!this.isEnding && (await this.database.run(actor, (manager) => this.refresh(manager, actor))) > 0);
    } catch (error) {
      // Nothing is lost: the next look goes on from where this ended.
      if (!this.isEnding) logger.warn(`the ladder was not worked out to its end: ${String(error)}`);
    } finally {
      this.underWay.delete(actor.firmId);
    }
  }

  private async staleCount(manager: EntityManager): Promise<number> {
    const rows = (await manager.query('SELECT count(DISTINCT client_id)::int AS count FROM agenda_stale')) as {
      count: number;
    }[];
    return rows[0]?.count ?? 0;
  }

  /** Works out some of the clients that changed and that nobody else is at; answers with how many they were. */
  private async refresh(manager: EntityManager, actor: Actor): Promise<number> {
    const stale = (await manager.query(
      `SELECT client_id FROM agenda_stale GROUP BY client_id ORDER BY client_id LIMIT $1`,
      [AT_ONCE],
    )) as { client_id: string }[];
    let count = 0;
    for (const { client_id: id } of stale) {
      // Whoever looks while another works a client out does not wait for it: the view says that it is waiting.
      const [lock] = (await manager.query('SELECT pg_try_advisory_xact_lock(hashtextextended($1, 0)) AS is_mine', [
        `agenda ${id}`,
      ])) as { is_mine: boolean }[];
      if (!lock?.is_mine) continue;
      const [, told] = (await manager.query('DELETE FROM agenda_stale WHERE client_id = $1', [id])) as [
        unknown,
        number,
      ];
      if (told === 0) continue;
      count += 1;
      const client = await manager.findOneBy(Client, { id });
      // A client that was removed has nothing left to do.
      await this.keep(manager, actor, id, client ? await this.agenda.of(manager, client) : []);
    }
    // At the end, since whoever else is working rungs out waits for it.
    if (count > 0)
      await manager.query(
        'INSERT INTO agenda_version (firm_id, version) VALUES ($1, 1) ON CONFLICT (firm_id) DO UPDATE SET version = agenda_version.version + 1',
        [actor.firmId],
      );
    return count;
  }

  private async keep(
    manager: EntityManager,
    actor: Actor,
    clientId: string,
    rungs: readonly KeptRung[],
  ): Promise<void> {
    await manager.query('DELETE FROM agenda_rung WHERE client_id = $1', [clientId]);
    if (rungs.length === 0) return;
    await manager.query(
      `INSERT INTO agenda_rung (firm_id, client_id, key, kind, title, send_by, due, amount, standing, move, path, shown_from, shown_until, late_after)
       SELECT $1, $2, r.key, r.kind, r.title, r."sendBy", r.due, r.amount, r.standing, r.move, r.path, r."shownFrom", r."shownUntil", r."lateAfter"
       FROM jsonb_to_recordset($3::jsonb) AS r(key text, kind text, title text, "sendBy" date, due date, amount bigint, standing text, move text, path text, "shownFrom" date, "shownUntil" date, "lateAfter" date)`,
      [actor.firmId, clientId, JSON.stringify(rungs)],
    );
  }

  /** What was asked for before of the same version is not read again. */
  private async known(manager: EntityManager, actor: Actor, asked: AskedRungs): Promise<{ key: string; read: Read }> {
    const today = await this.clock.today(manager);
    // Read before the rungs: they may be newer than it says, and never older.
    const [row] = (await manager.query('SELECT version FROM agenda_version')) as { version: string }[];
    const key = [actor.firmId, row?.version ?? '0', today, asked.from, asked.to, asked.count].join(' ');
    return { key, read: this.reads.get(key) ?? (await this.read(manager, today, asked)) };
  }

  private async read(manager: EntityManager, today: LocalDate, asked: AskedRungs): Promise<Read> {
    const days = [today, asked.from, asked.to];
    const count = Math.max(0, Math.trunc(Math.min(asked.count, MOST_RUNGS)));
    const rows = (await manager.query(
      // The page is cut by the day first, and only its rungs ask for the names of their clients.
      `SELECT r.client_id, r.key, r.kind, r.title, r.send_by, r.due, r.amount, r.standing, r.move, r.path, r.late_after,
         (SELECT c.legal_name FROM client c WHERE c.id = r.client_id) AS legal_name
       FROM (SELECT * FROM agenda_rung r WHERE ${IS_SHOWN} AND ${IS_ASKED} ORDER BY COALESCE(r.send_by, $1) FETCH FIRST ${count} ROWS WITH TIES) r
       ORDER BY COALESCE(r.send_by, $1), legal_name, r.key LIMIT ${count}`,
      days,
    )) as Row[];
    const { count: all, out, runway } = await this.totals(manager, today, days);
    const names = await this.namesAmong(
      manager,
      rows.map((row) => row.legal_name),
    );
    return {
      rungs: rows.map((row) => ({
        key: row.key,
        kind: row.kind,
        clientId: row.client_id,
        clientName: names.get(row.client_id) ?? '',
        title: row.title,
        sendBy: row.send_by,
        due: row.due,
        amount: row.amount === null ? null : rawCents(row.amount),
        standing: row.standing,
        move: row.move,
        isLate: row.late_after !== null && today > row.late_after,
        path: row.path,
      })),
      count: all,
      out,
      days: runway,
    };
  }

  /** What was asked for, and what each day of the runway has: one pass over the rungs, gathered by their due dates. */
  private async totals(
    manager: EntityManager,
    today: LocalDate,
    days: readonly (string | null)[],
  ): Promise<{ count: number; out: Cents; runway: LadderView['days'] }> {
    const rows = (await manager.query(
      `SELECT r.due, (count(*) FILTER (WHERE ${IS_ASKED}))::int AS count, COALESCE(sum(r.amount) FILTER (WHERE ${IS_ASKED}), 0)::text AS asked,
         COALESCE(sum(r.amount) FILTER (WHERE r.kind = 'deposit'), 0)::text AS out, (count(*) FILTER (WHERE r.kind <> 'deposit'))::int AS others
       FROM agenda_rung r WHERE ${IS_SHOWN} GROUP BY r.due ORDER BY r.due`,
      [...days],
    )) as { due: string | null; count: number; asked: string; out: string; others: number }[];
    const last = addDays(today, RUNWAY_DAYS - 1);
    return {
      count: rows.reduce((total, row) => total + row.count, 0),
      out: sum(rows.map((row) => rawCents(row.asked))),
      runway: rows.flatMap(({ due, out, others }) =>
        due !== null && due >= today && due <= last ? [{ day: due, out: rawCents(out), others }] : [],
      ),
    };
  }

  /** Names of the clients of some rows, told apart from every other client of the same name. */
  async namesOf(
    manager: EntityManager,
    rows: readonly { readonly client_id: string }[],
  ): Promise<ReadonlyMap<string, string>> {
    const found = (await manager.query('SELECT legal_name FROM client WHERE id = ANY($1::uuid[])', [
      [...new Set(rows.map((row) => row.client_id))],
    ])) as { legal_name: string }[];
    return this.namesAmong(
      manager,
      found.map((row) => row.legal_name),
    );
  }

  private async namesAmong(
    manager: EntityManager,
    legalNames: readonly string[],
  ): Promise<ReadonlyMap<string, string>> {
    const clients = (await manager.query(
      `SELECT id, key, legal_name AS "legalName", trade_name AS "tradeName" FROM client WHERE legal_name = ANY($1::text[])`,
      [[...new Set(legalNames)]],
    )) as Client[];
    return new Map(toldApart(clients).map((client) => [client.id, client.legalName]));
  }
}
