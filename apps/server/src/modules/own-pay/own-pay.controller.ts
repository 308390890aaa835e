import { Body, Controller, Get, HttpCode, Inject, Param, ParseUUIDPipe, Post, Put, Res } from '@nestjs/common';
import {
  EmployeeSignIn,
  GiveConsent,
  InvitedEmployee,
  InviteEmployee,
  OpenSignIn,
  OwnPay,
  SetFirstPassword,
  WelcomeView,
} from '@zakat/contract/own-pay';
import type { Response } from 'express';
import { Answers } from '../../http/answers.js';
import { notFound } from '../../http/refusal.js';
import { sendPdf } from '../../http/send-pdf.js';
import { CurrentSession, Open, OpenToEmployees, type Session } from '../identity/index.js';
import { OwnPayService, type Paid } from './own-pay.service.js';
import { SignIns } from './sign-ins.service.js';

@Controller()
export class OwnPayController {
  constructor(
    @Inject(SignIns) private readonly signIns: SignIns,
    @Inject(OwnPayService) private readonly pay: OwnPayService,
  ) {}

  @Get('employees/:id/sign-in')
  @Answers(EmployeeSignIn)
  view(@CurrentSession() session: Session, @Param('id', ParseUUIDPipe) id: string): Promise<EmployeeSignIn> {
    return this.signIns.view(session, id);
  }

  @Post('employees/:id/sign-in')
  @Answers(InvitedEmployee, 'one', 201)
  invite(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() { email }: InviteEmployee,
  ): Promise<InvitedEmployee> {
    return this.signIns.invite(session, id, email);
  }

  @Put('employees/:id/sign-in')
  @Answers(EmployeeSignIn)
  open(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() { isOpen }: OpenSignIn,
  ): Promise<EmployeeSignIn> {
    return this.signIns.open(session, id, isOpen);
  }

  @Get('welcome/:token')
  @Open()
  @Answers(WelcomeView)
  welcome(@Param('token') token: string): Promise<WelcomeView> {
    return this.signIns.welcome(token);
  }

  @Post('welcome/:token')
  @Open()
  @HttpCode(204)
  setPassword(@Param('token') token: string, @Body() { password }: SetFirstPassword): Promise<void> {
    return this.signIns.setPassword(token, password);
  }

  @Get('own-pay')
  @OpenToEmployees()
  @Answers(OwnPay)
  home(@CurrentSession() session: Session): Promise<OwnPay> {
    return this.pay.home(paidOf(session));
  }

  @Put('own-pay/consent')
  @OpenToEmployees()
  @Answers(OwnPay)
  consent(@CurrentSession() session: Session, @Body() { isElectronic }: GiveConsent): Promise<OwnPay> {
    return this.pay.consent(paidOf(session), isElectronic);
  }

  @Get('own-pay/statements/:id/statement.pdf')
  @OpenToEmployees()
  async statement(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Res() response: Response,
  ): Promise<void> {
    const { name, content } = await this.pay.statement(paidOf(session), id);
    sendPdf(response, name, content);
  }

  @Get('own-pay/wage-statements/:id/w2.pdf')
  @OpenToEmployees()
  async wageStatement(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Res() response: Response,
  ): Promise<void> {
    const { name, content } = await this.pay.wageStatement(paidOf(session), id);
    sendPdf(response, name, content);
  }
}

/** Only somebody who is paid has pay of their own. */
function paidOf(session: Session): Paid {
  const { employeeId, clientId } = session;
  if (employeeId === null || clientId === null) throw notFound('pay of your own');
  return { ...session, employeeId, clientId };
}
