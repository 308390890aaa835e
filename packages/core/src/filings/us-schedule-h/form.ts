import { yearOf } from '../../calendar/local-date.js';
import { inForce } from '../../jurisdictions/dated.js';
import type { StateCode } from '../../jurisdictions/state.js';
import { CREDIT_REDUCTION, FUTA } from '../../jurisdictions/us/parameters.js';
import { ZERO, add, cents, notBelowZero, showDollars, smaller, subtract, sum, type Cents } from '../../money/cents.js';
import { round, times } from '../../money/exact.js';
import { rate, showPercent, showRate, type Rate } from '../../money/rate.js';
import type { TaxCode } from '../../tax-registry/registry.js';
import { shownParameter } from '../../working/tape.js';
import { WAGE_TAXES } from '../annual-return.js';
import type { FilingInput, StateContribution } from '../kind.js';
import { LineSheet, lineOf, type ReturnLine } from '../return-lines.js';

const BOTH_OASDI = rate('0.124');
const BOTH_HI = rate('0.029');
const ADDITIONAL = rate('0.009');
/** FUTA tax before the credit, and the most that is credited (Schedule H, lines 21 and 22). */
const FUTA_WHOLE = rate('0.06');
const FUTA_CREDIT = rate('0.054');
/** Of what is paid to a state after the due date this much is credited (Instructions for Schedule H; recalled). */
const LATE_SHARE = rate('0.90');
const FUTA_TAX: TaxCode = 'US-FUTA';
const OASDI: readonly TaxCode[] = ['US-OASDI-EE', 'US-OASDI-ER'];
const HI: readonly TaxCode[] = ['US-HI-EE', 'US-HI-ER', 'US-HI-ADD'];

/** A state of Section B, line 17. */
export interface StateRow {
  readonly state: StateCode;
  readonly wages: Cents;
  /** Wages × 5.4%. */
  readonly most: Cents;
  /** Contributions by the state's own rate. */
  readonly owed: Cents;
  /** What the own rate is lower by: column (g). */
  readonly additional: Cents;
  /** Paid to the state, of what was late the part that is credited: column (h). */
  readonly paid: Cents;
}
/** Schedule H of a year. Amounts in cents. */
export interface ScheduleH {
  readonly year: number;
  readonly lines: readonly ReturnLine[];
  /** `A`: one state, all of it on time and without a reduced credit. `B`: anything else. Null: no FUTA tax. */
  readonly section: 'A' | 'B' | null;
  readonly states: readonly StateRow[];
  readonly missing: readonly ('credit-reduction' | 'rate')[];
  /** Owed by the schedule beside what the ledger has, by tax. */
  readonly besides: readonly { readonly tax: TaxCode; readonly amount: Cents }[];
}

const part = (amount: Cents, by: Rate): Cents => round(times(amount, by), 'half-up');
const rowOf = ({ state, wages, owed, late }: StateContribution): StateRow => {
  const most = part(wages, FUTA_CREDIT);
  return {
    state,
    wages,
    most,
    owed,
    additional: notBelowZero(subtract(most, owed)),
    paid: add(subtract(owed, late), part(late, LATE_SHARE)),
  };
};

/**
 * Schedule H (Form 1040), Household Employment Taxes, from the ledger: Part I social security, Medicare and income tax,
 * Part II federal unemployment, Part III the total. Lines of the edition of 2025 (recalled).
 */
export function scheduleH(input: FilingInput): ScheduleH {
  const sheet = new LineSheet<string>(input.entries.filter(({ tax }) => WAGE_TAXES.includes(tax) || tax === FUTA_TAX));
  sheet.fromLedger('1', 'Total cash wages subject to social security tax', ['US-OASDI-EE'], 'wages');
  sheet.byRate('2', '1', 'Social security tax × 12.4%', BOTH_OASDI);
  sheet.fromLedger('3', 'Total cash wages subject to Medicare tax', ['US-HI-EE'], 'wages');
  sheet.byRate('4', '3', 'Medicare tax × 2.9%', BOTH_HI);
  sheet.fromLedger('5', 'Total cash wages subject to Additional Medicare Tax withholding', ['US-HI-ADD'], 'wages');
  sheet.byRate('6', '5', 'Additional Medicare Tax withholding × 0.9%', ADDITIONAL);
  sheet.fromLedger('7', 'Federal income tax withheld', ['US-FIT'], 'amount');
  sheet.addUp('8', 'Total social security, Medicare, and federal income taxes', ['2', '4', '6', '7']);
  const unemployment = futa(sheet, input);
  const futaTax = unemployment.line === null ? ZERO : sheet.value(unemployment.line);
  if (unemployment.line !== null) {
    sheet.addUp('25', 'Amount from line 8', ['8']);
    sheet.addUp('26', 'Total household employment taxes', ['25', unemployment.line]);
  }
  const beside = (tax: TaxCode, due: Cents, taxes: readonly TaxCode[]) => ({
    tax,
    amount: subtract(due, sheet.total(taxes, 'amount')),
  });
  return {
    year: yearOf(input.period.start),
    lines: sheet.lines,
    section: unemployment.section,
    states: unemployment.section === 'B' ? unemployment.states : [],
    missing: unemployment.missing,
    besides: [
      beside('US-OASDI-ER', sheet.value('2'), OASDI),
      beside('US-HI-ER', add(sheet.value('4'), sheet.value('6')), HI),
      beside(FUTA_TAX, futaTax, [FUTA_TAX]),
    ].filter(({ amount }) => amount !== 0),
  };
}

interface Unemployment {
  readonly section: ScheduleH['section'];
  /** The line with the tax. */
  readonly line: string | null;
  readonly states: readonly StateRow[];
  readonly missing: ScheduleH['missing'];
}

/** Part II. Section A takes the rate that is left after the whole credit; Section B works the credit out. */
function futa(sheet: LineSheet<string>, input: FilingInput): Unemployment {
  const wages = sum(input.unemployment.map((row) => row.wages));
  if (wages === 0) return { section: null, line: null, states: [], missing: [] };
  const law = inForce(FUTA, input.period.end, input.rules);
  const reductions = inForce(CREDIT_REDUCTION, input.period.end, input.rules);
  const missing = [...(law ? [] : ['rate' as const]), ...(reductions ? [] : ['credit-reduction' as const])];
  const taxedIn = (state: StateCode | null): Cents =>
    sum(input.unemployment.filter((row) => row.state === state).map((row) => row.wages));
  const states = [...new Set(input.unemployment.flatMap(({ state, wages: own }) => (state && own ? [state] : [])))];
  const reduction = sum(
    states.map((state) => {
      const lost = reductions?.value[state];
      return lost ? part(taxedIn(state), lost) : ZERO;
    }),
  );
  const late = sum(input.contributions.map((row) => row.late));
  const paid = sum(input.contributions.map((row) => subtract(row.owed, row.late)));
  const wagesLine = (id: string): void =>
    sheet.put(
      id,
      'Total cash wages subject to FUTA tax',
      wages,
      [{ label: 'Pay under the base', value: showDollars(wages), how: 'added up over people' }],
      { taxes: [FUTA_TAX], part: 'wages', of: 'liabilities' },
    );
  if (states.length === 1 && late === 0 && reduction === 0 && taxedIn(null) === 0) {
    sheet.put('14', 'Contributions paid to the state’s unemployment fund', paid, [
      { label: `Owed to ${states[0] ?? ''}`, value: showDollars(paid), how: 'paid by the due date' },
    ]);
    wagesLine('15');
    sheet.byRate('16', '15', 'FUTA tax', law?.value.rate ?? rate('0'));
    return { section: 'A', line: '16', states: [], missing };
  }
  const rows = input.contributions.filter(({ wages: own }) => own !== 0).map(rowOf);
  const column = (id: string, label: string, pick: (row: StateRow) => Cents): void =>
    sheet.put(
      id,
      label,
      sum(rows.map(pick)),
      rows.map((row) => ({ label: row.state, value: showDollars(pick(row)) })),
    );
  column('18g', 'Total of column (g): what the states’ own rates are lower by', (row) => row.additional);
  column('18h', 'Total of column (h): contributions paid to the states', (row) => row.paid);
  sheet.addUp('19', 'Columns (g) and (h) of line 18', ['18g', '18h']);
  wagesLine('20');
  sheet.byRate('21', '20', 'Line 20 × 6.0%', FUTA_WHOLE);
  sheet.byRate('22', '20', 'Line 20 × 5.4%', FUTA_CREDIT);
  const credit = smaller(sheet.value('19'), sheet.value('22'));
  sheet.put(
    '23',
    'The smaller of line 19 or line 22, less what of the credit is reduced',
    subtract(credit, reduction),
    [
      { label: 'The smaller of line 19 or line 22', value: showDollars(credit) },
      ...states.flatMap((state) => {
        const lost = reductions?.value[state];
        return lost && reductions
          ? [
              {
                label: `Credit reduction of ${state}`,
                value: showDollars(cents(-part(taxedIn(state), lost))),
                how: `${showDollars(taxedIn(state))} × ${showPercent(lost)}`,
                rounding: 'half a cent up',
                parameter: shownParameter('Credit reduction', showRate(lost), reductions),
              },
            ]
          : [];
      }),
    ],
  );
  sheet.put('24', 'FUTA tax', subtract(sheet.value('21'), sheet.value('23')), [
    { label: 'Line 21', value: showDollars(sheet.value('21')) },
    { label: 'Less line 23', value: showDollars(sheet.value('23')) },
  ]);
  return { section: 'B', line: '24', states: rows, missing };
}

/** FUTA tax of a schedule, whichever section has it. */
export const futaOf = ({ lines, section }: Pick<ScheduleH, 'lines' | 'section'>): Cents =>
  section === null ? ZERO : lineOf(lines, section === 'A' ? '16' : '24');
/** The total: line 26, or line 8 where there is no FUTA tax. */
export const totalOf = ({ lines, section }: Pick<ScheduleH, 'lines' | 'section'>): Cents =>
  lineOf(lines, section === null ? '8' : '26');
