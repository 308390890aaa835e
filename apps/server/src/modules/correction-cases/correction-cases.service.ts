import { Inject, Injectable } from '@nestjs/common';
import type {
  AddConsequence,
  CaseRow,
  ConsequenceKind,
  ConsequenceStatus,
  CorrectionCase,
  MoveCase,
  OpenCase,
  SettleConsequence,
} from '@zakat/contract/correction-cases';
import { date, showDate } from '@zakat/core/calendar/local-date';
import { cents } from '@zakat/core/money/cents';
import { randomUUID } from 'node:crypto';
import type { EntityManager } from 'typeorm';
import { rawCents } from '../../database/cents-column.js';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { dayFrom } from '../../http/day.js';
import { conflict, notFound, refuseField } from '../../http/refusal.js';
import { Executor } from '../../state-machines/executor.js';
import { CORRECTION_CASE_MACHINE } from '../../state-machines/machine.js';
import { Audit } from '../audit/index.js';
import { findClient, Firm } from '../clients/index.js';
import { Clock } from '../clock/index.js';
import { printedDollars } from '../documents/index.js';
import { addressOf, Letter } from '../letters/index.js';
import { Consequences, type Consequence } from './consequences.js';

interface StoredCase {
  readonly id: string;
  readonly client_id: string;
  readonly what: string;
  readonly since: string;
  readonly found_on: string;
  readonly found_by: OpenCase['foundBy'];
  readonly evidence: string;
  readonly status: CorrectionCase['status'];
  readonly version: number;
  readonly ended: string;
  readonly opened_by_name: string;
}
interface StoredConsequence {
  readonly id: string;
  readonly key: string;
  readonly kind: ConsequenceKind;
  readonly title: string;
  readonly amount: string | null;
  readonly due: string | null;
  readonly path: string;
  readonly is_derived: boolean;
  readonly status: ConsequenceStatus;
  readonly why: string;
  readonly settled_by_name: string | null;
  readonly settled_at: Date | null;
}
const AGREES = 'What stands at the agency is what the records say.';

/** Mistakes that were filed, each as a case with everything that follows from it, until all of it is done or refused. */
@Injectable()
export class CorrectionCases {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(Consequences) private readonly consequences: Consequences,
    @Inject(Executor) private readonly executor: Executor,
    @Inject(Audit) private readonly audit: Audit,
    @Inject(Clock) private readonly clock: Clock,
  ) {}

  list(actor: Actor, clientId: string): Promise<CaseRow[]> {
    return this.database.run(actor, async (manager) => {
      await findClient(manager, clientId);
      const rows = (await manager.query(
        `SELECT c.id, c.what, c.since, c.found_on AS "foundOn", c.status,
           (SELECT count(*)::int FROM correction_consequence q WHERE q.case_id = c.id AND q.status = 'open') AS left
         FROM correction_case c WHERE c.client_id = $1 ORDER BY c.status DESC, c.found_on DESC, c.created_at DESC`,
        [clientId],
      )) as CaseRow[];
      return rows;
    });
  }

  open(actor: Actor, clientId: string, input: OpenCase): Promise<{ id: string }> {
    const since = dayFrom(input.since, 'since');
    return this.database.run(actor, async (manager) => {
      await findClient(manager, clientId);
      const today = await this.clock.today(manager);
      if (since > today)
        throw refuseField('since', 'This day is still to come.', 'Give the first day on which something was wrong.');
      if (input.what.trim() === '') throw refuseField('what', 'Nothing is said.', 'Say what was wrong.');
      const id = randomUUID();
      await manager.query(
        `INSERT INTO correction_case (id, firm_id, client_id, what, since, found_on, found_by, evidence, prepared_by, created_at)
         VALUES ($1,$2,$3,$4,$5,$6,$7,$8,$9,$10)`,
        [
          id,
          actor.firmId,
          clientId,
          input.what.trim(),
          since,
          today,
          input.foundBy,
          input.evidence.trim(),
          actor.userId,
          await this.clock.now(manager),
        ],
      );
      await this.audit.record(manager, actor, 'correction.open', 'correction case', id, {
        clientId,
        what: input.what.trim(),
      });
      await this.refresh(manager, actor, await find(manager, id));
      return { id };
    });
  }

  view(actor: Actor, id: string): Promise<CorrectionCase> {
    return this.database.run(actor, (manager) => this.viewIn(manager, actor, id));
  }

  /** Puts down something that no record shows. */
  add(actor: Actor, id: string, input: AddConsequence): Promise<CorrectionCase> {
    return this.database.run(actor, async (manager) => {
      const own = await find(manager, id);
      refuseClosed(own);
      if (input.title.trim() === '') throw refuseField('title', 'Nothing is said.', 'Say what follows, and for whom.');
      if (input.amount !== null && input.amount < 0)
        throw refuseField('amount', 'The amount is below zero.', 'Give zero or more; the kind says whose it is.');
      await this.put(manager, actor, own, {
        key: `said ${randomUUID()}`,
        kind: input.kind,
        title: input.title.trim(),
        amount: input.amount === null ? null : cents(input.amount),
        due: input.due === null ? null : dayFrom(input.due, 'due'),
        path: '',
        isSaid: true,
      });
      await this.audit.record(manager, actor, 'correction.add', 'correction case', id, { title: input.title.trim() });
      return this.viewIn(manager, actor, id);
    });
  }

  /** Says that something was done, or will not be; what the records show is done when they show it. */
  settle(actor: Actor, id: string, consequenceId: string, { status, why }: SettleConsequence): Promise<CorrectionCase> {
    return this.database.run(actor, async (manager) => {
      const own = await find(manager, id);
      refuseClosed(own);
      const one = (await this.stored(manager, id)).find((row) => row.id === consequenceId);
      if (!one) throw notFound('consequence');
      if (one.is_derived && status === 'done')
        throw conflict('The records show when this is done. Do it where it is done, or refuse it with a reason.');
      if (status === 'refused' && why.trim() === '')
        throw refuseField('why', 'There is no reason.', 'Say why it is not done.');
      const isSettled = status !== 'open';
      await manager.query(
        `UPDATE correction_consequence SET status = $2, why = $3, settled_by = $4, settled_at = $5 WHERE id = $1`,
        [
          consequenceId,
          status,
          why.trim(),
          isSettled ? actor.userId : null,
          isSettled ? await this.clock.now(manager) : null,
        ],
      );
      const act = status === 'open' ? 'open-again' : status;
      await this.audit.record(manager, actor, `correction.${act}`, 'correction case', id, {
        title: one.title,
        why: why.trim(),
      });
      return this.viewIn(manager, actor, id);
    });
  }

  move(actor: Actor, id: string, act: 'close' | 'reopen', { version, why }: MoveCase): Promise<CorrectionCase> {
    return this.database.run(actor, async (manager) => {
      const view = await this.viewIn(manager, actor, id);
      const left = view.consequences.filter(({ status }) => status === 'open');
      if (act === 'close' && left.length > 0)
        throw conflict(
          `${left.length === 1 ? 'One consequence is' : `${left.length} consequences are`} not done: ${left
            .slice(0, 3)
            .map(({ title }) => title)
            .join('; ')}. Do each, or refuse it with a reason.`,
        );
      if (act === 'reopen' && why.trim() === '')
        throw refuseField('why', 'There is no reason.', 'Say why it is open again.');
      await this.executor.apply(manager, actor, CORRECTION_CASE_MACHINE, {
        id,
        act,
        version,
        set: { ended: why.trim() },
        detail: { why: why.trim() },
      });
      return this.viewIn(manager, actor, id);
    });
  }

  /** Tells the client what was wrong, and what was done about it. */
  letter(actor: Actor, id: string): Promise<{ name: string; content: Buffer }> {
    return this.database.run(actor, async (manager) => {
      const view = await this.viewIn(manager, actor, id);
      const client = await findClient(manager, view.clientId);
      const firm = (await manager.find(Firm))[0];
      if (!firm) throw new Error('the firm has no record');
      const letter = new Letter('A correction', firm, addressOf(client), showDate(await this.clock.today(manager)));
      letter
        .say(
          `We found on ${showDate(date(view.foundOn))} that something was wrong since ${showDate(date(view.since))}: ${view.what}${/[.!?]$/.test(view.what) ? '' : '.'}`,
        )
        .heading('What follows from it')
        .table(
          [
            { heading: '', width: 268 },
            { heading: 'Due', width: 70 },
            { heading: 'Status', width: 60 },
            { heading: 'Amount', width: 70, isFigure: true },
          ],
          view.consequences.map(({ title, due, status, amount }) => [
            title,
            due === null ? '' : showDate(date(due)),
            status === 'refused' ? 'not done' : status,
            amount === null ? '' : printedDollars(cents(amount)),
          ]),
        );
      return { name: `correction-${view.foundOn}.pdf`, content: await letter.end() };
    });
  }

  private async viewIn(manager: EntityManager, actor: Actor, id: string): Promise<CorrectionCase> {
    const own = await find(manager, id);
    const client = await findClient(manager, own.client_id);
    if (own.status === 'open') await this.refresh(manager, actor, own);
    return {
      id,
      clientId: client.id,
      clientName: client.legalName,
      what: own.what,
      since: own.since,
      foundOn: own.found_on,
      foundBy: own.found_by,
      evidence: own.evidence,
      status: own.status,
      version: own.version,
      openedBy: own.opened_by_name,
      ended: own.ended,
      consequences: (await this.stored(manager, id)).map((row) => ({
        id: row.id,
        kind: row.kind,
        title: row.title,
        amount: row.amount === null ? null : rawCents(row.amount),
        due: row.due,
        path: row.path,
        status: row.status,
        why: row.why,
        isDerived: row.is_derived,
        settledBy: row.settled_by_name,
        settledAt: row.settled_at?.toISOString() ?? null,
      })),
    };
  }

  /** Works out again what follows: what is new is put down, what has gone is done, what has come back is open again. */
  private async refresh(manager: EntityManager, actor: Actor, own: StoredCase): Promise<void> {
    const client = await findClient(manager, own.client_id);
    const today = await this.clock.today(manager);
    const days = { since: date(own.since), foundOn: date(own.found_on), today };
    const found = await this.consequences.of(manager, client, days);
    for (const one of found) await this.put(manager, actor, own, one);
    await manager.query(
      `UPDATE correction_consequence SET status = 'done', why = $3, settled_by = NULL, settled_at = $4
       WHERE case_id = $1 AND is_derived AND status = 'open' AND NOT (key = ANY($2))`,
      [own.id, found.map(({ key }) => key), AGREES, await this.clock.now(manager)],
    );
  }

  private async put(manager: EntityManager, actor: Actor, own: StoredCase, one: Consequence): Promise<void> {
    await manager.query(
      `INSERT INTO correction_consequence (id, firm_id, client_id, case_id, key, kind, title, amount, due, path, is_derived)
       VALUES ($1,$2,$3,$4,$5,$6,$7,$8,$9,$10,$11)
       ON CONFLICT ON CONSTRAINT correction_consequence_once DO UPDATE SET kind = EXCLUDED.kind, title = EXCLUDED.title, amount = EXCLUDED.amount,
         due = EXCLUDED.due, path = EXCLUDED.path,
         status = CASE WHEN correction_consequence.is_derived AND correction_consequence.status = 'done' THEN 'open' ELSE correction_consequence.status END,
         why = CASE WHEN correction_consequence.is_derived AND correction_consequence.status = 'done' THEN '' ELSE correction_consequence.why END,
         settled_at = CASE WHEN correction_consequence.is_derived AND correction_consequence.status = 'done' THEN NULL ELSE correction_consequence.settled_at END`,
      [
        randomUUID(),
        actor.firmId,
        own.client_id,
        own.id,
        one.key,
        one.kind,
        one.title.slice(0, 300),
        one.amount,
        one.due,
        one.path,
        !one.isSaid,
      ],
    );
  }

  private async stored(manager: EntityManager, id: string): Promise<StoredConsequence[]> {
    return (await manager.query(
      `SELECT q.*, u.name AS settled_by_name FROM correction_consequence q LEFT JOIN app_user u ON u.id = q.settled_by WHERE q.case_id = $1
       ORDER BY q.status <> 'open', q.due NULLS LAST, q.title, q.id`,
      [id],
    )) as StoredConsequence[];
  }
}

async function find(manager: EntityManager, id: string): Promise<StoredCase> {
  const rows = (await manager.query(
    'SELECT c.*, u.name AS opened_by_name FROM correction_case c JOIN app_user u ON u.id = c.prepared_by WHERE c.id = $1',
    [id],
  )) as StoredCase[];
  const row = rows[0];
  if (!row) throw notFound('correction');
  return row;
}
function refuseClosed({ status }: StoredCase): void {
  if (status === 'closed') throw conflict('This correction is closed. Open it again first.');
}
