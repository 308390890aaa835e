import { Button } from '@mantine/core';
import { useEffect, useRef, type ReactNode } from 'react';

export interface Slip {
  readonly title: string;
  readonly act: string;
  readonly figures: readonly { readonly label: string; readonly value: string }[];
  readonly leaves: string;
  readonly becomesImpossible: string;
  readonly wayBack: string;
  readonly checks: readonly { readonly label: string; readonly isPassed: boolean; readonly says: string }[];
  readonly mayRelease: boolean;
  readonly file: string;
}

interface Props {
  readonly slip: Slip;
  readonly actLabel: string;
  readonly isBusy: boolean;
  /** The act; settles when it is done or refused. */
  readonly onAct: () => Promise<unknown>;
  readonly onClose: () => void;
  /** What the act asks for besides. */
  readonly children?: ReactNode;
}

/** The one way to do anything irreversible: what happens in words, the checks, then the act. */
export function ReleaseSlip({ slip, actLabel, isBusy, onAct, onClose, children }: Props): ReactNode {
  const heading = useRef<HTMLHeadingElement>(null);
  const isUnderWay = useRef(false);
  // A second click while the first is under way is the same act, not another one.
  const actOnce = async (): Promise<void> => {
    if (isUnderWay.current) return;
    isUnderWay.current = true;
    try {
      await onAct();
    } catch {
      // The page shows why it was refused.
    } finally {
      isUnderWay.current = false;
    }
  };
  // The whole slip is in sight, its act included, where it is not taller than the window.
  useEffect(() => {
    heading.current?.focus({ preventScroll: true });
    const slipShown = heading.current?.closest('section');
    slipShown?.scrollIntoView({ block: slipShown.offsetHeight < window.innerHeight ? 'end' : 'start' });
  }, []);
  return (
    <section
      className="slip"
      data-act={slip.act}
      aria-label="Release slip"
      onKeyDown={(event) => event.key === 'Escape' && onClose()}
    >
      <span className="word">{slip.act === 'rehearsal' ? 'rehearsal: nothing leaves' : 'release slip'}</span>
      <h2 ref={heading} tabIndex={-1}>
        {slip.title}
      </h2>
      <p className="leaves">{slip.leaves}</p>
      <dl>
        {slip.figures.map((figure) => (
          <div key={figure.label} style={{ display: 'contents' }}>
            <dt>{figure.label}</dt>
            <dd>{figure.value}</dd>
          </div>
        ))}
        <dt>Cannot be undone</dt>
        <dd>{slip.becomesImpossible}</dd>
        <dt>How to correct it</dt>
        <dd>{slip.wayBack}</dd>
      </dl>
      <ul className="checks">
        {slip.checks.map((check) => (
          <li key={check.label} data-passed={check.isPassed}>
            <span aria-label={check.isPassed ? 'passed' : 'not passed'}>{check.isPassed ? '✓' : '✗'}</span>
            <span>{check.label}</span>
            <span>{check.says}</span>
          </li>
        ))}
      </ul>
      {slip.file !== '' && (
        <details>
          <summary>The file itself</summary>
          <pre tabIndex={0}>{slip.file}</pre>
        </details>
      )}
      {children}
      <div className="actions">
        <Button onClick={() => void actOnce()} disabled={!slip.mayRelease || isBusy} loading={isBusy}>
          {actLabel}
        </Button>
        <button type="button" className="plain" onClick={onClose}>
          not now
        </button>
      </div>
    </section>
  );
}
