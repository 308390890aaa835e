import type { Cents } from '../money/cents.js';
import type { Rate } from '../money/rate.js';
import type { Dated, Provenance } from './dated.js';
import type { TaxKind } from './tax-kind.js';
import type { Worksheet } from './worksheet.js';

/** How the places of a state tax pay: each a method of its own in taxes/local-tax.ts. */
export type LocalMethod =
  /** Residents and people who work there, each at a rate; a resident's credit for the work place's tax. */
  | 'city'
  /** Pennsylvania Act 32: the higher of the resident rate and the work place's nonresident rate. */
  | 'higher-of-two'
  /** The county of residence on January 1, or of work when the residence has none (Indiana). */
  | 'county'
  /** The place of work only. */
  | 'work-place'
  /** The county rate is part of the state's own withholding (Maryland). */
  | 'with-state';

export interface LocalRates {
  readonly resident?: Rate;
  readonly nonresident?: Rate;
  /** Exemption a year for each exemption claimed on the city's certificate. */
  readonly exemption?: Cents;
  /** Wages a year over which nothing more is due: an amount, or the OASDI wage base of the year. */
  readonly base?: Cents | 'oasdi';
  /** Credit a resident gets for tax paid where the work is: this share of it, on at most this rate. */
  readonly credit?: { readonly share: Rate; readonly rate: Rate };
  /** The rate by the employer's payroll of the quarter: that of the last row it is over. */
  readonly byPayroll?: readonly { readonly over: Cents; readonly rate: Rate }[];
  /** Only wages of the year over this mark are taxed. */
  readonly over?: Cents;
  readonly tiers?: readonly { readonly over: Cents; readonly rate: Rate }[];
}

/** A fixed amount for a time, such as an occupational fee. */
export interface LocalFee {
  readonly amount: Cents;
  readonly per: 'month' | 'year-spread' | 'week';
  /** Due only when wages of the month reach this; a yearly fee, once they have, from those who were exempt. */
  readonly fromWages: Cents;
}

export type LocalTaxTerms =
  | { readonly is: 'rates'; readonly rows: readonly Dated<LocalRates>[] }
  | {
      readonly is: 'worksheet';
      readonly for: 'resident' | 'nonresident';
      /** The field of the state's certificate with an additional amount for this place. */
      readonly extraField: string;
      /** The field whose allowances this place has of its own; left blank on a certificate, none are taken, and it is said. */
      readonly asks?: string;
      readonly rows: readonly Dated<Worksheet>[];
      readonly supplemental: readonly Dated<Rate>[];
    }
  | {
      readonly is: 'share-of-state';
      readonly extraField: string;
      readonly rows: readonly Dated<Rate>[];
      readonly supplemental: readonly Dated<Rate>[];
    }
  | { readonly is: 'fee'; readonly rows: readonly Dated<LocalFee>[] };

export interface LocalTax {
  /** Last part of the tax code: `LIT`, `EIT`, `LST`. */
  readonly code: string;
  readonly kind: TaxKind;
  readonly label: string;
  readonly payer: 'employee' | 'employer';
  /** One tax that reaches over several places: its code has no place in it, and one check owes it once. */
  readonly isShared?: true;
  /** Whoever is exempt by the state's certificate is exempt from it. */
  readonly followsCertificate?: true;
  /** What wages it takes: all pay, federal income tax wages, or Medicare wages. */
  readonly wages: 'gross' | 'income' | 'medicare' | 'state-income';
  readonly terms: LocalTaxTerms;
}

export interface Locality {
  /** Middle part of the tax code: `NYC` of `NY-NYC-LIT`. */
  readonly code: string;
  readonly name: string;
  readonly alsoKnownAs?: readonly string[];
  /** Code of the office that collects for this place, where it is not the one of the state's other places. */
  readonly agency?: string;
  /** Its tax on work there, or of its residents, stands before that of any other place, whatever the rates. */
  readonly comesFirst?: Provenance;
  readonly taxes: readonly LocalTax[];
}

export interface LocalRules {
  /** Hardly a place of the state is without such a tax: that none is given is asked about. */
  readonly isEverywhere?: true;
  readonly method: LocalMethod;
  readonly agency: string;
  readonly places: readonly Locality[];
  readonly provenance: Provenance;
}

/** Localities of a firm's own, by state. */
export type OwnPlaces = ReadonlyMap<string, readonly Locality[]>;
