import { Checkbox, TextInput } from '@mantine/core';
import { cents, showDollars } from '@zakat/core/money/cents';
import { useState, type FormEvent, type KeyboardEvent, type ReactNode } from 'react';
import { linesOfCheck, type LineOfCheck } from '../../calc/lines-of-check.js';
import type { SheetRow } from '../../calc/sheet-row.js';
import { OverrideForm } from './override-form.js';

interface Props {
  readonly row: SheetRow;
  readonly isOpen: boolean;
  /** A reason leaves the line out; null takes it again. */
  readonly onLeaveOut: (line: string, reason: string | null) => void;
  /** The working of an amount is wanted. */
  readonly onFigure: (figure: string, label: string) => void;
  /** Another amount than is computed; null restores that. */
  readonly onOverride: (
    line: string,
    instead: { readonly amount: string; readonly reason: string; readonly isOwed?: boolean } | null,
  ) => void;
}

const WANTED: Readonly<Record<NonNullable<LineOfCheck['wantedBy']>, string>> = {
  order: 'an order asks for it from every check',
  election: 'elected for every check',
};
/** Of the mark, the line, what it is, why it is there, and its amount: they stay when a reason is asked for. */
const WIDTHS = [30, '22%', '22%', 'auto', 110] as const;
/** Words that will do where nobody but the person wants the line. */
const USUAL_REASON = 'not this time';

function Reason({
  line,
  onGive,
  onClose,
}: {
  readonly line: LineOfCheck;
  readonly onGive: (reason: string) => void;
  readonly onClose: () => void;
}): ReactNode {
  const [reason, setReason] = useState(line.wantedBy === null ? USUAL_REASON : '');
  const submit = (event: FormEvent): void => {
    event.preventDefault();
    if (reason.trim() !== '') onGive(reason.trim());
  };
  const escape = (event: KeyboardEvent): void => {
    if (event.key === 'Escape') onClose();
  };
  return (
    <form onSubmit={submit} onKeyDown={escape} className="actions" aria-label={`Leave out ${line.label}`}>
      <TextInput
        aria-label="Reason"
        placeholder="Reason, for the audit trail"
        size="xs"
        w={260}
        maxLength={120}
        value={reason}
        data-autofocus
        autoFocus
        onChange={(event) => setReason(event.currentTarget.value)}
      />
      <button type="submit" className="plain" disabled={reason.trim() === ''}>
        leave it out
      </button>
      <button type="button" className="plain" onClick={onClose}>
        keep it
      </button>
    </form>
  );
}

const inPlaceOf = ({ computed, reason, owed }: NonNullable<LineOfCheck['overridden']>): string =>
  `${computed === null ? '' : `instead of ${showDollars(cents(computed))}: `}${reason}${
    owed > 0 ? `; ${showDollars(cents(owed))} is owed` : ''
  } `;

/** What is taken from one person's check besides tax, and what stays out of it this time, with the reason. */
export function LinesOfCheck({ row, isOpen, onLeaveOut, onOverride, onFigure }: Props): ReactNode {
  const [asked, setAsked] = useState<string | null>(null);
  const [changing, setChanging] = useState<string | null>(null);
  const lines = linesOfCheck(row);
  if (lines.length === 0 || !row.isPaid) return null;
  return (
    <section className="section" aria-label={`Deductions and contributions, ${row.name}`}>
      <h2>
        Deductions and contributions <small>{row.name}</small>
      </h2>
      <table className="ruled">
        <colgroup>
          {WIDTHS.map((width, index) => (
            <col key={index} style={{ width }} />
          ))}
        </colgroup>
        <tbody>
          {lines.map((line) => (
            <tr key={line.key}>
              <td>
                <Checkbox
                  aria-label={`${line.label} in this check`}
                  size="xs"
                  disabled={!isOpen}
                  checked={line.reason === null}
                  onChange={() => (line.reason === null ? setAsked(line.key) : onLeaveOut(line.key, null))}
                />
              </td>
              <td style={line.reason === null ? {} : { textDecoration: 'line-through' }}>{line.label}</td>
              <td>{line.says}</td>
              <td className="note">
                {asked === line.key && line.reason === null ? (
                  <Reason
                    line={line}
                    onClose={() => setAsked(null)}
                    onGive={(reason) => {
                      setAsked(null);
                      onLeaveOut(line.key, reason);
                    }}
                  />
                ) : line.reason !== null ? (
                  `left out: ${line.reason}`
                ) : changing === line.key && !line.overridden ? (
                  <OverrideForm
                    label={line.label}
                    mayBeOwed={line.mayBeOwed}
                    onClose={() => setChanging(null)}
                    onChange={(amount, reason, isOwed) => {
                      setChanging(null);
                      onOverride(line.key, { amount, reason, ...(isOwed ? { isOwed } : {}) });
                    }}
                  />
                ) : (
                  <>
                    {line.overridden
                      ? inPlaceOf(line.overridden)
                      : line.wantedBy && `${WANTED[line.wantedBy]}${isOpen ? ' · ' : ''}`}
                    {isOpen && (
                      <button
                        type="button"
                        className="plain"
                        onClick={() => (line.overridden ? onOverride(line.key, null) : setChanging(line.key))}
                      >
                        {line.overridden ? 'restore' : 'override'}
                        <span className="unseen"> {line.label}</span>
                      </button>
                    )}
                  </>
                )}
              </td>
              <td className="num">
                {line.amount === null ? (
                  '–'
                ) : (
                  <button type="button" className="figure-of" onClick={() => onFigure(line.figure, line.label)}>
                    {showDollars(cents(line.amount))}
                    <span className="unseen">, working of {line.label}</span>
                  </button>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
