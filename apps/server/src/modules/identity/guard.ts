import { CanActivate, ExecutionContext, Inject, Injectable, SetMetadata, createParamDecorator } from '@nestjs/common';
import { Reflector } from '@nestjs/core';
import type { Request } from 'express';
import { CLIENT_CONTACT, EMPLOYEE } from '@zakat/contract/session';
import { CONFIG, type Config } from '../../config/config.js';
import { Refusal } from '../../http/refusal.js';
import { Sessions, type Session } from './sessions.js';

export const COOKIE = 'zakat_session';
const OPEN = 'zakat:open';
/** Marks a route that needs no session. */
export const Open = (): MethodDecorator => SetMetadata(OPEN, true);

const FOR_CONTACTS = 'zakat:for-contacts';
/** Marks a route that people of a client may use; every other one is closed to them. */
export const OpenToContacts = (): MethodDecorator => SetMetadata(FOR_CONTACTS, true);

const FOR_EMPLOYEES = 'zakat:for-employees';
/** Marks a route that somebody who is paid may use; every other one is closed to them. */
export const OpenToEmployees = (): MethodDecorator => SetMetadata(FOR_EMPLOYEES, true);

export interface SignedRequest extends Request {
  zakatSession?: Session;
}
const READS = ['GET', 'HEAD', 'OPTIONS'];

@Injectable()
export class SessionGuard implements CanActivate {
  constructor(
    @Inject(Sessions) private readonly sessions: Sessions,
    @Inject(Reflector) private readonly reflector: Reflector,
    @Inject(CONFIG) private readonly config: Config,
  ) {}

  async canActivate(context: ExecutionContext): Promise<boolean> {
    const request = context.switchToHttp().getRequest<SignedRequest>();
    this.refuseForeignOrigin(request);
    if (this.reflector.get<boolean | undefined>(OPEN, context.getHandler())) return true;
    const cookies = request.cookies as Record<string, string> | undefined;
    const token = cookies?.[COOKIE];
    const session = token ? await this.sessions.find(token) : null;
    if (!session)
      throw new Refusal(401, 'no-session', 'Your session has ended. Sign in again; nothing you saved is lost.');
    if (session.role === CLIENT_CONTACT && !this.reflector.get<boolean | undefined>(FOR_CONTACTS, context.getHandler()))
      throw new Refusal(403, 'role', 'This is for the people of the firm.');
    if (session.role === EMPLOYEE && !this.reflector.get<boolean | undefined>(FOR_EMPLOYEES, context.getHandler()))
      throw new Refusal(403, 'role', 'This is for the people of the firm.');
    request.zakatSession = session;
    return true;
  }

  /** A change must come from our own pages: the cookie is SameSite, and the origin is compared as well. */
  private refuseForeignOrigin(request: Request): void {
    const origin = request.headers.origin;
    if (READS.includes(request.method) || origin === undefined) return;
    const host = request.headers.host ?? '';
    if (origin !== this.config.publicUrl && origin !== `http://${host}` && origin !== `https://${host}`) {
      throw new Refusal(403, 'origin', 'This request came from another site.');
    }
  }
}

export const CurrentSession = createParamDecorator((_: unknown, context: ExecutionContext): Session => {
  const session = context.switchToHttp().getRequest<SignedRequest>().zakatSession;
  if (!session) throw new Refusal(401, 'no-session', 'Sign in first.');
  return session;
});
