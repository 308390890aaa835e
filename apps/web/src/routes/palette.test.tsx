import { afterEach, describe, expect, it, jest } from '@jest/globals';
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { Route } from 'react-router';
import { asked, open, serve, startAnew } from '../testing/pages.js';
import { Palette } from './palette.js';

afterEach(startAnew);

const BOATYARD = { kind: 'client', id: 'c1', label: 'Gannet Boatyard', detail: 'BOAT' };
const WIL = { kind: 'person', id: 'e1', label: 'Wil Sprague', detail: 'Gannet Boatyard, number 101' };
function show(hits: object[] = []) {
  const onClose = jest.fn();
  serve({ 'GET /api/search': { body: hits } });
  open('/start', <Route path="/start" element={<Palette isOpen onClose={onClose} />} />);
  const field = screen.getByLabelText('Place, client, employee, form or agency');
  return {
    onClose,
    type: (value: string) => void fireEvent.change(field, { target: { value } }),
    press: (key: string) => void fireEvent.keyDown(field, { key }),
  };
}
const found = (): string[] => [...document.querySelectorAll('tr.go')].map((row) => row.textContent);
const where = (): string => document.querySelector('output')?.textContent ?? '';

describe('going to a place by its name', () => {
  it('has the places of the firm at once, and goes to the first with Enter', async () => {
    const { type, press, onClose } = show();
    expect(found()).toEqual([
      'Ladder',
      'Payrolls',
      'Deposits',
      'Trust account',
      'Returns',
      'Transmissions',
      'Clients',
      'Add client',
      'Rules',
      'Audit trail',
      'Firm',
      'Payees of garnishments',
      'Invoices',
      'Agency payments',
    ]);
    type('rules');
    expect(found()[0]).toBe('Rules');
    press('Enter');
    await waitFor(() => expect(where()).toBe('/rules'));
    expect(onClose).toHaveBeenCalledTimes(1);
  });
  it('finds a client in all its places, by the name and the place', async () => {
    const { type, press } = show([BOATYARD]);
    type('gannet');
    await waitFor(() => expect(found()).toHaveLength(16));
    type('gannet dep');
    await waitFor(() => expect(found()[0]).toBe('Gannet Boatyard (BOAT): deposits'));
    // The place is no part of the name that is looked for.
    expect(asked.at(-1)).toBe('GET /api/search?find=gannet');
    press('Enter');
    await waitFor(() => expect(where()).toBe('/clients/c1/deposits'));
  });
  it('moves with the arrows and stops at both ends', async () => {
    const { type, press } = show([WIL, BOATYARD]);
    type('gan');
    await waitFor(() => expect(found().length).toBeGreaterThan(2));
    press('ArrowUp');
    press('ArrowDown');
    for (let step = 0; step < 30; step += 1) press('ArrowDown');
    press('Enter');
    await waitFor(() => expect(where()).toBe('/rules?at=WV'));
  });
  it('goes where a click says, to a person too', async () => {
    const { type } = show([WIL]);
    type('wil');
    fireEvent.click(await screen.findByText('Wil Sprague, Gannet Boatyard, number 101'));
    await waitFor(() => expect(where()).toBe('/employees/e1'));
  });
  it('waits for the answer when Enter is faster', async () => {
    const { type, press } = show([WIL]);
    type('wil');
    press('Enter');
    await waitFor(() => expect(where()).toBe('/employees/e1'));
  });
  it('says that nothing has the words, and asks nothing for a single letter', async () => {
    const { type } = show([]);
    type('zzz');
    expect(screen.getByText('Nothing matches.')).toBeTruthy();
    type('z');
    expect(asked).toEqual(['GET /api/search?find=zzz']);
  });
});
