import { Inject, Injectable } from '@nestjs/common';
import type {
  GarnishedView,
  GarnishmentPayeeView,
  GarnishmentPaymentRow,
  GarnishmentPaymentView,
  GarnishmentsView,
  OwedToPayee,
  PlanGarnishmentPayment,
  RecordGarnishmentPaid,
  SaveGarnishmentPayee,
} from '@zakat/contract/garnishment-payments';
import type { ReleaseSlip, SlipCheck } from '@zakat/contract/remittances';
import { onOrBefore } from '@zakat/core/calendar/business-days';
import { BANKING } from '@zakat/core/calendar/holidays';
import { date, showDate, type LocalDate } from '@zakat/core/calendar/local-date';
import { earliestSettlement } from '@zakat/core/deposits/ach-days';
import { writeSupportPayments } from '@zakat/core/formats/nacha/support-payment';
import { checkRouting, normalDigits } from '@zakat/core/identity/numbers';
import { problem } from '@zakat/core/issues/issue';
import { cents, showDollars, sum } from '@zakat/core/money/cents';
import { randomUUID } from 'node:crypto';
import type { EntityManager } from 'typeorm';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { Secrets } from '../../database/secrets.js';
import { dayFrom } from '../../http/day.js';
import { conflict, notFound, refuse, refuseField } from '../../http/refusal.js';
import { WorkQueue } from '../../queue/work-queue.js';
import { Executor } from '../../state-machines/executor.js';
import { GARNISHMENT_PAYMENT_MACHINE } from '../../state-machines/machine.js';
import { Audit } from '../audit/index.js';
import { accountWords, BankAccount, type Client, findClient, Firm } from '../clients/index.js';
import { Clock } from '../clock/index.js';
import { Employee } from '../employees/index.js';
import { refuseUnlessAdministrator } from '../firm/index.js';
import { achChecks, mayReleaseCheck, Outbox, refuseFailed, Releases } from '../outbox/index.js';
import { GarnishmentPayment } from './entities.js';
import { type Garnished, GarnishedPay, supportDue } from './garnished.js';
import { GarnishmentAnswers } from './garnishment-answers.js';

interface Payee {
  readonly name: string;
  readonly routing: string;
  readonly account_cipher: Buffer;
  readonly account_tail: string;
}

/** What was withheld by order, paid to its payees: support by ACH with its addenda, the rest by check or elsewhere. */
@Injectable()
export class GarnishmentPayments {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(GarnishedPay) private readonly garnished: GarnishedPay,
    @Inject(GarnishmentAnswers) private readonly answers: GarnishmentAnswers,
    @Inject(Executor) private readonly executor: Executor,
    @Inject(Releases) private readonly releases: Releases,
    @Inject(Outbox) private readonly outbox: Outbox,
    @Inject(Secrets) private readonly secrets: Secrets,
    @Inject(Audit) private readonly audit: Audit,
    @Inject(Clock) private readonly clock: Clock,
    @Inject(WorkQueue) private readonly queue: WorkQueue,
  ) {}

  /** Payees that orders of any client name, and those that have an account. */
  payees(actor: Actor): Promise<GarnishmentPayeeView[]> {
    return this.database.run(actor, async (manager) => {
      const named = (await manager.query(
        `SELECT trim(f.value->>'payee') AS name, count(DISTINCT e.client_id)::int AS clients FROM employee_fact f JOIN employee e ON e.id = f.employee_id
         WHERE f.kind = 'garnishment' AND coalesce(trim(f.value->>'payee'), '') <> '' GROUP BY 1`,
      )) as { name: string; clients: number }[];
      const known = await this.payeesIn(manager);
      const names = [...new Set([...named.map(({ name }) => name), ...known.keys()])].sort();
      return names.map((name) => ({
        name,
        tail: known.get(name)?.account_tail ?? '',
        clients: named.find((one) => one.name === name)?.clients ?? 0,
      }));
    });
  }

  savePayee(actor: Actor, input: SaveGarnishmentPayee): Promise<GarnishmentPayeeView[]> {
    refuseUnlessAdministrator(actor, 'say where garnishments are sent');
    const issues = [
      ...checkRouting(input.routing, 'routing'),
      ...(/^[0-9A-Za-z-]{4,17}$/.test(input.account) ? [] : [problem('bank.account-shape', 'account')]),
    ];
    if (issues.length > 0) throw refuse(issues);
    return this.database
      .run(actor, async (manager) => {
        await manager.query(
          `INSERT INTO garnishment_payee (id, firm_id, name, routing, account_cipher, account_tail) VALUES ($1,$2,$3,$4,$5,$6)
           ON CONFLICT (firm_id, name) DO UPDATE SET routing = excluded.routing, account_cipher = excluded.account_cipher, account_tail = excluded.account_tail, version = garnishment_payee.version + 1`,
          [
            randomUUID(),
            actor.firmId,
            input.name.trim(),
            normalDigits(input.routing),
            this.secrets.seal(input.account),
            input.account.slice(-4),
          ],
        );
        await this.audit.record(manager, actor, 'garnishment.payee', 'firm', actor.firmId, {
          payee: input.name.trim(),
          account: input.account.slice(-4),
        });
      })
      .then(() => this.payees(actor));
  }

  view(actor: Actor, clientId: string): Promise<GarnishmentsView> {
    return this.database.run(actor, async (manager) => {
      const client = await findClient(manager, clientId);
      const open = await this.garnished.of(manager, clientId);
      const payments = await manager.find(GarnishmentPayment, {
        where: { clientId },
        order: { createdAt: 'DESC' },
        take: 100,
      });
      return {
        owed: await this.owedIn(manager, open),
        withoutPayee: open.filter(({ payee }) => payee === '').map(itemOf),
        payments: payments.map((row) => rowOf(row, client)),
      };
    });
  }

  /** What is owed to payees of one client: for the ladder. */
  async owed(manager: EntityManager, clientId: string): Promise<OwedToPayee[]> {
    return this.owedIn(manager, await this.garnished.of(manager, clientId));
  }

  plan(actor: Actor, clientId: string, input: PlanGarnishmentPayment): Promise<{ id: string }> {
    const settles = dayFrom(input.settles, 'settles');
    return this.database.run(actor, async (manager) => {
      const bank = await manager.findOneBy(BankAccount, { id: input.bankAccountId, clientId });
      if (!bank)
        throw refuseField(
          'bankAccountId',
          'This bank account is not one of the client.',
          'Choose one of its accounts.',
        );
      const owed = (await this.owed(manager, clientId)).find(({ payee }) => payee === input.payee);
      if (!owed) throw conflict('Nothing is open for this payee any more. Look again.');
      if (owed.amount !== input.amount)
        throw conflict(`It comes to ${showDollars(cents(owed.amount))} now. Look again.`);
      const id = randomUUID();
      await manager.insert(GarnishmentPayment, {
        id,
        firmId: actor.firmId,
        clientId,
        payee: owed.payee,
        reference: `ZG${id.replaceAll('-', '').slice(0, 12).toUpperCase()}`,
        bankAccountId: bank.id,
        amount: cents(owed.amount),
        due: owed.due,
        settles,
        status: 'planned',
        version: 1,
        preparedBy: actor.userId ?? '',
        createdAt: await this.clock.now(manager),
      });
      await manager.query(
        `INSERT INTO garnishment_payment_item (payment_id, position, firm_id, client_id, paycheck_id, label, amount, is_live)
         SELECT $1, r.position, $2, $3, r."paycheckId", r.label, r.amount, true FROM jsonb_to_recordset($4::jsonb) AS r(position int, "paycheckId" uuid, label text, amount bigint)`,
        [id, actor.firmId, clientId, JSON.stringify(owed.items.map((item, position) => ({ ...item, position })))],
      );
      await this.audit.record(manager, actor, 'garnishment.plan', 'garnishment payment', id, {
        payee: owed.payee,
        amount: owed.amount,
        settles,
      });
      return { id };
    });
  }

  one(actor: Actor, id: string): Promise<GarnishmentPaymentView> {
    return this.database.run(actor, (manager) => this.viewIn(manager, id));
  }

  withdraw(actor: Actor, id: string, version: number): Promise<GarnishmentPaymentView> {
    return this.database.run(actor, async (manager) => {
      await this.executor.apply(manager, actor, GARNISHMENT_PAYMENT_MACHINE, { id, act: 'withdraw', version });
      await manager.query('UPDATE garnishment_payment_item SET is_live = false WHERE payment_id = $1', [id]);
      return this.viewIn(manager, id);
    });
  }

  /** It was paid by check, or on the payee's own site. */
  record(
    actor: Actor,
    id: string,
    { version, paidOn, confirmation }: RecordGarnishmentPaid,
  ): Promise<GarnishmentPaymentView> {
    const day = dayFrom(paidOn, 'paidOn');
    return this.database.run(actor, async (manager) => {
      if (day > (await this.clock.today(manager)))
        throw refuseField('paidOn', 'This day is still to come.', 'Give the day on which it was paid.');
      await this.executor.apply(manager, actor, GARNISHMENT_PAYMENT_MACHINE, {
        id,
        act: 'record',
        version,
        set: { confirmation: confirmation.trim(), paid_elsewhere_on: day, settles: day },
        detail: { paidOn: day, confirmation: confirmation.trim() },
      });
      await this.answers.book(manager, actor, await find(manager, id), 1, day);
      return this.viewIn(manager, id);
    });
  }

  slip(actor: Actor, id: string): Promise<ReleaseSlip> {
    return this.database.run(actor, async (manager) => (await this.rehearse(manager, actor, id)).slip);
  }

  /** Releases once: state, file and outbox row in one transaction; the sending is a job's. */
  async release(actor: Actor, id: string, version: number): Promise<GarnishmentPaymentView> {
    const view = await this.database.run(actor, async (manager) => {
      await manager.query('SELECT id FROM garnishment_payment WHERE id = $1 FOR UPDATE', [id]);
      const { payment, slip, content } = await this.rehearse(manager, actor, id);
      if (payment.status === 'planned') refuseFailed(slip);
      await this.releases.release(manager, actor, GARNISHMENT_PAYMENT_MACHINE, {
        id,
        version,
        clientId: payment.clientId,
        kind: 'garnishment-file',
        receiver: 'bank',
        documentKind: 'garnishment-file',
        attempt: 1,
        name: `${payment.reference}.ach`,
        mediaType: 'text/plain',
        content: Buffer.from(content, 'ascii'),
        detail: { amount: payment.amount, settles: payment.settles },
      });
      return this.viewIn(manager, id);
    });
    await this.queue.wake();
    return view;
  }

  private async rehearse(
    manager: EntityManager,
    actor: Actor,
    id: string,
  ): Promise<{ payment: GarnishmentPayment; slip: ReleaseSlip; content: string }> {
    const payment = await find(manager, id);
    const client = await findClient(manager, payment.clientId);
    const bank = await manager.findOneByOrFail(BankAccount, { id: payment.bankAccountId });
    const [firm] = await manager.find(Firm);
    const payee = (await this.payeesIn(manager)).get(payment.payee);
    const items = await this.garnished.of(manager, payment.clientId, id);
    const today = await this.clock.today(manager);
    const settles = date(payment.settles);
    const file = writeSupportPayments({
      bankRouting: bank.routing,
      bankName: bank.bankName,
      originName: firm?.name ?? '',
      companyId: `1${client.ein}`,
      companyName: client.legalName,
      created: today,
      settles,
      fileIdModifier: 'G',
      payeeName: payment.payee,
      payeeRouting: payee?.routing ?? '',
      payeeAccount: payee ? this.secrets.open(payee.account_cipher) : '',
      reference: payment.reference,
      credits: await Promise.all(items.map((item) => this.creditOf(manager, item))),
    });
    const isOwn = actor.userId === payment.preparedBy && (await this.executor.requiresSecondPerson(manager));
    const left = sum(items.map(({ amount }) => amount));
    const others = items.filter(({ kind }) => kind !== 'child-support');
    const isOpen = payment.status === 'planned';
    const checks: SlipCheck[] = [
      {
        label: 'The checks still stand',
        isPassed: left === payment.amount,
        says:
          left === payment.amount
            ? `${items.length} ${items.length === 1 ? 'check' : 'checks'}.`
            : `Checks that stand withheld ${showDollars(left)}. Withdraw it and plan again.`,
      },
      {
        label: 'The payee takes ACH',
        isPassed: payee !== undefined && others.length === 0,
        says: !payee
          ? 'No account of this payee is known. Pay it by check and record it, or have an administrator say its account.'
          : others.length > 0
            ? `${others[0]?.label ?? ''} is no order of support: its payee takes no addenda for it. Pay it by check and record it.`
            : `Account ending ${payee.account_tail}.`,
      },
      ...achChecks(file, payment.amount, settles, today),
      {
        label: 'Another person prepared it',
        isPassed: !isOwn,
        says: isOwn ? 'You prepared it; another person must release it.' : 'Two persons stand for it.',
      },
      mayReleaseCheck(actor),
    ];
    return {
      payment,
      content: file.content,
      slip: {
        title: `Garnishments of ${client.legalName} to ${payment.payee}`,
        act: isOpen ? 'release' : 'rehearsal',
        amount: payment.amount,
        figures: [
          { label: 'Client', value: `${client.legalName}, EIN ending ${client.ein.slice(-4)}` },
          { label: 'To', value: payment.payee },
          { label: 'From', value: accountWords(bank) },
          { label: 'Settles', value: showDate(settles) },
          { label: 'Due', value: showDate(date(payment.due)) },
          { label: 'Reference', value: payment.reference },
        ],
        leaves: `${showDollars(payment.amount)} leaves ${client.legalName}'s account for ${payment.payee} by ACH credit, with a line for each case.`,
        becomesImpossible:
          'Once the bank has the file it cannot be called back from here, and what these checks withheld cannot be paid a second time.',
        wayBack: 'If the payment is returned, what it paid is open again by itself.',
        checks: isOpen ? checks : [],
        mayRelease: isOpen && checks.every((check) => check.isPassed),
        file: hidden(file.content),
      },
    };
  }

  private async creditOf(
    manager: EntityManager,
    item: Garnished,
  ): Promise<Parameters<typeof writeSupportPayments>[0]['credits'][number]> {
    const person = await manager.findOneByOrFail(Employee, { id: item.employeeId });
    return {
      caseId: item.caseId,
      payDate: item.checkDate,
      amount: item.amount,
      ssn: this.secrets.open(person.ssnCipher),
      lastName: item.lastName,
      firstName: item.firstName,
      isMedical: item.isMedical,
      fips: item.fips,
      hasEnded: item.hasEnded,
    };
  }

  private async payeesIn(manager: EntityManager): Promise<ReadonlyMap<string, Payee>> {
    const rows = (await manager.query(
      'SELECT name, routing, account_cipher, account_tail FROM garnishment_payee',
    )) as Payee[];
    return new Map(rows.map((row) => [row.name, row]));
  }

  private async owedIn(manager: EntityManager, open: readonly Garnished[]): Promise<OwedToPayee[]> {
    if (open.length === 0) return [];
    const payees = await this.payeesIn(manager);
    const earliest = earliestSettlement(await this.clock.today(manager));
    const names = [...new Set(open.map(({ payee }) => payee))].filter((name) => name !== '').sort();
    return names.map((name): OwedToPayee => {
      const own = open.filter(({ payee }) => payee === name);
      const dues = own.map(({ checkDate }) => supportDue(checkDate)).sort();
      const due: LocalDate = dues[0] ?? earliest;
      const wanted = onOrBefore(due, BANKING);
      return {
        payee: name,
        isAch: payees.has(name) && own.every(({ kind }) => kind === 'child-support'),
        isSupport: own.some(({ kind }) => kind === 'child-support'),
        due,
        settles: wanted < earliest ? earliest : wanted,
        amount: sum(own.map(({ amount }) => amount)),
        items: own.map(itemOf),
      };
    });
  }

  private async viewIn(manager: EntityManager, id: string): Promise<GarnishmentPaymentView> {
    const payment = await find(manager, id);
    const client = await findClient(manager, payment.clientId);
    const bank = await manager.findOneByOrFail(BankAccount, { id: payment.bankAccountId });
    const names = (await manager.query('SELECT id, name FROM app_user')) as { id: string; name: string }[];
    const nameOf = (userId: string | null): string | null => names.find((user) => user.id === userId)?.name ?? null;
    const items = await this.garnished.of(manager, payment.clientId, id);
    return {
      ...rowOf(payment, client),
      items: items.map(itemOf),
      isAch: (await this.payeesIn(manager)).has(payment.payee) && items.every(({ kind }) => kind === 'child-support'),
      bankAccount: accountWords(bank),
      preparedBy: nameOf(payment.preparedBy) ?? '',
      releasedBy: nameOf(payment.releasedBy),
      delivery: await this.outbox.standing(manager, id),
    };
  }
}

/** Numbers of people and accounts stay out of what screens show: the end of each is enough to tell them apart. */
const hidden = (content: string): string =>
  content
    .replace(/^(6.{11})(.{17})/gm, (_, before: string, account: string) => {
      const digits = account.trimEnd();
      return `${before}${`${'*'.repeat(Math.max(digits.length - 4, 0))}${digits.slice(-4)}`.padEnd(17)}`;
    })
    .replace(/(\*)\d{5}(\d{4}\*[YNW]\*)/g, '$1*****$2');

async function find(manager: EntityManager, id: string): Promise<GarnishmentPayment> {
  const payment = await manager.findOneBy(GarnishmentPayment, { id });
  if (!payment) throw notFound('payment');
  return payment;
}

const itemOf = (item: Garnished): GarnishedView => ({
  paycheckId: item.paycheckId,
  employee: `${item.firstName} ${item.lastName}`,
  label: item.label,
  caseId: item.caseId,
  checkDate: item.checkDate,
  amount: item.amount,
});
const rowOf = (row: GarnishmentPayment, client: Client): GarnishmentPaymentRow => ({
  id: row.id,
  clientId: row.clientId,
  clientName: client.legalName,
  payee: row.payee,
  reference: row.reference,
  amount: row.amount,
  due: row.due,
  settles: row.settles,
  status: row.status,
  version: row.version,
  paidElsewhereOn: row.paidElsewhereOn,
  confirmation: row.confirmation,
  returnedReason: row.returnedReason,
});
