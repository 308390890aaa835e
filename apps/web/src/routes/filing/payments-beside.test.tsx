import { afterEach, describe, expect, it } from '@jest/globals';
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { Route } from 'react-router';
import type { Schemas } from '../../api/client.js';
import { asked, open, serve, startAnew } from '../../testing/pages.js';
import { PaymentsBeside } from './payments-beside.js';

afterEach(startAnew);

const part = (family: string, more: Partial<Schemas['DepositView']> = {}): Schemas['DepositView'] => ({
  family,
  familyLabel: `Deposit ${family}`,
  agency: 'NY-TAX',
  agencyName: 'New York',
  sendBy: '2026-10-29',
  lastToSend: '2026-10-29',
  isCredit: false,
  isLate: false,
  late: null,
  rule: '',
  owed: 120_000,
  underWay: 0,
  due: '2026-10-31',
  settles: '2026-10-30',
  liabilities: [{ tax: family, label: family, liabilityDate: '2026-09-18', owed: 120_000, underWay: 0 }],
  question: null,
  ...more,
});
const show = (parts: Schemas['DepositView'][], more: Partial<Schemas['FilingView']> = {}) => {
  serve({
    'GET /api/filings/f1/payments': { body: parts },
    'GET /api/clients/c1': { body: { bankAccounts: [{ id: 'b1', label: 'Operating', accountTail: '2345' }] } },
    'POST /api/clients/c1/remittances': { status: 201, body: { id: 'r1', warnings: [] } },
  });
  const filing = { id: 'f1', clientId: 'c1', signedWith: null, correctsId: null, lines: [{}], ...more };
  open('/', <Route path="/" element={<PaymentsBeside filing={filing as unknown as Schemas['FilingView']} />} />);
};

describe('payments with a return', () => {
  it('schedule what is ticked, one deposit each; what is not ticked stays owed', async () => {
    show([part('NY-SIT'), part('NY-SUI', { owed: 30_000 })]);
    fireEvent.click(await screen.findByRole('checkbox', { name: 'Pay Deposit NY-SIT' }));
    fireEvent.click(screen.getByRole('button', { name: 'Schedule 300.00' }));
    await waitFor(() => expect(asked.filter((one) => one.startsWith('POST'))).toHaveLength(1));
    expect(asked.find((one) => one.startsWith('POST'))).toBe(
      'POST /api/clients/c1/remittances {"items":[{"tax":"NY-SUI","liabilityDate":"2026-09-18"}],"settles":"2026-10-30","bankAccountId":"b1"}',
    );
  });
  it('leave out what is scheduled already, and what has no date says why', async () => {
    show([
      part('NY-SIT', {
        underWay: 120_000,
        liabilities: [{ tax: 'NY-SIT', label: '', liabilityDate: '2026-09-18', owed: 120_000, underWay: 120_000 }],
      }),
      part('NY-SUI', {
        question: { code: 'deposit.no-class', field: '', severity: 'error', sentence: 'Say how often.', fix: '' },
      }),
    ]);
    expect(await screen.findByText('scheduled')).toBeTruthy();
    expect(screen.getByText('Say how often.')).toBeTruthy();
    expect(screen.queryByRole('button', { name: /Schedule/ })).toBeNull();
  });
  it('are not asked about on a return that is signed: there the balance goes with the signature', () => {
    show([part('US-941')], { signedWith: 'Form 8879-EMP' });
    expect(asked).not.toContain('GET /api/filings/f1/payments');
  });
});
