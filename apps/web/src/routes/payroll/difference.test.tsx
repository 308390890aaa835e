import { afterEach, beforeEach, describe, expect, it } from '@jest/globals';
import { fireEvent, screen } from '@testing-library/react';
import { Route } from 'react-router';
import { asked, open, serve, session, startAnew } from '../../testing/pages.js';
import { DifferencePage } from './difference.js';

beforeEach(startAnew);
afterEach(startAnew);

const person = (id: string, name: string) => ({
  employeeId: `e-${id}`,
  name,
  earnings: [{ item: 'regular', hours: '80', rate: '25.00' }],
  deductions: [],
  paycheck: { id },
});
const show = (difference: object): void => {
  serve({
    'GET /api/session': { body: { ...session, today: '2026-11-02' } },
    'GET /api/payrolls/p1': {
      body: {
        id: 'p1',
        clientId: 'c1',
        clientName: 'Gannet Boatyard',
        einTail: '4561',
        checkDate: '2026-10-30',
        persons: [person('k1', 'Wil Sprague'), person('k2', 'Ada Reed')],
      },
    },
    'POST /api/payrolls/p1/difference': {
      body: { name: 'Wil Sprague', checkDate: '2026-10-30', typed: [], rows: [], lines: [], isOverpaid: false, problems: [], ...difference }, // prettier-ignore
    },
    'POST /api/payrolls/p1/difference-payroll': { status: 201, body: { id: 'p9', warnings: [] } },
  });
  open('/payrolls/p1/difference?check=k1', [
    <Route key="a" path="/payrolls/:payrollId/difference" element={<DifferencePage />} />,
    <Route key="b" path="/payrolls/p9" element={<p>the off-cycle payroll</p>} />,
  ]);
};

describe('a posted check that is corrected', () => {
  it('is typed as it should have been, and what is missing is paid off-cycle', async () => {
    show({
      rows: [{ label: 'Gross pay', kind: 'pay', posted: 200_000, should: 300_000 }],
      lines: [{ item: 'regular', hours: '4.00', rate: '25.00' }],
    });
    fireEvent.change(await screen.findByLabelText('Hours, Regular'), { target: { value: '84' } });
    expect((await screen.findByText('+1,000.00')).closest('tr')?.textContent).toContain('Gross pay');
    fireEvent.click(await screen.findByRole('button', { name: 'Pay the difference off-cycle' }));
    expect(await screen.findByText('the off-cycle payroll')).toBeTruthy();
    const sent = asked.find((call) => call.includes('difference-payroll')) ?? '';
    expect(sent).toContain('"hours":"84"');
    expect(sent).toContain('"checkDate":"2026-11-02"');
  });
  it('that paid too much is voided and paid again, and nothing is offered to be paid', async () => {
    show({ isOverpaid: true });
    expect((await screen.findByRole('link', { name: 'Void the check' })).getAttribute('href')).toBe(
      '/payrolls/p1/void?checks=k1',
    );
    expect(screen.queryByRole('button', { name: /Pay the difference/ })).toBeNull();
  });
  it('that cannot be worked out says why', async () => {
    show({ problems: ['The rate is missing.'] });
    expect(await screen.findByText('The rate is missing.')).toBeTruthy();
  });
});
