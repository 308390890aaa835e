import type { Cents } from '../money/cents.js';
import type { Rate } from '../money/rate.js';

/** The premium of one class of work, from the client's policy: dollars for each 100.00 of pay, or for each hour. */
export interface WorkClass {
  readonly code: string;
  readonly per: 'hundred' | 'hour';
  readonly rate: Rate;
  /** Of a rate by the hour the part that is taken from the employee's pay (Washington); null: none. */
  readonly employeeRate: Rate | null;
}
export interface CompensationLine {
  readonly workClass: string;
  /** Pay the premium is on; without the premium part of overtime (common practice, and the manuals of most states). */
  readonly pay: Cents;
  readonly hours: string;
  readonly amount: Cents;
}
