import { Inject, Injectable } from '@nestjs/common';
import { date } from '@zakat/core/calendar/local-date';
import { text } from '@zakat/core/facts/fact-kind';
import { clientOnDay } from '@zakat/core/facts/on-day';
import { problem } from '@zakat/core/issues/issue';
import { periodKey } from '@zakat/core/filings/period';
import { FILING_KINDS, filesKind } from '@zakat/core/filings/registry';
import type { EntityManager } from 'typeorm';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { conflict, notFound, refuse } from '../../http/refusal.js';
import { Audit } from '../audit/index.js';
import { Firm, findClient, formsOnDay, type Client } from '../clients/index.js';
import { Clock } from '../clock/index.js';
import { Documents, type StoredDocument } from '../documents/index.js';
import { FactStore } from '../facts/index.js';
import { FilingContent, type Loaded } from './filing-content.js';
import { FilingSource } from './filing-source.js';
import { drawAgentAuthorization } from './agent-pdf.js';
import { drawAuthorization } from './authorization-pdf.js';
import { drawReturn } from './return-pdf.js';
import { drawW2c } from './w2c-pdf.js';

/** The kind of document that a kept paper is. */
const PAPER = 'return-paper';
type Paper = Pick<StoredDocument, 'name' | 'mediaType' | 'content'>;

/** What Form 8655 says of the client, and cannot be left blank on it. */
const AGENT_NEEDS = [
  ['ein', 'The EIN'],
  ['street', 'The street'],
  ['city', 'The city'],
  ['state', 'The state'],
  ['zip', 'The ZIP code'],
  ['contactName', 'The contact'],
  ['phone', 'The telephone number'],
  ['signerName', 'The signer of returns'],
  ['signerTitle', 'The title of the signer'],
] as const satisfies readonly (readonly [keyof Client, string])[];

/** What can be printed or opened of a filing. */
@Injectable()
export class FilingPapers {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(FilingContent) private readonly contents: FilingContent,
    @Inject(FilingSource) private readonly source: FilingSource,
    @Inject(Audit) private readonly audit: Audit,
    @Inject(FactStore) private readonly facts: FactStore,
    @Inject(Clock) private readonly clock: Clock,
    @Inject(Documents) private readonly documents: Documents,
  ) {}

  /** The return as PDF: as it was sent once it was released, before that a draft that is kept nowhere. */
  returnPdf(actor: Actor, id: string): Promise<Paper> {
    return this.database.run(actor, async (manager) => {
      const loaded = await this.contents.load(manager, id);
      const { filing, client, kind } = loaded;
      const name = kind.fileName(loaded.period, client.ein).replace(/\.\w+$/, '');
      const hasLeft = filing.status !== 'draft' && filing.status !== 'checked';
      const stored = hasLeft ? await this.documents.latest(manager, client.id, PAPER, `${id}/${filing.attempt}`) : null;
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

  /** Form 8655 of a client by its latest entry: what is sent to be signed. */
  agentPdf(actor: Actor, clientId: string): Promise<Paper> {
    return this.database.run(actor, async (manager) => {
      const client = await findClient(manager, clientId);
      const facts = await this.facts.ofClient(manager, clientId);
      const today = await this.clock.today(manager);
      const { agent: terms } = clientOnDay(facts, today);
      if (!terms || text(terms, 'standing') === 'revoked')
        throw conflict('There is no Form 8655 in force. Enter its terms under Setup first.');
      const missing = AGENT_NEEDS.flatMap(([field, what]) =>
        client[field] === '' ? [problem('gap.text', field, { what })] : [],
      );
      if (missing.length > 0) throw refuse(missing);
      const { employer, choices } = formsOnDay(facts, today);
      const returns = FILING_KINDS.filter(
        (kind) => kind.signedBy !== null && kind.corrects === undefined && filesKind(kind, employer, choices).is,
      );
      if (returns.length === 0) throw conflict('The client files no federal return that is signed here.');
      const firm = (await manager.find(Firm))[0];
      if (!firm) throw notFound('firm');
      return {
        name: `8655-${client.key}.pdf`,
        mediaType: 'application/pdf',
        content: await drawAgentAuthorization({
          taxpayer: { ...client, name: client.legalName },
          agent: firm,
          terms,
          returns: returns.map(({ name }) => name),
        }),
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

  /** Keeps the paper of what leaves, by attempt. */
  async keep(manager: EntityManager, actor: Actor, loaded: Loaded, content: unknown): Promise<void> {
    const { filing, client } = loaded;
    const name = `${filing.id}/${filing.attempt}`;
    const paper = await this.paperOf(manager, loaded, content, false);
    await this.documents.store(manager, actor, client.id, PAPER, name, 'application/pdf', paper);
  }

  private async paperOf(manager: EntityManager, loaded: Loaded, content: unknown, isDraft: boolean): Promise<Buffer> {
    const { filing, client, kind, period } = loaded;
    return drawReturn({
      kind,
      content,
      facts: await this.source.facts(manager, client, period),
      isDraft,
      signedOn: filing.signedOn === null ? null : date(filing.signedOn),
      agent: filing.agentSigner,
    });
  }
}
