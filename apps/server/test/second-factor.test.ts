import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { TOTP, Secret } from 'otpauth';
import { stepOfCode } from '../src/modules/identity/totp.js';
import { Stack, type Caller } from './stack.js';

let stack: Stack;
let preparer: Caller;
let administrator: Caller;
const EMAIL = 'preparer@alder.example';
const PASSWORD = 'a-long-enough-password';

beforeAll(async () => {
  stack = await Stack.start();
  await stack.addFirm('Alder');
  preparer = await stack.signIn('Alder', 'preparer');
  administrator = await stack.signIn('Alder', 'administrator');
}, 60_000);
afterAll(() => stack.stop(), 30_000);

const enter = (more: Record<string, unknown> = {}) =>
  stack.call('POST', '/session', { email: EMAIL, password: PASSWORD, ...more });

describe('a second factor', () => {
  // RFC 6238, appendix B: the SHA-1 secret "12345678901234567890" at 59 seconds gives 94287082; six digits are its tail.
  it('is the one of RFC 6238', () => {
    const secret = Secret.fromUTF8('12345678901234567890').base32;
    expect(stepOfCode(secret, '287082', 59_000)).toBe(1);
    expect(stepOfCode(secret, '287082', 89_000)).toBe(1);
    expect(stepOfCode(secret, '287082', 200_000)).toBeNull();
  });
  it('counts once its first code was typed, is asked for, and takes each code once', async () => {
    const { secret, picture } = (await preparer('POST', '/session/second-factor')).body;
    expect(picture).toContain('<svg');
    expect((await enter()).status).toBe(204);
    expect((await preparer('POST', '/session/second-factor/confirm', { code: '000000' })).status).toBe(422);
    const totp = new TOTP({ secret: Secret.fromBase32(secret) });
    const now = Date.now();
    expect(
      (await preparer('POST', '/session/second-factor/confirm', { code: totp.generate({ timestamp: now }) })).status,
    ).toBe(204);
    const bare = await enter();
    expect([bare.status, bare.body.code]).toEqual([401, 'second-factor']);
    const used = await enter({ code: totp.generate({ timestamp: now }) });
    expect([used.status, used.body.code]).toEqual([401, 'second-factor-wrong']);
    const next = totp.generate({ timestamp: now + 30_000 });
    const answers = await Promise.all([enter({ code: next }), enter({ code: next })]);
    expect(answers.map((answer) => answer.status).sort()).toEqual([204, 401]);
    expect((await preparer('GET', '/session')).body.hasSecondFactor).toBe(true);
    expect((await preparer('POST', '/session/second-factor')).status).toBe(409);
  });
  it('a wrong password says nothing about it', async () => {
    const wrong = await enter({ password: 'not-this-one-at-all' });
    expect(wrong.body.code).toBe('sign-in-failed');
  });
});

describe('users', () => {
  it('the last administrator stays one; a closed account is signed out at once', async () => {
    const users = (await administrator('GET', '/users')).body as { id: string; role: string; name: string }[];
    const of = (role: string) => users.find((user) => user.role === role);
    const own = of('administrator');
    const refused = await administrator('PUT', `/users/${own?.id ?? ''}`, {
      name: own?.name,
      role: 'preparer',
      isActive: true,
    });
    expect([refused.status, refused.body.problems[0].field]).toEqual([422, 'role']);
    const reviewer = await stack.signIn('Alder', 'reviewer');
    expect(
      (await reviewer('PUT', `/users/${own?.id ?? ''}`, { name: 'x', role: 'preparer', isActive: true })).status,
    ).toBe(403);
    const other = of('reviewer');
    await administrator('PUT', `/users/${other?.id ?? ''}`, { name: other?.name, role: 'reviewer', isActive: false });
    expect((await reviewer('GET', '/session')).status).toBe(401);
    await expect(stack.signIn('Alder', 'reviewer')).rejects.toThrow(/401/);
  });
  it('signing out everywhere ends every session of that person', async () => {
    const users = (await administrator('GET', '/users')).body as { id: string; role: string }[];
    const id = users.find((user) => user.role === 'preparer')?.id ?? '';
    expect((await administrator('POST', `/users/${id}/sign-out-everywhere`)).status).toBe(204);
    expect((await preparer('GET', '/session')).status).toBe(401);
  });
  it('a new one signs in with the first password, and changes it', async () => {
    const email = 'new@alder.example';
    const added = await administrator('POST', '/users', {
      name: 'New',
      email,
      role: 'preparer',
      password: 'first-password-1',
    });
    expect(added.status).toBe(201);
    const again = await administrator('POST', '/users', {
      name: 'New',
      email,
      role: 'preparer',
      password: 'first-password-1',
    });
    expect(again.body.problems[0].field).toBe('email');
    expect(
      (
        await administrator('POST', '/users', {
          name: 'New',
          email: 'x@y.example',
          role: 'preparer',
          password: 'short',
        })
      ).status,
    ).toBe(400);
    expect((await stack.call('POST', '/session', { email, password: 'first-password-1' })).status).toBe(204);
  });
});
