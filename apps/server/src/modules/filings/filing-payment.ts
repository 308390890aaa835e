import { Inject, Injectable } from '@nestjs/common';
import type { PayWithReturn } from '@zakat/contract/filings';
import { isBusinessDay } from '@zakat/core/calendar/business-days';
import { BANKING } from '@zakat/core/calendar/holidays';
import { parseDate, showDate } from '@zakat/core/calendar/local-date';
import { findFamily } from '@zakat/core/deposits/family';
import type { TaxCode } from '@zakat/core/tax-registry/registry';
import type { EntityManager } from 'typeorm';
import { conflict, refuseField } from '../../http/refusal.js';
import { BankAccount } from '../clients/index.js';
import { Clock } from '../clock/index.js';
import { DepositSchedules } from '../deposit-schedules/index.js';
import { FilingContent, type Loaded } from './filing-content.js';

/** Whether the balance of a return may be paid with it: once, from an account of the client, on a day that is to come. */
@Injectable()
export class FilingPayment {
  constructor(
    @Inject(FilingContent) private readonly contents: FilingContent,
    @Inject(DepositSchedules) private readonly schedules: DepositSchedules,
    @Inject(Clock) private readonly clock: Clock,
  ) {}

  async refuseUnlessSound(manager: EntityManager, loaded: Loaded, { bankAccountId, on }: PayWithReturn): Promise<void> {
    const { client, kind, filing } = loaded;
    const balance = kind.pays?.balance(await this.contents.shown(manager, loaded)) ?? 0;
    if (!kind.pays || balance <= 0)
      throw refuseField('payment', 'Nothing is owed with this return.', 'Sign it without a payment.');
    if (!(await manager.existsBy(BankAccount, { id: bankAccountId, clientId: client.id })))
      throw refuseField(
        'payment.bankAccountId',
        'This bank account is not one of the client.',
        'Choose one of the client’s accounts.',
      );
    const day = parseDate(on);
    const today = await this.clock.today(manager);
    if (day === null || day < today || !isBusinessDay(day, BANKING))
      throw refuseField(
        'payment.on',
        day === null ? `${on} is not a calendar day.` : `${showDate(day)} is no banking day that is still to come.`,
        'Give a banking day from today on.',
      );
    if (day > filing.due && today <= filing.due)
      throw refuseField(
        'payment.on',
        `The return is due ${showDate(kind.due(loaded.period).due)}.`,
        'Give a day up to then.',
      );
    await this.refuseWhenUnderWay(manager, loaded);
  }

  /** A deposit that is planned or on its way would pay the same a second time. */
  private async refuseWhenUnderWay(manager: EntityManager, { client, kind, period }: Loaded): Promise<void> {
    const family = kind.pays ? findFamily(kind.pays.family) : null;
    const deposits = await this.schedules.of(manager, client);
    const live = (await manager.query(
      'SELECT DISTINCT tax FROM remittance_item WHERE client_id = $1 AND is_live AND liability_date BETWEEN $2 AND $3',
      [client.id, period.start, period.end],
    )) as { tax: TaxCode }[];
    if (live.some(({ tax }) => deposits.family(tax).code === family?.code))
      throw conflict(
        'A deposit of this period is planned or on its way: wait for it, or withdraw it, before its balance is paid with the return.',
      );
  }
}
