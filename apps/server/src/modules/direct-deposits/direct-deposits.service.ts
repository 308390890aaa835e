import { Inject, Injectable } from '@nestjs/common';
import type { DirectDepositRow, PayrollPay, PrenoteView } from '@zakat/contract/direct-deposits';
import type { ReleaseSlip, SlipCheck } from '@zakat/contract/remittances';
import { onOrBefore } from '@zakat/core/calendar/business-days';
import { BANKING } from '@zakat/core/calendar/holidays';
import { date, showDate } from '@zakat/core/calendar/local-date';
import { earliestSettlement } from '@zakat/core/deposits/ach-days';
import { traceNumber } from '@zakat/core/formats/nacha/file';
import { ZERO, sum, type Cents } from '@zakat/core/money/cents';
import { randomUUID } from 'node:crypto';
import { In, type EntityManager } from 'typeorm';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { Secrets } from '../../database/secrets.js';
import { conflict, notFound } from '../../http/refusal.js';
import { WorkQueue } from '../../queue/work-queue.js';
import { Executor } from '../../state-machines/executor.js';
import { DIRECT_DEPOSIT_MACHINE } from '../../state-machines/machine.js';
import { Audit } from '../audit/index.js';
import { BankAccount, accountOfSchedule, findClient, findPayingAccount } from '../clients/index.js';
import { Clock } from '../clock/index.js';
import { Employee, fullName } from '../employees/index.js';
import { FactStore } from '../facts/index.js';
import { Outbox, refuseFailed, Releases } from '../outbox/index.js';
import { findPayroll, type Payroll } from '../payrolls/index.js';
import { TrustPayments } from '../trust/index.js';
import { DepositFiles } from './deposit-file.js';
import { slipChecks, slipOf } from './deposit-slip.js';
import { DirectDeposit, DirectDepositEntry, LIVE } from './entities.js';
import { PayAccounts, type OwnAccount } from './pay-accounts.js';
import { PayrollPays } from './payroll-pay.js';
import { reversibleOf } from './reversible.js';

interface NewCredit {
  readonly account: Pick<OwnAccount, 'employeeId' | 'label' | 'type' | 'routing' | 'account' | 'tail' | 'mark'>;
  readonly paycheckId: string | null;
  readonly amount: Cents;
}

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
    @Inject(Releases) private readonly releases: Releases,
    @Inject(Outbox) private readonly outbox: Outbox,
    @Inject(Secrets) private readonly secrets: Secrets,
    @Inject(Clock) private readonly clock: Clock,
    @Inject(WorkQueue) private readonly queue: WorkQueue,
    @Inject(TrustPayments) private readonly trust: TrustPayments,
    @Inject(FactStore) private readonly facts: FactStore,
  ) {}

  payOf(actor: Actor, payrollId: string): Promise<PayrollPay> {
    return this.database.run(actor, async (manager) =>
      this.payIn(manager, postedHere(await findPayroll(manager, payrollId))),
    );
  }

  /** The same inside another piece of work. */
  payOfIn(manager: EntityManager, payroll: Payroll): Promise<PayrollPay> {
    return this.payIn(manager, payroll);
  }

  planPay(actor: Actor, payrollId: string, bankAccountId: string): Promise<PayrollPay> {
    return this.database.run(actor, async (manager) => {
      const payroll = postedHere(await findPayroll(manager, payrollId));
      const { credits } = await this.pays.planned(manager, payroll);
      if (credits.length === 0)
        throw conflict('Nobody of this payroll has an account that may receive pay. Pay by check, or send prenotes.');
      const earliest = earliestSettlement(await this.clock.today(manager));
      const wanted = onOrBefore(date(payroll.checkDate), BANKING);
      await this.planFile(
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

  /** Plans a file that sends what came back, from the account that it came back to, to the accounts that the people have now. */
  planAgain(actor: Actor, payrollId: string): Promise<PayrollPay> {
    return this.database.run(actor, async (manager) => {
      const payroll = postedHere(await findPayroll(manager, payrollId));
      await manager.query('SELECT id FROM payroll WHERE id = $1 FOR UPDATE', [payrollId]);
      const files = await liveFiles(manager, payrollId);
      const { credits } = await this.pays.cameBack(manager, payroll, files);
      const first = files.find(({ againOf }) => againOf === null);
      if (!first || credits.length === 0)
        throw conflict(
          'Nothing that came back can be sent again: enter the account that the person has now, or make out a check.',
        );
      if (files.some(({ againOf, status }) => againOf !== null && status === 'planned'))
        throw conflict('A file that sends again what came back waits already. Release it, or withdraw it.');
      await this.planFile(
        manager,
        actor,
        {
          clientId: payroll.clientId,
          kind: 'pay',
          payrollId,
          // The money came back there.
          bankAccountId: first.bankAccountId,
          settles: earliestSettlement(await this.clock.today(manager)),
          againOf: first.id,
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
      await this.planFile(
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
      await this.trust.hold(manager, await find(manager, id));
      const { deposit, slip, content } = await this.rehearse(manager, actor, id);
      if (deposit.status === 'planned') refuseFailed(slip);
      await this.releases.release(manager, actor, DIRECT_DEPOSIT_MACHINE, {
        id,
        version,
        clientId: deposit.clientId,
        kind: 'pay-file',
        receiver: 'bank',
        documentKind: 'pay-file',
        attempt: 1,
        name: `${deposit.reference}.ach`,
        mediaType: 'text/plain',
        content: Buffer.from(content, 'ascii'),
        detail: { amount: deposit.amount, settles: deposit.settles },
      });
      if (deposit.kind !== 'reversal') await this.trust.leaves(manager, actor, 'net-pay', deposit);
      return this.rowIn(manager, await find(manager, id));
    });
    await this.queue.wake();
    return row;
  }

  /** A file with its entries, inside another piece of work. */
  async planFile(
    manager: EntityManager,
    actor: Actor,
    given: Pick<DirectDeposit, 'clientId' | 'kind' | 'payrollId' | 'bankAccountId' | 'settles'> &
      Partial<Pick<DirectDeposit, 'voidId' | 'againOf'>>,
    credits: readonly NewCredit[],
  ): Promise<void> {
    const bank = await findPayingAccount(manager, given.clientId, given.bankAccountId);
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
    const standing = files.filter((file) => LIVE.includes(file.status));
    const live = standing.find(({ againOf }) => againOf === null);
    const people = live
      ? await this.pays.inFiles(manager, payroll, standing)
      : (await this.pays.planned(manager, payroll)).people;
    const last = live ?? files.find(({ againOf }) => againOf === null);
    const checks = sum(people.map((person) => person.check as Cents));
    return {
      people,
      deposits: sum(people.map((person) => person.net as Cents)) - checks,
      checks,
      file: last ? await this.rowIn(manager, last) : null,
      payFrom: await accountOfSchedule(manager, this.facts, payroll),
      cameBack: live ? (await this.pays.cameBack(manager, payroll, standing)).people : [],
      again: await Promise.all(
        files.filter(({ againOf }) => againOf !== null).map((file) => this.rowIn(manager, file)),
      ),
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
    const checks = [
      ...slipChecks(deposit, actor, {
        isCurrent,
        file,
        entries: entries.length,
        today: await this.clock.today(manager),
        isOwn: actor.userId === deposit.preparedBy && (await this.executor.requiresSecondPerson(manager)),
      }),
      ...(deposit.status === 'planned' ? await this.moneyChecks(manager, bank, deposit) : []),
    ];
    return {
      deposit,
      content: file.content,
      slip: slipOf(client, deposit, bank, entries.length, settles, checks, file.shown),
    };
  }

  /** Whether the entries are still what would be planned now: accounts change, prenotes come back. */
  private async isCurrent(
    manager: EntityManager,
    deposit: DirectDeposit,
    entries: readonly DirectDepositEntry[],
  ): Promise<boolean> {
    const now = await this.wouldBe(manager, deposit);
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

  /** Whether the money may leave; of a reversal, whether the bank still takes it. */
  private async moneyChecks(manager: EntityManager, bank: BankAccount, deposit: DirectDeposit): Promise<SlipCheck[]> {
    if (deposit.voidId === null) return this.trust.checks(manager, bank, deposit);
    const today = await this.clock.today(manager);
    const { until } = await reversibleOf(manager, deposit.voidId, today);
    const isPassed = until !== null && today <= until;
    return [
      {
        label: 'The bank still takes a reversal',
        isPassed,
        says:
          until === null
            ? 'Nothing of these checks stands at an account.'
            : `Until ${showDate(until)}, five banking days after the credits settle.`,
      },
    ];
  }

  private async wouldBe(
    manager: EntityManager,
    deposit: DirectDeposit,
  ): Promise<readonly { readonly account: { readonly mark: Buffer }; readonly amount: Cents }[]> {
    if (deposit.voidId !== null) {
      const { entries } = await reversibleOf(manager, deposit.voidId, await this.clock.today(manager));
      return entries.map(({ accountMark, amount }) => ({ account: { mark: accountMark }, amount }));
    }
    if (deposit.payrollId !== null && deposit.againOf !== null)
      return (
        await this.pays.cameBack(
          manager,
          await findPayroll(manager, deposit.payrollId),
          await liveFiles(manager, deposit.payrollId),
          deposit.id,
        )
      ).credits;
    if (deposit.payrollId !== null)
      return (await this.pays.planned(manager, await findPayroll(manager, deposit.payrollId))).credits;
    return (await this.accountsOf(manager, deposit.clientId))
      .filter(({ account }) => account.prenote === 'wanted')
      .map(({ account }) => ({ account, amount: ZERO }));
  }

  async rowIn(manager: EntityManager, deposit: DirectDeposit): Promise<DirectDepositRow> {
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

/** The files of a payroll's pay that stand, the first and what sends again. */
const liveFiles = (manager: EntityManager, payrollId: string): Promise<DirectDeposit[]> =>
  manager.find(DirectDeposit, { where: { payrollId, status: In(LIVE) }, order: { createdAt: 'DESC' } });

async function find(manager: EntityManager, id: string): Promise<DirectDeposit> {
  const deposit = await manager.findOneBy(DirectDeposit, { id });
  if (!deposit) throw notFound('direct deposit');
  return deposit;
}

/** Pay leaves only for a payroll that is posted here. */
function postedHere(payroll: Payroll): Payroll {
  if (payroll.kind === 'brought-in' || payroll.kind === 'recorded') throw conflict('This payroll was paid elsewhere.');
  if (payroll.kind === 'void') throw conflict('This is a void: nobody is paid by it.');
  if (payroll.status !== 'posted') throw conflict('This payroll is not posted yet.');
  return payroll;
}
