import { isLiability, type LedgerEntry } from '../../ledger/entry.js';
import { findState } from '../../jurisdictions/states.js';
import { ZERO, add, subtract, sum, type Cents } from '../../money/cents.js';
import { findItem } from '../../items/registry.js';
import type { Tracked } from '../../computation/result.js';
import { isStateIncomeTax, statementPartOf, taxOf, type TaxCode } from '../../tax-registry/registry.js';

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
/** The boxes of a statement with nothing in them. */
export const noBoxes = (): Omit<FormW2, 'person'> => ({
  box1: ZERO,
  box2: ZERO,
  box3: ZERO,
  box4: ZERO,
  box5: ZERO,
  box6: ZERO,
  box7: ZERO,
  box8: ZERO,
  box10: ZERO,
  box11: ZERO,
  box12: [],
  isThirdPartySickPay: false,
  withheldByInsurer: { incomeTax: ZERO, oasdi: ZERO, hi: ZERO },
  box14: [],
  states: [],
  locals: [],
});
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

/** The taxes of a person in the year, each added up once. */
type TaxTotals = ReadonlyMap<TaxCode, { readonly subject: Cents; readonly wages: Cents; readonly amount: Cents }>;
const NOTHING = { subject: ZERO, wages: ZERO, amount: ZERO } as const;

/** Totals by person, in one pass over the ledger. */
function totalsByPerson(entries: readonly LedgerEntry[]): Map<string, TaxTotals> {
  const people = new Map<string, Map<TaxCode, { subject: Cents; wages: Cents; amount: Cents }>>();
  for (const entry of entries) {
    if (entry.employeeId === null || !isLiability(entry)) continue;
    let own = people.get(entry.employeeId);
    if (!own) people.set(entry.employeeId, (own = new Map()));
    const total = own.get(entry.tax);
    if (!total) own.set(entry.tax, { subject: entry.subject, wages: entry.wages, amount: entry.amount });
    else {
      total.subject = add(total.subject, entry.subject);
      total.wages = add(total.wages, entry.wages);
      total.amount = add(total.amount, entry.amount);
    }
  }
  return people;
}

/** Boxes 14 and 18 to 20 from the taxes of a person. */
function fromTaxes(own: TaxTotals, others: Amounts): W2LocalLine[] {
  const locals: W2LocalLine[] = [];
  for (const [code, total] of own) {
    const part = statementPartOf(code);
    if (part?.is === 'other') put(others, part.label, total.amount);
    if (part?.is !== 'local' || (total.subject === 0 && total.amount === 0)) continue;
    locals.push({
      state: taxOf(code).jurisdiction,
      locality: part.locality,
      wages: total.subject,
      tax: total.amount,
    });
  }
  return locals;
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

/** Forms W-2 of a year from ledger entries and paychecks, in one pass; people without wages get none. */
export function formsW2(input: W2Input): FormW2[] {
  const checksOf = new Map<string, W2Check[]>();
  for (const check of input.checks) {
    const own = checksOf.get(check.employeeId);
    if (own) own.push(check);
    else checksOf.set(check.employeeId, [check]);
  }
  const totals = totalsByPerson(input.entries);
  return input.people.flatMap((person) => {
    const own = totals.get(person.employeeId);
    // What was recorded and taken back again leaves nothing to report.
    if (!own || [...own.values()].every((total) => total.subject + total.wages + total.amount === 0)) return [];
    return [statementOf(input, person, own, checksOf.get(person.employeeId) ?? [])];
  });
}

function statementOf(input: W2Input, person: W2Person, own: TaxTotals, checks: readonly W2Check[]): FormW2 {
  const of = (tax: TaxCode) => own.get(tax) ?? NOTHING;
  const { codes, others, boxes } = fromChecks(input.year, checks);
  const locals = fromTaxes(own, others);
  const states = [...own].flatMap(([code, total]): W2StateLine[] => {
    const tax = taxOf(code);
    const state = tax.jurisdiction;
    return isStateIncomeTax(tax) && findState(state)?.incomeTax.kind !== 'none'
      ? [{ state, stateId: input.stateIds[state] ?? '', wages: total.subject, tax: total.amount }]
      : [];
  });
  const tips = sum(checks.map((check) => check.tracked.oasdiTips ?? ZERO));
  const insurer = withheldByInsurer(checks);
  return {
    person,
    box1: of('US-FIT').subject,
    box2: add(of('US-FIT').amount, insurer.incomeTax),
    box3: subtract(of('US-OASDI-EE').wages, tips),
    box4: add(of('US-OASDI-EE').amount, insurer.oasdi),
    box5: of('US-HI-EE').subject,
    box6: sum([of('US-HI-EE').amount, of('US-HI-ADD').amount, insurer.hi]),
    box7: tips,
    ...boxes,
    box12: listed(codes).map(([code, amount]) => ({ code, amount })),
    isThirdPartySickPay: checks.some((check) =>
      check.earnings.some(({ item, amount }) => item === 'third-party-sick-pay' && amount !== 0),
    ),
    withheldByInsurer: insurer,
    box14: listed(others).map(([label, amount]) => ({ label, amount })),
    states,
    locals,
  };
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

/** Forms W-2 of a client's year, and the totals of the ledger that they have to agree with. */
export interface W2Set {
  /** Of a file that somebody else filed: people of it who are nobody's employee here. */
  readonly strangers?: readonly string[];
  readonly year: number;
  readonly forms: readonly FormW2[];
  readonly ledger: {
    readonly incomeTax: Cents;
    readonly oasdiWages: Cents;
    readonly oasdiTax: Cents;
    readonly hiWages: Cents;
    readonly hiTax: Cents;
  };
}

export function w2Set(input: Omit<W2Input, 'year'> & { readonly year: number }): W2Set {
  const totals = new Map<TaxCode, { subject: Cents; wages: Cents; amount: Cents }>();
  for (const entry of input.entries) {
    if (!isLiability(entry)) continue;
    const total = totals.get(entry.tax) ?? NOTHING;
    totals.set(entry.tax, {
      subject: add(total.subject, entry.subject),
      wages: add(total.wages, entry.wages),
      amount: add(total.amount, entry.amount),
    });
  }
  const of = (tax: TaxCode) => totals.get(tax) ?? NOTHING;
  return {
    year: input.year,
    forms: formsW2(input),
    ledger: {
      incomeTax: of('US-FIT').amount,
      oasdiWages: of('US-OASDI-EE').wages,
      oasdiTax: of('US-OASDI-EE').amount,
      hiWages: of('US-HI-EE').subject,
      hiTax: add(of('US-HI-EE').amount, of('US-HI-ADD').amount),
    },
  };
}
