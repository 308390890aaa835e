import { Inject, Injectable } from '@nestjs/common';
import type { CreateFiling, FilingRow, FilingView, SignFiling } from '@zakat/contract/filings';
import type { ReleaseSlip } from '@zakat/contract/remittances';
import { form941Due, formW2Due } from '@zakat/core/deposits/due';
import type { FormW2 } from '@zakat/core/yearend/w2';
import { randomUUID } from 'node:crypto';
import type { EntityManager } from 'typeorm';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { Secrets } from '../../database/secrets.js';
import { conflict, notFound, refuse, refuseField } from '../../http/refusal.js';
import { Jobs } from '../../jobs/jobs.js';
import { Executor } from '../../state-machines/executor.js';
import { FILING_MACHINE } from '../../state-machines/machine.js';
import { Audit } from '../audit/audit.js';
import { findClient } from '../clients/clients.service.js';
import type { Client } from '../clients/entities.js';
import { Clock } from '../clock/clock.js';
import { Documents, type StoredDocument } from '../documents/documents.js';
import { Releases, refuseFailed } from '../outbox/releases.js';
import { Filing } from './entities.js';
import { filedElsewhere } from '../take-overs/take-over-store.js';
import { FilingContent, digestOf } from './filing-content.js';
import { FilingSlip } from './filing-slip.js';
import { FilingSource } from './filing-source.js';
import { FilingViews, rowOf } from './filing-view.js';
import { drawW2 } from './w2-pdf.js';

@Injectable()
export class FilingsService {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(FilingContent) private readonly contents: FilingContent,
    @Inject(FilingSlip) private readonly slips: FilingSlip,
    @Inject(FilingViews) private readonly views: FilingViews,
    @Inject(FilingSource) private readonly source: FilingSource,
    @Inject(Executor) private readonly executor: Executor,
    @Inject(Audit) private readonly audit: Audit,
    @Inject(Documents) private readonly documents: Documents,
    @Inject(Releases) private readonly releases: Releases,
    @Inject(Clock) private readonly clock: Clock,
    @Inject(Secrets) private readonly secrets: Secrets,
    @Inject(Jobs) private readonly jobs: Jobs,
  ) {}

  list(actor: Actor, clientId: string): Promise<FilingRow[]> {
    return this.database.run(actor, async (manager) => {
      const client = await findClient(manager, clientId);
      const filings = await manager.find(Filing, { where: { clientId }, order: { due: 'DESC', form: 'ASC' } });
      return filings.map((filing) => rowOf(filing, client));
    });
  }

  create(actor: Actor, clientId: string, input: CreateFiling): Promise<{ id: string }> {
    const isQuarterly = input.form === '941';
    if (isQuarterly !== (input.quarter !== null) || (input.quarter !== null && input.quarter > 4))
      throw refuseField(
        'quarter',
        'Form 941 is for a quarter, Forms W-2 for a year.',
        'Give a quarter from 1 to 4 for Form 941 only.',
      );
    return this.database.run(actor, async (manager) => {
      const client = await findClient(manager, clientId);
      const id = randomUUID();
      const quarter = input.quarter as 1 | 2 | 3 | 4 | null;
      const other =
        quarter === null ? null : await this.source.otherFamily(manager, client, { year: input.year, quarter });
      if (other !== null)
        throw refuseField(
          'form',
          `This client files ${other === 'schedule-h' ? 'Schedule H' : `Form ${other}`}, not Form 941.`,
          'Change the kind of employer in its facts, or prepare the other form elsewhere.',
        );
      const elsewhere = await filedElsewhere(manager, clientId);
      if (elsewhere.some((form) => form.year === input.year && form.quarter === quarter))
        throw refuseField(
          'quarter',
          `Form 941 for this quarter was filed by the former provider.`,
          'Choose a quarter that is filed from here.',
        );
      const { due } = quarter === null ? formW2Due(input.year) : form941Due(input.year, quarter);
      await manager.insert(Filing, {
        id,
        firmId: actor.firmId,
        clientId,
        form: input.form,
        year: input.year,
        quarter,
        due,
        status: 'draft',
        version: 1,
        attempt: 1,
        preparedBy: actor.userId ?? '',
        createdAt: await this.clock.now(manager),
      });
      await this.audit.record(manager, actor, 'filing.create', 'filing', id, {
        form: input.form,
        year: input.year,
        quarter,
      });
      return { id };
    });
  }

  view(actor: Actor, id: string): Promise<FilingView> {
    return this.database.run(actor, (manager) => this.views.of(manager, id));
  }

  /** Runs every check; with an error it stays a draft, else the figures are kept as the snapshot that will be released. */
  check(actor: Actor, id: string, version: number): Promise<FilingView> {
    return this.database.run(actor, async (manager) => {
      const { filing, client } = await this.contents.load(manager, id);
      const content = await this.contents.compute(manager, client, filing);
      const issues = await this.contents.issuesOf(manager, client, filing, content);
      const errors = issues.filter((issue) => issue.severity === 'error');
      if (errors.length > 0) throw refuse(errors);
      const snapshot = this.contents.stored(content);
      await this.executor.apply(manager, actor, FILING_MACHINE, {
        id,
        act: 'check',
        version,
        set: {
          snapshot: JSON.stringify(snapshot),
          snapshot_digest: digestOf(snapshot),
          signed_by: null,
          signer_pin_cipher: null,
          signed_on: null,
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
        set: {
          attempt,
          snapshot: null,
          snapshot_digest: null,
          signed_by: null,
          signer_pin_cipher: null,
          signed_on: null,
        },
      });
      return this.views.of(manager, id);
    });
  }

  /** Records the signer's PIN for the checked return. The figures are then what was signed. */
  sign(actor: Actor, id: string, input: SignFiling): Promise<FilingView> {
    if (!/^\d{5}$/.test(input.pin) || input.pin === '00000')
      throw refuseField(
        'pin',
        'A signature PIN has five digits, not all zero.',
        'Ask the signer for the PIN on Form 8879-EMP.',
      );
    return this.database.run(actor, async (manager) => {
      const { filing } = await this.contents.load(manager, id);
      if (filing.status !== 'checked') throw conflict(`This filing is ${filing.status}; only a checked one is signed.`);
      const result = await manager.update(
        Filing,
        { id, version: input.version, status: 'checked' },
        {
          signedBy: actor.userId,
          signerPinCipher: this.secrets.seal(input.pin),
          signedOn: await this.clock.today(manager),
          version: input.version + 1,
        },
      );
      if (result.affected !== 1) throw conflict('Somebody changed this filing meanwhile. Look again before you sign.');
      await this.audit.record(manager, actor, 'filing.sign', 'filing', id);
      return this.views.of(manager, id);
    });
  }

  slip(actor: Actor, id: string): Promise<ReleaseSlip> {
    return this.database.run(actor, async (manager) => (await this.slips.rehearse(manager, actor, id)).slip);
  }

  async release(actor: Actor, id: string, version: number): Promise<FilingView> {
    const view = await this.database.run(actor, async (manager) => {
      await manager.query('SELECT id FROM filing WHERE id = $1 FOR UPDATE', [id]);
      const { filing, client, content, slip } = await this.slips.rehearse(manager, actor, id);
      if (filing.status === 'checked') refuseFailed(slip);
      const isReturn = filing.form === '941';
      const documentId = await this.releases.release(manager, actor, FILING_MACHINE, {
        id,
        version,
        clientId: client.id,
        kind: isReturn ? 'return-941' : 'wage-file',
        attempt: filing.attempt,
        name: isReturn
          ? `941-${filing.year}Q${filing.quarter}-${client.ein}.xml`
          : `W2-${filing.year}-${client.ein}.txt`,
        mediaType: isReturn ? 'application/xml' : 'text/plain',
        content: Buffer.from(slip.file, 'utf8'),
        set: { submission_id: null },
        detail: { form: filing.form, attempt: filing.attempt },
      });
      if (content.form === 'W-2')
        for (const form of content.set.forms) await this.storeW2(manager, actor, client, filing, form);
      await this.note(manager, actor, filing, 'released', null, `Released by ${actor.role}.`, null, documentId);
      return this.views.of(manager, id);
    });
    await this.jobs.wake();
    return view;
  }

  /** The W-2 of one person as PDF: the stored one once released, before that a draft that is kept nowhere. */
  w2Pdf(actor: Actor, id: string, employeeId: string): Promise<Pick<StoredDocument, 'name' | 'mediaType' | 'content'>> {
    return this.database.run(actor, async (manager) => {
      const { filing, client } = await this.contents.load(manager, id);
      const stored = await this.documents.latest(manager, client.id, 'w2', `${id}/${employeeId}`);
      if (stored && filing.status !== 'draft')
        return { ...(await this.documents.load(manager, stored)), name: `W-2-${filing.year}.pdf` };
      const set = await this.source.w2Set(manager, client, filing.year);
      const form = set.forms.find((candidate) => candidate.person.employeeId === employeeId);
      if (!form) throw notFound('W-2');
      return {
        name: `W-2-${filing.year}-draft.pdf`,
        mediaType: 'application/pdf',
        content: await drawW2({
          year: filing.year,
          form,
          employer: { ...client, name: client.legalName },
          isDraft: true,
        }),
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

  private async storeW2(
    manager: EntityManager,
    actor: Actor,
    client: Client,
    filing: Filing,
    form: FormW2,
  ): Promise<void> {
    const pdf = await drawW2({
      year: filing.year,
      form,
      employer: { ...client, name: client.legalName },
      isDraft: false,
    });
    await this.documents.store(
      manager,
      actor,
      client.id,
      'w2',
      `${filing.id}/${form.person.employeeId}`,
      'application/pdf',
      pdf,
    );
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
