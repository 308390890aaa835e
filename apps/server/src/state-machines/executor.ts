import { Injectable } from '@nestjs/common';
import type { EntityManager } from 'typeorm';
import type { Actor } from '../database/firm-database.js';
import { Refusal, conflict, notFound } from '../http/refusal.js';
import { Audit } from '../modules/audit/index.js';
import type { Machine } from './machine.js';

interface Subject {
  readonly status: string;
  readonly version: number;
  readonly prepared_by: string | null;
}
export interface Step {
  readonly id: string;
  readonly act: string;
  /** The version the person saw; null for jobs, which hold the row lock. */
  readonly version: number | null;
  readonly set?: Readonly<Record<string, unknown>>;
  readonly detail?: Readonly<Record<string, unknown>>;
}

/** Carries out a transition inside the caller's transaction: lock, check, update where the state is as expected, audit. */
@Injectable()
export class Executor {
  constructor(private readonly audit: Audit) {}

  async apply<S extends string>(manager: EntityManager, actor: Actor, machine: Machine<S>, step: Step): Promise<void> {
    const transition = machine.transitions.find((candidate) => candidate.act === step.act);
    if (!transition) throw new Error(`${machine.name} has no act ${step.act}`);
    const preparedBy = PREPARED_BY[machine.name] ?? 'prepared_by';
    const rows = (await manager.query(
      `SELECT status, version, ${preparedBy} AS prepared_by FROM ${machine.table} WHERE id = $1 FOR UPDATE`,
      [step.id],
    )) as Subject[];
    const subject = rows[0];
    if (!subject) throw notFound(machine.name);
    if (step.version !== null && subject.version !== step.version)
      throw conflict(
        `Somebody changed this ${machine.name} meanwhile; it is ${subject.status} now. Look again before you act.`,
      );
    if (!(transition.from as readonly string[]).includes(subject.status))
      throw conflict(`This ${machine.name} is ${subject.status}; it cannot be ${PAST[step.act] ?? step.act} now.`);
    if (!transition.by.includes(actor.role))
      throw new Refusal(
        403,
        'role',
        `A ${actor.role} cannot ${step.act} a ${machine.name}. Ask a ${transition.by.join(' or ')}.`,
      );
    if (
      transition.needsSecondPerson &&
      actor.userId === subject.prepared_by &&
      (await this.requiresSecondPerson(manager))
    ) {
      throw new Refusal(403, 'second-person', `You prepared this ${machine.name}; another person must ${step.act} it.`);
    }
    const set = { ...step.set, status: transition.to };
    const names = Object.keys(set);
    const assignments = names.map((name, index) => `${name} = $${index + 3}`).join(', ');
    const [, count] = (await manager.query(
      `UPDATE ${machine.table} SET ${assignments}, version = version + 1 WHERE id = $1 AND status = $2`,
      [step.id, subject.status, ...Object.values(set)],
    )) as [unknown, number];
    if (count !== 1) throw conflict(`Somebody changed this ${machine.name} meanwhile. Look again before you act.`);
    await this.audit.record(manager, actor, `${machine.name}.${step.act}`, machine.name, step.id, {
      from: subject.status,
      to: transition.to,
      ...step.detail,
    });
  }

  /** Whether the firm wants two persons for what cannot be undone. */
  async requiresSecondPerson(manager: EntityManager): Promise<boolean> {
    const rows = (await manager.query('SELECT requires_second_person FROM firm')) as {
      requires_second_person: boolean;
    }[];
    return rows[0]?.requires_second_person !== false;
  }
}

/** The column that says who prepared a subject, where it is not `prepared_by`. */
const PREPARED_BY: Readonly<Record<string, string>> = {
  payroll: 'created_by',
  question: 'answered_by',
  'take-over': 'created_by',
};

const PAST: Readonly<Record<string, string>> = {
  review: 'reviewed',
  reopen: 'reopened',
  post: 'posted',
  approve: 'approved',
  withdraw: 'withdrawn',
  release: 'released',
  settle: 'settled',
  return: 'returned',
  check: 'checked',
  'hand-over': 'recorded as filed',
  receive: 'received',
  accept: 'accepted',
  reject: 'rejected',
  answer: 'answered',
  'take-back': 'taken back',
  discard: 'discarded',
  apply: 'applied',
  decline: 'declined',
  enroll: 'recorded as enrolled',
  refuse: 'recorded as refused',
  end: 'ended',
  issue: 'issued',
  spoil: 'spoiled',
  void: 'voided',
  stop: 'stopped',
  clear: 'cleared',
  close: 'closed',
};
