import { afterEach, beforeEach, describe, expect, it, jest } from '@jest/globals';
import { fireEvent, screen } from '@testing-library/react';
import { Route } from 'react-router';
import { rowOf } from '../../calc/sheet-row.js';
import { open, startAnew } from '../../testing/pages.js';
import { payrollPerson } from '../../testing/payroll-people.js';
import { ForMany } from './for-many.js';

beforeEach(startAnew);
afterEach(startAnew);

const person = (id: string, department: string, more: object = {}) =>
  payrollPerson({
    employeeId: id,
    number: id,
    name: `Person ${id}`,
    department,
    earnings: [{ item: 'regular', hours: '40', rate: '20.00' }],
    ...more,
  });
const PEOPLE = [person('1', 'Shop'), person('2', 'Shop'), person('3', 'Oven'), person('4', 'Shop', { isPaid: false })];
const show = () => {
  const onType = jest.fn();
  const page = <ForMany persons={PEOPLE} rows={PEOPLE.map(rowOf)} onType={onType} onClose={() => undefined} />;
  open('/', <Route path="/" element={page} />);
  return onType;
};
const type = (label: string, value: string): void =>
  void fireEvent.change(screen.getByLabelText(label), { target: { value } });

describe('a line for many', () => {
  it('shows what it would change of each before it counts, and is typed for the chosen ones', () => {
    const onType = show();
    type('For', 'department Shop');
    type('Short line', '8 hol');
    expect(screen.getAllByRole('row').map((row) => row.textContent)).toEqual([
      'Person 1holiday none to 8',
      'Person 2holiday none to 8',
    ]);
    fireEvent.click(screen.getByRole('button', { name: 'Type it for 2 employees' }));
    expect(onType).toHaveBeenCalledWith([
      { employeeId: '1', column: 'line', value: '8 hol' },
      { employeeId: '2', column: 'line', value: '8 hol' },
    ]);
  });
  it('that cannot be read says so and is typed for nobody', () => {
    show();
    type('Short line', '8 zzz');
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Type it for 0 employees' }).disabled).toBe(true);
    expect(screen.queryAllByRole('row')).toEqual([]);
  });
  it('that changes nothing is typed for nobody', () => {
    show();
    type('Short line', '40 reg');
    expect(screen.getAllByText('nothing changes')).toHaveLength(3);
  });
});
