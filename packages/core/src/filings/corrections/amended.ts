import { problem, warning, type Issue } from '../../issues/issue.js';
import { cents, showDollars, subtract, type Cents } from '../../money/cents.js';
import type { Check } from '../checks.js';
import { runChecks } from '../checks.js';
import { defineKind, type FilingKind } from '../kind.js';
import { lineOf, type ReturnLine } from '../return-lines.js';

/** Code and name of the amended return of a kind that is amended on its own form. */
export const amendedCode = (code: string): string => `${code}-amended`;
export const amendedName = (name: string): string => `Amended ${name}`;

/** A line as it was filed and as it should be. */
export interface AmendedLine {
  readonly id: string;
  readonly label: string;
  readonly kind: ReturnLine['kind'];
  readonly reported: number;
  readonly correct: number;
}
interface AmendedContent {
  readonly corrected: unknown;
  readonly changes: readonly AmendedLine[];
  readonly hasOriginal: boolean;
  readonly reason: string;
  readonly balanceChange: Cents;
}
/**
 * Lines of two contents of one kind side by side; only those that differ. Where they differ only in what was paid, nothing
 * is to be corrected: the return said what had been paid when it was filed.
 */
export function changesOf(kind: FilingKind, reported: unknown, correct: unknown): AmendedLine[] {
  const was = kind.lines(reported);
  const changes = kind.lines(correct).flatMap((line): AmendedLine[] => {
    const before = lineOf(was, line.id);
    return before === line.value
      ? []
      : [{ id: line.id, label: line.label, kind: line.kind, reported: before, correct: line.value }];
  });
  return changes.every(({ id }) => kind.paymentLines?.has(id) === true) ? [] : changes;
}

/** The amended return of a kind that is corrected by filing it again, marked as amended: Form 940, and those of states. */
export function amendedKind(base: FilingKind): FilingKind {
  const something: Check<AmendedContent> = ({ hasOriginal, changes }) =>
    !hasOriginal
      ? [problem('check.no-original', 'original', { form: base.name })]
      : changes.length === 0
        ? [problem('check.nothing-to-correct', 'lines', { form: base.name })]
        : [];
  const explained: Check<AmendedContent> = ({ reason }) =>
    reason.trim() === '' ? [problem('check.no-explanation', 'reason', { form: amendedName(base.name) })] : [];
  const byHand: Check<AmendedContent> = () =>
    base.receiver === 'states' ? [warning('check.amended-file', 'file', { agency: base.agency.name })] : [];
  const issuesOfBase = (content: AmendedContent, facts: Parameters<FilingKind['check']>[1]): Issue[] =>
    base.check(content.corrected, facts);
  return defineKind<AmendedContent>({
    ...base,
    code: amendedCode(base.code),
    name: amendedName(base.name),
    noun: 'amended return',
    files: () => ({ is: false, why: `It amends a ${base.name} that was accepted, and begins there.` }),
    owedFor: [],
    laterWhenDeposited: undefined,
    elsewhere: undefined,
    filedElsewhere: undefined,
    pays: undefined,
    recall: undefined,
    numbers: undefined,
    makeFile: ({ corrected }, sending) => base.makeFile(corrected, { ...sending, isAmended: true }),
    needs: { ...base.needs, original: true },
    questions: [
      {
        name: 'reason',
        label: 'Why it is amended',
        help: 'Agencies ask for the reason with an amended return',
        kind: 'text',
      },
    ],
    compute: (input) => {
      const corrected = base.compute(input);
      const changes = input.original === null ? [] : changesOf(base, input.original, corrected);
      return {
        corrected,
        changes,
        hasOriginal: input.original !== null,
        reason: input.answers['reason'] ?? '',
        balanceChange: subtract(
          base.amount(corrected),
          input.original === null ? cents(0) : base.amount(input.original),
        ),
      };
    },
    lines: ({ corrected }) => base.lines(corrected),
    tables: ({ changes, corrected }) => [
      {
        code: 'changes',
        title: 'What changes',
        isList: true,
        columns: [
          { name: 'line', label: 'Line', kind: 'text' },
          { name: 'label', label: 'What it is', kind: 'text' },
          { name: 'reported', label: 'As filed', kind: 'amount' },
          { name: 'correct', label: 'As it should be', kind: 'amount' },
          { name: 'difference', label: 'Difference', kind: 'amount' },
        ],
        rows: changes
          .filter(({ kind }) => kind === 'amount')
          .map(({ id, label, reported, correct }) => [id, label, reported, correct, correct - reported]),
      },
      ...base.tables(corrected),
    ],
    check: (content, facts) => [
      ...issuesOfBase(content, facts),
      ...runChecks([something, explained, byHand], content, facts),
    ],
    amount: ({ balanceChange }) => balanceChange,
    reported: ({ corrected }) => base.amount(corrected),
    figures: ({ balanceChange, changes }) => [
      { label: 'Lines that change', value: String(changes.length) },
      { label: 'Total changes by', value: showDollars(balanceChange) },
    ],
    fileName: (period, ein) => base.fileName(period, ein).replace(/(\.\w+)$/, '-amended$1'),
    adds: base.adds ? ({ corrected }) => base.adds?.(corrected) ?? [] : undefined,
    tieOut: {
      ...base.tieOut,
      amounts: ({ corrected }) => base.tieOut.amounts(corrected),
      adjustments: ({ corrected }) => base.tieOut.adjustments(corrected),
    },
    snapshotVersion: 1,
    store: ({ corrected, ...content }, mark) => ({ ...content, corrected: base.store(corrected, mark) }),
    read: (stored) => {
      const kept = stored as AmendedContent;
      return { ...kept, corrected: base.read(kept.corrected, base.snapshotVersion) };
    },
    fieldOf: (theirs, { corrected }) => base.fieldOf(theirs, corrected),
    amendedBy: 'another amended return',
    corrects: base.code,
    corrected: ({ corrected }) => corrected,
  });
}
