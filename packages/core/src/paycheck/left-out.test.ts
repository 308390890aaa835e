import { describe, expect, it } from '@jest/globals';
import { composeCase, lineKey, type TypedEntry } from '../casefile/compose.js';
import { runCase, type CaseAnswer } from '../casefile/run-case.js';
import { make, problems, type Given } from '../testing/whole-checks.js';

const SUPPORT = { kind: 'child-support', label: 'Case D-4471', amount: '115.00', fee: '2.00' };
const LOAN = { item: 'loan', amount: '90.00' };
const HEALTH = { item: 'section-125-health', amount: '62.00' };
const MATCH = { item: 'match-401k', amount: '40.00' };
const run = (deductions: Given[], employee: Given = {}, more: Given = {}): CaseAnswer =>
  runCase(make('TX', { deductions, ...more }, employee));
const leaves = (line: Given, reason = 'lifted by the agency'): Given => ({ ...line, leftOut: reason });

describe('a line that is left out of a check', () => {
  it('is not in it: the check is as if there were no such line', () => {
    const without = run([HEALTH]);
    const left = run([HEALTH, leaves(LOAN)], { garnishments: [leaves(SUPPORT)] });
    expect([left.net, left.taxes, left.deductions, left.garnishments]).toEqual([
      without.net,
      without.taxes,
      without.deductions,
      without.garnishments,
    ]);
    expect(run([HEALTH, LOAN], { garnishments: [SUPPORT] }).net).not.toBe(without.net);
  });
  it.each([
    ['an order', [], { garnishments: [leaves(SUPPORT)] }, {}, ['line.order-left-out']],
    ['an election under a plan', [leaves(HEALTH)], {}, {}, ['line.election-left-out']],
    ['a Roth deferral', [leaves({ item: 'roth-401k', amount: '50.00' })], {}, {}, ['line.election-left-out']],
    ['what nobody but the person wants', [leaves(LOAN)], {}, {}, []],
    ['what the employer adds', [], {}, { employerPaid: [leaves(MATCH)] }, []],
  ])('%s: it warns where the law or a plan wants it in every check', (_, deductions, employee, more, codes) =>
    expect(problems(run(deductions, employee, more))).toEqual(codes),
  );
  it('says why', () =>
    expect(run([], { garnishments: [leaves(SUPPORT)] }).problems[0]?.sentence).toBe(
      'Case D-4471 is left out of this check: lifted by the agency. An order asks for it from every check until its court or agency lifts it.',
    ));
  it.each([
    [[leaves(LOAN, '')], {}, 'deductions[0].leftOut'],
    [[leaves(LOAN, '   ')], {}, 'deductions[0].leftOut'],
    [[], { garnishments: [leaves(SUPPORT, '')] }, 'employee.garnishments[0].leftOut'],
  ])('wants a reason: %j', (deductions, employee, field) => {
    const answer = run(deductions, employee);
    expect([answer.net, answer.problems[0]?.code, answer.problems[0]?.field]).toEqual([null, 'input.missing', field]);
  });
});

describe('an entry with lines left out', () => {
  const base = make(
    'TX',
    { earnings: null, items: [{ code: 'boots', label: 'Boots', like: 'loan' }] },
    {
      garnishments: [SUPPORT, { kind: 'creditor', amount: '20.00' }],
    },
  );
  const answer = (leftOut: TypedEntry['leftOut']) =>
    runCase(
      composeCase(base, {
        earnings: [{ item: 'salary', amount: '3000.00' }],
        deductions: [HEALTH, { item: 'boots', amount: '30.00' }, MATCH],
        leftOut,
      }),
    );
  const left = (line: string) => ({ line, reason: 'not this time' });
  it('leaves out orders by their label or kind, other lines by their item, own ones too', () => {
    const all = answer(undefined);
    expect([all.deductions?.length, all.garnishments?.length, all.employerPaid?.length]).toEqual([2, 2, 1]);
    const some = answer([
      left(lineKey('order', 'Case D-4471')),
      left(lineKey('item', 'boots')),
      left(lineKey('item', 'match-401k')),
    ]);
    expect(some.deductions?.map((line) => line.item)).toEqual(['section-125-health']);
    expect(some.garnishments?.map((line) => line.kind)).toEqual(['creditor']);
    expect(some.employerPaid).toBeUndefined();
    expect(answer([left(lineKey('order', 'creditor'))]).garnishments?.map((line) => line.label)).toEqual([
      'Case D-4471',
    ]);
  });
  it('does not touch what the check starts from, nor pay', () => {
    const before = JSON.stringify(base);
    expect(answer([left(lineKey('item', 'salary')), left(lineKey('order', 'Case D-4471'))]).gross).toBe('3000.00');
    expect(JSON.stringify(base)).toBe(before);
    expect(answer(undefined).garnishments?.length).toBe(2);
  });
});
