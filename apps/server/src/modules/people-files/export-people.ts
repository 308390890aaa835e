import { Inject, Injectable } from '@nestjs/common';
import { text } from '@zakat/core/facts/fact-kind';
import { personOnDay } from '@zakat/core/facts/on-day';
import { PEOPLE_COLUMNS, certificateColumns, type PeopleColumn } from '@zakat/core/people-file/columns';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { Secrets } from '../../database/secrets.js';
import { Audit } from '../audit/index.js';
import { findClient } from '../clients/index.js';
import { Clock } from '../clock/index.js';
import { Employee } from '../employees/index.js';
import { FactStore, type StoredFact } from '../facts/index.js';
import { type TableFormat, writeTable } from '../tables/index.js';
import { APPLIED_FOR } from '@zakat/core/identity/numbers';
import { streetLines } from '@zakat/core/identity/street';

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

  async as(actor: Actor, clientId: string, format: TableFormat): Promise<{ name: string; content: Buffer }> {
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
    return { name: `people-${key.toLowerCase()}.${format}`, content: await writeTable(table, format) };
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
      ssn:
        person.ssnTail === ''
          ? APPLIED_FOR
          : this.secrets.open(person.ssnCipher).replace(/^(\d{3})(\d{2})(\d{4})$/, '$1-$2-$3'),
      street: streetLines(person.street)[0],
      unit: streetLines(person.street)[1],
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
