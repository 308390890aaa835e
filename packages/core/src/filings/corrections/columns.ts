import { ZERO, add, cents, subtract, sum, type Cents } from '../../money/cents.js';
import { round, times } from '../../money/exact.js';
import { rate, type Rate } from '../../money/rate.js';

/** A row of Part 3: corrected, originally reported, difference, tax correction. Null: the form has no fourth column there. */
export interface CorrectedLine {
  readonly id: string;
  readonly label: string;
  readonly columns: readonly [corrected: Cents, reported: Cents, difference: Cents, tax: Cents | null];
}
/** How column 4 follows from column 3. */
export type FourthColumn = 'none' | 'same' | 'opposite' | Rate;
export interface CorrectedRow {
  readonly id: string;
  readonly label: string;
  /** Lines of the original, added up. */
  readonly from: readonly string[];
  readonly fourth: FourthColumn;
  /**
   * Tax that was withheld from employees and is theirs: after the year it is corrected only where the return said something
   * else than was withheld (IRC § 3402; Instructions for Form 941-X, lines 7 and 13).
   */
  readonly ofYear?: true;
  /** Where only the employer's share is corrected: half of the rate. */
  readonly hasShares?: true;
}
/**
 * Workers who were not treated as employees (IRC § 3509): the employer owes a small part of what should have been withheld,
 * and nobody is asked for it later. Each line takes its own wages.
 */
export interface ReclassifiedRow {
  readonly id: string;
  readonly label: string;
  /** The name under which its wages are entered. */
  readonly entered: string;
  /** § 3509(a): the payments were reported on Form 1099. */
  readonly reported: Rate;
  /** § 3509(b): they were not. */
  readonly unreported: Rate;
  /** The row whose employer share the same wages owe, and its rate. */
  readonly share?: { readonly row: string; readonly rate: Rate };
}
export interface CorrectionForm {
  readonly rows: readonly CorrectedRow[];
  readonly reclassified?: readonly ReclassifiedRow[];
  /** Null: the form goes from its rows to the total. */
  readonly subtotal: string | null;
  readonly total: string;
}

const OASDI = rate('0.124');
const HI = rate('0.029');
const ADDITIONAL = rate('0.009');
const half = ({ n, d }: Rate): Rate => ({ n, d: d * 2 });

/** Special additions to wages, lines 19 to 22 of Form 941-X (recalled): 1.5 or 3 percent of wages, 20 or 40 percent of the employee's share. */
const RECLASSIFIED: readonly ReclassifiedRow[] = [
  {
    id: '19',
    label: 'Special addition to wages for federal income tax',
    entered: 'reclassifiedIncome',
    reported: rate('0.015'),
    unreported: rate('0.03'),
  },
  {
    id: '20',
    label: 'Special addition to wages for social security taxes',
    entered: 'reclassifiedOasdi',
    reported: rate('0.0124'),
    unreported: rate('0.0248'),
    share: { row: '8', rate: rate('0.062') },
  },
  {
    id: '21',
    label: 'Special addition to wages for Medicare taxes',
    entered: 'reclassifiedHi',
    reported: rate('0.0029'),
    unreported: rate('0.0058'),
    share: { row: '12', rate: rate('0.0145') },
  },
  {
    id: '22',
    label: 'Special addition to wages for Additional Medicare Tax',
    entered: 'reclassifiedAdditional',
    reported: rate('0.0018'),
    unreported: rate('0.0036'),
  },
];

/** Form 941-X, Part 3 (recalled). Lines of the pandemic and of deferrals are left out: they are no longer filled in. */
export const FORM_941_X: CorrectionForm = {
  rows: [
    { id: '6', label: 'Wages, tips, and other compensation', from: ['2'], fourth: 'none' },
    { id: '7', label: 'Federal income tax withheld', from: ['3'], fourth: 'same', ofYear: true },
    { id: '8', label: 'Taxable social security wages', from: ['5a.1'], fourth: OASDI, hasShares: true },
    { id: '11', label: 'Taxable social security tips', from: ['5b.1'], fourth: OASDI, hasShares: true },
    { id: '12', label: 'Taxable Medicare wages and tips', from: ['5c.1'], fourth: HI, hasShares: true },
    {
      id: '13',
      label: 'Taxable wages and tips subject to Additional Medicare Tax withholding',
      from: ['5d.1'],
      fourth: ADDITIONAL,
      ofYear: true,
    },
    { id: '14', label: 'Section 3121(q) Notice and Demand, tax due on unreported tips', from: ['5f'], fourth: 'same' },
    { id: '15', label: 'Tax adjustments', from: ['7', '8', '9'], fourth: 'same' },
    { id: '16', label: 'Qualified small business payroll tax credit', from: ['11'], fourth: 'opposite' },
  ],
  reclassified: RECLASSIFIED,
  subtotal: '23',
  total: '27',
};
/** Form 943-X, Part 3 (recalled). */
export const FORM_943_X: CorrectionForm = {
  rows: [
    { id: '6', label: 'Wages subject to social security tax', from: ['2'], fourth: OASDI, hasShares: true },
    { id: '9', label: 'Wages subject to Medicare tax', from: ['4'], fourth: HI, hasShares: true },
    {
      id: '10',
      label: 'Wages subject to Additional Medicare Tax withholding',
      from: ['6'],
      fourth: ADDITIONAL,
      ofYear: true,
    },
    { id: '11', label: 'Federal income tax withheld', from: ['8'], fourth: 'same', ofYear: true },
    { id: '12', label: 'Tax adjustments', from: ['10'], fourth: 'same' },
    { id: '13', label: 'Qualified small business payroll tax credit', from: ['12'], fourth: 'opposite' },
  ],
  subtotal: '19',
  total: '23',
};
/** Form 944-X, Part 3 (recalled). */
export const FORM_944_X: CorrectionForm = {
  rows: [
    { id: '6', label: 'Wages, tips, and other compensation', from: ['1'], fourth: 'none' },
    { id: '7', label: 'Federal income tax withheld', from: ['2'], fourth: 'same', ofYear: true },
    { id: '8', label: 'Taxable social security wages', from: ['4a.1'], fourth: OASDI, hasShares: true },
    { id: '11', label: 'Taxable social security tips', from: ['4b.1'], fourth: OASDI, hasShares: true },
    { id: '12', label: 'Taxable Medicare wages and tips', from: ['4c.1'], fourth: HI, hasShares: true },
    {
      id: '13',
      label: 'Taxable wages and tips subject to Additional Medicare Tax withholding',
      from: ['4d.1'],
      fourth: ADDITIONAL,
      ofYear: true,
    },
    { id: '14', label: 'Tax adjustments', from: ['6'], fourth: 'same' },
    { id: '15', label: 'Qualified small business payroll tax credit', from: ['8'], fourth: 'opposite' },
  ],
  subtotal: '22',
  total: '26',
};

/**
 * Form 945-X (recalled): what was withheld from payments that are not wages, without a fourth column of its own. After the
 * year only an administrative error is corrected (Instructions for Form 945-X, "Errors discovered").
 */
export const FORM_945_X: CorrectionForm = {
  rows: [
    { id: '3', label: 'Federal income tax withheld', from: ['1'], fourth: 'same', ofYear: true },
    { id: '4', label: 'Backup withholding', from: ['2'], fourth: 'same', ofYear: true },
  ],
  subtotal: null,
  total: '5',
};

export interface CorrectionTerms {
  /** The error is found after the year of the return. */
  readonly isLaterYear: boolean;
  /** The return said something else than was withheld. */
  readonly isAdministrative: boolean;
  /** Employees cannot be repaid or have not consented: only the employer's share is corrected. */
  readonly isEmployerShare: boolean;
  /** Wages by the names of the reclassified rows, and whether they were reported on Forms 1099. */
  readonly reclassified?: {
    readonly wages: Readonly<Record<string, Cents>>;
    readonly isReported: boolean;
    /** Those of earlier corrections of the same return: previously reported. */
    readonly before?: Readonly<Record<string, Cents>>;
  };
}
export interface Correction {
  readonly lines: readonly CorrectedLine[];
  readonly total: Cents;
  /** Rows that differ and may not be corrected any more: they keep what was reported. */
  readonly held: readonly string[];
}

/** Part 3 from the lines of a return as it stands at the agency and as it should be. Amounts in cents. */
export function correctionOf(
  form: CorrectionForm,
  reported: (line: string) => Cents,
  correct: (line: string) => Cents,
  terms: CorrectionTerms,
): Correction {
  const held: string[] = [];
  const special = terms.reclassified;
  const wagesOf = (row: ReclassifiedRow): Cents => special?.wages[row.entered] ?? ZERO;
  const beforeOf = (row: ReclassifiedRow): Cents => special?.before?.[row.entered] ?? ZERO;
  const lines = form.rows.map((row): CorrectedLine => {
    const was = sum(row.from.map(reported));
    const is = sum(row.from.map(correct));
    const isHeld = row.ofYear === true && terms.isLaterYear && !terms.isAdministrative && was !== is;
    if (isHeld) held.push(row.id);
    const now = isHeld ? was : is;
    const own = subtract(now, was);
    // Wages of those who were reclassified owe the employer's share in the row, and the small part in a row of their own.
    const more = form.reclassified?.find(({ share }) => share?.row === row.id);
    const added = more ? wagesOf(more) : ZERO;
    const before = more ? beforeOf(more) : ZERO;
    const fourth = fourthOf(row, own, terms);
    return {
      id: row.id,
      label: row.label,
      columns: [
        add(add(now, before), added),
        add(was, before),
        add(own, added),
        fourth === null ? null : add(fourth, more?.share ? part(added, more.share.rate) : ZERO),
      ],
    };
  });
  const reclassified = (form.reclassified ?? []).flatMap((row): CorrectedLine[] => {
    const wages = wagesOf(row);
    const tax = part(wages, special?.isReported === true ? row.reported : row.unreported);
    return wages === 0
      ? []
      : [{ id: row.id, label: row.label, columns: [add(beforeOf(row), wages), beforeOf(row), wages, tax] }];
  });
  lines.push(...reclassified);
  const taxes = lines.map(({ columns }) => columns[3] ?? ZERO);
  const total = sum(taxes);
  return {
    lines: [
      ...lines,
      ...(form.subtotal === null
        ? []
        : [{ id: form.subtotal, label: 'Subtotal', columns: [ZERO, ZERO, ZERO, total] as const }]),
      { id: form.total, label: 'Total', columns: [ZERO, ZERO, ZERO, total] },
    ],
    total,
    held,
  };
}

/** A share of wages, half a cent up. */
const part = (wages: Cents, by: Rate): Cents => round(times(wages, by), 'half-up');

function fourthOf(row: CorrectedRow, difference: Cents, { isEmployerShare }: CorrectionTerms): Cents | null {
  if (row.fourth === 'none') return null;
  if (row.fourth === 'same') return difference;
  if (row.fourth === 'opposite') return cents(-difference);
  const by = row.hasShares && isEmployerShare ? half(row.fourth) : row.fourth;
  // The same cents up and down: half a cent away from zero.
  const size = round(times(cents(Math.abs(difference)), by), 'half-up');
  return difference < 0 ? cents(-size) : size;
}
