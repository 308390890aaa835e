import type { ReactNode } from 'react';
import type { Schemas } from '../../api/client.js';
import type { SheetRow } from '../../calc/sheet-row.js';
import type { Sheet } from './use-sheet.js';

/** Lines that were typed or pasted and not understood, each with its person: until they are right nobody is reviewed. */
export function NotUnderstood({ lines }: { readonly lines: Sheet['unread'] }): ReactNode {
  return (
    <div className="problem" role="alert">
      <b>{lines.length === 1 ? 'A line was not understood' : `${lines.length} lines were not understood`}</b>
      <ul>
        {lines.map((line) => (
          <li key={line.employeeId}>
            {line.name}: “{line.text}” – {line.why}. Correct the line, or clear it; until then the review waits.
          </li>
        ))}
      </ul>
    </div>
  );
}

/** People of whom the payroll has something to say: who left, and what is proposed. */
export function Notes({ rows }: { readonly rows: readonly SheetRow[] }): ReactNode {
  const noted = rows.filter((row) => row.note !== '');
  if (noted.length === 0) return null;
  return (
    <div className="problem" data-severity="warning" role="status">
      <b>{noted.length === 1 ? 'Somebody has left' : `${noted.length} people have left`}</b>
      <ul>
        {noted.map((row) => (
          <li key={row.employeeId}>
            {row.name}: {row.note}
          </li>
        ))}
      </ul>
    </div>
  );
}

/** What has left already and would not have what is posted now. */
export function Closed({ payroll }: { readonly payroll: Schemas['PayrollView'] }): ReactNode {
  if (payroll.closedReason)
    return (
      <p className="note">
        {payroll.kind === 'void' ? 'Voided' : 'Posted after returns or deposits of its days had left'}:{' '}
        {payroll.closedReason}
      </p>
    );
  if (payroll.closed.length === 0) return null;
  return (
    <div className="problem" data-severity="warning" role="status">
      <b>This check date falls into what has left already</b>
      <ul>
        {payroll.closed.map((one) => (
          <li key={one.what}>
            {one.what} {one.follows}
          </li>
        ))}
      </ul>
      A reviewer posts it, with a reason.
    </div>
  );
}
