import { useState, type ReactNode } from 'react';
import { linesInWords, type Clash } from '../../calc/together.js';
import type { SheetRow } from '../../calc/sheet-row.js';
import type { Overtaken } from './use-saved-rows.js';

/** People for whom two persons typed different lines: nothing of either is lost, one is chosen. */
export function Clashes({
  clashes,
  rows,
  onDecide,
}: {
  readonly clashes: readonly Clash[];
  readonly rows: readonly SheetRow[];
  readonly onDecide: (employeeId: string, whose: 'mine' | 'theirs') => void;
}): ReactNode {
  if (clashes.length === 0) return null;
  return (
    <section className="problem" data-severity="error" role="alert" aria-label="Typed by two people">
      Somebody else saved other lines than yours. Nothing is saved for{' '}
      {clashes.length === 1 ? 'this employee' : 'these employees'} until you say which stand:
      <ul>
        {clashes.map(({ employeeId, name, theirs }) => {
          const mine = rows.find((row) => row.employeeId === employeeId);
          return (
            <li key={employeeId}>
              <b>{name}</b>: saved {linesInWords(theirs)}; yours {mine ? linesInWords(mine) : 'nothing'}.{' '}
              <button type="button" className="plain" onClick={() => onDecide(employeeId, 'theirs')}>
                take what is saved
              </button>{' '}
              ·{' '}
              <button type="button" className="plain" onClick={() => onDecide(employeeId, 'mine')}>
                keep mine
              </button>
            </li>
          );
        })}
      </ul>
    </section>
  );
}

/** Reviewed or posted by somebody else while something typed here was not saved yet. */
export function OvertakenNote({
  overtaken: { status, by, names },
  onSave,
  onReload,
}: {
  readonly overtaken: Overtaken;
  readonly onSave: () => Promise<void>;
  readonly onReload: () => void;
}): ReactNode {
  const [why, setWhy] = useState('');
  return (
    <div className="problem" data-severity="error" role="alert">
      {by} {status} this payroll meanwhile. What you typed for {names.join(', ')} is not in it; it is still on your
      screen.{' '}
      {status === 'reviewed' && (
        <>
          <button
            type="button"
            className="plain"
            onClick={() => void onSave().catch((error: unknown) => setWhy(error instanceof Error ? error.message : ''))}
          >
            reopen it and save mine
          </button>{' '}
          ·{' '}
        </>
      )}
      <button type="button" className="plain" onClick={onReload}>
        show what is there now
      </button>
      {why !== '' && <div>{why}</div>}
    </div>
  );
}
