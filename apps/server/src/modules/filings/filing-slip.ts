import { Inject, Injectable } from '@nestjs/common';
import type { ReleaseSlip, SlipCheck } from '@zakat/contract/remittances';
import { date, showDate } from '@zakat/core/calendar/local-date';
import type { MadeFile, Sending } from '@zakat/core/filings/kind';
import { sentence } from '@zakat/core/issues/issue';
import { showDollars } from '@zakat/core/money/cents';
import type { EntityManager } from 'typeorm';
import type { Actor } from '../../database/firm-database.js';
import { Secrets } from '../../database/secrets.js';
import { BankAccount } from '../clients/index.js';
import { mayReleaseCheck } from '../outbox/index.js';
import { FilingContent, digestOf, type Loaded } from './filing-content.js';
import { FilingSource } from './filing-source.js';
import { Signing, type SigningAgent } from './signing.service.js';
import { heldByMarks } from './tick-marks.js';
import { titleOf } from '../filing-records/index.js';

export interface Rehearsed extends Loaded {
  readonly content: unknown;
  readonly slip: ReleaseSlip;
  readonly agent: SigningAgent | null;
}

/** The release slip of a filing. Making it is the rehearsal: the real checks and the real file, and nothing changes. */
@Injectable()
export class FilingSlip {
  constructor(
    @Inject(FilingContent) private readonly contents: FilingContent,
    @Inject(FilingSource) private readonly source: FilingSource,
    @Inject(Secrets) private readonly secrets: Secrets,
    @Inject(Signing) private readonly signing: Signing,
  ) {}

  async rehearse(manager: EntityManager, actor: Actor, id: string): Promise<Rehearsed> {
    const loaded = await this.contents.load(manager, id);
    const { filing, client, kind, period } = loaded;
    const content = await this.contents.compute(manager, loaded);
    const isSame = filing.snapshotDigest === digestOf(this.contents.stored(kind, content));
    const errors = (await this.contents.issuesOf(manager, loaded, content)).filter(
      (issue) => issue.severity === 'error',
    );
    const agent = await this.signing.agentOf(manager, loaded);
    const signature = kind.signedBy === null ? [] : [signatureCheck(loaded, agent)];
    const made = await this.fileOf(manager, loaded, content, agent);
    const held = await heldByMarks(manager, id, kind, content);
    const checks: SlipCheck[] = [
      {
        label: 'Every check passes',
        isPassed: errors.length === 0 && made.issues.length === 0,
        says: [...errors, ...made.issues].map(sentence).join(' ') || 'All of them.',
      },
      {
        label: 'The figures are the ones that were checked',
        isPassed: filing.status === 'checked' && isSame,
        says:
          filing.status !== 'checked'
            ? `It is ${filing.status}.`
            : isSame
              ? 'The ledger has not moved since.'
              : 'The ledger, or a person’s record, has moved since the check. Reopen and check again.',
      },
      ...signature,
      ...(held.length > 0
        ? [{ label: 'Nothing of the working papers is open', isPassed: false, says: held.join(' ') }]
        : []),
      mayReleaseCheck(actor),
    ];
    const title = titleOf(kind, period);
    const pays = await this.paymentWords(manager, loaded, content);
    const slip: ReleaseSlip = {
      title: `${title} of ${client.legalName}`,
      act: filing.status === 'checked' ? 'release' : 'rehearsal',
      amount: kind.amount(content),
      figures: [
        { label: 'Client', value: `${client.legalName}, EIN ending ${client.ein.slice(-4)}` },
        { label: 'To', value: `the ${kind.agency.name}` },
        ...kind.figures(content).map((figure) => ({ ...figure })),
        ...(pays === null ? [] : [{ label: 'Paid with it', value: pays }]),
        { label: 'Due', value: showDate(date(filing.due)) },
        { label: 'Attempt', value: String(filing.attempt) },
      ],
      leaves: `${title} goes to the ${kind.agency.name} for ${client.legalName}${pays === null ? '' : `, and with it ${pays}`}.`,
      becomesImpossible: `The figures of this ${kind.noun} cannot be changed any more; what turns out wrong afterwards is put right with ${kind.amendedBy}.`,
      wayBack: 'If it is rejected, it opens again at the field that was refused and can be sent once more.',
      checks,
      mayRelease: checks.every((check) => check.isPassed),
      file: made.content,
    };
    return { ...loaded, content, slip, agent };
  }

  private async fileOf(
    manager: EntityManager,
    loaded: Loaded,
    content: unknown,
    agent: SigningAgent | null,
  ): Promise<MadeFile> {
    const { filing, client, kind, period } = loaded;
    const { employer } = await this.source.employer(manager, client, period);
    const sending: Sending = {
      facts: await this.source.facts(manager, client, period),
      employer,
      submissionId: `${filing.id}-${filing.attempt}`,
      signature: await this.signing.signatureOf(manager, loaded, agent),
      resubmits: filing.attempt > 1 ? await this.lastReference(manager, filing.id) : null,
      payment: await this.payment(manager, loaded, content),
    };
    return kind.makeFile(content, sending);
  }

  private async payment(
    manager: EntityManager,
    { filing, kind, client }: Loaded,
    content: unknown,
  ): Promise<Sending['payment']> {
    if (!filing.paymentAccountId || !filing.paymentOn || !kind.pays) return null;
    const bank = await manager.findOneByOrFail(BankAccount, { id: filing.paymentAccountId });
    return {
      routing: bank.routing,
      account: this.secrets.open(bank.accountCipher),
      amount: kind.pays.balance(content),
      on: date(filing.paymentOn),
      phone: client.phone,
    };
  }

  private async paymentWords(manager: EntityManager, loaded: Loaded, content: unknown): Promise<string | null> {
    const payment = await this.payment(manager, loaded, content);
    return payment
      ? `${showDollars(payment.amount)} from the account ending ${payment.account.slice(-4)} on ${showDate(payment.on)}`
      : null;
  }

  private async lastReference(manager: EntityManager, filingId: string): Promise<string | null> {
    const rows = (await manager.query(
      `SELECT code FROM filing_event WHERE filing_id = $1 AND stage IN ('file-identifier', 'wage-file-identifier') ORDER BY id DESC LIMIT 1`,
      [filingId],
    )) as { code: string }[];
    return rows[0]?.code ?? null;
  }
}

/** Whether it is signed: by the client's signer, or by the firm with its release where a Form 8655 lets it. */
function signatureCheck({ filing, client }: Loaded, agent: SigningAgent | null): SlipCheck {
  const label = 'It is signed';
  const on = filing.signedOn === null ? 'with its release' : `on ${showDate(date(filing.signedOn))}`;
  if (filing.signerPinCipher)
    return { label, isPassed: true, says: `Signed for ${client.signerName}, ${client.signerTitle}, ${on}.` };
  if (agent?.pin) return { label, isPassed: true, says: `Signed ${on} by ${agent.says}.` };
  return {
    label,
    isPassed: false,
    says: agent
      ? 'Form 8655 lets the firm sign it, but the firm’s reporting agent PIN is not entered (Firm).'
      : `${client.signerName}’s PIN is not entered yet.`,
  };
}
