import { Controller, Get, Inject, Query } from '@nestjs/common';
import { ApiQuery } from '@nestjs/swagger';
import { AuditPage, AuditVerification } from '@zakat/contract/filings';
import { FirmDatabase } from '../../database/firm-database.js';
import { Answers } from '../../http/answers.js';
import { CurrentSession, type Session } from '../identity/index.js';
import { AuditList } from './audit-list.js';
import { Audit } from '../audit/index.js';
import { dayFrom } from '../../http/day.js';
import { refuseField } from '../../http/refusal.js';
import { wholeFrom } from '../../http/whole.js';

const ID = /^[0-9a-f]{8}-[0-9a-f-]{27}$/;
/** An identifier of a query; left out, none. What is none is refused. */
function idFrom(name: string, text: string | undefined): string | null {
  if (text === undefined || text === '') return null;
  if (!ID.test(text)) throw refuseField(name, 'This is no identifier.', 'Choose from the list.');
  return text;
}

@Controller('audit')
export class AuditController {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(Audit) private readonly audit: Audit,
    @Inject(AuditList) private readonly list: AuditList,
  ) {}

  /** Recomputes the whole chain of the firm. */
  @Get('verification')
  @Answers(AuditVerification)
  verify(@CurrentSession() session: Session): Promise<AuditVerification> {
    return this.database.run(session, (manager) => this.audit.verify(manager));
  }

  /** A page of the trail, newest first; `before` goes on from an entry. */
  @Get()
  @ApiQuery({ name: 'client', required: false })
  @ApiQuery({ name: 'employee', required: false })
  @ApiQuery({ name: 'user', required: false })
  @ApiQuery({ name: 'about', required: false })
  @ApiQuery({ name: 'from', required: false })
  @ApiQuery({ name: 'to', required: false })
  @ApiQuery({ name: 'before', required: false })
  @Answers(AuditPage)
  page(
    @CurrentSession() session: Session,
    @Query('client') client?: string,
    @Query('employee') employee?: string,
    @Query('user') user?: string,
    @Query('about') about?: string,
    @Query('from') from?: string,
    @Query('to') to?: string,
    @Query('before') before?: string,
  ): Promise<AuditPage> {
    return this.list.page(session, {
      client: idFrom('client', client),
      employee: idFrom('employee', employee),
      user: idFrom('user', user),
      about: about === undefined || about === '' ? null : about,
      from: from === undefined || from === '' ? null : dayFrom(from, 'from'),
      to: to === undefined || to === '' ? null : dayFrom(to, 'to'),
      before: before === undefined || before === '' ? null : wholeFrom(before, 'before', 0),
    });
  }
}
