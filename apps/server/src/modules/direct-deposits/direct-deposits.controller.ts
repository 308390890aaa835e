import { Body, Controller, Get, HttpCode, Inject, Param, ParseUUIDPipe, Post } from '@nestjs/common';
import {
  AccountChangeView,
  DecideAccountChange,
  DirectDepositRow,
  PayrollPay,
  PlanDirectDeposit,
  PrenoteView,
  VoidReversal,
} from '@zakat/contract/direct-deposits';
import { AtVersion } from '@zakat/contract/payrolls';
import { ReleaseSlip } from '@zakat/contract/remittances';
import { Answers } from '../../http/answers.js';
import { CurrentSession, type Session } from '../identity/index.js';
import { AccountChanges } from './account-changes.js';
import { DirectDepositsService } from './direct-deposits.service.js';
import { DepositReversals } from './reversals.service.js';

@Controller()
export class DirectDepositsController {
  constructor(
    @Inject(DirectDepositsService) private readonly deposits: DirectDepositsService,
    @Inject(AccountChanges) private readonly changes: AccountChanges,
    @Inject(DepositReversals) private readonly reversals: DepositReversals,
  ) {}

  @Get('payrolls/:id/pay')
  @Answers(PayrollPay)
  pay(@CurrentSession() session: Session, @Param('id', ParseUUIDPipe) id: string): Promise<PayrollPay> {
    return this.deposits.payOf(session, id);
  }

  @Post('payrolls/:id/direct-deposit')
  @Answers(PayrollPay, 'one', 201)
  planPay(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: PlanDirectDeposit,
  ): Promise<PayrollPay> {
    return this.deposits.planPay(session, id, body.bankAccountId);
  }

  @Post('payrolls/:id/direct-deposit-again')
  @Answers(PayrollPay, 'one', 201)
  planAgain(@CurrentSession() session: Session, @Param('id', ParseUUIDPipe) id: string): Promise<PayrollPay> {
    return this.deposits.planAgain(session, id);
  }

  @Get('clients/:id/prenotes')
  @Answers(PrenoteView)
  prenotes(@CurrentSession() session: Session, @Param('id', ParseUUIDPipe) id: string): Promise<PrenoteView> {
    return this.deposits.prenotes(session, id);
  }

  @Post('clients/:id/prenotes')
  @Answers(PrenoteView, 'one', 201)
  planPrenotes(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: PlanDirectDeposit,
  ): Promise<PrenoteView> {
    return this.deposits.planPrenotes(session, id, body.bankAccountId);
  }

  @Get('clients/:id/account-changes')
  @Answers(AccountChangeView, 'list')
  accountChanges(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
  ): Promise<AccountChangeView[]> {
    return this.changes.list(session, id);
  }

  @Post('account-changes/:id')
  @HttpCode(200)
  @Answers(AccountChangeView, 'list')
  decideChange(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: DecideAccountChange,
  ): Promise<AccountChangeView[]> {
    return this.changes.decide(session, id, body);
  }

  @Get('voids/:id/reversal')
  @Answers(VoidReversal)
  reversal(@CurrentSession() session: Session, @Param('id', ParseUUIDPipe) id: string): Promise<VoidReversal> {
    return this.reversals.view(session, id);
  }

  @Post('voids/:id/reversal')
  @Answers(VoidReversal, 'one', 201)
  planReversal(@CurrentSession() session: Session, @Param('id', ParseUUIDPipe) id: string): Promise<VoidReversal> {
    return this.reversals.plan(session, id);
  }

  @Get('direct-deposits/:id/slip')
  @Answers(ReleaseSlip)
  slip(@CurrentSession() session: Session, @Param('id', ParseUUIDPipe) id: string): Promise<ReleaseSlip> {
    return this.deposits.slip(session, id);
  }

  @Post('direct-deposits/:id/release')
  @HttpCode(200)
  @Answers(DirectDepositRow)
  release(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: AtVersion,
  ): Promise<DirectDepositRow> {
    return this.deposits.release(session, id, body.version);
  }

  @Post('direct-deposits/:id/withdraw')
  @HttpCode(200)
  @Answers(DirectDepositRow)
  withdraw(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: AtVersion,
  ): Promise<DirectDepositRow> {
    return this.deposits.withdraw(session, id, body.version);
  }
}
