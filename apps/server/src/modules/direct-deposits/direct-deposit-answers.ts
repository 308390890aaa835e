import { Inject, Injectable } from '@nestjs/common';
import type { EntityManager } from 'typeorm';
import type { Actor } from '../../database/firm-database.js';
import { Executor } from '../../state-machines/executor.js';
import { DIRECT_DEPOSIT_MACHINE } from '../../state-machines/machine.js';
import { Audit } from '../audit/index.js';
import { Clock } from '../clock/index.js';
import type { BankAnswer } from '../remittances/index.js';
import { DirectDeposit, DirectDepositEntry } from './entities.js';

/** Carries the bank's answers to a file of direct deposits into the record, each once. */
@Injectable()
export class DirectDepositAnswers {
  constructor(
    @Inject(Executor) private readonly executor: Executor,
    @Inject(Audit) private readonly audit: Audit,
    @Inject(Clock) private readonly clock: Clock,
  ) {}

  async apply(manager: EntityManager, actor: Actor, id: string, answer: BankAnswer): Promise<void> {
    await manager.query('SELECT id FROM direct_deposit WHERE id = $1 FOR UPDATE', [id]);
    const deposit = await manager.findOneByOrFail(DirectDeposit, { id });
    const step = { id, version: null };
    if (answer.state === 'settled' && deposit.status === 'released')
      await this.executor.apply(manager, actor, DIRECT_DEPOSIT_MACHINE, {
        ...step,
        act: 'settle',
        set: { confirmation: answer.confirmation },
        detail: { settledOn: answer.settledOn, confirmation: answer.confirmation },
      });
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
      await manager.update(DirectDepositEntry, { directDepositId: id }, { isLive: false });
    }
    for (const back of answer.entries ?? []) await this.giveBack(manager, actor, deposit, back);
  }

  /** One entry came back: that part of the pay did not arrive. Said once, however often the bank says it. */
  private async giveBack(
    manager: EntityManager,
    actor: Actor,
    deposit: DirectDeposit,
    back: NonNullable<BankAnswer['entries']>[number],
  ): Promise<void> {
    const [, count] = (await manager.query(
      `UPDATE direct_deposit_entry SET is_live = false, return_code = $3, return_reason = $4, returned_on = $5
       WHERE direct_deposit_id = $1 AND trace = $2 AND return_code IS NULL`,
      [deposit.id, back.trace, back.code, back.message, await this.clock.today(manager)],
    )) as [unknown, number];
    if (count > 0)
      await this.audit.record(manager, actor, 'direct-deposit.entry-returned', 'direct deposit', deposit.id, {
        trace: back.trace,
        reason: `${back.code} ${back.message}`,
      });
  }
}
