import { afterEach, beforeEach, describe, expect, it } from '@jest/globals';
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { Route } from 'react-router';
import { asked, open, serve, session, startAnew } from '../../testing/pages.js';
import { MicrTypeface } from '../firm/micr-typeface.js';
import { MicrTest } from './micr-test.js';

beforeEach(startAnew);
afterEach(startAnew);

const bank = {
  id: 'b1',
  label: 'Operating',
  bankName: 'Harbor Bank',
  routing: '000000123',
  accountTail: '2345',
  hasSignature: false,
  signatureMost: null,
  micrTestedOn: null,
};
const at = (role: string, name: string | null): void => {
  serve({
    'GET /api/session': { body: { ...session, today: '2026-11-02', user: { ...session.user, role } } },
    'GET /api/micr-typeface': { body: { name, size: name === null ? null : '72' } },
    'PUT /api/bank-accounts/b1/micr-test': { status: 204, body: null },
    'DELETE /api/micr-typeface': { body: { name: null, size: null } },
  });
  open(
    '/',
    <Route
      path="/"
      element={
        <>
          <MicrTest bank={bank} />
          <MicrTypeface isAdministrator={role === 'administrator'} />
        </>
      }
    />,
  );
};
const changes = (): string[] => asked.filter((call) => !call.startsWith('GET')).map((call) => call.trim());

describe('the line of magnetic ink', () => {
  it('is nothing to speak of at an account while the firm has no typeface', async () => {
    at('administrator', null);
    expect(await screen.findByText(/No typeface/)).toBeTruthy();
    expect(screen.queryByText(/blank stock not tested/)).toBeNull();
  });
  it('of an account is said to be read by its bank, on a day', async () => {
    at('administrator', 'e13b.ttf');
    fireEvent.click(await screen.findByRole('button', { name: 'test…' }));
    fireEvent.click(screen.getByRole('button', { name: 'Record' }));
    await waitFor(() => expect(changes()).toEqual(['PUT /api/bank-accounts/b1/micr-test {"testedOn":"2026-11-02"}']));
  });
  it('is changed by an administrator alone', async () => {
    at('preparer', 'e13b.ttf');
    expect(await screen.findByText(/set at 72 points/)).toBeTruthy();
    expect(screen.queryByRole('button')).toBeNull();
  });
  it('has its typeface taken away', async () => {
    at('administrator', 'e13b.ttf');
    fireEvent.click(await screen.findByRole('button', { name: 'take it away' }));
    await waitFor(() => expect(changes()).toEqual(['DELETE /api/micr-typeface']));
  });
});
