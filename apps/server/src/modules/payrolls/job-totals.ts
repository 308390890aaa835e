import type { JobCost } from '@zakat/core/ledger/jobs';

/** Costs by job; none where nothing is booked to one. */
export const jobsOf = (costs: readonly JobCost[]): JobCost[] =>
  costs.some((cost) => cost.job !== '') ? [...costs] : [];
