import { parseDate, showDate, yearOf, type LocalDate } from '../../calendar/local-date.js';
import type { MefElements } from '../../formats/mef/return.js';
import { writeMefReturn } from '../../formats/mef/return.js';
import { problem, warning, type Issue } from '../../issues/issue.js';
import { recalled } from '../../jurisdictions/dated.js';
import { publication } from '../../jurisdictions/state-words.js';
import { ZERO, add, cents, showDollars, subtract, toDollars, type Cents } from '../../money/cents.js';
import type { TaxGroup } from '../../tax-registry/registry.js';
import { OF_EFILED_RETURNS, runChecks, type Check } from '../checks.js';
import { defineKind, type FilingInput, type FilingKind } from '../kind.js';
import { mefFieldOf, mefHeader } from '../mef-header.js';
import { CORRECTION_NAMES, type CorrectionCode } from '../names.js';
import { lineOf, type ReturnLine } from '../return-lines.js';
import { correctionOf, type Correction, type CorrectionForm } from './columns.js';
import { interestFreeDay, limitationOf, mayAdjust, type CorrectionProcess } from './limitations.js';

const IRS = { code: 'IRS', name: 'Internal Revenue Service' } as const;

/** What a correction of a federal return holds. Amounts in cents. */
export interface XContent extends Correction {
  readonly period: 'quarter' | 'year';
  readonly discovered: LocalDate | null;
  readonly process: CorrectionProcess;
  readonly isLaterYear: boolean;
  readonly certification: string;
  readonly explanation: string;
  /** The day by which it is sent: without interest, or within the period of limitations. */
  readonly due: LocalDate;
  /** The return as it should be, of the kind that is corrected. */
  readonly corrected: unknown;
  /** Wages of workers who were not treated as employees, with those of earlier corrections. */
  readonly reclassified?: Readonly<Record<string, Cents>>;
  readonly hasOriginal: boolean;
  readonly lineCount: number;
  /** Wages of reclassified workers are entered, and it is not said whether they were reported. */
  readonly isRateOpen?: true;
}

/** Part 2 of the form: what was done about the employees' shares (recalled). */
const CERTIFICATIONS = [
  ['repaid', 'Employees were repaid, and gave statements that they have not claimed it (lines 4a, 5a)'],
  ['employer-share', 'Only the employer’s share: employees could not be found, or did not consent (lines 4b, 5c)'],
  ['not-withheld', 'It was not withheld from employees (lines 4c, 5d)'],
  ['underreported', 'Tax was reported too low: no certification of repayment is needed (line 3)'],
] as const;

const WITHDRAWN = 'The return was filed twice, or for another period or EIN, and all of it is taken back. ';

interface XKind {
  readonly form: '941-X' | '943-X' | '944-X' | '945-X';
  readonly code: CorrectionCode;
  readonly title: string;
  readonly base: FilingKind;
  readonly part3: CorrectionForm;
}

/** Drafts Part 4: which lines change and by how much. */
const drafted = (correction: Correction, discovered: LocalDate | null, what: string): string => {
  const changed = correction.lines.filter(({ columns }) => columns[2] !== 0);
  if (changed.length === 0) return '';
  const parts = changed.map(
    ({ id, label, columns }) =>
      `line ${id} (${label.toLowerCase()}) from ${showDollars(columns[1])} to ${showDollars(columns[0])}`,
  );
  return `${discovered === null ? 'We' : `On ${showDate(discovered)} we`} found that the return as filed differs from the ${what} of the period: ${parts.join('; ')}.`;
};

/** Wages of reclassified workers that an earlier correction of the return has reported, by the names of their rows. */
const reclassifiedBefore = (original: unknown): Readonly<Record<string, Cents>> =>
  (original as { readonly reclassified?: Readonly<Record<string, Cents>> } | null)?.reclassified ?? {};

export function xKind({ form, code, title, base, part3 }: XKind): FilingKind {
  const reclassified = part3.reclassified ?? [];
  const rowIds = new Set([...part3.rows, ...reclassified].map(({ id }) => id));
  /** The lines of the form without its subtotal and total. */
  const rowsOf = <Line extends { readonly id: string }>(lines: readonly Line[]): Line[] =>
    lines.filter(({ id }) => rowIds.has(id));
  /** Employees have a share of some line: Part 2 says what was done about it. */
  const hasShares = part3.rows.some((row) => row.hasShares === true);
  const compute = (input: FilingInput): XContent => {
    // A return that belongs to another quarter or EIN, or was filed twice: what it said is taken back line by line.
    const isWithdrawn = input.answers['withdrawn'] === 'yes';
    const corrected = base.compute(isWithdrawn ? { ...input, entries: [], tracked: {}, entered: {} } : input);
    const reportedLines = input.original === null ? [] : base.lines(input.original);
    const lines = base.lines(corrected);
    const discovered = parseDate(input.answers['discovered'] ?? '');
    const on = discovered ?? input.today ?? input.period.end;
    const isLaterYear = yearOf(on) > yearOf(input.period.end);
    const certification = input.answers['certification'] ?? '';
    const before = reclassifiedBefore(input.original);
    const found = Object.fromEntries(reclassified.map(({ entered }) => [entered, input.entered[entered] ?? ZERO]));
    const together = Object.fromEntries(
      reclassified.map(({ entered }) => [entered, add(before[entered] ?? ZERO, found[entered] ?? ZERO)]),
    );
    const correction = correctionOf(
      part3,
      (line) => lineOf(reportedLines, line),
      (line) => lineOf(lines, line),
      {
        isLaterYear,
        // What was never owed under it was never withheld under it.
        isAdministrative: isWithdrawn || input.answers['administrative'] === 'yes',
        isEmployerShare: certification === 'employer-share',
        reclassified: {
          wages: found,
          isReported: input.answers['reclassified'] === 'reported',
          before,
        },
      },
    );
    const { kind } = input.period;
    const isRateOpen =
      reclassified.some(({ entered }) => (input.entered[entered] ?? 0) !== 0) && !input.answers['reclassified'];
    const isTooLow = correction.total > 0;
    const chosen = input.answers['process'] === 'claim' && !isTooLow ? 'claim' : 'adjusted';
    const process = isTooLow || mayAdjust(input.period, on) ? chosen : 'claim';
    return {
      ...correction,
      period: kind === 'year' ? 'year' : 'quarter',
      discovered,
      process,
      isLaterYear,
      certification,
      explanation:
        input.answers['explanation'] ||
        (isWithdrawn ? WITHDRAWN : '') + drafted(correction, discovered, hasShares ? 'paychecks' : 'payments'),
      due: isTooLow ? interestFreeDay(kind, on) : limitationOf(input.period),
      corrected,
      hasOriginal: input.original !== null,
      lineCount: correction.lines.filter(({ columns }) => columns[2] !== 0).length,
      ...(isRateOpen ? { isRateOpen } : {}),
      ...(Object.values(together).some((wages) => wages !== 0) ? { reclassified: together } : {}),
    };
  };
  const something: Check<XContent> = ({ hasOriginal, lineCount }) => [
    ...(hasOriginal ? [] : [problem('check.no-original', 'original', { form: base.name })]),
    ...(hasOriginal && lineCount === 0 ? [problem('check.nothing-to-correct', 'lines', { form: base.name })] : []),
  ];
  const answered: Check<XContent> = ({ discovered, certification, explanation, total, held, isRateOpen }) => {
    const issues: Issue[] = [];
    if (discovered === null) issues.push(problem('check.not-discovered', 'discovered', {}));
    if (hasShares && (certification === '' || (total < 0 && certification === 'underreported')))
      issues.push(problem('check.no-certification', 'certification', { form }));
    if (isRateOpen) issues.push(problem('check.reclassified', 'reclassified', { form }));
    if (explanation === '') issues.push(problem('check.no-explanation', 'explanation', { form }));
    for (const id of held) issues.push(warning('check.not-correctable', `line.${id}`, { line: id }));
    return issues;
  };
  const inTime: Check<XContent> = (_, { period, today }) =>
    today > limitationOf(period)
      ? [problem('check.limitation', 'period', { end: showDate(limitationOf(period)) })]
      : [];
  const checks = [...OF_EFILED_RETURNS, something, answered, inTime];
  const groups: readonly TaxGroup[] = base.tieOut.groups;
  return defineKind<XContent>({
    code,
    jurisdiction: 'US',
    name: CORRECTION_NAMES[code],
    noun: 'correction',
    agency: IRS,
    receiver: 'irs',
    edition: recalled(
      publication(`Form ${form}, ${title}, and its instructions`, IRS.name, 'April 2025'),
      'Parts 1 to 4',
      'Lines of the pandemic and of deferrals are left out.',
    ),
    period: base.period,
    files: () => ({ is: false, why: `It corrects a ${base.name} that was accepted, and begins there.` }),
    owedFor: [],
    due: ({ kind, end }) => ({
      due: interestFreeDay(kind, end),
      rule: `Form ${form}: without interest by the due date of the return for the period in which the error was found.`,
    }),
    needs: { ...base.needs, original: true },
    asks: [
      ...base.asks,
      ...reclassified.map(({ id, label, entered }) => ({
        name: entered,
        line: id,
        label: `${label}: wages of workers who were not treated as employees`,
        help: 'IRC § 3509. Not where the employer disregarded the rules on purpose, or withheld income tax only.',
      })),
    ],
    questions: [
      {
        name: 'discovered',
        label: 'Day on which the error was found',
        help: 'It decides by when it is corrected without interest',
        kind: 'day',
      },
      {
        name: 'process',
        label: 'Process, if tax was reported too high',
        help: 'Adjusted: a credit of this period’s return. Claim: a refund. In the last 90 days only a claim.',
        kind: 'choice',
        choices: [
          ['adjusted', 'Adjusted return'],
          ['claim', 'Claim for refund'],
        ],
      },
      ...(hasShares
        ? [
            {
              name: 'certification',
              label: 'Certification, Part 2',
              help: 'What was done about the share of the employees',
              kind: 'choice' as const,
              choices: CERTIFICATIONS,
            },
          ]
        : []),
      {
        name: 'withdrawn',
        label: 'It was filed twice, for another quarter or under another EIN',
        help: 'Then all of it goes to zero here; what is owed is reported where it belongs',
        kind: 'choice',
        choices: [
          ['no', 'No'],
          ['yes', 'Yes'],
        ],
      },
      {
        name: 'administrative',
        label: 'The return said something else than was withheld',
        help: 'An administrative error: only then income tax and Additional Medicare Tax of an earlier year are corrected',
        kind: 'choice',
        choices: [
          ['no', 'No'],
          ['yes', 'Yes'],
        ],
      },
      ...(reclassified.length > 0
        ? [
            {
              name: 'reclassified',
              label: 'Payments to workers who were not treated as employees',
              help: 'Reported on Forms 1099, the lower rates of section 3509 apply; otherwise the doubled ones',
              kind: 'choice' as const,
              choices: [
                ['', 'none'],
                ['reported', 'Reported on Forms 1099'],
                ['unreported', 'Not reported'],
              ] as const,
            },
          ]
        : []),
      {
        name: 'explanation',
        label: 'Explanation, Part 4',
        help: 'Left blank, it is drafted from the lines that change',
        kind: 'text',
      },
    ],
    compute,
    lines: (content) => linesOf({ ...content, lines: rowsOf(content.lines) }, part3),
    tables: (content) => [
      {
        code: 'columns',
        title: 'Part 3, line by line',
        isList: true,
        columns: [
          { name: 'line', label: 'Line', kind: 'text' },
          { name: 'label', label: 'What it is', kind: 'text' },
          { name: 'corrected', label: '1 Corrected', kind: 'amount' },
          { name: 'reported', label: '2 Reported', kind: 'amount' },
          { name: 'difference', label: '3 Difference', kind: 'amount' },
          { name: 'tax', label: '4 Tax correction', kind: 'amount' },
        ],
        rows: rowsOf(content.lines).map(({ id, label, columns }) => [
          id,
          label,
          columns[0],
          columns[1],
          columns[2],
          columns[3] ?? 0,
        ]),
      },
      ...(content.explanation === ''
        ? []
        : [
            {
              code: 'explanation',
              title: 'Part 4, explanation',
              isList: true as const,
              columns: [{ name: 'explanation', label: 'As it is sent', kind: 'text' as const }],
              rows: [[content.explanation]],
            },
          ]),
    ],
    check: (content, facts) => runChecks(checks, content, facts),
    amount: ({ total }) => total,
    figures: ({ total, process, due }) => [
      { label: `Total, line ${part3.total}`, value: showDollars(total) },
      { label: 'Process', value: process === 'claim' ? 'claim for refund' : 'adjusted return' },
      {
        label: total > 0 ? 'Without interest until' : 'Period of limitations ends',
        value: showDate(due),
      },
    ],
    fileName: ({ end }, ein) => `${form}-${end}-${ein}.xml`,
    mediaType: 'application/xml',
    makeFile: (content, sending) => {
      const element = `IRS${form.replace('-', '')}`;
      const body: MefElements = {
        [element]: {
          AdjustedEmploymentTaxReturnInd: content.process === 'adjusted' ? 'X' : '',
          ClaimInd: content.process === 'claim' ? 'X' : '',
          DiscoveredDt: content.discovered ?? '',
          ...(hasShares ? { CertificationCd: content.certification } : {}),
          CorrectionGrp: rowsOf(content.lines).map(({ id, columns }) => ({
            '@line': id,
            CorrectedAmt: toDollars(columns[0]),
            OriginallyReportedAmt: toDollars(columns[1]),
            DifferenceAmt: toDollars(columns[2]),
            ...(columns[3] === null ? {} : { TaxCorrectionAmt: toDollars(columns[3]) }),
          })),
          TotalTaxCorrectionAmt: toDollars(content.total),
          ExplanationTxt: content.explanation,
        },
      };
      return { content: writeMefReturn(mefHeader(form, sending, yearOf(sending.facts.period.end)), body), issues: [] };
    },
    signedBy: 'Form 8879-EMP',
    tieOut: {
      station: 'returns',
      groups,
      amounts: (content) => {
        const now = base.tieOut.amounts(content.corrected);
        return new Map(groups.map((group) => [group, now.get(group) ?? ZERO]));
      },
      adjustments: (content) => base.tieOut.adjustments(content.corrected),
      adjustmentWords: base.tieOut.adjustmentWords,
      adjusted: base.tieOut.adjusted,
    },
    snapshotVersion: 1,
    store: ({ corrected, ...content }, mark) => ({ ...content, corrected: base.store(corrected, mark) }),
    read: (stored) => {
      const kept = stored as XContent;
      return { ...kept, corrected: base.read(kept.corrected, base.snapshotVersion) };
    },
    fieldOf: (theirs) => mefFieldOf(theirs),
    amendedBy: `another Form ${form}`,
    dueFor: ({ due }) => due,
    corrects: base.code,
    // What was reclassified is in no ledger: the next correction has it as previously reported.
    corrected: ({ corrected, reclassified: kept }) =>
      kept ? { ...(corrected as object), reclassified: kept } : corrected,
  });
}

/** The total with what it is made of; the columns stand in their table. */
function linesOf({ lines, total }: XContent, part3: CorrectionForm): ReturnLine[] {
  return [
    {
      id: part3.total,
      label: total < 0 ? 'Total: tax was reported too high' : 'Total: tax was reported too low',
      value: total,
      kind: 'amount',
      entries: null,
      working: [
        ...lines
          .filter(({ columns }) => columns[3] !== null && columns[3] !== 0)
          .map(({ id, columns }) => ({
            label: `Line ${id}, column 4`,
            value: showDollars(columns[3] ?? ZERO),
            how: `${showDollars(columns[0])} less ${showDollars(columns[1])} = ${showDollars(subtract(columns[0], columns[1]))}`,
          })),
        { label: `Line ${part3.total}`, value: showDollars(cents(total)), isResult: true },
      ],
    },
  ];
}
