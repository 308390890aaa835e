import type { Cents } from '../money/cents.js';
import type { Rate } from '../money/rate.js';
import type { Dated } from './dated.js';
import type { TaxKind } from './tax-kind.js';

/** What a premium or contribution is a share of. */
export type ProgramWages = 'unemployment' | 'social-security' | 'gross' | 'income';

export interface ProgramTerms {
  /** A share of wages; `own`: the client's own rate from the agency's notice. */
  readonly rate: Rate | 'own';
  /** Wages stop here: an amount a year, the OASDI base, or the state's unemployment base. */
  readonly base?: Cents | 'oasdi' | 'unemployment';
  readonly mostPerYear?: Cents;
  readonly mostPerWeek?: Cents;
  /** Instead of a share of wages: dollars for each hour worked. */
  readonly perHour?: Rate;
  /** Instead of a share of wages: a fixed amount for each person paid at the end of the quarter. */
  readonly perQuarter?: Cents;
  /** Instead of a share of wages: this payer's part of the premium by the hour of the person's class of work. */
  readonly ofClass?: 'employee' | 'employer';
  /** What else this variant asks for that is not known here: said until the client's own rate is entered. */
  readonly asks?: string;
  /** Only for employers of at least, or below, so many employees. */
  readonly size?: { readonly atLeast?: number; readonly below?: number };
}

/** A premium or contribution of a state besides its income tax and its unemployment tax. */
export interface Program {
  /** Second half of the tax code: `SDI` of `CA-SDI`. */
  readonly code: string;
  readonly kind: TaxKind;
  readonly label: string;
  readonly payer: 'employee' | 'employer';
  readonly agency: 'income' | 'unemployment' | { readonly code: string };
  readonly wages: ProgramWages;
  /** The first variant whose size fits is the one that holds. */
  readonly terms: readonly Dated<readonly ProgramTerms[]>[];
  /** Days in the pay period do not matter unless the program says so: an own rate that is missing is an error. */
  readonly ownRateOtherwise?: Rate;
}
