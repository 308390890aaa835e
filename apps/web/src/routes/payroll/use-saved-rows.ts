import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useRef, useState } from 'react';
import { Refused, api, take, type Schemas } from '../../api/client.js';
import { latestPayrollQuery, payrollQuery, usePayrollAct, useSavePayroll } from '../../api/resources.js';
import { entryOf, rowOf, type SheetRow } from '../../calc/sheet-row.js';
import { keyOf, together, type Clash } from '../../calc/together.js';

const PAUSE = 700;
/** How often one save is laid together with what others save at the same moment. */
const MOST_ROUNDS = 4;

/** The payroll was reviewed or posted by somebody else while something typed here was not saved. */
export interface Overtaken {
  readonly status: Schemas['PayrollView']['status'];
  readonly by: string;
  readonly version: number;
  readonly names: readonly string[];
}
export interface SavedRows {
  readonly saving: 'saved' | 'typing' | 'saving' | 'failed';
  readonly error: Refused | null;
  /** People for whom somebody else saved other lines than are typed here: nothing is saved for them until it is decided. */
  readonly clashes: readonly Clash[];
  readonly overtaken: Overtaken | null;
  /** Something was typed: it is saved after a short pause. */
  saveSoon(): void;
  /** Saves now and answers with the version to act on. */
  flush(): Promise<number>;
  /** The clash of a person is decided; undefined: there is none (any more). */
  endClash(employeeId: string): Clash | undefined;
  /** Reopens a payroll that was reviewed meanwhile, and saves what was typed here. */
  saveAfterReview(): Promise<void>;
}
interface Given {
  readonly payroll: Schemas['PayrollView'];
  /** The rows as they are on the screen at this moment. */
  readonly rowsNow: () => readonly SheetRow[];
  readonly onRows: (rows: readonly SheetRow[]) => void;
  readonly onNote: (note: string) => void;
  /** Rows whose records or lines came from the server: their checks are computed anew. */
  readonly onCompute: (row: SheetRow) => void;
  /** Whose lines somebody else saved. */
  readonly onOthers: (employeeIds: ReadonlySet<string>) => void;
}
const keysOf = (rows: readonly SheetRow[]): Map<string, string> =>
  new Map(rows.map((row) => [row.employeeId, keyOf(row)]));
const isConflict = (error: unknown): boolean => error instanceof Refused && error.problem.status === 409;

/**
 * What of a sheet is saved, beside somebody else who may save too: only lines that were typed here are sent, what others
 * saved is taken, and where both typed for one person it waits for a decision. Nothing that was typed is ever dropped.
 */
export function useSavedRows({ payroll, rowsNow, onRows, onNote, onCompute, onOthers }: Given): SavedRows {
  const { id } = payroll;
  const [saving, setSaving] = useState<SavedRows['saving']>('saved');
  const [clashes, setClashes] = useState<readonly Clash[]>([]);
  const [overtaken, setOvertaken] = useState<Overtaken | null>(null);
  const clashing = useRef<readonly Clash[]>([]);
  const version = useRef(payroll.version);
  /** What the server has of each person, by `keyOf`. */
  const [first] = useState(() => keysOf(payroll.persons.map(rowOf)));
  const known = useRef<ReadonlyMap<string, string>>(first);
  const timer = useRef<ReturnType<typeof setTimeout> | null>(null);
  const queue = useRef<Promise<void>>(Promise.resolve());
  const underWay = useRef(0);
  const queries = useQueryClient();
  const save = useSavePayroll(id);
  const reopen = usePayrollAct(id);

  const clash = useCallback((next: readonly Clash[]): void => {
    clashing.current = next;
    setClashes(next);
  }, []);
  /** What was typed and the server does not have. */
  const unsaved = useCallback(
    (): readonly SheetRow[] => rowsNow().filter((row) => known.current.get(row.employeeId) !== keyOf(row)),
    [rowsNow],
  );

  /** Takes what somebody else saved meanwhile. False: the payroll is not open any more. */
  const catchUp = useCallback(async (): Promise<boolean> => {
    const at = { params: { path: { id } } };
    const fresh = await take(api.GET('/api/payrolls/{id}', at));
    if (fresh.status !== 'open') {
      const names = unsaved().map(({ name }) => name);
      if (names.length === 0) queries.setQueryData(payrollQuery(id).queryKey, fresh);
      else {
        const { by } = await take(api.GET('/api/payrolls/{id}/latest', at));
        setOvertaken({ status: fresh.status, by, version: fresh.version, names });
      }
      return false;
    }
    const laid = together(rowsNow(), known.current, fresh.persons);
    version.current = fresh.version;
    known.current = laid.known;
    onRows(laid.rows);
    onOthers(new Set(laid.taken.map(({ employeeId }) => employeeId)));
    const waiting = new Set(unsaved().map(({ employeeId }) => employeeId));
    const isNew = new Set(laid.clashes.map(({ employeeId }) => employeeId));
    clash([
      ...clashing.current.filter(({ employeeId }) => waiting.has(employeeId) && !isNew.has(employeeId)),
      ...laid.clashes,
    ]);
    unsaved().forEach(onCompute);
    queries.setQueryData(payrollQuery(id).queryKey, fresh);
    if (laid.taken.length > 0 || laid.gone.length > 0) {
      const { by, isOwn } = await take(api.GET('/api/payrolls/{id}/latest', at));
      const who = isOwn ? 'You, on another page,' : by;
      onNote(
        [
          ...(laid.taken.length === 0 ? [] : [`${who} saved ${laid.taken.map(({ name }) => name).join(', ')}`]),
          ...laid.gone.map((name) => `${name} is not in this payroll any more`),
        ].join('. '),
      );
    }
    return true;
  }, [clash, id, onCompute, onNote, onOthers, onRows, queries, rowsNow, unsaved]);

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
          known.current = new Map([...known.current, ...keysOf(sent)]);
          queries.setQueryData(payrollQuery(id).queryKey, saved);
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
  }, [catchUp, id, queries, save, unsaved]);
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
  // A page that is left while something is not saved asks first.
  useEffect(() => {
    const ask = (event: BeforeUnloadEvent): void => {
      if (timer.current !== null || underWay.current > 0) event.preventDefault();
    };
    window.addEventListener('beforeunload', ask);
    return () => window.removeEventListener('beforeunload', ask);
  }, []);
  // Two people in one payroll see each other's changes.
  const { data: newest } = useQuery({ ...latestPayrollQuery(id), enabled: payroll.status !== 'posted' });
  useEffect(() => {
    if (!newest || newest.version <= version.current || underWay.current > 0 || overtaken) return;
    queue.current = queue.current.then(catchUp).then(
      () => undefined,
      () => undefined,
    );
  }, [newest, catchUp, overtaken]);

  const saveSoon = useCallback((): void => {
    setSaving('typing');
    if (timer.current) clearTimeout(timer.current);
    timer.current = setTimeout(() => void saveRef.current().catch(() => undefined), PAUSE);
  }, []);
  const flush = useCallback(async (): Promise<number> => {
    if (saving !== 'saved') await saveRef.current();
    if (clashing.current.length > 0) throw new Error('It is not decided whose lines stand.');
    return version.current;
  }, [saving]);
  const endClash = useCallback(
    (employeeId: string): Clash | undefined => {
      const found = clashing.current.find((one) => one.employeeId === employeeId);
      clash(clashing.current.filter((one) => one !== found));
      return found;
    },
    [clash],
  );
  const saveAfterReview = useCallback(async (): Promise<void> => {
    if (!overtaken) return;
    const opened = await reopen.mutateAsync({ act: 'reopen', version: overtaken.version });
    version.current = opened.version;
    setOvertaken(null);
    if (await catchUp()) await saveRef.current();
  }, [catchUp, overtaken, reopen]);
  return { saving, error: save.error, clashes, overtaken, saveSoon, flush, endClash, saveAfterReview };
}
