import { Inject, Injectable } from '@nestjs/common';
import type { AskEnrollment, EnrollmentAct, EnrollmentStatus, EnrollmentsView } from '@zakat/contract/enrollments';
import { date, daysBetween, type LocalDate } from '@zakat/core/calendar/local-date';
import { isPin } from '@zakat/core/formats/agency-debit/debits';
import { agencyName } from '@zakat/core/tax-registry/registry';
import { randomUUID } from 'node:crypto';
import type { EntityManager } from 'typeorm';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { Secrets } from '../../database/secrets.js';
import { dayFrom } from '../../http/day.js';
import { notFound, refuseField } from '../../http/refusal.js';
import { Executor } from '../../state-machines/executor.js';
import { ENROLLMENT_MACHINE } from '../../state-machines/machine.js';
import { Audit } from '../audit/index.js';
import { accountWords, BankAccount, findClient } from '../clients/index.js';
import { Clock } from '../clock/index.js';

interface Stored {
  readonly id: string;
  readonly client_id: string;
  readonly agency: string;
  readonly bank_account_id: string;
  readonly status: EnrollmentStatus;
  readonly asked_on: LocalDate;
  readonly answered_on: LocalDate | null;
  readonly ended_on: LocalDate | null;
  readonly pin_cipher: Buffer | null;
  readonly reason: string | null;
  readonly version: number;
}

/** Which agencies take payments from a client's account themselves: asked, waited for, given with a PIN, ended. */
@Injectable()
export class Enrollments {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(Executor) private readonly executor: Executor,
    @Inject(Audit) private readonly audit: Audit,
    @Inject(Clock) private readonly clock: Clock,
    @Inject(Secrets) private readonly secrets: Secrets,
  ) {}

  view(actor: Actor, clientId: string): Promise<EnrollmentsView> {
    return this.database.run(actor, (manager) => this.viewIn(manager, clientId));
  }

  ask(actor: Actor, clientId: string, input: AskEnrollment): Promise<EnrollmentsView> {
    const askedOn = dayFrom(input.askedOn, 'askedOn');
    return this.database.run(actor, async (manager) => {
      await findClient(manager, clientId);
      await this.refuseFuture(manager, askedOn, 'askedOn');
      const bank = await manager.findOneBy(BankAccount, { id: input.bankAccountId });
      if (bank?.clientId !== clientId)
        throw refuseField(
          'bankAccountId',
          'This bank account is not one of the client.',
          'Choose one of the client’s own accounts.',
        );
      if (!(await agenciesThatDebit(manager)).includes(input.agency))
        throw refuseField(
          'agency',
          `Nobody has said under which number ${agencyName(input.agency)} takes debits from the firm.`,
          'An administrator enters the filer number under Firm, Agency payments.',
        );
      const id = randomUUID();
      await manager.query(
        `INSERT INTO debit_enrollment (id, firm_id, client_id, agency, bank_account_id, prepared_by, asked_on, created_at) VALUES ($1,$2,$3,$4,$5,$6,$7,$8)`,
        [id, actor.firmId, clientId, input.agency, bank.id, actor.userId, askedOn, await this.clock.now(manager)],
      );
      await this.audit.record(manager, actor, 'enrollment.ask', 'client', clientId, {
        agency: input.agency,
        account: bank.accountTail,
        askedOn,
      });
      return this.viewIn(manager, clientId);
    });
  }

  act(actor: Actor, id: string, { act, version, on, pin, reason }: EnrollmentAct): Promise<EnrollmentsView> {
    const day = dayFrom(on, 'on');
    return this.database.run(actor, async (manager) => {
      const [row] = (await manager.query('SELECT * FROM debit_enrollment WHERE id = $1 FOR UPDATE', [id])) as Stored[];
      if (!row) throw notFound('enrollment');
      await this.refuseFuture(manager, day, 'on');
      if (day < (row.answered_on ?? row.asked_on))
        throw refuseField('on', 'This is before it was asked for or given.', 'Give a day after that.');
      if (act === 'enroll' && !isPin(pin.trim()))
        throw refuseField('pin', 'This is not a PIN.', 'Give the four to eight digits of the agency’s letter.');
      if (act === 'refuse' && reason.trim() === '')
        throw refuseField('reason', 'The reason is missing.', 'Give what the agency said.');
      await this.executor.apply(manager, actor, ENROLLMENT_MACHINE, {
        id,
        act,
        version,
        set:
          act === 'enroll'
            ? { answered_on: day, pin_cipher: this.secrets.seal(pin.trim()) }
            : act === 'refuse'
              ? { answered_on: day, reason: reason.trim() }
              : { ended_on: day, pin_cipher: null },
        detail: { agency: row.agency, day, ...(act === 'refuse' ? { reason: reason.trim() } : {}) },
      });
      return this.viewIn(manager, row.client_id);
    });
  }

  /** The PIN under which an agency debits this account of the client; null where it is not enrolled. */
  async pinOf(manager: EntityManager, clientId: string, agency: string, bankAccountId: string): Promise<string | null> {
    const [row] = (await manager.query(
      `SELECT pin_cipher FROM debit_enrollment WHERE client_id = $1 AND agency = $2 AND bank_account_id = $3 AND status = 'enrolled'`,
      [clientId, agency, bankAccountId],
    )) as Pick<Stored, 'pin_cipher'>[];
    return row?.pin_cipher ? this.secrets.open(row.pin_cipher) : null;
  }

  private async refuseFuture(manager: EntityManager, day: LocalDate, field: string): Promise<void> {
    if (day > (await this.clock.today(manager)))
      throw refuseField(field, 'This day is still to come.', 'Give the day on which it was.');
  }

  private async viewIn(manager: EntityManager, clientId: string): Promise<EnrollmentsView> {
    const rows = (await manager.query(
      'SELECT * FROM debit_enrollment WHERE client_id = $1 ORDER BY agency, created_at DESC',
      [clientId],
    )) as Stored[];
    const banks = await manager.find(BankAccount, { where: { clientId } });
    const today = await this.clock.today(manager);
    return {
      enrollments: rows.map((row) => {
        const bank = banks.find(({ id }) => id === row.bank_account_id);
        return {
          id: row.id,
          agency: row.agency,
          agencyName: agencyName(row.agency),
          bankAccountId: row.bank_account_id,
          bankAccount: bank ? accountWords(bank) : '',
          status: row.status,
          askedOn: row.asked_on,
          answeredOn: row.answered_on,
          endedOn: row.ended_on,
          daysWaited: row.status === 'asked' ? daysBetween(date(row.asked_on), today) : null,
          reason: row.reason,
          version: row.version,
        };
      }),
      agencies: (await agenciesThatDebit(manager)).map((agency) => ({ agency, agencyName: agencyName(agency) })),
    };
  }
}

/** Agencies that know the firm as one that sends them debits. */
async function agenciesThatDebit(manager: EntityManager): Promise<string[]> {
  const rows = (await manager.query(`SELECT agency FROM agency_payee WHERE filer_number <> '' ORDER BY agency`)) as {
    agency: string;
  }[];
  return rows.map(({ agency }) => agency);
}
