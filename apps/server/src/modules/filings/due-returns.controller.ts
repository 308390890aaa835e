import { Body, Controller, Get, HttpCode, Inject, Post, Query, Res } from '@nestjs/common';
import { DoneOfMany } from '@zakat/contract/due-deposits';
import { BeginReturns, DueReturnView, ReturnsAtVersion } from '@zakat/contract/due-returns';
import { ReleaseSlip } from '@zakat/contract/remittances';
import { Answers } from '../../http/answers.js';
import { CurrentSession, type Session } from '../identity/index.js';
import { sendTable } from '../tables/index.js';
import type { Response } from 'express';
import { Acknowledgements } from './acknowledgements.service.js';
import { AggregateFilers } from './aggregate-filers.service.js';
import { DueReturnsService } from './due-returns.service.js';

@Controller('due-returns')
export class DueReturnsController {
  constructor(
    @Inject(DueReturnsService) private readonly returns: DueReturnsService,
    @Inject(AggregateFilers) private readonly aggregate: AggregateFilers,
    @Inject(Acknowledgements) private readonly acknowledgements: Acknowledgements,
  ) {}

  @Get()
  @Answers(DueReturnView)
  view(@CurrentSession() session: Session, @Query('quarter') quarter: string): Promise<DueReturnView> {
    return this.returns.view(session, String(quarter));
  }

  @Get('acknowledgements.csv')
  async acknowledged(
    @CurrentSession() session: Session,
    @Query('quarter') quarter: string,
    @Res() response: Response,
  ): Promise<void> {
    sendTable(response, 'csv', await this.acknowledgements.table(session, String(quarter)));
  }

  @Get('schedule-r.csv')
  async scheduleR(
    @CurrentSession() session: Session,
    @Query('quarter') quarter: string,
    @Res() response: Response,
  ): Promise<void> {
    sendTable(response, 'csv', await this.aggregate.table(session, String(quarter)));
  }

  @Post('begin')
  @HttpCode(200)
  @Answers(DoneOfMany, 'list')
  begin(@CurrentSession() session: Session, @Body() body: BeginReturns): Promise<DoneOfMany[]> {
    return this.returns.begin(session, body.returns);
  }

  @Post('check')
  @HttpCode(200)
  @Answers(DoneOfMany, 'list')
  check(@CurrentSession() session: Session, @Body() body: ReturnsAtVersion): Promise<DoneOfMany[]> {
    return this.returns.check(session, body.returns);
  }

  @Post('slip')
  @HttpCode(200)
  @Answers(ReleaseSlip)
  slip(@CurrentSession() session: Session, @Body() body: ReturnsAtVersion): Promise<ReleaseSlip> {
    return this.returns.slip(session, body.returns);
  }

  @Post('release')
  @HttpCode(200)
  @Answers(DoneOfMany, 'list')
  release(@CurrentSession() session: Session, @Body() body: ReturnsAtVersion): Promise<DoneOfMany[]> {
    return this.returns.release(session, body.returns);
  }
}
