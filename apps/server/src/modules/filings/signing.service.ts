import { Inject, Injectable } from '@nestjs/common';
import { date, showDate } from '@zakat/core/calendar/local-date';
import type { DatedFact } from '@zakat/core/facts/in-force';
import { clientOnDay } from '@zakat/core/facts/on-day';
import type { FilingKind, Signature } from '@zakat/core/filings/kind';
import type { FilingPeriod } from '@zakat/core/filings/period';
import { agentAuthority } from '@zakat/core/facts/signing-agent';
import type { EntityManager } from 'typeorm';
import { Secrets } from '../../database/secrets.js';
import { Firm } from '../clients/index.js';
import { Clock } from '../clock/index.js';
import { FactStore } from '../facts/index.js';
import type { Loaded } from './filing-content.js';

/** The firm as signer of a return, under a Form 8655 of the client. */
export interface SigningAgent {
  readonly name: string;
  /** As the slip and the page say it. */
  readonly says: string;
  /** Five digits; null: the firm has not entered its own. */
  readonly pin: string | null;
}

/** Who signs a return: the signer of the client by a PIN, or the firm where a Form 8655 is in force. */
@Injectable()
export class Signing {
  constructor(
    @Inject(Secrets) private readonly secrets: Secrets,
    @Inject(FactStore) private readonly facts: FactStore,
    @Inject(Clock) private readonly clock: Clock,
  ) {}

  /** The firm, where it may sign; null: only the client's signer may. */
  async agentOf(manager: EntityManager, { client, kind, period }: Loaded): Promise<SigningAgent | null> {
    if (kind.signedBy === null) return null;
    const today = await this.clock.today(manager);
    return this.agentBy(await firmOf(manager), await this.facts.ofClient(manager, client.id), kind, period, today);
  }

  /** The same from facts that were read before. */
  agentBy(
    firm: Firm | null,
    facts: readonly DatedFact[],
    kind: FilingKind,
    period: FilingPeriod,
    today: string,
  ): SigningAgent | null {
    const authority = agentAuthority(kind, period, clientOnDay(facts, today).agent);
    if (!authority || !firm) return null;
    return {
      name: firm.preparerName,
      says: `${firm.preparerName} of ${firm.name} as reporting agent, under Form 8655 signed by ${authority.signedBy} for returns from ${showDate(authority.returnsFrom)}`,
      pin: firm.agentPinCipher ? this.secrets.open(firm.agentPinCipher) : null,
    };
  }

  /** What stands in the file in place of a hand: blank digits where nobody has signed. */
  async signatureOf(manager: EntityManager, { filing }: Loaded, agent: SigningAgent | null): Promise<Signature> {
    const signed = date(filing.signedOn ?? (await this.clock.today(manager)));
    if (filing.signerPinCipher) return { pin: this.secrets.open(filing.signerPinCipher), signed, agent: null };
    return agent?.pin ? { pin: agent.pin, signed, agent: agent.name } : { pin: '', signed, agent: null };
  }
}

export const firmOf = async (manager: EntityManager): Promise<Firm | null> => (await manager.find(Firm))[0] ?? null;
