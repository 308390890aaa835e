import { warning, type Issue } from '../issues/issue.js';
import type { IssueCode } from '../issues/catalogue.js';

/** Who wants the line in every check: a court or an agency, an election under a plan, or nobody but the person. */
export type WantedBy = 'order' | 'election' | 'nobody';

/** A line that would be in the check, and is left out of this one. */
export interface LeftOut {
  readonly label: string;
  readonly wantedBy: WantedBy;
  readonly reason: string;
  readonly field: string;
}

const WARNINGS: Readonly<Record<WantedBy, IssueCode | null>> = {
  order: 'line.order-left-out',
  election: 'line.election-left-out',
  nobody: null,
};

/** Warns of lines that the law or a plan wants in every check. */
export const leftOutWarnings = (lines: readonly LeftOut[]): readonly Issue[] =>
  lines.flatMap(({ label, wantedBy, reason, field }) => {
    const code = WARNINGS[wantedBy];
    return code ? [warning(code, field, { line: label, reason })] : [];
  });
