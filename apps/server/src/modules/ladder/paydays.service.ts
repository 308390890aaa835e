import { Inject, Injectable } from '@nestjs/common';
import type { Payday, PaydayView, StartPayroll, StartedPayroll } from '@zakat/contract/paydays';
import { addBusinessDays } from '@zakat/core/calendar/business-days';
import { BANKING } from '@zakat/core/calendar/holidays';
import { date } from '@zakat/core/calendar/local-date';
import type { EntityManager } from 'typeorm';
import { rawCents } from '../../database/cents-column.js';
import { constraintRefusal } from '../../database/constraints.js';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { Refusal } from '../../http/refusal.js';
import { findClient } from '../clients/index.js';
import { Clock } from '../clock/index.js';
import { FactStore } from '../facts/index.js';
import { nextPayroll, PayrollEntries } from '../payrolls/index.js';
import { LadderService } from './ladder.service.js';

/** How long a posted payroll stays in the list. */
const DAYS_POSTED = 7;
const MOST = 2000;

interface Expected {
  readonly client_id: string;
  readonly name: string;
  readonly key: string;
  readonly due: string;
  readonly send_by: string | null;
  readonly late_after: string | null;
  readonly move: string;
}
interface Begun {
  readonly id: string;
  readonly client_id: string;
  readonly name: string;
  readonly schedule: string;
  readonly part: string;
  readonly kind: Payday['kind'];
  readonly status: 'open' | 'reviewed' | 'posted';
  readonly period_end: string;
  readonly check_date: string;
  readonly people: number;
  readonly waiting: number;
  readonly net: string | null;
  readonly pay_move: string | null;
  readonly to_print: boolean;
  readonly has_hours: boolean;
  readonly is_approved: boolean;
}
const MOVES: Readonly<Record<Begun['status'], string>> = {
  open: 'Preparer: enter and review',
  reviewed: 'Post it',
  posted: '',
};
const UNPRINTED = 'Say how its checks came out';

/** The payrolls of every client that are due, under way or just posted; the ones that are due are started from here. */
@Injectable()
export class PaydaysService {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(LadderService) private readonly ladder: LadderService,
    @Inject(PayrollEntries) private readonly entries: PayrollEntries,
    @Inject(FactStore) private readonly facts: FactStore,
    @Inject(Clock) private readonly clock: Clock,
  ) {}

  async view(actor: Actor): Promise<PaydayView> {
    const waiting = await this.ladder.freshen(actor);
    return this.database.run(actor, async (manager) => {
      const today = await this.clock.today(manager);
      const found = [...(await this.expected(manager, today)), ...(await this.begun(manager, today))];
      const names = await this.ladder.namesOf(
        manager,
        found.map(({ clientId }) => ({ client_id: clientId })),
      );
      const rows = found.map((row) => ({ ...row, clientName: names.get(row.clientId) ?? row.clientName }));
      return { rows: rows.sort((a, b) => orderOf(a).localeCompare(orderOf(b))), waiting };
    });
  }

  /** Starts each by itself: one that is refused stops none of the others. */
  async start(actor: Actor, asked: readonly StartPayroll[]): Promise<StartedPayroll[]> {
    const answers: StartedPayroll[] = [];
    for (const one of asked) answers.push(await this.startOne(actor, one));
    return answers;
  }

  private async startOne(actor: Actor, asked: StartPayroll): Promise<StartedPayroll> {
    const { clientId, schedule } = asked;
    try {
      const next = await this.database.run(actor, async (manager) =>
        nextPayroll(manager, this.facts, await findClient(manager, clientId), schedule),
      );
      if (!next) return { asked, payrollId: null, refused: 'No payroll is due: the client has no pay schedule.' };
      const { periodStart, periodEnd, checkDate } = next;
      if (periodEnd !== asked.periodEnd)
        return { asked, payrollId: null, refused: 'It was started already, or its schedule has changed. Look again.' };
      const days = { periodStart, periodEnd, checkDate };
      const { id } = await this.entries.create(actor, clientId, { ...days, kind: 'regular', schedule });
      return { asked, payrollId: id, refused: null };
    } catch (error) {
      const refusal = error instanceof Refusal ? error : constraintRefusal(error);
      if (!refusal) throw error;
      return { asked, payrollId: null, refused: refusal.message };
    }
  }

  private async expected(manager: EntityManager, today: string): Promise<Payday[]> {
    const rows = (await manager.query(
      `SELECT r.client_id, c.legal_name AS name, r.key, r.due, r.send_by, r.late_after, r.move FROM agenda_rung r JOIN client c ON c.id = r.client_id
       WHERE r.kind = 'payroll' AND r.standing = 'open' AND r.path LIKE '/clients/%' AND (r.shown_from IS NULL OR r.shown_from <= $1) ORDER BY r.due LIMIT ${MOST}`,
      [today],
    )) as Expected[];
    return rows.map((row): Payday => {
      // payroll CLIENT SCHEDULE END, as the agenda names it.
      const rest = row.key.slice(`payroll ${row.client_id} `.length);
      return {
        key: row.key,
        clientId: row.client_id,
        clientName: row.name,
        schedule: rest.slice(0, -'2026-01-01'.length).trim(),
        part: '',
        kind: 'regular',
        status: 'due',
        payrollId: null,
        periodEnd: rest.slice(-'2026-01-01'.length),
        checkDate: row.due,
        sendBy: row.send_by,
        isLate: row.late_after !== null && today > row.late_after,
        people: 0,
        waiting: 0,
        net: null,
        move: row.move,
        fromClient: '',
      };
    });
  }

  private async begun(manager: EntityManager, today: string): Promise<Payday[]> {
    const rows = (await manager.query(
      `SELECT p.id, p.client_id, c.legal_name AS name, p.schedule, p.part, p.kind, p.status, p.period_end, p.check_date, l.people, l.waiting, n.net, r.move AS pay_move,
         EXISTS (SELECT 1 FROM issued_check i WHERE i.payroll_id = p.id AND i.status = 'printed') AS to_print,
         EXISTS (SELECT 1 FROM client_hours h WHERE h.payroll_id = p.id AND h.taken_at IS NULL AND h.lines <> '{}') AS has_hours,
         EXISTS (SELECT 1 FROM payroll_approval a WHERE a.payroll_id = p.id AND a.digest = p.reviewed_digest) AS is_approved
       FROM payroll p JOIN client c ON c.id = p.client_id
         LEFT JOIN agenda_rung r ON r.client_id = p.client_id AND r.key = 'pay ' || p.id,
         LATERAL (SELECT count(*) FILTER (WHERE is_paid)::int AS people, count(*) FILTER (WHERE is_paid AND earnings = '[]')::int AS waiting FROM payroll_line WHERE payroll_id = p.id) l,
         LATERAL (SELECT sum(net) AS net FROM paycheck WHERE payroll_id = p.id) n
       WHERE p.kind <> 'brought-in' AND NOT p.is_void AND p.kind <> 'void' AND (p.status <> 'posted' OR p.posted_at >= $1::date - ${DAYS_POSTED})
       ORDER BY p.check_date LIMIT ${MOST}`,
      [today],
    )) as Begun[];
    return rows.map((row): Payday => {
      const isPosted = row.status === 'posted';
      const sendBy = isPosted ? null : addBusinessDays(date(row.check_date), -1, BANKING);
      return {
        key: row.id,
        clientId: row.client_id,
        clientName: row.name,
        schedule: row.schedule,
        part: row.part,
        kind: row.kind,
        status: row.status,
        payrollId: row.id,
        periodEnd: row.period_end,
        checkDate: row.check_date,
        sendBy,
        isLate: sendBy !== null && today > sendBy,
        people: row.people,
        waiting: isPosted ? 0 : row.waiting,
        net: row.net === null ? null : rawCents(row.net),
        move: isPosted ? (row.pay_move ?? (row.to_print ? UNPRINTED : '')) : MOVES[row.status],
        fromClient:
          row.status === 'open' && row.has_hours
            ? 'hours'
            : row.status === 'reviewed' && row.is_approved
              ? 'approved'
              : '',
      };
    });
  }
}

/** What is to be done first stands first; what is posted last. */
const orderOf = ({ sendBy, checkDate, clientName, status }: Payday): string =>
  `${status === 'posted' ? 1 : 0} ${sendBy ?? checkDate} ${clientName}`;
