import { dollars } from '../money/cents.js';
import { rate } from '../money/rate.js';
import { dated, years, type Dated, type Provenance } from './dated.js';
import type { LocalFee, LocalRates, LocalTax, Locality } from './locality.js';

/** Words to write tables of localities: percentages as people say them (`2.5` is 2.5 percent), amounts in dollars. */
export interface PlaceRates {
  readonly resident?: string;
  readonly nonresident?: string;
  readonly exemption?: string;
  readonly base?: string;
  readonly over?: string;
  readonly credit?: readonly [sharePercent: string, ratePercent: string];
  readonly tiers?: readonly (readonly [over: string, percent: string])[];
  readonly byPayroll?: readonly (readonly [over: string, percent: string])[];
}
const percent = (text: string) => {
  const value = rate(text);
  return { n: value.n, d: value.d * 100 };
};

export const localRates = (given: PlaceRates): LocalRates => ({
  ...(given.resident === undefined ? {} : { resident: percent(given.resident) }),
  ...(given.nonresident === undefined ? {} : { nonresident: percent(given.nonresident) }),
  ...(given.exemption === undefined ? {} : { exemption: dollars(given.exemption) }),
  ...(given.base === undefined ? {} : { base: given.base === 'oasdi' ? 'oasdi' : dollars(given.base) }),
  ...(given.over === undefined ? {} : { over: dollars(given.over) }),
  ...(given.credit === undefined
    ? {}
    : { credit: { share: percent(given.credit[0]), rate: percent(given.credit[1]) } }),
  ...(given.byPayroll === undefined
    ? {}
    : { byPayroll: given.byPayroll.map(([over, by]) => ({ over: dollars(over), rate: percent(by) })) }),
  ...(given.tiers === undefined
    ? {}
    : { tiers: given.tiers.map(([over, by]) => ({ over: dollars(over), rate: percent(by) })) }),
});
export const ratesTax = (
  tax: Pick<LocalTax, 'code' | 'kind' | 'label' | 'payer' | 'wages' | 'isShared' | 'followsCertificate'>,
  rows: readonly Dated<LocalRates>[],
): LocalTax => ({ ...tax, terms: { is: 'rates', rows } });
export const feeTax = (
  tax: Pick<LocalTax, 'code' | 'kind' | 'label' | 'payer'>,
  rows: readonly Dated<LocalFee>[],
): LocalTax => ({
  ...tax,
  wages: 'gross',
  terms: { is: 'fee', rows },
});
export const fee = (amount: string, per: LocalFee['per'], fromWages = '0'): LocalFee => ({
  amount: dollars(amount),
  per,
  fromWages: dollars(fromWages),
});
/** The middle of a tax code made of a name: `St. Louis` is `ST-LOUIS`. */
export const placeCode = (name: string): string =>
  name
    .toUpperCase()
    .replace(/[^A-Z0-9]+/g, '-')
    .replace(/^-|-$/g, '');

/** Many places with one tax each, at rates that hold in both years. */
export const placesAt = (
  tax: Pick<LocalTax, 'code' | 'kind' | 'payer' | 'wages'> & { readonly label: (name: string) => string },
  provenance: Provenance,
  rows: readonly (readonly [name: string, rates: PlaceRates, alsoKnownAs?: readonly string[]])[],
): readonly Locality[] =>
  rows.map(([name, rates, alsoKnownAs]) => ({
    code: placeCode(name),
    name,
    ...(alsoKnownAs ? { alsoKnownAs } : {}),
    taxes: [
      ratesTax({ code: tax.code, kind: tax.kind, label: tax.label(name), payer: tax.payer, wages: tax.wages }, [
        dated(years(2025, 2026), provenance, localRates(rates)),
      ]),
    ],
  }));
