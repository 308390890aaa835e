import type { ReactNode } from 'react';

/** A column of a list by its label; blank: nothing heads it. Numbers stand at the right. */
export type ListColumn = string | { readonly number: string };

/** The head of a list: every list of the product has this one. */
export function ListHead({ columns }: { readonly columns: readonly ListColumn[] }): ReactNode {
  return (
    <thead>
      <tr>
        {columns.map((column, index) => {
          const label = typeof column === 'string' ? column : column.number;
          const key = `${index} ${label}`;
          if (label === '') return <td key={key} />;
          return (
            <th key={key} scope="col" {...(typeof column === 'string' ? {} : { className: 'num' })}>
              {label}
            </th>
          );
        })}
      </tr>
    </thead>
  );
}
