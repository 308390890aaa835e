import { afterEach, describe, expect, it, jest } from '@jest/globals';
import { fireEvent, screen, within } from '@testing-library/react';
import { Route } from 'react-router';
import { rowOf, type SheetRow } from '../../calc/sheet-row.js';
import { open, serve, startAnew } from '../../testing/pages.js';
import { payrollPerson } from '../../testing/payroll-people.js';
import { WithheldElsewhere } from './withheld-elsewhere.js';

afterEach(startAnew);

const tax = (code: string, payer: string, amount: number) => ({ code, payer, subject: 90_000, wages: 90_000, amount });
const person = payrollPerson(
  { employeeId: 'e1', withheld: [{ tax: 'US-FIT', amount: '61.00' }] },
  {
    taxes: [tax('US-FIT', 'employee', 6100), tax('US-HI-EE', 'employee', 1305), tax('US-HI-ER', 'employer', 1305)],
    variances: [{ code: 'US-FIT', label: 'Federal income tax', withheld: 6100, computed: 6240 }],
  },
);
const show = (isOpen: boolean, more: Partial<SheetRow> = {}) => {
  serve({});
  const onWithhold = jest.fn();
  const row = { ...rowOf(person), ...more };
  open('/', <Route path="/" element={<WithheldElsewhere row={row} isOpen={isOpen} onWithhold={onWithhold} />} />);
  return onWithhold;
};
const cells = (label: string): string[] =>
  [...(screen.getByText(label).closest('tr') as HTMLTableRowElement).cells].map((cell) => cell.textContent);

describe('what another program withheld', () => {
  it('stands beside what is computed, with the difference, for every tax of the person', () => {
    show(true);
    expect(cells('Federal income tax')).toEqual(['Federal income tax', '62.40', '', '−1.40']);
    expect(screen.getByLabelText<HTMLInputElement>('Withheld: Federal income tax').value).toBe('61.00');
    expect(cells('Medicare (HI), employee').slice(1)).toEqual(['13.05', '', '–']);
    expect(within(screen.getByRole('table')).queryByText('Medicare (HI), employer')).toBeNull();
  });
  it('is told as it is typed', () => {
    const onWithhold = show(true);
    fireEvent.change(screen.getByLabelText('Withheld: Medicare (HI), employee'), { target: { value: '13.00' } });
    expect(onWithhold).toHaveBeenCalledWith('US-HI-EE', '13.00');
  });
  it('is only shown once the payroll is no longer open', () => {
    show(false);
    expect(screen.queryByRole('textbox')).toBeNull();
    expect(cells('Federal income tax')).toEqual(['Federal income tax', '62.40', '61.00', '−1.40']);
  });
  it('is asked of nobody who is not paid', () => {
    show(true, { isPaid: false });
    expect(screen.queryByRole('table')).toBeNull();
  });
});
