import { text, type FactValue } from '@zakat/core/facts/fact-kind';
import { date, showDate } from '@zakat/core/calendar/local-date';
import { showPhone } from '@zakat/core/identity/numbers';
import { drawSignedPaper, type Party } from './signed-paper.js';

interface Reached extends Party {
  readonly phone: string;
  readonly contactName: string;
}
export interface Authorized {
  readonly taxpayer: Reached & {
    readonly tradeName: string;
    readonly signerName: string;
    readonly signerTitle: string;
  };
  readonly agent: Reached;
  readonly terms: FactValue;
  /** The federal returns that the client files, by their names. */
  readonly returns: readonly string[];
}

/**
 * Form 8655 as it goes to the client to be signed: who authorizes whom, for which returns and deposits, and from when (lines
 * and declaration are recalled and shortened).
 */
export function drawAgentAuthorization({ taxpayer, agent, terms, returns }: Authorized): Promise<Buffer> {
  return drawSignedPaper('Form 8655, Reporting Agent Authorization', (paper) => {
    const { words, heading, gap } = paper;
    const party = (whose: Reached): void => {
      paper.party(whose);
      words(`${whose.contactName}, ${showPhone(whose.phone)}`);
      gap(8);
    };
    const from = (name: string): string => showDate(date(text(terms, name)));
    words('Form 8655, Reporting Agent Authorization', 14, true);
    heading('Taxpayer');
    if (taxpayer.tradeName !== '') words(`Trade name: ${taxpayer.tradeName}`);
    party(taxpayer);
    heading('Reporting agent');
    party(agent);
    heading('Returns that the agent signs and files');
    words(`${returns.join(', ')}: from the period that begins ${from('returnsFrom')}`);
    heading('Deposits and payments that the agent makes');
    words(`For the same forms: from the month that begins ${from('depositsFrom')}`);
    heading('Disclosure');
    words(
      terms['wantsNotices'] === true
        ? 'The agent may receive tax information about these returns and deposits, and copies of the notices that the IRS sends the taxpayer.'
        : 'The agent may receive tax information about these returns and deposits. Copies of notices are not asked for.',
    );
    gap(8);
    heading('Declaration of the taxpayer');
    words(
      'The agent may sign and file the returns above and make the deposits above. This does not relieve the taxpayer of the duty that every return is filed and every deposit and payment is made: the taxpayer looks at the account with the IRS and receives the notices. An authorization of an earlier day for the same forms ends with this one. I have the authority to sign for the taxpayer.',
    );
    paper.signature(`${taxpayer.signerName}, ${taxpayer.signerTitle}`);
    words(
      'Drawn from the record with the lines of the form recalled: the IRS takes the authorization on its own Form 8655.',
      8,
    );
  });
}
