import { afterEach, describe, expect, it } from '@jest/globals';
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { inClient, ofClient } from '../../testing/client-pages.js';
import { asked, open, serve, session, startAnew } from '../../testing/pages.js';
import { RecomputedPage } from './recomputed.js';

afterEach(startAnew);

const NOTHING = { year: 2026, looked: 8, totals: [], checks: [], foundBy: 'review', more: 0, closed: [] };
const show = (view: object): void => {
  serve({
    'GET /api/session': { body: session },
    'GET /api/clients/c1': { body: ofClient },
    'GET /api/clients/c1/recomputed?year=2026': { body: view },
  });
  open('/clients/c1/recomputed', inClient(<RecomputedPage />));
};
const tax = { tax: 'NY-SUI', label: 'New York unemployment', payer: 'employer', posted: 10_000, now: 12_500 };
const check = { payrollId: 'p1', employeeId: 'e1', name: 'Quay, Rosalind', checkDate: '2026-10-30' };

describe('posted checks worked out again', () => {
  it('say so where none of them moves', async () => {
    show(NOTHING);
    expect(await screen.findByText('All 8 posted checks of 2026 come to the same taxes today.')).toBeDefined();
  });
  it('show each tax, each check and what changed, and how it is put right', async () => {
    show({
      ...NOTHING,
      totals: [{ ...tax, checks: 2 }],
      checks: [{ ...check, taxes: [tax], causes: ['unemployment rate'], problem: '' }],
      more: 1,
      closed: [{ what: 'Released: NYS-45, Q3 2026.', follows: 'It is put right with its amended return.' }],
    });
    expect(await screen.findByText(/^2 of 8 posted checks come to other taxes today/)).toBeDefined();
    expect(screen.getAllByText('+25.00')).toHaveLength(2);
    expect(screen.getByText('unemployment rate')).toBeDefined();
    expect(screen.getByText(/owed with it when it is filed/)).toBeDefined();
    expect(screen.queryByText(/stay as they were withheld/)).toBeNull();
    expect(screen.getByText(/put right with its amended return/)).toBeDefined();
    expect(asked).toContain('GET /api/clients/c1/recomputed?year=2026');
  });
  it('become a case with one key, with what was found as its evidence', async () => {
    serve({
      'GET /api/session': { body: session },
      'GET /api/clients/c1': { body: ofClient },
      'GET /api/clients/c1/recomputed?year=2026': {
        body: {
          ...NOTHING,
          totals: [{ ...tax, checks: 1 }],
          checks: [{ ...check, taxes: [tax], causes: ['unemployment rate'], problem: '' }],
          foundBy: 'rate',
        },
      },
      'POST /api/clients/c1/correction-cases': { status: 201, body: { id: 'q1', warnings: [] } },
    });
    open('/clients/c1/recomputed', inClient(<RecomputedPage />));
    fireEvent.click(await screen.findByRole('button', { name: 'Open it as a case' }));
    await waitFor(() => expect(asked.some((call) => call.startsWith('POST'))).toBe(true));
    const sent = asked.find((call) => call.startsWith('POST')) ?? '';
    expect(JSON.parse(sent.slice(sent.indexOf('{')))).toEqual({
      what: 'Posted checks of 2026 come to other taxes: unemployment rate',
      since: '2026-10-30',
      foundBy: 'rate',
      evidence: 'Worked out again: 1 check of 8. New York unemployment: +25.00 in 1 check.',
    });
  });
  it('say why one of them cannot be worked out any more', async () => {
    show({
      ...NOTHING,
      checks: [{ ...check, taxes: [], causes: ['state certificate'], problem: 'The rate is missing.' }],
    });
    expect(await screen.findByText('It cannot be worked out any more. The rate is missing.')).toBeDefined();
  });
});
