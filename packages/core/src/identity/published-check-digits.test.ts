import { describe, expect, it } from '@jest/globals';
import validator from 'validator';
import { checkRouting } from './numbers.js';
import { isZipOf } from './zip-areas.js';

const isSound = (routing: string): boolean => checkRouting(routing, 'routing').length === 0;

describe('routing numbers', () => {
  // Nacha Operating Rules, Appendix Three, "Check Digit": 0764 0125 is multiplied by 3 7 1 3 7 1 3 7, adds up to 109, and has 1 (recalled).
  it('the worked example of the check digit', () =>
    expect(Array.from({ length: 10 }, (_, digit) => isSound(`07640125${digit}`))).toEqual(
      Array.from({ length: 10 }, (_, digit) => digit === 1),
    ));
  it('agrees with a library of the registry (validator) over 20,000 numbers of its Federal Reserve districts', () => {
    const differs: string[] = [];
    for (let step = 0; step < 20_000; step += 1) {
      // Steps through all nine digits without chance.
      const text = String((step * 49_999_991 + 11_000_015) % 1_000_000_000).padStart(9, '0');
      const district = Number(text.slice(0, 2));
      const isUsed = (district >= 1 && district <= 12) || (district >= 21 && district <= 32);
      if (isUsed && isSound(text) !== validator.isAbaRouting(text)) differs.push(text);
    }
    expect(differs).toEqual([]);
  });
});

describe('ZIP codes', () => {
  // United States Postal Service, "ZIP code prefixes": the ZIP code of each state's capitol (recalled).
  const CAPITOLS =
    'AL 36104 AK 99801 AZ 85007 AR 72201 CA 95814 CO 80203 CT 06106 DE 19901 DC 20004 FL 32399 GA 30334 HI 96813 ID 83702 IL 62706 IN 46204 IA 50319 KS 66612 KY 40601 LA 70802 ME 04330 MD 21401 MA 02133 MI 48933 MN 55155 MS 39201 MO 65101 MT 59620 NE 68509 NV 89701 NH 03301 NJ 08608 NM 87501 NY 12207 NC 27601 ND 58505 OH 43215 OK 73105 OR 97301 PA 17120 RI 02903 SC 29201 SD 57501 TN 37243 TX 78701 UT 84114 VT 05633 VA 23219 WA 98504 WV 25305 WI 53703 WY 82001';
  const pairs = CAPITOLS.split(' ').reduce<[string, string][]>(
    (all, word, index) =>
      index % 2 === 0 ? [...all, [word, '']] : [...all.slice(0, -1), [all.at(-1)?.[0] ?? '', word]],
    [],
  );
  it.each(pairs)('%s has %s, and no other state has', (state, zip) => {
    expect(isZipOf(zip, state)).toBe(true);
    expect(pairs.filter(([other]) => other !== state && isZipOf(zip, other) === true)).toEqual([]);
  });
});
