import { afterEach, describe, expect, it } from '@jest/globals';
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { Route } from 'react-router';
import type { Schemas } from '../../api/client.js';
import { asked, open, refusal, serve, startAnew, type Answers } from '../../testing/pages.js';
import { Enrollments } from './enrollments.js';

afterEach(startAnew);

const client = {
  id: 'c1',
  bankAccounts: [
    { id: 'b1', label: 'Operating', bankName: 'Harbor Mutual', routing: '000000123', accountTail: '2345' },
  ],
} as unknown as Schemas['ClientView'];
const row = {
  id: 'e1',
  agency: 'IRS',
  agencyName: 'Internal Revenue Service',
  bankAccountId: 'b1',
  bankAccount: 'Operating, Harbor Mutual, account ending 2345',
  status: 'asked',
  askedOn: '2026-10-12',
  answeredOn: null,
  endedOn: null,
  daysWaited: 10,
  reason: null,
  version: 1,
};
const IRS = [{ agency: 'IRS', agencyName: 'Internal Revenue Service' }];
const show = (enrollments: object[], agencies: object[] = IRS, more: Answers = {}): void => {
  serve({
    'GET /api/session': { body: { today: '2026-10-22', user: { role: 'preparer' } } },
    'GET /api/clients/c1/enrollments': { body: { enrollments, agencies } },
    ...more,
  });
  open('/', <Route path="/" element={<Enrollments client={client} />} />);
};
const changes = (): string[] => asked.filter((call) => !call.startsWith('GET'));

describe('debits by agencies', () => {
  it('say how long an answer has been waited for, and take the PIN of the letter', async () => {
    show([row], IRS, { 'POST /api/enrollments/e1': { body: { enrollments: [], agencies: IRS } } });
    expect(await screen.findByText('waiting for 10 days')).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'the PIN came, Internal Revenue Service' }));
    const pin = screen.getByLabelText<HTMLInputElement>('PIN');
    expect(pin.type).toBe('password');
    fireEvent.change(pin, { target: { value: '4711' } });
    fireEvent.click(screen.getByRole('button', { name: 'Record the enrollment' }));
    await waitFor(() =>
      expect(changes()).toEqual([
        'POST /api/enrollments/e1 {"act":"enroll","version":1,"on":"2026-10-22","pin":"4711","reason":""}',
      ]),
    );
  });
  it('are asked of an agency that knows the firm, for an account of the client', async () => {
    show([], IRS, {
      'POST /api/clients/c1/enrollments': refusal(422, 'This client has asked this agency already.'),
    });
    fireEvent.click(await screen.findByRole('button', { name: /record an enrollment/ }));
    fireEvent.click(screen.getByRole('button', { name: 'Record' }));
    await waitFor(() =>
      expect(changes()).toEqual([
        'POST /api/clients/c1/enrollments {"agency":"IRS","bankAccountId":"b1","askedOn":"2026-10-22"}',
      ]),
    );
    expect((await screen.findAllByText(/has asked this agency already/)).length).toBeGreaterThan(0);
  });
  it('offer nothing while no agency knows the firm, and say where that is entered', async () => {
    show([], []);
    expect(await screen.findByText(/filer number stands under Firm/)).toBeTruthy();
    expect(screen.queryByRole('button')).toBeNull();
  });
  it('that are refused or ended wait for nobody', async () => {
    show([
      { ...row, status: 'refused', daysWaited: null, answeredOn: '2026-10-20', reason: 'Name does not match' },
      { ...row, id: 'e2', status: 'ended', daysWaited: null, endedOn: '2026-10-21' },
    ]);
    expect(await screen.findByText('Name does not match')).toBeTruthy();
    expect(screen.queryByRole('button', { name: /the PIN came/ })).toBeNull();
  });
});
