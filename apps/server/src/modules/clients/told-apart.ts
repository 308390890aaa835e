import { Client } from './entities.js';

/** Clients of one legal name (several may share one EIN) are told apart by their trade name or key. */
export function toldApart(clients: Client[]): Client[] {
  const names = new Map<string, number>();
  for (const { legalName } of clients) names.set(legalName, (names.get(legalName) ?? 0) + 1);
  return clients.map((client) =>
    (names.get(client.legalName) ?? 0) > 1
      ? Object.assign(new Client(), client, { legalName: `${client.legalName}, ${client.tradeName || client.key}` })
      : client,
  );
}
