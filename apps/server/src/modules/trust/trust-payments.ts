import { Inject, Injectable } from '@nestjs/common';
import type { SlipCheck } from '@zakat/contract/remittances';
import { date, showDate } from '@zakat/core/calendar/local-date';
import { add, showDollars, subtract, sum, type Cents } from '@zakat/core/money/cents';
import type { EntityManager } from 'typeorm';
import type { Actor } from '../../database/firm-database.js';
import { BankAccount } from '../clients/index.js';
import { Clock } from '../clock/index.js';
import { TrustLedger } from './trust-ledger.js';

/** A payment that may leave from the trust account. */
export interface PaidForClient {
  readonly id: string;
  readonly clientId: string;
  readonly bankAccountId: string;
  readonly amount: Cents;
  readonly reference: string;
  readonly settles: string;
}

/** What a payment from the trust account does to it. A payment from a client's own account does nothing here. */
@Injectable()
export class TrustPayments {
  constructor(
    @Inject(TrustLedger) private readonly ledger: TrustLedger,
    @Inject(Clock) private readonly clock: Clock,
  ) {}

  isFrom(manager: EntityManager, bankAccountId: string): Promise<boolean> {
    return manager.existsBy(BankAccount, { id: bankAccountId, isTrust: true });
  }

  /** One release at a time spends the money of a client. */
  async hold(manager: EntityManager, payment: PaidForClient | null): Promise<void> {
    if (payment && (await this.isFrom(manager, payment.bankAccountId)))
      await this.ledger.hold(manager, payment.bankAccountId, payment.clientId);
  }

  /** Whether the account holds enough of the client's money that can no longer come back. */
  async checks(manager: EntityManager, bank: BankAccount, payment: PaidForClient): Promise<SlipCheck[]> {
    if (!bank.isTrust || payment.amount === 0) return [];
    const held = await this.ledger.heldOf(manager, bank.id, payment.clientId);
    const usable = await this.ledger.usableOf(manager, bank.id, payment.clientId);
    const isPassed = usable >= payment.amount;
    const waits = held.held.map(
      ({ amount, usable: from }) => `${showDollars(amount)} may be paid out from ${showDate(from)} on`,
    );
    const isEnoughLater = add(usable, sum(held.held.map(({ amount }) => amount))) >= payment.amount;
    return [
      {
        label: 'The trust account holds the client’s money',
        isPassed,
        says: isPassed
          ? `${showDollars(usable)} of this client may be paid out today.`
          : `${showDollars(usable)} of this client may be paid out today${waits.length > 0 ? `; ${waits.slice(0, 3).join(', ')}` : ''}. ${isEnoughLater ? 'Wait for that' : 'Collect the rest'}, or advance it from the firm’s own money by name.`,
      },
    ];
  }

  /** In the transaction of the release: the money is the client's until then, and spent from then on. */
  async leaves(
    manager: EntityManager,
    actor: Actor,
    kind: 'tax-payment' | 'net-pay',
    payment: PaidForClient,
  ): Promise<void> {
    if (payment.amount === 0 || !(await this.isFrom(manager, payment.bankAccountId))) return;
    await this.ledger.post(manager, actor, {
      accountId: payment.bankAccountId,
      clientId: payment.clientId,
      day: date(payment.settles),
      kind,
      amount: payment.amount,
      reference: payment.reference,
      subjectId: payment.id,
    });
  }

  async comesBack(
    manager: EntityManager,
    actor: Actor,
    kind: 'tax-payment-returned' | 'net-pay-returned',
    payment: PaidForClient,
  ): Promise<void> {
    if (payment.amount === 0 || !(await this.isFrom(manager, payment.bankAccountId))) return;
    await this.ledger.post(manager, actor, {
      accountId: payment.bankAccountId,
      clientId: payment.clientId,
      day: await this.clock.today(manager),
      kind,
      amount: payment.amount,
      reference: payment.reference,
      subjectId: payment.id,
    });
  }

  /** Money that had come back is gone again: what the client no longer has, the firm advances by name. */
  async takenAgain(manager: EntityManager, actor: Actor, payment: PaidForClient): Promise<void> {
    if (payment.amount === 0 || !(await this.isFrom(manager, payment.bankAccountId))) return;
    const given = {
      accountId: payment.bankAccountId,
      clientId: payment.clientId,
      day: await this.clock.today(manager),
      reference: payment.reference,
      subjectId: payment.id,
    };
    await this.ledger.hold(manager, payment.bankAccountId, payment.clientId);
    const missing = subtract(
      payment.amount,
      await this.ledger.balanceOf(manager, payment.bankAccountId, payment.clientId),
    );
    if (missing > 0)
      await this.ledger.advance(manager, actor, { ...given, amount: missing, memo: 'A reversal came back' });
    await this.ledger.post(manager, actor, { ...given, kind: 'net-pay', amount: payment.amount });
  }
}
