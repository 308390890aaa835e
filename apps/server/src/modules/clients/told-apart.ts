import type { Client } from './entities.js';

/** Clients of one legal name are told apart by their trade name, or by their key. */
export function toldApart<T extends Pick<Client, 'legalName' | 'tradeName' | 'key'>>(clients: readonly T[]): T[] {
  const names = new Map<string, number>();
  for (const { legalName } of clients) names.set(legalName, (names.get(legalName) ?? 0) + 1);
  return clients.map((client) =>
    (names.get(client.legalName) ?? 0) > 1
      ? // What a client can do goes with it.
        Object.assign(Object.create(Object.getPrototypeOf(client) as object) as T, client, {
          legalName: `${client.legalName}, ${client.tradeName || client.key}`,
        })
      : client,
  );
}
