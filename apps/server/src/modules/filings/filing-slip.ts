import { Inject, Injectable } from '@nestjs/common';
import type { ReleaseSlip, SlipCheck } from '@zakat/contract/remittances';
import { firstDayOf, lastDayOf } from '@zakat/core/calendar/quarter';
import { date, showDate } from '@zakat/core/calendar/local-date';
import { writeEfw2 } from '@zakat/core/formats/efw2/file';
import { writeForm941 } from '@zakat/core/formats/form-941/xml';
import { sentence, type Issue } from '@zakat/core/issues/issue';
import { cents, showDollars } from '@zakat/core/money/cents';
import { lineValue } from '@zakat/core/returns/form-941';
import { formW3 } from '@zakat/core/yearend/w2';
import type { EntityManager } from 'typeorm';
import type { Actor } from '../../database/firm-database.js';
import { Secrets } from '../../database/secrets.js';
import type { Client } from '../clients/entities.js';
import { Clock } from '../clock/clock.js';
import { mayReleaseCheck } from '../outbox/slip-checks.js';
import type { Filing } from './entities.js';
import { FilingContent, digestOf, type Content } from './filing-content.js';
import { FilingSource } from './filing-source.js';

/** The release slip of a filing. Making it is the rehearsal: the real checks and the real file, and nothing changes. */
@Injectable()
export class FilingSlip {
  constructor(
    @Inject(FilingContent) private readonly contents: FilingContent,
    @Inject(FilingSource) private readonly source: FilingSource,
    @Inject(Secrets) private readonly secrets: Secrets,
    @Inject(Clock) private readonly clock: Clock,
  ) {}

  async rehearse(
    manager: EntityManager,
    actor: Actor,
    id: string,
  ): Promise<{ filing: Filing; client: Client; content: Content; slip: ReleaseSlip }> {
    const { filing, client } = await this.contents.load(manager, id);
    const content = await this.contents.compute(manager, client, filing);
    const now = digestOf(this.contents.stored(content));
    const isSame = filing.snapshotDigest === now;
    const needsSignature = filing.form === '941';
    const made = needsSignature
      ? { file: await this.returnXml(manager, client, filing, content), issues: [] }
      : await this.wageFile(manager, client, filing, content);
    const today = await this.clock.today(manager);
    const errors = (await this.contents.issuesOf(manager, client, filing, content)).filter(
      (issue) => issue.severity === 'error',
    );
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
      ...(needsSignature
        ? [
            {
              label: 'It is signed',
              isPassed: filing.signedBy !== null,
              says:
                filing.signedBy === null
                  ? `${client.signerName}’s PIN is not entered yet.`
                  : `Signed for ${client.signerName}, ${client.signerTitle}, on ${showDate(date(filing.signedOn ?? today))}.`,
            },
          ]
        : []),
      mayReleaseCheck(actor),
    ];
    const isReturn = content.form === '941';
    const amount = content.form === '941' ? lineValue(content.form941, '12') : formW3(content.set.forms).box1;
    const receiver = isReturn ? 'the Internal Revenue Service' : 'the Social Security Administration';
    const what = isReturn ? `Form 941 for Q${filing.quarter} ${filing.year}` : `Forms W-2 and W-3 for ${filing.year}`;
    const slip: ReleaseSlip = {
      title: `${what} of ${client.legalName}`,
      act: filing.status === 'checked' ? 'release' : 'rehearsal',
      amount,
      figures: [
        { label: 'Client', value: `${client.legalName}, EIN ending ${client.ein.slice(-4)}` },
        { label: 'To', value: receiver },
        ...(content.form === '941'
          ? [
              { label: 'Total taxes, line 12', value: showDollars(cents(lineValue(content.form941, '12'))) },
              { label: 'Balance due, line 14', value: showDollars(cents(lineValue(content.form941, '14'))) },
            ]
          : [
              { label: 'Forms W-2', value: String(content.set.forms.length) },
              { label: 'Wages, box 1', value: showDollars(formW3(content.set.forms).box1) },
            ]),
        { label: 'Due', value: showDate(date(filing.due)) },
        { label: 'Attempt', value: String(filing.attempt) },
      ],
      leaves: `${what} goes to ${receiver} for ${client.legalName}.`,
      becomesImpossible: `The figures of this ${isReturn ? 'return' : 'set'} cannot be changed any more; what turns out wrong afterwards is amended.`,
      wayBack: 'If it is rejected, it opens again at the field that was refused and can be sent once more.',
      checks,
      mayRelease: checks.every((check) => check.isPassed),
      file: made.file,
    };
    return { filing, client, content, slip };
  }

  private async returnXml(manager: EntityManager, client: Client, filing: Filing, content: Content): Promise<string> {
    if (content.form !== '941') throw new Error('not a return');
    const firm = await this.source.firm(manager);
    return writeForm941({
      form: content.form941,
      submissionId: `${filing.id}-${filing.attempt}`,
      filer: {
        ein: client.ein,
        name: client.legalName,
        nameControl: client.nameControl,
        tradeName: client.tradeName,
        phone: client.phone,
        street: client.street,
        city: client.city,
        state: client.state,
        zip: client.zip,
      },
      preparer: {
        name: firm.preparerName,
        ptin: firm.preparerPtin,
        phone: firm.phone,
        firmName: firm.name,
        firmEin: firm.ein,
        firmAddress: { street: firm.street, city: firm.city, state: firm.state, zip: firm.zip },
      },
      efin: firm.efin,
      finalWagesPaid: await this.source.closedIn(
        manager,
        client,
        firstDayOf(content.form941),
        lastDayOf(content.form941),
      ),
      signature: {
        name: client.signerName,
        title: client.signerTitle,
        pin: filing.signerPinCipher ? this.secrets.open(filing.signerPinCipher) : '',
        signed: date(filing.signedOn ?? (await this.clock.today(manager))),
      },
    });
  }

  private async wageFile(
    manager: EntityManager,
    client: Client,
    filing: Filing,
    content: Content,
  ): Promise<{ file: string; issues: Issue[] }> {
    if (content.form !== 'W-2') throw new Error('not a wage file');
    const firm = await this.source.firm(manager);
    const previous = filing.attempt > 1 ? await this.lastReference(manager, filing.id) : null;
    const { content: file, issues } = writeEfw2({
      taxYear: filing.year,
      submitter: {
        ein: firm.ein,
        userId: firm.efw2UserId,
        name: firm.name,
        contactName: firm.contactName,
        phone: firm.phone,
        email: firm.email,
        street: firm.street,
        city: firm.city,
        state: firm.state,
        zip: firm.zip,
      },
      employer: {
        ein: client.ein,
        name: client.legalName,
        isTerminating:
          (await this.source.closedIn(manager, client, date(`${filing.year}-01-01`), date(`${filing.year}-12-31`))) !==
          null,
        kindOfEmployer: client.kindOfEmployer,
        employmentCode: await this.source.employmentCode(manager, client, filing.year),
        contactName: client.contactName,
        phone: client.phone,
        email: client.email,
        street: client.street,
        city: client.city,
        state: client.state,
        zip: client.zip,
      },
      forms: content.set.forms,
      resubmits: previous,
    });
    return { file, issues };
  }

  private async lastReference(manager: EntityManager, filingId: string): Promise<string | null> {
    const rows = (await manager.query(
      `SELECT code FROM filing_event WHERE filing_id = $1 AND stage = 'wage-file-identifier' ORDER BY id DESC LIMIT 1`,
      [filingId],
    )) as { code: string }[];
    return rows[0]?.code ?? null;
  }
}
