import type { PayFrequency } from '../calendar/pay-frequency.js';
import type { Cents } from '../money/cents.js';
import type { Rounding } from '../money/exact.js';
import type { Rate } from '../money/rate.js';
import type { Bracket } from './brackets.js';
import type { Dated, Provenance } from './dated.js';

export const STATE_CODES = ['NY', 'TX', 'FL'] as const;
export type StateCode = (typeof STATE_CODES)[number];

/** A field of a state's withholding certificate, for forms, the case file and its checks. */
export interface CertificateField {
  readonly name: string;
  readonly label: string;
  readonly kind: 'choice' | 'whole' | 'amount' | 'flag';
  readonly choices?: readonly string[];
  readonly help: string;
}

/** Annualised percentage table with a deduction by status and an amount per allowance. */
export interface AnnualTable {
  readonly deduction: Readonly<Record<string, Cents>>;
  readonly allowance: Cents;
  readonly tables: Readonly<Record<string, readonly Bracket[]>>;
  /** Which table a filing status on the certificate uses. */
  readonly statusTable: Readonly<Record<string, string>>;
  readonly rounding: Rounding;
}

export type IncomeTaxRule =
  | ({ readonly kind: 'none' } & Provenance)
  | {
      readonly kind: 'annual-table';
      readonly certificate: { readonly form: string; readonly fields: readonly CertificateField[] };
      readonly tables: readonly Dated<AnnualTable>[];
      readonly supplementalRate: readonly Dated<Rate>[];
      readonly frequencies: readonly PayFrequency[];
    };

/** One state: its income tax and its unemployment insurance. Adding a state is adding a folder. */
export interface StateRules {
  readonly code: StateCode;
  readonly name: string;
  readonly incomeTax: IncomeTaxRule;
  readonly unemployment: { readonly base: readonly Dated<Cents>[]; readonly highestPlausibleRate: Rate };
}
