import { RCE, RCO, RCO_MONEY, RCT, RCW, RCW_MONEY } from '../../formats/efw2c/layout.js';
import type { RecordLayout } from '../../formats/fixed-width/field.js';
import { readRecord } from '../../formats/fixed-width/writer.js';
import { problem, type Issue } from '../../issues/issue.js';
import { ZERO, cents, showDollars, sum, type Cents } from '../../money/cents.js';
import { type FormW2, type W2Person, type W2Set, noBoxes } from '../us-w2/form.js';
import { setAsFiled } from '../us-w2/read-file.js';
import { MONEY_BOXES, w2cSet, type BoxPair, type W2cSet } from './form.js';

/** One person's record of a file of corrections that somebody else sent. Amounts in cents. */
export interface ReadCorrection {
  /** The number as it was reported before, where it changes; else the number. */
  readonly ssnBefore: string;
  /** What the record says of the person; names and marks only where they change. */
  readonly person: Pick<W2Person, 'ssn' | 'firstName' | 'middleName' | 'lastName'>;
  readonly changesName: boolean;
  readonly address: Pick<W2Person, 'street' | 'city' | 'state' | 'zip' | 'country' | 'province'>;
  readonly isRetirementPlan: boolean | null;
  readonly isStatutory: boolean | null;
  readonly isThirdPartySickPay: boolean | null;
  readonly boxes: readonly BoxPair[];
}
export interface ReadCorrectionFile {
  readonly year: number;
  readonly ein: string;
  readonly corrections: readonly ReadCorrection[];
  /** Records of states, whose layout is each state's own: counted, and not read. */
  readonly stateRecords: number;
  readonly issues: readonly Issue[];
}

const RECORD_LENGTH = 1024;
type Values = Readonly<Record<string, string>>;

/** Pairs of a record; half a pair, what is no amount, and what stands where nothing is known are issues, never nothing. */
function pairsOf(layout: RecordLayout, line: string, fields: typeof RCW_MONEY, at: number, issues: Issue[]): BoxPair[] {
  const values = readRecord(layout, line);
  const seen = new Set<string>();
  for (const field of layout.fields)
    if (field.kind === 'blank' && line.slice(field.from - 1, field.to).trim() !== '')
      issues.push(
        problem('wage-file.beyond', 'content', {
          line: String(at),
          from: String(field.from),
          to: String(field.to),
        }),
      );
  return fields.flatMap(([box, name]): BoxPair[] => {
    // Codes A and B are one amount: it is read as A.
    if (seen.has(name)) return [];
    seen.add(name);
    const [previous = '', correct = ''] = [`${name}, Originally Reported`, `${name}, Correct`].map((field) =>
      (values[field] ?? '').trim(),
    );
    if (previous === '' && correct === '') return [];
    for (const value of [previous, correct])
      if (!/^\d+$/.test(value))
        issues.push(problem('wage-file.amount', 'content', { line: String(at), field: name, value }));
    return [{ box, previous: cents(Number(previous) || 0), correct: cents(Number(correct) || 0) }];
  });
}

function correctionOf(line: string, after: string, at: number, issues: Issue[]): ReadCorrection {
  const values: Values = readRecord(RCW, line);
  const text = (name: string): string => (values[name] ?? '').trim();
  const mark = (name: string): boolean | null => {
    const correct = text(`${name}, Correct`);
    return correct === '' ? null : correct === '1';
  };
  const number = (name: string): string => text(name).replace(/^0*$/, '');
  const ssn = number('Social Security Number (SSN), Correct');
  return {
    ssnBefore: number('Social Security Number (SSN), Originally Reported') || ssn,
    person: {
      ssn,
      firstName: text('Employee First Name, Correct'),
      middleName: text('Employee Middle Name or Initial, Correct'),
      lastName: text('Employee Last Name, Correct'),
    },
    changesName: text('Employee Last Name, Originally Reported') !== '',
    address: {
      street: [text('Delivery Address'), text('Location Address')].filter((part) => part !== '').join(', '),
      city: text('City'),
      state: text('State Abbreviation'),
      zip: text('Country Code') === '' ? text('ZIP Code') : text('Foreign Postal Code'),
      country: text('Country Code'),
      province: text('Foreign State/Province'),
    },
    isRetirementPlan: mark('Retirement Plan Indicator'),
    isStatutory: mark('Statutory Employee Indicator'),
    isThirdPartySickPay: mark('Third-Party Sick Pay Indicator'),
    boxes: [
      ...pairsOf(RCW, line, RCW_MONEY, at, issues),
      ...(after.startsWith('RCO') ? pairsOf(RCO, after, RCO_MONEY, at + 1, issues) : []),
    ],
  };
}

/** Whether a file is one of corrections: EFW2C. */
export const isEfw2c = (text: string): boolean => text.startsWith('RCA');

/**
 * Reads the EFW2C file of one employer that somebody else sent. Another EIN, or a field that is not known, refuses the file
 * whole: a part of it would stand for a year that nobody filed. Records of states (RCS, RCV) went to the states and not to the
 * federal agency: they are counted, and boxes 15 to 17 stay as they stand.
 */
export function readEfw2c(text: string): ReadCorrectionFile {
  const lines = text.split(/\r?\n/).filter((line) => line.trim() !== '');
  const nothing = (issue: Issue): ReadCorrectionFile => ({
    year: 0,
    ein: '',
    corrections: [],
    stateRecords: 0,
    issues: [issue],
  });
  const bad = lines.findIndex((line) => line.length !== RECORD_LENGTH);
  if (bad >= 0)
    return nothing(
      problem('wage-file.length-of-corrections', 'content', {
        line: String(bad + 1),
        length: String(lines[bad]?.length ?? 0),
      }),
    );
  const employers = lines.filter((line) => line.startsWith('RCE'));
  if (employers.length !== 1)
    return nothing(problem('wage-file.employers', 'content', { count: String(employers.length) }));
  const employer: Values = readRecord(RCE, employers[0] ?? '');
  const before = (employer["Employer's/Agent's Originally Reported EIN"] ?? '').trim();
  if (before !== '') return nothing(problem('wage-file.ein-corrected', 'content', { tail: before.slice(-4) }));
  const year = employer['Tax Year'] ?? '';
  if (!/^(19|20)\d\d$/.test(year)) return nothing(problem('wage-file.year', 'content', { year }));
  const issues: Issue[] = [];
  const corrections = lines.flatMap((line, index) =>
    line.startsWith('RCW') ? [correctionOf(line, lines[index + 1] ?? '', index + 1, issues)] : [],
  );
  const totals: Values = readRecord(RCT, lines.find((line) => line.startsWith('RCT')) ?? '');
  const said = (totals['Total Number of RCW Records'] ?? '').trim();
  if (Number(said) !== corrections.length)
    issues.push(problem('wage-file.count', 'content', { said, found: String(corrections.length) }));
  for (const [box, name] of RCW_MONEY.filter(([one]) => /^[1-7]$/.test(one)))
    for (const [field, of] of [
      [`${name}, Originally Reported`, 'previous'],
      [`${name}, Correct`, 'correct'],
    ] as const) {
      const total = sum(
        corrections.flatMap(({ boxes }) => boxes.filter((pair) => pair.box === box).map((pair) => pair[of])),
      );
      if (Number((totals[field] ?? '').trim() || '0') !== total)
        issues.push(problem('wage-file.totals', 'content', { box }));
    }
  const isAgent = (employer['Agent Indicator Code'] ?? '').trim() !== '';
  return {
    year: Number(year),
    ein: employer[isAgent ? 'Agent for EIN' : "Employer's/Agent's Correct EIN"] ?? '',
    corrections,
    stateRecords: lines.filter((line) => /^RC[SV]/.test(line)).length,
    issues,
  };
}

/** The boxes of a form with pairs in place of what they were; `was` not what the form has is an issue. */
function withPairs(form: FormW2, pairs: readonly BoxPair[], issues: Issue[]): FormW2 {
  const money: Record<string, Cents> = {};
  const codes = new Map(form.box12.map(({ code, amount }) => [code, amount]));
  for (const { box, previous, correct } of pairs) {
    const name = (MONEY_BOXES as Readonly<Record<string, keyof FormW2>>)[box];
    const code = box.slice(2);
    const had = name ? (form[name] as Cents) : (codes.get(code) ?? ZERO);
    if (had !== previous)
      issues.push(
        problem('wage-file.previous', 'content', {
          who: `${form.person.lastName}, ${form.person.firstName}`,
          box,
          said: showDollars(previous),
          had: showDollars(had),
        }),
      );
    if (name) money[name] = correct;
    else codes.set(code, correct);
  }
  return {
    ...form,
    ...money,
    box12: [...codes].filter(([, amount]) => amount !== 0).map(([code, amount]) => ({ code, amount })),
  };
}

/**
 * What stands after a file of corrections, in the order of the file. Somebody who is not in the original gets a statement from
 * nothing; `idOf` says who of the client that is, or gives somebody new.
 */
export function correctedByFile(
  original: W2Set,
  corrections: readonly ReadCorrection[],
  idOf: (correction: ReadCorrection) => { readonly id: string; readonly isStranger: boolean },
): { readonly set: W2cSet; readonly issues: readonly Issue[] } {
  const issues: Issue[] = [];
  const forms = new Map(original.forms.map((form) => [form.person.employeeId, form]));
  const byNumber = new Map(original.forms.map((form) => [form.person.ssn, form.person.employeeId]));
  const changed: string[] = [];
  const newcomers = new Set<string>();
  for (const correction of corrections) {
    const { person, ssnBefore, changesName, boxes } = correction;
    const known = ssnBefore === '' ? undefined : byNumber.get(ssnBefore);
    const found = known === undefined ? idOf(correction) : { id: known, isStranger: false };
    const { id } = found;
    if (found.isStranger) newcomers.add(id);
    const was = forms.get(id);
    const base: FormW2 = was ?? {
      ...noBoxes(),
      person: {
        ...person,
        ...correction.address,
        employeeId: id,
        suffix: '',
        isRetirementPlan: false,
        isStatutory: false,
      },
    };
    const made = withPairs(base, boxes, issues);
    forms.set(id, {
      ...made,
      isThirdPartySickPay: correction.isThirdPartySickPay ?? made.isThirdPartySickPay,
      person: {
        ...made.person,
        ssn: person.ssn,
        ...(changesName
          ? { firstName: person.firstName, middleName: person.middleName, lastName: person.lastName }
          : {}),
        isRetirementPlan: correction.isRetirementPlan ?? made.person.isRetirementPlan,
        isStatutory: correction.isStatutory ?? made.person.isStatutory,
      },
    });
    changed.push(id);
  }
  const strangers = [...forms.keys()].filter((id) => original.strangers?.includes(id) === true || newcomers.has(id));
  const corrected: W2Set =
    original.strangers === undefined
      ? { ...original, forms: [...forms.values()] }
      : setAsFiled(original.year, [...forms.values()], strangers);
  // What was sent is what it is: also tax of an earlier year.
  const set = w2cSet(original, corrected, { isLaterYear: false, isAdministrative: true });
  const place = new Map(changed.map((id, index) => [id, index]));
  return {
    set: {
      ...set,
      forms: set.forms.toSorted(
        (a, b) => (place.get(a.person.employeeId) ?? 0) - (place.get(b.person.employeeId) ?? 0),
      ),
    },
    issues,
  };
}
