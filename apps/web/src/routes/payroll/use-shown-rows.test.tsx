import { afterEach, describe, expect, it } from '@jest/globals';
import { fireEvent, screen, waitFor } from '@testing-library/react';
import type { ReactNode } from 'react';
import { Route } from 'react-router';
import { rowOf } from '../../calc/sheet-row.js';
import { open, startAnew } from '../../testing/pages.js';
import { payrollPerson } from '../../testing/payroll-people.js';
import { rowFilters } from './shown-rows.js';
import { useShownRows } from './use-shown-rows.js';

afterEach(startAnew);

const warned = [{ code: 'x', field: 'f', severity: 'warning' as const, sentence: 'Look.', fix: 'So.' }];
const PERSONS = [
  payrollPerson({ employeeId: 'e1', name: 'Wil Sprague', department: 'Kitchen' }, { gross: 5, problems: warned }),
  payrollPerson({ employeeId: 'e2', name: 'Bo Larch', department: 'Bar' }, { gross: 0 }),
  payrollPerson({ employeeId: 'e3', name: 'Cy Moss', isPaid: false, location: 'Pier' }),
];
/** Hours that are typed for whoever has none yet. */
let gross = 0;
function Sheet(): ReactNode {
  const rows = PERSONS.map(rowOf).map((row) =>
    row.employeeId === 'e2' ? { ...row, check: { ...row.check, gross } } : row,
  );
  const shown = useShownRows(rows, PERSONS);
  return (
    <>
      <p>{shown.rows.map(({ name }) => name).join(', ') || 'nobody'}</p>
      <p>at {shown.at}</p>
      {rowFilters(PERSONS).map(({ value, label }) => (
        <button key={value} type="button" onClick={() => shown.show(value)}>
          {label}
        </button>
      ))}
      <button type="button" onClick={() => shown.openPerson('e2', 'e2.regular')}>
        open
      </button>
    </>
  );
}
const show = (path = '/p'): void => {
  gross = 0;
  open(path, <Route path="/p" element={<Sheet />} />);
};
const choose = (label: string): void => void fireEvent.click(screen.getByRole('button', { name: label }));

describe('the rows of a sheet', () => {
  it.each([
    ['everybody', 'Wil Sprague, Bo Larch, Cy Moss'],
    ['who is paid', 'Wil Sprague, Bo Larch'],
    ['who is not paid', 'Cy Moss'],
    ['who has no hours or pay yet', 'Bo Larch'],
    ['who has a warning', 'Wil Sprague'],
    ['department Kitchen', 'Wil Sprague'],
    ['location Pier', 'Cy Moss'],
  ])('of %s are shown, and the address says so', (label, names) => {
    show();
    choose(label);
    expect(screen.getByText(names)).toBeTruthy();
    expect(screen.getByRole('status').textContent).toMatch(label === 'everybody' ? /^\/p$/ : /^\/p\?show=./);
  });
  it('stay shown while something is typed for them', () => {
    show('/p?show=waiting');
    expect(screen.getByText('Bo Larch')).toBeTruthy();
    gross = 90_000;
    choose('department Bar');
    expect(screen.getByText('Bo Larch')).toBeTruthy();
    choose('who has no hours or pay yet');
    expect(screen.getByText('nobody')).toBeTruthy();
  });
  it('of something that is not there (any more) are all of them', () => {
    show('/p?show=department%20Galley');
    expect(screen.getByText('Wil Sprague, Bo Larch, Cy Moss')).toBeTruthy();
  });
  it('lead to the person, and the address of the cell stays behind', async () => {
    show('/p?show=paid&at=e1.line');
    expect(screen.getByText('at e1.line')).toBeTruthy();
    choose('open');
    await waitFor(() => expect(screen.getByRole('status').textContent).toBe('/employees/e2'));
  });
});
