import { Inject, Injectable } from '@nestjs/common';
import { date } from '@zakat/core/calendar/local-date';
import { cents, negate, subtract } from '@zakat/core/money/cents';
import { isChangeCode } from '@zakat/core/direct-deposit/change-notice';
import type { EntityManager } from 'typeorm';
import type { Actor } from '../../database/firm-database.js';
import { Executor } from '../../state-machines/executor.js';
import { COLLECTION_MACHINE } from '../../state-machines/machine.js';
import { Clock } from '../clock/index.js';
import { InvoiceFunds } from '../invoices/index.js';
import { LedgerWriter } from '../ledger/index.js';
import type { BankAnswer } from '../remittances/index.js';
import { TrustLedger } from '../trust/index.js';
import { Collection } from './entities.js';

/** Carries what the bank says of a debit into the trust ledger and the client's books, each once. */
@Injectable()
export class CollectionAnswers {
  constructor(
    @Inject(Executor) private readonly executor: Executor,
    @Inject(TrustLedger) private readonly trust: TrustLedger,
    @Inject(LedgerWriter) private readonly ledger: LedgerWriter,
    @Inject(Clock) private readonly clock: Clock,
    @Inject(InvoiceFunds) private readonly invoices: InvoiceFunds,
  ) {}

  async apply(manager: EntityManager, actor: Actor, id: string, answer: BankAnswer): Promise<void> {
    await manager.query('SELECT id FROM collection WHERE id = $1 FOR UPDATE', [id]);
    const collection = await manager.findOneByOrFail(Collection, { id });
    if (answer.state === 'settled' && collection.status === 'released')
      await this.settle(manager, actor, collection, answer);
    const back = answer.entries?.find(({ code }) => !isChangeCode(code));
    const isBack = answer.state === 'returned' || answer.state === 'rejected';
    // The one entry of the file came back, or the whole file did.
    const why = back ?? (isBack ? { code: answer.code ?? '', message: answer.message ?? '' } : null);
    if (why) await this.giveBack(manager, actor, id, why);
  }

  private async settle(
    manager: EntityManager,
    actor: Actor,
    collection: Collection,
    answer: BankAnswer,
  ): Promise<void> {
    const day = date(answer.settledOn ?? collection.settles);
    await this.executor.apply(manager, actor, COLLECTION_MACHINE, {
      id: collection.id,
      act: 'settle',
      version: null,
      set: { confirmation: answer.confirmation },
      detail: { settledOn: day, confirmation: answer.confirmation, amount: collection.amount },
    });
    if (collection.kind === 'prenote') return;
    const given = {
      accountId: collection.trustAccountId,
      clientId: collection.clientId,
      day,
      reference: collection.reference,
      subjectId: collection.id,
    };
    await this.trust.hold(manager, collection.trustAccountId, collection.clientId);
    await this.trust.post(manager, actor, { ...given, kind: 'collected', amount: collection.amount });
    if (collection.advance > 0) await this.trust.repayAdvance(manager, actor, { ...given, amount: collection.advance });
    await this.invoices.collected(manager, actor, collection, day);
    await this.book(manager, actor, collection, 1, day);
  }

  private async giveBack(
    manager: EntityManager,
    actor: Actor,
    id: string,
    { code, message }: { readonly code: string; readonly message: string },
  ): Promise<void> {
    const collection = await manager.findOneByOrFail(Collection, { id });
    if (collection.status !== 'released' && collection.status !== 'settled') return;
    const today = await this.clock.today(manager);
    const reason = `${code} ${message}`.trim();
    await this.executor.apply(manager, actor, COLLECTION_MACHINE, {
      id,
      act: 'return',
      version: null,
      set: { return_code: code, returned_reason: reason, returned_on: today },
      detail: { reason, amount: collection.amount },
    });
    await manager.query('UPDATE collection_item SET is_live = false WHERE collection_id = $1', [id]);
    if (collection.status === 'released' || collection.kind === 'prenote') return;
    const { trustAccountId: accountId, clientId, reference } = collection;
    await this.trust.hold(manager, accountId, clientId);
    await this.invoices.givenBack(manager, actor, collection, today);
    const balance = await this.trust.balanceOf(manager, accountId, clientId);
    const given = { accountId, clientId, day: today, reference, subjectId: id };
    // What of it was paid out already is the firm's loss until the client makes it good: an advance, by name.
    if (balance < collection.amount)
      await this.trust.advance(manager, actor, {
        ...given,
        amount: subtract(collection.amount, balance),
        memo: `Paid out before the collection came back: ${reason}`,
      });
    await this.trust.post(manager, actor, {
      ...given,
      kind: 'collection-returned',
      amount: collection.amount,
      memo: reason,
    });
    await this.book(manager, actor, collection, -1, today);
  }

  /** The client's own books: its cash becomes funds held by its payroll service, and back. */
  private book(
    manager: EntityManager,
    actor: Actor,
    collection: Collection,
    sign: 1 | -1,
    day: ReturnType<typeof date>,
  ): Promise<void> {
    const amount = sign === 1 ? collection.amount : negate(collection.amount);
    return this.ledger.writeJournal(manager, actor, {
      clientId: collection.clientId,
      day,
      memo: `${sign === 1 ? 'Funds collected' : 'Collection returned'} ${collection.reference}`,
      payrollId: null,
      remittanceId: null,
      lines: [
        { account: 'funds-held', detail: collection.reference, amount },
        { account: 'cash', detail: collection.reference, amount: cents(-amount) },
      ],
    });
  }
}
