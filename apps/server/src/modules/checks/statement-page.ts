import { streetInOneLine } from '@zakat/core/identity/street';
import { type Cents } from '@zakat/core/money/cents';
import { showPhone } from '@zakat/core/identity/numbers';
import { printedDollars } from '../documents/index.js';
import type { Placed, Ruled, StubLine } from './check-page.js';
import type { PostedStub } from './posted-stubs.js';

/** How a part of the net pay was paid. */
export interface PaidLine {
  readonly says: string;
  readonly amount: number;
}
export interface Statement {
  readonly client: { readonly name: string; readonly street: string; readonly place: string; readonly phone: string };
  readonly checkDate: string;
  readonly period: string;
  readonly stub: PostedStub;
  readonly paid: readonly PaidLine[];
}

const LEFT = 48;
const RIGHT = 564;
const LINE = 13;
const AMOUNT = 74;
/** Where the columns of figures stand, from the left: hours, rate, this check, the year. */
const COLUMNS = { hours: 290, rate: 350, amount: 416, toDate: 490 } as const;

/** `315-555-0121`; what is no American number stays as it is. */

class Page {
  readonly texts: Placed[] = [];
  readonly rules: Ruled[] = [];
  y = 44;

  put(text: string, x: number, width: number, more: Partial<Placed> = {}): void {
    if (text !== '') this.texts.push({ text, x, y: this.y, width, size: 9, ...more });
  }
  right(text: string, x: number, more: Partial<Placed> = {}): void {
    this.put(text, x, AMOUNT, { isRight: true, ...more });
  }
  down(by: number = LINE): void {
    this.y += by;
  }
  rule(): void {
    this.rules.push({ y: this.y - 3, from: LEFT, to: RIGHT });
  }
}

function section(page: Page, heading: string, lines: readonly StubLine[]): void {
  if (lines.length === 0) return;
  page.down(6);
  page.put(heading, LEFT, 230, { isBold: true });
  page.right('This check', COLUMNS.amount, { isBold: true, size: 8 });
  page.right('Year to date', COLUMNS.toDate, { isBold: true, size: 8 });
  if (lines.some((line) => line.hours !== undefined)) {
    page.put('Hours', COLUMNS.hours, 54, { isBold: true, isRight: true, size: 8 });
    page.put('Rate', COLUMNS.rate, 60, { isBold: true, isRight: true, size: 8 });
  }
  page.down();
  page.rule();
  for (const { label, hours, rate, amount, toDate } of lines) {
    page.put(label, LEFT, 236);
    page.put(hours ?? '', COLUMNS.hours, 54, { isRight: true });
    page.put(rate ?? '', COLUMNS.rate, 60, { isRight: true });
    page.right(printedDollars(amount), COLUMNS.amount);
    page.right(printedDollars(toDate), COLUMNS.toDate);
    page.down();
  }
}

/** A sum under its own rule. */
function totalLine(page: Page, label: string, { amount, toDate }: StubLine): void {
  page.down(8);
  page.rule();
  page.put(label, LEFT, 236, { isBold: true });
  page.right(printedDollars(amount), COLUMNS.amount, { isBold: true });
  page.right(printedDollars(toDate), COLUMNS.toDate);
  page.down();
}

/** A pay statement on a letter page: what state laws ask to be shown, and how the net pay was paid. */
export function statementPage({ client, checkDate, period, stub, paid }: Statement): {
  texts: readonly Placed[];
  rules: readonly Ruled[];
} {
  const page = new Page();
  page.put(client.name, LEFT, 300, { size: 12, isBold: true });
  page.put('Pay statement', 344, 220, { size: 12, isRight: true });
  page.down(16);
  page.put(`${streetInOneLine(client.street)}, ${client.place}`, LEFT, 340);
  page.put(`Check date ${checkDate}`, 344, 220, { isRight: true });
  page.down();
  page.put(showPhone(client.phone), LEFT, 300);
  page.put(`Pay period ${period}`, 344, 220, { isRight: true });
  page.down(24);
  page.put(stub.payee.name, LEFT, 300, { size: 10.5, isBold: true });
  page.put(`Employee ${stub.number}`, 344, 220, { isRight: true });
  page.down();
  page.put(streetInOneLine(stub.payee.street), LEFT, 340);
  // Law asks for no more than the last four digits (Cal. Labor Code 226(a)(7), as recalled).
  page.put(stub.ssnTail === '' ? '' : `SSN ending ${stub.ssnTail}`, 344, 220, { isRight: true });
  page.down();
  page.put(stub.payee.place, LEFT, 300);
  page.down(14);
  section(page, 'Earnings', stub.earnings);
  totalLine(page, 'Gross pay', stub.gross);
  section(page, 'Taxes withheld', stub.taxes);
  section(page, 'Deductions', stub.deductions);
  totalLine(page, 'Net pay', stub.net);
  section(page, 'Paid by the employer besides', stub.employerPaid);
  if (stub.leave.length > 0) {
    page.down(6);
    page.put('Leave, hours', LEFT, 230, { isBold: true });
    page.put('Earned', COLUMNS.rate, 60, { isBold: true, isRight: true, size: 8 });
    page.right('Taken', COLUMNS.amount, { isBold: true, size: 8 });
    page.right('Balance', COLUMNS.toDate, { isBold: true, size: 8 });
    page.down();
    page.rule();
    for (const { label, accrued, used, balance } of stub.leave) {
      page.put(label, LEFT, 230);
      page.put(accrued, COLUMNS.rate, 60, { isRight: true });
      page.right(used, COLUMNS.amount);
      page.right(balance, COLUMNS.toDate);
      page.down();
    }
  }
  page.down(6);
  page.put('How it was paid', LEFT, 230, { isBold: true });
  page.down();
  page.rule();
  for (const { says, amount } of paid) {
    page.put(says, LEFT, 360);
    page.right(printedDollars(amount as Cents), COLUMNS.amount);
    page.down();
  }
  return { texts: page.texts, rules: page.rules };
}
