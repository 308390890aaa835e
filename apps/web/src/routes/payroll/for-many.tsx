import { Button, NativeSelect, TextInput } from '@mantine/core';
import { useState, type FormEvent, type ReactNode } from 'react';
import type { Schemas } from '../../api/client.js';
import { chosenRows, foreseen, groupsOf, type Chosen } from '../../calc/for-many.js';
import type { SheetRow } from '../../calc/sheet-row.js';

interface Props {
  readonly persons: Schemas['PayrollView']['persons'];
  readonly rows: readonly SheetRow[];
  readonly onType: (cells: readonly { employeeId: string; column: string; value: string }[]) => void;
  readonly onClose: () => void;
}
/** Everybody, and every department, location and cost center that somebody of the payroll has. */
const choicesOf = (persons: Props['persons']): { value: string; label: string }[] => [
  { value: ' ', label: 'everybody paid' },
  ...groupsOf(persons).map(({ sort, word, name }) => ({ value: `${sort} ${name}`, label: `${word} ${name}` })),
];
function chosenOf(value: string): Chosen {
  const at = value.indexOf(' ');
  return { sort: value.slice(0, at) as Chosen['sort'], name: value.slice(at + 1) };
}

/** One short line for many people: every row shown before it counts, one step to undo. */
export function ForMany({ persons, rows, onType, onClose }: Props): ReactNode {
  const [who, setWho] = useState(' ');
  const [line, setLine] = useState('');
  const chosen = chosenRows(rows, persons, chosenOf(who));
  const shown = line.trim() === '' ? [] : foreseen(chosen, line);
  const problem = shown.find((one) => one.problem !== null)?.problem;
  const changing = shown.filter((one) => one.changes.length > 0);
  const submit = (event: FormEvent): void => {
    event.preventDefault();
    if (changing.length === 0) return;
    onType(changing.map(({ employeeId }) => ({ employeeId, column: 'line', value: line })));
    onClose();
  };
  return (
    <section className="section" aria-label="A line for many">
      <h2>
        A line for many <small>typed for each of them as their short line; Ctrl Z takes it back</small>
      </h2>
      <form className="actions" style={{ alignItems: 'flex-end' }} onSubmit={submit}>
        <NativeSelect
          label="For"
          value={who}
          onChange={(event) => setWho(event.currentTarget.value)}
          data={choicesOf(persons)}
        />
        <TextInput
          label="Short line"
          w={260}
          placeholder="8 hol"
          autoFocus
          value={line}
          error={problem ?? undefined}
          onChange={(event) => setLine(event.currentTarget.value)}
        />
        <Button type="submit" disabled={changing.length === 0}>
          Type it for {changing.length === 1 ? 'one employee' : `${changing.length} employees`}
        </Button>
        <button type="button" className="plain" onClick={onClose}>
          close
        </button>
      </form>
      {shown.length > 0 && problem === undefined && (
        <table className="ruled" style={{ maxWidth: 820 }}>
          <tbody>
            {shown.map((one) => (
              <tr key={one.employeeId}>
                <td>{one.name}</td>
                <td>
                  {one.changes.length === 0 ? <span className="soft">nothing changes</span> : one.changes.join(', ')}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </section>
  );
}
