import { Body, Controller, Delete, Get, HttpCode, Inject, Post, Req, Res } from '@nestjs/common';
import { SessionView, SignIn } from '@zakat/contract/session';
import type { Request, Response } from 'express';
import { CONFIG, type Config } from '../../config/config.js';
import { Answers } from '../../http/answers.js';
import { COOKIE, CurrentSession, Open, OpenToContacts, OpenToEmployees } from './guard.js';
import { Sessions, type Session } from './sessions.js';

@Controller('session')
export class SessionController {
  constructor(
    @Inject(Sessions) private readonly sessions: Sessions,
    @Inject(CONFIG) private readonly config: Config,
  ) {}

  @Post()
  @Open()
  @HttpCode(204)
  async signIn(
    @Body() body: SignIn,
    @Req() request: Request,
    @Res({ passthrough: true }) response: Response,
  ): Promise<void> {
    const token = await this.sessions.signIn(body.email, body.password, request.ip ?? '', body.code ?? '');
    response.cookie(COOKIE, token, {
      httpOnly: true,
      sameSite: 'strict',
      secure: this.config.publicUrl.startsWith('https:'),
      path: '/',
      maxAge: 10 * 3600 * 1000,
    });
  }

  @Get()
  @OpenToContacts()
  @OpenToEmployees()
  @Answers(SessionView)
  view(@CurrentSession() session: Session): Promise<SessionView> {
    return this.sessions.view(session);
  }

  @Delete()
  @OpenToContacts()
  @OpenToEmployees()
  @HttpCode(204)
  async signOut(
    @CurrentSession() session: Session,
    @Req() request: Request,
    @Res({ passthrough: true }) response: Response,
  ): Promise<void> {
    const cookies = request.cookies as Record<string, string>;
    await this.sessions.end(session, cookies[COOKIE] ?? '');
    response.clearCookie(COOKIE, { path: '/' });
  }
}
