import { Inject, Injectable } from '@nestjs/common';
import type {
  PassDifference,
  ReportedFigureInput,
  SaveReported,
  TakeOverRow,
  TakeOverView,
  UploadBalances,
} from '@zakat/contract/take-overs';
import { parseDate } from '@zakat/core/calendar/local-date';
import { lastDayOf } from '@zakat/core/calendar/quarter';
import { problem, sentence, type Issue } from '@zakat/core/issues/issue';
import { cents, sum } from '@zakat/core/money/cents';
import { formColumns, proposeBalanceMapping } from '@zakat/core/take-over/columns';
import type { ReportedFigure } from '@zakat/core/take-over/reported';
import { randomUUID } from 'node:crypto';
import type { EntityManager } from 'typeorm';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { Secrets } from '../../database/secrets.js';
import { Refusal, conflict, refuse, refuseField } from '../../http/refusal.js';
import { Executor } from '../../state-machines/executor.js';
import { TAKE_OVER_MACHINE } from '../../state-machines/machine.js';
import { Audit } from '../audit/index.js';
import { findClient } from '../clients/index.js';
import { Clock } from '../clock/index.js';
import { Employee, fullName } from '../employees/index.js';
import { readTable, type TableFormat, writeTable } from '../tables/index.js';
import { BalanceScopes } from './balance-scope.js';
import { BringIn } from './bring-in.js';
import { TakeOverViews, rowOf } from './take-over-view.js';
import { TakeOverStore, type Reading, type StoredTakeOver } from './take-over-store.js';

const QUARTERS = [1, 2, 3, 4] as const;

/** Balances and deposits of the year from a former provider: gathered, compared, and counted once they tie out. */
@Injectable()
export class TakeOversService {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(TakeOverStore) private readonly store: TakeOverStore,
    @Inject(BalanceScopes) private readonly scopes: BalanceScopes,
    @Inject(TakeOverViews) private readonly views: TakeOverViews,
    @Inject(BringIn) private readonly bringIn: BringIn,
    @Inject(Executor) private readonly executor: Executor,
    @Inject(Audit) private readonly audit: Audit,
    @Inject(Clock) private readonly clock: Clock,
    @Inject(Secrets) private readonly secrets: Secrets,
  ) {}

  list(actor: Actor, clientId: string): Promise<TakeOverRow[]> {
    return this.database.run(actor, async (manager) => {
      await findClient(manager, clientId);
      const rows = (await manager.query(
        `SELECT t.id, t.year, t.status, t.file_name, u.name AS by, t.created_at FROM take_over t JOIN app_user u ON u.id = t.created_by WHERE t.client_id = $1 AND t.status <> 'discarded' ORDER BY t.created_at DESC`,
        [clientId],
      )) as StoredTakeOver[];
      return rows.map(rowOf);
    });
  }

  create(actor: Actor, clientId: string, year: number): Promise<TakeOverView> {
    return this.database.run(actor, async (manager) => {
      await findClient(manager, clientId);
      const today = await this.clock.today(manager);
      if (year > Number(today.slice(0, 4)))
        throw refuseField(
          'year',
          `The year ${year} has not begun.`,
          'Bring in balances of this year or an earlier one.',
        );
      await this.refusePosted(manager, clientId, year);
      const id = randomUUID();
      await manager.query(
        'INSERT INTO take_over (id, firm_id, client_id, year, created_by, created_at) VALUES ($1,$2,$3,$4,$5,$6)',
        [id, actor.firmId, clientId, year, actor.userId, await this.clock.now(manager)],
      );
      await this.audit.record(manager, actor, 'take-over.create', 'take-over', id, { clientId, year });
      return this.views.of(manager, id);
    });
  }

  view(actor: Actor, id: string): Promise<TakeOverView> {
    return this.database.run(actor, async (manager) => this.views.of(manager, id));
  }

  async upload(actor: Actor, id: string, input: UploadBalances): Promise<TakeOverView> {
    const table = await readTable(Buffer.from(input.content, 'base64'));
    if (table.length < 2) throw refuse([problem('file.no-rows', 'file')]);
    const headings = table[0] ?? [];
    return this.database.run(actor, async (manager) => {
      const stored = await this.store.find(manager, id);
      const client = await findClient(manager, stored.client_id);
      const scope = await this.scopes.of(manager, client, await this.clock.today(manager));
      const remembered = (await manager.query(
        'SELECT mapping FROM column_mapping WHERE client_id = $1 AND headings = $2',
        [client.id, headingsKey(headings)],
      )) as { mapping: string[] }[];
      await this.store.change(manager, stored, input.version, {
        file_name: input.fileName,
        table_cipher: this.secrets.seal(JSON.stringify(table)),
        mapping: JSON.stringify(remembered[0]?.mapping ?? proposeBalanceMapping(headings, scope)),
      });
      await this.audit.record(manager, actor, 'take-over.read', 'take-over', id, { rows: table.length - 1 });
      return this.views.of(manager, id);
    });
  }

  chooseMapping(actor: Actor, id: string, input: { version: number; mapping: string[] }): Promise<TakeOverView> {
    return this.database.run(actor, async (manager) => {
      const stored = await this.store.find(manager, id);
      const headings = this.store.tableOf(stored)[0] ?? [];
      if (input.mapping.length !== headings.length)
        throw refuse([problem('input.missing', 'mapping', { what: 'a column for each heading' })]);
      await this.store.change(manager, stored, input.version, { mapping: JSON.stringify(input.mapping) });
      await manager.query(
        `INSERT INTO column_mapping (firm_id, client_id, headings, mapping) VALUES ($1,$2,$3,$4) ON CONFLICT (client_id, headings) DO UPDATE SET mapping = EXCLUDED.mapping`,
        [actor.firmId, stored.client_id, headingsKey(headings), JSON.stringify(input.mapping)],
      );
      return this.views.of(manager, id);
    });
  }

  /** Keeps what was filed and deposited elsewhere. Figures that are not given stay as they are. */
  saveReported(actor: Actor, id: string, input: SaveReported): Promise<TakeOverView> {
    const issues = input.figures.flatMap(figureIssues);
    if (issues.length > 0) throw refuse(issues);
    return this.database.run(actor, async (manager) => {
      const stored = await this.store.find(manager, id);
      const kept = stored.reported.filter(
        (figure) => !input.figures.some((given) => given.quarter === figure.quarter && given.code === figure.code),
      );
      const given = input.figures.flatMap((figure): ReportedFigure[] =>
        figure.amount === null
          ? []
          : [
              {
                quarter: figure.quarter as ReportedFigure['quarter'],
                code: figure.code,
                amount: cents(figure.amount),
                day: figure.day === null ? null : parseDate(figure.day),
              },
            ],
      );
      await this.store.change(manager, stored, input.version, { reported: JSON.stringify([...kept, ...given]) });
      await this.audit.record(manager, actor, 'take-over.reported', 'take-over', id, { figures: given.length });
      return this.views.of(manager, id);
    });
  }

  /** A reviewer lets a difference stand, with the reason. Another amount is another difference. */
  pass(actor: Actor, id: string, input: PassDifference): Promise<TakeOverView> {
    if (actor.role !== 'reviewer' && actor.role !== 'administrator')
      throw new Refusal(403, 'role', `A ${actor.role} cannot let a difference pass. Ask a reviewer.`);
    return this.database.run(actor, async (manager) => {
      const stored = await this.store.find(manager, id);
      if (stored.status !== 'open') throw conflict(`These balances are ${stored.status}.`);
      const { differences, passes } = await this.reading(manager, stored);
      const difference = differences.find((one) => one.key === input.key);
      if (!difference) throw conflict('This difference is no longer there. Look again.');
      if (!passes.has(input.key)) {
        await manager.query(
          'INSERT INTO take_over_pass (firm_id, take_over_id, difference, reason, passed_by, passed_at) VALUES ($1,$2,$3,$4,$5,$6)',
          [actor.firmId, id, input.key, input.reason.trim(), actor.userId, await this.clock.now(manager)],
        );
        await this.audit.record(manager, actor, 'take-over.pass', 'take-over', id, {
          difference: sentence(difference.issue),
          reason: input.reason.trim(),
        });
      }
      return this.views.of(manager, id);
    });
  }

  /** Makes the balances count: payrolls paid elsewhere, their ledger lines and payments, in one transaction. */
  accept(actor: Actor, id: string, version: number): Promise<TakeOverView> {
    return this.database.run(actor, async (manager) => {
      const { client_id: clientId, year } = await this.store.find(manager, id);
      await manager.query('SELECT id FROM client WHERE id = $1 FOR UPDATE', [clientId]);
      // Looked at behind the lock: what a second click finds is what the first one left.
      const stored = await this.store.find(manager, id);
      const reading = await this.reading(manager, stored);
      if (stored.status === 'open') {
        await this.refusePosted(manager, clientId, year);
        if (!reading.tiesOut) throw refuse(openIssues(reading));
      }
      await this.executor.apply(manager, actor, TAKE_OVER_MACHINE, {
        id,
        act: 'accept',
        version,
        set: { accepted_by: actor.userId, balances: JSON.stringify(reading.balances) },
        detail: { year, rows: reading.balances.length, gross: sum(reading.balances.map((one) => one.gross)) },
      });
      await this.bringIn.write(manager, actor, stored, reading.balances, stored.reported);
      return this.views.of(manager, id);
    });
  }

  takeBack(actor: Actor, id: string, version: number): Promise<TakeOverView> {
    return this.database.run(actor, async (manager) => {
      const { client_id: clientId } = await this.store.find(manager, id);
      await manager.query('SELECT id FROM client WHERE id = $1 FOR UPDATE', [clientId]);
      const stored = await this.store.find(manager, id);
      if (stored.status === 'accepted') await this.refuseBuiltUpon(manager, stored);
      await this.executor.apply(manager, actor, TAKE_OVER_MACHINE, { id, act: 'take-back', version });
      await this.bringIn.takeBack(manager, actor, stored, stored.balances ?? []);
      return this.views.of(manager, id);
    });
  }

  discard(actor: Actor, id: string, version: number): Promise<void> {
    return this.database.run(actor, (manager) =>
      this.executor.apply(manager, actor, TAKE_OVER_MACHINE, {
        id,
        act: 'discard',
        version,
        set: { table_cipher: null },
      }),
    );
  }

  /** The sheet to fill in: a row for each person and quarter that is over, a column for each of their taxes. */
  async form(
    actor: Actor,
    id: string,
    format: TableFormat,
  ): Promise<{ readonly name: string; readonly content: Buffer }> {
    const { table, name } = await this.database.run(actor, async (manager) => {
      const stored = await this.store.find(manager, id);
      const client = await findClient(manager, stored.client_id);
      const today = await this.clock.today(manager);
      const scope = await this.scopes.of(manager, client, today);
      const people = await manager.find(Employee, {
        where: { clientId: client.id, kind: 'employee', isWithdrawn: false },
        order: { number: 'ASC' },
      });
      const columns = formColumns(scope.usual);
      const over = QUARTERS.filter((quarter) => lastDayOf({ year: stored.year, quarter }) < today);
      const rows = people.flatMap((person) =>
        over
          .filter((quarter) => person.hiredOn === null || person.hiredOn <= lastDayOf({ year: stored.year, quarter }))
          .map((quarter) =>
            columns.map((column) => {
              if (column.name === 'number') return person.number;
              if (column.name === 'name') return fullName(person);
              return column.name === 'quarter' ? `Q${quarter}` : '';
            }),
          ),
      );
      return {
        table: [columns.map((column) => column.label), ...rows],
        name: `balances-${client.key.toLowerCase()}-${stored.year}.${format}`,
      };
    });
    return { name, content: await writeTable(table, format) };
  }

  private async reading(manager: EntityManager, stored: StoredTakeOver): Promise<Reading> {
    return this.store.read(manager, await findClient(manager, stored.client_id), stored);
  }

  /** Balances come before the first payroll of their year: a check posted without them has wrong taxes. */
  private async refusePosted(manager: EntityManager, clientId: string, year: number): Promise<void> {
    const rows = (await manager.query(
      `SELECT check_date AS day FROM payroll WHERE client_id = $1 AND kind <> 'brought-in' AND status = 'posted' AND extract(year FROM check_date) = $2 ORDER BY check_date LIMIT 1`,
      [clientId, year],
    )) as { day: string }[];
    if (rows[0])
      throw conflict(
        `A payroll of ${year} is posted already (${rows[0].day}), computed without these balances. They can be brought in only before the first one.`,
      );
  }

  private async refuseBuiltUpon(manager: EntityManager, stored: StoredTakeOver): Promise<void> {
    await this.refusePosted(manager, stored.client_id, stored.year);
    const rows = (await manager.query(
      `SELECT (SELECT count(*) FROM remittance_item i JOIN remittance r ON r.id = i.remittance_id
                WHERE i.client_id = $1 AND extract(year FROM i.liability_date) = $2 AND r.status NOT IN ('returned','withdrawn'))::int AS remittances,
              (SELECT count(*) FROM filing WHERE client_id = $1 AND extract(year FROM period_start) = $2 AND snapshot IS NOT NULL)::int AS filings`,
      [stored.client_id, stored.year],
    )) as { remittances: number; filings: number }[];
    if ((rows[0]?.remittances ?? 0) > 0)
      throw conflict('A remittance pays some of these liabilities. Withdraw it first, or keep the balances.');
    if ((rows[0]?.filings ?? 0) > 0)
      throw conflict('A return of this year is made from these balances. They can no longer be taken back.');
  }
}

/** Balances and people may have the same headings and mean other columns. */
const headingsKey = (headings: readonly string[]): string => `balances ${JSON.stringify(headings)}`;

const FIGURE_CODE = /^(941\.(2|3|5a|5c|5d)|[A-Z0-9-]+\.(filed|paid))$/;
function figureIssues(figure: ReportedFigureInput): Issue[] {
  const field = `${figure.quarter}.${figure.code}`;
  if (figure.quarter > 4 || !FIGURE_CODE.test(figure.code))
    return [problem('input.not-one-of', field, { value: figure.code, choices: 'the lines and deposits of the page' })];
  if (figure.amount !== null && figure.amount < 0) return [problem('input.negative', field, { what: figure.code })];
  if (figure.day !== null && parseDate(figure.day) === null)
    return [problem('input.not-a-date', field, { value: figure.day })];
  return [];
}

/** What keeps balances from counting, as issues. */
function openIssues({ read, differences, passes }: Reading): Issue[] {
  const wrong = read.rows.flatMap((row) =>
    row.issues.map((issue) => ({ ...issue, field: `row ${row.row}: ${issue.field}` })),
  );
  const open = differences.filter(({ issue, key }) => issue.severity === 'error' && !passes.has(key));
  const found = [...read.issues, ...wrong, ...open.map(({ issue }) => issue)].slice(0, 50);
  return found.length > 0 ? found : [problem('file.no-rows', 'file')];
}
