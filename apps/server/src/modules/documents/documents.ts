import { Inject, Injectable } from '@nestjs/common';
import { createHash, randomUUID } from 'node:crypto';
import type { EntityManager } from 'typeorm';
import type { Actor } from '../../database/firm-database.js';
import { Secrets } from '../../database/secrets.js';
import { notFound } from '../../http/refusal.js';
import { Clock } from '../clock/index.js';

export interface StoredDocument {
  readonly id: string;
  readonly name: string;
  readonly mediaType: string;
  readonly content: Buffer;
  readonly sha256: string;
}

/** Files and PDFs as they were made: stored once, encrypted, with the hash of their content; never made again. */
@Injectable()
export class Documents {
  constructor(
    @Inject(Secrets) private readonly secrets: Secrets,
    @Inject(Clock) private readonly clock: Clock,
  ) {}

  async store(
    manager: EntityManager,
    actor: Actor,
    /** Null for what is of no one client. */
    clientId: string | null,
    kind: string,
    name: string,
    mediaType: string,
    content: Buffer,
  ): Promise<string> {
    const id = randomUUID();
    const sha256 = createHash('sha256').update(content).digest('hex');
    await manager.query(
      'INSERT INTO document (id, firm_id, client_id, kind, name, media_type, content, sha256, created_at) VALUES ($1,$2,$3,$4,$5,$6,$7,$8,$9)',
      [
        id,
        actor.firmId,
        clientId,
        kind,
        name,
        mediaType,
        this.secrets.seal(content.toString('base64')),
        sha256,
        await this.clock.now(manager),
      ],
    );
    return id;
  }

  async load(manager: EntityManager, id: string): Promise<StoredDocument> {
    const rows = (await manager.query('SELECT name, media_type, content, sha256 FROM document WHERE id = $1', [
      id,
    ])) as { name: string; media_type: string; content: Buffer; sha256: string }[];
    const row = rows[0];
    if (!row) throw notFound('document');
    const content = Buffer.from(this.secrets.open(row.content), 'base64');
    if (createHash('sha256').update(content).digest('hex') !== row.sha256)
      throw new Error('a stored document does not match its hash');
    return { id, name: row.name, mediaType: row.media_type, content, sha256: row.sha256 };
  }

  /** The newest document of a kind and name, or null. */
  async latest(manager: EntityManager, clientId: string, kind: string, name: string): Promise<string | null> {
    const rows = (await manager.query(
      'SELECT id FROM document WHERE client_id = $1 AND kind = $2 AND name = $3 ORDER BY created_at DESC LIMIT 1',
      [clientId, kind, name],
    )) as { id: string }[];
    return rows[0]?.id ?? null;
  }
}
