import { NativeSelect } from '@mantine/core';
import { useRef, useState, type ReactNode } from 'react';

/** Milliseconds after the last choice. */
const REST = 600;

interface Props {
  readonly headings: readonly string[];
  /** A column name for each heading, blank where it is ignored. */
  readonly mapping: readonly string[];
  readonly columns: readonly { readonly name: string; readonly label: string }[];
  readonly onChange: (mapping: string[]) => void;
}

/** What each heading of a file is taken for. A column taken twice moves to where it was chosen last. */
export function ColumnMapping({ headings, mapping: kept, columns, onChange }: Props): ReactNode {
  /** What was chosen over what is kept; once something else is kept, that is shown. */
  const [choice, setChoice] = useState<{ over: readonly string[]; mapping: readonly string[] } | null>(null);
  const timer = useRef<ReturnType<typeof setTimeout> | null>(null);
  const chosen = choice?.over === kept ? choice.mapping : null;
  const mapping = chosen ?? kept;
  const send = (next: readonly string[]): void => {
    if (timer.current !== null) clearTimeout(timer.current);
    timer.current = null;
    onChange([...next]);
  };
  // Typing a word in the list passes other columns on its way: only where it comes to rest is kept.
  const set = (index: number, column: string): void => {
    const next = mapping.map((before, at) =>
      at === index ? column : before === column && column !== '' ? '' : before,
    );
    setChoice({ over: kept, mapping: next });
    if (timer.current !== null) clearTimeout(timer.current);
    timer.current = setTimeout(() => send(next), REST);
  };
  return (
    <div className="mapping">
      {headings.map((heading, index) => (
        <NativeSelect
          key={`${index} ${heading}`}
          label={heading === '' ? `Column ${index + 1}` : heading}
          value={mapping[index] ?? ''}
          data={[
            { value: '', label: 'ignored' },
            ...columns.map((column) => ({ value: column.name, label: column.label })),
          ]}
          onChange={(event) => set(index, event.currentTarget.value)}
          onBlur={() => timer.current !== null && chosen !== null && send(chosen)}
        />
      ))}
    </div>
  );
}
