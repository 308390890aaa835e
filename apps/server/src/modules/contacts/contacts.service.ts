import { Inject, Injectable } from '@nestjs/common';
import type { ContactHome, ContactRow, CreateContact, DoneForClient } from '@zakat/contract/contacts';
import { familyLabel } from '@zakat/core/deposits/family';
import { kindOf } from '@zakat/core/filings/registry';
import { agencyName } from '@zakat/core/tax-registry/registry';
import argon2 from 'argon2';
import { randomUUID } from 'node:crypto';
import type { EntityManager } from 'typeorm';
import { rawCents } from '../../database/cents-column.js';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { notFound, refuse } from '../../http/refusal.js';
import { Secrets } from '../../database/secrets.js';
import { Audit } from '../audit/index.js';
import { refuseWeak } from '../identity/index.js';
import { emailIssues, findClient } from '../clients/index.js';
import { Filing, periodOf, titleOf } from '../filing-records/index.js';
import { refuseUnlessAdministrator } from '../firm/index.js';
import { ClientHours } from '../payrolls/index.js';
import { Remittance } from '../remittances/index.js';

interface StoredContact {
  readonly id: string;
  readonly name: string;
  readonly email: string;
  readonly is_active: boolean;
  readonly has_second_factor: boolean;
}
interface StoredQuestion {
  readonly id: string;
  readonly who: string;
  readonly asks: string;
  readonly status: 'asked' | 'answered';
  readonly answer_cipher: Buffer | null;
  readonly chase_on: string;
  readonly version: number;
}

/** What has left the house for a client, the latest first; what is only planned is not theirs to see. */
const MOST_DONE = 100;
const MOST_TAKEN = 20;
const SHOWN_REMITTANCES: readonly string[] = ['released', 'settled', 'returned'];
const SHOWN_FILINGS: readonly string[] = ['released', 'received', 'accepted', 'rejected'];

/** People of a client who sign in, and what they see. */
@Injectable()
export class ContactsService {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(Audit) private readonly audit: Audit,
    @Inject(Secrets) private readonly secrets: Secrets,
    @Inject(ClientHours) private readonly hours: ClientHours,
  ) {}

  list(actor: Actor, clientId: string): Promise<ContactRow[]> {
    return this.database.run(actor, async (manager) => {
      await findClient(manager, clientId);
      return this.listIn(manager, clientId);
    });
  }

  async create(actor: Actor, clientId: string, input: CreateContact): Promise<ContactRow[]> {
    refuseUnlessAdministrator(actor, 'let somebody of a client sign in');
    const issues = emailIssues(input.email, 'email');
    if (issues.length > 0) throw refuse(issues);
    refuseWeak(input.password, [input.name, input.email], 'password');
    const hash = await argon2.hash(input.password);
    return this.database.run(actor, async (manager) => {
      await findClient(manager, clientId);
      const id = randomUUID();
      await manager.query(
        `INSERT INTO app_user (id, firm_id, email, name, role, password_hash, client_id) VALUES ($1,$2,$3,$4,'client-contact',$5,$6)`,
        [id, actor.firmId, input.email.toLowerCase(), input.name, hash, clientId],
      );
      await this.audit.record(manager, actor, 'contact.create', 'user', id, { clientId });
      return this.listIn(manager, clientId);
    });
  }

  /** Closes the account (and ends its sessions), or opens it again. */
  open(actor: Actor, clientId: string, id: string, isActive: boolean): Promise<ContactRow[]> {
    refuseUnlessAdministrator(actor, 'open or close an account');
    return this.database.run(actor, async (manager) => {
      const [, count] = (await manager.query(
        `UPDATE app_user SET is_active = $3 WHERE id = $1 AND client_id = $2 AND role = 'client-contact'`,
        [id, clientId, isActive],
      )) as [unknown, number];
      if (count !== 1) throw notFound('contact');
      if (!isActive) await manager.query('DELETE FROM session WHERE user_id = $1', [id]);
      await this.audit.record(manager, actor, 'contact.change', 'user', id, { isActive });
      return this.listIn(manager, clientId);
    });
  }

  /** The one page of somebody who signs in for a client. The database shows them no other client's rows. */
  home(actor: Actor, clientId: string): Promise<ContactHome> {
    return this.database.run(actor, async (manager) => {
      const client = await findClient(manager, clientId);
      const questions = (await manager.query(
        `SELECT q.id, q.asks, q.status, q.answer_cipher, q.chase_on, q.version, coalesce(e.first_name || ' ' || e.last_name, '') AS who
         FROM question q LEFT JOIN employee e ON e.id = q.employee_id WHERE q.client_id = $1 AND q.status IN ('asked','answered') ORDER BY q.status <> 'asked', q.chase_on, who`,
        [clientId],
      )) as StoredQuestion[];
      return {
        clientName: client.legalName,
        einTail: client.ein.slice(-4),
        questions: questions.map(({ chase_on: chaseOn, answer_cipher: answer, ...question }) => ({
          ...question,
          answer: answer ? this.secrets.open(answer) : '',
          chaseOn,
        })),
        done: await this.done(manager, clientId),
        payrolls: await this.hours.own(manager, client),
        funds: await this.funds(manager, clientId),
      };
    });
  }

  /** What is taken from the client's account, and what the firm holds of it; null where nothing ever was. */
  private async funds(manager: EntityManager, clientId: string): Promise<ContactHome['funds']> {
    const rows = (await manager.query(
      `SELECT reference, settles, amount, status, returned_reason FROM collection WHERE client_id = $1 AND kind = 'debit' AND status <> 'withdrawn' ORDER BY settles DESC, created_at DESC LIMIT ${MOST_TAKEN}`,
      [clientId],
    )) as { reference: string; settles: string; amount: string; status: string; returned_reason: string | null }[];
    const [held] = (await manager.query(
      'SELECT coalesce(sum(amount), 0) AS amount FROM trust_balance WHERE client_id = $1',
      [clientId],
    )) as { amount: string }[];
    if (rows.length === 0) return null;
    return {
      held: rawCents(held?.amount ?? '0'),
      taken: rows.map((row) => ({
        reference: row.reference,
        settles: row.settles,
        amount: rawCents(row.amount),
        status: row.status,
        returnedReason: row.returned_reason,
      })),
    };
  }

  private async done(manager: EntityManager, clientId: string): Promise<DoneForClient[]> {
    const payments = (await manager.find(Remittance, { where: { clientId } }))
      .filter((row) => SHOWN_REMITTANCES.includes(row.status))
      .map((row): DoneForClient => ({
        kind: 'payment',
        what: familyLabel(row.family),
        to: agencyName(row.agency),
        amount: row.amount,
        day: row.settles,
        standing: row.status,
        confirmation: row.confirmation,
        returnedId: row.status === 'returned' ? row.id : null,
      }));
    const returns = (await manager.find(Filing, { where: { clientId } }))
      .filter((row) => SHOWN_FILINGS.includes(row.status))
      .map((row): DoneForClient => ({
        kind: 'return',
        what: titleOf(kindOf(row.kind), periodOf(row)),
        to: kindOf(row.kind).agency.name,
        amount: null,
        day: row.due,
        standing: row.status,
        confirmation: row.submissionId,
        returnedId: null,
      }));
    return [...payments, ...returns].sort((a, b) => (a.day < b.day ? 1 : -1)).slice(0, MOST_DONE);
  }

  private async listIn(manager: EntityManager, clientId: string): Promise<ContactRow[]> {
    const rows = (await manager.query(
      `SELECT id, name, email, is_active, totp_cipher IS NOT NULL AS has_second_factor FROM app_user WHERE client_id = $1 AND role = 'client-contact' ORDER BY name`,
      [clientId],
    )) as StoredContact[];
    return rows.map((row) => ({
      id: row.id,
      name: row.name,
      email: row.email,
      isActive: row.is_active,
      hasSecondFactor: row.has_second_factor,
    }));
  }
}
