interface Named {
  readonly number: string;
  readonly name: string;
}

const bare = (text: string): string =>
  text
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim();

/** What a person may be called in a time sheet: the number, the name as it stands, the last name first. */
function namesOf({ number, name }: Named): string[] {
  const words = name.split(' ');
  const [first = '', last = ''] = [words[0], words.at(-1)];
  return [number, name, `${last} ${first}`, `${first} ${last}`, `${last} ${words.slice(0, -1).join(' ')}`].map(bare);
}

/** Finds people by number or by name, whatever the signs and the order; a name that two share finds nobody. */
export function findByName<Person extends Named>(people: readonly Person[]): (text: string) => Person | null {
  const found = new Map<string, Person | null>();
  for (const person of people)
    for (const name of new Set(namesOf(person)))
      if (name !== '') found.set(name, found.has(name) && found.get(name) !== person ? null : person);
  return (text) => found.get(bare(text)) ?? null;
}
