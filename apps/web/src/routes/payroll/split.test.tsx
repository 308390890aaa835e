import { afterEach, describe, expect, it } from '@jest/globals';
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { Route } from 'react-router';
import type { Schemas } from '../../api/client.js';
import { groupsOf } from '../../calc/for-many.js';
import { asked, open, refusal, serve, startAnew, type Answers } from '../../testing/pages.js';
import { SplitOff, maySplit } from './split.js';

afterEach(startAnew);

const person = (department: string, location = '') => ({ department, location, costCentre: '' });
const PEOPLE = [person('Kitchen', 'Pier'), person('Front', 'Pier'), person('Front', 'Pier')];
const SPLIT = 'POST /api/payrolls/p1/split';
const show = (persons: readonly object[], answer: Answers[string]): void => {
  serve({ [SPLIT]: answer });
  const payroll = { id: 'p1', persons } as unknown as Schemas['PayrollView'];
  const page = <SplitOff payroll={payroll} flush={() => Promise.resolve(7)} onClose={() => undefined} />;
  open('/payrolls/p1', <Route path="/payrolls/p1" element={page} />);
};

describe('splitting a payroll', () => {
  it('offers what some of its people have, with how many they are', () => {
    expect(groupsOf(PEOPLE).map(({ word, name, people }) => `${word} ${name} ${people}`)).toEqual([
      'department Front 2',
      'department Kitchen 1',
      'location Pier 3',
    ]);
    show(PEOPLE, { body: {} });
    // What everybody has splits nothing.
    expect(screen.getAllByRole('option').map((option) => option.textContent)).toEqual([
      'department Front, 2 employees',
      'department Kitchen, 1 employee',
    ]);
  });
  it('saves what was typed first, and goes to the part', async () => {
    show(PEOPLE, { status: 201, body: { id: 'p2', warnings: [] } });
    fireEvent.change(screen.getByRole('combobox'), { target: { value: '1' } });
    fireEvent.click(screen.getByRole('button', { name: 'Split it off' }));
    await waitFor(() => expect(screen.getByRole('status').textContent).toBe('/payrolls/p2'));
    expect(asked).toEqual([`${SPLIT} ${JSON.stringify({ version: 7, by: 'department', name: 'Kitchen' })}`]);
  });
  it('says why it was refused', async () => {
    show(PEOPLE, refusal(409, 'Somebody changed this payroll meanwhile.'));
    fireEvent.click(screen.getByRole('button', { name: 'Split it off' }));
    expect(await screen.findByText(/Somebody changed this payroll meanwhile/)).toBeDefined();
  });
  it('is offered for a whole regular payroll whose people are not all alike', () => {
    const payroll = (persons: readonly object[], part = '', kind = 'regular') =>
      ({ persons, part, kind }) as unknown as Schemas['PayrollView'];
    expect(maySplit(payroll(PEOPLE))).toBe(true);
    expect(maySplit(payroll(PEOPLE, 'Kitchen'))).toBe(false);
    expect(maySplit(payroll(PEOPLE, '', 'extra'))).toBe(false);
    expect(maySplit(payroll([person(''), person('')]))).toBe(false);
    expect(maySplit(payroll([person('Front'), person('Front')]))).toBe(false);
  });
});
