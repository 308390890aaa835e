import { Body, Controller, Get, HttpCode, Inject, Param, ParseUUIDPipe, Post } from '@nestjs/common';
import { Accepted } from '@zakat/contract/clients';
import { AtVersion } from '@zakat/contract/payrolls';
import { AskVoid, PayAgain, ProposeVoid, VoidEffects, VoidView, VoidsOfPayroll } from '@zakat/contract/voids';
import { Answers } from '../../http/answers.js';
import { CurrentSession, type Session } from '../identity/index.js';
import { VoidsService } from './voids.service.js';

@Controller()
export class VoidsController {
  constructor(@Inject(VoidsService) private readonly voids: VoidsService) {}

  @Get('payrolls/:id/voids')
  @Answers(VoidsOfPayroll)
  ofPayroll(@CurrentSession() session: Session, @Param('id', ParseUUIDPipe) id: string): Promise<VoidsOfPayroll> {
    return this.voids.ofPayroll(session, id);
  }

  @Post('payrolls/:id/void-effects')
  @HttpCode(200)
  @Answers(VoidEffects)
  preview(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: AskVoid,
  ): Promise<VoidEffects> {
    return this.voids.preview(session, id, body);
  }

  @Post('payrolls/:id/voids')
  @Answers(Accepted, 'one', 201)
  async propose(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: ProposeVoid,
  ): Promise<Accepted> {
    return { ...(await this.voids.propose(session, id, body)), warnings: [] };
  }

  @Get('voids/:id')
  @Answers(VoidView)
  view(@CurrentSession() session: Session, @Param('id', ParseUUIDPipe) id: string): Promise<VoidView> {
    return this.voids.view(session, id);
  }

  @Post('voids/:id/post')
  @HttpCode(200)
  @Answers(VoidView)
  post(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: AtVersion,
  ): Promise<VoidView> {
    return this.voids.post(session, id, body.version);
  }

  @Post('voids/:id/pay-again')
  @Answers(Accepted, 'one', 201)
  async payAgain(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: PayAgain,
  ): Promise<Accepted> {
    return { ...(await this.voids.payAgain(session, id, body)), warnings: [] };
  }

  @Post('voids/:id/withdraw')
  @HttpCode(200)
  @Answers(VoidView)
  withdraw(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: AtVersion,
  ): Promise<VoidView> {
    return this.voids.withdraw(session, id, body.version);
  }
}
