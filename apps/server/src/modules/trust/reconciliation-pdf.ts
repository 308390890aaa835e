import type { ReconciliationView } from '@zakat/contract/trust';
import { date, showDate, showShortDate } from '@zakat/core/calendar/local-date';
import { cents } from '@zakat/core/money/cents';
import type { BankAccount } from '../clients/index.js';
import { pdfOf, printedDollars, type Pdf } from '../documents/index.js';

const LEFT = 72;
const RIGHT = 540;
const TOP = 72;
const BOTTOM = 720;
const LINE = 14;

/** The proof of one day: bank, outstanding items, book, and whose money it is; every line adds up to the next. */
export function drawReconciliation(firm: string, account: BankAccount, view: ReconciliationView): Promise<Buffer> {
  return pdfOf(`Trust account ${view.day}`, (pdf) => {
    const page = new Sheet(pdf);
    page.title(`${firm}: trust account on ${showDate(date(view.day))}`);
    page.note(`${account.label}, ${account.bankName}, account ending ${account.accountTail}`);
    page.figure('Balance by the bank’s statement', view.bank, true);
    page.heading('In the books, not yet on the statement');
    for (const { day, whose, label, reference, amount } of view.outstanding)
      page.figure(`${showShortDate(date(day))}  ${label}, ${whose}, ${reference}`, amount);
    if (view.outstanding.length === 0) page.note('Nothing.');
    if (view.unexplained.length > 0) {
      page.heading('On the statement, not in the books');
      for (const { day, reference, description, amount } of view.unexplained)
        page.figure(`${showShortDate(date(day))}  ${reference} ${description}`, -amount);
    }
    page.figure('Balance of the bank as adjusted', view.adjusted, true);
    page.heading('Whose money it is');
    for (const { clientName, balance } of view.balances) page.figure(clientName, balance);
    page.figure('All clients', view.clients, true);
    page.figure('The firm’s own', view.firm);
    page.figure('Balance by the books', view.book, true);
    page.figure('Difference', view.difference, true);
    page.note(
      view.isReconciled
        ? 'Bank, books and the balances of the clients agree.'
        : 'Bank and books do not agree; this report is no proof.',
    );
  });
}

class Sheet {
  private y = BOTTOM + 1;
  constructor(private readonly pdf: Pdf) {}

  title(text: string): void {
    this.room(30);
    this.pdf.font('Times-Bold').fontSize(14).text(text, LEFT, this.y);
    this.y += 26;
  }
  heading(text: string): void {
    this.room(34);
    this.y += 12;
    this.pdf.font('Times-Bold').fontSize(11).text(text, LEFT, this.y);
    this.y += LINE + 2;
  }
  note(text: string): void {
    this.room(LINE);
    this.pdf.font('Times-Italic').fontSize(10).text(text, LEFT, this.y);
    this.y += LINE + 4;
  }
  figure(label: string, amount: number, isTotal = false): void {
    this.room(LINE + 4);
    this.pdf.font(isTotal ? 'Times-Bold' : 'Times-Roman').fontSize(10);
    if (isTotal) {
      this.pdf
        .moveTo(RIGHT - 90, this.y - 1)
        .lineTo(RIGHT, this.y - 1)
        .lineWidth(0.5)
        .stroke();
      this.y += 2;
    }
    this.pdf.text(label, LEFT, this.y, { width: RIGHT - LEFT - 100, height: LINE, ellipsis: true, lineBreak: false });
    this.pdf.text(printedDollars(cents(amount)), RIGHT - 100, this.y, { width: 100, align: 'right' });
    this.y += LINE;
  }
  private room(height: number): void {
    if (this.y + height <= BOTTOM) return;
    this.pdf.addPage();
    this.y = TOP;
  }
}
