import { afterEach, describe, expect, it } from '@jest/globals';
import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { Route } from 'react-router';
import type { Schemas } from '../api/client.js';
import { inClient, ofClient } from '../testing/client-pages.js';
import { asked, open, serve, session, startAnew } from '../testing/pages.js';
import { DepositsPage } from './clients/deposits.js';
import { TieOutPage } from './clients/tie-out.js';
import { LadderPage } from './ladder/ladder.js';
import { postingSlip } from './payroll/posting-slip.js';
import { RemittancePage } from './remittance/remittance.js';
import { SignInPage } from './session/sign-in.js';

const rung = (more: Partial<Schemas['Rung']>): Schemas['Rung'] => ({
  key: String(Math.random()),
  kind: 'deposit',
  clientId: 'c1',
  clientName: 'Gannet Boatyard',
  title: 'Form 941 taxes',
  sendBy: '2026-11-13',
  due: '2026-11-16',
  amount: 216472,
  standing: 'open',
  move: 'Preparer: plan the remittance',
  isLate: false,
  path: '/clients/c1/deposits',
  ...more,
});

const ladder = (
  rungs: readonly Schemas['Rung'][],
  more: Partial<Schemas['LadderView']> = {},
): Schemas['LadderView'] => ({
  rungs: [...rungs],
  count: rungs.length,
  out: rungs.reduce((sum, { amount }) => sum + (amount ?? 0), 0),
  days: [],
  waiting: 0,
  ...more,
});

afterEach(startAnew);

describe('signing in', () => {
  it('asks for both fields before it asks the server', async () => {
    serve({});
    open('/sign-in', <Route path="/sign-in" element={<SignInPage />} />);
    fireEvent.click(screen.getByRole('button', { name: 'Sign in' }));
    expect(await screen.findByText('Enter your password.')).toBeTruthy();
    expect(asked).toEqual([]);
  });
  it('goes to the page that was asked for, and never to another site', async () => {
    serve({ 'POST /api/session': { status: 204, body: null } });
    for (const [next, there] of [
      ['/clients/c1', '/clients/c1'],
      ['//evil.example', '/'],
      ['https://evil.example', '/'],
    ] as const) {
      open(`/sign-in?next=${encodeURIComponent(next)}`, <Route path="/sign-in" element={<SignInPage />} />);
      fireEvent.change(screen.getByLabelText('E-mail'), { target: { value: 'a@b' } });
      fireEvent.change(screen.getByLabelText('Password', { selector: 'input' }), { target: { value: 'x' } });
      fireEvent.click(screen.getByRole('button', { name: 'Sign in' }));
      await waitFor(() => expect(screen.getByRole('status').textContent).toBe(there));
      cleanup();
    }
  });
});

describe('the ladder', () => {
  it('shows what passed as passed, and adds up what goes out', async () => {
    serve({
      'GET /api/session': { body: session },
      'GET /api/ladder': {
        body: ladder([
          rung({ isLate: true, sendBy: '2026-10-20', due: '2026-10-21' }),
          rung({ amount: 100 }),
          rung({ kind: 'return', title: 'Form 941, Q3 2026', amount: null }),
          rung({ title: 'NJ withholding', amount: null, sendBy: null, due: null }),
        ]),
      },
    });
    open('/', <Route path="/" element={<LadderPage />} />);
    expect(await screen.findByText(/past its send-by; due 10\/21\/2026/)).toBeTruthy();
    expect(screen.getByText('2,165.72')).toBeTruthy();
    expect(screen.getByText('no date')).toBeTruthy();
    expect(screen.getByText('4 obligations')).toBeTruthy();
  });
  it('keeps the chosen days in the address', async () => {
    serve({
      'GET /api/session': { body: session },
      'GET /api/ladder': { body: ladder([rung({})], { count: 1200, out: 216_472_00 }) },
    });
    open('/?from=2026-10-22&to=2026-10-30', <Route path="/" element={<LadderPage />} />);
    expect(await screen.findByText(/1,200 obligations/)).toBeTruthy();
    expect(asked).toContain('GET /api/ladder?from=2026-10-22&to=2026-10-30&count=200');
    fireEvent.click(screen.getByRole('button', { name: 'show all' }));
    await waitFor(() => expect(asked).toContain('GET /api/ladder?count=200'));
    fireEvent.click(await screen.findByRole('button', { name: 'show more' }));
    await waitFor(() => expect(asked).toContain('GET /api/ladder?count=400'));
  });
  it('an empty one is said plainly, an error can be tried again', async () => {
    serve({ 'GET /api/session': { body: session }, 'GET /api/ladder': { body: ladder([]) } });
    open('/', <Route path="/" element={<LadderPage />} />);
    expect(await screen.findByText(/^Nothing waits\./)).toBeTruthy();
    cleanup();
    serve({ 'GET /api/session': { body: session } });
    open('/', <Route path="/" element={<LadderPage />} />);
    expect(await screen.findByRole('button', { name: 'try again' })).toBeTruthy();
  });
});

describe('a client', () => {
  it('always says which one it is', async () => {
    serve({
      'GET /api/session': { body: session },
      'GET /api/clients/c1': { body: ofClient },
      'GET /api/clients/c1/tie-out': { body: { year: 2026, quarter: 4, rows: [] } },
    });
    open('/clients/c1', inClient(<TieOutPage />));
    expect(await screen.findByText(/EIN ending 4561/)).toBeTruthy();
    expect(await screen.findByText('Nothing was posted in this period.')).toBeTruthy();
  });
  it('the tie-out begins with the quarter of today and puts the chosen one into the address', async () => {
    const row = {
      key: 'US-FIT',
      label: 'Federal income tax',
      group: 'US-FIT',
      stations: { register: 100, ledger: 100, deposits: 0, returns: null, 'wage-statements': null },
      differences: [{ from: 'ledger', to: 'deposits', amount: -100, cause: 'to-fix', says: 'not deposited, and due' }],
    };
    serve({
      'GET /api/session': { body: session },
      'GET /api/clients/c1': { body: ofClient },
      'GET /api/clients/c1/tie-out': { body: { year: 2026, quarter: 4, rows: [row] } },
    });
    open('/clients/c1', inClient(<TieOutPage />));
    expect(await screen.findByText(/1 of 1 differences must be looked at/)).toBeTruthy();
    expect(asked).toContain('GET /api/clients/c1/tie-out?year=2026&quarter=4');
    fireEvent.click(screen.getByRole('button', { name: 'Q2 2026' }));
    await waitFor(() => expect(screen.getByRole('status').textContent).toBe('/clients/c1?year=2026&quarter=2'));
    fireEvent.click(await screen.findByRole('button', { name: /Federal income tax, Ledger/ }));
    expect(screen.getByRole('link', { name: 'Open the entries that make it' }).getAttribute('href')).toBe(
      '/clients/c1/ledger?year=2026&quarter=2&group=US-FIT&of=liabilities',
    );
  });
  const owedDeposit = {
    family: 'US-941',
    familyLabel: 'Form 941 taxes',
    agency: 'IRS',
    agencyName: 'Internal Revenue Service',
    due: '2026-11-16',
    sendBy: '2026-11-13',
    settles: '2026-11-16',
    rule: 'Monthly depositor.',
    owed: 216472,
    underWay: 0,
    isLate: false,
    late: null as object | null,
    liabilities: [
      { tax: 'US-FIT', label: 'Federal income tax', liabilityDate: '2026-10-16', owed: 216472, underWay: 0 },
      { tax: 'US-HI-ADD', label: 'Additional Medicare', liabilityDate: '2026-10-16', owed: 0, underWay: 0 },
    ],
  };
  it('plans a deposit of exactly what is owed, with the reason in the working', async () => {
    const deposit = owedDeposit;
    serve({
      'GET /api/session': { body: session },
      'GET /api/clients/c1': { body: ofClient },
      'GET /api/clients/c1/deposits': { body: [deposit] },
      'GET /api/clients/c1/remittances': { body: [] },
      'POST /api/clients/c1/remittances': { status: 201, body: { id: 'r1', warnings: [] } },
    });
    open('/clients/c1/deposits', inClient(<DepositsPage />));
    fireEvent.click(await screen.findByRole('button', { name: /Form 941 taxes owed/ }));
    expect(screen.getAllByText('Monthly depositor.').length).toBe(2);
    fireEvent.click(screen.getByRole('button', { name: 'schedule' }));
    fireEvent.click(screen.getByRole('button', { name: 'Schedule the payment of 2,164.72' }));
    await waitFor(() => expect(screen.getByRole('status').textContent).toBe('/remittances/r1'));
    expect(asked.find((line) => line.startsWith('POST'))).toBe(
      'POST /api/clients/c1/remittances {"items":[{"tax":"US-FIT","liabilityDate":"2026-10-16"}],"bankAccountId":"b1","settles":"2026-11-16"}',
    );
  });
});

describe('a deposit that is late', () => {
  it('says which way is the cheapest, what of it is held in trust, and what may help', async () => {
    serve({
      'GET /api/session': { body: session },
      'GET /api/clients/c1': { body: ofClient },
      'GET /api/clients/c1/remittances': { body: [] },
      'GET /api/clients/c1/deposits': {
        body: [
          {
            family: 'US-941',
            familyLabel: 'Form 941 taxes',
            agency: 'IRS',
            agencyName: 'Internal Revenue Service',
            due: '2026-10-22',
            sendBy: '2026-10-20',
            settles: '2026-10-23',
            rule: 'Semiweekly depositor.',
            owed: 1_000_000,
            underWay: 0,
            isLate: true,
            late: {
              ways: [
                {
                  label: 'Same-day wire',
                  settles: '2026-10-22',
                  daysLate: 0,
                  penalty: 0,
                  rule: '',
                  how: 'By its bank.',
                },
                { label: 'ACH credit', settles: '2026-10-23', daysLate: 1, penalty: 20_000, rule: '2%', how: 'Here.' },
              ],
              withheld: 700_000,
              relief: [{ label: 'First-time abatement', needs: 'Three clean years.', source: 'recalled' }],
            },
            liabilities: [
              { tax: 'US-FIT', label: 'Federal income tax', liabilityDate: '2026-10-16', owed: 1_000_000, underWay: 0 },
            ],
          },
        ],
      },
    });
    open('/clients/c1/deposits', inClient(<DepositsPage />));
    fireEvent.click(await screen.findByRole('button', { name: 'schedule' }));
    const ways = screen.getByRole('region', { name: 'What is left to do' });
    expect(within(ways).getByText('the cheapest').closest('tr')?.textContent).toMatch(/^Same-day wire/);
    expect(within(ways).getByText(/^7,000\.00 of it was withheld/)).toBeTruthy();
    expect(within(ways).getByText('First-time abatement')).toBeTruthy();
    fireEvent.click(within(ways).getByRole('button', { name: /Penalty of ACH credit/ }));
    expect(screen.getByText('from 10/22/2026 to 10/23/2026')).toBeTruthy();
  });
});

describe('a remittance', () => {
  const remittance = {
    id: 'r1',
    clientId: 'c1',
    clientName: 'Gannet Boatyard',
    einTail: '4561',
    reference: 'ZK1',
    agencyName: 'Internal Revenue Service',
    familyLabel: 'Form 941 taxes',
    amount: 216472,
    due: '2026-11-16',
    settles: '2026-11-16',
    status: 'returned',
    version: 4,
    confirmation: null,
    returnedReason: 'R01 Insufficient funds',
    items: [{ tax: 'US-FIT', label: 'Federal income tax', liabilityDate: '2026-10-16', amount: 216472 }],
    preparedBy: 'Tobias',
    approvedBy: 'Ines',
    releasedBy: 'Ines',
    bankAccount: 'Operating',
    problems: [],
    delivery: 'Sent once; the receiver’s reference is ACH1.',
  };
  it('that came back says why, what follows, and offers no act', async () => {
    serve({ 'GET /api/remittances/r1': { body: remittance } });
    open('/remittances/r1', <Route path="/remittances/:remittanceId" element={<RemittancePage />} />);
    expect(await screen.findByText(/R01 Insufficient funds. The liabilities are open again/)).toBeTruthy();
    expect(screen.queryByRole('button', { name: /Approve|release/i })).toBeNull();
  });
  it('a refused approval is shown in the server’s words', async () => {
    serve({
      'GET /api/remittances/r1': { body: { ...remittance, status: 'planned', returnedReason: null } },
      'POST /api/remittances/r1/approve': {
        status: 403,
        body: {
          type: '',
          title: '',
          status: 403,
          detail: 'You prepared this remittance; another person must approve it.',
          code: 'second-person',
          problems: [],
        },
      },
    });
    open('/remittances/r1', <Route path="/remittances/:remittanceId" element={<RemittancePage />} />);
    fireEvent.click(await screen.findByRole('button', { name: 'Approve' }));
    expect((await screen.findByRole('alert')).textContent).toMatch(/another person must approve it/);
  });
});

describe('the posting slip', () => {
  const person = (net: number, problems: Schemas['ProblemDetail'][] = []) =>
    ({
      employeeId: 'e',
      isPaid: true,
      paycheck: {
        id: null,
        gross: 10000,
        net,
        earnings: [],
        deductions: [],
        employerPaid: [{ item: 'match-401k', label: 'Match', amount: 300 }],
        taxes: [{ code: 'US-FIT', payer: 'employee', subject: 10000, wages: 10000, amount: 10000 - net }],
        problems,
      },
    }) as unknown as Schemas['PayrollPerson'];
  const payroll = (more: Partial<Schemas['PayrollView']>) =>
    ({
      clientName: 'Gannet',
      checkDate: '2026-10-30',
      gross: 10000,
      net: 9000,
      persons: [person(9000)],
      employerTaxes: [{ tax: 'US-HI-ER', label: '', wages: 10000, amount: 145 }],
      journal: [
        { account: 'a', label: '', detail: '', amount: 10145 },
        { account: 'b', label: '', detail: '', amount: -10145 },
      ],
      closed: [],
      ...more,
    }) as unknown as Schemas['PayrollView'];
  it('says what will be owed and what it costs', () => {
    const slip = postingSlip(payroll({}), '');
    expect(slip.leaves).toBe('1 paychecks are written to the ledger, and 11.45 of taxes are owed from then on.');
    expect(slip.figures.find((figure) => figure.label === 'Total cost')?.value).toBe('104.45');
    expect(slip.mayRelease).toBe(true);
  });
  it('holds when the journal does not balance or a check cannot be computed', () => {
    expect(postingSlip(payroll({ journal: [{ account: 'a', label: '', detail: '', amount: 1 }] }), '').mayRelease).toBe(
      false,
    );
    expect(
      postingSlip(
        payroll({
          persons: [person(9000, [{ code: 'x', field: 'y', severity: 'error', sentence: 'It cannot.', fix: '' }])],
        }),
        '',
      ).mayRelease,
    ).toBe(false);
  });
});
