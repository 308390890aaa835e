import { NativeSelect, TextInput } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { Fragment, useState, type ReactNode } from 'react';
import type { Schemas } from '../../api/client.js';
import { sessionQuery } from '../../api/resources.js';
import { enrollmentsQuery, useAskEnrollment, useEnrollmentAct } from '../../api/set-up.js';
import { DateField } from '../../kit/date-field.js';
import { ShortDay } from '../../kit/day.js';
import { EntryForm } from '../../kit/entry-form.js';
import { ListHead } from '../../kit/list-head.js';
import { Status } from '../../kit/status.js';

type Client = Schemas['ClientView'];
type Enrollment = Schemas['EnrollmentView'];
type Act = Schemas['EnrollmentAct']['act'];

const ACTS: Readonly<Record<Act, { readonly offer: string; readonly label: string; readonly day: string }>> = {
  enroll: { offer: 'the PIN came', label: 'Record the enrollment', day: 'Letter received' },
  refuse: { offer: 'it was refused', label: 'Record the refusal', day: 'Refused on' },
  end: { offer: 'end it', label: 'End the enrollment', day: 'Ended on' },
};
const actsOf = (status: Enrollment['status']): readonly Act[] =>
  status === 'asked' ? ['enroll', 'refuse', 'end'] : status === 'enrolled' ? ['end'] : [];
const waited = (days: number): string =>
  days === 0 ? 'today' : days === 1 ? 'waiting for 1 day' : `waiting for ${days} days`;

function Answer({
  enrollment,
  act,
  today,
  onClose,
}: {
  readonly enrollment: Enrollment;
  readonly act: Act;
  readonly today: string;
  readonly onClose: () => void;
}): ReactNode {
  const save = useEnrollmentAct(enrollment.id);
  const [draft, setDraft] = useState({ on: today, pin: '', reason: '' });
  const errorOf = (field: string): string | undefined => {
    const found = save.error?.problem.problems.find((detail) => detail.field === field);
    return found ? `${found.sentence} ${found.fix}` : undefined;
  };
  return (
    <EntryForm
      label={`${ACTS[act].label}, ${enrollment.agencyName}`}
      act={ACTS[act].label}
      isBusy={save.isPending}
      error={save.error}
      onSave={() => save.mutate({ act, version: enrollment.version, ...draft }, { onSuccess: onClose })}
      onClose={onClose}
    >
      <DateField
        label={ACTS[act].day}
        value={draft.on}
        error={errorOf('on')}
        onChange={(on) => setDraft({ ...draft, on })}
      />
      {act === 'enroll' && (
        <TextInput
          label="PIN"
          type="password"
          description="Four to eight digits; kept sealed and never shown again"
          maxLength={8}
          inputMode="numeric"
          autoComplete="off"
          autoFocus
          value={draft.pin}
          error={errorOf('pin')}
          onChange={(event) => setDraft({ ...draft, pin: event.currentTarget.value.trim() })}
        />
      )}
      {act === 'refuse' && (
        <TextInput
          label="Reason"
          description="As the agency gave it"
          maxLength={200}
          autoFocus
          value={draft.reason}
          error={errorOf('reason')}
          onChange={(event) => setDraft({ ...draft, reason: event.currentTarget.value })}
        />
      )}
    </EntryForm>
  );
}

function Ask({
  client,
  agencies,
  today,
  onClose,
}: {
  readonly client: Client;
  readonly agencies: readonly Schemas['DebitAgencyView'][];
  readonly today: string;
  readonly onClose: () => void;
}): ReactNode {
  const save = useAskEnrollment(client.id);
  const [draft, setDraft] = useState({
    agency: agencies[0]?.agency ?? '',
    bankAccountId: client.bankAccounts[0]?.id ?? '',
    askedOn: today,
  });
  const errorOf = (field: string): string | undefined => {
    const found = save.error?.problem.problems.find((detail) => detail.field === field);
    return found ? `${found.sentence} ${found.fix}` : undefined;
  };
  return (
    <EntryForm
      label="Enrollment for an agency’s debits"
      act="Record"
      isBusy={save.isPending}
      error={save.error}
      onSave={() => save.mutate(draft, { onSuccess: onClose })}
      onClose={onClose}
    >
      <NativeSelect
        label="Agency"
        autoFocus
        data={agencies.map(({ agency, agencyName }) => ({ value: agency, label: agencyName }))}
        value={draft.agency}
        error={errorOf('agency')}
        onChange={(event) => setDraft({ ...draft, agency: event.currentTarget.value })}
      />
      <NativeSelect
        label="Account to be debited"
        data={client.bankAccounts.map((bank) => ({
          value: bank.id,
          label: `${bank.label}, ${bank.bankName}, ending ${bank.accountTail}`,
        }))}
        value={draft.bankAccountId}
        error={errorOf('bankAccountId')}
        onChange={(event) => setDraft({ ...draft, bankAccountId: event.currentTarget.value })}
      />
      <DateField
        label="Asked on"
        value={draft.askedOn}
        error={errorOf('askedOn')}
        onChange={(askedOn) => setDraft({ ...draft, askedOn })}
      />
    </EntryForm>
  );
}

/** Agencies that take the client's payments from its account themselves: asked of them, waited for, given. */
export function Enrollments({ client }: { readonly client: Client }): ReactNode {
  const { data } = useQuery(enrollmentsQuery(client.id));
  const { data: session } = useQuery(sessionQuery);
  const [open, setOpen] = useState<{ readonly id: string; readonly act: Act } | 'ask' | null>(null);
  if (!data || !session) return null;
  const close = (): void => setOpen(null);
  const mayAsk = data.agencies.length > 0 && client.bankAccounts.length > 0;
  return (
    <section className="section" id="enrollments">
      <h2>
        Debits by agencies{' '}
        <small>an enrolled account is debited by the agency itself; others pay as the firm said</small>
      </h2>
      {data.enrollments.length > 0 && (
        <table className="ruled">
          <ListHead columns={['Agency', 'Account debited', 'Status', 'Asked', 'Answered', '']} />
          <tbody>
            {data.enrollments.map((row) => (
              <Fragment key={row.id}>
                <tr>
                  <td>{row.agencyName}</td>
                  <td>{row.bankAccount}</td>
                  <td>
                    <Status word={row.status} />
                    {row.daysWaited !== null && <div className="sub">{waited(row.daysWaited)}</div>}
                    {row.reason && <div className="sub">{row.reason}</div>}
                  </td>
                  <td>
                    <ShortDay day={row.askedOn} />
                  </td>
                  <td>
                    {row.answeredOn && <ShortDay day={row.answeredOn} />}
                    {row.endedOn && (
                      <div className="sub">
                        ended <ShortDay day={row.endedOn} />
                      </div>
                    )}
                  </td>
                  <td>
                    <div className="actions" style={{ margin: 0 }}>
                      {actsOf(row.status).map((act) => (
                        <button
                          key={act}
                          type="button"
                          className="plain"
                          aria-label={`${ACTS[act].offer}, ${row.agencyName}`}
                          onClick={() => setOpen({ id: row.id, act })}
                        >
                          {ACTS[act].offer}
                        </button>
                      ))}
                    </div>
                  </td>
                </tr>
                {open !== null && open !== 'ask' && open.id === row.id && (
                  <tr>
                    <td colSpan={6}>
                      <Answer enrollment={row} act={open.act} today={session.today} onClose={close} />
                    </td>
                  </tr>
                )}
              </Fragment>
            ))}
          </tbody>
        </table>
      )}
      {open === 'ask' ? (
        <Ask client={client} agencies={data.agencies} today={session.today} onClose={close} />
      ) : mayAsk ? (
        <div className="actions">
          <button type="button" className="plain" onClick={() => setOpen('ask')}>
            record an enrollment that was asked for
          </button>
        </div>
      ) : (
        data.enrollments.length === 0 && (
          <p className="empty">
            None. An agency can debit an account once its filer number stands under Firm, Agency payments
            {client.bankAccounts.length > 0 ? '.' : ', and the client has a bank account.'}
          </p>
        )
      )}
    </section>
  );
}
