import PDFDocument from 'pdfkit';
import { streetInOneLine } from '@zakat/core/identity/street';
import { showPhone } from '@zakat/core/identity/numbers';

export interface Sender {
  readonly name: string;
  readonly street: string;
  readonly city: string;
  readonly state: string;
  readonly zip: string;
  readonly phone: string;
  readonly contactName: string;
}
export interface Addressee {
  readonly legalName: string;
  readonly contactName: string;
  readonly street: string;
  readonly city: string;
  readonly state: string;
  readonly zip: string;
}
export interface LetterColumn {
  readonly heading: string;
  /** Points. */
  readonly width: number;
  readonly isFigure?: boolean;
}

/** The lines of a client's address. */
export const addressOf = ({ contactName, legalName, street, city, state, zip }: Addressee): string[] => [
  ...(contactName ? [contactName] : []),
  legalName,
  street,
  `${city}, ${state} ${zip}`,
];

const MARGIN = 72;
const BOTTOM = 792 - MARGIN;
const SIZE = 11;
const SMALL = 9;

/** A letter of the firm on letter paper: head and address are set, the rest is written on it. */
export class Letter {
  readonly page: PDFKit.PDFDocument;
  readonly #done: Promise<Buffer>;

  constructor(
    title: string,
    private readonly firm: Sender,
    to: readonly string[],
    day: string,
  ) {
    this.page = new PDFDocument({ size: 'LETTER', margin: MARGIN, info: { Title: title } });
    const parts: Buffer[] = [];
    this.#done = new Promise<Buffer>((resolve, reject) => {
      this.page.on('data', (part: Buffer) => parts.push(part));
      this.page.on('end', () => resolve(Buffer.concat(parts)));
      this.page.on('error', reject);
    });
    const { page } = this;
    page.font('Times-Bold').fontSize(13).text(firm.name);
    page
      .font('Times-Roman')
      .fontSize(10)
      .text(`${streetInOneLine(firm.street)}, ${firm.city}, ${firm.state} ${firm.zip}  ${showPhone(firm.phone)}`);
    page.moveDown(2).fontSize(SIZE);
    for (const line of to) page.text(line);
    page.moveDown().text(day).moveDown();
  }

  say(text: string): this {
    this.page.font('Times-Roman').fontSize(SIZE).text(text, MARGIN);
    return this;
  }

  heading(text: string): this {
    this.room(60);
    this.page.moveDown(1.2).font('Times-Bold').fontSize(12).text(text, MARGIN).moveDown(0.3);
    return this;
  }

  /** Headings, rows and, if there is one, a line of totals; what does not fit goes on to the next page. */
  table(columns: readonly LetterColumn[], rows: readonly (readonly string[])[], totals?: readonly string[]): this {
    this.line(
      columns,
      columns.map(({ heading }) => heading),
      'Times-Italic',
    );
    this.rule();
    for (const row of rows) this.line(columns, row, 'Times-Roman');
    if (totals) {
      this.rule();
      this.line(columns, totals, 'Times-Bold');
    }
    return this;
  }

  /** Names with what stands beside them. */
  pairs(lines: readonly (readonly [name: string, value: string])[]): this {
    return lines.reduce((letter, [name, value]) => {
      letter.line(
        [
          { heading: '', width: 150 },
          { heading: '', width: 318 },
        ],
        [name, value],
        'Times-Roman',
        SIZE,
      );
      return letter;
    }, this);
  }

  end(): Promise<Buffer> {
    this.page
      .font('Times-Roman')
      .fontSize(SIZE)
      .moveDown(2)
      .text('With kind regards', MARGIN)
      .moveDown()
      .text(this.firm.contactName);
    this.page.end();
    return this.#done;
  }

  private line(columns: readonly LetterColumn[], cells: readonly string[], font: string, size = SMALL): void {
    const { page } = this;
    page.font(font).fontSize(size);
    const heights = columns.map(({ width }, index) => page.heightOfString(cells[index] || ' ', { width: width - 8 }));
    const height = Math.max(...heights) + 3;
    this.room(height);
    const top = page.y;
    let left = MARGIN;
    for (const [index, { width, isFigure = false }] of columns.entries()) {
      page.text(cells[index] ?? '', left, top, { width: width - 8, align: isFigure ? 'right' : 'left' });
      left += width;
    }
    page.x = MARGIN;
    page.y = top + height;
  }

  private rule(): void {
    const { page } = this;
    page
      .lineWidth(0.5)
      .moveTo(MARGIN, page.y - 1)
      .lineTo(612 - MARGIN, page.y - 1)
      .stroke();
    page.y += 2;
  }

  private room(height: number): void {
    if (this.page.y + height > BOTTOM) this.page.addPage();
  }
}
