import type { PayFrequency } from '../calendar/pay-frequency.js';
import { dollars, type Cents } from '../money/cents.js';
import { rate, type Rate } from '../money/rate.js';
import { between, dated, recalled, year, years, type Dated, type Provenance } from './dated.js';
import { publication } from './state-words.js';

/** Whose minimum wage a limit follows. */
export type Follows = 'federal' | 'state';
/** Earnings of a week that stay free: so many times a minimum hourly wage; of what is over them all, or a share. */
interface FreeHours {
  readonly hours: number;
  readonly wage: Follows;
  readonly share?: Rate;
}
/** Earnings that stay free by the period they are paid for; a period that is not named has its weeks of the weekly one. */
export type FreeAmounts = { readonly weekly: Cents } & Partial<Readonly<Record<PayFrequency, Cents>>>;
/** What one creditor may take in a calendar year of somebody expected to earn as much in it: an amount, or a share. */
interface YearOfCreditor {
  readonly expecting: Cents;
  readonly most: Cents | { readonly ofExpected: Rate };
}
/** Where a state allows a creditor less than the federal law does. Each limit that is given holds. */
export interface CreditorLimits {
  readonly isForbidden?: true;
  readonly ofDisposable?: Rate;
  readonly ofGross?: Rate;
  readonly free?: FreeHours;
  /** Earnings that stay free whatever the minimum wage is. */
  readonly freeAmounts?: FreeAmounts;
  /** By what the person is expected to earn in the year, lowest first. */
  readonly byYear?: readonly YearOfCreditor[];
  /** For a debt from consumer credit. */
  readonly ofConsumerCredit?: Pick<CreditorLimits, 'ofDisposable' | 'free'>;
  /** A share of all disposable earnings, by how many hours of the minimum wage they are over. */
  readonly byHours?: {
    readonly wage: Follows;
    readonly shares: readonly { readonly hours: number; readonly rate: Rate }[];
  };
  /** A share of each part of a month's disposable earnings. */
  readonly byMonth?: readonly { readonly over: Cents; readonly rate: Rate }[];
  /** A share of disposable earnings while the gross pay of a week is not above the mark. */
  readonly lowPay?: { readonly weekly: Cents; readonly ofDisposable: Rate };
  /** Stays free besides, a week for each dependent. */
  readonly eachDependent?: Cents;
  /** For the head of a family. */
  readonly ofHead?: {
    readonly isForbidden?: true;
    readonly ofDisposable?: Rate;
    readonly freeAmounts?: FreeAmounts;
  };
}

/** What a statute lets a creditor take, since 2024. */
export const creditorsMay = (
  statute: string,
  limits: CreditorLimits,
  doubt?: string,
): readonly Dated<CreditorLimits>[] => [dated(years(2024, 2026), statuteOf(statute, doubt), limits)];
/** A statute as the source of a limit. */
export const statuteOf = (title: string, doubt?: string): Provenance =>
  recalled(publication(title, 'State legislature', '2025'), 'wage garnishment limit', doubt);
/** So many hours of the minimum wage stay free a week; of what is over them all, or a share. */
export const freeHours = (hours: number, wage: Follows = 'state', share?: string): Pick<CreditorLimits, 'free'> => ({
  free: { hours, wage, ...(share === undefined ? {} : { share: rate(share) }) },
});

const wageSource = (state: string, doubt?: string): Provenance =>
  recalled(publication('State minimum wage', `Labor department of ${state}`, '2026'), 'hourly rate', doubt);
/** The hourly minimum wage of a state, of 2024, 2025 and 2026. */
export const minimumWages = (
  state: string,
  [of2024, of2025, of2026]: readonly [string, string, string],
  doubt?: string,
): readonly Dated<Cents>[] => [
  dated(year(2024), wageSource(state, doubt), dollars(of2024)),
  dated(year(2025), wageSource(state, doubt), dollars(of2025)),
  dated(year(2026), wageSource(state, doubt), dollars(of2026)),
];
export const minimumWageFrom = (
  from: string,
  until: string,
  state: string,
  amount: string,
  doubt?: string,
): Dated<Cents> => dated(between(from, until), wageSource(state, doubt), dollars(amount));
