import { Inject, Injectable } from '@nestjs/common';
import type { ClosedPeriod, PayrollView, PostPayroll, ReviewPayroll } from '@zakat/contract/payrolls';
import { problem, type Issue } from '@zakat/core/issues/issue';
import { sum } from '@zakat/core/money/cents';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { Refusal, conflict, refuse } from '../../http/refusal.js';
import { lookTwice } from '../../http/second-look.js';
import { Executor } from '../../state-machines/executor.js';
import { PAYROLL_MACHINE } from '../../state-machines/machine.js';
import { fullName } from '../employees/index.js';
import { Payroll } from './entities.js';
import { PayrollPoster } from './payroll-poster.js';
import { ReadinessGate } from '../standing/index.js';
import { Clock } from '../clock/index.js';
import { ClosedPeriods } from './closed-periods.js';
import { entryDoubts, entryErrors } from './entry-doubts.js';
import { PayrollViews, digestOf, findPayroll, taxesOf, type ComputedPerson } from './payroll-view.js';

/** What two people do with a payroll that is typed: reviewed, reopened, posted. */
@Injectable()
export class PayrollActs {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(Executor) private readonly executor: Executor,
    @Inject(PayrollPoster) private readonly poster: PayrollPoster,
    @Inject(PayrollViews) private readonly views: PayrollViews,
    @Inject(ReadinessGate) private readonly gate: ReadinessGate,
    @Inject(ClosedPeriods) private readonly closed: ClosedPeriods,
    @Inject(Clock) private readonly clock: Clock,
  ) {}

  review(actor: Actor, id: string, { version, confirmed }: ReviewPayroll): Promise<PayrollView> {
    return this.database.run(actor, async (manager) => {
      const computed = await this.views.computed(manager, id);
      const { payroll, people, employer } = computed;
      refuseUnsound(people, payroll);
      lookTwice(
        people.flatMap((person) => entryDoubts(person, payroll)),
        confirmed,
      );
      await this.gate.refuseGaps(manager, people);
      const total = sum(people.map((person) => person.result.gross));
      await this.executor.apply(manager, actor, PAYROLL_MACHINE, {
        id,
        act: 'review',
        version,
        set: { reviewed_digest: digestOf(people), reviewed_by: actor.userId, changed_by: actor.userId },
        detail: { gross: total, employerTaxes: sum(employer.map((line) => line.amount)) },
      });
      return this.views.ofComputed(manager, { ...computed, payroll: await findPayroll(manager, id) });
    });
  }

  reopen(actor: Actor, id: string, version: number): Promise<PayrollView> {
    return this.database.run(actor, async (manager) => {
      await this.executor.apply(manager, actor, PAYROLL_MACHINE, {
        id,
        act: 'reopen',
        version,
        set: { reviewed_digest: null, changed_by: actor.userId },
      });
      return this.views.of(manager, id);
    });
  }

  /** Posts: paychecks, ledger lines and journal in one transaction, the client locked so that year-to-date figures hold. */
  post(actor: Actor, id: string, { version, closedReason = '' }: PostPayroll): Promise<PayrollView> {
    return this.database.run(actor, async (manager) => {
      const payroll = await findPayroll(manager, id);
      await manager.query('SELECT id FROM client WHERE id = $1 FOR UPDATE', [payroll.clientId]);
      if ((await findPayroll(manager, id)).status === 'posted') throw conflict('This payroll is posted already.');
      const { client, people, employer } = await this.views.computed(manager, id);
      const now = await findPayroll(manager, id);
      if (now.status === 'reviewed' && now.reviewedDigest !== digestOf(people)) {
        throw conflict(
          'The figures have moved since the review (a certificate, a rate or another payroll of the year). Reopen, look at them, and review again.',
        );
      }
      refuseUnsound(people, now);
      const closed = await this.closed.of(manager, client, now.checkDate, taxesOf(people));
      const reason = closedReason.trim();
      if (closed.length > 0) refuseClosed(actor, closed, reason);
      await this.executor.apply(manager, actor, PAYROLL_MACHINE, {
        id,
        act: 'post',
        version,
        set: {
          posted_by: actor.userId,
          changed_by: actor.userId,
          posted_at: await this.clock.now(manager),
          ...(closed.length > 0 ? { closed_reason: reason } : {}),
        },
        ...(closed.length > 0 ? { detail: { closed: closed.map(({ what }) => what), reason } } : {}),
      });
      await this.poster.post(manager, actor, now, people, employer);
      return this.views.of(manager, id);
    });
  }
}

function refuseUnsound(people: readonly ComputedPerson[], payroll: Payroll): void {
  const issues: Issue[] = people.flatMap((person) =>
    [...person.result.problems, ...entryErrors(person, payroll)]
      .filter((issue) => issue.severity === 'error')
      .map((issue) => ({ ...issue, field: `${fullName(person.employee)}: ${issue.field}` })),
  );
  if (issues.length > 0) throw refuse(issues);
  if (!people.some((person) => person.entry.isPaid))
    throw refuse([problem('input.missing', 'entries', { what: 'somebody to pay' })]);
}

/** Posting into what has left takes a reviewer and a reason. */
function refuseClosed(actor: Actor, closed: readonly ClosedPeriod[], reason: string): void {
  const says = closed.map(({ what }) => what).join(' ');
  if (actor.role !== 'reviewer' && actor.role !== 'administrator')
    throw new Refusal(403, 'closed-period', `${says} A reviewer posts it, with a reason.`);
  if (reason === '')
    throw new Refusal(422, 'closed-period', `${says} Say why it is posted now.`, [
      {
        code: 'closed-period',
        field: 'closedReason',
        severity: 'error',
        sentence: says,
        fix: 'Give the reason: it is kept with the payroll and in the trail.',
      },
    ]);
}
