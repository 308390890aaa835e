import PDFDocument from 'pdfkit';
import { lendFonts } from './pdf-fonts.js';

export type Pdf = InstanceType<typeof PDFDocument>;

/** Makes a PDF of letter pages; nothing but what is drawn is in it. */
export function pdfOf(title: string, draw: (document: Pdf) => void): Promise<Buffer> {
  return new Promise((resolve, reject) => {
    const document = new PDFDocument({
      size: 'LETTER',
      margin: 0,
      autoFirstPage: false,
      info: { Title: title },
      // Its fonts are lent: each document would read them from their tables again.
      font: '',
    });
    lendFonts(document);
    const parts: Buffer[] = [];
    document.on('data', (part: Buffer) => parts.push(part));
    document.on('end', () => resolve(Buffer.concat(parts)));
    document.on('error', reject);
    draw(document);
    document.end();
  });
}
