import { Body, Controller, Get, HttpCode, Inject, Param, ParseUUIDPipe, Post, Put, Res } from '@nestjs/common';
import { AtVersion } from '@zakat/contract/payrolls';
import { ChooseMapping } from '@zakat/contract/people';
import {
  CreateTakeOver,
  PassDifference,
  SaveReported,
  TakeOverRow,
  TakeOverView,
  UploadBalances,
} from '@zakat/contract/take-overs';
import type { Response } from 'express';
import { Answers } from '../../http/answers.js';
import { CurrentSession, type Session } from '../identity/index.js';
import { sendTable } from '../tables/index.js';
import { TakeOversService } from './take-overs.service.js';

@Controller()
export class TakeOversController {
  constructor(@Inject(TakeOversService) private readonly takeOvers: TakeOversService) {}

  @Get('clients/:id/take-overs')
  @Answers(TakeOverRow, 'list')
  list(@CurrentSession() session: Session, @Param('id', ParseUUIDPipe) id: string): Promise<TakeOverRow[]> {
    return this.takeOvers.list(session, id);
  }

  @Post('clients/:id/take-overs')
  @Answers(TakeOverView, 'one', 201)
  create(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: CreateTakeOver,
  ): Promise<TakeOverView> {
    return this.takeOvers.create(session, id, body.year);
  }

  @Get('take-overs/:id')
  @Answers(TakeOverView)
  view(@CurrentSession() session: Session, @Param('id', ParseUUIDPipe) id: string): Promise<TakeOverView> {
    return this.takeOvers.view(session, id);
  }

  @Get('take-overs/:id/form.csv')
  async csv(@CurrentSession() session: Session, @Param('id', ParseUUIDPipe) id: string, @Res() response: Response) {
    sendTable(response, 'csv', await this.takeOvers.form(session, id, 'csv'));
  }

  @Get('take-overs/:id/form.xlsx')
  async xlsx(@CurrentSession() session: Session, @Param('id', ParseUUIDPipe) id: string, @Res() response: Response) {
    sendTable(response, 'xlsx', await this.takeOvers.form(session, id, 'xlsx'));
  }

  @Put('take-overs/:id/balances')
  @Answers(TakeOverView)
  upload(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: UploadBalances,
  ): Promise<TakeOverView> {
    return this.takeOvers.upload(session, id, body);
  }

  @Put('take-overs/:id/mapping')
  @Answers(TakeOverView)
  map(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: ChooseMapping,
  ): Promise<TakeOverView> {
    return this.takeOvers.chooseMapping(session, id, body);
  }

  @Put('take-overs/:id/reported')
  @Answers(TakeOverView)
  reported(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: SaveReported,
  ): Promise<TakeOverView> {
    return this.takeOvers.saveReported(session, id, body);
  }

  @Post('take-overs/:id/passes')
  @HttpCode(200)
  @Answers(TakeOverView)
  pass(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: PassDifference,
  ): Promise<TakeOverView> {
    return this.takeOvers.pass(session, id, body);
  }

  @Post('take-overs/:id/accept')
  @HttpCode(200)
  @Answers(TakeOverView)
  accept(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: AtVersion,
  ): Promise<TakeOverView> {
    return this.takeOvers.accept(session, id, body.version);
  }

  @Post('take-overs/:id/take-back')
  @HttpCode(200)
  @Answers(TakeOverView)
  takeBack(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: AtVersion,
  ): Promise<TakeOverView> {
    return this.takeOvers.takeBack(session, id, body.version);
  }

  @Post('take-overs/:id/discard')
  @HttpCode(204)
  discard(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: AtVersion,
  ): Promise<void> {
    return this.takeOvers.discard(session, id, body.version);
  }
}
