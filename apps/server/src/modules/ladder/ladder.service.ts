import { Inject, Injectable } from '@nestjs/common';
import type { Rung } from '@zakat/contract/filings';
import { addBusinessDays } from '@zakat/core/calendar/business-days';
import { BANKING } from '@zakat/core/calendar/holidays';
import { addDays, date, showDate, yearOf, type LocalDate } from '@zakat/core/calendar/local-date';
import { achSendBy } from '@zakat/core/deposits/ach-days';
import { sum } from '@zakat/core/money/cents';
import type { EntityManager } from 'typeorm';
import { rawCents } from '../../database/cents-column.js';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { Client, Firm } from '../clients/entities.js';
import { toldApart } from '../clients/told-apart.js';
import { Clock } from '../clock/clock.js';
import { PayrollPays } from '../direct-deposits/payroll-pay.js';
import { FactStore } from '../facts/fact-store.js';
import { FilingForms } from '../filings/filing-forms.js';
import { Payroll } from '../payrolls/entities.js';
import { nextPayroll } from '../payrolls/next-payroll.js';
import { Deposits } from '../remittances/deposits.js';

/** How long before its check date a payroll that nobody has begun stands on the ladder. */
const DAYS_AHEAD = 14;
/** How long after its check date a payroll still waits for its direct deposit; then it was paid by check. */
const DAYS_BEHIND = 7;

/** Every obligation of the firm in the order of its send-by moment. */
@Injectable()
export class LadderService {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(Deposits) private readonly deposits: Deposits,
    @Inject(Clock) private readonly clock: Clock,
    @Inject(FactStore) private readonly facts: FactStore,
    @Inject(PayrollPays) private readonly pays: PayrollPays,
    @Inject(FilingForms) private readonly forms: FilingForms,
  ) {}

  rungs(actor: Actor): Promise<Rung[]> {
    return this.database.run(actor, async (manager) => {
      const today = await this.clock.today(manager);
      const clients = toldApart(await manager.find(Client));
      const rungs: Rung[] = [];
      for (const client of clients) {
        rungs.push(
          ...(await this.payrollRungs(manager, client, today)),
          ...(await this.payRungs(manager, client, today)),
          ...(await this.depositRungs(manager, client, today)),
          ...(await this.returnRungs(manager, client, today)),
        );
      }
      return rungs.sort((a, b) =>
        a.sendBy < b.sendBy ? -1 : a.sendBy > b.sendBy ? 1 : a.clientName < b.clientName ? -1 : 1,
      );
    });
  }

  private async payrollRungs(manager: EntityManager, client: Client, today: LocalDate): Promise<Rung[]> {
    const open = (await manager.find(Payroll, { where: { clientId: client.id } })).filter(
      (payroll) => payroll.status !== 'posted',
    );
    const expected = open.length === 0 ? await this.expectedPayroll(manager, client, today) : [];
    const begun = open.map((payroll): Rung => {
      const sendBy = addBusinessDays(date(payroll.checkDate), -1, BANKING);
      return {
        key: `payroll ${payroll.id}`,
        kind: 'payroll',
        clientId: client.id,
        clientName: client.legalName,
        title: `Payroll to ${showDate(date(payroll.periodEnd))}`,
        sendBy,
        due: payroll.checkDate,
        amount: null,
        standing: payroll.status,
        move: payroll.status === 'open' ? 'Preparer: enter and review' : 'Post it',
        isLate: sendBy < today,
        path: `/payrolls/${payroll.id}`,
      };
    });
    return [...begun, ...expected];
  }

  /** The client's next payroll, once its check date comes near and nobody has begun it. */
  private async expectedPayroll(manager: EntityManager, client: Client, today: LocalDate): Promise<Rung[]> {
    const next = await nextPayroll(manager, this.facts, client);
    if (!next || next.checkDate > addDays(today, DAYS_AHEAD)) return [];
    const sendBy = addBusinessDays(date(next.checkDate), -1, BANKING);
    return [
      {
        key: `payroll ${client.id} ${next.periodEnd}`,
        kind: 'payroll',
        clientId: client.id,
        clientName: client.legalName,
        title: `Payroll to ${showDate(date(next.periodEnd))}`,
        sendBy,
        due: next.checkDate,
        amount: null,
        standing: 'open',
        move: 'Preparer: start the payroll',
        isLate: sendBy < today,
        path: `/clients/${client.id}/payrolls`,
      },
    ];
  }

  /** Posted payrolls whose pay to accounts has not left yet. */
  private async payRungs(manager: EntityManager, client: Client, today: LocalDate): Promise<Rung[]> {
    const rows = (await manager.query(
      `SELECT p.id, d.status, d.amount FROM payroll p LEFT JOIN direct_deposit d ON d.payroll_id = p.id AND d.status IN ('planned', 'released', 'settled')
       WHERE p.client_id = $1 AND p.status = 'posted' AND p.kind NOT IN ('recorded', 'brought-in') AND p.check_date >= $2 AND (d.id IS NULL OR d.status = 'planned')
         AND EXISTS (SELECT 1 FROM paycheck c JOIN employee_fact f ON f.employee_id = c.employee_id AND f.kind = 'bank' WHERE c.payroll_id = p.id)`,
      [client.id, addDays(today, -DAYS_BEHIND)],
    )) as { id: string; status: 'planned' | null; amount: string | null }[];
    const rungs: Rung[] = [];
    const cushion = rows.length === 0 ? 0 : ((await manager.find(Firm))[0]?.cushionDays ?? 0);
    for (const row of rows) {
      const payroll = await manager.findOneByOrFail(Payroll, { id: row.id });
      const amount =
        row.amount === null
          ? sum((await this.pays.planned(manager, payroll)).credits.map((credit) => credit.amount))
          : rawCents(row.amount);
      if (amount === 0) continue;
      const { sendBy } = achSendBy(date(payroll.checkDate), cushion);
      rungs.push({
        key: `pay ${row.id}`,
        kind: 'payroll',
        clientId: client.id,
        clientName: client.legalName,
        title: `Direct deposit of ${showDate(date(payroll.checkDate))}`,
        sendBy,
        due: payroll.checkDate,
        amount,
        standing: row.status ?? 'open',
        move: row.status === 'planned' ? 'Reviewer: release' : 'Preparer: plan the direct deposit',
        isLate: sendBy < today,
        path: `/payrolls/${row.id}`,
      });
    }
    return rungs;
  }

  private async depositRungs(manager: EntityManager, client: Client, today: LocalDate): Promise<Rung[]> {
    const live = (await manager.query(
      `SELECT DISTINCT i.tax, i.liability_date, r.id, r.status FROM remittance_item i JOIN remittance r ON r.id = i.remittance_id WHERE i.client_id = $1 AND i.is_live`,
      [client.id],
    )) as {
      tax: string;
      liability_date: string;
      id: string;
      status: string;
    }[];
    return (await this.deposits.deposits(manager, client)).flatMap((deposit): Rung[] => {
      const own = live.find((row) =>
        deposit.liabilities.some((line) => line.tax === row.tax && line.liabilityDate === row.liability_date),
      );
      if (own?.status === 'released') return [];
      const moves: Readonly<Record<string, string>> = { planned: 'Reviewer: approve', approved: 'Reviewer: release' };
      return [
        {
          key: `deposit ${client.id} ${deposit.family} ${deposit.due ?? ''}`,
          kind: 'deposit',
          clientId: client.id,
          clientName: client.legalName,
          title: deposit.familyLabel,
          // Without a date it may be due any day: it stands where it is seen first.
          sendBy: deposit.sendBy ?? today,
          due: deposit.due ?? today,
          amount: deposit.owed,
          standing: deposit.question ? 'no date' : (own?.status ?? 'open'),
          move: deposit.question
            ? 'Preparer: say how often it is deposited'
            : (moves[own?.status ?? ''] ?? 'Preparer: plan the remittance'),
          isLate: deposit.isLate,
          path: own ? `/remittances/${own.id}` : `/clients/${client.id}/deposits`,
        },
      ];
    });
  }

  /** Returns of this year and the last whose period is over and that have not left. */
  private async returnRungs(manager: EntityManager, client: Client, today: LocalDate): Promise<Rung[]> {
    const forms = [
      ...(await this.forms.ofYear(manager, client, yearOf(today) - 1)),
      ...(await this.forms.ofYear(manager, client, yearOf(today))),
    ];
    const moves: Readonly<Record<string, string>> = {
      draft: 'Preparer: check',
      checked: 'Sign, then reviewer: release',
      rejected: 'Correct and send again',
    };
    return forms.flatMap((form): Rung[] => {
      const hasLeft = form.status === 'released' || form.status === 'received' || form.status === 'accepted';
      if (!form.isOver || !form.files || form.isElsewhere || hasLeft) return [];
      return [
        {
          key: `return ${client.id} ${form.title}`,
          kind: 'return',
          clientId: client.id,
          clientName: client.legalName,
          title: form.title,
          sendBy: form.due,
          due: form.due,
          amount: null,
          standing: form.status ?? 'open',
          move: moves[form.status ?? ''] ?? `Preparer: begin the ${form.noun}`,
          isLate: today > form.due,
          path: form.filingId
            ? `/filings/${form.filingId}`
            : `/clients/${client.id}/returns?kind=${form.kind}&period=${form.period}`,
        },
      ];
    });
  }
}
