import { Inject, Injectable } from '@nestjs/common';
import type {
  AnswerNotice,
  MoveNotice,
  NoticeKind,
  NoticeStatus,
  NoticeView,
  NoticesView,
  RecordNotice,
} from '@zakat/contract/notices';
import { date, showDate, showShortDate } from '@zakat/core/calendar/local-date';
import { cents } from '@zakat/core/money/cents';
import { kindOf } from '@zakat/core/filings/registry';
import { AGENCIES, agencyName } from '@zakat/core/tax-registry/registry';
import { showEin } from '@zakat/core/identity/numbers';
import { randomUUID } from 'node:crypto';
import type { EntityManager } from 'typeorm';
import { printedDollars } from '../documents/index.js';
import { rawCents } from '../../database/cents-column.js';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { dayFrom } from '../../http/day.js';
import { conflict, notFound, refuseField } from '../../http/refusal.js';
import { Executor } from '../../state-machines/executor.js';
import { NOTICE_MACHINE } from '../../state-machines/machine.js';
import { Audit } from '../audit/index.js';
import { findClient, Firm } from '../clients/index.js';
import { Clock } from '../clock/index.js';
import { Filing, periodOf, titleOf } from '../filing-records/index.js';
import { Letter } from '../letters/index.js';
import { daysOfPeriod, ledgerOfNotice } from './notice-ledger.js';

/** Lines of an address that the window of an envelope shows below the name. */
const MOST_LINES = 4;
interface StoredNotice {
  readonly id: string;
  readonly client_id: string;
  readonly agency: string;
  readonly number: string;
  readonly kind: NoticeKind;
  readonly dated_on: string;
  readonly respond_by: string | null;
  readonly period: string;
  readonly amount: string | null;
  readonly says: string;
  readonly reply_to: string;
  readonly filing_id: string | null;
  readonly status: NoticeStatus;
  readonly version: number;
  readonly answer: string;
  readonly answered_on: string | null;
  readonly ended: string;
}

/** Letters of the agencies: taken in once, set against the ledger, answered, followed until they are closed. */
@Injectable()
export class NoticesService {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(Executor) private readonly executor: Executor,
    @Inject(Audit) private readonly audit: Audit,
    @Inject(Clock) private readonly clock: Clock,
  ) {}

  list(actor: Actor, clientId: string): Promise<NoticesView> {
    return this.database.run(actor, async (manager) => {
      await findClient(manager, clientId);
      const rows = (await manager.query(
        `SELECT * FROM agency_notice WHERE client_id = $1 ORDER BY status = 'closed', respond_by NULLS LAST, dated_on DESC`,
        [clientId],
      )) as StoredNotice[];
      const agencies = (await manager.query(
        `SELECT agency FROM tax_account WHERE client_id = $1 UNION SELECT agency FROM ledger_entry WHERE client_id = $1 UNION SELECT 'IRS' ORDER BY 1`,
        [clientId],
      )) as { agency: string }[];
      const filings = await manager.find(Filing, { where: { clientId }, order: { periodStart: 'DESC', kind: 'ASC' } });
      return {
        notices: await Promise.all(rows.map((row) => this.viewOf(manager, row))),
        agencies: agencies.map(({ agency }) => ({ code: agency, name: agencyName(agency) })),
        returns: filings.map((filing) => ({
          id: filing.id,
          title: returnTitle(filing),
          agency: kindOf(filing.kind).agency.code,
        })),
      };
    });
  }

  record(actor: Actor, clientId: string, input: RecordNotice): Promise<{ id: string }> {
    const datedOn = dayFrom(input.datedOn, 'datedOn');
    const respondBy = input.respondBy === null ? null : dayFrom(input.respondBy, 'respondBy');
    if (!(input.agency in AGENCIES))
      throw refuseField('agency', 'This agency is not known.', 'Choose one of the agencies of the client.');
    if (input.period !== '' && !daysOfPeriod(input.period))
      throw refuseField('period', 'This is no quarter or year.', 'Give a quarter like 2026-Q3, a year, or nothing.');
    if (input.amount !== null && input.amount < 0)
      throw refuseField('amount', 'The amount is below zero.', 'Give what the notice asks for, or leave it blank.');
    if (linesOf(input.replyTo).length > MOST_LINES)
      throw refuseField(
        'replyTo',
        'The address has too many lines.',
        `Give at most ${MOST_LINES}, without the name of the agency.`,
      );
    if (respondBy !== null && respondBy < datedOn)
      throw refuseField(
        'respondBy',
        'This is before the notice.',
        'Give the last day to answer, as the notice says it.',
      );
    return this.database.run(actor, async (manager) => {
      await findClient(manager, clientId);
      if (datedOn > (await this.clock.today(manager)))
        throw refuseField('datedOn', 'This day is still to come.', 'Give the date that stands on the notice.');
      if (input.filingId !== null && !(await manager.existsBy(Filing, { id: input.filingId, clientId })))
        throw refuseField('filingId', 'This return is not one of the client.', 'Choose one of its returns, or none.');
      const id = randomUUID();
      const rows = (await manager.query(
        `INSERT INTO agency_notice (id, firm_id, client_id, agency, number, kind, dated_on, respond_by, period, amount, says, filing_id, prepared_by, created_at, reply_to)
           VALUES ($1,$2,$3,$4,$5,$6,$7,$8,$9,$10,$11,$12,$13,$14,$15) ON CONFLICT ON CONSTRAINT agency_notice_once DO NOTHING RETURNING id`,
        [
          id,
          actor.firmId,
          clientId,
          input.agency,
          input.number.trim(),
          input.kind,
          datedOn,
          respondBy,
          input.period,
          input.amount,
          input.says.trim(),
          input.filingId,
          actor.userId,
          await this.clock.now(manager),
          linesOf(input.replyTo).join('\n'),
        ],
      )) as { id: string }[];
      if (rows.length === 0)
        throw refuseField(
          'number',
          `This notice of ${showShortDate(datedOn)} is recorded already.`,
          'Look for it in the list below.',
        );
      await this.audit.record(manager, actor, 'notice.record', 'notice', id, {
        clientId,
        number: input.number.trim(),
        datedOn,
        ...(respondBy === null ? {} : { respondBy }),
      });
      return { id };
    });
  }

  answer(actor: Actor, id: string, { version, answer }: AnswerNotice): Promise<NoticeView> {
    return this.database.run(actor, async (manager) => {
      if (answer.trim() === '') throw refuseField('answer', 'There is no answer.', 'Write what the agency is told.');
      await this.executor.apply(manager, actor, NOTICE_MACHINE, {
        id,
        act: 'answer',
        version,
        set: { answer: answer.trim(), answered_on: await this.clock.today(manager) },
      });
      return this.viewOf(manager, await find(manager, id));
    });
  }

  /** Closes a notice with how it ended, or opens it again with the reason. */
  move(actor: Actor, id: string, act: 'close' | 'reopen', { version, why }: MoveNotice): Promise<NoticeView> {
    return this.database.run(actor, async (manager) => {
      if (why.trim() === '')
        throw refuseField('why', 'There is no reason.', 'Say how it ended, or why it is open again.');
      await this.executor.apply(manager, actor, NOTICE_MACHINE, {
        id,
        act,
        version,
        set: { ended: act === 'close' ? why.trim() : '' },
        detail: { why: why.trim() },
      });
      return this.viewOf(manager, await find(manager, id));
    });
  }

  /** The letter to the agency: what the notice was, the answer, and what the ledger has, payment by payment. */
  letter(actor: Actor, id: string): Promise<{ name: string; content: Buffer }> {
    return this.database.run(actor, async (manager) => {
      const stored = await find(manager, id);
      if (stored.answer === '') throw conflict('This notice has no answer yet. Write it first.');
      const notice = await this.viewOf(manager, stored);
      const client = await findClient(manager, stored.client_id);
      const firm = (await manager.find(Firm))[0];
      if (!firm) throw new Error('the firm has no record');
      const letter = new Letter(
        `Answer to notice ${notice.number}`,
        firm,
        [notice.agencyName, ...linesOf(notice.replyTo)],
        showDate(date(notice.answeredOn ?? notice.datedOn)),
      );
      letter.pairs([
        ['Your notice', `${notice.number}, dated ${showDate(date(notice.datedOn))}`],
        ['Taxpayer', `${client.legalName}, EIN ${showEin(client.ein)}`],
        ...(notice.period === '' ? [] : [['Tax period', notice.period.replace(/^(\d{4})-(Q\d)$/, '$2 $1')] as const]),
        ...(notice.filingTitle === null ? [] : [['Return', notice.filingTitle] as const]),
      ]);
      letter.page.moveDown();
      letter.say(notice.answer);
      if (notice.ledger.length > 0)
        letter.heading('The records of the taxpayer').table(
          [
            { heading: '', width: 190 },
            { heading: '', width: 190 },
            { heading: 'Amount', width: 88, isFigure: true },
          ],
          notice.ledger.map(({ label, detail, amount }) => [label, detail, printedDollars(cents(amount))]),
        );
      return {
        name: `notice-${notice.number.replace(/[^A-Za-z0-9]+/g, '-').toLowerCase()}.pdf`,
        content: await letter.end(),
      };
    });
  }

  private async viewOf(manager: EntityManager, row: StoredNotice): Promise<NoticeView> {
    const amount = row.amount === null ? null : rawCents(row.amount);
    const filing = row.filing_id === null ? null : await manager.findOneBy(Filing, { id: row.filing_id });
    return {
      id: row.id,
      agency: row.agency,
      agencyName: agencyName(row.agency),
      number: row.number,
      kind: row.kind,
      datedOn: row.dated_on,
      respondBy: row.respond_by,
      period: row.period,
      amount,
      says: row.says,
      replyTo: row.reply_to,
      filingId: row.filing_id,
      filingTitle: filing && returnTitle(filing),
      status: row.status,
      version: row.version,
      answer: row.answer,
      answeredOn: row.answered_on,
      ended: row.ended,
      ledger: await ledgerOfNotice(manager, row.client_id, row.agency, row.period, amount),
    };
  }
}

/** Lines of an address as they were typed, without the empty ones. */
const linesOf = (text: string): string[] =>
  text
    .split('\n')
    .map((line) => line.trim())
    .filter((line) => line !== '');
const returnTitle = (filing: Filing): string => titleOf(kindOf(filing.kind), periodOf(filing));

async function find(manager: EntityManager, id: string): Promise<StoredNotice> {
  const rows = (await manager.query('SELECT * FROM agency_notice WHERE id = $1', [id])) as StoredNotice[];
  const row = rows[0];
  if (!row) throw notFound('notice');
  return row;
}
