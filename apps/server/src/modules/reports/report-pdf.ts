import PDFDocument from 'pdfkit';
import type { KindColumn } from './report-kind.js';

export interface PrintedReport {
  readonly title: string;
  readonly client: string;
  readonly span: string;
  readonly columns: readonly KindColumn[];
  /** Headings, rows, totals. */
  readonly table: readonly (readonly string[])[];
}

const PAGE = { width: 792, height: 612, margin: 36 } as const;
const LINE = 12;
const SIZE = 7.5;
/** Of the width that words take beside figures. */
const WEIGHT: Readonly<Record<KindColumn['cell'], number>> = {
  text: 2.2,
  day: 1,
  amount: 1.15,
  hours: 0.9,
  count: 0.8,
};

/** A report on letter pages across, its headings on each. */
export function reportPdf({ title, client, span, columns, table }: PrintedReport): Promise<Buffer> {
  return new Promise((resolve, reject) => {
    const document = new PDFDocument({
      size: 'LETTER',
      layout: 'landscape',
      margin: 0,
      autoFirstPage: false,
      info: { Title: `${title}, ${client}` },
    });
    const parts: Buffer[] = [];
    document.on('data', (part: Buffer) => parts.push(part));
    document.on('end', () => resolve(Buffer.concat(parts)));
    document.on('error', reject);
    const whole = columns.reduce((total, { cell }) => total + WEIGHT[cell], 0);
    const room = PAGE.width - 2 * PAGE.margin;
    const widths = columns.map(({ cell }) => (WEIGHT[cell] / whole) * room);
    let at = PAGE.margin;
    const lefts = widths.map((width) => (at += width) - width);
    const put = (cells: readonly string[], y: number, font: string): void =>
      columns.forEach((column, index) => {
        const isFigure = column.cell === 'amount' || column.cell === 'hours' || column.cell === 'count';
        document
          .font(font)
          .fontSize(SIZE)
          .text(cells[index] ?? '', lefts[index] ?? 0, y, {
            width: (widths[index] ?? 0) - 6,
            height: SIZE + 1.5,
            ellipsis: true,
            align: isFigure ? 'right' : 'left',
          });
      });
    const rule = (y: number): void =>
      void document
        .lineWidth(0.5)
        .strokeColor('#333333')
        .moveTo(PAGE.margin, y)
        .lineTo(PAGE.width - PAGE.margin, y)
        .stroke();
    const [headings = [], ...rest] = table;
    const totals = rest.pop() ?? [];
    let page = 0;
    let y: number = PAGE.height;
    const turn = (): void => {
      page += 1;
      document.addPage();
      document.font('Helvetica-Bold').fontSize(11).text(title, PAGE.margin, 30, { width: 400, lineBreak: false });
      document
        .font('Helvetica')
        .fontSize(8.5)
        .text(`${client}, page ${page}`, PAGE.width - PAGE.margin - 360, 32, { width: 360, align: 'right' })
        .text(span, PAGE.margin, 46, { width: 500, lineBreak: false });
      put(headings, 66, 'Helvetica-Bold');
      rule(78);
      y = 82;
    };
    for (const row of rest) {
      if (y > PAGE.height - PAGE.margin - 2 * LINE) turn();
      put(row, y, 'Helvetica');
      y += LINE;
    }
    if (page === 0 || y > PAGE.height - PAGE.margin - LINE) turn();
    rule(y);
    put(totals, y + 4, 'Helvetica-Bold');
    document.end();
  });
}
