import { afterEach, describe, expect, it } from '@jest/globals';
import { fireEvent, screen } from '@testing-library/react';
import { Route } from 'react-router';
import { open, serve, session, startAnew } from '../testing/pages.js';
import { TaxLetter, spansUntil } from './tax-letter.js';

afterEach(startAnew);

describe('the periods of a letter', () => {
  it('are the quarter of the day and four before it, then two years', () => {
    expect(spansUntil('2026-02-03').map(({ label, from, to }) => `${label} ${from} ${to}`)).toEqual([
      'Q1 2026 2026-01-01 2026-03-31',
      'Q4 2025 2025-10-01 2025-12-31',
      'Q3 2025 2025-07-01 2025-09-30',
      'Q2 2025 2025-04-01 2025-06-30',
      'Q1 2025 2025-01-01 2025-03-31',
      '2026 2026-01-01 2026-12-31',
      '2025 2025-01-01 2025-12-31',
    ]);
  });
  it('lead to the letter of the one that is chosen', async () => {
    serve({ 'GET /api/session': { body: { ...session, today: '2026-10-22' } } });
    open('/', <Route path="/" element={<TaxLetter base="/api/own-client" />} />);
    const link = await screen.findByRole('link', { name: /letter of taxes/ });
    expect(link.getAttribute('href')).toBe('/api/own-client/tax-statement.pdf?from=2026-10-01&to=2026-12-31');
    fireEvent.change(screen.getByLabelText('Period of the letter'), { target: { value: '1' } });
    expect(link.getAttribute('href')).toBe('/api/own-client/tax-statement.pdf?from=2026-07-01&to=2026-09-30');
  });
});
