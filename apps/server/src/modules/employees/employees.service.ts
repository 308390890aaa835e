import { Inject, Injectable } from '@nestjs/common';
import type {
  AddFact,
  CreateEmployee,
  EmployeeList,
  EmployeeRow,
  EmployeeView,
  Fact,
  RevealedNumber,
  UpdateEmployeeIdentity,
} from '@zakat/contract/clients';
import { EMPLOYEE_FACTS, type EmployeeFactKind } from '@zakat/core/facts/employee-facts';
import { contradictions } from '@zakat/core/facts/contradicted';
import { factDoubts } from '@zakat/core/facts/doubts';
import { placeOf } from '@zakat/core/facts/on-day';
import { inForceOn, newestFirst, type DatedFact } from '@zakat/core/facts/in-force';
import { APPLIED_FOR, isAppliedFor, checkSsn, normalDigits } from '@zakat/core/identity/numbers';
import { nextEmployeeNumber, personIssues, type PersonIdentity } from '@zakat/core/identity/person';
import { findState } from '@zakat/core/jurisdictions/states';
import type { Issue } from '@zakat/core/issues/issue';
import type { EntityManager } from 'typeorm';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { Secrets } from '../../database/secrets.js';
import { conflict, detailOf, notFound, refuse, refuseField } from '../../http/refusal.js';
import { lookTwice } from '../../http/second-look.js';
import { Audit } from '../audit/index.js';
import { findClient } from '../clients/index.js';
import { Clock } from '../clock/index.js';
import { employeeFactIssues, FactStore, inForceIds, type StoredFact, withoutSecrets } from '../facts/index.js';
import { postedChecksOf } from './posted-checks.js';
import { Employee } from './entities.js';
import { TakeOn } from './take-on.js';

const NAME_FIELDS = [
  'firstName',
  'middleName',
  'lastName',
  'suffix',
  'street',
  'city',
  'state',
  'zip',
  'country',
  'province',
] as const;
const OTHER_FIELDS = ['number', 'hiredOn', 'bornOn', 'kind', 'isRetirementPlan'] as const;
export const fullName = (person: Pick<Employee, 'firstName' | 'middleName' | 'lastName' | 'suffix'>): string =>
  [person.firstName, person.middleName, person.lastName, person.suffix].filter((part) => part !== '').join(' ');
const errorsOf = (issues: readonly Issue[]): Issue[] => issues.filter((issue) => issue.severity === 'error');

export interface PeopleAsked {
  readonly find: string;
  readonly from: number;
  readonly count: number;
}
const PAGE = 200;
/** A page of people may be as large as the largest file that may be imported. */
const MOST = 5000;

@Injectable()
export class EmployeesService {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(Audit) private readonly audit: Audit,
    @Inject(Secrets) private readonly secrets: Secrets,
    @Inject(Clock) private readonly clock: Clock,
    @Inject(FactStore) private readonly store: FactStore,
    @Inject(TakeOn) private readonly takeOn: TakeOn,
  ) {}

  list(actor: Actor, clientId: string, asked: Partial<PeopleAsked>): Promise<EmployeeList> {
    return this.database.run(actor, async (manager) => {
      await findClient(manager, clientId);
      const words = (asked.find ?? '').trim().toLowerCase();
      const where = `client_id = $1 AND NOT is_withdrawn AND ($2 = '' OR lower(first_name || ' ' || last_name || ' ' || number) LIKE '%' || $2 || '%' OR ssn_tail = $2)`;
      const like = words.replace(/[%_\\]/g, '\\$&');
      const counted = (await manager.query(`SELECT count(*)::int AS total FROM employee WHERE ${where}`, [
        clientId,
        like,
      ])) as { total: number }[];
      const ids = (await manager.query(
        `SELECT id FROM employee WHERE ${where} ORDER BY length(number), number LIMIT $3 OFFSET $4`,
        [clientId, like, Math.min(asked.count ?? PAGE, MOST), asked.from ?? 0],
      )) as { id: string }[];
      const people = await peopleById(
        manager,
        ids.map((row) => row.id),
      );
      const facts = await this.store.ofPeople(
        manager,
        people.map((person) => person.id),
      );
      const today = await this.clock.today(manager);
      return {
        rows: people.map((person) => rowOf(person, facts.get(person.id) ?? [], today)),
        total: counted[0]?.total ?? 0,
        nextNumber: nextEmployeeNumber(await numbersOf(manager, clientId)),
      };
    });
  }

  view(actor: Actor, id: string, on: string | null): Promise<EmployeeView> {
    return this.database.run(actor, async (manager) => {
      const person = await findEmployee(manager, id);
      const client = await findClient(manager, person.clientId);
      const day = on ?? (await this.clock.today(manager));
      const facts = (await this.store.ofPeople(manager, [id])).get(id) ?? [];
      const current = inForceIds(facts, day, EMPLOYEE_FACTS);
      const place = inForceOn(facts, day, EMPLOYEE_FACTS.slotOf).find((fact) => fact.kind === 'place');
      const work = place ? placeOf(place.value).work[0]?.['state'] : undefined;
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
        facts: facts.map((fact) => ({
          kind: fact.kind as EmployeeFactKind,
          from: fact.from,
          value: withoutSecrets(fact.value),
          sentence: EMPLOYEE_FACTS.says(fact.kind, fact.value),
          isInForce: current.has(fact.id),
        })),
        certificateFields:
          rule?.kind === 'worksheet' ? rule.certificate.fields.map((field) => `${field.label}: ${field.help}`) : [],
      };
    });
  }

  /** Takes on one person; what is only doubtful is answered as warnings. */
  create(actor: Actor, clientId: string, input: CreateEmployee): Promise<{ id: string; warnings: Issue[] }> {
    const isApplied = isAppliedFor(input.ssn);
    const ssn = isApplied ? '' : normalDigits(input.ssn);
    return this.database.run(actor, async (manager) => {
      const client = await findClient(manager, clientId);
      const today = await this.clock.today(manager);
      const { confirmed, ...given } = input;
      const newcomer = { ...given, country: input.country ?? '', province: input.province ?? '' };
      const issues = [
        ...(isApplied ? [] : checkSsn(ssn, 'ssn')),
        ...personIssues(newcomer, today),
        ...employeeFactIssues(input.facts),
      ];
      if (errorsOf(issues).length > 0) throw refuse(errorsOf(issues));
      lookTwice([...issues, ...doubtsOf(input.facts, input.hiredOn)], confirmed);
      const [id] = await this.takeOn.people(manager, actor, client.id, [{ ...newcomer, ssn }]);
      await this.audit.record(manager, actor, 'employee.create', 'employee', id ?? '', {
        clientId,
        number: input.number,
      });
      return { id: id ?? '', warnings: issues };
    });
  }

  addFact(actor: Actor, id: string, { confirmed, ...fact }: AddFact): Promise<{ id: string }> {
    const issues = EMPLOYEE_FACTS.issues(fact.kind, fact.value, 'fact.value');
    if (issues.length > 0) throw refuse(issues);
    return this.database.run(actor, async (manager) => {
      const person = await findEmployee(manager, id);
      const known = (await this.store.ofPeople(manager, [id])).get(id) ?? [];
      lookTwice(
        [
          ...factDoubts(fact, { facts: known, hiredOn: person.hiredOn }, 'fact.value'),
          ...contradictions(fact, await postedChecksOf(manager, id), 'from'),
        ],
        confirmed,
      );
      await this.store.addToPeople(manager, actor, [{ ...fact, employeeId: id }]);
      await this.audit.record(manager, actor, `employee.${fact.kind}`, 'employee', id, {
        from: fact.from,
        ...(fact.kind === 'bank'
          ? {}
          : { says: EMPLOYEE_FACTS.says(fact.kind, fact.value), was: saidBefore(known, fact) }),
      });
      return { id };
    });
  }

  updateIdentity(actor: Actor, id: string, input: UpdateEmployeeIdentity): Promise<EmployeeView> {
    const ssn = normalDigits(input.ssn);
    return this.database
      .run(actor, async (manager) => {
        const before = await findEmployee(manager, id);
        const today = await this.clock.today(manager);
        const given = Object.fromEntries(
          [...NAME_FIELDS, ...OTHER_FIELDS]
            .filter((field) => input[field] !== undefined)
            .map((field) => [field, input[field]]),
        );
        const identity: PersonIdentity = { ...before, ...given };
        const issues = [...(ssn === '' ? [] : checkSsn(ssn, 'ssn')), ...personIssues(identity, today)];
        if (errorsOf(issues).length > 0) throw refuse(errorsOf(issues));
        const asked = issues.filter(({ field }) => before[field as keyof Employee] !== identity[field as 'zip']);
        const hired = identity.hiredOn;
        const isMoved = hired !== null && hired !== before.hiredOn;
        lookTwice(
          [
            ...asked,
            ...(isMoved
              ? contradictions({ kind: 'hire', from: hired, value: {} }, await postedChecksOf(manager, id), 'hiredOn')
              : []),
          ],
          input.confirmed,
        );
        if (input.kind !== undefined && input.kind !== before.kind) await refuseIfPaid(manager, id);
        const number =
          ssn === ''
            ? {}
            : { ssnCipher: this.secrets.seal(ssn), ssnTail: ssn.slice(-4), ssnMark: this.secrets.mark(ssn) };
        const result = await manager.update(
          Employee,
          { id, version: input.version },
          { ...given, ...number, version: input.version + 1 },
        );
        if (result.affected !== 1)
          throw conflict('Somebody changed this person meanwhile. Look again before you save.');
        const changed = Object.keys(given).filter((field) => before[field as keyof Employee] !== given[field]);
        await this.audit.record(manager, actor, 'employee.identity', 'employee', id, {
          ...Object.fromEntries(
            changed.map((field) => [field, { from: before[field as keyof Employee], to: given[field] }]),
          ),
          // A number is never written out, before or after.
          ...(ssn === '' ? {} : { ssn: 'changed' }),
        });
      })
      .then(() => this.view(actor, id, null));
  }

  /** Takes away somebody who was added by mistake: as long as no paycheck, proof or new-hire report names them. */
  remove(actor: Actor, id: string, version: number): Promise<void> {
    return this.database.run(actor, async (manager) => {
      const person = await findEmployee(manager, id);
      const [used] = (await manager.query(
        `SELECT EXISTS (SELECT 1 FROM paycheck WHERE employee_id = $1) AS paid,
                EXISTS (SELECT 1 FROM new_hire_report WHERE employee_id = $1) AS reported,
                EXISTS (SELECT 1 FROM proof_check WHERE employee_id = $1 AND NOT is_withdrawn) AS proved,
                EXISTS (SELECT 1 FROM payroll_line l JOIN payroll p ON p.id = l.payroll_id WHERE l.employee_id = $1 AND p.status = 'reviewed') AS reviewed`,
        [id],
      )) as { paid: boolean; reported: boolean; proved: boolean; reviewed: boolean }[];
      if (used?.paid) throw conflict(`${fullName(person)} has been paid, and stays. End the employment instead.`);
      if (used?.reported)
        throw conflict(`${fullName(person)} was reported as a new hire, and stays. End the employment instead.`);
      if (used?.reviewed)
        throw conflict(`${fullName(person)} is in a payroll that is reviewed. Reopen it before you remove them.`);
      if (used?.proved)
        throw conflict(`A check of ${fullName(person)} is in the proof set. Take it out of the set first.`);
      const result = await manager.update(Employee, { id, version }, { isWithdrawn: true, version: version + 1 });
      if (result.affected !== 1)
        throw conflict('Somebody changed this employee meanwhile. Look again before you remove them.');
      await manager.query(
        `DELETE FROM payroll_line l USING payroll p WHERE p.id = l.payroll_id AND l.employee_id = $1 AND p.status = 'open'`,
        [id],
      );
      await this.audit.record(manager, actor, 'employee.remove', 'employee', id, { number: person.number });
    });
  }

  /** Shows the whole social security number once; that it was shown is recorded. */
  reveal(actor: Actor, id: string): Promise<RevealedNumber> {
    return this.database.run(actor, async (manager) => {
      const person = await findEmployee(manager, id);
      await this.audit.record(manager, actor, 'employee.reveal-number', 'employee', id);
      const ssn = this.secrets.open(person.ssnCipher);
      if (ssn === '') return { ssn: APPLIED_FOR };
      return { ssn: `${ssn.slice(0, 3)}-${ssn.slice(3, 5)}-${ssn.slice(5)}` };
    });
  }
}

/** What was in force on the day a fact begins, in words; blank when nothing was. */
function saidBefore(known: readonly DatedFact[], fact: Pick<DatedFact, 'kind' | 'from' | 'value'>): string {
  const slot = EMPLOYEE_FACTS.slotOf(fact);
  const before = inForceOn(known, fact.from, EMPLOYEE_FACTS.slotOf).find(
    (one) => one.kind === fact.kind && EMPLOYEE_FACTS.slotOf(one) === slot,
  );
  return before ? EMPLOYEE_FACTS.says(before.kind, before.value) : '';
}

function rowOf(person: Employee, facts: readonly StoredFact[], today: string): EmployeeRow {
  const own = inForceOn(facts, today, EMPLOYEE_FACTS.slotOf);
  const pay = own.find((fact) => fact.kind === 'pay');
  const place = own.find((fact) => fact.kind === 'place');
  return {
    id: person.id,
    number: person.number,
    name: fullName(person),
    ssnTail: person.ssnTail,
    kind: person.kind,
    workState: String(place?.value['work'] ?? ''),
    paySentence: pay ? EMPLOYEE_FACTS.says('pay', pay.value) : 'No pay entered',
  };
}

/** People by id, in the order asked. */
export async function peopleById(manager: EntityManager, ids: readonly string[]): Promise<Employee[]> {
  const people = await manager.createQueryBuilder(Employee, 'person').where('person.id = ANY(:ids)', { ids }).getMany();
  const byId = new Map(people.map((person) => [person.id, person]));
  return ids.flatMap((id) => byId.get(id) ?? []);
}

/** Numbers of the people of a client that are taken. */
export async function numbersOf(manager: EntityManager, clientId: string): Promise<string[]> {
  const rows = (await manager.query('SELECT number FROM employee WHERE client_id = $1 AND NOT is_withdrawn', [
    clientId,
  ])) as { number: string }[];
  return rows.map((row) => row.number);
}

export async function findEmployee(manager: EntityManager, id: string): Promise<Employee> {
  const person = await manager.findOneBy(Employee, { id, isWithdrawn: false });
  if (!person) throw notFound('person');
  return person;
}

/** Paychecks make wages: whoever has had one stays an employee, or the W-2 would be lost. */
async function refuseIfPaid(manager: EntityManager, id: string): Promise<void> {
  const rows = (await manager.query('SELECT 1 FROM paycheck WHERE employee_id = $1 LIMIT 1', [id])) as unknown[];
  if (rows.length > 0)
    throw refuseField(
      'kind',
      'This person has been paid wages and stays an employee.',
      'End the employment, and take the person on again as what they are now.',
    );
}

/** Doubts of the facts that a person is taken on with, each against those before it. */
const doubtsOf = (facts: readonly Fact[], hiredOn: string | null): Issue[] =>
  facts.flatMap((fact, index) => {
    const before = facts.slice(0, index).map((one, at) => ({ ...one, id: String(at) }));
    return factDoubts(fact, { facts: newestFirst(before), hiredOn }, `facts[${index}].value`);
  });

export const warningsOf = (issues: readonly Issue[]) => issues.map(detailOf);
