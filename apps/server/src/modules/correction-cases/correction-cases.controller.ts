import { Body, Controller, Get, HttpCode, Inject, Param, ParseUUIDPipe, Post, Res } from '@nestjs/common';
import { Accepted } from '@zakat/contract/clients';
import {
  AddConsequence,
  CaseRow,
  CorrectionCase,
  MoveCase,
  OpenCase,
  SettleConsequence,
} from '@zakat/contract/correction-cases';
import type { Response } from 'express';
import { Answers } from '../../http/answers.js';
import { sendPdf } from '../../http/send-pdf.js';
import { CurrentSession, type Session } from '../identity/index.js';
import { CorrectionCases } from './correction-cases.service.js';

@Controller()
export class CorrectionCasesController {
  constructor(@Inject(CorrectionCases) private readonly cases: CorrectionCases) {}

  @Get('clients/:id/correction-cases')
  @Answers(CaseRow, 'list')
  list(@CurrentSession() session: Session, @Param('id', ParseUUIDPipe) id: string): Promise<CaseRow[]> {
    return this.cases.list(session, id);
  }

  @Post('clients/:id/correction-cases')
  @Answers(Accepted, 'one', 201)
  async open(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: OpenCase,
  ): Promise<Accepted> {
    return { ...(await this.cases.open(session, id, body)), warnings: [] };
  }

  @Get('correction-cases/:id')
  @Answers(CorrectionCase)
  view(@CurrentSession() session: Session, @Param('id', ParseUUIDPipe) id: string): Promise<CorrectionCase> {
    return this.cases.view(session, id);
  }

  @Post('correction-cases/:id/consequences')
  @Answers(CorrectionCase, 'one', 201)
  add(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: AddConsequence,
  ): Promise<CorrectionCase> {
    return this.cases.add(session, id, body);
  }

  @Post('correction-cases/:id/consequences/:consequenceId')
  @HttpCode(200)
  @Answers(CorrectionCase)
  settle(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Param('consequenceId', ParseUUIDPipe) consequenceId: string,
    @Body() body: SettleConsequence,
  ): Promise<CorrectionCase> {
    return this.cases.settle(session, id, consequenceId, body);
  }

  @Post('correction-cases/:id/close')
  @HttpCode(200)
  @Answers(CorrectionCase)
  close(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: MoveCase,
  ): Promise<CorrectionCase> {
    return this.cases.move(session, id, 'close', body);
  }

  @Post('correction-cases/:id/reopen')
  @HttpCode(200)
  @Answers(CorrectionCase)
  reopen(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: MoveCase,
  ): Promise<CorrectionCase> {
    return this.cases.move(session, id, 'reopen', body);
  }

  @Get('correction-cases/:id/letter.pdf')
  async letter(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Res() response: Response,
  ): Promise<void> {
    const { name, content } = await this.cases.letter(session, id);
    sendPdf(response, name, content);
  }
}
