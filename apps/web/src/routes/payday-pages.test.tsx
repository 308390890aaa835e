import { afterEach, beforeEach, describe, expect, it } from '@jest/globals';
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { Route } from 'react-router';
import { asked, open, refusal, serve, session, startAnew, type Answers } from '../testing/pages.js';
import { inClient, ofClient } from '../testing/client-pages.js';
import { CheckRegisterPage } from './checks/check-register.js';
import { OwnClient } from './contact/own-client.js';
import { PaydaysPage } from './paydays/paydays.js';
import { JournalPage } from './reports/journal.js';
import { ReportsPage } from './reports/reports.js';
import { ChooseVoidPage } from './void/choose-void.js';
import { VoidPage } from './void/void.js';

beforeEach(startAnew);
afterEach(startAnew);

const changes = (): string[] => asked.filter((call) => !call.startsWith('GET'));
const click = (name: string | RegExp): void => void fireEvent.click(screen.getByRole('button', { name }));
const type = (label: string | RegExp, value: string): void =>
  void fireEvent.change(screen.getByLabelText(label), { target: { value } });
const where = (): string => screen.getAllByRole('status').at(-1)?.textContent ?? '';
const atClient = (path: string, page: React.ReactNode, answers: Answers): void => {
  serve({ 'GET /api/session': { body: session }, 'GET /api/clients/c1': { body: ofClient }, ...answers });
  open(`/clients/c1/${path}`, inClient(page));
};

describe('the payrolls of every client', () => {
  const row = (more: object) => ({
    key: 'k1',
    clientId: 'c1',
    clientName: 'Gannet Boatyard',
    schedule: '',
    part: '',
    kind: 'regular',
    status: 'due',
    payrollId: null,
    periodEnd: '2026-10-24',
    checkDate: '2026-10-30',
    sendBy: '2026-10-29',
    isLate: false,
    people: 0,
    waiting: 0,
    net: null,
    move: 'Preparer: start the payroll',
    fromClient: '',
    ...more,
  });
  const OFFICE = row({ key: 'k2', clientId: 'c2', clientName: 'Low Tide', schedule: 'Office' });
  const OPEN = row({
    key: 'k3',
    clientId: 'c3',
    clientName: 'Weirs',
    status: 'open',
    payrollId: 'p3',
    people: 5,
    waiting: 2,
    fromClient: 'hours',
  });
  const show = (answers: Answers = {}): void => {
    serve({
      'GET /api/paydays': { body: { rows: [row({}), OFFICE, OPEN], waiting: 0 } },
      ...answers,
    });
    open('/payrolls', <Route path="/payrolls" element={<PaydaysPage />} />);
  };
  const start = (periods: readonly object[], answers: Answers = {}): Answers => ({
    'POST /api/paydays/start': {
      body: periods.map((asked) => ({ asked, payrollId: 'p9', refused: null })),
    },
    ...answers,
  });
  const GANNET = { clientId: 'c1', schedule: '', periodEnd: '2026-10-24' };
  const TIDE = { clientId: 'c2', schedule: 'Office', periodEnd: '2026-10-24' };

  it('start together, each with the period that was seen', async () => {
    show(start([GANNET, TIDE]));
    fireEvent.click(await screen.findByRole('button', { name: 'Start 2 payrolls' }));
    expect(await screen.findByText(/2 payrolls are started/)).toBeTruthy();
    expect(changes()).toEqual([`POST /api/paydays/start ${JSON.stringify({ payrolls: [GANNET, TIDE] })}`]);
  });
  it('start without the ones that are not ticked', async () => {
    show(start([TIDE]));
    fireEvent.click(await screen.findByLabelText('Start the payroll of Gannet Boatyard'));
    click('Start one payroll');
    await waitFor(() => expect(changes()).toEqual([`POST /api/paydays/start ${JSON.stringify({ payrolls: [TIDE] })}`]));
  });
  it('name the one that was refused, with the reason', async () => {
    show({
      'POST /api/paydays/start': {
        body: [
          { asked: GANNET, payrollId: 'p9', refused: null },
          { asked: TIDE, payrollId: null, refused: 'It was started already.' },
        ],
      },
    });
    fireEvent.click(await screen.findByRole('button', { name: 'Start 2 payrolls' }));
    const item = within(await screen.findByRole('listitem'));
    expect([item.getByRole('link').textContent, item.getByText(/started already/)]).toHaveLength(2);
  });
  it('say who waits, and what the client did; a filter leaves the others out', async () => {
    show();
    expect(await screen.findByText('2 of 5 without hours or pay yet')).toBeTruthy();
    expect(screen.getByText('hours have come from the client')).toBeTruthy();
    type('Client or schedule', 'office');
    expect(screen.getAllByRole('row')).toHaveLength(2);
    expect(screen.getByRole('link').getAttribute('href')).toBe('/clients/c2/payrolls?schedule=Office');
    type('Status', 'open');
    expect(screen.getByText('No payroll is like that.')).toBeTruthy();
  });
});

const voids = {
  payrollId: 'p1',
  clientId: 'c1',
  clientName: 'Gannet Boatyard',
  einTail: '4561',
  checkDate: '2026-10-30',
  kind: 'regular',
  checks: [
    {
      paycheckId: 'k1',
      employeeId: 'e1',
      number: '1',
      name: 'Wil Sprague',
      gross: 251_200,
      net: 190_000,
      standing: 'stands',
      voidId: null,
      paid: 'check 1001 of 1,900.00, handed out',
      cashed: 0,
      kept: 0,
    },
    {
      paycheckId: 'k2',
      employeeId: 'e2',
      number: '2',
      name: 'Ada Brine',
      gross: 100_000,
      net: 80_000,
      standing: 'void',
      voidId: 'v0',
      paid: 'nothing has left yet',
      cashed: 0,
      kept: 0,
    },
  ],
};
const effects = {
  figures: [
    { label: 'Gross pay', kind: 'pay', amount: -251_200 },
    { label: 'sick', kind: 'leave', amount: 40_000 },
  ],
  liabilities: [
    {
      tax: 'US-FIT',
      label: 'Federal income tax',
      familyLabel: '',
      openBefore: 0,
      change: -20_116,
      openAfter: -20_116,
    },
  ],
  closed: [{ what: 'Released: Form 941, Q3 2026.', follows: 'It is put right with Form 941-X.' }],
  follows: [{ what: 'Check 1001 is out.', follows: 'Order a stop payment.' }],
  isWhole: false,
};

describe('a void', () => {
  it('is chosen check by check, shows what follows, and asks for a reason before it is proposed', async () => {
    serve({
      'GET /api/payrolls/p1/voids': { body: voids },
      'POST /api/payrolls/p1/void-effects': { body: effects },
      'POST /api/payrolls/p1/voids': { status: 201, body: { id: 'v1', warnings: [] } },
    });
    open('/payrolls/p1/void', <Route path="/payrolls/:payrollId/void" element={<ChooseVoidPage />} />);
    const ada = await screen.findByLabelText<HTMLInputElement>('Void the check of Ada Brine');
    expect(ada.disabled).toBe(true);
    fireEvent.click(screen.getByLabelText('Void the check of Wil Sprague'));
    expect(await screen.findByText('−2,512.00')).toBeTruthy();
    expect(screen.getByText('Check 1001 is out.')).toBeTruthy();
    expect(screen.getByText(/put right with Form 941-X/)).toBeTruthy();
    const propose = screen.getByRole<HTMLButtonElement>('button', { name: 'Propose the void of one check' });
    expect(propose.disabled).toBe(true);
    type('Reason (kept with the void)', 'Paid twice');
    fireEvent.click(propose);
    await waitFor(() => expect(where()).toBe('/voids/v1'));
    expect(changes()).toContain('POST /api/payrolls/p1/voids {"paycheckIds":["k1"],"reason":"Paid twice"}');
  });
  it('is posted from its slip, and says where the reversal stands', async () => {
    const slip = {
      title: 'Void',
      act: 'release',
      amount: 1,
      figures: [],
      leaves: 'One paycheck is reversed.',
      becomesImpossible: '',
      wayBack: '',
      checks: [],
      mayRelease: true,
      file: '',
    };
    const proposed = {
      ...voids,
      id: 'v1',
      status: 'proposed',
      version: 1,
      reason: 'Paid twice',
      preparedBy: 'Tobias Renn',
      postedBy: null,
      repaid: null,
      refunded: 0,
      voidPayrollId: null,
      againPayrollId: null,
      effects,
      slip,
    };
    const posted = { ...proposed, status: 'posted', version: 2, postedBy: 'Ines Halloran', voidPayrollId: 'p8' };
    const answers: Answers = {
      'GET /api/voids/v1': { body: proposed },
      'POST /api/voids/v1/post': { body: posted },
    };
    serve(answers);
    open('/voids/v1', <Route path="/voids/:voidId" element={<VoidPage />} />);
    fireEvent.click(await screen.findByRole('button', { name: 'Void…' }));
    answers['GET /api/voids/v1'] = { body: posted };
    click('Void the 2 checks');
    const link = await screen.findByRole('link', { name: /reversal in the register/ });
    expect(link.getAttribute('href')).toBe('/payrolls/p8');
    expect(changes()).toEqual(['POST /api/voids/v1/post {"version":1}']);
  });
});

describe('the check register', () => {
  const row = (more: object) => ({
    id: 'i1',
    clientId: 'c1',
    payrollId: 'p1',
    paycheckId: 'k1',
    number: 1001,
    payee: 'Wil Sprague',
    amount: 190_000,
    checkDate: '2026-10-30',
    status: 'issued',
    isHandwritten: false,
    hasImage: true,
    version: 2,
    reason: null,
    bankAccount: 'Operating, ending 2345',
    runId: 'r1',
    staleFrom: '2027-04-30',
    ...more,
  });
  it('tells a check that no bank need pay any more, and looks for those alone', async () => {
    atClient('checks?status=stale', <CheckRegisterPage />, {
      'GET /api/clients/c1/checks': {
        body: [
          row({}),
          row({ id: 'i2', number: 912, payee: 'Bo Larch', checkDate: '2026-01-30', staleFrom: '2026-07-30' }),
        ],
      },
    });
    expect(await screen.findByText('Bo Larch')).toBeTruthy();
    expect(screen.getByText(/stale since/).textContent).toMatch(/07\/30\/2026/);
    expect(screen.queryByText('Wil Sprague')).toBeNull();
  });
  it('stops a check that is out, with a reason, and adds up what is not cashed', async () => {
    atClient('checks', <CheckRegisterPage />, {
      'GET /api/clients/c1/checks': {
        body: [row({}), row({ id: 'i2', number: 1000, status: 'cleared', amount: 5_000 })],
      },
      'POST /api/checks/i1/end': { body: row({ status: 'stopped' }) },
    });
    expect((await screen.findByText(/issued and not cashed yet/)).closest('tr')?.textContent).toContain('1,900.00');
    click('stop payment');
    const done = screen.getByRole<HTMLButtonElement>('button', { name: 'stopped at the bank' });
    expect(done.disabled).toBe(true);
    type('Why payment of check 1001 is stopped', 'Lost');
    fireEvent.click(done);
    await waitFor(() =>
      expect(changes()).toEqual(['POST /api/checks/i1/end {"act":"stop","version":2,"reason":"Lost"}']),
    );
  });
  it('records sheets that are waste', async () => {
    atClient('checks', <CheckRegisterPage />, {
      'GET /api/clients/c1/checks': { body: [] },
      'POST /api/clients/c1/spoiled-stock': { body: [] },
    });
    await screen.findByText(/^No check here/);
    type('From number', '80');
    type('Reason', 'Coffee');
    click('Record as waste');
    await waitFor(() =>
      expect(changes()).toEqual([
        'POST /api/clients/c1/spoiled-stock {"bankAccountId":"b1","from":80,"to":80,"reason":"Coffee"}',
      ]),
    );
  });
});

describe('reports', () => {
  const listing = [
    { code: 'payroll-register', label: 'Payroll register', says: 'Every check.', groups: ['department'] },
    { code: 'checks-issued', label: 'Checks issued', says: 'Every number.', groups: [] },
  ];
  const report = {
    code: 'payroll-register',
    label: 'Payroll register',
    from: '2026-01-01',
    to: '2026-12-31',
    by: '',
    columns: [
      { key: 'check_date', label: 'Check date', cell: 'day' },
      { key: 'hours', label: 'Hours', cell: 'hours' },
      { key: 'net', label: 'Net', cell: 'amount' },
    ],
    rows: [{ cells: { check_date: '2026-10-30', hours: 765_000, net: 190_000 }, path: '/payrolls/p1' }],
    totals: null,
    count: null,
    page: 0,
    hasMore: true,
  };
  it('show cells by their kind, open the payroll of a row, and go on by pages', async () => {
    atClient('reports', <ReportsPage />, {
      'GET /api/reports': { body: listing },
      'GET /api/clients/c1/employees?find=': { body: { rows: [], total: 0, nextNumber: '1' } },
      'GET /api/clients/c1/reports/payroll-register': { body: report },
      'GET /api/clients/c1/report-totals/payroll-register': {
        body: { totals: { hours: 765_000, net: 190_000 }, count: 450 },
      },
    });
    const link = await screen.findByRole('link', { name: '10/30/2026' });
    expect(link.getAttribute('href')).toBe('/payrolls/p1');
    // The page does not wait for what the whole comes to.
    expect(await screen.findByText('Total of 450 rows')).toBeTruthy();
    expect(screen.getAllByText('76.5')).toHaveLength(2);
    expect(screen.getByRole('link', { name: 'CSV' }).getAttribute('href')).toBe(
      '/api/clients/c1/report-files/payroll-register.csv?from=2026-01-01&to=2026-12-31',
    );
    const pages = (): string[] => asked.filter((call) => call.includes('/reports/payroll-register'));
    click('on');
    await waitFor(() => expect(pages().at(-1)).toContain('page=1'));
    type('By', 'department');
    await waitFor(() => expect(pages().at(-1)).toContain('by=department'));
  });
});

describe('the journal', () => {
  const line = (account: string, amount: number, isMapped = true) => ({
    account,
    isMapped,
    department: '',
    detail: '',
    amount,
  });
  const journal = {
    entries: [
      {
        key: 'j1',
        day: '2026-10-30',
        memo: 'Payroll',
        path: '/payrolls/p1',
        exportNumber: null,
        lines: [line('6000', 300_000), line('Net pay payable', -300_000, false)],
      },
    ],
    unmapped: ['Net pay payable'],
    exports: [],
    waiting: 1,
    lastWaiting: '2026-10-30',
  };
  it('is balanced, says what has no account, and goes out once', async () => {
    const answers: Answers = {
      'GET /api/clients/c1/journal': { body: journal },
      'POST /api/clients/c1/journal-exports': { body: journal },
    };
    atClient('journal', <JournalPage />, answers);
    expect(await screen.findByText(/has not said its account for Net pay payable/)).toBeTruthy();
    const totals = within(screen.getByText('Totals').closest('tr') as HTMLElement);
    expect(totals.getAllByText('3,000.00')).toHaveLength(2);
    click('Export');
    await waitFor(() =>
      expect(changes()).toEqual(['POST /api/clients/c1/journal-exports {"upTo":"2026-10-30","unit":"entry"}']),
    );
  });
});

describe('the payrolls of somebody of a client', () => {
  const own = (more: object) => ({
    id: 'p1',
    periodStart: '2026-10-11',
    periodEnd: '2026-10-24',
    checkDate: '2026-10-30',
    schedule: '',
    part: '',
    status: 'open',
    version: 3,
    items: [
      { name: 'regular', label: 'Regular' },
      { name: 'holiday', label: 'Holiday' },
    ],
    people: [
      {
        employeeId: 'e1',
        number: '1',
        name: 'Wil Sprague',
        standing: { regular: '80' },
        sent: {},
        note: '',
        gross: 251_200,
        net: 190_000,
      },
    ],
    gross: 251_200,
    net: 190_000,
    sentAt: null,
    isTaken: false,
    isApproved: false,
    ...more,
  });
  const show = (payroll: object, answers: Answers = {}): void => {
    serve({
      'GET /api/own-client': {
        body: { clientName: 'Gannet', einTail: '4561', questions: [], done: [], payrolls: [payroll] },
      },
      ...answers,
    });
    open('/', <Route path="/" element={<OwnClient />} />);
  };
  it('take hours and a note, and keep them until they are sent', async () => {
    show(own({}), { 'POST /api/own-client/payrolls/p1/hours': refusal(409, 'This payroll is being finished.') });
    const hours = await screen.findByLabelText<HTMLInputElement>('Regular hours of Wil Sprague');
    expect([hours.placeholder, screen.queryByLabelText('Holiday hours of Wil Sprague')]).toEqual(['80', null]);
    fireEvent.change(hours, { target: { value: '76:30' } });
    type('Note on Wil Sprague', 'Friday off');
    click('Send the hours');
    expect(await screen.findByText(/being finished/)).toBeTruthy();
    expect(hours.value).toBe('76:30');
    expect(changes()).toEqual([
      'POST /api/own-client/payrolls/p1/hours {"people":[{"employeeId":"e1","hours":{"regular":"76:30"},"note":"Friday off"}]}',
    ]);
  });
  it('are approved at the version that was seen', async () => {
    show(own({ status: 'reviewed' }), { 'POST /api/own-client/payrolls/p1/approve': { status: 204, body: null } });
    fireEvent.click(await screen.findByRole('button', { name: 'Approve these figures' }));
    await waitFor(() => expect(changes()).toEqual(['POST /api/own-client/payrolls/p1/approve {"version":3}']));
  });
  it('approved, say so', async () => {
    show(own({ status: 'reviewed', isApproved: true }));
    expect(await screen.findByText(/You have approved these figures/)).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'Approve these figures' })).toBeNull();
  });
});
