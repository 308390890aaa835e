import { Body, Controller, Get, HttpCode, Inject, Param, ParseUUIDPipe, Post, Res } from '@nestjs/common';
import { AnswerQuestion, AskQuestions, PassGap, QuestionView, ReadinessView } from '@zakat/contract/people';
import { AtVersion } from '@zakat/contract/payrolls';
import type { Response } from 'express';
import { Answers } from '../../http/answers.js';
import { dayFrom } from '../../http/day.js';
import { sendPdf } from '../../http/send-pdf.js';
import { CurrentSession, type Session } from '../identity/index.js';
import { QuestionsService } from './questions.service.js';
import { ReadinessService } from './readiness.service.js';

@Controller()
export class ReadinessController {
  constructor(
    @Inject(ReadinessService) private readonly readiness: ReadinessService,
    @Inject(QuestionsService) private readonly questions: QuestionsService,
  ) {}

  @Get('clients/:id/readiness')
  @Answers(ReadinessView)
  view(@CurrentSession() session: Session, @Param('id', ParseUUIDPipe) id: string): Promise<ReadinessView> {
    return this.readiness.view(session, id);
  }

  @Post('clients/:id/gap-passes')
  @HttpCode(204)
  pass(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: PassGap,
  ): Promise<void> {
    return this.readiness.pass(session, id, body);
  }

  @Get('clients/:id/questions')
  @Answers(QuestionView, 'list')
  list(@CurrentSession() session: Session, @Param('id', ParseUUIDPipe) id: string): Promise<QuestionView[]> {
    return this.questions.list(session, id);
  }

  @Post('clients/:id/questions')
  @HttpCode(200)
  @Answers(QuestionView, 'list')
  ask(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: AskQuestions,
  ): Promise<QuestionView[]> {
    return this.questions.ask(session, id, dayFrom(body.chaseOn, 'chaseOn'));
  }

  @Get('clients/:id/letter.pdf')
  async letter(@CurrentSession() session: Session, @Param('id', ParseUUIDPipe) id: string, @Res() response: Response) {
    const { name, content } = await this.questions.letter(session, id);
    sendPdf(response, name, content);
  }

  @Post('questions/:id/answer')
  @HttpCode(204)
  answer(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: AnswerQuestion,
  ): Promise<void> {
    return this.questions.act(session, id, 'answer', body.version, body.answer);
  }

  @Post('questions/:id/accept')
  @HttpCode(204)
  accept(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: AtVersion,
  ): Promise<void> {
    return this.questions.act(session, id, 'accept', body.version);
  }

  @Post('questions/:id/reopen')
  @HttpCode(204)
  reopen(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: AtVersion,
  ): Promise<void> {
    return this.questions.act(session, id, 'reopen', body.version);
  }

  @Post('questions/:id/withdraw')
  @HttpCode(204)
  withdraw(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: AtVersion,
  ): Promise<void> {
    return this.questions.act(session, id, 'withdraw', body.version);
  }
}
