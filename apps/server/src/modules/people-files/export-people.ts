import { Inject, Injectable } from '@nestjs/common';
import { text } from '@zakat/core/facts/fact-kind';
import { personOnDay } from '@zakat/core/facts/on-day';
import { PEOPLE_COLUMNS, certificateColumns, type PeopleColumn } from '@zakat/core/people-file/columns';
import { stringify } from 'csv-stringify/sync';
import writeXlsxFile from 'write-excel-file/node';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { Secrets } from '../../database/secrets.js';
import { Audit } from '../audit/audit.js';
import { findClient } from '../clients/clients.service.js';
import { Clock } from '../clock/clock.js';
import { Employee } from '../employees/entities.js';
import { FactStore, type StoredFact } from '../facts/fact-store.js';

/** A cell that a spreadsheet would take for a formula is written as text. */
const harmless = (cell: string): string => (/^[=+\-@\t\r]/.test(cell) && !/^-?\d/.test(cell) ? `'${cell}` : cell);

/** The people of a client as a file that can be read back in. */
@Injectable()
export class ExportPeople {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(Audit) private readonly audit: Audit,
    @Inject(Clock) private readonly clock: Clock,
    @Inject(Secrets) private readonly secrets: Secrets,
    @Inject(FactStore) private readonly store: FactStore,
  ) {}

  async as(actor: Actor, clientId: string, format: 'csv' | 'xlsx'): Promise<{ name: string; content: Buffer }> {
    const { table, key } = await this.database.run(actor, async (manager) => {
      const client = await findClient(manager, clientId);
      const people = await manager.find(Employee, {
        where: { clientId, isWithdrawn: false },
        order: { number: 'ASC' },
      });
      const facts = await this.store.ofPeople(
        manager,
        people.map((person) => person.id),
      );
      const today = await this.clock.today(manager);
      await this.audit.record(manager, actor, 'people-file.export', 'client', clientId, {
        people: people.length,
        format,
      });
      const states = [
        ...new Set(
          people.flatMap((person) => Object.keys(personOnDay(facts.get(person.id) ?? [], today).certificates)),
        ),
      ].sort();
      const columns = [...PEOPLE_COLUMNS.filter((column) => column.name !== 'fullName'), ...certificateColumns(states)];
      const rows = people.map((person) => this.rowOf(person, facts.get(person.id) ?? [], today, columns));
      return { table: [columns.map((column) => column.label), ...rows], key: client.key };
    });
    const content =
      format === 'csv'
        ? Buffer.from(
            stringify(
              table.map((row) => row.map(harmless)),
              { bom: true },
            ),
            'utf8',
          )
        : await workbook(table);
    return { name: `people-${key.toLowerCase()}.${format}`, content };
  }

  private rowOf(
    person: Employee,
    facts: readonly StoredFact[],
    day: string,
    columns: readonly PeopleColumn[],
  ): string[] {
    const own = personOnDay(facts, day);
    const place = facts.find((fact) => fact.kind === 'place' && fact.from <= day)?.value ?? {};
    const pay = own.pay ?? {};
    const federal = own.federal ?? {};
    const isOld = federal['form'] === 'pre-2020';
    const line = (item: string, field: string): string => {
      const found = own.standing.find((fact) => text(fact.value, 'item') === item)?.value;
      return found ? text(found, field) : '';
    };
    const known: Readonly<Record<string, string>> = {
      ssn: this.secrets.open(person.ssnCipher).replace(/^(\d{3})(\d{2})(\d{4})$/, '$1-$2-$3'),
      hiredOn: person.hiredOn ?? '',
      bornOn: person.bornOn ?? '',
      isRetirementPlan: person.isRetirementPlan ? 'yes' : 'no',
      email: text(own.consent ?? {}, 'email'),
      phone: text(own.consent ?? {}, 'phone'),
      title: text(own.worker ?? {}, 'title'),
      department: text(own.worker ?? {}, 'department'),
      rate: text(pay, 'rate'),
      hours: text(pay, 'hours'),
      salary: text(pay, 'amount'),
      salaryFrequency: text(pay, 'frequency'),
      oldStatus: isOld ? text(federal, 'maritalStatus') : '',
      oldAllowances: isOld ? text(federal, 'allowances') : '',
      workState: text(place, 'work'),
      workLocality: text(place, 'workLocality'),
      residenceState: text(place, 'residence'),
      residenceLocality: text(place, 'residenceLocality'),
      schoolDistrict: text(place, 'schoolDistrict'),
      deferralPercent: line('401k', 'percent'),
      deferralAmount: line('401k', 'amount'),
      health: line('section-125-health', 'amount'),
    };
    return columns.map(({ name }) => {
      const [prefix, state = '', field = ''] = name.split(':');
      if (prefix === 'certificate') return said(own.certificates[state]?.[field]);
      if (known[name] !== undefined) return known[name];
      if (['multipleJobs', 'exempt'].includes(name)) return own.federal ? said(federal[name] === true) : '';
      return text(federal, name) || text(person as unknown as Record<string, unknown>, name);
    });
  }
}
const said = (value: unknown): string =>
  value === true ? 'yes' : value === false ? 'no' : value === undefined ? '' : String(value as string | number);

const workbook = async (table: readonly (readonly string[])[]): Promise<Buffer> => {
  const rows = table.map((row, index) =>
    row.map((value) => ({ value, type: String, ...(index === 0 ? { fontWeight: 'bold' as const } : {}) })),
  );
  return (await writeXlsxFile(rows as never)).toBuffer();
};
