import { afterEach, describe, expect, it } from '@jest/globals';
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { Route } from 'react-router';
import type { Schemas } from '../../api/client.js';
import { asked, open, serve, startAnew } from '../../testing/pages.js';
import { AccountChanges } from './account-changes.js';

afterEach(startAnew);

const change = {
  id: 'a1',
  employeeId: 'e1',
  name: 'Wil Sprague',
  account: 'Household, ending 0498',
  says: 'C01 Incorrect account number',
  correction: 'account ending 5498',
  receivedOn: '2026-10-26',
  correctBy: '2026-11-03',
  status: 'open',
  reason: null,
  version: 1,
};
const show = (changes: object[], role = 'reviewer'): void => {
  serve({
    'GET /api/session': { body: { today: '2026-10-26', user: { role } } },
    'GET /api/clients/c1/account-changes': { body: changes },
    'POST /api/account-changes/a1': { body: [] },
  });
  open('/', <Route path="/" element={<AccountChanges client={{ id: 'c1' } as Schemas['ClientView']} />} />);
};
const changes = (): string[] => asked.filter((call) => !call.startsWith('GET'));

describe('what banks say of accounts', () => {
  it('is shown with the day it is to be done by, and applied by a reviewer', async () => {
    show([change]);
    expect(await screen.findByText('account ending 5498')).toBeTruthy();
    expect(screen.getByText('11/03/2026')).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'apply it from today, for Wil Sprague' }));
    await waitFor(() =>
      expect(changes()).toEqual(['POST /api/account-changes/a1 {"act":"apply","version":1,"reason":""}']),
    );
  });
  it('is declined with a reason', async () => {
    show([change]);
    fireEvent.click(await screen.findByRole('button', { name: 'decline it, for Wil Sprague' }));
    fireEvent.change(screen.getByLabelText('Reason'), { target: { value: 'The account was closed' } });
    fireEvent.click(screen.getByRole('button', { name: 'Decline it' }));
    await waitFor(() =>
      expect(changes()).toEqual([
        'POST /api/account-changes/a1 {"act":"decline","version":1,"reason":"The account was closed"}',
      ]),
    );
  });
  it('is never applied where it is not understood, nor by a preparer', async () => {
    show([{ ...change, correction: null, says: 'C04 Incorrect name' }]);
    expect(await screen.findByText(/Not understood here/)).toBeTruthy();
    expect(screen.queryByRole('button', { name: /apply/ })).toBeNull();
    startAnew();
    show([change], 'preparer');
    expect(await screen.findByText('for a reviewer')).toBeTruthy();
    expect(screen.queryByRole('button')).toBeNull();
  });
});
