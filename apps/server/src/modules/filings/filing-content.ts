import { Inject, Injectable } from '@nestjs/common';
import type { FilingKind } from '@zakat/core/filings/kind';
import type { FilingPeriod } from '@zakat/core/filings/period';
import { correctionFor, kindOf } from '@zakat/core/filings/registry';
import { changesOf, type AmendedLine } from '@zakat/core/filings/corrections/amended';
import { subtract, type Cents } from '@zakat/core/money/cents';
import type { Issue } from '@zakat/core/issues/issue';
import { createHash } from 'node:crypto';
import type { EntityManager } from 'typeorm';
import { Secrets } from '../../database/secrets.js';
import { notFound } from '../../http/refusal.js';
import { type Client, findClient } from '../clients/index.js';
import { Filing, periodOf } from '../filing-records/index.js';
import { FilingSource } from './filing-source.js';

/** A filing with its client, its kind and what the kind made of it. */
export interface Loaded {
  readonly filing: Filing;
  readonly client: Client;
  readonly kind: FilingKind;
  readonly period: FilingPeriod;
}

/** An accepted filing against the records of today. */
export interface Compared {
  /** The kind that corrects it, with what it would hold. */
  readonly by: FilingKind;
  readonly content: unknown;
  readonly lines: readonly AmendedLine[];
  /** Lines, or boxes and names, that differ. */
  readonly differs: number;
  /** By how much its total changes. */
  readonly change: Cents;
}

export const digestOf = (stored: unknown): string => createHash('sha256').update(JSON.stringify(stored)).digest('hex');

/** What a filing holds: computed from the ledger, checked, and made ready to be stored. */
@Injectable()
export class FilingContent {
  constructor(
    @Inject(FilingSource) private readonly source: FilingSource,
    @Inject(Secrets) private readonly secrets: Secrets,
  ) {}

  async load(manager: EntityManager, id: string): Promise<Loaded> {
    const filing = await manager.findOneBy(Filing, { id });
    if (!filing) throw notFound('filing');
    const client = await findClient(manager, filing.clientId);
    return { filing, client, kind: kindOf(filing.kind), period: periodOf(filing) };
  }

  async compute(manager: EntityManager, { filing, client, kind, period }: Loaded): Promise<unknown> {
    return kind.compute(await this.source.input(manager, client, kind, period, filing, filing.sequence));
  }

  /** The content as it was checked, where it was; else as the ledger has it now. */
  async shown(manager: EntityManager, loaded: Loaded): Promise<unknown> {
    const { filing, kind } = loaded;
    return filing.snapshot === null
      ? this.compute(manager, loaded)
      : kind.read(filing.snapshot, filing.snapshotVersion ?? kind.snapshotVersion);
  }

  async issuesOf(manager: EntityManager, { client, kind, period }: Loaded, content: unknown): Promise<Issue[]> {
    return kind.check(content, await this.source.facts(manager, client, period));
  }

  /** What stands at the agency of a kind and period beside what it would be today; null: nothing stands, or nothing corrects it. */
  async compared(
    manager: EntityManager,
    client: Client,
    kind: FilingKind,
    period: FilingPeriod,
    given: Pick<Filing, 'entered' | 'answers'>,
  ): Promise<Compared | null> {
    const by = kind.corrects === undefined ? correctionFor(kind.code) : null;
    if (!by) return null;
    const input = await this.source.input(manager, client, kind, period, given);
    const original = await this.source.original(manager, client, by, period, Number.MAX_SAFE_INTEGER, input);
    if (original === null) return null;
    // A year that was run elsewhere is what was filed, until something else is typed.
    const now = by.takesBoxes?.(input) ? original : kind.compute(input);
    const content = by.compute({ ...input, original });
    const lines = changesOf(kind, original, now);
    const differs = kind.statements
      ? by.tables(content).reduce((total, { rows }) => total + rows.length, 0)
      : lines.length;
    return { by, content, lines, differs, change: subtract(kind.amount(now), kind.amount(original)) };
  }

  /** The content as it is kept and compared: without identity numbers. */
  stored(kind: FilingKind, content: unknown): unknown {
    return kind.store(content, (text) => this.secrets.mark(text).toString('hex').slice(0, 24));
  }
}
