export interface ProblemOfOne {
  readonly field: string;
  readonly severity: string;
  readonly sentence: string;
  readonly fix: string;
}
/** So many people are named before the rest is only counted. */
const NAMED = 3;

const whose = (names: readonly string[]): string =>
  names.length <= NAMED + 1 ? names.join(', ') : `${names.slice(0, NAMED).join(', ')} and ${names.length - NAMED} more`;

/** What there is to say of the checks of a payroll: the same of many people is said once, with their names. */
export function problemsOfMany(
  people: readonly { readonly name: string; readonly problems: readonly ProblemOfOne[] }[],
): ProblemOfOne[] {
  const found = new Map<string, { readonly problem: ProblemOfOne; readonly names: string[] }>();
  for (const { name, problems } of people)
    for (const problem of problems) {
      const key = `${problem.severity} ${problem.sentence} ${problem.fix}`;
      const same = found.get(key);
      if (!same) found.set(key, { problem, names: [name] });
      else if (!same.names.includes(name)) same.names.push(name);
    }
  return [...found.values()].map(({ problem, names }) => ({
    ...problem,
    sentence: `${whose(names)}: ${problem.sentence}`,
  }));
}
