import { NativeSelect } from '@mantine/core';
import { useLocalStorage } from '@mantine/hooks';
import { useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { checkPrintersQuery } from '../../api/checks.js';

/** The printer of this desk: kept in this browser, since it stands beside whoever prints. Blank: none was measured. */
export function usePrinter(): readonly [id: string, choose: (id: string) => void] {
  const { data } = useQuery(checkPrintersQuery);
  const [kept, setKept] = useLocalStorage({ key: 'zakat-check-printer', defaultValue: '' });
  // One that was taken away is none.
  return [data?.some(({ id }) => id === kept) === true ? kept : '', setKept];
}

export function PrinterChoice({
  printer,
  onChoose,
}: {
  readonly printer: string;
  readonly onChoose: (id: string) => void;
}): ReactNode {
  const { data: printers = [] } = useQuery(checkPrintersQuery);
  if (printers.length === 0) return null;
  return (
    <NativeSelect
      label="Printer"
      value={printer}
      onChange={(event) => onChoose(event.currentTarget.value)}
      data={[
        { value: '', label: 'not one of the list' },
        ...printers.map(({ id, name }) => ({ value: id, label: name })),
      ]}
    />
  );
}
