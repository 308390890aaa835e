import { Body, Controller, Get, HttpCode, Inject, Param, ParseUUIDPipe, Post } from '@nestjs/common';
import { AskEnrollment, EnrollmentAct, EnrollmentsView } from '@zakat/contract/enrollments';
import { Answers } from '../../http/answers.js';
import { CurrentSession, type Session } from '../identity/index.js';
import { Enrollments } from './enrollments.service.js';

@Controller()
export class EnrollmentsController {
  constructor(@Inject(Enrollments) private readonly enrollments: Enrollments) {}

  @Get('clients/:id/enrollments')
  @Answers(EnrollmentsView)
  view(@CurrentSession() session: Session, @Param('id', ParseUUIDPipe) id: string): Promise<EnrollmentsView> {
    return this.enrollments.view(session, id);
  }

  @Post('clients/:id/enrollments')
  @Answers(EnrollmentsView, 'one', 201)
  ask(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: AskEnrollment,
  ): Promise<EnrollmentsView> {
    return this.enrollments.ask(session, id, body);
  }

  @Post('enrollments/:id')
  @HttpCode(200)
  @Answers(EnrollmentsView)
  act(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: EnrollmentAct,
  ): Promise<EnrollmentsView> {
    return this.enrollments.act(session, id, body);
  }
}
