import { Secret, TOTP } from 'otpauth';

const PERIOD = 30;
/** A code of the step before or after is taken too: clocks differ (RFC 6238, section 5.2). */
const WINDOW = 1;
export const totpOf = (secret: string, label = ''): TOTP =>
  new TOTP({ issuer: 'Zakat', label, algorithm: 'SHA1', digits: 6, period: PERIOD, secret: Secret.fromBase32(secret) });

/** The time step that a code belongs to, or null when it is none of those allowed now. */
export function stepOfCode(secret: string, code: string, now = Date.now()): number | null {
  const delta = totpOf(secret).validate({ token: code, timestamp: now, window: WINDOW });
  return delta === null ? null : Math.floor(now / 1000 / PERIOD) + delta;
}
