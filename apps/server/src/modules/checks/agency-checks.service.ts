import { Inject, Injectable } from '@nestjs/common';
import type { PrintAgencyCheck } from '@zakat/contract/remittances';
import { date, showDate, showShortDate } from '@zakat/core/calendar/local-date';
import { familyLabel } from '@zakat/core/deposits/family';
import { CLIENT_FACTS } from '@zakat/core/facts/client-facts';
import { text } from '@zakat/core/facts/fact-kind';
import { inForceOn } from '@zakat/core/facts/in-force';
import { showEin } from '@zakat/core/identity/numbers';
import { problem } from '@zakat/core/issues/issue';
import { agencyName, isTaxCode, taxOf } from '@zakat/core/tax-registry/registry';
import { randomUUID } from 'node:crypto';
import type { EntityManager } from 'typeorm';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { conflict, notFound, refuse, refuseField } from '../../http/refusal.js';
import { Audit } from '../audit/index.js';
import { BankAccount, findClient } from '../clients/index.js';
import { Clock } from '../clock/index.js';
import { Documents } from '../documents/index.js';
import { FactStore } from '../facts/index.js';
import { PaymentFile, Remittance, RemittanceItem, agencyPaymentOf } from '../remittances/index.js';
import type { VoucherSheet } from './check-page.js';
import { refuseUsed, shiftIn } from './check-printing.service.js';
import { CheckSignatures } from './check-signatures.js';
import { drawVoucherCheck } from './draw-check.js';
import { CheckPrinters } from './check-printers.service.js';
import { MicrTypefaces } from './micr-typefaces.service.js';
import { placeLine } from './sheet-lines.js';

/** Checks to agencies, each with the voucher of its payment: numbered once, kept as printed, one that is out at a time. */
@Injectable()
export class AgencyChecks {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(PaymentFile) private readonly payments: PaymentFile,
    @Inject(Documents) private readonly documents: Documents,
    @Inject(FactStore) private readonly store: FactStore,
    @Inject(CheckSignatures) private readonly signatures: CheckSignatures,
    @Inject(MicrTypefaces) private readonly typefaces: MicrTypefaces,
    @Inject(CheckPrinters) private readonly printers: CheckPrinters,
    @Inject(Audit) private readonly audit: Audit,
    @Inject(Clock) private readonly clock: Clock,
  ) {}

  /** Prints the check of an approved payment. It counts as paid once somebody records that it was mailed. */
  print(actor: Actor, remittanceId: string, asked: PrintAgencyCheck): Promise<{ id: string }> {
    const { number } = asked;
    return this.database.run(actor, async (manager) => {
      await manager.query('SELECT id FROM remittance WHERE id = $1 FOR UPDATE', [remittanceId]);
      const remittance = await manager.findOneBy(Remittance, { id: remittanceId });
      if (!remittance) throw notFound('remittance');
      if (remittance.status !== 'approved')
        throw conflict(`This payment is ${remittance.status}: a check is printed once it is approved.`);
      const bank = await manager.findOneByOrFail(BankAccount, { id: remittance.bankAccountId });
      if (bank.clientId === null)
        throw conflict(
          'This payment leaves from the trust account, which has no checks here. Schedule it from the client’s own account.',
        );
      await refuseUsed(manager, bank, { field: 'number', first: number, count: 1 });
      const sheet = await this.sheet(manager, actor, remittance, bank, asked);
      const pdf = await drawVoucherCheck(sheet);
      const documentId = await this.documents.store(
        manager,
        actor,
        remittance.clientId,
        'check',
        `check-${number}.pdf`,
        'application/pdf',
        pdf,
      );
      const id = randomUUID();
      await manager.query(
        `INSERT INTO issued_check (id, firm_id, client_id, bank_account_id, number, remittance_id, amount, payee, check_date, status, document_id, run_id, prepared_by, created_at)
         VALUES ($1, $2, $3, $4, $5, $6, $7, $8, $9, 'printed', $10, $10, $11, $12)`,
        [
          id,
          actor.firmId,
          remittance.clientId,
          bank.id,
          number,
          remittanceId,
          remittance.amount,
          sheet.payee.name,
          await this.clock.today(manager),
          documentId,
          actor.userId,
          await this.clock.now(manager),
        ],
      );
      await this.audit.record(manager, actor, 'check.print-agency', 'remittance', remittanceId, {
        number: String(number),
        amount: remittance.amount,
        signed: sheet.signature !== undefined,
      });
      return { id };
    });
  }

  private async sheet(
    manager: EntityManager,
    actor: Actor,
    remittance: Remittance,
    bank: BankAccount,
    { number, position, printerId }: PrintAgencyCheck,
  ): Promise<VoucherSheet> {
    const client = await findClient(manager, remittance.clientId);
    const items = await manager.find(RemittanceItem, {
      where: { remittanceId: remittance.id },
      order: { liabilityDate: 'ASC', tax: 'ASC' },
    });
    const agency = agencyName(remittance.agency);
    const payment = await agencyPaymentOf(manager, remittance.agency);
    const details = await this.payments.details(manager, client, remittance, items);
    if (!payment || !details) throw refuse([problem('payment.not-set-up', 'agency', { agency })]);
    if (payment.mailTo === '')
      throw refuseField(
        'mailTo',
        `Nobody has said where checks to the ${agency} are mailed.`,
        'Enter the address of its own voucher under Firm, Agency payments.',
      );
    const today = await this.clock.today(manager);
    const facts = inForceOn(await this.store.ofClient(manager, client.id), today, CLIENT_FACTS.slotOf);
    const checks = facts.find((fact) => fact.kind === 'checks')?.value ?? {};
    const micrOf = text(checks, 'stock') === 'blank' ? await this.typefaces.forChecks(manager, bank, false) : null;
    const signature = (await this.signatures.forChecks(manager, actor, bank))(remittance.amount);
    const [street = '', ...rest] = payment.mailTo.split('\n');
    return {
      layout: position,
      isSample: false,
      shift: await this.printers.shift(manager, shiftIn(checks), printerId),
      client: { name: client.legalName, street: client.street, place: placeLine(client) },
      bankName: bank.bankName,
      number: String(number),
      checkDate: showShortDate(today),
      memo: `${familyLabel(remittance.family)}, ${details.account || showEin(client.ein)}, ${remittance.reference}`,
      payee: { name: payment.name || agency, street, place: rest.join(', ') },
      amount: remittance.amount,
      ...(signature ? { signature } : {}),
      ...(micrOf ? { micr: micrOf(String(number)) } : {}),
      heading: `Payment voucher, ${familyLabel(remittance.family)}`,
      pairs: [
        ['To', agency],
        ['Taxpayer', client.legalName],
        ['EIN', showEin(client.ein)],
        ...(details.account === '' ? [] : [['Account number', details.account] as const]),
        ['Tax type', details.taxType],
        ['Due', showDate(date(remittance.due))],
        ['Our reference', remittance.reference],
      ],
      lines: details.periods.flatMap(({ end, lines }) =>
        lines.map(({ tax, amount }) => ({
          label: isTaxCode(tax) ? taxOf(tax).label : tax,
          period: `period ended ${showShortDate(end)}`,
          amount,
        })),
      ),
    };
  }
}
