import { Inject, Injectable } from '@nestjs/common';
import type {
  ChooseHeading,
  ChooseMapping,
  CorrectCell,
  ImportRow,
  ImportRowView,
  ImportView,
  ProgressView,
  SkipRow,
  UploadPeople,
} from '@zakat/contract/people';
import { EMPLOYEE_FACTS } from '@zakat/core/facts/employee-facts';
import { problem, sentence } from '@zakat/core/issues/issue';
import {
  PEOPLE_COLUMNS,
  certificateColumns,
  certificateStateOf,
  findColumn,
  proposeMapping,
} from '@zakat/core/people-file/columns';
import { readPeople, statesWithCertificate, type ReadPeople, type ReadRow } from '@zakat/core/people-file/read-people';
import { headingRowOf, isSsnLike, totalRowsOf } from '@zakat/core/people-file/sheet-rows';
import { STATE_CODES } from '@zakat/core/jurisdictions/state';
import { randomUUID } from 'node:crypto';
import type { EntityManager } from 'typeorm';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { Secrets } from '../../database/secrets.js';
import { conflict, detailOf, notFound, refuse } from '../../http/refusal.js';
import { Audit } from '../audit/index.js';
import { type Client, findClient } from '../clients/index.js';
import { Clock } from '../clock/index.js';
import { Progress } from '../progress/index.js';
import { numbersOf, TakeOn } from '../employees/index.js';
import { readTable } from '../tables/index.js';

interface StoredImport {
  readonly id: string;
  readonly client_id: string;
  readonly file_name: string;
  readonly table_cipher: Buffer | null;
  readonly headings: string[];
  readonly mapping: string[];
  readonly heading_row: number;
  readonly skipped_rows: number[];
  readonly status: 'previewed' | 'accepted' | 'undone' | 'discarded';
  readonly people: number;
  readonly version: number;
  readonly by: string;
  readonly created_at: Date;
}
/** Rows of a preview that are sent to the screen: those that are wrong first. */
const MOST_SHOWN = 300;
/** People taken on by one statement, and then it is said how far the file is. */
const AT_ONCE = 500;

/** Files of people: read, mapped, previewed row by row, taken on all or none, undone as a whole. */
@Injectable()
export class PeopleFiles {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(Audit) private readonly audit: Audit,
    @Inject(Clock) private readonly clock: Clock,
    @Inject(Secrets) private readonly secrets: Secrets,
    @Inject(TakeOn) private readonly takeOn: TakeOn,
    @Inject(Progress) private readonly reached: Progress,
  ) {}

  async upload(actor: Actor, clientId: string, input: UploadPeople): Promise<ImportView> {
    const table = await readTable(Buffer.from(input.content, 'base64'));
    const headingRow = headingRowOf(table);
    const headings = table[headingRow - 1] ?? [];
    if (table.length <= headingRow) throw refuse([problem('file.no-rows', 'file')]);
    return this.database.run(actor, async (manager) => {
      const client = await findClient(manager, clientId);
      const id = randomUUID();
      await manager.query(
        `INSERT INTO people_import (id, firm_id, client_id, file_name, table_cipher, headings, mapping, created_by, created_at, heading_row, skipped_rows) VALUES ($1,$2,$3,$4,$5,$6,$7,$8,$9,$10,$11)`,
        [
          id,
          actor.firmId,
          clientId,
          input.fileName,
          this.secrets.seal(JSON.stringify(table)),
          JSON.stringify(headings),
          JSON.stringify(await this.rememberedMapping(manager, clientId, headings)),
          actor.userId,
          await this.clock.now(manager),
          headingRow,
          JSON.stringify(totalRowsOf(table, headingRow)),
        ],
      );
      await this.audit.record(manager, actor, 'people-file.read', 'client', clientId, {
        rows: table.length - headingRow,
      });
      return this.viewIn(manager, client, id);
    });
  }

  list(actor: Actor, clientId: string): Promise<ImportRow[]> {
    return this.database.run(actor, async (manager) => {
      await findClient(manager, clientId);
      const rows = (await manager.query(
        `SELECT i.id, i.file_name, i.status, i.people, u.name AS by, i.created_at FROM people_import i JOIN app_user u ON u.id = i.created_by WHERE i.client_id = $1 AND i.status IN ('accepted','undone','previewed') ORDER BY i.created_at DESC LIMIT 50`,
        [clientId],
      )) as StoredImport[];
      return rows.map((row) => ({
        id: row.id,
        fileName: row.file_name,
        status: row.status,
        people: row.people,
        by: row.by,
        at: row.created_at.toISOString(),
      }));
    });
  }

  view(actor: Actor, id: string): Promise<ImportView> {
    return this.database.run(actor, async (manager) => {
      const stored = await this.find(manager, id);
      return this.viewIn(manager, await findClient(manager, stored.client_id), id);
    });
  }

  chooseMapping(actor: Actor, id: string, input: ChooseMapping): Promise<ImportView> {
    return this.database.run(actor, async (manager) => {
      const stored = await this.find(manager, id);
      if (input.mapping.length !== stored.headings.length)
        throw refuse([problem('input.missing', 'mapping', { what: 'a column for each heading' })]);
      await this.move(manager, stored, input.version, 'previewed', { mapping: JSON.stringify(input.mapping) });
      await manager.query(
        `INSERT INTO column_mapping (firm_id, client_id, headings, mapping) VALUES ($1,$2,$3,$4) ON CONFLICT (client_id, headings) DO UPDATE SET mapping = EXCLUDED.mapping`,
        [actor.firmId, stored.client_id, headingsKey(stored.headings), JSON.stringify(input.mapping)],
      );
      return this.viewIn(manager, await findClient(manager, stored.client_id), id);
    });
  }

  /** Says which row of the file holds the headings; the mapping is proposed anew from them. */
  chooseHeading(actor: Actor, id: string, { version, row }: ChooseHeading): Promise<ImportView> {
    return this.change(actor, id, version, async (manager, stored, table) => {
      const headings = table[row - 1];
      if (!headings || row >= table.length)
        throw refuse([problem('file.no-such-row', 'row', { row: String(row), rows: String(table.length - 1) })]);
      // Headings are kept in the clear: a row with somebody's number in it is none.
      if (headings.some(isSsnLike)) throw refuse([problem('file.heading-is-data', 'row')]);
      return {
        heading_row: row,
        headings: JSON.stringify(headings),
        mapping: JSON.stringify(await this.rememberedMapping(manager, stored.client_id, headings)),
        skipped_rows: JSON.stringify(totalRowsOf(table, row)),
      };
    });
  }

  /** Leaves a row out of the file, or takes it again. */
  skipRow(actor: Actor, id: string, { version, row, isSkipped }: SkipRow): Promise<ImportView> {
    return this.change(actor, id, version, (_, stored) => {
      const others = stored.skipped_rows.filter((one) => one !== row);
      return Promise.resolve({
        skipped_rows: JSON.stringify(isSkipped ? [...others, row].sort((a, b) => a - b) : others),
      });
    });
  }

  /** Corrects one cell of the file as it is kept here, by its row and the column it is taken for. */
  correctCell(actor: Actor, id: string, { version, row, column, value }: CorrectCell): Promise<ImportView> {
    return this.change(actor, id, version, (_, stored, table) => {
      const at = stored.mapping.indexOf(column);
      if (at < 0 || row <= stored.heading_row || !table[row - 1])
        throw refuse([problem('file.no-such-cell', 'column', { row: String(row), column })]);
      const changed = table.map((cells, index) =>
        index === row - 1
          ? Array.from({ length: Math.max(cells.length, at + 1) }, (__, across) =>
              across === at ? value.trim() : (cells[across] ?? ''),
            )
          : cells,
      );
      return Promise.resolve({ table_cipher: this.secrets.seal(JSON.stringify(changed)) });
    });
  }

  /** One change of a file that is looked at, and the file as it reads then. */
  private change(
    actor: Actor,
    id: string,
    version: number,
    next: (manager: EntityManager, stored: StoredImport, table: string[][]) => Promise<Record<string, unknown>>,
  ): Promise<ImportView> {
    return this.database.run(actor, async (manager) => {
      const stored = await this.find(manager, id);
      const set = await next(manager, stored, this.tableOf(stored));
      await this.move(manager, stored, version, 'previewed', set);
      return this.viewIn(manager, await findClient(manager, stored.client_id), id);
    });
  }

  private tableOf(stored: StoredImport): string[][] {
    return stored.table_cipher ? (JSON.parse(this.secrets.open(stored.table_cipher)) as string[][]) : [];
  }

  progress(actor: Actor, id: string): Promise<ProgressView> {
    return this.reached.of(actor, id);
  }

  /** Takes on everybody in the file, or nobody: one wrong row refuses them all. Says on the way how far it is. */
  async accept(actor: Actor, id: string, version: number): Promise<ImportView> {
    // The transaction does not wait for its reports: they need a connection of their own.
    const reports: Promise<void>[] = [];
    try {
      return await this.acceptAll(actor, id, version, (reached) => {
        // A report that fails is only not seen; the people are taken on all the same.
        reports.push(this.reached.report(actor, id, reached).catch(() => undefined));
      });
    } finally {
      await Promise.all(reports);
      await this.reached.end(actor, id);
    }
  }

  private acceptAll(
    actor: Actor,
    id: string,
    version: number,
    report: (reached: ProgressView) => void,
  ): Promise<ImportView> {
    return this.database.run(actor, async (manager) => {
      const client = await findClient(manager, (await this.find(manager, id)).client_id);
      await manager.query('SELECT id FROM client WHERE id = $1 FOR UPDATE', [client.id]);
      // Looked at behind the lock: what somebody else accepted a moment ago is not read again as a file of doubles.
      const stored = await this.find(manager, id);
      if (stored.status !== 'previewed') throw conflict(`This file is ${stored.status} already. Look again.`);
      const read = await this.read(manager, client, stored);
      const wrong = [...read.issues.filter((issue) => issue.severity === 'error'), ...read.rows.flatMap(errorsOfRow)];
      if (wrong.length > 0) throw refuse(wrong.slice(0, 50));
      const people = read.rows.flatMap((row) => (row.person ? [row.person] : []));
      await this.move(manager, stored, version, 'accepted', { people: people.length });
      for (let done = 0; done < people.length; done += AT_ONCE) {
        report({ done, total: people.length });
        await this.takeOn.people(manager, actor, client.id, people.slice(done, done + AT_ONCE), id);
      }
      await this.audit.record(manager, actor, 'people-file.accept', 'client', client.id, {
        importId: id,
        people: people.length,
      });
      return this.viewIn(manager, client, id);
    });
  }

  /** Takes everybody of the file back, as long as nobody of them was paid. */
  undo(actor: Actor, id: string, version: number): Promise<ImportView> {
    return this.database.run(actor, async (manager) => {
      const stored = await this.find(manager, id);
      const client = await findClient(manager, stored.client_id);
      await manager.query('SELECT id FROM client WHERE id = $1 FOR UPDATE', [client.id]);
      const paid = (await manager.query(
        'SELECT count(DISTINCT p.employee_id)::int AS count FROM paycheck p JOIN employee e ON e.id = p.employee_id WHERE e.import_id = $1',
        [id],
      )) as { count: number }[];
      if ((paid[0]?.count ?? 0) > 0)
        throw conflict(
          `${paid[0]?.count} of these people have been paid since. The import can no longer be undone; end their employment instead.`,
        );
      await this.move(manager, stored, version, 'undone', {});
      await manager.query(
        `DELETE FROM payroll_line l USING employee e, payroll p WHERE l.employee_id = e.id AND p.id = l.payroll_id AND e.import_id = $1 AND p.status = 'open'`,
        [id],
      );
      await manager.query('UPDATE employee SET is_withdrawn = true, version = version + 1 WHERE import_id = $1', [id]);
      await this.audit.record(manager, actor, 'people-file.undo', 'client', client.id, { importId: id });
      return this.viewIn(manager, client, id);
    });
  }

  discard(actor: Actor, id: string, version: number): Promise<void> {
    return this.database.run(actor, async (manager) => {
      const stored = await this.find(manager, id);
      await this.move(manager, stored, version, 'discarded', { table_cipher: null });
    });
  }

  private async move(
    manager: EntityManager,
    stored: StoredImport,
    version: number,
    to: StoredImport['status'],
    set: Readonly<Record<string, unknown>>,
  ): Promise<void> {
    const from = to === 'undone' ? 'accepted' : 'previewed';
    const names = Object.keys(set);
    const [, count] = (await manager.query(
      `UPDATE people_import SET status = $3, version = version + 1${names.map((name, index) => `, ${name} = $${index + 5}`).join('')} WHERE id = $1 AND version = $2 AND status = $4`,
      [stored.id, version, to, from, ...Object.values(set)],
    )) as [unknown, number];
    if (count !== 1) throw conflict(`This import is ${stored.status}; somebody acted on it meanwhile. Look again.`);
  }

  private async find(manager: EntityManager, id: string): Promise<StoredImport> {
    const rows = (await manager.query(
      'SELECT i.*, u.name AS by FROM people_import i JOIN app_user u ON u.id = i.created_by WHERE i.id = $1',
      [id],
    )) as StoredImport[];
    const row = rows[0];
    if (!row) throw notFound('import');
    return row;
  }

  private async rememberedMapping(manager: EntityManager, clientId: string, headings: string[]): Promise<string[]> {
    const rows = (await manager.query('SELECT mapping FROM column_mapping WHERE client_id = $1 AND headings = $2', [
      clientId,
      headingsKey(headings),
    ])) as { mapping: string[] }[];
    return rows[0]?.mapping ?? proposeMapping(headings);
  }

  private async read(manager: EntityManager, client: Client, stored: StoredImport): Promise<ReadPeople> {
    if (!stored.table_cipher) return { issues: [], rows: [] };
    const marks = (await manager.query(
      `SELECT encode(ssn_mark, 'hex') AS mark FROM employee WHERE client_id = $1 AND NOT is_withdrawn`,
      [client.id],
    )) as { mark: string }[];
    const known = new Set(marks.map((row) => row.mark));
    return readPeople(
      {
        table: this.tableOf(stored),
        mapping: stored.mapping,
        headingRow: stored.heading_row,
        skipped: stored.skipped_rows,
      },
      {
        today: await this.clock.today(manager),
        numbers: new Set(await numbersOf(manager, client.id)),
        hasSsn: (ssn) => known.has(this.secrets.mark(ssn).toString('hex')),
        clientState: client.state,
      },
    );
  }

  private async viewIn(manager: EntityManager, client: Client, id: string): Promise<ImportView> {
    const stored = await this.find(manager, id);
    const read: ReadPeople =
      stored.status === 'previewed' ? await this.read(manager, client, stored) : { issues: [], rows: [] };
    const table = stored.status === 'previewed' ? this.tableOf(stored) : [];
    const wrong = read.rows.filter((row) => row.person === null);
    const shown = [...wrong, ...read.rows.filter((row) => row.person !== null)].slice(0, MOST_SHOWN);
    return {
      id,
      clientId: client.id,
      fileName: stored.file_name,
      status: stored.status,
      version: stored.version,
      headings: stored.headings,
      mapping: stored.mapping,
      columns: columnsFor(client, stored.mapping, read),
      headingRow: stored.heading_row,
      above: table.slice(0, stored.heading_row - 1).map((cells) => brief(cells)),
      skipped: stored.skipped_rows.map((row) => ({ row, text: brief(table[row - 1] ?? []) })),
      problems: read.issues.map(detailOf),
      people: stored.status === 'previewed' ? read.rows.length : stored.people,
      wrong: wrong.length,
      rows: shown.map((row) => rowView(row, stored.mapping, table)),
      by: stored.by,
      at: stored.created_at.toISOString(),
    };
  }
}

const MOST_BRIEF = 80;
const brief = (cells: readonly string[]): string =>
  cells
    .filter((cell) => cell.trim() !== '')
    .map((cell) => (isSsnLike(cell) ? `ending ${cell.trim().slice(-4)}` : cell))
    .join(' · ')
    .slice(0, MOST_BRIEF);

/** The columns to choose from: certificates of the states that the client, the mapping or the rows name. */
function columnsFor(client: Client, mapping: readonly string[], read: ReadPeople): { name: string; label: string }[] {
  const states = new Set<string>([client.state, ...mapping.flatMap((name) => certificateStateOf(name) ?? [])]);
  for (const { person } of read.rows)
    for (const fact of person?.facts ?? [])
      if (fact.kind === 'place') for (const name of ['work', 'residence']) states.add(String(fact.value[name]));
  const own = statesWithCertificate(STATE_CODES).filter((state) => states.has(state));
  return [...PEOPLE_COLUMNS, ...certificateColumns(own)].map(({ name, label }) => ({ name, label }));
}
const headingsKey = (headings: readonly string[]): string => JSON.stringify(headings);

const errorsOfRow = (row: ReadRow) =>
  row.issues
    .filter((issue) => issue.severity === 'error')
    .map((issue) => ({ ...issue, field: `row ${row.row}: ${findColumn(issue.field)?.label ?? issue.field}` }));

const rowView = (row: ReadRow, mapping: readonly string[], table: readonly string[][]): ImportRowView => ({
  row: row.row,
  number: row.person?.number ?? '',
  name: row.name,
  isWrong: row.person === null,
  says: [...row.understood, ...(row.person?.facts ?? []).map((fact) => EMPLOYEE_FACTS.says(fact.kind, fact.value))],
  problems: row.issues.map((issue) => ({
    ...detailOf(issue),
    field: findColumn(issue.field)?.label ?? issue.field,
    sentence: sentence(issue),
    column: mapping.includes(issue.field) ? issue.field : '',
    cell: table[row.row - 1]?.[mapping.indexOf(issue.field)] ?? '',
  })),
});
