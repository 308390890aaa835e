import { Inject, Injectable } from '@nestjs/common';
import type { FilingEventView, FilingRow, FilingView, ReturnLineView } from '@zakat/contract/filings';
import { periodKey, periodLabel } from '@zakat/core/filings/period';
import { kindOf } from '@zakat/core/filings/registry';
import type { W2Set } from '@zakat/core/filings/us-w2/form';
import type { Issue } from '@zakat/core/issues/issue';
import type { ReturnLine } from '@zakat/core/filings/return-lines';
import { IsNull, LessThan, Not, type EntityManager } from 'typeorm';
import { detailOf } from '../../http/refusal.js';
import { BankAccount, type Client } from '../clients/index.js';
import { Outbox } from '../outbox/index.js';
import { Filing, periodOf, titleOf } from '../filing-records/index.js';
import { FilingContent, type Loaded } from './filing-content.js';
import { FilingSource } from './filing-source.js';
import { Signing } from './signing.service.js';
import { pageOf, strangersOf } from './wage-statements.service.js';

/** A filing as the screens show it. */
@Injectable()
export class FilingViews {
  constructor(
    @Inject(FilingContent) private readonly contents: FilingContent,
    @Inject(FilingSource) private readonly source: FilingSource,
    @Inject(Outbox) private readonly outbox: Outbox,
    @Inject(Signing) private readonly signing: Signing,
  ) {}

  /** `fresh`: the issues of what was just computed, which are then not looked for again. */
  async of(manager: EntityManager, id: string, fresh?: readonly Issue[]): Promise<FilingView> {
    const loaded = await this.contents.load(manager, id);
    const { filing, client, kind } = loaded;
    const isSnapshot = filing.snapshot !== null;
    const content = await this.contents.shown(manager, loaded);
    const hasLeft = isSnapshot && filing.status !== 'checked';
    const problems = hasLeft
      ? []
      : (fresh ??
        // What stands as it was checked is compared with the ledger as it is now.
        (await this.contents.issuesOf(
          manager,
          loaded,
          isSnapshot ? await this.contents.compute(manager, loaded) : content,
        )));
    const events = (await manager.query(
      'SELECT at, stage, code, message, field, attempt FROM filing_event WHERE filing_id = $1 ORDER BY id',
      [id],
    )) as (Omit<FilingEventView, 'at'> & { at: Date })[];
    const names = (await manager.query('SELECT id, name FROM app_user WHERE id = ANY($1)', [
      [filing.preparedBy, filing.signedBy],
    ])) as { id: string; name: string }[];
    const nameOf = (userId: string | null): string | null => names.find((user) => user.id === userId)?.name ?? null;
    const before = await this.before(manager, loaded);
    const agent = await this.signing.agentOf(manager, loaded);
    return {
      ...rowOf(filing, client),
      lines: kind.lines(content).map((line) => lineView(line, before?.lines ?? null)),
      beforePeriod: before?.period ?? null,
      tables: kind.tables(content).map((table) => ({
        title: table.title,
        columns: table.columns.map(({ label, kind: cells }) => ({ label, kind: cells })),
        rows: table.rows.map((row) => [...row]),
        isList: table.isList === true,
      })),
      isElsewhere: filing.isElsewhere,
      typed: await this.typed(manager, loaded),
      w2s: kind.statements ? pageOf(kind.statements(content), strangersOf(content)) : null,
      asks: kind.asks.map((ask) => ({ ...ask, amount: filing.entered[ask.name] ?? 0 })),
      questions: (kind.questions ?? []).map(({ choices, ...question }) => ({
        ...question,
        choices: (choices ?? []).map(([value, label]) => ({ value, label })),
        answer: filing.answers[question.name] ?? '',
      })),
      correction: filing.status === 'accepted' ? await this.correction(manager, loaded) : null,
      correctsId: filing.corrects,
      copies: (kind.copies?.(content) ?? []).map(({ person }) => ({
        employeeId: person.employeeId,
        name: `${person.lastName}, ${person.firstName}`,
      })),
      balance: await this.balance(manager, loaded, content),
      problems: problems.map(detailOf),
      events: events.map((event) => ({ ...event, at: event.at.toISOString() })),
      preparedBy: nameOf(filing.preparedBy) ?? '',
      signedWith: kind.signedBy,
      agent: agent?.pin ? agent.says : null,
      handedTo: kind.handedTo ?? null,
      signedBy: nameOf(filing.signedBy),
      submissionId: filing.submissionId,
      refusableUntil: filing.status === 'accepted' ? filing.refusableUntil : null,
      documentId: filing.documentId,
      delivery: await this.outbox.standing(manager, id),
      laterDue: hasLeft ? null : await this.laterDue(manager, loaded),
      amendedBy: kind.amendedBy,
      isSnapshot,
    };
  }

  /** The lines of the last period before this one that was checked here: what a line is compared with. */
  private async before(
    manager: EntityManager,
    { filing, client, kind, period }: Loaded,
  ): Promise<{ period: string; lines: readonly ReturnLine[] } | null> {
    if (kind.corrects !== undefined) return null;
    const last = await manager.findOne(Filing, {
      where: {
        clientId: client.id,
        kind: filing.kind,
        periodStart: LessThan(period.start),
        snapshotVersion: Not(IsNull()),
      },
      order: { periodStart: 'DESC' },
    });
    if (!last) return null;
    const kept = kind.read(last.snapshot, last.snapshotVersion ?? kind.snapshotVersion);
    return { period: periodLabel(periodOf(last)), lines: kind.lines(kept) };
  }

  /** Whose boxes are typed on a correction of a year that was run elsewhere. */
  private async typed(manager: EntityManager, loaded: Loaded): Promise<FilingView['typed']> {
    const { filing, client, kind, period } = loaded;
    if (!kind.takesBoxes) return null;
    const input = await this.source.input(manager, client, kind, period, filing, filing.sequence);
    if (!kind.takesBoxes(input)) return null;
    const filed = ((input.original as W2Set | null)?.forms ?? []).map(({ person }) => person);
    const known = new Set(filed.map(({ employeeId }) => employeeId));
    // Somebody who had no statement may be given one.
    return [...filed, ...input.statements.people.filter(({ employeeId }) => !known.has(employeeId))].map((person) => ({
      employeeId: person.employeeId,
      name: `${person.lastName}, ${person.firstName}${known.has(person.employeeId) ? '' : ' (nothing filed)'}`,
    }));
  }

  /** What an accepted filing would be today, beside what stands at the agency, and what corrects it. */
  private async correction(
    manager: EntityManager,
    { filing, client, kind, period }: Loaded,
  ): Promise<FilingView['correction']> {
    const found = await this.contents.compared(manager, client, kind, period, filing);
    if (!found) return null;
    const { by, differs, lines } = found;
    const rows = await manager.find(Filing, {
      where: { clientId: client.id, kind: by.code, periodStart: filing.periodStart },
      order: { sequence: 'ASC' },
    });
    return {
      kind: by.code,
      name: by.name,
      differs,
      lines: lines.map(({ id, label, kind: is, reported, correct }) => ({
        id,
        label,
        kind: is,
        filed: reported,
        now: correct,
      })),
      corrections: rows.map((row) => ({ id: row.id, title: titleOf(by, period), status: row.status })),
    };
  }

  private async balance(
    manager: EntityManager,
    { filing, kind }: Loaded,
    content: unknown,
  ): Promise<FilingView['balance']> {
    const amount = kind.pays?.balance(content) ?? 0;
    if (amount <= 0) return null;
    const bank = filing.paymentAccountId
      ? await manager.findOneByOrFail(BankAccount, { id: filing.paymentAccountId })
      : null;
    return {
      amount,
      from: bank && `${bank.label}, ${bank.bankName}, ending ${bank.accountTail}`,
      on: filing.paymentOn,
    };
  }

  private async laterDue(manager: EntityManager, { client, kind, period }: Loaded): Promise<string | null> {
    if (!kind.laterWhenDeposited || !kind.pays) return null;
    const isOnTime = await this.source.isDepositedOnTime(manager, client, kind.pays.family, period);
    return isOnTime ? kind.laterWhenDeposited(period) : null;
  }
}

export function rowOf(filing: Filing, client: Client): FilingRow {
  const kind = kindOf(filing.kind);
  const period = periodOf(filing);
  return {
    id: filing.id,
    clientId: client.id,
    clientName: client.legalName,
    einTail: client.ein.slice(-4),
    kind: kind.code,
    title: titleOf(kind, period),
    noun: kind.noun,
    period: periodKey(period),
    status: filing.status,
    attempt: filing.attempt,
    version: filing.version,
    due: filing.due,
  };
}
const lineView = (line: ReturnLine, before: readonly ReturnLine[] | null): ReturnLineView => ({
  before: before?.find(({ id }) => id === line.id)?.value ?? null,
  id: line.id,
  label: line.label,
  value: line.value,
  kind: line.kind,
  working: line.working as ReturnLineView['working'],
  taxes: line.entries?.taxes.join(',') ?? null,
  of: line.entries?.of ?? null,
});
