import { Inject, Injectable } from '@nestjs/common';
import type { EfileDuty, FilingRow, FilingView, FormOwed } from '@zakat/contract/filings';
import type { ReleaseSlip } from '@zakat/contract/remittances';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { findClient } from '../clients/index.js';
import { Filing } from '../filing-records/index.js';
import { FilingForms } from './filing-forms.js';
import { FilingSlip } from './filing-slip.js';
import { FilingViews, rowOf } from './filing-view.js';

/** What is looked at: the filings of a client, the forms of a year, one filing, its release slip. */
@Injectable()
export class FilingQueries {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(FilingForms) private readonly forms: FilingForms,
    @Inject(FilingSlip) private readonly slips: FilingSlip,
    @Inject(FilingViews) private readonly views: FilingViews,
  ) {}

  list(actor: Actor, clientId: string): Promise<FilingRow[]> {
    return this.database.run(actor, async (manager) => {
      const client = await findClient(manager, clientId);
      const filings = await manager.find(Filing, { where: { clientId }, order: { due: 'DESC', kind: 'ASC' } });
      return filings.map((filing) => rowOf(filing, client));
    });
  }

  /** The forms of a year: which the client files, for which periods, and how each stands. */
  owed(actor: Actor, clientId: string, year: number): Promise<FormOwed[]> {
    return this.database.run(actor, async (manager) =>
      this.forms.ofYear(manager, await findClient(manager, clientId), year),
    );
  }

  duty(actor: Actor, clientId: string, year: number): Promise<EfileDuty> {
    return this.database.run(actor, async (manager) =>
      this.forms.duty(manager, await findClient(manager, clientId), year),
    );
  }

  view(actor: Actor, id: string): Promise<FilingView> {
    return this.database.run(actor, (manager) => this.views.of(manager, id));
  }

  slip(actor: Actor, id: string): Promise<ReleaseSlip> {
    return this.database.run(actor, async (manager) => (await this.slips.rehearse(manager, actor, id)).slip);
  }
}
