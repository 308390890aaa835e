import { useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import type { Refused, Schemas } from '../../api/client.js';
import { payrollQuery, useSavePayroll } from '../../api/resources.js';
import {
  entryOf,
  leavingOut,
  paying,
  rowOf,
  typed,
  withholding,
  type InHand,
  type SheetRow,
} from '../../calc/sheet-row.js';
import { useCalc } from '../../calc/use-calc.js';
import type { OwnRows } from '@zakat/core/casefile/compose';
import { ownRules, readRows } from '@zakat/core/rules/pack';
import { useWorking } from '../../kit/working.js';
import { TITLES } from './titles.js';

const PAUSE = 700;

export interface Sheet {
  readonly rows: readonly SheetRow[];
  readonly saving: 'saved' | 'typing' | 'saving' | 'failed';
  readonly error: Refused | null;
  readonly lineProblem: string | null;
  /** What there is to say about an amount that was found. */
  readonly note: string | null;
  type(employeeId: string, column: string, value: string): void;
  /** Leaves a line out of the check for a reason; null: takes it again. */
  leaveOut(employeeId: string, line: string, reason: string | null): void;
  /** Takes what another program withheld for a tax, as typed; blank: as it is computed. */
  withhold(employeeId: string, tax: string, amount: string): void;
  showFigure(employeeId: string, figure: string): void;
  /** Saves now and answers with the version to act on. */
  flush(): Promise<number>;
}

const listOf = (value: unknown): readonly unknown[] => (Array.isArray(value) ? (value as unknown[]) : []);
const ownRows = (own: Record<string, unknown>): OwnRows | null =>
  Object.keys(own).length === 0 ? null : { rules: listOf(own['rules']), places: listOf(own['places']) };

/** The sheet's state: typed cells recompute at once in the worker and are saved after a short pause. */
export function useSheet(payroll: Schemas['PayrollView']): Sheet {
  const [rows, setRows] = useState<readonly SheetRow[]>(() => payroll.persons.map(rowOf));
  const [saving, setSaving] = useState<Sheet['saving']>('saved');
  const [lineProblem, setLineProblem] = useState<string | null>(null);
  const [note, setNote] = useState<string | null>(null);
  const own = useMemo(() => ownRows(payroll.own), [payroll.own]);
  const rules = useMemo(() => (own ? ownRules(readRows(own.rules, 'rules', [])) : null), [own]);
  const latest = useRef(rows);
  const version = useRef(payroll.version);
  const timer = useRef<ReturnType<typeof setTimeout> | null>(null);
  const queue = useRef<Promise<void>>(Promise.resolve());
  const underWay = useRef(0);
  const queries = useQueryClient();
  const calc = useCalc();
  const save = useSavePayroll(payroll.id);
  const { show } = useWorking();

  const saveNow = useCallback(async (): Promise<number> => {
    if (timer.current) clearTimeout(timer.current);
    timer.current = null;
    setSaving('saving');
    const send = async (): Promise<void> => {
      const saved = await save.mutateAsync({ version: version.current, entries: latest.current.map(entryOf) });
      version.current = saved.version;
      queries.setQueryData(payrollQuery(payroll.id).queryKey, saved);
    };
    // One after the other: each is of the version that the one before it made.
    const turn = queue.current.then(send, send);
    queue.current = turn.catch(() => undefined);
    underWay.current += 1;
    try {
      await turn;
    } catch (error) {
      setSaving('failed');
      throw error;
    } finally {
      underWay.current -= 1;
    }
    // What was typed since, or is on its way, is not saved yet.
    if (timer.current === null && underWay.current === 0) setSaving('saved');
    return version.current;
  }, [payroll.id, queries, save]);
  const saveRef = useRef(saveNow);
  useEffect(() => {
    saveRef.current = saveNow;
  });
  // Leaving the page must not lose what was typed in the last moment.
  useEffect(
    () => () => {
      if (timer.current) void saveRef.current().catch(() => undefined);
    },
    [],
  );

  const change = useCallback((employeeId: string, next: (row: SheetRow) => SheetRow): SheetRow | undefined => {
    latest.current = latest.current.map((row) => (row.employeeId === employeeId ? next(row) : row));
    setRows(latest.current);
    return latest.current.find((row) => row.employeeId === employeeId);
  }, []);

  /** Computes a changed row at once, and saves it after a short pause. */
  const changed = useCallback(
    (row: SheetRow): void => {
      const { employeeId, base, isPaid } = row;
      void calc({ people: [{ key: employeeId, base, entry: entryOf(row), isPaid }], own }).then((answer) => {
        const check = answer.checks[employeeId];
        if (check) change(employeeId, (current) => ({ ...current, check }));
      });
      setSaving('typing');
      if (timer.current) clearTimeout(timer.current);
      timer.current = setTimeout(() => void saveRef.current().catch(() => undefined), PAUSE);
    },
    [calc, change, own],
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

  const type = useCallback(
    (employeeId: string, column: string, value: string): void => {
      const before = latest.current.find((candidate) => candidate.employeeId === employeeId);
      if (!before) return;
      const { row, problem, inHand } = typed(before, column, value, rules);
      change(employeeId, () => row);
      setLineProblem(problem);
      setNote(null);
      changed(row);
      if (inHand) find(row, inHand);
    },
    [change, changed, find, rules],
  );

  const leaveOut = useCallback(
    (employeeId: string, line: string, reason: string | null): void => {
      const row = change(employeeId, (before) => leavingOut(before, line, reason));
      if (row) changed(row);
    },
    [change, changed],
  );

  const withhold = useCallback(
    (employeeId: string, tax: string, amount: string): void => {
      const row = change(employeeId, (before) => withholding(before, tax, amount));
      if (row) changed(row);
    },
    [change, changed],
  );

  const showFigure = useCallback(
    (employeeId: string, figure: string): void => {
      const row = latest.current.find((candidate) => candidate.employeeId === employeeId);
      if (!row) return;
      void calc({
        people: [{ key: employeeId, base: row.base, entry: entryOf(row), isPaid: row.isPaid }],
        figure,
        own,
      }).then((answer) => show({ title: `${TITLES[figure] ?? figure}, ${row.name}`, lines: answer.working ?? [] }));
    },
    [calc, own, show],
  );

  const flush = useCallback(
    async (): Promise<number> => (saving === 'saved' ? version.current : saveRef.current()),
    [saving],
  );
  return { rows, saving, error: save.error, lineProblem, note, type, leaveOut, withhold, showFigure, flush };
}
