import { afterEach, beforeEach, describe, expect, it } from '@jest/globals';
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { Route } from 'react-router';
import { asked, open, serve, session, startAnew } from '../../testing/pages.js';
import { Signature } from '../clients/signature.js';
import { VoidPage } from './void.js';

beforeEach(startAnew);
afterEach(startAnew);

const changes = (): string[] => asked.filter((call) => !call.startsWith('GET')).map((call) => call.trim());
const click = (name: string | RegExp): void => void fireEvent.click(screen.getByRole('button', { name }));

const slip = {
  title: 'Void',
  act: 'rehearsal',
  amount: 0,
  figures: [],
  leaves: '',
  becomesImpossible: '',
  wayBack: '',
  checks: [],
  mayRelease: false,
  file: '',
};
const posted = {
  id: 'v1',
  payrollId: 'p1',
  clientId: 'c1',
  clientName: 'Gannet Boatyard',
  einTail: '4561',
  checkDate: '2026-10-30',
  kind: 'regular',
  checks: [
    { paycheckId: 'k1', employeeId: 'e1', number: '1', name: 'Wil Sprague', gross: 250_000, net: 180_000, standing: 'void', voidId: 'v1', paid: 'direct deposit', kept: 0 }, // prettier-ignore
  ],
  status: 'posted',
  version: 2,
  reason: 'Paid twice',
  preparedBy: 'Tobias',
  postedBy: 'Ines',
  repaid: null as number | null,
  refunded: 0,
  voidPayrollId: 'p2',
  againPayrollId: null,
  effects: { figures: [], liabilities: [], closed: [], follows: [], isWhole: false },
  slip,
};
const entry = {
  employeeId: 'e1',
  name: 'Wil Sprague',
  label: 'Household',
  tail: '8877',
  amount: 180_000,
  cameBack: null,
};
const reversal = { entries: [entry], amount: 180_000, until: '2026-11-06', mayPlan: true, file: null };
const file = {
  id: 'd1',
  clientId: 'c1',
  kind: 'reversal',
  payrollId: null,
  reference: 'ZP1',
  entries: 1,
  amount: 180_000,
  settles: '2026-11-02',
  status: 'settled',
  version: 3,
  bankAccount: 'Operating, Harbor, ending 2345',
  preparedBy: 'Tobias',
  releasedBy: 'Ines',
  confirmation: null,
  returnedReason: null,
  delivery: null,
};
const show = (given: object, cashed = 0, facts: object[] = []): void => {
  serve({
    'GET /api/session': { body: { ...session, today: '2026-11-02' } },
    'GET /api/voids/v1': { body: { ...posted, checks: posted.checks.map((check) => ({ ...check, cashed })) } },
    'GET /api/voids/v1/reversal': { body: given },
    'POST /api/voids/v1/reversal': { status: 201, body: { ...reversal, mayPlan: false, file } },
    'GET /api/employees/e1': { body: { facts } },
    'POST /api/employees/e1/facts': { status: 201, body: {} },
  });
  open('/voids/v1', <Route path="/voids/:voidId" element={<VoidPage />} />);
};

describe('what a posted void paid into accounts', () => {
  it('is asked back by a reversal within the days of the banks', async () => {
    show(reversal);
    expect((await screen.findByRole('heading', { name: /Paid into accounts/ })).textContent).toContain(
      'Fri, Nov 6, 2026',
    );
    // Nobody is asked twice for what the bank may still bring back.
    expect(screen.queryByRole('button', { name: /take it from later pay/ })).toBeNull();
    click('Schedule the reversal');
    await waitFor(() => expect(changes()).toEqual(['POST /api/voids/v1/reversal']));
  });
  it('that a bank did not give back is said with its reason', async () => {
    show({ ...reversal, mayPlan: false, file, entries: [{ ...entry, cameBack: 'R01 Insufficient funds' }] });
    expect(await screen.findByText(/^R01 Insufficient funds: the person owes it/)).toBeTruthy();
    expect(screen.getByRole('button', { name: /take it from later pay… of Wil Sprague/ })).toBeTruthy();
    expect(screen.getByText(/1 entry to Operating/)).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'Schedule the reversal' })).toBeNull();
  });
  it('after the days is agreed with the person', async () => {
    show({ ...reversal, mayPlan: false });
    expect(await screen.findByText(/take no reversal any more/)).toBeTruthy();
  });
});

describe('net pay that was not given back', () => {
  it('is taken from later checks, so much of each, until it is repaid', async () => {
    show({ ...reversal, entries: [] }, 180_000);
    fireEvent.click(await screen.findByRole('button', { name: /take it from later pay/ }));
    fireEvent.change(screen.getByLabelText('Each check'), { target: { value: '150' } });
    click('Take it from later pay');
    await waitFor(() => expect(changes()).toHaveLength(1));
    const [, path, body = ''] = /^POST (\S+) (.*)$/.exec(changes()[0] ?? '') ?? [];
    expect([path, JSON.parse(body)]).toMatchObject([
      '/api/employees/e1/facts',
      { kind: 'standing', from: '2026-11-02', value: { item: 'overpayment', amount: '150.00', balance: '1800.00' } },
    ]);
  });
});

describe('the people of a void', () => {
  it('are paid again in one payroll, on the day of the check unless another is chosen', async () => {
    show({ ...reversal, entries: [] });
    fireEvent.click(await screen.findByRole('button', { name: 'today' }));
    click('Pay again');
    await waitFor(() => expect(changes()).toHaveLength(1));
    expect(changes()[0]).toBe('POST /api/voids/v1/pay-again {"checkDate":"2026-11-02"}');
  });
});

describe('pay of an earlier year that is given back', () => {
  it('says what comes back in all: the gross pay less the employee’s own taxes on it', async () => {
    serve({
      'GET /api/session': { body: { ...session, today: '2026-11-02' } },
      'GET /api/voids/v1': { body: { ...posted, repaid: 25_000, refunded: 1913 } },
    });
    open('/voids/v1', <Route path="/voids/:voidId" element={<VoidPage />} />);
    expect((await screen.findByText(/Gross pay 250.00/)).textContent).toContain('230.87 comes back');
    expect(screen.queryByRole('button', { name: 'Pay again' })).toBeNull();
  });
});

describe('a second repayment of somebody', () => {
  it('takes the place of the one that runs, and that is said', async () => {
    const sentence = 'Overpayment repaid, 50.00 a check, 300.00 in all';
    const running = { kind: 'standing', from: '2026-09-01', value: { item: 'overpayment' }, sentence, isInForce: true };
    show({ ...reversal, entries: [] }, 180_000, [running]);
    fireEvent.click(await screen.findByRole('button', { name: /take it from later pay/ }));
    expect((await screen.findByText(/takes its place/)).textContent).toContain(sentence);
  });
});

describe('the signature of an account', () => {
  const bank = {
    id: 'b1',
    label: 'Operating',
    bankName: 'Harbor',
    routing: '000000123',
    accountTail: '2345',
    micrTestedOn: null,
  };
  const at = (role: string, more: { hasSignature: boolean; signatureMost: number | null }): void => {
    serve({
      'GET /api/session': { body: { ...session, user: { ...session.user, role } } },
      'DELETE /api/bank-accounts/b1/signature': { status: 204, body: null },
    });
    open('/', <Route path="/" element={<Signature bank={{ ...bank, ...more }} />} />);
  };
  it('is said to everybody, and changed by an administrator alone', async () => {
    at('reviewer', { hasSignature: true, signatureMost: 500_000 });
    expect(await screen.findByText('checks to 5,000.00 carry a signature')).toBeTruthy();
    expect(screen.queryByRole('button')).toBeNull();
  });
  it('is taken away again', async () => {
    at('administrator', { hasSignature: true, signatureMost: null });
    fireEvent.click(await screen.findByRole('button', { name: 'signature…' }));
    click('sign by hand again');
    await waitFor(() => expect(changes()).toEqual(['DELETE /api/bank-accounts/b1/signature']));
  });
});
