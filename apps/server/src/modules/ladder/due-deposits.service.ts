import { Inject, Injectable } from '@nestjs/common';
import type {
  DoneOfMany,
  DueDeposit,
  DueDepositView,
  PaymentAtVersion,
  ScheduleDeposit,
} from '@zakat/contract/due-deposits';
import type { ReleaseSlip } from '@zakat/contract/remittances';
import { date, type LocalDate } from '@zakat/core/calendar/local-date';
import { earliestSettlement } from '@zakat/core/deposits/ach-days';
import { familyLabel, findFamily } from '@zakat/core/deposits/family';
import { ZERO, add, cents, showDollars, sum, type Cents } from '@zakat/core/money/cents';
import { lateEstimate } from '@zakat/core/penalties/late-estimate';
import type { EntityManager } from 'typeorm';
import { rawCents } from '../../database/cents-column.js';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { conflict, refuseField } from '../../http/refusal.js';
import { findClient } from '../clients/index.js';
import { Clock } from '../clock/index.js';
import { checksOfMany, outcome } from '../outbox/index.js';
import { Deposits, RemittancesService } from '../remittances/index.js';
import { Funding, TrustLedger } from '../trust/index.js';
import { LadderService } from './ladder.service.js';

const MOST = 2000;

interface Row {
  readonly client_id: string;
  readonly key: string;
  readonly title: string;
  readonly due: string | null;
  readonly send_by: string | null;
  readonly late_after: string | null;
  readonly amount: string;
  readonly standing: DueDeposit['status'];
  readonly move: string;
  readonly remittance_id: string | null;
  readonly version: number | null;
  readonly settles: string | null;
  readonly bank: string | null;
}

/** The deposits of every client that have not left: scheduled, approved and released together, each by itself. */
@Injectable()
export class DueDepositsService {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(LadderService) private readonly ladder: LadderService,
    @Inject(Deposits) private readonly deposits: Deposits,
    @Inject(RemittancesService) private readonly remittances: RemittancesService,
    @Inject(Clock) private readonly clock: Clock,
    @Inject(TrustLedger) private readonly trust: TrustLedger,
    @Inject(Funding) private readonly funding: Funding,
  ) {}

  async view(actor: Actor): Promise<DueDepositView> {
    const waiting = await this.ladder.freshen(actor);
    return this.database.run(actor, async (manager) => {
      const today = await this.clock.today(manager);
      const found = (await manager.query(
        `SELECT r.client_id, r.key, r.title, r.due, r.send_by, r.late_after, r.amount, r.standing, r.move, m.id AS remittance_id, m.version, m.settles,
           CASE WHEN b.id IS NULL THEN NULL ELSE b.label || ', ending ' || b.account_tail END AS bank
         FROM agenda_rung r LEFT JOIN remittance m ON r.path = '/remittances/' || m.id LEFT JOIN bank_account b ON b.id = m.bank_account_id
         WHERE r.kind = 'deposit' AND r.standing IN ('open', 'no date', 'planned', 'approved') ORDER BY coalesce(r.send_by, $1), r.client_id, r.key LIMIT ${MOST}`,
        [today],
      )) as Row[];
      const names = await this.ladder.namesOf(manager, found);
      const settles = earliestSettlement(today);
      const rows = found.map((row) => rowOf(row, names.get(row.client_id) ?? '', today, settles));
      return { rows, cash: cashOf(rows), waiting };
    });
  }

  /** Schedules each from the account that the client last paid from; one that is refused stops none of the others. */
  async schedule(actor: Actor, asked: readonly ScheduleDeposit[]): Promise<DoneOfMany[]> {
    const answers: DoneOfMany[] = [];
    for (const one of asked)
      answers.push(
        await outcome(`${one.clientId} ${one.family} ${one.due}`, familyLabel(one.family), () =>
          this.scheduleOne(actor, one),
        ),
      );
    return answers;
  }

  async approve(actor: Actor, asked: readonly PaymentAtVersion[]): Promise<DoneOfMany[]> {
    const answers: DoneOfMany[] = [];
    for (const { id, version } of asked)
      answers.push(await outcome(id, await this.nameOf(actor, id), () => this.remittances.approve(actor, id, version)));
    return answers;
  }

  async release(actor: Actor, asked: readonly PaymentAtVersion[]): Promise<DoneOfMany[]> {
    const answers: DoneOfMany[] = [];
    for (const { id, version } of asked)
      answers.push(await outcome(id, await this.nameOf(actor, id), () => this.remittances.release(actor, id, version)));
    return answers;
  }

  /** One slip for many: the rehearsal of each, added up; it may be released when each of them may. */
  async slip(actor: Actor, asked: readonly PaymentAtVersion[]): Promise<ReleaseSlip> {
    const slips = [];
    for (const { id } of asked) slips.push(await this.remittances.slip(actor, id));
    const [first] = slips;
    if (!first) throw refuseField('payments', 'No payment is ticked.', 'Tick at least one.');
    const amount = sum(slips.map(amountOf));
    const many = slips.length === 1 ? 'One payment' : `${slips.length} payments`;
    return {
      title: `${many} of ${showDollars(amount)}`,
      act: slips.every((slip) => slip.act === 'release') ? 'release' : 'rehearsal',
      amount,
      figures: slips.map((slip) => ({
        label: slip.title.slice(0, 200),
        value: `${showDollars(amountOf(slip))}, settles ${slip.figures.find(({ label }) => label === 'Settles')?.value ?? ''}`,
      })),
      leaves: `${showDollars(amount)} leaves the accounts of the clients by ACH credit, each payment by itself.`,
      becomesImpossible: first.becomesImpossible,
      wayBack: first.wayBack,
      checks: checksOfMany(slips, 'payment'),
      mayRelease: slips.length > 0 && slips.every((slip) => slip.mayRelease),
      file: '',
    };
  }

  private async scheduleOne(actor: Actor, { clientId, family, due, amount }: ScheduleDeposit): Promise<void> {
    const plan = await this.database.run(actor, async (manager) => {
      const client = await findClient(manager, clientId);
      const found = (await this.deposits.deposits(manager, client)).find(
        (deposit) => deposit.family === family && deposit.due === due && !deposit.isCredit,
      );
      if (!found || found.owed - found.underWay <= 0) throw conflict('Nothing of it is open any more.');
      if (found.owed !== amount)
        throw conflict(`It comes to ${showDollars(cents(found.owed))} now. Look again before it is scheduled.`);
      return {
        items: found.liabilities.map(({ tax, liabilityDate }) => ({ tax, liabilityDate })),
        bankAccountId: await this.usualAccount(manager, clientId),
        settles: found.settles,
      };
    });
    await this.remittances.plan(actor, clientId, plan);
  }

  /** The trust account where the client's taxes are collected; else the account that it last paid a tax from, or its first. */
  private async usualAccount(manager: EntityManager, clientId: string): Promise<string> {
    const trust = await this.trust.account(manager);
    if (trust && (await this.funding.terms(manager, clientId))(await this.clock.today(manager)) !== null)
      return trust.id;
    return lastUsed(manager, clientId);
  }

  private async nameOf(actor: Actor, id: string): Promise<string> {
    const rows = await this.database.run(
      actor,
      async (manager) =>
        (await manager.query(
          'SELECT m.family, c.legal_name AS client FROM remittance m JOIN client c ON c.id = m.client_id WHERE m.id = $1',
          [id],
        )) as { family: string; client: string }[],
    );
    const [row] = rows;
    return row ? `${familyLabel(row.family)} of ${row.client}` : 'A payment';
  }
}

/** The account that the client last paid a tax from; without one its first. */
async function lastUsed(manager: EntityManager, clientId: string): Promise<string> {
  const rows = (await manager.query(
    `SELECT b.id FROM bank_account b LEFT JOIN LATERAL (SELECT max(created_at) AS last FROM remittance m WHERE m.bank_account_id = b.id) u ON true
     WHERE b.client_id = $1 ORDER BY u.last DESC NULLS LAST, b.label LIMIT 1`,
    [clientId],
  )) as { id: string }[];
  const [row] = rows;
  if (!row) throw conflict('The client has no bank account to pay from.');
  return row.id;
}

function rowOf(row: Row, clientName: string, today: LocalDate, settles: LocalDate): DueDeposit {
  // deposit CLIENT FAMILY DUE, as the agenda names it.
  const family = row.key.split(' ')[2] ?? '';
  const amount = rawCents(row.amount);
  const isLate = row.late_after !== null && today > row.late_after;
  const found = findFamily(family);
  const late = isLate && row.due !== null && found ? lateEstimate(found, amount, date(row.due), settles) : null;
  return {
    key: row.key,
    clientId: row.client_id,
    clientName,
    family,
    title: row.title,
    due: row.due,
    sendBy: row.send_by,
    amount,
    status: row.standing,
    isLate,
    move: row.move,
    remittanceId: row.remittance_id,
    version: row.version,
    settles: row.settles,
    bankAccount: row.bank,
    penalty: late?.penalty ?? null,
  };
}

function cashOf(rows: readonly DueDeposit[]): DueDepositView['cash'] {
  const found = new Map<string, { clientName: string; bankAccount: string; settles: string; amount: Cents }>();
  for (const { clientName, bankAccount, settles, amount } of rows) {
    if (bankAccount === null || settles === null) continue;
    const key = `${settles} ${clientName} ${bankAccount}`;
    const before = found.get(key)?.amount ?? ZERO;
    found.set(key, { clientName, bankAccount, settles, amount: add(before, cents(amount)) });
  }
  return [...found.values()].sort((a, b) =>
    `${a.settles} ${a.clientName}`.localeCompare(`${b.settles} ${b.clientName}`),
  );
}

/** The slip of a tax payment names its amount; one without is no payment. */
function amountOf({ title, amount }: ReleaseSlip): Cents {
  if (amount === null) throw new Error(`the slip of ${title} has no amount`);
  return cents(amount);
}
