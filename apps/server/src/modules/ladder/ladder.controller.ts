import { Controller, Get, Inject } from '@nestjs/common';
import { Rung } from '@zakat/contract/filings';
import { Answers } from '../../http/answers.js';
import { CurrentSession } from '../identity/guard.js';
import type { Session } from '../identity/sessions.js';
import { LadderService } from './ladder.service.js';

@Controller('ladder')
export class LadderController {
  constructor(@Inject(LadderService) private readonly ladder: LadderService) {}

  @Get()
  @Answers(Rung, 'list')
  rungs(@CurrentSession() session: Session): Promise<Rung[]> {
    return this.ladder.rungs(session);
  }
}
