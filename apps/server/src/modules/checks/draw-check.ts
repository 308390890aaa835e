import PDFDocument from 'pdfkit';
import { checkPage, type CheckSheet } from './check-page.js';

/** A check with its two stubs on a letter page, as a PDF. */
export function drawCheck(sheet: CheckSheet): Promise<Buffer> {
  const { texts, rules, check } = checkPage(sheet);
  return new Promise((resolve, reject) => {
    const document = new PDFDocument({ size: 'LETTER', margin: 0, info: { Title: `Check ${sheet.number}` } });
    const parts: Buffer[] = [];
    document.on('data', (part: Buffer) => parts.push(part));
    document.on('end', () => resolve(Buffer.concat(parts)));
    document.on('error', reject);
    for (const { y, from, to, isDashed } of rules) {
      document
        .lineWidth(isDashed ? 0.4 : 0.6)
        .strokeColor(isDashed ? '#999999' : '#333333')
        .moveTo(from, y)
        .lineTo(to, y);
      if (isDashed) document.dash(3, { space: 3 });
      document.stroke().undash();
    }
    for (const { text, x, y, width, size, isBold, isRight } of texts)
      document
        .font(isBold ? 'Helvetica-Bold' : 'Helvetica')
        .fontSize(size)
        .fillColor('#000000')
        .text(text, x, y, { width, height: size + 1, ellipsis: true, align: isRight ? 'right' : 'left' });
    if (sheet.isSample)
      document
        .save()
        .rotate(-14, { origin: [306, check.y + check.height / 2] })
        .font('Helvetica-Bold')
        .fontSize(40)
        .fillOpacity(0.13)
        .text('SAMPLE, NOT A CHECK', 70, check.y + check.height / 2 - 24, {
          width: 472,
          align: 'center',
          lineBreak: false,
        })
        .restore();
    document.end();
  });
}
