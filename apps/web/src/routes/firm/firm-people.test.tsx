import { afterEach, describe, expect, it } from '@jest/globals';
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { Route } from 'react-router';
import { asked, open, refusal, serve, session, startAnew, type Answers } from '../../testing/pages.js';
import { OwnSignIn } from './own-sign-in.js';
import { Users } from './users.js';

afterEach(startAnew);

const type = (label: string | RegExp, value: string): void =>
  void fireEvent.change(screen.getByLabelText(label, { selector: 'input, select' }), { target: { value } });
const changes = (): string[] => asked.filter((call) => !call.startsWith('GET'));

describe('the users of a firm', () => {
  const user = (more: object) => ({
    id: 'u1',
    name: 'Ines Okoro',
    email: 'ines@breakwater.example',
    role: 'reviewer',
    isActive: true,
    hasSecondFactor: true,
    sessions: 2,
    ...more,
  });
  const show = (isAdministrator: boolean, answers: Answers = {}): void => {
    serve({
      'GET /api/users': {
        body: [user({}), user({ id: 'u2', name: 'Tobias Renn', sessions: 1, hasSecondFactor: false })],
      },
      ...answers,
    });
    open('/', <Route path="/" element={<Users isAdministrator={isAdministrator} />} />);
  };
  const rowOf = async (name: string) => within((await screen.findByText(name)).closest('tr') as HTMLElement);

  it('are shown to everybody, and changed by an administrator only', async () => {
    show(false);
    const row = await rowOf('Ines Okoro');
    expect([row.getByText('reviewer'), row.getByText('in use'), row.getByText('2 places')]).toHaveLength(3);
    expect((await rowOf('Tobias Renn')).getByText('1 place')).toBeTruthy();
    expect(screen.queryByRole('button')).toBeNull();
    expect(screen.queryByLabelText('Role of Ines Okoro')).toBeNull();
  });
  it('change their role, are signed out everywhere, and lose their account without losing their name', async () => {
    show(true, {
      'PUT /api/users/u1': { body: {} },
      'POST /api/users/u1/sign-out-everywhere': { status: 204, body: null },
    });
    const row = await rowOf('Ines Okoro');
    type('Role of Ines Okoro', 'administrator');
    fireEvent.click(row.getByRole('button', { name: 'sign out everywhere' }));
    fireEvent.click(row.getByRole('button', { name: 'close the account' }));
    await waitFor(() => expect(changes()).toHaveLength(3));
    expect(changes().sort()).toEqual([
      'POST /api/users/u1/sign-out-everywhere ',
      'PUT /api/users/u1 {"name":"Ines Okoro","isActive":true,"role":"administrator"}',
      'PUT /api/users/u1 {"name":"Ines Okoro","role":"reviewer","isActive":false}',
    ]);
  });
  it('say why one of them cannot be changed', async () => {
    show(true, { 'PUT /api/users/u1': refusal(409, 'The last administrator stays one.') });
    fireEvent.click((await rowOf('Ines Okoro')).getByRole('button', { name: 'close the account' }));
    expect(await screen.findByText(/The last administrator stays one/)).toBeTruthy();
  });
  it('get another one, and the form goes when it is there', async () => {
    show(true, { 'POST /api/users': { status: 201, body: { id: 'u3' } } });
    await rowOf('Ines Okoro');
    fireEvent.click(screen.getByRole('button', { name: 'add a user' }));
    type('Name', 'Runa Holt');
    type(/^E-mail/, 'runa@breakwater.example');
    type(/^First password/, 'a-long-enough-one');
    type('Role', 'reviewer');
    fireEvent.click(screen.getByRole('button', { name: 'Add' }));
    await waitFor(() => expect(changes()).toHaveLength(1));
    expect(changes()[0]).toContain('"role":"reviewer"');
    expect(await screen.findByRole('button', { name: 'add a user' })).toBeTruthy();
  });
});

describe('one’s own sign-in', () => {
  const show = (hasSecondFactor: boolean, answers: Answers = {}): void => {
    serve({ 'GET /api/session': { body: { ...session, hasSecondFactor } }, ...answers });
    open('/', <Route path="/" element={<OwnSignIn />} />);
  };
  const press = async (name: string): Promise<void> =>
    void fireEvent.click(await screen.findByRole('button', { name }));

  it('changes the password once the new one is long enough', async () => {
    show(false, { 'PUT /api/session/password': { status: 204, body: null } });
    await screen.findByLabelText('New password', { selector: 'input' });
    type('Current password', 'old-and-worn-out');
    type('New password', 'short');
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Change' }).disabled).toBe(true);
    type('New password', 'a-much-longer-one');
    await press('Change');
    expect(await screen.findByText('changed; your other sessions have ended')).toBeTruthy();
    expect(changes()).toEqual(['PUT /api/session/password {"current":"old-and-worn-out","next":"a-much-longer-one"}']);
  });
  it('sets up a second factor with a key that can be typed, and takes it into use with six digits', async () => {
    show(false, {
      'POST /api/session/second-factor': { body: { secret: 'JBSWY3DP', picture: '<svg/>' } },
      'POST /api/session/second-factor/confirm': { status: 204, body: null },
    });
    await press('set up a second factor');
    expect(await screen.findByText(/JBSWY3DP/)).toBeTruthy();
    type('Six digits', '123456');
    await press('Use it');
    await waitFor(() => expect(changes().at(-1)).toBe('POST /api/session/second-factor/confirm {"code":"123456"}'));
  });
  it('takes the second factor away only with six digits that are right', async () => {
    show(true, { 'POST /api/session/second-factor/remove': refusal(422, 'The digits are not right.') });
    await press('take the second factor away');
    type('Six digits', '000000');
    await press('Take it away');
    expect(await screen.findByText(/The digits are not right/)).toBeTruthy();
    expect(screen.getByText(/A second factor is in use/)).toBeTruthy();
  });
  it('signs out everywhere', async () => {
    show(true, { 'POST /api/users/u/sign-out-everywhere': { status: 204, body: null } });
    await press('sign out everywhere, here too');
    await waitFor(() => expect(changes()).toEqual(['POST /api/users/u/sign-out-everywhere ']));
  });
});
