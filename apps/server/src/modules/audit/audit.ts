import { Injectable } from '@nestjs/common';
import { createHash } from 'node:crypto';
import type { EntityManager } from 'typeorm';
import type { Actor } from '../../database/firm-database.js';
import { Clock } from '../clock/index.js';

const FIRST = '0'.repeat(64);

interface AuditRecord {
  readonly seq: string;
  readonly at: Date;
  readonly user_id: string | null;
  readonly action: string;
  readonly subject_kind: string;
  readonly subject_id: string;
  readonly detail: Record<string, unknown>;
  readonly previous_hash: string;
  readonly hash: string;
}

/** JSON with sorted keys: the text that is hashed must not depend on the order the database keeps. */
const canonical = (value: unknown): string => {
  if (Array.isArray(value)) return `[${value.map(canonical).join(',')}]`;
  if (value !== null && typeof value === 'object') {
    return `{${Object.entries(value)
      .sort(([a], [b]) => (a < b ? -1 : 1))
      .map(([key, inner]) => `${JSON.stringify(key)}:${canonical(inner)}`)
      .join(',')}}`;
  }
  return JSON.stringify(value) ?? 'null';
};
const hashOf = (parts: readonly unknown[]): string => createHash('sha256').update(canonical(parts)).digest('hex');

/** The trail of who did what: each entry holds the hash of the one before, so that a change in the past shows. */
@Injectable()
export class Audit {
  constructor(private readonly clock: Clock) {}

  /** Adds an entry in the caller's transaction. `detail` holds identifiers, states and amounts; never a person's number. */
  async record(
    manager: EntityManager,
    actor: Actor,
    action: string,
    subjectKind: string,
    subjectId: string,
    detail: Record<string, unknown> = {},
  ): Promise<void> {
    // One writer at a time for each firm keeps the chain a chain.
    await manager.query(`SELECT pg_advisory_xact_lock(hashtextextended('audit ' || $1, 0))`, [actor.firmId]);
    const last = (await manager.query(
      'SELECT seq, hash FROM audit_entry WHERE firm_id = $1 ORDER BY seq DESC LIMIT 1',
      [actor.firmId],
    )) as { seq: string; hash: string }[];
    const seq = Number(last[0]?.seq ?? 0) + 1;
    const previous = last[0]?.hash ?? FIRST;
    const at = await this.clock.now(manager);
    const stored = JSON.parse(JSON.stringify(detail)) as Record<string, unknown>;
    const hash = hashOf([previous, seq, at.toISOString(), actor.userId, action, subjectKind, subjectId, stored]);
    await manager.query(
      'INSERT INTO audit_entry (firm_id, seq, at, user_id, action, subject_kind, subject_id, detail, previous_hash, hash) VALUES ($1,$2,$3,$4,$5,$6,$7,$8,$9,$10)',
      [actor.firmId, seq, at, actor.userId, action, subjectKind, subjectId, stored, previous, hash],
    );
  }

  /** Recomputes the chain. `brokenAt` is the first entry that does not fit, or null. */
  async verify(manager: EntityManager): Promise<{ entries: number; brokenAt: number | null }> {
    const rows = (await manager.query('SELECT * FROM audit_entry ORDER BY seq')) as AuditRecord[];
    let previous = FIRST;
    for (const [index, row] of rows.entries()) {
      const hash = hashOf([
        previous,
        Number(row.seq),
        row.at.toISOString(),
        row.user_id,
        row.action,
        row.subject_kind,
        row.subject_id,
        row.detail,
      ]);
      if (row.previous_hash !== previous || row.hash !== hash || Number(row.seq) !== index + 1)
        return { entries: rows.length, brokenAt: Number(row.seq) };
      previous = row.hash;
    }
    return { entries: rows.length, brokenAt: null };
  }
}
