import { Inject, Injectable } from '@nestjs/common';
import type {
  ClearMark,
  ExcessView,
  MakeMark,
  ReportedWagesView,
  WorkingPapersView,
} from '@zakat/contract/working-papers';
import type { FilingKind } from '@zakat/core/filings/kind';
import { periodKey, periodLabel, type FilingPeriod } from '@zakat/core/filings/period';
import { kindOf } from '@zakat/core/filings/registry';
import type { ReturnLine } from '@zakat/core/filings/return-lines';
import type { StateContent } from '@zakat/core/filings/state/compute';
import {
  effectiveRates,
  excessAgainstYear,
  heldBy,
  periodsBefore,
  wagesReported,
  type EffectiveRate,
} from '@zakat/core/filings/working-papers';
import { inForce } from '@zakat/core/jurisdictions/dated';
import { findState } from '@zakat/core/jurisdictions/states';
import type { Cents } from '@zakat/core/money/cents';
import { quarterOf, firstDayOf, lastDayOf } from '@zakat/core/calendar/quarter';
import { taxOf } from '@zakat/core/tax-registry/registry';
import { randomUUID } from 'node:crypto';
import type { EntityManager } from 'typeorm';
import { rawCents } from '../../database/cents-column.js';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { conflict, notFound, refuseField } from '../../http/refusal.js';
import { Audit } from '../audit/index.js';
import { Clock } from '../clock/index.js';
import { Filing, periodOf, titleOf } from '../filing-records/index.js';
import { FilingContent, type Loaded } from './filing-content.js';
import { FilingSource } from './filing-source.js';
import { linesWanted, marksOf, underMark } from './tick-marks.js';

/** Roles whose marks are those of a reviewer. */
const REVIEWERS: readonly Actor['role'][] = ['reviewer', 'administrator'];
/** What has left is told; its marks stay as they were. */
const OPEN: readonly Filing['status'][] = ['draft', 'checked', 'rejected'];

/** A period that a return is compared with: its lines and rates, as it was sent or as the ledger has it; null: nothing is known. */
interface Compared {
  readonly lines: readonly ReturnLine[];
  readonly rates: readonly EffectiveRate[];
}

/** The working papers of a return: its lines with the marks on them, beside what they are compared with. */
@Injectable()
export class WorkingPapers {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(FilingContent) private readonly contents: FilingContent,
    @Inject(FilingSource) private readonly source: FilingSource,
    @Inject(Audit) private readonly audit: Audit,
    @Inject(Clock) private readonly clock: Clock,
  ) {}

  view(actor: Actor, id: string): Promise<WorkingPapersView> {
    return this.database.run(actor, async (manager) => this.viewIn(manager, await this.contents.load(manager, id)));
  }

  mark(actor: Actor, id: string, { line: lineId, mark, note }: MakeMark): Promise<WorkingPapersView> {
    return this.database.run(actor, async (manager) => {
      const loaded = await this.loadOpen(manager, id);
      const line = loaded.kind.lines(await this.contents.compute(manager, loaded)).find((one) => one.id === lineId);
      if (!line) throw refuseField('line', `The return has no line ${lineId}.`, 'Choose one of its lines.');
      if (mark === 'queried' && note.trim() === '')
        throw refuseField('note', 'There is no question.', 'Say what is asked.');
      const isReviewer = REVIEWERS.includes(actor.role);
      const under = underMark(line);
      const now = await this.clock.now(manager);
      // The same mark made again is made on what lies there now.
      await manager.query(
        `INSERT INTO tick_mark (id, firm_id, client_id, filing_id, line, mark, note, under, made_by, is_reviewer, made_at)
         VALUES ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11)
         ON CONFLICT (filing_id, line, mark, made_by) WHERE cleared_at IS NULL DO UPDATE SET under = $8, note = $7, made_at = $11, is_reviewer = $10`,
        [
          randomUUID(),
          actor.firmId,
          loaded.client.id,
          id,
          lineId,
          mark,
          note.trim(),
          under,
          actor.userId,
          isReviewer,
          now,
        ],
      );
      await this.audit.record(manager, actor, 'filing.mark', 'filing', id, { line: lineId, mark, note: note.trim() });
      return this.viewIn(manager, loaded);
    });
  }

  /** Takes a mark away: one's own, or a question with its answer. */
  clear(actor: Actor, markId: string, { answer }: ClearMark): Promise<WorkingPapersView> {
    return this.database.run(actor, async (manager) => {
      const [row] = (await manager.query(
        'SELECT filing_id, mark, line, made_by FROM tick_mark WHERE id = $1 AND cleared_at IS NULL FOR UPDATE',
        [markId],
      )) as { filing_id: string; mark: string; line: string; made_by: string }[];
      if (!row) throw notFound('mark');
      const loaded = await this.loadOpen(manager, row.filing_id);
      if (row.mark === 'queried') {
        if (answer.trim() === '')
          throw refuseField('answer', 'There is no answer.', 'Say how the question was settled.');
      } else if (row.made_by !== actor.userId)
        throw conflict('This is the mark of somebody else. Ask about the line instead.');
      await manager.query('UPDATE tick_mark SET cleared_by = $2, cleared_at = $3, answer = $4 WHERE id = $1', [
        markId,
        actor.userId,
        await this.clock.now(manager),
        answer.trim(),
      ]);
      await this.audit.record(manager, actor, 'filing.unmark', 'filing', row.filing_id, {
        line: row.line,
        mark: row.mark,
        answer: answer.trim(),
      });
      return this.viewIn(manager, loaded);
    });
  }

  private async loadOpen(manager: EntityManager, id: string): Promise<Loaded> {
    await manager.query('SELECT id FROM filing WHERE id = $1 FOR UPDATE', [id]);
    const loaded = await this.contents.load(manager, id);
    if (!OPEN.includes(loaded.filing.status))
      throw conflict(`This ${loaded.kind.noun} is ${loaded.filing.status}: its working papers stand as they are.`);
    return loaded;
  }

  private async viewIn(manager: EntityManager, loaded: Loaded): Promise<WorkingPapersView> {
    const { filing, client, kind, period } = loaded;
    const mayMark = OPEN.includes(filing.status);
    const content = await (mayMark ? this.contents.compute(manager, loaded) : this.contents.shown(manager, loaded));
    const lines = kind.lines(content);
    const marks = await marksOf(manager, filing.id, lines);
    const toMark = await linesWanted(manager, kind, content);
    const base = kind.corrects === undefined ? kind : kindOf(kind.corrects);
    const periods = periodsBefore(period);
    const before = await this.compared(manager, loaded, base, periods.before);
    const yearBefore =
      periodKey(periods.before) === periodKey(periods.yearBefore)
        ? before
        : await this.compared(manager, loaded, base, periods.yearBefore);
    const valueOf = (compared: Compared | null, line: string): number | null =>
      compared?.lines.find(({ id }) => id === line)?.value ?? null;
    const rates = effectiveRates(base, (await this.source.input(manager, client, base, period, filing)).entries);
    return {
      filingId: filing.id,
      title: titleOf(kind, period),
      clientName: client.legalName,
      clientId: client.id,
      status: filing.status,
      periodBefore: periodLabel(periods.before),
      periodYearBefore: periodLabel(periods.yearBefore),
      lines: lines.map(({ id, label, kind: of, value }) => ({
        id,
        label,
        kind: of,
        value,
        before: valueOf(before, id),
        yearBefore: valueOf(yearBefore, id),
        marks: marks.filter(({ line }) => line === id),
      })),
      rates: rates.map(({ tax, wages, amount, percent }) => ({
        tax,
        label: taxOf(tax).label,
        wages,
        amount,
        percent,
        percentBefore: before?.rates.find((one) => one.tax === tax)?.percent ?? '',
      })),
      wages: await this.wagesBeside(manager, loaded),
      excess: await this.excess(manager, loaded, content),
      toMark,
      held: mayMark ? heldBy(marks, toMark) : [],
      mayMark,
    };
  }

  private async compared(
    manager: EntityManager,
    { client }: Loaded,
    kind: FilingKind,
    period: FilingPeriod,
  ): Promise<Compared | null> {
    const sent = await manager.findOne(Filing, {
      where: { clientId: client.id, kind: kind.code, periodStart: period.start },
      order: { sequence: 'DESC' },
    });
    const input = await this.source.input(manager, client, kind, period, sent ?? { entered: {}, answers: {} });
    const rates = effectiveRates(kind, input.entries);
    if (sent?.snapshot) {
      const content = kind.read(sent.snapshot, sent.snapshotVersion ?? kind.snapshotVersion);
      return { lines: kind.lines(content), rates };
    }
    return rates.length === 0 ? null : { lines: kind.lines(kind.compute(input)), rates };
  }

  /** What the client's returns of the quarter report as wages, from the ledger of now. */
  private async wagesBeside(manager: EntityManager, { client, period }: Loaded): Promise<ReportedWagesView[]> {
    if (period.kind === 'year') return [];
    const quarter = quarterOf(period.end);
    const filings = (await manager.find(Filing, { where: { clientId: client.id } })).filter(
      ({ kind, periodStart, periodEnd }) =>
        kindOf(kind).corrects === undefined && periodStart >= firstDayOf(quarter) && periodEnd <= lastDayOf(quarter),
    );
    const found: ReportedWagesView[] = [];
    // The federal return first.
    const rank = ({ kind }: Filing): string => (kind.startsWith('us-') ? ` ${kind}` : kind);
    for (const filing of filings.sort((a, b) => (rank(a) < rank(b) ? -1 : 1))) {
      const kind = kindOf(filing.kind);
      const of = periodOf(filing);
      const content = await this.contents.shown(manager, { filing, client, kind, period: of });
      found.push(
        ...wagesReported(kind, content).map((one) => ({
          ...one,
          title: titleOf(kind, of),
          filingId: filing.id,
          isFederal: kind.jurisdiction === 'US',
        })),
      );
    }
    return found;
  }

  /** Of a report of unemployment wages: who is over the base, against the year to date. */
  private async excess(
    manager: EntityManager,
    { kind, client, period }: Loaded,
    content: unknown,
  ): Promise<ExcessView[]> {
    if (kind.receiver !== 'states' || kind.corrects !== undefined) return [];
    const detail = (content as StateContent).detail.filter(({ excess }) => excess > 0);
    if (detail.length === 0) return [];
    const rows = (await manager.query(
      `SELECT employee_id, sum(subject)::bigint AS subject, sum(wages)::bigint AS wages FROM paycheck_tax
       WHERE client_id = $1 AND tax = $2 AND check_date BETWEEN $3 AND $4 AND employee_id = ANY($5) GROUP BY employee_id`,
      [
        client.id,
        `${kind.jurisdiction}-SUI`,
        `${period.end.slice(0, 4)}-01-01`,
        period.end,
        detail.map(({ person }) => person.employeeId),
      ],
    )) as { employee_id: string; subject: string; wages: string }[];
    return excessAgainstYear(
      detail.map(({ person, wages, excess }) => {
        const year = rows.find((row) => row.employee_id === person.employeeId);
        return {
          employeeId: person.employeeId,
          name: `${person.lastName}, ${person.firstName}`,
          wages,
          excess,
          yearWages: rawCents(year?.subject ?? 0),
          yearTaxable: rawCents(year?.wages ?? 0),
        };
      }),
      await this.baseOf(manager, kind, period),
    );
  }

  /** The unemployment wage base of the state of a report, the firm's own rules in front; null: none is known. */
  private async baseOf(manager: EntityManager, kind: FilingKind, { end }: FilingPeriod): Promise<Cents | null> {
    const state = findState(kind.jurisdiction);
    return state
      ? (inForce(state.unemployment.base, end, await this.source.rulesOn(manager, end))?.value ?? null)
      : null;
  }
}
