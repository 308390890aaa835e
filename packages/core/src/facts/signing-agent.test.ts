import { describe, expect, test } from '@jest/globals';
import { date } from '../calendar/local-date.js';
import { agentAuthority } from './signing-agent.js';

const SIGNED = { standing: 'signed', returnsFrom: '2026-07-01', depositsFrom: '2026-07-01', signedBy: 'Ada Quill' };
const RETURN = { signedBy: 'Form 8879-EMP' } as const;
const THIRD = { start: date('2026-07-01') };

describe('Form 8655 in place of a signature of the client', () => {
  test('holds from the period it names on', () => {
    const authority = { signedBy: 'Ada Quill', returnsFrom: '2026-07-01' };
    expect(agentAuthority(RETURN, THIRD, SIGNED)).toEqual(authority);
    expect(agentAuthority(RETURN, { start: date('2026-10-01') }, SIGNED)).toEqual(authority);
  });
  test.each([
    ['nothing was sent', RETURN, THIRD, null],
    ['it was only sent', RETURN, THIRD, { ...SIGNED, standing: 'sent' }],
    ['it was revoked', RETURN, THIRD, { ...SIGNED, standing: 'revoked' }],
    ['the period began before', RETURN, { start: date('2026-04-01') }, SIGNED],
    ['the year began before', RETURN, { start: date('2026-01-01') }, SIGNED],
    ['the form goes unsigned', { signedBy: null }, THIRD, SIGNED],
  ])('does not hold where %s', (_, kind, period, terms) => {
    expect(agentAuthority(kind, period, terms)).toBeNull();
  });
});
