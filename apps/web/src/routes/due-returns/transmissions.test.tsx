import { afterEach, describe, expect, it } from '@jest/globals';
import { fireEvent, screen } from '@testing-library/react';
import { Route } from 'react-router';
import { open, serve, session, startAnew } from '../../testing/pages.js';
import { TransmissionsPage } from './transmissions.js';

afterEach(startAnew);

const transmission = (more: object) => ({
  id: 't1',
  number: 1,
  receiver: 'Internal Revenue Service',
  madeAt: '2026-10-20T14:00:00.000Z',
  sentAt: '2026-10-20T14:00:02.000Z',
  delayed: null,
  refused: null,
  reference: 'MFT000001',
  count: 2,
  amount: 1_810_422,
  accepted: 2,
  rejected: 0,
  isAcknowledged: true,
  returns: ['Ark Inc', 'Barge Inc'].map((clientName, index) => ({
    filingId: `f${index}`,
    title: 'Form 941, Q3 2026',
    clientName,
    verdict: 'accepted',
  })),
  ...more,
});
const show = (rows: object[]): void => {
  serve({ 'GET /api/session': { body: session }, 'GET /api/transmissions': { body: rows } });
  open('/returns/transmissions', <Route path="/returns/transmissions" element={<TransmissionsPage />} />);
};

describe('transmissions', () => {
  it('have their control totals, what became of their returns, and both files', async () => {
    show([transmission({})]);
    expect(await screen.findByText('18,104.22')).toBeTruthy();
    expect(screen.getByText('2 accepted')).toBeTruthy();
    expect(screen.getByRole('link', { name: 'as sent' }).getAttribute('href')).toBe('/api/transmissions/t1/file');
    expect(screen.getByRole('link', { name: 'acknowledgements' })).toBeTruthy();
    expect(screen.queryByText(/Ark Inc/)).toBeNull();
    fireEvent.click(screen.getByRole('button', { name: 'Returns of transmission 1' }));
    expect(screen.getByText(/Ark Inc/)).toBeTruthy();
  });
  it('with a return that was refused show it at once, with the way to it', async () => {
    const returns = [
      { filingId: 'f0', title: 'Form 941, Q3 2026', clientName: 'Ark Inc', verdict: 'accepted' },
      { filingId: 'f1', title: 'Form 944, 2026', clientName: 'Barge Inc', verdict: 'rejected' },
    ];
    show([transmission({ accepted: 1, rejected: 1, returns })]);
    expect(await screen.findByText('1 accepted, 1 rejected')).toBeTruthy();
    expect(screen.getByRole('link', { name: 'Form 944, 2026' }).getAttribute('href')).toBe('/filings/f1');
  });
  it('that have not left say why, and have no acknowledgements', async () => {
    const delayed = 'the receiver cannot be reached';
    show([transmission({ sentAt: null, reference: null, delayed, accepted: 0, isAcknowledged: false })]);
    expect(await screen.findByText(/not sent yet: the receiver cannot be reached; tried again by itself/)).toBeTruthy();
    expect(screen.queryByRole('link', { name: 'acknowledgements' })).toBeNull();
  });
  it('that were refused as a whole say so, and that their returns went one by one', async () => {
    const refused = 'Refused as a whole: The returns do not come to the control total.';
    show([transmission({ sentAt: null, reference: null, refused, accepted: 0, isAcknowledged: false, returns: [] })]);
    expect(await screen.findByText(`${refused} Its returns went one by one.`)).toBeTruthy();
  });
  it('come once two returns leave together', async () => {
    show([]);
    expect(await screen.findByText(/Nothing has left together yet/)).toBeTruthy();
  });
});
