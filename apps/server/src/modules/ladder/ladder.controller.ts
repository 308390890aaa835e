import { Controller, Get, Inject, Query } from '@nestjs/common';
import { ApiQuery } from '@nestjs/swagger';
import { LadderView } from '@zakat/contract/filings';
import { Answers } from '../../http/answers.js';
import { dayFrom } from '../../http/day.js';
import { wholeFrom } from '../../http/whole.js';
import { CurrentSession, type Session } from '../identity/index.js';
import { LadderService } from './ladder.service.js';

@Controller('ladder')
export class LadderController {
  constructor(@Inject(LadderService) private readonly ladder: LadderService) {}

  @Get()
  @ApiQuery({ name: 'from', required: false })
  @ApiQuery({ name: 'to', required: false })
  @ApiQuery({ name: 'count', required: false })
  @Answers(LadderView)
  view(
    @CurrentSession() session: Session,
    @Query('from') from?: string,
    @Query('to') to?: string,
    @Query('count') count?: string,
  ): Promise<LadderView> {
    return this.ladder.view(session, {
      from: from ? dayFrom(from, 'from') : null,
      to: to ? dayFrom(to, 'to') : null,
      count: wholeFrom(count, 'count', 200),
    });
  }
}
