import { describe, expect, it } from '@jest/globals';
import { date } from '@zakat/core/calendar/local-date';
import { dailyOvertimeOf } from '@zakat/core/paycheck/workweeks';
import { NO_OWN_WORDS, asTyped, readShortLine, type OwnWords } from './short-line.js';

const own: OwnWords = {
  ...NO_OWN_WORDS,
  items: [
    { code: 'tool-money', label: 'Tool money', like: 'nonaccountable-reimbursement' },
    { code: 'stand-by', label: 'Stand-by', like: 'regular' },
  ],
  rates: [
    { label: 'Night desk', rate: '24.75' },
    { label: 'Boat yard', rate: '31.00' },
  ],
  jobs: ['Pier 4', 'Ferry house'],
};
/** `regular 38.5h`, `regular 8h @24.75`, `bonus 500`. */
const inWords = (text: string): string[] =>
  readShortLine(text, own).lines.map(
    (line) =>
      `${line.item} ${line.measure === 'net' ? '= ' : ''}${line.value}${line.measure === 'hours' ? 'h' : ''}${line.rate === null ? '' : ` @${line.rate}`}${line.job === null ? '' : ` to ${line.job}`}`,
  );

describe('a short line', () => {
  it.each([
    ['38.5 reg 4 ot sick 3', ['regular 38.5h', 'overtime 4h', 'sick 3h']],
    ['76', ['regular 76h']],
    ['ot 2.25', ['overtime 2.25h']],
    ['8 hol, 32 reg; bonus 500', ['holiday 8h', 'regular 32h', 'bonus 500']],
    ['32 REG vac 8', ['regular 32h', 'vacation 8h']],
    ['', []],
    ['tips 120.50 severance 900', ['tips-reported 120.50', 'severance 900']],
    ['60 reg 8 reg @22.50', ['regular 60h', 'regular 8h @22.50']],
    ['60 reg 8 night-desk', ['regular 60h', 'regular 8h @24.75']],
    ['4 ot @night-desk, 2 ot @ 30', ['overtime 4h @24.75', 'overtime 2h @30']],
    ['tool-money 40 6 stand-by', ['tool-money 40', 'stand-by 6h']],
    ['loan 50 401k 100', ['loan 50', '401k 100']],
    ['sick $120', ['sick 120']],
    ['45+40', ['regular 80h', 'overtime 5h']],
    ['50+35 reg, sick 3', ['regular 75h', 'overtime 10h', 'sick 3h']],
    ['reg 40+40', ['regular 80h']],
    ['45+40 reg @22.50 bonus 100', ['regular 80h @22.50', 'overtime 5h @22.50', 'bonus 100']],
    ['42.5+40 night-desk', ['regular 80h @24.75', 'overtime 2.5h @24.75']],
    ['bonus net 500', ['bonus = 500']],
    ['24 reg #pier-4 16 reg #ferry-house', ['regular 24h to Pier 4', 'regular 16h to Ferry house']],
    ['24 #pier-4, 16', ['regular 24h to Pier 4', 'regular 16h']],
    ['8 reg @22.50 #pier-4 8 reg @22.50', ['regular 8h @22.50 to Pier 4', 'regular 8h @22.50']],
    ['45+40 #pier-4', ['regular 80h to Pier 4', 'overtime 5h to Pier 4']],
    ['bonus net 500 #pier-4', ['bonus = 500 to Pier 4']],
    ['40 reg bonus net $500 sick 3', ['regular 40h', 'bonus = 500', 'sick 3h']],
    ['8/10/8/8/8', ['regular 40h', 'overtime 2h']],
    ['reg 8/8/8.5/8/8+9/8/8/8/8 sick 3', ['regular 80h', 'overtime 1.5h', 'sick 3h']],
    ['8/8/8/8/8+45', ['regular 80h', 'overtime 5h']],
    ['8 shift @1.50 shift 12', ['shift 8h @1.50', 'shift 12']],
    ['72 reg 8 pto', ['regular 72h', 'pto 8h']],
    ['8 personal', ['personal 8h']],
    ['76 hrs', ['regular 76h']],
    ['reimb 42.10 mileage 30', ['reimbursement 42.10', 'mileage 30']],
    ['1,250 bonus', ['bonus 1250']],
    ['bonus 1,250.50, 8 sick', ['bonus 1250.50', 'sick 8h']],
    ['40 reg,8 sick', ['regular 40h', 'sick 8h']],
    ['6 stand-by tool-money 40', ['stand-by 6h', 'tool-money 40']],
  ])('%s', (text, lines) => {
    expect(inWords(text)).toEqual(lines);
    expect(readShortLine(text, own).problem).toBeNull();
  });
  it.each([
    ['8 holidays', /holidays is not known/],
    ['reg', /regular has no number/],
    ['8 9 reg', /8 has no word/],
    ['8 reg 9', /9 has no word/],
    ['8 reg 2 reg', /twice/],
    ['45+40 reg 2 ot', /overtime stands twice/],
    ['45+40 sick', /hours of workweeks/],
    ['8 reg sick 45+40', /hours of workweeks/],
    ['net 500', /net stands once/],
    ['500 net bonus', /net stands once/],
    ['bonus net', /bonus has no number/],
    ['bonus net net 5', /net stands once/],
    ['bonus net 5 comm net 5', /net stands once/],
    ['loan net 5', /net stands once/],
    ['tips net 5', /net stands once/],
    ['bonus net 45+40', /net stands once/],
    ['8/25/8', /more hours than there are/],
    ['200+40', /more hours than there are/],
    ['1/1/1/1/1/1/1/1', /is not known/],
    ['8/8 sick', /hours of workweeks/],
    ['8//8 reg', /is not known/],
    ['45+ reg', /45\+ is not known/],
    ['45.1234567890123+40 reg', /is not known/],
    ['-4 ot', /-4 is not known/],
    ['1e3 reg', /1e3/],
    ['8 reg @captain', /@captain is no rate/],
    ['@20 8 reg', /@20 stands before/],
    ['8 @20 reg', /@20 stands before/],
    ['loan 50 @20', /Loan repayment has no rate/],
    ['bonus bonus 5', /bonus has no number/],
  ])('%s is not guessed at', (text, problem) => {
    const read = readShortLine(text, own);
    expect(read.problem).toMatch(problem);
    expect(read.lines).toEqual([]);
  });
  it.each([
    ['CA', '20', '10/10/10/10', ['regular 32', 'overtime-not-qualified 8']],
    [
      'CA',
      '20',
      '13/13/13/13+40',
      ['regular 72', 'overtime 12', 'overtime-not-qualified 4', 'double-time-not-qualified 4'],
    ],
    ['NV', '30', '10/10/10/10', ['regular 40']],
    ['NV', '30', '10/10/10/10 reg @15', ['regular 32', 'overtime-not-qualified 8']],
    ['NV', '15', '10/10/10/10 night-desk', ['regular 40']],
    ['TX', '20', '10/10/10/10', ['regular 40']],
  ])('days in %s at %s: %s', (state, usualRate, text, expected) => {
    const words: OwnWords = {
      ...own,
      usualRate,
      dailyRule: (hourly) => dailyOvertimeOf(state, date('2026-06-12'), hourly),
    };
    expect(readShortLine(text, words).lines.map((line) => `${line.item} ${line.value}`)).toEqual(expected);
  });
  it('knows neither items nor rates of somebody else', () =>
    expect(readShortLine('8 night-desk').problem).toMatch(/night-desk is not known/));
});

describe('a line as it could be typed', () => {
  it.each([
    [{ item: 'regular', hours: '8', rate: '24.75' }, '8 night-desk'],
    [{ item: 'overtime', hours: '2', rate: '24.75' }, '2 overtime @night-desk'],
    [{ item: 'regular', hours: '8', rate: '22.50' }, '8 regular @22.50'],
    [{ item: 'double-time', hours: '4', rate: '20.00' }, '4 double-time'],
    [{ item: 'tips-reported', amount: '120.50' }, 'tips-reported 120.50'],
    [{ item: 'sick', amount: '120.00' }, 'sick $120.00'],
  ])('%j', (line, text) => {
    expect(asTyped(line, '20.00', own)).toBe(text);
    const [read] = readShortLine(text, own).lines;
    expect(read).toMatchObject({
      item: line.item,
      value: 'hours' in line ? line.hours : line.amount,
      rate: 'rate' in line && line.rate !== '20.00' ? line.rate : null,
    });
  });
});
