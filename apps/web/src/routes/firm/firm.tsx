import { Button, TextInput } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { CLIENT_FACTS, COPIED_KINDS } from '@zakat/core/facts/client-facts';
import { useState, type FormEvent, type ReactNode } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '../../api/client.js';
import { sessionQuery } from '../../api/resources.js';
import { firmQuery, useAddDefault, useSwitchSecondPerson, useUpdateFirm } from '../../api/set-up.js';
import { useRequireMarks } from '../../api/working-papers.js';
import { RefusedNote } from '../../kit/problems.js';
import { Waiting } from '../../kit/waiting.js';
import { FactSheet } from '../fact-forms/fact-sheet.js';
import { IdentityForm, type IdentityField } from '../identity-form.js';
import { AgentPin } from './agent-pin.js';
import { CheckPrinters } from './check-printers.js';
import { MicrTypeface } from './micr-typeface.js';
import { OwnCalendar } from './own-calendar.js';
import { OwnSignIn } from './own-sign-in.js';
import { Users } from './users.js';

const FIELDS: readonly IdentityField[] = [
  { name: 'name', label: 'Firm', max: 57 },
  { name: 'ein', label: 'EIN', max: 12, kind: 'ein' },
  { name: 'street', label: 'Street', max: 121, kind: 'street' },
  { name: 'city', label: 'City', max: 22 },
  { name: 'state', label: 'State', max: 2, kind: 'state' },
  { name: 'zip', label: 'ZIP', max: 5, kind: 'zip' },
  { name: 'phone', label: 'Telephone', max: 15, kind: 'phone' },
  { name: 'email', label: 'E-mail', max: 40 },
  { name: 'contactName', label: 'Contact in the files', max: 27 },
  { name: 'preparerName', label: 'Paid preparer', max: 35 },
  { name: 'preparerPtin', label: 'PTIN', max: 9, help: 'P and eight digits' },
  { name: 'efin', label: 'EFIN', max: 6, help: 'Six digits; of every return that is sent' },
  { name: 'efw2UserId', label: 'User ID for wage files', max: 8, help: 'Of Business Services Online' },
  {
    name: 'cushionDays',
    label: 'Cushion',
    max: 2,
    help: 'Banking days a deposit is sent ahead of the last safe moment',
  },
];

/** A rule that an administrator switches, with a reason for the audit trail. */
function Switched({
  title,
  says,
  offer,
  isAdministrator,
  change,
}: {
  readonly title: string;
  readonly says: string;
  readonly offer: string;
  readonly isAdministrator: boolean;
  readonly change: {
    readonly mutate: (reason: string, done: () => void) => void;
    readonly isPending: boolean;
    readonly error: Error | null;
  };
}): ReactNode {
  const [reason, setReason] = useState('');
  const [isOpen, setOpen] = useState(false);
  const save = (event: FormEvent): void => {
    event.preventDefault();
    change.mutate(reason, () => {
      setOpen(false);
      setReason('');
    });
  };
  return (
    <section className="section">
      <h2>{title}</h2>
      <p className="note">{says}</p>
      {isAdministrator && !isOpen && (
        <button type="button" className="plain" onClick={() => setOpen(true)}>
          {offer}
        </button>
      )}
      {isOpen && (
        <form onSubmit={save} className="actions">
          <TextInput
            label="Reason, for the audit trail"
            autoFocus
            value={reason}
            onChange={(event) => setReason(event.currentTarget.value)}
          />
          <Button type="submit" loading={change.isPending}>
            Switch
          </Button>
          <RefusedNote error={change.error} />
        </form>
      )}
    </section>
  );
}

interface OfFirm {
  readonly firm: Schemas['FirmView'];
  readonly isAdministrator: boolean;
}
function SecondPerson({ firm, isAdministrator }: OfFirm): ReactNode {
  const change = useSwitchSecondPerson();
  return (
    <Switched
      title="Second approver"
      says={
        firm.requiresSecondPerson
          ? 'What one person prepared, another must release: payments, returns, wage files, rule packs, answers of clients.'
          : 'One person may prepare and release. The audit trail says so with every release.'
      }
      offer={firm.requiresSecondPerson ? 'let one person do both' : 'require two persons'}
      isAdministrator={isAdministrator}
      change={{
        ...change,
        mutate: (reason, done) =>
          change.mutate({ isRequired: !firm.requiresSecondPerson, reason }, { onSuccess: done }),
      }}
    />
  );
}
function MarksOnReturns({ firm, isAdministrator }: OfFirm): ReactNode {
  const change = useRequireMarks();
  return (
    <Switched
      title="Marks on returns"
      says={
        firm.requiresMarks
          ? 'A return is released once every line that comes from the ledger, and its total, has a mark of a preparer and one of a reviewer in its working papers.'
          : 'Marks in the working papers are made as people like. A cracked mark or an open question holds the release.'
      }
      offer={firm.requiresMarks ? 'leave marks to people' : 'require marks of both'}
      isAdministrator={isAdministrator}
      change={{
        ...change,
        mutate: (reason, done) => change.mutate({ isRequired: !firm.requiresMarks, reason }, { onSuccess: done }),
      }}
    />
  );
}

/** The firm itself: what goes into every file, who works here, and what a new client starts from. */
export function FirmPage(): ReactNode {
  const firm = useQuery(firmQuery);
  const { data: session } = useQuery(sessionQuery);
  const save = useUpdateFirm();
  const add = useAddDefault();
  const isAdministrator = session?.user.role === 'administrator';
  return (
    <Waiting query={firm}>
      {(data) => (
        <>
          <div className="lead">
            <h1>{data.name}</h1>
            <p className="beside">
              {isAdministrator
                ? 'as administrator you may change what stands here'
                : 'an administrator may change what stands here'}
            </p>
          </div>
          <p className="note">
            <Link to="/firm/agencies">Agency payments</Link>: how each agency is paid, for every client.{' '}
            <Link to="/firm/invoices">Invoices</Link>: the fees of a month, for every client.{' '}
            <Link to="/firm/payees">Payees of garnishments</Link>: where orders are paid.
          </p>
          <section className="section" style={{ marginTop: 12 }}>
            <h2>
              Preparer and sender <small>on every return and file that is prepared here</small>
            </h2>
            <IdentityForm
              key={data.version}
              fields={FIELDS}
              draftKey="firm"
              values={Object.fromEntries(FIELDS.map(({ name }) => [name, String(data[name as keyof typeof data])]))}
              isSaving={save.isPending}
              error={save.error}
              onSave={(given, done) =>
                save.mutate(
                  {
                    ...(given as unknown as Omit<Schemas['UpdateFirm'], 'version' | 'cushionDays'>),
                    cushionDays: Number(given['cushionDays']),
                    version: data.version,
                  },
                  { onSuccess: done },
                )
              }
            />
          </section>
          <section className="section">
            <h2>
              Client defaults <small>a new client starts from them; later changes leave it alone; no people</small>
            </h2>
            {session && (
              <FactSheet
                kinds={CLIENT_FACTS}
                shown={COPIED_KINDS}
                facts={data.defaults}
                today={session.today}
                firstFrom={`${session.today.slice(0, 4)}-01-01`}
                draftKey="firm"
                isSaving={add.isPending}
                error={add.error}
                onSave={(fact, done) => add.mutate(fact, { onSuccess: done })}
              />
            )}
          </section>
          <section className="section">
            <h2>
              Enrollments <small>identification numbers with the agencies, and those applied for</small>
            </h2>
            {session && (
              <FactSheet
                kinds={CLIENT_FACTS}
                shown={['enrollment']}
                facts={data.defaults}
                today={session.today}
                draftKey="firm"
                isSaving={add.isPending}
                error={add.error}
                onSave={(fact, done) => add.mutate(fact, { onSuccess: done })}
              />
            )}
          </section>
          <SecondPerson firm={data} isAdministrator={isAdministrator} />
          <MarksOnReturns firm={data} isAdministrator={isAdministrator} />
          <AgentPin hasAgentPin={data.hasAgentPin} isAdministrator={isAdministrator} />
          <MicrTypeface isAdministrator={isAdministrator} />
          <CheckPrinters />
          <Users isAdministrator={isAdministrator} />
          <OwnSignIn />
          <OwnCalendar isOfClient={false} />
        </>
      )}
    </Waiting>
  );
}
