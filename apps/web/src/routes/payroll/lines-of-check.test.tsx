import { MantineProvider } from '@mantine/core';
import { afterEach, describe, expect, it, jest } from '@jest/globals';
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import type { SheetRow } from '../../calc/sheet-row.js';
import { LinesOfCheck } from './lines-of-check.js';

afterEach(cleanup);

const row: SheetRow = {
  employeeId: 'e',
  number: '3',
  name: 'Bartholomew Quill',
  state: 'CA',
  base: { employee: { garnishments: [{ kind: 'child-support', label: 'Case D-4471', amount: '115.00' }] } },
  isPaid: true,
  values: {},
  otherEarnings: [],
  otherDeductions: [{ item: 'loan', amount: '20.00', balance: '140.00' }],
  leftOut: [],
  overridden: [],
  withheld: [],
  check: {
    gross: 100_000,
    net: 80_000,
    taxes: [],
    deductions: 13_500,
    taken: { 'order:Case D-4471': 11_500, 'item:loan': 2000 },
    computed: {},
    owed: {},
    leave: [],
    variances: [],
    problems: [],
  },
  line: '',
  under: null,
  unread: null,
  note: '',
};
const onOverride = jest.fn();
const onFigure = jest.fn();
function show(given: Partial<SheetRow> = {}, isOpen = true) {
  const onLeaveOut = jest.fn<(line: string, reason: string | null) => void>();
  onOverride.mockClear();
  onFigure.mockClear();
  render(
    <MantineProvider env="test">
      <LinesOfCheck
        row={{ ...row, ...given }}
        isOpen={isOpen}
        onLeaveOut={onLeaveOut}
        onOverride={onOverride}
        onFigure={onFigure}
      />
    </MantineProvider>,
  );
  return onLeaveOut;
}
const box = (name: string) => screen.getByRole<HTMLInputElement>('checkbox', { name: `${name} in this check` });
const reason = () => screen.getByRole<HTMLInputElement>('textbox', { name: 'Reason' });

describe('what is besides pay in a check', () => {
  it('shows each line with its amount, and who asks for it', () => {
    show();
    expect(screen.getByText('115.00')).toBeTruthy();
    expect(screen.getByText(/an order asks for it from every check/)).toBeTruthy();
    expect([box('Case D-4471').checked, box('Loan repayment').checked]).toEqual([true, true]);
  });
  it('leaves an order out only for a reason of its own', () => {
    const onLeaveOut = show();
    fireEvent.click(box('Case D-4471'));
    expect([reason().value, onLeaveOut.mock.calls.length]).toEqual(['', 0]);
    const act = screen.getByRole<HTMLButtonElement>('button', { name: 'leave it out' });
    expect(act.disabled).toBe(true);
    fireEvent.submit(reason().closest('form') as HTMLFormElement);
    fireEvent.change(reason(), { target: { value: '   ' } });
    fireEvent.submit(reason().closest('form') as HTMLFormElement);
    expect(onLeaveOut).not.toHaveBeenCalled();
    fireEvent.change(reason(), { target: { value: ' lifted on 19 October ' } });
    fireEvent.submit(reason().closest('form') as HTMLFormElement);
    expect(onLeaveOut.mock.calls).toEqual([['order:Case D-4471', 'lifted on 19 October']]);
  });
  it('has words ready for what only the person wants', () => {
    const onLeaveOut = show();
    fireEvent.click(box('Loan repayment'));
    fireEvent.submit(reason().closest('form') as HTMLFormElement);
    expect(onLeaveOut.mock.calls).toEqual([['item:loan', 'not this time']]);
  });
  it.each([
    ['Escape', () => fireEvent.keyDown(reason(), { key: 'Escape' })],
    ['the way out', () => fireEvent.click(screen.getByRole('button', { name: 'keep it' }))],
  ])('%s keeps the line', (_, leave) => {
    const onLeaveOut = show();
    fireEvent.click(box('Loan repayment'));
    leave();
    expect(screen.queryByRole('textbox')).toBeNull();
    expect([box('Loan repayment').checked, onLeaveOut.mock.calls.length]).toEqual([true, 0]);
  });
  it('tells why a line is out, and takes it again with one click', () => {
    const onLeaveOut = show({ leftOut: [{ line: 'item:loan', reason: 'holiday' }] });
    expect(screen.getByText('left out: holiday')).toBeTruthy();
    expect(box('Loan repayment').checked).toBe(false);
    fireEvent.click(box('Loan repayment'));
    expect(onLeaveOut.mock.calls).toEqual([['item:loan', null]]);
  });
  it('shows the working of each amount; an order that is left out is not counted', () => {
    const orders = [
      { kind: 'creditor', label: 'First', amount: '10.00' },
      { kind: 'child-support', label: 'Case D-4471', amount: '115.00' },
    ];
    show({
      base: { employee: { garnishments: orders } },
      leftOut: [{ line: 'order:First', reason: 'paid' }],
      otherDeductions: [
        { item: 'loan', amount: '20.00' },
        { item: 'match-401k', percent: '3' },
      ],
      check: { ...row.check, taken: { ...row.check.taken, 'item:match-401k': 3_000 } },
    });
    for (const label of ['Case D-4471', 'Loan repayment', '401(k) match'])
      fireEvent.click(screen.getByRole('button', { name: new RegExp(`working of ${label.replace(/[()]/g, '.')}`) }));
    expect(onFigure.mock.calls.map(([figure]) => figure)).toEqual(['garnishment 1', 'deduction:loan', 'employer-paid']);
  });
  it('takes another amount for a reason, and the rest of a deduction may be owed', () => {
    show();
    fireEvent.click(screen.getByRole('button', { name: 'override Loan repayment' }));
    const form = screen.getByRole('form', { name: 'Override Loan repayment' });
    const type = (name: string, value: string) =>
      fireEvent.change(screen.getByRole('textbox', { name }), { target: { value } });
    type('Amount of Loan repayment', '$ 5');
    fireEvent.submit(form);
    expect(onOverride).not.toHaveBeenCalled();
    type('Reason for another Loan repayment', 'short week');
    fireEvent.click(screen.getByRole('checkbox', { name: 'what is not taken is owed' }));
    fireEvent.submit(form);
    expect(onOverride.mock.calls).toEqual([['item:loan', { amount: '5.00', reason: 'short week', isOwed: true }]]);
    expect(screen.queryByRole('form')).toBeNull();
  });
  it('an order is overridden too, and nothing of it is owed here', () => {
    show();
    fireEvent.click(screen.getByRole('button', { name: 'override Case D-4471' }));
    expect(screen.queryByRole('checkbox', { name: 'what is not taken is owed' })).toBeNull();
    fireEvent.keyDown(screen.getByRole('form'), { key: 'Escape' });
    expect(screen.queryByRole('form')).toBeNull();
  });
  it('shows the computed amount beside it, and restores it with one press', () => {
    show({
      overridden: [{ line: 'item:loan', amount: '5.00', reason: 'short week', isOwed: true }],
      otherDeductions: [{ item: 'loan', amount: '20.00', arrears: '7.50' }],
      check: {
        ...row.check,
        taken: { ...row.check.taken, 'item:loan': 500 },
        computed: { 'item:loan': 2750 },
        owed: { 'item:loan': 1500 },
      },
    });
    expect(screen.getByText(/instead of 27.50: short week; 15.00 is owed/)).toBeTruthy();
    expect(screen.getByText('20.00, 7.50 owed from before')).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'restore Loan repayment' }));
    expect(onOverride.mock.calls).toEqual([['item:loan', null]]);
  });
  it('of a payroll that is not open is there to be read only', () => {
    show({}, false);
    expect([box('Case D-4471').disabled, box('Loan repayment').disabled]).toEqual([true, true]);
  });
  it.each([
    ['nobody who is not paid', { isPaid: false }],
    ['nobody without such lines', { base: {}, otherDeductions: [] }],
  ])('is shown of %s', (_, given) => {
    show(given);
    expect(screen.queryByText('Deductions and contributions')).toBeNull();
  });
});
