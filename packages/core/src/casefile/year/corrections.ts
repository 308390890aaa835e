import { yearOf, type LocalDate } from '../../calendar/local-date.js';
import type { FilingInput, FilingKind } from '../../filings/kind.js';
import { periodKey, type FilingPeriod } from '../../filings/period.js';
import { correctionFor, kindOf } from '../../filings/registry.js';
import { changesOf } from '../../filings/corrections/amended.js';
import type { XContent } from '../../filings/corrections/x-kind.js';
import type { ReturnLine } from '../../filings/return-lines.js';
import { MONEY_BOXES, type FormW2c, type W2cSet } from '../../filings/us-w2c/form.js';
import type { FormW2, W2Set } from '../../filings/us-w2/form.js';
import type { LedgerEntry } from '../../ledger/entry.js';
import { problem, type Issue } from '../../issues/issue.js';
import { ZERO, add, cents, showDollars, subtract, sum, toDollars, type Cents } from '../../money/cents.js';
import { oppositeTax } from '../../ledger/opposite.js';
import { repaidTaxes } from '../../ledger/repayment.js';
import { taxOf, type TaxCode } from '../../tax-registry/registry.js';
import { dueOf } from './correction-dues.js';
import type { Change, Filed, Reclassified } from './read-corrections.js';
import { changedCheck, changedPerson, type YearCase } from './read-year.js';
import type { YearLedger } from './year-ledger.js';

export interface ShownCorrection {
  readonly kind: string;
  readonly period: string;
  readonly process?: 'adjusted' | 'claim';
  /** Of a federal correction: corrected, reported, difference, tax; of an amended return: reported, correct. */
  readonly lines?: Readonly<Record<string, readonly (string | null)[]>>;
  /** Lines that differ and keep what was reported. */
  readonly held?: readonly string[];
  readonly total?: string;
  readonly due?: string;
  readonly explanation?: string;
  readonly person?: string;
  readonly identity?: Readonly<Record<string, readonly [previous: string, correct: string]>>;
  readonly boxes?: Readonly<Record<string, readonly [previous: string, correct: string]>>;
  readonly stateBoxes?: Readonly<Record<string, readonly [previous: string, correct: string]>>;
}
export interface Consequence {
  /** `us-941-x`, `us-w2c`, `deposit`, `credit`, `refund`, `recover`, `state-copy`, `employee-copy`. */
  readonly what: string;
  readonly period?: string;
  readonly person?: string;
  readonly amount?: string;
  readonly due?: string;
}

/** What computes the contents of a year: as it was, or as it should be. */
export interface YearContents {
  readonly ledger: YearLedger;
  readonly inputOf: (kind: FilingKind, period: FilingPeriod) => FilingInput;
}

/** The year as it should have been. */
export function changedYear(year: YearCase, changes: readonly Change[]): YearCase {
  const ofCheck = (path: string): Change[] =>
    changes.filter(({ paycheck }) => paycheck !== null && path === `paychecks[${paycheck}]`);
  const last = changes
    .map(({ on }) => on)
    .sort()
    .at(-1);
  return {
    ...year,
    checks: year.checks.map((check) => {
      const own = ofCheck(check.path);
      const voided = own.find(({ isVoid }) => isVoid)?.on ?? check.voided;
      return { ...own.reduce((made, { set }) => (set ? changedCheck(made, set) : made), check), voided };
    }),
    people: year.people.map((person) => {
      const own = changes.filter(({ person: changed, paycheck }) =>
        changed === null
          ? false
          : changed['id'] === undefined
            ? year.checks.some((check) => check.path === `paychecks[${paycheck ?? -1}]` && check.person === person.id)
            : changed['id'] === person.id,
      );
      return own.reduce((made, { person: parts }) => (parts ? changedPerson(made, parts) : made), person);
    }),
    asOf: last !== undefined && last > year.asOf ? last : year.asOf,
  };
}

/**
 * Wages that were paid back. In the year they were paid they were never wages; later they stay wages for income tax, and
 * only social security and Medicare are taken back (Publication 15, section 13, "Wage repayments").
 */
export function repaidEntries(year: YearCase, ledger: YearLedger, changes: readonly Change[]): LedgerEntry[] {
  return changes.flatMap(({ repaid, paycheck, on }): LedgerEntry[] => {
    const check = ledger.checks.find(({ path }) => path === `paychecks[${paycheck ?? -1}]`);
    if (repaid === null || !check) return [];
    const linesOf = (tax: TaxCode) =>
      ledger.checks
        .filter(({ person }) => person === check.person)
        .flatMap(({ result }) => result.taxes.filter(({ code }) => code === tax));
    const back = repaidTaxes(
      check.result.taxes.map(({ code, subject, wages, amount }) => ({ tax: code, subject, wages, amount })),
      repaid,
      (tax) => ({
        subject: sum(linesOf(tax).map(({ subject }) => subject)),
        wages: sum(linesOf(tax).map(({ wages }) => wages)),
      }),
    );
    // Income tax that was withheld stays withheld.
    const income = check.result.taxes
      .filter(({ code }) => taxOf(code).kind === 'income' && taxOf(code).level !== 'local')
      .map(({ code }) => ({ tax: code, subject: repaid, wages: repaid, amount: ZERO }));
    return [...back, ...(yearOf(on) === year.year ? income : [])].map((line) => ({
      ...oppositeTax(line),
      employeeId: taxOf(line.tax).payer === 'employee' ? check.person : null,
      cause: 'reversal',
      liabilityDate: check.checkDate,
      effectiveDate: on,
    }));
  });
}

/** Every correction that follows from what was filed and what it should be, and what else is to be done. */
export function correctionsOf(
  filed: readonly Filed[],
  changes: readonly Change[],
  was: YearContents,
  is: YearContents,
): {
  readonly corrections: ShownCorrection[];
  readonly consequences: Consequence[];
  readonly issues: Issue[];
} {
  const issues: Issue[] = [...repaidTooMuch(changes, was.ledger), ...reclassifiedIssues(filed, changes)];
  const on =
    changes
      .map((change) => change.on)
      .sort()
      .at(-1) ?? null;
  const answers: Record<string, string> = {
    discovered: on ?? '',
    administrative: changes.some(({ isAdministrative }) => isAdministrative) ? 'yes' : 'no',
    certification: changes.some(({ isEmployerShare }) => isEmployerShare) ? 'employer-share' : '',
    process: changes.some(({ isClaim }) => isClaim) ? 'claim' : 'adjusted',
    reason: 'corrected',
  };
  const corrections = grouped(filed).flatMap(({ kind: code, period, parts }): ShownCorrection[] => {
    const base = kindOf(code);
    const correction = correctionFor(code);
    if (!correction) return [];
    const computed = base.compute(was.inputOf(base, period));
    issues.push(...parts.flatMap((part) => unknownNames(base, computed, part)));
    const original = base.statements ? statementsFiled(computed as W2Set, parts) : linesFiled(computed, parts);
    const workers = changes.flatMap(({ reclassified }) =>
      reclassified && periodKey(reclassified.period) === periodKey(period) ? [reclassified] : [],
    );
    const input: FilingInput = {
      ...is.inputOf(base, period),
      original,
      answers: { ...answers, ...reclassifiedAnswers(workers) },
      entered: reclassifiedWages(workers),
      today: on,
    };
    const content = correction.compute(input);
    if (base.statements) return w2cOf(correction, content as W2cSet, period);
    if (correction.questions?.some(({ name }) => name === 'certification'))
      return xOf(correction, content as XContent, period);
    return amendedOf(correction, base, original, base.compute(input), period, on);
  });
  return { corrections, consequences: consequencesOf(corrections, was.ledger, is.ledger), issues };
}

/** Under the names by which the correction asks for them. */
const reclassifiedWages = (workers: readonly Reclassified[]): Readonly<Record<string, Cents>> => {
  const total = (of: (one: Reclassified) => Cents): Cents => sum(workers.map(of));
  return {
    reclassifiedIncome: total(({ income }) => income),
    reclassifiedOasdi: total(({ oasdi }) => oasdi),
    reclassifiedHi: total(({ hi }) => hi),
    reclassifiedAdditional: total(({ additional }) => additional),
  };
};
const reclassifiedAnswers = ([first]: readonly Reclassified[]): Record<string, string> =>
  first ? { reclassified: first.isReported ? 'reported' : 'unreported' } : {};
/** One return has one set of rates: some reported and some not are two corrections, and none of a form that has no such lines. */
function reclassifiedIssues(filed: readonly Filed[], changes: readonly Change[]): Issue[] {
  const first = new Map<string, Reclassified>();
  return changes.flatMap(({ reclassified }, index): Issue[] => {
    if (!reclassified) return [];
    const key = periodKey(reclassified.period);
    const field = `changes[${index}].reclassified`;
    const of = filed.find((one) => periodKey(one.period) === key && correctionFor(one.kind)?.asks.some(({ name }) => name === 'reclassifiedIncome')); // prettier-ignore
    if (!of)
      return [problem('input.not-one-of', `${field}.period`, { value: key, choices: 'the period of a Form 941 that was filed' })]; // prettier-ignore
    const before = first.get(key) ?? reclassified;
    first.set(key, before);
    return before.isReported === reclassified.isReported
      ? []
      : [problem('input.not-one-of', `${field}.forms1099`, { value: String(reclassified.isReported), choices: String(before.isReported) })]; // prettier-ignore
  });
}

const BOX = new RegExp(`^(${Object.keys(MONEY_BOXES).join('|')}|12[A-Z]{1,2}|1[67] [A-Z]{2})$`);
/** Lines that the return does not have, and boxes that are on no statement: what nothing would use. */
function unknownNames(kind: FilingKind, computed: unknown, { given, field }: Filed): Issue[] {
  if (!given) return [];
  const lines = new Set(kind.statements ? [] : kind.lines(computed).map(({ id }) => id));
  return [...given.keys()]
    .filter((name) => (kind.statements ? !BOX.test(name) : !lines.has(name)))
    .map((name) =>
      problem('input.not-one-of', `${field}.${kind.statements ? 'boxes' : 'lines'}`, {
        value: name,
        choices: kind.statements
          ? 'boxes 1 to 8, 10, 11, 12 with its code, 16 and 17 with the state'
          : [...lines].join(', '),
      }),
    );
}
/** More than was paid cannot be paid back. */
function repaidTooMuch(changes: readonly Change[], ledger: YearLedger): Issue[] {
  return changes.flatMap(({ repaid, paycheck }, index) => {
    const check = ledger.checks.find(({ path }) => path === `paychecks[${paycheck ?? -1}]`);
    return repaid !== null && check && repaid > check.result.gross
      ? [
          problem('change.repaid-above', `changes[${index}].repaid`, {
            repaid: showDollars(repaid),
            gross: showDollars(check.result.gross),
          }),
        ]
      : [];
  });
}

const grouped = (filed: readonly Filed[]) => {
  const found = new Map<string, { kind: string; period: FilingPeriod; parts: Filed[] }>();
  for (const one of filed) {
    const key = `${one.kind} ${periodKey(one.period)}`;
    const own = found.get(key) ?? { kind: one.kind, period: one.period, parts: [] };
    found.set(key, { ...own, parts: [...own.parts, one] });
  }
  return [...found.values()];
};

/** A return with the lines that were filed elsewhere, where they are given: all of them, what is left out is nothing. */
function linesFiled(computed: unknown, parts: readonly Filed[]): unknown {
  const given = parts.find((part) => part.given !== null)?.given;
  if (!given) return computed;
  const lines = [...given].map(([id, value]): ReturnLine => ({
    id,
    label: '',
    value,
    kind: 'amount',
    entries: null,
    working: [],
  }));
  return { ...(computed as object), lines };
}
/** Statements with the boxes of the people whose forms were filed elsewhere. */
function statementsFiled(set: W2Set, parts: readonly Filed[]): W2Set {
  const given = new Map(parts.flatMap((part) => (part.given && part.person ? [[part.person, part.given]] : [])));
  return {
    ...set,
    forms: set.forms.map((form): FormW2 => {
      const boxes = given.get(form.person.employeeId);
      if (!boxes) return form;
      const amounts = Object.fromEntries(
        Object.entries(MONEY_BOXES).map(([box, name]) => [name, boxes.get(box) ?? ZERO]),
      );
      const box12 = [...boxes].flatMap(([box, amount]) =>
        /^12[A-Z]+$/.test(box) ? [{ code: box.slice(2), amount }] : [],
      );
      return { ...form, ...amounts, box12, states: statesFiled(form.states, boxes) };
    }),
  };
}

/** State boxes as they were filed, where any is given; else as they are computed. */
function statesFiled(computed: FormW2['states'], boxes: ReadonlyMap<string, Cents>): FormW2['states'] {
  const named = [...new Set([...boxes.keys()].flatMap((box) => /^1[67] (..)$/.exec(box)?.[1] ?? []))];
  if (named.length === 0) return computed;
  return named.map((state) => ({
    state,
    stateId: computed.find((line) => line.state === state)?.stateId ?? '',
    wages: boxes.get(`16 ${state}`) ?? ZERO,
    tax: boxes.get(`17 ${state}`) ?? ZERO,
  }));
}

function xOf(kind: FilingKind, content: XContent, period: FilingPeriod): ShownCorrection[] {
  if (content.lineCount === 0 && content.held.length === 0) return [];
  const changed = content.lines.filter(({ columns }, index) => columns[2] !== 0 || index >= content.lines.length - 2);
  return [
    {
      kind: kind.code,
      period: periodKey(period),
      process: content.process,
      lines: Object.fromEntries(
        changed.map(({ id, columns }) => {
          const isTotal = content.lines.slice(-2).some((one) => one.id === id);
          return [id, columns.map((amount, at) => (amount === null || (isTotal && at < 3) ? null : toDollars(amount)))];
        }),
      ),
      held: content.held,
      total: toDollars(content.total),
      due: content.due,
      explanation: content.explanation,
    },
  ];
}
function amendedOf(
  correction: FilingKind,
  base: FilingKind,
  original: unknown,
  correct: unknown,
  period: FilingPeriod,
  on: LocalDate | null,
): ShownCorrection[] {
  const changes = changesOf(base, original, correct);
  if (changes.length === 0) return [];
  const shown = (value: number, kind: ReturnLine['kind']): string =>
    kind === 'count' ? String(value) : toDollars(cents(value));
  return [
    {
      kind: correction.code,
      period: periodKey(period),
      lines: Object.fromEntries(
        changes.map(({ id, kind, reported, correct: now }) => [id, [shown(reported, kind), shown(now, kind)]]),
      ),
      total: toDollars(subtract(base.amount(correct), base.amount(original))),
      ...(on === null ? {} : { due: dueOf(base, on) }),
    },
  ];
}
function w2cOf(correction: FilingKind, { forms }: W2cSet, period: FilingPeriod): ShownCorrection[] {
  const pairs = (boxes: FormW2c['boxes']): Record<string, [string, string]> =>
    Object.fromEntries(boxes.map(({ box, previous, correct }) => [box, [toDollars(previous), toDollars(correct)]]));
  return forms.map((form): ShownCorrection => ({
    kind: correction.code,
    period: periodKey(period),
    person: form.person.employeeId,
    ...(form.identity.length === 0
      ? {}
      : {
          identity: Object.fromEntries(
            form.identity.map(({ field, previous, correct }): [string, [string, string]] => [
              field,
              [previous, correct],
            ]),
          ),
        }),
    boxes: pairs(form.boxes),
    ...(form.stateBoxes.length === 0 ? {} : { stateBoxes: pairs(form.stateBoxes) }),
  }));
}

/** What has to be done besides: deposits, credits, refunds to and recoveries from people, copies. */
function consequencesOf(corrections: readonly ShownCorrection[], was: YearLedger, is: YearLedger): Consequence[] {
  const found: Consequence[] = [];
  for (const { kind, period, person, total, due, stateBoxes } of corrections) {
    found.push({
      what: kind,
      period,
      ...(person === undefined ? {} : { person }),
      ...(total === undefined ? {} : { amount: total }),
      ...(due === undefined ? {} : { due }),
    });
    if (person !== undefined) found.push({ what: 'employee-copy', period, person });
    if (stateBoxes !== undefined && person !== undefined) found.push({ what: 'state-copy', period, person });
    if (total !== undefined && total !== '0.00')
      found.push({
        what: total.startsWith('-') ? 'credit' : 'deposit',
        period,
        amount: total.replace('-', ''),
        ...(due === undefined ? {} : { due }),
      });
  }
  for (const [person, amount] of withheldChange(was, is))
    if (amount !== 0)
      found.push({ what: amount < 0 ? 'refund' : 'recover', person, amount: toDollars(cents(Math.abs(amount))) });
  return found;
}
/** By how much more should have been withheld from each person; less than nothing is theirs. */
function withheldChange(was: YearLedger, is: YearLedger): Map<string, Cents> {
  const of = ({ entries }: YearLedger): Map<string, Cents> => {
    const sums = new Map<string, Cents>();
    for (const { employeeId, amount, tax } of entries)
      if (employeeId !== null && taxOf(tax).payer === 'employee')
        sums.set(employeeId, add(sums.get(employeeId) ?? ZERO, amount));
    return sums;
  };
  const [before, after] = [of(was), of(is)];
  return new Map(
    [...new Set([...before.keys(), ...after.keys()])].map((person) => [
      person,
      sum([after.get(person) ?? ZERO, cents(-(before.get(person) ?? ZERO))]),
    ]),
  );
}
