import { afterEach, expect, it } from '@jest/globals';
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { Route } from 'react-router';
import { asked, open, refusal, serve, startAnew, type Answers } from '../../testing/pages.js';
import { AgentPin } from './agent-pin.js';

afterEach(startAnew);

const show = (firm: { hasAgentPin: boolean }, isAdministrator = true, answers: Answers = {}): void => {
  serve({ 'PUT /api/firm/agent-pin': { body: {} }, ...answers });
  open('/', <Route path="/" element={<AgentPin {...firm} isAdministrator={isAdministrator} />} />);
};
const press = (name: string): void => void fireEvent.click(screen.getByRole('button', { name }));

it('is entered by an administrator, and stays in the form while it is refused', async () => {
  show({ hasAgentPin: false }, true, {
    'PUT /api/firm/agent-pin': refusal(422, 'A reporting agent PIN has five digits, not all zero.'),
  });
  press('enter it');
  fireEvent.change(screen.getByLabelText('PIN, five digits'), { target: { value: '2718' } });
  press('Keep it');
  expect(await screen.findByText(/A reporting agent PIN has five digits/)).toBeTruthy();
  expect(asked).toContain('PUT /api/firm/agent-pin {"pin":"2718"}');
  expect(screen.getByDisplayValue('2718')).toBeTruthy();
});
it('is not shown here once it is kept, and can be replaced or taken away', async () => {
  show({ hasAgentPin: true });
  expect(screen.getByText(/It is kept sealed, and stands only in the files that it signs/)).toBeTruthy();
  expect(screen.getByRole('button', { name: 'replace it' })).toBeTruthy();
  press('take it away');
  await waitFor(() => expect(asked).toContain('PUT /api/firm/agent-pin {"pin":""}'));
});
it('is nobody else’s to change', () => {
  show({ hasAgentPin: true }, false);
  expect(screen.queryByRole('button')).toBeNull();
});
