/**
 * A record layout is a table of fields with the publication's own names and 1-based positions.
 * `text`: left-justified, blank-filled, upper case. `digits`: right-justified, zero-filled. `amount`: cents,
 * zero-filled, never negative. `fixed`: always this value. `blank`: reserved.
 */
export type Field = {
  readonly name: string;
  readonly from: number;
  readonly to: number;
  readonly isRequired?: boolean;
} & ({ readonly kind: 'text' | 'digits' | 'amount' | 'blank' } | { readonly kind: 'fixed'; readonly value: string });

export interface RecordLayout {
  readonly name: string;
  readonly length: number;
  readonly fields: readonly Field[];
}

/** Gaps, overlaps and a wrong length of a layout; empty when it is sound. */
export function layoutFaults(layout: RecordLayout): string[] {
  const faults: string[] = [];
  let next = 1;
  for (const field of layout.fields) {
    if (field.from !== next) faults.push(`${layout.name}: ${field.name} starts at ${field.from}, expected ${next}`);
    if (field.to < field.from) faults.push(`${layout.name}: ${field.name} ends before it starts`);
    if (field.kind === 'fixed' && field.value.length !== field.to - field.from + 1)
      faults.push(`${layout.name}: ${field.name} has a value of the wrong width`);
    next = field.to + 1;
  }
  if (next !== layout.length + 1) faults.push(`${layout.name}: ends at ${next - 1}, expected ${layout.length}`);
  return faults;
}
