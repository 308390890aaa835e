import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { checkEin, checkRouting, checkSsn, proposeNameControl } from './numbers.js';

const codes = (issues: { code: string }[]): string[] => issues.map((issue) => issue.code);

describe('numbers', () => {
  // SSA: areas 000, 666 and 900-999, group 00 and serial 0000 are never issued.
  it.each([
    ['000-12-3456', 'ssn.area'],
    ['666-12-3456', 'ssn.area'],
    ['900-12-3456', 'ssn.area'],
    ['123-00-4567', 'ssn.group'],
    ['123-45-0000', 'ssn.serial'],
    ['12-345-678', 'ssn.shape'],
    ['', 'ssn.shape'],
  ])('%s is refused: %s', (ssn, code) => expect(codes(checkSsn(ssn, 'ssn'))).toEqual([code]));
  it('899-12-3401 can be a number', () => expect(checkSsn('899-12-3401', 'ssn')).toEqual([]));
  it('an EIN has nine digits and a prefix in use', () =>
    expect([
      codes(checkEin('47-1234561', 'e')),
      codes(checkEin('07-1234561', 'e')),
      codes(checkEin('4712', 'e')),
    ]).toEqual([[], ['ein.prefix'], ['ein.shape']]));
  it('a routing number carries its own check digit: any single slip is found', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 8 }), fc.integer({ min: 1, max: 9 }), (place, shift) => {
        const digits = [...'000000123'].map(Number);
        digits[place] = ((digits[place] ?? 0) + shift) % 10;
        return checkRouting(digits.join(''), 'r').length === 1;
      }),
    );
    expect(checkRouting('000000123', 'r')).toEqual([]);
    expect(codes(checkRouting('000000000', 'r'))).toEqual(['routing.check-digit']);
  });
  it('the name control is the first four letters; a leading The is left out', () =>
    expect([
      proposeNameControl('Gannet & Sons'),
      proposeNameControl('The Low Tide Clinic'),
      proposeNameControl("O'Neil"),
    ]).toEqual(['GANN', 'LOWT', 'ONEI']));
});
