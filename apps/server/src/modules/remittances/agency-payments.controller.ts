import { Body, Controller, Get, Inject, Param, Put } from '@nestjs/common';
import { AgencyPaymentView, SaveAgencyPayment } from '@zakat/contract/remittances';
import { Answers } from '../../http/answers.js';
import { CurrentSession, type Session } from '../identity/index.js';
import { AgencyPaymentsService } from './agency-payments.service.js';

@Controller('firm/agency-payments')
export class AgencyPaymentsController {
  constructor(@Inject(AgencyPaymentsService) private readonly payments: AgencyPaymentsService) {}

  @Get()
  @Answers(AgencyPaymentView, 'list')
  list(@CurrentSession() session: Session): Promise<AgencyPaymentView[]> {
    return this.payments.list(session);
  }

  @Put(':agency')
  @Answers(AgencyPaymentView)
  save(
    @CurrentSession() session: Session,
    @Param('agency') agency: string,
    @Body() body: SaveAgencyPayment,
  ): Promise<AgencyPaymentView> {
    return this.payments.save(session, agency, body);
  }
}
