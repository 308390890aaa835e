import { afterEach, describe, expect, it } from '@jest/globals';
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { Route } from 'react-router';
import { ofClient } from '../../testing/client-pages.js';
import { asked, open, serve, session, startAnew, type Answers } from '../../testing/pages.js';
import type { Schemas } from '../../api/client.js';
import { PayeesPage } from '../firm/payees.js';
import { GarnishmentPaymentPage } from './garnishment-payment.js';
import { GarnishmentsSection } from './garnishments-section.js';

afterEach(startAnew);

const item = {
  paycheckId: 'k1',
  employee: 'Bart Quill',
  label: 'D-4471',
  caseId: 'CS1',
  checkDate: '2026-10-30',
  amount: 11_500,
};
const owed = {
  payee: 'State disbursement unit',
  isAch: true,
  isSupport: true,
  due: '2026-11-10',
  settles: '2026-11-10',
  amount: 11_500,
  items: [item],
};
const sent = (): string[] => asked.filter((call) => !call.startsWith('GET'));
const show = (body: object, answers: Answers = {}): void => {
  serve({ 'GET /api/clients/c1/garnishments': { body }, ...answers });
  const client = ofClient as unknown as Schemas['ClientView'];
  open('/', <Route path="/" element={<GarnishmentsSection client={client} />} />);
};

describe('what was withheld by order', () => {
  it('is scheduled for its payee at what was seen', async () => {
    show(
      { owed: [owed], withoutPayee: [{ ...item, label: 'Lost' }], payments: [] },
      { 'POST /api/clients/c1/garnishment-payments': { status: 201, body: { id: 'g1', warnings: [] } } },
    );
    expect(await screen.findByText(/^Lost of Bart Quill names no payee/)).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'schedule' }));
    fireEvent.click(screen.getByRole('button', { name: 'Schedule the payment of 115.00' }));
    await waitFor(() =>
      expect(sent()).toEqual([
        'POST /api/clients/c1/garnishment-payments {"payee":"State disbursement unit","amount":11500,"bankAccountId":"b1","settles":"2026-11-10"}',
      ]),
    );
  });
  it('is not there where nobody is garnished', async () => {
    show({ owed: [], withoutPayee: [], payments: [] });
    await waitFor(() => expect(asked).toEqual(['GET /api/clients/c1/garnishments']));
    expect(screen.queryByText('Garnishments')).toBeNull();
  });
});

describe('a payment to a payee', () => {
  const payment = {
    id: 'g1',
    clientId: 'c1',
    clientName: 'Gannet Boatyard',
    payee: 'Town Marshal',
    reference: 'ZG1',
    amount: 11_500,
    due: '2026-11-10',
    settles: '2026-11-10',
    status: 'planned',
    version: 1,
    paidElsewhereOn: null,
    confirmation: null,
    returnedReason: null,
    items: [item],
    isAch: false,
    bankAccount: 'Operating',
    preparedBy: 'Tobias',
    releasedBy: null,
    delivery: null,
  };
  it('without an account is paid by check and recorded', async () => {
    serve({
      'GET /api/session': { body: session },
      'GET /api/garnishment-payments/g1': { body: payment },
      'POST /api/garnishment-payments/g1/record': { body: { ...payment, status: 'settled' } },
    });
    open(
      '/garnishment-payments/g1',
      <Route path="/garnishment-payments/:paymentId" element={<GarnishmentPaymentPage />} />,
    );
    fireEvent.click(await screen.findByRole('button', { name: 'It was paid by check or elsewhere' }));
    expect(screen.queryByRole('button', { name: 'Release…' })).toBeNull();
    fireEvent.change(screen.getByLabelText('Paid on'), { target: { value: '11/02/2026' } });
    fireEvent.blur(screen.getByLabelText('Paid on'));
    fireEvent.change(screen.getByLabelText('Check or confirmation number'), { target: { value: '1044' } });
    fireEvent.click(screen.getByRole('button', { name: 'Record it as paid' }));
    await waitFor(() =>
      expect(sent()).toEqual([
        'POST /api/garnishment-payments/g1/record {"version":1,"paidOn":"2026-11-02","confirmation":"1044"}',
      ]),
    );
  });
});

describe('the payees', () => {
  it('get their account from an administrator', async () => {
    serve({
      'GET /api/session': { body: { ...session, user: { ...session.user, role: 'administrator' } } },
      'GET /api/garnishment-payees': { body: [{ name: 'State disbursement unit', tail: '', clients: 2 }] },
      'PUT /api/garnishment-payees': { body: [] },
    });
    open('/firm/payees', <Route path="/firm/payees" element={<PayeesPage />} />);
    fireEvent.click(await screen.findByRole('button', { name: 'say its account' }));
    fireEvent.change(screen.getByLabelText('Routing number'), { target: { value: '000000204' } });
    fireEvent.change(screen.getByLabelText('Account number'), { target: { value: '9400000777' } });
    fireEvent.click(screen.getByRole('button', { name: 'Save' }));
    await waitFor(() =>
      expect(sent()).toEqual([
        'PUT /api/garnishment-payees {"name":"State disbursement unit","routing":"000000204","account":"9400000777"}',
      ]),
    );
  });
});
