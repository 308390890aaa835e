import type { LegalLimit } from '../items/registry.js';
import { ZERO, add, notBelowZero, showDollars, smaller, subtract, sum, type Cents } from '../money/cents.js';
import { round, times } from '../money/exact.js';
import { showPercent, type Rate } from '../money/rate.js';
import type { Tape } from '../working/tape.js';
import type { EmployerPaid, MatchTier, PaycheckInput } from '../computation/input.js';
import { namedLine } from './named.js';
import type { DeductionLine } from '../computation/result.js';

/** Limits of law whose items are elective deferrals: what a plan matches. */
const DEFERRALS: readonly LegalLimit[] = ['402g', '457b', 'simple'];

/** The figure under which the working of everything the employer pays on top stands. */
export const EMPLOYER_PAID = 'employer-paid';

function deferred(input: PaycheckInput, taken: readonly DeductionLine[]): Cents {
  return sum(
    taken
      .filter((_, index) => {
        const limit = input.deductions[index]?.item.limit;
        return limit != null && DEFERRALS.includes(limit);
      })
      .map((line) => line.amount),
  );
}

/**
 * A match of the deferrals of a check, tier by tier: of the part that lies between the tier before and `upTo` of gross,
 * its percentage; each tier half a cent up. 100% up to 3% and 50% up to 5% is two tiers.
 */
function matched(tiers: readonly MatchTier[], gross: Cents, deferral: Cents, tape: Tape | undefined): Cents {
  let from: Cents = ZERO;
  let total: Cents = ZERO;
  for (const { percent, upTo } of tiers) {
    const to = upTo ? smaller(round(times(gross, upTo), 'half-up'), deferral) : deferral;
    const slice = notBelowZero(subtract(to, from));
    const amount = round(times(slice, percent), 'half-up');
    total = add(total, amount);
    tape?.write(EMPLOYER_PAID, () => ({
      label: upTo ? `Deferred up to ${showPercent(upTo)} of gross` : 'Deferred',
      value: showDollars(amount),
      how: `${showDollars(slice)} of ${showDollars(deferral)} × ${showPercent(percent)}`,
      rounding: 'half a cent up',
    }));
    if (to > from) from = to;
  }
  return total;
}

const percentOf = (gross: Cents, percent: Rate, tape: Tape | undefined): Cents => {
  const amount = round(times(gross, percent), 'half-up');
  tape?.write(EMPLOYER_PAID, () => ({
    label: 'Gross pay',
    value: showDollars(gross),
    how: `× ${showPercent(percent)}`,
    rounding: 'half a cent up',
  }));
  return amount;
};

function wantedOf(line: EmployerPaid, gross: Cents, deferral: Cents, tape: Tape | undefined): Cents {
  switch (line.measure.is) {
    case 'amount':
      return line.measure.amount;
    case 'percent':
      return percentOf(gross, line.measure.percent, tape);
    case 'match':
      return matched(line.measure.tiers, gross, deferral, tape);
  }
}

const NONE: readonly DeductionLine[] = [];

/** What the employer pays on top of a check of this gross, given what its deductions took. */
export function employerPaidLines(
  input: PaycheckInput,
  gross: Cents,
  taken: readonly DeductionLine[],
  tape: Tape | undefined,
): readonly DeductionLine[] {
  if (input.employerPaid.length === 0) return NONE;
  const deferral = deferred(input, taken);
  return input.employerPaid.map((line) => {
    const wanted = wantedOf(line, gross, deferral, tape);
    const toDate = input.employerPaidToDate[line.own?.name ?? line.item.code] ?? ZERO;
    const left = line.perYear === null ? wanted : notBelowZero(subtract(line.perYear, toDate));
    const computed = smaller(smaller(wanted, left), line.perCheck ?? wanted);
    const { override } = line;
    const amount = override?.amount ?? computed;
    const made = namedLine(line.item, line.own, amount);
    tape?.write(EMPLOYER_PAID, () => ({
      label: made.label,
      value: showDollars(amount),
      ...(override
        ? { how: `instead of ${showDollars(computed)}: ${override.reason}` }
        : amount < wanted
          ? { how: `${showDollars(wanted)}, held at its limit` }
          : {}),
      isResult: true,
    }));
    return override ? { ...made, computed } : made;
  });
}
