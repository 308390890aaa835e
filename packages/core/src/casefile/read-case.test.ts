import { describe, expect, it } from '@jest/globals';
import { runCase } from './run-case.js';
import { runLine } from './run-line.js';

const good = () => ({
  id: 'case',
  checkDate: '2026-03-13',
  payFrequency: 'biweekly',
  employee: {
    federal: { form: '2020', filingStatus: 'single' },
    residence: { state: 'NY' },
    work: [{ state: 'NY', share: '1' }],
    certificates: { NY: { filingStatus: 'single', allowances: 1 } },
    exemptFrom: [],
  },
  employer: { kind: 'business', unemploymentRates: { NY: '4.1' } },
  earnings: [{ item: 'regular', hours: '80', rate: '25.00' }] as Record<string, unknown>[],
  deductions: [] as Record<string, unknown>[],
});
type Case = ReturnType<typeof good>;
const codes = (change: (given: Case) => void): string[] => {
  const given = good();
  change(given);
  const answer = runCase(given);
  return answer.problems.map((problem) => `${problem.code} ${problem.field}`);
};
const set = (given: object, path: string, value: unknown): void => {
  const names = path.split('.');
  const last = names.pop() ?? '';
  const target = names.reduce<Record<string, unknown>>(
    (current, name) => current[name] as Record<string, unknown>,
    given as Record<string, unknown>,
  );
  target[last] = value;
};

describe('a case that can be computed', () => {
  it('has no problems and adds up', () => {
    const answer = runCase(good());
    expect(answer.problems).toEqual([]);
    expect(answer.gross).toBe('2000.00');
  });
});

describe('bad input: a code and a field each, and nothing is computed', () => {
  it.each<[string, unknown, string]>([
    ['checkDate', '2026-02-30', 'input.not-an-iso-date checkDate'],
    ['checkDate', undefined, 'input.missing checkDate'],
    ['payFrequency', 'fortnightly', 'input.not-one-of payFrequency'],
    ['employee.federal.filingStatus', 'divorced', 'input.not-one-of employee.federal.filingStatus'],
    ['employee.federal.form', '2019', 'input.not-one-of employee.federal.form'],
    ['employee.federal.dependentCredit', '-5.00', 'input.negative employee.federal.dependentCredit'],
    ['employee.federal.extraWithholding', 25, 'input.not-an-amount employee.federal.extraWithholding'],
    ['employee.federal.allowance', 1, 'input.unknown-field employee.federal.allowance'],
    ['employee.residence.locality', 'Atlantis', 'rule.locality-unknown employee.residence.locality'],
    ['employee.residence.state', 'ZZ', 'rule.state-unknown employee.residence'],
    ['employee.work', [{ state: 'ZZ' }], 'rule.state-unknown employee.work'],
    [
      'employee.work',
      [
        { state: 'NY', share: '0.5' },
        { state: 'TX', share: '0.4' },
      ],
      'rule.shares employee.work',
    ],
    ['employee.work', [], 'input.missing employee.work'],
    [
      'employee.certificates.NY',
      { filingStatus: 'single', allowances: -1 },
      'input.not-whole employee.certificates.NY.allowances',
    ],
    ['employee.exemptFrom', ['US-NOTHING'], 'input.not-one-of employee.exemptFrom'],
    ['employee.kind', 'partner', 'worker.partner employee.kind'],
    ['employer.unemploymentRates.NY', '41', 'employer.rate-implausible employer.unemploymentRates.NY'],
    ['earnings', [{ item: 'regular', hours: '-8', rate: '25' }], 'input.negative earnings[0].hours'],
    ['earnings', [{ item: 'regular', hours: '8' }], 'earning.hours-without-rate earnings[0].rate'],
    ['earnings', [{ item: 'regular' }], 'earning.no-amount earnings[0]'],
    ['earnings', [{ item: 'regular', hours: '8', rate: '25', amount: '5.00' }], 'earning.both earnings[0]'],
    ['earnings', [{ item: 'lottery', amount: '5.00' }], 'item.unknown earnings[0].item'],
    ['earnings', [{ item: '401k', amount: '5.00' }], 'item.wrong-list earnings[0].item'],
    ['earnings', 'many', 'input.missing earnings'],
    ['deductions', [{ item: '401k' }], 'input.missing deductions[0].amount'],
    ['deductions', [{ item: 'after-tax', amount: '5000.00' }], 'deduction.over-net deductions'],
    ['checkDate', '2019-06-01', 'rule.none-in-force checkDate'],
    ['surprise', 1, 'input.unknown-field surprise'],
    ['earnings', [{ item: 'salary', amount: '9999999999999.00' }], 'input.too-large earnings[0].amount'],
    ['earnings', [{ item: 'salary', amount: '100000000000.00', per: 'weekly' }], 'input.too-large earnings[0].amount'],
    ['earnings', [{ item: 'regular', hours: '999999999', rate: '999999999' }], 'input.too-large earnings'],
  ])('%s = %j', (path, value, expected) => {
    const given = good();
    set(given, path, value);
    const answer = runCase(given);
    expect(answer.problems.map((problem) => `${problem.code} ${problem.field}`)).toContain(expected);
    expect(answer.taxes).toEqual([]);
    expect(answer.net).toBeNull();
    for (const problem of answer.problems)
      expect(`${problem.sentence} ${problem.fix}`).not.toMatch(/\{\w+\}|undefined/);
  });
  it('all of it at once, not only the first', () => {
    expect(
      codes((given) => {
        set(given, 'checkDate', 'soon');
        set(given, 'employee.federal.filingStatus', 'x');
        given.earnings = [{ item: 'lottery' }];
      }),
    ).toHaveLength(3);
  });
  it.each(['', '{', '[]', '"x"', 'null', '12'])('a line that is %p is answered, not thrown', (line) =>
    expect(runLine(line).problems[0]?.code).toBe('input.not-json'),
  );
});

describe('warnings do not stop the work', () => {
  it('regular hours over 40 a workweek (29 U.S.C. § 207)', () => {
    const given = good();
    given.earnings = [{ item: 'regular', hours: '90', rate: '25.00' }];
    const answer = runCase(given);
    expect(answer.problems.map((problem) => [problem.code, problem.severity])).toEqual([
      ['hours.overtime-suspected', 'warning'],
    ]);
    expect(answer.gross).toBe('2250.00');
    // 80 × 25.00 + 10 × 37.50
    expect(answer.problems[0]?.fix).toContain('80 and 10 hours come to 2,375.00');
  });
});

describe('gross-up', () => {
  it('finds the smallest gross that nets exactly what was asked, over all taxes', () => {
    const answer = runCase({ ...good(), earnings: [], grossUp: { item: 'bonus', net: '1000.00' } });
    expect(answer.net).toBe('1000.00');
    const again = runCase({ ...good(), earnings: [{ item: 'bonus', amount: answer.grossUp?.amount }] });
    expect(again.net).toBe('1000.00');
  });
  it('says so when no cent reaches it', () => {
    const answers = Array.from({ length: 40 }, (_, index) =>
      runCase({ ...good(), earnings: [], grossUp: { item: 'bonus', net: `1000.${String(index).padStart(2, '0')}` } }),
    );
    const missed = answers.filter((answer) =>
      answer.problems.some((problem) => problem.code === 'gross-up.not-reached'),
    );
    for (const [index, answer] of answers.entries())
      if (!missed.includes(answer)) expect(answer.net).toBe(`1000.${String(index).padStart(2, '0')}`);
    expect(missed.length).toBeLessThan(answers.length);
  });
  it('refuses a net that no pay gives', () =>
    expect(
      runCase({ ...good(), grossUp: { item: 'bonus', net: '1.00' } }).problems.map((problem) => problem.code),
    ).toContain('gross-up.out-of-range'));
});

describe('the working', () => {
  it('ends in the figure and names a published source with its date', () => {
    const answer = runCase(good(), true);
    for (const tax of answer.taxes.filter((line) => line.amount !== '0.00')) {
      const lines = answer.working?.[tax.code] ?? [];
      expect(lines.at(-1)).toMatchObject({
        isResult: true,
        value: Number(tax.amount).toLocaleString('en-US', { minimumFractionDigits: 2 }),
      });
    }
    const parameter = answer.working?.['US-FIT']?.find((line) => line.parameter)?.parameter;
    expect(parameter).toMatchObject({
      publication: expect.stringContaining('Publication 15-T'),
      edition: '2026',
      from: '2026-01-01',
      verified: false,
    });
  });
});
