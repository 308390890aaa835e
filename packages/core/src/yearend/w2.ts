import { isLiability, type LedgerEntry } from '../ledger/entry.js';
import { findState } from '../jurisdictions/states.js';
import { ZERO, add, subtract, sum, type Cents } from '../money/cents.js';
import { findItem } from '../items/registry.js';
import type { Tracked } from '../paycheck/result.js';
import { statementPartOf } from '../taxes/registry.js';

/** Identity of a person as the wage statement carries it. */
export interface W2Person {
  readonly employeeId: string;
  readonly ssn: string;
  readonly firstName: string;
  readonly middleName: string;
  readonly lastName: string;
  readonly suffix: string;
  readonly street: string;
  readonly city: string;
  readonly state: string;
  readonly zip: string;
  readonly country: string;
  readonly province: string;
  readonly isRetirementPlan: boolean;
  readonly isStatutory: boolean;
}
/** Boxes 18 to 20. */
export interface W2LocalLine {
  readonly state: string;
  readonly locality: string;
  readonly wages: Cents;
  readonly tax: Cents;
}
export interface W2StateLine {
  readonly state: string;
  readonly stateId: string;
  readonly wages: Cents;
  readonly tax: Cents;
}
/** Form W-2 of one person, box by box, in cents. */
export interface FormW2 {
  readonly person: W2Person;
  readonly box1: Cents;
  readonly box2: Cents;
  readonly box3: Cents;
  readonly box4: Cents;
  readonly box5: Cents;
  readonly box6: Cents;
  /** Social security tips; box 3 has the other wages. */
  readonly box7: Cents;
  /** Allocated tips. */
  readonly box8: Cents;
  /** Dependent care benefits. */
  readonly box10: Cents;
  /** Payments of nonqualified plans. */
  readonly box11: Cents;
  readonly box12: readonly { readonly code: string; readonly amount: Cents }[];
  readonly isThirdPartySickPay: boolean;
  /** Of box 2, 4 and 6: what the payer of third-party sick pay withheld; the income tax is Form W-3 box 14. */
  readonly withheldByInsurer: { readonly incomeTax: Cents; readonly oasdi: Cents; readonly hi: Cents };
  readonly box14: readonly { readonly label: string; readonly amount: Cents }[];
  readonly states: readonly W2StateLine[];
  readonly locals: readonly W2LocalLine[];
}
/** Form W-3: the totals. */
export interface FormW3 {
  readonly count: number;
  readonly box1: Cents;
  readonly box2: Cents;
  readonly box3: Cents;
  readonly box4: Cents;
  readonly box5: Cents;
  readonly box6: Cents;
  readonly box7: Cents;
  readonly box8: Cents;
  readonly box10: Cents;
  readonly box11: Cents;
  readonly box12a: Cents;
  /** Income tax withheld by the payer of third-party sick pay. */
  readonly box14: Cents;
  readonly localWages: Cents;
  readonly localTax: Cents;
  readonly stateWages: Cents;
  readonly stateTax: Cents;
}

interface PaidLine {
  readonly item: string;
  readonly amount: Cents;
}
/** What a posted paycheck keeps beside its taxes. */
export interface W2Check {
  readonly employeeId: string;
  readonly earnings: readonly PaidLine[];
  readonly deductions: readonly PaidLine[];
  readonly employerPaid: readonly PaidLine[];
  readonly tracked: Partial<Tracked>;
}
export interface W2Input {
  readonly year: number;
  readonly people: readonly W2Person[];
  readonly entries: readonly LedgerEntry[];
  /** Paychecks of the year. */
  readonly checks: readonly W2Check[];
  /** The employer's number by state. */
  readonly stateIds: Readonly<Record<string, string>>;
}

/** Box 12 codes that Form W-3 box 12a adds up (deferrals). Source: General Instructions for Forms W-2 and W-3. */
const DEFERRAL_CODES = ['D', 'E', 'F', 'G', 'H', 'S', 'Y', 'AA', 'BB', 'EE'];

const netOf = (entries: readonly LedgerEntry[], tax: string): number =>
  entries
    .filter((entry) => entry.tax === tax)
    .reduce((total, entry) => total + entry.subject + entry.wages + entry.amount, 0);

type Amounts = Map<string, Cents>;
const put = (into: Amounts, name: string, amount: Cents): void => {
  if (amount !== 0) into.set(name, add(into.get(name) ?? ZERO, amount));
};

/** Since 2026 Form W-2 has codes for what the law of 2025 lets people deduct; before, box 14 may say it (Notice 2025-62). */
const CODES_SINCE = 2026;

/** Boxes that one pay item fills. */
export const BOX_OF_ITEM: Readonly<Record<string, 'box8' | 'box10' | 'box11'>> = {
  'tips-allocated': 'box8',
  'dependent-care': 'box10',
  'nonqualified-plan': 'box11',
};

/** What the paychecks of a person add to boxes 8, 10, 11, 12 and 14. */
function fromChecks(year: number, checks: readonly W2Check[]) {
  const [codes, others]: [Amounts, Amounts] = [new Map(), new Map()];
  const boxes = { box8: ZERO, box10: ZERO, box11: ZERO };
  let health = ZERO;
  for (const { earnings, deductions, employerPaid, tracked } of checks) {
    for (const { item, amount } of [...earnings, ...deductions, ...employerPaid]) {
      const known = findItem(item);
      if (known?.box12) put(codes, known.box12, amount);
      const box = BOX_OF_ITEM[item];
      if (box) boxes[box] = add(boxes[box], amount);
      if (item === 'section-125-health') health = add(health, amount);
      if (item === 'shareholder-health') put(others, '2% health', amount);
    }
    // Tax on tips that the cash of a check could not pay.
    put(codes, 'A', tracked.uncollectedOasdi ?? ZERO);
    put(codes, 'B', tracked.uncollectedHi ?? ZERO);
    const hasCodes = year >= CODES_SINCE;
    put(hasCodes ? codes : others, hasCodes ? 'TP' : 'Cash tips', tracked.qualifiedTips ?? ZERO);
    put(hasCodes ? codes : others, hasCodes ? 'TT' : 'Qualified OT', tracked.qualifiedOvertime ?? ZERO);
  }
  // The cost of health coverage is that of both; an employer who reports none of its own reports none (IRC § 6051(a)(14)).
  if (codes.has('DD')) put(codes, 'DD', health);
  return { codes, others, boxes };
}

/** Boxes 14 and 18 to 20 from the taxes of a person. */
function fromTaxes(own: readonly LedgerEntry[], others: Amounts): W2LocalLine[] {
  const locals = new Map<string, W2LocalLine>();
  for (const entry of own) {
    const part = statementPartOf(entry.tax);
    if (part?.is === 'other') put(others, part.label, entry.amount);
    if (part?.is !== 'local') continue;
    const before = locals.get(entry.tax);
    locals.set(entry.tax, {
      state: entry.tax.slice(0, 2),
      locality: part.locality,
      wages: add(before?.wages ?? ZERO, entry.subject),
      tax: add(before?.tax ?? ZERO, entry.amount),
    });
  }
  return [...locals.values()].filter((line) => line.wages !== 0 || line.tax !== 0);
}
const listed = (amounts: Amounts) => [...amounts].filter(([, amount]) => amount !== 0);

/** What the payer of sick pay withheld: the employer reports it with its own (Publication 15-A, section 6). */
function withheldByInsurer(checks: readonly W2Check[]): FormW2['withheldByInsurer'] {
  return {
    incomeTax: sum(
      checks.flatMap((check) =>
        check.earnings.filter(({ item }) => item === 'third-party-income-tax').map(({ amount }) => amount),
      ),
    ),
    oasdi: sum(checks.map(({ tracked }) => tracked.sickPayOasdi ?? ZERO)),
    hi: sum(checks.map(({ tracked }) => tracked.sickPayHi ?? ZERO)),
  };
}

/** Forms W-2 of a year from ledger entries and paychecks; people without wages get none. */
export function formsW2(input: W2Input): FormW2[] {
  const checksOf = new Map<string, W2Check[]>();
  for (const check of input.checks) checksOf.set(check.employeeId, [...(checksOf.get(check.employeeId) ?? []), check]);
  return input.people.flatMap((person) => {
    const own = input.entries.filter((entry) => isLiability(entry) && entry.employeeId === person.employeeId);
    if (own.length === 0) return [];
    const of = (tax: string, part: 'subject' | 'wages' | 'amount'): Cents =>
      sum(own.filter((entry) => entry.tax === tax).map((entry) => entry[part]));
    const checks = checksOf.get(person.employeeId) ?? [];
    const { codes, others, boxes } = fromChecks(input.year, checks);
    const locals = fromTaxes(own, others);
    const states = [
      ...new Set(own.filter((entry) => entry.tax.endsWith('-SIT')).map((entry) => entry.tax.slice(0, 2))),
    ].map((state) => ({
      state,
      stateId: input.stateIds[state] ?? '',
      wages: of(`${state}-SIT`, 'subject'),
      tax: of(`${state}-SIT`, 'amount'),
    }));
    // What was recorded and taken back again leaves nothing to report.
    if (own.every((entry) => netOf(own, entry.tax) === 0)) return [];
    const tips = sum(checks.map((check) => check.tracked.oasdiTips ?? ZERO));
    const insurer = withheldByInsurer(checks);
    return [
      {
        person,
        box1: of('US-FIT', 'subject'),
        box2: add(of('US-FIT', 'amount'), insurer.incomeTax),
        box3: subtract(of('US-OASDI-EE', 'wages'), tips),
        box4: add(of('US-OASDI-EE', 'amount'), insurer.oasdi),
        box5: of('US-HI-EE', 'subject'),
        box6: sum([of('US-HI-EE', 'amount'), of('US-HI-ADD', 'amount'), insurer.hi]),
        box7: tips,
        ...boxes,
        box12: listed(codes).map(([code, amount]) => ({ code, amount })),
        isThirdPartySickPay: checks.some((check) =>
          check.earnings.some(({ item, amount }) => item === 'third-party-sick-pay' && amount !== 0),
        ),
        withheldByInsurer: insurer,
        box14: listed(others).map(([label, amount]) => ({ label, amount })),
        states: states.filter((line) => findState(line.state)?.incomeTax.kind !== 'none'),
        locals,
      },
    ];
  });
}

export function formW3(forms: readonly FormW2[]): FormW3 {
  const total = (pick: (form: FormW2) => Cents): Cents => sum(forms.map(pick));
  return {
    count: forms.length,
    box1: total((form) => form.box1),
    box2: total((form) => form.box2),
    box3: total((form) => form.box3),
    box4: total((form) => form.box4),
    box5: total((form) => form.box5),
    box6: total((form) => form.box6),
    box7: total((form) => form.box7),
    box8: total((form) => form.box8),
    box10: total((form) => form.box10),
    box11: total((form) => form.box11),
    box12a: total((form) =>
      sum(form.box12.filter((line) => DEFERRAL_CODES.includes(line.code)).map((line) => line.amount)),
    ),
    box14: total((form) => form.withheldByInsurer.incomeTax),
    stateWages: total((form) => sum(form.states.map((line) => line.wages))),
    stateTax: total((form) => sum(form.states.map((line) => line.tax))),
    localWages: total((form) => sum(form.locals.map((line) => line.wages))),
    localTax: total((form) => sum(form.locals.map((line) => line.tax))),
  };
}
