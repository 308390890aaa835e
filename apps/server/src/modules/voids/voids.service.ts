import { Inject, Injectable } from '@nestjs/common';
import type { PayrollEntry } from '@zakat/contract/payrolls';
import type { ReleaseSlip } from '@zakat/contract/remittances';
import type {
  AskVoid,
  PayAgain,
  ProposeVoid,
  VoidEffects,
  VoidLiability,
  VoidStatus,
  VoidView,
  VoidsOfPayroll,
} from '@zakat/contract/voids';
import { date, showDate, yearOf } from '@zakat/core/calendar/local-date';
import { ZERO, cents, showDollars, subtract, sum, toDollars, type Cents } from '@zakat/core/money/cents';
import { randomUUID } from 'node:crypto';
import type { EntityManager } from 'typeorm';
import { rawCents } from '../../database/cents-column.js';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { dayFrom } from '../../http/day.js';
import { conflict, notFound, refuseField } from '../../http/refusal.js';
import { Executor } from '../../state-machines/executor.js';
import { VOID_MACHINE } from '../../state-machines/machine.js';
import { Audit } from '../audit/index.js';
import { findClient } from '../clients/index.js';
import { Clock } from '../clock/index.js';
import { mayReleaseCheck } from '../outbox/index.js';
import {
  PayrollEntries,
  entryOfRow,
  findPayroll,
  postedRows,
  type Payroll,
  type PersonCase,
} from '../payrolls/index.js';
import { VoidEffectsOf, takenBack } from './void-effects.js';
import { VoidPoster } from './void-poster.js';
import { postedChecks, voidsOf } from './void-source.js';

interface StoredVoid {
  readonly id: string;
  readonly payroll_id: string;
  readonly status: VoidStatus;
  readonly version: number;
  readonly reason: string;
  readonly prepared_by: string;
  readonly posted_by: string | null;
  readonly void_payroll_id: string | null;
  readonly repaid: string | null;
  readonly again_payroll_id: string | null;
}

/** Voids of posted checks: proposed by one person, posted once by another, as reversal entries. */
@Injectable()
export class VoidsService {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(VoidEffectsOf) private readonly effects: VoidEffectsOf,
    @Inject(PayrollEntries) private readonly entries: PayrollEntries,
    @Inject(VoidPoster) private readonly poster: VoidPoster,
    @Inject(Executor) private readonly executor: Executor,
    @Inject(Audit) private readonly audit: Audit,
    @Inject(Clock) private readonly clock: Clock,
  ) {}

  ofPayroll(actor: Actor, payrollId: string): Promise<VoidsOfPayroll> {
    return this.database.run(actor, async (manager) => voidsOf(manager, await findPayroll(manager, payrollId)));
  }

  /** What a void of these checks would do. Nothing is kept. */
  preview(actor: Actor, payrollId: string, { paycheckIds, repaid }: AskVoid): Promise<VoidEffects> {
    return this.database.run(actor, async (manager) => {
      const payroll = await findPayroll(manager, payrollId);
      await refuseOthers(manager, payroll, paycheckIds);
      const asked = { paycheckIds, repaid: await this.repaidOf(manager, payroll, paycheckIds, repaid) };
      return this.effects.of(manager, await findClient(manager, payroll.clientId), payroll, asked);
    });
  }

  propose(actor: Actor, payrollId: string, { paycheckIds, reason, repaid }: ProposeVoid): Promise<{ id: string }> {
    return this.database.run(actor, async (manager) => {
      const payroll = await findPayroll(manager, payrollId);
      if (reason.trim() === '')
        throw refuseField('reason', 'There is no reason.', 'Say why: it is kept with the void and in the audit trail.');
      await refuseOthers(manager, payroll, paycheckIds);
      const givenBack = await this.repaidOf(manager, payroll, paycheckIds, repaid);
      const id = randomUUID();
      const { clientId } = payroll;
      await manager.query(
        `INSERT INTO check_void (id, firm_id, client_id, payroll_id, reason, prepared_by, created_at, repaid) VALUES ($1, $2, $3, $4, $5, $6, $7, $8)`,
        [id, actor.firmId, clientId, payrollId, reason.trim(), actor.userId, await this.clock.now(manager), givenBack],
      );
      await manager.query(
        `INSERT INTO check_void_item (check_void_id, firm_id, client_id, paycheck_id) SELECT $1, $2, $3, unnest($4::uuid[])`,
        [id, actor.firmId, clientId, [...new Set(paycheckIds)]],
      );
      await this.audit.record(manager, actor, 'void.propose', 'void', id, {
        checks: paycheckIds.length,
        reason,
        ...(givenBack === null ? {} : { repaid: givenBack }),
      });
      return { id };
    });
  }

  view(actor: Actor, id: string): Promise<VoidView> {
    return this.database.run(actor, (manager) => this.viewIn(manager, actor, id));
  }

  withdraw(actor: Actor, id: string, version: number): Promise<VoidView> {
    return this.database.run(actor, async (manager) => {
      await this.executor.apply(manager, actor, VOID_MACHINE, { id, act: 'withdraw', version });
      await manager.query('UPDATE check_void_item SET is_live = false WHERE check_void_id = $1', [id]);
      return this.viewIn(manager, actor, id);
    });
  }

  /** Posts the reversal: state, opposite checks, ledger and journal in one transaction, the client locked. */
  post(actor: Actor, id: string, version: number): Promise<VoidView> {
    return this.database.run(actor, async (manager) => {
      const stored = await find(manager, id);
      const payroll = await findPayroll(manager, stored.payroll_id);
      await manager.query('SELECT id FROM client WHERE id = $1 FOR UPDATE', [payroll.clientId]);
      const ids = await idsOf(manager, id);
      const asked = { paycheckIds: ids, repaid: rawNullable(stored.repaid) };
      const closed = (
        await this.effects.of(manager, await findClient(manager, payroll.clientId), payroll, asked)
      ).closed.map(({ what }) => what);
      await this.executor.apply(manager, actor, VOID_MACHINE, {
        id,
        act: 'post',
        version,
        set: { posted_by: actor.userId, posted_at: await this.clock.now(manager) },
        detail: { reason: stored.reason, ...(closed.length > 0 ? { closed } : {}) },
      });
      const checks = await takenBack(manager, payroll, asked);
      const voidPayrollId = await this.poster.post(manager, actor, payroll, checks, {
        reason: stored.reason,
        isRepayment: asked.repaid !== null,
      });
      await manager.query('UPDATE check_void SET void_payroll_id = $2 WHERE id = $1', [id, voidPayrollId]);
      return this.viewIn(manager, actor, id);
    });
  }

  /**
   * Begins the payroll in which the people of a posted void are paid again: the lines they had, less what they kept of the
   * voided pay. Asked twice, it is the same payroll.
   */
  payAgain(actor: Actor, id: string, { checkDate, employeeId }: PayAgain): Promise<{ id: string }> {
    const day = dayFrom(checkDate, 'checkDate');
    return this.database.run(actor, async (manager) => {
      await manager.query('SELECT id FROM check_void WHERE id = $1 FOR UPDATE', [id]);
      const stored = await find(manager, id);
      if (stored.status !== 'posted' || stored.repaid !== null)
        throw conflict('Only the people of a posted void are paid again.');
      if (stored.again_payroll_id !== null) return { id: stored.again_payroll_id };
      const payroll = await findPayroll(manager, stored.payroll_id);
      if (payroll.kind === 'recorded')
        throw conflict(
          'Another program paid these checks, and what the people kept is not known here. Record what it pays instead.',
        );
      if (day < payroll.checkDate)
        throw refuseField(
          'checkDate',
          'This is before the check that was voided.',
          'Use its check date where the amounts are put right, or the day on which the pay is handed out.',
        );
      const ids = await idsOf(manager, id);
      const kept = new Map(
        (await voidsOf(manager, payroll)).checks.map((check) => [check.paycheckId, cents(check.kept)]),
      );
      const entries = (await postedRows(manager, payroll.id))
        .filter((row) => row.id !== null && ids.includes(row.id))
        .map((row) => [row.employee_id, again(entryOfRow(row), kept.get(row.id ?? '') ?? ZERO)] as const);
      if (employeeId !== undefined && entries.length !== 1)
        throw refuseField(
          'employeeId',
          'Only the pay of one check goes to somebody else.',
          'Pay the people of this void again as they were, and put the pay of the others in their own checks.',
        );
      const [whose] = entries;
      if (whose && whose[0] === employeeId)
        throw refuseField('employeeId', 'This is whose check it was.', 'Choose the other person, or nobody.');
      const { periodStart, periodEnd } = payroll;
      const made = await this.entries.begin(
        manager,
        actor,
        await findClient(manager, payroll.clientId),
        { periodStart, periodEnd, checkDate: day, kind: 'extra', schedule: '' },
        employeeId === undefined || !whose
          ? new Map(entries)
          : new Map([[employeeId, (person: PersonCase) => forSomebodyElse(whose[1], person)]]),
        { insteadOf: payroll.id, ...(employeeId === undefined ? {} : { employeeId }) },
      );
      await manager.query('UPDATE check_void SET again_payroll_id = $2 WHERE id = $1', [id, made.id]);
      return made;
    });
  }

  /** Gross pay that is given back: of one check of an earlier year, and no more than it paid. */
  private async repaidOf(
    manager: EntityManager,
    payroll: Payroll,
    paycheckIds: readonly string[],
    repaid: number | undefined,
  ): Promise<Cents | null> {
    if (repaid === undefined) return null;
    if (yearOf(date(payroll.checkDate)) >= yearOf(await this.clock.today(manager)))
      throw refuseField(
        'repaid',
        'This check is of this year: what is given back now was never wages.',
        'Void the check and pay it again with the right amounts, less what the employee kept.',
      );
    const [check, ...others] = await postedChecks(manager, payroll.id, paycheckIds);
    if (!check || others.length > 0)
      throw refuseField('paycheckIds', 'Pay is given back check by check.', 'Choose one check.');
    if (repaid <= 0 || repaid > check.gross)
      throw refuseField(
        'repaid',
        `${showDollars(cents(repaid))} cannot be given back of a check with gross pay of ${showDollars(check.gross)}.`,
        'Enter the gross pay that was not owed, before taxes.',
      );
    return cents(repaid);
  }

  private async viewIn(manager: EntityManager, actor: Actor, id: string): Promise<VoidView> {
    const stored = await find(manager, id);
    const payroll = await findPayroll(manager, stored.payroll_id);
    const client = await findClient(manager, payroll.clientId);
    const ids = await idsOf(manager, id);
    const all = await voidsOf(manager, payroll);
    const checks = all.checks.filter((check) => ids.includes(check.paycheckId));
    const names = (await manager.query('SELECT id, name FROM app_user')) as { id: string; name: string }[];
    const nameOf = (userId: string | null): string | null => names.find((user) => user.id === userId)?.name ?? null;
    const isOwn = actor.userId === stored.prepared_by && (await this.executor.requiresSecondPerson(manager));
    const repaid = rawNullable(stored.repaid);
    const effects = await this.effects.of(manager, client, payroll, {
      paycheckIds: ids,
      repaid,
      postedAs: stored.void_payroll_id,
    });
    const netPay = effects.figures.find(({ kind, label }) => kind === 'pay' && label === 'Net pay');
    const refunded = repaid === null ? ZERO : ((netPay?.amount ?? 0) as Cents);
    const isPosted = stored.status === 'posted';
    return {
      ...all,
      checks,
      id,
      status: stored.status,
      version: stored.version,
      reason: stored.reason,
      preparedBy: nameOf(stored.prepared_by) ?? '',
      postedBy: nameOf(stored.posted_by),
      repaid,
      refunded,
      voidPayrollId: stored.void_payroll_id,
      againPayrollId: stored.again_payroll_id,
      // Once posted, what is open has it already.
      effects: isPosted ? { ...effects, liabilities: effects.liabilities.map(asPosted) } : effects,
      slip: slipOf(actor, payroll, { ...all, checks }, stored, { isOwn, repaid, refunded }),
    };
  }
}

const asPosted = (line: VoidLiability): VoidLiability => ({
  ...line,
  openBefore: line.openBefore - line.change,
  openAfter: line.openBefore,
});

function slipOf(
  actor: Actor,
  payroll: Payroll,
  { clientName, einTail, checks }: VoidsOfPayroll,
  stored: StoredVoid,
  { isOwn, repaid, refunded }: { readonly isOwn: boolean; readonly repaid: Cents | null; readonly refunded: Cents },
): ReleaseSlip {
  const gross = repaid ?? sum(checks.map((check) => cents(check.gross)));
  const net = repaid === null ? sum(checks.map((check) => cents(check.net))) : subtract(repaid, refunded);
  const many = checks.length === 1 ? 'One paycheck' : `${checks.length} paychecks`;
  const slipChecks: ReleaseSlip['checks'] = [
    {
      label: 'Another person proposed it',
      isPassed: !isOwn,
      says: isOwn ? 'You proposed it; another person must post it.' : 'Two persons stand for it.',
    },
    mayReleaseCheck(actor),
  ];
  return {
    title: `${repaid === null ? 'Void' : 'Wages paid back'}, checks of ${showDate(date(payroll.checkDate))}, ${clientName}`,
    act: stored.status === 'proposed' ? 'release' : 'rehearsal',
    amount: net,
    figures: [
      { label: 'Client', value: `${clientName}, EIN ending ${einTail}` },
      {
        label: 'Checks',
        value: checks
          .map(({ name }) => name)
          .join(', ')
          .slice(0, 200),
      },
      { label: repaid === null ? 'Gross pay' : 'Gross pay given back', value: showDollars(gross) },
      { label: 'Reason', value: stored.reason.slice(0, 200) },
    ],
    leaves:
      repaid !== null
        ? `Social security and Medicare on ${showDollars(gross)} are taken back in the register, the ledger and the journal, under the check date. The check stands. No money moves.`
        : `${many} with net pay of ${showDollars(net)} ${checks.length === 1 ? 'is' : 'are'} reversed in the register, the ledger and the journal, under the same check date. No money moves.`,
    becomesImpossible:
      repaid === null
        ? 'A void cannot be voided. What was posted and its reversal both stay in the record.'
        : 'What was posted and what is taken back of it both stay in the record.',
    wayBack:
      repaid === null
        ? 'Pay the person again in an off-cycle payroll.'
        : 'None: correct the return before it is filed.',
    checks: slipChecks,
    mayRelease: stored.status === 'proposed' && slipChecks.every((check) => check.isPassed),
    file: '',
  };
}

/** The same lines, less what the person has of the voided pay: it comes off the net pay, as far as that goes. */
const again = (entry: PayrollEntry, kept: Cents): PayrollEntry => {
  const { withheld: _withheld, ...lines } = entry;
  if (kept === ZERO) return lines;
  const amount = toDollars(kept);
  const deductions = [...lines.deductions.filter(({ item }) => item !== KEPT), { item: KEPT, amount, balance: amount }];
  return { ...lines, isPaid: true, deductions };
};
/** What was earned, at the rate of whoever earned it, or at none, which is asked for; deductions as they usually are. */
const forSomebodyElse = ({ earnings }: PayrollEntry, { employee, usual, facts }: PersonCase): PayrollEntry => {
  const rate = facts.pay?.['rate'];
  return {
    employeeId: employee.id,
    isPaid: true,
    earnings: earnings.map(({ rate: _theirs, ...line }) =>
      line.hours !== undefined && isText(rate) ? { ...line, rate } : line,
    ),
    deductions: usual.deductions,
  };
};
const isText = (value: unknown): value is string => typeof value === 'string' && value !== '';

/** The deduction by which net pay that was not owed comes back. */
const KEPT = 'overpayment';

const rawNullable = (amount: string | null): Cents | null => (amount === null ? null : rawCents(amount));

async function find(manager: EntityManager, id: string): Promise<StoredVoid> {
  const rows = (await manager.query('SELECT * FROM check_void WHERE id = $1', [id])) as StoredVoid[];
  const [stored] = rows;
  if (!stored) throw notFound('void');
  return stored;
}
const idsOf = async (manager: EntityManager, id: string): Promise<string[]> =>
  (
    (await manager.query('SELECT paycheck_id AS id FROM check_void_item WHERE check_void_id = $1', [id])) as {
      id: string;
    }[]
  ).map((row) => row.id);

const ID = /^[0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12}$/;

/** Only posted checks of the payroll that stand can be voided. */
async function refuseOthers(manager: EntityManager, payroll: Payroll, paycheckIds: readonly string[]): Promise<void> {
  if (!paycheckIds.every((id) => ID.test(id)))
    throw refuseField('paycheckIds', 'This is no paycheck.', 'Choose the checks from the payroll.');
  if (payroll.status !== 'posted') throw conflict('This payroll is not posted: reopen it, or discard it.');
  if (payroll.kind === 'brought-in')
    throw conflict('These are balances of a former provider: take the prior payroll back instead.');
  if (payroll.kind === 'void') throw conflict('A void cannot be voided. Pay the person again instead.');
  if (paycheckIds.length === 0)
    throw refuseField('paycheckIds', 'No check is chosen.', 'Choose the checks that are to be voided.');
  const rows = (await manager.query(`SELECT id FROM standing_paycheck WHERE payroll_id = $1 AND id = ANY($2::uuid[])`, [
    payroll.id,
    paycheckIds,
  ])) as { id: string }[];
  if (rows.length !== new Set(paycheckIds).size)
    throw conflict('One of these checks is void already, or is not of this payroll. Look again.');
}
