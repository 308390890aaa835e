import { useCallback, useMemo, useRef, useState } from 'react';
import type { Schemas } from '../../api/client.js';
import {
  entryOf,
  leavingOut,
  overriding,
  paying,
  rowOf,
  typed,
  withholding,
  type InHand,
  type SheetRow,
} from '../../calc/sheet-row.js';
import { useCalc } from '../../calc/use-calc.js';
import type { ReducedLine } from '@zakat/core/casefile/within-net';
import type { OwnRows } from '@zakat/core/casefile/compose';
import { ownRules, readRows } from '@zakat/core/rules/pack';
import { useWorking } from '../../kit/working.js';
import { TITLES } from './titles.js';
import { useSavedRows, type SavedRows } from './use-saved-rows.js';

export interface TypedCell {
  readonly employeeId: string;
  readonly column: string;
  readonly value: string;
}
export interface Instead {
  readonly line: string;
  readonly instead: Parameters<typeof overriding>[2];
}
/** Rows as they were before a step, and after it. */
interface Step {
  readonly before: readonly SheetRow[];
  readonly after: readonly SheetRow[];
  /** What is typed letter by letter: its letters are one step. */
  readonly of?: string;
}
const MOST_STEPS = 200;
export interface Sheet extends Pick<
  SavedRows,
  'saving' | 'error' | 'clashes' | 'overtaken' | 'flush' | 'saveAfterReview'
> {
  readonly rows: readonly SheetRow[];
  /** Lines that were not understood, each with its person: they hold the review. */
  readonly unread: readonly {
    readonly employeeId: string;
    readonly name: string;
    readonly text: string;
    readonly why: string;
  }[];
  /** What there is to say about an amount that was found, or of what somebody else saved. */
  readonly note: string | null;
  /** Whose lines stand where two people typed for one. */
  decide(employeeId: string, whose: 'mine' | 'theirs'): void;
  type(employeeId: string, column: string, value: string): void;
  /** Several cells at once, as pasted: one step to undo. */
  typeAll(cells: readonly TypedCell[]): void;
  /** Takes back the last step, or does it again; false where there is none. */
  undo(): boolean;
  redo(): boolean;
  /** Leaves a line out of the check for a reason; null: takes it again. */
  leaveOut(employeeId: string, line: string, reason: string | null): void;
  /** Takes another amount of a line, or several, for a reason; null: what is computed. One step to undo. */
  override(employeeId: string, lines: readonly Instead[]): void;
  /** Which deductions give way where the pay does not reach; null: none can. */
  giveWay(employeeId: string): Promise<readonly ReducedLine[] | null>;
  /** Takes what another program withheld for a tax, as typed; blank: as it is computed. */
  withhold(employeeId: string, tax: string, amount: string, reason?: string): void;
  showFigure(employeeId: string, figure: string, label?: string): void;
}

const listOf = (value: unknown): readonly unknown[] => (Array.isArray(value) ? (value as unknown[]) : []);
const ownRows = (own: Record<string, unknown>): OwnRows | null =>
  Object.keys(own).length === 0 ? null : { rules: listOf(own['rules']), places: listOf(own['places']) };

/** The sheet's state: typed cells recompute at once in the worker and are saved after a short pause. */
export function useSheet(payroll: Schemas['PayrollView']): Sheet {
  const [rows, setRows] = useState<readonly SheetRow[]>(() => payroll.persons.map(rowOf));
  const [note, setNote] = useState<string | null>(null);
  const own = useMemo(() => ownRows(payroll.own), [payroll.own]);
  const rules = useMemo(() => (own ? ownRules(readRows(own.rules, 'rules', [])) : null), [own]);
  const latest = useRef(rows);
  const done = useRef<Step[]>([]);
  const undone = useRef<Step[]>([]);
  const calc = useCalc();
  const { show } = useWorking();
  const rowsNow = useCallback((): readonly SheetRow[] => latest.current, []);
  const putRows = useCallback((next: readonly SheetRow[]): void => {
    latest.current = next;
    setRows(next);
  }, []);
  const compute = useCallback(
    (row: SheetRow): void => {
      const { employeeId, base, isPaid } = row;
      void calc({ people: [{ key: employeeId, base, entry: entryOf(row), isPaid }], own }).then((answer) => {
        const check = answer.checks[employeeId];
        if (!check) return;
        putRows(latest.current.map((other) => (other.employeeId === employeeId ? { ...other, check } : other)));
      });
    },
    [calc, own, putRows],
  );

  /** What somebody else saved for these people is not taken back by a step of before. */
  const forgetSteps = useCallback((employeeIds: ReadonlySet<string>): void => {
    const isOthers = ({ after }: Step): boolean => !after.some((row) => employeeIds.has(row.employeeId));
    done.current = done.current.filter(isOthers);
    undone.current = undone.current.filter(isOthers);
  }, []);

  const { saveSoon, endClash, ...saved } = useSavedRows({
    payroll,
    rowsNow,
    onRows: putRows,
    onNote: setNote,
    onCompute: compute,
    onOthers: forgetSteps,
  });

  const change = useCallback(
    (employeeId: string, next: (row: SheetRow) => SheetRow): SheetRow | undefined => {
      putRows(latest.current.map((row) => (row.employeeId === employeeId ? next(row) : row)));
      return latest.current.find((row) => row.employeeId === employeeId);
    },
    [putRows],
  );

  /** Computes a changed row at once, and saves it after a short pause. */
  const changed = useCallback(
    (row: SheetRow): void => {
      compute(row);
      saveSoon();
    },
    [compute, saveSoon],
  );

  /** Finds the amount that leaves so much in the hand, and pays it. */
  const find = useCallback(
    (row: SheetRow, inHand: InHand): void => {
      const { employeeId, base, isPaid } = row;
      void calc({ people: [{ key: employeeId, base, entry: entryOf(row), isPaid }], own, inHand }).then(({ found }) => {
        const { amount = null, problem = null } = found ?? {};
        setNote(problem);
        const paid = amount === null ? undefined : change(employeeId, (current) => paying(current, inHand, amount));
        if (paid) changed(paid);
      });
    },
    [calc, change, changed, own],
  );

  /** Keeps a step to be taken back; the next letter `of` the same cell is part of its step. */
  const keep = useCallback((before: readonly SheetRow[], after: readonly SheetRow[], of?: string): void => {
    const last = done.current.at(-1);
    const goesOn = of !== undefined && last?.of === of && undone.current.length === 0;
    const step = { before: goesOn ? last.before : before, after, ...(of === undefined ? {} : { of }) };
    done.current = [...(goesOn ? done.current.slice(0, -1) : done.current.slice(1 - MOST_STEPS)), step];
    undone.current = [];
  }, []);

  const typeAll = useCallback(
    (cells: readonly TypedCell[]): void => {
      const ids = new Set(cells.map(({ employeeId }) => employeeId));
      const before = latest.current.filter((row) => ids.has(row.employeeId));
      const said: string[] = [];
      const wanted: { readonly row: SheetRow; readonly inHand: InHand }[] = [];
      for (const { employeeId, column, value } of cells) {
        const current = latest.current.find((row) => row.employeeId === employeeId);
        if (!current) continue;
        const answer = typed(current, column, value, rules);
        change(employeeId, () => answer.row);
        if (answer.said !== undefined) said.push(answer.said);
        if (answer.inHand) wanted.push({ row: answer.row, inHand: answer.inHand });
      }
      const after = latest.current.filter((row) => ids.has(row.employeeId));
      if (after.length === 0) return;
      keep(before, after);
      setNote(said.length === 0 ? null : said.join('. '));
      after.forEach(changed);
      wanted.forEach(({ row, inHand }) => find(row, inHand));
    },
    [change, changed, find, keep, rules],
  );
  const type = useCallback(
    (employeeId: string, column: string, value: string): void => typeAll([{ employeeId, column, value }]),
    [typeAll],
  );

  /** Puts the rows of a step back as they were before it, or after it. */
  const put = useCallback(
    (from: typeof done, to: typeof done, which: 'before' | 'after'): boolean => {
      const step = from.current.at(-1);
      if (!step) return false;
      from.current = from.current.slice(0, -1);
      to.current = [...to.current, step];
      setNote(null);
      for (const row of step[which]) {
        // The records are those of now, whatever they were then.
        const next = change(row.employeeId, ({ check, base, note }) => ({ ...row, check, base, note }));
        if (next) changed(next);
      }
      return true;
    },
    [change, changed],
  );
  const undo = useCallback((): boolean => put(done, undone, 'before'), [put]);
  const redo = useCallback((): boolean => put(undone, done, 'after'), [put]);

  const leaveOut = useCallback(
    (employeeId: string, line: string, reason: string | null): void => {
      const before = latest.current.filter((row) => row.employeeId === employeeId);
      const row = change(employeeId, (current) => leavingOut(current, line, reason));
      if (!row) return;
      keep(before, [row]);
      changed(row);
    },
    [change, changed, keep],
  );

  const override = useCallback(
    (employeeId: string, lines: readonly Instead[]): void => {
      const before = latest.current.filter((row) => row.employeeId === employeeId);
      const row = change(employeeId, (current) =>
        lines.reduce((next, { line, instead }) => overriding(next, line, instead), current),
      );
      if (!row) return;
      keep(before, [row]);
      changed(row);
    },
    [change, changed, keep],
  );
  const giveWay = useCallback(
    async (employeeId: string): Promise<readonly ReducedLine[] | null> => {
      const row = latest.current.find((candidate) => candidate.employeeId === employeeId);
      if (!row) return null;
      const { base, isPaid } = row;
      const answer = await calc({
        people: [{ key: employeeId, base, entry: entryOf(row), isPaid }],
        own,
        giveWay: true,
      });
      return answer.reduced ?? null;
    },
    [calc, own],
  );

  const withhold = useCallback(
    (employeeId: string, tax: string, amount: string, reason?: string): void => {
      const before = latest.current.filter((row) => row.employeeId === employeeId);
      const row = change(employeeId, (current) => withholding(current, tax, amount, reason));
      if (!row) return;
      keep(before, [row], reason === undefined ? `${employeeId} ${tax}` : undefined);
      changed(row);
    },
    [change, changed, keep],
  );

  const showFigure = useCallback(
    (employeeId: string, figure: string, label?: string): void => {
      const row = latest.current.find((candidate) => candidate.employeeId === employeeId);
      if (!row) return;
      void calc({
        people: [{ key: employeeId, base: row.base, entry: entryOf(row), isPaid: row.isPaid }],
        figure,
        own,
      }).then((answer) =>
        show({ title: `${label ?? TITLES[figure] ?? figure}, ${row.name}`, lines: answer.working ?? [] }),
      );
    },
    [calc, own, show],
  );

  const decide = useCallback(
    (employeeId: string, whose: 'mine' | 'theirs'): void => {
      const found = endClash(employeeId);
      if (!found) return;
      if (whose === 'theirs') forgetSteps(new Set([employeeId]));
      const row = change(employeeId, (current) => (whose === 'theirs' ? found.theirs : current));
      if (row) changed(row);
    },
    [change, changed, endClash, forgetSteps],
  );
  const unread = rows.flatMap(({ employeeId, name, unread: line, isPaid }) =>
    line && isPaid ? [{ employeeId, name, text: line.text, why: line.why }] : [],
  );
  return {
    ...saved,
    rows,
    unread,
    note,
    type,
    typeAll,
    undo,
    redo,
    leaveOut,
    override,
    giveWay,
    withhold,
    showFigure,
    decide,
  };
}
