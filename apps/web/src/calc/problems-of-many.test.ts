import { describe, expect, it } from '@jest/globals';
import { problemsOfMany } from './problems-of-many.js';

const problem = (sentence: string, severity = 'warning') => ({ field: 'f', severity, sentence, fix: 'Ask.' });
const people = (count: number, sentence: string) =>
  Array.from({ length: count }, (_, index) => ({ name: `P${index + 1}`, problems: [problem(sentence)] }));

describe('what there is to say of many checks', () => {
  it.each([
    [1, 'P1: No form.'],
    [4, 'P1, P2, P3, P4: No form.'],
    [5, 'P1, P2, P3 and 2 more: No form.'],
  ])('of %d people is said once', (count, sentence) =>
    expect(problemsOfMany(people(count, 'No form.')).map((one) => one.sentence)).toEqual([sentence]),
  );
  it('is told apart by what is said and how grave it is, in the order of the people', () =>
    expect(
      problemsOfMany([
        { name: 'A', problems: [problem('x'), problem('y')] },
        { name: 'B', problems: [problem('y', 'error'), problem('x'), problem('x')] },
      ]).map(({ sentence, severity }) => [sentence, severity]),
    ).toEqual([
      ['A, B: x', 'warning'],
      ['A: y', 'warning'],
      ['B: y', 'error'],
    ]));
});
