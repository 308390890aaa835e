import { Body, Controller, Get, HttpCode, Inject, Param, ParseUUIDPipe, Post, Put } from '@nestjs/common';
import { Accepted } from '@zakat/contract/clients';
import {
  GarnishmentPayeeView,
  GarnishmentPaymentAct,
  GarnishmentPaymentView,
  GarnishmentsView,
  PlanGarnishmentPayment,
  RecordGarnishmentPaid,
  SaveGarnishmentPayee,
} from '@zakat/contract/garnishment-payments';
import { ReleaseSlip } from '@zakat/contract/remittances';
import { Answers } from '../../http/answers.js';
import { CurrentSession, type Session } from '../identity/index.js';
import { GarnishmentPayments } from './garnishment-payments.service.js';

@Controller()
export class GarnishmentPaymentsController {
  constructor(@Inject(GarnishmentPayments) private readonly payments: GarnishmentPayments) {}

  @Get('garnishment-payees')
  @Answers(GarnishmentPayeeView, 'list')
  payees(@CurrentSession() session: Session): Promise<GarnishmentPayeeView[]> {
    return this.payments.payees(session);
  }

  @Put('garnishment-payees')
  @Answers(GarnishmentPayeeView, 'list')
  savePayee(@CurrentSession() session: Session, @Body() body: SaveGarnishmentPayee): Promise<GarnishmentPayeeView[]> {
    return this.payments.savePayee(session, body);
  }

  @Get('clients/:id/garnishments')
  @Answers(GarnishmentsView)
  view(@CurrentSession() session: Session, @Param('id', ParseUUIDPipe) id: string): Promise<GarnishmentsView> {
    return this.payments.view(session, id);
  }

  @Post('clients/:id/garnishment-payments')
  @Answers(Accepted, 'one', 201)
  async plan(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: PlanGarnishmentPayment,
  ): Promise<Accepted> {
    return { ...(await this.payments.plan(session, id, body)), warnings: [] };
  }

  @Get('garnishment-payments/:id')
  @Answers(GarnishmentPaymentView)
  one(@CurrentSession() session: Session, @Param('id', ParseUUIDPipe) id: string): Promise<GarnishmentPaymentView> {
    return this.payments.one(session, id);
  }

  @Get('garnishment-payments/:id/slip')
  @Answers(ReleaseSlip)
  slip(@CurrentSession() session: Session, @Param('id', ParseUUIDPipe) id: string): Promise<ReleaseSlip> {
    return this.payments.slip(session, id);
  }

  @Post('garnishment-payments/:id/withdraw')
  @HttpCode(200)
  @Answers(GarnishmentPaymentView)
  withdraw(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() { version }: GarnishmentPaymentAct,
  ): Promise<GarnishmentPaymentView> {
    return this.payments.withdraw(session, id, version);
  }

  @Post('garnishment-payments/:id/release')
  @HttpCode(200)
  @Answers(GarnishmentPaymentView)
  release(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() { version }: GarnishmentPaymentAct,
  ): Promise<GarnishmentPaymentView> {
    return this.payments.release(session, id, version);
  }

  @Post('garnishment-payments/:id/record')
  @HttpCode(200)
  @Answers(GarnishmentPaymentView)
  record(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: RecordGarnishmentPaid,
  ): Promise<GarnishmentPaymentView> {
    return this.payments.record(session, id, body);
  }
}
