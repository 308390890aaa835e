import { Inject, Injectable } from '@nestjs/common';
import type { ClientFact } from '@zakat/contract/clients';
import type { AgentPin, FirmView, SwitchSecondPerson, UpdateFirm } from '@zakat/contract/firm';
import type { RequireMarks } from '@zakat/contract/working-papers';
import { addressIssues } from '@zakat/core/identity/person';
import { checkEin, normalDigits } from '@zakat/core/identity/numbers';
import { problem } from '@zakat/core/issues/issue';
import type { EntityManager } from 'typeorm';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { Secrets } from '../../database/secrets.js';
import { conflict, refuse, refuseField } from '../../http/refusal.js';
import { Audit } from '../audit/index.js';
import { ClientFactsService, emailIssues, Firm, phoneIssues } from '../clients/index.js';
import { refuseUnlessAdministrator } from './administrator.js';

const FIELDS = [
  'name',
  'ein',
  'street',
  'city',
  'state',
  'zip',
  'phone',
  'email',
  'contactName',
  'preparerName',
  'preparerPtin',
  'efw2UserId',
  'efin',
  'cushionDays',
] as const;
const PTIN = /^P\d{8}$/;

/** The firm's own facts, its rule of two persons, and the defaults its new clients start from. */
@Injectable()
export class FirmService {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(Audit) private readonly audit: Audit,
    @Inject(ClientFactsService) private readonly facts: ClientFactsService,
    @Inject(Secrets) private readonly secrets: Secrets,
  ) {}

  view(actor: Actor): Promise<FirmView> {
    return this.database.run(actor, (manager) => this.viewIn(manager));
  }

  update(actor: Actor, input: UpdateFirm): Promise<FirmView> {
    refuseUnlessAdministrator(actor, "change the firm's facts");
    const ein = normalDigits(input.ein);
    const issues = [
      ...checkEin(ein, 'ein'),
      ...addressIssues(input).filter((issue) => issue.severity === 'error'),
      ...phoneIssues(input.phone, 'phone'),
      ...emailIssues(input.email, 'email'),
      ...(input.preparerPtin === '' || PTIN.test(input.preparerPtin)
        ? []
        : [problem('ptin.shape', 'preparerPtin', { value: input.preparerPtin })]),
      ...(input.efin === '' || /^\d{6}$/.test(input.efin) ? [] : [problem('check.efin', 'efin')]),
      ...(input.cushionDays > 10 || input.cushionDays < 0 ? [problem('input.too-large', 'cushionDays')] : []),
    ];
    if (issues.length > 0) throw refuse(issues);
    return this.database.run(actor, async (manager) => {
      const before = await findFirm(manager);
      const { version, ...rest } = input;
      const next = { ...rest, ein };
      const result = await manager.update(Firm, { id: before.id, version }, { ...next, version: version + 1 });
      if (result.affected !== 1)
        throw conflict("Somebody changed the firm's facts meanwhile. Look again before you save.");
      const detail = Object.fromEntries(
        FIELDS.filter((field) => before[field] !== next[field]).map((field) => [
          field,
          { from: before[field], to: next[field] },
        ]),
      );
      await this.audit.record(manager, actor, 'firm.facts', 'firm', before.id, detail);
      return this.viewIn(manager);
    });
  }

  /** Switches the rule of two persons. Who did it, and why, stands in the trail for good. */
  switchSecondPerson(actor: Actor, input: SwitchSecondPerson): Promise<FirmView> {
    refuseUnlessAdministrator(actor, 'switch the rule of two persons');
    return this.database.run(actor, async (manager) => {
      const firm = await findFirm(manager);
      await manager.update(Firm, { id: firm.id }, { requiresSecondPerson: input.isRequired });
      await this.audit.record(manager, actor, 'firm.second-person', 'firm', firm.id, {
        from: firm.requiresSecondPerson,
        to: input.isRequired,
        reason: input.reason,
      });
      return this.viewIn(manager);
    });
  }

  requireMarks(actor: Actor, input: RequireMarks): Promise<FirmView> {
    refuseUnlessAdministrator(actor, 'switch the marks that returns need');
    return this.database.run(actor, async (manager) => {
      const firm = await findFirm(manager);
      await manager.update(Firm, { id: firm.id }, { requiresMarks: input.isRequired });
      await this.audit.record(manager, actor, 'firm.marks', 'firm', firm.id, {
        from: firm.requiresMarks,
        to: input.isRequired,
        reason: input.reason,
      });
      return this.viewIn(manager);
    });
  }

  /** The five digits with which the firm signs as reporting agent: sealed; they stand in the files that they sign, and nowhere else. */
  keepAgentPin(actor: Actor, { pin }: AgentPin): Promise<FirmView> {
    refuseUnlessAdministrator(actor, 'enter the reporting agent PIN');
    if (pin !== '' && (!/^\d{5}$/.test(pin) || pin === '00000'))
      throw refuseField(
        'pin',
        'A reporting agent PIN has five digits, not all zero.',
        'It stands on the letter with which the IRS assigned it.',
      );
    return this.database.run(actor, async (manager) => {
      const firm = await findFirm(manager);
      await manager.update(Firm, { id: firm.id }, { agentPinCipher: pin === '' ? null : this.secrets.seal(pin) });
      await this.audit.record(manager, actor, pin === '' ? 'firm.agent-pin-off' : 'firm.agent-pin', 'firm', firm.id);
      return this.viewIn(manager);
    });
  }

  addDefault(actor: Actor, fact: ClientFact): Promise<FirmView> {
    refuseUnlessAdministrator(actor, 'change the client defaults');
    return this.database.run(actor, async (manager) => {
      await this.facts.add(manager, actor, null, [fact]);
      return this.viewIn(manager);
    });
  }

  private async viewIn(manager: EntityManager): Promise<FirmView> {
    const firm = await findFirm(manager);
    return {
      ...(Object.fromEntries(FIELDS.map((field) => [field, firm[field]])) as Pick<FirmView, (typeof FIELDS)[number]>),
      version: firm.version,
      requiresSecondPerson: firm.requiresSecondPerson,
      requiresMarks: firm.requiresMarks,
      hasAgentPin: firm.agentPinCipher !== null,
      defaults: await this.facts.views(manager, null),
    };
  }
}

async function findFirm(manager: EntityManager): Promise<Firm> {
  const firm = (await manager.find(Firm))[0];
  if (!firm) throw new Error('the firm has no record');
  return firm;
}
