import { afterEach, beforeEach, describe, expect, it } from '@jest/globals';
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { Route } from 'react-router';
import { asked, open, serve, session, startAnew, type Answers } from '../../testing/pages.js';
import { DueReturnsPage } from './due-returns.js';

beforeEach(startAnew);
afterEach(startAnew);

const click = (name: string | RegExp): void => void fireEvent.click(screen.getByRole('button', { name }));
const changes = (): string[] => asked.filter((call) => !call.startsWith('GET'));
const row = (key: string, status: string, more: object = {}) => ({
  key,
  clientId: `c-${key}`,
  clientName: `Client ${key}`,
  kind: 'ny-nys-45',
  title: 'NY Form NYS-45, Q3 2026',
  agency: 'New York State Department of Taxation and Finance',
  period: '2026-Q3',
  due: '2026-11-02',
  isOver: true,
  isLate: false,
  status,
  move: '',
  isReady: false,
  filingId: status === 'not begun' ? null : `f-${key}`,
  version: status === 'not begun' ? null : 3,
  amount: null,
  ...more,
});
const ROWS = [
  row('1', 'not begun'),
  row('2', 'draft'),
  row('3', 'differs'),
  row('4', 'checked', { isReady: true, amount: 65_024 }),
  row('5', 'checked', { move: 'Client: sign it', title: 'Form 941, Q3 2026' }),
  row('6', 'not begun', { isOver: false, title: 'TX Form C-3, Q4 2026' }),
  row('7', 'accepted', { isLate: false }),
];
const SLIP = {
  title: 'One return',
  act: 'release',
  amount: null,
  figures: [],
  leaves: 'It goes.',
  becomesImpossible: 'No.',
  wayBack: 'Yes.',
  checks: [{ label: 'Every check of every return', isPassed: true, says: '1 rehearsed just now.' }],
  mayRelease: true,
  file: '',
};
const show = (answers: Answers = {}, path = '/returns'): void => {
  serve({
    'GET /api/session': { body: { ...session, today: '2026-10-22' } },
    'GET /api/due-returns': { body: { quarter: '2026-Q3', rows: ROWS, more: 0, aggregated: 0 } },
    ...answers,
  });
  open(path, <Route path="/returns" element={<DueReturnsPage />} />);
};

describe('the returns of a quarter of every client', () => {
  it('are those of the quarter that is over, counted by where they stand', async () => {
    show();
    expect(await screen.findByText('2 not begun, 1 draft, 1 differs, 2 checked, 1 accepted')).toBeDefined();
    expect(asked).toContain('GET /api/due-returns?quarter=2026-Q3');
    // Nothing is ticked that cannot be acted upon: not what waits for its period, its signer, or for nothing.
    expect(screen.getAllByRole('checkbox').length).toBe(1 + 4);
    expect(screen.getByText('its period goes on')).toBeDefined();
  });
  it('are begun together without those that are not ticked; the refused one is named', async () => {
    show({
      'POST /api/due-returns/begin': {
        body: [{ key: 'x', what: 'NY Form NYS-45 of Client 1', refused: 'It is begun.' }],
      },
    });
    await screen.findByText(/2 not begun/);
    click('Begin 1');
    expect(await screen.findByText(/NY Form NYS-45 of Client 1: It is begun/)).toBeDefined();
    expect(changes()).toEqual([
      'POST /api/due-returns/begin {"returns":[{"clientId":"c-1","kind":"ny-nys-45","period":"2026-Q3"}]}',
    ]);
    fireEvent.click(screen.getByRole('checkbox', { name: /of Client 1$/ }));
    expect(screen.queryByRole('button', { name: /^Begin/ })).toBeNull();
  });
  it('are checked together, those that differ as well', async () => {
    show({
      'POST /api/due-returns/check': {
        body: [
          { key: 'f-2', what: 'a', refused: null },
          { key: 'f-3', what: 'b', refused: null },
        ],
      },
    });
    await screen.findByText(/2 not begun/);
    click('Check 2');
    expect(await screen.findByText('2 returns checked.')).toBeDefined();
  });
  it('leave by one slip', async () => {
    show({
      'POST /api/due-returns/slip': { body: SLIP },
      'POST /api/due-returns/release': { body: [{ key: 'f-4', what: 'a', refused: null }] },
    });
    await screen.findByText(/2 not begun/);
    click('Release 1…');
    fireEvent.click(await screen.findByRole('button', { name: 'Release one return' }));
    expect(await screen.findByText('1 return released.')).toBeDefined();
    await waitFor(() =>
      expect(changes()).toEqual(
        ['slip', 'release'].map((act) => `POST /api/due-returns/${act} {"returns":[{"id":"f-4","version":3}]}`),
      ),
    );
  });
  it('are filtered by what is typed and by status, and the address says so', async () => {
    show({}, '/returns?status=differs');
    await screen.findByText(/2 not begun/);
    expect(screen.getAllByRole('link').map(({ textContent }) => textContent)).toEqual([
      'Transmissions',
      'Acknowledgements (CSV)',
      'NY Form NYS-45, Q3 2026',
    ]);
  });
  it('an empty quarter says what brings returns there', async () => {
    show({ 'GET /api/due-returns': { body: { quarter: '2026-Q3', rows: [], more: 0, aggregated: 0 } } });
    expect(await screen.findByText(/No client paid anything in Q3 2026/)).toBeDefined();
  });
});
