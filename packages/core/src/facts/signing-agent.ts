import type { LocalDate } from '../calendar/local-date.js';
import { text, type FactValue } from './fact-kind.js';

/** Who let the firm sign, and for the returns of which periods. */
export interface AgentAuthority {
  readonly signedBy: string;
  readonly returnsFrom: LocalDate;
}

/**
 * The Form 8655 under which the firm signs a return in place of the client's signer; null: there is none. `terms` is the
 * latest entry of it. It holds for returns of periods that begin on or after the day it names, original and amended, until
 * it is revoked (Form 8655, "Authority granted"; who may sign: Form 941-X instructions, "Part 5"; recalled).
 */
export function agentAuthority(
  kind: { readonly signedBy: string | null },
  period: { readonly start: LocalDate },
  terms: FactValue | null,
): AgentAuthority | null {
  if (kind.signedBy === null || terms === null || text(terms, 'standing') !== 'signed') return null;
  const returnsFrom = text(terms, 'returnsFrom') as LocalDate;
  return returnsFrom !== '' && period.start >= returnsFrom ? { signedBy: text(terms, 'signedBy'), returnsFrom } : null;
}
