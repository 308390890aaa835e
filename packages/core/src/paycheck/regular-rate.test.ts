import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { runCase } from '../casefile/run-case.js';
import { dollars, toDollars, type Cents } from '../money/cents.js';
import { make, problems, type Given } from '../testing/whole-checks.js';

const REGULAR = { item: 'regular', hours: '40', rate: '20.00' };
const OVERTIME = { item: 'overtime', hours: '5', rate: '20.00' };
const run = (earnings: Given[], settings: Given = { overtimeOnRegularRate: true }, hasWorking = false) =>
  runCase(make('TX', { payFrequency: 'weekly', earnings, settings }), hasWorking);
const overtimeOf = (earnings: Given[], settings?: Given): string | undefined =>
  run(earnings, settings).earnings?.find((line) => line.item.includes('overtime'))?.amount;

// 29 CFR § 778.109 to § 778.115 and § 778.208 to § 778.219 (recalled).
describe('overtime on the regular rate', () => {
  it.each<[string, Given[], string]>([
    // 900.00 + 45.00 for 45 hours: 21.00; 100.00 + 5 × 10.50.
    ['a bonus that was promised counts', [{ item: 'bonus', amount: '45.00' }], '152.50'],
    [
      'a bonus in the employer’s discretion does not (§ 778.211)',
      [{ item: 'discretionary-bonus', amount: '45.00' }],
      '150.00',
    ],
    ['a commission counts (§ 778.117)', [{ item: 'commission', amount: '90.00' }], '155.00'],
    // The hours of the premium are those that were worked anyway: 900.00 + 40 × 0.45 = 918.00 for 45 hours, 20.40.
    ['a shift premium counts without its hours (§ 778.207)', [{ item: 'shift', hours: '40', rate: '0.45' }], '151.00'],
    [
      'pay for leave does not, nor do its hours (§ 778.218)',
      [{ item: 'vacation', hours: '8', rate: '20.00' }],
      '150.00',
    ],
    ['tips do not (§ 531.60)', [{ item: 'tips-reported', amount: '200.00' }], '150.00'],
    ['a reimbursement does not (§ 778.217)', [{ item: 'reimbursement', amount: '60.00' }], '150.00'],
    // Two rates, weighted (§ 778.115): 800.00 + 5 × 20.00 + 10 × 26.00 = 1,160.00 for 55 hours.
    ['two rates are weighted', [{ item: 'regular', hours: '10', rate: '26.00' }], '152.73'],
  ])('%s', (_, more, expected) => expect(overtimeOf([REGULAR, OVERTIME, ...more])).toBe(expected));

  it('is what the client’s setting says, unless the line says otherwise', () => {
    const bonus = { item: 'bonus', amount: '45.00' };
    expect(overtimeOf([REGULAR, OVERTIME, bonus], {})).toBe('150.00');
    expect(overtimeOf([REGULAR, { ...OVERTIME, regularRate: true }, bonus], {})).toBe('152.50');
    expect(overtimeOf([REGULAR, { ...OVERTIME, regularRate: false }, bonus])).toBe('150.00');
  });
  it('holds for every line of overtime, also those that hours by the week or the day become', () => {
    const bonus = { item: 'bonus', amount: '45.00' };
    expect(overtimeOf([{ item: 'regular', weeks: ['45'], rate: '20.00' }, bonus])).toBe('152.50');
    // (5 × 20 + 5 × 2 × 10.50) at the double rate.
    const doubled = run([REGULAR, { ...OVERTIME, item: 'double-time' }, bonus]).earnings?.[1]?.amount;
    expect(doubled).toBe('205.00');
    const ofState = runCase(
      make('CA', {
        payFrequency: 'weekly',
        earnings: [
          { item: 'regular', days: [['10', '10', '10', '10']], rate: '20.00' },
          { item: 'bonus', amount: '40.00' },
        ],
        settings: { overtimeOnRegularRate: true },
      }),
    ).earnings;
    // (32 + 8) × 20.00 + 40.00 for 40 hours: 21.00; 160.00 + 8 × 10.50.
    expect(ofState?.find((line) => line.item === 'overtime-not-qualified')?.amount).toBe('244.00');
  });
  it('writes the rate into the working of gross pay', () => {
    const lines =
      run([REGULAR, OVERTIME, { item: 'bonus', amount: '45.00' }], undefined, true).working?.['gross'] ?? [];
    expect(lines.find((line) => line.label.startsWith('Regular rate'))).toMatchObject({
      value: '21.00',
      how: '945.00 of pay for 45 hours worked (29 CFR § 778.109)',
    });
    const own = run([REGULAR, OVERTIME], {}, true).working?.['gross'] ?? [];
    expect(own.some((line) => line.label.startsWith('Regular rate'))).toBe(false);
  });
  it('without hours there is no rate, and the line stays as it is', () =>
    expect([overtimeOf([{ item: 'overtime', amount: '50.00' }]), problems(run([REGULAR, OVERTIME]))]).toEqual([
      '50.00',
      [],
    ]));
  it('never pays less than on the rate of the line where all pay is at least that', () => {
    const bonus = fc.integer({ min: 0, max: 500_000 });
    fc.assert(
      fc.property(bonus, fc.integer({ min: 1, max: 120 }), (amount, quarters) => {
        const lines = [
          REGULAR,
          { ...OVERTIME, hours: String(quarters / 4) },
          { item: 'bonus', amount: toDollars(amount as Cents) },
        ];
        const onRate = dollars(overtimeOf(lines) ?? '0.00');
        const onOwn = dollars(overtimeOf(lines, {}) ?? '0.00');
        // Half of what the bonus adds an hour, for each hour of overtime: never half of the bonus.
        return onRate >= onOwn && onRate - onOwn <= amount / 2 + 1;
      }),
      { numRuns: 60 },
    );
  });
});
