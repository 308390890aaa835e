import { firstDayOf } from '@zakat/core/calendar/quarter';
import { periodWith, periodsOfYear, type FilingPeriod } from '@zakat/core/filings/period';
import { FILING_KINDS } from '@zakat/core/filings/registry';
import { ZERO, type Cents } from '@zakat/core/money/cents';
import type { ReportedFigure } from '@zakat/core/take-over/reported';
import type { EntityManager } from 'typeorm';

/** A return as a former provider filed it. */
export interface FiledElsewhere {
  /** Code of the kind. */
  readonly kind: string;
  readonly period: FilingPeriod;
  /** What was entered of it, in cents. */
  readonly line: (code: string) => Cents;
}

interface Accepted {
  readonly client_id: string;
  readonly year: number;
  readonly reported: ReportedFigure[];
}
const STATE_KINDS = FILING_KINDS.filter(
  ({ jurisdiction, corrects }) => jurisdiction !== 'US' && corrects === undefined,
);
function filedOf({ year, reported }: Accepted): FiledElsewhere[] {
  const line =
    (quarter: ReportedFigure['quarter']) =>
    (code: string): Cents =>
      reported.find((figure) => figure.quarter === quarter && figure.code === code)?.amount ?? ZERO;
  const federal = FILING_KINDS.flatMap((kind) =>
    reported
      .filter((figure) => figure.code === `${kind.pays?.family ?? ''}.filed`)
      .map(({ quarter }): FiledElsewhere => ({
        kind: kind.code,
        period: periodWith(kind.period, firstDayOf({ year, quarter })),
        line: line(quarter),
      })),
  );
  // Whoever filed the federal return of a quarter filed what the states asked for it.
  const quarters = [...new Set(reported.filter(({ code }) => code.endsWith('.filed')).map(({ quarter }) => quarter))];
  const states = quarters.flatMap((quarter) => {
    const { start, end } = periodWith('quarter', firstDayOf({ year, quarter }));
    return STATE_KINDS.flatMap((kind) =>
      periodsOfYear(kind.period, year)
        .filter((period) => period.end >= start && period.end <= end)
        .map((period): FiledElsewhere => ({ kind: kind.code, period, line: line(quarter) })),
    );
  });
  return [...federal, ...states];
}
/** Returns that a former provider filed for the quarters of accepted take-overs. */
export async function filedElsewhere(manager: EntityManager, clientId: string): Promise<FiledElsewhere[]> {
  const rows = (await manager.query(
    `SELECT client_id, year, reported FROM take_over WHERE client_id = $1 AND status = 'accepted'`,
    [clientId],
  )) as Accepted[];
  return rows.flatMap(filedOf);
}
/** The same of every client of the firm. */
export async function filedElsewhereByClient(manager: EntityManager): Promise<Map<string, FiledElsewhere[]>> {
  const rows = (await manager.query(
    `SELECT client_id, year, reported FROM take_over WHERE status = 'accepted'`,
  )) as Accepted[];
  const found = new Map<string, FiledElsewhere[]>();
  for (const row of rows) found.set(row.client_id, [...(found.get(row.client_id) ?? []), ...filedOf(row)]);
  return found;
}
