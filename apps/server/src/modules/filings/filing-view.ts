import { Inject, Injectable } from '@nestjs/common';
import type { FilingEventView, FilingRow, FilingView, ReturnLineView, W2Row } from '@zakat/contract/filings';
import { ZERO, showDollars, sum, type Cents } from '@zakat/core/money/cents';
import type { Form941 } from '@zakat/core/returns/form-941';
import type { FormW2 } from '@zakat/core/yearend/w2';
import type { EntityManager } from 'typeorm';
import { detailOf } from '../../http/refusal.js';
import type { Client } from '../clients/entities.js';
import { Outbox } from '../outbox/outbox.js';
import type { Filing } from './entities.js';
import { FilingContent, type Content } from './filing-content.js';

/** A filing as the screens show it. */
@Injectable()
export class FilingViews {
  constructor(
    @Inject(FilingContent) private readonly contents: FilingContent,
    @Inject(Outbox) private readonly outbox: Outbox,
  ) {}

  async of(manager: EntityManager, id: string): Promise<FilingView> {
    const { filing, client } = await this.contents.load(manager, id);
    const isSnapshot = filing.snapshot !== null;
    const content = isSnapshot ? (filing.snapshot as Content) : await this.contents.compute(manager, client, filing);
    const problems =
      isSnapshot && filing.status !== 'checked'
        ? []
        : await this.contents.issuesOf(manager, client, filing, await this.contents.compute(manager, client, filing));
    const events = (await manager.query(
      'SELECT at, stage, code, message, field, attempt FROM filing_event WHERE filing_id = $1 ORDER BY id',
      [id],
    )) as (Omit<FilingEventView, 'at'> & { at: Date })[];
    const names = (await manager.query('SELECT id, name FROM app_user')) as { id: string; name: string }[];
    const nameOf = (userId: string | null): string | null => names.find((user) => user.id === userId)?.name ?? null;
    return {
      ...rowOf(filing, client),
      lines: content.form === '941' ? linesOf(content.form941) : [],
      scheduleB:
        content.form === '941' && content.form941.scheduleB
          ? content.form941.scheduleB.map((day) => ({ ...day }))
          : null,
      w2s: content.form === 'W-2' ? content.set.forms.map((form) => w2Row(form)) : [],
      problems: problems.map(detailOf),
      events: events.map((event) => ({ ...event, at: event.at.toISOString() })),
      preparedBy: nameOf(filing.preparedBy) ?? '',
      signedBy: nameOf(filing.signedBy),
      submissionId: filing.submissionId,
      documentId: filing.documentId,
      delivery: await this.outbox.standing(manager, id),
      isSnapshot,
    };
  }
}

export const rowOf = (filing: Filing, client: Client): FilingRow => ({
  id: filing.id,
  clientId: client.id,
  clientName: client.legalName,
  einTail: client.ein.slice(-4),
  form: filing.form,
  year: filing.year,
  quarter: filing.quarter,
  status: filing.status,
  attempt: filing.attempt,
  version: filing.version,
  due: filing.due,
});
const linesOf = (form: Form941): ReturnLineView[] =>
  form.lines.map((line) => ({
    id: line.id,
    label: line.label,
    value: line.value,
    kind: line.kind,
    working: line.working as ReturnLineView['working'],
    hasEntries: line.entries !== null,
  }));

/** A set released before a box was prepared here does not have it. */
const released = (form: FormW2): FormW2 => ({
  ...form,
  box7: (form as Partial<FormW2>).box7 ?? ZERO,
  box8: (form as Partial<FormW2>).box8 ?? ZERO,
  box10: (form as Partial<FormW2>).box10 ?? ZERO,
  box11: (form as Partial<FormW2>).box11 ?? ZERO,
  withheldByInsurer: (form as Partial<FormW2>).withheldByInsurer ?? { incomeTax: ZERO, oasdi: ZERO, hi: ZERO },
  box14: (form as Partial<FormW2>).box14 ?? [],
  locals: (form as Partial<FormW2>).locals ?? [],
});
const inWords = (lines: readonly { readonly label: string; readonly amount: Cents }[]): string =>
  lines.map(({ label, amount }) => `${label} ${showDollars(amount)}`).join(', ');

function w2Row(given: FormW2): W2Row {
  const form = released(given);
  const person = form.person as FormW2['person'] & { ssnTail?: string };
  return {
    employeeId: person.employeeId,
    name: [person.lastName, [person.firstName, person.middleName].filter((part) => part !== '').join(' ')].join(', '),
    ssnTail: person.ssnTail ?? person.ssn.slice(-4),
    box1: form.box1,
    box2: form.box2,
    box3: form.box3,
    box4: form.box4,
    box5: form.box5,
    box6: form.box6,
    box7: form.box7,
    box8: form.box8,
    box10: form.box10,
    box11: form.box11,
    box12: inWords(form.box12.map(({ code, amount }) => ({ label: code, amount }))),
    box14: inWords(form.box14),
    state: form.states.map((line) => line.state).join(' '),
    box16: sum(form.states.map((line) => line.wages)),
    box17: sum(form.states.map((line) => line.tax)),
    box18: sum(form.locals.map((line) => line.wages)),
    box19: sum(form.locals.map((line) => line.tax)),
    box20: form.locals.map((line) => line.locality).join(', '),
  };
}
