import { Inject, Injectable } from '@nestjs/common';
import type {
  CheckOfRemittance,
  DepositView,
  PlanRemittance,
  RecordPaid,
  ReleaseSlip,
  RemittanceRow,
  RemittanceView,
  SlipCheck,
  UnrecordPaid,
} from '@zakat/contract/remittances';
import { date, daysBetween, showDate } from '@zakat/core/calendar/local-date';
import { familyLabel } from '@zakat/core/deposits/family';
import { showDollars, sum } from '@zakat/core/money/cents';
import { agencyName, isTaxCode, taxOf } from '@zakat/core/tax-registry/registry';
import { randomUUID } from 'node:crypto';
import type { EntityManager } from 'typeorm';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { dayFrom } from '../../http/day.js';
import { problem } from '@zakat/core/issues/issue';
import { conflict, notFound, refuse, refuseField } from '../../http/refusal.js';
import { WorkQueue } from '../../queue/work-queue.js';
import { Executor } from '../../state-machines/executor.js';
import { CHECK_MACHINE, REMITTANCE_MACHINE } from '../../state-machines/machine.js';
import { Audit } from '../audit/index.js';
import { BankAccount, type Client, findClient, findPayingAccount } from '../clients/index.js';
import { Clock } from '../clock/index.js';
import {
  achChecks,
  AGENCY_HANDS,
  BANK_HANDS,
  mayReleaseCheck,
  Outbox,
  refuseFailed,
  Releases,
} from '../outbox/index.js';
import { agencyPaymentOf } from './agency-payments.service.js';
import { Deposits, mayBeTakenOff, type OwedLiability } from './deposits.js';
import { RemittanceAnswers } from './remittance-answers.js';
import { Remittance, RemittanceItem } from './entities.js';
import { PaymentFile } from './payment-file.js';
import { TrustPayments } from '../trust/index.js';

@Injectable()
export class RemittancesService {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(Deposits) private readonly owing: Deposits,
    @Inject(PaymentFile) private readonly paymentFile: PaymentFile,
    @Inject(Executor) private readonly executor: Executor,
    @Inject(Audit) private readonly audit: Audit,
    @Inject(Releases) private readonly releases: Releases,
    @Inject(Outbox) private readonly outbox: Outbox,
    @Inject(Clock) private readonly clock: Clock,
    @Inject(WorkQueue) private readonly queue: WorkQueue,
    @Inject(RemittanceAnswers) private readonly answers: RemittanceAnswers,
    @Inject(TrustPayments) private readonly trust: TrustPayments,
  ) {}

  deposits(actor: Actor, clientId: string): Promise<DepositView[]> {
    return this.database.run(actor, async (manager) =>
      this.owing.deposits(manager, await findClient(manager, clientId)),
    );
  }

  list(actor: Actor, clientId: string): Promise<RemittanceRow[]> {
    return this.database.run(actor, async (manager) => {
      const client = await findClient(manager, clientId);
      const rows = await manager.find(Remittance, {
        where: { clientId },
        order: { settles: 'DESC', createdAt: 'DESC' },
      });
      return rows.map((row) => rowOf(row, client));
    });
  }

  plan(actor: Actor, clientId: string, input: PlanRemittance): Promise<{ id: string }> {
    const settles = dayFrom(input.settles, 'settles');
    return this.database.run(actor, async (manager) => {
      const client = await findClient(manager, clientId);
      const bank = await findPayingAccount(manager, clientId, input.bankAccountId);
      if (input.items.length === 0) throw refuseField('items', 'No liability is chosen.', 'Choose at least one.');
      const owed = await this.owing.owed(manager, client);
      const chosen = input.items.map((item) => {
        const line = owed.find(
          (candidate) => candidate.tax === item.tax && candidate.liabilityDate === item.liabilityDate,
        );
        if (!line || !isTaxCode(item.tax))
          throw conflict('Nothing is owed for one of these liabilities any more. Look again.');
        return line;
      });
      refuseStrayCredits(chosen);
      const families = [...new Set(chosen.map((line) => line.family.code))];
      const family = families[0];
      if (!family || families.length > 1)
        throw refuseField(
          'items',
          'These liabilities are not paid together.',
          'Make one remittance for each kind of deposit.',
        );
      const first = chosen[0];
      if (!first) throw conflict('Nothing is chosen.');
      const { agency } = taxOf(first.tax);
      if (!(await agencyPaymentOf(manager, agency)))
        throw refuse([problem('payment.not-set-up', 'agency', { agency: agencyName(agency) })]);
      const id = randomUUID();
      const amount = sum(chosen.map((line) => line.owed));
      const question = chosen.find((line) => line.due === null)?.question;
      if (question) throw refuse([question]);
      const due = chosen.flatMap((line) => line.due ?? []).sort()[0];
      if (!due) throw conflict('Nothing of this has a due date.');
      await manager.insert(Remittance, {
        id,
        firmId: actor.firmId,
        clientId,
        reference: `ZK${id.replaceAll('-', '').slice(0, 12).toUpperCase()}`,
        agency,
        family,
        amount,
        due,
        settles,
        bankAccountId: bank.id,
        status: 'planned',
        version: 1,
        preparedBy: actor.userId ?? '',
        createdAt: await this.clock.now(manager),
      });
      await manager.insert(
        RemittanceItem,
        chosen.map((line) => ({
          remittanceId: id,
          firmId: actor.firmId,
          clientId,
          tax: line.tax,
          liabilityDate: line.liabilityDate,
          amount: line.owed,
          isLive: true,
        })),
      );
      await this.audit.record(manager, actor, 'remittance.plan', 'remittance', id, { amount, family, settles });
      return { id };
    });
  }

  view(actor: Actor, id: string): Promise<RemittanceView> {
    return this.database.run(actor, (manager) => this.viewIn(manager, id));
  }

  approve(actor: Actor, id: string, version: number): Promise<RemittanceView> {
    return this.database.run(actor, async (manager) => {
      await this.executor.apply(manager, actor, REMITTANCE_MACHINE, {
        id,
        act: 'approve',
        version,
        set: { approved_by: actor.userId },
      });
      return this.viewIn(manager, id);
    });
  }

  withdraw(actor: Actor, id: string, version: number): Promise<RemittanceView> {
    return this.database.run(actor, async (manager) => {
      await manager.query('SELECT id FROM remittance WHERE id = $1 FOR UPDATE', [id]);
      const check = await checkOf(manager, id);
      if (check)
        throw conflict(
          `Check ${check.number} pays it. Void or stop that in the check register before you withdraw it.`,
        );
      await this.executor.apply(manager, actor, REMITTANCE_MACHINE, { id, act: 'withdraw', version });
      await manager.update(RemittanceItem, { remittanceId: id }, { isLive: false });
      return this.viewIn(manager, id);
    });
  }

  /** A planned payment was made elsewhere: it settles with the day and the confirmation of where it was made. */
  record(actor: Actor, id: string, { version, paidOn, confirmation }: RecordPaid): Promise<RemittanceView> {
    const day = dayFrom(paidOn, 'paidOn');
    return this.database.run(actor, async (manager) => {
      if (day > (await this.clock.today(manager)))
        throw refuseField('paidOn', 'This day is still to come.', 'Give the day on which it was paid.');
      await manager.query('SELECT id FROM remittance WHERE id = $1 FOR UPDATE', [id]);
      const { remittance } = await this.load(manager, id);
      await refuseSameNumber(manager, remittance, confirmation.trim());
      await this.executor.apply(manager, actor, REMITTANCE_MACHINE, {
        id,
        act: 'record',
        version,
        set: { confirmation: confirmation.trim(), paid_elsewhere_on: day, settles: day },
        detail: { paidOn: day, confirmation: confirmation.trim(), amount: remittance.amount },
      });
      // A check that was mailed is out.
      const check = await checkOf(manager, id);
      if (check?.status === 'printed')
        await this.executor.apply(manager, actor, CHECK_MACHINE, { id: check.id, act: 'issue', version: null });
      await this.answers.recorded(manager, actor, remittance, day);
      await manager.update(RemittanceItem, { remittanceId: id }, { isLive: false });
      return this.viewIn(manager, id);
    });
  }

  /** Takes back that a payment was made elsewhere: the liabilities are open again. */
  unrecord(actor: Actor, id: string, { version, reason }: UnrecordPaid): Promise<RemittanceView> {
    return this.database.run(actor, async (manager) => {
      await manager.query('SELECT id FROM remittance WHERE id = $1 FOR UPDATE', [id]);
      const { remittance } = await this.load(manager, id);
      if (remittance.paidElsewhereOn === null)
        throw conflict('This payment left from here: what the bank says of it stands.');
      await this.executor.apply(manager, actor, REMITTANCE_MACHINE, {
        id,
        act: 'unrecord',
        version,
        detail: { reason },
      });
      await this.answers.unrecorded(manager, actor, remittance, await this.clock.today(manager));
      return this.viewIn(manager, id);
    });
  }

  /** The slip of a release. Asking for it is the rehearsal: the real checks and the real file, and nothing changes. */
  slip(actor: Actor, id: string): Promise<ReleaseSlip> {
    return this.database.run(actor, async (manager) => (await this.rehearse(manager, actor, id)).slip);
  }

  /** Releases once: state, file and outbox row in one transaction; the sending is a job's. */
  async release(actor: Actor, id: string, version: number): Promise<RemittanceView> {
    const view = await this.database.run(actor, async (manager) => {
      await manager.query('SELECT id FROM remittance WHERE id = $1 FOR UPDATE', [id]);
      await this.trust.hold(manager, await manager.findOneBy(Remittance, { id }));
      const { remittance, slip, content, isDebit } = await this.rehearse(manager, actor, id);
      if (remittance.status === 'approved') refuseFailed(slip);
      await this.releases.release(manager, actor, REMITTANCE_MACHINE, {
        id,
        version,
        clientId: remittance.clientId,
        kind: isDebit ? 'debit-file' : 'ach-file',
        receiver: isDebit ? 'debits' : 'bank',
        documentKind: isDebit ? 'debit-file' : 'ach-file',
        attempt: 1,
        name: `${remittance.reference}.${isDebit ? 'txt' : 'ach'}`,
        mediaType: 'text/plain',
        content: Buffer.from(content, 'ascii'),
        detail: { amount: remittance.amount, settles: remittance.settles },
      });
      await this.trust.leaves(manager, actor, 'tax-payment', remittance);
      return this.viewIn(manager, id);
    });
    await this.queue.wake();
    return view;
  }

  private async rehearse(
    manager: EntityManager,
    actor: Actor,
    id: string,
  ): Promise<{ remittance: Remittance; slip: ReleaseSlip; content: string; isDebit: boolean }> {
    const { remittance, items, client } = await this.load(manager, id);
    const bank = await manager.findOneByOrFail(BankAccount, { id: remittance.bankAccountId });
    const file = await this.paymentFile.make(manager, client, remittance, items);
    const agency = agencyName(remittance.agency);
    const isDebit = file.method === 'agency-debit';
    const settles = date(remittance.settles);
    const owed = await this.owing.owed(manager, client);
    const moved = items.filter(
      (item) =>
        owed.find((line) => line.tax === item.tax && line.liabilityDate === item.liabilityDate)?.owed !== item.amount,
    );
    const lateDays = daysBetween(date(remittance.due), settles);
    const whose = bank.isTrust
      ? `what the trust account holds for ${client.legalName}`
      : `${client.legalName}'s account`;
    const check = await checkOf(manager, id);
    const isOver = remittance.status === 'settled' || remittance.status === 'released';
    // What is on its way or settled is told, not checked: there is nothing to do about it any more.
    const checks: SlipCheck[] = isOver
      ? [statusCheck(remittance)]
      : [
          {
            label: 'The ledger still owes this amount',
            isPassed: moved.length === 0,
            says:
              moved.length === 0
                ? `${items.length} ${items.length === 1 ? 'liability' : 'liabilities'}, ${showDollars(remittance.amount)}.`
                : 'A liability has changed since this was planned. Withdraw it and plan again.',
          },
          ...achChecks(
            file,
            remittance.amount,
            settles,
            await this.clock.today(manager),
            isDebit ? AGENCY_HANDS : BANK_HANDS,
          ),
          ...(await this.trust.checks(manager, bank, remittance)),
          ...(check
            ? [
                {
                  label: 'Nothing else pays it',
                  isPassed: false,
                  says: `Check ${check.number} is out for it: record that as paid, or void it in the check register.`,
                },
              ]
            : []),
          {
            label: 'Another person approved it',
            isPassed: remittance.status === 'approved',
            says: remittance.status === 'approved' ? 'Approved.' : `It is ${remittance.status}.`,
          },
          mayReleaseCheck(actor),
        ];
    const slip: ReleaseSlip = {
      title: `${familyLabel(remittance.family)} of ${client.legalName}`,
      act: remittance.status === 'approved' ? 'release' : 'rehearsal',
      amount: remittance.amount,
      figures: [
        { label: 'Client', value: `${client.legalName}, EIN ending ${client.ein.slice(-4)}` },
        { label: 'To', value: agency },
        { label: 'From', value: `${bank.label}, ${bank.bankName}, account ending ${bank.accountTail}` },
        { label: 'Settles', value: showDate(settles) },
        { label: 'Due', value: `${showDate(date(remittance.due))}${lateDays > 0 ? `: ${lateDays} days late` : ''}` },
        { label: 'Reference', value: remittance.reference },
      ],
      leaves: isOver
        ? `${showDollars(remittance.amount)} ${remittance.status === 'settled' ? 'has left' : 'is leaving'} ${whose} for the ${agency}.`
        : `${showDollars(remittance.amount)} leaves ${whose} for the ${agency} by ${isDebit ? 'its own debit' : 'ACH credit'}.`,
      becomesImpossible: `Once ${isDebit ? 'the agency' : 'the bank'} has the file it cannot be called back from here, and these liabilities cannot be planned a second time.`,
      wayBack:
        'If the payment is returned, the liabilities open again by themselves. An overpayment is claimed back from the agency.',
      checks,
      mayRelease: !isOver && checks.every((check) => check.isPassed),
      file: file.shown,
    };
    return { remittance, slip, content: file.content, isDebit };
  }

  private async load(
    manager: EntityManager,
    id: string,
  ): Promise<{ remittance: Remittance; items: RemittanceItem[]; client: Client }> {
    const remittance = await manager.findOneBy(Remittance, { id });
    if (!remittance) throw notFound('remittance');
    const items = await manager.find(RemittanceItem, {
      where: { remittanceId: id },
      order: { liabilityDate: 'ASC', tax: 'ASC' },
    });
    return { remittance, items, client: await findClient(manager, remittance.clientId) };
  }

  private async viewIn(manager: EntityManager, id: string): Promise<RemittanceView> {
    const { remittance, items, client } = await this.load(manager, id);
    const bank = await manager.findOneByOrFail(BankAccount, { id: remittance.bankAccountId });
    const names = (await manager.query('SELECT id, name FROM app_user')) as { id: string; name: string }[];
    const nameOf = (userId: string | null): string | null => names.find((user) => user.id === userId)?.name ?? null;
    return {
      ...rowOf(remittance, client),
      items: items.map((item) => ({
        tax: item.tax,
        label: isTaxCode(item.tax) ? taxOf(item.tax).label : item.tax,
        liabilityDate: item.liabilityDate,
        amount: item.amount,
      })),
      preparedBy: nameOf(remittance.preparedBy) ?? '',
      approvedBy: nameOf(remittance.approvedBy),
      releasedBy: nameOf(remittance.releasedBy),
      bankAccount: `${bank.label}, ${bank.bankName}, ending ${bank.accountTail}`,
      delivery: await this.outbox.standing(manager, id),
      method: await this.paymentFile.methodOf(manager, remittance),
      paidElsewhereOn: remittance.paidElsewhereOn,
      bankAccountId: remittance.bankAccountId,
      check: await checkOf(manager, id),
    };
  }
}

const statusCheck = ({ status, confirmation, paidElsewhereOn }: Remittance): SlipCheck => ({
  label: status === 'settled' ? 'It has settled' : 'It is on its way',
  isPassed: true,
  says: paidElsewhereOn
    ? `Paid elsewhere ${showDate(date(paidElsewhereOn))}, confirmation ${confirmation ?? ''}.`
    : (confirmation ?? 'The bank has the file; its answer is still to come.'),
});

/** The check on paper that is out for a payment; null: none. */
async function checkOf(manager: EntityManager, id: string): Promise<CheckOfRemittance | null> {
  const [row] = (await manager.query(
    `SELECT id, number::int AS number, status FROM issued_check WHERE remittance_id = $1 AND status IN ('printed', 'issued', 'cleared')`,
    [id],
  )) as CheckOfRemittance[];
  return row ?? null;
}

export const rowOf = (row: Remittance, client: Client): RemittanceRow => ({
  id: row.id,
  clientId: client.id,
  clientName: client.legalName,
  einTail: client.ein.slice(-4),
  reference: row.reference,
  agencyName: agencyName(row.agency),
  familyLabel: familyLabel(row.family),
  amount: row.amount,
  due: row.due,
  settles: row.settles,
  status: row.status,
  version: row.version,
  confirmation: row.confirmation,
  returnedReason: row.returnedReason,
});

/** One number is one payment of a kind of deposit; a check that pays two kinds at once is recorded with each of them. */
async function refuseSameNumber(
  manager: EntityManager,
  { id, agency, family, status }: Remittance,
  confirmation: string,
): Promise<void> {
  if (status === 'settled') return;
  await manager.query('SELECT pg_advisory_xact_lock(hashtextextended($1, 0))', [`${agency} ${family} ${confirmation}`]);
  const others = await manager.find(Remittance, { where: { agency, family, confirmation, status: 'settled' } });
  const other = others.find((one) => one.id !== id);
  if (other)
    throw refuseField(
      'confirmation',
      `This number is recorded already, with ${other.reference} of ${showDollars(other.amount)}, due ${showDate(date(other.due))}.`,
      'Look at the number again: a payment counts once.',
    );
}

/** A credit comes off a deposit of its own kind and quarter, and never makes it less than nothing. */
function refuseStrayCredits(chosen: readonly OwedLiability[]): void {
  const owing = chosen.filter((line) => line.owed > 0);
  const isStray = chosen.some((line) => line.owed <= 0 && !owing.some((other) => mayBeTakenOff(line, other)));
  if (isStray || sum(chosen.map((line) => line.owed)) <= 0)
    throw conflict(
      'More was deposited for one of these liabilities than is owed, and nothing of its quarter is left to take it off. Look again.',
    );
}
