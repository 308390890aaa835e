import { afterEach, describe, expect, it } from '@jest/globals';
import { fireEvent, screen, waitFor } from '@testing-library/react';
import type { Schemas } from '../../api/client.js';
import { inClient, ofClient } from '../../testing/client-pages.js';
import { asked, open, refusal, serve, session, startAnew, type Answers } from '../../testing/pages.js';
import { BroughtInPage } from './brought-in.js';

afterEach(startAnew);

const changes = (): string[] => asked.filter((call) => !call.startsWith('GET'));
const takeOver = (more: Partial<Schemas['TakeOverView']> = {}): Schemas['TakeOverView'] => ({
  id: 't1',
  clientId: 'c1',
  year: 2026,
  status: 'open',
  version: 3,
  fileName: 'balances.csv',
  headings: ['Nr'],
  mapping: ['number'],
  columns: [],
  problems: [],
  rows: 2,
  wrong: 0,
  wrongRows: [],
  days: [
    { from: '2026-01-01', day: '2026-03-31', people: 2, gross: 2_600_000, net: 2_100_000 },
    { from: '2026-04-10', day: '2026-04-10', people: 1, gross: 200_000, net: 150_000 },
  ],
  figures: [
    { quarter: 1, code: '941.2', label: 'Line 2, wages', kind: 'line', balances: 2_600_000, amount: null, day: null },
    { quarter: 1, code: 'US-941.paid', label: 'Deposits', kind: 'paid', balances: 298_900, amount: null, day: null },
  ],
  differences: [],
  tiesOut: true,
  by: 'Tobias Renn',
  at: '2026-10-22T10:00:00Z',
  ...more,
});
const show = (rows: Schemas['TakeOverView'][], answers: Answers = {}, role = 'preparer'): void => {
  serve({
    'GET /api/session': { body: { ...session, user: { ...session.user, role } } },
    'GET /api/clients/c1': { body: ofClient },
    'GET /api/clients/c1/take-overs': { body: rows },
    ...Object.fromEntries(rows.map((row) => [`GET /api/take-overs/${row.id}`, { body: row }])),
    ...answers,
  });
  open('/clients/c1/brought-in', inClient(<BroughtInPage />));
};
const press = async (name: string | RegExp): Promise<void> =>
  void fireEvent.click(await screen.findByRole('button', { name }));
const type = (label: string, value: string): void =>
  void fireEvent.change(screen.getByLabelText(label), { target: { value } });

describe('balances of a former provider', () => {
  it('begin with a year that has none yet', async () => {
    show([], { 'POST /api/clients/c1/take-overs': { status: 201, body: { id: 't1' } } });
    fireEvent.change(await screen.findByLabelText('Year'), { target: { value: '2025' } });
    await press('Prior payroll of 2025');
    await waitFor(() => expect(changes()).toEqual(['POST /api/clients/c1/take-overs {"year":2025}']));
  });
  it('stand by quarter or by day, and tie out', async () => {
    show([takeOver()]);
    expect(await screen.findByText(/2 rows tie out/)).toBeTruthy();
    expect(screen.getByText(/the quarter to/)).toBeTruthy();
    expect(screen.getByRole('link', { name: 'XLSX' }).getAttribute('href')).toBe('/api/take-overs/t1/form.xlsx');
  });
  it.each([
    [{ rows: 0, days: [] }, 'Nothing is read yet.'],
    [{ wrong: 1, tiesOut: false }, '1 of 2 rows cannot be read yet.'],
    [
      {
        tiesOut: false,
        differences: [
          {
            key: 'd',
            about: 'Q1',
            amount: 1,
            severity: 'error' as const,
            sentence: 'Off by 0.01.',
            fix: '',
            passedBecause: null,
          },
        ],
      },
      '2 rows are read; a difference holds them.',
    ],
  ])('say how they stand: %#', async (more, words) => {
    show([takeOver(more)]);
    expect(await screen.findByText(new RegExp(words.replace('.', '\\.')))).toBeTruthy();
  });
  it('compare what was filed with the rows while it is typed, and keep it as cents', async () => {
    show([takeOver()], { 'PUT /api/take-overs/t1/reported': { body: takeOver() } });
    await screen.findByText('Line 2, wages');
    type('Line 2, wages, quarter 1', '26,000.01');
    expect(screen.getByText('0.01')).toBeTruthy();
    type('Deposits, quarter 1', '2989');
    type('Last deposit of Deposits, quarter 1', '2026-04-15');
    await press('Keep and compare');
    await waitFor(() => expect(changes()).toHaveLength(1));
    expect(changes()[0]).toBe(
      'PUT /api/take-overs/t1/reported {"version":3,"figures":[{"quarter":1,"code":"941.2","amount":2600001,"day":null},{"quarter":1,"code":"US-941.paid","amount":298900,"day":"2026-04-15"}]}',
    );
  });
  it('send nothing while an amount cannot be read', async () => {
    show([takeOver()]);
    await screen.findByText('Line 2, wages');
    type('Line 2, wages, quarter 1', 'about 26 thousand');
    await press('Keep and compare');
    expect(await screen.findByText('Type an amount, like 1,234.56.')).toBeTruthy();
    expect(changes()).toEqual([]);
  });
  it('are accepted by a reviewer from the slip, not by who gathered them', async () => {
    show([takeOver()]);
    await press('Accept…');
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Accept these balances' }).disabled).toBe(true);
    startAnew();
    show([takeOver()], { 'POST /api/take-overs/t1/accept': { status: 204, body: null } }, 'reviewer');
    await press('Accept…');
    await press('Accept these balances');
    await waitFor(() => expect(changes()).toEqual(['POST /api/take-overs/t1/accept {"version":3}']));
  });
  it('that count are taken back as a whole, or it says why not', async () => {
    const accepted = takeOver({ status: 'accepted' });
    show(
      [accepted],
      { 'POST /api/take-overs/t1/take-back': refusal(409, 'A payroll of the year is posted.') },
      'reviewer',
    );
    expect(await screen.findByText(/2 rows count/)).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'Keep and compare' })).toBeNull();
    await press('undo all of it');
    expect(await screen.findByText(/A payroll of the year is posted/)).toBeTruthy();
  });
  it('of two years are chosen by the year', async () => {
    show([takeOver(), takeOver({ id: 't0', year: 2025, rows: 7, status: 'accepted' })]);
    await press('2025, accepted');
    expect(await screen.findByText(/7 rows count/)).toBeTruthy();
  });
});
