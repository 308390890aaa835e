import { showDollars, type Cents } from '@zakat/core/money/cents';
import type { FormW2 } from '@zakat/core/filings/us-w2/form';
import { showEin } from '@zakat/core/identity/numbers';
import { pdfOf, type Pdf } from '../documents/index.js';

export interface W2Paper {
  readonly year: number;
  readonly form: FormW2;
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

interface Box {
  readonly label: string;
  readonly value: string;
  readonly at: readonly [x: number, y: number, width: number, height: number];
}

const LEFT = 54;
const WIDTH = 504;
const amount = (value: Cents): string => (value === 0 ? '' : showDollars(value).replace('−', '-'));

/** The last line of an address; abroad the country stands in it (General Instructions for Forms W-2 and W-3). */
const placeLine = (person: FormW2['person']): string =>
  person.country === ''
    ? `${person.city}, ${person.state} ${person.zip}`
    : [person.city, person.province, person.zip, person.country].filter((part) => part !== '').join(', ');

type StateLine = FormW2['states'][number];
type LocalLine = FormW2['locals'][number];
const STATES_FROM = 406;
const STATE_ROW = 32;

/** Boxes 15 to 20, at least two rows: a state with its localities one below the other. */
function rowsOf({ states, locals }: FormW2): { state?: StateLine; local?: LocalLine }[] {
  const rows = states.flatMap((state) => {
    const [first, ...more] = locals.filter((local) => local.state === state.state);
    return [{ state, ...(first ? { local: first } : {}) }, ...more.map((local) => ({ local }))];
  });
  const others = locals.filter((local) => !states.some((state) => state.state === local.state));
  const all: { state?: StateLine; local?: LocalLine }[] = [...rows, ...others.map((local) => ({ local }))];
  while (all.length < 2) all.push({});
  return all;
}

function stateBoxes(state: StateLine | undefined, local: LocalLine | undefined, y: number): Box[] {
  const boxes: readonly (readonly [label: string, value: string, width: number])[] = [
    ["15  State, employer's state ID", state ? `${state.state}   ${state.stateId}` : '', 112],
    ['16  State wages, tips, etc.', state ? amount(state.wages) : '', 90],
    ['17  State income tax', state ? amount(state.tax) : '', 76],
    ['18  Local wages, tips, etc.', local ? amount(local.wages) : '', 90],
    ['19  Local income tax', local ? amount(local.tax) : '', 70],
    ['20  Locality name', local?.locality ?? '', 66],
  ];
  let x = LEFT;
  return boxes.map(([label, value, width]) => {
    const box: Box = { label, value, at: [x, y, width, STATE_ROW] };
    x += width;
    return box;
  });
}

/** A set as it is stored keeps the last digits only. */
const ssnTail = (person: FormW2['person'] & { readonly ssnTail?: string }): string =>
  person.ssnTail ?? person.ssn.slice(-4);

function boxesOf({ form, employer }: W2Paper): Box[] {
  const { person } = form;
  const half = WIDTH / 2;
  const right = LEFT + half;
  const quarter = half / 2;
  const name = [person.firstName, person.middleName, person.lastName, person.suffix]
    .filter((part) => part !== '')
    .join(' ');
  const money = (row: number): number => 110 + row * 36;
  return [
    // The copy for the person shows the last four digits only (Treas. Reg. § 31.6051-1(a)(1)).
    {
      label: "a  Employee's social security number",
      value: ssnTail(person) === '' ? 'Applied for' : `***-**-${ssnTail(person)}`,
      at: [LEFT, 74, half, 36],
    },
    {
      label: 'b  Employer identification number (EIN)',
      value: showEin(employer.ein),
      at: [LEFT, money(0), half, 36],
    },
    {
      label: "c  Employer's name, address, and ZIP code",
      value: `${employer.name}\n${employer.street}\n${employer.city}, ${employer.state} ${employer.zip}`,
      at: [LEFT, money(1), half, 72],
    },
    { label: 'd  Control number', value: '', at: [LEFT, money(3), half, 36] },
    {
      label: "e/f  Employee's name, address, and ZIP code",
      value: `${name}\n${person.street}\n${placeLine(person)}`,
      at: [LEFT, money(4), half, 108],
    },
    { label: '1  Wages, tips, other compensation', value: amount(form.box1), at: [right, money(0), quarter, 36] },
    { label: '2  Federal income tax withheld', value: amount(form.box2), at: [right + quarter, money(0), quarter, 36] },
    { label: '3  Social security wages', value: amount(form.box3), at: [right, money(1), quarter, 36] },
    {
      label: '4  Social security tax withheld',
      value: amount(form.box4),
      at: [right + quarter, money(1), quarter, 36],
    },
    { label: '5  Medicare wages and tips', value: amount(form.box5), at: [right, money(2), quarter, 36] },
    { label: '6  Medicare tax withheld', value: amount(form.box6), at: [right + quarter, money(2), quarter, 36] },
    { label: '7  Social security tips', value: amount(form.box7), at: [right, money(3), quarter, 36] },
    { label: '8  Allocated tips', value: amount(form.box8), at: [right + quarter, money(3), quarter, 36] },
    { label: '10  Dependent care benefits', value: amount(form.box10), at: [right, money(4), quarter, 36] },
    { label: '11  Nonqualified plans', value: amount(form.box11), at: [right + quarter, money(4), quarter, 36] },
    {
      label: '12  Codes',
      value: form.box12.map((line) => `${line.code}   ${amount(line.amount)}`).join('\n'),
      at: [right, money(5), quarter, 72],
    },
    {
      label: '13',
      value: `${person.isStatutory ? '[x]' : '[  ]'} Statutory employee\n${person.isRetirementPlan ? '[x]' : '[  ]'} Retirement plan\n${form.isThirdPartySickPay ? '[x]' : '[  ]'} Third-party sick pay`,
      at: [right + quarter, money(5), quarter, 72],
    },
    {
      label: '14  Other',
      value: form.box14.map((line) => `${line.label}  ${amount(line.amount)}`).join('     '),
      at: [LEFT, money(7), WIDTH, STATES_FROM - money(7)],
    },
    ...rowsOf(form).flatMap(({ state, local }, index) => stateBoxes(state, local, STATES_FROM + index * STATE_ROW)),
  ];
}

/** A plain Form W-2 on one page, every box labelled as on the form. */
export const drawW2 = (paper: W2Paper): Promise<Buffer> =>
  pdfOf(`Form W-2, ${paper.year}`, (document) => drawPage(document, paper));

/** The Forms W-2 of several people as they were filed, each on a page of its own. */
export const drawW2s = ({
  year,
  employer,
  forms,
}: Omit<W2Paper, 'form' | 'isDraft'> & { readonly forms: readonly FormW2[] }): Promise<Buffer> =>
  pdfOf(`Forms W-2, ${year}`, (document) => {
    for (const form of forms) drawPage(document, { year, employer, form, isDraft: false });
  });

function drawPage(document: Pdf, paper: W2Paper): void {
  document
    .addPage()
    .font('Helvetica-Bold')
    .fontSize(15)
    .text(`Form W-2  Wage and Tax Statement  ${paper.year}`, LEFT, 46, { lineBreak: false });
  for (const { label, value, at } of boxesOf(paper)) {
    const [x, y, width, height] = at;
    document.lineWidth(0.6).strokeColor('#333333').rect(x, y, width, height).stroke();
    document
      .font('Helvetica')
      .fontSize(6.5)
      .fillColor('#333333')
      .text(label, x + 4, y + 4, { width: width - 8, lineBreak: false });
    document
      .font('Helvetica')
      .fontSize(10)
      .fillColor('#000000')
      .text(value, x + 6, y + 15, { width: width - 12, lineGap: 1.5 });
  }
  document
    .fontSize(8)
    .fillColor('#333333')
    .text("Copy for the employee's records.", LEFT, STATES_FROM + rowsOf(paper.form).length * STATE_ROW + 8, {
      lineBreak: false,
    });
  if (paper.isDraft) {
    document
      .save()
      .rotate(-24, { origin: [306, 300] })
      .font('Helvetica-Bold')
      .fontSize(64)
      .fillOpacity(0.12)
      .fillColor('#000000')
      .text('NOT FILED', 130, 260, { lineBreak: false })
      .restore();
  }
}
