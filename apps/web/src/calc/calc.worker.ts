import { amountForNet, type FoundAmount } from '@zakat/core/casefile/amount-for-net';
import { composeCase, type OwnRows, type TypedEntry } from '@zakat/core/casefile/compose';
import { withinNet, type ReducedLine } from '@zakat/core/casefile/within-net';
import { readCase } from '@zakat/core/casefile/read-case';
import type { JsonObject } from '@zakat/core/casefile/reader';
import { fix, sentence, type Issue } from '@zakat/core/issues/issue';
import { showLeaveMove } from '@zakat/core/leave/accrual';
import { computePaycheck } from '@zakat/core/paycheck/compute';
import { Tape, type TapeLine } from '@zakat/core/working/tape';
import type { InHand } from './sheet-row.js';
import { takenBy, type TakenBy } from './taken.js';

export interface CalcRequest {
  readonly id: number;
  readonly people: readonly {
    readonly key: string;
    readonly base: JsonObject;
    readonly entry: TypedEntry;
    readonly isPaid: boolean;
  }[];
  /** Rows of the firm's rule packs, the same for everybody. */
  readonly own?: OwnRows | null;
  /** A figure whose working is wanted, of the first person. */
  readonly figure?: string;
  /** What an item is to leave in the hand of the first person: its amount is wanted. */
  readonly inHand?: InHand;
  /** Which deductions of the first person give way where the pay does not reach. */
  readonly giveWay?: boolean;
}
export interface CalcCheck extends TakenBy {
  readonly gross: number;
  readonly net: number;
  readonly taxes: readonly { readonly code: string; readonly payer: string; readonly amount: number }[];
  /** Moves of the leave balances, in hours. */
  readonly leave: readonly ReturnType<typeof showLeaveMove>[];
  readonly variances: readonly { readonly code: string; readonly withheld: number; readonly computed: number }[];
  readonly problems: readonly {
    readonly field: string;
    readonly severity: string;
    readonly sentence: string;
    readonly fix: string;
  }[];
}
export interface CalcAnswer {
  readonly id: number;
  readonly checks: Readonly<Record<string, CalcCheck>>;
  readonly working: readonly TapeLine[] | null;
  readonly found?: FoundAmount;
  readonly reduced?: readonly ReducedLine[] | null;
}
const NOTHING: CalcCheck = {
  gross: 0,
  net: 0,
  taxes: [],
  deductions: 0,
  taken: {},
  computed: {},
  owed: {},
  leave: [],
  variances: [],
  problems: [],
};

/** A request on its way to the worker: what it was given before is not sent again. */
export interface SentRequest extends Omit<CalcRequest, 'people'> {
  readonly people: readonly (Omit<CalcRequest['people'][number], 'base'> & { readonly base?: JsonObject })[];
}

const shown = (issue: Issue): CalcCheck['problems'][number] => ({
  field: issue.field,
  severity: issue.severity,
  sentence: sentence(issue),
  fix: fix(issue),
});

/**
 * The core in the browser: the same code as on the server, whose answer is the one that counts. It keeps what a check
 * starts from, so that a keystroke costs reading the line that was typed and nothing else.
 */
export class Calculator {
  private readonly bases = new Map<string, JsonObject>();
  private own: OwnRows | null = null;

  answer(request: SentRequest): CalcAnswer {
    if (request.own !== undefined) this.own = request.own;
    const checks: Record<string, CalcCheck> = {};
    let working: readonly TapeLine[] | null = null;
    request.people.forEach(({ key, base, entry, isPaid }, index) => {
      if (base) this.bases.set(key, base);
      const known = this.bases.get(key);
      const tape = request.figure !== undefined && index === 0 ? new Tape() : undefined;
      checks[key] = isPaid && known ? checkOf(composeCase(known, entry, this.own), tape) : NOTHING;
      if (tape && request.figure !== undefined && isPaid) working = tape.linesOf(request.figure);
    });
    const [first] = request.people;
    if (request.giveWay && first) {
      const base = this.bases.get(first.key);
      return { id: request.id, checks, working, reduced: base ? withinNet(base, first.entry, this.own) : null };
    }
    if (!request.inHand || !first) return { id: request.id, checks, working };
    return { id: request.id, checks, working, found: this.find(first, request.inHand) };
  }

  private find({ key, entry }: SentRequest['people'][number], wanted: InHand): FoundAmount {
    const base = this.bases.get(key);
    return base
      ? amountForNet(base, entry, this.own, wanted)
      : { amount: null, problem: 'the check cannot be computed yet' };
  }
}

function checkOf(composed: JsonObject, tape: Tape | undefined): CalcCheck {
  const read = readCase(composed);
  if (!read.input) return { ...NOTHING, problems: read.issues.map(shown) };
  const result = computePaycheck(read.input, tape);
  return {
    gross: result.gross,
    net: result.net,
    taxes: result.taxes.map(({ code, payer, amount }) => ({ code, payer, amount })),
    ...takenBy(result),
    leave: result.leave.map(showLeaveMove),
    variances: result.variances,
    problems: result.problems.map(shown),
  };
}

if (typeof self !== 'undefined' && 'postMessage' in self && typeof document === 'undefined') {
  const calculator = new Calculator();
  self.onmessage = (event: MessageEvent<SentRequest>) => self.postMessage(calculator.answer(event.data));
}
