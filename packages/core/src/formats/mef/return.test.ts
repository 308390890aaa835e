import { describe, expect, test } from '@jest/globals';
import { XMLParser } from 'fast-xml-parser';
import { date } from '../../calendar/local-date.js';
import { writeMefReturn, type MefHeader } from './return.js';

describe('the header of a return', () => {
  const place = { street: '1 Mill Lane', city: 'Fernhollow', state: 'PA', zip: '15299' };
  const header: MefHeader = {
    returnType: '941',
    submissionId: 'one',
    taxYear: 2026,
    periodEnd: date('2026-09-30'),
    efin: '123456',
    filer: {
      ...place,
      ein: '123456789',
      name: 'A Bakery',
      nameControl: 'ABAK',
      tradeName: '',
      phone: '5555550100',
      signerName: 'Ada Quill',
      signerTitle: 'Owner',
    },
    firm: {
      ...place,
      ein: '987654321',
      name: 'A Firm',
      phone: '5555550101',
      preparerName: 'Ben Reed',
      preparerPtin: 'P01234567',
    },
    signature: { pin: '31415', signed: date('2026-10-20'), agent: null },
    designee: null,
  };
  const read = (one: MefHeader) =>
    (
      new XMLParser({ parseTagValue: false }).parse(writeMefReturn(one, {})) as {
        Return: { ReturnHeader: Record<string, unknown> };
      }
    ).Return.ReturnHeader;

  test('says whose five digits they are: the client’s', () => {
    expect(read(header)).toMatchObject({
      OriginatorGrp: { OriginatorTypeCd: 'ERO' },
      PINEnteredByCd: 'Taxpayer',
      BusinessOfficerGrp: { PersonNm: 'Ada Quill', PersonTitleTxt: 'Owner', TaxpayerPIN: '31415' },
    });
  });
  test('or the firm’s, as reporting agent', () => {
    const agent = { pin: '27182', signed: date('2026-10-20'), agent: 'Ben Reed' };
    expect(read({ ...header, signature: agent })).toMatchObject({
      OriginatorGrp: { OriginatorTypeCd: 'ReportingAgent' },
      PINEnteredByCd: 'ReportingAgent',
      BusinessOfficerGrp: { PersonNm: 'Ben Reed', PersonTitleTxt: 'Reporting agent', TaxpayerPIN: '27182' },
    });
  });
});
