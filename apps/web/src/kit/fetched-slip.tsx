import type { UseQueryResult } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { RefusedNote } from './problems.js';
import { ReleaseSlip, type Slip } from './release-slip.js';
import { Waiting } from './waiting.js';

interface Props {
  /** The rehearsal as the server made it. */
  readonly slip: UseQueryResult<Slip>;
  readonly actLabel: string;
  readonly act: { readonly isPending: boolean; readonly error: Error | null };
  readonly onAct: () => Promise<unknown>;
  readonly onClose: () => void;
}

/** A release slip that is asked for; it closes when the act is done, and stays with the reason when it is refused. */
export function FetchedSlip({ slip, actLabel, act, onAct, onClose }: Props): ReactNode {
  return (
    <>
      <RefusedNote error={act.error} />
      <Waiting query={slip}>
        {(data) => (
          <ReleaseSlip
            slip={data}
            actLabel={actLabel}
            isBusy={act.isPending}
            onClose={onClose}
            onAct={() => onAct().then(onClose)}
          />
        )}
      </Waiting>
    </>
  );
}
