import { Inject, Injectable } from '@nestjs/common';
import type { DirectDepositRow, PayrollPay, PrenoteView } from '@zakat/contract/direct-deposits';
import type { ReleaseSlip, SlipCheck } from '@zakat/contract/remittances';
import { isBusinessDay, onOrBefore } from '@zakat/core/calendar/business-days';
import { date, showDate, type LocalDate } from '@zakat/core/calendar/local-date';
import { ACH_CUTOFF, earliestSettlement } from '@zakat/core/deposits/due';
import { traceNumber } from '@zakat/core/formats/nacha/file';
import { sentence } from '@zakat/core/issues/issue';
import { ZERO, showDollars, sum, type Cents } from '@zakat/core/money/cents';
import { randomUUID } from 'node:crypto';
import type { EntityManager } from 'typeorm';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { Secrets } from '../../database/secrets.js';
import { Refusal, conflict, notFound, refuseField } from '../../http/refusal.js';
import { Jobs } from '../../jobs/jobs.js';
import { Executor } from '../../state-machines/executor.js';
import { DIRECT_DEPOSIT_MACHINE } from '../../state-machines/machine.js';
import { Audit } from '../audit/audit.js';
import { findClient } from '../clients/clients.service.js';
import { BankAccount, type Client } from '../clients/entities.js';
import { Clock } from '../clock/clock.js';
import { Documents } from '../documents/documents.js';
import { Employee } from '../employees/entities.js';
import { fullName } from '../employees/employees.service.js';
import { Outbox } from '../outbox/outbox.js';
import type { Payroll } from '../payrolls/entities.js';
import { findPayroll } from '../payrolls/payroll-view.js';
import { DepositFiles } from './deposit-file.js';
import { DirectDeposit, DirectDepositEntry } from './entities.js';
import { PayAccounts, type OwnAccount } from './pay-accounts.js';
import { PayrollPays } from './payroll-pay.js';

interface NewCredit {
  readonly account: OwnAccount;
  readonly paycheckId: string | null;
  readonly amount: Cents;
}
const LIVE = ['planned', 'released', 'settled'];

/** Pay to people's accounts and the prenotes before it: planned by one person, released once by another. */
@Injectable()
export class DirectDepositsService {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(PayrollPays) private readonly pays: PayrollPays,
    @Inject(PayAccounts) private readonly accounts: PayAccounts,
    @Inject(DepositFiles) private readonly files: DepositFiles,
    @Inject(Executor) private readonly executor: Executor,
    @Inject(Audit) private readonly audit: Audit,
    @Inject(Documents) private readonly documents: Documents,
    @Inject(Outbox) private readonly outbox: Outbox,
    @Inject(Secrets) private readonly secrets: Secrets,
    @Inject(Clock) private readonly clock: Clock,
    @Inject(Jobs) private readonly jobs: Jobs,
  ) {}

  payOf(actor: Actor, payrollId: string): Promise<PayrollPay> {
    return this.database.run(actor, async (manager) =>
      this.payIn(manager, postedHere(await findPayroll(manager, payrollId))),
    );
  }

  planPay(actor: Actor, payrollId: string, bankAccountId: string): Promise<PayrollPay> {
    return this.database.run(actor, async (manager) => {
      const payroll = postedHere(await findPayroll(manager, payrollId));
      const { credits } = await this.pays.planned(manager, payroll);
      if (credits.length === 0)
        throw conflict('Nobody of this payroll has an account that may receive pay. Pay by check, or send prenotes.');
      const earliest = earliestSettlement(await this.clock.today(manager));
      const wanted = onOrBefore(date(payroll.checkDate), 'banking');
      await this.plan(
        manager,
        actor,
        {
          clientId: payroll.clientId,
          kind: 'pay',
          payrollId,
          bankAccountId,
          settles: wanted < earliest ? earliest : wanted,
        },
        credits.map((credit) => ({ ...credit, paycheckId: credit.person.paycheckId })),
      );
      return this.payIn(manager, payroll);
    });
  }

  prenotes(actor: Actor, clientId: string): Promise<PrenoteView> {
    return this.database.run(actor, (manager) => this.prenotesIn(manager, clientId));
  }

  /** Plans a file of prenotes to every account that wants one. */
  planPrenotes(actor: Actor, clientId: string, bankAccountId: string): Promise<PrenoteView> {
    return this.database.run(actor, async (manager) => {
      const wanted = (await this.accountsOf(manager, clientId)).filter(({ account }) => account.prenote === 'wanted');
      if (wanted.length === 0) throw conflict('No account waits for its prenote.');
      await this.plan(
        manager,
        actor,
        {
          clientId,
          kind: 'prenotes',
          payrollId: null,
          bankAccountId,
          settles: earliestSettlement(await this.clock.today(manager)),
        },
        wanted.map(({ account }) => ({ account, paycheckId: null, amount: ZERO })),
      );
      return this.prenotesIn(manager, clientId);
    });
  }

  withdraw(actor: Actor, id: string, version: number): Promise<DirectDepositRow> {
    return this.database.run(actor, async (manager) => {
      await this.executor.apply(manager, actor, DIRECT_DEPOSIT_MACHINE, { id, act: 'withdraw', version });
      await manager.update(DirectDepositEntry, { directDepositId: id }, { isLive: false });
      return this.rowIn(manager, await find(manager, id));
    });
  }

  /** The slip of a release: the real checks and the real file, and nothing changes. */
  slip(actor: Actor, id: string): Promise<ReleaseSlip> {
    return this.database.run(actor, async (manager) => (await this.rehearse(manager, actor, id)).slip);
  }

  /** Releases once: state, file and outbox row in one transaction; the sending is a job's. */
  async release(actor: Actor, id: string, version: number): Promise<DirectDepositRow> {
    const row = await this.database.run(actor, async (manager) => {
      await manager.query('SELECT id FROM direct_deposit WHERE id = $1 FOR UPDATE', [id]);
      const { deposit, slip, content } = await this.rehearse(manager, actor, id);
      const failed = slip.checks.filter((check) => !check.isPassed);
      if (deposit.status === 'planned' && failed.length > 0)
        throw new Refusal(422, 'slip', failed.map((check) => check.says).join(' '));
      const documentId = await this.documents.store(
        manager,
        actor,
        deposit.clientId,
        'pay-file',
        `${deposit.reference}.ach`,
        'text/plain',
        Buffer.from(content, 'ascii'),
      );
      await this.executor.apply(manager, actor, DIRECT_DEPOSIT_MACHINE, {
        id,
        act: 'release',
        version,
        set: { released_by: actor.userId, document_id: documentId },
        detail: { amount: deposit.amount, settles: deposit.settles },
      });
      await this.outbox.put(manager, actor, 'pay-file', id, 1, documentId);
      return this.rowIn(manager, await find(manager, id));
    });
    await this.jobs.wake();
    return row;
  }

  private async plan(
    manager: EntityManager,
    actor: Actor,
    given: Pick<DirectDeposit, 'clientId' | 'kind' | 'payrollId' | 'bankAccountId' | 'settles'>,
    credits: readonly NewCredit[],
  ): Promise<void> {
    const bank = await manager.findOneBy(BankAccount, { id: given.bankAccountId, clientId: given.clientId });
    if (!bank)
      throw refuseField('bankAccountId', 'This bank account is not one of the client.', 'Choose one of its accounts.');
    const id = randomUUID();
    const amount = sum(credits.map((credit) => credit.amount));
    await manager.insert(DirectDeposit, {
      ...given,
      id,
      firmId: actor.firmId,
      reference: `ZP${id.replaceAll('-', '').slice(0, 12).toUpperCase()}`,
      amount,
      status: 'planned',
      version: 1,
      preparedBy: actor.userId ?? '',
      createdAt: await this.clock.now(manager),
    });
    await manager.insert(
      DirectDepositEntry,
      credits.map(({ account, paycheckId, amount: part }, index) => ({
        directDepositId: id,
        sequence: index + 1,
        firmId: actor.firmId,
        clientId: given.clientId,
        employeeId: account.employeeId,
        paycheckId,
        label: account.label,
        type: account.type,
        routing: account.routing,
        accountCipher: this.secrets.seal(account.account),
        accountTail: account.tail,
        accountMark: account.mark,
        amount: part,
        trace: traceNumber(bank.routing, index + 1),
        isLive: true,
      })),
    );
    await this.audit.record(manager, actor, 'direct-deposit.plan', 'direct deposit', id, {
      kind: given.kind,
      amount,
      entries: credits.length,
      settles: given.settles,
    });
  }

  private async payIn(manager: EntityManager, payroll: Payroll): Promise<PayrollPay> {
    const files = await manager.find(DirectDeposit, {
      where: { payrollId: payroll.id },
      order: { createdAt: 'DESC' },
    });
    const live = files.find((file) => LIVE.includes(file.status));
    const people = live
      ? await this.pays.inFile(manager, payroll, live.id)
      : (await this.pays.planned(manager, payroll)).people;
    const last = live ?? files[0];
    const checks = sum(people.map((person) => person.check as Cents));
    return {
      people,
      deposits: sum(people.map((person) => person.net as Cents)) - checks,
      checks,
      file: last ? await this.rowIn(manager, last) : null,
    };
  }

  private async accountsOf(
    manager: EntityManager,
    clientId: string,
  ): Promise<{ person: Employee; account: OwnAccount }[]> {
    await findClient(manager, clientId);
    const today = await this.clock.today(manager);
    const people = await manager.find(Employee, {
      where: { clientId, kind: 'employee', isWithdrawn: false },
      order: { number: 'ASC' },
    });
    const ids = people.map((person) => person.id);
    const accounts = await this.accounts.of(manager, clientId, ids, today, today);
    return people.flatMap((person) => (accounts.get(person.id) ?? []).map((account) => ({ person, account })));
  }

  private async prenotesIn(manager: EntityManager, clientId: string): Promise<PrenoteView> {
    const accounts = await this.accountsOf(manager, clientId);
    const files = await manager.find(DirectDeposit, {
      where: { clientId, kind: 'prenotes' },
      order: { createdAt: 'DESC' },
    });
    return {
      accounts: accounts.map(({ person, account }) => ({
        employeeId: person.id,
        name: fullName(person),
        label: account.label,
        tail: account.tail,
        standing: account.prenote,
        confirmedOn: account.confirmedOn,
        cameBack: account.cameBack,
      })),
      files: await Promise.all(files.map((file) => this.rowIn(manager, file))),
    };
  }

  private async rehearse(
    manager: EntityManager,
    actor: Actor,
    id: string,
  ): Promise<{ deposit: DirectDeposit; slip: ReleaseSlip; content: string }> {
    const deposit = await find(manager, id);
    const client = await findClient(manager, deposit.clientId);
    const entries = await manager.find(DirectDepositEntry, {
      where: { directDepositId: id },
      order: { sequence: 'ASC' },
    });
    const bank = await manager.findOneByOrFail(BankAccount, { id: deposit.bankAccountId });
    const file = await this.files.make(manager, client, deposit, entries);
    const settles = date(deposit.settles);
    const isCurrent = await this.isCurrent(manager, deposit, entries);
    const checks = slipChecks(deposit, actor, {
      isCurrent,
      file,
      entries: entries.length,
      today: await this.clock.today(manager),
      isOwn: actor.userId === deposit.preparedBy && (await this.requiresTwo(manager)),
    });
    return {
      deposit,
      content: file.content,
      slip: slipOf(client, deposit, bank, entries.length, settles, checks, file.shown),
    };
  }

  private async requiresTwo(manager: EntityManager): Promise<boolean> {
    const rows = (await manager.query('SELECT requires_second_person AS two FROM firm')) as { two: boolean }[];
    return rows[0]?.two !== false;
  }

  /** Whether the entries are still what would be planned now: accounts change, prenotes come back. */
  private async isCurrent(
    manager: EntityManager,
    deposit: DirectDeposit,
    entries: readonly DirectDepositEntry[],
  ): Promise<boolean> {
    const now =
      deposit.payrollId === null
        ? (await this.accountsOf(manager, deposit.clientId))
            .filter(({ account }) => account.prenote === 'wanted')
            .map(({ account }) => ({ account, amount: ZERO }))
        : (await this.pays.planned(manager, await findPayroll(manager, deposit.payrollId))).credits;
    const key = (mark: Buffer, amount: number): string => `${mark.toString('hex')} ${amount}`;
    const before = entries.map((entry) => key(entry.accountMark, entry.amount)).sort();
    return (
      before.join() ===
      now
        .map((one) => key(one.account.mark, one.amount))
        .sort()
        .join()
    );
  }

  private async rowIn(manager: EntityManager, deposit: DirectDeposit): Promise<DirectDepositRow> {
    const bank = await manager.findOneByOrFail(BankAccount, { id: deposit.bankAccountId });
    const names = (await manager.query('SELECT id, name FROM app_user')) as { id: string; name: string }[];
    const nameOf = (id: string | null): string | null => names.find((user) => user.id === id)?.name ?? null;
    return {
      id: deposit.id,
      clientId: deposit.clientId,
      kind: deposit.kind,
      payrollId: deposit.payrollId,
      reference: deposit.reference,
      entries: await manager.count(DirectDepositEntry, { where: { directDepositId: deposit.id } }),
      amount: deposit.amount,
      settles: deposit.settles,
      status: deposit.status,
      version: deposit.version,
      bankAccount: `${bank.label}, ${bank.bankName}, ending ${bank.accountTail}`,
      preparedBy: nameOf(deposit.preparedBy) ?? '',
      releasedBy: nameOf(deposit.releasedBy),
      confirmation: deposit.confirmation,
      returnedReason: deposit.returnedReason,
      delivery: await this.outbox.standing(manager, deposit.id),
    };
  }
}

interface SlipFacts {
  readonly isCurrent: boolean;
  readonly file: { readonly issues: readonly Parameters<typeof sentence>[0][]; readonly total: Cents };
  readonly entries: number;
  readonly today: LocalDate;
  /** The person who would release it prepared it, and the firm wants two. */
  readonly isOwn: boolean;
}

function slipChecks(deposit: DirectDeposit, actor: Actor, facts: SlipFacts): SlipCheck[] {
  const { isCurrent, file, entries, today, isOwn } = facts;
  const settles = date(deposit.settles);
  const earliest = earliestSettlement(today);
  return [
    {
      label: 'The accounts are as when it was planned',
      isPassed: isCurrent,
      says: isCurrent
        ? `${entries} ${entries === 1 ? 'entry' : 'entries'}.`
        : 'An account or its prenote has changed since. Withdraw it and plan again.',
    },
    {
      label: 'The file adds up',
      isPassed: file.issues.length === 0 && file.total === deposit.amount,
      says: file.issues.length > 0 ? file.issues.map(sentence).join(' ') : `File total ${showDollars(file.total)}.`,
    },
    {
      label: 'The settlement day is a banking day',
      isPassed: isBusinessDay(settles, 'banking'),
      says: showDate(settles),
    },
    {
      label: 'The bank can still make it',
      isPassed: settles >= earliest,
      says:
        settles >= earliest
          ? `In the bank's hands by ${ACH_CUTOFF} today it settles ${showDate(settles)}.`
          : `The earliest settlement is ${showDate(earliest)} now. Withdraw it and plan again.`,
    },
    {
      label: 'Another person prepared it',
      isPassed: !isOwn,
      says: isOwn ? 'You prepared it; another person must release it.' : 'Two persons stand for it.',
    },
    {
      label: 'You may release',
      isPassed: actor.role === 'reviewer' || actor.role === 'administrator',
      says: actor.role === 'preparer' ? 'A preparer cannot release; ask a reviewer.' : `You are a ${actor.role}.`,
    },
  ];
}

function slipOf(
  client: Client,
  deposit: DirectDeposit,
  bank: BankAccount,
  entries: number,
  settles: LocalDate,
  checks: readonly SlipCheck[],
  file: string,
): ReleaseSlip {
  const isPay = deposit.kind === 'pay';
  return {
    title: `${isPay ? 'Direct deposit' : 'Prenotes'} of ${client.legalName}`,
    act: deposit.status === 'planned' ? 'release' : 'rehearsal',
    amount: isPay ? deposit.amount : null,
    figures: [
      { label: 'Client', value: `${client.legalName}, EIN ending ${client.ein.slice(-4)}` },
      { label: 'To', value: `${entries} ${entries === 1 ? 'account' : 'accounts'} of its people` },
      { label: 'From', value: `${bank.label}, ${bank.bankName}, account ending ${bank.accountTail}` },
      { label: 'Settles', value: showDate(settles) },
      { label: 'Reference', value: deposit.reference },
    ],
    leaves: isPay
      ? `${showDollars(deposit.amount)} leaves ${client.legalName}'s account for its people by ACH credits.`
      : 'No money moves. Each bank is asked whether it knows the account.',
    becomesImpossible: isPay
      ? 'Once the bank has the file it cannot be called back from here, and this payroll cannot be deposited a second time.'
      : 'Once the bank has the file it cannot be called back from here.',
    wayBack: isPay
      ? 'An entry that comes back shows with its reason; that person is then paid by check.'
      : 'An account that a bank does not know shows with the reason, and gets no money until it is corrected.',
    checks: [...checks],
    mayRelease: checks.every((check) => check.isPassed),
    file,
  };
}

async function find(manager: EntityManager, id: string): Promise<DirectDeposit> {
  const deposit = await manager.findOneBy(DirectDeposit, { id });
  if (!deposit) throw notFound('direct deposit');
  return deposit;
}

/** Pay leaves only for a payroll that is posted here. */
function postedHere(payroll: Payroll): Payroll {
  if (payroll.kind === 'brought-in') throw conflict('This payroll was paid elsewhere.');
  if (payroll.status !== 'posted') throw conflict('This payroll is not posted yet.');
  return payroll;
}
