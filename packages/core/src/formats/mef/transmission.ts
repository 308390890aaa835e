import { XMLParser } from 'fast-xml-parser';
import { create } from 'xmlbuilder2';
import type { LocalDate } from '../../calendar/local-date.js';
import { sum, toDollars, type Cents } from '../../money/cents.js';

/** A return among those that leave together. */
export interface Submission {
  /** Names it for the receiver: of this attempt, and of no other. */
  readonly id: string;
  readonly returnType: string;
  readonly periodEnd: LocalDate;
  readonly ein: string;
  /** Its total tax. Cents. */
  readonly amount: Cents;
  /** The return as XML, as it would leave by itself. */
  readonly content: string;
}

/** The control totals of a transmission: how many returns, and what they come to. */
export interface ControlTotals {
  readonly count: number;
  readonly amount: Cents;
}
export const controlTotalsOf = (submissions: readonly Pick<Submission, 'amount'>[]): ControlTotals => ({
  count: submissions.length,
  amount: sum(submissions.map(({ amount }) => amount)),
});

const withoutDeclaration = (xml: string): string => xml.replace(/^\s*<\?xml[^>]*\?>\s*/, '');

/**
 * Several returns in one file, each behind its line in a manifest, with control totals before them. The IRS takes such a
 * file as an archive with a manifest for each return (Publication 4164); the names of the elements are recalled and not yet
 * compared with its schemas, and the returns stand in one document here instead of an archive.
 */
export function writeTransmission(
  { id, efin, created }: { readonly id: string; readonly efin: string; readonly created: LocalDate },
  submissions: readonly Submission[],
): string {
  const { count, amount } = controlTotalsOf(submissions);
  const manifest = create({
    TransmissionManifest: {
      TransmissionId: id,
      EFIN: efin,
      CreatedDt: created,
      SubmissionCnt: String(count),
      TotalTaxAmt: toDollars(amount),
      SubmissionManifest: submissions.map((one) => ({
        SubmissionId: one.id,
        GovernmentCd: 'IRS',
        FederalSubmissionTypeCd: one.returnType,
        TaxPeriodEndDt: one.periodEnd,
        TIN: one.ein,
      })),
    },
  }).end({ headless: true, prettyPrint: true });
  const returns = submissions.map(
    (one) => `<Submission submissionId="${one.id}">\n${withoutDeclaration(one.content)}\n</Submission>`,
  );
  return [
    '<?xml version="1.0" encoding="UTF-8"?>',
    '<Transmission xmlns="http://www.irs.gov/efile">',
    manifest,
    ...returns,
    '</Transmission>',
    '',
  ].join('\n');
}

/** What the receiver says of one return of a transmission. */
export interface Acknowledgement {
  readonly submissionId: string;
  readonly isAccepted: boolean;
  /** The first rule that refused it. */
  readonly code: string | null;
  readonly message: string | null;
  /** The receiver's own name of the element it refuses. */
  readonly field: string | null;
}

type Element = Readonly<Record<string, unknown>>;
const list = (value: unknown): Element[] =>
  value === undefined ? [] : Array.isArray(value) ? (value as Element[]) : [value as Element];
const words = (value: unknown): string | null => (typeof value === 'string' && value !== '' ? value : null);

/**
 * The returns that an acknowledgement file answers; one that is not answered yet is not in it. Throws on a file that does
 * not hold as many as it says. Names of elements as in the IRS's acknowledgements; recalled, not yet verified.
 */
export function readAcknowledgements(xml: string): Acknowledgement[] {
  const root = new XMLParser({ parseTagValue: false }).parse(xml) as Element;
  const file = root['AcknowledgementList'] as Element | undefined;
  if (typeof file !== 'object') throw new Error('this is no file of acknowledgements');
  const found = list(file['Acknowledgement']).map((one): Acknowledgement => {
    const first = list((one['ValidationErrorList'] as Element | undefined)?.['ValidationErrorGrp'])[0];
    return {
      submissionId: words(one['SubmissionId']) ?? '',
      isAccepted: one['AcceptanceStatusTxt'] === 'Accepted',
      code: words(first?.['RuleNum']),
      message: words(first?.['ErrorMessageTxt']),
      field: words(first?.['XpathContentTxt']),
    };
  });
  if (String(found.length) !== file['Cnt'])
    throw new Error('the file of acknowledgements does not hold what it counts');
  return found;
}
