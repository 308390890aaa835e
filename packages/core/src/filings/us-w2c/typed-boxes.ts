import { ZERO, cents, type Cents } from '../../money/cents.js';
import type { FilingInput } from '../kind.js';
import { noBoxes, type FormW2, type W2Person, type W2Set } from '../us-w2/form.js';
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

/**
 * A set with the boxes that were typed in place of what it had: of a year whose records are elsewhere. A box that the
 * statement did not have, and an employee who had no statement, come to it.
 */
export function withTypedBoxes(
  set: W2Set,
  entered: Readonly<Record<string, number>>,
  people: readonly W2Person[],
): W2Set {
  const typed = new Map<string, Map<string, Cents>>();
  for (const [key, amount] of Object.entries(entered)) {
    const at = key.indexOf(' ');
    const own = typed.get(key.slice(0, at)) ?? new Map<string, Cents>();
    typed.set(key.slice(0, at), own.set(key.slice(at + 1), cents(amount)));
  }
  const known = new Set(set.forms.map(({ person }) => person.employeeId));
  const missing = people.filter(({ employeeId }) => !known.has(employeeId) && typed.has(employeeId));
  return {
    ...set,
    forms: [
      ...set.forms.map((form) => withTyped(form, typed.get(form.person.employeeId) ?? new Map())),
      ...missing.map((person) => formOfBoxes(person, typed.get(person.employeeId) ?? new Map())),
    ],
  };
}

function withTyped(form: FormW2, typed: ReadonlyMap<string, Cents>): FormW2 {
  if (typed.size === 0) return form;
  const boxes = new Map([...boxesOf(form).map(({ box, amount }): [string, Cents] => [box, amount]), ...typed]);
  const made = formOfBoxes(form.person, boxes);
  return {
    ...form,
    ...made,
    isThirdPartySickPay: form.isThirdPartySickPay,
    withheldByInsurer: form.withheldByInsurer,
    box14: form.box14,
    box12: made.box12.filter(({ amount }) => amount !== ZERO),
    states: made.states.map((line) => ({
      ...line,
      stateId: form.states.find(({ state }) => state === line.state)?.stateId ?? '',
    })),
    locals: made.locals.map((line) => ({
      ...line,
      state: form.locals.find(({ locality }) => locality === line.locality)?.state ?? '',
    })),
  };
}

/** A box that can be typed: `1`, `12 D`, `16 NY`, `18 Philadelphia`. */
export const BOX_FIELD = /^(1|2|3|4|5|6|7|8|10|11|12 [A-Z]{1,2}|1[67] [A-Z]{2}|1[89] .+)$/;

/** A statement from the boxes of the paper, by `BOX_FIELD`; each box once. */
export function formOfBoxes(person: W2Person, boxes: ReadonlyMap<string, Cents>): FormW2 {
  const amount = (box: string): Cents => boxes.get(box) ?? ZERO;
  const places = (wages: string, tax: string): string[] => [
    ...new Set(
      [...boxes.keys()].flatMap((box) => (box.startsWith(wages) || box.startsWith(tax) ? [box.slice(3)] : [])),
    ),
  ];
  return {
    ...noBoxes(),
    person,
    ...(Object.fromEntries(Object.entries(MONEY_BOXES).map(([box, name]) => [name, amount(box)])) as Partial<FormW2>),
    box12: [...boxes].flatMap(([box, value]) => (box.startsWith('12 ') ? [{ code: box.slice(3), amount: value }] : [])),
    states: places('16 ', '17 ').map((state) => ({
      state,
      stateId: '',
      wages: amount(`16 ${state}`),
      tax: amount(`17 ${state}`),
    })),
    locals: places('18 ', '19 ').map((locality) => ({
      state: '',
      locality,
      wages: amount(`18 ${locality}`),
      tax: amount(`19 ${locality}`),
    })),
  };
}
