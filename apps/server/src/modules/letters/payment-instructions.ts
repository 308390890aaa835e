import { Inject, Injectable } from '@nestjs/common';
import { date, showDate, showShortDate } from '@zakat/core/calendar/local-date';
import { familyLabel } from '@zakat/core/deposits/family';
import { sum } from '@zakat/core/money/cents';
import { problem } from '@zakat/core/issues/issue';
import { agencyName, taxOf, isTaxCode } from '@zakat/core/tax-registry/registry';
import { showEin } from '@zakat/core/identity/numbers';
import { printedDollars } from '../documents/index.js';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { conflict, notFound, refuse } from '../../http/refusal.js';
import { findClient, Firm } from '../clients/index.js';
import { Clock } from '../clock/index.js';
import { PaymentFile, Remittance, RemittanceItem } from '../remittances/index.js';
import { Letter, addressOf } from './letterhead.js';

/** The letter with which a client (or a check) pays an agency: what is entered there, by when, and a place for the proof. */
@Injectable()
export class PaymentInstructions {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(PaymentFile) private readonly payments: PaymentFile,
    @Inject(Clock) private readonly clock: Clock,
  ) {}

  /** @throws a conflict once the payment has left, settled or was withdrawn: nobody is told to pay that again. */
  letter(actor: Actor, remittanceId: string): Promise<{ name: string; content: Buffer }> {
    return this.database.run(actor, async (manager) => {
      const remittance = await manager.findOneBy(Remittance, { id: remittanceId });
      if (!remittance) throw notFound('remittance');
      if (remittance.status !== 'planned' && remittance.status !== 'approved')
        throw conflict(`This payment is ${remittance.status}: it is not to be paid again.`);
      const items = await manager.find(RemittanceItem, {
        where: { remittanceId },
        order: { liabilityDate: 'ASC', tax: 'ASC' },
      });
      const client = await findClient(manager, remittance.clientId);
      const firm = (await manager.find(Firm))[0];
      if (!firm) throw new Error('the firm has no record');
      const agency = agencyName(remittance.agency);
      const details = await this.payments.details(manager, client, remittance, items);
      if (!details) throw refuse([problem('payment.not-set-up', 'agency', { agency })]);
      const letter = new Letter(
        'Tax payment to make',
        firm,
        addressOf(client),
        showDate(await this.clock.today(manager)),
      );
      letter
        .say(
          `Please pay ${printedDollars(remittance.amount)} of ${familyLabel(remittance.family)} to the ${agency} by ${showDate(date(remittance.due))}, on its site, or by check with this page. It counts as paid here only when we have its confirmation.`,
        )
        .heading('What to enter')
        .pairs([
          ['Taxpayer', client.legalName],
          ['EIN', showEin(client.ein)],
          [
            details.taxpayerId === client.ein ? 'Identified by' : 'Account number',
            details.taxpayerId === client.ein ? 'the EIN' : details.account,
          ],
          ['Tax', `${familyLabel(remittance.family)}, tax type ${details.taxType}`],
          ['Due', showDate(date(remittance.due))],
          ['Our reference', remittance.reference],
        ]);
      for (const { end, lines } of details.periods)
        letter.heading(`Tax period ended ${showShortDate(end)}`).table(
          [
            { heading: 'Tax', width: 368 },
            { heading: 'Amount', width: 100, isFigure: true },
          ],
          lines.map(({ tax, amount }) => [isTaxCode(tax) ? taxOf(tax).label : tax, printedDollars(amount)]),
          ['To pay for this period', printedDollars(sum(lines.map(({ amount }) => amount)))],
        );
      letter.heading('Proof of payment, to send back to us').pairs([
        ['Paid on', '______________________________'],
        ['Confirmation or check', '______________________________'],
        ['Amount', printedDollars(remittance.amount)],
        ['Our reference', remittance.reference],
      ]);
      return { name: `pay-${remittance.reference.toLowerCase()}.pdf`, content: await letter.end() };
    });
  }
}
