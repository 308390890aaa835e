import { parseDate } from '../calendar/local-date.js';
import { problem, type Issue } from '../issues/issue.js';
import type { Dated, Standing } from '../jurisdictions/dated.js';
import type { LocalFee, LocalRates, LocalTax, Locality, OwnPlaces } from '../jurisdictions/locality.js';
import { placeCode } from '../jurisdictions/places.js';
import { findState } from '../jurisdictions/states.js';
import { ZERO, parseDollars } from '../money/cents.js';
import { parsePercent, type Rate } from '../money/rate.js';
import { LOCAL_TAX_KINDS } from '../tax-registry/registry.js';

/** Columns of a CSV file of localities, which are also the fields of a row in a pack. */
export const PLACE_COLUMNS = [
  'state',
  'name',
  'tax',
  'wages',
  'resident',
  'nonresident',
  'creditShare',
  'creditRate',
  'exemption',
  'base',
  'fee',
  'feePer',
  'feeFromWages',
  'from',
  'until',
  'publication',
  'publisher',
  'edition',
  'standing',
] as const;
const WAGES = ['gross', 'income', 'medicare', 'state-income'] as const;

export interface OwnPlace {
  readonly state: string;
  readonly name: string;
  readonly tax: string;
  readonly wages: LocalTax['wages'];
  readonly terms: OwnTerms;
}
/** One row of a tax by rates, or of a fixed fee. */
type OwnTerms =
  { readonly is: 'rates'; readonly row: Dated<LocalRates> } | { readonly is: 'fee'; readonly row: Dated<LocalFee> };
const FEE_PER = ['month', 'year-spread', 'week'] as const satisfies readonly LocalFee['per'][];

function readPlace(given: unknown, path: string, issues: Issue[]): OwnPlace[] {
  if (typeof given !== 'object' || given === null) {
    issues.push(problem('rules.format', path, { what: 'a row is not an object' }));
    return [];
  }
  const fields = given as Readonly<Record<string, unknown>>;
  const before = issues.length;
  for (const name of Object.keys(fields))
    if (!(PLACE_COLUMNS as readonly string[]).includes(name))
      issues.push(problem('input.unknown-field', `${path}.${name}`, { name }));
  const text = (name: string): string => (typeof fields[name] === 'string' ? fields[name].trim() : '');
  const required = (name: string): string => {
    if (text(name) === '') issues.push(problem('input.missing', `${path}.${name}`, { what: name }));
    return text(name);
  };
  const percent = (name: string): Rate | undefined => {
    if (text(name) === '') return undefined;
    const rate = parsePercent(text(name));
    if (!rate || rate.n < 0) issues.push(problem('input.not-a-decimal', `${path}.${name}`, { value: text(name) }));
    else if (rate.n * 100 > rate.d * 10 && !name.startsWith('credit'))
      issues.push(problem('employer.rate-implausible', `${path}.${name}`, { rate: `${text(name)}%` }));
    return rate ?? undefined;
  };
  const dollars = (name: string) => {
    if (text(name) === '') return undefined;
    const amount = parseDollars(text(name));
    if (amount === null) issues.push(problem('input.not-an-amount', `${path}.${name}`, { value: text(name) }));
    return amount ?? undefined;
  };
  const state = required('state');
  if (state !== '' && !findState(state)) issues.push(problem('rule.state-unknown', `${path}.state`, { state }));
  const tax = required('tax');
  if (tax !== '' && !(tax in LOCAL_TAX_KINDS))
    issues.push(
      problem('input.not-one-of', `${path}.tax`, { value: tax, choices: Object.keys(LOCAL_TAX_KINDS).join(', ') }),
    );
  const wages = WAGES.find((choice) => choice === (text('wages') || 'gross'));
  if (!wages)
    issues.push(problem('input.not-one-of', `${path}.wages`, { value: text('wages'), choices: WAGES.join(', ') }));
  const from = parseDate(text('from'));
  if (!from) issues.push(problem('input.not-an-iso-date', `${path}.from`, { value: text('from') }));
  const until = text('until') === '' ? null : parseDate(text('until'));
  if (text('until') !== '' && !until)
    issues.push(problem('input.not-an-iso-date', `${path}.until`, { value: text('until') }));
  const resident = percent('resident');
  const nonresident = percent('nonresident');
  const isFee = LOCAL_TAX_KINDS[tax]?.isFee === true;
  const fee = dollars('fee');
  const feeFromWages = dollars('feeFromWages');
  const per = FEE_PER.find((choice) => choice === text('feePer'));
  if (isFee) {
    if (fee === undefined) issues.push(problem('input.missing', `${path}.fee`, { what: 'the amount of the fee' }));
    if (!per)
      issues.push(
        problem('input.not-one-of', `${path}.feePer`, { value: text('feePer'), choices: FEE_PER.join(', ') }),
      );
  } else if (fee !== undefined) {
    issues.push(problem('rules.fee-of-rates', `${path}.fee`, { tax }));
  } else if (resident === undefined && nonresident === undefined)
    issues.push(problem('input.missing', `${path}.resident`, { what: 'the resident or the nonresident rate' }));
  const share = percent('creditShare');
  const rate = percent('creditRate');
  // One without the other would be kept and not used.
  for (const [one, other] of [
    ['creditShare', 'creditRate'],
    ['creditRate', 'creditShare'],
  ] as const)
    if (text(one) !== '' && text(other) === '')
      issues.push(problem('input.missing', `${path}.${other}`, { what: `the ${other} beside the ${one}` }));
  const exemption = dollars('exemption');
  const base = dollars('base');
  const name = required('name');
  const source = { title: required('publication'), publisher: required('publisher'), edition: required('edition') };
  if (issues.length > before || !from || !wages) return [];
  const value: LocalRates = {
    ...(resident === undefined ? {} : { resident }),
    ...(nonresident === undefined ? {} : { nonresident }),
    ...(share && rate ? { credit: { share, rate } } : {}),
    ...(exemption === undefined ? {} : { exemption }),
    ...(base === undefined ? {} : { base }),
  };
  const standing: Standing = text('standing') === 'verified' ? 'verified' : 'recalled';
  const dates = { from, until, source, place: isFee ? 'fee' : 'rates', standing };
  const terms: OwnTerms =
    isFee && fee !== undefined && per
      ? { is: 'fee', row: { ...dates, value: { amount: fee, per, fromWages: feeFromWages ?? ZERO } } }
      : { is: 'rates', row: { ...dates, value } };
  return [{ state, name, tax, wages, terms }];
}

/** Reads rows of localities; what is wrong is in `issues`, and only good rows come back. */
export function readPlaceRows(value: unknown, path: string, issues: Issue[]): readonly OwnPlace[] {
  if (!Array.isArray(value)) {
    issues.push(problem('rules.format', path, { what: 'its places are not a list' }));
    return [];
  }
  return value.flatMap((row, index) => readPlace(row, `${path}[${index}]`, issues));
}

/** Localities ready for a computation: rows of one place and tax together, the later ones first. */
export function ownPlaces(rows: readonly OwnPlace[]): OwnPlaces | null {
  if (rows.length === 0) return null;
  const states = new Map<string, Locality[]>();
  for (const { state, name } of rows) {
    const places = states.get(state) ?? [];
    states.set(state, places);
    if (places.some((place) => place.name === name)) continue;
    const own = rows.filter((row) => row.state === state && row.name === name);
    const kinds = [...new Set(own.map((row) => row.tax))];
    places.push({
      code: placeCode(name),
      name,
      taxes: kinds.flatMap((kind): LocalTax[] => {
        const found = LOCAL_TAX_KINDS[kind];
        const ofKind = own.filter((row) => row.tax === kind).reverse();
        const wages = ofKind[0]?.wages;
        if (!found || !wages) return [];
        return [
          {
            code: kind,
            kind: found.kind,
            label: `${name} ${found.label}`,
            payer: found.payer,
            wages,
            terms: found.isFee
              ? { is: 'fee', rows: ofKind.flatMap(({ terms }) => (terms.is === 'fee' ? [terms.row] : [])) }
              : { is: 'rates', rows: ofKind.flatMap(({ terms }) => (terms.is === 'rates' ? [terms.row] : [])) },
          },
        ];
      }),
    });
  }
  return states;
}
