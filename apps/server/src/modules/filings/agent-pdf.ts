import type { FactValue } from '@zakat/core/facts/fact-kind';
import { text } from '@zakat/core/facts/fact-kind';
import { date, showDate } from '@zakat/core/calendar/local-date';
import { streetInOneLine } from '@zakat/core/identity/street';
import { showEin, showPhone } from '@zakat/core/identity/numbers';
import { pdfOf } from '../documents/index.js';

const LEFT = 54;
const WIDTH = 504;

export interface Party {
  readonly name: string;
  readonly ein: string;
  readonly street: string;
  readonly city: string;
  readonly state: string;
  readonly zip: string;
  readonly phone: string;
  readonly contactName: string;
}
export interface Authorized {
  readonly taxpayer: Party & { readonly tradeName: string; readonly signerName: string; readonly signerTitle: string };
  readonly agent: Party;
  readonly terms: FactValue;
  /** The federal returns that the client files, by their names. */
  readonly returns: readonly string[];
}

/**
 * Form 8655 as it goes to the client to be signed: who authorizes whom, for which returns and deposits, and from when (lines
 * and declaration are recalled and shortened).
 */
export function drawAgentAuthorization({ taxpayer, agent, terms, returns }: Authorized): Promise<Buffer> {
  return pdfOf('Form 8655, Reporting Agent Authorization', (document) => {
    document.addPage();
    let y = 54;
    const words = (said: string, size = 9, isStrong = false): void => {
      document
        .font(isStrong ? 'Helvetica-Bold' : 'Helvetica')
        .fontSize(size)
        .text(said, LEFT, y, { width: WIDTH });
      y += document.heightOfString(said, { width: WIDTH }) + 6;
    };
    const party = ({ name, ein, street, city, state, zip, phone, contactName }: Party): void => {
      words(`${name}, EIN ${showEin(ein)}`, 10, true);
      words(`${streetInOneLine(street)}, ${city}, ${state} ${zip}`);
      words(`${contactName}, ${showPhone(phone)}`);
      y += 8;
    };
    const from = (name: string): string => showDate(date(text(terms, name)));
    words('Form 8655, Reporting Agent Authorization', 14, true);
    words('Taxpayer', 10, true);
    if (taxpayer.tradeName !== '') words(`Trade name: ${taxpayer.tradeName}`);
    party(taxpayer);
    words('Reporting agent', 10, true);
    party(agent);
    words('Returns that the agent signs and files', 10, true);
    words(`${returns.join(', ')}: from the period that begins ${from('returnsFrom')}`);
    words('Deposits and payments that the agent makes', 10, true);
    words(`For the same forms: from the month that begins ${from('depositsFrom')}`);
    words('Disclosure', 10, true);
    words(
      text(terms, 'wantsNotices') === 'true' || terms['wantsNotices'] === true
        ? 'The agent may receive tax information about these returns and deposits, and copies of the notices that the IRS sends the taxpayer.'
        : 'The agent may receive tax information about these returns and deposits. Copies of notices are not asked for.',
    );
    y += 8;
    words('Declaration of the taxpayer', 10, true);
    words(
      `The agent may sign and file the returns above and make the deposits above. This does not relieve the taxpayer of the duty that every return is filed and every deposit and payment is made: the taxpayer looks at the account with the IRS and receives the notices. An authorization of an earlier day for the same forms ends with this one. I have the authority to sign for the taxpayer.`,
    );
    y += 20;
    document
      .lineWidth(0.6)
      .moveTo(LEFT, y)
      .lineTo(LEFT + 300, y)
      .stroke();
    document
      .lineWidth(0.6)
      .moveTo(LEFT + 330, y)
      .lineTo(LEFT + WIDTH, y)
      .stroke();
    y += 4;
    document
      .font('Helvetica')
      .fontSize(8)
      .text(`${taxpayer.signerName}, ${taxpayer.signerTitle}`, LEFT, y, { lineBreak: false });
    document.text('Date', LEFT + 330, y, { lineBreak: false });
    y += 24;
    words(
      'Drawn from the record with the lines of the form recalled: the IRS takes the authorization on its own Form 8655.',
      8,
    );
  });
}
