import { Body, Controller, Get, HttpCode, Inject, Param, ParseUUIDPipe, Post, Put, Query, Res } from '@nestjs/common';
import { ApiQuery } from '@nestjs/swagger';
import { Accepted } from '@zakat/contract/clients';
import {
  AdvanceFunds,
  KeepReconciliation,
  MatchLine,
  ReadTrustStatement,
  ReconciliationView,
  RecordTrustEntry,
  ReverseTrustEntry,
  SaveTrustAccount,
  TrustEntryView,
  TrustStatementView,
  TrustView,
} from '@zakat/contract/trust';
import type { Response } from 'express';
import { Answers } from '../../http/answers.js';
import { sendPdf } from '../../http/send-pdf.js';
import { CurrentSession, type Session } from '../identity/index.js';
import { TrustStatements } from './trust-statements.service.js';
import { TrustService } from './trust.service.js';

@Controller()
export class TrustController {
  constructor(
    @Inject(TrustService) private readonly trust: TrustService,
    @Inject(TrustStatements) private readonly statements: TrustStatements,
  ) {}

  @Get('trust')
  @Answers(TrustView)
  view(@CurrentSession() session: Session): Promise<TrustView> {
    return this.trust.view(session);
  }

  @Put('trust/account')
  @Answers(TrustView)
  account(@CurrentSession() session: Session, @Body() body: SaveTrustAccount): Promise<TrustView> {
    return this.trust.saveAccount(session, body);
  }

  @Get('trust/entries')
  @Answers(TrustEntryView, 'list')
  entries(@CurrentSession() session: Session): Promise<TrustEntryView[]> {
    return this.trust.entries(session, null);
  }

  @Post('trust/entries')
  @Answers(Accepted, 'one', 201)
  async record(@CurrentSession() session: Session, @Body() body: RecordTrustEntry): Promise<Accepted> {
    return { ...(await this.trust.record(session, body)), warnings: [] };
  }

  @Post('trust/entries/:id/reverse')
  @HttpCode(200)
  @Answers(Accepted)
  async reverse(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: ReverseTrustEntry,
  ): Promise<Accepted> {
    return { ...(await this.trust.reverse(session, id, body)), warnings: [] };
  }

  @Post('clients/:id/advances')
  @Answers(Accepted, 'one', 201)
  async advance(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: AdvanceFunds,
  ): Promise<Accepted> {
    return { ...(await this.trust.advance(session, id, body)), warnings: [] };
  }

  @Post('trust/statement')
  @HttpCode(200)
  @Answers(TrustStatementView)
  statement(@CurrentSession() session: Session, @Body() body: ReadTrustStatement): Promise<TrustStatementView> {
    return this.statements.read(session, body);
  }

  @Post('trust/statement/fetch')
  @HttpCode(200)
  @Answers(TrustStatementView)
  fetchStatement(@CurrentSession() session: Session): Promise<TrustStatementView> {
    return this.statements.fetch(session);
  }

  @Post('trust/matches')
  @HttpCode(200)
  @ApiQuery({ name: 'day' })
  @Answers(ReconciliationView)
  async match(
    @CurrentSession() session: Session,
    @Body() body: MatchLine,
    @Query('day') day = '',
  ): Promise<ReconciliationView> {
    await this.statements.match(session, body);
    return this.statements.reconciliation(session, day);
  }

  @Get('trust/reconciliation')
  @ApiQuery({ name: 'day' })
  @Answers(ReconciliationView)
  reconciliation(@CurrentSession() session: Session, @Query('day') day = ''): Promise<ReconciliationView> {
    return this.statements.reconciliation(session, day);
  }

  @Post('trust/reconciliation')
  @HttpCode(200)
  @Answers(ReconciliationView)
  keep(@CurrentSession() session: Session, @Body() body: KeepReconciliation): Promise<ReconciliationView> {
    return this.statements.keep(session, body.day);
  }

  @Get('trust/reconciliation.pdf')
  @ApiQuery({ name: 'day' })
  async report(
    @CurrentSession() session: Session,
    @Query('day') day: string,
    @Res() response: Response,
  ): Promise<void> {
    const { name, content } = await this.statements.report(session, day);
    sendPdf(response, name, content);
  }
}
