import { Inject, Injectable } from '@nestjs/common';
import type { AgencyPaymentView, SaveAgencyPayment } from '@zakat/contract/remittances';
import {
  PAID_AGENCIES,
  agencyPaymentIssues,
  familiesOf,
  type AgencyPayment,
  type Identification,
  type PaymentMethod,
} from '@zakat/core/deposits/agency-payments';
import { ALL_STATES } from '@zakat/core/jurisdictions/states';
import { agencyName, type AgencyCode } from '@zakat/core/tax-registry/registry';
import { randomUUID } from 'node:crypto';
import type { EntityManager } from 'typeorm';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { conflict, notFound, refuse } from '../../http/refusal.js';
import { Audit } from '../audit/index.js';
import { refuseUnlessAdministrator } from '../firm/index.js';

interface Stored {
  readonly agency: string;
  readonly method: PaymentMethod;
  readonly name: string;
  readonly routing: string;
  readonly account: string;
  readonly identification: Identification;
  readonly filer_number: string;
  readonly mail_to: string;
  readonly tax_types: Record<string, string>;
  readonly version: number;
}

/** How an agency is paid, as the firm said; null where it has not. */
export async function agencyPaymentOf(manager: EntityManager, agency: string): Promise<AgencyPayment | null> {
  const rows = (await manager.query('SELECT * FROM agency_payee WHERE agency = $1', [agency])) as Stored[];
  const row = rows[0];
  return row ? { ...row, filerNumber: row.filer_number, mailTo: row.mail_to, taxTypes: row.tax_types } : null;
}
/** Agencies that the firm has said how to pay. */
export async function agenciesSetUp(manager: EntityManager): Promise<ReadonlySet<string>> {
  const rows = (await manager.query('SELECT agency FROM agency_payee')) as { agency: string }[];
  return new Set(rows.map(({ agency }) => agency));
}

const stateOf = (agency: AgencyCode): string =>
  ALL_STATES.find(({ agencies: { income, unemployment, others } }) =>
    [income, unemployment, ...(others ?? [])].some((one) => one?.code === agency),
  )?.code ?? '';

/** How every agency is paid: kept once for the firm, changed by an administrator. */
@Injectable()
export class AgencyPaymentsService {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(Audit) private readonly audit: Audit,
  ) {}

  list(actor: Actor): Promise<AgencyPaymentView[]> {
    return this.database.run(actor, (manager) => this.listIn(manager));
  }

  save(actor: Actor, agency: string, { version, ...input }: SaveAgencyPayment): Promise<AgencyPaymentView> {
    refuseUnlessAdministrator(actor, 'change how agencies are paid');
    if (!PAID_AGENCIES.includes(agency as AgencyCode)) throw notFound('agency');
    const usual = new Set(familiesOf(agency as AgencyCode).map((family) => family.code));
    const taxTypes = Object.fromEntries(
      input.taxTypes
        .filter(({ family, code }) => usual.has(family) && code !== '')
        .map(({ family, code }) => [family, code]),
    );
    const issues = agencyPaymentIssues({ ...input, taxTypes });
    if (issues.length > 0) throw refuse(issues);
    return this.database.run(actor, async (manager) => {
      const before = await agencyPaymentOf(manager, agency);
      const values = [
        agency,
        input.name,
        input.routing,
        input.account,
        input.method,
        input.identification,
        JSON.stringify(taxTypes),
        input.filerNumber,
        input.mailTo.trim(),
      ];
      const [rows] =
        version === 0
          ? [
              (await manager.query(
                `INSERT INTO agency_payee (agency, name, routing, account, method, identification, tax_types, filer_number, mail_to, id, firm_id)
                 VALUES ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11) ON CONFLICT (firm_id, agency) DO NOTHING RETURNING id`,
                [...values, randomUUID(), actor.firmId],
              )) as unknown[],
            ]
          : ((await manager.query(
              `UPDATE agency_payee SET name = $2, routing = $3, account = $4, method = $5, identification = $6, tax_types = $7, filer_number = $8, mail_to = $9, version = version + 1
               WHERE agency = $1 AND version = $10 RETURNING id`,
              [...values, version],
            )) as [unknown[], number]);
      if (rows.length !== 1)
        throw conflict('Somebody changed how this agency is paid meanwhile. Look again before you save.');
      await this.audit.record(manager, actor, 'agency.payment', 'firm', actor.firmId, {
        agency,
        method: { from: before?.method ?? '', to: input.method },
        routing: { from: before?.routing ?? '', to: input.routing },
        filerNumber: { from: before?.filerNumber ?? '', to: input.filerNumber },
        account: { from: before?.account.slice(-4) ?? '', to: input.account.slice(-4) },
        taxTypes: Object.entries(taxTypes).map(([family, code]) => `${family} ${code}`),
      });
      const saved = (await this.listIn(manager)).find((one) => one.agency === agency);
      if (!saved) throw notFound('agency');
      return saved;
    });
  }

  private async listIn(manager: EntityManager): Promise<AgencyPaymentView[]> {
    const stored = (await manager.query('SELECT * FROM agency_payee')) as Stored[];
    const used = (await manager.query(
      `SELECT agency, count(DISTINCT client_id)::int AS clients FROM
         (SELECT agency, client_id FROM ledger_entry UNION SELECT agency, client_id FROM tax_account) u GROUP BY agency`,
    )) as { agency: string; clients: number }[];
    return PAID_AGENCIES.map((agency): AgencyPaymentView => {
      const row = stored.find((one) => one.agency === agency);
      return {
        agency,
        agencyName: agencyName(agency),
        state: stateOf(agency),
        method: row?.method ?? 'ach-credit',
        name: row?.name ?? '',
        routing: row?.routing ?? '',
        account: row?.account ?? '',
        identification: row?.identification ?? (agency === 'IRS' ? 'ein' : 'account'),
        filerNumber: row?.filer_number ?? '',
        mailTo: row?.mail_to ?? '',
        taxTypes: Object.entries(row?.tax_types ?? {}).map(([family, code]) => ({ family, code })),
        version: row?.version ?? 0,
        families: familiesOf(agency).map(({ code, label, taxType }) => ({
          family: code,
          label,
          usualTaxType: taxType,
        })),
        clients: used.find((one) => one.agency === agency)?.clients ?? 0,
      };
    });
  }
}
