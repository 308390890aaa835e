import { describe, expect, it } from '@jest/globals';
import { STATE_NAMES, stateNamed } from './state-named.js';
import { ALL_STATES } from './states.js';

describe('a state as it is typed', () => {
  it('has the name of its rules', () =>
    expect(STATE_NAMES).toEqual(Object.fromEntries(ALL_STATES.map(({ code, name }) => [code, name]))));
  it.each([
    ['PA', 'PA'],
    ['pa', 'PA'],
    [' Pennsylvania ', 'PA'],
    ['NEW YORK', 'NY'],
    ['N.Y.', 'NY'],
    ['district of columbia', 'DC'],
    ['XX', null],
    ['', null],
  ])('%j is %s', (text, code) => expect(stateNamed(text)).toBe(code));
});
