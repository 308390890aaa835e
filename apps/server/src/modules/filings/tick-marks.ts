import type { TickMarkView } from '@zakat/contract/working-papers';
import type { FilingKind } from '@zakat/core/filings/kind';
import { heldBy, linesToMark, underLine, type TickMark } from '@zakat/core/filings/working-papers';
import { createHash } from 'node:crypto';
import type { EntityManager } from 'typeorm';
import { Firm } from '../clients/index.js';

interface Stored {
  readonly id: string;
  readonly line: string;
  readonly mark: TickMark;
  readonly note: string;
  readonly by: string;
  readonly by_id: string;
  readonly is_reviewer: boolean;
  readonly made_at: Date;
  readonly under: string;
}
type Line = ReturnType<FilingKind['lines']>[number];

/** What lies under a line, as it is kept with a mark. */
export const underMark = (line: Line): string =>
  createHash('sha256').update(underLine(line)).digest('hex').slice(0, 32);

/** The marks that stand on a filing, each against the lines as they are now. */
export async function marksOf(
  manager: EntityManager,
  filingId: string,
  lines: readonly Line[],
): Promise<TickMarkView[]> {
  const rows = (await manager.query(
    `SELECT m.id, m.line, m.mark, m.note, u.name AS by, u.id AS by_id, m.is_reviewer, m.made_at, m.under FROM tick_mark m JOIN app_user u ON u.id = m.made_by
     WHERE m.filing_id = $1 AND m.cleared_at IS NULL ORDER BY m.made_at, m.id`,
    [filingId],
  )) as Stored[];
  return rows.map((row) => {
    const line = lines.find(({ id }) => id === row.line);
    return {
      id: row.id,
      line: row.line,
      mark: row.mark,
      note: row.note,
      by: row.by,
      byId: row.by_id,
      isReviewer: row.is_reviewer,
      at: row.made_at.toISOString(),
      isCracked: line === undefined || underMark(line) !== row.under,
    };
  });
}

/** Which lines the firm wants marked; none where it does not ask for marks. */
export async function linesWanted(manager: EntityManager, kind: FilingKind, content: unknown): Promise<string[]> {
  const firm = (await manager.find(Firm))[0];
  return firm?.requiresMarks ? linesToMark(kind, content) : [];
}

/** What of the marks holds the release of a filing with this content, in sentences. */
export async function heldByMarks(
  manager: EntityManager,
  filingId: string,
  kind: FilingKind,
  content: unknown,
): Promise<string[]> {
  const lines = kind.lines(content);
  if (lines.length === 0) return [];
  return heldBy(await marksOf(manager, filingId, lines), await linesWanted(manager, kind, content));
}
