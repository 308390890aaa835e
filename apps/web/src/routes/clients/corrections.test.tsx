import { afterEach, beforeEach, describe, expect, it } from '@jest/globals';
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { Route } from 'react-router';
import { asked, open, serve, session, startAnew } from '../../testing/pages.js';
import { CorrectionsSection } from './corrections.js';

beforeEach(startAnew);
afterEach(startAnew);

const row = (more: object = {}) => ({
  filingId: 'f1',
  title: 'Form 941, Q3 2026',
  kind: 'us-941-x',
  name: 'Form 941-X',
  period: '2026-Q3',
  differs: 12,
  change: 55_950,
  due: '2027-02-01',
  openId: null,
  openStatus: null,
  ...more,
});
const show = (rows: object[], begun: object[] = []): void => {
  serve({
    'GET /api/session': { body: session },
    'GET /api/clients/c1/corrections': { body: rows },
    'POST /api/clients/c1/corrections': { body: begun },
  });
  open('/', <Route path="/" element={<CorrectionsSection clientId="c1" />} />);
};

describe('what was accepted and is no longer what the records say', () => {
  it('stands with what corrects it, by when, and by how much', async () => {
    show([
      row(),
      row({
        filingId: 'f2',
        title: 'TX Form C-3, Q3 2026',
        name: 'Amended TX Form C-3',
        kind: 'tx-c-3-amended',
        differs: 1,
        due: null,
        change: -500,
        openId: 'f9',
        openStatus: 'draft',
      }),
    ]);
    expect((await screen.findByRole('link', { name: 'Form 941, Q3 2026' })).getAttribute('href')).toBe('/filings/f1');
    expect(screen.getByRole('link', { name: 'Amended TX Form C-3' }).getAttribute('href')).toBe('/filings/f9');
    expect([screen.getByText('12 lines'), screen.getByText('1 line'), screen.getByText('02/01/2027')]).toHaveLength(3);
    expect(screen.getByText('as soon as it is found')).toBeTruthy();
  });
  it('is begun together; the refused one is named', async () => {
    show(
      [row(), row({ filingId: null, period: '2026-Q2' })],
      [
        { key: 'a', what: 'Form 941-X of Form 941, Q3 2026', refused: null },
        { key: 'b', what: 'Form 941-X of Form 941, Q2 2026', refused: 'It is under way.' },
      ],
    );
    fireEvent.click(await screen.findByRole('button', { name: 'Begin all 2 corrections' }));
    expect(await screen.findByText(/Form 941-X of Form 941, Q2 2026: It is under way/)).toBeTruthy();
    await waitFor(() => expect(asked.filter((call) => call.startsWith('POST'))).toHaveLength(1));
  });
  it('is no section where nothing differs', async () => {
    show([]);
    await waitFor(() => expect(asked).toContain('GET /api/clients/c1/corrections'));
    expect(screen.queryByRole('heading', { name: /To be corrected/ })).toBeNull();
  });
});
