import { Controller, Get, Inject, Param, ParseUUIDPipe, Query } from '@nestjs/common';
import { ApiQuery } from '@nestjs/swagger';
import { JobCostOfPeriod } from '@zakat/contract/payrolls';
import { Answers } from '../../http/answers.js';
import { quarterFrom } from '../../http/period.js';
import { ParseYearPipe } from '../../http/year-pipe.js';
import { CurrentSession, type Session } from '../identity/index.js';
import { JobCostsService } from './job-costs.service.js';

@Controller('clients/:id')
export class JobCostsController {
  constructor(@Inject(JobCostsService) private readonly costs: JobCostsService) {}

  @Get('job-costs')
  @ApiQuery({ name: 'quarter', required: false })
  @Answers(JobCostOfPeriod, 'list')
  of(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Query('year', ParseYearPipe) year: number,
    @Query('quarter') quarter?: string,
  ): Promise<JobCostOfPeriod[]> {
    return this.costs.of(session, id, { year, quarter: quarterFrom(quarter) });
  }
}
