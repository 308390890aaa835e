import { afterEach, beforeEach, describe, expect, it } from '@jest/globals';
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { Route } from 'react-router';
import { asked, open, serve, session, startAnew, type Answers } from '../../testing/pages.js';
import { BankStatement } from '../checks/bank-statement.js';
import { DueDepositsPage } from './due-deposits.js';

beforeEach(startAnew);
afterEach(startAnew);

const changes = (): string[] => asked.filter((call) => !call.startsWith('GET'));
const click = (name: string | RegExp): void => void fireEvent.click(screen.getByRole('button', { name }));

const row = (more: object) => ({
  key: 'k1',
  clientId: 'c1',
  clientName: 'Gannet Boatyard',
  family: 'US-941',
  title: 'Form 941 taxes',
  due: '2026-11-16',
  sendBy: '2026-11-12',
  amount: 100_000,
  status: 'open',
  isLate: false,
  move: 'Preparer: schedule the payment',
  remittanceId: null,
  version: null,
  settles: null,
  bankAccount: null,
  penalty: null,
  ...more,
});
const LATE = row({
  key: 'k2',
  clientId: 'c2',
  clientName: 'Low Tide',
  isLate: true,
  penalty: 2_000,
  sendBy: '2026-10-12',
});
const APPROVED = row({
  key: 'k3',
  clientId: 'c3',
  clientName: 'Weirs',
  status: 'approved',
  sendBy: '2026-10-22',
  remittanceId: 'm3',
  version: 2,
  settles: '2026-10-23',
  bankAccount: 'Operating, ending 2345',
});
const NO_DATE = row({ key: 'k4', clientName: 'Drift', status: 'no date', due: null, sendBy: null });
const CASH = [{ clientName: 'Weirs', bankAccount: 'Operating, ending 2345', settles: '2026-10-23', amount: 100_000 }];

const show = (answers: Answers = {}): void => {
  serve({
    'GET /api/session': { body: { ...session, today: '2026-11-10' } },
    'GET /api/due-deposits': { body: { rows: [LATE, row({}), APPROVED, NO_DATE], cash: CASH, waiting: 0 } },
    ...answers,
  });
  open('/deposits', <Route path="/deposits" element={<DueDepositsPage />} />);
};

describe('the deposits of every client', () => {
  it('are scheduled as they were seen, without those that are not ticked; the refused one is named', async () => {
    show({
      'POST /api/due-deposits/schedule': {
        body: [{ key: 'x', what: 'Form 941 taxes', refused: 'It comes to 900.00 now.' }],
      },
    });
    expect(await screen.findByText(/a penalty of 20.00 if it is sent today/)).toBeTruthy();
    fireEvent.click(await screen.findByRole('button', { name: 'Schedule 2, 2,000.00' }));
    expect(await screen.findByText(/Form 941 taxes: It comes to 900.00 now/)).toBeTruthy();
    fireEvent.click(screen.getByLabelText(/of Low Tide/));
    click('Schedule 1, 1,000.00');
    await waitFor(() => expect(changes()).toHaveLength(2));
    expect(changes()[1]).toBe(
      'POST /api/due-deposits/schedule {"deposits":[{"clientId":"c1","family":"US-941","due":"2026-11-16","amount":100000}]}',
    );
  });
  it('are released together from one slip, which is rehearsed first', async () => {
    const slip = {
      title: 'One payment of 1,000.00',
      act: 'release',
      amount: 100_000,
      figures: [],
      leaves: '1,000.00 leaves the accounts.',
      becomesImpossible: '',
      wayBack: '',
      checks: [],
      mayRelease: true,
      file: '',
    };
    show({
      'POST /api/due-deposits/slip': { body: slip },
      'POST /api/due-deposits/release': { body: [{ key: 'm3', what: 'Form 941 taxes', refused: null }] },
    });
    fireEvent.click(await screen.findByRole('button', { name: 'Release 1, 1,000.00…' }));
    fireEvent.click(await screen.findByRole('button', { name: 'Release one payment' }));
    expect(await screen.findByText(/1 payment released/)).toBeTruthy();
    expect(changes()).toEqual([
      'POST /api/due-deposits/slip {"payments":[{"id":"m3","version":2}]}',
      'POST /api/due-deposits/release {"payments":[{"id":"m3","version":2}]}',
    ]);
  });
  it('without a day cannot be ticked; a filter by client and day leaves the others out', async () => {
    show();
    await screen.findByText('no date', { selector: 'td' });
    expect(screen.queryByLabelText(/of Drift/)).toBeNull();
    fireEvent.change(screen.getByLabelText('To send by'), { target: { value: '2026-10-12' } });
    expect(screen.queryByLabelText(/of Gannet/)).toBeNull();
    fireEvent.change(screen.getByLabelText('Client or deposit'), { target: { value: 'nobody' } });
    expect(screen.getByText('No deposit is like that.')).toBeTruthy();
  });
});

describe('what is ticked at first', () => {
  it('is what is to be sent within a week', async () => {
    show({ 'GET /api/session': { body: session } });
    expect(await screen.findByText('2 of 4 ticked')).toBeTruthy();
    expect(screen.getByLabelText<HTMLInputElement>(/of Gannet/).checked).toBe(false);
    fireEvent.click(screen.getByLabelText('Every deposit'));
    expect(screen.getByText('3 of 4 ticked')).toBeTruthy();
  });
});

describe('a statement of the bank', () => {
  it('is looked at before it clears anything', async () => {
    const statement = {
      rows: [
        { row: 3, number: 602, amount: 100, day: '2026-10-21', payee: 'Ada', ours: 8_000, outcome: 'another amount' },
        { row: 2, number: 601, amount: 190_000, day: '2026-10-21', payee: 'Wil', ours: 190_000, outcome: 'clears' },
      ],
      clears: 1,
      amount: 190_000,
      unread: ['Row 9 is no check.'],
      isTaken: false,
    };
    serve({ 'POST /api/clients/c1/bank-statements': { body: statement } });
    const banks = [
      {
        id: 'b1',
        label: 'Operating',
        bankName: 'H',
        routing: '1',
        accountTail: '2345',
        hasSignature: false,
        signatureMost: null,
        micrTestedOn: null,
      },
    ];
    open('/', <Route path="/" element={<BankStatement clientId="c1" banks={banks} />} />);
    fireEvent.change(document.querySelector('input[type="file"]') as HTMLElement, {
      target: { files: [new File(['x'], 'statement.csv')] },
    });
    expect(await screen.findByText('another amount')).toBeTruthy();
    expect(screen.getByText('Row 9 is no check.')).toBeTruthy();
    expect(changes()[0]).toContain('"isTaken":false');
    click('Clear one check');
    await waitFor(() => expect(changes()).toHaveLength(2));
    expect(changes()[1]).toContain('"isTaken":true');
  });
});
