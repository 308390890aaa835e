import type { LocalDate } from '../calendar/local-date.js';
import type { Cents } from '../money/cents.js';
import type { Rate } from '../money/rate.js';
import type { CreditorLimits } from './creditor-limits.js';
import type { Dated, Provenance } from './dated.js';
import type { DepositCalendar } from './deposit-calendar.js';
import type { LocalRules } from './locality.js';
import type { DailyOvertime } from './overtime.js';
import type { Program } from './program.js';
import type { StateReturn } from './state-return.js';
import type { RateTier, Worksheet } from './worksheet.js';

export const STATE_CODES = [
  'AL',
  'AK',
  'AZ',
  'AR',
  'CA',
  'CO',
  'CT',
  'DE',
  'DC',
  'FL',
  'GA',
  'HI',
  'ID',
  'IL',
  'IN',
  'IA',
  'KS',
  'KY',
  'LA',
  'ME',
  'MD',
  'MA',
  'MI',
  'MN',
  'MS',
  'MO',
  'MT',
  'NE',
  'NV',
  'NH',
  'NJ',
  'NM',
  'NY',
  'NC',
  'ND',
  'OH',
  'OK',
  'OR',
  'PA',
  'RI',
  'SC',
  'SD',
  'TN',
  'TX',
  'UT',
  'VT',
  'VA',
  'WA',
  'WV',
  'WI',
  'WY',
] as const;
export type StateCode = (typeof STATE_CODES)[number];

/** A field of a state's withholding certificate, for forms, the case file and its checks. */
export interface CertificateField {
  readonly name: string;
  readonly label: string;
  readonly kind: 'choice' | 'whole' | 'amount' | 'percent' | 'flag';
  readonly choices?: readonly string[];
  /** Taken when the field is left out; without it a choice must be made. */
  readonly otherwise?: string;
  readonly help: string;
}

/** A certificate by its own field names. */
export type StateCertificate = Readonly<Record<string, string | number | boolean>>;

export interface CertificateForm {
  readonly form: string;
  readonly fields: readonly CertificateField[];
  /** What the employer must do when there is no certificate. */
  readonly without: {
    readonly certificate: StateCertificate;
    readonly says: string;
    /** The filing status and the exemption of the federal certificate stand in for those of the state. */
    readonly isFederal?: true;
  };
}

/** How a state wants supplemental wages withheld on, when they are not taken together with regular wages. */
export type Supplemental =
  | { readonly is: 'flat'; readonly rate: Rate; readonly items?: Readonly<Record<string, Rate>> }
  /** The rate depends on the annualised regular wages. */
  | { readonly is: 'tiers'; readonly rates: readonly RateTier[] }
  | { readonly is: 'share-of-federal'; readonly rate: Rate }
  /** The state publishes no flat rate: always together with regular wages. */
  | { readonly is: 'together' };

export interface WithheldIncomeTax {
  readonly kind: 'worksheet';
  readonly certificate: CertificateForm;
  readonly worksheets: readonly Dated<Worksheet>[];
  readonly supplemental: readonly Dated<Supplemental>[];
}
export type IncomeTaxRule = ({ readonly kind: 'none' } & Provenance) | WithheldIncomeTax;

export interface Agency {
  readonly code: string;
  readonly name: string;
  readonly short: string;
}

/**
 * Where a state's view of a pay item differs from the federal one, for income tax (`SIT`), unemployment (`SUI`) or the
 * taxes of its localities on all pay (`LOCAL`).
 */
export interface ItemView {
  readonly base: 'SIT' | 'SUI' | 'LOCAL';
  /** Held only from this day on, or until the day before this one. */
  readonly from?: LocalDate;
  readonly until?: LocalDate;
  readonly taxes?: readonly string[];
  readonly excludes?: readonly string[];
  readonly provenance: Provenance;
}

/** One state: its income tax, unemployment insurance, other programs and localities. Adding a state is adding a folder. */
export interface StateRules {
  readonly code: StateCode;
  readonly name: string;
  /** When what is withheld and owed is deposited, by kind of deposit. */
  readonly deposits: readonly DepositCalendar[];
  /** What is reported to its agencies, and those of its places. */
  readonly returns: readonly StateReturn[];
  readonly agencies: { readonly income?: Agency; readonly unemployment: Agency; readonly others?: readonly Agency[] };
  readonly incomeTax: IncomeTaxRule;
  readonly views?: readonly ItemView[];
  readonly unemployment: {
    readonly label?: string;
    readonly base: readonly Dated<Cents>[];
    readonly highestPlausibleRate: Rate;
  };
  readonly programs?: readonly Program[];
  /** States whose residents this state does not withhold on, and the form that says so. */
  readonly reciprocity?: { readonly with: readonly StateCode[] | 'all'; readonly form: string } & Provenance;
  /** Work at home for the worker's own convenience counts as work at the assigned office here. */
  readonly convenienceRule?: Provenance;
  /** Residents who work in another state that withholds: what is still withheld here. */
  readonly residents?: 'excess' | 'none';
  /** The credit of residents reaches income taxes of cities and counties where they work, not only those of states. */
  readonly creditsPlaces?: Provenance;
  readonly local?: LocalRules;
  /** What a creditor may garnish of pay for work here; left out, what the federal law allows. */
  readonly creditors?: readonly Dated<CreditorLimits>[];
  /** Overtime by the workday, beside the federal law's by the workweek. */
  readonly overtime?: readonly Dated<DailyOvertime>[];
  /** The most of a check's pay that an employee bears of the premium for health coverage. */
  readonly healthShare?: readonly Dated<Rate>[];
  /** Hourly; only where a limit follows it. */
  readonly minimumWage?: readonly Dated<Cents>[];
}
