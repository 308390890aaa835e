import { Inject, Injectable } from '@nestjs/common';
import type {
  CreateEmployee,
  EmployeeRow,
  EmployeeView,
  Fact,
  RevealedNumber,
  UpdateEmployeeIdentity,
} from '@zakat/contract/clients';
import { checkSsn, normalDigits } from '@zakat/core/identity/numbers';
import { findState } from '@zakat/core/jurisdictions/states';
import { problem } from '@zakat/core/issues/issue';
import { randomUUID } from 'node:crypto';
import type { EntityManager } from 'typeorm';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { Secrets } from '../../database/secrets.js';
import { conflict, notFound, refuse } from '../../http/refusal.js';
import { Audit } from '../audit/audit.js';
import { findClient } from '../clients/clients.service.js';
import { Clock } from '../clock/clock.js';
import { Employee } from './entities.js';
import { factIssues, factSentence, factView, factsOnDay, inForceOn, loadFacts } from './facts.js';

const NAME_FIELDS = ['firstName', 'middleName', 'lastName', 'suffix', 'street', 'city', 'state', 'zip'] as const;
export const fullName = (person: Pick<Employee, 'firstName' | 'middleName' | 'lastName' | 'suffix'>): string =>
  [person.firstName, person.middleName, person.lastName, person.suffix].filter((part) => part !== '').join(' ');

@Injectable()
export class EmployeesService {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(Audit) private readonly audit: Audit,
    @Inject(Secrets) private readonly secrets: Secrets,
    @Inject(Clock) private readonly clock: Clock,
  ) {}

  list(actor: Actor, clientId: string): Promise<EmployeeRow[]> {
    return this.database.run(actor, async (manager) => {
      await findClient(manager, clientId);
      const people = await manager.find(Employee, { where: { clientId }, order: { number: 'ASC' } });
      const facts = await loadFacts(
        manager,
        people.map((person) => person.id),
      );
      const today = await this.clock.today(manager);
      return people.map((person) => {
        const own = inForceOn(
          facts.filter((fact) => fact.employeeId === person.id),
          today,
        );
        const pay = own.find((fact) => fact.kind === 'pay');
        const place = own.find((fact) => fact.kind === 'place');
        return {
          id: person.id,
          number: person.number,
          name: fullName(person),
          ssnTail: person.ssnTail,
          kind: person.kind,
          workState: String(place?.value['work'] ?? ''),
          paySentence: pay ? factSentence(pay) : 'No pay entered',
        };
      });
    });
  }

  view(actor: Actor, id: string, on: string | null): Promise<EmployeeView> {
    return this.database.run(actor, async (manager) => {
      const person = await findEmployee(manager, id);
      const client = await findClient(manager, person.clientId);
      const day = on ?? (await this.clock.today(manager));
      const facts = await loadFacts(manager, [id]);
      const current = inForceOn(facts, day);
      const work = factsOnDay(facts, day).place?.work[0]?.['state'];
      const rule = typeof work === 'string' ? findState(work)?.incomeTax : undefined;
      return {
        ...(Object.fromEntries(NAME_FIELDS.map((field) => [field, person[field]])) as Record<
          (typeof NAME_FIELDS)[number],
          string
        >),
        id,
        clientId: person.clientId,
        clientName: client.legalName,
        number: person.number,
        ssnTail: person.ssnTail,
        hiredOn: person.hiredOn,
        bornOn: person.bornOn,
        kind: person.kind,
        isRetirementPlan: person.isRetirementPlan,
        version: person.version,
        on: day,
        facts: facts.map((fact) => factView(fact, current)),
        certificateFields:
          rule?.kind === 'worksheet' ? rule.certificate.fields.map((field) => `${field.label}: ${field.help}`) : [],
      };
    });
  }

  create(actor: Actor, clientId: string, input: CreateEmployee): Promise<{ id: string }> {
    const ssn = normalDigits(input.ssn);
    const issues = [
      ...checkSsn(ssn, 'ssn'),
      ...input.facts.flatMap((fact, index) => factIssues(fact, `facts[${index}]`)),
    ];
    if (issues.length > 0) throw refuse(issues);
    return this.database.run(actor, async (manager) => {
      await findClient(manager, clientId);
      const id = randomUUID();
      const { facts, ssn: _given, ...rest } = input;
      await manager.insert(Employee, {
        ...rest,
        id,
        firmId: actor.firmId,
        clientId,
        ssnCipher: this.secrets.seal(ssn),
        ssnTail: ssn.slice(-4),
        ssnMark: this.secrets.mark(ssn),
        version: 1,
      });
      for (const fact of facts) await this.insertFact(manager, actor, id, fact);
      await this.audit.record(manager, actor, 'employee.create', 'employee', id, { clientId, number: input.number });
      return { id };
    });
  }

  addFact(actor: Actor, id: string, fact: Fact): Promise<{ id: string }> {
    const issues = factIssues(fact, 'fact');
    if (issues.length > 0) throw refuse(issues);
    return this.database.run(actor, async (manager) => {
      await findEmployee(manager, id);
      await this.insertFact(manager, actor, id, fact);
      await this.audit.record(manager, actor, `employee.${fact.kind}`, 'employee', id, { from: fact.from });
      return { id };
    });
  }

  updateIdentity(actor: Actor, id: string, input: UpdateEmployeeIdentity): Promise<EmployeeView> {
    const ssn = normalDigits(input.ssn);
    const issues = ssn === '' ? [] : checkSsn(ssn, 'ssn');
    if (issues.length > 0) throw refuse(issues);
    return this.database
      .run(actor, async (manager) => {
        const before = await findEmployee(manager, id);
        const next = Object.fromEntries(NAME_FIELDS.map((field) => [field, input[field]]));
        const number =
          ssn === ''
            ? {}
            : { ssnCipher: this.secrets.seal(ssn), ssnTail: ssn.slice(-4), ssnMark: this.secrets.mark(ssn) };
        const result = await manager.update(
          Employee,
          { id, version: input.version },
          { ...next, ...number, version: input.version + 1 },
        );
        if (result.affected !== 1)
          throw conflict('Somebody changed this person meanwhile. Look again before you save.');
        const changed = NAME_FIELDS.filter((field) => before[field] !== input[field]);
        await this.audit.record(manager, actor, 'employee.identity', 'employee', id, {
          changed: [...changed, ...(ssn === '' ? [] : ['ssn'])],
        });
      })
      .then(() => this.view(actor, id, null));
  }

  /** Shows the whole social security number once; that it was shown is recorded. */
  reveal(actor: Actor, id: string): Promise<RevealedNumber> {
    return this.database.run(actor, async (manager) => {
      const person = await findEmployee(manager, id);
      await this.audit.record(manager, actor, 'employee.reveal-number', 'employee', id);
      const ssn = this.secrets.open(person.ssnCipher);
      return { ssn: `${ssn.slice(0, 3)}-${ssn.slice(3, 5)}-${ssn.slice(5)}` };
    });
  }

  private async insertFact(manager: EntityManager, actor: Actor, employeeId: string, fact: Fact): Promise<void> {
    if (actor.userId === null) throw refuse([problem('input.missing', 'user', { what: 'a person who records it' })]);
    await manager.query(
      'INSERT INTO employee_fact (firm_id, employee_id, kind, effective_from, value, recorded_by, recorded_at) VALUES ($1,$2,$3,$4,$5,$6,$7)',
      [actor.firmId, employeeId, fact.kind, fact.from, fact.value, actor.userId, await this.clock.now(manager)],
    );
  }
}

export async function findEmployee(manager: EntityManager, id: string): Promise<Employee> {
  const person = await manager.findOneBy(Employee, { id });
  if (!person) throw notFound('person');
  return person;
}
