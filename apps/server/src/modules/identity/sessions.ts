import { Inject, Injectable } from '@nestjs/common';
import type { AnyRole, SessionView } from '@zakat/contract/session';
import argon2 from 'argon2';
import { createHash, randomBytes } from 'node:crypto';
import type { EntityManager } from 'typeorm';
import { Secrets } from '../../database/secrets.js';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { Refusal } from '../../http/refusal.js';
import { Audit } from '../audit/index.js';
import { Clock } from '../clock/index.js';
import { Attempts } from './attempts.js';
import { stepOfCode } from './totp.js';

export interface Session extends Actor {
  readonly userId: string;
  readonly role: AnyRole;
  readonly clientId: string | null;
  readonly employeeId: string | null;
  readonly name: string;
  readonly email: string;
}

const HOURS = 10;
/** Of random bytes that were thrown away. Compared against when the account is unknown, so that both answers take as long. */
const NOBODY = '$argon2id$v=19$m=65536,p=4,t=3$sOZgXrhTV05eaEP2SNgsaA$+zpRa3ivr0sVw6i5siqczIFE1GZYlc4NMVMrMWgO1+k';
export const tokenHash = (token: string): Buffer => createHash('sha256').update(token).digest();

@Injectable()
export class Sessions {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(Secrets) private readonly secrets: Secrets,
    @Inject(Audit) private readonly audit: Audit,
    @Inject(Clock) private readonly clock: Clock,
    @Inject(Attempts) private readonly attempts: Attempts,
  ) {}

  /** Signs in; answers with the session token. Five failures within 15 minutes close the account for that long. */
  async signIn(email: string, password: string, address: string, code = ''): Promise<string> {
    const attempt = await this.attempts.begin(email.trim().toLowerCase(), address);
    const user = await this.database.runWithoutFirm(async (manager) => {
      const rows = (await manager.query('SELECT * FROM user_for_sign_in($1)', [email.trim()])) as {
        id: string;
        firm_id: string;
        password_hash: string;
        totp_cipher: Buffer | null;
        totp_last_step: string;
      }[];
      return rows[0] ?? null;
    });
    const isPasswordRight = await argon2.verify(user?.password_hash ?? NOBODY, password);
    if (user?.totp_cipher && isPasswordRight && code === '') {
      // Not a wrong guess: the first half was right, and the second is asked for.
      await attempt.succeeded();
      throw new Refusal(401, 'second-factor', 'Type the six digits of your second factor too.');
    }
    const step = user?.totp_cipher ? stepOfCode(this.secrets.open(user.totp_cipher), code) : null;
    // A code counts once: the step of the last one used is kept.
    const isCodeRight = !user?.totp_cipher || (step !== null && step > Number(user.totp_last_step));
    const isRight = isPasswordRight && isCodeRight;
    if (user && isPasswordRight && !isCodeRight)
      throw new Refusal(
        401,
        'second-factor-wrong',
        'This code is not right, or was used already. Wait for the next one.',
      );
    if (!user || !isRight) throw new Refusal(401, 'sign-in-failed', 'E-mail and password do not belong together.');
    await attempt.succeeded();
    const token = randomBytes(32).toString('base64url');
    const actor: Actor = { firmId: user.firm_id, userId: user.id, role: 'system' };
    await this.database.run(actor, async (manager) => {
      if (step !== null) await this.useStep(manager, user.id, step);
      await manager.query(
        `INSERT INTO session (token_hash, firm_id, user_id, expires_at) VALUES ($1, $2, $3, now() + interval '${HOURS} hours')`,
        [tokenHash(token), user.firm_id, user.id],
      );
      await this.audit.record(manager, actor, 'session.start', 'user', user.id);
    });
    return token;
  }

  /** Takes a code's step; the same code a moment later finds it taken. */
  private async useStep(manager: EntityManager, userId: string, step: number): Promise<void> {
    const [, count] = (await manager.query(
      'UPDATE app_user SET totp_last_step = $2 WHERE id = $1 AND totp_last_step < $2',
      [userId, step],
    )) as [unknown, number];
    if (count !== 1)
      throw new Refusal(401, 'second-factor-wrong', 'This code was used already. Wait for the next one.');
  }

  async find(token: string): Promise<Session | null> {
    const rows = (await this.database.ask('SELECT * FROM session_for_token($1)', [tokenHash(token)])) as {
      firm_id: string;
      user_id: string;
      name: string;
      email: string;
      role: AnyRole;
      client_id: string | null;
      employee_id: string | null;
    }[];
    const row = rows[0];
    if (!row) return null;
    const { firm_id: firmId, user_id: userId, client_id: clientId, employee_id: employeeId, role, name, email } = row;
    return { firmId, userId, clientId, employeeId, role, name, email };
  }

  async end(session: Session, token: string): Promise<void> {
    await this.database.run(session, async (manager) => {
      await manager.query('DELETE FROM session WHERE token_hash = $1', [tokenHash(token)]);
      await this.audit.record(manager, session, 'session.end', 'user', session.userId);
    });
  }

  async view(session: Session): Promise<SessionView> {
    return this.database.run(session, async (manager) => {
      const rows = (await manager.query(
        'SELECT f.name, f.requires_second_person, u.totp_cipher IS NOT NULL AS has_second_factor FROM firm f, app_user u WHERE u.id = $1',
        [session.userId],
      )) as {
        name: string;
        requires_second_person: boolean;
        has_second_factor: boolean;
      }[];
      const firm = rows[0];
      return {
        user: { id: session.userId, name: session.name, email: session.email, role: session.role },
        firmName: firm?.name ?? '',
        today: await this.clock.today(manager),
        requiresSecondPerson: firm?.requires_second_person !== false,
        hasSecondFactor: firm?.has_second_factor === true,
      };
    });
  }
}
