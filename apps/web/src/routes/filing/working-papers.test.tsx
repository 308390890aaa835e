import { afterEach, beforeEach, describe, expect, it } from '@jest/globals';
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { Route } from 'react-router';
import { asked, open, serve, session, startAnew } from '../../testing/pages.js';
import { WorkingPapersPage } from './working-papers.js';

beforeEach(startAnew);
afterEach(startAnew);

const mark = (more: object) => ({ id: 'm1', line: '3', mark: 'traced', note: '', by: session.user.name, byId: session.user.id, isReviewer: false, at: '2026-10-05T10:00:00.000Z', isCracked: false, ...more }); // prettier-ignore
const line = (id: string, more: object = {}) => ({ id, label: `Line of ${id}`, kind: 'amount', value: 50_000, before: 40_000, yearBefore: null, marks: [], ...more }); // prettier-ignore
const PAPERS = {
  filingId: 'f1',
  title: 'Form 941, Q3 2026',
  clientName: 'Gannet Boatyard',
  clientId: 'c1',
  status: 'draft',
  periodBefore: 'Q2 2026',
  periodYearBefore: 'Q3 2025',
  lines: [line('2'), line('3')],
  rates: [],
  wages: [],
  excess: [],
  toMark: [],
  held: [],
  mayMark: true,
};
const show = (more: object = {}): void => {
  serve({
    'GET /api/session': { body: session },
    'GET /api/filings/f1/working-papers': { body: { ...PAPERS, ...more } },
    'POST /api/filings/f1/marks': { body: { ...PAPERS, lines: [line('2'), line('3', { marks: [mark({})] })] } },
    'POST /api/marks/m1/clear': { body: PAPERS },
  });
  open(
    '/filings/f1/working-papers',
    <Route path="/filings/:filingId/working-papers" element={<WorkingPapersPage />} />,
  );
};
const sent = (): string[] => asked.filter((call) => call.startsWith('POST')).map((call) => call.trim());
const row = (id: string): HTMLElement => screen.getByRole('row', { name: `Line ${id}` });

describe('working papers by keyboard', () => {
  it('mark the line that has the focus with one key, and arrows go from line to line', async () => {
    show();
    await screen.findByText('Line of 2');
    row('2').focus();
    fireEvent.keyDown(row('2'), { key: 'ArrowDown' });
    expect(document.activeElement).toBe(row('3'));
    fireEvent.keyDown(row('3'), { key: 't' });
    await waitFor(() => expect(sent()).toEqual(['POST /api/filings/f1/marks {"line":"3","mark":"traced","note":""}']));
  });
  it('ask a question with its words', async () => {
    show();
    await screen.findByText('Line of 2');
    fireEvent.keyDown(row('2'), { key: 'q' });
    fireEvent.change(screen.getByLabelText('Question'), { target: { value: 'Is the bonus in it?' } });
    fireEvent.click(screen.getByRole('button', { name: 'Ask' }));
    await waitFor(() =>
      expect(sent()).toEqual(['POST /api/filings/f1/marks {"line":"2","mark":"queried","note":"Is the bonus in it?"}']),
    );
  });
  it('take one’s own mark away, and settle a question with its answer', async () => {
    show({ lines: [line('3', { marks: [mark({ mark: 'queried', note: 'Why?', by: 'Ines', byId: 'u2' })] })] });
    fireEvent.click(await screen.findByRole('button', { name: /^answer/ }));
    fireEvent.change(screen.getByLabelText('Answer'), { target: { value: 'A bonus.' } });
    fireEvent.click(screen.getByRole('button', { name: 'Settle it' }));
    await waitFor(() => expect(sent()).toEqual(['POST /api/marks/m1/clear {"answer":"A bonus."}']));
  });
});

describe('working papers', () => {
  it('say which marks are cracked and what holds the release, and leave the mark of somebody else alone', async () => {
    show({
      held: ['What lies under a mark has moved: line 3.'],
      lines: [line('3', { marks: [mark({ isCracked: true, by: 'Ines', byId: 'u2' })] })],
    });
    expect(await screen.findByText('cracked')).toBeTruthy();
    expect(screen.getByText(/What lies under a mark has moved/)).toBeTruthy();
    expect(screen.queryByRole('button', { name: /take away/ })).toBeNull();
  });
  it('set line, rates, wages and excess wages against what they should agree with', async () => {
    show({
      rates: [{ tax: 'US-OASDI-EE', label: 'Social security', wages: 100, amount: 6, percent: '6.2000', percentBefore: '6.1998' }], // prettier-ignore
      wages: [
        {
          title: 'Form 941',
          line: '2',
          label: 'Wages',
          of: 'medicare',
          wages: 50_000,
          filingId: 'f1',
          isFederal: true,
        },
        {
          title: 'NYS-45',
          line: '1',
          label: 'Wages',
          of: 'unemployment',
          wages: 51_000,
          filingId: null,
          isFederal: false,
        },
      ],
      excess: [{ employeeId: 'e1', name: 'Sprague, Wil', wages: 1, excess: 1, yearWages: 2, yearTaxable: 1, says: 'Others have more.' }], // prettier-ignore
    });
    expect(await screen.findByText('+10.00')).toBeTruthy();
    expect(screen.getByText('6.1998')).toBeTruthy();
    expect(screen.getByText('Others have more.')).toBeTruthy();
  });
  it('of what has left are read and not marked', async () => {
    show({ mayMark: false, status: 'accepted' });
    expect(await screen.findByText('Line of 2')).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'traced' })).toBeNull();
  });
});
