import type { FilingFacts, FilingKind } from '@zakat/core/filings/kind';
import { showDate } from '@zakat/core/calendar/local-date';
import { streetInOneLine } from '@zakat/core/identity/street';
import { showEin, showPhone } from '@zakat/core/identity/numbers';
import { pdfOf } from '../documents/index.js';
import { titleOf } from '../filing-records/index.js';

const LEFT = 54;
const WIDTH = 504;

/**
 * Form 8879-EMP as it goes to the signer: whose return, its figures, the PIN that signs it (text of the declaration is
 * recalled and shortened).
 */
export function drawAuthorization(kind: FilingKind, content: unknown, facts: FilingFacts): Promise<Buffer> {
  const { filer, firm, period } = facts;
  const title = titleOf(kind, period);
  return pdfOf(`Form 8879-EMP, ${title}`, (document) => {
    document.addPage();
    let y = 54;
    const words = (text: string, size = 9, isStrong = false): void => {
      document
        .font(isStrong ? 'Helvetica-Bold' : 'Helvetica')
        .fontSize(size)
        .text(text, LEFT, y, { width: WIDTH });
      y += document.heightOfString(text, { width: WIDTH }) + 6;
    };
    const blank = (label: string): void => {
      y += 16;
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
      document.font('Helvetica').fontSize(8).text(label, LEFT, y, { lineBreak: false });
      document.text('Date', LEFT + 330, y, { lineBreak: false });
      y += 20;
    };
    words('Form 8879-EMP, E-file Authorization for Employment Tax Returns', 14, true);
    words(`For ${title}, from ${showDate(period.start)} to ${showDate(period.end)}`);
    y += 6;
    words(`${filer.name}, EIN ${showEin(filer.ein)}`, 10, true);
    words(`${streetInOneLine(filer.street)}, ${filer.city}, ${filer.state} ${filer.zip}`);
    y += 8;
    words('Part I. Tax return information', 10, true);
    for (const { label, value } of kind.figures(content)) words(`${label}: ${value}`);
    y += 8;
    words('Part II. Declaration and signature authorization', 10, true);
    words(
      `I am the person who signs for the employer. I have looked at the return whose figures stand above, and to the best of my knowledge it is true, correct, and complete. ${firm.name} may send it to the IRS, and the PIN below is my signature on it.`,
    );
    y += 4;
    words('Signer’s PIN, five digits, not all zero:    ___  ___  ___  ___  ___');
    blank(`${filer.signerName}, ${filer.signerTitle}`);
    words('Part III. Certification of the ERO', 10, true);
    words(`EFIN ${firm.efin}. ${firm.preparerName}, PTIN ${firm.preparerPtin}, ${firm.name}, ${showPhone(firm.phone)}`);
    blank('ERO');
    words('Kept by the firm for four years; it is not sent to the IRS.', 8);
  });
}
