import { describe, expect, it } from '@jest/globals';
import { readShortLine } from './short-line.js';

describe('a short line', () => {
  it.each([
    ['38.5 reg 4 ot sick 3', { regular: '38.5', overtime: '4', sick: '3' }],
    ['76', { regular: '76' }],
    ['ot 2.25', { overtime: '2.25' }],
    ['8 hol, 32 reg; bonus 500', { holiday: '8', regular: '32', bonus: '500' }],
    ['32 REG vac 8', { regular: '32', vacation: '8' }],
    ['', {}],
  ])('%s', (text, values) => expect(readShortLine(text)).toEqual({ values, problem: null }));
  it.each([
    ['8 holidays', /holidays is not known/],
    ['reg', /regular has no number/],
    ['8 9 reg', /8 has no word/],
    ['8 reg 9', /9 has no word/],
    ['8 reg 2 reg', /twice/],
    ['-4 ot', /-4 is not known/],
    ['1e3 reg', /1e3/],
  ])('%s is not guessed at', (text, problem) => {
    const read = readShortLine(text);
    expect(read.problem).toMatch(problem);
    expect(read.values).toEqual({});
  });
});
