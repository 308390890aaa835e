import type { BaseFamily } from '../items/registry.js';

/** Kinds of worker that the Internal Revenue Code treats apart. */
export interface WorkerRule {
  readonly label: string;
  /** Taxes that do not apply: income tax withholding, OASDI and HI, federal unemployment (state unemployment follows it). */
  readonly without: readonly (Extract<BaseFamily, 'income' | 'social' | 'unemployment'> | 'all')[];
  readonly source: string;
}
export const WORKER_KINDS = {
  employee: { label: 'Employee', without: [], source: 'IRC § 3401(c), § 3121(d)' },
  partner: { label: 'Partner', without: ['all'], source: 'Rev. Rul. 69-184' },
  contractor: { label: 'Independent contractor', without: ['all'], source: 'Publication 15-A, section 2' },
  statutory: { label: 'Statutory employee', without: ['income'], source: 'IRC § 3121(d)(3)' },
  'child-under-18': {
    label: 'Child under 18 of a sole proprietor',
    without: ['social', 'unemployment'],
    source: 'IRC § 3121(b)(3)(A), § 3306(c)(5)',
  },
  'child-under-21': {
    label: 'Child of 18 to 20 of a sole proprietor',
    without: ['unemployment'],
    source: 'IRC § 3306(c)(5)',
  },
  'nonresident-student': {
    label: 'Nonresident student or scholar (F, J, M, Q)',
    without: ['social', 'unemployment'],
    source: 'IRC § 3121(b)(19), § 3306(c)(19)',
  },
  clergy: {
    label: 'Member of the clergy',
    without: ['income', 'social', 'unemployment'],
    source: 'IRC § 3121(b)(8), § 3401(a)(9)',
  },
  'election-worker': {
    label: 'Election worker',
    without: ['income', 'unemployment'],
    source: 'IRC § 3121(b)(7)(F)(iv), § 3306(c)(7)',
  },
  'student-at-school': {
    label: 'Student working for the school',
    without: ['social', 'unemployment'],
    source: 'IRC § 3121(b)(10), § 3306(c)(10)',
  },
} as const satisfies Record<string, WorkerRule>;
export type WorkerKind = keyof typeof WORKER_KINDS;

export interface EmployerRule {
  readonly label: string;
  readonly owesFederalUnemployment: boolean;
  readonly source: string;
}
export const EMPLOYER_KINDS = {
  business: { label: 'Business', owesFederalUnemployment: true, source: 'IRC § 3306(a)' },
  nonprofit: { label: '501(c)(3) organization', owesFederalUnemployment: false, source: 'IRC § 3306(c)(8)' },
  government: { label: 'State or local government', owesFederalUnemployment: false, source: 'IRC § 3306(c)(7)' },
  federal: { label: 'Federal government', owesFederalUnemployment: false, source: 'IRC § 3306(c)(6)' },
  tribal: { label: 'Tribal government', owesFederalUnemployment: false, source: 'IRC § 3306(c)(7)' },
  household: {
    label: 'Household employer',
    owesFederalUnemployment: true,
    source: 'IRC § 3306(a)(3), § 3121(a)(7)(B)',
  },
  agricultural: {
    label: 'Agricultural employer',
    owesFederalUnemployment: true,
    source: 'IRC § 3306(a)(2), § 3121(a)(8)',
  },
} as const satisfies Record<string, EmployerRule>;
export type EmployerKind = keyof typeof EMPLOYER_KINDS;

type Family = 'income' | 'social' | 'unemployment' | 'all';
/** Asked several times for every check: answered once for each kind. */
const WITHOUT = Object.fromEntries(
  Object.entries(WORKER_KINDS).map(([kind, rule]) => {
    const without: readonly string[] = rule.without;
    const is = (family: Family): boolean => without.includes(family) || without.includes('all');
    return [
      kind,
      { income: is('income'), social: is('social'), unemployment: is('unemployment'), all: without.includes('all') },
    ];
  }),
) as Readonly<Record<WorkerKind, Readonly<Record<Family, boolean>>>>;
export const workerIsWithout = (kind: WorkerKind, family: Family): boolean => WITHOUT[kind][family];
