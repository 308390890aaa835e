import { afterEach, describe, expect, it } from '@jest/globals';
import { screen, within } from '@testing-library/react';
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
  ...more,
});
const show = (w2s: Schemas['W2Row'][], status = 'prepared') => {
  serve({});
  const filing = { id: 'f1', period: '2026', status } as unknown as Schemas['FilingView'];
  open('/', <Route path="/" element={<WageStatements filing={filing} rows={w2s} />} />);
};
const headings = (): string[] => screen.getAllByRole('columnheader').map((cell) => cell.textContent);

describe('the wage statements of a year', () => {
  it('have a person on a line, and the form of totals at the foot', () => {
    show([row({}), row({ employeeId: 'e2', name: 'Quill, Bartholomew', box1: 1_000_001 })]);
    const foot = within(screen.getByText('Form W-3').closest('tr') as HTMLElement);
    expect(foot.getByText('75,000.01')).toBeTruthy();
    expect(screen.getByText('2 people; the totals are Form W-3')).toBeTruthy();
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
  it('nobody with wages is said plainly', () => {
    show([]);
    expect(screen.getByText('Nobody had wages in 2026.')).toBeTruthy();
  });
});
