import { Inject, Injectable } from '@nestjs/common';
import type { Rung } from '@zakat/contract/filings';
import { addBusinessDays } from '@zakat/core/calendar/business-days';
import { addDays, addMonths, date, showDate, type LocalDate } from '@zakat/core/calendar/local-date';
import { quarterOf } from '@zakat/core/calendar/quarter';
import { achSendBy, form941Due, formW2Due } from '@zakat/core/deposits/due';
import { sum } from '@zakat/core/money/cents';
import type { EntityManager } from 'typeorm';
import { rawCents } from '../../database/cents-column.js';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { formFamilyOf } from '../clients/form-family.js';
import { Client, Firm } from '../clients/entities.js';
import { toldApart } from '../clients/told-apart.js';
import { Clock } from '../clock/clock.js';
import { PayrollPays } from '../direct-deposits/payroll-pay.js';
import { FactStore } from '../facts/fact-store.js';
import { Filing } from '../filings/entities.js';
import { Payroll } from '../payrolls/entities.js';
import { nextPayroll } from '../payrolls/next-payroll.js';
import { Deposits } from '../remittances/deposits.js';
import { filedElsewhere } from '../take-overs/take-over-store.js';

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
          ...(await this.depositRungs(manager, client)),
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
      const sendBy = addBusinessDays(date(payroll.checkDate), -1, 'banking');
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
    const sendBy = addBusinessDays(date(next.checkDate), -1, 'banking');
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

  private async depositRungs(manager: EntityManager, client: Client): Promise<Rung[]> {
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
          key: `deposit ${client.id} ${deposit.family} ${deposit.due}`,
          kind: 'deposit',
          clientId: client.id,
          clientName: client.legalName,
          title: deposit.familyLabel,
          sendBy: deposit.sendBy,
          due: deposit.due,
          amount: deposit.owed,
          standing: own?.status ?? 'open',
          move: moves[own?.status ?? ''] ?? 'Preparer: plan the remittance',
          isLate: deposit.isLate,
          path: own ? `/remittances/${own.id}` : `/clients/${client.id}/deposits`,
        },
      ];
    });
  }

  private async returnRungs(manager: EntityManager, client: Client, today: LocalDate): Promise<Rung[]> {
    const filings = await manager.find(Filing, { where: { clientId: client.id } });
    const rungs: Rung[] = [];
    const last = quarterOf(addMonths(today, -3));
    const paid = (await manager.query(
      `SELECT extract(year FROM liability_date)::int AS year, extract(quarter FROM liability_date)::int AS quarter FROM ledger_entry
       WHERE client_id = $1 AND cause IN ('payroll', 'reversal') GROUP BY 1, 2 HAVING sum(CASE cause WHEN 'payroll' THEN 1 ELSE -1 END) > 0`,
      [client.id],
    )) as { year: number; quarter: 1 | 2 | 3 | 4 }[];
    const elsewhere = await filedElsewhere(manager, client.id);
    // Forms of other families are not prepared here; their own readiness line says so.
    const files941 = (await formFamilyOf(manager, this.facts, client, today)) === '941';
    for (const { year, quarter } of files941 ? paid : []) {
      const filing = filings.find(
        (candidate) => candidate.form === '941' && candidate.year === year && candidate.quarter === quarter,
      );
      const isOver = year < last.year || (year === last.year && quarter <= last.quarter);
      if (elsewhere.some((form) => form.year === year && form.quarter === quarter)) continue;
      if (!isOver || (filing && ['released', 'received', 'accepted'].includes(filing.status))) continue;
      rungs.push(
        this.returnRung(
          client,
          today,
          `Form 941, Q${quarter} ${year}`,
          'return',
          form941Due(year, quarter).due,
          filing,
          `/clients/${client.id}/returns?form=941&year=${year}&quarter=${quarter}`,
        ),
      );
    }
    for (const year of [...new Set(paid.map((row) => row.year))]) {
      const filing = filings.find((candidate) => candidate.form === 'W-2' && candidate.year === year);
      if (today <= `${year}-12-31` || (filing && ['released', 'received', 'accepted'].includes(filing.status)))
        continue;
      rungs.push(
        this.returnRung(
          client,
          today,
          `Forms W-2 and W-3, ${year}`,
          'wage-statements',
          formW2Due(year).due,
          filing,
          `/clients/${client.id}/returns?form=W-2&year=${year}`,
        ),
      );
    }
    return rungs;
  }

  private returnRung(
    client: Client,
    today: LocalDate,
    title: string,
    kind: Rung['kind'],
    due: LocalDate,
    filing: Filing | undefined,
    path: string,
  ): Rung {
    const moves: Readonly<Record<string, string>> = {
      draft: 'Preparer: check',
      checked: 'Sign, then reviewer: release',
      rejected: 'Correct and send again',
    };
    return {
      key: `${kind} ${client.id} ${title}`,
      kind,
      clientId: client.id,
      clientName: client.legalName,
      title,
      sendBy: due,
      due,
      amount: null,
      standing: filing?.status ?? 'open',
      move: moves[filing?.status ?? ''] ?? 'Preparer: begin the return',
      isLate: today > due,
      path: filing ? `/filings/${filing.id}` : path,
    };
  }
}
