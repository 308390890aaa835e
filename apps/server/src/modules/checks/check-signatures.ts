import { Inject, Injectable } from '@nestjs/common';
import type { SaveSignature } from '@zakat/contract/checks';
import { cents, type Cents } from '@zakat/core/money/cents';
import type { EntityManager } from 'typeorm';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { notFound, refuseField } from '../../http/refusal.js';
import { Audit } from '../audit/index.js';
import { BankAccount } from '../clients/index.js';
import { Documents, mediaKindOf, pdfOf } from '../documents/index.js';
import { refuseUnlessAdministrator } from '../firm/index.js';

const MOST_BYTES = 200_000;
/** Whoever may sign by printing: a preparer's checks keep an empty line. */
const SIGNERS: readonly Actor['role'][] = ['reviewer', 'administrator'];

/** The image of a signature for the checks of an account. It is never given out but on a check. */
@Injectable()
export class CheckSignatures {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(Documents) private readonly documents: Documents,
    @Inject(Audit) private readonly audit: Audit,
  ) {}

  async save(actor: Actor, bankAccountId: string, { content, most }: SaveSignature): Promise<void> {
    refuseUnlessAdministrator(actor, 'keep a signature');
    if (most !== null && most <= 0)
      throw refuseField('most', 'The largest check is not above zero.', 'Leave it blank where none is too large.');
    const bytes = Buffer.from(content, 'base64');
    const picture = mediaKindOf(bytes);
    if (!picture?.mediaType.startsWith('image/'))
      throw refuseField('file', 'The file is no PNG or JPEG.', 'Scan the signature as one of these.');
    if (bytes.length > MOST_BYTES)
      throw refuseField('file', 'The picture is larger than 200 KB.', 'Cut it to the signature, and save it smaller.');
    await readable(bytes);
    await this.database.run(actor, async (manager) => {
      const bank = await find(manager, bankAccountId);
      const name = `signature.${picture.suffix}`;
      const signatureId = await this.documents.store(
        manager,
        actor,
        bank.clientId,
        'signature',
        name,
        picture.mediaType,
        bytes,
      );
      await manager.update(
        BankAccount,
        { id: bank.id },
        { signatureId, signatureMost: most === null ? null : cents(most) },
      );
      await this.audit.record(manager, actor, 'signature.save', 'client', bank.clientId, {
        label: bank.label,
        ...(most === null ? {} : { most }),
      });
    });
  }

  async remove(actor: Actor, bankAccountId: string): Promise<void> {
    refuseUnlessAdministrator(actor, 'take a signature away');
    await this.database.run(actor, async (manager) => {
      const bank = await find(manager, bankAccountId);
      if (bank.signatureId === null) return;
      await manager.update(BankAccount, { id: bank.id }, { signatureId: null, signatureMost: null });
      await this.audit.record(manager, actor, 'signature.remove', 'client', bank.clientId, { label: bank.label });
    });
  }

  /** The picture for checks that this actor prints; asked with an amount, null where that is signed by hand. */
  async forChecks(manager: EntityManager, actor: Actor, bank: BankAccount): Promise<(amount: Cents) => Buffer | null> {
    if (bank.signatureId === null || !SIGNERS.includes(actor.role)) return () => null;
    const { content } = await this.documents.load(manager, bank.signatureId);
    return (amount) => (bank.signatureMost !== null && amount > bank.signatureMost ? null : content);
  }
}

/** A picture that begins well and is broken behind that would break the checks. */
async function readable(bytes: Buffer): Promise<void> {
  try {
    await pdfOf('signature', (document) => {
      document.addPage().image(bytes, 0, 0, { fit: [100, 30] });
    });
  } catch {
    throw refuseField('file', 'The picture cannot be read.', 'Save it again as PNG or JPEG.');
  }
}

/** An account of a client, locked. */
async function find(manager: EntityManager, id: string): Promise<BankAccount & { clientId: string }> {
  await manager.query('SELECT id FROM bank_account WHERE id = $1 FOR UPDATE', [id]);
  const bank = await manager.findOneBy(BankAccount, { id });
  if (!bank || bank.clientId === null) throw notFound('bank account');
  return { ...bank, clientId: bank.clientId };
}
