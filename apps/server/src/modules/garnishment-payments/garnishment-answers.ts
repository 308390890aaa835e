import { Inject, Injectable } from '@nestjs/common';
import { date } from '@zakat/core/calendar/local-date';
import { negate } from '@zakat/core/money/cents';
import { isChangeCode } from '@zakat/core/direct-deposit/change-notice';
import type { EntityManager } from 'typeorm';
import type { Actor } from '../../database/firm-database.js';
import { Executor } from '../../state-machines/executor.js';
import { GARNISHMENT_PAYMENT_MACHINE } from '../../state-machines/machine.js';
import { Clock } from '../clock/index.js';
import { LedgerWriter } from '../ledger/index.js';
import type { BankAnswer } from '../remittances/index.js';
import { GarnishmentPayment } from './entities.js';

/** Carries what the bank says of a payment into the record and the client's books, each once. */
@Injectable()
export class GarnishmentAnswers {
  constructor(
    @Inject(Executor) private readonly executor: Executor,
    @Inject(LedgerWriter) private readonly ledger: LedgerWriter,
    @Inject(Clock) private readonly clock: Clock,
  ) {}

  async apply(manager: EntityManager, actor: Actor, id: string, answer: BankAnswer): Promise<void> {
    await manager.query('SELECT id FROM garnishment_payment WHERE id = $1 FOR UPDATE', [id]);
    const payment = await manager.findOneByOrFail(GarnishmentPayment, { id });
    if (answer.state === 'settled' && payment.status === 'released') {
      const settledOn = date(answer.settledOn ?? payment.settles);
      await this.executor.apply(manager, actor, GARNISHMENT_PAYMENT_MACHINE, {
        id,
        act: 'settle',
        version: null,
        set: { confirmation: answer.confirmation },
        detail: { settledOn, confirmation: answer.confirmation, amount: payment.amount },
      });
      await this.book(manager, actor, payment, 1, settledOn);
    }
    const back = answer.entries?.find(({ code }) => !isChangeCode(code));
    const isBack = answer.state === 'returned' || answer.state === 'rejected';
    const why = back ?? (isBack ? { code: answer.code ?? '', message: answer.message ?? '' } : null);
    if (why) await this.giveBack(manager, actor, id, `${why.code} ${why.message}`.trim());
  }

  /** The client's books: what was withheld is paid out of its cash, and back. */
  book(
    manager: EntityManager,
    actor: Actor,
    { clientId, reference, amount }: GarnishmentPayment,
    sign: 1 | -1,
    day: ReturnType<typeof date>,
  ): Promise<void> {
    const paid = sign === 1 ? amount : negate(amount);
    return this.ledger.writeJournal(manager, actor, {
      clientId,
      day,
      memo: `${sign === 1 ? 'Garnishments paid' : 'Payment of garnishments returned'} ${reference}`,
      payrollId: null,
      remittanceId: null,
      lines: [
        { account: 'deductions-payable', detail: reference, amount: paid },
        { account: 'cash', detail: reference, amount: negate(paid) },
      ],
    });
  }

  private async giveBack(manager: EntityManager, actor: Actor, id: string, reason: string): Promise<void> {
    const payment = await manager.findOneByOrFail(GarnishmentPayment, { id });
    if (payment.status !== 'released' && payment.status !== 'settled') return;
    await this.executor.apply(manager, actor, GARNISHMENT_PAYMENT_MACHINE, {
      id,
      act: 'return',
      version: null,
      set: { returned_reason: reason },
      detail: { reason, amount: payment.amount },
    });
    await manager.query('UPDATE garnishment_payment_item SET is_live = false WHERE payment_id = $1', [id]);
    if (payment.status === 'settled') await this.book(manager, actor, payment, -1, await this.clock.today(manager));
  }
}
