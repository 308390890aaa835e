import { Inject, Injectable } from '@nestjs/common';
import type { AskTrial, CrossingView, KeepProof, ProofFigure, ProofView, TrialView } from '@zakat/contract/people';
import { date, yearOf, type LocalDate } from '@zakat/core/calendar/local-date';
import { payrollsFrom } from '@zakat/core/calendar/pay-schedule';
import { crossingsAhead } from '@zakat/core/crossings/crossings';
import { clientOnDay } from '@zakat/core/facts/on-day';
import { scheduleOf } from '@zakat/core/facts/schedule';
import { isTaxCode, taxOf } from '@zakat/core/tax-registry/registry';
import type { PaycheckResult } from '@zakat/core/computation/result';
import { randomUUID } from 'node:crypto';
import type { EntityManager } from 'typeorm';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { conflict, detailOf, notFound, refuse } from '../../http/refusal.js';
import { Audit } from '../audit/index.js';
import { type Client, findClient } from '../clients/index.js';
import { Clock } from '../clock/index.js';
import { Employee, findEmployee, fullName } from '../employees/index.js';
import { employeeFactIssues, FactStore, type StoredFact } from '../facts/index.js';
import {
  bookedAt,
  computeEntry,
  nextPayroll,
  PeopleCases,
  type PersonCase,
  usualEntry,
  viewOf,
  workStates,
} from '../payrolls/index.js';

const NOBODY = '00000000-0000-0000-0000-000000000000';
/** Facts that are only considered come after every stored one. */
const DRAFT_ID = Number.MAX_SAFE_INTEGER;

interface Expected {
  readonly figure: string;
  readonly label: string;
  readonly amount: number;
}
interface StoredProof {
  readonly id: string;
  readonly employee_id: string;
  readonly name: string;
  readonly check_date: string;
  readonly expected: Expected[];
  readonly version: number;
  readonly agreed_by_name: string;
  readonly agreed_at: Date;
}

/** Trial paychecks, which leave no trace, and the proof set of those that were agreed. */
@Injectable()
export class TrialsService {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(Audit) private readonly audit: Audit,
    @Inject(Clock) private readonly clock: Clock,
    @Inject(FactStore) private readonly store: FactStore,
    @Inject(PeopleCases) private readonly peopleCases: PeopleCases,
  ) {}

  trial(actor: Actor, clientId: string, asked: AskTrial): Promise<TrialView> {
    return this.database.run(actor, async (manager) => {
      const client = await findClient(manager, clientId);
      const { checkDate, why } = await this.nextCheckDate(manager, client, asked.checkDate);
      const issues = employeeFactIssues(asked.facts);
      const person = issues.length === 0 ? await this.personAt(manager, client, asked, checkDate) : null;
      const empty = { checkDate, why, payFrequency: client.payFrequency, person: null, own: {} };
      if (!person) return { ...empty, problems: issues.map(detailOf) };
      const entry = { ...usualEntry(person, 'regular'), isPaid: true };
      const result = computeEntry(person, entry);
      return {
        checkDate,
        why,
        payFrequency: String(person.base['payFrequency']),
        own: { ...(person.own ?? {}) },
        problems: result.problems.map(detailOf),
        person: {
          ...entry,
          number: person.employee.number,
          name: fullName(person.employee),
          workState: workStates(person.facts.place),
          ...bookedAt(person.facts),
          base: person.base,
          paycheck: viewOf(null, result),
          previousGross: null,
          note: '',
        },
      };
    });
  }

  /** Limits that the person will meet in what is left of the year, if every check is as the usual one. */
  crossings(actor: Actor, employeeId: string): Promise<CrossingView[]> {
    return this.database.run(actor, async (manager) => {
      const employee = await findEmployee(manager, employeeId);
      const client = await findClient(manager, employee.clientId);
      const { checkDate } = await this.nextCheckDate(manager, client, null);
      const facts = (await this.store.ofPeople(manager, [employeeId])).get(employeeId) ?? [];
      const person = await this.peopleCases.forOne(manager, client, checkDate, employee, facts);
      if (!person || employee.kind !== 'employee') return [];
      const schedule = scheduleOf(clientOnDay(await this.store.ofClient(manager, client.id), checkDate).schedule);
      const dates = schedule ? payrollsFrom(schedule, checkDate, 60).map((one) => one.checkDate) : [checkDate];
      const thisYear = dates.filter((day) => yearOf(day) === yearOf(checkDate));
      return crossingsAhead(person.base, usualEntry(person, 'regular'), thisYear, person.own);
    });
  }

  proofs(actor: Actor, clientId: string): Promise<ProofView[]> {
    return this.database.run(actor, async (manager) => {
      const client = await findClient(manager, clientId);
      const stored = (await manager.query(
        `SELECT p.*, u.name AS agreed_by_name FROM proof_check p JOIN app_user u ON u.id = p.agreed_by WHERE p.client_id = $1 AND NOT p.is_withdrawn ORDER BY p.agreed_at`,
        [clientId],
      )) as StoredProof[];
      const views: ProofView[] = [];
      for (const proof of stored) views.push(await this.proofView(manager, client, proof));
      return views;
    });
  }

  /** Keeps the figures of a trial paycheck that somebody agreed by hand. */
  keep(actor: Actor, clientId: string, input: KeepProof): Promise<{ id: string }> {
    return this.database.run(actor, async (manager) => {
      const client = await findClient(manager, clientId);
      const { checkDate } = await this.nextCheckDate(manager, client, input.checkDate);
      const { person, result } = await this.computed(manager, client, input.employeeId, checkDate);
      const errors = result.problems.filter((issue) => issue.severity === 'error');
      if (errors.length > 0) throw refuse(errors);
      const id = randomUUID();
      await manager.query(
        `INSERT INTO proof_check (id, firm_id, client_id, employee_id, name, check_date, entry, base, expected, agreed_by, agreed_at) VALUES ($1,$2,$3,$4,$5,$6,$7,$8,$9,$10,$11)`,
        [
          id,
          actor.firmId,
          clientId,
          input.employeeId,
          input.name,
          checkDate,
          JSON.stringify(usualEntry(person, 'regular')),
          JSON.stringify(person.base),
          JSON.stringify(figuresOf(result)),
          actor.userId,
          await this.clock.now(manager),
        ],
      );
      await this.audit.record(manager, actor, 'proof.keep', 'employee', input.employeeId, {
        checkDate,
        net: result.net,
      });
      return { id };
    });
  }

  /** What moved is agreed: today's figures are the expected ones from now on. */
  accept(actor: Actor, id: string): Promise<ProofView> {
    return this.change(actor, id, async (manager, client, proof) => {
      const { checkDate } = await this.nextCheckDate(manager, client, null);
      const { result } = await this.computed(manager, client, proof.employee_id, checkDate);
      await manager.query(
        'UPDATE proof_check SET expected = $2, check_date = $3, agreed_by = $4, agreed_at = $5, version = version + 1 WHERE id = $1',
        [id, JSON.stringify(figuresOf(result)), checkDate, actor.userId, await this.clock.now(manager)],
      );
      await this.audit.record(manager, actor, 'proof.accept', 'employee', proof.employee_id, {
        before: proof.expected.map((one) => [one.figure, one.amount]),
        after: figuresOf(result).map((one) => [one.figure, one.amount]),
      });
    });
  }

  async withdraw(actor: Actor, id: string): Promise<void> {
    await this.change(actor, id, async (manager, _client, proof) => {
      await manager.query('UPDATE proof_check SET is_withdrawn = true WHERE id = $1', [id]);
      await this.audit.record(manager, actor, 'proof.withdraw', 'employee', proof.employee_id, { name: proof.name });
    });
  }

  private change(
    actor: Actor,
    id: string,
    work: (manager: EntityManager, client: Client, proof: StoredProof) => Promise<void>,
  ): Promise<ProofView> {
    return this.database.run(actor, async (manager) => {
      const load = async (): Promise<(StoredProof & { client_id: string; is_withdrawn: boolean }) | undefined> =>
        (
          (await manager.query(
            'SELECT p.*, u.name AS agreed_by_name FROM proof_check p JOIN app_user u ON u.id = p.agreed_by WHERE p.id = $1',
            [id],
          )) as (StoredProof & { client_id: string; is_withdrawn: boolean })[]
        )[0];
      const before = await load();
      if (!before) throw notFound('proof');
      if (before.is_withdrawn) throw conflict('This proof was withdrawn. Look again.');
      const client = await findClient(manager, before.client_id);
      await work(manager, client, before);
      return this.proofView(manager, client, (await load()) ?? before);
    });
  }

  private async proofView(manager: EntityManager, client: Client, proof: StoredProof): Promise<ProofView> {
    const { checkDate } = await this.nextCheckDate(manager, client, null);
    const { person, result } = await this.computed(manager, client, proof.employee_id, checkDate);
    const errors = result.problems.filter((issue) => issue.severity === 'error');
    const now = errors.length > 0 ? [] : figuresOf(result);
    const names = [...new Set([...proof.expected, ...now].map((one) => one.figure))];
    const figures: ProofFigure[] = names.map((figure) => {
      const expected = proof.expected.find((one) => one.figure === figure);
      const today = now.find((one) => one.figure === figure);
      return {
        figure,
        label: expected?.label ?? today?.label ?? figure,
        expected: expected?.amount ?? null,
        now: today?.amount ?? null,
      };
    });
    return {
      id: proof.id,
      employeeId: proof.employee_id,
      employeeName: fullName(person.employee),
      name: proof.name,
      checkDate: proof.check_date,
      computedFor: checkDate,
      agreedBy: proof.agreed_by_name,
      agreedAt: proof.agreed_at.toISOString(),
      isMoved: figures.some((one) => one.expected !== one.now),
      figures,
      problems: result.problems.map(detailOf),
    };
  }

  /** A proof looks at the rules, not at the year: its check is the first of the year to date. */
  private async computed(
    manager: EntityManager,
    client: Client,
    employeeId: string,
    checkDate: LocalDate,
  ): Promise<{ person: PersonCase; result: PaycheckResult }> {
    const employee = await findEmployee(manager, employeeId);
    const facts = (await this.store.ofPeople(manager, [employeeId])).get(employeeId) ?? [];
    const found = await this.peopleCases.forOne(manager, client, checkDate, employee, facts);
    if (!found) throw notFound('person');
    const person = { ...found, base: { ...found.base, yearToDate: {}, monthToDate: {} } };
    return { person, result: computeEntry(person, { ...usualEntry(person, 'regular'), isPaid: true }) };
  }

  private async personAt(
    manager: EntityManager,
    client: Client,
    asked: AskTrial,
    checkDate: LocalDate,
  ): Promise<PersonCase | null> {
    const stored = asked.employeeId === null ? null : await findEmployee(manager, asked.employeeId);
    if (stored && stored.clientId !== client.id) throw notFound('person');
    const employee = stored ?? newcomer(client);
    const facts: StoredFact[] = [
      ...((await this.store.ofPeople(manager, [employee.id])).get(employee.id) ?? []),
      ...asked.facts.map((fact, index) => ({ ...fact, ownerId: employee.id, id: String(DRAFT_ID - 100 + index) })),
    ];
    return this.peopleCases.forOne(
      manager,
      client,
      checkDate,
      Object.assign(employee, asked.bornOn ? { bornOn: asked.bornOn } : {}),
      facts,
    );
  }

  private async nextCheckDate(
    manager: EntityManager,
    client: Client,
    asked: string | null,
  ): Promise<{ checkDate: LocalDate; why: string }> {
    if (asked !== null) return { checkDate: date(asked), why: 'The day asked for.' };
    const today = await this.clock.today(manager);
    const next = await nextPayroll(manager, this.store, client);
    if (next && next.checkDate >= today) return { checkDate: date(next.checkDate), why: 'The next payroll.' };
    const schedule = scheduleOf(clientOnDay(await this.store.ofClient(manager, client.id), today).schedule);
    const coming = schedule ? payrollsFrom(schedule, today, 1)[0] : undefined;
    return coming
      ? { checkDate: coming.checkDate, why: 'The next check date of the pay schedule.' }
      : { checkDate: today, why: 'There is no pay schedule yet: today.' };
  }
}

const newcomer = (client: Client): Employee =>
  Object.assign(new Employee(), {
    id: NOBODY,
    clientId: client.id,
    firmId: client.firmId,
    number: '',
    firstName: '',
    middleName: '',
    lastName: '',
    suffix: '',
    kind: 'employee' as const,
    bornOn: null,
    hiredOn: null,
  });

function figuresOf(result: PaycheckResult): Expected[] {
  return [
    { figure: 'gross', label: 'Gross pay', amount: result.gross },
    ...result.taxes.map((tax) => ({
      figure: tax.code,
      label: isTaxCode(tax.code) ? taxOf(tax.code).label : tax.code,
      amount: tax.amount,
    })),
    ...result.deductions.map((line) => ({
      figure: `deduction:${line.name ?? line.item}`,
      label: line.label,
      amount: line.amount,
    })),
    ...result.garnishments.map((line) => ({
      figure: `garnishment:${line.label}`,
      label: line.label,
      amount: line.amount,
    })),
    { figure: 'net', label: 'Net pay', amount: result.net },
  ];
}
