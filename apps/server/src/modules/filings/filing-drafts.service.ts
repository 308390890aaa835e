import { Inject, Injectable } from '@nestjs/common';
import type { AnswerQuestions, CreateFiling, EnterAmounts, FilingView } from '@zakat/contract/filings';
import { parseDate } from '@zakat/core/calendar/local-date';
import type { FilingKind } from '@zakat/core/filings/kind';
import { parsePeriod, periodKey, type FilingPeriod } from '@zakat/core/filings/period';
import { filesKind, findKind, kindOf } from '@zakat/core/filings/registry';
import type { EntityManager } from 'typeorm';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { conflict, refuseField } from '../../http/refusal.js';
import { Audit } from '../audit/index.js';
import { type Client, findClient } from '../clients/index.js';
import { Clock } from '../clock/index.js';
import { filedElsewhere } from '../filed-elsewhere/index.js';
import { Filing, newFiling, titleOf } from '../filing-records/index.js';
import { changeDraft } from './change-draft.js';
import { FilingContent } from './filing-content.js';
import { FilingSource } from './filing-source.js';
import { FilingViews } from './filing-view.js';

/** Drafts: begun, as an original or as a correction, answered, amounts entered, thrown away. */
@Injectable()
export class FilingDrafts {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(FilingContent) private readonly contents: FilingContent,
    @Inject(FilingViews) private readonly views: FilingViews,
    @Inject(FilingSource) private readonly source: FilingSource,
    @Inject(Audit) private readonly audit: Audit,
    @Inject(Clock) private readonly clock: Clock,
  ) {}

  create(actor: Actor, clientId: string, input: CreateFiling): Promise<{ id: string }> {
    const kind = findKind(input.kind);
    if (!kind)
      throw refuseField('kind', 'This form is not prepared here.', 'Choose one of the list, or prepare it elsewhere.');
    const period = parsePeriod(input.period);
    if (!period || period.kind !== kind.period)
      throw refuseField(
        'period',
        `${kind.name} is for a ${kind.period}.`,
        `Write the ${kind.period} like ${{ month: '2026-03', quarter: '2026-Q1', year: '2026' }[kind.period]}.`,
      );
    return this.database.run(actor, async (manager) => {
      const client = await findClient(manager, clientId);
      if (kind.corrects !== undefined) return this.correct(manager, actor, client, kind, period);
      const { employer, choices } = await this.source.employer(manager, client, period);
      const files = filesKind(kind, employer, choices);
      if (!files.is)
        throw refuseField(
          'kind',
          `This client does not file ${kind.name}: ${files.why}`,
          'Change what it is or which forms it files in its facts, or prepare the form elsewhere.',
        );
      const elsewhere = await filedElsewhere(manager, clientId);
      if (elsewhere.some((one) => one.kind === kind.code && one.period.start === period.start))
        throw refuseField(
          'period',
          `${titleOf(kind, period)} was filed by the former provider.`,
          'Choose a period that is filed from here.',
        );
      const made = newFiling(actor, clientId, kind, period, await this.clock.now(manager));
      const { id } = made;
      await manager.insert(Filing, made);
      await this.audit.record(manager, actor, 'filing.create', 'filing', id, { kind: kind.code, period: input.period });
      return { id };
    });
  }

  /** Begins the correction of an accepted filing: one at a time, each upon the last. */
  private async correct(
    manager: EntityManager,
    actor: Actor,
    client: Client,
    kind: FilingKind,
    period: FilingPeriod,
  ): Promise<{ id: string }> {
    const rows = await manager.find(Filing, {
      where: { clientId: client.id, periodStart: period.start },
      order: { sequence: 'ASC' },
    });
    const original = rows.find((row) => row.kind === kind.corrects && row.status === 'accepted');
    const isElsewhere =
      kindOf(kind.corrects ?? '').filedElsewhere !== undefined &&
      (await filedElsewhere(manager, client.id)).some(
        (one) => one.kind === kind.corrects && one.period.start === period.start,
      );
    if (!original && !isElsewhere)
      throw refuseField(
        'kind',
        `No accepted ${kindOf(kind.corrects ?? '').name} of this period is known here.`,
        'Correct what was accepted; what was filed elsewhere is corrected where it was filed.',
      );
    const earlier = rows.filter((row) => row.kind === kind.code);
    if (earlier.some(({ status }) => status !== 'accepted'))
      throw conflict(`A ${kind.name} of this period is under way. Finish it first.`);
    const made = newFiling(actor, client.id, kind, period, await this.clock.now(manager));
    const { id } = made;
    await manager.insert(Filing, {
      ...made,
      corrects: earlier.at(-1)?.id ?? original?.id ?? null,
      sequence: earlier.length + 1,
      // Amounts that were entered on the original are part of it until somebody changes them.
      entered: ofOriginal(earlier.at(-1)?.entered ?? original?.entered ?? {}, kind),
      answers: { discovered: await this.clock.today(manager) },
    });
    if (kind.dueFor) {
      const content = await this.contents.compute(manager, await this.contents.load(manager, id));
      await manager.update(Filing, { id }, { due: kind.dueFor(content) });
    }
    await this.audit.record(manager, actor, 'filing.create', 'filing', id, {
      kind: kind.code,
      period: periodKey(period),
    });
    return { id };
  }

  /** Answers to the questions of a draft. */
  answer(actor: Actor, id: string, input: AnswerQuestions): Promise<FilingView> {
    return this.database.run(actor, async (manager) => {
      const { filing, kind } = await this.contents.load(manager, id);
      if (filing.status !== 'draft') throw conflict(`This filing is ${filing.status}; open it again to change it.`);
      const answers: Record<string, string> = {};
      for (const { name, answer } of input.answers) {
        const question = kind.questions?.find((one) => one.name === name);
        const text = answer.trim();
        if (!question) throw refuseField('answers', `${kind.name} does not ask ${name}.`, 'Leave it out.');
        if (text !== '' && question.kind === 'day' && parseDate(text) === null)
          throw refuseField(name, `${question.label}: this is not a day.`, 'Write it like 2026-10-22.');
        if (text !== '' && question.choices && !question.choices.some(([value]) => value === text))
          throw refuseField(name, `${question.label}: this is not one of the choices.`, 'Choose one of the list.');
        if (text !== '') answers[name] = text;
      }
      const change = { audit: this.audit, actor, filing, version: input.version };
      await changeDraft(manager, change, 'answers', answers);
      return this.views.of(manager, id);
    });
  }

  /** Amounts that no ledger knows: entered on a draft, one for each line that the kind asks for. */
  enter(actor: Actor, id: string, input: EnterAmounts): Promise<FilingView> {
    return this.database.run(actor, async (manager) => {
      const { filing, kind } = await this.contents.load(manager, id);
      if (filing.status !== 'draft') throw conflict(`This filing is ${filing.status}; open it again to change it.`);
      const unknown = input.amounts.find(({ name }) => !kind.asks.some((ask) => ask.name === name));
      if (unknown)
        throw refuseField('amounts', `${kind.name} has no amount ${unknown.name} to enter.`, 'Leave it out.');
      const negative = input.amounts.findIndex(({ amount }) => amount < 0);
      if (negative >= 0) throw refuseField(`amounts[${negative}]`, 'This is below zero.', 'Give zero or more.');
      const entered = Object.fromEntries(
        input.amounts.filter(({ amount }) => amount !== 0).map(({ name, amount }) => [name, amount]),
      );
      const change = { audit: this.audit, actor, filing, version: input.version };
      await changeDraft(manager, change, 'entered', entered);
      return this.views.of(manager, id);
    });
  }

  /** Takes away a draft of which nothing has ever left. The trail keeps that it was there. */
  discard(actor: Actor, id: string, version: number): Promise<void> {
    return this.database.run(actor, async (manager) => {
      const { filing, kind, period } = await this.contents.load(manager, id);
      // What somebody else sent was only taken in here: it goes as a draft goes, while nothing corrects it.
      if (filing.isElsewhere && (await manager.countBy(Filing, { corrects: id })) > 0)
        throw conflict('A correction was begun from it. Discard that first.');
      if (!filing.isElsewhere && filing.status !== 'draft')
        throw conflict(`This filing is ${filing.status}; only a draft can be discarded.`);
      const left = (await manager.query('SELECT 1 FROM filing_event WHERE filing_id = $1 LIMIT 1', [id])) as unknown[];
      if (left.length > 0) throw conflict('It was released before: what left is kept. Send it again, corrected.');
      const result = await manager.delete(Filing, { id, version, status: filing.status });
      if (result.affected !== 1) throw conflict('Somebody changed this filing meanwhile. Look again before you act.');
      await this.audit.record(manager, actor, 'filing.discard', 'filing', id, {
        clientId: filing.clientId,
        kind: kind.code,
        period: periodKey(period),
      });
    });
  }
}

/** Amounts that the original asks for; what a correction alone asks for is of that correction. */
function ofOriginal(entered: Readonly<Record<string, number>>, kind: FilingKind): Record<string, number> {
  const asked = new Set(kindOf(kind.corrects ?? '').asks.map(({ name }) => name));
  return Object.fromEntries(
    Object.entries(entered).filter(([name]) => kind.takesBoxes !== undefined || asked.has(name)),
  );
}
