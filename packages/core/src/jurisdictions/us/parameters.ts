import { date } from '../../calendar/local-date.js';
import { dollars, type Cents } from '../../money/cents.js';
import { rate, type Rate } from '../../money/rate.js';
import type { Dated } from '../dated.js';
import { WITHHOLDING_2024 } from './withholding-2024.js';
import { WITHHOLDING_2025 } from './withholding-2025.js';
import { WITHHOLDING_2026 } from './withholding-2026.js';

const year = (value: number) => ({ from: date(`${value}-01-01`), until: date(`${value + 1}-01-01`) });
const since2024 = { from: date('2024-01-01'), until: date('2027-01-01') };
const recalled = { standing: 'recalled' } as const;

export const WITHHOLDING = [WITHHOLDING_2024, WITHHOLDING_2025, WITHHOLDING_2026] as const;

/** Wages on which both halves of OASDI stop. */
export const OASDI_BASE: readonly Dated<Cents>[] = [
  { ...year(2024), value: dollars('168600'), source: 'us-ssa-cbb-2024', place: 'table of bases', ...recalled },
  { ...year(2025), value: dollars('176100'), source: 'us-ssa-cbb-2025', place: 'table of bases', ...recalled },
  { ...year(2026), value: dollars('184500'), source: 'us-ssa-cbb-2026', place: 'table of bases', ...recalled },
];
export const OASDI_RATE: readonly Dated<Rate>[] = [
  { ...since2024, value: rate('0.062'), source: 'us-irc', place: '§ 3101(a), § 3111(a)', ...recalled },
];
export const HI_RATE: readonly Dated<Rate>[] = [
  { ...since2024, value: rate('0.0145'), source: 'us-irc', place: '§ 3101(b)(1), § 3111(b)', ...recalled },
];
export const ADDITIONAL_HI: readonly Dated<{ readonly rate: Rate; readonly over: Cents }>[] = [
  {
    ...since2024,
    value: { rate: rate('0.009'), over: dollars('200000') },
    source: 'us-irc',
    place: '§ 3101(b)(2), § 3102(f)',
    ...recalled,
  },
];
/** 6.0%, and the net rate after the full credit of 5.4% for contributions to a state (IRC § 3302). */
export const FUTA: readonly Dated<{ readonly rate: Rate; readonly withoutCredit: Rate; readonly base: Cents }>[] = [
  {
    ...since2024,
    value: { rate: rate('0.006'), withoutCredit: rate('0.06'), base: dollars('7000') },
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
    ...since2024,
    value: { rate: rate('0.22'), overMillion: rate('0.37'), million: dollars('1000000') },
    source: 'us-pub-15-2026',
    place: 'section 7, Supplemental Wages',
    ...recalled,
  },
];

/** Cash wages a year below which a household worker has no OASDI and HI (IRC § 3121(x)). */
export const HOUSEHOLD_MARK: readonly Dated<Cents>[] = [
  {
    ...year(2024),
    value: dollars('2700'),
    source: 'us-ssa-cbb-2024',
    place: 'domestic employee coverage threshold',
    ...recalled,
  },
  {
    ...year(2025),
    value: dollars('2800'),
    source: 'us-ssa-cbb-2025',
    place: 'domestic employee coverage threshold',
    ...recalled,
  },
  {
    ...year(2026),
    value: dollars('3000'),
    source: 'us-ssa-cbb-2026',
    place: 'domestic employee coverage threshold',
    ...recalled,
  },
];
/** Wages a year below which an election worker has no OASDI and HI (IRC § 3121(b)(7)(F)(iv)). */
export const ELECTION_MARK: readonly Dated<Cents>[] = [
  {
    ...year(2024),
    value: dollars('2300'),
    source: 'us-ssa-cbb-2024',
    place: 'election worker coverage threshold',
    ...recalled,
  },
  {
    ...year(2025),
    value: dollars('2400'),
    source: 'us-ssa-cbb-2025',
    place: 'election worker coverage threshold',
    ...recalled,
  },
  {
    ...year(2026),
    value: dollars('2500'),
    source: 'us-ssa-cbb-2026',
    place: 'election worker coverage threshold',
    ...recalled,
  },
];
/** Farm wages a year to one worker below which there is no OASDI and HI (IRC § 3121(a)(8)(B)). */
export const FARM_MARK: readonly Dated<Cents>[] = [
  {
    ...since2024,
    value: dollars('150'),
    source: 'us-irc',
    place: '§ 3121(a)(8)(B)(i)',
    ...recalled,
    doubt: 'Does not hold once the employer pays 2,500 a year to all its farm workers.',
  },
];
/** Below these a household or farm employer owes no federal unemployment tax: pay of a quarter, and people on a farm. */
export const UNEMPLOYMENT_MARKS: readonly Dated<{
  readonly householdQuarter: Cents;
  readonly farmQuarter: Cents;
  readonly farmPeople: number;
}>[] = [
  {
    ...since2024,
    value: { householdQuarter: dollars('1000'), farmQuarter: dollars('20000'), farmPeople: 10 },
    source: 'us-irc',
    place: '§ 3306(a)(2) and (3)',
    ...recalled,
    doubt: 'The law looks at every quarter of this year and the last, and at farm people in 20 weeks.',
  },
];
/** Credit lost for outstanding federal loans of a state's unemployment fund, by year, added when Form 940 is made. */
export const CREDIT_REDUCTION: readonly Dated<Readonly<Record<string, Rate>>>[] = [
  {
    ...year(2024),
    value: { CA: rate('0.009'), NY: rate('0.009') },
    source: 'us-form-940-inst',
    place: 'Schedule A (Form 940)',
    ...recalled,
    doubt: 'Connecticut is taken to have repaid before November 10, 2024.',
  },
  {
    ...year(2025),
    value: { CA: rate('0.012') },
    source: 'us-form-940-inst',
    place: 'Schedule A (Form 940)',
    ...recalled,
  },
];
/** Range widths of the wage-bracket tables by pay period, and the wages they end at. */
export const WAGE_BRACKETS: readonly Dated<Readonly<Record<string, { readonly width: Cents; readonly end: Cents }>>>[] =
  [
    {
      ...since2024,
      value: {
        weekly: { width: dollars('10'), end: dollars('1920') },
        biweekly: { width: dollars('20'), end: dollars('3840') },
        semimonthly: { width: dollars('20'), end: dollars('4160') },
        monthly: { width: dollars('40'), end: dollars('8320') },
        daily: { width: dollars('3'), end: dollars('384') },
      },
      source: 'us-pub-15-t-2026',
      place: 'sections 2 and 3, wage bracket tables',
      ...recalled,
      doubt:
        'Rows are rebuilt: the percentage method at the middle of each range, to the dollar. The widths of the ranges are not sure.',
    },
  ];
