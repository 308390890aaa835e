import { Inject, Injectable } from '@nestjs/common';
import {
  ATTACHMENT_SUBJECTS,
  type AddAttachment,
  type AttachmentRow,
  type AttachmentSubject,
} from '@zakat/contract/attachments';
import { createHash, randomUUID } from 'node:crypto';
import type { EntityManager } from 'typeorm';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { notFound, refuseField } from '../../http/refusal.js';
import { Audit } from '../audit/index.js';
import { Clock } from '../clock/index.js';
import { Documents, mediaKindOf, type StoredDocument } from '../documents/index.js';

/** Where each subject is, and what the audit trail calls it. */
const SUBJECTS: Readonly<
  Record<AttachmentSubject, { readonly table: string; readonly client: string; readonly name: string }>
> = {
  notice: { table: 'agency_notice', client: 'client_id', name: 'notice' },
  'correction-case': { table: 'correction_case', client: 'client_id', name: 'correction case' },
  remittance: { table: 'remittance', client: 'client_id', name: 'remittance' },
  client: { table: 'client', client: 'id', name: 'client' },
};
const MOST_BYTES = 5_500_000;
const MOST_OF_ONE = 50;
/** Papers as they came, kept beside what they are about: encrypted, once each, never changed. */
@Injectable()
export class Attachments {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(Documents) private readonly documents: Documents,
    @Inject(Audit) private readonly audit: Audit,
    @Inject(Clock) private readonly clock: Clock,
  ) {}

  list(actor: Actor, subject: string, subjectId: string): Promise<AttachmentRow[]> {
    return this.database.run(actor, async (manager) => {
      await this.clientOf(manager, subject, subjectId);
      return this.listIn(manager, subject, subjectId);
    });
  }

  add(actor: Actor, { subject, subjectId, fileName, content }: AddAttachment): Promise<AttachmentRow[]> {
    const bytes = Buffer.from(content, 'base64');
    const kind = mediaKindOf(bytes);
    if (!kind) throw refuseField('file', 'The file is no PDF, PNG or JPEG.', 'Scan or save the paper as one of these.');
    if (bytes.length > MOST_BYTES)
      throw refuseField('file', 'The file is larger than 5 MB.', 'Save it smaller, or in parts.');
    const { mediaType, suffix } = kind;
    return this.database.run(actor, async (manager) => {
      const clientId = await this.clientOf(manager, subject, subjectId);
      const before = await this.listIn(manager, subject, subjectId);
      if (before.length >= MOST_OF_ONE)
        throw refuseField('file', 'Fifty papers are kept here already.', 'Put them in one PDF.');
      const digest = createHash('sha256').update(bytes).digest('hex');
      const known = (await manager.query('SELECT 1 FROM attachment WHERE subject_id = $1 AND digest = $2', [
        subjectId,
        digest,
      ])) as unknown[];
      if (known.length > 0) throw refuseField('file', 'This paper is kept here already.', 'Choose another one.');
      const documentId = await this.documents.store(
        manager,
        actor,
        clientId,
        'attachment',
        named(fileName, suffix),
        mediaType,
        bytes,
      );
      await manager.query(
        'INSERT INTO attachment (id, firm_id, client_id, subject_kind, subject_id, document_id, bytes, digest, added_by, added_at) VALUES ($1,$2,$3,$4,$5,$6,$7,$8,$9,$10)',
        [
          randomUUID(),
          actor.firmId,
          clientId,
          subject,
          subjectId,
          documentId,
          bytes.length,
          digest,
          actor.userId,
          await this.clock.now(manager),
        ],
      );
      await this.audit.record(
        manager,
        actor,
        subject === 'client' ? 'client.paper' : 'attachment.add',
        SUBJECTS[subject].name,
        subjectId,
        {
          file: named(fileName, suffix),
        },
      );
      return this.listIn(manager, subject, subjectId);
    });
  }

  open(actor: Actor, id: string): Promise<StoredDocument> {
    return this.database.run(actor, async (manager) => {
      const rows = (await manager.query('SELECT document_id FROM attachment WHERE id = $1', [id])) as {
        document_id: string;
      }[];
      if (!rows[0]) throw notFound('paper');
      return this.documents.load(manager, rows[0].document_id);
    });
  }

  /** The client of a subject; a subject that is not there, or not of this firm, is not found. */
  private async clientOf(manager: EntityManager, subject: string, subjectId: string): Promise<string> {
    if (!(ATTACHMENT_SUBJECTS as readonly string[]).includes(subject)) throw notFound('subject');
    const { table, client, name } = SUBJECTS[subject as AttachmentSubject];
    const rows = (await manager.query(`SELECT ${client} AS client_id FROM ${table} WHERE id = $1`, [subjectId])) as {
      client_id: string;
    }[];
    if (!rows[0]) throw notFound(name);
    return rows[0].client_id;
  }

  private async listIn(manager: EntityManager, subject: string, subjectId: string): Promise<AttachmentRow[]> {
    const rows = (await manager.query(
      `SELECT a.id, d.name, a.bytes, u.name AS added_by, a.added_at FROM attachment a JOIN document d ON d.id = a.document_id JOIN app_user u ON u.id = a.added_by
       WHERE a.subject_kind = $1 AND a.subject_id = $2 ORDER BY a.added_at, a.id`,
      [subject, subjectId],
    )) as { id: string; name: string; bytes: number; added_by: string; added_at: Date }[];
    return rows.map((row) => ({
      id: row.id,
      name: row.name,
      bytes: row.bytes,
      addedBy: row.added_by,
      addedAt: row.added_at.toISOString(),
    }));
  }
}

/** A plain name with the ending that the content has. */
const named = (fileName: string, suffix: string): string =>
  `${
    fileName
      .replace(/\.[^.]*$/, '')
      .replace(/[^\w .()-]+/g, '_')
      .slice(0, 100)
      .trim() || 'paper'
  }.${suffix}`;
