import { Inject, Injectable } from '@nestjs/common';
import type { Rung } from '@zakat/contract/filings';
import { addBusinessDays } from '@zakat/core/calendar/business-days';
import { BANKING } from '@zakat/core/calendar/holidays';
import { addDays, date, showDate, type LocalDate } from '@zakat/core/calendar/local-date';
import { achSendBy } from '@zakat/core/deposits/ach-days';
import { kindOf } from '@zakat/core/filings/registry';
import { DAYS_TO_CORRECT } from '@zakat/core/direct-deposit/change-notice';
import { sum, type Cents } from '@zakat/core/money/cents';
import { agencyName } from '@zakat/core/tax-registry/registry';
import type { EntityManager } from 'typeorm';
import { rawCents } from '../../database/cents-column.js';
import { type Client, Firm } from '../clients/index.js';
import { Collections } from '../collections/index.js';
import { PayrollPays } from '../direct-deposits/index.js';
import { FactStore } from '../facts/index.js';
import { FilingForms } from '../filings/index.js';
import { GarnishmentPayments } from '../garnishment-payments/index.js';
import { nextPayroll, Payroll, scheduleNames } from '../payrolls/index.js';
import { Deposits } from '../remittances/index.js';

/** How long before its check date a payroll that nobody has begun stands on the ladder. */
const DAYS_AHEAD = 14;
/** How long after its check date a payroll still waits for its direct deposit; then it was paid by check. */
const DAYS_BEHIND = 7;

/** How long an agency takes to mail the PIN of an enrollment (common practice). */
const DAYS_TO_ENROLL = 15;

/** A rung as it is kept: what depends on the day it is looked at is left to the days it names. */
export interface KeptRung extends Pick<Rung, 'key' | 'kind' | 'title' | 'standing' | 'move' | 'path'> {
  /** Null: it may be due any day. */
  readonly sendBy: LocalDate | null;
  readonly due: LocalDate | null;
  readonly amount: Cents | null;
  readonly shownFrom: LocalDate | null;
  readonly shownUntil: LocalDate | null;
  readonly lateAfter: LocalDate | null;
}
const ALWAYS = { shownFrom: null, shownUntil: null } as const;

const payrollTitle = (schedule: string, periodEnd: string): string =>
  `${schedule === '' ? 'Payroll' : `Payroll ${schedule}`} to ${showDate(date(periodEnd))}`;

/** Works out every obligation of one client from its records. */
@Injectable()
export class AgendaRungs {
  constructor(
    @Inject(Deposits) private readonly deposits: Deposits,
    @Inject(FactStore) private readonly facts: FactStore,
    @Inject(PayrollPays) private readonly pays: PayrollPays,
    @Inject(FilingForms) private readonly forms: FilingForms,
    @Inject(Collections) private readonly collections: Collections,
    @Inject(GarnishmentPayments) private readonly garnishments: GarnishmentPayments,
  ) {}

  async of(manager: EntityManager, client: Client): Promise<KeptRung[]> {
    const cushion = (await manager.find(Firm))[0]?.cushionDays ?? 0;
    return [
      ...(await this.payrolls(manager, client)),
      ...(await this.pay(manager, client, cushion)),
      ...(await this.collecting(manager, client)),
      ...(await this.owed(manager, client)),
      ...(await this.garnished(manager, client)),
      ...(await this.returns(manager, client)),
      ...(await this.notices(manager, client)),
      ...(await this.enrollments(manager, client)),
      ...(await this.accountChanges(manager, client)),
    ];
  }

  /** Money of the client that is to be collected before it is paid, and debits that came back. */
  private async collecting(manager: EntityManager, client: Client): Promise<KeptRung[]> {
    const rows = (await manager.query(
      `SELECT k.id, k.amount, k.settles, k.status FROM collection k WHERE k.client_id = $1 AND k.kind = 'debit'
         AND (k.status = 'planned' OR k.status = 'returned' AND NOT EXISTS (SELECT 1 FROM collection r WHERE r.retry_of = k.id) AND NOT EXISTS (SELECT 1 FROM collection r WHERE r.client_id = k.client_id AND r.created_at > k.created_at))`,
      [client.id],
    )) as { id: string; amount: string; settles: LocalDate; status: 'planned' | 'returned' }[];
    const own = rows.map(({ id, amount, settles, status }): KeptRung => {
      const sendBy = status === 'planned' ? addBusinessDays(date(settles), -1, BANKING) : null;
      return {
        ...ALWAYS,
        key: `collection ${id}`,
        kind: 'collection',
        title: status === 'planned' ? 'Collection of funds' : 'Collection that came back',
        sendBy,
        due: settles,
        amount: rawCents(amount),
        standing: status,
        move: status === 'planned' ? 'Reviewer: release the debit' : 'Decide how it is collected',
        lateAfter: sendBy ?? settles,
        path: `/collections/${id}`,
      };
    });
    const next = await this.collections.nextIn(manager, client.id);
    // Fees alone wait for the next payroll; an advance does not.
    const isHurried = next !== null && (next.wanted !== null || next.advance > 0);
    if (!next || !isHurried || rows.some(({ status }) => status === 'returned')) return own;
    const day = next.wanted ?? next.settles;
    const sendBy = addBusinessDays(day, -1, BANKING);
    return [
      ...own,
      {
        ...ALWAYS,
        key: `collection ${client.id}`,
        kind: 'collection',
        title: 'Collection of funds',
        sendBy,
        due: day,
        amount: next.amount,
        standing: 'open',
        move: 'Preparer: schedule the debit',
        lateAfter: sendBy,
        path: `/clients/${client.id}/funds`,
      },
    ];
  }

  /** Letters of the agencies that are not answered yet, by the last day to answer. */
  private async notices(manager: EntityManager, client: Client): Promise<KeptRung[]> {
    const rows = (await manager.query(
      `SELECT id, agency, number, respond_by FROM agency_notice WHERE client_id = $1 AND status = 'open'`,
      [client.id],
    )) as { id: string; agency: string; number: string; respond_by: LocalDate | null }[];
    return rows.map(({ id, agency, number, respond_by: respondBy }) => ({
      ...ALWAYS,
      key: `notice ${id}`,
      kind: 'notice',
      title: `Notice ${number}, ${agencyName(agency)}`,
      sendBy: respondBy,
      due: respondBy,
      amount: null,
      standing: 'open',
      move: 'Preparer: answer the notice',
      lateAfter: respondBy,
      path: `/clients/${client.id}/returns#notices`,
    }));
  }

  /** Enrollments that an agency has not answered in the time it takes. */
  private async enrollments(manager: EntityManager, client: Client): Promise<KeptRung[]> {
    const rows = (await manager.query(
      `SELECT id, agency, asked_on FROM debit_enrollment WHERE client_id = $1 AND status = 'asked'`,
      [client.id],
    )) as { id: string; agency: string; asked_on: LocalDate }[];
    return rows.map(({ id, agency, asked_on: askedOn }) => {
      const day = addDays(date(askedOn), DAYS_TO_ENROLL);
      return {
        ...ALWAYS,
        key: `enrollment ${id}`,
        kind: 'enrollment',
        title: `Enrollment for debits, ${agencyName(agency)}`,
        sendBy: day,
        due: day,
        amount: null,
        standing: 'asked',
        move: 'Preparer: ask the agency, or record its PIN',
        lateAfter: day,
        path: `/clients/${client.id}/facts#enrollments`,
      };
    });
  }

  /** Accounts that a bank has corrected and the record has not. */
  private async accountChanges(manager: EntityManager, client: Client): Promise<KeptRung[]> {
    const rows = (await manager.query(
      `SELECT a.id, a.received_on, e.first_name || ' ' || e.last_name AS name FROM account_change a JOIN employee e ON e.id = a.employee_id
       WHERE a.client_id = $1 AND a.status = 'open'`,
      [client.id],
    )) as { id: string; received_on: LocalDate; name: string }[];
    return rows.map(({ id, received_on: receivedOn, name }) => {
      const day = addBusinessDays(date(receivedOn), DAYS_TO_CORRECT, BANKING);
      return {
        ...ALWAYS,
        key: `account ${id}`,
        kind: 'account',
        title: `Account of ${name}, corrected by the bank`,
        sendBy: day,
        due: day,
        amount: null,
        standing: 'open',
        move: 'Reviewer: apply it, or decline it',
        lateAfter: day,
        path: `/clients/${client.id}/facts#account-changes`,
      };
    });
  }

  private async payrolls(manager: EntityManager, client: Client): Promise<KeptRung[]> {
    const open = (await manager.query(
      `SELECT id, status, kind, schedule, period_end AS "periodEnd", check_date AS "checkDate" FROM payroll WHERE client_id = $1 AND status <> 'posted'`,
      [client.id],
    )) as Pick<Payroll, 'id' | 'status' | 'kind' | 'schedule' | 'periodEnd' | 'checkDate'>[];
    const expected: KeptRung[] = [];
    for (const name of await scheduleNames(manager, this.facts, client))
      if (!open.some((payroll) => payroll.kind === 'extra' || payroll.schedule === name))
        expected.push(...(await this.expectedPayroll(manager, client, name)));
    const begun = open.map((payroll): KeptRung => {
      const sendBy = addBusinessDays(date(payroll.checkDate), -1, BANKING);
      return {
        ...ALWAYS,
        key: `payroll ${payroll.id}`,
        kind: 'payroll',
        title: payrollTitle(payroll.schedule, payroll.periodEnd),
        sendBy,
        due: date(payroll.checkDate),
        amount: null,
        standing: payroll.status,
        move: payroll.status === 'open' ? 'Preparer: enter and review' : 'Post it',
        lateAfter: sendBy,
        path: `/payrolls/${payroll.id}`,
      };
    });
    return [...begun, ...expected];
  }

  /** The client's next payroll, once its check date comes near and nobody has begun it. */
  private async expectedPayroll(manager: EntityManager, client: Client, schedule: string): Promise<KeptRung[]> {
    const next = await nextPayroll(manager, this.facts, client, schedule);
    if (!next) return [];
    const checkDate = date(next.checkDate);
    const sendBy = addBusinessDays(checkDate, -1, BANKING);
    return [
      {
        key: `payroll ${client.id} ${schedule} ${next.periodEnd}`,
        kind: 'payroll',
        title: payrollTitle(schedule, next.periodEnd),
        sendBy,
        due: checkDate,
        amount: null,
        standing: 'open',
        move: 'Preparer: start the payroll',
        shownFrom: addDays(checkDate, -DAYS_AHEAD),
        shownUntil: null,
        lateAfter: sendBy,
        path: `/clients/${client.id}/payrolls${schedule === '' ? '' : `?schedule=${encodeURIComponent(schedule)}`}`,
      },
    ];
  }

  /** Posted payrolls whose pay to accounts has not left yet. */
  private async pay(manager: EntityManager, client: Client, cushion: number): Promise<KeptRung[]> {
    const rows = (await manager.query(
      `SELECT p.id, d.status, d.amount FROM payroll p LEFT JOIN direct_deposit d ON d.payroll_id = p.id AND d.status IN ('planned', 'released', 'settled') AND d.again_of IS NULL
       WHERE p.client_id = $1 AND p.status = 'posted' AND p.kind NOT IN ('recorded', 'brought-in', 'void') AND NOT p.is_void AND (d.id IS NULL OR d.status = 'planned')
         AND p.check_date >= (SELECT max(check_date) FROM payroll WHERE client_id = $1) - 31
         AND EXISTS (SELECT 1 FROM paycheck c JOIN employee_fact f ON f.employee_id = c.employee_id AND f.kind = 'bank' WHERE c.payroll_id = p.id)`,
      [client.id],
    )) as { id: string; status: 'planned' | null; amount: string | null }[];
    const rungs: KeptRung[] = [];
    for (const row of rows) {
      const payroll = await manager.findOneByOrFail(Payroll, { id: row.id });
      const amount =
        row.amount === null
          ? sum((await this.pays.planned(manager, payroll)).credits.map((credit) => credit.amount))
          : rawCents(row.amount);
      if (amount === 0) continue;
      const checkDate = date(payroll.checkDate);
      const { sendBy } = achSendBy(checkDate, cushion);
      rungs.push({
        key: `pay ${row.id}`,
        kind: 'payroll',
        title: `Direct deposit of ${showDate(checkDate)}`,
        sendBy,
        due: checkDate,
        amount,
        standing: row.status ?? 'open',
        move: row.status === 'planned' ? 'Reviewer: release' : 'Preparer: plan the direct deposit',
        shownFrom: null,
        shownUntil: addDays(checkDate, DAYS_BEHIND),
        lateAfter: sendBy,
        path: `/payrolls/${row.id}`,
      });
    }
    return rungs;
  }

  private async owed(manager: EntityManager, client: Client): Promise<KeptRung[]> {
    const live = (await manager.query(
      `SELECT DISTINCT i.tax, i.liability_date, r.id, r.status FROM remittance_item i JOIN remittance r ON r.id = i.remittance_id WHERE i.client_id = $1 AND i.is_live`,
      [client.id],
    )) as { tax: string; liability_date: string; id: string; status: string }[];
    const moves: Readonly<Record<string, string>> = { planned: 'Reviewer: approve', approved: 'Reviewer: release' };
    return (await this.deposits.deposits(manager, client)).flatMap((deposit): KeptRung[] => {
      if (deposit.isCredit) return [];
      const own = live.find((row) =>
        deposit.liabilities.some((line) => line.tax === row.tax && line.liabilityDate === row.liability_date),
      );
      if (own?.status === 'released') return [];
      return [
        {
          ...ALWAYS,
          key: `deposit ${client.id} ${deposit.family} ${deposit.due ?? ''}`,
          kind: 'deposit',
          title: deposit.familyLabel,
          sendBy: deposit.sendBy as LocalDate | null,
          due: deposit.due as LocalDate | null,
          amount: deposit.owed as Cents,
          standing: deposit.question ? 'no date' : (own?.status ?? 'open'),
          move: deposit.question
            ? 'Preparer: say how often it is deposited'
            : (moves[own?.status ?? ''] ?? 'Preparer: schedule the payment'),
          // What is scheduled and has not left is late like what is not.
          lateAfter: deposit.lastToSend as LocalDate | null,
          path: own ? `/remittances/${own.id}` : `/clients/${client.id}/deposits`,
        },
      ];
    });
  }

  /** What was withheld by order and is not on its way: support by its seven business days. */
  private async garnished(manager: EntityManager, client: Client): Promise<KeptRung[]> {
    const planned = (await manager.query(
      `SELECT id, payee, amount, due, settles FROM garnishment_payment WHERE client_id = $1 AND status = 'planned'`,
      [client.id],
    )) as { id: string; payee: string; amount: string; due: LocalDate; settles: LocalDate }[];
    const rung = (
      due: LocalDate,
      rest: Pick<KeptRung, 'key' | 'title' | 'amount' | 'standing' | 'move' | 'path'>,
    ): KeptRung => {
      const { sendBy } = achSendBy(due, 0);
      return { ...ALWAYS, ...rest, kind: 'garnishment', sendBy, due, lateAfter: sendBy };
    };
    const open = await this.garnishments.owed(manager, client.id);
    return [
      ...planned.map((row) =>
        rung(date(row.due), {
          key: `garnishment ${row.id}`,
          title: `Garnishments to ${row.payee}`,
          amount: rawCents(row.amount),
          standing: 'planned',
          move: 'Reviewer: release',
          path: `/garnishment-payments/${row.id}`,
        }),
      ),
      ...open.map((row) =>
        rung(date(row.due), {
          key: `garnishment ${client.id} ${row.payee}`,
          title: `Garnishments to ${row.payee}`,
          amount: row.amount as Cents,
          standing: 'open',
          move: 'Preparer: schedule the payment',
          path: `/clients/${client.id}/deposits#garnishments`,
        }),
      ),
    ];
  }

  /** Returns that have not left, from the day their period is over. */
  private async returns(manager: EntityManager, client: Client): Promise<KeptRung[]> {
    const years = (await manager.query(
      'SELECT DISTINCT extract(year FROM check_date)::int AS year FROM payroll WHERE client_id = $1 ORDER BY 1',
      [client.id],
    )) as { year: number }[];
    const moves: Readonly<Record<string, string>> = {
      draft: 'Preparer: check',
      checked: 'Sign, then reviewer: release',
      rejected: 'Correct and send again',
    };
    const rungs: KeptRung[] = [];
    for (const { year } of years)
      for (const form of await this.forms.ofYear(manager, client, year)) {
        const hasLeft = form.status === 'released' || form.status === 'received' || form.status === 'accepted';
        if (!form.files || form.isElsewhere || hasLeft) continue;
        rungs.push({
          key: `return ${client.id} ${form.kind} ${form.period}`,
          kind: 'return',
          title: form.title,
          sendBy: form.due as LocalDate,
          due: form.due as LocalDate,
          amount: null,
          standing: form.status ?? 'open',
          move:
            form.status === 'checked' && kindOf(form.kind).handedTo !== undefined
              ? 'Hand it over, then record it'
              : (moves[form.status ?? ''] ?? `Preparer: begin the ${form.noun}`),
          shownFrom: addDays(form.periodEnd as LocalDate, 1),
          shownUntil: null,
          lateAfter: form.due as LocalDate,
          path: form.filingId
            ? `/filings/${form.filingId}`
            : `/clients/${client.id}/returns?kind=${form.kind}&period=${form.period}`,
        });
      }
    return rungs;
  }
}
