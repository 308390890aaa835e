import { isLiability, type LedgerEntry } from '../ledger/entry.js';
import { findState } from '../jurisdictions/states.js';
import { ZERO, add, subtract, sum, type Cents } from '../money/cents.js';
import { findItem } from '../items/registry.js';

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
  readonly box12: readonly { readonly code: string; readonly amount: Cents }[];
  readonly states: readonly W2StateLine[];
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
  readonly box12a: Cents;
  readonly stateWages: Cents;
  readonly stateTax: Cents;
}

export interface W2Input {
  readonly people: readonly W2Person[];
  readonly entries: readonly LedgerEntry[];
  /** Deductions of the year by person and item code, from posted paychecks. */
  readonly deductions: readonly { readonly employeeId: string; readonly item: string; readonly amount: Cents }[];
  /** Tips among the OASDI wages of the year, by person. */
  readonly tips: ReadonlyMap<string, Cents>;
  readonly stateIds: Readonly<Record<string, string>>;
}

/** Box 12 codes that Form W-3 box 12a adds up (deferrals). Source: General Instructions for Forms W-2 and W-3. */
const DEFERRAL_CODES = ['D', 'E', 'F', 'G', 'H', 'S', 'Y', 'AA', 'BB', 'EE'];

const netOf = (entries: readonly LedgerEntry[], tax: string): number =>
  entries
    .filter((entry) => entry.tax === tax)
    .reduce((total, entry) => total + entry.subject + entry.wages + entry.amount, 0);

/** Forms W-2 of a year from ledger entries; people without wages get none. */
export function formsW2(input: W2Input): FormW2[] {
  return input.people.flatMap((person) => {
    const own = input.entries.filter((entry) => isLiability(entry) && entry.employeeId === person.employeeId);
    if (own.length === 0) return [];
    const of = (tax: string, part: 'subject' | 'wages' | 'amount'): Cents =>
      sum(own.filter((entry) => entry.tax === tax).map((entry) => entry[part]));
    const codes = new Map<string, Cents>();
    for (const deduction of input.deductions.filter((line) => line.employeeId === person.employeeId)) {
      const item = findItem(deduction.item);
      const code = item?.list === 'deduction' ? item.box12 : undefined;
      if (code) codes.set(code, add(codes.get(code) ?? ZERO, deduction.amount));
    }
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
    const tips = input.tips.get(person.employeeId) ?? ZERO;
    return [
      {
        person,
        box1: of('US-FIT', 'subject'),
        box2: of('US-FIT', 'amount'),
        box3: subtract(of('US-OASDI-EE', 'wages'), tips),
        box4: of('US-OASDI-EE', 'amount'),
        box5: of('US-HI-EE', 'subject'),
        box6: add(of('US-HI-EE', 'amount'), of('US-HI-ADD', 'amount')),
        box7: tips,
        box12: [...codes].map(([code, amount]) => ({ code, amount })).filter((line) => line.amount !== 0),
        states: states.filter((line) => findState(line.state)?.incomeTax.kind !== 'none'),
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
    box12a: total((form) =>
      sum(form.box12.filter((line) => DEFERRAL_CODES.includes(line.code)).map((line) => line.amount)),
    ),
    stateWages: total((form) => sum(form.states.map((line) => line.wages))),
    stateTax: total((form) => sum(form.states.map((line) => line.tax))),
  };
}
