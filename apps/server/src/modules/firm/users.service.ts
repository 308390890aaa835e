import { Inject, Injectable } from '@nestjs/common';
import type { CreateUser, UpdateUser, UserRow } from '@zakat/contract/firm';
import argon2 from 'argon2';
import { randomUUID } from 'node:crypto';
import type { EntityManager } from 'typeorm';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { notFound, refuse, refuseField } from '../../http/refusal.js';
import { Audit } from '../audit/index.js';
import { emailIssues } from '../clients/index.js';
import { refuseWeak } from '../identity/index.js';
import { refuseUnlessAdministrator } from './administrator.js';

interface StoredUser {
  readonly id: string;
  readonly name: string;
  readonly email: string;
  readonly role: UserRow['role'];
  readonly is_active: boolean;
  readonly has_second_factor: boolean;
  readonly sessions: number;
}

/** The people of the firm, their roles, and their sessions. */
@Injectable()
export class UsersService {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(Audit) private readonly audit: Audit,
  ) {}

  list(actor: Actor): Promise<UserRow[]> {
    return this.database.run(actor, (manager) => this.listIn(manager));
  }

  async create(actor: Actor, input: CreateUser): Promise<UserRow[]> {
    refuseUnlessAdministrator(actor, 'add a user');
    const issues = emailIssues(input.email, 'email');
    if (issues.length > 0) throw refuse(issues);
    refuseWeak(input.password, [input.name, input.email], 'password');
    const hash = await argon2.hash(input.password);
    return this.database.run(actor, async (manager) => {
      const id = randomUUID();
      await manager.query(
        'INSERT INTO app_user (id, firm_id, email, name, role, password_hash) VALUES ($1,$2,$3,$4,$5,$6)',
        [id, actor.firmId, input.email.toLowerCase(), input.name, input.role, hash],
      );
      await this.audit.record(manager, actor, 'user.create', 'user', id, { role: input.role });
      return this.listIn(manager);
    });
  }

  update(actor: Actor, id: string, input: UpdateUser): Promise<UserRow[]> {
    refuseUnlessAdministrator(actor, 'change a user');
    return this.database.run(actor, async (manager) => {
      // One at a time, so that two administrators cannot each take the other's role away.
      await manager.query(`SELECT id FROM app_user WHERE role = 'administrator' FOR UPDATE`);
      const before = (await this.listIn(manager)).find((user) => user.id === id);
      if (!before) throw notFound('user');
      const others = (await this.listIn(manager)).filter(
        (user) => user.id !== id && user.isActive && user.role === 'administrator',
      );
      if (others.length === 0 && (input.role !== 'administrator' || !input.isActive))
        throw refuseField(
          'role',
          'The firm would have no administrator left.',
          'Make somebody else administrator first.',
        );
      await manager.query('UPDATE app_user SET name = $2, role = $3, is_active = $4 WHERE id = $1', [
        id,
        input.name,
        input.role,
        input.isActive,
      ]);
      if (!input.isActive) await manager.query('DELETE FROM session WHERE user_id = $1', [id]);
      await this.audit.record(manager, actor, 'user.change', 'user', id, {
        role: { from: before.role, to: input.role },
        isActive: { from: before.isActive, to: input.isActive },
      });
      return this.listIn(manager);
    });
  }

  /** Ends every session of a person: one's own, or as administrator anybody's. */
  signOutEverywhere(actor: Actor, id: string): Promise<void> {
    if (actor.userId !== id) refuseUnlessAdministrator(actor, 'sign somebody else out');
    return this.database.run(actor, async (manager) => {
      const [, count] = (await manager.query('DELETE FROM session WHERE user_id = $1', [id])) as [unknown, number];
      await this.audit.record(manager, actor, 'session.end-all', 'user', id, { sessions: count });
    });
  }

  private async listIn(manager: EntityManager): Promise<UserRow[]> {
    const rows = (await manager.query(
      `SELECT u.id, u.name, u.email, u.role, u.is_active, u.totp_cipher IS NOT NULL AS has_second_factor,
         (SELECT count(*)::int FROM session s WHERE s.user_id = u.id AND s.expires_at > now()) AS sessions FROM app_user u WHERE u.client_id IS NULL ORDER BY u.name`,
    )) as StoredUser[];
    return rows.map((row) => ({
      id: row.id,
      name: row.name,
      email: row.email,
      role: row.role,
      isActive: row.is_active,
      hasSecondFactor: row.has_second_factor,
      sessions: row.sessions,
    }));
  }
}
