import { afterEach, describe, expect, it } from '@jest/globals';
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { Route } from 'react-router';
import { asked, open, serve, startAnew } from '../../testing/pages.js';
import { OwnCalendar } from './own-calendar.js';

afterEach(startAnew);

const show = (rows: object[], isOfClient = false): void => {
  serve({
    'GET /api/session/calendar-feeds': { body: rows },
    'GET /api/clients?find=': { body: { rows: [{ id: 'c1', legalName: 'Gannet Boatyard' }], total: 1 } },
    'POST /api/session/calendar-feeds': {
      status: 201,
      body: { id: 'k1', address: 'http://zakat.example/api/calendar/secret.ics' },
    },
    'DELETE /api/session/calendar-feeds/k1': { body: [] },
  });
  open('/', <Route path="/" element={<OwnCalendar isOfClient={isOfClient} />} />);
};
const sent = (): string[] => asked.filter((call) => !call.startsWith('GET'));

describe('the calendar', () => {
  it('is an address of one client or of all, shown once', async () => {
    show([]);
    await screen.findByText(/^No address yet/);
    await screen.findByRole('option', { name: 'Gannet Boatyard' });
    fireEvent.change(screen.getByLabelText('Due dates of'), { target: { value: 'c1' } });
    fireEvent.click(screen.getByRole('button', { name: 'Make an address' }));
    expect(((await screen.findByLabelText(/shown this once/)) as HTMLInputElement).value).toMatch(/secret\.ics$/);
    expect(sent()).toEqual(['POST /api/session/calendar-feeds {"clientId":"c1"}']);
  });
  it('is ended', async () => {
    show([{ id: 'k1', of: '', madeAt: '2026-10-22T12:00:00Z' }]);
    fireEvent.click(await screen.findByRole('button', { name: 'end the address' }));
    await waitFor(() => expect(sent()).toEqual(['DELETE /api/session/calendar-feeds/k1 ']));
  });
  it('of somebody of a client has no choice of clients', async () => {
    show([], true);
    await screen.findByText(/^No address yet/);
    expect(screen.queryByLabelText('Due dates of')).toBeNull();
  });
});
