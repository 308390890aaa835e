import { Body, Controller, Get, HttpCode, Inject, Param, ParseUUIDPipe, Post } from '@nestjs/common';
import { Accepted } from '@zakat/contract/clients';
import { AtVersion } from '@zakat/contract/payrolls';
import {
  DepositView,
  PlanRemittance,
  RecordPaid,
  ReleaseSlip,
  RemittanceRow,
  RemittanceView,
  UnrecordPaid,
} from '@zakat/contract/remittances';
import { Answers } from '../../http/answers.js';
import { CurrentSession, type Session } from '../identity/index.js';
import { RemittancesService } from './remittances.service.js';

@Controller()
export class RemittancesController {
  constructor(@Inject(RemittancesService) private readonly remittances: RemittancesService) {}

  @Get('clients/:id/deposits')
  @Answers(DepositView, 'list')
  deposits(@CurrentSession() session: Session, @Param('id', ParseUUIDPipe) id: string): Promise<DepositView[]> {
    return this.remittances.deposits(session, id);
  }

  @Get('clients/:id/remittances')
  @Answers(RemittanceRow, 'list')
  list(@CurrentSession() session: Session, @Param('id', ParseUUIDPipe) id: string): Promise<RemittanceRow[]> {
    return this.remittances.list(session, id);
  }

  @Post('clients/:id/remittances')
  @Answers(Accepted, 'one', 201)
  async plan(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: PlanRemittance,
  ): Promise<Accepted> {
    return { ...(await this.remittances.plan(session, id, body)), warnings: [] };
  }

  @Get('remittances/:id')
  @Answers(RemittanceView)
  view(@CurrentSession() session: Session, @Param('id', ParseUUIDPipe) id: string): Promise<RemittanceView> {
    return this.remittances.view(session, id);
  }

  @Get('remittances/:id/slip')
  @Answers(ReleaseSlip)
  slip(@CurrentSession() session: Session, @Param('id', ParseUUIDPipe) id: string): Promise<ReleaseSlip> {
    return this.remittances.slip(session, id);
  }

  @Post('remittances/:id/approve')
  @HttpCode(200)
  @Answers(RemittanceView)
  approve(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: AtVersion,
  ): Promise<RemittanceView> {
    return this.remittances.approve(session, id, body.version);
  }

  @Post('remittances/:id/withdraw')
  @HttpCode(200)
  @Answers(RemittanceView)
  withdraw(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: AtVersion,
  ): Promise<RemittanceView> {
    return this.remittances.withdraw(session, id, body.version);
  }

  @Post('remittances/:id/record')
  @HttpCode(200)
  @Answers(RemittanceView)
  record(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: RecordPaid,
  ): Promise<RemittanceView> {
    return this.remittances.record(session, id, body);
  }

  @Post('remittances/:id/unrecord')
  @HttpCode(200)
  @Answers(RemittanceView)
  unrecord(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: UnrecordPaid,
  ): Promise<RemittanceView> {
    return this.remittances.unrecord(session, id, body);
  }

  @Post('remittances/:id/release')
  @HttpCode(200)
  @Answers(RemittanceView)
  release(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: AtVersion,
  ): Promise<RemittanceView> {
    return this.remittances.release(session, id, body.version);
  }
}
