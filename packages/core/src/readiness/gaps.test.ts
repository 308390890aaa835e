import { describe, expect, it } from '@jest/globals';
import { date } from '../calendar/local-date.js';
import { clientOnDay, personOnDay } from '../facts/on-day.js';
import { warning } from '../issues/issue.js';
import type { ClientStanding, PersonStanding } from './gap.js';
import { gapsOf, questionLines } from './gaps.js';

const facts = clientOnDay(
  [
    {
      id: '2',
      kind: 'schedule',
      from: '2026-01-01',
      value: { frequency: 'weekly', periodEnd: '2026-10-24', whenClosed: 'before' },
    },
    {
      id: '1',
      kind: 'employer',
      from: '2026-01-01',
      value: { kind: 'business', entity: 'corporation', formFamily: '941' },
    },
  ],
  '2026-10-22',
);
const client: ClientStanding = {
  legalName: 'Gannet',
  ein: '471234561',
  street: '1',
  city: 'S',
  state: 'NY',
  zip: '13999',
  phone: '1',
  email: 'e',
  contactName: 'c',
  signerName: 's',
  signerTitle: 't',
  hasBank: true,
  lacksBalances: false,
  agenciesSetUp: new Set(['IRS', 'NY-TAX', 'NY-DOL', 'TX-TWC', 'NY-WCB', 'CA-EDD']),
  depositQuestions: [],
  accounts: [
    { agency: 'NY-TAX', number: '1', isApplied: false, hasRate: false },
    { agency: 'NY-DOL', number: '1', isApplied: false, hasRate: true },
  ],
  facts,
};
const person: PersonStanding = {
  id: 'p',
  name: 'Ada Brine',
  kind: 'employee',
  street: '1',
  city: 'S',
  state: 'NY',
  zip: '13999',
  country: '',
  hiredOn: '2026-10-12',
  bornOn: '1990-01-01',
  isSsnAppliedFor: false,
  facts: personOnDay(
    [
      {
        id: '4',
        kind: 'state-certificate',
        from: '2026-01-01',
        value: { state: 'NY', certificate: { filingStatus: 'single' } },
      },
      { id: '3', kind: 'place', from: '2026-01-01', value: { work: 'NY', residence: 'NY' } },
      { id: '2', kind: 'federal-certificate', from: '2026-01-01', value: { form: '2020', filingStatus: 'single' } },
      { id: '1', kind: 'pay', from: '2026-01-01', value: { basis: 'hourly', rate: '20.00' } },
    ],
    '2026-10-22',
  ),
  identityIssues: [],
  trialProblems: [],
  taxes: ['US-FIT', 'NY-SIT', 'NY-SUI'],
  newHireDue: date('2026-11-01'),
  prenotes: [],
  isNewHireReported: false,
};
const dates = {
  paycheck: date('2026-10-30'),
  'new-hire': null,
  deposit: date('2026-11-02'),
  return: date('2027-02-01'),
  'wage-statement': date('2027-02-01'),
};
const keys = (who: Partial<ClientStanding>, whom: Partial<PersonStanding> = {}) =>
  gapsOf({ ...client, ...who }, [{ ...person, ...whom }], dates, 2026).map(
    (gap) => `${gap.key} ${gap.by ?? ''} ${gap.move}`,
  );

describe('what is missing', () => {
  it('a client and a person with everything have no gap', () => expect(keys({})).toEqual([]));
  it.each(['signed', 'revoked'])('nor one whose reporting agent authorization is %s', (standing) =>
    expect(keys({ facts: { ...client.facts, agent: { standing } } })).toEqual([]),
  );
  it.each<[string, Partial<ClientStanding>, Partial<PersonStanding>, string]>([
    ['the signer: for the return', { signerName: '' }, {}, 'signerName 2027-02-01 client'],
    ['the EIN: for the deposit first', { ein: '' }, {}, 'ein 2026-11-02 client'],
    ['a bank account', { hasBank: false }, {}, 'bank 2026-11-02 client'],
    ['what was paid elsewhere this year', { lacksBalances: true }, {}, 'balances 2026-10-30 client'],
    [
      'an account with an agency that is owed',
      { accounts: client.accounts.slice(1) },
      {},
      'account NY-TAX 2026-11-02 client',
    ],
    [
      'an account that is applied for is the agency’s move',
      { accounts: [{ agency: 'NY-TAX', number: '', isApplied: true, hasRate: false }, ...client.accounts.slice(1)] },
      {},
      'account NY-TAX 2026-11-02 agency',
    ],
    [
      'an unemployment rate: for the paycheck',
      {
        accounts: [...client.accounts.slice(0, 1), { agency: 'NY-DOL', number: '1', isApplied: false, hasRate: false }],
      },
      {},
      'rate NY-DOL 2026-10-30 client',
    ],
    [
      'a reporting agent authorization that has not come back: the client’s move, before a deposit',
      { facts: { ...client.facts, agent: { standing: 'sent' } } },
      {},
      'agent 2026-11-02 client',
    ],
    ['a birth date: for the new-hire report', {}, { bornOn: null }, 'bornOn 2026-11-01 client'],
    ['a street: for the new-hire report', {}, { street: '' }, 'street 2026-11-01 client'],
    [
      'a whole address: one gap, not four',
      {},
      { street: '', city: '', state: '', zip: '' },
      'street 2026-11-01 client',
    ],
    ['an SSN that is applied for: for the new-hire report', {}, { isSsnAppliedFor: true }, 'ssn 2026-11-01 client'],
    [
      'a street of somebody reported: for Form W-2',
      {},
      { street: '', isNewHireReported: true },
      'street 2027-02-01 client',
    ],
    [
      'a prenote: the firm’s own move',
      {},
      { prenotes: [{ label: 'A', standing: 'wanted' }] },
      'prenote A 2026-10-30 firm',
    ],
    [
      'an account that came back',
      {},
      { prenotes: [{ label: 'A', standing: 'returned' }] },
      'prenote A 2026-10-30 client',
    ],
    ['a certificate', {}, { facts: { ...person.facts, certificates: {} } }, 'certificate NY 2026-10-30 client'],
    ['a home in a city with a tax', {}, { city: 'Brooklyn' }, 'locality of the address 2026-10-30 client'],
    [
      'a locality that the trial asks for',
      {},
      {
        trialProblems: [
          warning('locality.not-given', 'employee.residence.locality', { state: 'Ohio', where: 'residence' }),
        ],
      },
      'locality employee.residence.locality 2026-10-30 client',
    ],
  ])('%s', (_, who, whom, expected) => expect(keys(who, whom)).toEqual([expected]));
  it('a home in a city with a tax is no question once the locality is given, be it none', () => {
    const place = { residence: { state: 'NY', locality: 'none' }, work: [{ state: 'NY', share: '1' }] };
    expect(keys({}, { city: 'Brooklyn', facts: { ...person.facts, place } })).toEqual([]);
  });
  it('a birth date of somebody hired long ago is not asked for', () =>
    expect(keys({}, { bornOn: null, isNewHireReported: true })).toEqual([]));
  it('the letter asks each thing once, about the business first', () => {
    const gaps = gapsOf({ ...client, phone: '' }, [{ ...person, street: '', city: '', bornOn: null }], dates, 2026);
    expect(questionLines(gaps)).toEqual([
      { about: 'Ada Brine', asks: ['home address', 'date of birth'], by: '2026-11-01' },
      { about: '', asks: ['What is the telephone number of the business?'], by: '2027-02-01' },
    ]);
  });
});
