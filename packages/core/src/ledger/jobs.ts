import { findItem } from '../items/registry.js';
import { allocate } from '../money/allocate.js';
import { ZERO, add, cents, type Cents } from '../money/cents.js';
import { round, times } from '../money/exact.js';
import type { Rate } from '../money/rate.js';
import type { PaycheckResult } from '../computation/result.js';

/** A part of a person's pay that belongs to a job or a customer of the client. */
export interface JobShare {
  readonly job: string;
  readonly share: Rate;
}
/** Pay and what the employer adds to it, booked to one job; `job` is blank for what belongs to none. */
export interface JobCost {
  readonly job: string;
  readonly gross: Cents;
  readonly employerTaxes: Cents;
  readonly employerPaid: Cents;
}
/** Jobs of a check with the pay of each: what else belongs to the check is spread over them by it. */
export interface JobSpread {
  readonly jobs: readonly string[];
  readonly pay: readonly Cents[];
}

const NO_JOB = '';
/** Shares are weighed to the millionth. */
const PARTS = cents(1_000_000);
const weightOf = ({ share }: JobShare): Cents => round(times(PARTS, share), 'half-up');

/**
 * Gross pay by job: a line that names its job goes there, all others by the person's shares, which add up to one; without
 * shares to no job. The parts add up to gross.
 */
export function payByJob(result: PaycheckResult, shares: readonly JobShare[]): JobSpread {
  const pay = new Map<string, Cents>();
  const book = (job: string, amount: Cents): void => {
    if (amount !== 0) pay.set(job, add(pay.get(job) ?? ZERO, amount));
  };
  let rest = ZERO;
  for (const line of result.earnings) {
    const item = findItem(line.item);
    if (item?.list === 'earning' && item.isNoncash) continue;
    if (line.job === undefined) rest = add(rest, line.amount);
    else book(line.job, line.amount);
  }
  if (shares.length === 0) book(NO_JOB, rest);
  else allocate(rest, shares.map(weightOf)).forEach((part, index) => book(shares[index]?.job ?? NO_JOB, part));
  if (pay.size === 0) pay.set(shares[0]?.job ?? NO_JOB, ZERO);
  return { jobs: [...pay.keys()], pay: [...pay.values()] };
}

/** An amount of the check by job, in proportion to the pay of each; the parts add up to it. */
export const spread = (amount: Cents, { pay }: JobSpread): readonly Cents[] => allocate(amount, pay);

/** What one check costs the client, by job. `employerTaxes`: the check's part of the employer taxes of the payroll. */
export function jobCosts(result: PaycheckResult, shares: readonly JobShare[], employerTaxes: Cents): JobCost[] {
  const byJob = payByJob(result, shares);
  const taxes = spread(employerTaxes, byJob);
  const benefits = result.employerPaid.map((line) => spread(line.amount, byJob));
  return byJob.jobs.map((job, index) => ({
    job,
    gross: byJob.pay[index] ?? ZERO,
    employerTaxes: taxes[index] ?? ZERO,
    employerPaid: benefits.reduce((total, parts) => add(total, parts[index] ?? ZERO), ZERO),
  }));
}

/** The costs of many checks, one line a job by name, what belongs to none last. */
export function totalsByJob(costs: readonly JobCost[]): JobCost[] {
  const totals = new Map<string, JobCost>();
  for (const cost of costs) {
    const before = totals.get(cost.job);
    totals.set(
      cost.job,
      before
        ? {
            job: cost.job,
            gross: add(before.gross, cost.gross),
            employerTaxes: add(before.employerTaxes, cost.employerTaxes),
            employerPaid: add(before.employerPaid, cost.employerPaid),
          }
        : cost,
    );
  }
  return [...totals.values()].sort((a, b) =>
    a.job === NO_JOB ? 1 : b.job === NO_JOB ? -1 : a.job.localeCompare(b.job, 'en', { numeric: true }),
  );
}
