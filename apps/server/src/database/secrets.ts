import { Inject, Injectable } from '@nestjs/common';
import { createCipheriv, createDecipheriv, createHmac, randomBytes } from 'node:crypto';
import { CONFIG, type Config } from '../config/config.js';

/** Encrypts what must not be readable in the database: AES-256-GCM, the key from outside it. */
@Injectable()
export class Secrets {
  constructor(@Inject(CONFIG) private readonly config: Config) {}

  seal(text: string): Buffer {
    const nonce = randomBytes(12);
    const cipher = createCipheriv('aes-256-gcm', this.config.key, nonce);
    return Buffer.concat([nonce, cipher.update(text, 'utf8'), cipher.final(), cipher.getAuthTag()]);
  }

  open(sealed: Buffer): string {
    const decipher = createDecipheriv('aes-256-gcm', this.config.key, sealed.subarray(0, 12));
    decipher.setAuthTag(sealed.subarray(-16));
    return Buffer.concat([decipher.update(sealed.subarray(12, -16)), decipher.final()]).toString('utf8');
  }

  /** A keyed mark by which equal numbers are found without being readable. */
  mark(text: string): Buffer {
    return createHmac('sha256', this.config.key).update(text).digest();
  }
}
