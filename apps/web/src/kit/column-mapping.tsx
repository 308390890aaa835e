import { NativeSelect } from '@mantine/core';
import type { ReactNode } from 'react';

interface Props {
  readonly headings: readonly string[];
  /** A column name for each heading, blank where it is ignored. */
  readonly mapping: readonly string[];
  readonly columns: readonly { readonly name: string; readonly label: string }[];
  readonly onChange: (mapping: string[]) => void;
}

/** What each heading of a file is taken for. A column taken twice moves to where it was chosen last. */
export function ColumnMapping({ headings, mapping, columns, onChange }: Props): ReactNode {
  const set = (index: number, column: string): void =>
    onChange(mapping.map((before, at) => (at === index ? column : before === column && column !== '' ? '' : before)));
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
        />
      ))}
    </div>
  );
}
