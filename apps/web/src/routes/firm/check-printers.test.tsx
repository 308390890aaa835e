import { afterEach, describe, expect, it } from '@jest/globals';
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { Route } from 'react-router';
import { asked, open, refusal, serve, startAnew, type Answers } from '../../testing/pages.js';
import { CheckSamples } from '../clients/check-samples.js';
import { CheckPrinters } from './check-printers.js';

afterEach(() => {
  localStorage.clear();
  startAnew();
});
const DESK = { id: 'p1', name: 'Front desk', right: '0.06', down: '' };
const show = (answers: Answers, element = <CheckPrinters />): void => {
  serve({ 'GET /api/check-printers': { body: [DESK] }, ...answers });
  open('/here', <Route path="/here" element={element} />);
};
const type = (label: string, value: string): void =>
  void fireEvent.change(screen.getByLabelText(label), { target: { value } });
const changes = (): string[] => asked.filter((call) => !call.startsWith('GET'));

describe('the printers of checks', () => {
  it('are added, changed and taken away', async () => {
    show({
      'POST /api/check-printers': { status: 201, body: [DESK] },
      'PUT /api/check-printers/p1': { body: [DESK] },
      'DELETE /api/check-printers/p1': { body: [] },
    });
    expect(await screen.findByText('0.06 in')).toBeTruthy();
    type('Printer', 'Back room');
    type('Farther down, inches', '-0.1');
    fireEvent.click(screen.getByRole('button', { name: 'Add the printer' }));
    await waitFor(() =>
      expect(changes()).toEqual(['POST /api/check-printers {"name":"Back room","right":"","down":"-0.1"}']),
    );
    fireEvent.click(await screen.findByRole('button', { name: 'change Front desk' }));
    type('Farther right, inches', '0.05');
    fireEvent.click(screen.getByRole('button', { name: 'Save the printer' }));
    await waitFor(() =>
      expect(changes().at(-1)).toBe('PUT /api/check-printers/p1 {"name":"Front desk","right":"0.05","down":""}'),
    );
    fireEvent.click(await screen.findByRole('button', { name: 'take away Front desk' }));
    await waitFor(() => expect(changes().at(-1)).toMatch(/^DELETE \/api\/check-printers\/p1/));
  });
  it('say what is wrong with a length', async () => {
    show({ 'POST /api/check-printers': refusal(422, '0.7 is not a length of half an inch at most.') });
    type('Printer', 'Third');
    fireEvent.click(await screen.findByRole('button', { name: 'Add the printer' }));
    expect(await screen.findByText(/not a length of half an inch/)).toBeTruthy();
  });
  it('are chosen where a sample page is asked for, and kept for this desk', async () => {
    show({}, <CheckSamples clientId="c1" />);
    const sample = () => screen.getByRole('link', { name: 'check at the top' }).getAttribute('href');
    expect(sample()).toBe('/api/clients/c1/check-sample.pdf?layout=top');
    fireEvent.change(await screen.findByLabelText('Printer'), { target: { value: 'p1' } });
    await waitFor(() => expect(sample()).toBe('/api/clients/c1/check-sample.pdf?layout=top&printer=p1'));
    expect(localStorage.getItem('zakat-check-printer')).toContain('p1');
  });
});
