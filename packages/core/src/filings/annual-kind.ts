import { onOrAfter } from '../calendar/business-days.js';
import { LEGAL } from '../calendar/holidays.js';
import { makeDate, yearOf } from '../calendar/local-date.js';
import type { FederalForm } from '../deposits/family.js';
import { dueBy } from '../deposits/due-rules.js';
import type { MefElements, MefField } from '../formats/mef/return.js';
import { mefLines, writeMefReturn } from '../formats/mef/return.js';
import { problem, warning } from '../issues/issue.js';
import { recalled } from '../jurisdictions/dated.js';
import { afterYear } from '../jurisdictions/deposit-words.js';
import { publication } from '../jurisdictions/state-words.js';
import { add, cents, showDollars, subtract, sum, toDollars, type Cents } from '../money/cents.js';
import type { TaxCode, TaxGroup } from '../tax-registry/registry.js';
import {
  annualWageReturn,
  daysTable,
  type AnnualLines,
  type AnnualReturn,
  type LiabilityDay,
} from './annual-return.js';
import { OF_EFILED_RETURNS, periodOver, runChecks, type Check } from './checks.js';
import { defineKind, type FilingKind, type Sending } from './kind.js';
import { mefFieldOf, mefHeader, mefPayment } from './mef-header.js';
import { FORM_NAMES, type FormCode } from './names.js';
import { lineOf } from './return-lines.js';

const IRS = { code: 'IRS', name: 'Internal Revenue Service' } as const;

/** What every federal return of a year shares: when it is due, by whom it is signed, how it leaves. */
export const ofYear = (code: FormCode, form: '943' | '944' | '945', title: string) =>
  ({
    code,
    jurisdiction: 'US',
    name: FORM_NAMES[code],
    noun: 'return',
    agency: IRS,
    receiver: 'irs',
    edition: recalled(
      publication(`Form ${form}, ${title}, and its instructions`, IRS.name, '2025'),
      'all lines',
      'The edition of 2026 was not at hand.',
    ),
    period: 'year',
    due: ({ end }: { readonly end: Parameters<typeof yearOf>[0] }) => {
      const { due, rule } = dueBy(afterYear(1), end, LEGAL);
      return { due, rule: `Form ${form}: ${rule}.` };
    },
    // Ten days more (Instructions for the form, "When Must You File?").
    laterWhenDeposited: ({ end }: { readonly end: Parameters<typeof yearOf>[0] }) =>
      onOrAfter(makeDate(yearOf(end) + 1, 2, 10), LEGAL),
    mediaType: 'application/xml',
    signedBy: 'Form 8879-EMP',
    fileName: ({ end }: { readonly end: Parameters<typeof yearOf>[0] }, ein: string) =>
      `${form}-${yearOf(end)}-${ein}.xml`,
    fieldOf: (theirs: string) => mefFieldOf(theirs),
    snapshotVersion: 1,
  }) as const satisfies Partial<FilingKind>;

/** The XML of an annual return: its lines, the liability by month or by day, the last return. */
export function writeAnnual(
  form: '943' | '944' | '945',
  elements: readonly MefField[],
  content: Pick<AnnualReturn, 'lines' | 'days'>,
  months: readonly string[],
  sending: Sending,
): string {
  const { employer } = sending;
  const { period } = sending.facts;
  const amount = (line: string): string => toDollars(lineOf(content.lines, line));
  const byMonth: MefElements = content.days
    ? { SemiweeklyScheduleDepositorInd: 'X' }
    : {
        MonthlyDepositorGrp: Object.fromEntries(
          months.map((line, index) => [`TaxLiabilityMonth${index + 1}Amt`, amount(line)]),
        ),
      };
  const { lastWages } = employer;
  const final: MefElements =
    lastWages !== null && lastWages >= period.start && lastWages <= period.end
      ? { FutureFilingNotRequiredInd: 'X', FinalWagesPaidDt: lastWages }
      : {};
  const byDay: MefElements = content.days
    ? {
        [`IRS${form === '944' ? '945' : form}A`]: {
          TaxLiabilityDay: content.days.map((day) => ({ '@date': day.date, '#': toDollars(day.amount) })),
          TotalTaxLiabilityAmt: toDollars(sum(content.days.map((day) => day.amount))),
        },
      }
    : {};
  return writeMefReturn(mefHeader(form, sending, yearOf(period.end)), {
    [`IRS${form}`]: { ...mefLines(elements, content.lines), ...byMonth, ...final },
    ...byDay,
    ...mefPayment(sending),
  });
}

/** The days add up to the total of the return. */
export const daysFoot =
  (total: string): Check<{ readonly lines: AnnualReturn['lines']; readonly days: readonly LiabilityDay[] | null }> =>
  ({ lines, days }) => {
    if (!days) return [];
    const footed = sum(days.map((day) => day.amount));
    const line = lineOf(lines, total);
    return footed === line
      ? []
      : [
          problem('check.days-differ', `line.${total}`, {
            days: showDollars(footed),
            line: total,
            total: showDollars(line),
          }),
        ];
  };

/** Form 943, line 1. */
const MARCH = 3;
interface AnnualKind {
  readonly form: '943' | '944';
  readonly code: FormCode;
  readonly title: string;
  readonly lines: AnnualLines;
  readonly isTipped: boolean;
  readonly elements: readonly MefField[];
  readonly files: (form: FederalForm) => { readonly is: boolean; readonly why: string };
  readonly family: string;
  readonly days: { readonly code: string; readonly title: string };
  readonly amendedBy: string;
}
const OTHER: Readonly<Record<FederalForm, string>> = {
  '941': 'Form 941',
  '943': 'Form 943',
  '944': 'Form 944',
  '945': 'Form 945',
  'schedule-h': 'Schedule H',
};

/** Form 943 or Form 944: wages of a year, reported once. */
export function annualWageKind(spec: AnnualKind): FilingKind {
  const { lines: at } = spec;
  const tax: TaxCode = 'US-FIT';
  const noWages: Check<AnnualReturn> = ({ lines }) =>
    lineOf(lines, at.hi[0]) === 0 ? [warning('check.no-wages', `line.${at.hi[0]}`)] : [];
  const small: Check<AnnualReturn> = ({ lines, mostRounding, otherAdjustments }) => {
    const fractions = subtract(lineOf(lines, at.adjustments), otherAdjustments);
    return Math.abs(fractions) <= mostRounding
      ? []
      : [problem('check.not-fractions', `line.${at.adjustments}`, { amount: showDollars(fractions) })];
  };
  const checks = [...OF_EFILED_RETURNS, periodOver, noWages, daysFoot(at.total), small];
  const amounts = (content: AnnualReturn): ReadonlyMap<TaxGroup, Cents> =>
    new Map<TaxGroup, Cents>([
      ['US-FIT', lineOf(content.lines, at.incomeTax)],
      ['US-OASDI', add(lineOf(content.lines, at.oasdi[1]), at.tips ? lineOf(content.lines, at.tips[1]) : cents(0))],
      ['US-HI', add(lineOf(content.lines, at.hi[1]), lineOf(content.lines, at.additional[1]))],
    ]);
  return defineKind<AnnualReturn>({
    ...ofYear(spec.code, spec.form, spec.title),
    files: ({ form }) => {
      const files = spec.files(form);
      return files.is ? files : { is: false, why: `It files ${OTHER[form]}, not Form ${spec.form}.` };
    },
    owedFor: ['US-FIT', 'US-OASDI', 'US-HI'],
    needs: {
      ...(at.headcount ? { headcount: MARCH } : {}),
      depositsOf: spec.family,
      tracked: ['oasdiTips', 'sickPayOasdi', 'sickPayHi', 'uncollectedOasdi', 'uncollectedHi'],
    },
    asks: [
      {
        name: 'researchCredit',
        line: at.credit,
        label: 'Credit for research activities',
        help: 'From Form 8974, line 12 or 17',
      },
    ],
    compute: (input) => annualWageReturn(at, input, spec.isTipped),
    lines: ({ lines }) => lines,
    tables: ({ days }) => daysTable(spec.days.code, spec.days.title, days),
    check: (content, facts) => runChecks(checks, content, facts),
    amount: ({ lines }) => lineOf(lines, at.total),
    figures: ({ lines }) => [
      { label: `Total taxes, line ${at.total}`, value: showDollars(lineOf(lines, at.total)) },
      { label: `Balance due, line ${at.balance}`, value: showDollars(lineOf(lines, at.balance)) },
    ],
    makeFile: (content, sending) => ({
      content: writeAnnual(spec.form, spec.elements, content, at.months, sending),
      issues: [],
    }),
    pays: { family: spec.family, tax, balance: ({ lines }) => lineOf(lines, at.balance) },
    tieOut: {
      station: 'returns',
      groups: ['US-FIT', 'US-OASDI', 'US-HI'],
      amounts,
      adjustments: ({ lines }) => lineOf(lines, at.adjustments),
      adjustmentWords: `fractions of cents and adjustments, line ${at.adjustments}`,
      adjusted: ['US-OASDI', 'US-HI'],
    },
    store: (content) => content,
    read: (stored) => stored as AnnualReturn,
    amendedBy: spec.amendedBy,
  });
}
