import type { FilingFacts, FilingKind } from '@zakat/core/filings/kind';
import { showDate } from '@zakat/core/calendar/local-date';
import { showPhone } from '@zakat/core/identity/numbers';
import { titleOf } from '../filing-records/index.js';
import { drawSignedPaper } from './signed-paper.js';

/**
 * Form 8879-EMP as it goes to the signer: whose return, its figures, the PIN that signs it (text of the declaration is
 * recalled and shortened).
 */
export function drawAuthorization(kind: FilingKind, content: unknown, facts: FilingFacts): Promise<Buffer> {
  const { filer, firm, period } = facts;
  const title = titleOf(kind, period);
  return drawSignedPaper(`Form 8879-EMP, ${title}`, ({ words, heading, party, gap, signature }) => {
    words('Form 8879-EMP, E-file Authorization for Employment Tax Returns', 14, true);
    words(`For ${title}, from ${showDate(period.start)} to ${showDate(period.end)}`);
    gap(6);
    party(filer);
    gap(8);
    heading('Part I. Tax return information');
    for (const { label, value } of kind.figures(content)) words(`${label}: ${value}`);
    gap(8);
    heading('Part II. Declaration and signature authorization');
    words(
      `I am the person who signs for the employer. I have looked at the return whose figures stand above, and to the best of my knowledge it is true, correct, and complete. ${firm.name} may send it to the IRS, and the PIN below is my signature on it.`,
    );
    gap(4);
    words('Signer’s PIN, five digits, not all zero:    ___  ___  ___  ___  ___');
    signature(`${filer.signerName}, ${filer.signerTitle}`);
    heading('Part III. Certification of the ERO');
    words(`EFIN ${firm.efin}. ${firm.preparerName}, PTIN ${firm.preparerPtin}, ${firm.name}, ${showPhone(firm.phone)}`);
    signature('ERO');
    words('Kept by the firm for four years; it is not sent to the IRS.', 8);
  });
}
