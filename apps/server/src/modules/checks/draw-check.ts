import { type Pdf, pdfOf } from '../documents/index.js';
import {
  checkPage,
  voucherPage,
  type CheckFace,
  type CheckPage,
  type CheckSheet,
  type Placed,
  type Ruled,
  type VoucherSheet,
} from './check-page.js';

export function drawPlaced(document: Pdf, texts: readonly Placed[], rules: readonly Ruled[]): void {
  for (const { y, from, to, isDashed } of rules) {
    document
      .lineWidth(isDashed ? 0.4 : 0.6)
      .strokeColor(isDashed ? '#999999' : '#333333')
      .moveTo(from, y)
      .lineTo(to, y);
    if (isDashed) document.dash(3, { space: 3 });
    document.stroke().undash();
  }
  for (const { text, x, y, width, size, isBold, isRight } of texts) {
    document
      .font(isBold ? 'Helvetica-Bold' : 'Helvetica')
      .fontSize(size)
      .fillColor('#000000');
    const line = fitted(document, text.replaceAll('\n', ' '), width);
    // One line, placed here: laying words out by themselves takes several times as long.
    const from = isRight ? x + width - document.widthOfString(line) : x;
    document.text(line, from, y, { lineBreak: false });
  }
}

/** A text as far as it has room, with an ellipsis where it has not. */
function fitted(document: Pdf, text: string, width: number): string {
  if (document.widthOfString(text) <= width) return text;
  let kept = text;
  while (kept !== '' && document.widthOfString(`${kept}…`) > width) kept = kept.slice(0, -1);
  return `${kept.trimEnd()}…`;
}

function addCheck(document: Pdf, sheet: CheckFace, page: CheckPage): void {
  const { texts, rules, check, marks, signature, micr } = page;
  document.addPage();
  drawPlaced(document, texts, rules);
  if (sheet.signature)
    document.image(sheet.signature, signature.x, signature.y, {
      fit: [signature.width, signature.height],
      align: 'center',
      valign: 'bottom',
    });
  if (sheet.micr) {
    document.font(sheet.micr.typeface).fontSize(sheet.micr.size).fillColor('#000000');
    for (const { x, written } of micr.characters)
      document.text(written, x, micr.y, { lineBreak: false, baseline: 'alphabetic' });
  }
  for (const { x, y } of marks)
    document
      .lineWidth(0.5)
      .strokeColor('#000000')
      .moveTo(x - 7, y)
      .lineTo(x + 7, y)
      .moveTo(x, y - 7)
      .lineTo(x, y + 7)
      .stroke();
  const [first] = marks;
  if (first)
    document
      .font('Helvetica')
      .fontSize(6)
      .fillColor('#333333')
      .text('Each cross stands a quarter of an inch from the edges of the check.', first.x + 10, first.y - 12, {
        lineBreak: false,
      });
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
}

/** Checks with their two stubs, one on each letter page, as a PDF. */
export const drawChecks = (sheets: readonly CheckSheet[]): Promise<Buffer> =>
  pdfOf(sheets.length === 1 ? `Check ${sheets[0]?.number ?? ''}` : `${sheets.length} checks`, (document) => {
    for (const sheet of sheets) addCheck(document, sheet, checkPage(sheet));
  });

/** A check to an agency with its voucher, as a PDF. */
export const drawVoucherCheck = (sheet: VoucherSheet): Promise<Buffer> =>
  pdfOf(`Check ${sheet.number}`, (document) => addCheck(document, sheet, voucherPage(sheet)));
