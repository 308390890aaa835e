import { Inject, Injectable } from '@nestjs/common';
import { date, daysBetween, showDate, showShortDate } from '@zakat/core/calendar/local-date';
import { familyLabel, findFamily } from '@zakat/core/deposits/family';
import { showDollars, subtract, sum, ZERO } from '@zakat/core/money/cents';
import { hasLateRule } from '@zakat/core/penalties/late-estimate';
import { lateWays } from '@zakat/core/penalties/late-ways';
import { agencyName, isTaxCode, taxOf } from '@zakat/core/tax-registry/registry';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { conflict, notFound } from '../../http/refusal.js';
import { BankAccount, findClient, Firm } from '../clients/index.js';
import { Clock } from '../clock/index.js';
import { printedDollars } from '../documents/index.js';
import { Deposits, Remittance, RemittanceItem } from '../remittances/index.js';
import { addressOf, Letter } from './letterhead.js';

/** The letter that tells a client that a tax payment came back: why, what is open again, what waiting costs. */
@Injectable()
export class ReturnedPayment {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(Deposits) private readonly owing: Deposits,
    @Inject(Clock) private readonly clock: Clock,
  ) {}

  /** @throws a conflict for a payment that did not come back. */
  letter(actor: Actor, remittanceId: string): Promise<{ name: string; content: Buffer }> {
    return this.database.run(actor, async (manager) => {
      const remittance = await manager.findOneBy(Remittance, { id: remittanceId });
      if (!remittance) throw notFound('remittance');
      if (remittance.status !== 'returned')
        throw conflict(`This payment is ${remittance.status}: it did not come back.`);
      const client = await findClient(manager, remittance.clientId);
      const bank = await manager.findOneByOrFail(BankAccount, { id: remittance.bankAccountId });
      const items = await manager.find(RemittanceItem, {
        where: { remittanceId },
        order: { liabilityDate: 'ASC', tax: 'ASC' },
      });
      const firm = (await manager.find(Firm))[0];
      if (!firm) throw new Error('the firm has no record');
      const today = await this.clock.today(manager);
      const due = date(remittance.due);
      const family = findFamily(remittance.family);
      const owed = await this.owing.owed(manager, client);
      const open = items.map((item) => {
        const line = owed.find((one) => one.tax === item.tax && one.liabilityDate === item.liabilityDate);
        return { ...item, left: line ? subtract(line.owed, line.underWay) : ZERO, onItsWay: line?.underWay ?? ZERO };
      });
      const left = sum(open.map((item) => item.left));
      const again = sum(open.map((item) => item.onItsWay));
      const agency = agencyName(remittance.agency);
      const letter = new Letter('Tax payment that came back', firm, addressOf(client), showDate(today));
      letter
        .say(
          `The payment of ${printedDollars(remittance.amount)} of ${familyLabel(remittance.family)} to the ${agency}, which was to settle on ${showDate(date(remittance.settles))}, came back: ${remittance.returnedReason ?? 'the bank gave no reason'}. It was due on ${showDate(due)}${daysBetween(due, today) > 0 ? ', which is past' : ''}.`,
        )
        .heading('The payment')
        .pairs([
          ['From', `${bank.label}, ${bank.bankName}, account ending ${bank.accountTail}`],
          ['To', agency],
          ['Reason', remittance.returnedReason ?? 'not given'],
          ['Our reference', remittance.reference],
        ])
        .heading('What it was for')
        .table(
          [
            { heading: 'Tax', width: 228 },
            { heading: 'Check date', width: 80 },
            { heading: 'Payment', width: 80, isFigure: true },
            { heading: 'Open now', width: 80, isFigure: true },
          ],
          open.map(({ tax, liabilityDate, amount, left: isLeft }) => [
            isTaxCode(tax) ? taxOf(tax).label : tax,
            showShortDate(date(liabilityDate)),
            printedDollars(amount),
            printedDollars(isLeft),
          ]),
          ['Total', '', printedDollars(remittance.amount), printedDollars(left)],
        );
      if (again > 0)
        letter.say(`${printedDollars(again)} of it is on its way again and needs nothing of you but the money.`);
      else if (left <= 0) letter.say('All of it has been paid since. There is nothing to do.');
      if (left > 0 && family && hasLateRule(family, due))
        letter.heading('What it costs, by the day on which it is paid').table(
          [
            { heading: 'Way', width: 100 },
            { heading: 'Settles', width: 80 },
            { heading: 'Days late', width: 60, isFigure: true },
            { heading: 'Penalty, estimated', width: 100, isFigure: true },
            { heading: 'Rule', width: 128 },
          ],
          lateWays(family, left, due, today).map((way) => [
            way.label,
            showShortDate(way.settles),
            String(way.daysLate),
            showDollars(way.penalty),
            way.rule,
          ]),
        );
      else if (left > 0)
        letter.say(
          `The ${agency} may charge a penalty and interest for each day that this is late; it says so by a notice, which we would like to see.`,
        );
      if (left > 0)
        letter
          .heading('What we need of you')
          .say(
            `Please see that ${printedDollars(left)} is in the account, ask your bank that it lets the payment through, and tell us. We do not send it again until you have.`,
          );
      return { name: `returned-${remittance.reference.toLowerCase()}.pdf`, content: await letter.end() };
    });
  }
}
