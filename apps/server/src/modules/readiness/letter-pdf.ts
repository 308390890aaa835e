import { type Addressee, addressOf, Letter, type Sender } from '../letters/index.js';

interface Questions {
  readonly firm: Sender;
  readonly client: Addressee;
  readonly day: string;
  readonly lines: readonly { readonly about: string; readonly asks: readonly string[]; readonly by: string }[];
}

/** A plain letter that asks the client for everything at once: what, about whom, by when. */
export function letterPdf({ firm, client, day, lines }: Questions): Promise<Buffer> {
  const letter = new Letter('Questions', firm, addressOf(client), day);
  letter.say(
    'To pay your people and file for you we still need the following. Please answer on this page or send copies.',
  );
  const { page } = letter;
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
  return letter.end();
}
