import { Inject, Injectable } from '@nestjs/common';
import type {
  JurisdictionRow,
  ProposeRulePack,
  RuleEffectRow,
  RulePackRow,
  RulePackStatus,
  RulePackView,
  RuleRow,
} from '@zakat/contract/rules';
import { date } from '@zakat/core/calendar/local-date';
import { tryRules } from '@zakat/core/casefile/try-rules';
import { sentence } from '@zakat/core/issues/issue';
import { sourceOf } from '@zakat/core/jurisdictions/sources/register';
import { findState } from '@zakat/core/jurisdictions/states';
import { employerTaxes } from '@zakat/core/ledger/postings';
import { parseDollars, showDollars, sum } from '@zakat/core/money/cents';
import { parseRate, showPercent } from '@zakat/core/money/rate';
import { changesOf } from '@zakat/core/rules/compare';
import { toJson } from '@zakat/core/rules/json';
import { PARAMETERS } from '@zakat/core/rules/parameters';
import { carryForward, exportPack, readPack, type RulePack } from '@zakat/core/rules/pack';
import { randomUUID } from 'node:crypto';
import type { EntityManager } from 'typeorm';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { notFound, refuse } from '../../http/refusal.js';
import { Executor } from '../../state-machines/executor.js';
import { RULE_PACK_MACHINE } from '../../state-machines/machine.js';
import { Audit } from '../audit/index.js';
import { Client, toldApart } from '../clients/index.js';
import { Clock } from '../clock/index.js';
import { computeEntry, PeopleCases, usualEntry } from '../payrolls/index.js';
import { ownRowsOn, rowsOn } from '../rules-in-force/index.js';

interface StoredPack {
  readonly id: string;
  readonly name: string;
  readonly content: { rows: readonly { from: string }[]; places?: readonly unknown[] };
  readonly status: RulePackStatus;
  readonly version: number;
  readonly prepared_by: string;
  readonly accepted_by: string | null;
  readonly created_at: Date;
}
const SELECT = `SELECT p.id, p.name, p.content, p.status, p.version, a.name AS prepared_by, b.name AS accepted_by, p.created_at
  FROM rule_pack p JOIN app_user a ON a.id = p.prepared_by LEFT JOIN app_user b ON b.id = p.accepted_by`;

const rowOf = (pack: StoredPack): RulePackRow => ({
  id: pack.id,
  name: pack.name,
  status: pack.status,
  rules: pack.content.rows.length,
  places: pack.content.places?.length ?? 0,
  preparedBy: pack.prepared_by,
  acceptedBy: pack.accepted_by,
  createdAt: pack.created_at.toISOString(),
  version: pack.version,
});
const cut = (text: string): string => (text.length > 380 ? `${text.slice(0, 379)}…` : text);

/** The rules that are loaded, and the packs a firm puts in front of them. */
@Injectable()
export class RulesService {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(Audit) private readonly audit: Audit,
    @Inject(Executor) private readonly executor: Executor,
    @Inject(Clock) private readonly clock: Clock,
    @Inject(PeopleCases) private readonly peopleCases: PeopleCases,
  ) {}

  jurisdictions(): JurisdictionRow[] {
    const codes = [...new Set(PARAMETERS.map((parameter) => parameter.jurisdiction))];
    return codes.map((code) => {
      const rows = PARAMETERS.filter((parameter) => parameter.jurisdiction === code).flatMap(
        (parameter) => parameter.rows,
      );
      return {
        code,
        name: findState(code)?.name ?? 'Federal',
        parameters: rows.length,
        verified: rows.filter((row) => row.standing === 'verified').length,
        doubted: rows.filter((row) => row.doubt !== undefined).length,
      };
    });
  }

  rows(jurisdiction: string): RuleRow[] {
    return PARAMETERS.filter((parameter) => parameter.jurisdiction === jurisdiction).flatMap((parameter) =>
      parameter.rows.map((row) => {
        const source = sourceOf(row.source);
        return {
          parameter: parameter.code,
          label: parameter.label,
          jurisdiction,
          from: row.from,
          until: row.until,
          value: cut(shortValue(toJson(row.value))),
          publication: `${source.title}, ${source.publisher}, ${source.edition}`,
          place: row.place,
          standing: row.standing,
          doubt: row.doubt ?? null,
        };
      }),
    );
  }

  exported(prefix: string): RulePack {
    return exportPack('What is loaded', prefix);
  }
  carried(year: number): RulePack {
    return carryForward(year);
  }

  packs(actor: Actor): Promise<RulePackRow[]> {
    return this.database.run(actor, async (manager) => {
      const packs = (await manager.query(`${SELECT} ORDER BY p.created_at DESC`)) as StoredPack[];
      return packs.map(rowOf);
    });
  }

  /** Stores a pack in which nothing is wrong; it counts for nothing until it is accepted. */
  propose(actor: Actor, input: ProposeRulePack): Promise<{ id: string }> {
    const read = readPack(input.content);
    const issues = [...read.issues, ...(read.issues.length > 0 ? [] : tryRules(read.rules))];
    if (issues.length > 0) throw refuse(issues);
    return this.database.run(actor, async (manager) => {
      const id = randomUUID();
      await manager.query(
        `INSERT INTO rule_pack (id, firm_id, name, content, prepared_by, created_at) VALUES ($1, $2, $3, $4, $5, now())`,
        [id, actor.firmId, read.name.slice(0, 200), JSON.stringify(input.content), actor.userId],
      );
      await this.audit.record(manager, actor, 'rule pack.propose', 'rule pack', id, { name: read.name });
      return { id };
    });
  }

  view(actor: Actor, id: string): Promise<RulePackView> {
    return this.database.run(actor, (manager) => this.viewIn(manager, id));
  }

  private async viewIn(manager: EntityManager, id: string): Promise<RulePackView> {
    const [pack] = (await manager.query(`${SELECT} WHERE p.id = $1`, [id])) as StoredPack[];
    if (!pack) throw notFound('rule pack');
    const { rules } = readPack(pack.content);
    const changes = changesOf(rules).map(({ parameter, label, from, path, before, after }) => ({
      parameter,
      label,
      from,
      path: cut(path),
      before: cut(before),
      after: cut(after),
    }));
    return { ...rowOf(pack), changes, effects: await this.effects(manager, pack) };
  }

  /** Every client's first payroll on or after the pack's first day, everybody at their usual pay, without and with the pack. */
  private async effects(manager: EntityManager, pack: StoredPack): Promise<RuleEffectRow[]> {
    const today = await this.clock.today(manager);
    const first = pack.content.rows.map((row) => row.from).sort()[0] ?? today;
    const checkDate = first > today ? first : today;
    const clients = toldApart(await manager.find(Client, { order: { legalName: 'ASC' } }));
    const before =
      pack.status === 'in-force'
        ? await this.withoutPack(manager, pack.id, checkDate)
        : await ownRowsOn(manager, checkDate);
    const own = rowsOn([pack.content], checkDate);
    const after =
      own === null
        ? before
        : { rules: [...(before?.rules ?? []), ...own.rules], places: [...(before?.places ?? []), ...own.places] };
    const rows: RuleEffectRow[] = [];
    for (const client of clients) {
      const people = await this.peopleCases.on(manager, client, checkDate);
      if (people.length === 0) continue;
      const compute = (with_: typeof before) =>
        people.map((person) => ({
          employeeId: person.employee.id,
          result: computeEntry({ ...person, own: with_ }, usualEntry(person, 'regular')),
        }));
      const [old, now] = [compute(before), compute(after)];
      const faults = now.flatMap(({ result }) => result.problems.filter((issue) => issue.severity === 'error'));
      const faultsBefore = old.flatMap(({ result }) => result.problems.filter((issue) => issue.severity === 'error'));
      const fault = faults[0] ?? faultsBefore[0];
      // With a rule missing there is no figure, rather than one without that tax.
      const amountOf = <T>(isSound: boolean, amount: () => T): T | null => (isSound ? amount() : null);
      const [isOldSound, isNowSound] = [faultsBefore.length === 0, faults.length === 0];
      rows.push({
        clientId: client.id,
        clientName: client.legalName,
        checkDate,
        people: people.length,
        moved: now.filter(
          (check, index) => JSON.stringify(check.result.taxes) !== JSON.stringify(old[index]?.result.taxes),
        ).length,
        netBefore: amountOf(isOldSound, () => sum(old.map(({ result }) => result.net))),
        netAfter: amountOf(isNowSound, () => sum(now.map(({ result }) => result.net))),
        employerBefore: amountOf(isOldSound, () => sum(employerTaxes(old).map((tax) => tax.amount))),
        employerAfter: amountOf(isNowSound, () => sum(employerTaxes(now).map((tax) => tax.amount))),
        note: fault ? cut(`${faults[0] ? 'With' : 'Without'} the pack: ${sentence(fault)}`) : null,
      });
    }
    return rows;
  }

  private async withoutPack(manager: EntityManager, id: string, day: string) {
    const packs = (await manager.query(
      `SELECT content FROM rule_pack WHERE status = 'in-force' AND id <> $1 ORDER BY accepted_at, id`,
      [id],
    )) as { content: StoredPack['content'] }[];
    return rowsOn(
      packs.map((pack) => pack.content),
      date(day),
    );
  }

  act(actor: Actor, id: string, act: 'accept' | 'withdraw', version: number): Promise<RulePackView> {
    return this.database.run(actor, async (manager) => {
      const set = act === 'accept' ? { accepted_by: actor.userId, accepted_at: new Date() } : {};
      await this.executor.apply(manager, actor, RULE_PACK_MACHINE, { id, act, version, set });
      return this.viewIn(manager, id);
    });
  }
}

/** A value as one line: an amount, a rate, the lines of a worksheet, or the parts of a table. */
function shortValue(value: unknown): string {
  if (typeof value !== 'object' || value === null)
    return value === 'together' ? 'together with regular wages' : String(value);
  if (Array.isArray(value)) return value.map(shortValue).join('; ');
  const parts = value as Record<string, unknown>;
  if (Array.isArray(parts['lines']))
    return (parts['lines'] as { label?: string }[]).map((line) => line.label ?? '').join('; ');
  const entries = Object.entries(parts);
  const only = entries[0];
  if (entries.length === 1 && only && typeof only[1] === 'string') {
    const amount = only[0] === 'dollars' ? parseDollars(only[1]) : null;
    if (amount !== null) return showDollars(amount);
    const by = only[0] === 'rate' ? parseRate(only[1]) : null;
    if (by) return showPercent(by);
  }
  return entries
    .map(([name, inner]) => (name === 'is' ? shortValue(inner) : `${inWords(name)} ${shortValue(inner)}`))
    .join(', ');
}
/** `mostPerYear` as people read it. */
const inWords = (name: string): string =>
  name.replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`).replace(/-/g, ' ');
