import { Inject, Injectable } from '@nestjs/common';
import type { ChangePassword, SecondFactorOffer } from '@zakat/contract/firm';
import argon2 from 'argon2';
import { Secret } from 'otpauth';
import QRCode from 'qrcode';
import type { EntityManager } from 'typeorm';
import { FirmDatabase } from '../../database/firm-database.js';
import { Secrets } from '../../database/secrets.js';
import { conflict, refuseField } from '../../http/refusal.js';
import { Audit } from '../audit/index.js';
import { Attempts } from './attempts.js';
import { refuseWeak } from './passwords.js';
import { tokenHash, type Session } from './sessions.js';
import { stepOfCode, totpOf } from './totp.js';

/** Guesses of somebody who is signed in count apart from those at the door. */
const ownAccount = ({ userId }: Session): string => `own ${userId}`;

interface Kept {
  readonly totp_cipher: Buffer | null;
  readonly totp_offer_cipher: Buffer | null;
  readonly password_hash: string;
}

/** One's own second factor (RFC 6238) and password. */
@Injectable()
export class SecondFactor {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(Secrets) private readonly secrets: Secrets,
    @Inject(Audit) private readonly audit: Audit,
    @Inject(Attempts) private readonly attempts: Attempts,
  ) {}

  /** Offers a new key. It counts only once a code made with it was typed in. */
  offer(session: Session): Promise<SecondFactorOffer> {
    const secret = new Secret({ size: 20 }).base32;
    return this.database.run(session, async (manager) => {
      if ((await this.kept(manager, session)).totp_cipher)
        throw conflict('A second factor is in use already. Take it away first.');
      await manager.query('UPDATE app_user SET totp_offer_cipher = $2 WHERE id = $1', [
        session.userId,
        this.secrets.seal(secret),
      ]);
      const uri = totpOf(secret, session.email).toString();
      return { secret, uri, picture: await QRCode.toString(uri, { type: 'svg', margin: 1 }) };
    });
  }

  confirm(session: Session, code: string): Promise<void> {
    return this.database.run(session, async (manager) => {
      const { totp_offer_cipher: offer } = await this.kept(manager, session);
      if (!offer) throw conflict('No key was offered. Begin again.');
      const step = stepOfCode(this.secrets.open(offer), code);
      if (step === null) throw refuseField('code', 'This code is not right.', 'Type the six digits that show now.');
      await manager.query(
        'UPDATE app_user SET totp_cipher = totp_offer_cipher, totp_offer_cipher = NULL, totp_last_step = $2 WHERE id = $1',
        [session.userId, step],
      );
      await this.audit.record(manager, session, 'user.second-factor-on', 'user', session.userId);
    });
  }

  async remove(session: Session, code: string): Promise<void> {
    const attempt = await this.attempts.begin(ownAccount(session), null);
    await this.database.run(session, async (manager) => {
      const { totp_cipher: cipher } = await this.kept(manager, session);
      if (!cipher || stepOfCode(this.secrets.open(cipher), code) === null)
        throw refuseField('code', 'This code is not right.', 'Type the six digits that show now.');
      await manager.query('UPDATE app_user SET totp_cipher = NULL WHERE id = $1', [session.userId]);
      await this.audit.record(manager, session, 'user.second-factor-off', 'user', session.userId);
    });
    await attempt.succeeded();
  }

  /** Changes one's own password: with the present one, and the second factor where there is one. Every other session ends. */
  async changePassword(session: Session, token: string, input: ChangePassword): Promise<void> {
    refuseWeak(input.next, [session.name, session.email], 'next');
    const attempt = await this.attempts.begin(ownAccount(session), null);
    const kept = await this.database.run(session, (manager) => this.kept(manager, session));
    if (!(await argon2.verify(kept.password_hash, input.current)))
      throw refuseField('current', 'This is not your password.', 'Type the one you signed in with.');
    if (kept.totp_cipher && stepOfCode(this.secrets.open(kept.totp_cipher), input.code ?? '') === null)
      throw refuseField(
        'code',
        'The code of your second factor is missing or not right.',
        'Type the six digits that show now.',
      );
    const hash = await argon2.hash(input.next);
    await this.database.run(session, async (manager) => {
      await manager.query('UPDATE app_user SET password_hash = $2 WHERE id = $1', [session.userId, hash]);
      await manager.query('DELETE FROM session WHERE user_id = $1 AND token_hash <> $2', [
        session.userId,
        tokenHash(token),
      ]);
      await this.audit.record(manager, session, 'user.password', 'user', session.userId);
    });
    await attempt.succeeded();
  }

  private async kept(manager: EntityManager, session: Session): Promise<Kept> {
    const rows = (await manager.query(
      'SELECT totp_cipher, totp_offer_cipher, password_hash FROM app_user WHERE id = $1',
      [session.userId],
    )) as Kept[];
    const row = rows[0];
    if (!row) throw new Error('a session without its user');
    return row;
  }
}
