import { Inject, Injectable } from '@nestjs/common';
import type { FilingView, SignFiling } from '@zakat/contract/filings';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { Secrets } from '../../database/secrets.js';
import { conflict, refuse, refuseField } from '../../http/refusal.js';
import { Executor } from '../../state-machines/executor.js';
import { FILING_MACHINE } from '../../state-machines/machine.js';
import { Audit } from '../audit/index.js';
import { Clock } from '../clock/index.js';
import { Filing } from '../filing-records/index.js';
import { FilingContent, digestOf } from './filing-content.js';
import { FilingPayment } from './filing-payment.js';
import { FilingViews } from './filing-view.js';
import { Signing } from './signing.service.js';

/** What a new attempt begins without. */
const UNSIGNED = {
  signed_by: null,
  signer_pin_cipher: null,
  signed_on: null,
  agent_signer: null,
  payment_account_id: null,
  payment_on: null,
};

/** From draft to signed: the checks, the snapshot, the signature, and back. */
@Injectable()
export class FilingActs {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(FilingContent) private readonly contents: FilingContent,
    @Inject(FilingPayment) private readonly payment: FilingPayment,
    @Inject(FilingViews) private readonly views: FilingViews,
    @Inject(Executor) private readonly executor: Executor,
    @Inject(Audit) private readonly audit: Audit,
    @Inject(Clock) private readonly clock: Clock,
    @Inject(Secrets) private readonly secrets: Secrets,
    @Inject(Signing) private readonly signing: Signing,
  ) {}

  /** Runs every check; with an error it stays a draft, else the figures are kept as the snapshot that will be released. */
  check(actor: Actor, id: string, version: number): Promise<FilingView> {
    return this.database.run(actor, async (manager) => {
      const loaded = await this.contents.load(manager, id);
      const content = await this.contents.compute(manager, loaded);
      const issues = await this.contents.issuesOf(manager, loaded, content);
      const errors = issues.filter((issue) => issue.severity === 'error');
      if (errors.length > 0) throw refuse(errors);
      const snapshot = this.contents.stored(loaded.kind, content);
      await this.executor.apply(manager, actor, FILING_MACHINE, {
        id,
        act: 'check',
        version,
        set: {
          snapshot: JSON.stringify(snapshot),
          snapshot_version: loaded.kind.snapshotVersion,
          snapshot_digest: digestOf(snapshot),
          ...(loaded.kind.dueFor ? { due: loaded.kind.dueFor(content) } : {}),
          ...UNSIGNED,
        },
      });
      return this.views.of(manager, id, issues);
    });
  }

  reopen(actor: Actor, id: string, version: number): Promise<FilingView> {
    return this.database.run(actor, async (manager) => {
      const { filing } = await this.contents.load(manager, id);
      const attempt = filing.status === 'rejected' ? filing.attempt + 1 : filing.attempt;
      await this.executor.apply(manager, actor, FILING_MACHINE, {
        id,
        act: 'reopen',
        version,
        set: { attempt, snapshot: null, snapshot_version: null, snapshot_digest: null, ...UNSIGNED },
      });
      return this.views.of(manager, id);
    });
  }

  /**
   * Records the signer's PIN for the checked return, or that the firm signs it as reporting agent, and how its balance is
   * paid. The figures are then what was signed.
   */
  sign(actor: Actor, id: string, input: SignFiling): Promise<FilingView> {
    return this.database.run(actor, async (manager) => {
      const loaded = await this.contents.load(manager, id);
      const { filing, kind } = loaded;
      if (kind.signedBy === null) throw conflict(`${kind.name} go without a signature.`);
      const agent = input.pin === '' ? await this.signing.agentOf(manager, loaded) : null;
      if (agent?.pin === null)
        throw refuseField(
          'pin',
          'The firm’s own reporting agent PIN is not entered.',
          'An administrator enters it under Firm, or the client’s signer gives a PIN.',
        );
      if (!agent && (!/^\d{5}$/.test(input.pin) || input.pin === '00000'))
        throw refuseField(
          'pin',
          'A signature PIN has five digits, not all zero.',
          `Ask the signer for the PIN on ${kind.signedBy}.`,
        );
      if (filing.status !== 'checked') throw conflict(`This filing is ${filing.status}; only a checked one is signed.`);
      if (input.payment) await this.payment.refuseUnlessSound(manager, loaded, input.payment);
      const result = await manager.update(
        Filing,
        { id, version: input.version, status: 'checked' },
        {
          signedBy: actor.userId,
          signerPinCipher: agent ? null : this.secrets.seal(input.pin),
          agentSigner: agent?.name ?? null,
          signedOn: await this.clock.today(manager),
          paymentAccountId: input.payment?.bankAccountId ?? null,
          paymentOn: input.payment?.on ?? null,
          version: input.version + 1,
        },
      );
      if (result.affected !== 1) throw conflict('Somebody changed this filing meanwhile. Look again before you sign.');
      await this.audit.record(manager, actor, 'filing.sign', 'filing', id, {
        payment: input.payment?.on ?? null,
        ...(agent ? { agent: agent.name } : {}),
      });
      return this.views.of(manager, id);
    });
  }
}
