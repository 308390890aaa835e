import { describe, expect, it } from '@jest/globals';
import { date } from '../../calendar/local-date.js';
import { dollars } from '../../money/cents.js';
import { dedSegment, supportName, writeSupportPayments, type SupportCredit } from './support-payment.js';

const CREDIT: SupportCredit = {
  caseId: 'CS0012345',
  payDate: date('2026-10-16'),
  amount: dollars('115.00'),
  ssn: '899451001',
  lastName: 'Quill',
  firstName: 'Bartholomew',
  isMedical: false,
  fips: '',
  hasEnded: false,
};

describe('the addenda of a payment of support', () => {
  it('has the case, the day, the cents and the person, and nothing behind what is there', () => {
    expect(dedSegment(CREDIT)).toBe('DED*CS*CS0012345*261016*0000011500*899451001*N*QUILL,BAR\\');
    expect(dedSegment({ ...CREDIT, isMedical: true, fips: '06037', hasEnded: true })).toBe(
      'DED*CS*CS0012345*261016*0000011500*899451001*Y*QUILL,BAR*06037*Y\\',
    );
    expect(dedSegment({ ...CREDIT, hasEnded: true })).toMatch(/\*QUILL,BAR\*\*Y\\$/);
  });
  it('shortens the name to seven and three letters, with a comma behind a shorter last name', () => {
    expect([
      supportName('Featherstone', 'Ann'),
      supportName('O’Néil', 'Jo'),
      supportName('Van Der Berg', 'Élise'),
    ]).toEqual(['FEATHERANN', 'ONEIL,JO', 'VANDERBELI']);
  });
  it('fits an addenda record of eighty positions at its longest', () =>
    expect(
      dedSegment({ ...CREDIT, caseId: 'X'.repeat(20), lastName: 'Featherstone', fips: '0603700', hasEnded: true })
        .length,
    ).toBeLessThanOrEqual(80));
});

describe('the file', () => {
  const write = (credit: Partial<SupportCredit>) =>
    writeSupportPayments({
      bankRouting: '122099998',
      bankName: 'A Bank',
      originName: 'A Firm',
      companyId: '1123456789',
      companyName: 'A Client',
      created: date('2026-10-14'),
      settles: date('2026-10-16'),
      fileIdModifier: 'G',
      payeeName: 'STATE DISBURSEMENT UNIT',
      payeeRouting: '031001239',
      payeeAccount: '9400000001',
      reference: 'ZG0123456789AB',
      credits: [{ ...CREDIT, ...credit }],
    });
  it('is credits to a business, each with its addenda', () => {
    const { content, issues, total } = write({});
    const [, batch, entry, addenda] = content.split('\r\n');
    expect([issues, total]).toEqual([[], dollars('115.00')]);
    expect([batch?.slice(1, 4), batch?.slice(50, 63), entry?.slice(1, 3), entry?.slice(78, 79)]).toEqual([
      '220',
      'CCDCHILD SUP ',
      '22',
      '1',
    ]);
    expect(addenda?.slice(3, 83).trimEnd()).toBe(dedSegment(CREDIT));
  });
  it('says what is missing', () => {
    expect(write({ ssn: '' }).issues.map(({ code }) => code)).toEqual(['support.ssn']);
    expect(write({ fips: '12' }).issues.map(({ code }) => code)).toEqual(['support.fips']);
    expect(write({ caseId: 'a*b' }).issues.map(({ code }) => code)).toEqual(['support.case']);
  });
});
