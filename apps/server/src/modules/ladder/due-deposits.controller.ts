import { Body, Controller, Get, HttpCode, Inject, Post } from '@nestjs/common';
import { DoneOfMany, DueDepositView, PaymentsAtVersion, ScheduleDeposits } from '@zakat/contract/due-deposits';
import { ReleaseSlip } from '@zakat/contract/remittances';
import { Answers } from '../../http/answers.js';
import { CurrentSession, type Session } from '../identity/index.js';
import { DueDepositsService } from './due-deposits.service.js';

@Controller('due-deposits')
export class DueDepositsController {
  constructor(@Inject(DueDepositsService) private readonly deposits: DueDepositsService) {}

  @Get()
  @Answers(DueDepositView)
  view(@CurrentSession() session: Session): Promise<DueDepositView> {
    return this.deposits.view(session);
  }

  @Post('schedule')
  @HttpCode(200)
  @Answers(DoneOfMany, 'list')
  schedule(@CurrentSession() session: Session, @Body() body: ScheduleDeposits): Promise<DoneOfMany[]> {
    return this.deposits.schedule(session, body.deposits);
  }

  @Post('approve')
  @HttpCode(200)
  @Answers(DoneOfMany, 'list')
  approve(@CurrentSession() session: Session, @Body() body: PaymentsAtVersion): Promise<DoneOfMany[]> {
    return this.deposits.approve(session, body.payments);
  }

  @Post('slip')
  @HttpCode(200)
  @Answers(ReleaseSlip)
  slip(@CurrentSession() session: Session, @Body() body: PaymentsAtVersion): Promise<ReleaseSlip> {
    return this.deposits.slip(session, body.payments);
  }

  @Post('release')
  @HttpCode(200)
  @Answers(DoneOfMany, 'list')
  release(@CurrentSession() session: Session, @Body() body: PaymentsAtVersion): Promise<DoneOfMany[]> {
    return this.deposits.release(session, body.payments);
  }
}
