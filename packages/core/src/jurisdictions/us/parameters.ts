import { date } from '../../calendar/local-date.js';
import { dollars, type Cents } from '../../money/cents.js';
import { rate, type Rate } from '../../money/rate.js';
import type { Dated } from '../dated.js';
import { WITHHOLDING_2025 } from './withholding-2025.js';
import { WITHHOLDING_2026 } from './withholding-2026.js';

const year = (value: number) => ({ from: date(`${value}-01-01`), until: date(`${value + 1}-01-01`) });
const since2025 = { from: date('2025-01-01'), until: date('2027-01-01') };
const recalled = { standing: 'recalled' } as const;

export const WITHHOLDING = [WITHHOLDING_2025, WITHHOLDING_2026] as const;

/** Wages on which both halves of OASDI stop. */
export const OASDI_BASE: readonly Dated<Cents>[] = [
  { ...year(2025), value: dollars('176100'), source: 'us-ssa-cbb-2025', place: 'table of bases', ...recalled },
  { ...year(2026), value: dollars('184500'), source: 'us-ssa-cbb-2026', place: 'table of bases', ...recalled },
];
export const OASDI_RATE: readonly Dated<Rate>[] = [
  { ...since2025, value: rate('0.062'), source: 'us-irc', place: '§ 3101(a), § 3111(a)', ...recalled },
];
export const HI_RATE: readonly Dated<Rate>[] = [
  { ...since2025, value: rate('0.0145'), source: 'us-irc', place: '§ 3101(b)(1), § 3111(b)', ...recalled },
];
export const ADDITIONAL_HI: readonly Dated<{ readonly rate: Rate; readonly over: Cents }>[] = [
  {
    ...since2025,
    value: { rate: rate('0.009'), over: dollars('200000') },
    source: 'us-irc',
    place: '§ 3101(b)(2), § 3102(f)',
    ...recalled,
  },
];
/** The net rate after the full credit for state unemployment contributions: 6.0% less 5.4%. */
export const FUTA: readonly Dated<{ readonly rate: Rate; readonly base: Cents }>[] = [
  {
    ...since2025,
    value: { rate: rate('0.006'), base: dollars('7000') },
    source: 'us-form-940-inst',
    place: 'FUTA tax rate and base',
    ...recalled,
  },
];
export const SUPPLEMENTAL: readonly Dated<{
  readonly rate: Rate;
  readonly overMillion: Rate;
  readonly million: Cents;
}>[] = [
  {
    ...since2025,
    value: { rate: rate('0.22'), overMillion: rate('0.37'), million: dollars('1000000') },
    source: 'us-pub-15-2026',
    place: 'section 7, Supplemental Wages',
    ...recalled,
  },
];
