import { Button } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import type { Schemas } from '../../api/client.js';
import { collectionQuery, collectionSlipQuery, useCollectionAct, useRetryCollection } from '../../api/trust.js';
import { Day } from '../../kit/day.js';
import { FetchedSlip } from '../../kit/fetched-slip.js';
import { RefusedNote } from '../../kit/problems.js';
import { Status } from '../../kit/status.js';
import { Waiting } from '../../kit/waiting.js';
import { NeedRows } from './need-rows.js';

type Collection = Schemas['CollectionView'];

function Slip({ collection, onClose }: { readonly collection: Collection; readonly onClose: () => void }): ReactNode {
  const slip = useQuery(collectionSlipQuery(collection.id, collection.version));
  const act = useCollectionAct(collection.id);
  return (
    <FetchedSlip
      slip={slip}
      actLabel="Release the debit"
      act={act}
      onAct={() => act.mutateAsync({ act: 'release', version: collection.version })}
      onClose={onClose}
    />
  );
}

function Acts({ collection }: { readonly collection: Collection }): ReactNode {
  const act = useCollectionAct(collection.id);
  const retry = useRetryCollection(collection.id);
  const navigate = useNavigate();
  const [isSlipOpen, setSlipOpen] = useState(false);
  if (collection.mayRetry)
    return (
      <>
        <div className="actions">
          <Button
            loading={retry.isPending}
            onClick={() => retry.mutate(null, { onSuccess: ({ id }) => void navigate(`/collections/${id}`) })}
          >
            Schedule it once more
          </Button>
        </div>
        <RefusedNote error={retry.error} />
      </>
    );
  if (collection.status !== 'planned') return null;
  return (
    <>
      {isSlipOpen ? (
        <Slip collection={collection} onClose={() => setSlipOpen(false)} />
      ) : (
        <div className="actions">
          <Button onClick={() => setSlipOpen(true)}>Release…</Button>
          <button
            type="button"
            className="plain"
            onClick={() => act.mutate({ act: 'withdraw', version: collection.version })}
          >
            withdraw it
          </button>
        </div>
      )}
      <RefusedNote error={act.error} />
    </>
  );
}

/** One debit of a client's account: what it is for, where it stands, and what follows when it comes back. */
export function CollectionPage(): ReactNode {
  const { collectionId = '' } = useParams();
  const collection = useQuery(collectionQuery(collectionId));
  return (
    <Waiting query={collection}>
      {(data) => (
        <>
          <p className="sub">
            <Link to={`/clients/${data.clientId}/funds`}>{data.clientName}</Link>
          </p>
          <div className="lead">
            <h1>{data.kind === 'prenote' ? 'Prenote of the debits' : 'Collection of funds'}</h1>
            <p className="beside">
              <Status word={data.status} />
              <br />
              {data.reference}
            </p>
          </div>
          <p className="note">
            Prepared by {data.preparedBy}
            {data.releasedBy ? `, released by ${data.releasedBy}` : ''}. From {data.bankAccount}. Settles{' '}
            <Day day={data.settles} />
            {data.kind === 'debit' && (
              <>
                ; may be paid out from <Day day={data.usable} />
              </>
            )}
            .{data.retries > 0 && ` Sent again, time ${data.retries} of 2.`}
          </p>
          {data.delivery && (
            <p className="note" role="status">
              {data.delivery}
            </p>
          )}
          {data.confirmation && <p className="note">Settled; the bank’s confirmation is {data.confirmation}.</p>}
          {data.returnedReason && (
            <div className="problem">
              Returned: {data.returnedReason}. {data.then}
            </div>
          )}
          <Acts collection={data} />
          {data.kind === 'debit' && (
            <section className="section">
              <h2>What it is for</h2>
              <NeedRows
                lines={data.items}
                advance={data.advance}
                amount={data.amount}
                label="Debit"
                isPencil={data.status === 'planned'}
              />
            </section>
          )}
        </>
      )}
    </Waiting>
  );
}
