import { Inject, Injectable } from '@nestjs/common';
import type { ChangeForMany as GivenChange, ForeseeChanges, ForeseenChange, MakeChanges } from '@zakat/contract/people';
import { EMPLOYEE_FACTS } from '@zakat/core/facts/employee-facts';
import { changedFact, type ChangedFact, type ChangeForMany } from '@zakat/core/facts/changed-for-many';
import { contradictions } from '@zakat/core/facts/contradicted';
import { factDoubts } from '@zakat/core/facts/doubts';
import { text } from '@zakat/core/facts/fact-kind';
import { clientOnDay, personOnDay } from '@zakat/core/facts/on-day';
import { scheduleName, scheduleNamed } from '@zakat/core/facts/schedule';
import { findItem } from '@zakat/core/items/registry';
import type { EntityManager } from 'typeorm';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { dayFrom } from '../../http/day.js';
import { conflict, refuse, refuseField } from '../../http/refusal.js';
import { lookTwice } from '../../http/second-look.js';
import { Audit } from '../audit/index.js';
import { findClient } from '../clients/index.js';
import { FactStore, type StoredFact } from '../facts/index.js';
import { Employee } from './entities.js';
import { fullName } from './employees.service.js';
import { postedChecksOf } from './posted-checks.js';

interface Changed {
  readonly person: Employee;
  readonly facts: readonly StoredFact[];
  readonly row: ForeseenChange;
  readonly answer: ChangedFact;
}

/** One change for many people: every row shown before it counts, and recorded for all who are chosen or for nobody. */
@Injectable()
export class ChangesForMany {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(FactStore) private readonly store: FactStore,
    @Inject(Audit) private readonly audit: Audit,
  ) {}

  foresee(actor: Actor, clientId: string, input: ForeseeChanges): Promise<ForeseenChange[]> {
    const from = dayFrom(input.from, 'from');
    const change = changeOf(input.change);
    return this.database.run(actor, async (manager) =>
      (await this.changed(manager, clientId, from, change)).map(({ row }) => row),
    );
  }

  make(actor: Actor, clientId: string, input: MakeChanges): Promise<ForeseenChange[]> {
    const from = dayFrom(input.from, 'from');
    const change = changeOf(input.change);
    return this.database.run(actor, async (manager) => {
      // Two who record at once do so one after the other, and the second sees what the first did.
      await manager.query('SELECT id FROM client WHERE id = $1 FOR UPDATE', [clientId]);
      const seen = new Map(input.people.map(({ employeeId, was }) => [employeeId, was]));
      if (seen.size === 0) throw refuseField('people', 'Nobody is chosen.', 'Choose for whom it is recorded.');
      const all = await this.changed(manager, clientId, from, change);
      const chosen = all.filter(({ person }) => seen.has(person.id));
      if (
        chosen.length !== seen.size ||
        chosen.some(({ row }) => seen.get(row.employeeId) !== row.was || row.why !== '')
      )
        throw conflict(
          'A record of one of these people has moved since it was shown. Look again; nothing was recorded.',
        );
      const facts = chosen.flatMap(({ answer, ...one }) =>
        'fact' in answer ? [{ ...one, fact: { ...answer.fact, from } }] : [],
      );
      const issues = facts.flatMap(({ fact }) => EMPLOYEE_FACTS.issues(fact.kind, fact.value, 'change'));
      if (issues.length > 0) throw refuse(issues);
      const doubts = [];
      for (const { person, facts: known, fact } of facts)
        doubts.push(
          ...[
            ...factDoubts(fact, { facts: known, hiredOn: person.hiredOn }, 'change'),
            ...contradictions(fact, await postedChecksOf(manager, person.id), 'from'),
          ].map((issue) => ({ ...issue, field: `${person.number} ${fullName(person)}: ${issue.field}` })),
        );
      lookTwice(doubts, input.confirmed);
      await this.store.addToPeople(
        manager,
        actor,
        facts.map(({ person, fact }) => ({ ...fact, employeeId: person.id })),
      );
      for (const { person, fact, row } of facts)
        await this.audit.record(manager, actor, `employee.${fact.kind}`, 'employee', person.id, {
          from,
          says: EMPLOYEE_FACTS.says(fact.kind, fact.value),
          was: row.was,
          forMany: facts.length,
        });
      return (await this.changed(manager, clientId, from, change)).map(({ row }) => row);
    });
  }

  /** What the client does not have is not recorded of its people: a pay item, or a pay schedule. */
  private async refuseUnknown(
    manager: EntityManager,
    clientId: string,
    from: string,
    change: ChangeForMany,
  ): Promise<void> {
    const client = clientOnDay(await this.store.ofClient(manager, clientId), from);
    if (
      change.is === 'standing' &&
      !findItem(change.item) &&
      !client.items.some((one) => text(one, 'code') === change.item)
    )
      throw refuseField('change.item', `The pay item ${change.item} is not known.`, 'Choose one of the list.');
    const schedule =
      change.is === 'work' && change.field === 'schedule' ? scheduleName(client, change.value.trim()) : '';
    if (schedule !== '' && !scheduleNamed(client, schedule))
      throw refuseField(
        'change.value',
        `The client has no pay schedule ${schedule} on this day.`,
        'Write its name as it stands in the client’s record, or leave it blank for the main one.',
      );
  }

  private async changed(
    manager: EntityManager,
    clientId: string,
    from: string,
    change: ChangeForMany,
  ): Promise<Changed[]> {
    await findClient(manager, clientId);
    await this.refuseUnknown(manager, clientId, from, change);
    const people = await manager.find(Employee, {
      where: { clientId, kind: 'employee', isWithdrawn: false },
      order: { number: 'ASC' },
    });
    const facts = await this.store.ofPeople(
      manager,
      people.map(({ id }) => id),
    );
    return people.flatMap((person): Changed[] => {
      const known = facts.get(person.id) ?? [];
      const onDay = personOnDay(known, from);
      if (onDay.employment && text(onDay.employment, 'standing') === 'ended') return [];
      const answer = changedFact(onDay, change);
      const worker = onDay.worker ?? {};
      return [
        {
          person,
          facts: known,
          answer,
          row: {
            employeeId: person.id,
            number: person.number,
            name: fullName(person),
            department: text(worker, 'department'),
            location: text(worker, 'location'),
            costCentre: text(worker, 'costCentre'),
            was: answer.was,
            will: 'fact' in answer ? answer.will : '',
            why: 'fact' in answer ? '' : answer.why,
          },
        },
      ];
    });
  }
}

/** What was given, with what the change of its sort needs. */
function changeOf({ is, by, field, value = '', item = '', amount = '', percent = '' }: GivenChange): ChangeForMany {
  if (is === 'pay') {
    if (by === undefined || value.trim() === '')
      throw refuseField('change.value', 'It is not said how the pay changes.', 'Give an amount or a percentage.');
    return { is, by, value: value.trim() };
  }
  if (is === 'work') {
    if (field === undefined)
      throw refuseField(
        'change.field',
        'It is not said what changes.',
        'Name the department, location, cost center or pay schedule.',
      );
    return { is, field, value };
  }
  if (item === '') throw refuseField('change.item', 'No pay item is chosen.', 'Choose one.');
  if ((amount === '') === (percent === ''))
    throw refuseField('change.amount', 'A line has an amount or a percentage.', 'Give one of them.');
  return { is, item, ...(amount === '' ? { percent } : { amount }) };
}
