import { recalled, type Provenance } from '../jurisdictions/dated.js';
import { publication } from '../jurisdictions/state-words.js';
import type { FilingKind } from './kind.js';

/** From this many returns of all kinds in a calendar year on, each of them is filed electronically. */
export const EFILE_FROM = 10;
export const EFILE_SOURCE: Provenance = recalled(
  publication('Treas. Reg. § 301.6011-2(c) as amended by T.D. 9972', 'Internal Revenue Service', '2023'),
  'ten returns of all types, for returns due in 2024 and later',
  'Income tax returns and Forms 1099 of the employer count as well and are not known here.',
);

/** How many returns of a kind fall due in a calendar year. */
export interface CountedReturns {
  readonly code: string;
  readonly name: string;
  readonly count: number;
}

/**
 * The federal returns that are expected to fall due in a calendar year from somebody who files these kinds: one a period, of
 * wage statements one a person. Corrections do not count; what goes with the owner's own return neither.
 */
export const expectedReturns = (kinds: readonly FilingKind[], people: number): CountedReturns[] =>
  kinds
    .filter((kind) => kind.jurisdiction === 'US' && kind.corrects === undefined && kind.noun !== 'schedule')
    .map((kind) => ({
      code: kind.code,
      name: kind.name,
      count: kind.statements ? people : { month: 12, quarter: 4, year: 1 }[kind.period],
    }))
    .filter(({ count }) => count > 0);

export const mustEfile = (returns: readonly CountedReturns[]): boolean =>
  returns.reduce((total, { count }) => total + count, 0) >= EFILE_FROM;
