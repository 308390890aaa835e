import { Inject, Injectable } from '@nestjs/common';
import type { LocalDate } from '@zakat/core/calendar/local-date';
import { cents, negate, type Cents } from '@zakat/core/money/cents';
import type { EntityManager } from 'typeorm';
import { rawCents } from '../../database/cents-column.js';
import type { Actor } from '../../database/firm-database.js';
import { Executor } from '../../state-machines/executor.js';
import { INVOICE_MACHINE } from '../../state-machines/machine.js';
import { LedgerWriter } from '../ledger/index.js';
import { TrustLedger } from '../trust/index.js';

/** A collection as far as invoices ask. */
export interface CollectedFunds {
  readonly id: string;
  readonly clientId: string;
  readonly trustAccountId: string;
  readonly reference: string;
}
interface Fee {
  readonly id: string;
  readonly number: number;
  readonly total: string;
  readonly status: string;
}
export const invoiceNumber = (number: number): string => `INV-${String(number).padStart(5, '0')}`;

/** Fees that are collected with a client's funds: the firm's once the debit has settled, the client's again when it comes back. */
@Injectable()
export class InvoiceFunds {
  constructor(
    @Inject(Executor) private readonly executor: Executor,
    @Inject(TrustLedger) private readonly trust: TrustLedger,
    @Inject(LedgerWriter) private readonly ledger: LedgerWriter,
  ) {}

  async collected(manager: EntityManager, actor: Actor, funds: CollectedFunds, day: LocalDate): Promise<void> {
    for (const fee of await this.feesOf(manager, funds.id)) {
      if (fee.status !== 'issued') continue;
      await this.executor.apply(manager, actor, INVOICE_MACHINE, {
        id: fee.id,
        act: 'pay',
        version: null,
        set: { paid_on: day, reference: funds.reference },
        detail: { amount: Number(fee.total), reference: funds.reference },
      });
      await this.move(manager, actor, funds, fee, day, ['fee-taken', 'fee-earned']);
    }
  }

  async givenBack(manager: EntityManager, actor: Actor, funds: CollectedFunds, day: LocalDate): Promise<void> {
    for (const fee of await this.feesOf(manager, funds.id)) {
      if (fee.status !== 'paid') continue;
      await this.executor.apply(manager, actor, INVOICE_MACHINE, {
        id: fee.id,
        act: 'unpay',
        version: null,
        set: { paid_on: null, reference: null },
        detail: { amount: Number(fee.total), reason: `${funds.reference} came back` },
      });
      await this.move(manager, actor, funds, fee, day, ['fee-given-back', 'fee-returned']);
    }
  }

  private async feesOf(manager: EntityManager, collectionId: string): Promise<Fee[]> {
    return (await manager.query(
      'SELECT v.id, v.number, v.total, v.status FROM collection_item i JOIN invoice v ON v.id = i.invoice_id WHERE i.collection_id = $1 ORDER BY v.number',
      [collectionId],
    )) as Fee[];
  }

  private async move(
    manager: EntityManager,
    actor: Actor,
    funds: CollectedFunds,
    fee: Fee,
    day: LocalDate,
    [ofClient, ofFirm]: readonly ['fee-taken', 'fee-earned'] | readonly ['fee-given-back', 'fee-returned'],
  ): Promise<void> {
    const amount = rawCents(fee.total);
    const entry = {
      accountId: funds.trustAccountId,
      day,
      amount,
      reference: `${invoiceNumber(fee.number)} ${funds.reference}`,
      subjectId: fee.id,
    };
    await this.trust.post(manager, actor, { ...entry, clientId: funds.clientId, kind: ofClient });
    await this.trust.post(manager, actor, { ...entry, clientId: null, kind: ofFirm });
    const signed: Cents = ofClient === 'fee-taken' ? amount : negate(amount);
    await this.ledger.writeJournal(manager, actor, {
      clientId: funds.clientId,
      day,
      memo: `${ofClient === 'fee-taken' ? 'Fees of the payroll service' : 'Fees given back'} ${entry.reference}`,
      payrollId: null,
      remittanceId: null,
      lines: [
        { account: 'service-fees', detail: invoiceNumber(fee.number), amount: signed },
        { account: 'funds-held', detail: invoiceNumber(fee.number), amount: cents(-signed) },
      ],
    });
  }
}
