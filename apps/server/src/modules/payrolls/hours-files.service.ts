import { Inject, Injectable } from '@nestjs/common';
import type { HoursFileView, HoursRowView, ReadHoursFile } from '@zakat/contract/hours';
import type { PayrollEntry } from '@zakat/contract/payrolls';
import { ownItems } from '@zakat/core/facts/case-parts';
import { text } from '@zakat/core/facts/fact-kind';
import { clientOnDay } from '@zakat/core/facts/on-day';
import { columnsOf, hoursHeadingRow, hoursItems, proposeColumns, type HoursItem } from '@zakat/core/hours-file/columns';
import { readHours, type HoursLine, type HoursMapping, type ReadHours } from '@zakat/core/hours-file/read-hours';
import { withHours } from '@zakat/core/hours-file/take-hours';
import { problem } from '@zakat/core/issues/issue';
import type { EntityManager } from 'typeorm';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { conflict, detailOf, refuse, refuseField } from '../../http/refusal.js';
import { Audit } from '../audit/index.js';
import { fullName } from '../employees/index.js';
import { FactStore } from '../facts/index.js';
import { readTable } from '../tables/index.js';
import { PayrollViews, type ComputedPerson } from './payroll-view.js';
import { PayrollEntries } from './payroll-entries.service.js';

/** Rows that are sent to the screen: those that are wrong first. */
const MOST_SHOWN = 200;
interface Remembered {
  readonly columns: string[];
  readonly codes: Record<string, string>;
}
interface Read {
  readonly view: HoursFileView;
  readonly result: ReadHours;
  readonly mapping: HoursMapping;
  readonly people: readonly ComputedPerson[];
  readonly headings: readonly string[];
}

/** Files of hours for an open payroll: looked at row by row, then taken; the same file taken twice changes nothing more. */
@Injectable()
export class HoursFiles {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(PayrollViews) private readonly views: PayrollViews,
    @Inject(PayrollEntries) private readonly entries: PayrollEntries,
    @Inject(FactStore) private readonly store: FactStore,
    @Inject(Audit) private readonly audit: Audit,
  ) {}

  async read(actor: Actor, payrollId: string, input: ReadHoursFile): Promise<HoursFileView> {
    const table = await readTable(Buffer.from(input.content, 'base64'));
    const { view, result, mapping, people, headings } = await this.database.run(actor, (manager) =>
      this.readIn(manager, payrollId, table, input),
    );
    if (!input.isTaken) return view;
    if (result.issues.length > 0) throw refuse(result.issues);
    if (result.people.size === 0)
      throw conflict('Nothing of this file can be taken. Look at the reasons beside its rows.');
    // Saving takes the version that was seen: somebody else's work is not written over.
    await this.entries.save(actor, payrollId, {
      version: input.version,
      entries: people.flatMap((person) => entryWith(person, result.people.get(person.employee.id))),
    });
    await this.database.run(actor, async (manager) => {
      const { payroll } = await this.views.computed(manager, payrollId);
      await manager.query(
        `INSERT INTO column_mapping (firm_id, client_id, headings, mapping) VALUES ($1,$2,$3,$4) ON CONFLICT (client_id, headings) DO UPDATE SET mapping = EXCLUDED.mapping`,
        [actor.firmId, payroll.clientId, rememberedAs(headings), JSON.stringify(mapping)],
      );
      await this.audit.record(manager, actor, 'payroll.hours', 'payroll', payrollId, {
        file: input.fileName,
        people: result.people.size,
        ...(view.wrong > 0 ? { rowsLeftOut: view.wrong } : {}),
      });
    });
    return { ...view, isTaken: true };
  }

  private async readIn(
    manager: EntityManager,
    payrollId: string,
    table: readonly (readonly string[])[],
    input: ReadHoursFile,
  ): Promise<Read> {
    const { payroll, client, people } = await this.views.computed(manager, payrollId);
    if (payroll.status !== 'open')
      throw conflict(`This payroll is ${payroll.status}; reopen it before hours are taken.`);
    const clientDay = clientOnDay(await this.store.ofClient(manager, client.id), payroll.checkDate);
    const items = hoursItems(ownItems(clientDay));
    const headingRow = input.headingRow ?? hoursHeadingRow(table, items);
    if (headingRow >= table.length) throw refuse([problem('file.no-rows', 'file')]);
    const headings = table[headingRow - 1] ?? [];
    if (input.columns && input.columns.length !== headings.length)
      throw refuseField('columns', 'There is not one column for each heading.', 'Choose the columns again.');
    const remembered = await this.remembered(manager, client.id, headings);
    const mapping: HoursMapping = {
      columns: input.columns ?? remembered?.columns ?? proposeColumns(headings, items),
      codes: { ...remembered?.codes, ...knownCodes(input.codes, items) },
    };
    const persons = people.map(({ employee }) => ({
      id: employee.id,
      number: employee.number,
      name: fullName(employee),
    }));
    const result = readHours(table, headingRow, mapping, persons, items);
    return {
      result,
      mapping,
      people,
      headings,
      view: viewOf(result, { headingRow, headings, mapping, items, persons }),
    };
  }

  private async remembered(
    manager: EntityManager,
    clientId: string,
    headings: readonly string[],
  ): Promise<Remembered | null> {
    const rows = (await manager.query('SELECT mapping FROM column_mapping WHERE client_id = $1 AND headings = $2', [
      clientId,
      rememberedAs(headings),
    ])) as { mapping: Remembered }[];
    return rows[0]?.mapping ?? null;
  }
}

/** Beside the columns of files of people, which are remembered by their headings alone. */
const rememberedAs = (headings: readonly string[]): string => `hours ${JSON.stringify(headings)}`;

/** Of what was chosen for pay codes, what is an earning of the client. */
function knownCodes(codes: ReadHoursFile['codes'], items: readonly HoursItem[]): Record<string, string> {
  return Object.fromEntries(
    Object.entries(codes ?? {}).filter(([, item]) => item === '' || items.some(({ code }) => code === item)),
  );
}

function entryWith({ entry, facts }: ComputedPerson, lines: readonly HoursLine[] | undefined): PayrollEntry[] {
  if (!lines || lines.length === 0) return [];
  const rate = text(facts.pay ?? {}, 'rate');
  const earnings = withHours(
    entry.earnings.map(({ net: _net, ...line }) => line),
    lines,
    rate === '' ? undefined : rate,
  );
  return [{ ...entry, isPaid: true, earnings }];
}

function viewOf(
  result: ReadHours,
  given: {
    readonly headingRow: number;
    readonly headings: readonly string[];
    readonly mapping: HoursMapping;
    readonly items: readonly HoursItem[];
    readonly persons: readonly { readonly id: string; readonly name: string }[];
  },
): HoursFileView {
  const { headingRow, headings, mapping, items, persons } = given;
  const labelOf = (code: string): string => items.find((item) => item.code === code)?.label ?? code;
  const nameOf = (id: string | null): string => persons.find((person) => person.id === id)?.name ?? '';
  const says = (lines: readonly HoursLine[]): string =>
    lines
      .map(({ item, measure, value }) => `${measure === 'hours' ? value : `$${value}`} ${labelOf(item).toLowerCase()}`)
      .join(', ');
  const wrong = result.rows.filter((row) => row.issues.length > 0);
  const right = result.rows.filter((row) => row.issues.length === 0);
  return {
    headingRow,
    headings: [...headings],
    columns: [...mapping.columns],
    choices: columnsOf(items),
    items: items.map(({ code, label }) => ({ name: code, label })),
    codes: { ...mapping.codes },
    unknownCodes: [...result.unknownCodes],
    rows: [...wrong, ...right].slice(0, MOST_SHOWN).map((row): HoursRowView => ({
      row: row.row,
      who: row.who,
      employeeId: row.personId,
      person: nameOf(row.personId),
      says: says(row.lines).slice(0, 600),
      problems: row.issues.map(detailOf),
    })),
    rowCount: result.rows.length,
    wrong: wrong.length,
    people: result.people.size,
    missing: persons.filter(({ id }) => !result.people.has(id)).map(({ name }) => name),
    totals: result.totals.map(({ item, measure, file, taken }) => ({ label: labelOf(item), measure, file, taken })),
    problems: result.issues.map(detailOf),
    isTaken: false,
  };
}
