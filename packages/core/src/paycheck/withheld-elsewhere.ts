import { ZERO, showDollars } from '../money/cents.js';
import { taxOf } from '../tax-registry/registry.js';
import type { Check } from '../computation/check.js';
import type { Variance } from '../computation/result.js';

const NO_VARIANCES: readonly Variance[] = [];

/**
 * Puts the amounts that were really withheld in the place of those computed: a check that is recorded after the fact was
 * paid with them, and an income tax may be overridden for a reason. What differs is listed. A tax that the rules do not find in the check becomes a line without wages.
 */
export function takeWithheld(check: Check): readonly Variance[] {
  const { withheld } = check.input;
  if (withheld === null) return NO_VARIANCES;
  const variances: Variance[] = [];
  for (const [code, amount] of withheld) {
    const at = check.taxes.findIndex((line) => line.code === code && line.payer === 'employee');
    const line = check.taxes[at];
    const computed = line?.amount ?? ZERO;
    if (line) check.taxes[at] = { ...line, amount };
    else check.push(code, ZERO, ZERO, amount);
    if (amount === computed) continue;
    variances.push({ code, withheld: amount, computed });
    check.warn('withheld.differs', `withheld.${code}`, {
      tax: taxOf(code).label,
      withheld: showDollars(amount),
      computed: showDollars(computed),
    });
    check.tape?.write(code, () => ({
      label: 'Withheld',
      value: showDollars(amount),
      how: `in the place of ${showDollars(computed)}, as it was entered`,
      isResult: true,
    }));
  }
  return variances;
}
