import { describe, expect, it } from '@jest/globals';
import { CLIENT_FACTS, COPIED_KINDS, familiesOf, isCopied } from './client-facts.js';
import { newestFirst, type DatedFact } from './in-force.js';
import { clientOnDay } from './on-day.js';

const codes = (kind: string, value: Record<string, unknown>): string[] =>
  CLIENT_FACTS.issues(kind, value, 'fact.value').map((issue) => `${issue.code} ${issue.field}`);

const EMPLOYER = { kind: 'business', entity: 'corporation', formFamily: '941' };
const SCHEDULE = { frequency: 'biweekly', periodEnd: '2026-10-24', daysToCheck: 6, whenClosed: 'before' };
const CLASS = { class: '8810', per: 'hundred', rate: '0.25' };
const ITEM = { code: 'tools', label: 'Tools', like: 'after-tax' };

const AGENT = { standing: 'sent', returnsFrom: '2026-10-01', depositsFrom: '2026-11-01' };
describe('facts about a client that cannot be computed with are not stored', () => {
  it.each<[string, Record<string, unknown>, string]>([
    ['employer', { ...EMPLOYER, kind: 'club' }, 'input.not-one-of fact.value.kind'],
    ['employer', { ...EMPLOYER, entity: undefined }, 'input.missing fact.value.entity'],
    ['employer', { ...EMPLOYER, formFamily: '943' }, 'employer.form-family fact.value.formFamily'],
    [
      'employer',
      { ...EMPLOYER, firstWages: '2026-05-01', lastWages: '2026-04-30' },
      'dates.order fact.value.lastWages',
    ],
    ['employer', { ...EMPLOYER, fiscalYearEnds: '02-30x' }, 'input.not-a-month-day fact.value.fiscalYearEnds'],
    ['employer', { ...EMPLOYER, employees: -1 }, 'input.not-whole fact.value.employees'],
    ['schedule', { ...SCHEDULE, frequency: 'fortnightly' }, 'input.not-one-of fact.value.frequency'],
    ['schedule', { ...SCHEDULE, periodEnd: '2026-02-30' }, 'input.not-an-iso-date fact.value.periodEnd'],
    ['schedule', { ...SCHEDULE, whenClosed: 'never' }, 'input.not-one-of fact.value.whenClosed'],
    ['lookback', { year: 2026, q3: '1.00', q4: '1.00', q1: '1.00' }, 'input.missing fact.value.q2'],
    ['tax-exemption', { tax: 'US-FOO', reason: 'x' }, 'input.not-one-of fact.value.tax'],
    ['tax-exemption', { tax: 'US-FUTA' }, 'input.missing fact.value.reason'],
    ['own-rate', { tax: 'NJ-TDI-ER', percent: 'half' }, 'input.not-a-decimal fact.value.percent'],
    ['local-registration', { state: 'ZZ', locality: 'Atlantis' }, 'rule.state-unknown fact.value.state'],
    ['pay-item', { ...ITEM, code: 'Tools!' }, 'item.code-shape fact.value.code'],
    ['pay-item', { ...ITEM, code: 'bonus' }, 'item.code-taken fact.value.code'],
    ['pay-item', { ...ITEM, like: 'lottery' }, 'item.unknown fact.value.like'],
    [
      'pay-item',
      { code: 'bonus', label: 'Bonus', like: 'bonus', 'for-social': 'untaxed' },
      'item.treatment-of-own fact.value.for-social',
    ],
    [
      'pay-item',
      { code: 'extra-match', label: 'Match', like: 'match-401k', 'for-income': 'taxed' },
      'item.treatment-of-own fact.value.for-income',
    ],
    ['work-class', { ...CLASS, employeeRate: '0.10' }, 'compensation.employee-rate fact.value.employeeRate'],
    [
      'work-class',
      { ...CLASS, per: 'hour', employeeRate: '0.30' },
      'compensation.employee-rate fact.value.employeeRate',
    ],
    ['department', { name: 'Bakery', sort: 'shed' }, 'input.not-one-of fact.value.sort'],
    ['withholding', { supplementalMethod: 'flat' }, 'input.missing fact.value.withholdingMethod'],
    ['contact', { name: 'x'.repeat(41) }, 'input.too-long fact.value.name'],
    ['note', { about: 'Tips', note: 'x', colour: 'red' }, 'input.unknown-field fact.value.colour'],
    ['enrollment', { agency: 'EFTPS', standing: 'asked' }, 'input.not-one-of fact.value.standing'],
    ['reporting-agent', { ...AGENT, standing: 'signed' }, 'input.missing fact.value.signedBy'],
    ['reporting-agent', { standing: 'sent', depositsFrom: '2026-10-01' }, 'input.missing fact.value.returnsFrom'],
  ])('%s %j', (kind, value, expected) => expect(codes(kind, value)).toContain(expected));

  it.each<[string, Record<string, unknown>]>([
    ['employer', EMPLOYER],
    ['employer', { kind: 'household', entity: 'person', formFamily: 'schedule-h' }],
    ['employer', { kind: 'agricultural', entity: 'partnership', formFamily: '943', fiscalYearEnds: '06-30' }],
    ['schedule', SCHEDULE],
    ['pay-item', { ...ITEM, 'for-social': 'untaxed', perYear: '300.00' }],
    ['pay-item', { code: 'bonus', label: 'Prize', like: 'bonus' }],
    ['work-class', { ...CLASS, per: 'hour', rate: '0.62', employeeRate: '0.14' }],
    ['own-rate', { tax: 'NJ-TDI-ER', percent: '0.75' }],
    ['reporting-agent', AGENT],
  ])('a sound one has no issue: %s %j', (kind, value) => expect(codes(kind, value)).toEqual([]));

  it('a kind that is not there has none either: who stores it decides', () => expect(codes('mood', {})).toEqual([]));
});

// Instructions for Forms 941, 943 and 944, Publication 926 (recalled).
describe('forms by the kind of employer', () => {
  it.each([
    ['business', ['941', '944', '945']],
    ['household', ['schedule-h', '941', '944']],
    ['agricultural', ['943', '941', '944']],
    ['nonprofit', ['941', '944', '945']],
  ])('%s', (kind, families) => expect(familiesOf(kind)).toEqual(families));
});

describe('facts about a client are read back as sentences', () => {
  it.each<[string, Record<string, unknown>, string]>([
    ['employer', EMPLOYER, 'Business, corporation, files Form 941, quarterly'],
    [
      'employer',
      { ...EMPLOYER, isSeasonal: true, firstWages: '2026-05-01', lastWages: '2026-09-30', successor: 'Gull Ltd' },
      'Business, corporation, files Form 941, quarterly, seasonal, wages from Fri, May 1, 2026, closed, last wages Wed, Sep 30, 2026, taken over by Gull Ltd',
    ],
    [
      'schedule',
      SCHEDULE,
      'biweekly, a period ends Sat, Oct 24, 2026, checks 6 days later, moved to the banking day before',
    ],
    [
      'schedule',
      { ...SCHEDULE, daysToCheck: undefined, whenClosed: 'after' },
      'biweekly, a period ends Sat, Oct 24, 2026, checks 0 days later, moved to the banking day after',
    ],
    [
      'lookback',
      { year: 2026, q3: '1.00', q4: '2.00', q1: '3.00', q2: '4.00' },
      'Lookback for 2026: 1.00 + 2.00 + 3.00 + 4.00',
    ],
    ['own-rate', { tax: 'NJ-TDI-ER', percent: '0.75' }, /: 0\.75% = 7\.50 per 1,000$/.source],
    [
      'local-registration',
      { state: 'PA', locality: 'Pittsburgh', account: 'W-7', collector: '700102', until: '2026-12-31' },
      'Pittsburgh, PA, W-7, 700102, until Thu, Dec 31, 2026',
    ],
    ['local-registration', { state: 'PA', locality: 'Pittsburgh' }, 'Pittsburgh, PA'],
    ['pay-item', ITEM, 'Tools (tools), treated as After-tax deduction'],
    [
      'pay-item',
      { ...ITEM, 'for-social': 'untaxed', perYear: '300.00', account: '6010' },
      /^Tools \(tools\), treated as After-tax deduction, not taxed for .+, at most 300\.00 a year, account 6010$/
        .source,
    ],
    ['work-class', CLASS, 'Class 8810: 0.25 for each 100.00 of pay'],
    [
      'work-class',
      { class: '4904', per: 'hour', rate: '0.62', employeeRate: '0.14' },
      'Class 4904: 0.62 an hour, of it 0.14 from the employee',
    ],
    ['department', { name: 'Stone oven', sort: 'cost-center' }, 'Stone oven, cost center'],
    [
      'withholding',
      { withholdingMethod: 'wage-bracket', supplementalMethod: 'aggregate', roundWithholdingToDollar: true },
      'Wage-bracket tables; supplemental wages together with regular wages; whole dollars',
    ],
    [
      'withholding',
      { withholdingMethod: 'percentage', supplementalMethod: 'flat' },
      'Percentage method; supplemental wages at the flat rate',
    ],
    ['overtime', { premium: 'regular-rate' }, 'The premium is on the regular rate of all pay for the hours'],
    ['overtime', { premium: 'own-rate' }, 'The premium is on the rate of its own line'],
    [
      'pay-item',
      { code: 'sunday', label: 'Sunday', like: 'overtime', factor: '1.75' },
      'Sunday (sunday), treated as Overtime, 1.75 times the rate',
    ],
    ['checks', { nextNumber: 1042, layout: 'top', wagesAccount: '6000' }, 'next check 1042, check at the top, 6000'],
    ['checks', { layout: 'middle' }, 'check in the middle'],
    ['contact', { name: 'Ruth', role: 'office', phone: '', email: 'r@x.example' }, 'Ruth, office, r@x.example'],
    ['note', { about: 'Tips', note: 'reported on Mondays' }, 'Tips: reported on Mondays'],
    ['enrollment', { agency: 'EFTPS', standing: 'applied' }, 'EFTPS: applied'],
    ['reporting-agent', AGENT, 'Sent to be signed: returns from Thu, Oct 1, 2026, deposits from Sun, Nov 1, 2026'],
    [
      'reporting-agent',
      { ...AGENT, standing: 'signed', signedBy: 'Ruth Gannet' },
      'Signed by Ruth Gannet: returns from Thu, Oct 1, 2026, deposits from Sun, Nov 1, 2026',
    ],
    [
      'reporting-agent',
      { ...AGENT, wantsNotices: true },
      'Sent to be signed: returns from Thu, Oct 1, 2026, deposits from Sun, Nov 1, 2026, with copies of notices',
    ],
    ['reporting-agent', { ...AGENT, standing: 'revoked' }, 'Revoked'],
    ['tax-exemption', { tax: 'US-FUTA', reason: '501(c)(3)' }, /: 501\(c\)\(3\)$/.source],
  ])('%s %j', (kind, value, says) => {
    const said = CLIENT_FACTS.says(kind, value);
    if (/[\\^$]/.test(says)) expect(said).toMatch(new RegExp(says));
    else expect(said).toBe(says);
  });
});

describe('a client on a day', () => {
  let next = 0;
  const fact = (kind: string, from: string, value: Record<string, unknown>): DatedFact => ({
    id: String((next += 1)),
    kind,
    from,
    value,
  });
  const facts = newestFirst([
    fact('own-rate', '2026-01-01', { tax: 'NJ-TDI-ER', percent: '0.50' }),
    fact('own-rate', '2026-07-01', { tax: 'NJ-TDI-ER', percent: '0.75' }),
    fact('own-rate', '2026-01-01', { tax: 'MA-EMAC', percent: '0.12', until: '2026-06-30' }),
    fact('pay-item', '2026-01-01', ITEM),
    fact('pay-item', '2026-02-01', { ...ITEM, code: 'boots', label: 'Boots' }),
    fact('schedule', '2026-01-01', SCHEDULE),
    fact('schedule', '2026-09-01', { ...SCHEDULE, frequency: 'weekly' }),
  ]);
  const rates = (day: string) =>
    clientOnDay(facts, day).ownRates.map((rate) => `${String(rate['tax'])} ${String(rate['percent'])}`);
  it('has each rate as it is then, and none after its last day', () => {
    expect(rates('2026-06-30').sort()).toEqual(['MA-EMAC 0.12', 'NJ-TDI-ER 0.50']);
    expect(rates('2026-07-01')).toEqual(['NJ-TDI-ER 0.75']);
    expect(rates('2025-12-31')).toEqual([]);
  });
  it('has its items side by side and one schedule at a time', () => {
    expect(clientOnDay(facts, '2026-03-01').items.map((item) => item['code'])).toEqual(['tools', 'boots']);
    expect(clientOnDay(facts, '2026-08-31').schedule?.['frequency']).toBe('biweekly');
    expect(clientOnDay(facts, '2026-09-01').schedule?.['frequency']).toBe('weekly');
    expect(clientOnDay(facts, '2026-09-01').employer).toBeNull();
  });
  it('passes on rules to a new client, and nothing that names anybody', () => {
    for (const kind of [
      'contact',
      'note',
      'enrollment',
      'lookback',
      'tax-exemption',
      'local-registration',
      'reporting-agent',
    ])
      expect(COPIED_KINDS).not.toContain(kind);
    for (const kind of COPIED_KINDS) expect(CLIENT_FACTS.find(kind)?.kind).toBe(kind);
    const department = (sort: string) => isCopied({ kind: 'department', value: { name: 'Ferry refit', sort } });
    expect([department('location'), department('job')]).toEqual([true, false]);
  });
});
