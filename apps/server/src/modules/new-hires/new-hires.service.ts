import { Inject, Injectable } from '@nestjs/common';
import type { NewHireFile, NewHireRow } from '@zakat/contract/people';
import { addDays, date } from '@zakat/core/calendar/local-date';
import { personOnDay } from '@zakat/core/facts/on-day';
import { NEW_HIRE_FIELDS, newHireDue, newHireGaps, type NewHire } from '@zakat/core/new-hires/new-hires';
import { transliterate } from '@zakat/core/identity/transliterate';
import { stringify } from 'csv-stringify/sync';
import { harmless } from '../tables/index.js';
import type { EntityManager } from 'typeorm';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { Secrets } from '../../database/secrets.js';
import { Refusal, refuseField } from '../../http/refusal.js';
import { Audit } from '../audit/index.js';
import { findClient } from '../clients/index.js';
import { Clock } from '../clock/index.js';
import { Documents } from '../documents/index.js';
import { Employee, fullName } from '../employees/index.js';
import { FactStore } from '../facts/index.js';
import { OLD_HIRE_DAYS } from '../standing/index.js';

interface Hire {
  readonly employee: Employee;
  readonly hire: NewHire;
  readonly reportedOn: string | null;
}

/** Who was hired lately, whether the state knows, and the file that tells it. */
@Injectable()
export class NewHiresService {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(Audit) private readonly audit: Audit,
    @Inject(Clock) private readonly clock: Clock,
    @Inject(Secrets) private readonly secrets: Secrets,
    @Inject(FactStore) private readonly store: FactStore,
    @Inject(Documents) private readonly documents: Documents,
  ) {}

  list(actor: Actor, clientId: string): Promise<NewHireRow[]> {
    return this.database.run(actor, async (manager) => {
      await findClient(manager, clientId);
      return (await this.hires(manager, clientId)).map(({ employee, hire, reportedOn }) => {
        const { due, rule } = newHireDue(hire.workState, date(hire.hiredOn));
        return {
          employeeId: employee.id,
          name: fullName(employee),
          state: hire.workState,
          hiredOn: hire.hiredOn,
          due,
          rule,
          missing: newHireGaps(hire),
          reportedOn,
        };
      });
    });
  }

  /** Makes the file of a state with everybody who is not reported there yet, and records that they are. */
  report(actor: Actor, clientId: string, state: string): Promise<NewHireFile> {
    return this.database.run(actor, async (manager) => {
      const client = await findClient(manager, clientId);
      const today = await this.clock.today(manager);
      const due = (await this.hires(manager, clientId)).filter(
        (one) => one.reportedOn === null && one.hire.workState === state,
      );
      if (due.length === 0)
        throw refuseField('state', `Nobody waits to be reported to ${state}.`, 'Choose another state.');
      const lacking = due.filter((one) => newHireGaps(one.hire).length > 0);
      if (lacking.length > 0)
        throw new Refusal(
          422,
          'gaps',
          'The report cannot be made while parts of an address are missing.',
          lacking.map((one) => ({
            code: 'gap',
            field: `${fullName(one.employee)}: ${newHireGaps(one.hire).join(', ')}`,
            severity: 'error' as const,
            sentence: `${fullName(one.employee)} has no ${newHireGaps(one.hire).join(', ')}.`,
            fix: 'Enter it on the page of the person.',
          })),
        );
      const employer = { ...client, name: client.legalName };
      const table = [
        NEW_HIRE_FIELDS.map((field) => field.name),
        ...due.map(({ hire }) => NEW_HIRE_FIELDS.map((field) => field.value(hire, employer))),
      ];
      const content = stringify(table.map((row) => row.map((cell) => harmless(transliterate(cell)))));
      const fileName = `new-hires-${state}-${client.key.toLowerCase()}-${today}.csv`;
      const documentId = await this.documents.store(
        manager,
        actor,
        clientId,
        'new-hire-report',
        fileName,
        'text/csv',
        Buffer.from(content, 'utf8'),
      );
      await manager.query(
        `INSERT INTO new_hire_report (firm_id, client_id, employee_id, state, hired_on, reported_on, reported_by, document_id)
         SELECT $1, $2, r.id, $3, r.hired, $4, $5, $6 FROM jsonb_to_recordset($7::jsonb) AS r(id uuid, hired date)`,
        [
          actor.firmId,
          clientId,
          state,
          today,
          actor.userId,
          documentId,
          JSON.stringify(due.map((one) => ({ id: one.employee.id, hired: one.hire.hiredOn }))),
        ],
      );
      await this.audit.record(manager, actor, 'new-hires.report', 'client', clientId, { state, people: due.length });
      return { fileName, content, people: due.length };
    });
  }

  private async hires(manager: EntityManager, clientId: string): Promise<Hire[]> {
    const today = await this.clock.today(manager);
    const people = await manager.find(Employee, {
      where: { clientId, kind: 'employee', isWithdrawn: false },
      order: { hiredOn: 'ASC', number: 'ASC' },
    });
    const lately = people.filter(
      (person) => person.hiredOn !== null && person.hiredOn >= addDays(today, -OLD_HIRE_DAYS),
    );
    const ids = lately.map((person) => person.id);
    const facts = await this.store.ofPeople(manager, ids);
    const reported = (await manager.query(
      'SELECT employee_id, reported_on FROM new_hire_report WHERE employee_id = ANY($1)',
      [ids],
    )) as { employee_id: string; reported_on: string }[];
    return lately.flatMap((employee): Hire[] => {
      const hiredOn = employee.hiredOn ?? '';
      const place = personOnDay(facts.get(employee.id) ?? [], hiredOn > today ? hiredOn : today).place;
      const workState = place?.work[0]?.['state'];
      if (typeof workState !== 'string') return [];
      return [
        {
          employee,
          hire: { ...employee, hiredOn, workState, ssn: this.secrets.open(employee.ssnCipher) },
          reportedOn: reported.find((row) => row.employee_id === employee.id)?.reported_on ?? null,
        },
      ];
    });
  }
}
