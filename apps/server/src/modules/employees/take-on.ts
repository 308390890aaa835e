import { Inject, Injectable } from '@nestjs/common';
import { randomUUID } from 'node:crypto';
import type { EntityManager } from 'typeorm';
import type { Actor } from '../../database/firm-database.js';
import { Secrets } from '../../database/secrets.js';
import { FactStore, type GivenFact } from '../facts/index.js';
import { APPLIED_FOR } from '@zakat/core/identity/numbers';

/** A person as entered or imported, already checked. */
export interface Newcomer {
  readonly number: string;
  readonly firstName: string;
  readonly middleName: string;
  readonly lastName: string;
  readonly suffix: string;
  /** Nine digits. */
  readonly ssn: string;
  readonly street: string;
  readonly city: string;
  readonly state: string;
  readonly zip: string;
  readonly country: string;
  readonly province: string;
  readonly hiredOn: string | null;
  readonly bornOn: string | null;
  readonly kind: string;
  readonly isRetirementPlan: boolean;
  readonly facts: readonly GivenFact[];
}

/** Writes people with their facts: two statements however many they are. */
@Injectable()
export class TakeOn {
  constructor(
    @Inject(Secrets) private readonly secrets: Secrets,
    @Inject(FactStore) private readonly facts: FactStore,
  ) {}

  async people(
    manager: EntityManager,
    actor: Actor,
    clientId: string,
    newcomers: readonly Newcomer[],
    importId: string | null = null,
  ): Promise<string[]> {
    const ids = newcomers.map(() => randomUUID());
    const rows = newcomers.map(({ facts: _facts, ssn, ...person }, index) => ({
      id: ids[index],
      number: person.number,
      first_name: person.firstName,
      middle_name: person.middleName,
      last_name: person.lastName,
      suffix: person.suffix,
      ssn_cipher: `\\x${this.secrets.seal(ssn).toString('hex')}`,
      ssn_tail: ssn.slice(-4),
      // Numbers that are applied for are not one and the same number.
      ssn_mark: `\\x${this.secrets.mark(ssn === '' ? `${APPLIED_FOR} ${ids[index] ?? ''}` : ssn).toString('hex')}`,
      street: person.street,
      city: person.city,
      state: person.state,
      zip: person.zip,
      country: person.country,
      province: person.province,
      hired_on: person.hiredOn,
      born_on: person.bornOn,
      kind: person.kind,
      is_retirement_plan: person.isRetirementPlan,
    }));
    await manager.query(
      `INSERT INTO employee (id, firm_id, client_id, number, first_name, middle_name, last_name, suffix, ssn_cipher, ssn_tail, ssn_mark, street, city, state, zip, country, province, hired_on, born_on, kind, is_retirement_plan, import_id, version)
       SELECT r.id, $1, $2, r.number, r.first_name, r.middle_name, r.last_name, r.suffix, r.ssn_cipher, r.ssn_tail, r.ssn_mark, r.street, r.city, r.state, r.zip, r.country, r.province, r.hired_on, r.born_on, r.kind, r.is_retirement_plan, $3, 1
       FROM jsonb_to_recordset($4::jsonb) AS r(id uuid, number text, first_name text, middle_name text, last_name text, suffix text, ssn_cipher bytea, ssn_tail text, ssn_mark bytea, street text, city text, state text, zip text, country text, province text, hired_on date, born_on date, kind text, is_retirement_plan boolean)`,
      [actor.firmId, clientId, importId, JSON.stringify(rows)],
    );
    await this.facts.addToPeople(
      manager,
      actor,
      newcomers.flatMap((person, index) => person.facts.map((fact) => ({ ...fact, employeeId: ids[index] ?? '' }))),
    );
    return ids;
  }
}
