import { useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import type { Schemas } from '../../api/client.js';
import type { SheetRow } from '../../calc/sheet-row.js';
import { shownRows } from './shown-rows.js';

interface Shown {
  readonly filter: string;
  readonly rows: readonly SheetRow[];
  show(filter: string): void;
  /** Where the focus begins: `EMPLOYEE.COLUMN`. */
  readonly at: string;
  /** Leads to the person of a row; the way back leads to the cell. */
  openPerson(employeeId: string, at: string): void;
}

/** Which rows of a sheet are shown, and the cell that is worked on: both in the address, so that back leads to them. */
export function useShownRows(rows: readonly SheetRow[], persons: Schemas['PayrollView']['persons']): Shown {
  const [search, setSearch] = useSearchParams();
  const navigate = useNavigate();
  const filter = search.get('show') ?? '';
  const asked = (value: string): ReadonlySet<string> =>
    new Set(shownRows(rows, persons, value).map(({ employeeId }) => employeeId));
  // Who was shown stays shown while it is typed for them: hours that are typed must not take the row away.
  const [among, setAmong] = useState(() => asked(filter));
  return {
    filter,
    rows: filter === '' ? rows : rows.filter(({ employeeId }) => among.has(employeeId)),
    show: (value) => {
      setAmong(asked(value));
      setSearch(value === '' ? {} : { show: value }, { replace: true });
    },
    at: search.get('at') ?? '',
    openPerson: (employeeId, at) => {
      const here = new URLSearchParams(search);
      here.set('at', at);
      void Promise.resolve(navigate({ search: `?${here.toString()}` }, { replace: true })).then(() =>
        navigate(`/employees/${employeeId}`),
      );
    },
  };
}
