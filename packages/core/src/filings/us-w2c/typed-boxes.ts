import { ZERO, cents, type Cents } from '../../money/cents.js';
import type { FilingInput } from '../kind.js';
import type { FormW2, W2Set } from '../us-w2/form.js';
import { MONEY_BOXES } from './form.js';

/** The key of a typed box: `<employee> 1`, `<employee> 12 D`, `<employee> 16 NY`. */
export const boxKey = (employeeId: string, box: string): string => `${employeeId} ${box}`;

/** Nothing of the year is in the records: it was run elsewhere. */
export const isYearElsewhere = ({ entries, statements }: FilingInput): boolean =>
  entries.length === 0 && statements.checks.length === 0;

/** The boxes of a statement that can be typed, with what it has in them. */
export function boxesOf(form: FormW2): { readonly box: string; readonly amount: Cents }[] {
  return [
    ...Object.entries(MONEY_BOXES).map(([box, name]) => ({ box, amount: form[name] })),
    ...form.box12.map(({ code, amount }) => ({ box: `12 ${code}`, amount })),
    ...form.states.flatMap(({ state, wages, tax }) => [
      { box: `16 ${state}`, amount: wages },
      { box: `17 ${state}`, amount: tax },
    ]),
    ...form.locals.flatMap(({ locality, wages, tax }) => [
      { box: `18 ${locality}`, amount: wages },
      { box: `19 ${locality}`, amount: tax },
    ]),
  ];
}

/** A set with the boxes that were typed in place of what it had: of a year whose records are elsewhere. */
export function withTypedBoxes(set: W2Set, entered: Readonly<Record<string, number>>): W2Set {
  return { ...set, forms: set.forms.map((form) => withTyped(form, entered)) };
}

function withTyped(form: FormW2, entered: Readonly<Record<string, number>>): FormW2 {
  const { employeeId } = form.person;
  const typed = (box: string, was: Cents): Cents => {
    const given = entered[boxKey(employeeId, box)];
    return given === undefined ? was : cents(given);
  };
  const boxes = Object.fromEntries(
    Object.entries(MONEY_BOXES).map(([box, name]) => [name, typed(box, form[name])]),
  ) as unknown as Pick<FormW2, (typeof MONEY_BOXES)[keyof typeof MONEY_BOXES]>;
  return {
    ...form,
    ...boxes,
    box12: form.box12
      .map(({ code, amount }) => ({ code, amount: typed(`12 ${code}`, amount) }))
      .filter(({ amount }) => amount !== ZERO),
    states: form.states.map((line) => ({
      ...line,
      wages: typed(`16 ${line.state}`, line.wages),
      tax: typed(`17 ${line.state}`, line.tax),
    })),
    locals: form.locals.map((line) => ({
      ...line,
      wages: typed(`18 ${line.locality}`, line.wages),
      tax: typed(`19 ${line.locality}`, line.tax),
    })),
  };
}
