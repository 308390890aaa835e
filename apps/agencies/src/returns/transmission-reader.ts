import { XMLBuilder, XMLParser, XMLValidator } from 'fast-xml-parser';
import type { Submission } from '../store.js';
import { cents, child, text } from './form-reader.js';

/** A return of a transmission: what the manifest says of it, and its own text. */
export interface TransmittedReturn {
  readonly id: string;
  readonly type: string;
  readonly periodEnd: string;
  readonly tin: string;
  readonly content: string;
}
export interface ReadTransmission {
  /** Why the whole of it is refused; null: it is taken in. */
  readonly fault: string | null;
  readonly total: bigint;
  readonly returns: readonly TransmittedReturn[];
}

const parser = new XMLParser({
  ignoreAttributes: false,
  parseTagValue: false,
  isArray: (name) => name === 'SubmissionManifest',
});
const ONE = /<Submission submissionId="([^"]*)">\s*([\s\S]*?)\s*<\/Submission>/g;

/** The returns of a transmission, by its manifest: refused as a whole where the two do not agree. */
export function readTransmission(content: string): ReadTransmission {
  const nothing = (fault: string): ReadTransmission => ({ fault, total: 0n, returns: [] });
  if (XMLValidator.validate(content) !== true) return nothing('The XML is not well formed.');
  const manifest = child(child(parser.parse(content), 'Transmission'), 'TransmissionManifest');
  const lines = child(manifest, 'SubmissionManifest');
  if (!Array.isArray(lines)) return nothing('There is no manifest.');
  const bodies = new Map([...content.matchAll(ONE)].map(([, id = '', body = '']) => [id, body]));
  const returns = lines.map((line) => ({
    id: text(line, 'SubmissionId'),
    type: text(line, 'FederalSubmissionTypeCd'),
    periodEnd: text(line, 'TaxPeriodEndDt'),
    tin: text(line, 'TIN'),
    content: bodies.get(text(line, 'SubmissionId')) ?? '',
  }));
  if (text(manifest, 'SubmissionCnt') !== String(returns.length) || bodies.size !== returns.length)
    return nothing('The manifest does not count the returns that are in the file.');
  if (returns.some((one) => one.id === '' || one.content === ''))
    return nothing('A return of the manifest is not in the file.');
  const total = cents(text(manifest, 'TotalTaxAmt'));
  if (total === null) return nothing('The control total is not an amount.');
  return { fault: null, total, returns };
}

/** The answers to a transmission: what has a verdict, each with the rule that refused it. */
export function writeAcknowledgements(submissions: readonly Submission[]): string {
  const done = submissions.filter(({ isFinal }) => isFinal);
  const body = new XMLBuilder({ format: true }).build({
    AcknowledgementList: {
      Cnt: String(done.length),
      Acknowledgement: done.map((one) => ({
        SubmissionId: one.key,
        AcceptanceStatusTxt: one.state === 'accepted' ? 'Accepted' : 'Rejected',
        StatusDt: one.receivedOn,
        ...(one.state === 'accepted'
          ? {}
          : {
              ValidationErrorList: {
                ValidationErrorGrp: {
                  RuleNum: one.code ?? '',
                  ErrorMessageTxt: one.message ?? '',
                  XpathContentTxt: one.field ?? '',
                },
              },
            }),
      })),
    },
  }) as string;
  return `<?xml version="1.0" encoding="UTF-8"?>\n${body}`;
}
