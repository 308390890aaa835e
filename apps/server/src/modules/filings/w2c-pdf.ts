import { subtract } from '@zakat/core/money/cents';
import type { BoxPair, FormW2c } from '@zakat/core/filings/us-w2c/form';
import { showEin } from '@zakat/core/identity/numbers';
import { pdfOf, printedDollars } from '../documents/index.js';

export interface W2cPaper {
  readonly year: string;
  readonly form: FormW2c;
  readonly employer: {
    readonly name: string;
    readonly ein: string;
    readonly street: string;
    readonly city: string;
    readonly state: string;
    readonly zip: string;
  };
  /** Printed across the page while the form is not filed. */
  readonly isDraft: boolean;
}

const LEFT = 54;
const ROW = 18;
const COLUMNS = [
  ['Box', 0, 150],
  ['Previously reported', 150, 118],
  ['Correct', 268, 118],
  ['Difference', 386, 118],
] as const;
const FIELDS = { ssn: 'Social security number', name: 'Name' } as const;
/** A number on paper shows its end alone. */
const shown = (field: keyof typeof FIELDS, text: string): string =>
  field === 'ssn' ? (text === '' ? 'applied for' : `XXX-XX-${text.slice(-4)}`) : text;

/** Form W-2c of one person on paper: who, what was reported, what is correct. */
export function drawW2c({ year, form, employer, isDraft }: W2cPaper): Promise<Buffer> {
  const { person } = form;
  return pdfOf(`Form W-2c, ${year}`, (document) => {
    document.addPage();
    let y = 54;
    const words = (text: string, size = 9, isStrong = false): void => {
      document
        .font(isStrong ? 'Helvetica-Bold' : 'Helvetica')
        .fontSize(size)
        .text(text, LEFT, y, { width: 504 });
      y += size + 6;
    };
    words('Form W-2c, Corrected Wage and Tax Statement', 15, true);
    words(`Tax year ${year}, corrects Form W-2`);
    y += 8;
    words(`Employer: ${employer.name}, EIN ${showEin(employer.ein)}`);
    words(`${employer.street}, ${employer.city}, ${employer.state} ${employer.zip}`);
    words(
      `Employee: ${[person.firstName, person.middleName, person.lastName, person.suffix].filter(Boolean).join(' ')}`,
    );
    words(`${person.street}, ${person.city}, ${person.state} ${person.zip}`);
    y += 10;
    const line = (cells: readonly string[], isHead = false): void => {
      document.font(isHead ? 'Helvetica-Bold' : 'Helvetica').fontSize(9);
      COLUMNS.forEach(([, x, width], index) =>
        document.text(cells[index] ?? '', LEFT + x, y, {
          width,
          align: index === 0 ? 'left' : 'right',
          lineBreak: false,
        }),
      );
      y += ROW;
      document
        .lineWidth(0.4)
        .moveTo(LEFT, y - 5)
        .lineTo(LEFT + 504, y - 5)
        .stroke('#999999');
    };
    const amounts = ({ box, previous, correct }: BoxPair): void =>
      line([
        `Box ${box}`,
        printedDollars(previous),
        printedDollars(correct),
        printedDollars(subtract(correct, previous)),
      ]);
    for (const { field, previous, correct } of form.identity) {
      words(`${FIELDS[field]}: previously reported ${shown(field, previous)}, correct ${shown(field, correct)}`);
    }
    for (const { mark, previous, correct } of form.marks)
      words(
        `Box 13, ${mark.replaceAll('-', ' ')}: ${previous ? 'marked' : 'not marked'}, correct ${correct ? 'marked' : 'not marked'}`,
      );
    const all = [...form.boxes, ...form.stateBoxes];
    if (all.length > 0) {
      line(
        COLUMNS.map(([label]) => label),
        true,
      );
      all.forEach(amounts);
    }
    y += 8;
    words(
      'Boxes that are not listed stay as they were reported. Keep it with Form W-2; if that was used for a return, amend it.',
    );
    if (isDraft)
      document
        .save()
        .rotate(-24, { origin: [306, 396] })
        .font('Helvetica-Bold')
        .fontSize(64)
        .fillOpacity(0.12)
        .text('NOT FILED', 130, 360, { lineBreak: false })
        .restore();
  });
}
