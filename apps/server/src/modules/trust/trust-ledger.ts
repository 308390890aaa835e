import { Inject, Injectable } from '@nestjs/common';
import type { LocalDate } from '@zakat/core/calendar/local-date';
import { cents, negate, showDollars, ZERO, type Cents } from '@zakat/core/money/cents';
import { usableOn, type Held } from '@zakat/core/trust/collecting';
import { trustKind, type TrustKindCode } from '@zakat/core/trust/kinds';
import { randomUUID } from 'node:crypto';
import { IsNull, type EntityManager } from 'typeorm';
import { rawCents } from '../../database/cents-column.js';
import type { Actor } from '../../database/firm-database.js';
import { refuseField } from '../../http/refusal.js';
import { BankAccount } from '../clients/index.js';
import { Clock } from '../clock/index.js';

export type { Held } from '@zakat/core/trust/collecting';

export interface NewTrustEntry {
  readonly accountId: string;
  /** Null: the firm's own. */
  readonly clientId: string | null;
  readonly day: LocalDate;
  readonly kind: TrustKindCode;
  /** Above zero: the kind says in which direction it counts. */
  readonly amount: Cents;
  readonly reference: string;
  readonly memo?: string;
  /** What it follows from; one of a kind follows from it once. */
  readonly subjectId: string | null;
  /** The entry that it takes back: it counts against its kind's direction. */
  readonly reverses?: string;
}

/** The only writer of the trust ledger. It adds; the database keeps the balances and refuses one below zero. */
@Injectable()
export class TrustLedger {
  constructor(@Inject(Clock) private readonly clock: Clock) {}

  /** The account that holds the clients' money; null where the firm has none. */
  account(manager: EntityManager): Promise<BankAccount | null> {
    return manager.findOneBy(BankAccount, { clientId: IsNull(), isTrust: true });
  }

  async post(manager: EntityManager, actor: Actor, entry: NewTrustEntry): Promise<string> {
    const kind = trustKind(entry.kind);
    if ((kind.of === 'client') !== (entry.clientId !== null))
      throw new Error(`an entry of the kind ${entry.kind} on the wrong line`);
    if (entry.amount <= 0) throw new Error(`an entry of ${entry.amount}`);
    const signed = (kind.sign === 1) === (entry.reverses === undefined) ? entry.amount : negate(entry.amount);
    if (signed < 0 && entry.clientId !== null) await this.refuseBelowZero(manager, entry, signed);
    const id = randomUUID();
    await manager.query(
      `INSERT INTO trust_entry (id, firm_id, bank_account_id, client_id, day, kind, amount, is_at_bank, reference, memo, subject_id, reverses, created_by, created_at)
       VALUES ($1,$2,$3,$4,$5,$6,$7,$8,$9,$10,$11,$12,$13,$14)`,
      [
        id,
        actor.firmId,
        entry.accountId,
        entry.clientId,
        entry.day,
        entry.kind,
        signed,
        kind.isAtBank,
        entry.reference,
        entry.memo ?? '',
        entry.subjectId,
        entry.reverses ?? null,
        actor.userId,
        await this.clock.now(manager),
      ],
    );
    return id;
  }

  /** Holds the client's line until the transaction ends, so that two who look at it at once do not both spend it. */
  async hold(manager: EntityManager, accountId: string, clientId: string): Promise<void> {
    await manager.query('SELECT pg_advisory_xact_lock(hashtextextended($1, 0))', [`trust ${accountId} ${clientId}`]);
  }

  async balanceOf(manager: EntityManager, accountId: string, holder: string): Promise<Cents> {
    const rows = (await manager.query('SELECT amount FROM trust_balance WHERE bank_account_id = $1 AND holder = $2', [
      accountId,
      holder,
    ])) as { amount: string }[];
    return rows[0] ? rawCents(rows[0].amount) : ZERO;
  }

  /** A client's balance with what of it was collected too lately to be paid out. */
  async heldOf(manager: EntityManager, accountId: string, clientId: string): Promise<Held> {
    const held = (await manager.query(
      `SELECT amount, usable FROM collection WHERE client_id = $1 AND trust_account_id = $2 AND status = 'settled' AND usable > $3`,
      [clientId, accountId, await this.clock.today(manager)],
    )) as { amount: string; usable: LocalDate }[];
    return {
      balance: await this.balanceOf(manager, accountId, clientId),
      held: held.map(({ amount, usable }) => ({ amount: rawCents(amount), usable })),
    };
  }

  async usableOf(manager: EntityManager, accountId: string, clientId: string): Promise<Cents> {
    return usableOn(await this.heldOf(manager, accountId, clientId), await this.clock.today(manager));
  }

  /** What the firm put in for the client and has not been paid back. */
  async advancedTo(manager: EntityManager, accountId: string, clientId: string): Promise<Cents> {
    const rows = (await manager.query(
      `SELECT coalesce(sum(amount), 0) AS amount FROM trust_entry WHERE bank_account_id = $1 AND client_id = $2 AND kind IN ('advance-received', 'advance-repaid')`,
      [accountId, clientId],
    )) as { amount: string }[];
    return rawCents(rows[0]?.amount ?? '0');
  }

  /** Money of the firm for a client, by name: two entries that move nothing at the bank. */
  async advance(
    manager: EntityManager,
    actor: Actor,
    given: Pick<NewTrustEntry, 'accountId' | 'clientId' | 'day' | 'amount' | 'reference' | 'memo' | 'subjectId'>,
  ): Promise<void> {
    await this.post(manager, actor, { ...given, clientId: null, kind: 'advance-given' });
    await this.post(manager, actor, { ...given, kind: 'advance-received' });
  }
  async repayAdvance(
    manager: EntityManager,
    actor: Actor,
    given: Pick<NewTrustEntry, 'accountId' | 'clientId' | 'day' | 'amount' | 'reference' | 'memo' | 'subjectId'>,
  ): Promise<void> {
    await this.post(manager, actor, { ...given, kind: 'advance-repaid' });
    await this.post(manager, actor, { ...given, clientId: null, kind: 'advance-recovered' });
  }

  private async refuseBelowZero(manager: EntityManager, entry: NewTrustEntry, signed: Cents): Promise<void> {
    const balance = await this.balanceOf(manager, entry.accountId, entry.clientId ?? '');
    if (balance + signed < 0)
      throw refuseField(
        'amount',
        `The trust account holds ${showDollars(balance)} of this client, and this takes ${showDollars(cents(-signed))}.`,
        'Collect from the client first, or advance the rest from the firm’s own money by name.',
      );
  }
}
