import { Body, Controller, Get, HttpCode, Inject, Param, ParseUUIDPipe, Post, Query } from '@nestjs/common';
import { Accepted } from '@zakat/contract/clients';
import { JurisdictionRow, ProposeRulePack, RulePackRow, RulePackView, RuleRow } from '@zakat/contract/rules';
import { AtVersion } from '@zakat/contract/payrolls';
import type { RulePack } from '@zakat/core/rules/pack';
import { Answers } from '../../http/answers.js';
import { ParseYearPipe } from '../../http/year-pipe.js';
import { CurrentSession, type Session } from '../identity/index.js';
import { RulesService } from './rules.service.js';

@Controller('rules')
export class RulesController {
  constructor(@Inject(RulesService) private readonly rules: RulesService) {}

  @Get()
  @Answers(JurisdictionRow, 'list')
  jurisdictions(): JurisdictionRow[] {
    return this.rules.jurisdictions();
  }

  @Get('rows')
  @Answers(RuleRow, 'list')
  rows(@Query('jurisdiction') jurisdiction: string): RuleRow[] {
    return this.rules.rows(jurisdiction);
  }

  /** A rule pack of what is loaded. */
  @Get('export')
  exported(@Query('prefix') prefix?: string): RulePack {
    return this.rules.exported(prefix ?? '');
  }

  /** A rule pack that carries last year's values into a year that is not published. */
  @Get('carry/:year')
  carried(@Param('year', ParseYearPipe) year: number): RulePack {
    return this.rules.carried(year);
  }

  @Get('packs')
  @Answers(RulePackRow, 'list')
  packs(@CurrentSession() session: Session): Promise<RulePackRow[]> {
    return this.rules.packs(session);
  }

  @Post('packs')
  @Answers(Accepted, 'one', 201)
  async propose(@CurrentSession() session: Session, @Body() body: ProposeRulePack): Promise<Accepted> {
    return { ...(await this.rules.propose(session, body)), warnings: [] };
  }

  @Get('packs/:id')
  @Answers(RulePackView)
  view(@CurrentSession() session: Session, @Param('id', ParseUUIDPipe) id: string): Promise<RulePackView> {
    return this.rules.view(session, id);
  }

  @Post('packs/:id/accept')
  @HttpCode(200)
  @Answers(RulePackView)
  accept(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: AtVersion,
  ): Promise<RulePackView> {
    return this.rules.act(session, id, 'accept', body.version);
  }

  @Post('packs/:id/withdraw')
  @HttpCode(200)
  @Answers(RulePackView)
  withdraw(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: AtVersion,
  ): Promise<RulePackView> {
    return this.rules.act(session, id, 'withdraw', body.version);
  }
}
