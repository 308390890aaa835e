import { ZERO, sum, type Cents } from '../../money/cents.js';
import type { FormW2, W2Person, W2Set } from '../us-w2/form.js';

/** An amount as it was last reported and as it should be. */
export interface BoxPair {
  /** `1`, `12D`, `16 NY`, `18 NYC`. */
  readonly box: string;
  readonly previous: Cents;
  readonly correct: Cents;
}
export interface IdentityPair {
  readonly field: 'ssn' | 'name';
  readonly previous: string;
  readonly correct: string;
}
/** Form W-2c of one person: only what changes. Amounts in cents. */
export interface FormW2c {
  readonly person: W2Person;
  readonly identity: readonly IdentityPair[];
  readonly boxes: readonly BoxPair[];
  /** Boxes of states and localities, which do not go to the federal agency. */
  readonly stateBoxes: readonly BoxPair[];
  /** Box 13 as reported and as it should be, where a mark changes. */
  readonly marks: readonly { readonly mark: string; readonly previous: boolean; readonly correct: boolean }[];
  /** Name as last reported, for the file. */
  readonly previousPerson: W2Person | null;
  readonly is: 'identity' | 'amounts' | 'both' | 'missing' | 'unneeded';
}
/** Forms W-2c of a year with what the agency has once they are accepted. */
export interface W2cSet {
  readonly year: number;
  readonly forms: readonly FormW2c[];
  readonly corrected: W2Set;
  readonly hasOriginal: boolean;
  /** The year was run elsewhere: what is right is typed. */
  readonly isTyped?: boolean;
}

/** Boxes of money, by number. */
export const MONEY_BOXES = {
  '1': 'box1',
  '2': 'box2',
  '3': 'box3',
  '4': 'box4',
  '5': 'box5',
  '6': 'box6',
  '7': 'box7',
  '8': 'box8',
  '10': 'box10',
  '11': 'box11',
} as const;
const nameOf = ({ firstName, middleName, lastName, suffix }: W2Person): string =>
  [firstName, middleName, lastName, suffix].filter((part) => part !== '').join(' ');

function pairs(previous: ReadonlyMap<string, Cents>, correct: ReadonlyMap<string, Cents>): BoxPair[] {
  return [...new Set([...previous.keys(), ...correct.keys()])].flatMap((box): BoxPair[] => {
    const was = previous.get(box) ?? ZERO;
    const is = correct.get(box) ?? ZERO;
    return was === is ? [] : [{ box, previous: was, correct: is }];
  });
}
function amountsOf(form: FormW2 | null): Map<string, Cents> {
  const found = new Map<string, Cents>();
  if (!form) return found;
  for (const [box, name] of Object.entries(MONEY_BOXES)) found.set(box, form[name]);
  for (const { code, amount } of form.box12) found.set(`12${code}`, amount);
  return found;
}
function stateAmountsOf(form: FormW2 | null): Map<string, Cents> {
  const found = new Map<string, Cents>();
  for (const { state, wages, tax } of form?.states ?? []) found.set(`16 ${state}`, wages).set(`17 ${state}`, tax);
  for (const { locality, wages, tax } of form?.locals ?? [])
    found.set(`18 ${locality}`, wages).set(`19 ${locality}`, tax);
  return found;
}
const MARKS = [
  ['statutory', (form: FormW2 | null) => form?.person.isStatutory === true],
  ['retirement-plan', (form: FormW2 | null) => form?.person.isRetirementPlan === true],
  ['third-party-sick-pay', (form: FormW2 | null) => form?.isThirdPartySickPay === true],
] as const;

export interface W2cTerms {
  /** Corrected after the year: tax that was withheld stays what it was (IRC § 31; General Instructions for W-2c). */
  readonly isLaterYear: boolean;
  readonly isAdministrative: boolean;
}

/** The form that puts one person right; null: nothing changes. */
export function correctW2(previous: FormW2 | null, correct: FormW2 | null, terms: W2cTerms): FormW2c | null {
  const person = (correct ?? previous)?.person;
  if (!person) return null;
  const isHeld = terms.isLaterYear && !terms.isAdministrative && previous !== null && correct !== null;
  const boxes = pairs(amountsOf(previous), amountsOf(correct)).filter(({ box }) => !(isHeld && box === '2'));
  const stateBoxes = pairs(stateAmountsOf(previous), stateAmountsOf(correct)).filter(
    ({ box }) => !(isHeld && (box.startsWith('17 ') || box.startsWith('19 '))),
  );
  const identity: IdentityPair[] = [];
  const was = previous?.person ?? null;
  if (was && correct) {
    if (was.ssn !== person.ssn) identity.push({ field: 'ssn', previous: was.ssn, correct: person.ssn });
    if (nameOf(was) !== nameOf(person))
      identity.push({ field: 'name', previous: nameOf(was), correct: nameOf(person) });
  }
  const marks = MARKS.flatMap(([mark, of]) =>
    previous && correct && of(previous) !== of(correct) ? [{ mark, previous: of(previous), correct: of(correct) }] : [],
  );
  const hasAmounts = boxes.length + stateBoxes.length + marks.length > 0;
  if (!hasAmounts && identity.length === 0) return null;
  return {
    person,
    identity,
    boxes,
    stateBoxes,
    marks,
    previousPerson: was,
    is:
      previous === null
        ? 'missing'
        : correct === null
          ? 'unneeded'
          : identity.length === 0
            ? 'amounts'
            : hasAmounts
              ? 'both'
              : 'identity',
  };
}

/** Forms W-2c of a year: everybody whose form differs from the one last reported. */
export function w2cSet(original: W2Set | null, corrected: W2Set, terms: W2cTerms): W2cSet {
  const was = new Map((original?.forms ?? []).map((form) => [form.person.employeeId, form]));
  const is = new Map(corrected.forms.map((form) => [form.person.employeeId, form]));
  const forms = original
    ? [...new Set([...was.keys(), ...is.keys()])].flatMap((id) => {
        const form = correctW2(was.get(id) ?? null, is.get(id) ?? null, terms);
        return form ? [form] : [];
      })
    : [];
  return { year: corrected.year, forms, corrected, hasOriginal: original !== null };
}

/** Form W-3c: the sums of the boxes that change. */
export function formW3c(forms: readonly FormW2c[]): BoxPair[] {
  const boxes = [...new Set(forms.flatMap((form) => form.boxes.map(({ box }) => box)))];
  return boxes.map((box) => {
    const own = forms.flatMap((form) => form.boxes.filter((pair) => pair.box === box));
    return {
      box,
      previous: sum(own.map(({ previous }) => previous)),
      correct: sum(own.map(({ correct }) => correct)),
    };
  });
}
/** Whether the form has something for the federal agency; corrections of state boxes alone do not go there. */
export const isFederal = ({ identity, boxes, marks }: FormW2c): boolean =>
  identity.length + boxes.length + marks.length > 0;
