import { describe, expect, it } from '@jest/globals';
import { ALL_STATES } from '../jurisdictions/states.js';
import { ACCOUNT_FORMATS, accountFormatOf, checkAccountNumber } from './account-formats.js';

// Recalled, not verified: the patterns are tested against their own examples and against slips of the finger.
describe('account numbers of the agencies', () => {
  it.each(ACCOUNT_FORMATS.map((format) => [format.agency, format.example] as const))(
    '%s takes its own example %s',
    (agency, example) => expect(checkAccountNumber(agency, example, 'accountNumber')).toEqual([]),
  );
  it.each(ACCOUNT_FORMATS.map((format) => [format.agency, format.example] as const))(
    '%s refuses it with a digit too many three times over, and letters',
    (agency, example) => {
      for (const wrong of [`${example}1234567`, 'number', '1'])
        expect(checkAccountNumber(agency, wrong, 'accountNumber')[0]?.code).toBe('account.format');
    },
  );
  it('every state agency for income tax and unemployment has a format', () => {
    const without = ALL_STATES.flatMap(({ agencies }) => [agencies.income?.code, agencies.unemployment.code]).filter(
      (code) => code !== undefined && !accountFormatOf(code),
    );
    expect(without).toEqual([]);
  });
  it('an agency without a known format takes what is given', () =>
    expect(checkAccountNumber('PA-LOCAL', 'W-1', 'accountNumber')).toEqual([]));
});
