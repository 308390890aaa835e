import { Inject, Injectable } from '@nestjs/common';
import type { QuestionView } from '@zakat/contract/people';
import { showDate, type LocalDate, date } from '@zakat/core/calendar/local-date';
import { questionLines } from '@zakat/core/readiness/gaps';
import { randomUUID } from 'node:crypto';
import type { EntityManager } from 'typeorm';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { refuseField } from '../../http/refusal.js';
import { Executor } from '../../state-machines/executor.js';
import { QUESTION_MACHINE } from '../../state-machines/machine.js';
import { Secrets } from '../../database/secrets.js';
import { Audit } from '../audit/index.js';
import { findClient, Firm } from '../clients/index.js';
import { Clock } from '../clock/index.js';
import { enterAnswer, entersItself, type Answered } from './enter-answer.js';
import { letterPdf } from './letter-pdf.js';
import { ReadinessService } from './readiness.service.js';

interface StoredQuestion {
  readonly id: string;
  readonly employee_id: string | null;
  readonly who: string;
  readonly asks: string;
  readonly status: QuestionView['status'];
  readonly answer_cipher: Buffer | null;
  readonly asked_on: string;
  readonly chase_on: string;
  readonly field: string;
  readonly version: number;
}

/** Questions to a client: asked in one letter, answered, and accepted by another person than the one who wrote it down. */
@Injectable()
export class QuestionsService {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(Audit) private readonly audit: Audit,
    @Inject(Clock) private readonly clock: Clock,
    @Inject(Executor) private readonly executor: Executor,
    @Inject(ReadinessService) private readonly readiness: ReadinessService,
    @Inject(Secrets) private readonly secrets: Secrets,
  ) {}

  list(actor: Actor, clientId: string): Promise<QuestionView[]> {
    return this.database.run(actor, async (manager) => {
      await findClient(manager, clientId);
      return this.listIn(manager, clientId);
    });
  }

  /** Asks everything that only the client can answer and that does not wait for an answer already. */
  ask(actor: Actor, clientId: string, chaseOn: LocalDate): Promise<QuestionView[]> {
    return this.database.run(actor, async (manager) => {
      const client = await findClient(manager, clientId);
      const today = await this.clock.today(manager);
      if (chaseOn < today) throw refuseField('chaseOn', 'The chase date lies in the past.', 'Use a day from today on.');
      const gaps = (await this.readiness.gapsIn(manager, client, today)).filter((gap) => gap.question !== null);
      const rows = gaps.map((gap) => ({
        id: randomUUID(),
        who: gap.personId,
        key: gap.key,
        field: gap.field,
        asks: gap.question,
      }));
      await manager.query(
        `INSERT INTO question (id, firm_id, client_id, employee_id, gap_key, field, asks, asked_on, chase_on, asked_by)
         SELECT r.id, $1, $2, r.who, r.key, r.field, r.asks, $3, $4, $5 FROM jsonb_to_recordset($6::jsonb) AS r(id uuid, who uuid, key text, field text, asks text)
         ON CONFLICT DO NOTHING`,
        [actor.firmId, clientId, today, chaseOn, actor.userId, JSON.stringify(rows)],
      );
      await this.audit.record(manager, actor, 'question.ask', 'client', clientId, { questions: rows.length, chaseOn });
      return this.listIn(manager, clientId);
    });
  }

  act(
    actor: Actor,
    id: string,
    act: 'answer' | 'reopen' | 'accept' | 'withdraw',
    version: number,
    answer = '',
  ): Promise<void> {
    return this.database.run(actor, async (manager) => {
      await this.executor.apply(manager, actor, QUESTION_MACHINE, {
        id,
        act,
        version,
        set:
          act === 'answer'
            ? { answer_cipher: this.secrets.seal(answer), answered_by: actor.userId }
            : act === 'accept'
              ? { accepted_by: actor.userId }
              : {},
      });
      if (act === 'accept') await this.enter(manager, actor, id);
    });
  }

  /** An accepted answer that is a field of the record goes into it; the rest is entered by hand. */
  private async enter(manager: EntityManager, actor: Actor, id: string): Promise<void> {
    const rows = (await manager.query(
      'SELECT client_id, employee_id, field, answer_cipher FROM question WHERE id = $1',
      [id],
    )) as (Omit<Answered, 'answer'> & Pick<StoredQuestion, 'answer_cipher'>)[];
    const row = rows[0];
    const question = row && { ...row, answer: this.opened(row) };
    if (question && entersItself(question))
      await enterAnswer(manager, actor, this.audit, await this.clock.today(manager), question);
  }

  /** Answers are about people: they are kept sealed. */
  private opened({ answer_cipher: answer }: Pick<StoredQuestion, 'answer_cipher'>): string {
    return answer ? this.secrets.open(answer) : '';
  }

  /** The one letter to a client, as PDF. */
  letter(actor: Actor, clientId: string): Promise<{ name: string; content: Buffer }> {
    return this.database.run(actor, async (manager) => {
      const client = await findClient(manager, clientId);
      const today = await this.clock.today(manager);
      const lines = questionLines(await this.readiness.gapsIn(manager, client, today));
      const firm = (await manager.find(Firm))[0];
      if (!firm) throw new Error('the firm has no record');
      const content = await letterPdf({
        firm,
        client,
        day: showDate(date(today)),
        lines: lines.map((line) => ({ ...line, by: line.by === null ? '' : showDate(line.by) })),
      });
      return { name: `questions-${client.key.toLowerCase()}.pdf`, content };
    });
  }

  private async listIn(manager: EntityManager, clientId: string): Promise<QuestionView[]> {
    const rows = (await manager.query(
      `SELECT q.*, coalesce(e.first_name || ' ' || e.last_name, '') AS who FROM question q LEFT JOIN employee e ON e.id = q.employee_id WHERE q.client_id = $1 ORDER BY q.status <> 'answered', q.status <> 'asked', q.chase_on, who`,
      [clientId],
    )) as StoredQuestion[];
    return rows.map((row) => ({
      id: row.id,
      personId: row.employee_id,
      who: row.who,
      asks: row.asks,
      status: row.status,
      answer: this.opened(row),
      askedOn: row.asked_on,
      chaseOn: row.chase_on,
      field: row.field,
      entersItself: entersItself(row),
      version: row.version,
    }));
  }
}
