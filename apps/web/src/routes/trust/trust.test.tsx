import { afterEach, describe, expect, it } from '@jest/globals';
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { Route } from 'react-router';
import { inClient, ofClient } from '../../testing/client-pages.js';
import { asked, open, refusal, serve, session, startAnew, type Answers } from '../../testing/pages.js';
import { FundsPage } from '../clients/funds.js';
import { payingAccounts } from '../clients/paying-accounts.js';
import { CollectionPage } from './collection.js';
import { TrustPage } from './trust.js';

afterEach(startAnew);

const trust = { id: 't1', label: 'Client trust', bankName: 'Harbor', tail: '1177' };
const held = { clientId: 'c1', clientName: 'Gannet Boatyard', balance: 90_000, usable: 40_000, coming: 0, advanced: 0 };
const view = (more: object = {}) => ({
  account: trust,
  clients: [held],
  ofClients: 90_000,
  ofFirm: 5_000,
  book: 95_000,
  statementDay: '2026-10-21',
  reconciledDay: null,
  unexplained: 0,
  ...more,
});
const proof = (more: object = {}) => ({
  day: '2026-10-21',
  bank: 93_750,
  outstanding: [
    { id: 'e1', day: '2026-10-21', whose: 'Breakwater', label: 'Interest', reference: 'I1', amount: 1_250 },
    { id: 'e2', day: '2026-10-21', whose: 'Gannet Boatyard', label: 'Tax payment', reference: 'ZK1', amount: -700 },
  ],
  unexplained: [{ id: 'l1', day: '2026-10-21', amount: -700, reference: 'BNK1', description: 'ACH', isNew: false }],
  adjusted: 95_000,
  book: 95_000,
  clients: 90_000,
  firm: 5_000,
  difference: 0,
  isReconciled: false,
  balances: [held],
  keptBy: null,
  ...more,
});
const entry = (more: object = {}) => ({
  id: 'e1',
  day: '2026-10-20',
  kind: 'received',
  label: 'Received from the client',
  clientId: 'c1',
  whose: 'Gannet Boatyard',
  reference: 'WIRE9',
  memo: '',
  amount: 40_000,
  balance: 90_000,
  cleared: null,
  mayReverse: true,
  ...more,
});
const atTrust = (answers: Answers = {}): void => {
  serve({
    'GET /api/session': { body: session },
    'GET /api/trust': { body: view() },
    'GET /api/trust/entries': { body: [entry()] },
    'GET /api/trust/reconciliation?day=2026-10-21': { body: proof() },
    'GET /api/clients?find=': { body: { rows: [{ id: 'c1', legalName: 'Gannet Boatyard' }], total: 1 } },
    ...answers,
  });
  open('/trust', <Route path="/trust" element={<TrustPage />} />);
};
const posted = (): string[] => asked.filter((call) => /^(POST|PUT)/.test(call));

describe('the trust account', () => {
  it('says whose money it is, and what of it may be paid out', async () => {
    atTrust();
    const row = (await screen.findByRole('link', { name: 'Gannet Boatyard' })).closest('tr');
    expect(
      within(row ?? document.body)
        .getAllByText(/\d/)
        .map((cell) => cell.textContent),
    ).toEqual(['400.00', '900.00']);
    expect(screen.getByText('not reconciled yet', { exact: false })).toBeTruthy();
  });
  it('says aloud when the firm owes it', async () => {
    atTrust({ 'GET /api/trust': { body: view({ ofFirm: -1_000, unexplained: 2 }) } });
    expect((await screen.findByRole('alert')).textContent).toMatch(/^The firm owes the account 10\.00/);
    expect(screen.getByText(/^2 lines of the bank’s statement have no entry/)).toBeTruthy();
  });
  it('is said by an administrator', async () => {
    atTrust({ 'GET /api/trust': { body: view({ account: null, clients: [] }) } });
    expect(await screen.findByText(/^An administrator says which account/)).toBeTruthy();
    expect(screen.queryByRole('button', { name: /which account/ })).toBeNull();
  });
  it('lets a line be matched only with entries that add up to it', async () => {
    atTrust({ 'POST /api/trust/matches?day=2026-10-21': { body: proof({ unexplained: [], isReconciled: true }) } });
    fireEvent.click(await screen.findByRole('button', { name: 'match it' }));
    const act = (): HTMLButtonElement => screen.getByRole('button', { name: /^Match/ });
    fireEvent.click(screen.getByRole('checkbox', { name: /Interest/ }));
    expect([act().textContent, act().disabled]).toEqual(['Match 12.50 of −7.00', true]);
    fireEvent.click(screen.getByRole('checkbox', { name: /Interest/ }));
    fireEvent.click(screen.getByRole('checkbox', { name: /Tax payment/ }));
    expect(act().disabled).toBe(false);
    fireEvent.click(act());
    await waitFor(() =>
      expect(posted()).toEqual(['POST /api/trust/matches?day=2026-10-21 {"lineId":"l1","entryIds":["e2"]}']),
    );
  });
  it('takes a line down with its day, amount and reference', async () => {
    atTrust({ 'POST /api/trust/entries': { status: 201, body: { id: 'e9', warnings: [] } } });
    fireEvent.click(await screen.findByRole('button', { name: 'write it down' }));
    fireEvent.click(screen.getByRole('button', { name: 'Write it down' }));
    await waitFor(() => expect(posted()).toHaveLength(1));
    expect(posted()[0]).toContain(
      '"kind":"bank-charge","day":"2026-10-21","amount":700,"reference":"BNK1","clientId":null',
    );
  });
  it('shows why a day is not kept', async () => {
    atTrust({
      'POST /api/trust/reconciliation': refusal(422, 'Bank and book differ by 0.01.'),
    });
    fireEvent.click(await screen.findByRole('button', { name: 'Keep the report of this day' }));
    expect(await screen.findByText(/differ by 0\.01/)).toBeTruthy();
  });
  it('reverses what was written down by hand, with a reason', async () => {
    atTrust({ 'POST /api/trust/entries/e1/reverse': { body: { id: 'e2', warnings: [] } } });
    fireEvent.click(await screen.findByRole('button', { name: 'reverse' }));
    fireEvent.change(screen.getByLabelText('Why it was wrong'), { target: { value: 'typed twice' } });
    fireEvent.click(screen.getByRole('button', { name: 'Reverse it' }));
    await waitFor(() => expect(posted()).toEqual(['POST /api/trust/entries/e1/reverse {"reason":"typed twice"}']));
  });
});

const terms = {
  what: 'taxes',
  accountTail: '2345',
  entryClass: 'CCD',
  authorizedOn: '2026-01-05',
  signedBy: 'Ruth',
  most: 2_000_000,
  daysBefore: 3,
  holdDays: 2,
};
const next = (more: object = {}) => ({
  lines: [{ payrollId: 'p1', invoiceId: null, checkDate: '2026-10-30', what: 'taxes', amount: 80_000 }],
  advance: 0,
  amount: 80_000,
  wanted: '2026-10-27',
  settles: '2026-10-27',
  usable: '2026-10-29',
  problems: [],
  ...more,
});
const atFunds = (more: object, answers: Answers = {}): void => {
  serve({
    'GET /api/session': { body: session },
    'GET /api/clients/c1': { body: ofClient },
    'GET /api/clients/c1/funds': {
      body: {
        terms,
        debits: 'Operating, Harbor, account ending 2345',
        trust,
        balance: 90_000,
        usable: 40_000,
        advanced: 0,
        next: next(),
        collections: [],
        entries: [],
        ...more,
      },
    },
    ...answers,
  });
  open('/clients/c1/funds', inClient(<FundsPage />));
};

describe('the funds of a client', () => {
  it('are scheduled at the amount that was seen', async () => {
    atFunds({}, { 'POST /api/clients/c1/collections': { status: 201, body: { id: 'k1', warnings: [] } } });
    expect(await screen.findByText(/three|3 banking days before the check date/)).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Schedule the debit of 800.00' }));
    await waitFor(() =>
      expect(posted()).toEqual(['POST /api/clients/c1/collections {"amount":80000,"settles":"2026-10-27"}']),
    );
  });
  it('say when the debit is late, and what stands against it', async () => {
    atFunds({
      next: next({
        settles: '2026-10-29',
        problems: [
          { code: 'x', field: 'amount', severity: 'error', sentence: 'It is too much.', fix: 'Collect less.' },
        ],
      }),
    });
    expect(await screen.findByText(/^The debit should have settled/)).toBeTruthy();
    expect(screen.getByText('It is too much. Collect less.')).toBeTruthy();
  });
  it('say where they are agreed, and which account is missing', async () => {
    atFunds({ terms: null, next: null, debits: null });
    expect(await screen.findByText(/^Nothing is collected from this client/)).toBeTruthy();
    startAnew();
    atFunds({ debits: null });
    expect(await screen.findByText(/has no bank account ending 2345/)).toBeTruthy();
  });
});

describe('a collection', () => {
  it('that came back says what follows, and is scheduled once more', async () => {
    serve({
      'GET /api/session': { body: session },
      'GET /api/collections/k1': {
        body: {
          id: 'k1',
          clientId: 'c1',
          clientName: 'Gannet Boatyard',
          kind: 'debit',
          reference: 'ZC1',
          amount: 80_000,
          settles: '2026-10-27',
          usable: '2026-10-29',
          status: 'returned',
          version: 4,
          retries: 0,
          confirmation: null,
          returnedReason: 'R01 Insufficient funds',
          items: [{ payrollId: 'p1', invoiceId: null, checkDate: '2026-10-30', what: 'taxes', amount: 80_000 }],
          advance: 0,
          bankAccount: 'Operating',
          preparedBy: 'Tobias',
          releasedBy: 'Ines',
          delivery: null,
          then: 'Send it once more.',
          mayRetry: true,
        },
      },
      'POST /api/collections/k1/retry': { status: 201, body: { id: 'k2', warnings: [] } },
    });
    open('/collections/k1', <Route path="/collections/:collectionId" element={<CollectionPage />} />);
    expect(await screen.findByText('Returned: R01 Insufficient funds. Send it once more.')).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Schedule it once more' }));
    await waitFor(() => expect(posted()).toEqual(['POST /api/collections/k1/retry ']));
  });
});

describe('the accounts a payment may leave from', () => {
  const trustAccount = { id: 't1', label: 'Client trust', accountTail: '1177', paysPeople: false };
  it('begin with the trust account where it pays', () => {
    const client = { bankAccounts: ofClient.bankAccounts, trustAccount };
    expect(payingAccounts(client, 'taxes').map(({ value }) => value)).toEqual(['t1', 'b1']);
    expect(payingAccounts(client, 'people').map(({ value }) => value)).toEqual(['b1']);
    const both = { ...client, trustAccount: { ...trustAccount, paysPeople: true } };
    expect(payingAccounts(both, 'people').map(({ value }) => value)).toEqual(['t1', 'b1']);
    expect(payingAccounts({ ...client, trustAccount: null }, 'taxes').map(({ value }) => value)).toEqual(['b1']);
  });
});
