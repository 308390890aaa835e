import { describe, expect, test } from '@jest/globals';
import { XMLParser, XMLValidator } from 'fast-xml-parser';
import { date } from '../../calendar/local-date.js';
import { cents } from '../../money/cents.js';
import { readAcknowledgements, writeTransmission, type Submission } from './transmission.js';

const one = (id: string, amount: number, more: Partial<Submission> = {}): Submission => ({
  id,
  returnType: '941',
  periodEnd: date('2026-09-30'),
  ein: '990000001',
  amount: cents(amount),
  content: `<?xml version="1.0" encoding="UTF-8"?>\n<Return submissionId="${id}"><Name>Ash &amp; Sons</Name></Return>`,
  ...more,
});
const HEAD = { id: 'T-7', efin: '123456', created: date('2026-10-20') };

describe('several returns in one file', () => {
  const file = writeTransmission(HEAD, [one('a-1', 810_422), one('b-1', 99, { returnType: '944', ein: '990000002' })]);
  test('stand behind a manifest with their number and their total', () => {
    expect(XMLValidator.validate(file)).toBe(true);
    const { Transmission } = new XMLParser({ parseTagValue: false, ignoreAttributes: false }).parse(file) as {
      Transmission: { TransmissionManifest: Record<string, unknown>; Submission: Record<string, unknown>[] };
    };
    expect(Transmission.TransmissionManifest).toMatchObject({
      TransmissionId: 'T-7',
      SubmissionCnt: '2',
      TotalTaxAmt: '8105.21',
      SubmissionManifest: [
        { SubmissionId: 'a-1', FederalSubmissionTypeCd: '941', TaxPeriodEndDt: '2026-09-30', TIN: '990000001' },
        { SubmissionId: 'b-1', FederalSubmissionTypeCd: '944', TIN: '990000002' },
      ],
    });
    expect(Transmission.Submission.map((submission) => submission['@_submissionId'])).toEqual(['a-1', 'b-1']);
  });
  test('are in it letter by letter, without their declarations', () => {
    expect(file).toContain('<Return submissionId="a-1"><Name>Ash &amp; Sons</Name></Return>');
    expect(file.match(/<\?xml/g)).toHaveLength(1);
  });
});

describe('a file of acknowledgements', () => {
  const accepted =
    '<Acknowledgement><SubmissionId>a-1</SubmissionId><AcceptanceStatusTxt>Accepted</AcceptanceStatusTxt></Acknowledgement>';
  const rejected = `<Acknowledgement><SubmissionId>b-1</SubmissionId><AcceptanceStatusTxt>Rejected</AcceptanceStatusTxt><ValidationErrorList>
    <ValidationErrorGrp><RuleNum>R0000-922-01</RuleNum><ErrorMessageTxt>The name control &amp; EIN differ.</ErrorMessageTxt><XpathContentTxt>BusinessNameControlTxt</XpathContentTxt></ValidationErrorGrp>
    <ValidationErrorGrp><RuleNum>R0000-112</RuleNum><ErrorMessageTxt>The PTIN.</ErrorMessageTxt></ValidationErrorGrp></ValidationErrorList></Acknowledgement>`;
  const file = (count: number, body: string): string =>
    `<AcknowledgementList><Cnt>${count}</Cnt>${body}</AcknowledgementList>`;
  test('says of each whether it is accepted, and of one that is not the first rule with its element', () => {
    expect(readAcknowledgements(file(2, accepted + rejected))).toEqual([
      { submissionId: 'a-1', isAccepted: true, code: null, message: null, field: null },
      {
        submissionId: 'b-1',
        isAccepted: false,
        code: 'R0000-922-01',
        message: 'The name control & EIN differ.',
        field: 'BusinessNameControlTxt',
      },
    ]);
  });
  test('may answer one of them, or none yet', () => {
    expect(readAcknowledgements(file(1, accepted))).toHaveLength(1);
    expect(readAcknowledgements(file(0, ''))).toEqual([]);
  });
  test.each([
    ['counts others than it holds', file(2, accepted)],
    ['is something else', '<Return/>'],
  ])('that %s is refused', (_, text) => {
    expect(() => readAcknowledgements(text)).toThrow(/acknowledgements/);
  });
});
