import type { EmployerFacts, FilingKind } from './kind.js';
import { amendedKind } from './corrections/amended.js';
import { US_941_X, US_943_X, US_944_X, US_945_X } from './corrections/kinds.js';
import { STATE_KINDS } from './state/kind.js';
import { US_8027 } from './us-8027/kind.js';
import { US_940 } from './us-940/kind.js';
import { US_941 } from './us-941/kind.js';
import { US_943 } from './us-943/kind.js';
import { US_944 } from './us-944/kind.js';
import { US_945 } from './us-945/kind.js';
import { US_SCHEDULE_D } from './us-schedule-d/kind.js';
import { US_SCHEDULE_H } from './us-schedule-h/kind.js';
import { US_W2C } from './us-w2c/kind.js';
import { US_W2 } from './us-w2/kind.js';

/** Every kind of return and statement that is prepared here. A new one is a folder and a line in this list. */
const ORIGINALS: readonly FilingKind[] = [
  US_941,
  US_943,
  US_944,
  US_945,
  US_940,
  US_SCHEDULE_H,
  US_SCHEDULE_D,
  US_8027,
  US_W2,
  ...STATE_KINDS,
];
/** Those that are corrected on forms of their own; every other one is filed again, marked as amended. */
const CORRECTIONS: readonly FilingKind[] = [US_941_X, US_943_X, US_944_X, US_945_X, US_W2C];
const CORRECTED = new Set(CORRECTIONS.map(({ corrects }) => corrects));
const AMENDED = ORIGINALS.filter(({ code }) => !CORRECTED.has(code)).map(amendedKind);
export const FILING_KINDS: readonly FilingKind[] = [...ORIGINALS, ...CORRECTIONS, ...AMENDED];

const BY_CODE = new Map(FILING_KINDS.map((kind) => [kind.code, kind]));
/** A kind by its code; null for one that is not known: it is never taken for another. */
export const findKind = (code: string): FilingKind | null => BY_CODE.get(code) ?? null;
/** The same for a code that was stored; throws RangeError when it is not known. */
export function kindOf(code: string): FilingKind {
  const kind = findKind(code);
  if (!kind) throw new RangeError(`no kind of filing ${code}`);
  return kind;
}

/** The kind that corrects another one after it was accepted; null: there is none here. */
export const correctionFor = (code: string): FilingKind | null =>
  FILING_KINDS.find(({ corrects }) => corrects === code) ?? null;

/** A client's choice about a kind, against what follows from what it is. */
export interface FormChoice {
  readonly kind: string;
  readonly files: boolean;
  readonly reason: string;
}
/** Whether a client files a kind, and why: what somebody said of it, else what the client is. */
export function filesKind(
  kind: FilingKind,
  employer: EmployerFacts,
  choices: readonly FormChoice[] = [],
): { readonly is: boolean; readonly why: string } {
  const choice = choices.find((one) => one.kind === kind.code);
  return choice ? { is: choice.files, why: choice.reason } : kind.files(employer);
}
