import { afterEach, describe, expect, it } from '@jest/globals';
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { Route } from 'react-router';
import { asked, open, refusal, serve, startAnew, type Answers } from '../../testing/pages.js';
import { ChangeForManyForm } from './change-for-many.js';

afterEach(startAnew);

const FORESEE = 'POST /api/clients/c1/changes-for-many/foresee';
const MAKE = 'POST /api/clients/c1/changes-for-many';
const row = (employeeId: string, name: string, more: object = {}) => ({
  employeeId,
  number: employeeId.slice(1),
  name,
  department: '',
  location: '',
  costCentre: '',
  was: '18.50 an hour',
  will: '19.06 an hour',
  why: '',
  ...more,
});
const ROWS = [
  row('e1', 'Wil Sprague', { department: 'Kitchen' }),
  row('e2', 'Bo Larch', { department: 'Kitchen' }),
  row('e3', 'Ada Reed', { was: 'Commission only', will: '', why: 'has neither a rate nor a salary' }),
];
const show = (answers: Answers = {}): void => {
  serve({ [FORESEE]: { body: ROWS }, ...answers });
  open(
    '/many',
    <Route
      path="/many"
      element={
        <ChangeForManyForm clientId="c1" own={[['boots', 'Boots']]} today="2026-10-22" onClose={() => undefined} />
      }
    />,
  );
};
const type = (label: string, value: string): void =>
  void fireEvent.change(screen.getByLabelText(label), { target: { value } });
const click = (name: string): void => void fireEvent.click(screen.getByRole('button', { name }));
const rehearse = async (): Promise<void> => {
  type('Percent', '3 %');
  click('Show every row');
  await screen.findByText('Wil Sprague');
};

describe('a change for many', () => {
  it('shows every row before it counts, and records it for those who stay ticked', async () => {
    show({ [MAKE]: { body: ROWS } });
    await rehearse();
    expect(asked.at(-1)).toBe(`${FORESEE} {"change":{"is":"pay","by":"percent","value":"3"},"from":"2026-10-22"}`);
    expect(screen.getByText('has neither a rate nor a salary')).toBeTruthy();
    expect(screen.getByRole<HTMLInputElement>('checkbox', { name: 'Change it for Ada Reed' }).disabled).toBe(true);
    fireEvent.click(screen.getByRole('checkbox', { name: 'Change it for Bo Larch' }));
    click('Record it for one employee');
    expect(await screen.findByText(/^Recorded for 1;/)).toBeTruthy();
    expect(asked.find((call) => call.startsWith(`${MAKE} `))).toContain(
      '"people":[{"employeeId":"e1","was":"18.50 an hour"}]',
    );
  });
  it('what was shown no longer counts once something else is asked', async () => {
    show();
    await rehearse();
    type('Percent', '4');
    expect(screen.queryByText('Wil Sprague')).toBeNull();
    expect(screen.queryByRole('button', { name: /^Record it/ })).toBeNull();
  });
  it('is for everybody or for a department', async () => {
    show({ [FORESEE]: { body: [...ROWS, row('e4', 'Cy Moss', { department: 'Bar' })] } });
    await rehearse();
    fireEvent.change(screen.getByRole('combobox', { name: 'Of' }), { target: { value: 'department Bar' } });
    expect([screen.queryByText('Bo Larch'), screen.getByText('Cy Moss') !== null]).toEqual([null, true]);
    expect(screen.getByRole('button', { name: 'Record it for one employee' })).toBeTruthy();
  });
  it.each([
    ['work department', 'Name', 'Galley', '{"is":"work","field":"department","value":"Galley"}'],
    ['pay amount', 'Amount', '$1,000.50', '{"is":"pay","by":"amount","value":"1000.50"}'],
    ['standing amount', 'Amount', '$ 18.00', '{"is":"standing","item":"union-dues","amount":"18.00"}'],
    ['standing percent', 'Percent', '2%', '{"is":"standing","item":"union-dues","percent":"2"}'],
  ])('%s is asked as it is typed', async (sort, label, value, change) => {
    show();
    fireEvent.change(screen.getByLabelText('Change'), { target: { value: sort } });
    type(label, value);
    click('Show every row');
    await waitFor(() => expect(asked.at(-1)).toContain(`{"change":${change}`));
  });
  it('says why nothing was recorded', async () => {
    show({ [MAKE]: refusal(409, 'A record of one of these people has moved since it was shown.') });
    await rehearse();
    click('Record it for 2 employees');
    expect(await screen.findByText(/has moved since it was shown/)).toBeTruthy();
  });
});
