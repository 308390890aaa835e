import { afterEach, beforeEach, describe, expect, it, jest } from '@jest/globals';
import { fireEvent, screen } from '@testing-library/react';
import { Route } from 'react-router';
import type { SheetRow } from '../../calc/sheet-row.js';
import { open, startAnew } from '../../testing/pages.js';
import { OverriddenTaxes } from './overridden-taxes.js';

beforeEach(startAnew);
afterEach(startAnew);

const row = (more: object = {}): SheetRow =>
  ({
    employeeId: 'e1',
    name: 'Wil Sprague',
    isPaid: true,
    withheld: [],
    check: {
      taxes: [
        { code: 'US-FIT', payer: 'employee', subject: 1, wages: 1, amount: 20_116 },
        { code: 'US-OASDI-EE', payer: 'employee', subject: 1, wages: 1, amount: 15_574 },
      ],
      variances: [],
    },
    ...more,
  }) as unknown as SheetRow;
const show = (own: SheetRow) => {
  const onOverride = jest.fn();
  open('/', <Route path="/" element={<OverriddenTaxes row={own} isOpen onOverride={onOverride} />} />);
  return onOverride;
};

describe('the income taxes of a check', () => {
  it('take another amount only with a reason; fixed shares of the wages are not among them', () => {
    const onOverride = show(row());
    expect(screen.queryByText(/social security/i)).toBeNull();
    fireEvent.click(screen.getByRole('button', { name: 'override' }));
    const done = screen.getByRole<HTMLButtonElement>('button', { name: 'override it' });
    fireEvent.change(screen.getByLabelText(/^Amount of/), { target: { value: '$1,300.00' } });
    expect(done.disabled).toBe(true);
    fireEvent.change(screen.getByLabelText(/^Reason for/), { target: { value: 'Asked for' } });
    fireEvent.click(done);
    expect(onOverride).toHaveBeenCalledWith('US-FIT', '1300.00', 'Asked for');
  });
  it('overridden, show the computed one beside and are restored with one press', () => {
    const { check } = row();
    const onOverride = show(
      row({
        withheld: [{ tax: 'US-FIT', amount: '300.00', reason: 'Asked for' }],
        check: {
          ...check,
          taxes: [{ code: 'US-FIT', payer: 'employee', subject: 1, wages: 1, amount: 30_000 }],
          variances: [{ code: 'US-FIT', withheld: 30_000, computed: 20_116 }],
        },
      }),
    );
    expect([screen.getByText('201.16'), screen.getByText('300.00'), screen.getByText(/Asked for/)]).toHaveLength(3);
    fireEvent.click(screen.getByRole('button', { name: 'restore' }));
    expect(onOverride).toHaveBeenCalledWith('US-FIT', '', '');
  });
});
