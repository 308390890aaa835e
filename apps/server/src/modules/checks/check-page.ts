import { showDollars, type Cents } from '@zakat/core/money/cents';
import { amountInWords } from '@zakat/core/money/in-words';
import { MICR_GRID } from '@zakat/core/micr/line';
import { streetInOneLine } from '@zakat/core/identity/street';

export const CHECK_LAYOUTS = ['top', 'middle', 'bottom'] as const;
/** Where the check is on the page; the rest of it are two stubs, one for each side. */
export type CheckLayout = (typeof CHECK_LAYOUTS)[number];

export interface StubLine {
  readonly label: string;
  /** Hours and rate, where the line has them. */
  readonly hours?: string;
  readonly rate?: string;
  readonly amount: Cents;
  readonly toDate: Cents;
}
/** The check itself, whatever it pays. */
export interface CheckFace {
  readonly layout: CheckLayout;
  /** A sample is marked across the check and is no order to pay. */
  readonly isSample: boolean;
  /** How far the printer has to be corrected, in points; left out: not at all. */
  readonly shift?: { readonly right: number; readonly down: number };
  readonly client: { readonly name: string; readonly street: string; readonly place: string };
  readonly bankName: string;
  readonly number: string;
  readonly checkDate: string;
  /** What it is for. */
  readonly memo: string;
  readonly payee: { readonly name: string; readonly street: string; readonly place: string };
  /** What the check is made out for. */
  readonly amount: Cents;
  /** The picture of a signature on the line; left out, the check is signed by hand. */
  readonly signature?: Buffer;
  /** The line of magnetic ink, on blank stock. */
  readonly micr?: MicrPrint;
}
/** A check for the net pay of an employee, with its stubs. Of the amount what is deposited is taken off. */
export interface CheckSheet extends CheckFace {
  readonly period: string;
  readonly earnings: readonly StubLine[];
  readonly taxes: readonly StubLine[];
  readonly deductions: readonly StubLine[];
  readonly gross: StubLine;
  readonly net: StubLine;
}
/** A check to an agency, with its payment voucher. */
export interface VoucherSheet extends CheckFace {
  readonly heading: string;
  readonly pairs: readonly (readonly [label: string, value: string])[];
  readonly lines: readonly { readonly label: string; readonly period: string; readonly amount: Cents }[];
}
/** A line of magnetic ink: its typeface in its size, and what is written in which cell. */
export interface MicrPrint {
  readonly typeface: Buffer;
  readonly size: number;
  readonly cells: readonly { readonly cell: number; readonly written: string }[];
}

/** A text on the page: points from the upper left corner of a letter page of 612 by 792. */
export interface Placed {
  readonly text: string;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly size: number;
  readonly isBold?: true;
  readonly isRight?: true;
}
export interface Ruled {
  readonly y: number;
  readonly from: number;
  readonly to: number;
  /** Where the page is torn. */
  readonly isDashed?: true;
}
export interface CheckPage {
  readonly texts: readonly Placed[];
  readonly rules: readonly Ruled[];
  /** Crosses of a sample: a quarter of an inch from each edge of the check, to measure the printer by. */
  readonly marks: readonly { readonly x: number; readonly y: number }[];
  /** Top of the check, and its height. */
  readonly check: { readonly y: number; readonly height: number };
  /** The foot of the line of magnetic ink, and the left edge of each of its characters. */
  readonly micr: {
    readonly y: number;
    readonly characters: readonly { readonly x: number; readonly written: string }[];
  };
  /** Where a signature stands: on its line. */
  readonly signature: { readonly x: number; readonly y: number; readonly width: number; readonly height: number };
}

const LEFT = 36;
const RIGHT = 576;
const CHECK_HEIGHT = 252;
const STUB_HEIGHT = 270;
/** Tops of the check and of the two stubs. */
const TOPS: Readonly<Record<CheckLayout, { readonly check: number; readonly stubs: readonly [number, number] }>> = {
  top: { check: 0, stubs: [CHECK_HEIGHT, CHECK_HEIGHT + STUB_HEIGHT] },
  middle: { check: STUB_HEIGHT, stubs: [0, STUB_HEIGHT + CHECK_HEIGHT] },
  bottom: { check: 2 * STUB_HEIGHT, stubs: [0, STUB_HEIGHT] },
};
/** A quarter of an inch: beside everything that is printed. */
const MARK = 18;
const LINE = 11;
/** Lines of a column that fit a stub; what is more is added up in the last one. */
const MOST_LINES = 13;

function checkTexts(sheet: CheckFace, top: number): Drawn {
  const { client, payee, amount } = sheet;
  const text = (words: string, x: number, y: number, width: number, more: Partial<Placed> = {}): Placed => ({
    text: words,
    x,
    y: top + y,
    width,
    size: 9.5,
    ...more,
  });
  return {
    texts: [
      text(client.name, LEFT, 24, 300, { size: 11, isBold: true }),
      text(streetInOneLine(client.street), LEFT, 38, 300),
      text(client.place, LEFT, 50, 300),
      text(sheet.bankName, 340, 24, 130),
      text(sheet.number, 480, 24, 96, { size: 11, isBold: true, isRight: true }),
      text('Date', 420, 62, 40, { size: 7.5 }),
      text(sheet.checkDate, 460, 60, 116, { isRight: true }),
      text('Pay to the order of', LEFT, 93, 90, { size: 7.5 }),
      text(payee.name, 128, 90, 320, { size: 10.5 }),
      text(`$ ${showDollars(amount)}`, 470, 90, 106, { size: 10.5, isBold: true, isRight: true }),
      text(`${amountInWords(amount)} dollars`, LEFT, 116, 500),
      text(payee.name, 60, 138, 300),
      text(streetInOneLine(payee.street), 60, 150, 300),
      text(payee.place, 60, 162, 300),
      text('For', LEFT, 185, 20, { size: 7.5 }),
      text(sheet.memo, 56, 183, 300),
      text('Authorized signature', 380, 197, 196, { size: 7.5 }),
    ],
    rules: [
      { y: top + 104, from: 126, to: 456 },
      { y: top + 130, from: LEFT, to: RIGHT },
      { y: top + 195, from: 54, to: 340 },
      { y: top + 195, from: 380, to: RIGHT },
    ],
  };
}

interface Drawn {
  readonly texts: readonly Placed[];
  readonly rules: readonly Ruled[];
}

/** As many lines as fit; the others together in the last. */
export function fitting(lines: readonly StubLine[], most: number): readonly StubLine[] {
  if (lines.length <= most) return lines;
  const rest = lines.slice(most - 1);
  const total = (of: (line: StubLine) => number): Cents => rest.reduce((sum, line) => sum + of(line), 0) as Cents;
  return [
    ...lines.slice(0, most - 1),
    { label: `${rest.length} more lines`, amount: total((line) => line.amount), toDate: total((line) => line.toDate) },
  ];
}

interface Column {
  readonly heading: string;
  readonly lines: readonly StubLine[];
  readonly x: number;
  readonly width: number;
}
const AMOUNT = 45;

function columnTexts({ heading, lines, x, width }: Column, top: number): Placed[] {
  const toDateAt = x + width - AMOUNT;
  const amountAt = toDateAt - AMOUNT;
  const right = { isRight: true, size: 7.5 } as const;
  const head = { size: 7.5, isBold: true } as const;
  return [
    { text: heading, x, y: top, width: amountAt - x, ...head },
    { text: 'This check', x: amountAt, y: top, width: AMOUNT, ...head, isRight: true },
    { text: 'Year', x: toDateAt, y: top, width: AMOUNT, ...head, isRight: true },
    ...fitting(lines, MOST_LINES).flatMap(({ label, hours, rate, amount, toDate }, index): Placed[] => {
      const y = top + LINE * (index + 1) + 2;
      const measure = hours === undefined ? '' : `  ${hours} × ${rate ?? ''}`;
      return [
        { text: `${label}${measure}`, x, y, width: amountAt - x, size: 7.5 },
        { text: showDollars(amount), x: amountAt, y, width: AMOUNT, ...right },
        { text: showDollars(toDate), x: toDateAt, y, width: AMOUNT, ...right },
      ];
    }),
  ];
}

function stubTexts(sheet: CheckSheet, top: number, whose: string): Drawn {
  const { client, payee, gross, net } = sheet;
  const columns: Column[] = [
    { heading: 'Earnings', lines: sheet.earnings, x: LEFT, width: 172 },
    { heading: 'Taxes withheld', lines: sheet.taxes, x: 218, width: 194 },
    { heading: 'Deductions', lines: sheet.deductions, x: 422, width: 154 },
  ];
  const foot = top + STUB_HEIGHT - 46;
  const total = (label: string, line: StubLine, x: number): Placed[] => [
    { text: label, x, y: foot + 8, width: 60, size: 8.5, isBold: true },
    { text: showDollars(line.amount), x: x + 60, y: foot + 8, width: 66, size: 8.5, isBold: true, isRight: true },
    { text: showDollars(line.toDate), x: x + 126, y: foot + 8, width: 70, size: 8.5, isRight: true },
  ];
  return {
    texts: [
      { text: client.name, x: LEFT, y: top + 16, width: 250, size: 9, isBold: true },
      { text: `${streetInOneLine(client.street)}, ${client.place}`, x: LEFT, y: top + 28, width: 300, size: 7.5 },
      { text: payee.name, x: 300, y: top + 16, width: 276, size: 9, isBold: true, isRight: true },
      {
        text: `check ${sheet.number} of ${sheet.checkDate}, period ${sheet.period}`,
        x: 300,
        y: top + 28,
        width: 276,
        size: 7.5,
        isRight: true,
      },
      ...columns.flatMap((column) => columnTexts(column, top + 46)),
      ...total('Gross pay', gross, LEFT),
      ...total('Net pay', net, 380),
      { text: `${whose}. Year: the year to date, with this check.`, x: LEFT, y: foot + 24, width: 300, size: 6.5 },
    ],
    rules: [{ y: foot, from: LEFT, to: RIGHT }],
  };
}

/** The voucher that goes with a check to an agency: what is paid, by whom, for which period. */
function voucherTexts(sheet: VoucherSheet, top: number, whose: string): Drawn {
  const small = { size: 8.5 } as const;
  const at = top + 52 + sheet.pairs.length * 12;
  const fit = Math.max(1, Math.floor((STUB_HEIGHT - 52 - 58 - sheet.pairs.length * 12) / LINE));
  const lines = sheet.lines.length <= fit ? sheet.lines : withRest(sheet.lines, fit);
  const foot = at + lines.length * LINE + 6;
  return {
    texts: [
      { text: sheet.heading, x: LEFT, y: top + 18, width: 360, size: 11, isBold: true },
      { text: `check ${sheet.number} of ${sheet.checkDate}`, x: 400, y: top + 20, width: 176, ...small, isRight: true },
      ...sheet.pairs.flatMap(([label, value], index): Placed[] => [
        { text: label, x: LEFT, y: top + 42 + index * 12, width: 130, ...small },
        { text: value, x: LEFT + 136, y: top + 42 + index * 12, width: 400, ...small, isBold: true },
      ]),
      ...lines.flatMap(({ label, period, amount }, index): Placed[] => [
        { text: label, x: LEFT, y: at + index * LINE, width: 300, ...small },
        { text: period, x: 340, y: at + index * LINE, width: 120, ...small },
        { text: showDollars(amount), x: 470, y: at + index * LINE, width: 106, ...small, isRight: true },
      ]),
      { text: 'Amount paid', x: LEFT, y: foot + 6, width: 200, size: 9.5, isBold: true },
      { text: showDollars(sheet.amount), x: 470, y: foot + 6, width: 106, size: 9.5, isBold: true, isRight: true },
      { text: whose, x: LEFT, y: top + STUB_HEIGHT - 18, width: 400, size: 6.5 },
    ],
    rules: [{ y: foot, from: LEFT, to: RIGHT }],
  };
}
/** As many lines as fit, the others added up in the last. */
function withRest(lines: VoucherSheet['lines'], most: number): VoucherSheet['lines'] {
  const rest = lines.slice(most - 1);
  const amount = rest.reduce((total, line) => total + line.amount, 0) as Cents;
  return [...lines.slice(0, most - 1), { label: `${rest.length} more`, period: '', amount }];
}

/** Every text and line of the page. A net pay below zero has no check and throws. */
export const checkPage = (sheet: CheckSheet): CheckPage =>
  pageOf(sheet, [
    (top) => stubTexts(sheet, top, 'For the person who is paid'),
    (top) => stubTexts(sheet, top, 'For the files of the employer'),
  ]);
/** A check to an agency: the voucher is sent with it, a copy is kept. */
export const voucherPage = (sheet: VoucherSheet): CheckPage =>
  pageOf(sheet, [
    (top) => voucherTexts(sheet, top, 'To be sent with the check'),
    (top) => voucherTexts(sheet, top, 'For the files of the employer'),
  ]);

function pageOf(sheet: CheckFace, stubs: readonly [(top: number) => Drawn, (top: number) => Drawn]): CheckPage {
  const tops = TOPS[sheet.layout];
  const parts = [checkTexts(sheet, tops.check), stubs[0](tops.stubs[0]), stubs[1](tops.stubs[1])];
  const folds = [tops.check, ...tops.stubs].filter((top) => top > 0);
  const { right = 0, down = 0 } = sheet.shift ?? {};
  return {
    texts: parts
      .flatMap((part) => part.texts)
      .filter(({ text }) => text !== '')
      .map((placed) => ({ ...placed, x: placed.x + right, y: placed.y + down })),
    rules: [
      ...parts
        .flatMap((part) => part.rules)
        .map((rule) => ({ ...rule, y: rule.y + down, from: rule.from + right, to: rule.to + right })),
      // The stock is torn where it is, however the printer prints.
      ...folds.map((y): Ruled => ({ y, from: 0, to: 612, isDashed: true })),
    ],
    check: { y: tops.check, height: CHECK_HEIGHT },
    micr: {
      y: tops.check + CHECK_HEIGHT - MICR_GRID.foot + down,
      characters: (sheet.micr?.cells ?? []).map(({ cell, written }) => ({
        x: 612 - MICR_GRID.right - MICR_GRID.pitch * cell + right,
        written,
      })),
    },
    signature: { x: 384 + right, y: tops.check + 160 + down, width: 188, height: 34 },
    marks: sheet.isSample
      ? [MARK, CHECK_HEIGHT - MARK].flatMap((y) =>
          [MARK, 612 - MARK].map((x) => ({ x: x + right, y: tops.check + y + down })),
        )
      : [],
  };
}
