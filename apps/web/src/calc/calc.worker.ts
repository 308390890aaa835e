import { composeCase, type OwnRows, type TypedEntry } from '@zakat/core/casefile/compose';
import { readCase } from '@zakat/core/casefile/read-case';
import type { JsonObject } from '@zakat/core/casefile/reader';
import { sentence, fix } from '@zakat/core/issues/issue';
import { computePaycheck } from '@zakat/core/paycheck/compute';
import { Tape, type TapeLine } from '@zakat/core/working/tape';

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
}
export interface CalcCheck {
  readonly gross: number;
  readonly net: number;
  readonly taxes: readonly { readonly code: string; readonly payer: string; readonly amount: number }[];
  readonly deductions: number;
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
}
const NOTHING: CalcCheck = { gross: 0, net: 0, taxes: [], deductions: 0, problems: [] };

/** The core in the browser: the same code as on the server, whose answer is the one that counts. */
export function calculate(request: CalcRequest): CalcAnswer {
  const checks: Record<string, CalcCheck> = {};
  let working: readonly TapeLine[] | null = null;
  request.people.forEach((person, index) => {
    if (!person.isPaid) {
      checks[person.key] = NOTHING;
      return;
    }
    const read = readCase(composeCase(person.base, person.entry, request.own));
    if (!read.input) {
      checks[person.key] = {
        ...NOTHING,
        problems: read.issues.map((issue) => ({
          field: issue.field,
          severity: issue.severity,
          sentence: sentence(issue),
          fix: fix(issue),
        })),
      };
      return;
    }
    const tape = request.figure !== undefined && index === 0 ? new Tape() : undefined;
    const result = computePaycheck(read.input, tape);
    if (tape && request.figure !== undefined) working = tape.linesOf(request.figure);
    checks[person.key] = {
      gross: result.gross,
      net: result.net,
      taxes: result.taxes.map(({ code, payer, amount }) => ({ code, payer, amount })),
      deductions: result.deductions.reduce((total, line) => total + line.amount, 0),
      problems: result.problems.map((issue) => ({
        field: issue.field,
        severity: issue.severity,
        sentence: sentence(issue),
        fix: fix(issue),
      })),
    };
  });
  return { id: request.id, checks, working };
}

if (typeof self !== 'undefined' && 'postMessage' in self && typeof document === 'undefined') {
  self.onmessage = (event: MessageEvent<CalcRequest>) => self.postMessage(calculate(event.data));
}
