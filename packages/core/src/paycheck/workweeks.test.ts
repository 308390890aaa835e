import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { runCase } from '../casefile/run-case.js';
import { rate, showRate } from '../money/rate.js';
import { make, problems, type Given } from '../testing/whole-checks.js';
import { date } from '../calendar/local-date.js';
import type { DailyOvertime } from '../jurisdictions/overtime.js';
import { dailyOvertimeOf, splitDays, splitWeeks } from './workweeks.js';

const split = (...weeks: string[]): string[] => {
  const { regular, overtime } = splitWeeks(weeks.map(rate));
  return [showRate(regular), showRate(overtime)];
};

// 29 U.S.C. § 207(a)(1) and 29 CFR § 778.104: each workweek stands alone (recalled).
describe('hours week by week', () => {
  it.each([
    [
      ['45', '40'],
      ['80', '5'],
    ],
    [
      ['50', '35'],
      ['75', '10'],
    ],
    [['52'], ['40', '12']],
    [
      ['40', '40'],
      ['80', '0'],
    ],
    [
      ['40.25', '38.5'],
      ['78.5', '0.25'],
    ],
    [[], ['0', '0']],
  ])('%j', (weeks, expected) => expect(split(...weeks)).toEqual(expected));

  it('lose no hour, and no week makes up for another', () => {
    const quarters = fc.array(fc.integer({ min: 0, max: 4 * 90 }), { maxLength: 5 });
    fc.assert(
      fc.property(quarters, (weeks) => {
        const { regular, overtime } = splitWeeks(weeks.map((hours) => ({ n: hours * 25, d: 100 })));
        const [own, over] = [(regular.n / regular.d) * 4, (overtime.n / overtime.d) * 4];
        return (
          own + over === weeks.reduce((sum, hours) => sum + hours, 0) &&
          over === weeks.reduce((sum, hours) => sum + Math.max(0, hours - 160), 0)
        );
      }),
    );
  });
});

describe('weeks in a case', () => {
  const answer = (line: Given, more: Given[] = []) =>
    runCase(make('TX', { earnings: [{ item: 'regular', rate: '22.50', ...line }, ...more] }));
  it('are a line of regular hours and one of overtime', () => {
    // 40 × 22.50 + 12 × 33.75
    expect(answer({ weeks: ['52'] }).gross).toBe('1305.00');
    // 75 × 22.50 + 10 × 33.75, where 85 hours of the period alone would be five hours of overtime.
    expect(answer({ weeks: ['50', '35'] }).gross).toBe('2025.00');
    expect(problems(answer({ weeks: ['50', '35'] }))).toEqual([]);
  });
  it('take the premium on the regular rate where it is asked for', () =>
    // (46 × 22.50 + 46.00) ÷ 46 = 23.50; 46 × 23.50 + 6 × 11.75
    expect(answer({ weeks: ['46'], regularRate: true }, [{ item: 'bonus', amount: '46.00' }]).gross).toBe('1151.50'));
  it('do not stand beside hours, nor on another line than regular', () => {
    expect(problems(answer({ weeks: ['45', '40'], hours: '85' }))).toEqual(['earning.weeks']);
    expect(problems(answer({ weeks: ['45'], item: 'sick' }))).toEqual(['earning.weeks']);
    expect(problems(answer({ weeks: ['45', 'x'] }))).toContain('input.not-a-decimal');
    expect(problems(answer({ weeks: ['200'] }))).toEqual(['earning.week-too-long']);
  });
});

const day = date('2026-06-12');
const ruleOf = (state: string, hourly = '30'): DailyOvertime | null => dailyOvertimeOf(state, day, rate(hourly));
/** Regular, overtime, double time, and what of the last two the federal law does not ask for. */
const byDay = (state: string, weeks: readonly string[], hourly?: string): string =>
  Object.values(
    splitDays(
      weeks.map((week) => week.split(' ').map(rate)),
      ruleOf(state, hourly),
    ),
  )
    .map(showRate)
    .join(' ');

describe('hours day by day', () => {
  // California Labor Code § 510(a) (recalled).
  it.each([
    ['a day of ten hours', ['10 8 8 8'], '32 0 0 2 0'],
    ['four days of ten: forty hours, and none that the federal law makes overtime', ['10 10 10 10'], '32 0 0 8 0'],
    ['five days of ten: ten of the eighteen are over forty', ['10 10 10 10 10'], '40 10 0 0 0'],
    ['beyond twelve hours at the double rate', ['14 8 8 8'], '32 0 0 4 2'],
    ['four days of thirteen: twelve over forty, of sixteen and four', ['13 13 13 13'], '32 12 0 4 4'],
    ['six days of eight: the sixth is over forty', ['8 8 8 8 8 8'], '40 8 0 0 0'],
    ['the seventh day in a row from its first hour on', ['8 8 8 8 8 8 8'], '40 16 0 0 0'],
    ['short days do not make the seventh day straight', ['4 4 4 4 4 4 4'], '24 0 0 4 0'],
    ['beyond eight on the seventh day', ['6 6 6 6 6 6 10'], '36 6 0 2 2'],
    ['a day off in the middle: no seventh day in a row', ['8 8 8 0 8 8 8'], '40 8 0 0 0'],
    ['an hour is overtime once: ten hours and forty-four in all', ['10 10 8 8 8'], '40 4 0 0 0'],
    ['weeks stand alone', ['10 8 8 8 6', '8 8 8 8 8'], '78 0 0 2 0'],
    ['quarters of an hour', ['8.25 8 8 8 8'], '40 0.25 0 0 0'],
  ])('in California: %s', (_, weeks, expected) => expect(byDay('CA', weeks)).toBe(expected));
  it.each([
    // 7 CCR 1103-1, rule 4.1 (recalled): over twelve a day or forty a week, whichever is more.
    ['CO', '12 12 12', undefined, '36 0 0 0 0'],
    ['CO', '14 12 12', undefined, '36 0 0 2 0'],
    ['CO', '13 8 8 8 8', undefined, '40 5 0 0 0'],
    // Alaska Statutes 23.10.060 (recalled).
    ['AK', '10 10 10 10', undefined, '32 0 0 8 0'],
    // NRS 608.018 (recalled): only under one and a half times the minimum wage of 12.00.
    ['NV', '10 10', '17.99', '16 0 0 4 0'],
    ['NV', '10 10', '18.00', '20 0 0 0 0'],
    ['TX', '14 14 14', undefined, '40 2 0 0 0'],
  ])('in %s: %s at %s', (state, week, hourly, expected) => expect(byDay(state, [week], hourly)).toBe(expected));

  const week = fc.array(fc.integer({ min: 0, max: 24 * 4 }), { minLength: 1, maxLength: 7 });
  it.each(['CA', 'CO', 'AK', 'NV', 'TX'])(
    'in %s no hour is lost, and what is qualified is what is over forty',
    (state) => {
      fc.assert(
        fc.property(fc.array(week, { minLength: 1, maxLength: 3 }), (weeks) => {
          const hours = weeks.map((days) => days.map((quarters) => ({ n: quarters * 25, d: 100 })));
          const split = splitDays(hours, ruleOf(state, '12'));
          const quarters = Object.values(split).map(({ n, d }) => (n / d) * 4);
          const [regular = 0, overtime = 0, doubleTime = 0] = quarters;
          const sums = weeks.map((days) => days.reduce((sum, one) => sum + one, 0));
          return (
            quarters.every((part) => part >= 0) &&
            quarters.reduce((sum, part) => sum + part, 0) === sums.reduce((sum, one) => sum + one, 0) &&
            regular <= weeks.length * 160 &&
            overtime + doubleTime === sums.reduce((sum, one) => sum + Math.max(0, one - 160), 0)
          );
        }),
      );
    },
  );
});

describe('days in a case', () => {
  const answer = (state: string, line: Given) =>
    runCase(make(state, { earnings: [{ item: 'regular', rate: '20.00', ...line }] }));
  it('are paid by the law of the state of work, and only the federal overtime is qualified', () => {
    // 32 × 20 + 12 × 30 + 4 × 30 + 4 × 40; qualified: 12 hours × 10.00.
    const given = { days: [['13', '13', '13', '13']] };
    const california = answer('CA', given);
    expect([california.gross, california.tracked?.['qualifiedOvertime']]).toEqual(['1280.00', '120.00']);
    expect(california.earnings?.map((line) => line.item)).toEqual([
      'regular',
      'overtime',
      'overtime-not-qualified',
      'double-time-not-qualified',
    ]);
    // 40 × 20 + 12 × 30
    expect(answer('TX', given).gross).toBe('1160.00');
  });
  it('in a week that the federal law does not look at, nothing is qualified', () =>
    expect(answer('CA', { days: [['10', '10', '10', '10']] }).tracked).toBeUndefined());
  it.each([
    [{ days: [['8', '25']] }, ['earning.day-too-long']],
    [{ days: [['1', '1', '1', '1', '1', '1', '1', '1']] }, ['earning.week-of-days']],
    [{ days: ['8', '8'] }, ['input.not-a-decimal']],
    [{ days: [['8', 'x']] }, ['input.not-a-decimal']],
    [{ days: [['8']], weeks: ['8'] }, ['earning.weeks']],
    [{ days: [['8']], hours: '8' }, ['earning.weeks']],
    [{ days: [['8']], item: 'sick' }, ['earning.weeks']],
    [{ days: [['-8']] }, ['input.not-a-decimal']],
  ])('%j is refused', (line, codes) => expect(problems(answer('CA', line))).toEqual(codes));
  it('its lines are figures that a case may expect', () => {
    const expected = (amount: string) =>
      runCase({
        ...make('CA', { earnings: [{ item: 'regular', rate: '20.00', days: [['13', '13', '13', '13']] }] }),
        expect: { 'earning:overtime': '360.00', 'earning:double-time-not-qualified': amount },
      }).unexpected;
    expect(expected('160.00')).toBeUndefined();
    expect(expected('0.00')?.[0]?.computed).toBe('160.00');
  });
  it('a pack of the firm may change the rule', () => {
    const rules = [
      {
        parameter: 'CO.overtime',
        from: '2026-01-01',
        until: '2027-01-01',
        value: { day: [{ hours: 10, item: 'overtime' }] },
        publication: { title: 'COMPS Order', publisher: 'Division of Labor Standards', edition: '2026' },
        place: 'rule 4.1',
        standing: 'recalled',
      },
    ];
    const earnings = [{ item: 'regular', rate: '20.00', days: [['12']] }];
    // 10 × 20 + 2 × 30
    expect(runCase(make('CO', { earnings, rules })).gross).toBe('260.00');
    expect(runCase(make('CO', { earnings })).gross).toBe('240.00');
  });
});
