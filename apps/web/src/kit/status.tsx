import type { ReactNode } from 'react';

type Shape = 'ring' | 'half' | 'disc' | 'struck' | 'held';
interface Look {
  readonly shape: Shape;
  readonly tone?: 'wait' | 'wrong';
}

/** Every status word with its shape; a shape never stands without its word. */
const LOOKS: Readonly<Record<string, Look>> = {
  open: { shape: 'ring' },
  due: { shape: 'ring', tone: 'wait' },
  draft: { shape: 'ring' },
  'not begun': { shape: 'ring' },
  differs: { shape: 'struck', tone: 'wrong' },
  'filed elsewhere': { shape: 'held' },
  planned: { shape: 'half', tone: 'wait' },
  reviewed: { shape: 'half', tone: 'wait' },
  checked: { shape: 'half', tone: 'wait' },
  approved: { shape: 'half', tone: 'wait' },
  released: { shape: 'half' },
  received: { shape: 'half' },
  posted: { shape: 'disc' },
  settled: { shape: 'disc' },
  accepted: { shape: 'disc' },
  returned: { shape: 'struck', tone: 'wrong' },
  rejected: { shape: 'struck', tone: 'wrong' },
  proposed: { shape: 'half', tone: 'wait' },
  'in force': { shape: 'disc' },
  withdrawn: { shape: 'held' },
  asked: { shape: 'ring', tone: 'wait' },
  enrolled: { shape: 'disc' },
  applied: { shape: 'disc' },
  declined: { shape: 'held' },
  refused: { shape: 'held' },
  ended: { shape: 'held' },
  answered: { shape: 'half', tone: 'wait' },
  reported: { shape: 'disc' },
  ready: { shape: 'disc' },
  held: { shape: 'held', tone: 'wait' },
  agrees: { shape: 'disc' },
  moved: { shape: 'struck', tone: 'wrong' },
  previewed: { shape: 'half', tone: 'wait' },
  undone: { shape: 'held' },
  discarded: { shape: 'held' },
  'taken back': { shape: 'held' },
  printed: { shape: 'half', tone: 'wait' },
  issued: { shape: 'disc' },
  cleared: { shape: 'disc' },
  spoiled: { shape: 'struck' },
  voided: { shape: 'struck' },
  stopped: { shape: 'held' },
  void: { shape: 'struck' },
  closed: { shape: 'disc' },
  done: { shape: 'disc' },
};

function Mark({ shape }: { readonly shape: Shape }): ReactNode {
  return (
    <svg
      width="13"
      height="13"
      viewBox="0 0 13 13"
      aria-hidden="true"
      fill="none"
      stroke="currentColor"
      strokeWidth="1.5"
    >
      {shape !== 'held' && (
        <circle cx="6.5" cy="6.5" r="5" fill={shape === 'disc' || shape === 'struck' ? 'currentColor' : 'none'} />
      )}
      {shape === 'half' && <path d="M6.5 1.5a5 5 0 0 1 0 10z" fill="currentColor" stroke="none" />}
      {shape === 'struck' && <path d="M1 12 12 1" stroke="var(--paper)" strokeWidth="2.2" />}
      {shape === 'held' && <path d="M3 1H1v11h2M10 1h2v11h-2M6.5 4.2a2.3 2.3 0 1 1 0 4.6 2.3 2.3 0 0 1 0-4.6" />}
    </svg>
  );
}

export function Status({ word }: { readonly word: string }): ReactNode {
  const look = LOOKS[word] ?? { shape: 'ring' };
  return (
    <span className="status" data-tone={look.tone}>
      <Mark shape={look.shape} />
      {word}
    </span>
  );
}
