import { useQuery } from '@tanstack/react-query';
import { CLIENT_FACTS } from '@zakat/core/facts/client-facts';
import type { ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { sessionQuery, useRemoveClient, useSaveClient } from '../../api/resources.js';
import { useAddClientFact } from '../../api/set-up.js';
import type { FactField } from '@zakat/core/facts/field';
import { FactSheet } from '../fact-forms/fact-sheet.js';
import { IdentityForm } from '../identity-form.js';
import { CheckSamples } from './check-samples.js';
import { AccountChanges } from './account-changes.js';
import { BankAccounts } from './bank-accounts.js';
import { Enrollments } from './enrollments.js';
import { Prenotes } from './prenotes.js';
import { TaxAccounts } from './tax-accounts.js';
import { CLIENT_FIELDS } from './client-fields.js';
import { useClient } from './client-frame.js';
import { AddedByMistake } from '../../kit/added-by-mistake.js';
import { Day, sayDay } from '../../kit/day.js';

const SHOWN = CLIENT_FACTS.kinds
  .map((kind) => kind.kind)
  .filter((kind) => kind !== 'pay-item' && kind !== 'enrollment');

/** The fields of a pay schedule, its account chosen from those of the client. */
const scheduleFields = (
  fields: readonly FactField[],
  { bankAccounts }: Pick<ReturnType<typeof useClient>, 'bankAccounts'>,
): readonly FactField[] =>
  fields.map((field) =>
    field.name === 'account' && bankAccounts.length > 0
      ? { ...field, kind: 'choice', choices: bankAccounts.map(({ label }) => [label, label] as const) }
      : field,
  );

/** What can be seen of an entry, beside it. */
const BESIDE: Readonly<Record<string, (client: ReturnType<typeof useClient>) => ReactNode>> = {
  checks: ({ id }) => <CheckSamples clientId={id} />,
  'reporting-agent': ({ id, facts }) =>
    facts.some(
      ({ kind, isInForce, value }) => kind === 'reporting-agent' && isInForce && value['standing'] !== 'revoked',
    ) ? (
      <div className="soft">
        <a href={`/api/clients/${id}/reporting-agent.pdf`} target="_blank" rel="noreferrer">
          Form 8655 to be signed (PDF)
        </a>
      </div>
    ) : null,
};

export function FactsPage(): ReactNode {
  const client = useClient();
  const { data: session } = useQuery(sessionQuery);
  const save = useSaveClient(client.id);
  const add = useAddClientFact(client.id);
  const remove = useRemoveClient(client.id);
  const navigate = useNavigate();
  const values = Object.fromEntries(
    CLIENT_FIELDS.map((field) => [field.name, String(client[field.name as keyof typeof client])]),
  );
  return (
    <>
      <section className="section" style={{ marginTop: 0 }}>
        <h2>Identity</h2>
        <IdentityForm
          key={client.version}
          fields={CLIENT_FIELDS}
          values={values}
          draftKey={`client.${client.id}`}
          isSaving={save.isPending}
          error={save.error}
          onSave={(given, done) =>
            save.mutate(
              { ...(given as unknown as Omit<Parameters<typeof save.mutate>[0], 'version'>), version: client.version },
              { onSuccess: done },
            )
          }
        />
      </section>
      <TaxAccounts client={client} />
      <section className="section">
        <h2>
          Current settings <small>each entry counts from its day; nothing is overwritten</small>
        </h2>
        {session && (
          <FactSheet
            kinds={CLIENT_FACTS}
            shown={SHOWN}
            facts={client.facts}
            today={session.today}
            firstFrom={`${session.today.slice(0, 4)}-01-01`}
            draftKey={`client.${client.id}`}
            isSaving={add.isPending}
            error={add.error}
            fieldsOf={(kind) => (kind.kind === 'schedule' ? scheduleFields(kind.fields, client) : kind.fields)}
            beside={(kind) => BESIDE[kind]?.(client) ?? null}
            onSave={(fact, done) => add.mutate(fact, { onSuccess: done })}
          />
        )}
        <p className="note">
          {client.depositScheduleWhy}
          {client.nextChecks.length > 0 && (
            <>
              {' '}
              Next checks:{' '}
              {client.nextChecks.map((check, index) => (
                <span key={check.end}>
                  {index > 0 && ', '}
                  <Day day={check.checkDate} />
                  {check.movedFrom && ` (moved from ${sayDay(check.movedFrom)})`}
                </span>
              ))}
              .
            </>
          )}
        </p>
      </section>
      <BankAccounts client={client} />
      <Enrollments client={client} />
      <Prenotes client={client} />
      <AccountChanges client={client} />
      <AddedByMistake
        what="client"
        question={`Remove ${client.legalName} with its employees? This is for a client added by mistake that nothing was done for.`}
        act={remove}
        onRemove={() =>
          remove.mutate(client.version, { onSuccess: () => void navigate('/clients', { replace: true }) })
        }
      />
    </>
  );
}
