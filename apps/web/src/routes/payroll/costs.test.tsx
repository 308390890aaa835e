import { afterEach, describe, expect, it } from '@jest/globals';
import { fireEvent, screen, within } from '@testing-library/react';
import { Route } from 'react-router';
import type { Schemas } from '../../api/client.js';
import { open, serve, startAnew } from '../../testing/pages.js';
import { payrollPerson } from '../../testing/payroll-people.js';
import { Costs } from './costs.js';

afterEach(startAnew);

type Person = Schemas['PayrollPerson'];
const person = (id: string, more: Partial<Person>): Person =>
  payrollPerson(
    { employeeId: id, number: id, name: `Person ${id}`, ...more },
    {
      gross: 100_000,
      net: 70_000,
      deductions: [{ item: 'loan', label: 'Loan', amount: 5000 }],
      garnishments: [{ kind: 'creditor', label: 'C-1', amount: 4800, fee: 200 }],
      taxes: [
        { code: 'US-FIT', payer: 'employee', subject: 100_000, wages: 100_000, amount: 20_000 },
        { code: 'US-FUTA', payer: 'employer', subject: 100_000, wages: 100_000, amount: 600 },
      ],
    },
  );
const NOTHING = { against: null, rows: [], cash: [], supplemental: [], cost: 0 };
const show = (persons: Person[], more: Partial<Schemas['PayrollView']> = {}, review: object = NOTHING): void => {
  serve({ 'GET /api/payrolls/p1/review': { body: review } });
  const payroll = {
    id: 'p1',
    version: 1,
    status: 'reviewed',
    kind: 'regular',
    persons,
    jobs: [],
    employerTaxes: [{ tax: 'US-FUTA', label: 'FUTA', wages: 200_000, amount: 1200 }],
    journal: [
      { account: 'wages', label: 'Wages', detail: 'gross pay', amount: 200_000 },
      { account: 'cash', label: 'Net pay', detail: '', amount: -140_000 },
      { account: 'payable', label: 'Taxes', detail: '', amount: -60_000 },
    ],
    ...more,
  } as unknown as Schemas['PayrollView'];
  open('/', <Route path="/" element={<Costs payroll={payroll} />} />);
};
const section = (heading: RegExp | string) =>
  within(screen.getByRole('heading', { name: heading }).closest('section') as HTMLElement);
const cells = (text: string, of = screen as Pick<typeof screen, 'getByText'>): string[] =>
  [...(of.getByText(text).closest('tr') as HTMLTableRowElement).cells].map((cell) => cell.textContent);

describe('what a payroll costs', () => {
  it('stands by job where pay is booked to any, with all that the employer adds', () => {
    show([person('1', {})], {
      jobs: [
        { job: 'Pier 4', gross: 60_000, employerTaxes: 4590, employerPaid: 1000 },
        { job: '', gross: 40_000, employerTaxes: 3060, employerPaid: 0 },
      ],
    });
    const jobs = section('By job');
    expect(cells('Pier 4', jobs)).toEqual(['Pier 4', '600.00', '45.90', '10.00', '655.90']);
    expect(cells('no job', jobs).at(-1)).toBe('430.60');
    expect(cells('Totals', jobs).at(-1)).toBe('1,086.50');
  });
  it('lists what another program withheld otherwise, with the difference and its total', () => {
    const first = person('1', {});
    const paycheck = {
      ...first.paycheck,
      variances: [
        { code: 'US-FIT', label: 'Federal income tax', withheld: 6100, computed: 6240 },
        { code: 'NY-SIT', label: 'New York income tax', withheld: 2500, computed: 2400 },
      ],
    };
    show([{ ...first, paycheck }], { kind: 'recorded' });
    const list = section('Withheld elsewhere, not as computed');
    expect(cells('Person 1, Federal income tax', list).slice(1)).toEqual(['62.40', '61.00', '−1.40']);
    expect(cells('Totals', list).slice(1)).toEqual(['86.40', '86.00', '−0.40']);
  });
  it('has no table of jobs where nothing is booked to one', () => {
    show([person('1', {})]);
    expect(screen.queryByRole('heading', { name: 'By job' })).toBeNull();
  });
  it('stands against last time with what moved it; who did not move waits for a press', async () => {
    const row = (name: string, kind: string, change: number, causes: string[], unusual: string | null = null) => ({
      employeeId: name,
      name,
      kind,
      gross: 100_000,
      net: 70_000,
      grossChange: change,
      netChange: change / 2,
      causes,
      unusual,
    });
    show(
      [person('1', {})],
      {},
      {
        against: '2026-10-16',
        rows: [
          row('Ada', 'moved', 20_000, ['Regular hours 80 to 90'], 'outside the last 6 checks, 800.00 to 900.00'),
          row('Wil', 'moved', -20_000, ['W-4 changed']),
          row('Same', 'same', 0, []),
        ],
        cash: [
          { what: 'Net pay', day: '2026-10-30', amount: 140_000 },
          { what: 'Federal deposit', day: null, amount: 60_000 },
        ],
        supplemental: [
          {
            employeeId: 'e1',
            name: 'Wil Sprague',
            chosen: 'flat',
            ways: [
              { method: 'flat', amount: 500_000, incomeTax: 110_000, net: 351_750, problem: '' },
              { method: 'aggregate', amount: 500_000, incomeTax: 90_000, net: 371_750, problem: '' },
            ],
          },
        ],
        cost: 215_000,
      },
    );
    await screen.findByText('Regular hours 80 to 90');
    const last = section(/Change from last payroll/);
    expect(cells('Ada', last).slice(1, 5)).toEqual(['1,000.00', '+200.00', '700.00', '+100.00']);
    expect(cells('Wil', last)[2]).toBe('−200.00');
    expect(last.getByText(/outside the last 6 checks/)).toBeTruthy();
    expect(last.queryByText('Same')).toBeNull();
    fireEvent.click(last.getByRole('button', { name: '1 as last time' }));
    expect(last.getByText('Same')).toBeTruthy();
    const cash = section(/Cash needed/);
    expect([cells('Together', cash).at(-1), cash.getByText('day not known')]).toHaveLength(2);
    expect(cells('Together', cash).at(-1)).toBe('2,000.00');
    const ways = section(/Supplemental pay both ways/);
    expect(ways.getByText('+200.00')).toBeTruthy();
    expect(ways.getByText(/as chosen/).closest('td')?.textContent).toBe('at the flat rate as chosen');
  });
  it('adds up by where the work is booked, and a line has all that leaves the gross', () => {
    show([
      person('1', { department: 'Oven' }),
      person('2', { department: 'Oven' }),
      person('3', { department: 'Shop' }),
      person('4', {}),
    ]);
    const places = section('By department');
    expect(cells('Oven', places)).toEqual(['Oven', '2', '2,000.00', '400.00', '200.00', '1,400.00']);
    expect(cells('no department', places)[1]).toBe('1');
    expect(cells('Totals', places)).toEqual(['Totals', '4', '4,000.00', '800.00', '400.00', '2,800.00']);
    // Those booked nowhere come last.
    const names = places.getAllByRole('row').map((row) => (row as HTMLTableRowElement).cells[0]?.textContent);
    expect(names).toEqual(['Department', 'Oven', 'Shop', 'no department', 'Totals']);
  });
  it('has a table only of the sorts of place that somebody has', () => {
    show([person('1', { costCentre: '40' })]);
    expect(screen.getByRole('heading', { name: 'By cost center' })).toBeTruthy();
    expect(screen.queryByRole('heading', { name: 'By department' })).toBeNull();
  });
  it('a journal has two sides that agree', () => {
    show([person('1', {})]);
    expect(cells('Totals', section('Journal'))).toEqual(['Totals', '2,000.00', '2,000.00']);
  });
  it('is in pencil until it is posted', () => {
    show([person('1', {})]);
    expect(document.querySelectorAll('[data-pencil]').length).toBeGreaterThan(0);
    startAnew();
    show([person('1', {})], { status: 'posted' });
    expect(document.querySelectorAll('[data-pencil]').length).toBe(0);
  });
  it('of what was paid elsewhere shows the employer taxes that were brought in, and no journal of ours', () => {
    show([person('1', {})], { kind: 'brought-in', status: 'posted' });
    expect(screen.getByText('as brought in')).toBeTruthy();
    expect(screen.queryByRole('heading', { name: 'Journal' })).toBeNull();
  });
});
