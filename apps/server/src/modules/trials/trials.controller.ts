import { Body, Controller, Get, HttpCode, Inject, Param, ParseUUIDPipe, Post } from '@nestjs/common';
import { Accepted } from '@zakat/contract/clients';
import { AskTrial, CrossingView, KeepProof, ProofView, TrialView } from '@zakat/contract/people';
import { Answers } from '../../http/answers.js';
import { dayFrom } from '../../http/day.js';
import { CurrentSession, type Session } from '../identity/index.js';
import { TrialsService } from './trials.service.js';

@Controller()
export class TrialsController {
  constructor(@Inject(TrialsService) private readonly trials: TrialsService) {}

  @Post('clients/:id/trials')
  @HttpCode(200)
  @Answers(TrialView)
  trial(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: AskTrial,
  ): Promise<TrialView> {
    if (body.checkDate !== null) dayFrom(body.checkDate, 'checkDate');
    return this.trials.trial(session, id, body);
  }

  @Get('employees/:id/crossings')
  @Answers(CrossingView, 'list')
  crossings(@CurrentSession() session: Session, @Param('id', ParseUUIDPipe) id: string): Promise<CrossingView[]> {
    return this.trials.crossings(session, id);
  }

  @Get('clients/:id/proofs')
  @Answers(ProofView, 'list')
  proofs(@CurrentSession() session: Session, @Param('id', ParseUUIDPipe) id: string): Promise<ProofView[]> {
    return this.trials.proofs(session, id);
  }

  @Post('clients/:id/proofs')
  @Answers(Accepted, 'one', 201)
  async keep(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: KeepProof,
  ): Promise<Accepted> {
    if (body.checkDate !== null) dayFrom(body.checkDate, 'checkDate');
    return { ...(await this.trials.keep(session, id, body)), warnings: [] };
  }

  @Post('proofs/:id/accept')
  @HttpCode(200)
  @Answers(ProofView)
  accept(@CurrentSession() session: Session, @Param('id', ParseUUIDPipe) id: string): Promise<ProofView> {
    return this.trials.accept(session, id);
  }

  @Post('proofs/:id/withdraw')
  @HttpCode(204)
  withdraw(@CurrentSession() session: Session, @Param('id', ParseUUIDPipe) id: string): Promise<void> {
    return this.trials.withdraw(session, id);
  }
}
