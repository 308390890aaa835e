import { Body, Controller, Get, HttpCode, Inject, Post } from '@nestjs/common';
import { PaydayView, StartPayrolls, StartedPayroll } from '@zakat/contract/paydays';
import { Answers } from '../../http/answers.js';
import { CurrentSession, type Session } from '../identity/index.js';
import { PaydaysService } from './paydays.service.js';

@Controller('paydays')
export class PaydaysController {
  constructor(@Inject(PaydaysService) private readonly paydays: PaydaysService) {}

  @Get()
  @Answers(PaydayView)
  view(@CurrentSession() session: Session): Promise<PaydayView> {
    return this.paydays.view(session);
  }

  @Post('start')
  @HttpCode(200)
  @Answers(StartedPayroll, 'list')
  start(@CurrentSession() session: Session, @Body() body: StartPayrolls): Promise<StartedPayroll[]> {
    return this.paydays.start(session, body.payrolls);
  }
}
