import { afterEach, describe, expect, it } from '@jest/globals';
import { fireEvent, screen, within } from '@testing-library/react';
import { Route } from 'react-router';
import type { Schemas } from '../../api/client.js';
import { open, serve, startAnew } from '../../testing/pages.js';
import { WageStatements } from './wage-statements.js';

afterEach(startAnew);

const row = (more: Partial<Schemas['W2Row']>): Schemas['W2Row'] => ({
  employeeId: 'e1',
  name: 'Sprague, Wil',
  ssnTail: '3401',
  box1: 6_500_000,
  box2: 565_744,
  box3: 6_600_000,
  box4: 409_200,
  box5: 6_600_000,
  box6: 95_700,
  box7: 0,
  box8: 0,
  box10: 0,
  box11: 0,
  box12: 'D 1,000.00',
  box14: '',
  state: 'NY',
  box16: 6_500_000,
  box17: 300_000,
  box18: 0,
  box19: 0,
  box20: '',
  isHere: true,
  ...more,
});
const AMOUNTS = [
  'box1',
  'box2',
  'box3',
  'box4',
  'box5',
  'box6',
  'box7',
  'box8',
  'box10',
  'box11',
  'box16',
  'box17',
  'box18',
  'box19',
] as const;
const pageOf = (rows: Schemas['W2Row'][], total = rows.length): Schemas['W2Page'] => ({
  rows,
  found: total,
  total,
  totals: Object.fromEntries(
    AMOUNTS.map((box) => [box, rows.reduce((running, one) => running + one[box], 0)]),
  ) as unknown as Schemas['W3Totals'],
  hasLocals: rows.some(({ box18 }) => box18 !== 0),
  hasOthers: rows.some(({ box14 }) => box14 !== ''),
});
const NO_COPIES = { total: 0, parts: [] };
const show = (
  w2s: Schemas['W2Row'][],
  status = 'prepared',
  { total, answers = {} }: { total?: number; answers?: Record<string, unknown> } = {},
) => {
  serve({
    'GET /api/filings/f1/w2-copies': { body: answers['copies'] ?? NO_COPIES },
    'POST /api/filings/f1/w2-copies': { body: answers['copies'] ?? NO_COPIES },
    'GET /api/filings/f1/w2': { body: answers['page'] },
  });
  const filing = { id: 'f1', period: '2026', status } as unknown as Schemas['FilingView'];
  open('/', <Route path="/" element={<WageStatements filing={filing} first={pageOf(w2s, total)} />} />);
};
const headings = (): string[] => screen.getAllByRole('columnheader').map((cell) => cell.textContent);

describe('the wage statements of a year', () => {
  it('have a person on a line, and the form of totals at the foot', () => {
    show([row({}), row({ employeeId: 'e2', name: 'Quill, Bartholomew', box1: 1_000_001 })]);
    const foot = within(screen.getByText('Form W-3').closest('tr') as HTMLElement);
    expect(foot.getByText('75,000.01')).toBeTruthy();
    expect(screen.getByText('2 employees; the totals are Form W-3')).toBeTruthy();
    expect(screen.getAllByText('PDF').map((link) => link.getAttribute('href'))).toEqual([
      '/api/filings/f1/w2/e1',
      '/api/filings/f1/w2/e2',
    ]);
  });
  it('show the boxes that most forms leave blank only where somebody has them', () => {
    show([row({})]);
    for (const rare of ['7 Tips', '8 Tips allocated', '10 Dependent care', '11 Nonqualified plans', 'Box 14'])
      expect(headings()).not.toContain(rare);
    startAnew();
    show([row({}), row({ employeeId: 'e2', box8: 7500, box11: 90_000, box14: 'NY SDI 31.20' })]);
    for (const there of ['8 Tips allocated', '11 Nonqualified plans', 'Box 14']) expect(headings()).toContain(there);
    expect(headings()).not.toContain('7 Tips');
  });
  it('name the locality beside its wages', () => {
    show([row({ box18: 6_500_000, box19: 200_000, box20: 'New York City' })]);
    expect(headings()).toContain('20 Locality');
    expect(screen.getByText('New York City')).toBeTruthy();
  });
  it('lead to the person and back to the set', () => {
    show([row({})]);
    expect(screen.getByText('Sprague, Wil').getAttribute('href')).toBe('/employees/e1?back=%2Ffilings%2Ff1');
  });
  it('a foot has as many cells as the head', () => {
    for (const rows of [[row({})], [row({ box18: 5, box20: 'Yonkers', box14: 'x', box7: 3 })]]) {
      show(rows);
      const cells = [...(screen.getByText('Form W-3').closest('tr') as HTMLTableRowElement).cells];
      expect(cells.reduce((total, cell) => total + cell.colSpan, 0)).toBe(headings().length);
      startAnew();
    }
  });
  it.each([
    ['prepared', true],
    ['accepted', false],
  ])('are in pencil while %s', (status, isPencil) => {
    show([row({})], status);
    expect(document.querySelectorAll('[data-pencil]').length > 0).toBe(isPencil);
  });
  it('more people than a page are found by name, and shown page by page', async () => {
    show([row({})], 'prepared', {
      total: 450,
      answers: { page: pageOf([row({ employeeId: 'e9', name: 'Umbral, Ida' })], 1) },
    });
    expect(screen.getByText('450 employees; the totals are Form W-3')).toBeTruthy();
    expect(screen.getByRole('button', { name: 'show more' })).toBeTruthy();
    fireEvent.change(screen.getByRole('searchbox'), { target: { value: 'umbral' } });
    expect(await screen.findByText('Umbral, Ida')).toBeTruthy();
    expect(screen.queryByText('Sprague, Wil')).toBeNull();
  });
  it('once they are filed, everybody’s copies are made in parts', async () => {
    const part = { part: 0, from: 'Ames', to: 'Quill', people: 250, isMade: true };
    const parts = [part, { part: 1, from: 'Rook', to: 'Zuni', people: 12, isMade: false }];
    show([row({})], 'accepted', { answers: { copies: { total: 2, parts } } });
    expect((await screen.findByText('Ames to Quill')).getAttribute('href')).toBe('/api/filings/f1/w2-copies/0');
    expect(screen.queryByText('Rook to Zuni')).toBeNull();
    fireEvent.click(screen.getByRole('button', { name: 'Make the copies of everybody' }));
    expect(await screen.findByText('1 of 2', { exact: false })).toBeTruthy();
  });
  it('nobody with wages is said plainly', () => {
    show([]);
    expect(screen.getByText('Nobody had wages in 2026.')).toBeTruthy();
  });
});
