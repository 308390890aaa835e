import { Controller, Get, Inject } from '@nestjs/common';
import { AuditRow, AuditVerification } from '@zakat/contract/filings';
import { FirmDatabase } from '../../database/firm-database.js';
import { Answers } from '../../http/answers.js';
import { CurrentSession } from '../identity/guard.js';
import { Audit } from './audit.js';
import type { Session } from '../identity/sessions.js';

interface Row {
  seq: string;
  at: Date;
  name: string | null;
  action: string;
  subject_kind: string;
  subject_id: string;
  detail: Record<string, unknown>;
}

@Controller('audit')
export class AuditController {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(Audit) private readonly audit: Audit,
  ) {}

  /** Recomputes the whole chain of the firm. */
  @Get('verification')
  @Answers(AuditVerification)
  verify(@CurrentSession() session: Session): Promise<AuditVerification> {
    return this.database.run(session, (manager) => this.audit.verify(manager));
  }

  /** The newest 500 entries of the trail. */
  @Get()
  @Answers(AuditRow, 'list')
  list(@CurrentSession() session: Session): Promise<AuditRow[]> {
    return this.database.run(session, async (manager) => {
      const rows = (await manager.query(
        'SELECT a.*, u.name FROM audit_entry a LEFT JOIN app_user u ON u.id = a.user_id ORDER BY a.seq DESC LIMIT 500',
      )) as Row[];
      return rows.map((row) => ({
        seq: Number(row.seq),
        at: row.at.toISOString(),
        by: row.name ?? 'Zakat',
        action: row.action,
        subject: `${row.subject_kind} ${row.subject_id}`,
        detail: row.detail,
      }));
    });
  }
}
