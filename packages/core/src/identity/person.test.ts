import { describe, expect, it } from '@jest/globals';
import { date } from '../calendar/local-date.js';
import { nextEmployeeNumber, personIssues, type PersonIdentity } from './person.js';

const TODAY = date('2026-10-22');
const person: PersonIdentity = {
  firstName: 'Osric',
  middleName: '',
  lastName: 'Pell',
  suffix: '',
  street: '44 Ropewalk Street',
  city: 'Saltmarsh',
  state: 'NY',
  zip: '13999',
  country: '',
  province: '',
  hiredOn: '2023-11-06',
  bornOn: '1988-08-18',
};
const said = (more: Partial<PersonIdentity>): string[] =>
  personIssues({ ...person, ...more }, TODAY).map((issue) => `${issue.severity} ${issue.code} ${issue.field}`);

describe('who a person is', () => {
  it('nothing is wrong with a whole record, nor with blanks, which are gaps', () => {
    expect(said({})).toEqual([]);
    expect(said({ street: '', city: '', state: '', zip: '', hiredOn: null, bornOn: null })).toEqual([]);
  });
  // SSA Publication 42-007 (EFW2): what the name and address fields of a wage file can carry.
  it.each([
    [{ lastName: 'Peña' }, ['warning name.in-file lastName']],
    [{ firstName: 'Dr. Osric' }, ['warning name.in-file firstName', 'error name.title firstName']],
    [{ firstName: 'Os7ric' }, ['error name.digits firstName']],
    [{ suffix: 'Esq' }, ['warning name.suffix suffix']],
    [{ lastName: 'Pell Jr' }, ['warning name.suffix-in-name lastName']],
    [{ zip: '1399' }, ['error zip.shape zip']],
    [{ zip: '90001' }, ['ask zip.other-state zip']],
    [{ state: 'ZZ' }, ['error rule.state-unknown state']],
    [{ street: 'P.O. Box 12' }, ['ask address.post-box street']],
  ])('%j', (more, issues) => expect(said(more)).toEqual(issues));
  it.each([
    [{ bornOn: '2026-10-23' }, ['error dates.birth-future bornOn', 'error dates.hired-before-born hiredOn']],
    [{ bornOn: '1926-10-21' }, ['error dates.birth-too-old bornOn']],
    [{ bornOn: '1926-10-22' }, []],
    [{ bornOn: '1988-18-08' }, ['error input.not-a-date bornOn']],
    [{ hiredOn: '2027-10-23' }, []],
    [{ hiredOn: '2027-10-24' }, ['error dates.hire-far hiredOn']],
    [{ hiredOn: '1939-12-31', bornOn: null }, ['error dates.hire-too-old hiredOn']],
    [{ hiredOn: '1988-08-18' }, ['error dates.hired-before-born hiredOn']],
    // 29 CFR 570.2: fourteen years, the least age outside agriculture.
    [{ hiredOn: '2002-08-17' }, ['ask dates.young bornOn']],
    [{ hiredOn: '2002-08-18' }, []],
  ])('dates: %j', (more, issues) => expect(said(more)).toEqual(issues));
});

describe('an address abroad', () => {
  const abroad = { state: '', zip: 'V8W 1P6', country: 'CA', province: 'British Columbia' };
  it('has a country and a postal code of its own shape', () => {
    expect(said(abroad)).toEqual([]);
    expect(said({ ...abroad, zip: '', province: '' })).toEqual([]);
  });
  it.each([
    [{ ...abroad, state: 'NY' }, ['error country.with-state state']],
    [{ ...abroad, country: 'US' }, ['error country.code country']],
    [{ ...abroad, country: 'PR' }, ['error country.code country']],
    [{ ...abroad, country: 'C1' }, ['error country.code country']],
    [{ ...abroad, zip: 'V8W/1P6' }, ['error country.postal-code zip']],
    [{ province: 'Ontario' }, ['error country.missing country']],
  ])('%j', (more, issues) => expect(said(more)).toEqual(issues));
});

describe('the next free number', () => {
  it.each([
    [[], '1'],
    [['1', '2', '7'], '8'],
    [['0099', '0100'], '0101'],
    [['A-1', '15'], '16'],
    [['9999999999'], '1'],
  ])('after %j is %s', (taken, next) => expect(nextEmployeeNumber(taken)).toBe(next));
});
