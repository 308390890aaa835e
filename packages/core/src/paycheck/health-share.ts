import { inForce } from '../jurisdictions/dated.js';
import { findState } from '../jurisdictions/states.js';
import { type Issue, warning } from '../issues/issue.js';
import { type Cents, cents, showDollars } from '../money/cents.js';
import { round, times } from '../money/exact.js';
import { showPercent } from '../money/rate.js';
import type { PaycheckInput } from '../computation/input.js';

const NOTHING: readonly Issue[] = [];

/** Warns where the premium for health coverage takes more of a check than the state of work lets an employee bear. */
export function healthShareWarnings(
  input: PaycheckInput,
  gross: Cents,
  lines: readonly { readonly item: string; readonly amount: Cents }[],
): readonly Issue[] {
  const state = findState(input.work[0]?.state ?? '');
  if (!state?.healthShare || input.worker !== 'employee') return NOTHING;
  const taken = cents(
    lines.reduce((total, { item, amount }) => total + (item === 'section-125-health' ? amount : 0), 0),
  );
  const row = inForce(state.healthShare, input.checkDate, input.rules);
  const most = row ? round(times(gross, row.value), 'down') : taken;
  if (!row || taken <= most) return NOTHING;
  return [
    warning('deduction.health-share', 'deductions', {
      state: state.name,
      taken: showDollars(taken),
      most: showDollars(most),
      share: showPercent(row.value),
    }),
  ];
}
