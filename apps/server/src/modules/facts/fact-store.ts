import { Inject, Injectable } from '@nestjs/common';
import { CLIENT_FACTS } from '@zakat/core/facts/client-facts';
import { EMPLOYEE_FACTS } from '@zakat/core/facts/employee-facts';
import type { FactKinds, FactValue } from '@zakat/core/facts/fact-kind';
import { inForceOn, type DatedFact } from '@zakat/core/facts/in-force';
import { problem, type Issue } from '@zakat/core/issues/issue';
import type { EntityManager } from 'typeorm';
import type { Actor } from '../../database/firm-database.js';
import { Secrets } from '../../database/secrets.js';
import { refuse } from '../../http/refusal.js';
import { Clock } from '../clock/index.js';

/** A fact as stored, with what it is about. */
export interface StoredFact extends DatedFact {
  /** The person or client; null for the firm's client defaults. */
  readonly ownerId: string | null;
}
export interface SignedFact extends StoredFact {
  readonly recordedBy: string;
  readonly recordedAt: Date;
}
export interface GivenFact {
  readonly kind: string;
  readonly from: string;
  readonly value: FactValue;
}

const SEALED = 'Sealed';
const secretFields = (kinds: FactKinds, kind: string): string[] =>
  (kinds.find(kind)?.fields ?? []).filter((field) => field.kind === 'secret').map((field) => field.name);

/** The one place where effective-dated facts are written and read. They are added to, never changed. */
@Injectable()
export class FactStore {
  constructor(
    @Inject(Secrets) private readonly secrets: Secrets,
    @Inject(Clock) private readonly clock: Clock,
  ) {}

  /** Adds facts about people, each with its person, in one statement. */
  async addToPeople(
    manager: EntityManager,
    actor: Actor,
    facts: readonly (GivenFact & { readonly employeeId: string })[],
  ): Promise<void> {
    if (facts.length === 0) return;
    const rows = facts.map((fact) => ({
      owner: fact.employeeId,
      kind: fact.kind,
      from: fact.from,
      value: this.seal(EMPLOYEE_FACTS, fact),
    }));
    await manager.query(
      `INSERT INTO employee_fact (firm_id, employee_id, kind, effective_from, value, recorded_by, recorded_at)
       SELECT $1, r.owner, r.kind, r."from", r.value, $2, $3 FROM jsonb_to_recordset($4::jsonb) AS r(owner uuid, kind text, "from" date, value jsonb)`,
      [actor.firmId, this.personOf(actor), await this.clock.now(manager), JSON.stringify(rows)],
    );
  }

  /** Adds facts about a client, or to the firm's client defaults. */
  async addToClient(
    manager: EntityManager,
    actor: Actor,
    clientId: string | null,
    facts: readonly GivenFact[],
  ): Promise<void> {
    if (facts.length === 0) return;
    await manager.query(
      `INSERT INTO client_fact (firm_id, client_id, kind, effective_from, value, recorded_by, recorded_at)
       SELECT $1, $2, r.kind, r."from", r.value, $3, $4 FROM jsonb_to_recordset($5::jsonb) AS r(kind text, "from" date, value jsonb)`,
      [actor.firmId, clientId, this.personOf(actor), await this.clock.now(manager), JSON.stringify(facts)],
    );
  }

  /** Facts of people, newest first, by person. */
  async ofPeople(manager: EntityManager, employeeIds: readonly string[]): Promise<Map<string, StoredFact[]>> {
    const rows = (await manager.query(
      'SELECT id, employee_id AS "ownerId", kind, effective_from AS "from", value FROM employee_fact WHERE employee_id = ANY($1) ORDER BY effective_from DESC, id DESC',
      [employeeIds],
    )) as (StoredFact & { ownerId: string })[];
    const byPerson = new Map<string, StoredFact[]>();
    for (const row of rows) {
      const own = byPerson.get(row.ownerId);
      if (own) own.push(row);
      else byPerson.set(row.ownerId, [row]);
    }
    return byPerson;
  }

  /** Facts of some kinds of every client, newest first, by client. */
  async ofClients(manager: EntityManager, kinds: readonly string[]): Promise<Map<string, StoredFact[]>> {
    const rows = (await manager.query(
      `SELECT id, client_id AS "ownerId", kind, effective_from AS "from", value FROM client_fact
       WHERE client_id IS NOT NULL AND kind = ANY($1) ORDER BY effective_from DESC, id DESC`,
      [kinds],
    )) as (StoredFact & { ownerId: string })[];
    const byClient = new Map<string, StoredFact[]>();
    for (const row of rows) {
      const own = byClient.get(row.ownerId);
      if (own) own.push(row);
      else byClient.set(row.ownerId, [row]);
    }
    return byClient;
  }

  /** Facts of a client (or the firm's defaults), newest first, with who recorded them. */
  async ofClient(manager: EntityManager, clientId: string | null): Promise<SignedFact[]> {
    return (await manager.query(
      `SELECT f.id, f.client_id AS "ownerId", f.kind, f.effective_from AS "from", f.value, u.name AS "recordedBy", f.recorded_at AS "recordedAt"
       FROM client_fact f JOIN app_user u ON u.id = f.recorded_by WHERE f.client_id IS NOT DISTINCT FROM $1::uuid ORDER BY f.effective_from DESC, f.id DESC`,
      [clientId],
    )) as SignedFact[];
  }

  /** The whole account number of a fact about a bank account. */
  open(value: FactValue, field: string): string {
    const sealed = value[`${field}${SEALED}`];
    return typeof sealed === 'string' ? this.secrets.open(Buffer.from(sealed, 'base64')) : '';
  }

  /** Secret fields are stored sealed, with their last four characters beside them. */
  private seal(kinds: FactKinds, fact: GivenFact): FactValue {
    const value: Record<string, unknown> = { ...fact.value };
    for (const name of secretFields(kinds, fact.kind)) {
      const secret = value[name];
      if (typeof secret !== 'string') continue;
      delete value[name];
      value[`${name}${SEALED}`] = this.secrets.seal(secret).toString('base64');
      value[`${name}Tail`] = secret.slice(-4);
    }
    return value;
  }

  private personOf(actor: Actor): string {
    if (actor.userId === null) throw refuse([problem('input.missing', 'user', { what: 'a person who records it' })]);
    return actor.userId;
  }
}

/** Issues of facts about a person, by their place in the request. */
export const employeeFactIssues = (facts: readonly GivenFact[], path = 'facts'): Issue[] =>
  facts.flatMap((fact, index) => EMPLOYEE_FACTS.issues(fact.kind, fact.value, `${path}[${index}].value`));
export const clientFactIssues = (facts: readonly GivenFact[], path = 'facts'): Issue[] =>
  facts.flatMap((fact, index) => CLIENT_FACTS.issues(fact.kind, fact.value, `${path}[${index}].value`));

/** A fact as a screen may have it: without what is sealed. */
export const withoutSecrets = (value: FactValue): Record<string, unknown> =>
  Object.fromEntries(Object.entries(value).filter(([name]) => !name.endsWith(SEALED)));

export const inForceIds = (facts: readonly DatedFact[], day: string, kinds: FactKinds): ReadonlySet<string> =>
  new Set(inForceOn(facts, day, kinds.slotOf).map((fact) => fact.id));
