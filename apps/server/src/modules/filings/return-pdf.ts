import { showDate, type LocalDate } from '@zakat/core/calendar/local-date';
import type { FilingFacts, FilingKind, FilingTable } from '@zakat/core/filings/kind';
import { cents } from '@zakat/core/money/cents';
import PDFDocument from 'pdfkit';
import { printedDollars } from '../documents/index.js';
import { titleOf } from '../filing-records/index.js';
import { streetInOneLine } from '@zakat/core/identity/street';
import { showEin, showPhone } from '@zakat/core/identity/numbers';

const LEFT = 54;
const WIDTH = 504;
const BOTTOM = 730;
const ROW = 17;
const INK = '#000000';
const FAINT = '#444444';

export interface ReturnPaper {
  readonly kind: FilingKind;
  readonly content: unknown;
  readonly facts: FilingFacts;
  /** Printed across each page while the return has not been sent. */
  readonly isDraft: boolean;
  readonly signedOn: LocalDate | null;
  /** Who signed for the firm as reporting agent; null: the client's signer. */
  readonly agent: string | null;
}

const amountText = (value: number): string => printedDollars(cents(value));

/** Columns of amounts and days are as wide as those are; words share the rest by their longest. */
function widthsOf(table: FilingTable): number[] {
  const fixed = table.columns.map(({ kind }) => (kind === 'amount' ? 76 : kind === 'day' ? 96 : null));
  const lengths = table.columns.map(({ label }, index) =>
    Math.min(60, Math.max(label.length, ...table.rows.map((row) => String(row[index] ?? '').length))),
  );
  const left = WIDTH - fixed.reduce<number>((sum, width) => sum + (width ?? 0), 0);
  const words = lengths.reduce((sum, length, index) => sum + (fixed[index] === null ? length : 0), 0);
  return fixed.map((width, index) => width ?? (left * (lengths[index] ?? 0)) / words);
}

/** A return on paper with the figures that are sent: who files, every line, every schedule, and who signs. */
export function drawReturn({ kind, content, facts, isDraft, signedOn, agent }: ReturnPaper): Promise<Buffer> {
  const { filer, firm, period } = facts;
  const title = titleOf(kind, period);
  return new Promise((resolve, reject) => {
    const document = new PDFDocument({ size: 'LETTER', margin: 0, info: { Title: title }, autoFirstPage: false });
    const parts: Buffer[] = [];
    document.on('data', (part: Buffer) => parts.push(part));
    document.on('end', () => resolve(Buffer.concat(parts)));
    document.on('error', reject);
    let y = 0;
    const words = (text: string, x: number, at: number, size: number, more: PDFKit.Mixins.TextOptions = {}): void => {
      document.fontSize(size).text(text, x, at, { lineBreak: false, ...more });
    };
    const page = (): void => {
      document.addPage();
      document.font('Helvetica-Bold').fillColor(INK);
      words(title, LEFT, 46, 15);
      document.font('Helvetica').fillColor(FAINT);
      words(`${filer.name}, EIN ${showEin(filer.ein)}`, LEFT, 66, 9);
      if (isDraft)
        document
          .save()
          .rotate(-24, { origin: [306, 396] })
          .font('Helvetica-Bold')
          .fontSize(64)
          .fillOpacity(0.12)
          .fillColor(INK)
          .text('NOT FILED', 130, 360, { lineBreak: false })
          .restore();
      y = 92;
    };
    const row = (draw: (at: number) => void, height = ROW): void => {
      if (y + height > BOTTOM) page();
      draw(y);
      y += height;
      document
        .lineWidth(0.4)
        .strokeColor('#bbbbbb')
        .moveTo(LEFT, y - 4)
        .lineTo(LEFT + WIDTH, y - 4)
        .stroke();
    };
    page();
    document.font('Helvetica').fillColor(INK);
    for (const line of [
      filer.tradeName === '' ? '' : `Doing business as ${filer.tradeName}`,
      `${streetInOneLine(filer.street)}, ${filer.city}, ${filer.state} ${filer.zip}`,
      `Period from ${showDate(period.start)} to ${showDate(period.end)}`,
    ].filter((one) => one !== '')) {
      words(line, LEFT, y, 9);
      y += 13;
    }
    y += 8;
    for (const line of kind.lines(content))
      row((at) => {
        document.font('Helvetica-Bold').fillColor(INK);
        words(line.id, LEFT, at, 9, { width: 40 });
        document.font('Helvetica');
        words(line.label, LEFT + 44, at, 9, { width: 350, ellipsis: true });
        words(line.kind === 'count' ? String(line.value) : amountText(line.value), LEFT + 394, at, 9, {
          width: 110,
          align: 'right',
        });
      });
    for (const table of kind.tables(content)) {
      y += 14;
      row((at) => {
        document.font('Helvetica-Bold').fillColor(INK);
        words(table.title, LEFT, at, 10);
      });
      const widths = widthsOf(table);
      const textOf = (value: string | number, index: number): string =>
        typeof value === 'number'
          ? amountText(value)
          : table.columns[index]?.kind === 'day'
            ? showDate(value as LocalDate)
            : value;
      const cells = (values: readonly (string | number)[]): void => {
        document.fontSize(9);
        const heights = values.map((value, index) =>
          document.heightOfString(textOf(value, index), { width: (widths[index] ?? 0) - 6 }),
        );
        row(
          (at) => {
            let x = LEFT;
            values.forEach((value, index) => {
              const width = widths[index] ?? 0;
              words(textOf(value, index), x, at, 9, {
                width: width - 6,
                lineBreak: true,
                align: table.columns[index]?.kind === 'amount' ? 'right' : 'left',
              });
              x += width;
            });
          },
          Math.max(ROW, ...heights.map((height) => height + 6)),
        );
      };
      document.font('Helvetica').fillColor(FAINT);
      cells(table.columns.map((column) => column.label));
      document.fillColor(INK);
      for (const values of table.rows) cells(values);
    }
    y += 18;
    row((at) => {
      document.font('Helvetica').fillColor(INK);
      const when = signedOn === null ? 'not signed yet' : `signed ${showDate(signedOn)} by PIN`;
      const who =
        agent === null ? `${filer.signerName}, ${filer.signerTitle}` : `${agent}, reporting agent (Form 8655)`;
      words(`${who}: ${when}`, LEFT, at, 9);
    });
    row((at) => words(`Prepared by ${firm.preparerName}, PTIN ${firm.preparerPtin}, ${firm.name}`, LEFT, at, 9));
    const { designee } = facts;
    if (designee)
      row((at) => words(`Third-party designee: ${designee.name}, ${showPhone(designee.phone)}`, LEFT, at, 9));
    document.end();
  });
}
