import { PDFDocument } from 'pdf-lib';

/**
 * One page of a stored PDF, as it is there: what is drawn on it is copied, not drawn again. The same page of the same
 * document has the same bytes every time.
 *
 * @param page Counted from 1.
 */
export async function pageOf(content: Buffer, page: number, title: string): Promise<Buffer> {
  const whole = await PDFDocument.load(content, { updateMetadata: false });
  const alone = await PDFDocument.create({ updateMetadata: false });
  const [copied] = await alone.copyPages(whole, [page - 1]);
  if (!copied) throw new Error(`the document has no page ${page}`);
  alone.addPage(copied);
  alone.setTitle(title);
  const made = whole.getCreationDate();
  if (made) alone.setCreationDate(made);
  return Buffer.from(await alone.save({ useObjectStreams: false }));
}
