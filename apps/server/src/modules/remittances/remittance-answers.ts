import { Inject, Injectable } from '@nestjs/common';
import { date } from '@zakat/core/calendar/local-date';
import { cents, negate, sum } from '@zakat/core/money/cents';
import { isTaxCode, taxOf, type TaxCode } from '@zakat/core/tax-registry/registry';
import type { EntityManager } from 'typeorm';
import type { Actor } from '../../database/firm-database.js';
import { Executor } from '../../state-machines/executor.js';
import { REMITTANCE_MACHINE } from '../../state-machines/machine.js';
import { Clock } from '../clock/index.js';
import { LedgerWriter, type NewEntry } from '../ledger/index.js';
import { TrustPayments } from '../trust/index.js';
import { Remittance, RemittanceItem } from './entities.js';

/** What the bank says of a payment. */
export interface BankAnswer {
  readonly state: 'received' | 'settled' | 'returned' | 'rejected';
  readonly confirmation: string | null;
  readonly settledOn: string | null;
  readonly code: string | null;
  readonly message: string | null;
  readonly isFinal: boolean;
  /** Entries of a file of pay that came back one by one. */
  readonly entries?: readonly {
    readonly trace: string;
    readonly code: string;
    readonly message: string;
    /** Corrected data of a notification of change, as the addenda has it. */
    readonly corrected?: string;
  }[];
}

/** Carries the bank's answers into the ledger, each once: the remittance's state decides whether there is anything to do. */
@Injectable()
export class RemittanceAnswers {
  constructor(
    @Inject(Executor) private readonly executor: Executor,
    @Inject(LedgerWriter) private readonly ledger: LedgerWriter,
    @Inject(Clock) private readonly clock: Clock,
    @Inject(TrustPayments) private readonly trust: TrustPayments,
  ) {}

  async apply(manager: EntityManager, actor: Actor, remittanceId: string, answer: BankAnswer): Promise<void> {
    await manager.query('SELECT id FROM remittance WHERE id = $1 FOR UPDATE', [remittanceId]);
    const remittance = await manager.findOneByOrFail(Remittance, { id: remittanceId });
    if (answer.state === 'settled' && remittance.status === 'released')
      await this.settle(manager, actor, remittance, answer);
    if (
      (answer.state === 'returned' || answer.state === 'rejected') &&
      (remittance.status === 'released' || remittance.status === 'settled')
    ) {
      await this.giveBack(manager, actor, remittance, answer);
    }
  }

  private async settle(
    manager: EntityManager,
    actor: Actor,
    remittance: Remittance,
    answer: BankAnswer,
  ): Promise<void> {
    const settledOn = date(answer.settledOn ?? remittance.settles);
    await this.executor.apply(manager, actor, REMITTANCE_MACHINE, {
      id: remittance.id,
      act: 'settle',
      version: null,
      set: { confirmation: answer.confirmation },
      detail: { settledOn, confirmation: answer.confirmation },
    });
    await this.post(manager, actor, remittance, 'payment', settledOn, -1);
    await manager.update(RemittanceItem, { remittanceId: remittance.id }, { isLive: false });
  }

  private async giveBack(
    manager: EntityManager,
    actor: Actor,
    remittance: Remittance,
    answer: BankAnswer,
  ): Promise<void> {
    const wasSettled = remittance.status === 'settled';
    const reason = `${answer.code ?? ''} ${answer.message ?? ''}`.trim();
    await this.executor.apply(manager, actor, REMITTANCE_MACHINE, {
      id: remittance.id,
      act: 'return',
      version: null,
      set: { returned_reason: reason },
      detail: { reason },
    });
    if (wasSettled) await this.post(manager, actor, remittance, 'payment-returned', await this.clock.today(manager), 1);
    await this.trust.comesBack(manager, actor, 'tax-payment-returned', remittance);
    await manager.update(RemittanceItem, { remittanceId: remittance.id }, { isLive: false });
  }

  /** The ledger after a payment that was made elsewhere, or after its record was taken back. */
  recorded(manager: EntityManager, actor: Actor, remittance: Remittance, day: ReturnType<typeof date>): Promise<void> {
    return this.post(manager, actor, remittance, 'payment', day, -1);
  }
  unrecorded(
    manager: EntityManager,
    actor: Actor,
    remittance: Remittance,
    day: ReturnType<typeof date>,
  ): Promise<void> {
    return this.post(manager, actor, remittance, 'payment-returned', day, 1);
  }

  private async post(
    manager: EntityManager,
    actor: Actor,
    remittance: Remittance,
    cause: 'payment' | 'payment-returned',
    day: ReturnType<typeof date>,
    sign: 1 | -1,
  ): Promise<void> {
    const items = await manager.find(RemittanceItem, { where: { remittanceId: remittance.id } });
    const entries = items.map((item): NewEntry => {
      if (!isTaxCode(item.tax)) throw new Error('a remittance item with an unknown tax');
      const tax: TaxCode = item.tax;
      return {
        employeeId: null,
        payrollId: null,
        remittanceId: remittance.id,
        cause,
        tax,
        agency: taxOf(tax).agency,
        subject: cents(0),
        wages: cents(0),
        amount: sign === -1 ? negate(item.amount) : item.amount,
        liabilityDate: date(item.liabilityDate),
        effectiveDate: day,
      };
    });
    await this.ledger.writeEntries(manager, actor, remittance.clientId, entries, await this.clock.now(manager));
    const amount = sum(items.map((item) => item.amount));
    // What was paid elsewhere never left the trust account.
    const isTrust = remittance.paidElsewhereOn === null && (await this.trust.isFrom(manager, remittance.bankAccountId));
    await this.ledger.writeJournal(manager, actor, {
      clientId: remittance.clientId,
      day,
      memo: cause === 'payment' ? 'Tax payment' : 'Tax payment returned',
      payrollId: null,
      remittanceId: remittance.id,
      lines: [
        { account: 'taxes-payable', detail: remittance.reference, amount: cents(sign === -1 ? amount : -amount) },
        {
          account: isTrust ? 'funds-held' : 'cash',
          detail: remittance.reference,
          amount: cents(sign === -1 ? -amount : amount),
        },
      ],
    });
  }
}
