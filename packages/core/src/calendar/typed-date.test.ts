import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { addDays, date, showDate, showShortDate } from './local-date.js';
import { readTypedDate } from './typed-date.js';

describe('a day as it is typed', () => {
  it.each([
    '10/16/2026',
    '10/16/26',
    '10-16-2026',
    '10.16.26',
    '10 16 2026',
    '101626',
    '10162026',
    '16-Oct-26',
    '16 Oct 2026',
    '16-OCT-2026',
    'Oct 16, 2026',
    'October 16, 2026',
    'oct. 16 26',
    'October 16th, 2026',
    'Fri, Oct 16, 2026',
    '2026-10-16',
    '2026-10-16T00:00:00',
    ' 10/16/2026 ',
  ])('%s is October 16, 2026', (text) => expect(readTypedDate(text)).toBe('2026-10-16'));

  it.each([
    ['3/5/62', '1962-03-05'],
    ['03/05/29', '2029-03-05'],
    ['03/05/30', '1930-03-05'],
    ['9/1/2026', '2026-09-01'],
    ['15-Mar-24', '2024-03-15'],
    ['Sept 9, 2026', '2026-09-09'],
    ['2/29/2028', '2028-02-29'],
  ])('%s is %s', (text, day) => expect(readTypedDate(text)).toBe(day));

  it.each([
    '',
    '10/16',
    '22/10/2026',
    '2/30/2026',
    '2/29/2026',
    '10/16-2026',
    '1016202',
    '16-Okt-26',
    'Ju 16, 2026',
    '10/16/1799',
    'tomorrow',
    '2026-13-01',
    '0/1/2026',
  ])('%j is none', (text) => expect(readTypedDate(text)).toBeNull());

  it('is read back from every way it is shown', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 73_000 }), (days) => {
        const day = addDays(date('1950-01-01'), days);
        expect([readTypedDate(showDate(day)), readTypedDate(showShortDate(day)), readTypedDate(day)]).toEqual([
          day,
          day,
          day,
        ]);
      }),
    );
  });
});
