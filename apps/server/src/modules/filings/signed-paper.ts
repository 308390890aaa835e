import { streetInOneLine } from '@zakat/core/identity/street';
import { showEin } from '@zakat/core/identity/numbers';
import { pdfOf } from '../documents/index.js';

const LEFT = 54;
const WIDTH = 504;

/** Whose name and address stand on a paper that is signed. */
export interface Party {
  readonly name: string;
  readonly ein: string;
  readonly street: string;
  readonly city: string;
  readonly state: string;
  readonly zip: string;
}
/** A page that somebody signs, written from top to bottom. */
export interface SignedPaper {
  words(said: string, size?: number, isStrong?: boolean): void;
  heading(said: string): void;
  party(party: Party): void;
  gap(points: number): void;
  /** Lines for a signature and its day. */
  signature(whose: string): void;
}

export function drawSignedPaper(title: string, write: (paper: SignedPaper) => void): Promise<Buffer> {
  return pdfOf(title, (document) => {
    document.addPage();
    let y = 54;
    const words: SignedPaper['words'] = (said, size = 9, isStrong = false) => {
      document
        .font(isStrong ? 'Helvetica-Bold' : 'Helvetica')
        .fontSize(size)
        .text(said, LEFT, y, { width: WIDTH });
      y += document.heightOfString(said, { width: WIDTH }) + 6;
    };
    const line = (from: number, to: number): void =>
      void document.lineWidth(0.6).moveTo(from, y).lineTo(to, y).stroke();
    write({
      words,
      heading: (said) => words(said, 10, true),
      party: ({ name, ein, street, city, state, zip }) => {
        words(`${name}, EIN ${showEin(ein)}`, 10, true);
        words(`${streetInOneLine(street)}, ${city}, ${state} ${zip}`);
      },
      gap: (points) => void (y += points),
      signature: (whose) => {
        y += 16;
        line(LEFT, LEFT + 300);
        line(LEFT + 330, LEFT + WIDTH);
        y += 4;
        document.font('Helvetica').fontSize(8).text(whose, LEFT, y, { lineBreak: false });
        document.text('Date', LEFT + 330, y, { lineBreak: false });
        y += 20;
      },
    });
  });
}
