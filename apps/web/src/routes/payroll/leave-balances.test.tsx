import { MantineProvider } from '@mantine/core';
import { afterEach, describe, expect, it } from '@jest/globals';
import { cleanup, render, screen } from '@testing-library/react';
import type { SheetRow } from '../../calc/sheet-row.js';
import { LeaveBalances } from './leave-balances.js';

afterEach(cleanup);

const move = (item: string, balance: string, lost = '0') => ({
  item,
  before: '8',
  accrued: '2',
  used: '12',
  lost,
  balance,
});
const show = (leave: ReturnType<typeof move>[], isPaid = true) =>
  render(
    <MantineProvider env="test">
      <LeaveBalances row={{ name: 'Wil Sprague', isPaid, values: {}, check: { leave } } as unknown as SheetRow} />
    </MantineProvider>,
  );
const cells = (): string[][] =>
  [...document.querySelectorAll('tr')].map((row) => [...row.cells].map((cell) => cell.textContent));

describe('leave beside the hours', () => {
  it('says what was there, accrues, is used and is left', () => {
    show([move('sick', '4')]);
    expect(cells()).toEqual([
      ['Balance', 'Before', 'Accrues', 'Used', 'After'],
      ['Sick', '8', '2', '12', '4'],
    ]);
  });
  it('marks a balance below zero, and what is lost has a column of its own', () => {
    show([move('vacation', '-2', '1')]);
    expect(screen.getByText('-2').className).toBe('tag-wrong');
    expect(cells()[0]).toContain('Lost');
  });
  it('is paid out by a key: what is left goes on top of the hours that are typed', () => {
    const typed: string[] = [];
    const row = {
      name: 'Wil Sprague',
      isPaid: true,
      values: { vacation: '4.5', rate: '24.00' },
      check: { leave: [move('vacation', '31.25'), move('sick', '-2'), move('pto', '9')] },
    } as unknown as SheetRow;
    render(
      <MantineProvider env="test">
        <LeaveBalances row={row} onType={(column, hours) => typed.push(`${column} ${hours}`)} />
      </MantineProvider>,
    );
    // Nothing is left of the sick leave, and paid time off has no column of its own: it is typed as other pay.
    expect(screen.getAllByRole('button').map((button) => button.textContent)).toEqual([
      'pay out 31.25 hours of vacation leave',
    ]);
    screen.getByRole('button').click();
    expect(typed).toEqual(['vacation 35.75']);
  });
  it('asks for the rate of a salary first', () => {
    const row = { name: 'Wil Sprague', isPaid: true, values: {}, check: { leave: [move('sick', '3')] } };
    render(
      <MantineProvider env="test">
        <LeaveBalances row={row as unknown as SheetRow} onType={() => undefined} />
      </MantineProvider>,
    );
    expect(screen.getByText('type a rate to pay it out')).toBeTruthy();
    expect(screen.queryByRole('button')).toBeNull();
  });
  it('is not paid out of a payroll that is closed', () => {
    show([move('vacation', '4')]);
    expect(screen.queryByRole('button')).toBeNull();
  });
  it('is nothing for somebody without a plan, or not paid this time', () => {
    show([]);
    expect(document.querySelector('table')).toBeNull();
    cleanup();
    show([move('sick', '4')], false);
    expect(document.querySelector('table')).toBeNull();
  });
});
