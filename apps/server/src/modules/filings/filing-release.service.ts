import { Inject, Injectable } from '@nestjs/common';
import type { FilingView } from '@zakat/contract/filings';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { conflict } from '../../http/refusal.js';
import { WorkQueue } from '../../queue/work-queue.js';
import { FILING_MACHINE } from '../../state-machines/machine.js';
import { Clock } from '../clock/index.js';
import { Outbox, refuseFailed, Releases } from '../outbox/index.js';
import { FilingPayment } from './filing-payment.js';
import { FilingContent } from './filing-content.js';
import { FilingSlip } from './filing-slip.js';
import { FilingViews } from './filing-view.js';
import { FilingPapers } from './filing-papers.service.js';

/** The release: once, after the rehearsal, with the paper of what leaves kept beside it. */
@Injectable()
export class FilingRelease {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(FilingPayment) private readonly payment: FilingPayment,
    @Inject(FilingSlip) private readonly slips: FilingSlip,
    @Inject(FilingContent) private readonly contents: FilingContent,
    @Inject(FilingViews) private readonly views: FilingViews,
    @Inject(Releases) private readonly releases: Releases,
    @Inject(Outbox) private readonly outbox: Outbox,
    @Inject(Clock) private readonly clock: Clock,
    @Inject(WorkQueue) private readonly queue: WorkQueue,
    @Inject(FilingPapers) private readonly papers: FilingPapers,
  ) {}

  async release(actor: Actor, id: string, version: number): Promise<FilingView> {
    const view = await this.releaseOne(actor, id, version, false);
    await this.queue.wake();
    return view;
  }

  /** One of several that are to leave together: it is held back until `send`. */
  releaseOneOfMany(actor: Actor, id: string, version: number): Promise<FilingView> {
    return this.releaseOne(actor, id, version, true);
  }

  /** Lets those go that were held back. */
  async send(actor: Actor, ids: readonly string[]): Promise<void> {
    await this.database.run(actor, (manager) => this.outbox.letGo(manager, ids));
    await this.queue.wake();
  }

  private releaseOne(actor: Actor, id: string, version: number, isHeldBack: boolean): Promise<FilingView> {
    return this.database.run(actor, async (manager) => {
      await manager.query('SELECT id FROM filing WHERE id = $1 FOR UPDATE', [id]);
      const rehearsed = await this.slips.rehearse(manager, actor, id);
      const { filing, client, kind, period, content, slip, agent } = rehearsed;
      if (kind.handedTo !== undefined)
        throw conflict(`${kind.name} is not sent from here: it is filed with ${kind.handedTo}. Record when it was.`);
      if (filing.status === 'checked') {
        refuseFailed(slip);
        if (filing.paymentAccountId && filing.paymentOn)
          await this.payment.refuseUnlessSound(manager, rehearsed, {
            bankAccountId: filing.paymentAccountId,
            on: filing.paymentOn,
          });
      }
      const isSignedNow = agent !== null && filing.signedOn === null;
      const documentId = await this.releases.release(manager, actor, FILING_MACHINE, {
        id,
        version,
        clientId: client.id,
        kind: 'filing',
        receiver: kind.receiver,
        documentKind: kind.code,
        attempt: filing.attempt,
        name: kind.fileName(period, client.ein),
        mediaType: kind.mediaType,
        content: Buffer.from(slip.file, 'utf8'),
        set: {
          submission_id: null,
          // Nobody signed before: the release is the firm's signature as reporting agent.
          ...(isSignedNow ? { agent_signer: agent?.name, signed_on: await this.clock.today(manager) } : {}),
        },
        detail: { kind: kind.code, attempt: filing.attempt },
      });
      if (isHeldBack) await this.outbox.holdBack(manager, id);
      const signed = await this.contents.load(manager, id);
      if (kind.lines(content).length > 0) await this.papers.keep(manager, actor, signed, content);
      await manager.query(
        `INSERT INTO filing_event (firm_id, filing_id, at, stage, message, attempt, document_id) VALUES ($1, $2, $3, 'released', $4, $5, $6)`,
        [actor.firmId, id, await this.clock.now(manager), `Released by ${actor.role}.`, filing.attempt, documentId],
      );
      return this.views.of(manager, id);
    });
  }
}
