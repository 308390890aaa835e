import { Inject, Injectable } from '@nestjs/common';
import type { AccountChangeView, DecideAccountChange } from '@zakat/contract/direct-deposits';
import { addBusinessDays } from '@zakat/core/calendar/business-days';
import { BANKING } from '@zakat/core/calendar/holidays';
import { date, type LocalDate } from '@zakat/core/calendar/local-date';
import { changeWords, DAYS_TO_CORRECT, readChange } from '@zakat/core/direct-deposit/change-notice';
import { text } from '@zakat/core/facts/fact-kind';
import { personOnDay } from '@zakat/core/facts/on-day';
import { randomUUID } from 'node:crypto';
import type { EntityManager } from 'typeorm';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { Secrets } from '../../database/secrets.js';
import { conflict, notFound, refuseField } from '../../http/refusal.js';
import { Executor } from '../../state-machines/executor.js';
import { ACCOUNT_CHANGE_MACHINE } from '../../state-machines/machine.js';
import { Audit } from '../audit/index.js';
import { Clock } from '../clock/index.js';
import { FactStore } from '../facts/index.js';
import type { BankAnswer } from '../remittances/index.js';
import { type DirectDeposit, DirectDepositEntry } from './entities.js';

interface Stored {
  readonly id: string;
  readonly client_id: string;
  readonly employee_id: string;
  readonly label: string;
  readonly account_tail: string;
  readonly code: string;
  readonly message: string;
  readonly data_cipher: Buffer;
  readonly received_on: LocalDate;
  readonly status: 'open' | 'applied' | 'declined';
  readonly version: number;
  readonly reason: string | null;
  readonly name: string;
}

/** Notifications of change: kept as they come, and put into the record when somebody says so. */
@Injectable()
export class AccountChanges {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(Executor) private readonly executor: Executor,
    @Inject(Audit) private readonly audit: Audit,
    @Inject(Clock) private readonly clock: Clock,
    @Inject(Secrets) private readonly secrets: Secrets,
    @Inject(FactStore) private readonly facts: FactStore,
  ) {}

  /** Keeps what a bank says, once, however often it says it, and with how many paydays. */
  async keep(
    manager: EntityManager,
    actor: Actor,
    deposit: DirectDeposit,
    said: NonNullable<BankAnswer['entries']>[number],
  ): Promise<void> {
    const entry = await manager.findOneBy(DirectDepositEntry, { directDepositId: deposit.id, trace: said.trace });
    if (!entry) return;
    const [kept] = (await manager.query(
      `INSERT INTO account_change (id, firm_id, client_id, employee_id, direct_deposit_id, trace, label, account_tail, code, message, data_cipher, received_on, created_at)
       VALUES ($1,$2,$3,$4,$5,$6,$7,$8,$9,$10,$11,$12,$13) ON CONFLICT DO NOTHING RETURNING id`,
      [
        randomUUID(),
        actor.firmId,
        deposit.clientId,
        entry.employeeId,
        deposit.id,
        said.trace,
        entry.label,
        entry.accountTail,
        said.code,
        said.message,
        this.secrets.seal(said.corrected ?? ''),
        await this.clock.today(manager),
        await this.clock.now(manager),
      ],
    )) as { id: string }[];
    if (kept)
      await this.audit.record(manager, actor, 'direct-deposit.account-change', 'direct deposit', deposit.id, {
        trace: said.trace,
        reason: `${said.code} ${said.message}`,
      });
  }

  list(actor: Actor, clientId: string): Promise<AccountChangeView[]> {
    return this.database.run(actor, (manager) => this.listIn(manager, clientId));
  }

  /** Puts a correction into the record from today, as an account that the bank knows; or leaves it, with a reason. */
  decide(actor: Actor, id: string, { act, version, reason }: DecideAccountChange): Promise<AccountChangeView[]> {
    return this.database.run(actor, async (manager) => {
      await manager.query('SELECT id FROM account_change WHERE id = $1 FOR UPDATE', [id]);
      const [row] = (await manager.query(
        `SELECT a.*, e.first_name || ' ' || e.last_name AS name FROM account_change a JOIN employee e ON e.id = a.employee_id WHERE a.id = $1`,
        [id],
      )) as Stored[];
      if (!row) throw notFound('correction');
      const today = await this.clock.today(manager);
      if (act === 'decline' && reason.trim() === '')
        throw refuseField('reason', 'The reason is missing.', 'Say why the account stays as it is.');
      await this.executor.apply(manager, actor, ACCOUNT_CHANGE_MACHINE, {
        id,
        act,
        version,
        set: { decided_on: today, ...(act === 'decline' ? { reason: reason.trim() } : {}) },
        detail: { name: row.name, account: row.account_tail },
      });
      if (act === 'apply') await this.correct(manager, actor, row, today);
      return this.listIn(manager, row.client_id);
    });
  }

  private async correct(manager: EntityManager, actor: Actor, row: Stored, today: LocalDate): Promise<void> {
    const change = readChange(row.code, this.secrets.open(row.data_cipher));
    if (!change)
      throw conflict('What the bank says is not understood here. Ask the employee, and enter the account by hand.');
    const facts = (await this.facts.ofPeople(manager, [row.employee_id])).get(row.employee_id) ?? [];
    const fact = personOnDay(facts, today).banks.find(
      ({ value }) => text(value, 'label') === row.label && text(value, 'accountTail') === row.account_tail,
    );
    if (!fact)
      throw conflict(`The account ${row.label} was changed since. Look at it, and decline what the bank said.`);
    const { accountSealed: _sealed, accountTail: _tail, ...value } = fact.value;
    await this.facts.addToPeople(manager, actor, [
      {
        employeeId: row.employee_id,
        kind: 'bank',
        from: today,
        value: {
          ...value,
          account: change.account ?? this.facts.open(fact.value, 'account'),
          ...(change.routing === undefined ? {} : { routing: change.routing }),
          ...(change.type === undefined ? {} : { type: change.type }),
          // The bank itself has said that it knows the account.
          prenote: 'confirmed',
        },
      },
    ]);
  }

  private async listIn(manager: EntityManager, clientId: string): Promise<AccountChangeView[]> {
    const rows = (await manager.query(
      `SELECT a.*, e.first_name || ' ' || e.last_name AS name FROM account_change a JOIN employee e ON e.id = a.employee_id
       WHERE a.client_id = $1 ORDER BY a.status = 'open' DESC, a.created_at DESC LIMIT 50`,
      [clientId],
    )) as Stored[];
    return rows.map((row) => {
      const change = readChange(row.code, this.secrets.open(row.data_cipher));
      return {
        id: row.id,
        employeeId: row.employee_id,
        name: row.name,
        account: `${row.label}, ending ${row.account_tail}`,
        says: `${row.code} ${row.message}`,
        correction: change ? changeWords(change) : null,
        receivedOn: row.received_on,
        correctBy: addBusinessDays(date(row.received_on), DAYS_TO_CORRECT, BANKING),
        status: row.status,
        reason: row.reason,
        version: row.version,
      };
    });
  }
}
