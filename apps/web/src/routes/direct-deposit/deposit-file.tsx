import { Button, NativeSelect } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import type { Schemas } from '../../api/client.js';
import { directDepositSlipQuery, useDirectDepositAct } from '../../api/direct-deposits.js';
import { FetchedSlip } from '../../kit/fetched-slip.js';
import { RefusedNote } from '../../kit/problems.js';
import { Status } from '../../kit/status.js';
import { Day } from '../../kit/day.js';
import type { payingAccounts } from '../clients/paying-accounts.js';

type File = Schemas['DirectDepositRow'];

const RELEASES: Readonly<Record<File['kind'], string>> = {
  pay: 'Release the pay',
  prenotes: 'Release the prenotes',
  reversal: 'Release the reversal',
};

function Slip({ file, onClose }: { readonly file: File; readonly onClose: () => void }): ReactNode {
  const slip = useQuery(directDepositSlipQuery(file.id, file.version));
  const act = useDirectDepositAct(file.id);
  return (
    <FetchedSlip
      slip={slip}
      actLabel={RELEASES[file.kind]}
      act={act}
      onAct={() => act.mutateAsync({ act: 'release', version: file.version })}
      onClose={onClose}
    />
  );
}

/** One file of credits: how it stands, and what can be done with it. */
export function DepositFile({ file }: { readonly file: File }): ReactNode {
  const act = useDirectDepositAct(file.id);
  const [isSlipOpen, setSlipOpen] = useState(false);
  return (
    <div className="deposit-file">
      <p>
        <Status word={file.status} /> · {file.reference}, {file.entries} {file.entries === 1 ? 'entry' : 'entries'}{' '}
        {file.kind === 'reversal' ? 'to' : 'from'} {file.bankAccount}, settles <Day day={file.settles} />
      </p>
      <p className="note">
        Prepared by {file.preparedBy}
        {file.releasedBy ? `, released by ${file.releasedBy}` : ''}.{file.delivery ? ` ${file.delivery}` : ''}
        {file.confirmation ? ` The bank’s confirmation is ${file.confirmation}.` : ''}
      </p>
      {file.returnedReason && <div className="problem">Returned: {file.returnedReason}. Schedule it again.</div>}
      {file.status === 'planned' && (
        <>
          <div className="actions">
            {!isSlipOpen && <Button onClick={() => setSlipOpen(true)}>Release…</Button>}
            <button
              type="button"
              className="plain"
              onClick={() => act.mutate({ act: 'withdraw', version: file.version })}
            >
              withdraw it
            </button>
          </div>
          <RefusedNote error={act.error} />
          {isSlipOpen && <Slip file={file} onClose={() => setSlipOpen(false)} />}
        </>
      )}
    </div>
  );
}

/** Plans a file from one of the client's accounts, or from what the firm holds of it. */
export function PlanFile({
  accounts,
  label,
  isBusy,
  error,
  onPlan,
}: {
  readonly accounts: ReturnType<typeof payingAccounts>;
  readonly label: string;
  readonly isBusy: boolean;
  readonly error: Error | null;
  readonly onPlan: (bankAccountId: string) => void;
}): ReactNode {
  const [chosen, setChosen] = useState<string | null>(null);
  const bankId = chosen ?? accounts[0]?.value;
  if (bankId === undefined) return <p className="note">The client has no bank account yet that pay can be drawn on.</p>;
  return (
    <>
      <div className="actions">
        {accounts.length > 1 && (
          <NativeSelect
            aria-label="From the account"
            data={accounts}
            value={bankId}
            onChange={(event) => setChosen(event.currentTarget.value)}
          />
        )}
        <Button loading={isBusy} onClick={() => onPlan(bankId)}>
          {label}
        </Button>
      </div>
      <RefusedNote error={error} />
    </>
  );
}

const WORDS: Readonly<Record<string, string>> = {
  wanted: 'prenote to be sent',
  sent: 'prenote is out',
  confirmed: 'confirmed',
  waived: 'without a prenote',
  returned: 'came back',
};
/** Where an account stands, in words. */
export const standingWords = (standing: string, cameBack: string | null): string =>
  cameBack === null ? (WORDS[standing] ?? standing) : `came back: ${cameBack}`;
