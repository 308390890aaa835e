import { Inject, Injectable } from '@nestjs/common';
import { date, showDate, showShortDate, type LocalDate } from '@zakat/core/calendar/local-date';
import { familyLabel } from '@zakat/core/deposits/family';
import { kindOf } from '@zakat/core/filings/registry';
import { cents, sum } from '@zakat/core/money/cents';
import { agencyName } from '@zakat/core/tax-registry/registry';
import type { EntityManager } from 'typeorm';
import { printedDollars } from '../documents/index.js';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { refuseField } from '../../http/refusal.js';
import { type Client, findClient, Firm } from '../clients/index.js';
import { Clock } from '../clock/index.js';
import { Filing, periodOf, titleOf } from '../filing-records/index.js';
import { Deposits, Remittance } from '../remittances/index.js';
import { Letter, addressOf } from './letterhead.js';

/** How a payment or a return stands, in the words of somebody who does not work here. */
const PAID: Readonly<Record<string, string>> = {
  released: 'on its way',
  settled: 'paid',
  returned: 'returned unpaid',
};
const FILED: Readonly<Record<string, string>> = {
  released: 'sent',
  received: 'received',
  accepted: 'accepted',
  rejected: 'rejected, being corrected',
};

/** The letter to a client: what was paid and filed for it in a span of days, and what is still owed today. */
@Injectable()
export class TaxStatement {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(Deposits) private readonly deposits: Deposits,
    @Inject(Clock) private readonly clock: Clock,
  ) {}

  letter(actor: Actor, clientId: string, from: LocalDate, to: LocalDate): Promise<{ name: string; content: Buffer }> {
    if (to < from) throw refuseField('to', 'The last day is before the first.', 'Give a day on or after the first.');
    return this.database.run(actor, async (manager) => {
      const client = await findClient(manager, clientId);
      const firm = (await manager.find(Firm))[0];
      if (!firm) throw new Error('the firm has no record');
      const today = await this.clock.today(manager);
      const letter = new Letter('Taxes paid and filed', firm, addressOf(client), showDate(today));
      letter.say(
        `${client.legalName}, EIN ending ${client.ein.slice(-4)}: payroll taxes and returns of ${showShortDate(from)} to ${showShortDate(to)}.`,
      );
      await this.paid(manager, letter, client, from, to);
      await this.filed(manager, letter, client, from, to);
      await this.owed(manager, letter, client, today);
      return { name: `taxes-${client.key.toLowerCase()}-${to}.pdf`, content: await letter.end() };
    });
  }

  private async paid(
    manager: EntityManager,
    letter: Letter,
    client: Client,
    from: LocalDate,
    to: LocalDate,
  ): Promise<void> {
    const rows = (await manager.find(Remittance, { where: { clientId: client.id }, order: { settles: 'ASC' } })).filter(
      ({ status, settles }) => status in PAID && settles >= from && settles <= to,
    );
    letter.heading('Paid');
    if (rows.length === 0) letter.say('No tax was paid in these days.');
    else
      letter.table(
        [
          { heading: 'Day', width: 62 },
          { heading: 'Tax', width: 110 },
          { heading: 'To', width: 104 },
          { heading: 'Status', width: 62 },
          { heading: 'Confirmation', width: 76 },
          { heading: 'Amount', width: 62, isFigure: true },
        ],
        rows.map((row) => [
          showShortDate(date(row.settles)),
          familyLabel(row.family),
          agencyName(row.agency),
          PAID[row.status] ?? '',
          row.confirmation ?? '',
          printedDollars(row.amount),
        ]),
        [
          'Paid',
          '',
          '',
          '',
          '',
          printedDollars(sum(rows.filter(({ status }) => status === 'settled').map(({ amount }) => amount))),
        ],
      );
  }

  private async filed(
    manager: EntityManager,
    letter: Letter,
    client: Client,
    from: LocalDate,
    to: LocalDate,
  ): Promise<void> {
    const sent = (await manager.query(
      `SELECT f.id, to_char(d.created_at AT TIME ZONE 'UTC', 'YYYY-MM-DD') AS day FROM filing f JOIN document d ON d.id = f.document_id
        WHERE f.client_id = $1 AND f.status = ANY($2)`,
      [client.id, Object.keys(FILED)],
    )) as { id: string; day: string }[];
    const days = new Map(sent.filter(({ day }) => day >= from && day <= to).map(({ id, day }) => [id, day]));
    const rows = (await manager.find(Filing, { where: { clientId: client.id }, order: { due: 'ASC' } })).filter(
      ({ id }) => days.has(id),
    );
    letter.heading('Filed');
    if (rows.length === 0) letter.say('No return was filed in these days.');
    else
      letter.table(
        [
          { heading: 'Day', width: 62 },
          { heading: 'Return', width: 150 },
          { heading: 'To', width: 120 },
          { heading: 'Status', width: 68 },
          { heading: 'Confirmation', width: 76 },
        ],
        rows.map((row) => [
          showShortDate(date(days.get(row.id) ?? row.due)),
          titleOf(kindOf(row.kind), periodOf(row)),
          kindOf(row.kind).agency.name,
          FILED[row.status] ?? '',
          row.submissionId ?? '',
        ]),
      );
  }

  private async owed(manager: EntityManager, letter: Letter, client: Client, today: LocalDate): Promise<void> {
    const rows = await this.deposits.deposits(manager, client);
    letter.heading(`Still owed on ${showShortDate(today)}`);
    if (rows.length === 0) {
      letter.say('Nothing is owed.');
      return;
    }
    letter.table(
      [
        { heading: 'Due', width: 84 },
        { heading: 'Tax', width: 140 },
        { heading: 'To', width: 120 },
        { heading: 'On its way', width: 66, isFigure: true },
        { heading: 'Owed', width: 66, isFigure: true },
      ],
      rows.map((row) => [
        row.isCredit ? 'credit' : row.due === null ? 'day to be settled' : showShortDate(date(row.due)),
        row.familyLabel,
        row.agencyName,
        row.underWay === 0 ? '' : printedDollars(cents(row.underWay)),
        printedDollars(cents(row.owed)),
      ]),
      ['Together', '', '', '', printedDollars(sum(rows.map(({ owed }) => cents(owed))))],
    );
  }
}
