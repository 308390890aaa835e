import PDFDocument from 'pdfkit';
import { streetInOneLine } from '@zakat/core/identity/street';

interface Letter {
  readonly firm: {
    name: string;
    street: string;
    city: string;
    state: string;
    zip: string;
    phone: string;
    contactName: string;
  };
  readonly client: { legalName: string; contactName: string; street: string; city: string; state: string; zip: string };
  readonly day: string;
  readonly lines: readonly { readonly about: string; readonly asks: readonly string[]; readonly by: string }[];
}

/** A plain letter that asks the client for everything at once: what, about whom, by when. */
export function letterPdf({ firm, client, day, lines }: Letter): Promise<Buffer> {
  const page = new PDFDocument({ size: 'LETTER', margin: 72, info: { Title: 'Questions' } });
  const parts: Buffer[] = [];
  const done = new Promise<Buffer>((resolve) => {
    page.on('data', (part: Buffer) => parts.push(part));
    page.on('end', () => resolve(Buffer.concat(parts)));
  });
  page.font('Times-Bold').fontSize(13).text(firm.name);
  page
    .font('Times-Roman')
    .fontSize(10)
    .text(`${streetInOneLine(firm.street)}, ${firm.city}, ${firm.state} ${firm.zip}  ${firm.phone}`);
  page.moveDown(2).fontSize(11);
  page.text(client.contactName || client.legalName);
  if (client.contactName) page.text(client.legalName);
  page.text(client.street).text(`${client.city}, ${client.state} ${client.zip}`);
  page.moveDown().text(day);
  page
    .moveDown()
    .text(
      'To pay your people and file for you we still need the following. Please answer on this page or send copies.',
    );
  if (lines.length === 0) page.moveDown().text('Nothing is missing today.');
  for (const line of lines) {
    page
      .moveDown(0.8)
      .font('Times-Bold')
      .text(line.about === '' ? 'About the business' : line.about, { continued: line.by !== '' });
    if (line.by !== '') page.font('Times-Italic').text(`  by ${line.by}`);
    page.font('Times-Roman');
    for (const ask of line.asks) page.text(`–  ${ask}`, { indent: 12 });
  }
  page.moveDown(2).text('With kind regards').moveDown().text(firm.contactName);
  page.end();
  return done;
}
