import { Inject, Injectable } from '@nestjs/common';
import type { VoidReversal } from '@zakat/contract/direct-deposits';
import { showDate } from '@zakat/core/calendar/local-date';
import { earliestSettlement } from '@zakat/core/deposits/ach-days';
import { sum } from '@zakat/core/money/cents';
import type { EntityManager } from 'typeorm';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { Secrets } from '../../database/secrets.js';
import { conflict, notFound } from '../../http/refusal.js';
import { Clock } from '../clock/index.js';
import { DirectDepositsService } from './direct-deposits.service.js';
import { DirectDeposit, DirectDepositEntry, LIVE, cameBackWords } from './entities.js';
import { reversibleOf } from './reversible.js';

/** Takes the pay of voided checks back from the accounts it went to, within the days in which the banks do that. */
@Injectable()
export class DepositReversals {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(DirectDepositsService) private readonly deposits: DirectDepositsService,
    @Inject(Secrets) private readonly secrets: Secrets,
    @Inject(Clock) private readonly clock: Clock,
  ) {}

  view(actor: Actor, voidId: string): Promise<VoidReversal> {
    return this.database.run(actor, async (manager) => {
      await findVoid(manager, voidId);
      return this.viewIn(manager, voidId);
    });
  }

  /** Plans the file: every credit at its whole amount, from the account that paid it. A second person releases it. */
  plan(actor: Actor, voidId: string): Promise<VoidReversal> {
    return this.database.run(actor, async (manager) => {
      const { client_id: clientId, status } = await findVoid(manager, voidId);
      if (status !== 'posted') throw conflict('This void is not posted: nothing of it is taken back yet.');
      const today = await this.clock.today(manager);
      const { entries, until, bankAccountId, settles: settled } = await reversibleOf(manager, voidId, today);
      if (until === null || bankAccountId === null || settled === null)
        throw conflict('Nothing of these checks went to an account, or it came back by itself.');
      if (today > until)
        throw conflict(
          `The bank took a reversal until ${showDate(until)}. Agree with the person how the net pay is paid back.`,
        );
      const earliest = earliestSettlement(today);
      await this.deposits.planFile(
        manager,
        actor,
        {
          clientId,
          kind: 'reversal',
          payrollId: null,
          voidId,
          bankAccountId,
          // What has not arrived yet cannot be taken back.
          settles: earliest < settled ? settled : earliest,
        },
        entries.map((entry) => ({
          account: {
            employeeId: entry.employeeId,
            label: entry.label,
            type: entry.type,
            routing: entry.routing,
            account: this.secrets.open(entry.accountCipher),
            tail: entry.accountTail,
            mark: entry.accountMark,
          },
          paycheckId: null,
          amount: entry.amount,
        })),
      );
      return this.viewIn(manager, voidId);
    });
  }

  private async viewIn(manager: EntityManager, voidId: string): Promise<VoidReversal> {
    const [file] = await manager.find(DirectDeposit, { where: { voidId }, order: { createdAt: 'DESC' }, take: 1 });
    const today = await this.clock.today(manager);
    const { entries: open, tooLate, until } = await reversibleOf(manager, voidId, today);
    const isLive = file !== undefined && LIVE.includes(file.status);
    const entries = isLive
      ? await manager.find(DirectDepositEntry, { where: { directDepositId: file.id }, order: { sequence: 'ASC' } })
      : open;
    const late = new Set(tooLate);
    const names = (await manager.query(
      `SELECT id, concat_ws(' ', first_name, last_name) AS name FROM employee WHERE id = ANY($1)`,
      [[...entries, ...tooLate].map((entry) => entry.employeeId)],
    )) as { id: string; name: string }[];
    return {
      entries: [...entries, ...tooLate].map((entry) => ({
        employeeId: entry.employeeId,
        name: names.find(({ id }) => id === entry.employeeId)?.name ?? '',
        label: entry.label,
        tail: entry.accountTail,
        amount: entry.amount,
        cameBack: late.has(entry) ? 'the bank’s days for it have passed' : cameBackWords(entry),
      })),
      amount: sum(entries.map(({ amount }) => amount)),
      until,
      mayPlan: !isLive && until !== null && today <= until,
      file: file ? await this.deposits.rowIn(manager, file) : null,
    };
  }
}

async function findVoid(manager: EntityManager, id: string): Promise<{ client_id: string; status: string }> {
  const [row] = (await manager.query('SELECT client_id, status FROM check_void WHERE id = $1', [id])) as {
    client_id: string;
    status: string;
  }[];
  if (!row) throw notFound('void');
  return row;
}
