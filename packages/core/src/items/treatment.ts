import type { BaseFamily } from './registry.js';

/** The bases that a client's own item may be taken into or out of, as words of a sentence. */
export const BASE_FAMILIES: readonly (readonly [BaseFamily, string])[] = [
  ['income', 'federal income tax'],
  ['social', 'OASDI and HI'],
  ['unemployment', 'federal unemployment'],
  ['state-income', 'state income tax'],
  ['state-unemployment', 'state unemployment'],
  ['local', 'local taxes'],
];

/**
 * Where an item of a client's own is treated otherwise than the standard item it is like. `taxed`: its money is in the
 * wages of the base (an earning counts, a deduction does not lower them); `untaxed`: it is not.
 */
export type Treatment = Readonly<Partial<Record<BaseFamily, 'taxed' | 'untaxed'>>>;
export const TREATMENTS = ['taxed', 'untaxed'] as const;
