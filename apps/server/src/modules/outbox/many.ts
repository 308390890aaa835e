import type { DoneOfMany } from '@zakat/contract/due-deposits';
import type { ReleaseSlip } from '@zakat/contract/remittances';
import { constraintRefusal } from '../../database/constraints.js';
import { Refusal } from '../../http/refusal.js';

/** Does one of many, and answers with what it was refused for: one that is refused stops none of the others. */
export async function outcome(key: string, what: string, act: () => Promise<unknown>): Promise<DoneOfMany> {
  try {
    await act();
    return { key, what, refused: null };
  } catch (error) {
    const refusal = error instanceof Refusal ? error : constraintRefusal(error);
    if (!refusal) throw error;
    return { key, what, refused: refusal.message };
  }
}

/** The checks of many slips as those of one: what failed, by name, or that nothing did. */
export function checksOfMany(slips: readonly ReleaseSlip[], what: string): ReleaseSlip['checks'] {
  const failed = slips.flatMap((slip) =>
    slip.checks
      .filter((check) => !check.isPassed)
      .map((check) => ({ ...check, label: `${slip.title}: ${check.label}` })),
  );
  return failed.length > 0
    ? failed
    : [{ label: `Every check of every ${what}`, isPassed: true, says: `${slips.length} rehearsed just now.` }];
}
