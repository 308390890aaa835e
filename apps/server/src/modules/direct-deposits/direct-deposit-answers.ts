import { Inject, Injectable } from '@nestjs/common';
import { isChangeCode } from '@zakat/core/direct-deposit/change-notice';
import type { EntityManager } from 'typeorm';
import { rawCents } from '../../database/cents-column.js';
import type { Actor } from '../../database/firm-database.js';
import { Executor } from '../../state-machines/executor.js';
import { DIRECT_DEPOSIT_MACHINE } from '../../state-machines/machine.js';
import { Audit } from '../audit/index.js';
import { Clock } from '../clock/index.js';
import type { BankAnswer } from '../remittances/index.js';
import { TrustPayments } from '../trust/index.js';
import { AccountChanges } from './account-changes.js';
import { DirectDeposit, DirectDepositEntry } from './entities.js';

/** Carries the bank's answers to a file of direct deposits into the record, each once. */
@Injectable()
export class DirectDepositAnswers {
  constructor(
    @Inject(Executor) private readonly executor: Executor,
    @Inject(Audit) private readonly audit: Audit,
    @Inject(Clock) private readonly clock: Clock,
    @Inject(TrustPayments) private readonly trust: TrustPayments,
    @Inject(AccountChanges) private readonly changes: AccountChanges,
  ) {}

  async apply(manager: EntityManager, actor: Actor, id: string, answer: BankAnswer): Promise<void> {
    await manager.query('SELECT id FROM direct_deposit WHERE id = $1 FOR UPDATE', [id]);
    const deposit = await manager.findOneByOrFail(DirectDeposit, { id });
    const step = { id, version: null };
    if (answer.state === 'settled' && deposit.status === 'released') {
      await this.executor.apply(manager, actor, DIRECT_DEPOSIT_MACHINE, {
        ...step,
        act: 'settle',
        set: { confirmation: answer.confirmation },
        detail: { settledOn: answer.settledOn, confirmation: answer.confirmation },
      });
      if (deposit.kind === 'reversal') await this.trust.comesBack(manager, actor, 'net-pay-returned', deposit);
    }
    if (
      (answer.state === 'returned' || answer.state === 'rejected') &&
      (deposit.status === 'released' || deposit.status === 'settled')
    ) {
      const reason = `${answer.code ?? ''} ${answer.message ?? ''}`.trim();
      await this.executor.apply(manager, actor, DIRECT_DEPOSIT_MACHINE, {
        ...step,
        act: 'return',
        set: { returned_reason: reason },
        detail: { reason },
      });
      // What came back one by one before is not given back a second time.
      const [rest] = (await manager.query(
        'SELECT coalesce(sum(amount), 0) AS amount FROM direct_deposit_entry WHERE direct_deposit_id = $1 AND return_code IS NULL',
        [id],
      )) as { amount: string }[];
      await this.notPaid(manager, actor, { ...deposit, amount: rawCents(rest?.amount ?? '0') });
      await manager.update(DirectDepositEntry, { directDepositId: id }, { isLive: false });
    }
    const isWholeBack = ['returned', 'rejected'].includes(answer.state) || deposit.status === 'returned';
    for (const said of answer.entries ?? [])
      if (isChangeCode(said.code)) await this.changes.keep(manager, actor, deposit, said);
      else await this.giveBack(manager, actor, deposit, said, isWholeBack);
  }

  /** What came back of pay is the client's again; what came back of a reversal, which had settled, is not. */
  private async notPaid(manager: EntityManager, actor: Actor, deposit: DirectDeposit): Promise<void> {
    if (deposit.kind !== 'reversal') await this.trust.comesBack(manager, actor, 'net-pay-returned', deposit);
    else if (deposit.status === 'settled') await this.trust.takenAgain(manager, actor, deposit);
  }

  /** One entry came back: that part of the pay did not arrive. Said once, however often the bank says it. */
  private async giveBack(
    manager: EntityManager,
    actor: Actor,
    deposit: DirectDeposit,
    back: NonNullable<BankAnswer['entries']>[number],
    isWholeBack: boolean,
  ): Promise<void> {
    const [, count] = (await manager.query(
      `UPDATE direct_deposit_entry SET is_live = false, return_code = $3, return_reason = $4, returned_on = $5
       WHERE direct_deposit_id = $1 AND trace = $2 AND return_code IS NULL`,
      [deposit.id, back.trace, back.code, back.message, await this.clock.today(manager)],
    )) as [unknown, number];
    if (count === 0) return;
    const entry = await manager.findOneBy(DirectDepositEntry, { directDepositId: deposit.id, trace: back.trace });
    if (entry && !isWholeBack)
      await this.notPaid(manager, actor, {
        ...deposit,
        amount: entry.amount,
        reference: `${deposit.reference} ${back.trace}`,
      });
    await this.audit.record(manager, actor, 'direct-deposit.entry-returned', 'direct deposit', deposit.id, {
      trace: back.trace,
      reason: `${back.code} ${back.message}`,
    });
  }
}
