import { afterEach, beforeEach, describe, expect, it, jest } from '@jest/globals';
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { Route } from 'react-router';
import type { Schemas } from '../../api/client.js';
import { asked, open, serve, startAnew, type Answers } from '../../testing/pages.js';
import { PayrollChecksView } from './checks.js';
import { HoursFile } from './hours-file.js';
import { SentHours } from './sent-hours.js';

beforeEach(startAnew);
afterEach(startAnew);

const changes = (): string[] => asked.filter((call) => !call.startsWith('GET'));
const click = (name: string | RegExp): void => void fireEvent.click(screen.getByRole('button', { name }));
const payroll = { id: 'p1', clientId: 'c1', status: 'open', kind: 'regular' } as unknown as Schemas['PayrollView'];
const flush = (): Promise<number> => Promise.resolve(4);

describe('checks of a payroll', () => {
  const row = (more: object) => ({
    id: 'i1',
    number: 2001,
    payee: 'Wil Sprague',
    amount: 190_000,
    status: 'printed',
    hasImage: true,
    runId: 'r1',
    ...more,
  });
  const ACCOUNTS = [{ bankAccountId: 'b1', label: 'Operating, ending 2345', next: 2001 }];
  const MAKE = [
    { paycheckId: 'k1', employeeId: 'e1', number: '1', name: 'Wil Sprague', amount: 190_000 },
    { paycheckId: 'k2', employeeId: 'e2', number: '2', name: 'Ada Brine', amount: 80_000 },
  ];
  const show = (body: object, answers: Answers = {}): void => {
    serve({ 'GET /api/payrolls/p1/checks': { body }, ...answers });
    open('/', <Route path="/" element={<PayrollChecksView payroll={payroll} />} />);
  };
  it('are numbered in order from the one that is typed, without those that are not ticked', async () => {
    show(
      { toMake: MAKE, checks: [], accounts: ACCOUNTS, position: 'middle' },
      { 'POST /api/payrolls/p1/checks': { body: { toMake: [], checks: [], accounts: ACCOUNTS, position: 'middle' } } },
    );
    expect(await screen.findByText('2002')).toBeTruthy();
    fireEvent.change(screen.getByLabelText('First check number'), { target: { value: '3000' } });
    expect(screen.getByText('3001')).toBeTruthy();
    fireEvent.click(screen.getByLabelText('Print the check of Wil Sprague'));
    click('Number and print one check');
    await waitFor(() =>
      expect(changes()).toEqual([
        'POST /api/payrolls/p1/checks {"bankAccountId":"b1","firstNumber":3000,"position":"middle","paycheckIds":["k2"]}',
      ]),
    );
  });
  it('written by hand are recorded with their number', async () => {
    show(
      { toMake: MAKE, checks: [], accounts: ACCOUNTS, position: 'top' },
      { 'POST /api/payrolls/p1/handwritten-checks': { body: {} } },
    );
    fireEvent.click((await screen.findAllByRole('button', { name: 'written by hand' }))[1] as HTMLElement);
    fireEvent.change(screen.getByLabelText(/written by hand for Ada Brine/), { target: { value: '77' } });
    click('record it');
    await waitFor(() =>
      expect(changes()).toEqual([
        'POST /api/payrolls/p1/handwritten-checks {"bankAccountId":"b1","number":77,"paycheckId":"k2"}',
      ]),
    );
  });
  it('printed, ask how they came out; the ticked ones are spoiled', async () => {
    show(
      {
        toMake: [],
        checks: [row({ id: 'i2', number: 2002, payee: 'Ada Brine' }), row({})],
        accounts: ACCOUNTS,
        position: 'top',
      },
      { 'POST /api/check-runs/r1/outcome': { body: [] } },
    );
    const pages = await screen.findByRole('link', { name: /pages of checks 2001 to 2002/ });
    expect(pages.getAttribute('href')).toBe('/api/check-runs/r1.pdf');
    expect(screen.getByRole('button', { name: 'All came out well' })).toBeTruthy();
    fireEvent.click(screen.getByLabelText('2002 Ada Brine'));
    click('1 came out well, 1 spoiled');
    await waitFor(() => expect(changes()).toEqual(['POST /api/check-runs/r1/outcome {"spoiled":["i2"]}']));
  });
});

describe('hours from a file', () => {
  const view = {
    headingRow: 1,
    headings: ['Emp #', 'Code', 'Hrs'],
    columns: ['number', 'code', 'hours'],
    choices: [
      { name: 'number', label: 'Employee number' },
      { name: 'code', label: 'Pay code' },
      { name: 'hours', label: 'Hours of the pay code' },
    ],
    items: [{ name: 'holiday', label: 'Holiday' }],
    codes: {},
    unknownCodes: ['XZ'],
    rows: [
      {
        row: 3,
        who: '9',
        employeeId: null,
        person: '',
        says: '8 regular',
        problems: [{ code: 'x', field: 'who', severity: 'error', sentence: 'Nobody paid is 9.', fix: 'Correct it.' }],
      },
    ],
    rowCount: 2,
    wrong: 1,
    people: 1,
    missing: ['Ada Brine'],
    totals: [{ label: 'Regular', measure: 'hours', file: '88', taken: '80' }],
    problems: [],
    isTaken: false,
  };
  it('are shown with what is not taken, ask for a code, and are taken at the version that was saved', async () => {
    serve({ 'POST /api/payrolls/p1/hours-file': { body: view } });
    const onTaken = jest.fn();
    open(
      '/',
      <Route
        path="/"
        element={<HoursFile payrollId="p1" flush={flush} onTaken={onTaken} onClose={() => undefined} />}
      />,
    );
    const file = new File(['Emp #,Code,Hrs'], 'clock.csv', { type: 'text/csv' });
    fireEvent.change(document.querySelector('input[type="file"]') as HTMLElement, { target: { files: [file] } });
    expect(await screen.findByText(/Nobody paid is 9/)).toBeTruthy();
    expect(screen.getByText(/nothing for Ada Brine/)).toBeTruthy();
    expect(screen.getByText('What is not taken stands below with its reason.')).toBeTruthy();
    fireEvent.change(screen.getByLabelText('Pay code XZ'), { target: { value: 'holiday' } });
    await waitFor(() => expect(changes()).toHaveLength(2));
    expect(changes()[1]).toContain('"codes":{"XZ":"holiday"}');
    click('Take the hours of one employee');
    await waitFor(() => expect(onTaken).toHaveBeenCalledTimes(1));
    expect(changes()[2]).toContain('"version":4,"isTaken":true');
  });
});

describe('what the client sent', () => {
  const sent = (more: object) => ({
    people: [
      { employeeId: 'e1', name: 'Wil Sprague', says: '76.5 regular', note: '', isTaken: false },
      { employeeId: 'e2', name: 'Ada Brine', says: '', note: 'Friday off', isTaken: false },
    ],
    by: 'Rosalind Quay',
    at: '2026-10-22T15:04:00.000Z',
    approvedBy: null,
    approvedAt: null,
    isApprovalCurrent: false,
    ...more,
  });
  const show = (body: object, status = 'open', onTaken = (): void => undefined): void => {
    serve({
      'GET /api/payrolls/p1/client-hours': { body },
      'POST /api/payrolls/p1/client-hours/take': { body: {} },
    });
    open(
      '/',
      <Route
        path="/"
        element={<SentHours payroll={{ ...payroll, status: status as 'open' }} flush={flush} onTaken={onTaken} />}
      />,
    );
  };
  it('is taken with one step, with the notes beside it', async () => {
    const onTaken = jest.fn();
    show(sent({}), 'open', onTaken);
    expect(await screen.findByText('“Friday off”')).toBeTruthy();
    click('Take the hours of one employee');
    await waitFor(() => expect(onTaken).toHaveBeenCalledTimes(1));
    expect(changes()).toEqual(['POST /api/payrolls/p1/client-hours/take {"version":4}']);
  });
  it.each([
    [true, /Approved for the client by Rosalind Quay/],
    [false, /approved other figures/],
  ])('says whether the approved figures still stand: %s', async (isApprovalCurrent, words) => {
    show(sent({ approvedBy: 'Rosalind Quay', approvedAt: '2026-10-22T16:00:00.000Z', isApprovalCurrent }), 'reviewed');
    expect(await screen.findByText(words)).toBeTruthy();
  });
});
