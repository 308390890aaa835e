import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { Refused, api, take, type Schemas } from '../../api/client.js';
import { latestPayrollQuery, payrollQuery, usePayrollAct, useSavePayroll } from '../../api/resources.js';
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
import { keyOf, together, type Clash } from '../../calc/together.js';
import { useCalc } from '../../calc/use-calc.js';
import type { ReducedLine } from '@zakat/core/casefile/within-net';
import type { OwnRows } from '@zakat/core/casefile/compose';
import { ownRules, readRows } from '@zakat/core/rules/pack';
import { useWorking } from '../../kit/working.js';
import { TITLES } from './titles.js';

const PAUSE = 700;

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
}
const MOST_STEPS = 200;
/** How often one save is laid together with what others save at the same moment. */
const MOST_ROUNDS = 4;
export interface Overtaken {
  readonly status: Schemas['PayrollView']['status'];
  readonly by: string;
  readonly version: number;
  readonly names: readonly string[];
}
const firstKeys = (rows: readonly SheetRow[]): Map<string, string> =>
  new Map(rows.map((row) => [row.employeeId, keyOf(row)]));
const isConflict = (error: unknown): boolean => error instanceof Refused && error.problem.status === 409;

export interface Sheet {
  readonly rows: readonly SheetRow[];
  readonly saving: 'saved' | 'typing' | 'saving' | 'failed';
  readonly error: Refused | null;
  /** Lines that were not understood, each with its person: they hold the review. */
  readonly unread: readonly {
    readonly employeeId: string;
    readonly name: string;
    readonly text: string;
    readonly why: string;
  }[];
  /** What there is to say about an amount that was found, or of what somebody else saved. */
  readonly note: string | null;
  /** People for whom somebody else saved other lines than are typed here: nothing is saved for them until it is decided. */
  readonly clashes: readonly Clash[];
  decide(employeeId: string, whose: 'mine' | 'theirs'): void;
  /** The payroll was reviewed or posted by somebody else while something typed here was not saved. */
  readonly overtaken: Overtaken | null;
  /** Reopens a reviewed payroll and saves what was typed here. */
  saveAfterReview(): Promise<void>;
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
  const [note, setNote] = useState<string | null>(null);
  const own = useMemo(() => ownRows(payroll.own), [payroll.own]);
  const rules = useMemo(() => (own ? ownRules(readRows(own.rules, 'rules', [])) : null), [own]);
  const latest = useRef(rows);
  const version = useRef(payroll.version);
  const done = useRef<Step[]>([]);
  const undone = useRef<Step[]>([]);
  const timer = useRef<ReturnType<typeof setTimeout> | null>(null);
  const queue = useRef<Promise<void>>(Promise.resolve());
  const underWay = useRef(0);
  const queries = useQueryClient();
  const calc = useCalc();
  const save = useSavePayroll(payroll.id);
  const reopen = usePayrollAct(payroll.id);
  const { show } = useWorking();
  const [first] = useState(() => firstKeys(rows));
  const known = useRef<ReadonlyMap<string, string>>(first);
  const [clashes, setClashes] = useState<readonly Clash[]>([]);
  const clashing = useRef<readonly Clash[]>([]);
  const [overtaken, setOvertaken] = useState<Overtaken | null>(null);
  const clash = useCallback((next: readonly Clash[]): void => {
    clashing.current = next;
    setClashes(next);
  }, []);
  /** What was typed and the server does not have. */
  const unsaved = useCallback(
    (): readonly SheetRow[] => latest.current.filter((row) => known.current.get(row.employeeId) !== keyOf(row)),
    [],
  );
  const compute = useCallback(
    (row: SheetRow): void => {
      const { employeeId, base, isPaid } = row;
      void calc({ people: [{ key: employeeId, base, entry: entryOf(row), isPaid }], own }).then((answer) => {
        const check = answer.checks[employeeId];
        if (!check) return;
        latest.current = latest.current.map((other) => (other.employeeId === employeeId ? { ...other, check } : other));
        setRows(latest.current);
      });
    },
    [calc, own],
  );

  /** What somebody else saved for these people is not taken back by a step of before. */
  const forgetSteps = useCallback((employeeIds: ReadonlySet<string>): void => {
    const isOthers = ({ after }: Step): boolean => !after.some((row) => employeeIds.has(row.employeeId));
    done.current = done.current.filter(isOthers);
    undone.current = undone.current.filter(isOthers);
  }, []);

  /** Takes what somebody else saved meanwhile; nothing that was typed here is lost. False: it is not open any more. */
  const catchUp = useCallback(async (): Promise<boolean> => {
    const fresh = await take(api.GET('/api/payrolls/{id}', { params: { path: { id: payroll.id } } }));
    const waiting = unsaved();
    if (fresh.status !== 'open') {
      if (waiting.length === 0) queries.setQueryData(payrollQuery(payroll.id).queryKey, fresh);
      else {
        const { by } = await take(api.GET('/api/payrolls/{id}/latest', { params: { path: { id: payroll.id } } }));
        setOvertaken({ status: fresh.status, by, version: fresh.version, names: waiting.map(({ name }) => name) });
      }
      return false;
    }
    const laid = together(latest.current, known.current, fresh.persons);
    version.current = fresh.version;
    known.current = laid.known;
    latest.current = laid.rows;
    setRows(laid.rows);
    forgetSteps(new Set(laid.taken.map(({ employeeId }) => employeeId)));
    const others = clashing.current.filter(
      ({ employeeId }) => !laid.clashes.some((one) => one.employeeId === employeeId) && laid.known.has(employeeId),
    );
    clash([...others, ...laid.clashes]);
    unsaved().forEach(compute);
    queries.setQueryData(payrollQuery(payroll.id).queryKey, fresh);
    if (laid.taken.length > 0 || laid.gone.length > 0) {
      const { by, isOwn } = await take(api.GET('/api/payrolls/{id}/latest', { params: { path: { id: payroll.id } } }));
      const who = isOwn ? 'You, on another page,' : by;
      setNote(
        [
          ...(laid.taken.length === 0 ? [] : [`${who} saved ${laid.taken.map(({ name }) => name).join(', ')}`]),
          ...laid.gone.map((name) => `${name} is not in this payroll any more`),
        ].join('. '),
      );
    }
    return true;
  }, [clash, compute, forgetSteps, payroll.id, queries, unsaved]);

  const saveNow = useCallback(async (): Promise<number> => {
    if (timer.current) clearTimeout(timer.current);
    timer.current = null;
    setSaving('saving');
    const send = async (): Promise<void> => {
      for (let round = 1; ; round += 1) {
        const sent = unsaved().filter(
          (row) => !clashing.current.some(({ employeeId }) => employeeId === row.employeeId),
        );
        if (sent.length === 0) {
          save.reset();
          return;
        }
        try {
          const saved = await save.mutateAsync({ version: version.current, entries: sent.map(entryOf) });
          version.current = saved.version;
          known.current = new Map([...known.current, ...firstKeys(sent)]);
          queries.setQueryData(payrollQuery(payroll.id).queryKey, saved);
          return;
        } catch (error) {
          // Somebody else saved first: what they did is taken, and this is sent again.
          if (!isConflict(error) || round === MOST_ROUNDS || !(await catchUp())) throw error;
        }
      }
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
    // What was typed since, or is in process, is not saved yet.
    if (timer.current === null && underWay.current === 0) setSaving('saved');
    return version.current;
  }, [catchUp, payroll.id, queries, save, unsaved]);
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
      compute(row);
      setSaving('typing');
      if (timer.current) clearTimeout(timer.current);
      timer.current = setTimeout(() => void saveRef.current().catch(() => undefined), PAUSE);
    },
    [compute],
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

  /** Keeps a step to be taken back. */
  const keep = useCallback((before: readonly SheetRow[], after: readonly SheetRow[]): void => {
    done.current = [...done.current.slice(1 - MOST_STEPS), { before, after }];
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
    (from: typeof done, to: typeof done, which: keyof Step): boolean => {
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
      const row = change(employeeId, (before) => withholding(before, tax, amount, reason));
      if (row) changed(row);
    },
    [change, changed],
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

  const flush = useCallback(async (): Promise<number> => {
    if (saving !== 'saved') await saveRef.current();
    if (clashing.current.length > 0) throw new Error('It is not decided whose lines stand.');
    return version.current;
  }, [saving]);
  const decide = useCallback(
    (employeeId: string, whose: 'mine' | 'theirs'): void => {
      const found = clashing.current.find((one) => one.employeeId === employeeId);
      if (!found) return;
      clash(clashing.current.filter((one) => one !== found));
      if (whose === 'theirs') forgetSteps(new Set([employeeId]));
      const row = change(employeeId, (current) => (whose === 'theirs' ? found.theirs : current));
      if (row) changed(row);
    },
    [change, changed, clash, forgetSteps],
  );
  const saveAfterReview = useCallback(async (): Promise<void> => {
    if (!overtaken) return;
    const opened = await reopen.mutateAsync({ act: 'reopen', version: overtaken.version });
    version.current = opened.version;
    setOvertaken(null);
    if (await catchUp()) await saveRef.current();
  }, [catchUp, overtaken, reopen]);
  // Two people in one payroll see each other's changes.
  const { data: newest } = useQuery({ ...latestPayrollQuery(payroll.id), enabled: payroll.status !== 'posted' });
  useEffect(() => {
    if (!newest || newest.version <= version.current || underWay.current > 0 || overtaken) return;
    queue.current = queue.current.then(catchUp).then(
      () => undefined,
      () => undefined,
    );
  }, [newest, catchUp, overtaken]);
  // A page that is left while something is not saved asks first.
  useEffect(() => {
    const ask = (event: BeforeUnloadEvent): void => {
      if (timer.current !== null || underWay.current > 0) event.preventDefault();
    };
    window.addEventListener('beforeunload', ask);
    return () => window.removeEventListener('beforeunload', ask);
  }, []);
  const unread = rows.flatMap(({ employeeId, name, unread: line, isPaid }) =>
    line && isPaid ? [{ employeeId, name, text: line.text, why: line.why }] : [],
  );
  return {
    rows,
    saving,
    error: save.error,
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
    flush,
    clashes,
    decide,
    overtaken,
    saveAfterReview,
  };
}
