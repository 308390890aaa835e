import type { Actor } from '../../database/firm-database.js';
import { Refusal } from '../../http/refusal.js';

export function refuseUnlessAdministrator(actor: Actor, what: string): void {
  if (actor.role !== 'administrator')
    throw new Refusal(403, 'role', `A ${actor.role} cannot ${what}. Ask an administrator.`);
}
