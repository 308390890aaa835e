import { Inject, Injectable } from '@nestjs/common';
import type {
  AnswerQuestions,
  CreateFiling,
  EnterAmounts,
  FilingRow,
  FilingView,
  FormOwed,
  SignFiling,
} from '@zakat/contract/filings';
import type { ReleaseSlip } from '@zakat/contract/remittances';
import { date, parseDate } from '@zakat/core/calendar/local-date';
import type { FilingKind } from '@zakat/core/filings/kind';
import { parsePeriod, periodKey, type FilingPeriod } from '@zakat/core/filings/period';
import { filesKind, findKind, kindOf } from '@zakat/core/filings/registry';
import { randomUUID } from 'node:crypto';
import type { EntityManager } from 'typeorm';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { Secrets } from '../../database/secrets.js';
import { conflict, notFound, refuse, refuseField } from '../../http/refusal.js';
import { WorkQueue } from '../../queue/work-queue.js';
import { Executor } from '../../state-machines/executor.js';
import { FILING_MACHINE } from '../../state-machines/machine.js';
import { Audit } from '../audit/index.js';
import { type Client, findClient } from '../clients/index.js';
import { Clock } from '../clock/index.js';
import { Documents, type StoredDocument } from '../documents/index.js';
import { refuseFailed, Releases } from '../outbox/index.js';
import { filedElsewhere } from '../filed-elsewhere/index.js';
import { Filing, titleOf } from '../filing-records/index.js';
import { FilingContent, digestOf, type Loaded } from './filing-content.js';
import { FilingForms } from './filing-forms.js';
import { FilingPayment } from './filing-payment.js';
import { FilingSlip } from './filing-slip.js';
import { FilingSource } from './filing-source.js';
import { FilingViews, rowOf } from './filing-view.js';
import { drawAuthorization } from './authorization-pdf.js';
import { drawReturn } from './return-pdf.js';
import { drawW2c } from './w2c-pdf.js';

type Paper = Pick<StoredDocument, 'name' | 'mediaType' | 'content'>;
/** What a new attempt begins without. */
const UNSIGNED = {
  signed_by: null,
  signer_pin_cipher: null,
  signed_on: null,
  payment_account_id: null,
  payment_on: null,
};

@Injectable()
export class FilingsService {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(FilingContent) private readonly contents: FilingContent,
    @Inject(FilingForms) private readonly forms: FilingForms,
    @Inject(FilingPayment) private readonly payment: FilingPayment,
    @Inject(FilingSlip) private readonly slips: FilingSlip,
    @Inject(FilingViews) private readonly views: FilingViews,
    @Inject(FilingSource) private readonly source: FilingSource,
    @Inject(Executor) private readonly executor: Executor,
    @Inject(Audit) private readonly audit: Audit,
    @Inject(Documents) private readonly documents: Documents,
    @Inject(Releases) private readonly releases: Releases,
    @Inject(Clock) private readonly clock: Clock,
    @Inject(Secrets) private readonly secrets: Secrets,
    @Inject(WorkQueue) private readonly queue: WorkQueue,
  ) {}

  list(actor: Actor, clientId: string): Promise<FilingRow[]> {
    return this.database.run(actor, async (manager) => {
      const client = await findClient(manager, clientId);
      const filings = await manager.find(Filing, { where: { clientId }, order: { due: 'DESC', kind: 'ASC' } });
      return filings.map((filing) => rowOf(filing, client));
    });
  }

  /** The forms of a year: which the client files, for which periods, and how each stands. */
  owed(actor: Actor, clientId: string, year: number): Promise<FormOwed[]> {
    return this.database.run(actor, async (manager) =>
      this.forms.ofYear(manager, await findClient(manager, clientId), year),
    );
  }

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
      const id = randomUUID();
      await manager.insert(Filing, {
        id,
        firmId: actor.firmId,
        clientId,
        kind: kind.code,
        jurisdiction: kind.jurisdiction,
        periodStart: period.start,
        periodEnd: period.end,
        sequence: 1,
        due: kind.due(period).due,
        status: 'draft',
        version: 1,
        attempt: 1,
        entered: {},
        answers: {},
        preparedBy: actor.userId ?? '',
        createdAt: await this.clock.now(manager),
      });
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
    const id = randomUUID();
    await manager.insert(Filing, {
      id,
      firmId: actor.firmId,
      clientId: client.id,
      kind: kind.code,
      jurisdiction: kind.jurisdiction,
      periodStart: period.start,
      periodEnd: period.end,
      corrects: earlier.at(-1)?.id ?? original?.id ?? null,
      sequence: earlier.length + 1,
      due: kind.due(period).due,
      status: 'draft',
      version: 1,
      attempt: 1,
      // Amounts that were entered on the original are part of it until somebody changes them.
      entered: earlier.at(-1)?.entered ?? original?.entered ?? {},
      answers: { discovered: await this.clock.today(manager) },
      preparedBy: actor.userId ?? '',
      createdAt: await this.clock.now(manager),
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
      const result = await manager.update(
        Filing,
        { id, version: input.version, status: 'draft' },
        { answers, version: input.version + 1 },
      );
      if (result.affected !== 1) throw conflict('Somebody changed this filing meanwhile. Look again before you save.');
      await this.audit.record(manager, actor, 'filing.enter', 'filing', id, { from: filing.answers, to: answers });
      return this.views.of(manager, id);
    });
  }

  view(actor: Actor, id: string): Promise<FilingView> {
    return this.database.run(actor, (manager) => this.views.of(manager, id));
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
      const result = await manager.update(
        Filing,
        { id, version: input.version, status: 'draft' },
        { entered, version: input.version + 1 },
      );
      if (result.affected !== 1) throw conflict('Somebody changed this filing meanwhile. Look again before you save.');
      await this.audit.record(manager, actor, 'filing.enter', 'filing', id, { from: filing.entered, to: entered });
      return this.views.of(manager, id);
    });
  }

  /** Runs every check; with an error it stays a draft, else the figures are kept as the snapshot that will be released. */
  check(actor: Actor, id: string, version: number): Promise<FilingView> {
    return this.database.run(actor, async (manager) => {
      const loaded = await this.contents.load(manager, id);
      const content = await this.contents.compute(manager, loaded);
      const issues = await this.contents.issuesOf(manager, loaded, content);
      const errors = issues.filter((issue) => issue.severity === 'error');
      if (errors.length > 0) throw refuse(errors);
      const snapshot = this.contents.stored(loaded.kind, content);
      await this.executor.apply(manager, actor, FILING_MACHINE, {
        id,
        act: 'check',
        version,
        set: {
          snapshot: JSON.stringify(snapshot),
          snapshot_version: loaded.kind.snapshotVersion,
          snapshot_digest: digestOf(snapshot),
          ...(loaded.kind.dueFor ? { due: loaded.kind.dueFor(content) } : {}),
          ...UNSIGNED,
        },
      });
      return this.views.of(manager, id);
    });
  }

  reopen(actor: Actor, id: string, version: number): Promise<FilingView> {
    return this.database.run(actor, async (manager) => {
      const { filing } = await this.contents.load(manager, id);
      const attempt = filing.status === 'rejected' ? filing.attempt + 1 : filing.attempt;
      await this.executor.apply(manager, actor, FILING_MACHINE, {
        id,
        act: 'reopen',
        version,
        set: { attempt, snapshot: null, snapshot_version: null, snapshot_digest: null, ...UNSIGNED },
      });
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

  /** Records the signer's PIN for the checked return, and how its balance is paid. The figures are then what was signed. */
  sign(actor: Actor, id: string, input: SignFiling): Promise<FilingView> {
    return this.database.run(actor, async (manager) => {
      const loaded = await this.contents.load(manager, id);
      const { filing, kind } = loaded;
      if (kind.signedBy === null) throw conflict(`${kind.name} go without a signature.`);
      if (!/^\d{5}$/.test(input.pin) || input.pin === '00000')
        throw refuseField(
          'pin',
          'A signature PIN has five digits, not all zero.',
          `Ask the signer for the PIN on ${kind.signedBy}.`,
        );
      if (filing.status !== 'checked') throw conflict(`This filing is ${filing.status}; only a checked one is signed.`);
      if (input.payment) await this.payment.refuseUnlessSound(manager, loaded, input.payment);
      const result = await manager.update(
        Filing,
        { id, version: input.version, status: 'checked' },
        {
          signedBy: actor.userId,
          signerPinCipher: this.secrets.seal(input.pin),
          signedOn: await this.clock.today(manager),
          paymentAccountId: input.payment?.bankAccountId ?? null,
          paymentOn: input.payment?.on ?? null,
          version: input.version + 1,
        },
      );
      if (result.affected !== 1) throw conflict('Somebody changed this filing meanwhile. Look again before you sign.');
      await this.audit.record(manager, actor, 'filing.sign', 'filing', id, { payment: input.payment?.on ?? null });
      return this.views.of(manager, id);
    });
  }

  slip(actor: Actor, id: string): Promise<ReleaseSlip> {
    return this.database.run(actor, async (manager) => (await this.slips.rehearse(manager, actor, id)).slip);
  }

  async release(actor: Actor, id: string, version: number): Promise<FilingView> {
    const view = await this.database.run(actor, async (manager) => {
      await manager.query('SELECT id FROM filing WHERE id = $1 FOR UPDATE', [id]);
      const rehearsed = await this.slips.rehearse(manager, actor, id);
      const { filing, client, kind, period, content, slip } = rehearsed;
      if (kind.handedTo !== undefined)
        throw conflict(`${kind.name} is not sent from here: it is filed with ${kind.handedTo}. Record when it was.`);
      if (filing.status === 'checked') {
        refuseFailed(slip);
        if (filing.paymentAccountId && filing.paymentOn)
          await this.payment.refuseUnlessSound(manager, rehearsed, {
            bankAccountId: filing.paymentAccountId,
            on: filing.paymentOn,
          });
      }
      const documentId = await this.releases.release(manager, actor, FILING_MACHINE, {
        id,
        version,
        clientId: client.id,
        kind: 'filing',
        receiver: kind.receiver,
        documentKind: kind.code,
        attempt: filing.attempt,
        name: kind.fileName(period, client.ein),
        mediaType: kind.mediaType,
        content: Buffer.from(slip.file, 'utf8'),
        set: { submission_id: null },
        detail: { kind: kind.code, attempt: filing.attempt },
      });
      if (kind.lines(content).length > 0)
        await this.documents.store(
          manager,
          actor,
          client.id,
          'return-paper',
          `${id}/${filing.attempt}`,
          'application/pdf',
          await this.paperOf(manager, rehearsed, content, false),
        );
      await this.note(manager, actor, filing, 'released', null, `Released by ${actor.role}.`, null, documentId);
      return this.views.of(manager, id);
    });
    await this.queue.wake();
    return view;
  }

  /** The return as PDF: as it was sent once it was released, before that a draft that is kept nowhere. */
  returnPdf(actor: Actor, id: string): Promise<Paper> {
    return this.database.run(actor, async (manager) => {
      const loaded = await this.contents.load(manager, id);
      const { filing, client, kind } = loaded;
      const name = kind.fileName(loaded.period, client.ein).replace(/\.\w+$/, '');
      const hasLeft = filing.status !== 'draft' && filing.status !== 'checked';
      const stored = hasLeft
        ? await this.documents.latest(manager, client.id, 'return-paper', `${id}/${filing.attempt}`)
        : null;
      if (stored) return { ...(await this.documents.load(manager, stored)), name: `${name}.pdf` };
      const content = await this.contents.shown(manager, loaded);
      if (kind.lines(content).length === 0) throw notFound('PDF');
      return {
        name: `${name}-draft.pdf`,
        mediaType: 'application/pdf',
        content: await this.paperOf(manager, loaded, content, !hasLeft),
      };
    });
  }

  /** The authorization that the signer gives: with the figures that were checked. */
  authorizationPdf(actor: Actor, id: string): Promise<Paper> {
    return this.database.run(actor, async (manager) => {
      const loaded = await this.contents.load(manager, id);
      const { filing, client, kind, period } = loaded;
      if (kind.signedBy === null) throw notFound('authorization');
      if (filing.snapshot === null) throw conflict('It is signed once it is checked. Run the checks first.');
      const facts = await this.source.facts(manager, client, period);
      return {
        name: `8879-EMP-${kind.code}-${periodKey(period)}.pdf`,
        mediaType: 'application/pdf',
        content: await drawAuthorization(kind, await this.contents.shown(manager, loaded), facts),
      };
    });
  }

  /** The W-2c of one person as PDF: the boxes that change, as reported and as they should be. */
  w2cPdf(actor: Actor, id: string, employeeId: string): Promise<Paper> {
    return this.database.run(actor, async (manager) => {
      const loaded = await this.contents.load(manager, id);
      const { filing, client, kind } = loaded;
      const form = kind
        .copies?.(await this.contents.shown(manager, loaded))
        .find(({ person }) => person.employeeId === employeeId);
      if (!form) throw notFound('W-2c');
      const isDraft = filing.status === 'draft' || filing.status === 'checked';
      const year = filing.periodStart.slice(0, 4);
      return {
        name: isDraft ? `W-2c-${year}-draft.pdf` : `W-2c-${year}.pdf`,
        mediaType: 'application/pdf',
        content: await drawW2c({ year, form, employer: { ...client, name: client.legalName }, isDraft }),
      };
    });
  }

  file(actor: Actor, id: string): Promise<StoredDocument> {
    return this.database.run(actor, async (manager) => {
      const { filing } = await this.contents.load(manager, id);
      if (!filing.documentId) throw notFound('file');
      await this.audit.record(manager, actor, 'filing.open-file', 'filing', id);
      return this.documents.load(manager, filing.documentId);
    });
  }

  private async paperOf(manager: EntityManager, loaded: Loaded, content: unknown, isDraft: boolean): Promise<Buffer> {
    const { filing, client, kind, period } = loaded;
    return drawReturn({
      kind,
      content,
      facts: await this.source.facts(manager, client, period),
      isDraft,
      signedOn: filing.signedOn === null ? null : date(filing.signedOn),
    });
  }

  private async note(
    manager: EntityManager,
    actor: Actor,
    filing: Filing,
    stage: string,
    code: string | null,
    message: string,
    field: string | null,
    documentId: string | null,
  ): Promise<void> {
    await manager.query(
      'INSERT INTO filing_event (firm_id, filing_id, at, stage, code, message, field, attempt, document_id) VALUES ($1,$2,$3,$4,$5,$6,$7,$8,$9)',
      [actor.firmId, filing.id, await this.clock.now(manager), stage, code, message, field, filing.attempt, documentId],
    );
  }
}
