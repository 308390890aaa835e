import { Checkbox, NativeSelect, TextInput, Textarea } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { Fragment, useState, type ReactNode } from 'react';
import { Link, useSearchParams } from 'react-router';
import type { Schemas } from '../../api/client.js';
import { sessionQuery } from '../../api/resources.js';
import { agencyPaymentsQuery, useSaveAgencyPayment } from '../../api/set-up.js';
import { EntryForm } from '../../kit/entry-form.js';
import { Waiting } from '../../kit/waiting.js';
import { ListHead } from '../../kit/list-head.js';

type Payment = Schemas['AgencyPaymentView'];
const METHODS = [
  { value: 'ach-credit', label: 'ACH credit' },
  { value: 'agency-debit', label: 'debit by the agency' },
  { value: 'elsewhere', label: 'by check or elsewhere, recorded here' },
];
const methodWords = ({ version, method }: Payment): string =>
  version === 0 ? 'not said' : (METHODS.find(({ value }) => value === method)?.label ?? method);
const ofPayment = ({
  method,
  name,
  routing,
  account,
  identification,
  filerNumber,
  taxTypes,
  version,
  mailTo,
}: Payment) => ({
  mailTo,
  method,
  name,
  routing,
  account,
  identification,
  filerNumber,
  taxTypes: [...taxTypes],
  version,
});

function PaymentForm({ payment, onClose }: { readonly payment: Payment; readonly onClose: () => void }): ReactNode {
  const [draft, setDraft] = useState(ofPayment(payment));
  const save = useSaveAgencyPayment(payment.agency);
  const put = (more: Partial<typeof draft>): void => setDraft({ ...draft, ...more });
  const typeOf = (family: string): string => draft.taxTypes.find((one) => one.family === family)?.code ?? '';
  const isCredit = draft.method === 'ach-credit';
  const isPaidHere = isCredit || draft.method === 'agency-debit';
  return (
    <EntryForm
      label={`How ${payment.agencyName} is paid`}
      act="Save"
      isBusy={save.isPending}
      error={save.error}
      onSave={() => save.mutate(draft, { onSuccess: onClose })}
      onClose={onClose}
    >
      <NativeSelect
        label="Payment method"
        data={METHODS}
        value={draft.method}
        onChange={(event) => put({ method: event.currentTarget.value as Payment['method'] })}
      />
      <TextInput
        label="Filer number"
        description="Under which the agency takes debits of enrolled clients from the firm; blank where it takes none"
        maxLength={10}
        value={draft.filerNumber}
        onChange={(event) => put({ filerNumber: event.currentTarget.value.trim() })}
      />
      <Textarea
        label="Checks are mailed to"
        description="As on the agency’s own voucher; blank where no check is sent"
        maxLength={200}
        autosize
        minRows={2}
        value={draft.mailTo}
        onChange={(event) => put({ mailTo: event.currentTarget.value })}
      />
      {isCredit && (
        <>
          <TextInput
            label="Receiver"
            maxLength={22}
            value={draft.name}
            onChange={(event) => put({ name: event.currentTarget.value })}
          />
          <TextInput
            label="Routing number"
            maxLength={9}
            value={draft.routing}
            onChange={(event) => put({ routing: event.currentTarget.value.trim() })}
          />
          <TextInput
            label="Account number"
            description="Both from the agency’s own ACH credit guide"
            maxLength={17}
            value={draft.account}
            onChange={(event) => put({ account: event.currentTarget.value.trim() })}
          />
        </>
      )}
      {isPaidHere && (
        <>
          <NativeSelect
            label="Taxpayer is named by"
            data={[
              { value: 'account', label: 'the account number with the agency' },
              { value: 'ein', label: 'the EIN' },
            ]}
            value={draft.identification}
            onChange={(event) => put({ identification: event.currentTarget.value as Payment['identification'] })}
          />
          {payment.families.map(({ family, label, usualTaxType }) => (
            <TextInput
              key={family}
              label={`Tax type, ${label}`}
              description={`Blank: ${usualTaxType} (recalled, not verified)`}
              maxLength={5}
              value={typeOf(family)}
              onChange={(event) =>
                put({
                  taxTypes: [
                    ...draft.taxTypes.filter((one) => one.family !== family),
                    { family, code: event.currentTarget.value.trim().toUpperCase() },
                  ],
                })
              }
            />
          ))}
        </>
      )}
    </EntryForm>
  );
}

/** How every agency is paid: its bank account, how it knows the taxpayer, its tax type codes. */
export function AgencyPaymentsPage(): ReactNode {
  const payments = useQuery(agencyPaymentsQuery);
  const { data: session } = useQuery(sessionQuery);
  const [asked, setAsked] = useSearchParams();
  const [find, setFind] = useState('');
  const [isAll, setAll] = useState(false);
  const isAdministrator = session?.user.role === 'administrator';
  const open = asked.get('agency');
  const choose = (agency: string | null): void => setAsked(agency === null ? {} : { agency });
  return (
    <Waiting query={payments}>
      {(rows) => {
        const words = find.trim().toLowerCase();
        const shown = rows.filter(
          (row) =>
            row.agency === open ||
            (words === ''
              ? isAll || row.clients > 0 || row.version > 0 || row.agency === 'IRS'
              : `${row.agencyName} ${row.agency} ${row.state}`.toLowerCase().includes(words)),
        );
        return (
          <>
            <p className="sub">
              <Link to="/firm">Firm</Link>
            </p>
            <div className="lead">
              <h1>Agency payments</h1>
              <p className="beside">
                {isAdministrator ? 'as administrator you may change them' : 'an administrator may change them'}
              </p>
            </div>
            <div className="actions">
              <TextInput label="Find an agency" value={find} onChange={(event) => setFind(event.currentTarget.value)} />
              <Checkbox
                label="also those that no client owes"
                checked={isAll}
                onChange={(event) => setAll(event.currentTarget.checked)}
              />
            </div>
            <table className="ruled">
              <ListHead
                columns={[
                  'State',
                  'Agency',
                  'Deposits',
                  'Payment method',
                  'Receiver and account',
                  { number: 'Clients' },
                  '',
                ]}
              />
              <tbody>
                {shown.map((row) => (
                  <Fragment key={row.agency}>
                    <tr>
                      <td>{row.state || 'US'}</td>
                      <td>{row.agencyName}</td>
                      <td>{row.families.map(({ label }) => label).join(', ')}</td>
                      <td>{row.version === 0 ? <span className="tag-wait">not said</span> : methodWords(row)}</td>
                      <td>
                        {row.version > 0 && row.method === 'ach-credit'
                          ? `${row.name}, ${row.routing}, ending ${row.account.slice(-4)}`
                          : ''}
                        {row.filerNumber !== '' && <div className="sub">debits under {row.filerNumber}</div>}
                      </td>
                      <td className="num">{row.clients === 0 ? '–' : row.clients}</td>
                      <td>
                        {isAdministrator && (
                          <button
                            type="button"
                            className="plain"
                            aria-label={`change how ${row.agencyName} is paid`}
                            onClick={() => choose(row.agency)}
                          >
                            change
                          </button>
                        )}
                      </td>
                    </tr>
                    {isAdministrator && row.agency === open && (
                      <tr>
                        <td colSpan={7}>
                          <PaymentForm key={row.version} payment={row} onClose={() => choose(null)} />
                        </td>
                      </tr>
                    )}
                  </Fragment>
                ))}
                {shown.length === 0 && (
                  <tr>
                    <td colSpan={7} className="empty">
                      No agency matches.
                    </td>
                  </tr>
                )}
              </tbody>
            </table>
          </>
        );
      }}
    </Waiting>
  );
}
