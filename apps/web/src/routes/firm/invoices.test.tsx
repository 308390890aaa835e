import { afterEach, describe, expect, it } from '@jest/globals';
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { Route } from 'react-router';
import { asked, open, serve, session, startAnew } from '../../testing/pages.js';
import { InvoicesPage, monthsBefore } from './invoices.js';

afterEach(startAnew);

const fees = (clientId: string, clientName: string, invoice: object | null = null) => ({
  clientId,
  clientName,
  lines: [{ label: 'Payrolls', count: 2, price: 2_250, amount: 4_500 }],
  total: 4_500,
  invoice,
});
const invoice = {
  id: 'v1',
  number: 'INV-00007',
  issuedOn: '2026-10-01',
  due: '2026-10-16',
  total: 4_500,
  isCollected: false,
  status: 'issued',
  version: 1,
  paidOn: null,
  reference: null,
};
const show = (more: object = {}): void => {
  serve({
    'GET /api/session': { body: session },
    'GET /api/invoices?month=2026-09': {
      body: {
        month: '2026-09',
        isOver: true,
        rows: [fees('c1', 'Gannet'), fees('c2', 'Low Tide'), fees('c3', 'Heron', invoice)],
        without: 2,
        ...more,
      },
    },
    'POST /api/invoices': {
      body: [{ key: 'c2', what: 'Low Tide', refused: 'This month of the client was invoiced already.' }],
    },
    'POST /api/invoices/v1/pay': { body: { ...invoice, status: 'paid' } },
  });
  open('/firm/invoices', <Route path="/firm/invoices" element={<InvoicesPage />} />);
};
const sent = (): string[] => asked.filter((call) => call.startsWith('POST'));

describe('the invoices of a month', () => {
  it('begin with the month before', () => {
    expect(monthsBefore('2026-01-31').slice(0, 3)).toEqual([
      { value: '2026-01', label: 'January 2026' },
      { value: '2025-12', label: 'December 2025' },
      { value: '2025-11', label: 'November 2025' },
    ]);
  });
  it('are issued for those that are ticked, and say who was refused', async () => {
    show();
    fireEvent.click(await screen.findByRole('checkbox', { name: 'Invoice Gannet' }));
    expect(screen.queryByRole('checkbox', { name: 'Invoice Heron' })).toBeNull();
    fireEvent.click(screen.getByRole('button', { name: 'Issue one invoice' }));
    expect(await screen.findByText(/Low Tide: This month of the client/)).toBeTruthy();
    expect(sent()).toEqual(['POST /api/invoices {"month":"2026-09","clientIds":["c2"]}']);
  });
  it('are paid by a reference, and past due until then', async () => {
    show();
    expect(await screen.findByText('past due')).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'it is paid' }));
    fireEvent.change(screen.getByLabelText('Check number or reference'), { target: { value: '88' } });
    fireEvent.click(screen.getByRole('button', { name: 'Record the payment' }));
    await waitFor(() =>
      expect(sent()).toEqual(['POST /api/invoices/v1/pay {"version":1,"paidOn":"2026-10-22","reference":"88"}']),
    );
  });
  it('of a month that is not over are not issued', async () => {
    show({ isOver: false });
    expect(await screen.findByText(/^This month is not over/)).toBeTruthy();
    expect(screen.queryByRole('button', { name: /^Issue/ })).toBeNull();
  });
});
