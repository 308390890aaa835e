import { Inject, Injectable } from '@nestjs/common';
import type { EmployeeSignIn, InvitedEmployee, SignInState, WelcomeView } from '@zakat/contract/own-pay';
import argon2 from 'argon2';
import { createHash, randomBytes, randomUUID } from 'node:crypto';
import type { EntityManager } from 'typeorm';
import { CONFIG, type Config } from '../../config/config.js';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { conflict, notFound, refuse } from '../../http/refusal.js';
import { Audit } from '../audit/index.js';
import { emailIssues } from '../clients/index.js';
import { Employee, fullName } from '../employees/index.js';
import { refuseWeak } from '../identity/index.js';

const DAYS_TO_USE = 7;
const hashOf = (token: string): Buffer => createHash('sha256').update(token).digest();

interface StoredSignIn {
  readonly id: string;
  readonly email: string;
  readonly is_active: boolean;
  readonly is_set: boolean;
  readonly link_until: Date | null;
}
interface Link {
  readonly firm_id: string;
  readonly user_id: string;
  readonly name: string;
  readonly email: string;
  readonly firm_name: string;
}

/** Employees who sign in for themselves: invited and reset by a link that is used once, closed and opened again. */
@Injectable()
export class SignIns {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(Audit) private readonly audit: Audit,
    @Inject(CONFIG) private readonly config: Config,
  ) {}

  view(actor: Actor, employeeId: string): Promise<EmployeeSignIn> {
    return this.database.run(actor, async (manager) => {
      await this.person(manager, employeeId);
      return this.viewIn(manager, employeeId);
    });
  }

  /** A link to set the password with: the first one, or one more for somebody who forgot it. An earlier link ends. */
  async invite(actor: Actor, employeeId: string, given: string): Promise<InvitedEmployee> {
    const issues = emailIssues(given, 'email');
    if (issues.length > 0) throw refuse(issues);
    const email = given.trim().toLowerCase();
    // Nobody knows this password: until the link is used, nobody signs in.
    const nobodys = await argon2.hash(randomBytes(32).toString('base64url'));
    return this.database.run(actor, async (manager) => {
      const person = await this.person(manager, employeeId);
      const known = await this.find(manager, employeeId);
      if (known && !known.is_active) throw conflict('The sign-in of this person is closed. Open it again first.');
      const id = known?.id ?? randomUUID();
      if (known)
        await manager.query('UPDATE app_user SET email = $2, name = $3 WHERE id = $1', [id, email, fullName(person)]);
      else
        await manager.query(
          `INSERT INTO app_user (id, firm_id, email, name, role, password_hash, client_id, employee_id) VALUES ($1,$2,$3,$4,'employee',$5,$6,$7)`,
          [id, actor.firmId, email, fullName(person), nobodys, person.clientId, employeeId],
        );
      await manager.query('UPDATE sign_in_link SET expires_at = now() WHERE user_id = $1 AND used_at IS NULL', [id]);
      const token = randomBytes(32).toString('base64url');
      await manager.query(
        `INSERT INTO sign_in_link (token_hash, firm_id, user_id, expires_at, made_by) VALUES ($1, $2, $3, now() + interval '${DAYS_TO_USE} days', $4)`,
        [hashOf(token), actor.firmId, id, actor.userId],
      );
      await this.audit.record(
        manager,
        actor,
        known ? 'employee.sign-in-again' : 'employee.sign-in',
        'employee',
        employeeId,
        {
          email,
        },
      );
      return {
        address: `${this.config.publicUrl}/welcome/${token}`,
        signIn: await this.viewIn(manager, employeeId),
      };
    });
  }

  /** Closes the sign-in (and ends its sessions), or opens it again. */
  open(actor: Actor, employeeId: string, isOpen: boolean): Promise<EmployeeSignIn> {
    return this.database.run(actor, async (manager) => {
      const known = await this.find(manager, employeeId);
      if (!known) throw notFound('sign-in');
      await manager.query('UPDATE app_user SET is_active = $2 WHERE id = $1', [known.id, isOpen]);
      if (!isOpen) {
        await manager.query('DELETE FROM session WHERE user_id = $1', [known.id]);
        await manager.query('UPDATE sign_in_link SET expires_at = now() WHERE user_id = $1 AND used_at IS NULL', [
          known.id,
        ]);
      }
      await this.audit.record(manager, actor, 'employee.sign-in-change', 'employee', employeeId, { isOpen });
      return this.viewIn(manager, employeeId);
    });
  }

  /** Whose link it is. One that never was, one that was used and one that is over answer alike. */
  async welcome(token: string): Promise<WelcomeView> {
    const { name, email, firm_name: firmName } = await this.link(token);
    return { name, email, firmName };
  }

  /** Sets the password, once; every session from before ends. */
  async setPassword(token: string, password: string): Promise<void> {
    const link = await this.link(token);
    refuseWeak(password, [link.name, link.email, link.firm_name], 'password');
    const hash = await argon2.hash(password);
    const actor: Actor = { firmId: link.firm_id, userId: link.user_id, role: 'system' };
    await this.database.run(actor, async (manager) => {
      const [, count] = (await manager.query(
        'UPDATE sign_in_link SET used_at = now() WHERE token_hash = $1 AND used_at IS NULL AND expires_at > now()',
        [hashOf(token)],
      )) as [unknown, number];
      if (count !== 1) throw notFound('link');
      await manager.query('UPDATE app_user SET password_hash = $2 WHERE id = $1', [link.user_id, hash]);
      await manager.query('DELETE FROM session WHERE user_id = $1', [link.user_id]);
      await this.audit.record(manager, actor, 'user.password', 'user', link.user_id);
    });
  }

  private async link(token: string): Promise<Link> {
    const [link] = await this.database.runWithoutFirm(
      async (manager) => (await manager.query('SELECT * FROM sign_in_link_of($1)', [hashOf(token)])) as Link[],
    );
    if (!link) throw notFound('link');
    return link;
  }

  private async person(manager: EntityManager, employeeId: string): Promise<Employee> {
    const person = await manager.findOneBy(Employee, { id: employeeId, isWithdrawn: false });
    if (!person) throw notFound('employee');
    return person;
  }

  private async find(manager: EntityManager, employeeId: string): Promise<StoredSignIn | null> {
    const rows = (await manager.query(
      `SELECT u.id, u.email, u.is_active, EXISTS (SELECT 1 FROM sign_in_link l WHERE l.user_id = u.id AND l.used_at IS NOT NULL) AS is_set,
         (SELECT max(l.expires_at) FROM sign_in_link l WHERE l.user_id = u.id AND l.used_at IS NULL AND l.expires_at > now()) AS link_until
       FROM app_user u WHERE u.employee_id = $1`,
      [employeeId],
    )) as StoredSignIn[];
    return rows[0] ?? null;
  }

  private async viewIn(manager: EntityManager, employeeId: string): Promise<EmployeeSignIn> {
    const known = await this.find(manager, employeeId);
    const state: SignInState = !known ? 'none' : !known.is_active ? 'closed' : known.is_set ? 'open' : 'invited';
    return { state, email: known?.email ?? '', linkUntil: known?.link_until?.toISOString() ?? null };
  }
}
