import { MantineProvider } from '@mantine/core';
import { afterEach, describe, expect, it, jest } from '@jest/globals';
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { withinNet } from '@zakat/core/casefile/within-net';
import { entryOf, rowOf } from '../../calc/sheet-row.js';
import { payrollPerson, startOf } from '../../testing/payroll-people.js';
import { NotEnough } from './not-enough.js';

afterEach(cleanup);

const person = (net: number, isPaid = true) =>
  rowOf(
    payrollPerson(
      {
        employeeId: 'e1',
        isPaid,
        workState: 'TX',
        base: startOf('TX'),
        earnings: [{ item: 'salary', amount: '100.00' }],
        deductions: [
          { item: 'section-125-health', amount: '62.00' },
          { item: 'loan', amount: '90.00' },
        ],
      },
      { net },
    ),
  );
function show(row = person(-6_000), isHopeless = false) {
  const onTake = jest.fn();
  render(
    <MantineProvider env="test">
      <NotEnough
        rows={[row]}
        onAsk={() => Promise.resolve(isHopeless ? null : withinNet(row.base, entryOf(row), null))}
        onTake={onTake}
      />
    </MantineProvider>,
  );
  return onTake;
}
const ask = () => fireEvent.click(screen.getByRole('button', { name: 'what gives way' }));

describe('pay that does not reach', () => {
  it('shows what gives way in its order, and takes it so with what was chosen for the rest', async () => {
    const onTake = show();
    expect(screen.getByText(/net pay would be −60.00/)).toBeTruthy();
    ask();
    const rest = await screen.findByRole('combobox', { name: 'The rest of Loan repayment' });
    fireEvent.change(rest, { target: { value: 'dropped' } });
    fireEvent.click(screen.getByRole('button', { name: 'take it so' }));
    expect(onTake.mock.calls[0]).toEqual([
      'e1',
      [
        expect.objectContaining({
          line: 'item:loan',
          computed: '90.00',
          isOwed: false,
          reason: 'the pay does not reach',
        }),
      ],
    ]);
  });
  it('says so where no deduction can make up for it', async () => {
    show(person(-100), true);
    ask();
    expect(await screen.findByText(/No deduction can make up for it/)).toBeTruthy();
  });
  it.each([
    ['a check that reaches', person(1)],
    ['somebody who is not paid', person(-1, false)],
  ])('is silent for %s', (_, row) => {
    show(row);
    expect(screen.queryByLabelText('Pay that does not reach')).toBeNull();
  });
});
