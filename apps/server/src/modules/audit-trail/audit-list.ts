import { Inject, Injectable } from '@nestjs/common';
import type { AuditPage } from '@zakat/contract/filings';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { auditWords, subjectWords } from './audit-words.js';

const PAGE = 200;

export interface AuditFilter {
  readonly client: string | null;
  readonly employee: string | null;
  readonly user: string | null;
  /** The first part of an act: payroll, filing, client. */
  readonly about: string | null;
  readonly from: string | null;
  readonly to: string | null;
  /** Entries before this one. */
  readonly before: number | null;
}

interface Row {
  readonly seq: string;
  readonly at: Date;
  readonly by: string | null;
  readonly action: string;
  readonly kind: string;
  readonly detail: Record<string, unknown>;
  readonly name: string | null;
  readonly day: string | null;
  readonly amount: string | null;
  readonly client_id: string | null;
  readonly client: string | null;
}

/** What names a subject, and whose it is: one branch a kind. */
const SUBJECTS = `
  SELECT e.client_id, e.first_name || ' ' || e.last_name AS name, NULL::text AS day, NULL::bigint AS amount FROM employee e WHERE a.subject_kind = 'employee' AND e.id = a.id
  UNION ALL SELECT NULL, u.name, NULL, NULL FROM app_user u WHERE a.subject_kind = 'user' AND u.id = a.id
  UNION ALL SELECT p.client_id, NULL, p.check_date::text, NULL FROM payroll p WHERE a.subject_kind = 'payroll' AND p.id = a.id
  UNION ALL SELECT r.client_id, r.family, NULL, r.amount FROM remittance r WHERE a.subject_kind = 'remittance' AND r.id = a.id
  UNION ALL SELECT d.client_id, d.kind, d.settles::text, NULL FROM direct_deposit d WHERE a.subject_kind = 'direct deposit' AND d.id = a.id
  UNION ALL SELECT d.client_id, d.kind, d.settles::text, d.amount FROM collection d WHERE a.subject_kind = 'collection' AND d.id = a.id
  UNION ALL SELECT v.client_id, v.number::text, v.month::text, v.total FROM invoice v WHERE a.subject_kind = 'invoice' AND v.id = a.id
  UNION ALL SELECT g.client_id, g.payee, g.settles::text, g.amount FROM garnishment_payment g WHERE a.subject_kind = 'garnishment payment' AND g.id = a.id
  UNION ALL SELECT b.client_id, b.agency, NULL, NULL FROM debit_enrollment b WHERE a.subject_kind = 'enrollment' AND b.id = a.id
  UNION ALL SELECT h.client_id, h.label, NULL, NULL FROM account_change h WHERE a.subject_kind = 'account correction' AND h.id = a.id
  UNION ALL SELECT f.client_id, f.kind, f.period_start::text, NULL FROM filing f WHERE a.subject_kind = 'filing' AND f.id = a.id
  UNION ALL SELECT t.client_id, t.year::text, NULL, NULL FROM take_over t WHERE a.subject_kind = 'take-over' AND t.id = a.id
  UNION ALL SELECT n.client_id, n.number, n.dated_on::text, NULL FROM agency_notice n WHERE a.subject_kind = 'notice' AND n.id = a.id
  UNION ALL SELECT k.client_id, k.what, k.found_on::text, NULL FROM correction_case k WHERE a.subject_kind = 'correction case' AND k.id = a.id
  UNION ALL SELECT v.client_id, NULL, p.check_date::text, NULL FROM check_void v JOIN payroll p ON p.id = v.payroll_id WHERE a.subject_kind = 'void' AND v.id = a.id
  UNION ALL SELECT i.client_id, i.payee, i.number::text, i.amount FROM issued_check i WHERE a.subject_kind = 'check' AND i.id = a.id
  UNION ALL SELECT q.client_id, NULL, NULL, NULL FROM question q WHERE a.subject_kind = 'question' AND q.id = a.id
  UNION ALL SELECT NULL, k.name, NULL, NULL FROM rule_pack k WHERE a.subject_kind = 'rule pack' AND k.id = a.id
  UNION ALL SELECT c.id, NULL, NULL, NULL FROM client c WHERE a.subject_kind = 'client' AND c.id = a.id`;

/** The audit trail as sentences, newest first. */
@Injectable()
export class AuditList {
  constructor(@Inject(FirmDatabase) private readonly database: FirmDatabase) {}

  page(actor: Actor, filter: AuditFilter): Promise<AuditPage> {
    return this.database.run(actor, async (manager) => {
      const rows = (await manager.query(
        `SELECT a.seq, a.at, u.name AS by, a.action, a.subject_kind AS kind, a.detail, s.name, s.day, s.amount, c.id AS client_id, c.legal_name AS client
           FROM (SELECT *, CASE WHEN subject_id ~ '^[0-9a-f]{8}-[0-9a-f-]{27}$' THEN subject_id::uuid END AS id FROM audit_entry) a
           LEFT JOIN app_user u ON u.id = a.user_id
           LEFT JOIN LATERAL (${SUBJECTS}) s ON true
           LEFT JOIN client c ON c.id = COALESCE(s.client_id, (a.detail->>'clientId')::uuid)
          WHERE ($1::uuid IS NULL OR c.id = $1) AND ($2::uuid IS NULL OR a.subject_kind = 'employee' AND a.id = $2)
            AND ($3::uuid IS NULL OR a.user_id = $3) AND ($4::text IS NULL OR split_part(a.action, '.', 1) = $4)
            AND ($5::date IS NULL OR a.at >= $5::date) AND ($6::date IS NULL OR a.at < $6::date + 1) AND ($7::bigint IS NULL OR a.seq < $7)
          ORDER BY a.seq DESC LIMIT ${PAGE + 1}`,
        [filter.client, filter.employee, filter.user, filter.about, filter.from, filter.to, filter.before],
      )) as Row[];
      const kinds = (await manager.query(
        `SELECT DISTINCT split_part(action, '.', 1) AS about FROM audit_entry ORDER BY 1`,
      )) as { about: string }[];
      const users = (await manager.query('SELECT id, name FROM app_user ORDER BY name')) as {
        id: string;
        name: string;
      }[];
      return {
        rows: rows.slice(0, PAGE).map((row) => ({
          seq: Number(row.seq),
          at: row.at.toISOString(),
          by: row.by ?? 'Zakat',
          action: row.action,
          sentence: auditWords({ action: row.action, detail: row.detail, subject: subjectWords(row) }),
          clientId: row.client_id,
          client: row.client ?? '',
          detail: row.detail,
        })),
        hasMore: rows.length > PAGE,
        about: kinds.map((kind) => kind.about),
        users,
      };
    });
  }
}
