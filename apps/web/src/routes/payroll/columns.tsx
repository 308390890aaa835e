import { Checkbox } from '@mantine/core';
import { useState, type ReactNode } from 'react';
import { useKeepSheetColumns } from '../../api/resources.js';
import { VALUE_COLUMNS } from '../../calc/sheet-row.js';
import { RefusedNote } from '../../kit/problems.js';
import { ALWAYS, HEADINGS } from './sheet-columns.js';

/** Which columns the sheet of a client always has: kept for everybody who opens one of its payrolls. */
export function ColumnsOfClient({
  clientId,
  kept,
  onKept,
  onClose,
}: {
  readonly clientId: string;
  readonly kept: readonly string[];
  readonly onKept: (columns: readonly string[]) => void;
  readonly onClose: () => void;
}): ReactNode {
  const keep = useKeepSheetColumns(clientId);
  const [chosen, setChosen] = useState(kept);
  const choose = (column: string, isChosen: boolean): void => {
    const next = isChosen ? [...chosen, column] : chosen.filter((one) => one !== column);
    setChosen(next);
    onKept(next);
    keep.mutate([...next]);
  };
  return (
    <fieldset className="actions" style={{ border: 0, margin: 0, padding: 0 }}>
      <legend className="note" style={{ maxWidth: 'none', padding: 0 }}>
        Always there for this client; other columns come when somebody has something in them
      </legend>
      {VALUE_COLUMNS.filter((column) => !ALWAYS.includes(column)).map((column) => (
        <Checkbox
          key={column}
          size="xs"
          label={HEADINGS[column] ?? column}
          checked={chosen.includes(column)}
          onChange={(event) => choose(column, event.currentTarget.checked)}
        />
      ))}
      <button type="button" className="plain" onClick={onClose}>
        close
      </button>
      <RefusedNote error={keep.error} />
    </fieldset>
  );
}
