import { Inject, Injectable } from '@nestjs/common';
import type { MicrTypefaceView, SaveMicrTypeface } from '@zakat/contract/checks';
import { micrLine, type MicrFault } from '@zakat/core/micr/line';
import { micrTypeface, type MicrTypeface } from '@zakat/core/micr/typeface';
import type { EntityManager } from 'typeorm';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { Secrets } from '../../database/secrets.js';
import { dayFrom } from '../../http/day.js';
import { notFound, refuseField } from '../../http/refusal.js';
import { Audit } from '../audit/index.js';
import { BankAccount } from '../clients/index.js';
import { Clock } from '../clock/index.js';
import { pdfOf } from '../documents/index.js';
import { refuseUnlessAdministrator } from '../firm/index.js';
import type { MicrPrint } from './check-page.js';
import { measured } from './measured-typeface.js';

const MOST_BYTES = 1_000_000;
const FAULTS: Readonly<Record<MicrFault, readonly [what: string, fix: string]>> = {
  routing: ['The routing number of this account has not nine digits.', 'Correct it under Setup, Bank accounts.'],
  account: [
    'The account number does not fit a line of magnetic ink.',
    'Write it as the bank prints it: digits and dashes, 17 at most.',
  ],
  number: ['The check number has more than 19 digits.', 'Use a smaller number.'],
};
type Made = ((number: string) => MicrPrint) | null;

/** The line of magnetic ink on blank stock: in the firm's own typeface, for accounts whose bank has read a sample. */
@Injectable()
export class MicrTypefaces {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(Secrets) private readonly secrets: Secrets,
    @Inject(Audit) private readonly audit: Audit,
    @Inject(Clock) private readonly clock: Clock,
  ) {}

  view(actor: Actor): Promise<MicrTypefaceView> {
    return this.database.run(actor, viewIn);
  }

  async save(actor: Actor, { name, content }: SaveMicrTypeface): Promise<MicrTypefaceView> {
    refuseUnlessAdministrator(actor, 'keep a typeface');
    const bytes = Buffer.from(content, 'base64');
    if (bytes.length > MOST_BYTES)
      throw refuseField('file', 'The file is larger than 1 MB.', 'A typeface of fourteen characters is much smaller.');
    const found = readTypeface(bytes);
    if (!('size' in found))
      throw refuseField('file', found.join(' ').slice(0, 400), 'Choose a typeface for E-13B, as TrueType or OpenType.');
    await drawable(bytes);
    return this.database.run(actor, async (manager) => {
      await manager.query(
        `INSERT INTO micr_typeface (firm_id, name, content, saved_by, saved_at) VALUES ($1, $2, $3, $4, $5)
         ON CONFLICT (firm_id) DO UPDATE SET name = $2, content = $3, saved_by = $4, saved_at = $5`,
        [actor.firmId, name, bytes, actor.userId, await this.clock.now(manager)],
      );
      // Another typeface is another line: each bank tests it again.
      await manager.query('UPDATE bank_account SET micr_tested_on = NULL WHERE micr_tested_on IS NOT NULL');
      await this.audit.record(manager, actor, 'micr-typeface.save', 'firm', actor.firmId, { name });
      return viewIn(manager);
    });
  }

  remove(actor: Actor): Promise<MicrTypefaceView> {
    refuseUnlessAdministrator(actor, 'take a typeface away');
    return this.database.run(actor, async (manager) => {
      await manager.query('DELETE FROM micr_typeface');
      await this.audit.record(manager, actor, 'micr-typeface.remove', 'firm', actor.firmId, {});
      return viewIn(manager);
    });
  }

  /** Says that the bank of an account has read a sample, or takes that back. */
  async tested(actor: Actor, bankAccountId: string, testedOn: string | null): Promise<void> {
    refuseUnlessAdministrator(actor, 'say that a bank has read a sample');
    const day = testedOn === null ? null : dayFrom(testedOn, 'testedOn');
    await this.database.run(actor, async (manager) => {
      const bank = await manager.findOneBy(BankAccount, { id: bankAccountId });
      if (!bank || bank.clientId === null) throw notFound('bank account');
      if (day !== null && day > (await this.clock.today(manager)))
        throw refuseField('testedOn', 'This day is still to come.', 'Enter the day on which the bank said so.');
      if (day !== null && (await viewIn(manager)).name === null)
        throw refuseField('testedOn', 'There is no typeface that a sample could be in.', 'Add one under Firm first.');
      await manager.update(BankAccount, { id: bank.id }, { micrTestedOn: day });
      await this.audit.record(manager, actor, 'micr-typeface.tested', 'client', bank.clientId, {
        label: bank.label,
        testedOn: day,
      });
    });
  }

  /** The line for checks on blank stock. A sample is drawn without a typeface or a test; a check is refused. */
  async forChecks(manager: EntityManager, bank: BankAccount, isSample: boolean): Promise<Made> {
    const rows = (await manager.query('SELECT content FROM micr_typeface')) as { content: Buffer }[];
    const [row] = rows;
    if (!row) {
      if (isSample) return null;
      throw refuseField(
        'stock',
        'The client prints on blank stock, and the firm has no typeface of magnetic ink.',
        'Add one under Firm, or choose stock with the bank’s line under Setup, Checks and journal.',
      );
    }
    if (bank.micrTestedOn === null && !isSample)
      throw refuseField(
        'stock',
        `Nobody has said that ${bank.bankName} reads the line of magnetic ink.`,
        'Print the sample page, have the bank test it, and record the day with the account under Setup.',
      );
    const typeface = readTypeface(row.content);
    if (!('size' in typeface)) throw new Error('a kept typeface cannot be read any more');
    const account = this.secrets.open(bank.accountCipher);
    return (number) => {
      const cells = micrLine({ routing: bank.routing, account, number });
      if (typeof cells === 'string') throw refuseField('stock', ...FAULTS[cells]);
      return {
        typeface: row.content,
        size: typeface.size,
        cells: cells.map(({ cell, character }) => ({ cell, written: typeface.written.get(character) ?? character })),
      };
    };
  }
}

async function viewIn(manager: EntityManager): Promise<MicrTypefaceView> {
  const rows = (await manager.query('SELECT name, content FROM micr_typeface')) as { name: string; content: Buffer }[];
  const [row] = rows;
  if (!row) return { name: null, size: null };
  const typeface = readTypeface(row.content);
  return { name: row.name, size: 'size' in typeface ? String(Math.round(typeface.size * 100) / 100) : null };
}

function readTypeface(bytes: Buffer): MicrTypeface | readonly string[] {
  const font = measured(bytes);
  return font === null ? ['The file is no typeface.'] : micrTypeface(font.glyphOf, font.unitsPerEm);
}

/** A typeface that measures well and cannot be embedded would break the checks. */
async function drawable(bytes: Buffer): Promise<void> {
  try {
    await pdfOf('typeface', (document) => {
      document.addPage().font(bytes).text('0123456789', 0, 0);
    });
  } catch {
    throw refuseField('file', 'The typeface cannot be put into a PDF.', 'Choose it as TrueType or OpenType.');
  }
}
