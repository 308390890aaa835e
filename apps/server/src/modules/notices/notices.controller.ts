import { Body, Controller, Get, HttpCode, Inject, Param, ParseUUIDPipe, Post, Res } from '@nestjs/common';
import { Accepted } from '@zakat/contract/clients';
import { AnswerNotice, MoveNotice, NoticeView, NoticesView, RecordNotice } from '@zakat/contract/notices';
import type { Response } from 'express';
import { Answers } from '../../http/answers.js';
import { sendPdf } from '../../http/send-pdf.js';
import { CurrentSession, type Session } from '../identity/index.js';
import { NoticesService } from './notices.service.js';

@Controller()
export class NoticesController {
  constructor(@Inject(NoticesService) private readonly notices: NoticesService) {}

  @Get('clients/:id/notices')
  @Answers(NoticesView)
  list(@CurrentSession() session: Session, @Param('id', ParseUUIDPipe) id: string): Promise<NoticesView> {
    return this.notices.list(session, id);
  }

  @Post('clients/:id/notices')
  @Answers(Accepted, 'one', 201)
  async record(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: RecordNotice,
  ): Promise<Accepted> {
    return { ...(await this.notices.record(session, id, body)), warnings: [] };
  }

  @Post('notices/:id/answer')
  @HttpCode(200)
  @Answers(NoticeView)
  answer(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: AnswerNotice,
  ): Promise<NoticeView> {
    return this.notices.answer(session, id, body);
  }

  @Post('notices/:id/close')
  @HttpCode(200)
  @Answers(NoticeView)
  close(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: MoveNotice,
  ): Promise<NoticeView> {
    return this.notices.move(session, id, 'close', body);
  }

  @Post('notices/:id/reopen')
  @HttpCode(200)
  @Answers(NoticeView)
  reopen(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: MoveNotice,
  ): Promise<NoticeView> {
    return this.notices.move(session, id, 'reopen', body);
  }

  @Get('notices/:id/answer.pdf')
  async letter(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Res() response: Response,
  ): Promise<void> {
    const { name, content } = await this.notices.letter(session, id);
    sendPdf(response, name, content);
  }
}
